import { gammaP } from './gamma'

/**
 * Pr(N ≥ k) for N ~ Poisson(λ).
 *
 * @param k whole number, 0 or more
 * @param expected λ, the events expected, 0 or more
 * Source: Pr(N ≥ k) = P(k, λ), NIST Digital Library of Mathematical Functions 8.4.10.
 */
export function poissonAtLeast(k: number, expected: number): number {
  return k <= 0 ? 1 : gammaP(k, expected)
}

/**
 * Chance of wearing out k times or more.
 *
 * Wear along the road is a Gamma process: after using up `lives` lives on
 * average, the wear has mean `lives` and variance `lives · spread²`. The k-th
 * part is gone once the wear passes what was left at the start and k − 1 whole
 * lives more.
 *
 * @param left life left at the start, 0 to 1
 * @param spread standard deviation of one life as a share of its mean
 * Source: J. M. van Noortwijk, "A survey of the application of gamma processes
 * in maintenance", Reliability Engineering & System Safety 94 (2009).
 */
export function wornOutAtLeast(k: number, lives: number, left: number, spread: number): number {
  if (lives <= 0) return 0
  const limit = left + k - 1
  if (limit <= 0) return 1
  return 1 - gammaP(lives / spread ** 2, limit / spread ** 2)
}
