import { daylightOn, lightLeftH, parseWallClock, timeOf } from '#core/ride'
import { describe, expect, it } from 'vitest'

const minutesApart = (at: number, time: string) => Math.abs(at - parseWallClock(`${timeToDate(at)}T${time}`))
const timeToDate = (at: number) => new Date(at * 60_000).toISOString().slice(0, 10)

/**
 * Sunrise and sunset in minutes of universal time by the general solar
 * position equations of the NOAA Global Monitoring Laboratory ("General Solar
 * Position Calculations"), written down from memory; good to about two minutes.
 */
function byNoaa(dayOfYear: number, lat: number, lon: number): { rise: number; set: number } {
  const rad = Math.PI / 180
  // Of local noon, which is lon ÷ 360 of a day before that of Greenwich.
  const g = ((2 * Math.PI) / 365) * (dayOfYear - 1 - lon / 360)
  const equationOfTime =
    229.18 *
    (0.000075 +
      0.001868 * Math.cos(g) -
      0.032077 * Math.sin(g) -
      0.014615 * Math.cos(2 * g) -
      0.040849 * Math.sin(2 * g))
  const declination =
    0.006918 -
    0.399912 * Math.cos(g) +
    0.070257 * Math.sin(g) -
    0.006758 * Math.cos(2 * g) +
    0.000907 * Math.sin(2 * g) -
    0.002697 * Math.cos(3 * g) +
    0.00148 * Math.sin(3 * g)
  const hourAngle =
    Math.acos(
      Math.cos(90.833 * rad) / (Math.cos(lat * rad) * Math.cos(declination)) -
        Math.tan(lat * rad) * Math.tan(declination),
    ) / rad
  return {
    rise: 720 - 4 * (lon + hourAngle) - equationOfTime,
    set: 720 - 4 * (lon - hourAngle) - equationOfTime,
  }
}

describe('sunrise and sunset', () => {
  // Almanac values for towns, local time with summer time, from memory, to within three minutes.
  it.each([
    ['London', '2026-06-21', 51.5, -0.13, 1, '04:43', '21:22'],
    ['Oslo', '2026-06-21', 59.91, 10.75, 2, '03:54', '22:44'],
    ['Sydney', '2026-12-21', -33.87, 151.21, 11, '05:41', '20:05'],
    ['New York', '2026-12-21', 40.71, -74.01, -5, '07:17', '16:32'],
  ])('of %s on %s are those of the almanac', (_, date, lat, lon, offset, rises, sets) => {
    const sun = daylightOn(parseWallClock(`${date}T15:00`), lat, lon, offset)
    if (sun.kind !== 'rises and sets') expect.unreachable()
    expect(minutesApart(sun.rises, rises)).toBeLessThanOrEqual(3)
    expect(minutesApart(sun.sets, sets)).toBeLessThanOrEqual(3)
  })

  it('are those of the NOAA equations the year round, from the tropics to the polar circles', () => {
    for (const lat of [-55, -33, 0, 20, 45, 60]) {
      for (const lon of [-170, -60, 0, 100, 179]) {
        for (let day = 5; day <= 360; day += 15) {
          const midnight = parseWallClock('2026-01-01T00:00') + (day - 1) * 1440
          const offset = Math.round(lon / 15)
          const sun = daylightOn(midnight + 720, lat, lon, offset)
          if (sun.kind !== 'rises and sets') expect.unreachable()
          const noaa = byNoaa(day, lat, lon)
          // Their declination is good to a few hundredths of a degree, which is more minutes the farther from the equator.
          const within = Math.abs(lat) > 50 ? 5 : 3
          expect(Math.abs(sun.rises - offset * 60 - midnight - noaa.rise)).toBeLessThan(within)
          expect(Math.abs(sun.sets - offset * 60 - midnight - noaa.set)).toBeLessThan(within)
        }
      }
    }
  })

  it('at 78° north there are none in June, and none in December', () => {
    expect(daylightOn(parseWallClock('2026-06-21T12:00'), 78.2, 15.6, 2)).toEqual({ kind: 'never sets' })
    expect(daylightOn(parseWallClock('2026-12-21T12:00'), 78.2, 15.6, 1)).toEqual({ kind: 'never rises' })
  })

  it('do not depend on the hour asked at', () => {
    const at = (time: string) => daylightOn(parseWallClock(`2026-04-10T${time}`), 57, -4, 1)
    expect(at('00:00')).toEqual(at('23:59'))
  })
})

describe('daylight left', () => {
  const sun = daylightOn(parseWallClock('2026-06-21T12:00'), 51.5, -0.13, 1)
  it('shrinks to nothing at sunset, and is nothing before sunrise', () => {
    if (sun.kind !== 'rises and sets') expect.unreachable()
    expect(lightLeftH(sun.sets - 90, sun)).toBeCloseTo(1.5, 9)
    expect(lightLeftH(sun.sets + 1, sun)).toBe(0)
    expect(lightLeftH(sun.rises - 1, sun)).toBe(0)
    expect(timeOf(sun.sets)).toMatch(/^21:/)
  })
  it('does not end under the midnight sun, nor begin in the polar night', () => {
    expect(lightLeftH(0, { kind: 'never sets' })).toBe(24)
    expect(lightLeftH(720, { kind: 'never rises' })).toBe(0)
  })
})
