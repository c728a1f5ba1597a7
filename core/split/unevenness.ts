import { numberAt } from '../validation'

/** What share of a load each rider would carry by what they wish; alike where nobody wishes any. Together they are 1. */
export function fairShares(wished: readonly number[]): Float64Array {
  const all = wished.reduce((sum, share) => sum + share, 0)
  return Float64Array.from(wished, (share) => (all > 0 ? share / all : 1 / wished.length))
}

/**
 * How uneven a load is: so many grams of it would have to change riders for everybody to carry what they wish.
 *
 * @param loads what each rider carries, g
 * @param shares what share of all of it each would carry, together 1
 * As a share of the load this is the index of E. M. Hoover, The Review of Economics and Statistics 18 (1936), p. 162.
 */
export function unevenG(loads: Float64Array, shares: Float64Array): number {
  let [inAll, sum] = [0, 0]
  for (const load of loads) inAll += load
  for (let rider = 0; rider < loads.length; rider++)
    sum += Math.max(0, numberAt(loads, rider) - inAll * numberAt(shares, rider))
  return sum
}
