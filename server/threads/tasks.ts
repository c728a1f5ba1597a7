import { z } from 'zod'
import { catalogue } from '#catalogue'
import { checkAgainst, Fault } from '#core/validation'
import { dateOf, minutesPerDay, Timetable, type Locality, type WallMinutes } from '#core/ride'
import { pointBefore, positionAt, surveyRoad, type Survey } from '#core/road'
import type { CounterQuestion, Service } from '#core/supply'
import { partNames, readTripText, revisionSchema, type Trip } from '#core/trip'
import { storedParts, partChange, type StoredParts, type PartChange } from '../db/stored-parts'
import type { WeatherQuestion } from '../stand-ins/forecast'

export { weighBetweenShops } from './door'

/**
 * Work on whole trips that may take a second or more, and that nobody else shall wait for: it is done in a thread of
 * its own where a trip is long (pool.ts). So each takes and gives what can be handed from thread to thread.
 */

/** @throws Faults where the bytes are no trip document */
export function readDocument(bytes: Uint8Array): StoredParts {
  return storedParts(readTripText(textOf(bytes), catalogue))
}

const saveSchema = z.object({
  save: z.uuid(),
  changes: z
    .array(z.object({ part: z.enum(partNames), base: revisionSchema, value: z.unknown() }))
    .min(1)
    .max(partNames.length),
})

export interface Save {
  readonly save: string
  readonly changes: readonly PartChange[]
}

/** @throws Faults where the bytes are no save; what is wrong with a part's value is told with the part */
export function readSave(bytes: Uint8Array): Save {
  const { save, changes } = checkAgainst(saveSchema, jsonOf(textOf(bytes)))
  return { save: save.toLowerCase(), changes: changes.map(({ part, base, value }) => partChange(part, base, value)) }
}

export interface AtCounter {
  readonly question: CounterQuestion
  readonly shop: Service
  readonly locality: Locality
  readonly now: WallMinutes
}

/** What is asked over the counter of a stop, where and when. @throws Fault where the trip has no such stop */
export function counterQuestion(asked: {
  document: Uint8Array
  stop: string
  kind: string
  classId: string
  /** Minutes since 1970, by the clock of the world. */
  minutes: number
}): AtCounter {
  const { stop: stopId, kind, classId } = asked
  const trip = keptTrip(asked.document)
  const stop = trip.stops.find(({ id }) => id === stopId)
  const shop = stop?.services.find((service) => service.kind === kind)
  if (!stop || !shop) throw new Fault('stop', `"${stopId}" with a ${kind}`, 'a stop of the trip that has this service')
  const position = positionAt(trip.road.points, surveyRoad(trip.road.points), stop.roadKm)
  return {
    question: { place: stop.name, kind, classId },
    shop,
    locality: { ...position, country: trip.ride.country },
    now: asked.minutes + (trip.ride.utcOffsetH / 24) * minutesPerDay,
  }
}

/** The days and places of a ride whose weather is to be asked for. @throws Fault where it has no road or no start */
export function weatherQuestions(document: Uint8Array): WeatherQuestion[] {
  const trip = keptTrip(document)
  const survey = surveyRoad(trip.road.points)
  if (survey.lengthKm <= 0) throw new Fault('road.points', 'no road', 'a road; import a GPX file first')
  if (trip.ride.start === null) throw new Fault('ride.start', 'null', 'the day on which the ride begins')
  // Two short rides may begin on the same date; it has one weather.
  const byDate = new Map<string, WeatherQuestion>()
  for (const day of new Timetable(survey, trip.road, trip.ride).days) {
    const date = dateOf(day.startsAt)
    const { lat } = positionAt(trip.road.points, survey, day.fromKm)
    const eleM = Math.max(byDate.get(date)?.eleM ?? -Infinity, highest(survey, day.fromKm, day.toKm))
    byDate.set(date, { date, lat, eleM })
  }
  return [...byDate.values()]
}

function highest({ km, eleM }: Survey, fromKm: number, toKm: number): number {
  return eleM ? eleM.subarray(pointBefore(km, fromKm), pointBefore(km, toKm) + 1).reduce((a, b) => Math.max(a, b)) : 0
}

/** What the server keeps was checked when it was saved, and again when it was read from the tables. */
const keptTrip = (document: Uint8Array) => JSON.parse(textOf(document)) as Trip

const textOf = (bytes: Uint8Array) => new TextDecoder().decode(bytes)

function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    throw new Fault('the request', 'not JSON', 'JSON')
  }
}
