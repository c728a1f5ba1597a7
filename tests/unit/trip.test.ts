import { describe, expect, it } from 'vitest'
import { bikeFrom, bikeStarts, catalogue } from '../../catalogue'
import { demoTrip } from '../../catalogue/demo'
import { forBike, traitsOf, wheelGroups } from '../../core/bike'
import { deedsInWords, doublesOf } from '../../core/bench'
import { bestHands } from '../../core/crew'
import { appliesTo } from '../../core/hazard'
import { referenceSchema } from '../../core/reference'
import { classInWords, readClass, serviceSchema, stockChance } from '../../core/supply'
import { faultLines, migrate, readTrip, readTripText, tripJsonSchema } from '../../core/trip'
import { wordsForChance, wordsForGrams, wordsForHours, wordsForKm, wordsForStretch } from '../../core/units'

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
    const trip = readTrip({ format: 'rag-tin.trip/3', name: 'short' }, catalogue)
    expect(trip.dials.trust).toBe(0.6)
    expect(trip.road.points).toEqual([])
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
    ['no version', (d) => delete loose(d).format, /format: nothing; expected "rag-tin.trip\/3"/],
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
    ['a technique nobody knows', (d) => (loose(d).crew[0].skills = { juggle: 2 }), /crew\[0\]\.skills: "juggle"/],
    ['an id used twice', (d) => (loose(d).bench[1].id = loose(d).bench[0].id), /bench\[1\]\.id: .* a second time/],
    [
      'a pin above what there is',
      (d) => (loose(d).bench[0].pin = { min: 4, max: 9 }),
      /bench\[0\]\.pin\.min: 4; expected at most the 1/,
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
      for (const hazard of catalogue.hazards) expect(known(forBike(hazard.settledBy, bike, tyre)), hazard.id).toBe(true)
      for (const fix of catalogue.fixes) {
        expect(techniques).toContain(fix.technique)
        for (const id of fix.answers) expect(hazards).toContain(id)
        for (const id of fix.needs) expect(functions, fix.id).toContain(forBike(id, bike, tyre))
        for (const id of Object.keys(fix.uses)) expect(known(forBike(id, bike, tyre)), fix.id).toBe(true)
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
    const traits = traitsOf({ ...bike!, suspension: { forkMm: 0, rearMm: 120 } }, bike!.tyres.rear)
    const fix = (id: string) => catalogue.fixes.find((candidate) => candidate.id === id)!
    expect(appliesTo(fix('single-speed').applies, traits)).toBe(false)
    expect(appliesTo(fix('plug-hole').applies, traits)).toBe(true)
    expect(appliesTo(fix('plug-hole').applies, traitsOf(bike!, { ...bike!.tyres.rear, tubeless: false }))).toBe(false)
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
    const lever = bench.find(({ id }) => id === 'lever-strong')!
    expect(deedsInWords(lever, catalogue)).toEqual(['lever a tyre'])
    expect(doublesOf(lever, bench).map(({ id }) => id)).toEqual(['levers-two'])
  })
  it('give amounts as people read them', () => {
    expect([0.001, 0.2, 0.999, 5.21, 123.4].map(wordsForHours)).toEqual(['4 s', '12 min', '1.0 h', '5.2 h', '123 h'])
    expect(wordsForGrams(1184, 'metric')).toBe('1\u202f184 g')
    expect(wordsForGrams(100, 'imperial')).toBe('3.5 oz')
    expect(wordsForKm(212.4, 'metric')).toBe('212 km')
    expect(wordsForStretch(71, 311, 'imperial')).toBe('mi 44–193')
    expect(wordsForChance(0.0004)).toBe('< 0.1\u202f%')
    expect(wordsForChance(0.613)).toBe('61\u202f%')
  })
  it('find the best hands', () => {
    expect(bestHands(demoTrip().crew, 'sew-tyre')).toEqual({ level: 2, riderId: 'maren' })
    expect(bestHands([], 'lash')).toEqual({ level: 0, riderId: null })
  })
  it('count wheels together where their tyres are alike', () => {
    const [fox, mule] = demoTrip().bikes
    expect(wheelGroups(fox!).map(({ label }) => label)).toEqual(['front', 'rear'])
    expect(wheelGroups(mule!)).toMatchObject([{ label: '', wheels: 2 }])
  })
})
