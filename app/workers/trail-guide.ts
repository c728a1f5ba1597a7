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
  sceneAt,
  scoresOf,
  worthPlaying,
  type Breakdown,
  type Decided,
  type Played,
  type Scene,
  type Score,
} from '#core/rehearsal'
import { formatWallClock } from '#core/ride'
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
import { ledgerOfTrip, writeLedger, type EventNote, type LedgerOfTrip } from '#core/trip-ledger'
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

/** All that is told at once of a place. */
export interface Here {
  readonly roadKm: number
  readonly lengthKm: number
  readonly position: { readonly lat: number; readonly lon: number }
  readonly at: string
  readonly present: readonly string[]
  readonly ahead: RoadAhead
  readonly things: readonly Thing[]
  readonly left: readonly LeftPieces[]
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
  readonly lossH: number
  /** Hours that it has cost, once nothing more can be done. */
  readonly hours: number | null
}

/** A plan that was looked through: its road, its ledger, and what was planned to be carried. */
interface Laid {
  readonly key: string
  readonly trip: Trip
  readonly survey: Survey
  readonly ledger: LedgerOfTrip
  planned?: readonly CarriedPieces[]
}

/** Tells what to do on the road; it keeps the line of the road that it was given last, and what it worked out last. */
export function createTrailGuide() {
  let line: { id: LineId; points: RoadPoint[]; survey: Survey } | undefined
  let laid: Laid | undefined
  let there: { key: string; ride: RideOnTheWay; present: readonly string[]; here: Onward } | undefined

  /**
   * Takes a trip up at a place.
   *
   * @param packed the line of the road, where it may not be at hand here
   * @returns nothing where the line was not at hand
   */
  function hereOf(
    trip: TripWithoutLine,
    lineId: LineId,
    packed: PackedLine | undefined,
    where: Whereabouts,
  ): Here | undefined {
    const taken = takeUp(trip, lineId, packed, where)
    if (!taken) return undefined
    const { ride, present, here } = taken
    return {
      roadKm: ride.position.roadKm,
      lengthKm: ride.survey.lengthKm,
      position: positionAt(ride.trip.road.points, ride.survey, ride.position.roadKm),
      at: ride.position.at,
      present,
      ahead: roadAhead(here, ride.survey, catalogue),
      things: ride.kit.things,
      left: ride.kit.left,
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

  function takeUp(trip: TripWithoutLine, lineId: LineId, packed: PackedLine | undefined, where: Whereabouts) {
    if (packed) {
      const points = unpackLine(packed)
      line = { id: lineId, points, survey: surveyRoad(points) }
    }
    if (line?.id !== lineId) return undefined
    const { log, ...plan } = trip
    const key = `${lineId} ${JSON.stringify(plan)}`
    if (laid?.key !== key) {
      const whole = { ...trip, road: { ...trip.road, points: line.points } }
      laid = { key, trip: whole, survey: line.survey, ledger: writeLedger(whole, line.survey, catalogue) }
    }
    const known = laid
    const onWay = `${key} ${JSON.stringify([log, where])}`
    if (there?.key !== onWay) {
      const ride = rideOf(known, log, where)
      const present = presentAt(ride, where.away)
      there = { key: onWay, ride, present, here: atThePlace(ride, catalogue, present) }
    }
    return there
  }

  function rideOf(known: Laid, log: Log, { roadKm, at }: Whereabouts): RideOnTheWay {
    const { survey, ledger } = known
    const trip = { ...known.trip, log }
    const km = Math.min(Math.max(0, roadKm), survey.lengthKm)
    return {
      trip,
      survey,
      laid: ledger,
      kit: kitOf(known, log),
      position: { roadKm: km, at: at ?? passing(known, km) },
    }
  }

  const kitOf = (known: Laid, log: Log): KitLeft =>
    whatIsLeft({ bench: known.trip.bench, log }, plannedOf(known, log), catalogue)

  /** While nobody has set off it is the best kit, with whoever is first; who carries what is not shared out yet. */
  function plannedOf(known: Laid, log: Log): readonly CarriedPieces[] {
    if (log.some(({ kind }) => kind === 'set off')) return []
    if (known.planned) return known.planned
    const { ledger } = ledgerOfTrip(known.trip, known.survey, catalogue)
    const { counts } = bestKit(indexLedger(ledger))
    known.planned = carriedByFirst(known.trip, counts)
    return known.planned
  }

  /** When one comes by as planned; on a ride without a day, on any. */
  function passing({ trip, survey }: Laid, roadKm: number): string {
    const { timetable } = new CostsOfFailing(trip, survey, catalogue)
    return timetable ? formatWallClock(timetable.clockAt(roadKm)) : '2026-06-12T08:00'
  }

  /** What to do about a failure at the place that was taken up last. */
  function answerTo(failing: Failing, { away }: Whereabouts): Answer {
    const { ride, here } = defined(there, 'a place that was taken up')
    const { now, waiting } = triageAmong(here, ride, catalogue, failing, away)
    return { now, waiting, settled: whereSettled(here, now.note) }
  }

  /** What would mend it if one had it. */
  function wouldMend(failing: Failing, now: Triage): WouldMend[] {
    const { ride, present } = defined(there, 'a place that was taken up')
    return whatWouldMend(ride, catalogue, failing, present, now)
  }

  /** What the rest of the road is expected to cost, and what to buy on it. */
  function outlook(): { promise: PromiseAhead; restock: Restock[] } {
    const { ride, present } = defined(there, 'a place that was taken up')
    const onward = onwardOf(ride, catalogue, present)
    const planned = plannedOf(defined(laid), ride.trip.log)
    return { promise: promiseAhead(onward), restock: restock(ride, catalogue, planned, onward) }
  }

  /** What each rider sets off with by the plan, shared out and packed: it takes a while. */
  function setOffWith(): CarriedPieces[] {
    const { trip, survey } = defined(laid)
    const { split, packs } = packedKit(trip, survey, catalogue)
    return carriedAsPacked(trip, split, packs)
  }

  let play: { readonly played: Played; readonly breakdowns: readonly Breakdown[]; readonly scenes: Scene[] } | undefined

  /** Draws a trip to be played with the kit as planned. @returns how much breaks on it that is worth a thought */
  function rehearse(seed: number): number {
    const { trip, survey, ledger } = defined(laid)
    const { costs, split, packs } = packedKit({ ...trip, log: [] }, survey, catalogue)
    const played = { trip, survey, laid: ledger, carried: carriedAsPacked(trip, split, packs) }
    const breakdowns = worthPlaying(played, drawBreakdowns(ledger, costs.timetable, seed), catalogue)
    play = { played, breakdowns, scenes: [] }
    return breakdowns.length
  }

  /** Goes on to the next breakdown; nothing where there is none. */
  function nextScene(): ScenePlayed | undefined {
    const { played, breakdowns, scenes } = defined(play, 'a trip that is played')
    const breakdown = breakdowns[scenes.length]
    if (!breakdown) return undefined
    scenes.push(sceneAt(played, scenes.map(entryOf), breakdown, catalogue))
    return sceneTold()
  }

  /** @param fix what is tried next; null where nothing more is */
  function decideOn(fix: string | null): ScenePlayed {
    const { scenes } = defined(play, 'a trip that is played')
    const at = scenes.length - 1
    scenes[at] = decide(nth(scenes, at), fix, catalogue)
    return sceneTold()
  }

  function sceneTold(): ScenePlayed {
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

  return { hereOf, answerTo, wouldMend, outlook, setOffWith, placeOf, rehearse, nextScene, decideOn, playScores }
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
