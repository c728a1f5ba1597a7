import type { Bike } from '../bike'
import type { WearingHazard } from './schema'

/** Share of its life that the wearing part has left at departure. */
export function lifeLeft(hazard: WearingHazard, bike: Bike, treadLeft: number): number {
  switch (hazard.part) {
    case 'pads':
      return bike.padLeft
    case 'chain':
      return bike.chainLeft
    case 'cables':
      return bike.cablesLeft
    case 'sealant':
      return bike.sealantLeft
    case 'tread':
      return treadLeft
    case 'lube':
      return 1
  }
}
