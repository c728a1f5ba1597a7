import { defined } from '../validation'
import type { Bike } from './schema'
import { spokeLengthMm } from './spoke-length'
import type { Wheel } from './wheel'

/** The sides of wheels, as the riders call them; the gears are on the right. */
export const spokePlaces = ['front left', 'front right', 'rear left', 'rear right'] as const
export type SpokePlace = (typeof spokePlaces)[number]

/** Length a spoke of a wheel side should have by the measures of rim and hub, mm. */
export function calculatedSpokeMm(wheel: Wheel, side: 'left' | 'right'): number {
  const { erdMm, crossings, holes, spokeHoleMm } = wheel
  const { flangeMm, offsetMm } = wheel[side]
  return spokeLengthMm({ erdMm, flangeMm, offsetMm, crossings, holes, spokeHoleMm })
}

/** One side of one wheel, and the length its spokes should have. */
export interface WantedSpoke {
  readonly id: string
  readonly lengthMm: number
}

export interface SpokeOfBike extends WantedSpoke {
  readonly place: SpokePlace
  /** Whether somebody has taken one out and measured it. */
  readonly measured: boolean
}

/** The spokes of a bike: measured where they were, else calculated from rim and hub. */
export function spokesOf(bike: Pick<Bike, 'id' | 'wheels'>): SpokeOfBike[] {
  return spokePlaces.map((place): SpokeOfBike => {
    const [end, side] = place.split(' ') as ['front' | 'rear', 'left' | 'right']
    const wheel = bike.wheels[end]
    const { measuredMm } = wheel[side]
    const lengthMm = measuredMm ?? calculatedSpokeMm(wheel, side)
    return { id: `${bike.id}/${place}`, place, lengthMm, measured: measuredMm !== null }
  })
}

/** Length to ask for in a shop, whole mm. */
export function spokeToBuyMm(bike: Pick<Bike, 'id' | 'wheels'>, place: SpokePlace): number {
  return Math.round(defined(spokesOf(bike).find((candidate) => candidate.place === place)).lengthMm)
}
