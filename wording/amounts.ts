import {
  GRAMS_PER_OUNCE,
  GRAMS_PER_POUND,
  KM_PER_MILE,
  METRES_PER_FOOT,
  customary,
  inUnit,
  type Amount,
  type UnitSystem,
} from '#core/units'

const thin = '\u202f'

/** A whole number with thin spaces between thousands: 9 410. */
export function grouped(value: number): string {
  const digits = Math.abs(Math.round(value)).toString()
  const sign = Math.round(value) < 0 ? '−' : ''
  return sign + (digits.length < 4 ? digits : digits.replace(/\B(?=(\d{3})+$)/g, thin))
}

/** Hours of walking in words: "5.2 h", "34 min", "20 s". */
export function hoursInWords(hours: number): string {
  const size = Math.abs(hours)
  const sign = hours < 0 ? '−' : ''
  if (size < 1 / 7200) return '0 min'
  if (size < 0.75 / 60) return `${sign}${Math.round(size * 3600)} s`
  if (size < 0.995) return `${sign}${Math.max(1, Math.round(size * 60))} min`
  if (size < 99.95) return `${sign}${size.toFixed(1)} h`
  return `${sign}${grouped(size)} h`
}

/** A mass in words: "1 184 g", or "2.6 lb" / "1.4 oz" for readers of ounces. */
export function gramsInWords(grams: number, system: UnitSystem): string {
  if (system === 'imperial') {
    return Math.abs(grams) >= GRAMS_PER_POUND
      ? `${(grams / GRAMS_PER_POUND).toFixed(1)} lb`
      : `${(grams / GRAMS_PER_OUNCE).toFixed(1)} oz`
  }
  return Math.abs(grams) < 9.95 && !Number.isInteger(grams) ? `${grams.toFixed(1)} g` : `${grouped(grams)} g`
}

/** What a mass is counted in, as a word: "grams", "ounces". */
export const massWord = (system: UnitSystem) => (system === 'imperial' ? 'ounces' : 'grams')

/** A mass that one feels in the hand, to spread an effect over: 100 g, or 4 oz. */
export const handfulG = (system: UnitSystem) => (system === 'imperial' ? 4 * GRAMS_PER_OUNCE : 100)

/** How much one climbs on some way, in words: "10 m in a kilometre", "53 ft in a mile". */
export function climbRateInWords(metresPerKm: number, system: UnitSystem): string {
  return system === 'imperial'
    ? `${climbInWords(metresPerKm * KM_PER_MILE, system)} in a mile`
    : `${climbInWords(metresPerKm, system)} in a kilometre`
}

/** A place or length along the road in words: "212 km", "131.7 mi". */
export function kmInWords(km: number, system: UnitSystem): string {
  const value = system === 'imperial' ? km / KM_PER_MILE : km
  const unit = system === 'imperial' ? 'mi' : 'km'
  return `${Math.abs(value) < 9.95 ? value.toFixed(1) : grouped(value)} ${unit}`
}

/** A stretch of the road in words: "km 71–311", "mi 44–193". */
export function stretchInWords(fromKm: number, toKm: number, system: UnitSystem): string {
  const [unit, perUnit] = system === 'imperial' ? ['mi', KM_PER_MILE] : ['km', 1]
  return `${unit} ${grouped(fromKm / perUnit)}–${grouped(toKm / perUnit)}`
}

/** A climb in words: "9 410 m", "30 873 ft". */
export function climbInWords(metres: number, system: UnitSystem): string {
  return system === 'imperial' ? `${grouped(metres / METRES_PER_FOOT)} ft` : `${grouped(metres)} m`
}

/** A probability in words: "61 %", "0.4 %", "< 0.1 %". */
export function chanceInWords(probability: number): string {
  const percent = probability * 100
  if (percent > 0 && percent < 0.1) return `< 0.1${thin}%`
  if (percent > 99.9 && percent < 100) return `> 99.9${thin}%`
  return `${percent < 9.95 && percent > 0 ? percent.toFixed(1) : Math.round(percent)}${thin}%`
}

/** An amount as this person reads it: "2.14 bar", "31 psi", "3 min". */
export function amountInWords(value: number, amount: Amount, system: UnitSystem): string {
  if (amount === 'time') return hoursInWords(value)
  const customaryUnit = customary[amount][system]
  return `${inUnit(value, customaryUnit)} ${customaryUnit.unit}`.trim()
}

/** A range as this person reads it, at once: "4–6 N·m". */
export function rangeInWords(least: number, most: number, amount: Amount, system: UnitSystem): string {
  const upTo = amountInWords(most, amount, system)
  return least === most ? upTo : `${inUnit(least, customary[amount][system])}–${upTo}`
}

/** How far an amount may be off, to two figures and no finer than the amount is shown: "± 31 psi"; empty for nothing. */
export function spreadInWords(off: number, amount: Amount, system: UnitSystem): string {
  // A difference has no zero of its own scale.
  const unit = { ...customary[amount][system], zero: 0 }
  const size = Number(inUnit(off, unit).toPrecision(2))
  if (size === 0) return ''
  return `± ${amount === 'time' ? hoursInWords(off) : `${size} ${unit.unit}`.trim()}`
}

/**
 * By how much something is more or less in the mean, with the interval in which 95 of 100 such means lie: "0.4 h less ± 0.1 h".
 *
 * @param write the amount, without a sign
 */
export function differenceInWords(
  { mean, se }: { readonly mean: number; readonly se: number },
  write: (amount: number) => string,
): string {
  const off = 1.96 * se
  if (mean === 0 && se === 0) return 'just the same'
  const amount = `${write(Math.abs(mean))} ${mean < 0 ? 'less' : 'more'} ± ${write(off)}`
  return Math.abs(mean) <= off ? `${amount}: none to be sure of` : amount
}
