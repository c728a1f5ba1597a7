import { z } from 'zod'
import {
  cardOfLine,
  isSamePlace,
  legSchema,
  lineOfCard,
  mostLegs,
  routeCardSchema,
  surveyRoad,
  valueAt,
  type Survey,
} from '../road'
import { newStop, type Stop } from '../supply'
import { idSchema, numberAt, text } from '../validation'
import { sortedByKm } from './import-road'
import type { Reshaped, RoadParts } from './reshape-road'

/** What a place of a route card is in the trip that it was written from: a stop, and how far along it lay. */
const known = { stopId: idSchema.nullable(), wasKm: z.number().min(0).nullable() }

/** The route card of a trip's road. */
export const tripCardSchema = z.object({
  name: text(200),
  begin: routeCardSchema.shape.begin.extend({ stopId: known.stopId }),
  legs: z.array(legSchema.extend(known)).min(1).max(mostLegs),
})
export type TripCard = z.infer<typeof tripCardSchema>
export type TripLeg = TripCard['legs'][number]

/** The route card of a trip's road; nothing where nobody would write one: see cardOfLine. */
export function cardOfTrip({ road, stops }: RoadParts, survey: Survey): TripCard | undefined {
  const card = cardOfLine(road.points, survey, stops)
  if (!card) return undefined
  const stopAt = (km: number) => stops.find(({ roadKm }) => isSamePlace(roadKm, km))?.id ?? null
  let wasKm = 0
  return {
    name: road.name,
    begin: { ...card.begin, stopId: stopAt(0) },
    legs: card.legs.map((leg) => {
      wasKm += leg.km
      return { ...leg, stopId: stopAt(wasKm), wasKm }
    }),
  }
}

/**
 * Lays a trip along a route card. Its named places are stops: those that were stops stay so, with all that is known of them,
 * and those that were taken off the card, or lost their name, are left out. What lies between two places that were there before, marks and nights too,
 * keeps its share of the way.
 *
 * @param survey of the road as it was
 * @param newId gives a fresh id for each new stop
 * @throws Fault when the legs add up to heights that no road has
 */
export function layCard(before: RoadParts, survey: Survey, card: TripCard, newId: () => string): Reshaped {
  const points = lineOfCard(card)
  const { lengthKm } = surveyRoad(points)
  const places = placesOf(card)
  const written = cardOfTrip(before, survey)
  const offered = written ? placesOf(written).map(({ stopId }) => stopId) : []
  const moved = movedAlong(places, lengthKm)

  const named = places.flatMap(({ name, stopId, roadKm }): Stop[] => {
    const stop = before.stops.find(({ id }) => id === stopId)
    const at = Math.min(roadKm, lengthKm)
    if (name.trim() === '') return []
    return [stop ? { ...stop, name: name.trim(), roadKm: at } : newStop(newId(), name.trim(), at)]
  })
  const others = before.stops
    .filter(({ id }) => !offered.includes(id) && !named.some((stop) => stop.id === id))
    .map((stop) => ({ ...stop, roadKm: moved(stop.roadKm) }))
  const stops = sortedByKm([...named, ...others])
  const isThere = (stopId: string | null) => stops.some(({ id }) => id === stopId)
  return {
    road: {
      name: card.name,
      points,
      stretches: before.road.stretches
        .map((stretch) => ({ ...stretch, fromKm: moved(stretch.fromKm), toKm: moved(stretch.toKm) }))
        .filter(({ fromKm, toKm }) => toKm > fromKm),
    },
    ride: {
      ...before.ride,
      nights: before.ride.nights.map((night) => ({
        ...night,
        roadKm: moved(night.roadKm),
        stop: isThere(night.stop) ? night.stop : null,
      })),
    },
    stops,
    leftOut: before.stops.filter(({ id }) => !isThere(id)).map(({ name }) => name),
  }
}

/** A place of a card, and how far along it lies. */
interface Place {
  readonly name: string
  readonly stopId: string | null
  readonly wasKm: number | null
  readonly roadKm: number
}

function placesOf({ begin, legs }: TripCard): Place[] {
  let roadKm = 0
  const ends = legs.map(({ name, stopId, wasKm, km }) => {
    roadKm += km
    return { name, stopId, wasKm, roadKm }
  })
  return [{ ...begin, wasKm: 0, roadKm: 0 }, ...ends]
}

/** Where a place of the old road lies on the new one, by the places that both have. */
function movedAlong(places: readonly Place[], lengthKm: number): (km: number) => number {
  const both = places.filter((place): place is Place & { wasKm: number } => place.wasKm !== null)
  const was = Float64Array.from(both, ({ wasKm }) => wasKm)
  const now = Float64Array.from(both, ({ roadKm }) => roadKm)
  const last = both.length - 1
  return (km) => {
    const beyondKm = Math.max(0, km - numberAt(was, last))
    return Math.min(valueAt(was, now, km) + beyondKm, lengthKm)
  }
}
