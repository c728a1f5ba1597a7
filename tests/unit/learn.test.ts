import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import {
  beliefIn,
  chanceBelief,
  chanceEstimate,
  kitHistory,
  kitInUse,
  learnedValues,
  learnFixes,
  learnHands,
  learnLives,
  learnRates,
  lifeEstimate,
  nextKit,
  nextTrip,
  putAway,
  rateEstimate,
  riddenTo,
  riddenTrip,
  ridOf,
  shopsFound,
  sinceShed,
  withCounts,
  withLearned,
  withLives,
  withTries,
  type RiddenTrip,
} from '#core/learn'
import { logEntrySchema, type LogEntry } from '#core/log'
import { planningSchema } from '#core/reference'
import { conditionOn, ownedThingSchema } from '#core/shed'
import { tripSchema, type Trip } from '#core/trip'
import { defined, nth } from '#core/validation'
import fc from 'fast-check'
import jstat from 'jstat'
import { describe, expect, it } from 'vitest'
import { base, referenceWith } from '../level-road'
import { once } from '../once'
import { seeded } from '../seeded'

const { jStat } = jstat
const entry = (fields: object): LogEntry => logEntrySchema.parse({ id: 'e', at: '2026-06-14T15:40', ...fields })
let entries = 0
const flat = (roadKm: number, fields: object = {}) =>
  entry({ id: `flat ${entries++}`, roadKm, kind: 'failed', hazard: 'flat', bikeId: 'b', wheel: 'rear', ...fields })
const setOff = entry({ id: 'off', at: '2026-06-12T08:00', roadKm: 0, kind: 'set off', carried: [] })
const passed = (roadKm: number) => entry({ id: `at ${roadKm}`, at: '2026-06-20T18:00', roadKm, kind: 'passed' })

/** Draws of a Poisson count, by how many exponential gaps go into it. */
function poisson(draw: () => number, mean: number): number {
  let [count, left] = [0, mean]
  for (left += Math.log(1 - draw()); left > 0; left += Math.log(1 - draw())) count++
  return count
}

describe('beliefs', () => {
  const few = fc.double({ min: 0.05, max: 200, noNaN: true })

  it('in rates are the closed form of Gamma and Poisson, and their quantiles those of another library', () => {
    fc.assert(
      fc.property(few, few, fc.integer({ min: 0, max: 50 }), few, (events, exposure, more, seen) => {
        const after = withCounts({ events, exposure }, more, seen)
        const { mean, low, high } = rateEstimate(after)
        expect(mean).toBeCloseTo((events + more) / (exposure + seen), 12)
        const quantile = (chance: number) => jStat.gamma.inv(chance, events + more, 1 / (exposure + seen))
        expect(Math.abs(low - quantile(0.1))).toBeLessThan(1e-6 * (1 + low))
        expect(Math.abs(high - quantile(0.9))).toBeLessThan(1e-6 * (1 + high))
      }),
      { numRuns: 200 },
    )
  })

  it('in chances are the closed form of Beta and binomial, and their quantiles those of another library', () => {
    const chance = fc.double({ min: 0.02, max: 0.98, noNaN: true })
    fc.assert(
      fc.property(chance, fc.integer({ min: 2, max: 40 }), fc.nat(30), fc.nat(30), (mean, tries, well, ill) => {
        const after = withTries(chanceBelief(mean, tries), well, ill)
        const estimate = chanceEstimate(after)
        expect(estimate.mean).toBeCloseTo((mean * tries + well) / (tries + well + ill), 12)
        for (const [told, at] of [
          [estimate.low, 0.1],
          [estimate.high, 0.9],
        ] as const)
          expect(told).toBeCloseTo(jStat.beta.inv(at, mean * tries + well, (1 - mean) * tries + ill), 5)
      }),
      { numRuns: 200 },
    )
  })

  it('in lives are drawn towards what was seen, by hand: three planned lives and two of half as long come to 0.8', () => {
    const belief = { lives: 3, lived: 3, spread: 0.5 }
    const after = lifeEstimate(withLives(belief, [0.5, 0.5]))
    expect(after.mean).toBeCloseTo((3 + 1) / 5, 12)
    // A life of shape 4 at a rate that is Gamma(5 · 4, 4): the mean life is 4 over that rate.
    expect(after.low).toBeCloseTo(4 / jStat.gamma.inv(0.9, 20, 1 / 4), 6)
    expect(after.high).toBeCloseTo(4 / jStat.gamma.inv(0.1, 20, 1 / 4), 6)
    expect(lifeEstimate(belief).mean).toBe(1)
  })

  it('of ten thousand riders hold the true rate as often as they claim', { timeout: 60_000 }, () => {
    const draw = seeded(17)
    let [inside, below] = [0, 0]
    const riders = 10_000
    for (let rider = 0; rider < riders; rider++) {
      // The true rate is drawn from the belief itself, and the road is of any length.
      const belief = { events: 0.4 + 3 * draw(), exposure: 2 + 4 * draw() }
      const rate = jStat.gamma.inv(draw(), belief.events, 1 / belief.exposure)
      const thousandKm = 6 * draw()
      const { low, high } = rateEstimate(withCounts(belief, poisson(draw, rate * thousandKm), thousandKm))
      if (rate >= low && rate <= high) inside++
      if (rate < low) below++
    }
    // Four fifths, to three standard errors of a share: 0.012; a tenth below, to 0.009.
    expect(inside / riders).toBeGreaterThan(0.8 - 0.012)
    expect(inside / riders).toBeLessThan(0.8 + 0.012)
    expect(Math.abs(below / riders - 0.1)).toBeLessThan(0.009)
  })
})

describe('rates, on a level road of 100 km', () => {
  const reference = referenceWith({ onThousandKm: 4 })
  const ride = (log: readonly LogEntry[], trip: Trip = base): RiddenTrip =>
    defined(riddenTrip({ ...trip, log: [setOff, ...log] }, reference))

  it('one in 1000 km, believed on 4000, after two in 80 km on a plain road', () => {
    const [learned, ...others] = learnRates([ride([flat(20), flat(60), passed(80)])], reference)
    expect(others).toEqual([])
    expect(learned).toMatchObject({ hazard: 'flat', failures: 2 })
    expect(learned?.thousandKm).toBeCloseTo(0.08, 9)
    expect(learned?.before.mean).toBeCloseTo(1, 12)
    expect(learned?.after.mean).toBeCloseTo((4 + 2) / (4 + 0.08), 9)
    expect(learned?.kmWithoutClaim).toBeCloseTo(20, 9)
  })

  it('what is rare stands on one at least, so that what is told of it holds its mean', () => {
    for (const hazard of catalogue.hazards) {
      if (hazard.kind !== 'sudden') continue
      const belief = beliefIn(hazard)
      const { mean, low, high } = rateEstimate(belief)
      expect(mean).toBeCloseTo(hazard.per1000km, 12)
      expect(belief.events).toBeGreaterThanOrEqual(1 - 1e-12)
      expect(belief.exposure).toBeGreaterThanOrEqual(hazard.onThousandKm)
      expect(low < mean && mean < high, hazard.id).toBe(true)
    }
  })

  it('what never came keeps what was believed by the km that it did not, and those are told', () => {
    const [learned] = learnRates([ride([passed(100)]), ride([passed(50)])], reference)
    expect(learned).toMatchObject({ failures: 0 })
    expect(learned?.kmWithoutClaim).toBeCloseTo(150, 6)
    expect(learned?.after.mean).toBeCloseTo(4 / (4 + 0.15), 9)
  })

  it('the order of trips and of entries is no matter, and an entry that is taken back leaves no trace', () => {
    const [a, b] = [
      [flat(20), passed(90)],
      [flat(10), flat(70), passed(80)],
    ]
    const later = { ...base, name: 'the same road again' }
    const forth = learnRates([ride(a), ride(b, later)], reference)
    expect(learnRates([ride(b.toReversed(), later), ride(a.toReversed())], reference)).toEqual(forth)
    const wrong = flat(30)
    expect(learnRates([ride([...a, wrong].filter((each) => each !== wrong)), ride(b, later)], reference)).toEqual(forth)
  })

  it('a road that is twice as hard on it counts twice, whatever the plan believed of it', () => {
    const hard = referenceWith({ onThousandKm: 4, onRoad: [{ when: 'track', times: 2 }] })
    const stretches = [{ id: 's', fromKm: 0, toKm: 50, surface: 'track' }]
    const rocky = tripSchema.parse({ ...base, road: { ...base.road, stretches } })
    const seen = (planning: Record<string, number>) => {
      const trip = { ...rocky, dials: { ...rocky.dials, planning }, log: [setOff, flat(20), flat(80), passed(100)] }
      return learnRates([defined(riddenTrip(trip, hard))], hard)
    }
    const [learned] = seen({})
    expect(learned?.thousandKm).toBeCloseTo(0.15, 9)
    expect(seen({ 'hazards.flat.per1000km': 7 })).toEqual([learned])
  })

  it('a surface is told of by itself once enough was seen on it', () => {
    const many = Array.from({ length: 4 }, (_, i) => flat(10 + i))
    const stretches = [{ id: 's', fromKm: 0, toKm: 40, surface: 'track' }]
    const trip = tripSchema.parse({ ...base, road: { ...base.road, stretches } })
    const [learned] = learnRates([ride([...many, flat(70), passed(100)], trip)], reference)
    expect(learned?.bySurface).toMatchObject([{ surface: 'track', failures: 4 }])
    expect(learned?.bySurface[0]?.thousandKm).toBeCloseTo(0.04, 3)
    expect(learned?.bySurface[0]?.after.mean).toBeCloseTo(8 / 4.04, 2)
  })

  it('a ride counts to the farthest place of which its log speaks, and none where nobody set off', () => {
    expect(riddenTo([setOff, passed(30), flat(20)], 100)).toBe(30)
    expect(riddenTo([setOff, passed(130)], 100)).toBe(100)
    expect(riddenTo([passed(30)], 100)).toBe(0)
    expect(riddenTrip(base, reference)).toBeUndefined()
    expect(ridOf([1, 2, 4], [0, 10, 20, 40], 30)).toBe(1 + 2 + 2)
  })

  it('what failed on a stranger’s bike says nothing of one’s own', () => {
    expect(learnRates([ride([flat(20, { bikeId: null }), passed(80)])], reference)[0]?.failures).toBe(0)
  })
})

describe('hands, fixes and lives', () => {
  const demo = demoTrip()
  const maren = nth(demo.crew, 0)
  const tries = (list: readonly object[]) =>
    list.map((each) => ({ fix: 'patch-tube', by: maren.id, could: true, held: true, ...each }))
  const failed = (list: readonly object[], fields: object = {}) =>
    entry({
      id: `f${entries++}`,
      roadKm: 100,
      kind: 'failed',
      hazard: 'puncture',
      bikeId: 'mule',
      wheel: 'rear',
      tries: tries(list),
      ending: 'mended',
      ...fields,
    })
  const carried = demo.bench.map(({ id, count }) => ({ rider: maren.id, thing: id, count }))
  const off = entry({ id: 'off', at: '2026-06-12T08:30', roadKm: 0, kind: 'set off', carried })
  const begun = entry({ id: 'begun', at: '2026-06-12T09:00', roadKm: 10, kind: 'passed' })
  const ridden = (log: readonly LogEntry[]) => defined(riddenTrip({ ...demo, log: [off, begun, ...log] }, catalogue))
  const fix = defined(catalogue.fixes.find(({ id }) => id === 'patch-tube'))

  it('tries are told rider by rider: what they could do, and what held once it was done', () => {
    const ride = ridden([
      failed([{ minutes: 40 }, { held: false, minutes: 30 }]),
      failed([{ could: false, held: null }]),
    ])
    const [hands] = learnHands([ride], catalogue)
    expect(hands).toMatchObject({ rider: maren.name, technique: fix.technique, tries: 3, could: 2 })
    const { difficulty } = defined(catalogue.techniques.find(({ id }) => id === fix.technique))
    const planned = catalogue.hands[difficulty][maren.skills[fix.technique] ?? maren.hands]
    expect(hands?.after.mean).toBeCloseTo((5 * Math.min(0.995, planned) + 2) / 8, 9)
    const [learned] = learnFixes([ride], catalogue)
    expect(learned).toMatchObject({ fix: fix.id, done: 2, held: 1, timed: 2, minutesBefore: fix.minutes })
    expect(learned?.minutesAfter).toBeCloseTo((3 * fix.minutes + 70) / 5, 9)
    expect(learned?.after.mean).toBeCloseTo((5 * Math.min(0.995, fix.holds) + 1) / 7, 9)
    // What the hands could not do says nothing of how it would have held, whatever a table claims.
    const claimed = ridden([failed([{}, { could: false, held: false }])])
    expect(learnFixes([claimed], catalogue)[0]).toMatchObject({ done: 1, held: 1 })
  })

  it('a part that failed lived as long as the road was on it since it was new', () => {
    const pads = defined(catalogue.hazards.find(({ id }) => id === 'pads-worn'))
    const plain = ridden([])
    const note = defined(plain.laid.notes.find(({ hazard, bike }) => hazard === 'pads-worn' && bike === 'mule'))
    const event = defined(plain.laid.ledger.events.find(({ id }) => id === note.event))
    const wear = defined(event.wear)
    const end = defined(plain.laid.edges.at(-1))
    const worn = entry({
      id: 'worn',
      roadKm: end,
      kind: 'failed',
      hazard: 'pads-worn',
      bikeId: 'mule',
      wheel: note.wheel,
      ending: 'ridden on',
    })
    const inAll = 1 - wear.left + wear.lives.reduce((sum, each) => sum + each, 0)
    const [learned] = learnLives([ridden([worn])], catalogue)
    const lifeKm = pads.kind === 'wearing' ? pads.lifeKm : 0
    expect(learned).toMatchObject({ hazard: 'pads-worn', ended: 1 })
    // At a shop that is trusted to have them they were made new on the way: then only what came since counts.
    if ((wear.freshAtLegs ?? []).length === 0) expect(learned?.after.mean).toBeCloseTo((lifeKm * (3 + inAll)) / 4, 6)
    else expect(learned?.after.mean).toBeLessThan((lifeKm * (3 + inAll)) / 4)
    // What was fitted where it failed begins a life, and takes nothing from the one that ended.
    const fitted = { ...worn, tries: tries([{ fix: 'change-pads' }]) } as LogEntry
    expect(learnLives([ridden([fitted])], catalogue)).toEqual([learned])
    // Whoever renews them first says nothing of how long they would have lasted.
    const renewed = entry({ id: 'new', roadKm: end - 1, kind: 'renewed', bikeId: 'mule', hazard: 'pads-worn' })
    expect(learnLives([ridden([renewed])], catalogue)).toEqual([])
  })

  it('a life is told in the km of the catalogue, whatever the plan of that ride believed', () => {
    const dry = (planning: Record<string, number>) => {
      const trip = { ...demo, dials: { ...demo.dials, planning } }
      const road = defined(riddenTrip({ ...trip, log: [off, begun] }, catalogue))
      const note = defined(road.laid.notes.find(({ hazard, bike }) => hazard === 'chain-dry' && bike === 'mule'))
      const lube = { kind: 'failed', hazard: 'chain-dry', bikeId: 'mule', wheel: note.wheel, ending: 'ridden on' }
      const log = [off, entry({ id: 'oiled', roadKm: 50, kind: 'renewed', bikeId: 'mule', hazard: 'chain-dry' })]
      const failedAt = entry({ id: 'dry', at: '2026-06-15T15:40', roadKm: 150, ...lube })
      return learnLives([defined(riddenTrip({ ...trip, log: [...log, failedAt] }, catalogue))], catalogue)
    }
    const [plain] = dry({})
    const [doubled] = dry({ 'hazards.chain-dry.lifeKm': 440 })
    expect(plain?.ended).toBe(1)
    expect(doubled?.after.mean).toBeCloseTo(defined(plain).after.mean, 6)
  })

  it('things are used, missed or never touched', () => {
    const tool = nth(demo.bench, 0).id
    const took = failed([{ took: [tool] }])
    const left = entry({ ...failed([]), id: 'left', hazard: 'hanger-sheared', ending: 'walked' })
    const got = entry({ id: 'got', kind: 'got', how: 'bought', item: nth(catalogue.items, 3).id, name: 'From a shop' })
    const more = entry({ id: 'more', kind: 'got', how: 'bought', thing: tool, name: 'More of it' })
    // What was lost was of no use.
    const lost = entry({ id: 'lost', kind: 'gone', why: 'lost', spent: [{ thing: nth(demo.bench, 1).id, amount: 1 }] })
    const { used, neverTouched, missed } = kitInUse(ridden([took, left, got, more, lost]), catalogue)
    expect(used).toMatchObject([{ thing: tool, times: 1, hazards: ['puncture'] }])
    expect(neverTouched).toHaveLength(demo.bench.length - 1)
    expect(missed).toEqual([
      { kind: 'not mended', hazard: 'hanger-sheared', ending: 'walked' },
      { kind: 'got', name: 'From a shop', how: 'bought' },
    ])
  })

  it('shops that were as told are not told of', () => {
    const stop = defined(demo.stops.find(({ services }) => services.length > 1))
    const [service] = stop.services
    const kind = defined(service).kind
    const planned = ridden([]).costs.visitTo(defined(service))?.found
    const found = (how: string) =>
      shopsFound(ridden([entry({ kind: 'shop', stop: stop.id, service: kind, found: how })])).map((each) => each.found)
    expect(found('gone')).toEqual(['gone'])
    expect(found('open')).toEqual(planned === 'open' ? [] : ['open'])
  })

  const learnedOf = once(() => {
    const flats = Array.from({ length: 12 }, (_, i) =>
      failed([{}], { hazard: 'hanger-bent', bikeId: 'fox', roadKm: 50 + i }),
    )
    const ride = ridden([...flats, entry({ id: 'end', roadKm: 500, kind: 'passed' })])
    return learnedValues(learnRates([ride], catalogue), learnLives([ride], catalogue), learnFixes([ride], catalogue))
  })

  it('what was learned are planning values that a trip takes, by choice alone', () => {
    const values = learnedOf()
    const planning = withLearned({ 'works.pump': 0.9 }, values)
    expect(planningSchema.parse(planning)).toEqual(planning)
    expect(planning['works.pump']).toBe(0.9)
    const hanger = defined(values.find(({ key }) => key === 'hazards.hanger-bent.per1000km'))
    expect(hanger.after).toBeGreaterThan(hanger.before)
    expect(withLearned({}, [])).toEqual({})
  })

  it('and the next kit goes by them: after twelve bent hangers it is worth more to be ready for one', () => {
    const survey = ridden([]).survey
    const same = nextKit(demo, survey, catalogue, [])
    expect(same.things).toEqual([])
    expect(same.promiseAfterH).toBe(same.promiseBeforeH)
    const hanger = learnedOf().filter(({ key }) => key === 'hazards.hanger-bent.per1000km')
    expect(nextKit(demo, survey, catalogue, hanger).promiseAfterH).toBeGreaterThan(same.promiseBeforeH)
  })

  it('the next trip begins with the kit as it came home', () => {
    const [first, second] = [nth(demo.bench, 0), nth(demo.bench, 1)]
    const item = nth(catalogue.items, 3)
    const log = [
      off,
      entry({ id: 'lost', kind: 'gone', why: 'lost', spent: [{ thing: first.id, amount: first.count }] }),
      entry({ id: 'got', kind: 'got', how: 'bought', item: item.id, name: 'From a shop', count: 2 }),
    ]
    const { trip, since } = nextTrip({ ...demo, log }, catalogue, { 'works.pump': 0.9 }, 'North, in May')
    expect(trip).toMatchObject({
      name: 'North, in May',
      log: [],
      stops: [],
      dials: { planning: { 'works.pump': 0.9 } },
    })
    expect(trip.crew.map(({ name }) => name)).toEqual(demo.crew.map(({ name }) => name))
    // What was lost is wanted again, and is not there; what stayed along is.
    expect(trip.bench.find(({ id }) => id === first.id)).toMatchObject({ count: first.count, owned: 0 })
    expect(trip.bench.find(({ id }) => id === second.id)).toMatchObject({ count: second.count, owned: second.count })
    // What stayed at home lies there as it did, though nobody set off with it.
    const third = nth(demo.bench, 2)
    const without = entry({ ...off, carried: carried.filter(({ thing }) => thing !== third.id) })
    const home = nextTrip({ ...demo, log: [without] }, catalogue, {}, 'North').trip
    expect(home.bench.find(({ id }) => id === third.id)).toMatchObject({ count: third.count, owned: third.owned })
    expect(trip.bench.find(({ name }) => name === 'From a shop')).toMatchObject({ count: 2, owned: 2, from: item.id })
    expect(since).toEqual([
      { name: first.name, before: first.count, after: 0 },
      { name: 'From a shop', before: 0, after: 2 },
    ])
    expect(
      trip.bench.every(({ pin, boughtAt, packedIn }) => pin === null && boughtAt === null && packedIn.length === 0),
    ).toBe(true)
  })

  it('a kit over trips: what it weighed, what was used, and what was left at home and asked for again', () => {
    const [first, second] = [nth(demo.bench, 0), nth(demo.bench, 1)]
    const ride = (name: string, day: string, things: readonly (typeof first)[], more: readonly LogEntry[] = []) => {
      const log = [
        entry({
          id: 'off',
          at: `${day}T08:00`,
          roadKm: 0,
          kind: 'set off',
          carried: things.map(({ id }) => ({ rider: maren.id, thing: id, count: 1 })),
        }),
        entry({ id: 'on', at: `${day}T12:00`, roadKm: 50, kind: 'passed' }),
        ...more,
      ]
      return defined(riddenTrip({ ...demo, name, log }, catalogue))
    }
    const took = failed([{ took: [first.id] }], { at: '2025-06-01T10:00' })
    const before = ride(
      'before',
      '2025-06-01',
      [first, second],
      [took, took].map((each, i) => ({ ...each, id: `t${i}` })),
    )
    const got = entry({
      id: 'got',
      at: '2026-06-01T18:00',
      kind: 'got',
      how: 'bought',
      thing: second.id,
      name: second.name,
    })
    const after = ride('after', '2026-06-01', [first], [got])
    const { trips, things } = kitHistory([after, before], catalogue)
    expect(trips).toMatchObject([
      { name: 'before', day: '2025-06-01', massG: first.massG + second.massG, pieces: 2, used: 1, things: 2 },
      { name: 'after', day: '2026-06-01', massG: first.massG, pieces: 1, used: 0, things: 1 },
    ])
    const price = catalogue.items.find(({ id }) => id === first.from)?.price
    expect(things[0]).toMatchObject({
      name: first.name,
      along: [true, true],
      times: 2,
      costByUse: price === undefined ? null : price / 2,
      isAskedForAgain: false,
    })
    // What was got that had never been along before was not left at home.
    const fresh = entry({ id: 'new', at: '2026-06-01T19:00', kind: 'got', how: 'given', name: 'A strap' })
    const third = ride('after', '2026-06-01', [first], [fresh])
    expect(kitHistory([before, third], catalogue).things.find(({ name }) => name === 'A strap')).toMatchObject({
      isAskedForAgain: false,
    })
    expect(things.find(({ name }) => name === second.name)).toMatchObject({
      along: [true, false],
      times: 0,
      isAskedForAgain: true,
    })
  })
})

describe('what the shed is told', () => {
  const mine = (id: string, count: number, units: Record<string, number>, fields: object = {}) => ({
    ...nth(demoTrip().bench, 0),
    ...{ id, name: id, shed: `own ${id}`, count, owned: count, units, provides: [], heads: [] },
    ...fields,
  })
  const bench = [
    mine('tube', 3, { 'tube-622': 1 }),
    mine('glue', 1, { glue: 5 }),
    mine('lever', 2, {}, { provides: ['lever'] }),
    mine('pump', 1, {}, { provides: ['inflate-presta'] }),
    { ...mine('lent', 1, {}), shed: null },
  ]
  const off = entry({
    id: 'off',
    at: '2026-06-12T08:30',
    roadKm: 0,
    kind: 'set off',
    carried: bench.map(({ id, count }) => ({ rider: 'r', thing: id, count })),
  })
  const patched = (id: string, day: string, held: boolean | null = true) =>
    entry({
      id,
      at: `${day}T12:00`,
      kind: 'failed',
      hazard: 'puncture',
      bikeId: 'b',
      ending: 'mended',
      tries: [
        {
          fix: 'patch-tube',
          by: null,
          could: true,
          held,
          took: ['lever', 'lent'],
          spent: [{ thing: 'glue', stock: 'glue', amount: 0.5 }],
        },
      ],
    })
  const swapped = entry({
    id: 'tube',
    at: '2026-06-14T12:00',
    kind: 'gone',
    why: 'used',
    spent: [{ thing: 'tube', stock: 'tube-622', amount: 1 }],
  })
  const owned = (id: string, count: number, units: Record<string, number>, fields: object = {}) =>
    ownedThingSchema.parse({ id: `own ${id}`, name: id, massG: 10, count, units, ...fields })
  const since = (...log: LogEntry[]) => sinceShed({ bench, log: [off, ...log] }, catalogue)
  const toldOf = (thing: string, found: ReturnType<typeof since>) => defined(found.find((each) => each.thing === thing))

  it('is how often a thing was used, what is gone of it, and since when it is open', () => {
    const found = since(patched('b', '2026-06-15', false), patched('a', '2026-06-13'), swapped)
    expect(found.map(({ thing }) => thing)).toEqual(['tube', 'glue', 'lever'])
    expect(toldOf('tube', found)).toMatchObject({ shed: 'own tube', uses: 1, gone: 1, spent: { 'tube-622': 1 } })
    expect(toldOf('glue', found)).toMatchObject({ uses: 2, gone: 0, spent: { glue: 1 } })
    expect(toldOf('glue', found)).toMatchObject({ opened: '2026-06-13', proved: '2026-06-13' })
    expect(toldOf('lever', found)).toMatchObject({ uses: 2, gone: 0, spent: {} })
    expect(since()).toEqual([])
    // The last time that it held counts; of what is still to be seen nobody knows.
    const later = since(patched('a', '2026-06-13'), patched('c', '2026-06-16'), patched('d', '2026-06-18', null))
    expect(toldOf('glue', later)).toMatchObject({ opened: '2026-06-13', proved: '2026-06-16' })
  })

  it('changes the thing by that, and its condition follows', () => {
    const found = since(patched('a', '2026-06-13'), swapped)
    const { families } = catalogue
    expect(putAway(owned('tube', 3, { 'tube-622': 1 }), toldOf('tube', found), families)).toMatchObject({
      count: 2,
      units: { 'tube-622': 1 },
      uses: 1,
    })
    const sealed = owned('glue', 1, { glue: 5 }, { bought: '2026-01-01', uses: 4 })
    const opened = defined(putAway(sealed, toldOf('glue', found), families))
    expect(opened).toMatchObject({
      count: 1,
      units: { glue: 4.5 },
      uses: 5,
      opened: '2026-06-13',
      tested: '2026-06-13',
    })
    expect(conditionOn(opened, '2027-06-13', families)).toBeLessThan(conditionOn(sealed, '2027-06-13', families))
    // What was opened before stays open since then, and what was tested later is as good as that.
    const before = { ...sealed, opened: '2025-03-01', tested: '2026-07-01' }
    expect(putAway(before, toldOf('glue', found), families)).toMatchObject({
      opened: '2025-03-01',
      tested: '2026-07-01',
    })
    // Of what was not used up as much is there, to the last digit.
    expect(putAway(owned('lever', 2, { tape: 0.335 }), toldOf('lever', found), families)?.units).toEqual({
      tape: 0.335,
    })
    // What does not age is neither open nor tested; of what is gone there is nothing to keep.
    expect(putAway(owned('lever', 2, {}), toldOf('lever', found), families)).toMatchObject({
      opened: null,
      tested: null,
    })
    expect(putAway(owned('tube', 1, { 'tube-622': 1 }), toldOf('tube', found), families)).toBeNull()
  })

  it('is told once: what came since is told the next time, and what was taken back is taken off again', () => {
    const toldAfter = (id: string, at: string, ...log: LogEntry[]) =>
      entry({ id, at, kind: 'put away', things: since(...log).map(({ thing, inAll }) => ({ thing, ...inAll })) })
    const ridden = [patched('a', '2026-06-13'), swapped]
    const told = toldAfter('told', '2026-06-20T20:00', ...ridden)
    expect(since(...ridden, told)).toEqual([])
    // From two devices that knew nothing of one another.
    expect(since(...ridden, told, toldAfter('again', '2026-06-20T20:10', ...ridden))).toEqual([])
    const more = [...ridden, told, patched('c', '2026-06-16')]
    expect(since(...more).map(({ thing }) => thing)).toEqual(['glue', 'lever'])
    expect(toldOf('glue', since(...more))).toMatchObject({ uses: 1, spent: { glue: 0.5 } })
    const second = toldAfter('second', '2026-06-21T20:00', ...more)
    expect(since(...more, second)).toEqual([])
    expect(toldOf('tube', since(patched('a', '2026-06-13'), told))).toMatchObject({ uses: -1, gone: -1 })
  })

  it('more of it that was bought on the way comes into the shed, and what was borrowed does not', () => {
    const got = (how: string) => entry({ id: how, kind: 'got', how, thing: 'tube', name: 'tube', count: 2 })
    const [found] = since(got('bought'))
    expect(found).toMatchObject({ gone: -2, spent: { 'tube-622': -2 } })
    expect(putAway(owned('tube', 1, { 'tube-622': 1 }), defined(found), catalogue.families)).toMatchObject({
      count: 3,
      units: { 'tube-622': 1 },
    })
    expect(since(got('borrowed'))).toEqual([])
  })
})
