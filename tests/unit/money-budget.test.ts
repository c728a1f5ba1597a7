import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { CostsOfFailing } from '#core/availability'
import { thingFrom } from '#core/bench'
import { indexLedger } from '#core/ledger'
import { surveyRoad } from '#core/road'
import { bestKit } from '#core/search'
import { inCurrency, type Trip } from '#core/trip'
import { ledgerOfTrip } from '#core/trip-ledger'
import { defined, nth } from '#core/validation'
import { describe, expect, it } from 'vitest'
import { once } from '../once'

/** The demo by one rider, with a bench of things of the catalogue that nobody has yet. */
const demo = demoTrip()
const item = (id: string) => defined(catalogue.items.find((each) => each.id === id))
const ids = ['mini-pump', 'folding-17', 'key-set', 'levers-two', 'patch-kit', 'plug-kit', 'tube-622', 'link-12', 'tape']
const trip: Trip = {
  ...demo,
  bikes: demo.bikes.filter(({ id }) => id === 'mule'),
  crew: demo.crew.filter(({ bikeId }) => bikeId === 'mule'),
  bench: ids.flatMap((id) => catalogue.items.filter((each) => each.id === id)).map((each) => thingFrom(each, each.id)),
  dials: { ...demo.dials, gramsPerHour: 900 },
}
const survey = surveyRoad(trip.road.points)
const costs = once(() => new CostsOfFailing(trip, survey, catalogue))
const ledgerOf = (change: Partial<Trip> = {}, dials: Partial<Trip['dials']> = {}) =>
  ledgerOfTrip({ ...trip, ...change, dials: { ...trip.dials, ...dials } }, survey, catalogue, costs()).ledger
const best = (change: Partial<Trip> = {}, dials: Partial<Trip['dials']> = {}) =>
  bestKit(indexLedger(ledgerOf(change, dials)))
const owning = (owned: number) => trip.bench.map((thing) => ({ ...thing, owned }))

describe('a sum of money for what is not there yet', () => {
  it('binds the kit: the less may be spent, the more is lost, and never more is spent', () => {
    const free = best()
    expect(free.money).toBe(
      trip.bench.reduce((sum, thing, i) => sum + nth(free.counts, i) * item(defined(thing.from)).price, 0),
    )
    const sums = [1, 0.7, 0.4, 0.1, 0].map((share) => Math.round(share * free.money))
    const kits = sums.map((budgetMoney) => best({}, { budgetMoney }))
    kits.forEach(({ money }, i) => expect(money).toBeLessThanOrEqual(nth(sums, i)))
    expect(nth(kits, 0).counts).toEqual(free.counts)
    for (let i = 1; i < kits.length; i++) expect(nth(kits, i).netH).toBeLessThanOrEqual(nth(kits, i - 1).netH + 1e-9)
    expect(nth(kits, 4).netH).toBeLessThan(free.netH - 0.1)
  })
  it('is no matter for what is there already', () => {
    const kit = best({ bench: owning(9) }, { budgetMoney: 0 })
    expect(kit.counts).toEqual(best().counts)
    expect(kit.money).toBe(0)
  })
  it('is no matter for what is of a shed, unless somebody says how many of it there are', () => {
    const pinned = trip.bench.map((thing) => ({ ...thing, shed: thing.id, pin: { min: 1, max: 1 } }))
    const all = trip.bench.reduce((sum, { from }) => sum + item(defined(from)).price, 0)
    expect(best({ bench: pinned }).money).toBe(0)
    expect(best({ bench: pinned.map((thing) => ({ ...thing, owned: 0 })) }).money).toBe(all)
    expect(best({ bench: pinned.map((thing) => ({ ...thing, shed: null })) }).money).toBe(all)
  })
  it('counts only the pieces beyond those that are there', () => {
    const bench = trip.bench.map((thing) => ({ ...thing, count: 3, owned: 1, pin: { min: 3, max: 3 } }))
    const pinned = bench.filter(({ from }) => from === 'tube-622')
    const { money } = best({ bench: pinned })
    expect(money).toBe(2 * item('tube-622').price)
  })
  it('asks what somebody has said that a thing costs, and nothing for what nobody knows the price of', () => {
    const prices = (dials: Partial<Trip['dials']>) =>
      Object.fromEntries(ledgerOf({}, dials).items.map(({ id, price }) => [id, price]))
    expect(prices({ planning: { 'items.mini-pump.price': 1234 } })).toMatchObject({
      'mini-pump': 1234,
      'folding-17': item('folding-17').price,
    })
    const crowns = prices({ currency: 'SEK', planning: { 'items.mini-pump.price': 30_000 } })
    expect(crowns).toMatchObject({ 'mini-pump': 30_000, 'folding-17': 0 })
    expect(
      ledgerOf({ bench: trip.bench.map((thing) => ({ ...thing, from: null })) }).items.map(({ price }) => price),
    ).toEqual(trip.bench.map(() => 0))
  })
  it('was meant in its currency', () => {
    expect(inCurrency({ ...trip.dials, budgetMoney: 5000 }, 'CHF').budgetMoney).toBeNull()
  })
  it('says in money what is pinned and costs more', () => {
    const bench = trip.bench.map((thing) => ({ ...thing, pin: { min: 1, max: 1 } }))
    const all = trip.bench.reduce((sum, { from }) => sum + item(defined(from)).price, 0)
    expect(() => best({ bench }, { budgetMoney: 1250 })).toThrow(
      `budgetMoney: €12.50; expected at least the €${(all / 100).toFixed(2)} of what is pinned`,
    )
    const planning = { 'items.mini-pump.price': 40_000 }
    expect(() => best({ bench }, { budgetMoney: 1250, currency: 'CHF', planning })).toThrow(
      /budgetMoney: CHF\s12\.50; expected at least the CHF\s400\.00 of what is pinned/,
    )
  })
})
