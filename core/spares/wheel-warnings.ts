import { pressureLimit, pumpsThatHold, ridingBarOf, type PressureLimit } from '../air'
import { calculatedSpokeMm, type Bike } from '../bike'

/** What speaks against a wheel as its passport has it. */
export type WheelWarning =
  | { readonly about: 'pressure'; readonly rideBar: number; readonly limit: PressureLimit }
  | { readonly about: 'valve'; readonly stemMm: number; readonly depthMm: number; readonly pumps: 'few' | 'none' }
  | {
      readonly about: 'spokes'
      readonly side: 'left' | 'right'
      readonly measuredMm: number
      readonly calculatedMm: number
    }

/** A spoke measured so far from what rim and hub make it, mm: one of the two is wrong. Planning value. */
const spokeOffMm = 3

/**
 * Doubts about a wheel: ridden harder than tyre or rim allow, a valve too short for a pump to hold on, spokes that do not
 * go with rim and hub.
 */
export function wheelWarnings(bike: Pick<Bike, 'tyres' | 'rims' | 'wheels'>, end: 'front' | 'rear'): WheelWarning[] {
  const doubts: WheelWarning[] = []
  const rideBar = ridingBarOf(bike.tyres[end])
  const limit = pressureLimit(bike, end)
  if (limit && rideBar > limit.bar) doubts.push({ about: 'pressure', rideBar, limit })
  const { stemMm, depthMm } = bike.rims[end]
  if (stemMm !== null) {
    const pumps = pumpsThatHold(stemMm, depthMm)
    if (pumps !== 'most') doubts.push({ about: 'valve', stemMm, depthMm, pumps })
  }
  const wheel = bike.wheels[end]
  for (const side of ['left', 'right'] as const) {
    const { measuredMm } = wheel[side]
    const calculatedMm = calculatedSpokeMm(wheel, side)
    if (measuredMm !== null && Math.abs(measuredMm - calculatedMm) > spokeOffMm)
      doubts.push({ about: 'spokes', side, measuredMm, calculatedMm })
  }
  return doubts
}
