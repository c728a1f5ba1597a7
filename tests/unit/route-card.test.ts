import {
  arrival,
  bearingOf,
  cardOfLine,
  geodesicM,
  legBetween,
  readPosition,
  writePosition,
  lineOfCard,
  spotsOfCard,
  surveyRoad,
  withoutPlace,
  withSpotMoved,
  type Leg,
  type RouteCard,
} from '#core/road'
import { newStop } from '#core/supply'
import { cardOfTrip, layCard, tripCardSchema, tripSchema, type TripCard, type TripLeg } from '#core/trip'
import { defined, nth } from '#core/validation'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'

const leg = (
  name: string,
  km: number,
  bearing: number,
  upM: number | null = null,
  downM: number | null = null,
): Leg => ({
  name,
  km,
  bearing,
  upM,
  downM,
})
const at = (lat: number, lon: number, legs: Leg[]): RouteCard => ({ begin: { name: 'Start', lat, lon }, legs })

describe('where one arrives', () => {
  it('is a degree and some seconds off, as the worked line of the geodesic problem has it', () => {
    // T. Vincenty, Survey Review 23 (1975), as worked with GRS 80 in the manual of Geoscience Australia,
    // 54 972.271 m at 306° 52' 05.37" (from memory; WGS 84 differs from GRS 80 by less than 0.1 mm).
    const minutes = (degrees: number, m: number, s: number) => degrees + m / 60 + s / 3600
    const from = [-minutes(37, 57, 3.7203), minutes(144, 25, 29.5244)] as const
    const there = arrival(...from, minutes(306, 52, 5.37), 54_972.271)
    expect(there.lat).toBeCloseTo(-minutes(37, 39, 10.1561), 7)
    expect(there.lon).toBeCloseTo(minutes(143, 55, 35.3839), 7)
    expect(bearingOf(...from, there.lat, there.lon)).toBeCloseTo(minutes(306, 52, 5.37), 5)
  })
  it('is as far away as one went, and in that direction', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -70, max: 70, noNaN: true }),
        fc.double({ min: -180, max: 180, noNaN: true }),
        fc.double({ min: 0, max: 359.9, noNaN: true }),
        fc.double({ min: 100, max: 400_000, noNaN: true }),
        (lat, lon, bearing, metres) => {
          const there = arrival(lat, lon, bearing, metres)
          expect(geodesicM(lat, lon, there.lat, there.lon)).toBeCloseTo(metres, 3)
          const off = Math.abs(bearingOf(lat, lon, there.lat, there.lon) - bearing)
          expect(Math.min(off, 360 - off)).toBeLessThan(1e-6)
        },
      ),
    )
  })
})

describe('the line of a route card', () => {
  it('is as long as its legs say, and climbs what they say', () => {
    const survey = surveyRoad(lineOfCard(at(57, -33, [leg('Pass', 31, 80, 900, 0), leg('Ford', 24, 140, 100, 850)])))
    expect(survey.lengthKm).toBeCloseTo(55, 6)
    // The rule by which climbs are counted takes a few metres off each summit.
    expect(defined(survey.climbM)).toBeGreaterThan(990)
    expect(defined(survey.climbM)).toBeLessThanOrEqual(1000)
  })
  it('goes down as far as it goes up where nobody said, and lies at the sea at its lowest', () => {
    const points = lineOfCard(at(10, 10, [leg('Down', 10, 0, 0, 300), leg('Over', 20, 0, 400)]))
    // Begin; down; the top halfway, as it is as steep up as down; and as high as before.
    expect(points.map(([, , eleM]) => eleM)).toEqual([300, 0, 400, 0])
    const survey = surveyRoad(points)
    expect(Array.from(survey.km, (km) => Math.round(km * 1000) / 1000)).toEqual([0, 10, 20, 30])
  })
  it('has its summit where it is as steep up as down', () => {
    const points = lineOfCard(at(10, 10, [leg('Far side', 40, 90, 300, 100)]))
    const { km } = surveyRoad(points)
    expect(km[1]).toBeCloseTo(30, 6)
    expect(points.map(([, , eleM]) => eleM)).toEqual([0, 300, 200])
  })
  it('has no heights where nobody said any', () => {
    expect(lineOfCard(at(10, 10, [leg('A', 10, 0)])).map(([, , eleM]) => eleM)).toEqual([null, null])
  })
  it('is refused where it would be higher than any road', () => {
    const steep = Array.from({ length: 5 }, (_, i) => leg(`${i}`, 50, 0, 2000, 0))
    expect(() => lineOfCard(at(10, 10, steep))).toThrow(
      'the climbs: 10000 m from the lowest place to the highest; expected 9000 m at most; say how far the legs go down',
    )
  })
  it('goes over the 180° meridian', () => {
    expect(surveyRoad(lineOfCard(at(-17, 179.8, [leg('A', 90, 90)]))).lengthKm).toBeCloseTo(90, 6)
  })
})

describe('the route card of a line', () => {
  const written = at(57, -33, [
    leg('Pass', 31, 80, 900, 0),
    leg('', 12, 170, 50, 10),
    leg('Ford', 24, 140, 100, 850),
    leg('End', 8, 10, 0, 0),
  ])
  const places = [
    { name: 'Start', roadKm: 0 },
    { name: 'Pass', roadKm: 31 },
    { name: 'Ford', roadKm: 67 },
    { name: 'End', roadKm: 75 },
  ]
  it('is the one that the line was made of', () => {
    const points = lineOfCard(written)
    const read = defined(cardOfLine(points, surveyRoad(points), places))
    expect(read.begin).toEqual(written.begin)
    expect(read.legs.map(({ name }) => name)).toEqual(['Pass', '', 'Ford', 'End'])
    read.legs.forEach((found, i) => {
      const { km, bearing, upM, downM } = nth(written.legs, i)
      expect(found.km).toBeCloseTo(km, 6)
      expect(found.bearing).toBe(bearing)
      expect(found.upM).toBeCloseTo(defined(upM), 6)
      expect(found.downM).toBeCloseTo(defined(downM), 6)
    })
  })
  it('has a leg to a place between, with its share of the climb', () => {
    const points = lineOfCard(at(57, -33, [leg('End', 40, 90, 400, 0)]))
    const read = defined(cardOfLine(points, surveyRoad(points), [{ name: 'Hut', roadKm: 10 }, ...[]]))
    expect(read.legs).toHaveLength(2)
    expect(nth(read.legs, 0)).toMatchObject({ name: 'Hut', upM: expect.closeTo(100, 6) as number })
    expect(nth(read.legs, 1)).toMatchObject({ name: '', upM: expect.closeTo(300, 6) as number })
  })
  it('is none for a line of many points or many bends, nor for none', () => {
    const many = Array.from({ length: 602 }, (_, i) => [0, i / 1000, null] as [number, number, null])
    expect(cardOfLine(many, surveyRoad(many), [])).toBeUndefined()
    expect(cardOfLine(many.slice(1), surveyRoad(many.slice(1)), [])).toBeDefined()
    expect(cardOfLine([], surveyRoad([]), [])).toBeUndefined()
    const bending = many.slice(1, 303).map(([, lon], i) => [(i % 2) / 100, lon, null] as [number, number, null])
    expect(cardOfLine(bending, surveyRoad(bending), [])).toBeUndefined()
    expect(cardOfLine(bending.slice(1), surveyRoad(bending.slice(1)), [])?.legs).toHaveLength(300)
  })
})

describe('the plan of a route card', () => {
  const legs = [leg('A', 30, 0, 100, 50), leg('B', 40, 90, null, 20), leg('C', 50, 180)]
  it('has its places where the legs lead', () => {
    const spots = spotsOfCard(legs).map(({ eastKm, northKm }) => [eastKm, northKm])
    const expected = [
      [0, 0],
      [0, 30],
      [40, 30],
      [40, -20],
    ]
    spots.flat().forEach((km, i) => expect(km).toBeCloseTo(nth(expected.flat(), i), 9))
  })
  it('moves a place and leaves those beside it', () => {
    const moved = withSpotMoved(legs, 2, { eastKm: 30, northKm: 70 })
    expect(moved.map(({ km, bearing }) => [km, bearing])).toEqual([
      [30, 0],
      [50, 37],
      [90.6, 174],
    ])
    expect(withSpotMoved(legs, 3, { eastKm: 40, northKm: 0 })[2]).toMatchObject({ km: 30, bearing: 180 })
    expect(withSpotMoved(legs, 0, { eastKm: 0, northKm: 10 })[0]).toMatchObject({ km: 20, bearing: 0 })
  })
  it('gives a leg a length, even between places drawn on each other', () => {
    expect(legBetween({ eastKm: 3, northKm: 3 }, { eastKm: 3, northKm: 3 })).toEqual({ km: 0.1, bearing: 0 })
    expect(legBetween({ eastKm: 0, northKm: 0 }, { eastKm: -0.001, northKm: 100 })).toEqual({ km: 100, bearing: 0 })
  })
  it('takes a place off: its two legs are one, as long and as steep together', () => {
    expect(withoutPlace(legs, 1)).toEqual([{ name: 'B', km: 70, bearing: 53, upM: 100, downM: 70 }, nth(legs, 2)])
    expect(withoutPlace(legs, 3)).toEqual(legs.slice(0, 2))
    expect(withoutPlace([leg('A', 1, 0), leg('B', 2, 0)], 1)[0]).toMatchObject({ upM: null, downM: null })
  })
})

describe('a trip laid along a route card', () => {
  const empty = tripSchema.parse({ format: 'rag-tin.trip/6', name: 't', road: { points: [] } })
  const nothing = surveyRoad([])
  const ofTrip = (name: string, km: number, bearing = 90): TripLeg => ({
    ...leg(name, km, bearing),
    stopId: null,
    wasKm: null,
  })
  const card = (...legs: TripLeg[]): TripCard => ({
    name: 'By hand',
    begin: { name: 'Harbour', lat: 57, lon: -33, stopId: null },
    legs,
  })
  let made = 0
  const newId = () => `s${made++}`

  it('has a stop at each place with a name', () => {
    const laid = layCard(empty, nothing, card(ofTrip(' Mill ', 30), ofTrip('', 10, 120), ofTrip('Inn', 20)), newId)
    expect(laid.stops.map(({ name, roadKm }) => [name, roadKm])).toEqual([
      ['Harbour', 0],
      ['Mill', 30],
      ['Inn', expect.closeTo(60, 9)],
    ])
    expect(laid.road.name).toBe('By hand')
    expect(() => tripSchema.parse({ ...empty, ...laid })).not.toThrow()
  })
  it('is written down again as it was, and laid again is the same', () => {
    const laid = layCard(empty, nothing, card(ofTrip('Mill', 30), ofTrip('', 10, 120), ofTrip('Inn', 20)), newId)
    const trip = { ...empty, ...laid }
    const survey = surveyRoad(trip.road.points)
    const written = tripCardSchema.parse(cardOfTrip(trip, survey))
    expect(written.legs.map(({ name, stopId }) => [name, stopId])).toEqual([
      ['Mill', nth(trip.stops, 1).id],
      ['', null],
      ['Inn', nth(trip.stops, 2).id],
    ])
    expect(written.begin.stopId).toBe(nth(trip.stops, 0).id)
    const again = layCard(trip, survey, written, newId)
    expect(again.stops.map(({ id, name }) => [id, name])).toEqual(trip.stops.map(({ id, name }) => [id, name]))
    again.road.points.flat().forEach((part, i) => {
      const before = nth(trip.road.points.flat(), i)
      if (part === null) expect(before).toBeNull()
      else expect(part).toBeCloseTo(defined(before), 7)
    })
  })
  it('keeps what is known of its places, and what lies between in its share of the way', () => {
    const laid = layCard(empty, nothing, card(ofTrip('Mill', 30), ofTrip('Inn', 20)), newId)
    const [harbour, mill, inn] = laid.stops as [never, never, never]
    const trip = {
      ...empty,
      ...laid,
      stops: [
        harbour,
        { ...(mill as object), note: 'asked' } as never,
        inn,
        newStop('beside', 'Second at the mill', 30),
      ],
      road: {
        ...laid.road,
        stretches: [
          {
            id: 'x',
            fromKm: 15,
            toKm: 40,
            surface: 'sand',
            thorns: false,
            wet: false,
            signal: true,
            traffic: 'quiet',
            apart: null,
          } as const,
        ],
      },
      ride: {
        ...empty.ride,
        nights: [
          { id: 'n', roadKm: 30, stop: nth(laid.stops, 1).id, nights: 1 },
          { id: 'm', roadKm: 45, stop: nth(laid.stops, 2).id, nights: 1 },
        ],
      },
    }
    const survey = surveyRoad(trip.road.points)
    const written = defined(cardOfTrip(trip, survey))
    // Twice as far to the mill; the inn is taken off and the road ends 10 km behind the mill, in the open.
    const [toMill, toInn] = written.legs as [TripLeg, TripLeg]
    const next = layCard(
      trip,
      survey,
      {
        ...written,
        legs: [
          { ...toMill, km: 60 },
          { ...toInn, km: 10, name: '' },
        ],
      },
      newId,
    )
    expect(next.stops.map(({ name, roadKm, note }) => [name, roadKm, note])).toEqual([
      ['Harbour', 0, ''],
      ['Mill', 60, 'asked'],
      ['Second at the mill', expect.closeTo(60, 6), ''],
    ])
    expect(next.leftOut).toEqual(['Inn'])
    expect(nth(next.road.stretches, 0)).toMatchObject({
      fromKm: expect.closeTo(30, 6) as number,
      toKm: expect.closeTo(65, 6) as number,
    })
    expect(next.ride.nights.map(({ roadKm, stop }) => [roadKm, stop])).toEqual([
      [expect.closeTo(60, 6), nth(trip.stops, 1).id],
      [expect.closeTo(67.5, 6), null],
    ])
  })
  it('lets nothing lie beyond its new end', () => {
    const laid = layCard(empty, nothing, card(ofTrip('Mill', 30), ofTrip('Inn', 20)), newId)
    const trip = { ...empty, ...laid, stops: [...laid.stops, newStop('far', 'Beside the inn', 50)] }
    const survey = surveyRoad(trip.road.points)
    const written = defined(cardOfTrip(trip, survey))
    const next = layCard(trip, survey, { ...written, legs: written.legs.slice(0, 1) }, newId)
    expect(next.stops.map(({ name, roadKm }) => [name, Math.round(roadKm * 1000) / 1000])).toEqual([
      ['Harbour', 0],
      ['Mill', 30],
      ['Beside the inn', 30],
    ])
  })
})

describe('a position', () => {
  it.each([
    ['57.123, -33.456', 57.123, -33.456],
    [' 57.123 -33.456 ', 57.123, -33.456],
    ['57.123 N, 33.456 W', 57.123, -33.456],
    ['57°07.38′N 33°27.36′W', 57.123, -33.456],
    ['57° 7\' 22.8" N, 33° 27\' 21.6" W', 57.123, -33.456],
    ['-12.5, 130', -12.5, 130],
    ['0, 0', 0, 0],
  ])('%s', (written, lat, lon) => {
    const read = readPosition(written)
    expect(read).toEqual({ lat: expect.closeTo(lat, 5) as number, lon: expect.closeTo(lon, 5) as number })
  })
  it.each(['', 'somewhere', '57', '97, 10', '10, 200', '57.1, -33.4, 12', '57°61′N 33°W'])(
    '“%s” is none',
    (written) => {
      expect(readPosition(written)).toEqual({
        error: 'no position; write latitude and longitude, such as 57.12, -33.45 or 57°07′N 33°27′W',
      })
    },
  )
  it('is written as it is read', () => {
    expect(readPosition(writePosition(-0.00004, 179.99999))).toEqual({
      lat: expect.closeTo(-0.00004, 9) as number,
      lon: expect.closeTo(179.99999, 9) as number,
    })
  })
})
