import { catalogue, evenings } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { catalogueItemSchema } from '#core/bench'
import { indexLedger } from '#core/ledger'
import { logEntrySchema, type LogEntry } from '#core/log'
import { packedKit } from '#core/pack'
import { formatWallClock } from '#core/ride'
import { spokenPosition, surveyRoad } from '#core/road'
import { choiceOf } from '#core/search'
import {
  atThePlace,
  carriedAsPacked,
  eveningOf,
  onwardOf,
  promiseAhead,
  restock,
  roadAhead,
  triage,
  whatIsLeft,
  whatWouldMend,
  whereSettled,
} from '#core/trail'
import type { Trip } from '#core/trip'
import { writeLedger } from '#core/trip-ledger'
import { defined, nth } from '#core/validation'
import { convert } from 'geo-coordinates-parser'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { base, line, pushH, referenceWith, shopAt } from '../level-road'

const at = '2026-06-14T12:00'
const reference = referenceWith()
const survey = surveyRoad(line)
const laid = writeLedger(base, survey, reference)
const carried = [
  { rider: 'r', thing: 'lever', count: 1, bag: 'tin' },
  { rider: 'r', thing: 'tube', count: 2, bag: '' },
]
const shopTube = {
  id: 'shop-tube',
  name: 'Tube',
  group: 'air and tyres',
  massG: 150,
  volumeMl: 100,
  longestMm: 100,
  price: 700,
  units: { 'tube-622': 1 },
}
const entry = (fields: object): LogEntry => logEntrySchema.parse({ id: 'e', at, ...fields })
const used = (count: number) =>
  entry({
    id: `used ${count}`,
    kind: 'gone',
    why: 'used',
    spent: [{ thing: 'tube', stock: 'tube-622', amount: count }],
  })
const rideAt = (roadKm: number, log: readonly LogEntry[] = [], trip: Trip = base, known = reference) => {
  const told = { ...trip, log: [...log] }
  return { trip: told, survey, laid, kit: whatIsLeft(told, carried, known), position: { roadKm, at } }
}
const onwardAt = (...[roadKm, log, trip]: Parameters<typeof rideAt>) =>
  onwardOf(rideAt(roadKm, log, trip), reference, ['r'])

describe('what is ahead, on a level road with a shop at km 40', () => {
  it('is the next place of each class, with what there is of it', () => {
    const { classes, stops, report, toHelp } = roadAhead(onwardAt(20), survey, reference)
    expect(classes).toMatchObject([{ classId: 'tube-622', place: { stop: 'town', roadKm: 40 }, have: 2 }])
    expect(stops).toMatchObject([{ stop: 'town', roadKm: 40, canLeave: false, services: [{ name: 'shop' }] }])
    expect(report.nearest.walkH).toBeCloseTo(20 * pushH, 1)
    expect(nth(toHelp, 0)).toMatchObject({ km: 20 })
    expect(nth(toHelp, 0).hours).toBeCloseTo(20 * pushH, 1)
    expect(defined(toHelp.at(-1)).km).toBeCloseTo(survey.lengthKm, 6)
  })

  it('one is at a stop that lies a stone’s throw behind, and past one that lies farther', () => {
    expect(roadAhead(onwardAt(40.05), survey, reference).stops).toHaveLength(1)
    const past = roadAhead(onwardAt(41), survey, reference)
    expect(past.stops).toEqual([])
    expect(past.classes).toMatchObject([{ place: null, perhaps: null }])
  })

  it('a place that one does not trust is only told of as perhaps', () => {
    const doubted = { ...base, stops: [shopAt({ 'tube-622': 0.4 })] }
    expect(roadAhead(onwardAt(20, [], doubted), survey, reference).classes).toMatchObject([
      { place: null, perhaps: { stop: 'town', finding: 'doubtful' } },
    ])
  })

  it('and of two places the doubtful one is told of only where it comes first', () => {
    const at = (id: string, roadKm: number, chance: number) => ({
      ...shopAt({ 'tube-622': chance }),
      id,
      name: id,
      roadKm,
    })
    const next = (stops: Trip['stops']) =>
      nth(roadAhead(onwardAt(20, [], { ...base, stops }), survey, reference).classes, 0)
    expect(next([at('first', 30, 0.4), at('then', 40, 0.9)])).toMatchObject({
      perhaps: { stop: 'first' },
      place: { stop: 'then' },
    })
    expect(next([at('first', 40, 0.9), at('then', 50, 0.4)])).toMatchObject({ perhaps: null, place: { stop: 'first' } })
  })

  it('without a tube, ten km before the end, costs what walking to the end does', () => {
    // One in 1000 km; a way of d km costs 2 d pushes while it is shorter than three hours (model § 2): 10 pushes in the mean.
    const { promiseH } = promiseAhead(onwardAt(90, [used(2)]))
    expect(promiseH).toBeCloseTo((10 / 1000) * 10 * pushH, 3)
  })

  it('tells where a failure is settled: ahead, and behind', () => {
    const settledAt = (roadKm: number) => {
      const here = atThePlace(rideAt(roadKm), reference, ['r'])
      return whereSettled(here, triage(here, { hazard: 'flat', bikeId: 'b' }).note)
    }
    expect(settledAt(20)).toMatchObject({ ahead: { stop: 'town' }, behind: null })
    expect(settledAt(60)).toMatchObject({ ahead: null, behind: { stop: 'town' } })
  })
})

describe('what is bought on the way', () => {
  const restockAt = (roadKm: number, log: readonly LogEntry[], trip: Trip = base) => {
    const ride = rideAt(roadKm, log, trip)
    return restock(ride, reference, carried, onwardOf(ride, reference, ['r']))
  }

  it('is what was used up, at the next place that has it, and spares what another tube spares from there on', () => {
    const found = restockAt(20, [used(1)])
    expect(found).toMatchObject([{ stop: 'town', purchases: [{ thing: 'tube', classId: 'tube-622', amount: 1 }] }])
    // The same by another way: the ride from the shop on with one tube, and with two.
    const leaves = formatWallClock(defined(onwardAt(20).costs.timetable).stayAt(40).leaves)
    const fromShop = (log: readonly LogEntry[]) => {
      const there = onwardOf({ ...rideAt(40, log), position: { roadKm: 40, at: leaves } }, reference, ['r'])
      return choiceOf(
        indexLedger(there.laid.ledger),
        there.trip.bench.map(({ count }) => count),
      )
    }
    const [less, more] = [fromShop([used(1)]), fromShop([])]
    const [{ purchases, strandedWithout, strandedWith }] = found as [(typeof found)[number]]
    expect(nth(purchases, 0).sparesH).toBeCloseTo(less.promiseH - more.promiseH, 6)
    expect([strandedWithout, strandedWith]).toEqual([
      expect.closeTo(less.stranded, 6) as number,
      expect.closeTo(more.stranded, 6) as number,
    ])
  })

  it('is nothing where nothing was used, past the last shop, or once it was bought again', () => {
    expect(restockAt(20, [])).toEqual([])
    expect(restockAt(45, [used(1)])).toEqual([])
    const bought = entry({ id: 'b', at: '2026-06-14T13:00', kind: 'got', how: 'bought', thing: 'tube', name: 'tube' })
    expect(restockAt(20, [used(1), bought])).toEqual([])
    expect(restockAt(20, [used(2), bought])[0]?.purchases).toMatchObject([{ amount: 1 }])
    // Nor where it was bought under another name.
    const tube = catalogueItemSchema.parse(shopTube)
    const other = entry({
      id: 'o',
      at: '2026-06-14T13:00',
      kind: 'got',
      how: 'bought',
      item: 'shop-tube',
      name: 'Tube',
    })
    const ride = rideAt(20, [used(1), other], base, { ...reference, items: [tube] })
    expect(restock(ride, { ...reference, items: [tube] }, carried, onwardOf(ride, reference, ['r']))).toEqual([])
  })

  it('of a class of which two things went and a piece was bought again, so much less is lacking', () => {
    const two = { ...base, bench: [...base.bench, { ...defined(base.bench[1]), id: 'other', name: 'other', count: 1 }] }
    const both = [...carried, { rider: 'r', thing: 'other', count: 1, bag: '' }]
    const log = [
      used(2),
      entry({ id: 'u', kind: 'gone', why: 'used', spent: [{ thing: 'other', stock: 'tube-622', amount: 1 }] }),
      entry({ id: 'b', at: '2026-06-14T13:00', kind: 'got', how: 'bought', item: 'shop-tube', name: 'Tube' }),
    ]
    const trip = { ...two, log }
    const shelf = { ...reference, items: [catalogueItemSchema.parse(shopTube)] }
    const kit = whatIsLeft(trip, both, shelf)
    const ride = { trip, survey, laid: writeLedger(trip, survey, shelf), kit, position: { roadKm: 20, at } }
    const found = restock(ride, shelf, both, onwardOf(ride, shelf, ['r']))
    expect(found.flatMap(({ purchases }) => purchases.map(({ amount }) => amount))).toEqual([2])
  })

  it('and what was planned to be bought there, until it was', () => {
    const planned = {
      ...base,
      bench: base.bench.map((thing) => ({ ...thing, boughtAt: thing.id === 'tube' ? 'town' : null })),
    }
    const all = restockAt(20, [], planned).flatMap(({ purchases }) => purchases)
    expect(all).toMatchObject([{ thing: 'tube', amount: 2, isPlanned: true }])
    const bought = entry({ kind: 'got', how: 'bought', thing: 'tube', name: 'tube', count: 2 })
    expect(restockAt(20, [bought], planned).flatMap(({ purchases }) => purchases)).toEqual([])
  })
})

it('what would mend a failure is what the catalogue has for it and nobody carries, and how much it would spare', () => {
  const tube = catalogueItemSchema.parse(shopTube)
  const shelf = { ...reference, items: [tube] }
  const failing = { hazard: 'flat', bikeId: 'b' }
  const wouldMend = (log: readonly LogEntry[]) => {
    const ride = rideAt(70, log)
    return whatWouldMend(ride, shelf, failing, ['r'], triage(atThePlace(ride, shelf, ['r']), failing))
  }
  const [found, ...others] = wouldMend([used(2)])
  expect(others).toEqual([])
  expect(found?.lacks).toEqual(['shop-tube'])
  expect(found?.sparesH).toBeCloseTo(defined(found).way.worthH, 9)
  // Whoever has one of as good a kind lacks none.
  expect(wouldMend([])).toEqual([])
})

it('what would mend it better than what is there is told by how much better', () => {
  const demo = demoTrip()
  const road = surveyRoad(demo.road.points)
  const riders = demo.crew.map(({ id }) => id)
  const all = demo.bench.map(({ id, count }) => ({ rider: nth(riders, 0), thing: id, count, bag: '' }))
  const kit = whatIsLeft(demo, all, catalogue)
  const ride = {
    trip: demo,
    survey: road,
    laid: writeLedger(demo, road, catalogue),
    kit,
    position: { roadKm: 212, at },
  }
  const failing = { hazard: 'chain-broken', bikeId: 'fox' }
  const now = triage(atThePlace(ride, catalogue, riders), failing)
  expect(now.ways.length).toBeGreaterThan(0)
  const bestNow = Math.max(...now.ways.map(({ worthH }) => worthH))
  const found = whatWouldMend(ride, catalogue, failing, riders, now)
  expect(found.length).toBeGreaterThan(0)
  for (const { way, sparesH, lacks } of found) {
    expect(sparesH).toBeCloseTo(way.worthH - bestNow, 9)
    expect(lacks.length).toBeGreaterThan(0)
  }
})

describe('the evening', () => {
  const trip = demoTrip()
  const road = surveyRoad(trip.road.points)
  const whole = writeLedger(trip, road, catalogue)
  const all = trip.bench.map(({ id, count }) => ({ rider: nth(trip.crew, 0).id, thing: id, count, bag: 'tin' }))
  const eveningAt = (roadKm: number, log: readonly LogEntry[], forecast = trip.forecast) => {
    const told = { ...trip, forecast, log: [...log] }
    const position = { roadKm, at: '2026-06-14T20:00' }
    const ride = { trip: told, survey: road, laid: whole, kit: whatIsLeft(told, all, catalogue), position }
    const riders = trip.crew.map(({ id }) => id)
    return eveningOf(onwardOf(ride, catalogue, riders), evenings, ride.kit, position)
  }
  const done = (did: readonly string[], roadKm: number, day = '2026-06-13T20:00') =>
    entry({ id: `did ${day}`, at: day, roadKm, kind: 'evening', did })
  const everything = evenings.map(({ id }) => id)
  const dueOf = (found: ReturnType<typeof eveningAt>) => found.tasks.filter(({ isDue }) => isDue).map(({ id }) => id)

  it('asks for what was not done for long enough, sooner in the rain', () => {
    const dry = { ...trip.forecast, days: [] }
    const wet = { ...trip.forecast, days: [{ date: '2026-06-14', lowC: 5, highC: 12, rainMm: 9, windKmH: 20 }] }
    const log = [done(everything, 100)]
    const worn = (found: ReturnType<typeof eveningAt>) => found.tasks.filter((task) => task.worn.length > 0)
    const after60 = eveningAt(160, log, dry)
    expect(dueOf(after60).filter((id) => !worn(after60).some((task) => task.id === id))).not.toContain('lube')
    expect(dueOf(eveningAt(160, log, wet))).toContain('lube')
    expect(dueOf(eveningAt(260, log, dry))).toContain('lube')
    // A part of which little is left is looked at whatever was done lately.
    const wornAt = (renewed: readonly object[]) =>
      worn(eveningAt(212, [entry({ ...done(everything, 205), renewed })], dry)).map(({ id, isDue }) => [id, isDue])
    expect(wornAt([])).toContainEqual(['lube', true])
    // A chain that was oiled is as new.
    const oiled = trip.bikes.map(({ id }) => ({ bikeId: id, hazard: 'chain-dry' }))
    expect(wornAt(oiled).map(([id]) => id)).not.toContain('lube')
    // Not so where only another's was.
    expect(wornAt(oiled.slice(1))).toContainEqual(['lube', true])
    expect(wornAt(oiled.slice(0, 1))).toContainEqual(['lube', true])
    // Tyres are looked at every evening, and once in it.
    expect(dueOf(after60)).toContain('tyres')
    expect(dueOf(eveningAt(160, [done(everything, 160, '2026-06-14T19:00')], dry))).toEqual([])
  })

  it('asks for what failed or came loose since, and for bags that were opened for it', () => {
    const tool = nth(trip.bench, 0).id
    const tries = [{ fix: 'patch', could: true, held: true, took: [tool] }]
    const flat = entry({ id: 'f', at: '2026-06-14T15:00', kind: 'failed', hazard: 'puncture', bikeId: 'mule', tries })
    const loose = entry({
      id: 'l',
      at: '2026-06-14T16:00',
      kind: 'loose',
      bikeId: 'mule',
      fastener: null,
      name: 'rack bolt',
    })
    const log = [done(everything, 158, '2026-06-14T08:00')]
    expect(eveningAt(160, log)).toMatchObject({ bags: [], bolts: [] })
    const found = eveningAt(160, [...log, flat, loose])
    expect(dueOf(found)).toEqual(expect.arrayContaining(['tyres', 'bolts']))
    expect(found).toMatchObject({ bags: ['tin'], bolts: ['rack bolt'] })
    // What is still to come is not known of.
    expect(eveningAt(160, [...log, { ...flat, at: '2026-06-14T21:00' }]).bags).toEqual([])
  })
})

it('everything that was shared out and packed is set off with, bag by bag, but what is bought on the way', () => {
  const demo = demoTrip()
  const bought = nth(demo.bench, 0).id
  const stop = nth(demo.stops, 2).id
  const trip = {
    ...demo,
    bench: demo.bench.map((thing) =>
      thing.id === bought ? { ...thing, pin: { min: 1, max: 1 }, boughtAt: stop } : thing,
    ),
  }
  const { split, packs } = packedKit(trip, surveyRoad(trip.road.points), catalogue)
  const pieces = carriedAsPacked(trip, split, packs)
  for (const { id: rider, counts } of split.riders) {
    counts.forEach((count, item) => {
      const thing = nth(trip.bench, item).id
      const sum = pieces.reduce(
        (inAll, each) => (each.rider === rider && each.thing === thing ? inAll + each.count : inAll),
        0,
      )
      expect(sum, `${rider} ${thing}`).toBe(thing === bought ? 0 : count)
    })
  }
  const bags = new Set(trip.bikes.flatMap(({ storage }) => storage.map(({ name }) => name)))
  expect(pieces.every(({ bag }) => bag === '' || bags.has(bag))).toBe(true)
  expect(pieces.filter(({ bag }) => bag !== '').length).toBeGreaterThan(pieces.length / 2)
})

describe('a position that is read out', () => {
  /** No whole degrees: the library that reads them back refuses those. */
  const degreesUpTo = (most: number) =>
    fc
      .tuple(fc.integer({ min: -most, max: most - 1 }), fc.integer({ min: 20, max: 980 }))
      .map(([whole, thousandths]) => whole + thousandths / 1000)
  const letters = (text: string) =>
    text.replace(/north/, 'N').replace(/south/, 'S').replace(/east/, 'E').replace(/west/, 'W')

  it('is the same to a library that reads positions', () => {
    fc.assert(
      fc.property(degreesUpTo(89), degreesUpTo(179), (lat, lon) => {
        const { degrees, minutes } = spokenPosition(lat, lon)
        for (const text of [degrees, minutes.replaceAll(' degrees', '°').replaceAll(' minutes', '′')]) {
          const read = convert(letters(text))
          expect(read.decimalLatitude).toBeCloseTo(lat, 3)
          expect(read.decimalLongitude).toBeCloseTo(lon, 3)
        }
      }),
      { numRuns: 300 },
    )
  })

  it('is said figure by figure, and no minute is the sixtieth', () => {
    expect(spokenPosition(57.123, -33.456).words).toBe(
      'five seven point one two three zero north, three three point four five six zero west',
    )
    expect(spokenPosition(-8.99999, 0.00001).minutes).toBe('9 degrees 0.00 minutes south, 0 degrees 0.00 minutes east')
  })
})
