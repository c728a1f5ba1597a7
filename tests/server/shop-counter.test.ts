import { catalogue } from '#catalogue'
import { parseWallClock } from '#core/ride'
import { afterAsking, serviceSchema, stockChance, type CounterAnswer } from '#core/supply'
import { weatherDaySchema } from '#core/weather'
import { counterAnswerInWords } from '#wording'
import { describe, expect, it } from 'vitest'
import { seededRandom } from '../../server/stand-ins/seeded-random'
import { inventedWeather } from '../../server/stand-ins/forecast'
import { inventedShops } from '../../server/stand-ins/shop-counter'

const shop = serviceSchema.parse({ kind: 'bike-shop', knownFrom: 'hearsay' })
const chanceAfter = (answer: CounterAnswer, days: number | null = 10) =>
  stockChance(afterAsking(shop, 'hanger-k3', answer, days), 'hanger-k3', catalogue.services, catalogue.families)

describe('what is made of an answer', () => {
  it('a yes is trusted, a no is not, and an order is when it comes in time', () => {
    expect(chanceAfter({ answer: 'has' })).toBeGreaterThan(0.9)
    expect(chanceAfter({ answer: 'has not' })).toBeLessThan(0.05)
    expect(chanceAfter({ answer: 'orders', days: 5 })).toBeGreaterThan(0.6)
    expect(chanceAfter({ answer: 'orders', days: 11 })).toBeLessThan(0.05)
    expect(chanceAfter({ answer: 'orders', days: 11 }, null)).toBeGreaterThan(0.6)
  })
  it('who will not say, or is not there, has said nothing', () => {
    expect(afterAsking(shop, 'chain', { answer: 'will not say', because: 'busy' }, 3)).toBe(shop)
    expect(afterAsking(shop, 'chain', { answer: 'shut', opens: null }, 3)).toBe(shop)
  })
  it('is told in words', () => {
    expect(counterAnswerInWords({ answer: 'shut', opens: '2026-06-15T09:00' })).toBe(
      'Nobody answers; they open 2026-06-15 at 09:00.',
    )
    expect(counterAnswerInWords({ answer: 'orders', days: 4 })).toContain('4 days')
  })
})

describe('shops that stand in for real ones', () => {
  const place = { lat: 57, lon: -33, country: null }
  const friday = parseWallClock('2026-06-12T10:00')
  /** Numbers given one after the other, so that each turn of a shop can be had. */
  const told = (...numbers: number[]) => inventedShops(() => () => numbers.shift() ?? 0)
  const ask = (
    counter = inventedShops(seededRandom),
    hours = '',
    classId = 'tube-622',
    kind = 'bike-shop',
    at = friday,
  ) => counter.ask({ kind, place: 'Quillby', classId }, serviceSchema.parse({ kind, hours }), place, at)

  it('do not answer while they are shut, and say when they open', async () => {
    expect(await ask(undefined, 'Mo-Fr 11:00-12:00')).toEqual({ answer: 'shut', opens: '2026-06-12T11:00' })
    expect(await ask(undefined, 'off')).toEqual({ answer: 'shut', opens: null })
  })
  it('say the same when they are asked again', async () => {
    const first = await ask(inventedShops(seededRandom), '24/7')
    expect(await ask(inventedShops(seededRandom), '24/7')).toEqual(first)
  })
  it('have it, order it, have it not, or will not say', async () => {
    expect(await ask(told(0, 0.5, 0.5))).toEqual({ answer: 'has' })
    expect(await ask(told(0, 0.5, 0.999, 0.1, 0.5))).toEqual({ answer: 'orders', days: 6 })
    expect(await ask(told(0, 0.5, 0.999, 0.9))).toEqual({ answer: 'has not' })
    expect(await ask(told(0, 0.05, 0))).toMatchObject({ answer: 'will not say' })
    // A place that never has such a thing does not order it.
    expect(await ask(told(0, 0.5, 0.5, 0), '', 'tube-622', 'bed')).toEqual({ answer: 'has not' })
  })
  it('have as much as their kind usually has', async () => {
    const answers = await Promise.all(
      Array.from({ length: 400 }, (_, i) =>
        inventedShops((...words) => {
          const draw = seededRandom(...words, `${i}`)
          let first = true
          // The first draw is how long they take; nobody waits here.
          return () => (first ? ((first = false), 0) : draw())
        }).ask(
          { kind: 'workshop', place: 'X', classId: 'tube-622' },
          serviceSchema.parse({ kind: 'workshop' }),
          place,
          friday,
        ),
      ),
    )
    const said = answers.filter(({ answer }) => answer !== 'will not say')
    const share = said.filter(({ answer }) => answer === 'has').length / said.length
    // 0.4 by the catalogue; three standard deviations of 360 draws.
    expect(Math.abs(share - 0.4)).toBeLessThan(3 * Math.sqrt((0.4 * 0.6) / said.length))
  })
})

describe('weather that stands in for real weather', () => {
  const ask = (seed: string, days: { date: string; lat: number; eleM: number }[]) =>
    inventedWeather(seededRandom, seed).ask(days)
  const dates = Array.from({ length: 300 }, (_, i) => new Date(Date.UTC(2026, 0, 1 + i)).toISOString().slice(0, 10))
  const mean = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length

  it('is weather that can be, the same for the same seed', async () => {
    const days = dates.map((date) => ({ date, lat: 57, eleM: 300 }))
    const weather = await ask('a', days)
    for (const day of weather) expect(() => weatherDaySchema.parse(day)).not.toThrow()
    expect(await ask('a', days)).toEqual(weather)
    expect(await ask('b', days)).not.toEqual(weather)
  })
  it('is warmer in July than in January in the north, and the other way in the south', async () => {
    const month = async (lat: number, from: string) =>
      mean(
        (
          await ask(
            'a',
            dates.filter((date) => date.startsWith(from)).map((date) => ({ date, lat, eleM: 0 })),
          )
        ).map((d) => d.highC),
      )
    expect(await month(57, '2026-07')).toBeGreaterThan((await month(57, '2026-01')) + 8)
    expect(await month(-45, '2026-01')).toBeGreaterThan((await month(-45, '2026-07')) + 5)
  })
  // ISO 2533: 6.5 K for each kilometre of height in the troposphere.
  it('is colder with height by the standard lapse rate', async () => {
    const at = async (eleM: number) =>
      mean(
        (
          await ask(
            'a',
            dates.map((date) => ({ date, lat: 45, eleM })),
          )
        ).map((d) => d.lowC),
      )
    expect((await at(0)) - (await at(2000))).toBeCloseTo(13, 1)
  })
})
