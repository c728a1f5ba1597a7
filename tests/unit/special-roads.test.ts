import { defined, nth } from '#core/validation'
import { availabilityOf, Landscape, placeReportAt, rideView, roadView, worstPushOut } from '#core/availability'
import { indexLedger } from '#core/ledger'
import { bestKit } from '#core/search'
import { ledgerOfTrip } from '#core/trip-ledger'
import { projectPlan, surveyRoad, type RoadPoint } from '#core/road'
import { stopSchema } from '#core/supply'
import { tripSchema, waypointStops, type Trip } from '#core/trip'
import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { describe, expect, it } from 'vitest'
import { once } from '../once'

const demo = demoTrip()
const shop = (id: string, roadKm: number, hours = '24/7') =>
  stopSchema.parse({ id, name: id, roadKm, services: [{ kind: 'bike-shop', hours, knownFrom: 'asked' }] })
const tripOn = (points: RoadPoint[], stops: Trip['stops'], ride: object = {}): Trip =>
  tripSchema.parse({ ...demo, road: { points, stretches: [] }, stops, ride, forecast: {} })
const seen = (trip: Trip) => {
  const survey = surveyRoad(trip.road.points)
  const landscape = new Landscape(trip, survey, catalogue)
  return { survey, landscape, availability: availabilityOf(landscape, trip, 'tube-622') }
}

describe('a road across the 180° meridian', () => {
  // Two degrees of longitude on the equator, from 179° E to 179° W: 2 · 111.3195 km.
  const points: RoadPoint[] = Array.from({ length: 201 }, (_, i) => {
    const lon = 179 + i / 100
    return [0, lon > 180 ? lon - 360 : lon, 10]
  })
  it('is as long as one that is not', () => {
    const { survey, availability } = seen(tripOn(points, [shop('mid', 111.3195)]))
    expect(survey.lengthKm).toBeCloseTo(222.639, 2)
    expect(availability.gaps.map(({ km }) => Math.round(km))).toEqual([111, 111])
    const plan = projectPlan(points, survey)
    expect(Math.max(...plan.eastKm) - Math.min(...plan.eastKm)).toBeCloseTo(222.4, 0)
  })
  it('has the waypoints beyond the seam in their place', () => {
    const survey = surveyRoad(points)
    const [stop] = waypointStops(
      { points, waypoints: [{ name: 'Atoll', hint: '', lat: 0.001, lon: -179.5 }] },
      survey,
      [],
      () => 'a',
    )
    expect(defined(stop).roadKm).toBeCloseTo(1.5 * 111.3195, 1)
    expect(defined(stop).offRoadM).toBeCloseTo(111, -1)
  })
  it.each([
    ['of the west', -12],
    ['of the east', 12],
    ['of nowhere near', 0],
  ])('has twelve hours of light each day by a clock %s, and is walked out of', (_, utcOffsetH) => {
    const trip = tripOn(points, [], { start: '2026-03-20T09:00', utcOffsetH })
    const { survey, landscape } = seen(trip)
    for (const { daylight } of defined(rideView(landscape, trip, survey)).days) {
      if (daylight.kind !== 'rises and sets') throw new Error('the sun rises on the equator')
      // Twelve hours and the sun's own breadth, less four minutes for each degree ridden towards the evening.
      expect(Math.abs((daylight.sets - daylight.rises) / 60 - 12.1)).toBeLessThan(0.1)
    }
    expect(defined(placeReportAt(landscape, trip, survey, 111).day).then.hours).toBeLessThan(24 * 7)
  })
  it('is told from another’s clock', () => {
    const doubtOf = (utcOffsetH: number) => {
      const trip = tripOn(points, [], { start: '2026-03-20T09:00', utcOffsetH })
      const { survey, landscape } = seen(trip)
      return defined(rideView(landscape, trip, survey)).clockDoubt
    }
    expect(doubtOf(12)).toBeNull()
    expect(doubtOf(-12)).toBeNull()
    // The middle of the road is on the line itself, where either will do.
    expect(Math.abs(defined(doubtOf(0)).fittingH)).toBe(12)
  })
})

it('the clock of a road is held against the sun over its middle', () => {
  // A third of the way round the pole: 60° east in its middle, and 120° at its end.
  const points: RoadPoint[] = Array.from({ length: 121 }, (_, i) => [89, i, 0])
  const trip = tripOn(points, [], { start: '2026-06-15T09:00', utcOffsetH: -4 })
  const { survey, landscape } = seen(trip)
  expect(defined(rideView(landscape, trip, survey)).clockDoubt).toEqual({
    noonH: expect.closeTo(4, 1) as number,
    fittingH: 4,
  })
})

describe('a road at 78° north in June', () => {
  const points: RoadPoint[] = Array.from({ length: 301 }, (_, i) => [78 + i / 1000, 15 + i / 100, 40])
  const trip = tripOn(points, [], { start: '2026-06-15T09:00', utcOffsetH: 2 })
  const north = once(() => seen(trip))

  it('is never in the dark, at whatever hour it is ridden', () => {
    const { survey, landscape } = north()
    const { days } = defined(rideView(landscape, trip, survey))
    expect(days.every(({ daylight, darkH }) => daylight.kind === 'never sets' && darkH === 0)).toBe(true)
  })
  it('is walked out of by the clock', () => {
    const { survey, landscape } = north()
    const { day } = placeReportAt(landscape, trip, survey, survey.lengthKm / 2)
    expect(defined(day).lightLeftH).toBe(24)
    expect(defined(day).then.hours).toBeGreaterThan(0)
    // The sun being always up, no hour is worse than another.
    expect(defined(day).worst).toBeNull()
  })
  it('and in December lies wholly in the dark', () => {
    const { survey } = north()
    const winter = { ...trip, ride: { ...trip.ride, start: '2026-12-15T09:00' } }
    const { days } = defined(rideView(new Landscape(winter, survey, catalogue), winter, survey))
    expect(nth(days, 0).daylight.kind).toBe('never rises')
    expect(nth(days, 0).darkH).toBeGreaterThan(1)
  })
})

describe('a loop that passes a shop twice', () => {
  // Ten km out of the village, round a square of forty, and back in by the same road.
  const km = (lat: number, lon: number): RoadPoint => [lat / 110.574, lon / 111.3195, 20]
  const corners = [
    [0, 0],
    [10, 0],
    [10, 10],
    [20, 10],
    [20, 0],
    [10, 0],
    [0, 0],
  ] as const
  const points = corners.slice(1).flatMap(([lat, lon], i) => {
    const [fromLat, fromLon] = nth(corners, i)
    return Array.from({ length: 20 }, (_, step) =>
      km(fromLat + ((lat - fromLat) * step) / 20, fromLon + ((lon - fromLon) * step) / 20),
    )
  })
  const whole = [...points, km(0, 0)]
  const stops = once(() => {
    let id = 0
    const waypoints = [{ name: 'Crossing', hint: '', lat: 10 / 110.574, lon: 0.0005 }]
    return waypointStops({ points: whole, waypoints }, surveyRoad(whole), [], () => `s${id++}`)
  })
  it('has it as a stop at each pass', () => {
    expect(stops().map(({ name }) => name)).toEqual(['Crossing', 'Crossing, second time'])
    expect(nth(stops(), 0).roadKm).toBeCloseTo(10, 0)
    expect(nth(stops(), 1).roadKm).toBeCloseTo(50, 0)
  })
  it('has its gaps between the passes', () => {
    const services = shop('x', 0).services
    const { availability } = seen(
      tripOn(
        whole,
        stops().map((stop) => ({ ...stop, services })),
      ),
    )
    expect(availability.gaps.map((gap) => Math.round(gap.km))).toEqual([10, 40, 10])
    expect(nth(availability.gaps, 1).worstAtKm).toBeCloseTo(30, 0)
  })
})

describe('a road of three kilometres', () => {
  const points: RoadPoint[] = Array.from({ length: 31 }, (_, i) => [57 + (i * 0.1) / 111.2, -33, 5])
  it('has a kit, a worst point in its middle, and a walk of minutes', () => {
    const trip = tripOn(points, [])
    const { survey, landscape } = seen(trip)
    expect(survey.lengthKm).toBeCloseTo(3, 1)
    const worst = worstPushOut(landscape, trip)
    expect(worst.atKm).toBeCloseTo(1.5, 1)
    expect(worst.worstH).toBeLessThan(0.5)
    const { ledger } = ledgerOfTrip({ ...trip, dials: { ...trip.dials, gramsPerHour: 400 } }, survey, catalogue)
    expect(bestKit(indexLedger(ledger)).massG).toBeLessThan(200)
  })
})

describe('a road of six thousand kilometres with four hundred stops', () => {
  const points: RoadPoint[] = Array.from({ length: 60_001 }, (_, i) => [
    45 + 3 * Math.sin(i / 9000),
    -30 + i * 0.00122,
    400 + 300 * Math.sin(i / 700),
  ])
  const long = once(() => {
    const survey = surveyRoad(points)
    const stops = Array.from({ length: 400 }, (_, i) =>
      stopSchema.parse({
        id: `stop-${i}`,
        name: `Stop ${i}`,
        roadKm: ((i + 0.5) / 400) * survey.lengthKm,
        services: [{ kind: i % 10 === 0 ? 'bike-shop' : 'supermarket', hours: 'Mo-Sa 08:00-20:00' }],
      }),
    )
    const trip = tripOn(points, stops, { start: '2026-05-01T08:00' })
    return { survey, trip, landscape: new Landscape(trip, survey, catalogue) }
  })

  it('has its days, its gaps and its walk out', () => {
    const { survey, trip, landscape } = long()
    expect(survey.lengthKm).toBeGreaterThan(5700)
    expect(survey.lengthKm).toBeLessThan(6300)
    const { days } = defined(rideView(landscape, trip, survey))
    expect(days.length).toBeGreaterThan(50)
    expect(days.reduce((sum, day) => sum + day.toKm - day.fromKm, 0)).toBeCloseTo(survey.lengthKm, 6)
    const { gaps } = roadView(landscape, trip, catalogue)
    expect(defined(gaps['tube-622']).reduce((sum, gap) => sum + gap.km, 0)).toBeCloseTo(survey.lengthKm, 6)
    // Forty shops, one in ten of the places, some of them shut on the Sunday.
    expect(defined(gaps['tube-622']).length).toBeGreaterThan(25)
    expect(defined(gaps['tube-622']).length).toBeLessThanOrEqual(41)
  })
})
