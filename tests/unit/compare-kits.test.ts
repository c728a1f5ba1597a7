import { ExactEvaluator } from '#core/exact'
import { indexLedger } from '#core/ledger'
import { compareKits, Simulation } from '#core/simulate'
import { describe, expect, it } from 'vitest'
import { tinyLedger } from '../tiny-ledgers'

/** Everything, and everything but the first thing. */
const kitsOf = (ledger: ReturnType<typeof tinyLedger>) => {
  const all = ledger.items.map(({ max }) => max)
  return { all, without: all.map((count, i) => (i === 0 ? 0 : count)) }
}

describe('two kits on the same trips', () => {
  it('differ by nothing where they are the same', () => {
    const ledger = tinyLedger(3)
    const { all } = kitsOf(ledger)
    const same = compareKits(indexLedger(ledger), all, all, { trips: 500, seed: 4 })
    for (const difference of [same.hours, same.walkH, same.stranded]) expect(difference).toEqual({ mean: 0, se: 0 })
    expect(same.first).toEqual(same.second)
  })
  it('are each drawn as alone, and differ by the difference of their means', () => {
    const ledger = indexLedger(tinyLedger(5))
    const { all, without } = kitsOf(tinyLedger(5))
    const { first, second, hours, walkH, stranded } = compareKits(ledger, all, without, { trips: 2000, seed: 9 })
    const alone = (counts: number[]) => {
      const simulation = new Simulation(ledger, counts, 9)
      simulation.run(2000)
      return simulation.report()
    }
    expect([first, second]).toEqual([alone(all), alone(without)])
    expect(hours.mean).toBeCloseTo(second.meanH - first.meanH, 9)
    expect(walkH.mean).toBeCloseTo(second.walkH - first.walkH, 9)
    expect(stranded.mean).toBeCloseTo(second.stranded - first.stranded, 9)
  })
  it('turned round differ by as much the other way', () => {
    const ledger = indexLedger(tinyLedger(8))
    const { all, without } = kitsOf(tinyLedger(8))
    const [there, back] = [
      compareKits(ledger, all, without, { trips: 1000, seed: 2 }),
      compareKits(ledger, without, all, { trips: 1000, seed: 2 }),
    ]
    expect(back.hours.mean).toBeCloseTo(-there.hours.mean, 12)
    expect(back.hours.se).toBeCloseTo(there.hours.se, 12)
  })
  it('differ as the exact hours do, within the standard errors that are told, which are small', () => {
    let [within, compared, surer] = [0, 0, 0]
    for (let seed = 1; seed <= 24; seed++) {
      const tiny = tinyLedger(seed)
      const { all, without } = kitsOf(tiny)
      const ledger = indexLedger(tiny)
      const exact = new ExactEvaluator(ledger)
      const exactH = exact.evaluate(without).promiseH - exact.evaluate(all).promiseH
      const { hours, first, second } = compareKits(ledger, all, without, { trips: 4000, seed })
      if (hours.se === 0) continue
      compared++
      if (Math.abs(hours.mean - exactH) <= 2.58 * hours.se) within++
      if (hours.se < Math.hypot(first.seH, second.seH)) surer++
    }
    expect(compared).toBeGreaterThan(12)
    // Of 100 such intervals 99 hold what is meant: of two dozen one may not.
    expect(within).toBeGreaterThanOrEqual(compared - 1)
    expect(surer).toBe(compared)
  })
  it('of few trips have no standard error', () => {
    const { all, without } = kitsOf(tinyLedger(5))
    expect(compareKits(indexLedger(tinyLedger(5)), all, without, { trips: 1, seed: 1 }).hours.se).toBe(0)
  })
})
