import { defined, nth, Fault } from '#core/validation'
import { thingFrom, type Thing } from '#core/bench'
import { oneForSeveral, type OneForSeveral } from '#core/candidates'
import { strongestHandN } from '#core/crew'
import { fitView, type FitView } from '#core/fit'
import {
  classesOf,
  CostsOfFailing,
  type Landscape,
  availabilitiesOf,
  placeReportAt,
  remediesFor,
  rideView,
  shutOptions,
  roadView,
  type ClassAvailability,
  type PlaceReport,
  type Remedy,
  type RideView,
  type RoadView,
  type ShutChoice,
} from '#core/availability'
import {
  bikesAtDeparture,
  fastenerDemandsOf,
  hoursAtStake,
  onTermsOf,
  wearOnRoad,
  writeLedger,
  type FastenerDemands,
  type LedgerOfTrip,
  type WearOnRoad,
} from '#core/trip-ledger'
import { nextSteps, type Lack } from '#core/next-steps'
import { firstBench, withCatalogue, type LaidOut, type Piece } from '#core/unlock'
import { withPlanning } from '#core/reference'
import { OpeningCache, readOpening, parseWallClock, weekOf, type OpenDay } from '#core/ride'
import {
  projectPlan,
  positionAt,
  readGpx,
  surveyRoad,
  withLines,
  type GpxRoad,
  type PlanProjection,
  type Survey,
} from '#core/road'
import {
  cardOfTrip,
  cutRoad,
  dialNames,
  exportGpx,
  faultLines,
  joinRoads,
  layCard,
  reverseRoad,
  replaceRoad,
  type Dials,
  type NewRoad,
  type Reshaped,
  type Trip,
  type TripCard,
} from '#core/trip'
import { placesSeenOnce, proposalsFor } from '#core/supply'
import { catalogue, placeWords } from '#catalogue'
import { transfer } from 'comlink'
import type { WrittenLedger } from './kit-chooser'
import { packLine, unpackLine, type LineId, type PackedLine, type RoadWithoutLine } from './packed-line'

/** What the interface is told after each change. */
export interface Analysis {
  readonly lengthKm: number
  readonly climbM: number | null
  /** Heights along the road for drawing; null when the road has none. */
  readonly profile: { km: Float64Array; eleM: Float64Array } | null
  readonly view: RoadView | null
  /** The road from above; null where there is none. */
  readonly plan: PlanProjection | null
  /** Where each class can be had, the class first on which most hours hang. */
  readonly availability: readonly ClassAvailability[]
  /** Hours that hang on each class when nothing is carried, in expectation. */
  readonly hoursAtStake: Readonly<Record<string, number>>
  /** The ride by date and clock; null while its start is unknown. */
  readonly ride: RideView | null
  /** How each bike wears on this road; none without a road. */
  readonly wear: Readonly<Record<string, readonly WearOnRoad[]>>
  /** Which tool turns what. */
  readonly fit: FitView
  /** What the kit is chosen for; null without a road. */
  readonly built: NumberedLedger | null
}

/** The ledger of a trip, and a number that another has whose failures or things are others. */
export interface NumberedLedger extends LedgerOfTrip {
  readonly number: number
}

/** A way to deal with what is shut at a stop: the parts of the plan that it makes others, its days and its ledger. */
export interface ShutOptionWritten {
  readonly choice: ShutChoice
  readonly isMade: boolean
  readonly parts: Pick<Trip, 'stops' | 'ride'>
  readonly days: number
  readonly ledger: LedgerOfTrip['ledger']
}

/** Something that the plan lacks, with the ledgers of the plans that it may turn out to be. */
export interface NextStepWritten {
  readonly lack: Lack
  readonly ledgers: readonly LedgerOfTrip['ledger'][]
}

/** One line of a file that was read, for choosing. */
export interface ReadLine {
  readonly name: string
  readonly points: number
  readonly km: number
}

/** A road made here, on its way to the page. */
type Sent<T extends { road: Trip['road'] }> = Omit<T, 'road'> & {
  readonly road: RoadWithoutLine
  readonly line: PackedLine
  readonly lineId: LineId
}

export type RoadReading =
  | {
      readonly ok: true
      /** Names the file for choosing among its lines. */
      readonly fileId: string
      readonly next: Sent<NewRoad>
      readonly points: number
      readonly warnings: string[]
      readonly lines: ReadLine[]
      readonly recordedAt: string | null
    }
  | { readonly ok: false; readonly lines: string[] }
export type RoadReshaping =
  { readonly ok: true; readonly next: Sent<Reshaped> } | { readonly ok: false; readonly lines: string[] }

/** The parts of a trip that changed; the road's line comes apart from it. */
export type ChangedParts = Omit<Partial<Trip>, 'road'> & { road?: RoadWithoutLine }

export type HoursReading =
  | { readonly ok: true; readonly tidy: string; readonly warnings: readonly string[]; readonly week: OpenDay[] }
  | { readonly ok: false; readonly error: string; readonly guesses: readonly string[] }

/** A line that was measured. */
interface Measured {
  readonly id: LineId
  readonly points: Trip['road']['points']
  readonly survey: Survey
}
const measured = (id: LineId, points: Trip['road']['points']): Measured => ({ id, points, survey: surveyRoad(points) })

/** So many lines are at hand: the trip's own, and those that undo and imports go between. */
const mostLines = 4

/**
 * Keeps a trip and what has been worked out of it, and answers what is asked of it; it knows nothing of threads.
 *
 * @param onLedger told of each ledger as it is written, before all else that is answered has been worked out
 */
export function createAnalyser(onLedger: (written: WrittenLedger) => void = () => undefined) {
  /** Lines by their ids, the one used last at the end. */
  const lines = new Map<LineId, Measured>()

  function keep(kept: Measured): Measured {
    lines.delete(kept.id)
    lines.set(kept.id, kept)
    for (const id of [...lines.keys()].slice(0, -mostLines)) lines.delete(id)
    return kept
  }

  let trip: Trip | undefined
  let line: Measured = measured('', [])
  let plan: PlanProjection | null = null
  let landscape: CostsOfFailing | undefined
  let built: NumberedLedger | undefined
  let written = 0
  /** The file that was read last, and the trip it was read for. */
  let read: { id: string; file: GpxRoad; before: Pick<Trip, 'road' | 'stops'> } | undefined
  const book = new OpeningCache()
  const seenAt = placesSeenOnce(placeWords)

  /**
   * Takes the parts that changed, and analyses what hangs on them: a dial of the kit's price asks for no new ledger, and
   * what lies on the bench for no new road.
   *
   * @param lineId which line the trip's road has
   * @param packed the line itself, where it may not be at hand here
   * @returns nothing, and nothing is taken, where the line is needed and not at hand
   */
  function analyse(
    { road: lineless, ...parts }: ChangedParts,
    lineId: LineId,
    packed: PackedLine | undefined,
  ): Analysis | undefined {
    if (lineId !== line.id) {
      const known = lines.get(lineId) ?? (packed && measured(lineId, unpackLine(packed)))
      if (!known) return undefined
      line = keep(known)
      plan = line.survey.lengthKm > 0 ? projectPlan(line.points, line.survey) : null
    }
    const before = trip
    trip = { ...trip, ...parts, road: { ...(lineless ?? defined(trip).road), points: line.points } } as Trip
    const { survey } = line
    const seen = {
      lengthKm: survey.lengthKm,
      climbM: survey.climbM,
      profile: profileOf(survey),
      plan,
      fit: fitNow(parts),
    }
    if (survey.lengthKm <= 0) {
      built = undefined
      landscape = undefined
      return { ...seen, view: null, wear: {}, availability: [], hoursAtStake: {}, ride: null, built: null }
    }
    const isRoadSame = !lineless && !parts.ride && !parts.forecast && !parts.stops
    const isLandscapeSame = isRoadSame && isSameBut(before, trip, [...prices, 'handMostN', 'helper', 'planning'])
    if (!landscape || !isLandscapeSame) landscape = new CostsOfFailing(trip, survey, catalogue, book, landscape)
    const isLedgerSame =
      isLandscapeSame &&
      before !== undefined &&
      areBikesSame(before.bikes, trip.bikes) &&
      areHandsSame(before.crew, trip.crew) &&
      isSameButPins(before.bench, trip.bench) &&
      isSameBut(before, trip, prices)
    if (built && isLedgerSame) {
      built = { ...built, ledger: onTermsOf(built.ledger, trip) }
    } else {
      built = { ...writeLedger(trip, survey, catalogue, landscape, fasteners), number: written++ }
      onLedger({ number: built.number, ledger: built.ledger })
    }
    const atStake = hoursAtStake(built)
    const availability = availabilitiesOf(landscape, trip, classesOf(trip, catalogue))
    return {
      ...seen,
      view: roadView(landscape, trip, catalogue),
      wear: wearNow(trip, landscape),
      availability: availability.sort((a, b) => (atStake[b.classId] ?? 0) - (atStake[a.classId] ?? 0)),
      hoursAtStake: atStake,
      ride: rideView(landscape, trip, survey) ?? null,
      built,
    }
  }

  /** With the jobs done that are planned. */
  const wearNow = (trip: Trip, landscape: Landscape) =>
    Object.fromEntries(
      bikesAtDeparture(trip, catalogue).map((bike) => [
        bike.id,
        wearOnRoad(bike, landscape, withPlanning(catalogue, trip.dials.planning)),
      ]),
    )

  let fit: FitView | undefined
  let fasteners: FastenerDemands | undefined
  let fitOfHandN = 0

  /** The fit as it stands, and what turns what; it hangs on bikes, bench and hands only. */
  function fitNow(changed: ChangedParts): FitView {
    const handN = strongestHandN(defined(trip))
    if (!fit || changed.bikes || changed.bench || handN !== fitOfHandN) {
      fit = fitView(defined(trip).bikes, defined(trip).bench, catalogue.items, handN)
      fasteners = fastenerDemandsOf(defined(trip))
      fitOfHandN = handN
    }
    return fit
  }

  /** What would shorten the longest gap of a class. */
  function remedies(classId: string): Remedy[] {
    return trip && landscape ? remediesFor(trip, line.survey, catalogue, classId, book) : []
  }

  /** Tools of the bench and the catalogue that could stand for several that are carried. @param carried ids of things of the bench */
  function oneForSeveralOf(carried: readonly string[]): OneForSeveral[] {
    if (!trip) return []
    const { bench, bikes } = trip
    const laid = bench.filter(({ id }) => carried.includes(id))
    const kinds = catalogue.items.filter((item) => !bench.some(({ from }) => from === item.id))
    const tools = [...bench, ...kinds.map((item) => thingFrom(item, `kind:${item.id}`))]
    return oneForSeveral(
      bikes,
      laid,
      tools.filter(({ heads }) => heads.length > 1),
      strongestHandN(trip),
    )
  }

  /** What can be done about what is shut at a stop, each with the plan it makes and the ledger of that. */
  function shutOptionsAt(stopId: string): ShutOptionWritten[] {
    if (!trip || !built) return []
    const { survey } = line
    return shutOptions(trip, survey, catalogue, stopId, book).map(({ choice, isMade, plan }) => {
      const planned = new CostsOfFailing(plan, survey, catalogue, book, landscape)
      const { ledger } = writeLedger(plan, survey, catalogue, planned)
      const { stops, ride } = plan
      return { choice, isMade, parts: { stops, ride }, days: planned.timetable?.days.length ?? 0, ledger }
    })
  }

  /** What the plan still lacks, each with the ledgers of the plans that it may turn out to be. */
  function nextStepsOf(): NextStepWritten[] {
    if (!trip || !built) return []
    const proposals = proposalsFor(trip.stops, seenAt)
    return nextSteps(trip, catalogue, proposals).map(({ lack, plans }) => ({
      lack,
      ledgers: plans.map((plan) => {
        const costs = new CostsOfFailing(plan, line.survey, catalogue, book, landscape)
        return writeLedger(plan, line.survey, catalogue, costs).ledger
      }),
    }))
  }

  /** All that is to be said of one place of the road. */
  function readPlace(roadKm: number): PlaceReport | null {
    return trip && landscape
      ? placeReportAt(landscape, trip, line.survey, Math.min(roadKm, line.survey.lengthKm))
      : null
  }

  /** About 600 heights are all a strip can show. */
  function profileOf({ km, eleM }: Survey): Analysis['profile'] {
    if (!eleM) return null
    const step = Math.max(1, Math.floor(km.length / 600))
    const kept = Array.from({ length: Math.ceil(km.length / step) }, (_, i) => i * step)
    return { km: Float64Array.from(kept, (i) => nth(km, i)), eleM: Float64Array.from(kept, (i) => nth(eleM, i)) }
  }

  /** The trip's bench with the catalogue beside it, to see what it lacks; null without a road. */
  function benchAndCatalogue(): LaidOut | null {
    return trip && landscape ? withCatalogue(trip, line.survey, catalogue, landscape) : null
  }

  /** What to lay on the bench beside what is owned, while nothing lies there. */
  function startOfBench(owned: readonly Thing[]): Piece[] {
    if (!trip) return []
    const begun = { ...trip, bench: [...owned] }
    return firstBench(begun, line.survey, catalogue, trip.road.points.length > 0 ? landscape : undefined)
  }

  /** Opening hours as they are understood at a place of the road, on the days about when one comes by. */
  function readHours(text: string, roadKm: number): HoursReading {
    if (!trip || !landscape) return { ok: false, error: 'there is no road yet', guesses: [] }
    const locality = { ...positionAt(line.points, line.survey, roadKm), country: trip.ride.country }
    const opening = readOpening(text, locality)
    if ('error' in opening) return { ok: false, error: opening.error, guesses: opening.guesses }
    const from = landscape.timetable?.clockAt(roadKm) ?? parseWallClock(new Date().toISOString().slice(0, 16))
    return { ok: true, tidy: opening.tidy, warnings: opening.warnings, week: weekOf(opening, from) }
  }

  /** Whether a file holds a road, before there is a trip to lay it in. */
  const checkRoad = (text: string): { ok: true } | { ok: false; lines: string[] } =>
    told(() => {
      readGpx(text)
      return { ok: true }
    })

  /** Reads a GPX file for the trip; faults come back as lines, for errors do not cross to the page whole. */
  function readRoad(text: string): RoadReading {
    return told(() => {
      read = { id: newId(), file: readGpx(text), before: defined(trip) }
      return laidOut(read.file)
    })
  }

  /** Takes some lines of a file, in the order given. */
  function readLines(fileId: string, picked: readonly number[]): RoadReading {
    return told(() => {
      if (read?.id !== fileId) throw new Fault('the file', 'not at hand any more', 'it to be imported once more')
      return laidOut(withLines(read.file, picked))
    })
  }

  function laidOut(gpx: GpxRoad): RoadReading {
    const { id: fileId, file, before } = defined(read)
    const made = keep(measured(newId(), gpx.points))
    const alone = file.lines.length === 1 ? made.survey.lengthKm : undefined
    const answer = {
      ok: true,
      fileId,
      next: sent(replaceRoad(before, gpx, made.survey, newId), made.id),
      points: gpx.points.length,
      warnings: gpx.warnings,
      lines: file.lines.map(({ name, points }) => ({
        name,
        points: points.length,
        km: alone ?? surveyRoad(points).lengthKm,
      })),
      recordedAt: file.recordedAt,
    } as const
    return transfer(answer, [answer.next.line.buffer])
  }

  /** Puts a GPX file on the end of the trip's road. */
  const append = (text: string): RoadReshaping => told(() => reshaped(joinRoads(defined(trip), readGpx(text), newId)))

  const reverse = (): RoadReshaping => reshaped({ ...reverseRoad(defined(trip), line.survey.lengthKm), leftOut: [] })

  const cutTo = (fromKm: number, toKm: number): RoadReshaping =>
    reshaped(cutRoad(defined(trip), line.survey, fromKm, toKm))

  /** The road as one would write it down; nothing where nobody would. */
  const routeCard = (): TripCard | undefined => trip && cardOfTrip(trip, line.survey)

  const layRouteCard = (card: TripCard): RoadReshaping =>
    told(() => reshaped(layCard(defined(trip), line.survey, card, newId)))

  /** The road with its stops as a GPX file; with the time at which each point is passed. */
  const roadAsGpx = (withTimes: boolean): string => exportGpx(defined(trip), line.survey, catalogue, withTimes)

  function reshaped({ road, ride, stops, leftOut }: Reshaped): RoadReshaping {
    const next = sent({ road, ride, stops, leftOut }, keep(measured(newId(), road.points)).id)
    return transfer({ ok: true, next }, [next.line.buffer])
  }

  function sent<T extends { road: Trip['road'] }>({ road: { points, ...road }, ...rest }: T, lineId: LineId): Sent<T> {
    return { ...rest, road, line: packLine(points), lineId }
  }

  function told<T>(work: () => T): T | { ok: false; lines: string[] } {
    try {
      return work()
    } catch (error) {
      const lines = faultLines(error)
      if (!lines) throw error
      return { ok: false, lines }
    }
  }

  const newId = () => crypto.randomUUID().slice(0, 8)

  return {
    analyse,
    remedies,
    oneForSeveralOf,
    shutOptionsAt,
    nextStepsOf,
    benchAndCatalogue,
    startOfBench,
    readPlace,
    readHours,
    checkRoad,
    readRoad,
    readLines,
    joinRoad: append,
    reverseRoad: reverse,
    cutRoad: cutTo,
    routeCard,
    layRouteCard,
    roadAsGpx,
  }
}

/** What a ledger stands under without any of its failures being others. */
const prices = [
  'gramsPerHour',
  'budgetG',
  'budgetMoney',
  'homeShare',
  'moneyPerHour',
  'stances',
] as const satisfies readonly (keyof Dials)[]

/**
 * Whether the same things lie on two benches, whether or not they are pinned alike, carried by the same riders, packed alike, and
 * got and tried on the same days.
 */
const packing = { pin: null, carriedBy: {}, packedIn: [], handling: null, volumeMl: null, longestMm: null }
function isSameButPins(a: Trip['bench'], b: Trip['bench']): boolean {
  const plain = (bench: Trip['bench']) =>
    JSON.stringify(
      bench.map(({ buying, trial, ...thing }) => ({ ...thing, ...packing, got: buying.state, tried: trial.state })),
    )
  return a === b || (a.length === b.length && plain(a) === plain(b))
}

/** Whether bikes are the same, whatever bags hang on them, and whoever looks them over when. */
function areBikesSame(a: Trip['bikes'], b: Trip['bikes']): boolean {
  const plain = (bikes: Trip['bikes']) =>
    JSON.stringify(
      bikes.map((bike) => ({
        ...bike,
        storage: [],
        jobs: bike.jobs.map(({ by: _, ...job }) => job),
        checks: bike.checks.flatMap(({ check, state }) => (state === 'left' ? [check] : [])).sort(),
      })),
    )
  return a === b || plain(a) === plain(b)
}

/** Whether riders ride the same bikes with the same hands; what they are called and carry is no matter. */
function areHandsSame(a: Trip['crew'], b: Trip['crew']): boolean {
  const plain = (crew: Trip['crew']) =>
    JSON.stringify(
      crew.map(({ id, bikeId, hands, skills, practice, handMostN }) => {
        const levels = practice.map(({ technique, level, on, state }) => [technique, level, on, state])
        return [id, bikeId, hands, skills, levels, handMostN]
      }),
    )
  return a === b || plain(a) === plain(b)
}

/** Whether the dials of two trips are alike but for some of them. */
function isSameBut(
  a: Pick<Trip, 'dials'> | undefined,
  b: Pick<Trip, 'dials'>,
  names: readonly (keyof Dials)[],
): boolean {
  return dialNames.every(
    (name) => names.includes(name) || JSON.stringify(a?.dials[name]) === JSON.stringify(b.dials[name]),
  )
}
