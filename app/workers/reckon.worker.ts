import { expose } from 'comlink'
import { catalogue } from '~~/catalogue'
import { explainKit, flipOf, type Flip, type Kit } from '~~/core/choose'
import {
  buildLedger,
  Landscape,
  rideView,
  roadView,
  type BuiltLedger,
  type RideView,
  type RoadView,
} from '~~/core/ledger'
import { OpeningBook } from '~~/core/ride'
import { readGpx, surveyRoad, type Survey } from '~~/core/road'
import { faultLines, withRoad, type NewRoad, type Trip } from '~~/core/trip'

/** What the interface is told after each change. */
export interface Reckoning {
  readonly lengthKm: number
  readonly climbM: number | null
  /** Heights along the road for drawing; null when the road has none. */
  readonly profile: { km: Float64Array; eleM: Float64Array } | null
  readonly view: RoadView | null
  /** The ride by date and clock; null while its start is unknown. */
  readonly ride: RideView | null
  readonly kit: Kit | null
  readonly built: BuiltLedger | null
  readonly problems: string[]
}

export type RoadReading =
  | { readonly ok: true; readonly next: NewRoad; readonly points: number; readonly warnings: string[] }
  | { readonly ok: false; readonly lines: string[] }

let trip: Trip | undefined
let survey: Survey = surveyRoad([])
let built: BuiltLedger | undefined
const book = new OpeningBook()

/** Takes the parts that changed, and reckons everything anew. */
function reckon(parts: Partial<Trip>): Reckoning {
  trip = { ...trip, ...parts } as Trip
  if (parts.road) survey = surveyRoad(trip.road.points)
  const road = { lengthKm: survey.lengthKm, climbM: survey.climbM, profile: profileOf(survey) }
  built = undefined
  if (survey.lengthKm <= 0) return { ...road, view: null, ride: null, kit: null, built: null, problems: [] }
  const landscape = new Landscape(trip, survey, catalogue, book)
  const view = roadView(landscape, trip, catalogue)
  const ride = rideView(landscape, trip, survey) ?? null
  built = buildLedger(trip, survey, catalogue, landscape)
  try {
    return { ...road, view, ride, built, kit: explainKit(built.ledger), problems: [] }
  } catch (error) {
    const lines = faultLines(error)
    if (!lines) throw error
    return { ...road, view, ride, built, kit: null, problems: lines }
  }
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

/** Reads a GPX file for a trip; faults come back as lines, for errors do not cross to the page whole. */
function readRoad(text: string, current: Pick<Trip, 'road' | 'stops'>): RoadReading {
  try {
    const gpx = readGpx(text)
    const measured = surveyRoad(gpx.points)
    const next = withRoad(current, gpx, measured, () => crypto.randomUUID().slice(0, 8))
    return { ok: true, next, points: gpx.points.length, warnings: gpx.warnings }
  } catch (error) {
    const lines = faultLines(error)
    if (!lines) throw error
    return { ok: false, lines }
  }
}

const service = { reckon, flip, readRoad }
export type ReckonService = typeof service
expose(service)
