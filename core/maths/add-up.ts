import { nth } from '../validation'

/**
 * Rounds numbers to whole steps so that they add up to their rounded sum: the fractions that are largest are rounded up
 * (largest remainder; M. L. Balinski and H. P. Young, Fair Representation, 1982).
 *
 * @param sum in whole steps, where it is another than the rounded sum of the values
 * @returns whole numbers
 */
export function addingUp(values: readonly number[], sum = Math.round(values.reduce((a, b) => a + b, 0))): number[] {
  const whole = values.map(Math.floor)
  const short = sum - whole.reduce((a, b) => a + b, 0)
  if (values.length === 0 || short === 0) return whole
  const byFraction = values
    .map((value, i) => ({ i, fraction: value - Math.floor(value) }))
    .sort((a, b) => b.fraction - a.fraction)
  for (let step = 0; step < Math.abs(short); step++) {
    const { i } = nth(byFraction, (short > 0 ? step : values.length - 1 - (step % values.length)) % values.length)
    whole[i] = nth(whole, i) + Math.sign(short)
  }
  return whole
}
