import { expose } from 'comlink'
import { catalogue } from '~~/catalogue'
import { explainKit, flipOf, type Flip, type Kit } from '~~/core/choose'
import {
  buildLedger,
  classesOf,
  hoursAtStake,
  Landscape,
  lanesOf,
  readOut,
  remediesFor,
  rideView,
  roadView,
  type BuiltLedger,
  type Lane,
  type ReadOut,
  type Remedy,
  type RideView,
  type RoadView,
} from '~~/core/ledger'
import { OpeningBook, readOpening, readWallClock, weekOf, type OpenDay } from '~~/core/ride'
import { planOf, positionAt, readGpx, surveyRoad, withLines, type GpxRoad, type Plan, type Survey } from '~~/core/road'
import { faultLines, joined, withRoad, type Along, type NewRoad, type Reshaped, type Trip } from '~~/core/trip'

/** What the interface is told after each change. */
export interface Reckoning {
  readonly lengthKm: number
  readonly climbM: number | null
  /** Heights along the road for drawing; null when the road has none. */
  readonly profile: { km: Float64Array; eleM: Float64Array } | null
  readonly view: RoadView | null
  /** The road from above; null where there is none. */
  readonly plan: Plan | null
  /** Where each class can be had, the class first on which most hours hang. */
  readonly lanes: readonly Lane[]
  /** Expected hours of walking that hang on each class when nothing is carried. */
  readonly stakes: Readonly<Record<string, number>>
  /** The ride by date and clock; null while its start is unknown. */
  readonly ride: RideView | null
  readonly kit: Kit | null
  readonly built: BuiltLedger | null
  readonly problems: string[]
}

/** One line of a file that was read, for choosing. */
export interface ReadLine {
  readonly name: string
  readonly points: number
  readonly km: number
}

export type RoadReading =
  | {
      readonly ok: true
      readonly next: NewRoad
      readonly points: number
      readonly warnings: string[]
      readonly lines: ReadLine[]
      readonly recordedAt: string | null
    }
  | { readonly ok: false; readonly lines: string[] }
export type RoadJoining =
  { readonly ok: true; readonly next: Reshaped } | { readonly ok: false; readonly lines: string[] }

export type HoursReading =
  | { readonly ok: true; readonly tidy: string; readonly warnings: readonly string[]; readonly week: OpenDay[] }
  | { readonly ok: false; readonly error: string }

let trip: Trip | undefined
let survey: Survey = surveyRoad([])
let plan: Plan | null = null
let landscape: Landscape | undefined
let built: BuiltLedger | undefined
let read: GpxRoad | undefined
const book = new OpeningBook()

/** Takes the parts that changed, and reckons everything anew. */
function reckon(parts: Partial<Trip>): Reckoning {
  trip = { ...trip, ...parts } as Trip
  if (parts.road) {
    survey = surveyRoad(trip.road.points)
    plan = survey.lengthKm > 0 ? planOf(trip.road.points, survey) : null
  }
  const line = { lengthKm: survey.lengthKm, climbM: survey.climbM, profile: profileOf(survey), plan }
  built = undefined
  landscape = undefined
  if (survey.lengthKm <= 0)
    return { ...line, view: null, lanes: [], stakes: {}, ride: null, kit: null, built: null, problems: [] }
  landscape = new Landscape(trip, survey, catalogue, book)
  built = buildLedger(trip, survey, catalogue, landscape)
  const stakes = hoursAtStake(built)
  const lanes = lanesOf(landscape, trip, classesOf(trip, catalogue))
  const road = {
    ...line,
    view: roadView(landscape, trip, catalogue),
    lanes: lanes.sort((a, b) => (stakes[b.classId] ?? 0) - (stakes[a.classId] ?? 0)),
    stakes,
    ride: rideView(landscape, trip, survey) ?? null,
  }
  try {
    return { ...road, built, kit: explainKit(built.ledger), problems: [] }
  } catch (error) {
    const lines = faultLines(error)
    if (!lines) throw error
    return { ...road, built, kit: null, problems: lines }
  }
}

/** What would shorten the longest gap of a class. */
function remedies(classId: string): Remedy[] {
  return trip && landscape ? remediesFor(trip, survey, catalogue, classId, book) : []
}

/** All that is to be said of one place of the road. */
function readPlace(roadKm: number): ReadOut | null {
  return trip && landscape ? readOut(landscape, trip, survey, Math.min(roadKm, survey.lengthKm), catalogue) : null
}

/** About 600 heights are all a strip can show. */
function profileOf({ km, eleM }: Survey): Reckoning['profile'] {
  if (!eleM) return null
  const step = Math.max(1, Math.floor(km.length / 600))
  const kept = Array.from({ length: Math.ceil(km.length / step) }, (_, i) => i * step)
  return { km: Float64Array.from(kept, (i) => km[i]!), eleM: Float64Array.from(kept, (i) => eleM[i]!) }
}

function flip(itemId: string): Flip | null {
  return built ? flipOf(built.ledger, itemId) : null
}

/** Opening hours as they are understood at a place of the road, on the days about when one comes by. */
function readHours(text: string, roadKm: number): HoursReading {
  if (!trip || !landscape) return { ok: false, error: 'there is no road yet' }
  const locality = { ...positionAt(trip.road.points, survey, roadKm), country: trip.ride.country }
  const opening = readOpening(text, locality)
  if ('error' in opening) return { ok: false, error: opening.error }
  const from = landscape.timetable?.clockAt(roadKm) ?? readWallClock(new Date().toISOString().slice(0, 16))
  return { ok: true, tidy: opening.tidy, warnings: opening.warnings, week: weekOf(opening, from) }
}

/** Reads a GPX file for a trip; faults come back as lines, for errors do not cross to the page whole. */
function readRoad(text: string, current: Pick<Trip, 'road' | 'stops'>): RoadReading {
  return told(() => {
    read = readGpx(text)
    return laidOut(read, read, current)
  })
}

/** Takes some lines of the file that was read last, in the order given. */
function readLines(picked: readonly number[], current: Pick<Trip, 'road' | 'stops'>): RoadReading {
  return told(() => {
    if (!read) throw new Error('no file has been read')
    return laidOut(read, withLines(read, picked), current)
  })
}

function laidOut(file: GpxRoad, gpx: GpxRoad, current: Pick<Trip, 'road' | 'stops'>): RoadReading {
  const next = withRoad(current, gpx, surveyRoad(gpx.points), newId)
  const lines = file.lines.map(({ name, points }) => ({ name, points: points.length, km: surveyRoad(points).lengthKm }))
  return {
    ok: true,
    next,
    points: gpx.points.length,
    warnings: gpx.warnings,
    lines,
    recordedAt: file.recordedAt,
  }
}

/** Puts a GPX file on the end of a trip's road. */
function joinRoad(text: string, along: Along): RoadJoining {
  return told(() => ({ ok: true, next: joined(along, readGpx(text), newId) }))
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

const service = { reckon, flip, remedies, readPlace, readHours, readRoad, readLines, joinRoad }
export type ReckonService = typeof service
expose(service)
