import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { CostsOfFailing } from '#core/availability'
import { indexLedger, ledgerFormat, readLedger, type IndexedLedger, type Ledger } from '#core/ledger'
import { demandOf, PromiseEvaluator, type Demand } from '#core/promise'
import { surveyRoad } from '#core/road'
import { KitSearch } from '#core/search'
import type { Stop } from '#core/supply'
import type { Trip } from '#core/trip'
import { ledgerOfTrip } from '#core/trip-ledger'
import { nth } from '#core/validation'
import { describe, expect, it } from 'vitest'
import { once } from '../once'
import { seeded } from '../seeded'
import { randomKit, tinyLedger } from '../tiny-ledgers'

/** Few things: what is handed on does not hang on how many there are. */
const demo: Trip = { ...demoTrip(), bench: demoTrip().bench.slice(0, 16) }
const survey = surveyRoad(demo.road.points)
const costsOf = (trip: Trip, earlier?: CostsOfFailing) =>
  new CostsOfFailing(trip, survey, catalogue, undefined, earlier)
const ledgerBy = (trip: Trip, costs: CostsOfFailing): Ledger => ledgerOfTrip(trip, survey, catalogue, costs).ledger

const withStop = (id: string, change: (stop: Stop) => Partial<Stop>): Partial<Trip> => ({
  stops: demo.stops.map((stop) => (stop.id === id ? { ...stop, ...change(stop) } : stop)),
})
const withDials = (dials: Partial<Trip['dials']>): Partial<Trip> => ({ dials: { ...demo.dials, ...dials } })
const withRide = (ride: Partial<Trip['ride']>): Partial<Trip> => ({ ride: { ...demo.ride, ...ride } })
const [firstDay] = demo.forecast.days

/** What a rider changes of a plan, one thing of each kind that failing, or the failures, may depend on. */
const changes: Record<string, Partial<Trip>> = {
  'a service is taken off': withStop('brannock', ({ services }) => ({ services: services.slice(1) })),
  'a shop has other hours': withStop('quillby', ({ services }) => ({
    services: services.map((service) => ({ ...service, hours: 'Mo-Fr 08:00-20:00' })),
  })),
  'a stop is elsewhere': withStop('quillby', () => ({ roadKm: 80 })),
  'a stop lies further off': withStop('quillby', () => ({ offRoadM: 2500 })),
  'a bus no longer goes': withStop('ferrow', () => ({ exit: null })),
  'a bus is waited for longer': withStop('ferrow', () => ({ exitWaitH: 20 })),
  'a big wrench is lent': withStop('quillby', () => ({ bigWrench: true })),
  'a place mends no more': withStop('sallow-mill', () => ({ services: [] })),
  'no lift may be called': withDials({ liftWaitH: demo.dials.liftWaitH === null ? 2 : null }),
  'one walks less a day': withDials({ walkHoursPerDay: 5 }),
  'a night out costs more': withDials({ nightOutH: 12 }),
  'the ride being over costs more': withDials({ rideOverH: 20 }),
  'shops are waited for': withDials({ waitH: 9 }),
  'trust is less': withDials({ trust: 0.3 }),
  'an hour is worth more': withDials({ gramsPerHour: 300 }),
  'the start is later': withRide({ start: '2026-12-05T09:00' }),
  'one rides apart': withRide({ apart: 0.8 }),
  'the first day is wet': {
    forecast: {
      ...demo.forecast,
      days: firstDay ? [{ ...firstDay, rainMm: 30 }, ...demo.forecast.days.slice(1)] : [],
    },
  },
  'a stretch is rough and without signal': {
    road: {
      ...demo.road,
      stretches: [
        { ...nth(demo.road.stretches, 0), surface: 'singletrack', signal: false },
        ...demo.road.stretches.slice(1),
      ],
    },
  },
  'one rides alone': { bikes: demo.bikes.slice(0, 1) },
  'more of a thing is laid': { bench: demo.bench.map((thing) => ({ ...thing, count: thing.count + 1 })) },
  'a thing goes from the bench': { bench: demo.bench.slice(1) },
  'nobody can do much': { crew: demo.crew.map((rider) => ({ ...rider, skills: {} })) },
  'tyres are worn': {
    bikes: demo.bikes.map((bike) => {
      const { front, rear } = bike.tyres
      return { ...bike, tyres: { front: { ...front, treadLeft: 0.2 }, rear: { ...rear, treadLeft: 0.2 } } }
    }),
  },
}

describe('what was worked out for one plan and is used for the next', () => {
  const begun = once(() => {
    const costs = costsOf(demo)
    return { costs, search: KitSearch.forLedger(indexLedger(ledgerBy(demo, costs))) }
  })
  it.each(Object.keys(changes))('says the same as if it were worked out anew: %s', { timeout: 60_000 }, (name) => {
    const plan: Trip = { ...demo, ...changes[name] }
    const { costs, search } = begun()
    search.best()
    const anew = ledgerBy(plan, costsOf(plan))
    const onTop = ledgerBy(plan, costsOf(plan, costs))
    expect(onTop).toEqual(anew)
    const indexed = indexLedger(anew)
    expect(KitSearch.forLedger(indexed, search).best()).toEqual(KitSearch.forLedger(indexed).best())
  })
  it.each([
    ['one starts later in the day', withRide({ start: demo.ride.start?.replace(/T.*/, 'T15:00') ?? null }), {}],
    ['a lift goes to other places', changes['a place mends no more'], withDials({ liftWaitH: 2 })],
  ])('says the same where nothing else changes: %s', { timeout: 60_000 }, (_, change, base) => {
    const begin: Trip = { ...demo, ...base, forecast: { ...demo.forecast, days: [] } }
    const [costs, plan] = [costsOf(begin), { ...begin, ...change }]
    ledgerBy(begin, costs)
    expect(ledgerBy(plan, costsOf(plan, costs))).toEqual(ledgerBy(plan, costsOf(plan)))
  })
  it('goes on through many changes, one after another', { timeout: 120_000 }, () => {
    let [costs, search] = [begun().costs, begun().search]
    let plan: Trip = demo
    for (const name of [
      'a service is taken off',
      'more of a thing is laid',
      'shops are waited for',
      'tyres are worn',
    ]) {
      plan = { ...plan, ...changes[name] }
      costs = costsOf(plan, costs)
      const ledger = ledgerBy(plan, costs)
      search = KitSearch.forLedger(indexLedger(ledger), search)
      expect(ledger).toEqual(ledgerBy(plan, costsOf(plan)))
      expect(search.best()).toEqual(KitSearch.forLedger(indexLedger(ledger)).best())
    }
  })
})

describe('what was worked out of failures that are the same', () => {
  /** A ledger with one number of it otherwise. */
  function otherwise(ledger: IndexedLedger, random: () => number): IndexedLedger {
    const at = Math.floor(random() * ledger.events.length)
    const scaled = (row: Float64Array) => row.map((value) => value * 0.7)
    const events = ledger.events.map((event, e) => {
      if (e !== at) return event
      const what = Math.floor(random() * 5)
      if (what === 0) return { ...event, perLeg: scaled(event.perLeg) }
      if (what === 1) return { ...event, lossH: scaled(event.lossH), walkH: scaled(event.walkH) }
      if (what === 2) return { ...event, fixes: event.fixes.slice(1).map((fix, number) => ({ ...fix, number })) }
      if (what === 3 && event.wear) return { ...event, wear: { ...event.wear, left: event.wear.left / 2 } }
      return {
        ...event,
        fixes: event.fixes.map((fix) => ({ ...fix, hands: fix.hands * 0.8, workH: scaled(fix.workH) })),
      }
    })
    if (random() < 0.3) return { ...ledger, refillChance: ledger.refillChance.map(scaled) }
    return { ...ledger, events: random() < 0.2 ? events.filter((_, e) => e !== at) : events }
  }

  it('promises of 120 tiny ledgers, each changed six times, are those of ledgers that nobody saw before', () => {
    for (let seed = 1; seed <= 120; seed++) {
      const random = seeded(seed)
      const document = tinyLedger(seed)
      let ledger = indexLedger(document)
      let demand: Demand = demandOf(ledger)
      for (let turn = 0; turn < 6; turn++) {
        const kit = randomKit(document, 10 * seed + turn)
        const handedOn = new PromiseEvaluator(ledger, demand).evaluate(kit)
        expect(handedOn, `ledger ${seed}, change ${turn}`).toEqual(new PromiseEvaluator(ledger).evaluate(kit))
        // There, and back again.
        const [from, next] = [ledger, otherwise(ledger, random)]
        ledger = turn % 3 === 2 ? from : next
        demand = demandOf(ledger, turn % 3 === 2 ? demandOf(next, demand) : demand)
      }
    }
  })
  it('is not that of stock of which other amounts are drawn', () => {
    const drawing = (amount: number) =>
      indexLedger(
        readLedger({
          format: ledgerFormat,
          legs: 1,
          items: [{ id: 'patches', massG: 10, max: 1, units: { patch: 4 } }],
          stocks: [{ id: 'patch' }],
          events: [{ id: 'hole', perLeg: [2], lossH: 5, fixes: [{ id: 'mend', uses: { patch: amount }, hands: 1 }] }],
        }),
      )
    const before = demandOf(drawing(4))
    new PromiseEvaluator(before.ledger, before).evaluate([1])
    const fewer = drawing(2)
    expect(PromiseEvaluator.after(before, fewer).evaluate([1])).toEqual(new PromiseEvaluator(fewer).evaluate([1]))
  })
  it('is used where streams are the same, until it has been handed on often', () => {
    const ledger = indexLedger(tinyLedger(7))
    const begun = demandOf(ledger)
    let demand = begun
    for (let times = 0; times < 40; times++) {
      demand = demandOf({ ...ledger }, demand)
      expect(demand.streams).toEqual(begun.streams)
      expect(nth(demand.streams, 0)).toBe(nth(begun.streams, 0))
      expect(demand.workedOut).toBe(begun.workedOut)
    }
    const forgotten = demandOf(ledger, demand)
    expect(forgotten.workedOut).not.toBe(begun.workedOut)
    expect(nth(forgotten.streams, 0)).not.toBe(nth(begun.streams, 0))
    // Other things may bear on any failure.
    const items = ledger.items.map((item) => ({ ...item, condition: item.condition / 2 }))
    expect(demandOf({ ...ledger, items }, begun).workedOut).not.toBe(begun.workedOut)
  })
})
