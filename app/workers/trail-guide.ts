import { catalogue, evenings, symptoms } from '#catalogue'
import { bestKit } from '#core/search'
import { CostsOfFailing } from '#core/availability'
import { indexLedger } from '#core/ledger'
import type { CarriedPieces, Log } from '#core/log'
import { packedKit } from '#core/pack'
import {
  decide,
  drawBreakdowns,
  entryOf,
  hoursPlayed,
  questionsOn,
  sceneAt,
  scoresOf,
  worthPlaying,
  type Breakdown,
  type Decided,
  type Played,
  type Question,
  type Scene,
  type Score,
} from '#core/rehearsal'
import { formatWallClock } from '#core/ride'
import type { Reference } from '#core/reference'
import { passesOnRoad, positionAt, surveyRoad, type RoadPoint, type Survey } from '#core/road'
import {
  atThePlace,
  carriedAsPacked,
  carriedByFirst,
  causesOf,
  eveningOf,
  onwardOf,
  presentAt,
  promiseAhead,
  restock,
  roadAhead,
  triageAmong,
  wearOf,
  whatIsLeft,
  whatWouldMend,
  whereSettled,
  type Cause,
  type Evening,
  type Failing,
  type KitLeft,
  type LeftPieces,
  type Onward,
  type PromiseAhead,
  type Restock,
  type RideOnTheWay,
  type RiderElsewhere,
  type RoadAhead,
  type Triage,
  type WayAtHand,
  type WhereSettled,
  type WorthWaiting,
  type WouldMend,
} from '#core/trail'
import type { Thing } from '#core/bench'
import type { Trip } from '#core/trip'
import { fixOf, ledgerOfTrip, type EventNote, type LedgerOfTrip } from '#core/trip-ledger'
import { defined, nth } from '#core/validation'
import { unpackLine, type LineId, type PackedLine } from './packed-line'
import type { TripWithoutLine } from './wayfinder'

/** Where riders are and who of them is elsewhere. */
export interface Whereabouts {
  readonly roadKm: number
  /** By the clock on the wall; null for when one comes by as planned. */
  readonly at: string | null
  readonly away: readonly RiderElsewhere[]
}

/** What fails, as far as people are told of it. */
export type Failure = Pick<EventNote, 'event' | 'hazard' | 'bike' | 'isStrange' | 'wheel' | 'fastener'>

/** What may have failed by one thing that is noticed, the likeliest first. */
export interface CausesOfSymptom {
  readonly symptom: string
  readonly causes: readonly { readonly failure: Failure; readonly share: number }[]
}

/** A place on the road, who is there, and what they have: it is told at once. */
export interface Place {
  readonly roadKm: number
  readonly lengthKm: number
  readonly position: { readonly lat: number; readonly lon: number }
  readonly at: string
  readonly present: readonly string[]
  readonly things: readonly Thing[]
  readonly left: readonly LeftPieces[]
}

/** The same with what is ahead of it, and what may fail there. */
export interface Here extends Place {
  readonly ahead: RoadAhead
  readonly evening: Evening
  /** For each bike that is there, what may have failed by what is noticed. */
  readonly bikes: readonly { readonly id: string; readonly symptoms: readonly CausesOfSymptom[] }[]
}

/** What to do about a failure, and where to go with it. */
export interface Answer {
  readonly now: Triage
  readonly waiting: readonly WorthWaiting[]
  readonly settled: WhereSettled
}

/** A breakdown of a trip that is only played, as far as somebody has decided. */
export interface ScenePlayed {
  readonly number: number
  readonly inAll: number
  readonly roadKm: number
  readonly at: string
  readonly failure: Failure
  /** What can be tried, in no order that would tell which is best. */
  readonly ways: readonly WayAtHand[]
  readonly tries: readonly Decided[]
  /** What is asked about what was decided last, once for each fix of a play. */
  readonly questions: readonly Question[]
  readonly lossH: number
  /** Hours that it has cost, once nothing more can be done. */
  readonly hours: number | null
}

/** A plan that was taken up: its road, what failing costs on it, and what was planned to be carried. */
interface Plan {
  readonly key: string
  readonly trip: Trip
  readonly survey: Survey
  readonly costs: CostsOfFailing
  wear?: LedgerOfTrip
  planned?: readonly CarriedPieces[]
}

/** A place of it that riders are at, and what was found there once somebody looked round. */
interface There {
  readonly key: string
  readonly plan: Plan
  readonly place: Omit<RideOnTheWay, 'laid'>
  readonly present: readonly string[]
  around?: { readonly ride: RideOnTheWay; readonly here: Onward }
}

/** Tells what to do on the road; it keeps the line of the road that it was given last, and what it worked out last. */
export function createTrailGuide() {
  let line: { id: LineId; points: RoadPoint[]; survey: Survey } | undefined
  let plan: Plan | undefined
  let there: There | undefined

  /**
   * Takes a trip up at a place.
   *
   * @param packed the line of the road, where it may not be at hand here
   * @returns nothing where the line was not at hand
   */
  function arriveAt(
    trip: TripWithoutLine,
    lineId: LineId,
    packed: PackedLine | undefined,
    where: Whereabouts,
  ): Place | undefined {
    const arrived = takeUp(trip, lineId, packed, where)
    return arrived && placeTold(arrived)
  }

  function placeTold({ place: { trip, survey, position, kit }, present }: There): Place {
    return {
      roadKm: position.roadKm,
      lengthKm: survey.lengthKm,
      position: positionAt(trip.road.points, survey, position.roadKm),
      at: position.at,
      present,
      things: kit.things,
      left: kit.left,
    }
  }

  /** What is ahead of the place that was taken up last, and what may fail there. */
  function lookAround(): Here {
    const arrived = defined(there, 'a place that was taken up')
    const { ride, here } = around(arrived)
    return {
      ...placeTold(arrived),
      ahead: roadAhead(here, ride.survey, catalogue),
      evening: eveningOf(here, evenings, ride.kit, ride.position),
      bikes: here.trip.bikes.map(({ id }) => ({
        id,
        symptoms: symptoms.flatMap((symptom) => {
          const causes = causesOf(here, symptom, id)
          return causes.length > 0 ? [{ symptom: symptom.id, causes: causes.map(causeTold) }] : []
        }),
      })),
    }
  }

  function around(arrived: There) {
    const { plan } = arrived
    plan.wear ??= wearOf(plan.trip, plan.survey, catalogue, plan.costs)
    return (arrived.around ??= lookAt(arrived, catalogue, plan.wear))
  }

  /** @param known the catalogue, or the part of it that is asked about: the less, the sooner it is looked at */
  function lookAt({ place, present }: There, known: Reference, wear: LedgerOfTrip) {
    const ride = { ...place, laid: wear }
    return { ride, here: atThePlace(ride, known, present) }
  }

  function takeUp(
    trip: TripWithoutLine,
    lineId: LineId,
    packed: PackedLine | undefined,
    where: Whereabouts,
  ): There | undefined {
    if (packed) {
      const points = unpackLine(packed)
      line = { id: lineId, points, survey: surveyRoad(points) }
    }
    if (line?.id !== lineId) return undefined
    const { log, ...planned } = trip
    const key = `${lineId} ${JSON.stringify(planned)}`
    if (plan?.key !== key) {
      const whole = { ...trip, road: { ...trip.road, points: line.points } }
      const { survey } = line
      plan = { key, trip: whole, survey, costs: new CostsOfFailing(whole, survey, catalogue) }
    }
    const taken = plan
    const onWay = `${key} ${JSON.stringify([log, where])}`
    if (there?.key !== onWay) {
      const place = placeOn(taken, log, where)
      there = { key: onWay, plan: taken, place, present: presentAt(place, where.away) }
    }
    return there
  }

  function placeOn(plan: Plan, log: Log, { roadKm, at }: Whereabouts): There['place'] {
    const { survey } = plan
    const km = Math.min(Math.max(0, roadKm), survey.lengthKm)
    return {
      trip: { ...plan.trip, log },
      survey,
      kit: kitOf(plan, log),
      position: { roadKm: km, at: at ?? passing(plan, km) },
    }
  }

  const kitOf = (plan: Plan, log: Log): KitLeft =>
    whatIsLeft({ bench: plan.trip.bench, log }, plannedOf(plan, log), catalogue)

  /** While nobody has set off it is the best kit, with whoever is first; who carries what is not shared out yet. */
  function plannedOf(plan: Plan, log: Log): readonly CarriedPieces[] {
    if (log.some(({ kind }) => kind === 'set off')) return []
    if (plan.planned) return plan.planned
    const { ledger } = ledgerOfTrip(plan.trip, plan.survey, catalogue, plan.costs)
    const { counts } = bestKit(indexLedger(ledger))
    plan.planned = carriedByFirst(plan.trip, counts)
    return plan.planned
  }

  /** When one comes by as planned; on a ride without a day, on any. */
  function passing({ costs: { timetable } }: Plan, roadKm: number): string {
    return timetable ? formatWallClock(timetable.clockAt(roadKm)) : '2026-06-12T08:00'
  }

  /** What to do about a failure at the place that was taken up last. */
  function answerTo(failing: Failing, { away }: Whereabouts): Answer {
    const arrived = defined(there, 'a place that was taken up')
    const { ride, here } = arrived.around ?? lookOnlyFor(failing, arrived)
    const { now, waiting } = triageAmong(here, ride, catalogue, failing, away)
    return { now, waiting, settled: whereSettled(here, now.note) }
  }

  /** Whoever asks before anybody has looked round hears of that one failure sooner. */
  function lookOnlyFor({ hazard, bikeId }: Failing, arrived: There) {
    const { trip, survey, costs } = arrived.plan
    const known = { ...catalogue, hazards: catalogue.hazards.filter(({ id }) => id === hazard) }
    const only = lookAt(arrived, known, wearOf(trip, survey, known, costs))
    return only.here.laid.notes.some(({ bike }) => bike === bikeId) ? only : around(arrived)
  }

  /** What would mend it if one had it. */
  function wouldMend(failing: Failing, now: Triage): WouldMend[] {
    const arrived = defined(there, 'a place that was taken up')
    const { ride } = around(arrived)
    const { present } = arrived
    return whatWouldMend(ride, catalogue, failing, present, now)
  }

  /** What the rest of the road is expected to cost, and what to buy on it. */
  function outlook(): { promise: PromiseAhead; restock: Restock[] } {
    const arrived = defined(there, 'a place that was taken up')
    const { ride } = around(arrived)
    const onward = onwardOf(ride, catalogue, arrived.present)
    const planned = plannedOf(defined(plan), ride.trip.log)
    return { promise: promiseAhead(onward), restock: restock(ride, catalogue, planned, onward) }
  }

  /** What each rider sets off with by the plan, shared out and packed: it takes a while. */
  function setOffWith(): CarriedPieces[] {
    const { trip, survey } = defined(plan)
    const { split, packs } = packedKit(trip, survey, catalogue)
    return carriedAsPacked(trip, split, packs)
  }

  let play:
    | {
        readonly played: Played
        readonly breakdowns: readonly Breakdown[]
        readonly scenes: Scene[]
        /** The fixes about which was asked. */
        readonly asked: Set<string>
      }
    | undefined

  /** Draws a trip to be played with the kit as planned. @returns how much breaks on it that is worth a thought */
  function rehearse(seed: number): number {
    const { trip, survey, costs } = defined(plan)
    const { laid: whole, split, packs } = packedKit({ ...trip, log: [] }, survey, catalogue)
    const played = { trip, survey, laid: whole, carried: carriedAsPacked(trip, split, packs) }
    const breakdowns = worthPlaying(played, drawBreakdowns(whole, costs.timetable, seed), catalogue)
    play = { played, breakdowns, scenes: [], asked: new Set() }
    return breakdowns.length
  }

  /** Goes on to the next breakdown; nothing where there is none. */
  function nextScene(): ScenePlayed | undefined {
    const { played, breakdowns, scenes } = defined(play, 'a trip that is played')
    const breakdown = breakdowns[scenes.length]
    if (!breakdown) return undefined
    scenes.push(sceneAt(played, scenes.map(entryOf), breakdown, catalogue))
    return sceneTold([])
  }

  /** @param fix what is tried next; null where nothing more is */
  function decideOn(fix: string | null): ScenePlayed {
    const { scenes } = defined(play, 'a trip that is played')
    const at = scenes.length - 1
    const before = nth(scenes, at)
    const way = before.ways.find((each) => each.fix === fix)
    scenes[at] = decide(before, fix, catalogue)
    return sceneTold(way ? questionsAbout(way, before) : [])
  }

  function questionsAbout({ fix: id, takes }: WayAtHand, { breakdown, onward }: Scene): Question[] {
    const { asked } = defined(play, 'a trip that is played')
    const fix = defined(catalogue.fixes.find((each) => each.id === fixOf(id)))
    if (asked.has(fix.id)) return []
    asked.add(fix.id)
    const along = onward.trip.bench.map((thing) => thing.id)
    const taken = takes.map(({ thing }) => thing)
    return questionsOn(fix, taken, along, catalogue.fixes, breakdown.key)
  }

  function sceneTold(questions: readonly Question[]): ScenePlayed {
    const { scenes, breakdowns } = defined(play, 'a trip that is played')
    const scene = nth(scenes, scenes.length - 1)
    const { breakdown, triage: found, ways, tries } = scene
    return {
      number: scenes.length,
      inAll: breakdowns.length,
      roadKm: breakdown.roadKm,
      at: breakdown.at,
      failure: failureTold(found.note),
      ways: [...ways].sort((a, b) => a.fix.localeCompare(b.fix)),
      tries,
      questions,
      lossH: found.lossH,
      hours: ways.length === 0 ? hoursPlayed(scene) : null,
    }
  }

  /** How somebody did in what was played so far. */
  const playScores = (): Score[] => scoresOf(play?.scenes ?? [])

  /** Where a position lies on the road: of several passes the first that lies ahead of where one was. */
  function placeOf(lat: number, lon: number, fromKm: number): { roadKm: number; offRoadM: number } | undefined {
    if (!line) return undefined
    const passes = passesOnRoad(line.points, line.survey, lat, lon)
    return passes.find(({ roadKm }) => roadKm >= fromKm - 1) ?? passes.at(-1)
  }

  return {
    arriveAt,
    lookAround,
    answerTo,
    wouldMend,
    outlook,
    setOffWith,
    placeOf,
    rehearse,
    nextScene,
    decideOn,
    playScores,
  }
}

const failureTold = ({ event, hazard, bike, isStrange, wheel, fastener }: EventNote): Failure => ({
  event,
  hazard,
  bike,
  isStrange,
  wheel,
  fastener,
})
const causeTold = ({ note, share }: Cause) => ({ failure: failureTold(note), share })
export type TrailGuideService = ReturnType<typeof createTrailGuide>
