import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { mostPieces } from '#core/bench'
import { checkSchema, trialSchema, trialOf, trustAtDeparture, uncheckedFactor } from '#core/checks'
import { indexLedger } from '#core/ledger'
import { PromiseEvaluator, demandOf } from '#core/promise'
import {
  allSettled,
  bestWithin,
  dueDay,
  evening,
  lastSuch,
  openDays,
  postingDays,
  readyPromise,
  settled,
  standingOn,
  taskKey,
  taskList,
  taskOf,
  taskWorths,
  workingDays,
  workingDaysBefore,
  type WeighedTask,
  type ReadyTask,
  type TaskAbout,
} from '#core/ready'
import { OpeningCache, weekdayOf, parseWallClock } from '#core/ride'
import { surveyRoad } from '#core/road'
import { bestKit } from '#core/search'
import { daysAfter, daysBetween, openTask } from '#core/task'
import { readTrip, takenAlong, type Trip } from '#core/trip'
import { ledgerOfTrip } from '#core/trip-ledger'
import { defined, nth } from '#core/validation'
import { ways } from '#core/ways'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { base, bike, referenceWith } from '../level-road'

const demo = demoTrip()
const survey = surveyRoad(demo.road.points)
const kitOf = (trip: Trip) => bestKit(indexLedger(ledgerOfTrip(trip, survey, catalogue).ledger)).counts
const carriedOf = (trip: Trip, counts: ArrayLike<number>) =>
  Object.fromEntries(trip.bench.map(({ id }, i) => [id, nth(counts, i)]))
const counts = kitOf(demo)
const carried = carriedOf(demo, counts)
const listOf = (trip: Trip) => taskList(trip, catalogue, { survey, carried })
const taskFor = (trip: Trip, about: TaskAbout): ReadyTask =>
  defined(listOf(trip).find(({ key }) => key === taskKey(about)))

/** The demo with something of every kind to be done. */
const full: Trip = {
  ...demo,
  bikes: demo.bikes.map((each) =>
    each.id === 'mule'
      ? {
          ...each,
          jobs: [
            { ...openTask, job: 'bolts' },
            { ...openTask, job: 'new-chain' },
          ],
        }
      : each,
  ),
  crew: demo.crew.map((rider, i) =>
    i === 1 ? { ...rider, practice: [{ ...openTask, technique: 'make-single-speed', level: 2 as const }] } : rider,
  ),
  stops: demo.stops.map((stop) =>
    stop.id === 'ferrow'
      ? {
          ...stop,
          services: stop.services.map((service) =>
            service.kind === 'post' ? { ...service, parcel: { 'tyre-622': 1 } } : service,
          ),
        }
      : stop,
  ),
  home: { ...demo.home, tasks: [{ ...openTask, id: 'cat', name: 'The cat to the neighbours', minutes: 20, note: '' }] },
}

describe('days of the calendar', () => {
  it('know leap years, year ends and nights on which clocks are put forward or back', () => {
    expect(daysAfter('2028-02-28', 1)).toBe('2028-02-29')
    expect(daysAfter('2027-02-28', 1)).toBe('2027-03-01')
    expect(daysAfter('2026-12-31', 1)).toBe('2027-01-01')
    expect(daysAfter('2027-01-05', -10)).toBe('2026-12-26')
    // In much of the world one of these days has 23 or 25 hours.
    for (const [day, next] of [
      ['2026-03-28', '2026-03-29'],
      ['2026-03-29', '2026-03-30'],
      ['2026-10-24', '2026-10-25'],
      ['2026-10-25', '2026-10-26'],
      ['2026-11-01', '2026-11-02'],
    ] as const) {
      expect(daysAfter(day, 1)).toBe(next)
      expect(daysBetween(day, next)).toBe(1)
    }
  })
  it('count forwards and back alike', () => {
    fc.assert(
      fc.property(fc.integer({ min: -40_000, max: 40_000 }), fc.integer({ min: -4000, max: 4000 }), (from, by) => {
        const day = daysAfter('2000-01-01', from)
        expect(daysAfter(daysAfter(day, by), -by)).toBe(day)
        expect(daysBetween(day, daysAfter(day, by))).toBe(by)
      }),
    )
  })
})

describe('working days', () => {
  const isWorking = workingDays(null)
  it('are those from Monday to Friday', () => {
    for (let i = 0; i < 14; i++) {
      const day = daysAfter('2026-06-01', i)
      const name = weekdayOf(parseWallClock(`${day}T00:00`))
      expect(isWorking(day)).toBe(name !== 'Saturday' && name !== 'Sunday')
    }
  })
  it('before a day are counted back over weekends; of none, the last one up to it', () => {
    // 2026-06-12 is a Friday.
    expect(workingDaysBefore('2026-06-12', 1, isWorking)).toBe('2026-06-11')
    expect(workingDaysBefore('2026-06-12', 5, isWorking)).toBe('2026-06-05')
    expect(workingDaysBefore('2026-06-14', 0, isWorking)).toBe('2026-06-12')
    expect(workingDaysBefore('2026-06-15', 1, isWorking)).toBe('2026-06-12')
    expect(lastSuch('2026-06-14', isWorking)).toBe('2026-06-12')
    expect(lastSuch('2026-06-14', () => false)).toBeNull()
    expect(workingDaysBefore('2026-06-14', 2, () => false)).toBeNull()
  })
  it('in a country whose holidays nobody knows count as without any', () => {
    expect(workingDays('zz')('2026-12-25')).toBe(true)
  })
  it('go by the days on which something opens at all', () => {
    const opening = defined(
      new OpeningCache().find('Mo,We 10:00-12:00; Sa 22:00-02:00', { lat: 0, lon: 0, country: null }),
    )
    const isOpen = openDays(opening)
    const open = Array.from({ length: 7 }, (_, i) => daysAfter('2026-06-01', i)).filter(isOpen)
    // Sunday begins before Saturday's evening is over.
    expect(open).toEqual(['2026-06-01', '2026-06-03', '2026-06-06', '2026-06-07'])
  })
})

describe('a parcel', () => {
  const isWorking = workingDays(null)
  const isOpen = (days: readonly string[]) => (day: string) => days.includes(weekdayOf(parseWallClock(`${day}T00:00`)))
  const inWeek = isOpen(['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday'])
  it('is handed in on the last open day before one comes by, and posted as many working days before', () => {
    // One comes by on Sunday 14 June: it is handed in on Friday, and posted five working days before that. Posted on Friday
    // 22 May it would lie there from the 29th, and go back on the 12th.
    expect(postingDays('2026-06-14', { days: 5, keptDays: 14 }, isWorking, inWeek)).toEqual({
      last: '2026-06-05',
      first: '2026-05-25',
    })
    // A counter that is open on Wednesdays alone.
    expect(postingDays('2026-06-16', { days: 5, keptDays: 14 }, isWorking, isOpen(['Wednesday']))?.last).toBe(
      '2026-06-03',
    )
    expect(postingDays('2026-06-16', { days: 5, keptDays: 14 }, isWorking, () => false)).toBeNull()
  })
  it('is never posted on a day on which nothing is taken, never too late, and never so early that it goes back', () => {
    const days = fc.integer({ min: 0, max: 20 })
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 3000 }), days, fc.integer({ min: 1, max: 60 }), (at, travels, keptDays) => {
        const visit = daysAfter('2026-01-01', at)
        const { first, last } = defined(postingDays(visit, { days: travels, keptDays }, isWorking, inWeek))
        expect(isWorking(last) && isWorking(first)).toBe(true)
        expect(first <= last && last < visit).toBe(true)
        const workingBetween = (from: string, to: string) =>
          Array.from({ length: daysBetween(from, to) }, (_, i) => daysAfter(from, i + 1)).filter(isWorking).length
        expect(workingBetween(last, daysAfter(visit, -1))).toBeGreaterThanOrEqual(travels)
        // A working day later it would come too late.
        const later = defined([1, 2, 3].map((n) => daysAfter(last, n)).find(isWorking))
        expect(workingBetween(later, daysAfter(visit, -1)) < travels || later >= visit).toBe(true)
      }),
      { numRuns: 300 },
    )
  })
  it('to a place whose counter is shut on holidays goes off earlier', () => {
    const withHours = (hours: string, country: string | null): Trip => ({
      ...full,
      ride: { ...full.ride, start: '2026-12-24T08:30', country },
      stops: full.stops.map((stop) => ({
        ...stop,
        services: stop.services.map((service) => (service.kind === 'post' ? { ...service, hours } : service)),
      })),
    })
    const about = { kind: 'parcel', stopId: 'ferrow', service: 'post' } as const
    const lastDay = (trip: Trip) => defined(taskFor(trip, about).lastDay)
    const plain = lastDay(withHours('Mo-Fr 09:00-17:00', null))
    const holidays = lastDay(withHours('Mo-Fr 09:00-17:00; PH off', 'de'))
    // One comes by on Saturday 26 December; the 25th is a holiday there.
    expect(plain).toBe('2026-12-18')
    expect(holidays).toBe('2026-12-17')
  })
})

describe('the list of a ride', () => {
  it('has every kind of task, each with somebody, minutes and a day before the ride', () => {
    const tasks = listOf(full)
    expect(new Set(tasks.map(({ about }) => about.kind))).toEqual(
      new Set(['job', 'check', 'practice', 'parcel', 'buy', 'try', 'papers', 'own']),
    )
    expect(new Set(tasks.map(({ key }) => key)).size).toBe(tasks.length)
    for (const { lastDay, deadline, minutes, about } of tasks) {
      expect(minutes, about.kind).toBeGreaterThan(0)
      expect(defined(lastDay) <= defined(deadline)).toBe(true)
      if (about.kind !== 'parcel') expect(defined(deadline) < '2026-06-12').toBe(true)
    }
    expect(taskFor(full, { kind: 'job', bikeId: 'mule', jobId: 'new-chain' })).toMatchObject({
      who: 'ansel',
      lastDay: '2026-06-07',
      deadline: '2026-06-11',
    })
    expect(taskFor(full, { kind: 'practice', riderId: 'ansel', techniqueId: 'make-single-speed' })).toMatchObject({
      who: 'ansel',
      isAnybodys: false,
      minutes: 120,
    })
  })
  it('asks of a bike what it has, and of none that nobody rides', () => {
    const checksOf = (trip: Trip, id: string) =>
      listOf(trip).flatMap(({ about }) => (about.kind === 'check' && about.bikeId === id ? [about.checkId] : []))
    expect(checksOf(demo, 'fox')).toContain('sealant')
    expect(checksOf(demo, 'mule')).not.toContain('sealant')
    expect(checksOf(demo, 'mule')).not.toContain('hinge')
    expect(checksOf({ ...demo, crew: demo.crew.slice(0, 1) }, 'mule')).toEqual([])
  })
  it('tries what comes along, and buys what nobody has', () => {
    const tried = listOf(demo).flatMap(({ about }) => (about.kind === 'try' ? [about.thingId] : []))
    for (const id of tried) expect(carried[id]).toBeGreaterThan(0)
    expect(tried).toContain('mini-pump')
    const bought = listOf(demo).flatMap(({ about, pieces }) => (about.kind === 'buy' ? [[about.thingId, pieces]] : []))
    const lacking = demo.bench.filter(({ id, owned, shed }) => (carried[id] ?? 0) > (owned ?? (shed === null ? 0 : 99)))
    expect(bought.map(([id]) => id)).toEqual(lacking.map(({ id }) => id))
  })
  it('keeps what was left on it when the kit does without, and tries nothing that is bought on the way', () => {
    const about = { kind: 'buy', thingId: 'pads-b2' } as const
    const without = { ...carried, 'pads-b2': 0 }
    const keysWithout = (trip: Trip) => taskList(trip, catalogue, { survey, carried: without }).map(({ key }) => key)
    expect(keysWithout(demo)).not.toContain('buy pads-b2')
    expect(keysWithout({ ...demo, ...settled(demo, about, { state: 'left' }) })).toContain('buy pads-b2')
    const onTheWay = demo.bench.map((thing) =>
      thing.id === 'tube-622-light' ? { ...thing, boughtAt: 'brannock' } : thing,
    )
    expect(listOf(demo).map(({ key }) => key)).toContain('try tube-622-light')
    expect(listOf({ ...demo, bench: onTheWay }).map(({ key }) => key)).not.toContain('try tube-622-light')
  })
  it('charges and pumps up no sooner than it lasts, and heeds the holidays at home', () => {
    expect(taskFor(demo, { kind: 'check', bikeId: 'fox', checkId: 'evening-before' })).toMatchObject({
      firstDay: '2026-06-11',
      lastDay: '2026-06-11',
    })
    expect(taskFor(demo, { kind: 'check', bikeId: 'fox', checkId: 'tyres' }).firstDay).toBeNull()
    // Five working days before Thursday 7 May 2026: the first of May is a holiday in Germany, and in the other country none.
    const inMay = (country: string | null): Trip => ({
      ...demo,
      ride: { ...demo.ride, start: '2026-05-08T08:30', country: 'us' },
      home: { ...demo.home, country },
    })
    const about = { kind: 'buy', thingId: 'pads-b2' } as const
    expect(taskFor(inMay(null), about).lastDay).toBe('2026-04-30')
    expect(taskFor(inMay('de'), about).lastDay).toBe('2026-04-29')
  })
  it('knows no day while nobody knows when the ride begins', () => {
    const open = { ...full, ride: { ...full.ride, start: null } }
    for (const task of listOf(open))
      expect([task.lastDay, task.deadline, task.firstDay, dueDay(task)]).toEqual([null, null, null, null])
  })
  it('without a road, or a rider, or a bench, is what there is', () => {
    const bare = readTrip({ format: 'rag-tin.trip/6', name: 'bare' }, catalogue)
    const nowhere = surveyRoad([])
    expect(taskList(bare, catalogue, { survey: nowhere, carried: {} }).map(({ about }) => about.kind)).toEqual([
      'papers',
    ])
    const kinds = taskList({ ...full, road: bare.road }, catalogue, { survey: nowhere, carried }).map(
      ({ about }) => about.kind,
    )
    expect(new Set(kinds)).toEqual(new Set(['job', 'check', 'practice', 'parcel', 'buy', 'try', 'papers', 'own']))
  })
  it('buys at a shop by its hours, by order in working days, and shares the way to a shop', () => {
    const about = { kind: 'buy', thingId: 'pads-b2' } as const
    const at = (shop: string | null): Trip => ({
      ...demo,
      home: {
        ...demo.home,
        shops: [
          { id: 'corner', name: 'At the corner', hours: 'We 10:00-12:00', deliveryDays: null },
          { id: 'far', name: 'Far away', hours: '', deliveryDays: 10 },
        ],
      },
      bench: demo.bench.map((thing) => ({ ...thing, buying: { ...thing.buying, shop } })),
    })
    // The ride begins on Friday 12 June.
    expect(taskFor(at('corner'), about)).toMatchObject({ lastDay: '2026-06-10', deadline: '2026-06-10', minutes: 20 })
    expect(taskFor(at('far'), about)).toMatchObject({ lastDay: '2026-05-28', minutes: 10 })
    expect(taskFor(at(null), about)).toMatchObject({ lastDay: '2026-06-04' })
    // A shop that is none any more is no shop.
    expect(taskFor(at('gone'), about)).toMatchObject({ lastDay: '2026-06-04' })
  })
  it('finds a shop at home shut on the holidays at home, not on those of the ride', () => {
    const shop = { id: 'corner', name: 'At the corner', hours: 'Mo-Fr 09:00-18:00; PH off', deliveryDays: null }
    const on2May = (country: string | null): Trip => ({
      ...demo,
      ride: { ...demo.ride, start: '2026-05-02T08:30', country: 'us' },
      home: { ...demo.home, country, shops: [shop] },
      bench: demo.bench.map((thing) => ({ ...thing, buying: { ...thing.buying, shop: 'corner' } })),
    })
    const about = { kind: 'buy', thingId: 'pads-b2' } as const
    expect(taskFor(on2May(null), about).lastDay).toBe('2026-05-01')
    expect(taskFor(on2May('de'), about).lastDay).toBe('2026-04-30')
  })
  it('leaves undone no more than what is bought at home: what a shop on the way has is carried from there', () => {
    const pads = defined(demo.bench.find(({ id }) => id === 'pads-b2'))
    const left = { ...pads, owned: 0, buying: { ...pads.buying, state: 'left' as const } }
    expect(mostPieces(left)).toBe(0)
    expect(mostPieces({ ...left, boughtAt: 'brannock' })).toBe(pads.count)
    expect(mostPieces({ ...left, owned: 99 })).toBe(pads.count)
    expect(mostPieces({ ...pads, owned: 0 })).toBe(pads.count)
  })
  it('gives what somebody does to them, and what a rider did who is gone to the one who is nearest', () => {
    const about = { kind: 'check', bikeId: 'mule', checkId: 'tyres' } as const
    expect(taskFor({ ...demo, ...settled(demo, about, { by: 'maren' }) }, about).who).toBe('maren')
    expect(taskFor({ ...demo, ...settled(demo, about, { by: 'nobody' }) }, about).who).toBe('ansel')
  })
  it('says how each stands on a day', () => {
    const task = { state: 'open', on: null, lastDay: '2026-06-05', deadline: '2026-06-11' } as const
    const on = (day: string, part: Partial<typeof task> | object = {}) => standingOn({ ...task, ...part }, day)
    expect([on('2026-06-01'), on('2026-06-05'), on('2026-06-06'), on('2026-06-11'), on('2026-06-12')]).toEqual([
      'ahead',
      'due',
      'overdue',
      'overdue',
      'too late',
    ])
    expect(on('2026-06-01', { on: '2026-06-12' })).toBe('too late')
    expect(on('2026-06-09', { on: '2026-06-10' })).toBe('ahead')
    expect(on('2030-01-01', { state: 'done' })).toBe('done')
    expect(on('2030-01-01', { state: 'left' })).toBe('left')
    expect(on('2030-01-01', { lastDay: null, deadline: null })).toBe('ahead')
  })
})

describe('what becomes of a task', () => {
  it('is kept where it belongs, read back from there, and nothing else is other', () => {
    for (const { about } of listOf(full)) {
      const changed = { ...full, ...settled(full, about, { state: 'left', on: '2026-06-01' }) }
      expect(taskOf(changed, about), taskKey(about)).toMatchObject({ state: 'left', on: '2026-06-01' })
      const others = listOf(full).filter(({ key }) => key !== taskKey(about))
      for (const other of others) expect(taskOf(changed, other.about)).toEqual(taskOf(full, other.about))
      const back = { ...changed, ...settled(changed, about, { state: 'open', on: null }) }
      expect(listOf(back)).toEqual(listOf(full))
    }
  })
  it('survives being written and read', () => {
    const done = allSettled(
      full,
      listOf(full).map(({ about }) => about),
      { state: 'done', on: '2026-06-02', by: 'maren' },
    )
    expect(readTrip(JSON.parse(JSON.stringify(done)), catalogue)).toEqual(done)
  })
  it('stays on the list: what was bought, and what was left', () => {
    const about = { kind: 'buy', thingId: 'pads-b2' } as const
    for (const state of ['done', 'left'] as const) {
      const trip = { ...demo, ...settled(demo, about, { state }) }
      expect(taskFor(trip, about).state).toBe(state)
    }
  })
  it('does not come along to the next ride, but the shops do', () => {
    const done = allSettled(
      full,
      listOf(full).map(({ about }) => about),
      { state: 'done' },
    )
    const shops = [{ id: 's', name: 'S', hours: '', deliveryDays: 3 }]
    const next = takenAlong({ ...done, home: { ...done.home, shops } }, {})
    expect(next.home).toEqual({ country: null, shops, tasks: [], papers: openTask })
    expect(next.bikes.flatMap(({ checks, jobs }) => [...checks, ...jobs])).toEqual([])
  })
  it('of an older document is open', () => {
    const { home: _, ...old } = JSON.parse(JSON.stringify(demo)) as Record<string, unknown>
    const read = readTrip({ ...old, format: 'rag-tin.trip/4' }, catalogue)
    expect(read.format).toBe('rag-tin.trip/6')
    expect(read.home).toEqual({ country: null, shops: [], tasks: [], papers: openTask })
    expect(listOf(read).every(({ state }) => state === 'open')).toBe(true)
  })
})

describe('what is left undone', () => {
  /** The promise of a kit by the ledger of a plan that is written from nothing. */
  const promiseOf = (trip: Trip, kit: ArrayLike<number>) => {
    const ledger = indexLedger(ledgerOfTrip(trip, survey, catalogue).ledger)
    const there = ledger.items.map(({ max }, i) => Math.min(max, nth(kit, i)))
    return new PromiseEvaluator(ledger, demandOf(ledger)).evaluate(there).promiseH
  }
  const kit = kitOf(full)
  const tasks = taskList(full, catalogue, { survey, carried: carriedOf(full, kit) })
  const worths = new Map(
    Array.from(taskWorths(full, survey, catalogue, kit, tasks), ({ key, undoneH }) => [key, undoneH]),
  )

  it('raises the promise by just what is said, task by task', () => {
    for (const kind of ['job', 'check', 'practice', 'parcel', 'buy', 'try'] as const) {
      for (const { about, key } of tasks.filter((task) => task.about.kind === kind).slice(0, 4)) {
        const as = (state: 'done' | 'left') => promiseOf({ ...full, ...settled(full, about, { state }) }, kit)
        expect(as('left') - as('done'), key).toBeCloseTo(defined(worths.get(key)), 9)
      }
    }
    expect([...worths.values()].some((hours) => hours > 0.05)).toBe(true)
  }, 60_000)
  it('and all together by just what is said of all', () => {
    const told = readyPromise(full, survey, catalogue, kit, tasks)
    const all = (state: 'done' | 'left') =>
      promiseOf(
        allSettled(
          full,
          tasks.map(({ about }) => about),
          { state },
        ),
        kit,
      )
    expect(told.plannedH).toBeCloseTo(promiseOf(full, kit), 9)
    expect(told.allDoneH).toBeCloseTo(all('done'), 9)
    expect(told.asItStandsH).toBeCloseTo(all('left'), 9)
    expect(told.asItStandsH).toBeGreaterThan(told.allDoneH)
  })
  it('of what was settled already is said as well, and the papers cost nothing on the road', () => {
    const about = { kind: 'check', bikeId: 'fox', checkId: 'tyres' } as const
    const left = { ...full, ...settled(full, about, { state: 'left' }) }
    const again = taskList(left, catalogue, { survey, carried: carriedOf(full, kit) })
    const told = new Map(
      Array.from(taskWorths(left, survey, catalogue, kit, again), ({ key, undoneH }) => [key, undoneH]),
    )
    expect(told.get(taskKey(about))).toBeCloseTo(defined(worths.get(taskKey(about))), 9)
    expect(told.has('papers')).toBe(false)
    expect(told.has('own cat')).toBe(false)
  })
  it('a job that was left comes back among the ways in which a risk can be bought down', () => {
    const about = { kind: 'job', bikeId: 'mule', jobId: 'bolts' } as const
    const left = { ...full, ...settled(full, about, { state: 'left' }) }
    // Jobs are told among the first: the rest of the ways need not be waited for.
    const way = (trip: Trip) => {
      for (const told of ways(trip, survey, catalogue, kit))
        if (told.deed.kind === 'job' && told.deed.jobId === 'bolts' && told.deed.bikeId === 'mule') return told
      return undefined
    }
    expect(way(full)?.isTaken).toBe(true)
    expect(way(left)?.isTaken).toBe(false)
    expect(way(left)?.savedH).toBeCloseTo(defined(worths.get(taskKey(about))), 9)
  }, 60_000)
})

describe('a check', () => {
  const flatTwice = checkSchema.parse({
    id: 'tyres',
    name: 'tyres',
    look: '',
    minutes: 10,
    daysBefore: 3,
    hazards: ['flat'],
    unchecked: 1.5,
  })
  it('that was left undone makes what it would have found come as many times as often: the promise of bare hands is as many times as high', () => {
    const reference = { ...referenceWith(), checks: [flatTwice] }
    const level = surveyRoad(base.road.points)
    const bare: Trip = { ...base, bench: [] }
    const promise = (state: 'open' | 'done' | 'left') => {
      const bikes = [{ ...bike, checks: [{ ...openTask, check: 'tyres', state }] }]
      const ledger = indexLedger(ledgerOfTrip({ ...bare, bikes }, level, reference).ledger)
      return new PromiseEvaluator(ledger, demandOf(ledger)).evaluate([]).promiseH
    }
    expect(promise('open')).toBeGreaterThan(0)
    expect(promise('done')).toBe(promise('open'))
    expect(promise('left')).toBeCloseTo(1.5 * promise('open'), 10)
  })
  it('counts beside others that would have found the same, and only on bikes that it is for', () => {
    const another = { ...flatTwice, id: 'again', unchecked: 2 }
    const tubeless = { ...flatTwice, id: 'tubeless', unchecked: 3, applies: { all: ['tubeless' as const], none: [] } }
    const left = ['tyres', 'again', 'tubeless', 'unknown'].map((check) => ({
      ...openTask,
      check,
      state: 'left' as const,
    }))
    expect(uncheckedFactor({ ...bike, checks: left }, 'flat', [flatTwice, another, tubeless])).toBe(3)
    expect(uncheckedFactor({ ...bike, checks: left }, 'other', [flatTwice, another])).toBe(1)
    expect(uncheckedFactor(bike, 'flat', [flatTwice])).toBe(1)
  })
  it('of the catalogue speaks of failures that there are, and every trial of families and functions', () => {
    const hazards = new Set(catalogue.hazards.map(({ id }) => id))
    for (const check of catalogue.checks)
      for (const id of check.hazards) expect(hazards.has(id), `${check.id}: ${id}`).toBe(true)
    const families = new Set(catalogue.families.map(({ id }) => id))
    for (const trial of catalogue.trials) {
      for (const id of trial.families) expect(families.has(id), `${trial.id}: ${id}`).toBe(true)
      for (const start of trial.functions)
        expect(
          catalogue.functions.some(({ id }) => id.startsWith(start)),
          `${trial.id}: ${start}`,
        ).toBe(true)
    }
  })
  it('of brakes, steering and frame names what is for a mechanic', () => {
    for (const id of ['brakes', 'steering', 'frame', 'spokes', 'hinge', 'motor-battery'])
      expect(catalogue.checks.find((check) => check.id === id)?.mechanic, id).not.toBe('')
  })
})

describe('a trial', () => {
  const trial = trialSchema.parse({
    id: 't',
    name: 't',
    look: '',
    minutes: 5,
    daysBefore: 3,
    families: ['tube'],
    untried: 0.9,
  })
  const thing = (state: 'open' | 'done' | 'left', condition = 0.8) => ({
    provides: [],
    units: { 'tube-622': 1 },
    condition,
    trial: { ...openTask, state },
  })
  it('makes an old thing as good as new, and one that was not tried less than it looks', () => {
    const trust = (state: 'open' | 'done' | 'left', condition?: number) =>
      trustAtDeparture(thing(state, condition), [trial], catalogue.families)
    expect([trust('open'), trust('done'), trust('left')]).toEqual([0.8, 1, 0.8 * 0.9])
    expect([trust('open', 1), trust('done', 1), trust('left', 1)]).toEqual([1, 1, 0.9])
  })
  it('is for what it is for', () => {
    expect(trialOf({ provides: [], units: { patch: 6 } }, [trial], catalogue.families)).toBeUndefined()
    const lever = { provides: ['lever'], units: {} }
    expect(trialOf(lever, catalogue.trials, catalogue.families)).toBeUndefined()
    expect(
      trustAtDeparture(
        { ...lever, condition: 1, trial: { ...openTask, state: 'left' } },
        catalogue.trials,
        catalogue.families,
      ),
    ).toBe(1)
  })
})

describe('an evening', () => {
  const task = (key: string, minutes: number, undoneH: number, part: Partial<WeighedTask> = {}): WeighedTask => ({
    key,
    who: 'a',
    minutes,
    undoneH,
    deadline: '2026-06-11',
    lastDay: '2026-06-11',
    firstDay: null,
    on: null,
    state: 'open',
    ...part,
  })
  it('holds what together is worth most: every choice of a few tasks tried', () => {
    const given = fc.array(
      fc.record({ minutes: fc.integer({ min: 1, max: 60 }), undoneH: fc.integer({ min: 1, max: 50 }) }),
      { maxLength: 9 },
    )
    fc.assert(
      fc.property(given, fc.integer({ min: 0, max: 180 }), (some, minutes) => {
        const tasks = some.map((each, i) => task(`${i}`, each.minutes, each.undoneH))
        const chosen = bestWithin(tasks, minutes)
        const sum = (list: readonly WeighedTask[], field: 'minutes' | 'undoneH') =>
          list.reduce((all, each) => all + each[field], 0)
        expect(sum(chosen, 'minutes')).toBeLessThanOrEqual(minutes)
        let best = 0
        for (let mask = 0; mask < 2 ** tasks.length; mask++) {
          const taken = tasks.filter((_, i) => mask & (1 << i))
          if (sum(taken, 'minutes') <= minutes) best = Math.max(best, sum(taken, 'undoneH'))
        }
        expect(sum(chosen, 'undoneH')).toBeCloseTo(best, 6)
      }),
      { numRuns: 150 },
    )
  })
  it('begins with what is of no use tomorrow, however little it is worth', () => {
    const parcel = task('parcel', 30, 0.01, { deadline: '2026-06-05', who: null })
    const [a] = evening([parcel, task('tyres', 20, 1), task('brakes', 40, 1.5)], ['a'], 60, '2026-06-05')
    expect(a).toEqual({ who: 'a', keys: ['parcel', 'tyres'], minutes: 50 })
    const [before] = evening([parcel, task('tyres', 20, 1), task('brakes', 40, 1.5)], ['a'], 60, '2026-06-04')
    expect(before?.keys).toEqual(['tyres', 'brakes'])
  })
  it('leaves out what is settled, what it is too soon for and what it is too late for; not what was put on a later day', () => {
    const tasks = [
      task('done', 5, 9, { state: 'done' }),
      task('left', 5, 9, { state: 'left' }),
      task('soon', 5, 9, { firstDay: '2026-06-06' }),
      task('late', 5, 9, { deadline: '2026-06-04' }),
      task('put off', 5, 9, { on: '2026-06-12' }),
    ]
    const keysOn = (today: string) => evening(tasks, ['a'], 60, today)[0]?.keys
    expect(keysOn('2026-06-05')).toEqual(['put off'])
    expect(keysOn('2026-06-04')).toEqual(['late', 'put off'])
    expect(keysOn('2026-06-06')).toEqual(['soon', 'put off'])
  })
  it('of each rider is their own; what anybody does is the first one’s', () => {
    const tasks = [task('x', 10, 1, { who: 'b' }), task('y', 10, 1, { who: null }), task('z', 10, 0)]
    expect(evening(tasks, ['a', 'b'], 60, '2026-06-05').map(({ keys }) => keys)).toEqual([['y', 'z'], ['x']])
    expect(evening(tasks, [], 60, '2026-06-05')).toEqual([])
    expect(evening(tasks, ['a'], 0, '2026-06-05')).toEqual([{ who: 'a', keys: [], minutes: 0 }])
  })
})
