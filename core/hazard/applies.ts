import type { Bike, BikeTrait } from '../bike'
import type { StretchTraits } from '../road'
import type { Applies, Hazard, RoadTrait, WearingHazard } from './schema'

/** Whether a bike with these traits has the part that fails, or may use the fix. */
export function appliesTo(applies: Applies, traits: ReadonlySet<BikeTrait>): boolean {
  return applies.all.every((trait) => traits.has(trait)) && !applies.none.some((trait) => traits.has(trait))
}

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

/** Share of its life that the wearing part has left at departure. */
export function lifeLeft(hazard: WearingHazard, bike: Bike, treadLeft: number): number {
  switch (hazard.part) {
    case 'pads':
      return bike.padLeft
    case 'chain':
      return bike.chainLeft
    case 'sealant':
      return bike.sealantLeft
    case 'tread':
      return treadLeft
    case 'lube':
      return 1
  }
}
