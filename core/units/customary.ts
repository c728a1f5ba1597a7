import {
  BAR_PER_PSI,
  FAHRENHEIT_ZERO_C,
  GRAMS_PER_OUNCE,
  KM_PER_MILE,
  METRES_PER_FOOT,
  ML_PER_FLUID_OUNCE,
  MM_PER_INCH,
  NEWTON_PER_POUND_FORCE,
} from './factors'
import type { Quantity } from './measure'
import type { UnitSystem } from './system'

/** A unit to show an amount in, and how much of the core's own unit it is. */
export interface CustomaryUnit {
  readonly unit: string
  readonly per: number
  readonly decimals: number
  /** Where its scale has its zero, in the core's unit; at the core's own where nothing is said. */
  readonly zero?: number
}

/** What riders type amounts in: things on a scale, places on the road, ways off it, hours, speeds, climbs, chances, weather. */
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
  minutes: {
    quantity: 'time',
    metric: { unit: 'min', per: 1 / 60, decimals: 1 },
    imperial: { unit: 'min', per: 1 / 60, decimals: 1 },
  },
  seconds: {
    quantity: 'time',
    metric: { unit: 's', per: 1 / 3600, decimals: 0 },
    imperial: { unit: 's', per: 1 / 3600, decimals: 0 },
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
  // Bicycle parts are made, marked and sold in millimetres and newton metres, whatever one reads else.
  length: {
    quantity: 'length',
    metric: { unit: 'mm', per: 1, decimals: 1 },
    imperial: { unit: 'mm', per: 1, decimals: 1 },
  },
  torque: {
    quantity: 'torque',
    metric: { unit: 'N·m', per: 1, decimals: 1 },
    imperial: { unit: 'N·m', per: 1, decimals: 1 },
  },
  pressure: {
    quantity: 'pressure',
    metric: { unit: 'bar', per: 1, decimals: 2 },
    imperial: { unit: 'psi', per: BAR_PER_PSI, decimals: 1 },
  },
  volume: {
    quantity: 'volume',
    metric: { unit: 'mL', per: 1, decimals: 0 },
    imperial: { unit: 'fl oz', per: ML_PER_FLUID_OUNCE, decimals: 2 },
  },
  force: {
    quantity: 'force',
    metric: { unit: 'N', per: 1, decimals: 0 },
    imperial: { unit: 'lbf', per: NEWTON_PER_POUND_FORCE, decimals: 0 },
  },
  energy: {
    quantity: 'energy',
    metric: { unit: 'Wh', per: 1, decimals: 1 },
    imperial: { unit: 'Wh', per: 1, decimals: 1 },
  },
  angle: {
    quantity: 'angle',
    metric: { unit: '°', per: 1, decimals: 1 },
    imperial: { unit: '°', per: 1, decimals: 1 },
  },
  months: {
    quantity: 'months',
    metric: { unit: 'months', per: 1, decimals: 1 },
    imperial: { unit: 'months', per: 1, decimals: 1 },
  },
  development: {
    quantity: 'height',
    metric: { unit: 'm', per: 1, decimals: 2 },
    imperial: { unit: 'ft', per: METRES_PER_FOOT, decimals: 1 },
  },
  number: {
    quantity: 'number',
    metric: { unit: '', per: 1, decimals: 2 },
    imperial: { unit: '', per: 1, decimals: 2 },
  },
  /** Events in 1000 km, as they are counted everywhere. */
  rate: {
    quantity: 'number',
    metric: { unit: '', per: 1, decimals: 4 },
    imperial: { unit: '', per: 1, decimals: 4 },
  },
  share: {
    quantity: 'share',
    metric: { unit: '%', per: 0.01, decimals: 1 },
    imperial: { unit: '%', per: 0.01, decimals: 1 },
  },
  rain: {
    quantity: 'length',
    metric: { unit: 'mm', per: 1, decimals: 1 },
    imperial: { unit: 'in', per: MM_PER_INCH, decimals: 2 },
  },
  warmth: {
    quantity: 'temperature',
    metric: { unit: '°C', per: 1, decimals: 0 },
    imperial: { unit: '°F', per: 1 / 1.8, decimals: 0, zero: FAHRENHEIT_ZERO_C },
  },
} as const satisfies Record<string, { quantity: Quantity } & Record<UnitSystem, CustomaryUnit>>
export type Amount = keyof typeof customary

/** An amount in a customary unit, rounded as it is shown. */
export function inUnit(value: number, { per, decimals, zero = 0 }: CustomaryUnit): number {
  // Never −0.
  return Number(((value - zero) / per).toFixed(decimals)) + 0
}
