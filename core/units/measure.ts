import { nth } from '../validation'
import {
  BAR_PER_PSI,
  FAHRENHEIT_ZERO_C,
  GRAMS_PER_OUNCE,
  GRAMS_PER_POUND,
  KM_PER_MILE,
  METRES_PER_FOOT,
  ML_PER_FLUID_OUNCE,
  MM_PER_INCH,
  NEWTON_METRE_PER_FOOT_POUND,
  NEWTON_PER_POUND_FORCE,
} from './factors'

/** What a number measures, and how much of the core's unit, the first listed, each unit is. */
const units = {
  mass: { g: 1, kg: 1000, oz: GRAMS_PER_OUNCE, lb: GRAMS_PER_POUND, lbs: GRAMS_PER_POUND },
  distance: { km: 1, m: 0.001, mi: KM_PER_MILE, ft: METRES_PER_FOOT / 1000 },
  time: { h: 1, min: 1 / 60, s: 1 / 3600, d: 24 },
  speed: { 'km/h': 1, mph: KM_PER_MILE },
  height: { m: 1, ft: METRES_PER_FOOT },
  pressure: { bar: 1, psi: BAR_PER_PSI, kpa: 0.01 },
  length: { mm: 1, cm: 10, m: 1000, in: MM_PER_INCH },
  /** A probability or a part of a whole; the core's own is 0 to 1. */
  share: { '%': 0.01 },
  /** Read off a scale whose zero may lie elsewhere. */
  temperature: { '°c': 1, c: 1, '°f': 1 / 1.8, f: 1 / 1.8 },
  torque: { 'n·m': 1, nm: 1, 'lbf·ft': NEWTON_METRE_PER_FOOT_POUND, 'ft·lb': NEWTON_METRE_PER_FOOT_POUND },
  force: { n: 1, lbf: NEWTON_PER_POUND_FORCE },
  energy: { wh: 1, kj: 1 / 3.6 },
  angle: { '°': 1, deg: 1 },
  months: { months: 1, month: 1, weeks: 12 / 52 },
  /** Things that are counted. */
  number: { '': 1 },
  volume: { ml: 1, l: 1000, 'fl oz': ML_PER_FLUID_OUNCE },
} as const satisfies Record<string, Record<string, number>>

export type Quantity = keyof typeof units

/** So many digits of a product are true: 70 % is 0.7 and not 0.7000000000000001. */
const digits = 15

/** Where a scale has its zero, in the core's unit. */
const zeros: Readonly<Record<string, number>> = { '°f': FAHRENHEIT_ZERO_C, f: FAHRENHEIT_ZERO_C }

/** A number without marks between thousands, and a unit. */
const written = /^\s*([+−-]?(?:\d+(?:[.,]\d+)?|[.,]\d+))\s*([a-z%°][a-z/· ]*)?\s*$/i
/** Thousands set apart by spaces of any width or by apostrophes, as they are shown: "1 184". */
const spacedThousands = /(\d{1,3}(?:[\s'’]\d{3})+)(?!\d)/
/** Thousands set apart by commas, "1,200" and "12,345.6"; nobody writes a decimal comma with just three figures after a whole number. */
const commaThousands = /^(\s*[+−-]?)([1-9]\d{0,2}(?:,\d{3})+)(?![\d,])/
/** Thousands set apart by points, which shows by the comma behind them: "1.234,5". */
const pointThousands = /^(\s*[+−-]?)([1-9]\d{0,2}(?:\.\d{3})+)(?=,\d)/

function withoutThousands(text: string): string {
  return text
    .replace(spacedThousands, (digits) => digits.replace(/[\s'’]/g, ''))
    .replace(commaThousands, (_, sign: string, digits: string) => sign + digits.replaceAll(',', ''))
    .replace(pointThousands, (_, sign: string, digits: string) => sign + digits.replaceAll('.', ''))
}

export type Measured = { value: number } | { error: string }

/**
 * Reads a number as people type it: "2 oz", "1,2 lb", "45 psi", "8 mi", "140", "1,200 g"; and as it is shown: "1 184 g".
 *
 * @param text what was typed
 * @param quantity what it measures; the answer is in the core's unit for it
 *   (g, km, h, km/h, m of height, bar, mm, mL, °C; a share as 0 to 1)
 * @param plainUnit the unit meant when none is typed
 * @returns the value, or an error that names what would be understood
 */
export function readMeasure(text: string, quantity: Quantity, plainUnit: string): Measured {
  const known: Record<string, number> = units[quantity]
  const match = written.exec(withoutThousands(text))
  if (!match) return { error: `“${text.trim()}” is not a number; try “${`12 ${plainUnit}`.trim()}”` }
  const unit = (match[2] ?? plainUnit).trim().toLowerCase()
  const factor = known[unit]
  if (factor === undefined) {
    return {
      error:
        quantity === 'number'
          ? `“${text.trim()}” is not a plain number`
          : `“${unit}” is not a unit of ${quantity}; use ${Object.keys(known).join(', ')}`,
    }
  }
  const number = Number(nth(match, 1).replace(',', '.').replace('−', '-'))
  return { value: Number((number * factor + (zeros[unit] ?? 0)).toPrecision(digits)) }
}
