import { clearWeather, defaultWeather, isWet, nightPriceFactor, setWeather, type Forecast } from '#core/weather'
import { describe, expect, it } from 'vitest'

const day = (change: object = {}) => ({ ...defaultWeather('2026-06-12'), ...change })

describe('a day of weather', () => {
  it('makes its road wet from 2 mm of rain on', () => {
    expect(isWet(undefined)).toBe(false)
    expect(isWet(day())).toBe(false)
    expect(isWet(day({ rainMm: 1.9 }))).toBe(false)
    expect(isWet(day({ rainMm: 2 }))).toBe(true)
  })
  it('makes a night out dearer by a twentieth for each degree below 10 °C, and by three tenths in rain', () => {
    expect(nightPriceFactor(undefined)).toBe(1)
    expect(nightPriceFactor(day({ lowC: 10 }))).toBe(1)
    expect(nightPriceFactor(day({ lowC: 15 }))).toBe(1)
    expect(nightPriceFactor(day({ lowC: 0 }))).toBe(1.5)
    expect(nightPriceFactor(day({ lowC: -10 }))).toBe(2)
    expect(nightPriceFactor(day({ lowC: 10, rainMm: 5 }))).toBe(1.3)
    expect(nightPriceFactor(day({ lowC: 0, rainMm: 5 }))).toBeCloseTo(1.95, 12)
  })
  it('of which nothing is known is dry and mild', () => {
    expect(defaultWeather('2026-06-12')).toEqual({ date: '2026-06-12', lowC: 10, highC: 20, rainMm: 0, windKmH: 10 })
    expect(isWet(defaultWeather('2026-06-12'))).toBe(false)
    expect(nightPriceFactor(defaultWeather('2026-06-12'))).toBe(1)
  })
})

describe('weather changed by hand', () => {
  const forecast: Forecast = { from: 'a station', days: [day({ date: '2026-06-14', lowC: 5, highC: 12 })] }
  it('keeps what is not said of a day, and stands in order', () => {
    const after = setWeather(forecast, '2026-06-13', { rainMm: 7 })
    expect(after).toEqual({
      from: 'a station, changed by hand',
      days: [{ ...defaultWeather('2026-06-13'), rainMm: 7 }, forecast.days[0]],
    })
    expect(setWeather(forecast, '2026-06-14', { rainMm: 7 }).days).toEqual([{ ...forecast.days[0], rainMm: 7 }])
  })
  it('says so once, and not where nobody was named', () => {
    const twice = setWeather(setWeather(forecast, '2026-06-13', { rainMm: 7 }), '2026-06-13', { rainMm: 8 })
    expect(twice.from).toBe('a station, changed by hand')
    expect(setWeather({ from: '', days: [] }, '2026-06-13', { rainMm: 7 }).from).toBe('')
    const long = setWeather({ ...forecast, from: 'x'.repeat(120) }, '2026-06-13', { rainMm: 7 })
    expect(long.from).toBe(`${'x'.repeat(100)}, changed by hand`)
  })
  it('a low takes the high along, and a high the low', () => {
    const [low] = setWeather(forecast, '2026-06-14', { lowC: 15 }).days
    expect(low).toMatchObject({ lowC: 15, highC: 15 })
    const [high] = setWeather(forecast, '2026-06-14', { highC: 3 }).days
    expect(high).toMatchObject({ lowC: 3, highC: 3 })
    const [warmer] = setWeather(forecast, '2026-06-14', { lowC: 8 }).days
    expect(warmer).toMatchObject({ lowC: 8, highC: 12 })
  })
  it('is forgotten a day at a time, and with the last day wholly', () => {
    const two = setWeather(forecast, '2026-06-13', { rainMm: 7 })
    expect(clearWeather(two, '2026-06-13')).toEqual({ from: 'a station, changed by hand', days: forecast.days })
    expect(clearWeather(forecast, '2026-06-14')).toEqual({ from: '', days: [] })
    expect(clearWeather(forecast, '2026-06-15').days).toEqual(forecast.days)
  })
})
