/**
 * log Γ(x) for x > 0, to about fifteen digits.
 * Source: C. Lanczos (1964), with the g = 7, n = 9 coefficients of P. Godfrey.
 */
function logGamma(x: number): number {
  const c = [
    0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
    12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
  ]
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - logGamma(1 - x)
  const t = x + 6.5
  const sum = c.slice(1).reduce((total, value, i) => total + value / (x + i), c[0]!)
  return 0.5 * Math.log(2 * Math.PI) + (x - 0.5) * Math.log(t) - t + Math.log(sum)
}

/**
 * The regularised lower incomplete gamma function P(a, x), for a > 0 and x ≥ 0.
 * Source: NIST Digital Library of Mathematical Functions 8.7.1 (series) and
 * 8.9.2 (continued fraction, by Lentz's method).
 */
export function gammaP(a: number, x: number): number {
  if (!(a > 0) || !(x >= 0)) throw new RangeError(`gammaP needs a > 0 and x ≥ 0, not a = ${a}, x = ${x}`)
  if (x === 0) return 0
  const scale = Math.exp(-x + a * Math.log(x) - logGamma(a))
  if (x < a + 1) {
    let term = 1 / a
    let sum = term
    for (let n = 1; n < 1000 && Math.abs(term) > Math.abs(sum) * 1e-16; n++) {
      term *= x / (a + n)
      sum += term
    }
    return Math.min(1, sum * scale)
  }
  const tiny = 1e-300
  let b = x + 1 - a
  let c = 1 / tiny
  let d = 1 / b
  let fraction = d
  for (let n = 1; n < 1000; n++) {
    const an = -n * (n - a)
    b += 2
    d = an * d + b
    d = 1 / (Math.abs(d) < tiny ? tiny : d)
    c = b + an / c
    c = Math.abs(c) < tiny ? tiny : c
    const step = d * c
    fraction *= step
    if (Math.abs(step - 1) < 1e-16) break
  }
  return Math.max(0, 1 - scale * fraction)
}

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
