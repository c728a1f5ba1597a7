import { daylightOn, darkH, parseWallClock, withDaylight, type RidingDay } from '#core/ride'
import { positionAt, surveyRoad, type RoadPoint } from '#core/road'
import { describe, expect, it } from 'vitest'

/** A road due north from 60° to 68°. */
const north: RoadPoint[] = Array.from({ length: 9 }, (_, i) => [60 + i, 10, null])
const survey = surveyRoad(north)
const day = (start: string, fromKm: number, toKm: number, hours: number): RidingDay => ({
  fromKm,
  toKm,
  startsAt: parseWallClock(start),
  endsAt: parseWallClock(start) + hours * 60,
  ridingH: hours,
  climbM: 0,
})
const sun = (start: string, km: number) => {
  const { lat, lon } = positionAt(north, survey, km)
  return daylightOn(parseWallClock(start), lat, lon, 1)
}
const only = (ridden: RidingDay) => withDaylight([ridden], north, survey, { utcOffsetH: 1 })[0]

describe('the sun of a day’s ride', () => {
  it('rises where it begins and sets where it ends', () => {
    const [morning, evening] = [sun('2026-03-01T06:00', 0), sun('2026-03-01T06:00', 800)]
    if (morning.kind !== 'rises and sets' || evening.kind !== 'rises and sets') throw new Error('it is March')
    expect(morning.sets).not.toBeCloseTo(evening.sets, 0)
    const ridden = day('2026-03-01T06:00', 0, 800, 15)
    const daylight = { kind: 'rises and sets', rises: morning.rises, sets: evening.sets } as const
    expect(only(ridden)).toEqual({ ...ridden, daylight, darkH: darkH(ridden.startsAt, ridden.endsAt, daylight) })
    expect(only(ridden)?.darkH).toBeGreaterThan(0)
  })
  it('is that of the morning where it does not both rise and set at either end', () => {
    // Midsummer: it sets at 60° and does not at 68°.
    const summer = sun('2026-06-21T06:00', 0)
    expect(sun('2026-06-21T06:00', 880).kind).toBe('never sets')
    expect(only(day('2026-06-21T06:00', 0, 880, 10))?.daylight).toEqual(summer)
    expect(only(day('2026-06-21T06:00', 880, 100, 10))?.daylight).toEqual({ kind: 'never sets' })
    expect(only(day('2026-06-21T06:00', 880, 885, 10))).toMatchObject({ daylight: { kind: 'never sets' }, darkH: 0 })
    // Midwinter: it rises at 60° and does not at 68°.
    expect(only(day('2026-12-21T10:00', 0, 880, 2))?.daylight).toEqual(sun('2026-12-21T10:00', 0))
    expect(only(day('2026-12-21T10:00', 880, 885, 2))).toMatchObject({ daylight: { kind: 'never rises' }, darkH: 2 })
  })
})
