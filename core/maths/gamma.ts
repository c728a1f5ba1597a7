import gammainc from '@stdlib/math-base-special-gammainc'

/**
 * The regularised lower incomplete gamma function P(a, x), for a > 0 and x ≥ 0.
 * Source: NIST Digital Library of Mathematical Functions 8.2.4, by the library stdlib.
 */
export function gammaP(a: number, x: number): number {
  if (!(a > 0) || !(x >= 0)) throw new RangeError(`gammaP needs a > 0 and x ≥ 0, not a = ${a}, x = ${x}`)
  return gammainc(x, a)
}
