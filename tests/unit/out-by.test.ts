import { nth, defined, numberAt } from '#core/validation'
import { Landscape, placeReportAt } from '#core/availability'
import { formatWallClock, nextLight, outBy, parseWallClock, withDaylight, type Daylight } from '#core/ride'
import { surveyRoad } from '#core/road'
import { stopSchema } from '#core/supply'
import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { once } from '../once'

const sun: Daylight = {
  kind: 'rises and sets',
  rises: parseWallClock('2026-06-12T06:00'),
  sets: parseWallClock('2026-06-12T20:00'),
}
const out = (from: string, walkH: number, most = 10, daylight: Daylight = sun) => {
  const { at, hours, nights } = outBy(parseWallClock(`2026-06-${from}`), walkH, daylight, most)
  return [formatWallClock(at).slice(8), Math.round(hours * 100) / 100, nights]
}

describe('the light that is next to end', () => {
  it('always ends later than the moment, whatever the fractions of a minute', () => {
    // Where a sum passes a power of two, such as 2²⁵ minutes in 2033, a fraction is rounded.
    const minutes = fc.oneof(
      fc.double({ min: 0, max: 2000, noNaN: true }),
      fc.double({ min: 2 ** 25 - 20_000, max: 2 ** 25, noNaN: true }),
    )
    fc.assert(
      fc.property(minutes, fc.double({ min: 1, max: 1439, noNaN: true }), fc.nat(40), (sets, length, days) => {
        const daylight = { kind: 'rises and sets', rises: sets - length, sets } as const
        let at = sets + days * 1440
        for (let i = 0; i < 5; i++) {
          const { ends } = nextLight(at, daylight)
          expect(ends).toBeGreaterThan(at)
          at = ends
        }
      }),
      { numRuns: 2000 },
    )
  })
})

describe('when one is out, walking by day', () => {
  it('the same day while the light lasts', () => {
    expect(out('12T10:00', 4)).toEqual(['12T14:00', 4, 0])
    expect(out('12T16:00', 4)).toEqual(['12T20:00', 4, 0])
  })
  it('after a night where it does not', () => {
    // Two hours on the evening, a night, two hours from sunrise on.
    expect(out('12T18:00', 4)).toEqual(['13T08:00', 14, 1])
  })
  it('walks no more in a day than one can', () => {
    expect(out('12T06:00', 10)).toEqual(['12T16:00', 10, 0])
    expect(out('12T06:00', 25)).toEqual(['14T11:00', 53, 2])
  })
  it('waits for the light before sunrise, and through the night after sunset', () => {
    expect(out('12T03:00', 2)).toEqual(['12T08:00', 5, 0])
    expect(out('12T22:00', 2)).toEqual(['13T08:00', 10, 1])
  })
  it('into the small hours, where the sun sets after midnight', () => {
    const north: Daylight = {
      kind: 'rises and sets',
      rises: parseWallClock('2026-06-12T02:00'),
      sets: parseWallClock('2026-06-13T00:30'),
    }
    expect(out('12T22:00', 2, 10, north)).toEqual(['13T00:00', 2, 0])
    // Half an hour of yesterday's light is left; the hour and a half of dark is the night.
    expect(out('13T00:00', 2, 10, north)).toEqual(['13T03:30', 3.5, 1])
  })
  it('by a clock of another part of the world, too', () => {
    const elsewhere: Daylight = {
      kind: 'rises and sets',
      rises: parseWallClock('2026-06-12T17:30'),
      sets: parseWallClock('2026-06-13T04:30'),
    }
    expect(out('12T20:00', 4, 10, elsewhere)).toEqual(['13T00:00', 4, 0])
    expect(out('12T08:00', 2, 10, elsewhere)).toEqual(['12T19:30', 11.5, 1])
  })
  it('in the end, whatever the sun does', () => {
    const minutes = fc.integer({ min: -3000, max: 3000 })
    fc.assert(
      fc.property(
        minutes,
        minutes,
        fc.integer({ min: 1, max: 1439 }),
        fc.double({ min: 0, max: 100, noNaN: true }),
        fc.double({ min: 0.5, max: 24, noNaN: true }),
        (from, rises, lightMinutes, walkH, most) => {
          const { hours, nights } = outBy(
            from,
            walkH,
            { kind: 'rises and sets', rises, sets: rises + lightMinutes },
            most,
          )
          expect(hours).toBeGreaterThanOrEqual(walkH - 1e-6)
          // One window of light a day, each good for at least what the day or the legs allow.
          const days = Math.ceil(walkH / Math.min(most, lightMinutes / 60)) + 1
          expect(nights).toBeLessThanOrEqual(days)
          expect(hours).toBeLessThanOrEqual(24 * (days + 1))
        },
      ),
    )
  })
  it('goes by the clock where there is no night, or no day', () => {
    for (const kind of ['never sets', 'never rises'] as const) {
      expect(out('12T22:00', 4, 10, { kind })).toEqual(['13T02:00', 4, 0])
      expect(out('12T09:00', 14, 10, { kind })).toEqual(['13T13:00', 28, 1])
    }
  })
  it('never sooner than one can walk, and not sooner for starting later', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 24 * 60 - 1 }),
        fc.integer({ min: 0, max: 120 }),
        fc.double({ min: 0, max: 80, noNaN: true }),
        (minute, later, walkH) => {
          const from = parseWallClock('2026-06-12T00:00') + minute
          const now = outBy(from, walkH, sun, 9)
          expect(now.hours).toBeGreaterThanOrEqual(walkH - 1e-9)
          expect(outBy(from + later, walkH, sun, 9).at).toBeGreaterThanOrEqual(now.at - 1e-6)
        },
      ),
    )
  })
})

describe('a place read off', () => {
  const trip = demoTrip()
  const survey = surveyRoad(trip.road.points)
  const landscape = once(() => new Landscape(trip, survey, catalogue))

  it('agrees with the push-out along the road', () => {
    const { km } = landscape().grid
    const { hours } = landscape().pushOutToHelp(1.25)
    for (let node = 0; node < km.length; node += 37) {
      expect(placeReportAt(landscape(), trip, survey, numberAt(km, node)).nearest.walkH).toBeCloseTo(
        numberAt(hours, node),
        6,
      )
    }
  })
  it('has no hour of its day worse than the one it names', () => {
    const { day, nearest } = placeReportAt(landscape(), trip, survey, 250)
    expect(defined(defined(day).worst).out.hours).toBeGreaterThanOrEqual(defined(day).then.hours - 0.5)
    expect(defined(defined(day).worst).out.hours).toBeGreaterThanOrEqual(nearest.walkH)
  })
  it('names the worst of the hours of its day, each of them tried, and none where they are all alike', () => {
    const days = withDaylight(defined(landscape().timetable).days, trip.road.points, survey, trip.ride)
    let named = 0
    for (let km = 10; km < survey.lengthKm; km += 30) {
      const { day, nearest } = placeReportAt(landscape(), trip, survey, km)
      const { startsAt, endsAt, daylight } = defined(days.find(({ toKm }) => km <= toKm))
      const tried = Array.from({ length: Math.floor((endsAt - startsAt) / 60) + 1 }, (_, hour) => {
        const at = startsAt + 60 * hour
        return { at, hours: outBy(at, nearest.walkH, daylight, trip.dials.walkHoursPerDay).hours }
      })
      const hours = tried.map((each) => each.hours)
      const worst = defined(day).worst
      if (Math.max(...hours) - Math.min(...hours) <= 0.5) expect(worst, `km ${km}`).toBeNull()
      else {
        named++
        expect(defined(worst).out.hours, `km ${km}`).toBe(Math.max(...hours))
        // The first of those that are as bad.
        expect(defined(worst).at, `km ${km}`).toBe(nth(tried, hours.indexOf(Math.max(...hours))).at)
      }
    }
    expect(named).toBeGreaterThan(3)
  })
  it('names the place, not the end, where one lies at it', () => {
    const shop = (id: string, roadKm: number) =>
      stopSchema.parse({ id, name: id, roadKm, services: [{ kind: 'bike-shop' }] })
    const stops = [shop('First', 0), shop('Last', survey.lengthKm)]
    const ended = { ...trip, stops, ride: { ...trip.ride, nights: [] } }
    const there = new Landscape(ended, survey, catalogue)
    const { ahead, back } = placeReportAt(there, ended, survey, 200)
    expect([ahead.place, back.place]).toEqual(['Last', 'First'])
    const { to } = there.pushOutToHelp(1.25)
    expect(new Set(Array.from(to, (help) => nth(there.helps(), help).name))).toEqual(new Set(['First', 'Last']))
  })
  it('where help stands, it is ahead; the ride is left only where there is a way to', () => {
    const shop = { kind: 'bike-shop' }
    const stops = [
      stopSchema.parse({ id: 'near', name: 'Near', roadKm: 200, services: [shop] }),
      stopSchema.parse({ id: 'halt', name: 'Halt', roadKm: 230, exit: 'train', exitWaitH: 1 }),
    ]
    const there = { ...trip, stops, ride: { ...trip.ride, nights: [] } }
    const read = placeReportAt(new Landscape(there, survey, catalogue), there, survey, 200)
    expect(read.nearest).toMatchObject({ place: 'Near', walkH: 0, way: 'ahead' })
    expect(read.exit).toMatchObject({ place: 'Halt', exit: 'train', way: 'ahead', waitH: 1 })
    const none = { ...there, stops: stops.slice(0, 1) }
    expect(placeReportAt(new Landscape(none, survey, catalogue), none, survey, 200).exit).toBeNull()
  })
  it('knows no clock without a start, and no lift where none may be called', () => {
    const undated = { ...trip, ride: { ...trip.ride, start: null } }
    const read = placeReportAt(new Landscape(undated, survey, catalogue), undated, survey, 250)
    expect(read).toMatchObject({ day: null, liftH: null })
    const called = { ...trip, dials: { ...trip.dials, liftWaitH: 2 } }
    const silent = placeReportAt(new Landscape(called, survey, catalogue), called, survey, 150)
    expect(silent.liftH).toBeGreaterThan(2)
  })
})
