import { programOf } from '../../core/bound/program'
import { servedAtMost, timesFull } from '../../core/bound/pooled-demand'
import { prove } from '#core/bound'
import { bestExactKit } from '#core/exact'
import { indexLedger, ledgerFormat, readLedger } from '#core/ledger'
import { bestKit, choiceOf } from '#core/search'
import { nth } from '#core/validation'
import loadHighs from 'highs'
import { describe, expect, it } from 'vitest'
import { workedExample } from '../worked-example'

const highs = await loadHighs()

describe('the pooled demand of a stock', () => {
  it('without refills is E[min(N, n)] of the whole trip: Σ min(k, n)·e^−λ·λ^k/k!', () => {
    const mean = 1.7
    const byHand = (n: number) => {
      let [sum, chance] = [0, Math.exp(-mean)]
      for (let k = 1; k < 60; k++) {
        chance *= mean / k
        sum += Math.min(k, n) * chance
      }
      return sum
    }
    servedAtMost([0.5, 1.2], 0, new Float64Array(2), 5).forEach((served, n) =>
      expect(served).toBeCloseTo(byHand(n), 12),
    )
  })
  it('with a refill by chance is each stretch by itself, or both as one', () => {
    const whole = servedAtMost([2], 0, new Float64Array(1), 3)
    const parts = [0.5, 1.5].map((mean) => servedAtMost([mean], 0, new Float64Array(1), 3))
    const served = servedAtMost([0.5, 1.5], 0, Float64Array.of(0, 0.7), 3)
    served.forEach((each, n) => {
      expect(each).toBeCloseTo(0.3 * nth(whole, n) + 0.7 * (nth(nth(parts, 0), n) + nth(nth(parts, 1), n)), 12)
    })
    expect(timesFull(Float64Array.of(0, 0.7, 0.2))).toBeCloseTo(1.9, 12)
  })
  it('with a sure refill is the stretches before and after, each by itself, and what comes otherwise is served besides', () => {
    const stretch = (mean: number) => servedAtMost([mean], 0, new Float64Array(1), 2)
    const served = servedAtMost([0.4, 0.6, 0.9], 0.25, Float64Array.of(0, 0, 1), 2)
    expect(served[0]).toBe(0)
    for (const n of [1, 2]) expect(nth(served, n)).toBeCloseTo(nth(stretch(1), n) + nth(stretch(0.9), n) + 0.25, 12)
    // A refill that never comes true is none, and what the first leg says of one is nothing.
    const never = servedAtMost([0.4, 0.6], 0, Float64Array.of(1, 0), 2)
    never.forEach((each, n) => expect(each).toBeCloseTo(nth(stretch(1), n), 12))
  })
})

describe('the bound', () => {
  it('counts what bare hands mend for no kit: where hands do all that can be done, no kit saves anything', () => {
    const byHand = { id: 'by hand', hands: 0.9, holds: 0.8, workH: 0.2, residualH: 0.1 }
    const withPliers = { ...byHand, id: 'with pliers', needs: ['grip'], holds: 0.85 }
    const ledger = indexLedger(
      readLedger({
        format: ledgerFormat,
        legs: 1,
        gramsPerHour: 100,
        items: [{ id: 'pliers', massG: 140, max: 1, provides: ['grip'] }],
        events: [{ id: 'caught', perLeg: [0.3], lossH: 10, fixes: [byHand, withPliers] }],
      }),
    )
    const best = bestExactKit(ledger)
    expect(best.counts).toEqual([0])
    const kit = choiceOf(ledger, best.counts)
    // By hand: 0.3 · (10 − 0.9 · 0.8 · (10 − 0.1) + 0.2).
    expect(kit.emptyH).toBeCloseTo(0.3 * (10 - 0.72 * 9.9 + 0.2), 9)
    const { boundNetH } = prove(ledger, kit, highs)
    expect(boundNetH).toBeGreaterThan(best.netH - 1e-6)
    // A pair of pliers would end at most all that hands can, less the tenth and the fifth of an hour: worth less than its grams.
    expect(boundNetH).toBeLessThan(0.1)
  })
  it.each([50, 300, 1000, 4000])(
    'at %d g an hour lies above the best kit of the worked example, and near',
    (gramsPerHour) => {
      const ledger = indexLedger({ ...workedExample(), gramsPerHour })
      const best = bestExactKit(ledger)
      const { boundNetH, gap } = prove(ledger, choiceOf(ledger, best.counts), highs)
      expect(boundNetH).toBeGreaterThan(best.netH - 1e-6)
      // Of two ways to mend a flat it grants the better one to every failure.
      expect(boundNetH - best.netH).toBeLessThan(0.15 * best.emptyH)
      expect(gap).toBeGreaterThanOrEqual(0)
    },
  )
  it('is exact for one failure, one fix and one piece: saving · Pr(N ≥ 1), less its grams', () => {
    const ledger = indexLedger(
      readLedger({
        format: ledgerFormat,
        legs: 1,
        items: [{ id: 'spare', massG: 100, max: 1, units: { spare: 1 } }],
        stocks: [{ id: 'spare' }],
        events: [
          { id: 'broken', perLeg: [0.5], lossH: 6, fixes: [{ id: 'fit', uses: { spare: 1 }, hands: 1, workH: 1 }] },
        ],
        gramsPerHour: 1000,
      }),
    )
    const { boundNetH, gap } = prove(ledger, choiceOf(ledger, [1]), highs)
    expect(boundNetH).toBeCloseTo(5 * (1 - Math.exp(-0.5)) - 0.1, 6)
    expect(gap).toBeLessThan(1e-4)
  })
  it('grants nothing without a tool, beyond a budget or against a pin', () => {
    const ledger = (change: object) => indexLedger({ ...workedExample(), gramsPerHour: 1000, ...change })
    const boundOf = (change: object) =>
      prove(ledger(change), choiceOf(ledger(change), new Int32Array(8)), highs).boundNetH
    expect(boundOf({ budgetG: 0 })).toBeCloseTo(0, 6)
    expect(boundOf({ budgetG: 149 })).toBeLessThan(0.2)
    const items = workedExample().items.map((item) => ({ ...item, price: 100, owned: 0 }))
    expect(boundOf({ items, budgetMoney: 0 })).toBeCloseTo(0, 6)
    // What is there already has to be bought no more.
    const owned = items.map((item) => ({ ...item, owned: item.max }))
    expect(boundOf({ items: owned, budgetMoney: 0 })).toBeCloseTo(boundOf({}), 6)
    // Of some a piece is there: a kit of those costs nothing, and no bound lies below it.
    const some = indexLedger({
      ...workedExample(),
      gramsPerHour: 1000,
      items: items.map((item) => ({ ...item, max: item.max + 1, owned: 1 })),
      budgetMoney: 0,
    })
    const free = bestKit(some)
    expect(free.netH).toBeGreaterThan(0.2)
    expect(prove(some, free, highs).boundNetH).toBeGreaterThan(free.netH - 1e-6)
    const [two, all] = [boundOf({ items, budgetMoney: 200 }), boundOf({})]
    expect(two).toBeGreaterThan(0.01)
    expect(two).toBeLessThan(all)
    expect(boundOf({ items, budgetMoney: 400 })).toBeGreaterThan(two)
    expect(boundOf({ pins: { levers: { min: 0, max: 0 } } })).toBeLessThan(0.2)
    expect(programOf(ledger({})).columns.filter(({ isWhole }) => isWhole)).toHaveLength(8 + 4)
  })
})
