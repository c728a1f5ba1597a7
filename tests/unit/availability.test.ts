import { defined, nth } from '#core/validation'
import {
  classesOf,
  availabilityOf,
  Landscape,
  availabilitiesOf,
  remediesFor,
  roadView,
  shutOptions,
  withChanges,
  type Remedy,
} from '#core/availability'
import { hoursAtStake, ledgerOfTrip, shareWithin, stakesOf } from '#core/trip-ledger'
import { OpeningCache } from '#core/ride'
import { surveyRoad, type RoadPoint } from '#core/road'
import { serviceSchema, stopSchema } from '#core/supply'
import { tripSchema, type Trip } from '#core/trip'
import { planChangeInWords, gapReasonsInWords, shutChoiceInWords } from '#wording'
import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'

/**
 * 100 km on the level, asphalt at 20 km/h without pauses, from Friday 12 June
 * 2026 at 08:00: km 40 is reached at 10:00, km 60 at 11:00.
 */
const kmOfDegree = (Math.PI * 6378.137) / 180
const points: RoadPoint[] = Array.from({ length: 101 }, (_, i) => [0, i / kmOfDegree, 5])
const survey = surveyRoad(points)
const book = new OpeningCache()
const bare: Trip = tripSchema.parse({
  format: 'rag-tin.trip/6',
  name: 'level',
  road: { points, stretches: [{ id: 'all', fromKm: 0, toKm: survey.lengthKm, surface: 'asphalt' }] },
  ride: { start: '2026-06-12T08:00', pauseH: 0, ridingH: 10 },
  dials: { waitH: 1 },
})
const service = (kind: string, more: object = {}) => ({ kind, knownFrom: 'asked', ...more })
const stop = (id: string, roadKm: number, ...services: object[]) => stopSchema.parse({ id, name: id, roadKm, services })
const tripWith = (...stops: ReturnType<typeof stop>[]): Trip => ({ ...bare, stops })
const availability = (trip: Trip, classId = 'tube-622') =>
  availabilityOf(new Landscape(trip, survey, catalogue, book), trip, classId)
const nameOf = (kind: string) => defined(catalogue.services.find(({ id }) => id === kind)).name
const said = (trip: Trip) => {
  const { gaps, longest } = availability(trip)
  return gapReasonsInWords(nth(gaps, longest), nameOf)
}
const remedies = (trip: Trip, classId = 'tube-622') => remediesFor(trip, survey, catalogue, classId, book)
const words = ({ changes }: Remedy) =>
  changes.map((change) => planChangeInWords(change, (id) => id, nameOf)).join(' + ')
const told = (trip: Trip, classId?: string) =>
  remedies(trip, classId).map((remedy) => `${words(remedy)}: ${Math.round(remedy.hereKm)}`)

describe('the availability of a class', () => {
  it('is walked to for each class by itself, from the same places or from others', () => {
    const trip = tripWith(
      stop('tubes', 30, service('water', { stocks: { 'tube-622': 1 } })),
      stop('chains', 70, service('water', { stocks: { 'chain-12': 1 } })),
    )
    const landscape = new Landscape(trip, survey, catalogue, book)
    const { km } = landscape.grid
    const at = (classId: string, roadKm: number) => {
      const away = Array.from(km, (each) => Math.abs(each - roadKm))
      return nth(landscape.walkTo(classId, 1), away.indexOf(Math.min(...away)))
    }
    expect([at('tube-622', 30), at('chain-12', 70), at('hanger-a1', 0)].map((hours) => hours.toFixed(1))).toEqual([
      '0.0',
      '0.0',
      '0.0',
    ])
    expect(at('tube-622', 70)).toBeGreaterThan(5)
    expect(at('chain-12', 30)).toBeGreaterThan(5)
    expect(at('hanger-a1', 30)).toBeGreaterThan(5)
    expect(landscape.walkTo('tube-622', 1)).toBe(landscape.walkTo('tube-622', 1))
  })
  it('has its places in the order of the road, and the first of gaps that are as long', () => {
    const shop = (id: string, km: number) => stop(id, km, service('bike-shop', { hours: '24/7' }))
    const half = survey.lengthKm / 2
    expect(availability(tripWith(shop('late', 90), shop('early', 10))).places.map((place) => place.stop)).toEqual([
      'early',
      'late',
    ])
    const even = availability(tripWith(shop('half', half)))
    expect(even.gaps.map(({ km }) => Math.round(km))).toEqual([50, 50])
    expect(even.longest).toBe(0)
    expect(availability(tripWith(shop('near', 20))).longest).toBe(1)
  })
  it('has a mark for each place that has it, or might', () => {
    const trip = tripWith(
      stop('open', 20, service('bike-shop', { hours: 'Mo-Fr 08:00-18:00' })),
      stop('late', 40, service('bike-shop', { hours: 'Mo-Fr 10:30-18:00' })),
      stop('shut', 60, service('bike-shop', { hours: 'Sa 09:00-12:00' })),
      stop('unsaid', 70, service('bike-shop')),
      stop('maybe', 80, service('workshop')),
      stop('never', 90, service('water')),
    )
    expect(availability(trip).places.map(({ name, finding }) => [name, finding])).toEqual([
      ['open', 'had'],
      ['late', 'waited'],
      ['shut', 'shut'],
      ['unsaid', 'uncertain'],
      ['maybe', 'doubtful'],
    ])
    expect(availability(trip).gaps.map(({ fromKm, toKm }) => [fromKm, Math.round(toKm)])).toEqual([
      [0, 20],
      [20, 40],
      [40, 70],
      [70, 100],
    ])
  })
  it('counts a gap in the saddle, in days and on foot', () => {
    const [first] = availability(tripWith(stop('shop', 40, service('bike-shop')))).gaps
    expect(defined(first).ridingH).toBeCloseTo(2, 6)
    expect(defined(first).days).toBeCloseTo(2 / 24, 6)
    expect(defined(first).worstAtKm).toBeCloseTo(20, 0)
    expect(defined(first).meanWalkH).toBeCloseTo(defined(first).worstWalkH / 2, 1)
  })
  it('knows no hours nor days without a start', () => {
    const undated = { ...tripWith(stop('shop', 40, service('bike-shop'))), ride: { ...bare.ride, start: null } }
    expect(availability(undated).gaps[0]).toMatchObject({ ridingH: null, days: null })
  })
  it('of every class tiles the road', () => {
    const demo = demoTrip()
    const demoSurvey = surveyRoad(demo.road.points)
    const landscape = new Landscape(demo, demoSurvey, catalogue, book)
    for (const { gaps } of availabilitiesOf(landscape, demo, classesOf(demo, catalogue))) {
      expect(nth(gaps, 0).fromKm).toBe(0)
      expect(defined(gaps.at(-1)).toKm).toBe(demoSurvey.lengthKm)
      gaps.slice(1).forEach((gap, i) => expect(gap.fromKm).toBe(nth(gaps, i).toKm))
    }
  })
})

describe('why a gap is long', () => {
  it('names each place in it that does not count', () => {
    const trip = tripWith(
      stop('shut', 60, service('bike-shop', { hours: 'Sa 09:00-12:00' })),
      stop('closed down', 70, service('bike-shop', { hours: 'off' })),
      stop('maybe', 80, service('workshop')),
    )
    expect(said(trip)).toEqual([
      'the bike shop at shut is shut when you come by on Fri 12 June at 11:00; it opens Sat 09:00',
      'the bike shop at closed down is shut when you come by on Fri 12 June at 11:30 and does not open within a year',
      'the village workshop at maybe has it with 40 %, less than you trust',
    ])
  })
  it('or that there is none', () => expect(said(tripWith())).toEqual(['no place in it stocks it']))
})

describe('what is shut when one comes by', () => {
  const options = (trip: Trip, id = 'town') =>
    shutOptions(trip, survey, catalogue, id, book).map(({ choice, isMade, plan }) => ({
      words: shutChoiceInWords(choice, nameOf),
      isMade,
      waitH: defined(plan.stops.find((each) => each.id === id)).waitH,
      nights: plan.ride.nights.length,
    }))
  const [late, tomorrow] = ['Fr 13:10-18:00', 'Sa 07:30-12:00']
  const town = (...services: object[]) => tripWith(stop('town', 60, ...services))

  it('is ridden by, waited for, or slept at; the later wait waits for the earlier ones as well', () => {
    const trip = town(service('supermarket', { hours: late }), service('bike-shop', { hours: tomorrow }))
    expect(options(trip)).toEqual([
      { words: 'ride on', isMade: true, waitH: null, nights: 0 },
      { words: 'wait 2.25 h for the supermarket', isMade: false, waitH: 2.25, nights: 0 },
      { words: 'wait 20.5 h for the bike shop', isMade: false, waitH: 20.5, nights: 0 },
      { words: 'sleep there', isMade: false, waitH: null, nights: 1 },
    ])
  })
  it('is waited for already where that is not longer than one would wait anywhere; riding on then says so', () => {
    const soon = town(service('bike-shop', { hours: 'Fr 11:45-18:00' }))
    expect(options(soon).map(({ words, isMade, waitH }) => [words, isMade, waitH])).toEqual([
      ['ride on', false, 0],
      ['wait 0.75 h for the bike shop', true, 0.75],
      ['sleep there', false, null],
    ])
  })
  it('opens once it is waited for, there and nowhere else', () => {
    const trip = tripWith(
      stop('town', 60, service('bike-shop', { hours: late })),
      stop('village', 65, service('bike-shop', { hours: late })),
    )
    const [, wait] = shutOptions(trip, survey, catalogue, 'town', book)
    expect(availability(defined(wait).plan).places.map(({ name, finding }) => [name, finding])).toEqual([
      ['town', 'waited'],
      ['village', 'shut'],
    ])
  })
  it('is said of a night that is settled there, and by riding on given up', () => {
    const trip = town(service('bike-shop', { hours: tomorrow }))
    const slept = defined(shutOptions(trip, survey, catalogue, 'town', book).at(-1)).plan
    expect(availability(slept).places).toMatchObject([{ finding: 'had' }])
    expect(options(slept).map(({ words, isMade, nights }) => [words, isMade, nights])).toEqual([
      ['ride on', false, 0],
      ['wait 20.5 h for the bike shop', false, 0],
      ['sleep there', true, 1],
    ])
  })
  it('asks for nothing where all is open, where nobody knows when, and where it would be waited for too long', () => {
    expect(options(town(service('bike-shop', { hours: 'Fr 08:00-18:00' })))).toEqual([])
    const trip = town(service('bike-shop', { hours: late }))
    expect(options({ ...trip, ride: { ...trip.ride, start: null } })).toEqual([])
    expect(options(trip, 'elsewhere')).toEqual([])
    expect(options(town(service('bike-shop', { hours: 'Tu 11:30-12:00' }))).map(({ words }) => words)).toEqual([
      'ride on',
      'sleep there',
    ])
  })

  it('helps on the strip once it opens: walking there costs the wait as well', () => {
    const viewOf = (trip: Trip) => roadView(new Landscape(trip, survey, catalogue, book), trip, catalogue)
    const trip = town(service('bike-shop', { hours: late }))
    const [open, shut] = [viewOf(town(service('bike-shop'))), viewOf(trip)]
    expect([open.shutStops, shut.shutStops]).toEqual([[], ['town']])
    const node = shut.walkOut.km.indexOf(60)
    expect([open.walkOut.hours[node], open.walkOut.waitH[node]]).toEqual([0, 0])
    // Friday at 11:00, open at 13:10; one would wait an hour of that anyway.
    expect(shut.walkOut.hours[node]).toBeCloseTo(130 / 60 - 1, 9)
    expect(shut.walkOut.waitH[node]).toBeCloseTo(130 / 60 - 1, 9)
    const waited = defined(shutOptions(trip, survey, catalogue, 'town', book)[1]).plan
    expect([viewOf(waited).shutStops, viewOf(waited).walkOut.hours[node]]).toEqual([[], 0])
    // A bus leaves whether the shop is open or not, and one that has closed down helps nobody.
    const bus = { ...trip, stops: trip.stops.map((each) => ({ ...each, exit: 'bus' as const })) }
    expect([viewOf(bus).shutStops, viewOf(bus).walkOut.hours[node]]).toEqual([[], 0])
    const gone = viewOf(town(service('bike-shop', { hours: 'off' })))
    expect([gone.shutStops, gone.walkOut.waitH[node]]).toEqual([['town'], 0])
    expect(defined(gone.walkOut.hours[node])).toBeGreaterThan(5)
  })
})

it('classes are told of the longest gap first', () => {
  const trip = tripWith(stop('shop', 20, service('bike-shop')), stop('store', 50, service('supermarket')))
  const landscape = new Landscape(trip, survey, catalogue, book)
  const longest = availabilitiesOf(landscape, trip, ['tube-622', 'glue', 'mechanic', 'tube-584']).map(
    ({ classId, gaps, longest: at }) => ({
      classId,
      km: nth(gaps, at).km,
    }),
  )
  expect(longest.map(({ classId }) => classId).sort()).toEqual(['glue', 'mechanic', 'tube-584', 'tube-622'])
  longest.slice(1).forEach(({ km }, i) => expect(km).toBeLessThanOrEqual(nth(longest, i).km))
  expect(nth(longest, 0).km).toBeGreaterThan(nth(longest, 3).km)
})

describe('what would shorten a gap', () => {
  it('leaving on a day on which the shop is open, the nearest such day', () => {
    const saturdays = tripWith(stop('shop', 60, service('bike-shop', { hours: 'Sa 09:00-12:00' })))
    expect(told(saturdays)).toContain('leave a day later: 60')
    const wednesdays = tripWith(stop('shop', 60, service('bike-shop', { hours: 'We 09:00-12:00' })))
    expect(told(wednesdays)).toEqual(['leave 2 days sooner: 60'])
  })
  it('waiting, when it opens the same day', () => {
    const late = tripWith(stop('shop', 60, service('bike-shop', { hours: 'Fr 13:10-18:00' })))
    expect(told(late)).toContain('wait 2.25 h at shop: 60')
  })
  it('a night there, when it opens the next morning', () => {
    const tomorrow = tripWith(stop('shop', 60, service('bike-shop', { hours: 'Sa 07:30-12:00' })))
    expect(told(tomorrow)).toContain('spend a night at shop: 60')
  })
  it('a parcel, where there is a post office and the thing may be posted', () => {
    const post = tripWith(stop('village', 50, service('post')))
    expect(told(post)).toEqual(['post a parcel to village: 50'])
    expect(told(post, 'cartridge')).toEqual([])
    expect(told(post, 'mechanic')).toEqual([])
  })
  it('a parcel and another day, where the counter is shut', () => {
    const post = tripWith(stop('village', 50, service('post', { hours: 'Sa 08:00-12:00' })))
    expect(told(post)).toContain('post a parcel to village + leave a day later: 50')
    expect(told(post).every((line) => line.includes('post a parcel to village +'))).toBe(true)
  })
  it('being told that a place has it', () => {
    const maybe = tripWith(stop('forge', 50, service('workshop')))
    expect(told(maybe)).toEqual(['make sure that the village workshop at forge has it: 50'])
  })
  it('of leaving sooner and of leaving later the gentlest that does most; what does most comes first', () => {
    const shop = (id: string, roadKm: number, days: string) =>
      stop(id, roadKm, service('bike-shop', { hours: `${days} 09:00-12:00` }))
    const leaving = (trip: Trip) => told(trip).filter((line) => /^leave [^+]*$/.test(line))
    expect(leaving(tripWith(shop('shop', 60, 'Sa,Su')))).toEqual(['leave a day later: 60'])
    expect(leaving(tripWith(shop('shop', 60, 'Th,Sa')))).toEqual(['leave a day sooner: 60', 'leave a day later: 60'])
    // On Saturday the one at km 60 is open, on Sunday the one at km 50, on Thursday the one at km 70.
    const three = tripWith(shop('half', 50, 'Su'), shop('later', 60, 'Sa'), shop('last', 70, 'Th'))
    expect(leaving(three)).toEqual(['leave 2 days later: 50', 'leave a day sooner: 70'])
    const reach = remedies(three).map(({ hereKm }) => hereKm)
    expect([...reach].sort((a, b) => a - b)).toEqual(reach)
    expect(new Set(reach).size).toBeGreaterThan(1)
  })
  it('leaving by three days at most, and waiting for half a day at most', () => {
    const mondays = tripWith(stop('shop', 60, service('bike-shop', { hours: 'Mo 09:00-12:00' })))
    expect(told(mondays)).toContain('leave 3 days later: 60')
    // One comes by on a Friday at eleven.
    const nearly = tripWith(stop('shop', 60, service('bike-shop', { hours: 'Fr 22:50-23:30' })))
    expect(told(nearly)).toContain('wait 12 h at shop: 60')
    const tooLate = tripWith(stop('shop', 60, service('bike-shop', { hours: 'Fr 23:15-23:45' })))
    expect(told(tooLate).filter((line) => line.startsWith('wait'))).toEqual([])
  })
  it('only what lies within the gap', () => {
    // The longest gap is that from km 30 to the end; the forge before it, and one at its very start, do not shorten it.
    const open = service('bike-shop', { hours: '24/7' })
    const trip = tripWith(
      stop('early', 15, service('workshop')),
      stop('shop', 30, open, service('post')),
      stop('forge', 60, service('workshop')),
    )
    expect(told(trip)).toEqual(['make sure that the village workshop at forge has it: 40'])
  })
  it('nothing, where nothing does', () => expect(told(tripWith(stop('spring', 50, service('water'))))).toEqual([]))

  it('is what comes of it when it is done', () => {
    const hours = fc.constantFrom('', 'Sa 09:00-12:00', 'Fr 12:00-18:00', 'Mo-Fr 08:00-18:00', 'Su off; Tu 10:00-11:00')
    const kind = fc.constantFrom('bike-shop', 'workshop', 'post', 'supermarket', 'water')
    const place = fc.record({ roadKm: fc.integer({ min: 1, max: 99 }), kind, hours })
    fc.assert(
      fc.property(fc.array(place, { maxLength: 5 }), (places) => {
        const trip = tripWith(...places.map((at, i) => stop(`s${i}`, at.roadKm, service(at.kind, { hours: at.hours }))))
        const before = availability(trip)
        const gap = nth(before.gaps, before.longest)
        for (const { changes, hereKm, longestKm } of remedies(trip)) {
          const after = availability(withChanges(trip, changes, 'tube-622'))
          expect(nth(after.gaps, after.longest).km).toBeCloseTo(longestKm, 9)
          expect(longestKm).toBeLessThanOrEqual(gap.km)
          expect(hereKm).toBeLessThan(gap.km)
        }
      }),
      { numRuns: 40 },
    )
  })
  it('to sleep at a stop moves the night that is settled half a kilometre off, and makes no second one', () => {
    const trip = tripWith(stop('inn', 50, service('bike-shop')))
    const nights = [{ id: 'n', roadKm: 50.5, stop: null, nights: 2 }]
    const slept = withChanges({ ...trip, ride: { ...trip.ride, nights } }, [{ kind: 'sleep', stop: 'inn' }], 'chain')
    expect(slept.ride.nights).toEqual([{ id: 'n', roadKm: 50, stop: 'inn', nights: 1 }])
  })
  it('a change to a plan that has no such place or no start changes nothing', () => {
    const undated = { ...bare, ride: { ...bare.ride, start: null } }
    expect(withChanges(undated, [{ kind: 'leave', days: 1 }], 'chain')).toEqual(undated)
    expect(withChanges(bare, [{ kind: 'sleep', stop: 'nowhere' }], 'chain')).toEqual(bare)
  })
})

describe('the hours at stake', () => {
  it('on a class are those of the failures that it settles', () => {
    const demo = demoTrip()
    const built = ledgerOfTrip(demo, surveyRoad(demo.road.points), catalogue)
    const atStake = hoursAtStake(built)
    const ofHangers = built.ledger.events.flatMap((event, i) =>
      nth(built.notes, i).settledBy.includes('hanger-k3') ? stakesOf(event, built) : [],
    )
    expect(ofHangers.length).toBeGreaterThan(0)
    expect(atStake['hanger-k3']).toBeCloseTo(
      ofHangers.reduce((sum, { hours }) => sum + hours, 0),
      12,
    )
    expect(atStake['tube-622']).toBeGreaterThan(atStake['zip-tie'] ?? 0)
  })

  it('of a failure lie along the road: gaps that make it up share them out', () => {
    const stakes = [
      { fromKm: 0, toKm: 40, hours: 1 },
      { fromKm: 40, toKm: 100, hours: 3 },
    ]
    const gap = (fromKm: number, toKm: number) => ({ fromKm, toKm, km: toKm - fromKm })
    expect(shareWithin(stakes, undefined)).toBe(1)
    // Half of the first leg, a third of the second: (0.5 · 1 + 1/3 · 3) / 4.
    expect(shareWithin(stakes, gap(20, 60))).toBeCloseTo(1.5 / 4, 12)
    expect(shareWithin(stakes, gap(0, 20)) + shareWithin(stakes, gap(60, 100))).toBeCloseTo(2.5 / 4, 12)
    expect(shareWithin([], gap(0, 20))).toBe(0)
  })
})

it('one’s own parcel is told apart from a counter', () => {
  const parcel = serviceSchema.parse({ kind: 'post', hours: 'Sa 09:00-10:00', parcel: { 'tube-622': 2 } })
  expect(said(tripWith(stop('village', 50, parcel)))[0]).toMatch(/^your parcel at village is shut/)
})

describe('a plan after a change', () => {
  const plan = tripWith(
    stop('first', 30, service('bike-shop'), service('post-office')),
    stop('second', 60, service('bike-shop'), service('post-office')),
  )
  const changed = (...changes: Parameters<typeof withChanges>[1]) => withChanges(plan, changes, 'tube-622')
  /** Of each service: the stop and the kind, and what of the class it has. */
  const shelves = ({ stops }: Pick<Trip, 'stops'>) =>
    stops.flatMap(({ id, services }) =>
      services.map(({ kind, parcel, stocks, knownFrom }) => [
        `${id} ${kind}`,
        parcel['tube-622'],
        stocks['tube-622'],
        knownFrom,
      ]),
    )
  const before = shelves(plan)

  it('has a parcel behind the one counter it was posted to, and else what it had', () => {
    const posted = changed({ kind: 'post', stop: 'second', service: 'post-office' })
    expect(shelves(posted)).toEqual(
      before.map((shelf) => (shelf[0] === 'second post-office' ? [shelf[0], 1, undefined, 'asked'] : shelf)),
    )
    expect(posted.ride).toBe(plan.ride)
  })
  it('has on the shelf what the one shop says it has', () => {
    const asked = changed({ kind: 'ask', stop: 'first', service: 'bike-shop' })
    expect(shelves(asked)).toEqual(
      before.map((shelf) => (shelf[0] === 'first bike-shop' ? [shelf[0], undefined, 1, 'asked'] : shelf)),
    )
  })
  it('waits longer at the one stop, and never less than before', () => {
    const waits = (hours: number) => changed({ kind: 'wait', stop: 'first', hours }).stops.map(({ waitH }) => waitH)
    expect(waits(4)).toEqual([4, null])
    // One waits an hour anywhere.
    expect(waits(0.5)).toEqual([1, null])
    expect(changed({ kind: 'wait', stop: 'first', hours: 4 }).ride).toBe(plan.ride)
  })
  it('sleeps at the stop, and nowhere where there is no such stop', () => {
    expect(changed({ kind: 'sleep', stop: 'second' }).ride.nights).toEqual([
      { id: 'night-second', roadKm: 60, stop: 'second', nights: 1 },
    ])
    expect(changed({ kind: 'sleep', stop: 'third' })).toEqual(plan)
  })
  it('leaves days sooner or later by the same clock; without a start it cannot', () => {
    expect(changed({ kind: 'leave', days: -2 }).ride.start).toBe('2026-06-10T08:00')
    expect(changed({ kind: 'leave', days: 1 }).ride.start).toBe('2026-06-13T08:00')
    const undated = { ...plan, ride: { ...plan.ride, start: null } }
    expect(withChanges(undated, [{ kind: 'leave', days: 1 }], 'tube-622')).toEqual(undated)
  })
  it('of several changes has all of them', () => {
    const both = changed({ kind: 'post', stop: 'second', service: 'post-office' }, { kind: 'sleep', stop: 'second' })
    expect(both.stops[1]?.services[1]?.parcel).toEqual({ 'tube-622': 1 })
    expect(both.ride.nights).toHaveLength(1)
  })
})
