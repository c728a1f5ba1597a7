import { boundLine, leastLostH, type BoundLine } from '#core/bound'
import { ExactEvaluator } from '#core/exact'
import { frontier } from '#core/frontier'
import { indexLedger, massOf } from '#core/ledger'
import { nth } from '#core/validation'
import loadHighs from 'highs'
import { describe, expect, it } from 'vitest'
import { tinyLedger } from '../tiny-ledgers'

const highs = await loadHighs()

/** Every kit of a small ledger. */
function* everyKit(most: readonly number[]): Generator<number[]> {
  const counts = most.map(() => 0)
  for (;;) {
    yield [...counts]
    const at = counts.findIndex((count, i) => count < nth(most, i))
    if (at < 0) return
    counts.fill(0, 0, at)
    counts[at] = nth(counts, at) + 1
  }
}
const linesOf = (ledger: ReturnType<typeof tinyLedger>): BoundLine[] =>
  [...frontier(ledger, 8)]
    .filter(({ gramsPerHour }) => gramsPerHour > 0)
    .map((kit) => boundLine(ledger, kit, highs, 20))

describe('the bound of a frontier', () => {
  it.each([1, 2, 4, 7, 11])('lies below every kit there is, followed through all that can come (%d)', (seed) => {
    const ledger = tinyLedger(seed)
    const indexed = indexLedger({ ...ledger, pins: {}, budgetG: null })
    const lines = linesOf(ledger)
    expect(lines.length).toBeGreaterThan(0)
    const exact = new ExactEvaluator(indexed)
    let tightest = Infinity
    for (const counts of everyKit(indexed.items.map(({ max }) => max))) {
      const { promiseH } = exact.evaluate(counts)
      const leastH = leastLostH(lines, massOf(indexed, counts))
      expect(promiseH).toBeGreaterThan(leastH - 1e-6)
      tightest = Math.min(tightest, promiseH - leastH)
    }
    // It bounds something: some kit comes near.
    const emptyH = exact.evaluate(indexed.items.map(() => 0)).promiseH
    expect(tightest).toBeLessThan(0.35 * emptyH)
  })
  it('is at each mass the highest of its lines, and never below nothing: by hand', () => {
    const lines = [
      { gramsPerHour: 100, leastCostH: 5 },
      { gramsPerHour: 1000, leastCostH: 2 },
    ]
    expect(leastLostH(lines, 0)).toBe(5)
    expect(leastLostH(lines, 300)).toBe(2)
    expect(leastLostH(lines, 1000)).toBe(1)
    expect(leastLostH(lines, 9000)).toBe(0)
    expect(leastLostH([], 100)).toBe(0)
  })
  it('does not rise with mass', () => {
    const lines = linesOf(tinyLedger(3))
    for (let massG = 50; massG < 2000; massG += 50)
      expect(leastLostH(lines, massG)).toBeLessThanOrEqual(leastLostH(lines, massG - 50))
  })
})
