import { nth } from '#core/validation'
import {
  afterAsking,
  confidence,
  counterAnswerSchema,
  counterQuestionSchema,
  isHelp,
  newStop,
  knownFroms,
  parcelArrives,
  readClass,
  serviceSchema,
  stockChance,
  stopSchema,
  type CounterAnswer,
  type KnownFrom,
  type Stop,
} from '#core/supply'
import { catalogue } from '#catalogue'
import { describe, expect, it } from 'vitest'

describe('what places stock', () => {
  const { services, families } = catalogue
  const stop = (kind: string, stocks: Record<string, number> = {}) =>
    stopSchema.parse({ id: 's', name: 's', roadKm: 1, services: [{ kind, stocks }] })
  const chance = (place: Stop, classId: string) => stockChance(nth(place.services, 0), classId, services, families)

  it('what is known of a place outweighs what is usual, either way', () => {
    const known = stop('supermarket', { 'hanger-k9': 1 })
    expect(chance(known, 'hanger-k9')).toBe(1)
    expect(chance(stop('bike-shop', { 'tube-622': 0 }), 'tube-622')).toBe(0)
  })
  it('one’s own parcel outweighs both', () => {
    const post = stopSchema.parse({ id: 's', name: 's', roadKm: 1, services: [{ kind: 'post', parcel: { chain: 1 } }] })
    expect(chance(post, 'chain')).toBe(parcelArrives)
  })
  it('what is only said to be there is believed less', () => {
    const from = (knownFrom: KnownFrom) =>
      stockChance(serviceSchema.parse({ kind: 'bike-shop', knownFrom }), 'tube-622', services, families)
    expect(knownFroms.map(from)).toEqual([...knownFroms.map(from)].sort((a, b) => b - a))
    expect(from('hearsay')).toBeCloseTo(from('asked') * 0.6, 12)
  })
  it('a bicycle shop has a usual tube sooner than an odd one', () => {
    const service = nth(stop('bike-shop').services, 0)
    const usual = stockChance(service, 'tube-622', services, families)
    const odd = stockChance(service, 'tube-349', services, families)
    expect(usual).toBeGreaterThan(odd)
    expect(odd).toBeGreaterThan(0)
  })
  it('a kind of place nobody has heard of stocks nothing and mends nothing', () => {
    expect(chance(stop('observatory'), 'tube-622')).toBe(0)
    expect(isHelp(stop('observatory'), services)).toBe(false)
  })
  it('an exit is help though nothing is sold there', () => {
    expect(isHelp(stopSchema.parse({ id: 'q', name: 'quay', roadKm: 3, exit: 'ferry' }), services)).toBe(true)
  })
  it('classes are read by family and size, and by nothing else', () => {
    expect(readClass('tube-622', families)).toMatchObject({ family: { id: 'tube' }, variant: '622' })
    const nearly = [
      'tube',
      'tube-62',
      'tube-6222',
      'tube-622-x',
      'Tube-622',
      '',
      'no-such-622',
      'tube-',
      'tube-x622',
      'tubes',
    ]
    const ofOthers = [
      'quick-link-0',
      'quick-link-15',
      'quick-link-a9',
      'quick-link-9a',
      'patch-1',
      'spoke-1',
      'spoke-1000',
    ]
    const shaped = ['spoke-x28', 'spoke-28x', 'hanger-K3', 'hanger-k3-', 'hanger-abcdefghi', 'hanger-']
    for (const bad of [...nearly, ...ofOthers, ...shaped]) {
      expect(readClass(bad, families)).toBeUndefined()
    }
  })
  it('no chance is above one or below nothing', () => {
    for (const kind of services) {
      for (const family of families) {
        const variants = ['', '622', '12', 'a1', '290', 'cable', ...Object.keys(family.commonness)]
        for (const variant of variants) {
          const classId = variant ? `${family.id}-${variant}` : family.id
          const chance = stockChance(serviceSchema.parse({ kind: kind.id }), classId, services, families)
          expect(chance).toBeGreaterThanOrEqual(0)
          expect(chance).toBeLessThanOrEqual(1)
        }
      }
    }
  })
})

describe('what places are believed', () => {
  const families = catalogue.families.map((family) =>
    family.id === 'tube' ? { ...family, commonness: { 622: 0.5 }, otherwise: 0.1 } : family,
  )
  const kinds = [{ ...nth(catalogue.services, 0), id: 'shop', stocks: { tube: 0.8, patch: 1 } }]
  const chance = (classId: string, knownFrom: KnownFrom, kind = 'shop') =>
    stockChance(serviceSchema.parse({ kind, knownFrom }), classId, kinds, families)

  it('is how one knows of them, times what they usually stock, times how usual the size is', () => {
    expect(chance('tube-622', 'asked')).toBeCloseTo(0.4, 12)
    expect(chance('tube-622', 'hearsay')).toBeCloseTo(0.6 * 0.8 * 0.5, 12)
    expect(chance('tube-559', 'asked')).toBeCloseTo(0.08, 12)
    expect(chance('chain', 'asked')).toBe(0)
    expect(chance('tube-622', 'asked', 'another')).toBe(0)
    expect(chance('nothing', 'asked')).toBe(0)
    expect(knownFroms.map((from) => confidence[from])).toEqual([1, 0.98, 0.95, 0.6])
  })
  it('a new place has nothing, lies where it is, and a name that is not too long', () => {
    expect(newStop('s', 'a'.repeat(200), 12.5)).toMatchObject({ name: 'a'.repeat(120), roadKm: 12.5, offRoadM: 0 })
    expect(newStop('s', 'a ford', 12.5, 300)).toMatchObject({
      offRoadM: 300,
      services: [],
      exit: null,
      bigWrench: false,
    })
  })
  it('help is where something can be mended or the ride be left', () => {
    const [mends, sells] = [true, false].map((can) => ({
      ...nth(catalogue.services, 0),
      id: can ? 'm' : 's',
      mends: can,
    }))
    const services = (...ids: string[]) =>
      stopSchema.parse({ id: 's', name: 's', roadKm: 1, services: ids.map((kind) => ({ kind })) })
    const shops = [mends, sells].filter((kind) => kind !== undefined)
    expect(isHelp(services('s'), shops)).toBe(false)
    expect(isHelp(services('s', 'm'), shops)).toBe(true)
    expect(isHelp(services(), shops)).toBe(false)
    expect(isHelp({ ...services(), exit: 'bus' }, shops)).toBe(true)
  })
})

describe('what is asked over a counter, and what comes back', () => {
  const question = { kind: 'shop', place: 'Inn', classId: 'tube-622' }
  it('is a kind of service, a place and a part', () => {
    expect(counterQuestionSchema.parse(question)).toEqual(question)
    for (const part of ['kind', 'place', 'classId']) {
      expect(counterQuestionSchema.safeParse({ ...question, [part]: '' }).success, part).toBe(false)
    }
    expect(counterQuestionSchema.safeParse({ ...question, kind: 'a'.repeat(40) }).success).toBe(true)
    expect(counterQuestionSchema.safeParse({ ...question, kind: 'a'.repeat(41) }).success).toBe(false)
  })
  it.each<[CounterAnswer, object[]]>([
    [{ answer: 'has' }, []],
    [{ answer: 'has not' }, []],
    [{ answer: 'orders', days: 1 }, [{ days: 0 }, { days: 61 }, { days: 1.5 }, { days: undefined }]],
    [{ answer: 'orders', days: 60 }, []],
    [{ answer: 'will not say', because: '' }, [{ because: undefined }, { because: 'a'.repeat(201) }]],
    [{ answer: 'shut', opens: null }, [{ opens: undefined }, { opens: 'a'.repeat(17) }]],
    [{ answer: 'shut', opens: '2026-06-12T08:00' }, []],
  ])('%j is an answer', (answer, bad) => {
    expect(counterAnswerSchema.parse(answer)).toEqual(answer)
    for (const change of bad) expect(counterAnswerSchema.safeParse({ ...answer, ...change }).success).toBe(false)
  })
})

describe('what was said over the counter', () => {
  const service = serviceSchema.parse({ kind: 'shop', knownFrom: 'hearsay', stocks: { chain: 0.3 } })
  const asked = (answer: CounterAnswer, days: number | null = null) => afterAsking(service, 'tube-622', answer, days)
  const learned = (chance: number) => ({ ...service, knownFrom: 'asked', stocks: { chain: 0.3, 'tube-622': chance } })

  it('counts for what lies on the shelf, and against what does not', () => {
    expect(asked({ answer: 'has' })).toEqual(learned(0.95))
    expect(asked({ answer: 'has not' })).toEqual(learned(0.02))
  })
  it('counts for what is ordered where it comes in time', () => {
    expect(asked({ answer: 'orders', days: 5 }, 5)).toEqual(learned(0.85))
    expect(asked({ answer: 'orders', days: 5 }, 4)).toEqual(learned(0.02))
    expect(asked({ answer: 'orders', days: 5 }, null)).toEqual(learned(0.85))
  })
  it('teaches nothing where nobody says anything', () => {
    expect(asked({ answer: 'will not say', because: 'lunch' })).toBe(service)
    expect(asked({ answer: 'shut', opens: null })).toBe(service)
  })
})
