import { nth } from '../validation'

/** What each rider would carry of a load by the shares that they wish; alike where nobody wishes any. */
export function fairLoads(loads: ArrayLike<number>, shares: readonly number[]): number[] {
  let inAll = 0
  for (let rider = 0; rider < loads.length; rider++) inAll += nth(loads, rider)
  const wished = shares.reduce((sum, share) => sum + share, 0)
  return shares.map((share) => inAll * (wished > 0 ? share / wished : 1 / shares.length))
}

/**
 * How uneven a load is: so many grams of it would have to change riders for everybody to carry what they wish.
 *
 * @param loads what each rider carries, g
 * @param shares how much of it each would carry, against each other
 * As a share of the load this is the index of E. M. Hoover, The Review of Economics and Statistics 18 (1936), p. 162.
 */
export function unevenG(loads: ArrayLike<number>, shares: readonly number[]): number {
  const fair = fairLoads(loads, shares)
  let sum = 0
  for (let rider = 0; rider < fair.length; rider++) sum += Math.max(0, nth(loads, rider) - nth(fair, rider))
  return sum
}
