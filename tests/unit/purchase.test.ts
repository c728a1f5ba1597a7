import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { CostsOfFailing } from '#core/availability'
import { isSupply, shopOf, thingSchema } from '#core/bench'
import { ExactEvaluator } from '#core/exact'
import { indexLedger, onLeg } from '#core/ledger'
import { PromiseEvaluator } from '#core/promise'
import { surveyRoad } from '#core/road'
import { KitSearch } from '#core/search'
import { Simulation } from '#core/simulate'
import type { Trip } from '#core/trip'
import { ledgerOfTrip, purchaseOf } from '#core/trip-ledger'
import { defined, nth } from '#core/validation'
import { base, line, referenceWith, shopAt } from '../level-road'
import { once } from '../once'
import { describe, expect, it } from 'vitest'

/** What is bought where, on a bench that is otherwise the same. */
const buying = (trip: Trip, stopId: string | null, ...things: readonly string[]): Trip => ({
  ...trip,
  bench: trip.bench.map((thing) => (things.includes(thing.id) ? { ...thing, boughtAt: stopId } : thing)),
})

describe('a thing that is bought on the way, on a level road of 100 km with a shop at km 40', () => {
  const reference = referenceWith()
  const survey = surveyRoad(line)
  const lay = (trip: Trip) => ledgerOfTrip(trip, survey, reference).ledger
  const ledger = lay(buying(base, 'town', 'tube'))
  const [lever, tube] = [nth(ledger.items, 0), nth(ledger.items, 1)]
  const flat = nth(ledger.events, 0)
  const swap = nth(flat.fixes, 0)

  it('weighs for the 60 km that it is carried, is as sure as the shop, and has to be paid for', () => {
    expect(tube.massG).toBeCloseTo(0.6 * 150, 6)
    expect(lever.massG).toBe(20)
    // Nine in ten shops of this kind have it, whatever became of the old one that lies at home.
    expect(tube.condition).toBeCloseTo(0.9, 12)
    const owning = { ...base, bench: base.bench.map((thing) => ({ ...thing, owned: 2 })) }
    expect(lay(owning).items.map(({ owned }) => owned)).toEqual([2, 2])
    expect(lay(buying(owning, 'town', 'tube')).items.map(({ owned }) => owned)).toEqual([2, 0])
  })

  it('mends nothing before the shop, and as much as any other after it', () => {
    const usual = nth(nth(lay(base).events, 0).fixes, 0)
    expect(onLeg(swap.residualH, 0)).toBe(onLeg(flat.lossH, 0))
    expect(onLeg(swap.residualWalkH, 0)).toBe(onLeg(flat.walkH, 0))
    expect(onLeg(swap.residualH, 1)).toBe(onLeg(usual.residualH, 1))
    expect(onLeg(usual.residualH, 0)).toBeLessThan(onLeg(flat.lossH, 0))
  })

  it('promises what one works out by hand: it helps in the first failure behind the shop, if the lever works', () => {
    const [before, after] = [nth(flat.perLeg, 0), nth(flat.perLeg, 1)]
    const gainH =
      lever.condition * (swap.hands * 0.9 * (onLeg(flat.lossH, 1) - onLeg(swap.residualH, 1)) - onLeg(swap.workH, 1))
    const byHandH = before * onLeg(flat.lossH, 0) + after * onLeg(flat.lossH, 1) - (1 - Math.exp(-after)) * gainH
    const indexed = indexLedger(ledger)
    expect(gainH).toBeGreaterThan(0.5)
    expect(new ExactEvaluator(indexed).evaluate([1, 1]).promiseH).toBeCloseTo(byHandH, 9)
    expect(new PromiseEvaluator(indexed).evaluate([1, 1]).promiseH).toBeCloseTo(byHandH, 3)
    const drawn = new Simulation(indexed, [1, 1], 7)
    drawn.run(40_000)
    const { meanH, seH } = drawn.report()
    expect(Math.abs(meanH - byHandH)).toBeLessThan(4 * seH)
  })

  it('stands beside one that comes along from the start, which is there on the whole road', () => {
    const another = { ...nth(base.bench, 1), id: 'another', boughtAt: 'town', count: 1 }
    const both = lay({ ...base, bench: [...base.bench, another] })
    const units = both.items.map((item) => Object.keys(item.units))
    expect(units).toEqual([[], ['tube-622'], ['tube-622/another']])
    const hours = (counts: number[]) => new ExactEvaluator(indexLedger(both)).evaluate(counts).promiseH
    expect(hours([1, 1, 0])).toBeLessThan(hours([1, 0, 1]))
    expect(hours([1, 1, 1])).toBeLessThan(hours([1, 1, 0]))
    expect(nth(both.stocks, 1).refills).toEqual(nth(both.stocks, 0).refills)
  })

  it.each([
    ['at the start is there at once, if the shop has it', 0, { leg: 0, carried: 1 }],
    ['at the end of the road is of no use', 100, { leg: 2, carried: 0 }],
  ])('that lies %s', (_, roadKm, expected) => {
    const stops = [...base.stops, { ...shopAt(), id: 'edge', roadKm }]
    const trip = buying({ ...base, stops }, 'edge', 'tube')
    const costs = new CostsOfFailing(trip, survey, reference)
    expect(purchaseOf(nth(trip.bench, 1), stops, costs)).toMatchObject(expected)
    const indexed = indexLedger(lay(trip))
    const [bare, kit] = [
      [0, 0],
      [1, 2],
    ].map((counts) => new PromiseEvaluator(indexed).evaluate(counts).promiseH)
    if (expected.carried === 0) expect(kit).toBe(bare)
    else expect(kit).toBeLessThan(defined(bare))
  })

  it('is never had where the shop lacks it, or is shut', () => {
    const trip = { ...base, stops: [shopAt({ 'tube-622': 0 })] }
    expect(nth(lay(buying(trip, 'town', 'tube')).items, 1).condition).toBe(0)
    const shut = { ...base, stops: [shopAt({}, 'off')] }
    expect(nth(lay(buying(shut, 'town', 'tube')).items, 1).condition).toBe(0)
  })

  it('comes along from the start where its stop is gone, and where it is a tool', () => {
    expect(lay(buying(base, 'nowhere', 'tube'))).toEqual(lay(base))
    expect(lay(buying(base, 'town', 'lever'))).toEqual(lay(base))
    const plugKit = thingSchema.parse({
      id: 'p',
      name: 'p',
      massG: 1,
      units: { plug: 5 },
      provides: ['awl'],
      boughtAt: 'town',
    })
    expect(isSupply(plugKit)).toBe(false)
    expect(shopOf(plugKit, base.stops)).toBeUndefined()
    expect(shopOf({ ...plugKit, provides: [] }, base.stops)).toBe(nth(base.stops, 0))
  })
})

describe('a thing of the demo that is bought on the way', { timeout: 120_000 }, () => {
  const demo = demoTrip()
  const survey = surveyRoad(demo.road.points)
  const costs = once(() => new CostsOfFailing(demo, survey, catalogue))
  const laid = once(() => ledgerOfTrip(demo, survey, catalogue, costs()).ledger)
  const now = once(() => KitSearch.forLedger(indexLedger(laid())).best())
  const shops = once(() =>
    demo.bench.flatMap((thing, i) =>
      nth(now().counts, i) === 0
        ? []
        : demo.stops.flatMap(({ id: stopId }) => {
            const purchase = purchaseOf({ ...thing, boughtAt: stopId }, demo.stops, costs())
            return purchase && purchase.chance > 0.3 && purchase.leg > 0 && purchase.carried > 0.2
              ? [{ i, thing, stopId }]
              : []
          }),
    ),
  )

  // A fresh one may be better than an old one; and what is not there yet cannot be spent before it is needed more.
  it('promises no more than a good one that comes along, with as many of each', () => {
    const good = shops().filter(({ thing }) => thing.condition === 1)
    expect(good.length).toBeGreaterThan(3)
    const nowH = new PromiseEvaluator(indexLedger(laid())).evaluate(now().counts).promiseH
    for (const { thing, stopId } of good.slice(0, 6)) {
      const { ledger } = ledgerOfTrip(buying(demo, stopId, thing.id), survey, catalogue, costs())
      const hours = new PromiseEvaluator(indexLedger(ledger)).evaluate(now().counts).promiseH
      expect([thing.id, stopId, hours >= nowH - 0.01]).toEqual([thing.id, stopId, true])
    }
  })

  it('is found by the search where that is best, and left where it is not: nothing with more or fewer of it is better', () => {
    for (const { i, thing, stopId } of shops().slice(0, 4)) {
      const { ledger } = ledgerOfTrip(buying(demo, stopId, thing.id), survey, catalogue, costs())
      const indexed = indexLedger({ ...ledger, gramsPerHour: laid().gramsPerHour })
      const { counts, promiseH, massG } = KitSearch.forLedger(indexed).best()
      const evaluator = new PromiseEvaluator(indexed)
      const costOf = (hours: number, grams: number) => hours + grams / defined(laid().gramsPerHour)
      for (let n = 0; n <= thing.count; n++) {
        const other = counts.map((count, item) => (item === i ? n : count))
        const otherG = indexed.items.reduce((sum, item, each) => sum + item.massG * nth(other, each), 0)
        const otherH = evaluator.evaluate(other).promiseH
        expect(costOf(promiseH, massG)).toBeLessThanOrEqual(costOf(otherH, otherG) + 1e-6)
      }
    }
  })
})
