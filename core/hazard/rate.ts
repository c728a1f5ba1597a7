import type { BikeTrait } from '../bike'
import type { StretchTraits } from '../road'
import type { Hazard, RoadTrait } from './schema'

/**
 * What the bike does to a rate: the product of the multipliers that hold for it, and of what the tread does.
 *
 * @param treadLeft of the tyre that is meant, as a share of a new one
 */
export function bikeFactor(hazard: Hazard, traits: ReadonlySet<BikeTrait>, treadLeft: number): number {
  const ofTraits = hazard.onBike.reduce((product, { when, times }) => (traits.has(when) ? product * times : product), 1)
  return ofTraits * treadFactor(hazard, treadLeft)
}

/**
 * What the tread does to a rate: little while half of it is left, most at the end, by the square of what is worn off. That
 * most flats come late in the life of a tyre is common practice, no source.
 *
 * @param treadLeft as a share of a new one
 */
export function treadFactor({ onWornTread }: Hazard, treadLeft: number): number {
  return 1 + (onWornTread - 1) * (1 - treadLeft) ** 2
}

/** What is true of a piece of the road, on a wet day or a dry one. */
export function roadTraitsOf(piece: StretchTraits, rain: boolean): Set<RoadTrait> {
  const traits = new Set<RoadTrait>([piece.surface])
  if (piece.thorns) traits.add('thorns')
  if (piece.wet || rain) traits.add('wet')
  return traits
}

/** What the road does to a rate: the product of the multipliers that hold there. */
export function roadFactor(hazard: Hazard, traits: ReadonlySet<RoadTrait>): number {
  return hazard.onRoad.reduce((product, { when, times }) => (traits.has(when) ? product * times : product), 1)
}
