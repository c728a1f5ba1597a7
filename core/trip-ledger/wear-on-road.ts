import type { CostsOfFailing } from '../availability'
import { traitsOf, wholeBike, type Bike } from '../bike'
import { appliesTo, bikeFactor, lifeLeft, type WearingHazard } from '../hazard'
import type { Reference } from '../reference'

/** How something on a bike wears on this very road, in this weather. */
export interface WearOnRoad {
  readonly part: WearingHazard['part']
  /** Life left at the start, 0 to 1. */
  readonly left: number
  /** Kilometres that a new one lasts where nothing is hard on it. */
  readonly lifeKm: number
  /** How many times as fast it wears on this road by this bike. */
  readonly times: number
}

/** The wearing parts of a bike, each as this road and its weather wear it. */
export function wearOnRoad(
  bike: Bike,
  { conditions, lengthKm }: Pick<CostsOfFailing, 'conditions' | 'lengthKm'>,
  { hazards }: Pick<Reference, 'hazards'>,
): WearOnRoad[] {
  const { tyre } = wholeBike(bike)
  const traits = traitsOf(bike, tyre)
  return hazards
    .filter((hazard): hazard is WearingHazard => hazard.kind === 'wearing' && appliesTo(hazard.applies, traits))
    .map((hazard) => ({
      part: hazard.part,
      left: lifeLeft(hazard, bike, tyre.treadLeft),
      lifeKm: hazard.lifeKm,
      times: bikeFactor(hazard, traits, tyre.treadLeft) * (lengthKm > 0 ? conditions.weightedKm(hazard) / lengthKm : 1),
    }))
}
