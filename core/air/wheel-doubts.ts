import type { Bike } from '../bike'
import { pressureLimit, type PressureLimit } from './limits'
import { rideBarOf } from './of-tyre'
import { pumpsThatHold } from './stem'

/** What speaks against riding a wheel as its passport has it. */
export type WheelDoubt =
  | { readonly about: 'pressure'; readonly rideBar: number; readonly limit: PressureLimit }
  | { readonly about: 'valve'; readonly stemMm: number; readonly depthMm: number; readonly pumps: 'few' | 'none' }

/** Doubts about a wheel: ridden harder than tyre or rim allow, a valve too short for a pump to hold on. */
export function wheelDoubts(bike: Pick<Bike, 'tyres' | 'rims'>, wheel: 'front' | 'rear'): WheelDoubt[] {
  const doubts: WheelDoubt[] = []
  const rideBar = rideBarOf(bike.tyres[wheel])
  const limit = pressureLimit(bike, wheel)
  if (limit && rideBar > limit.bar) doubts.push({ about: 'pressure', rideBar, limit })
  const { stemMm, depthMm } = bike.rims[wheel]
  if (stemMm !== null) {
    const pumps = pumpsThatHold(stemMm, depthMm)
    if (pumps !== 'most') doubts.push({ about: 'valve', stemMm, depthMm, pumps })
  }
  return doubts
}
