import type { BikeTrait } from '../bike'
import type { StretchTraits } from '../road'
import type { Hazard, RoadTrait } from './schema'

/** What the bike does to a rate: the product of the multipliers that hold for it. */
export function bikeFactor(hazard: Hazard, traits: ReadonlySet<BikeTrait>): number {
  return hazard.onBike.reduce((product, { when, times }) => (traits.has(when) ? product * times : product), 1)
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
