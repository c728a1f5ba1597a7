import { surveyRoad } from '#core/road'
import { defined, Fault, Faults } from '#core/validation'
import { doublesOf } from '#core/fit'
import { expandTemplate, traitsOf, wheelGroups } from '#core/bike'
import { bestHands } from '#core/crew'
import { appliesTo } from '#core/hazard'
import { referenceSchema } from '#core/reference'
import { readClass, serviceSchema, stockChance } from '#core/supply'
import { faultLines, migrate, readTrip, readTripText, sameRevision, tripJsonSchema } from '#core/trip'
import {
  capabilitiesInWords,
  classInWords,
  chanceInWords,
  gramsInWords,
  hoursInWords,
  kmInWords,
  stretchInWords,
} from '#wording'
import { bikeFrom, bikeStarts, catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { describe, expect, it } from 'vitest'

type Loose = Record<string, never> & { [part: string]: unknown }
const lines = (change: (document: Loose) => void): string => {
  const document = structuredClone(demoTrip()) as unknown as Loose
  change(document)
  try {
    readTrip(document, catalogue)
  } catch (error) {
    return faultLines(error)?.join('\n') ?? String(error)
  }
  return 'taken'
}
// The documents broken below are no trips, so their parts have no type.
// eslint-disable-next-line @typescript-eslint/no-explicit-any
const loose = (document: Loose) => document as any

describe('reading a trip document', () => {
  it('takes the demo, and writes it out and reads it again unchanged', () => {
    const trip = readTrip(demoTrip(), catalogue)
    expect(readTripText(JSON.stringify(trip), catalogue)).toEqual(trip)
  })
  it('fills in what a short document leaves out', () => {
    const trip = readTrip({ format: 'rag-tin.trip/6', name: 'short' }, catalogue)
    expect(trip.dials.trust).toBe(0.6)
    expect(trip.road).toEqual({ name: '', points: [], stretches: [] })
  })
  it.each<[string, (document: Loose) => void, RegExp]>([
    [
      'a wrong type deep inside',
      (d) => (loose(d).stops[3].services[0].stocks = { 'tube-622': 'yes' }),
      /stops\[3\]\.services\[0\]\.stocks\.tube-622: "yes"; expected a value of type number/,
    ],
    [
      'a newer version',
      (d) => (loose(d).format = 'rag-tin.trip/7'),
      /format: "rag-tin.trip\/7".*a newer Rag Tin wrote this/,
    ],
    ['no version', (d) => delete loose(d).format, /format: nothing; expected "rag-tin.trip\/6"/],
    ['a negative mass', (d) => (loose(d).bench[5].massG = -12), /bench\[5\]\.massG: -12; expected more than 0/],
    [
      'a stop beyond the road',
      (d) => (loose(d).stops[2].roadKm = 900),
      /stops\[2\]\.roadKm: km 900; expected a place on the road, which ends at km 620\.6/,
    ],
    [
      'an unknown class',
      (d) => (loose(d).bench[0].units = { 'tube-623x': 1 }),
      /bench\[0\]\.units: "tube-623x"; expected a supply class such as tube-622/,
    ],
    ['an unknown function', (d) => (loose(d).bench[0].provides = ['fly']), /bench\[0\]\.provides: "fly"/],
    [
      'an unknown service',
      (d) => (loose(d).stops[0].services[0].kind = 'spa'),
      /stops\[0\]\.services\[0\]\.kind: "spa"; expected one of bike-shop/,
    ],
    ['a rider on no bike', (d) => (loose(d).crew[1].bikeId = 'ghost'), /crew\[1\]\.bikeId: "ghost"/],
    [
      'a piece on nobody',
      (d) => (loose(d).bench[0].carriedBy = { ghost: 1 }),
      /bench\[0\]\.carriedBy: "ghost"; expected the id of one of the crew/,
    ],
    ['a technique nobody knows', (d) => (loose(d).crew[0].skills = { juggle: 2 }), /crew\[0\]\.skills: "juggle"/],
    ['an id used twice', (d) => (loose(d).bench[1].id = loose(d).bench[0].id), /bench\[1\]\.id: .* a second time/],
    [
      'a pin above what there is',
      (d) => (loose(d).bench[0].pin = { min: 4, max: 9 }),
      /bench\[0\]\.pin\.min: 4; expected at most the 1/,
    ],
    ['a stop used twice', (d) => (loose(d).stops[1].id = loose(d).stops[0].id), /stops\[1\]\.id: .* a second time/],
    ['a bike used twice', (d) => (loose(d).bikes[1].id = loose(d).bikes[0].id), /bikes\[1\]\.id: .* a second time/],
    ['a rider used twice', (d) => (loose(d).crew[1].id = loose(d).crew[0].id), /crew\[1\]\.id: .* a second time/],
    [
      'a stretch used twice',
      (d) => (loose(d).road.stretches[1].id = loose(d).road.stretches[0].id),
      /road\.stretches\[1\]\.id: .* a second time/,
    ],
    [
      'a night used twice',
      (d) => (loose(d).ride.nights = [1, 2].map((roadKm) => ({ id: 'n', roadKm }))),
      /ride\.nights\[1\]\.id: "n" a second time/,
    ],
    [
      'two days of weather of one date',
      (d) =>
        (loose(d).forecast.days = [0, 1].map(() => ({ date: '2026-06-12', lowC: 1, highC: 2, rainMm: 0, windKmH: 0 }))),
      /forecast\.days\[1\]\.id: "2026-06-12" a second time/,
    ],
    [
      'a stretch beyond the road',
      (d) => (loose(d).road.stretches[0].toKm = 900),
      /road\.stretches\[0\]\.toKm: km 900; expected a place on the road, which ends at km 620\.6/,
    ],
    [
      'an unknown class in stock',
      (d) => (loose(d).stops[0].services[0].stocks = { wings: 1 }),
      /stops\[0\]\.services\[0\]\.stocks: "wings"; expected a supply class such as tube-622, /,
    ],
    [
      'an unknown class in a parcel',
      (d) => (loose(d).stops[0].services[0].parcel = { wings: 1 }),
      /stops\[0\]\.services\[0\]\.parcel: "wings"/,
    ],
    [
      'a start that is no time',
      (d) => (loose(d).ride.start = 'tomorrow'),
      /ride\.start: "tomorrow"; expected a date and a time such as 2026-06-12T08:00/,
    ],
    [
      'a start long ago',
      (d) => (loose(d).ride.start = '1815-06-12T08:00'),
      /ride\.start: "1815-06-12T08:00"; expected a date of the years 1900 to 2199/,
    ],
    ['a pin upside down', (d) => (loose(d).bench[0].pin = { min: 1, max: 0 }), /bench\[0\]\.pin\.max/],
    ['91° of latitude', (d) => (loose(d).road.points[7][0] = 91), /road\.points\[7\]\[0\]: 91; expected at most 90/],
    [
      'a single point',
      (d) => (loose(d).road.points.length = 1),
      /road\.points: .*expected a road needs at least two points/,
    ],
    [
      'a tyre nobody can read',
      (d) => (loose(d).bikes[0].tyres.rear.size = '28 inch'),
      /bikes\[0\]\.tyres\.rear\.size: "28 inch"; expected a tyre marking/,
    ],
    [
      'a stretch that ends before it begins',
      (d) => (loose(d).road.stretches[0].toKm = 0),
      /road\.stretches\[0\]\.toKm/,
    ],
    ['a dial at nothing', (d) => (loose(d).dials.gramsPerHour = 0), /dials\.gramsPerHour: 0; expected more than 0/],
    ['a budget that is text', (d) => (loose(d).dials.budgetG = 'light'), /dials\.budgetG/],
  ])('refuses %s, saying where, what and what would do', (_, change, message) => expect(lines(change)).toMatch(message))

  it('refuses what is no object, and what is no JSON', () => {
    expect(() => readTrip([], catalogue)).toThrow(/a list; expected a trip document/)
    expect(() => readTripText('{', catalogue)).toThrow(/not JSON/)
  })
  it('takes what lies at the end of the road, by ten metres of rounding', () => {
    const lengthKm = surveyRoad(demoTrip().road.points).lengthKm
    const at = (roadKm: number) => lines((d) => (loose(d).stops[2].roadKm = roadKm))
    expect(at(lengthKm + 0.009)).toBe('taken')
    expect(at(lengthKm + 0.011)).toMatch(/stops\[2\]\.roadKm/)
    const until = (toKm: number) => lines((d) => (loose(d).road.stretches[0].toKm = toKm))
    expect(until(lengthKm + 0.009)).toBe('taken')
    expect(until(lengthKm + 0.011)).toMatch(/road\.stretches\[0\]\.toKm/)
  })
  it('takes a pin of all there is', () => {
    expect(lines((d) => (loose(d).bench[0].pin = { min: 1, max: 1 }))).toBe('taken')
  })
  it('knows a state of a part by its number and its save together', () => {
    const state = { number: 3, save: 'a' }
    expect(sameRevision(state, { ...state })).toBe(true)
    expect(sameRevision(state, { ...state, number: 4 })).toBe(false)
    expect(sameRevision(state, { ...state, save: 'b' })).toBe(false)
  })
  it('says twenty faults at most, and how many more there are', () => {
    const fault = (n: number) => new Fault(`place ${n}`, 'this', 'that')
    const faults = (n: number) => new Faults(Array.from({ length: n }, (_, i) => fault(i)))
    expect(faultLines(faults(20))).toHaveLength(20)
    expect(faultLines(faults(23))?.slice(19)).toEqual(['place 19: this; expected that', 'and 3 more'])
    expect(faultLines(fault(1))).toEqual(['place 1: this; expected that'])
    expect(faultLines(new Error('something else'))).toBeUndefined()
  })
  it.each([
    [null, 'the document: null; expected a trip document, which is an object'],
    ['a text', 'the document: a text; expected a trip document, which is an object'],
    [{ format: 3 }, 'format: 3; expected "rag-tin.trip/6"'],
    [{ format: 'rag-tin.trip/x' }, 'format: "rag-tin.trip/x"; expected "rag-tin.trip/6"'],
    [{ format: 'rag-tin.trip/0' }, 'format: "rag-tin.trip/0"; expected "rag-tin.trip/6"'],
    [{ format: 'rag-tin.trip/7' }, 'format: "rag-tin.trip/7"; expected "rag-tin.trip/6" or older'],
  ])('%j is no document that can be read here', (document, message) => {
    expect(() => readTrip(document, catalogue)).toThrow(message)
  })
  it('brings older documents up step by step', () => {
    const steps = new Map([
      [1, (document: Record<string, unknown>) => ({ ...document, moved: 1 })],
      [2, (document: Record<string, unknown>) => ({ ...document, moved: Number(document.moved) + 1 })],
    ])
    expect(migrate({ format: 'rag-tin.trip/1', name: 'old' }, catalogue, steps, 3)).toEqual({
      format: 'rag-tin.trip/3',
      name: 'old',
      moved: 2,
    })
  })
  it('has a JSON Schema that names its parts', () => {
    const schema = tripJsonSchema() as { required: string[]; properties: Record<string, unknown> }
    expect(schema.required).toEqual(['format', 'name'])
    expect(Object.keys(schema.properties)).toEqual([
      'format',
      'name',
      'road',
      'ride',
      'forecast',
      'stops',
      'bikes',
      'crew',
      'bench',
      'home',
      'log',
      'dials',
    ])
  })
})

describe('the catalogue', () => {
  it('fits its schemas and is as large as promised', () => {
    expect(() => referenceSchema.parse(catalogue)).not.toThrow()
    expect(catalogue.items.length).toBeGreaterThanOrEqual(60)
    expect(catalogue.hazards.filter(({ kind }) => kind === 'sudden').length).toBeGreaterThanOrEqual(14)
    expect(catalogue.hazards.filter(({ kind }) => kind === 'wearing').length).toBeGreaterThanOrEqual(3)
    expect(catalogue.fixes.length).toBeGreaterThanOrEqual(30)
  })
  it('points nowhere in vain', () => {
    const functions = new Set(catalogue.functions.map(({ id }) => id))
    const techniques = new Set(catalogue.techniques.map(({ id }) => id))
    const hazards = new Set(catalogue.hazards.map(({ id }) => id))
    const known = (classId: string) => readClass(classId, catalogue.families) !== undefined
    for (const item of catalogue.items) {
      for (const id of item.provides) expect(functions, item.id).toContain(id)
      for (const id of Object.keys(item.units)) expect(known(id), `${item.id} ${id}`).toBe(true)
    }
    for (const service of catalogue.services) {
      for (const family of Object.keys(service.stocks))
        expect(
          catalogue.families.some(({ id }) => id === family),
          family,
        ).toBe(true)
    }
    const bikes = bikeStarts.map(({ id }) => bikeFrom(id, id))
    for (const bike of bikes) {
      const tyre = bike.tyres.rear
      for (const hazard of catalogue.hazards)
        expect(known(expandTemplate(hazard.settledBy, bike, tyre)), hazard.id).toBe(true)
      for (const fix of catalogue.fixes) {
        expect(techniques).toContain(fix.technique)
        for (const id of fix.answers) expect(hazards).toContain(id)
        for (const id of fix.needs) expect(functions, fix.id).toContain(expandTemplate(id, bike, tyre))
        for (const id of Object.keys(fix.uses)) expect(known(expandTemplate(id, bike, tyre)), fix.id).toBe(true)
      }
    }
  })
  it('has an answer, on some bike, to every hazard, and several where riders argue', () => {
    const fixesOf = (hazard: string) => catalogue.fixes.filter((fix) => fix.answers.includes(hazard))
    for (const hazard of catalogue.hazards) expect(fixesOf(hazard.id).length, hazard.id).toBeGreaterThan(0)
    for (const argued of [
      'puncture',
      'sidewall-cut',
      'chain-broken',
      'hanger-sheared',
      'spoke-rear-drive',
      'pads-worn',
    ]) {
      expect(fixesOf(argued).length, argued).toBeGreaterThan(1)
    }
  })
  // Common practice, no source: a single-speed conversion needs no rear suspension; a plug needs a tubeless tyre.
  it('keeps fixes to the bikes they suit', () => {
    const [bike] = demoTrip().bikes
    const traits = traitsOf({ ...defined(bike), suspension: { forkMm: 0, rearMm: 120 } }, defined(bike).tyres.rear)
    const fix = (id: string) => defined(catalogue.fixes.find((candidate) => candidate.id === id))
    expect(appliesTo(fix('single-speed').applies, traits)).toBe(false)
    expect(appliesTo(fix('plug-hole').applies, traits)).toBe(true)
    expect(
      appliesTo(fix('plug-hole').applies, traitsOf(defined(bike), { ...defined(bike).tyres.rear, tubeless: false })),
    ).toBe(false)
  })
  it('stocks odd sizes less', () => {
    const shop = serviceSchema.parse({ kind: 'bike-shop', knownFrom: 'asked' })
    const chance = (classId: string) => stockChance(shop, classId, catalogue.services, catalogue.families)
    expect(chance('tube-622')).toBeGreaterThan(0.9)
    expect(chance('tube-349')).toBeLessThan(0.4)
    expect(chance('hanger-k3')).toBeLessThan(0.2)
    expect(chance('nonsense')).toBe(0)
  })
})

describe('words', () => {
  it('name classes', () => {
    expect(classInWords('quick-link-12', catalogue.families)).toBe('quick link, 12-speed')
    expect(classInWords('hanger-k3', catalogue.families)).toBe('derailleur hanger, shape K3')
    expect(readClass('tube', catalogue.families)).toBeUndefined()
  })
  it('name what things do, and what does it too', () => {
    const bench = demoTrip().bench
    const lever = defined(bench.find(({ id }) => id === 'lever-strong'))
    expect(capabilitiesInWords(lever, catalogue)).toEqual(['lever a tyre'])
    expect(doublesOf(lever, bench, []).map(({ id }) => id)).toEqual(['levers-two'])
  })
  it('give amounts as people read them', () => {
    expect([0.001, 0.2, 0.999, 5.21, 123.4].map(hoursInWords)).toEqual(['4 s', '12 min', '1.0 h', '5.2 h', '123 h'])
    expect(gramsInWords(1184, 'metric')).toBe('1\u202f184 g')
    expect(gramsInWords(100, 'imperial')).toBe('3.5 oz')
    expect(kmInWords(212.4, 'metric')).toBe('212 km')
    expect(stretchInWords(71, 311, 'imperial')).toBe('mi 44–193')
    expect(chanceInWords(0.0004)).toBe('< 0.1\u202f%')
    expect(chanceInWords(0.613)).toBe('61\u202f%')
  })
  it('find the best hands', () => {
    expect(bestHands(demoTrip().crew, 'sew-tyre')).toEqual({ level: 2, riderId: 'maren' })
    expect(bestHands([], 'lash')).toEqual({ level: 0, riderId: null })
  })
  it('count wheels together where their tyres are alike', () => {
    const [fox, mule] = demoTrip().bikes
    expect(wheelGroups(defined(fox)).map(({ label }) => label)).toEqual(['front', 'rear'])
    expect(wheelGroups(defined(mule))).toMatchObject([{ label: '', wheels: 2 }])
  })
})
