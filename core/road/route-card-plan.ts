import { nth } from '../validation'
import type { Leg } from './route-card'

/** Where a place lies on the plan of a route card, in km from where the road begins. */
export interface CardSpot {
  readonly eastKm: number
  readonly northKm: number
}

const start: CardSpot = { eastKm: 0, northKm: 0 }
const radian = Math.PI / 180

/**
 * The places of a route card as one draws them on squared paper, the beginning first. Over some hundreds of km paper and
 * earth differ; the legs count then, and not the drawing.
 */
export function spotsOfCard(legs: readonly Pick<Leg, 'km' | 'bearing'>[]): CardSpot[] {
  const spots = [start]
  for (const { km, bearing } of legs) {
    const { eastKm, northKm } = nth(spots, spots.length - 1)
    spots.push({ eastKm: eastKm + km * Math.sin(bearing * radian), northKm: northKm + km * Math.cos(bearing * radian) })
  }
  return spots
}

/** A leg is as long as this at least, so that it is one. */
const leastKm = 0.1

/** The leg between two places, as exactly as one draws: to 100 m and a degree. */
export function legBetween(from: CardSpot, to: CardSpot): Pick<Leg, 'km' | 'bearing'> {
  const [east, north] = [to.eastKm - from.eastKm, to.northKm - from.northKm]
  const bearing = (Math.round(Math.atan2(east, north) / radian) + 360) % 360
  return { km: Math.max(leastKm, Math.round(Math.hypot(east, north) * 10) / 10), bearing }
}

/**
 * Puts one place elsewhere; the places before and after it stay where they are.
 *
 * @param place its number, the beginning being 0
 */
export function withSpotMoved<L extends Pick<Leg, 'km' | 'bearing'>>(
  legs: readonly L[],
  place: number,
  to: CardSpot,
): L[] {
  const spots = spotsOfCard(legs)
  return legs.map((leg, i) => {
    if (i === place - 1) return { ...leg, ...legBetween(nth(spots, i), to) }
    if (i === place) return { ...leg, ...legBetween(to, nth(spots, i + 1)) }
    return leg
  })
}

/**
 * Takes a place off the card: the places beside it stay where they are, and what one climbs between them is kept.
 *
 * @param place its number, at least 1: a road begins somewhere
 */
export function withoutPlace<L extends Leg>(legs: readonly L[], place: number): L[] {
  const [before, after] = [legs[place - 1], legs[place]]
  if (!before || !after) return legs.slice(0, -1)
  const spots = spotsOfCard(legs)
  const km = before.km + after.km
  const { bearing } = legBetween(nth(spots, place - 1), nth(spots, place + 1))
  const joined = { ...after, km, bearing, upM: sumOf(before.upM, after.upM), downM: sumOf(before.downM, after.downM) }
  return [...legs.slice(0, place - 1), joined, ...legs.slice(place + 1)]
}

const sumOf = (a: number | null, b: number | null) => (a === null && b === null ? null : (a ?? 0) + (b ?? 0))
