import gammaCdf from '@stdlib/stats-base-dists-gamma-cdf'
import poissonCdf from '@stdlib/stats-base-dists-poisson-cdf'
import { poissonAtLeast, wornOutAtLeast } from '#core/maths'
import { gammaP } from '#core/maths'
import { describe, expect, it } from 'vitest'

describe('chances', () => {
  // Cumulative Poisson table, Pr(N ≥ k), as printed in E. C. Molina, Poisson's Exponential Binomial Limit (1942),
  // table II; the values here are from memory of such tables, four places.
  it.each([
    [0.1, 1, 0.0952],
    [0.5, 1, 0.3935],
    [0.5, 2, 0.0902],
    [0.5, 3, 0.0144],
    [1, 1, 0.6321],
    [1, 2, 0.2642],
    [1, 3, 0.0803],
    [2, 1, 0.8647],
    [2, 4, 0.1429],
    [5, 6, 0.384],
    [10, 11, 0.417],
  ])('Pr(N ≥ k) for λ = %f, k = %i is %f', (expected, k, probability) => {
    expect(poissonAtLeast(k, expected)).toBeCloseTo(probability, 4)
  })

  // Reference library: @stdlib Poisson distribution.
  it('agrees with a reference library for λ from 0.001 to 60', () => {
    for (const expected of [0.001, 0.02, 0.3, 0.9, 1, 2.5, 7, 20, 60]) {
      for (let k = 1; k <= 12; k++) {
        expect(poissonAtLeast(k, expected)).toBeCloseTo(1 - poissonCdf(k - 1, expected), 12)
      }
    }
  })

  // Reference library: @stdlib Gamma distribution (shape, rate).
  it('has the incomplete gamma function of a reference library', () => {
    for (const a of [0.2, 0.5, 1, 3.7, 12, 80]) {
      for (const x of [0.01, 0.4, 1, 5, 40, 120]) expect(gammaP(a, x)).toBeCloseTo(gammaCdf(x, a, 1), 10)
    }
  })
  // A series cut off after 1000 terms gave 1 here; reference library as above.
  it('holds for large shapes, where a thousand terms of the series are not enough', () => {
    for (const [a, x] of [
      [1e6, 1e6],
      [4e6, 4e6 + 3000],
      [1e8, 1e8],
    ] as const) {
      expect(gammaP(a, x)).toBeCloseTo(gammaCdf(x, a, 1), 8)
    }
    // Central limit theorem: half of a Gamma distribution lies below its mean, but for a third of its skewness.
    expect(gammaP(1e8, 1e8)).toBeCloseTo(0.5, 4)
  })
  it('wears a part out by a Gamma process with the mean and spread it is given', () => {
    const [lives, left, spread] = [0.8, 0.5, 0.4]
    const shape = lives / spread ** 2
    const rate = 1 / spread ** 2
    expect(wornOutAtLeast(1, lives, left, spread)).toBeCloseTo(1 - gammaCdf(left, shape, rate), 10)
    expect(wornOutAtLeast(2, lives, left, spread)).toBeCloseTo(1 - gammaCdf(left + 1, shape, rate), 10)
  })

  it('holds its edges: no wear, nothing left, no events', () => {
    expect(wornOutAtLeast(1, 0, 0.5, 0.3)).toBe(0)
    expect(wornOutAtLeast(1, 0.1, 0, 0.3)).toBe(1)
    expect(poissonAtLeast(0, 3)).toBe(1)
    expect(poissonAtLeast(2, 0)).toBe(0)
    for (const [a, x] of [
      [-1, 2],
      [0, 2],
      [1, -1],
      [NaN, 1],
      [1, NaN],
    ] as const)
      expect(() => gammaP(a, x)).toThrow(`not a = ${a}, x = ${x}`)
    expect(gammaP(1, 0)).toBe(0)
  })
})
