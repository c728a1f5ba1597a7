import type { Bike } from '../bike'

/** Widest pressure on a rim without hooks, bar. Source: ISO 5775-1, tyres on straight-side rims. */
export const hooklessMostBar = 5

export interface PressureLimit {
  readonly bar: number
  /** Who or what sets it. */
  readonly setBy: 'tyre' | 'rim' | 'hookless rim'
}

/** The lowest of what a wheel's tyre and rim allow, and why; undefined where nothing is known of either. */
export function pressureLimit(bike: Pick<Bike, 'tyres' | 'rims'>, wheel: 'front' | 'rear'): PressureLimit | undefined {
  const { mostBar: ofTyre } = bike.tyres[wheel]
  const { hooked, mostBar: ofRim } = bike.rims[wheel]
  const limits: PressureLimit[] = []
  if (ofTyre !== null) limits.push({ bar: ofTyre, setBy: 'tyre' })
  if (ofRim !== null) limits.push({ bar: ofRim, setBy: 'rim' })
  if (!hooked) limits.push({ bar: hooklessMostBar, setBy: 'hookless rim' })
  return limits.sort((a, b) => a.bar - b.bar)[0]
}
