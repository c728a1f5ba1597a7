import { ExactEvaluator } from '#core/exact'
import { indexLedger, type IndexedLedger, type Ledger } from '#core/ledger'
import { compareOnSameTrips, SameTrips, Simulation, type Side } from '#core/simulate'
import { defined, nth } from '#core/validation'
import { describe, expect, it } from 'vitest'
import { tinyLedger } from '../tiny-ledgers'

/** Everything, and everything but the first thing. */
const kitsOf = (ledger: ReturnType<typeof tinyLedger>) => {
  const all = ledger.items.map(({ max }) => max)
  return { all, without: all.map((count, i) => (i === 0 ? 0 : count)) }
}

const sides = (ledger: IndexedLedger, kits: readonly ArrayLike<number>[]): Side[] =>
  kits.map((counts) => ({ ledger, counts }))

describe('kits on the same trips', () => {
  it('differ by nothing where they are the same', () => {
    const ledger = tinyLedger(3)
    const { all } = kitsOf(ledger)
    const { reports, fromFirst } = compareOnSameTrips(sides(indexLedger(ledger), [all, all]), { trips: 500, seed: 4 })
    for (const difference of Object.values(nth(fromFirst, 1))) expect(difference).toEqual({ mean: 0, se: 0 })
    expect(nth(reports, 0)).toEqual(nth(reports, 1))
  })
  it('are each drawn as alone, and differ from the first by the difference of their means', () => {
    const ledger = indexLedger(tinyLedger(5))
    const { all, without } = kitsOf(tinyLedger(5))
    const kits = [all, without, all.map(() => 0)]
    const { reports, fromFirst } = compareOnSameTrips(sides(ledger, kits), { trips: 2000, seed: 9 })
    const alone = (counts: number[]) => {
      const simulation = new Simulation(ledger, counts, 9)
      simulation.run(2000)
      return simulation.report()
    }
    expect(reports).toEqual(kits.map(alone))
    const first = nth(reports, 0)
    for (const [i, { hours, walkH, stranded }] of fromFirst.entries()) {
      const report = nth(reports, i)
      expect(hours.mean).toBeCloseTo(report.meanH - first.meanH, 9)
      expect(walkH.mean).toBeCloseTo(report.walkH - first.walkH, 9)
      expect(stranded.mean).toBeCloseTo(report.stranded - first.stranded, 9)
    }
  })
  it('are the same whether drawn at once or by and by', () => {
    const ledger = indexLedger(tinyLedger(5))
    const { all, without } = kitsOf(tinyLedger(5))
    const byAndBy = new SameTrips(sides(ledger, [all, without]), 9)
    for (let i = 0; i < 4; i++) byAndBy.run(250)
    expect(byAndBy.soFar).toEqual(compareOnSameTrips(sides(ledger, [all, without]), { trips: 1000, seed: 9 }))
  })
  it('turned round differ by as much the other way', () => {
    const ledger = indexLedger(tinyLedger(8))
    const { all, without } = kitsOf(tinyLedger(8))
    const differing = (...kits: number[][]) =>
      nth(compareOnSameTrips(sides(ledger, kits), { trips: 1000, seed: 2 }).fromFirst, 1)
    const [there, back] = [differing(all, without), differing(without, all)]
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
      const { reports, fromFirst } = compareOnSameTrips(sides(ledger, [all, without]), { trips: 4000, seed })
      const { hours } = nth(fromFirst, 1)
      if (hours.se === 0) continue
      compared++
      if (Math.abs(hours.mean - exactH) <= 2.58 * hours.se) within++
      if (hours.se < Math.hypot(nth(reports, 0).seH, nth(reports, 1).seH)) surer++
    }
    expect(compared).toBeGreaterThan(12)
    // Of 100 such intervals 99 hold what is meant: of two dozen one may not.
    expect(within).toBeGreaterThanOrEqual(compared - 1)
    expect(surer).toBe(compared)
  })
  it('of few trips have no standard error', () => {
    const { all, without } = kitsOf(tinyLedger(5))
    const { fromFirst } = compareOnSameTrips(sides(indexLedger(tinyLedger(5)), [all, without]), { trips: 1, seed: 1 })
    expect(nth(fromFirst, 1).hours.se).toBe(0)
  })
})

describe('plans on the same trips', () => {
  const options = { trips: 4000, seed: 6 }
  const against = (plan: Ledger, other: Ledger) => {
    const [here, there] = [plan, other].map((ledger) => indexLedger(ledger))
    const counts = plan.items.map(({ max }) => max)
    const side = (ledger: IndexedLedger | undefined): Side => ({ ledger: defined(ledger), counts })
    const { reports, fromFirst } = compareOnSameTrips([side(here), side(there)], options)
    const { hours } = nth(fromFirst, 1)
    const exactH =
      new ExactEvaluator(side(there).ledger).evaluate(counts).promiseH -
      new ExactEvaluator(side(here).ledger).evaluate(counts).promiseH
    return { hours, exactH, apartSe: Math.hypot(nth(reports, 0).seH, nth(reports, 1).seH) }
  }
  /** One of its failures comes oftener, by a tenth. */
  const oftener = (ledger: Ledger): Ledger => ({
    ...ledger,
    events: ledger.events.map((event, i) =>
      i > 0 ? event : { ...event, perLeg: event.perLeg.map((rate) => rate * 1.1) },
    ),
  })

  it('are the same trip where all that may fail bears the same ids, in whatever order it stands', () => {
    const ledgers = Array.from({ length: 16 }, (_, seed) => tinyLedger(seed))
    const byChance = ledgers.filter(({ stocks }) =>
      stocks.some(({ refills }) => refills.some(({ chance }) => chance < 1)),
    )
    expect(byChance.length).toBeGreaterThan(3)
    for (const ledger of byChance) {
      const { hours } = against(ledger, {
        ...ledger,
        events: [...ledger.events].reverse(),
        stocks: [...ledger.stocks].reverse(),
      })
      expect(hours.mean).toBeCloseTo(0, 9)
      expect(hours.se).toBeCloseTo(0, 9)
    }
  })
  it('are drawn by others where it bears another id', () => {
    const ledger = tinyLedger(5)
    const other = { ...ledger, events: ledger.events.map((event) => ({ ...event, id: `${event.id} elsewhere` })) }
    const { hours, apartSe } = against(ledger, other)
    expect(hours.se).toBeGreaterThan(0.7 * apartSe)
    expect(Math.abs(hours.mean)).toBeLessThan(4 * hours.se)
  })
  it('differ as the exact hours do where one failure comes oftener, and far more surely than if each were drawn alone', () => {
    let [compared, within, surer] = [0, 0, 0]
    for (let seed = 1; seed <= 24; seed++) {
      const ledger = tinyLedger(seed)
      const { hours, exactH, apartSe } = against(ledger, oftener(ledger))
      if (hours.se === 0) continue
      compared++
      if (Math.abs(hours.mean - exactH) <= 2.58 * hours.se) within++
      if (hours.se < apartSe / 2) surer++
    }
    expect(compared).toBeGreaterThan(12)
    expect(within).toBeGreaterThanOrEqual(compared - 1)
    expect(surer).toBeGreaterThanOrEqual(compared - 1)
  })
})
