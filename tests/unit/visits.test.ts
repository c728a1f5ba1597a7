import { defined, nth } from '#core/validation'
import { Landscape, rideView } from '#core/availability'
import { ledgerOfTrip, stakesOf } from '#core/trip-ledger'
import {
  hoursOfTime,
  withDaylight,
  OpeningCache,
  parseWallClock,
  timeOfHours,
  visitDuring,
  type Stay,
  type Visit,
} from '#core/ride'
import { surveyRoad } from '#core/road'
import { stopSchema } from '#core/supply'
import type { Trip } from '#core/trip'
import { dayInWords, momentInWords, visitInWords, visitMark } from '#wording'
import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { describe, expect, it } from 'vitest'

const book = new OpeningCache()
const here = { lat: 57, lon: -33, country: null }
const stay = (arrives: string, leaves = arrives): Stay => ({
  arrives: parseWallClock(`2026-06-${arrives}`),
  leaves: parseWallClock(`2026-06-${leaves}`),
})
const visit = (hours: string, when: Stay): Visit => visitDuring(when, book.find(hours, here))

describe('without a start', () => {
  const classId = 'tube-622'
  const trip = (hours: string): Trip => {
    const demo = demoTrip()
    const stops = [stopSchema.parse({ id: 's', name: 'S', roadKm: 50, services: [{ kind: 'bike-shop', hours }] })]
    return { ...demo, ride: { ...demo.ride, start: null, nights: [] }, stops }
  }
  const finding = (hours: string) => {
    const undated = trip(hours)
    return new Landscape(undated, surveyRoad(undated.road.points), catalogue).found(classId)[0]?.finding
  }
  it('a shop counts as open whatever its hours, if it ever is', () => {
    for (const hours of ['', 'Mo-Fr 09:00-18:00', 'Su 10:00-11:00', '24/7']) expect(finding(hours)).toBe('had')
  })
  it('one that is shut for good is shut', () => {
    for (const hours of ['off', 'closed', 'Mo-Su off']) expect(finding(hours)).toBe('shut')
  })
  it('of hours that nobody can read nobody knows', () => {
    for (const hours of ['whenever', '9 to 5 weekdays']) expect(finding(hours)).toBe('uncertain')
  })
})

describe('openings that are kept', () => {
  it('are one for the same words, wherever a stop is dragged to, unless they go by the sun', () => {
    const kept = new OpeningCache()
    for (let i = 0; i < 300; i++) kept.find('Mo-Fr 09:00-18:00', { ...here, lat: 57 + i / 100 })
    expect(kept.size).toBe(1)
    for (let i = 0; i < 300; i++) kept.find('sunrise-sunset', { ...here, lat: 57 + i / 10_000 })
    expect(kept.size).toBe(2)
    expect(kept.find('sunrise-sunset', here)).not.toBe(kept.find('sunrise-sunset', { ...here, lat: 20 }))
  })
  it('are those used last: what was asked for again is kept longer', () => {
    const kept = new OpeningCache()
    const words = (i: number) =>
      `Mo ${String(i % 24).padStart(2, '0')}:00-24:00; Tu ${String(Math.floor(i / 24)).padStart(2, '0')}:00-24:00`
    const first = kept.find(words(0), here)
    const second = kept.find(words(1), here)
    for (let i = 2; i < 200; i++) kept.find(words(i), here)
    expect(kept.size).toBe(200)
    expect(kept.find(words(0), here)).toBe(first)
    kept.find(words(200), here)
    expect(kept.size).toBe(200)
    expect(kept.find(words(0), here)).toBe(first)
    expect(kept.find(words(1), here)).not.toBe(second)
  })
  it('are none where there are no words, or none that can be read', () => {
    const kept = new OpeningCache()
    expect(kept.find('  ', here)).toBeUndefined()
    expect(kept.size).toBe(0)
    expect(kept.find('whenever', here)).toBeUndefined()
    expect(kept.find('whenever', here)).toBeUndefined()
    expect(kept.size).toBe(1)
    expect(kept.find('PH off; Mo 09:00-10:00', here)).toBeUndefined()
    expect(kept.find('PH off; Mo 09:00-10:00', { ...here, country: 'de' })).toBeDefined()
  })
  it('are never more than a few hundred', () => {
    const kept = new OpeningCache()
    for (let i = 0; i < 400; i++)
      kept.find(`Mo 09:00-${String(10 + (i % 14)).padStart(2, '0')}:${String(i % 60).padStart(2, '0')}`, here)
    expect(kept.size).toBeLessThanOrEqual(200)
  })
})

/** 2026-06-12 is a Friday. */
describe('a visit', () => {
  const weekdays = 'Mo-Fr 09:00-18:00; Sa 09:00-13:00'
  it('finds it open, also when it opens only later during a night there', () => {
    expect(visit(weekdays, stay('12T10:00'))).toMatchObject({ found: 'open', waitH: 0 })
    expect(visit(weekdays, stay('11T19:00', '12T09:30'))).toMatchObject({ found: 'open', waitH: 0 })
  })
  it('finds it shut, and knows how long until it opens', () => {
    expect(visit(weekdays, stay('12T08:30'))).toMatchObject({ found: 'shut', waitH: 0.5 })
    expect(visit(weekdays, stay('11T19:00', '12T08:00'))).toMatchObject({ found: 'shut', waitH: 1 })
    // Saturday 14:00 to Monday 09:00.
    expect(visit(weekdays, stay('13T14:00'))).toMatchObject({ found: 'shut', waitH: 43 })
    expect(visit('off', stay('12T10:00'))).toMatchObject({ found: 'shut', waitH: null })
  })
  it('is uncertain where the hours are unknown, unreadable or by appointment', () => {
    for (const hours of ['', '  ', 'whenever', '"by appointment"']) {
      expect(visit(hours, stay('12T10:00'))).toMatchObject({ found: 'uncertain', waitH: 0 })
    }
  })
  it('is put in words, and in a mark', () => {
    expect(visitInWords(visit(weekdays, stay('12T10:00')))).toBe('open')
    expect(visitInWords(visit('', stay('12T10:00')))).toBe('hours unknown')
    expect(visitInWords(visit(weekdays, stay('12T08:30')))).toBe('shut; opens in 0.5 h')
    expect(visitInWords(visit(weekdays, stay('13T14:00')))).toBe('shut until Mon 09:00')
    expect(visitInWords(visit('off', stay('12T10:00')))).toMatch(/not opening/)
    expect(visitMark(visit(weekdays, stay('12T08:30')), 3)).toEqual({ words: '0.5 h', serves: true })
    expect(visitMark(visit(weekdays, stay('12T08:30')), 0.25)).toEqual({ words: 'shut', serves: false })
    expect(visitMark(visit('', stay('12T10:00')), 0)).toEqual({ words: '✓', serves: true })
  })
})

describe('days and moments in words', () => {
  it('are named as riders name them', () => {
    expect(dayInWords(parseWallClock('2026-06-12T23:59'))).toBe('Fri 12 June')
    expect(momentInWords(parseWallClock('2026-06-13T14:43'))).toBe('Sat 14:43')
    expect(timeOfHours(8.5)).toBe('08:30')
    expect(hoursOfTime('16:45')).toBe(16.75)
  })
})

const base = demoTrip()
const survey = surveyRoad(base.road.points)
const planned = (start: string | null, change: Partial<Trip> = {}): Trip => ({
  ...base,
  ...change,
  ride: { ...base.ride, start },
})
const gapsOf = (trip: Trip) =>
  new Landscape(trip, survey, catalogue, book).gaps('tube-622').map(({ fromKm, toKm }) => [fromKm, Math.round(toKm)])

describe('gaps on the day', () => {
  it('grow where a shop is shut when one comes by', () => {
    expect(gapsOf(planned('2026-06-12T08:30'))[1]).toEqual([71, 311])
    // A day later one is in Quillby on Saturday at 14:42; its shop shuts at two until Tuesday.
    expect(gapsOf(planned('2026-06-13T08:30'))[0]).toEqual([0, 311])
    // An hour sooner, and it is open.
    expect(gapsOf(planned('2026-06-13T07:30'))[0]).toEqual([0, 71])
  })
  it('close where one would wait as long', () => {
    const patient = planned('2026-06-13T08:30', { dials: { ...base.dials, waitH: 72 } })
    expect(gapsOf(patient)[0]).toEqual([0, 71])
  })
  it('are those of places always open while there is no start', () => {
    expect(gapsOf(planned(null))).toEqual(gapsOf(planned('2026-06-12T08:30')))
  })
  it('make walking dearer: the ledger of the day on which a shop is shut expects more', () => {
    const emptyH = (trip: Trip) => {
      const built = ledgerOfTrip(trip, survey, catalogue)
      const stakes = built.ledger.events.flatMap((event) => stakesOf(event, built))
      return stakes.reduce((sum, { hours }) => sum + hours, 0)
    }
    expect(emptyH(planned('2026-06-13T08:30'))).toBeGreaterThan(emptyH(planned('2026-06-12T08:30')) * 1.1)
  })
  it('are told stop by stop', () => {
    const trip = planned('2026-06-13T08:30')
    const view = defined(rideView(new Landscape(trip, survey, catalogue, book), trip, survey))
    expect(view.stops.map(({ stop }) => stop)).toEqual(trip.stops.map(({ id }) => id))
    const quillby = defined(view.stops.find(({ stop }) => stop === 'quillby'))
    expect(quillby.visits.map(({ found }) => found)).toEqual(['shut', 'open', 'uncertain'])
    expect(momentInWords(quillby.stay.arrives)).toBe('Sat 14:42')
    expect(rideView(new Landscape(planned(null), survey, catalogue), planned(null), survey)).toBeUndefined()
  })
})

describe('days and their light', () => {
  const day = (startsAt: string, endsAt: string) => ({
    fromKm: 0,
    toKm: 10,
    startsAt: parseWallClock(startsAt),
    endsAt: parseWallClock(endsAt),
    ridingH: 5,
    climbM: 0,
  })
  const lit = (startsAt: string, endsAt: string, lat = 57) =>
    nth(
      withDaylight(
        [day(startsAt, endsAt)],
        [
          [lat, -33, null],
          [lat, -32.8, null],
        ],
        surveyRoad([
          [lat, -33, null],
          [lat, -32.8, null],
        ]),
        {
          utcOffsetH: -2,
        },
      ),
      0,
    )

  it('know how much of the day is dark, at both ends', () => {
    const june = lit('2026-06-12T08:00', '2026-06-12T18:00')
    expect(june.darkH).toBe(0)
    const december = lit('2026-12-12T08:00', '2026-12-12T18:00')
    if (december.daylight.kind !== 'rises and sets') expect.unreachable()
    const { rises, sets } = december.daylight
    expect(december.darkH).toBeCloseTo((rises - december.startsAt + december.endsAt - sets) / 60, 9)
    expect(december.darkH).toBeGreaterThan(2)
  })
  it('a ride through the night is dark from dusk on', () => {
    const night = lit('2026-06-12T22:30', '2026-06-13T01:30')
    expect(night.darkH).toBeCloseTo(3, 9)
  })
  it('never get dark under the midnight sun, and never light in the polar night', () => {
    expect(lit('2026-06-21T08:00', '2026-06-22T02:00', 78)).toMatchObject({
      darkH: 0,
      daylight: { kind: 'never sets' },
    })
    expect(lit('2026-12-21T08:00', '2026-12-21T12:00', 78)).toMatchObject({
      darkH: 4,
      daylight: { kind: 'never rises' },
    })
  })
})
