import { GRAMS_PER_OUNCE, KM_PER_MILE, METRES_PER_FOOT } from './factors'
import type { Quantity } from './measure'
import type { UnitSystem } from './words'

/** A unit to show an amount in, and how much of the core's own unit it is. */
export interface CustomaryUnit {
  readonly unit: string
  readonly per: number
  readonly decimals: number
}

/** What riders type amounts in: things on a scale, places on the road, ways off it, hours, speeds, climbs, chances. */
export const customary = {
  mass: {
    quantity: 'mass',
    metric: { unit: 'g', per: 1, decimals: 1 },
    imperial: { unit: 'oz', per: GRAMS_PER_OUNCE, decimals: 1 },
  },
  road: {
    quantity: 'distance',
    metric: { unit: 'km', per: 1, decimals: 1 },
    imperial: { unit: 'mi', per: KM_PER_MILE, decimals: 1 },
  },
  shortWay: {
    quantity: 'distance',
    metric: { unit: 'm', per: 0.001, decimals: 0 },
    imperial: { unit: 'ft', per: METRES_PER_FOOT / 1000, decimals: 0 },
  },
  time: {
    quantity: 'time',
    metric: { unit: 'h', per: 1, decimals: 2 },
    imperial: { unit: 'h', per: 1, decimals: 2 },
  },
  speed: {
    quantity: 'speed',
    metric: { unit: 'km/h', per: 1, decimals: 1 },
    imperial: { unit: 'mph', per: KM_PER_MILE, decimals: 1 },
  },
  height: {
    quantity: 'height',
    metric: { unit: 'm', per: 1, decimals: 0 },
    imperial: { unit: 'ft', per: METRES_PER_FOOT, decimals: 0 },
  },
  share: {
    quantity: 'share',
    metric: { unit: '%', per: 0.01, decimals: 1 },
    imperial: { unit: '%', per: 0.01, decimals: 1 },
  },
} as const satisfies Record<string, { quantity: Quantity } & Record<UnitSystem, CustomaryUnit>>
export type Amount = keyof typeof customary
