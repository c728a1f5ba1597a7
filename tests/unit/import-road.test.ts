import { catalogue } from '#catalogue'
import { readGpx, surveyRoad, type GpxRoad, type RoadPoint } from '#core/road'
import { newStop, stopSchema } from '#core/supply'
import { exportGpx, gpxSymbolOf, joinRoads, replaceRoad, waypointStops, tripSchema } from '#core/trip'
import { describe, expect, it } from 'vitest'

/** Due east along the equator, some ten kilometres a step. */
const line = (from: number, to: number): RoadPoint[] =>
  Array.from({ length: to - from + 1 }, (_, i): RoadPoint => [0, (from + i) / 11.132, null])
const points = line(0, 10)
const survey = surveyRoad(points)
const gpx: GpxRoad = { name: 'A way', lines: [], points, recordedAt: null, waypoints: [], warnings: [] }
const ids = () => {
  let id = 0
  return () => `new${id++}`
}
const waypoint = (name: string, lon: number, lat = 0) => ({ name, hint: '', lat, lon: lon / 11.132 })
const stop = (id: string, roadKm: number) => newStop(id, `at ${id}`, roadKm)
const stretch = (id: string, fromKm: number, toKm: number) => ({
  id,
  fromKm,
  toKm,
  surface: 'gravel' as const,
  thorns: false,
  wet: false,
  signal: true,
  traffic: 'quiet' as const,
  apart: null,
})

describe('waypoints of a file', () => {
  const from = (waypoints: GpxRoad['waypoints'], stops: ReturnType<typeof stop>[] = [], along = points) =>
    waypointStops({ points: along, waypoints }, surveyRoad(along), stops, ids())
  it('become stops where they lie, to ten metres, with the metres they lie off', () => {
    const [inn] = from([waypoint('Inn', 4.123456, 0.01)])
    expect(inn).toMatchObject({ id: 'new0', name: 'Inn', roadKm: 41.23, services: [] })
    // 0.01° of latitude at the equator: 1105.7 m.
    expect(inn?.offRoadM).toBe(1106)
  })
  it('farther off than twenty kilometres are no stops of this road', () => {
    expect(from([waypoint('near', 4, 0.18)])).toHaveLength(1)
    expect(from([waypoint('far', 4, 0.182)])).toEqual([])
  })
  it('whose name a stop has already are left out', () => {
    const known = { ...stop('s', 30), name: 'Inn' }
    expect(from([waypoint('Inn', 4), waypoint('Ford', 5)], [known]).map(({ name }) => name)).toEqual(['Ford'])
  })
  it('never lie past the end, for all the rounding', () => {
    const [end] = from([waypoint('End', 10)])
    expect(end?.roadKm).toBe(survey.lengthKm)
  })
  it('are stops as often as the line comes by, counted', () => {
    const weaving = [...line(0, 10), ...line(0, 9).reverse(), ...line(1, 10), ...line(0, 9).reverse()]
    expect(from([waypoint('Inn', 5)], [], weaving).map(({ name }) => name)).toEqual([
      'Inn',
      'Inn, second time',
      'Inn, third time',
      'Inn, 4th time',
    ])
  })
})

describe('a road in place of another', () => {
  const trip = {
    road: { name: 'Before', points: line(0, 3), stretches: [stretch('in', 10, 20), stretch('across', 90, 120)] },
    stops: [stop('a', 30), stop('b', 99), stop('c', 150)],
  }
  it('keeps what lies on it, leaves out and names what does not, and takes the file’s places', () => {
    const after = replaceRoad(trip, { ...gpx, waypoints: [waypoint('Inn', 5)] }, survey, ids())
    expect(after.road).toEqual({ name: 'A way', points, stretches: [trip.road.stretches[0]] })
    expect(after.stops.map(({ name }) => name)).toEqual(['at a', 'Inn', 'at b'])
    expect(after.leftOut).toEqual(['at c', 'km 90–120'])
    expect(after.added).toBe(1)
  })
  it('keeps its name where the file has none, and what ends just where it ends', () => {
    const end = survey.lengthKm
    const along = { road: { ...trip.road, stretches: [stretch('s', 1, end)] }, stops: [stop('e', end)] }
    const after = replaceRoad(along, { ...gpx, name: '' }, survey, ids())
    expect(after.road.name).toBe('Before')
    expect(after.leftOut).toEqual([])
  })
  it('has some length', () => {
    const still: RoadPoint[] = [
      [0, 0, null],
      [0, 0, null],
    ]
    expect(() => replaceRoad(trip, { ...gpx, points: still }, surveyRoad(still), ids())).toThrow(
      'the GPX file: points that are all at one place; expected a track or route of some length',
    )
  })
})

describe('a road on the end of another', () => {
  it('has its points behind, and its places among the stops', () => {
    const { road, ride } = tripSchema.parse({ format: 'rag-tin.trip/6', name: 'x' })
    const along = { road: { ...road, name: '', points: line(0, 3) }, ride, stops: [stop('a', 20)] }
    const joined = joinRoads(
      along,
      { ...gpx, points: line(4, 10), waypoints: [waypoint('Inn', 1), waypoint('Ford', 8)] },
      ids(),
    )
    expect(joined.road.points).toEqual(points)
    expect(joined.road.name).toBe('A way')
    expect(joined.stops.map(({ name }) => name)).toEqual(['Inn', 'at a', 'Ford'])
    expect(joined.leftOut).toEqual([])
    expect(joinRoads({ ...along, road: { ...along.road, name: 'Mine' } }, gpx, ids()).road.name).toBe('Mine')
  })
})

describe('a trip written as GPX', () => {
  const inn = stopSchema.parse({
    id: 'i',
    name: 'Inn',
    roadKm: 30,
    note: 'warm',
    services: [{ kind: 'bike-shop' }, { kind: 'nothing' }],
    exit: 'train',
  })
  it('says of each place what it is', () => {
    const shop = catalogue.services.find(({ id }) => id === 'bike-shop')?.name
    expect(gpxSymbolOf(inn, catalogue)).toBe(`${shop}, train`)
    expect(gpxSymbolOf({ ...inn, exit: null }, catalogue)).toBe(shop)
    expect(gpxSymbolOf({ ...inn, services: [], exit: null }, catalogue)).toBe('place')
  })
  it('has times where they are wanted and there is a start, by universal time', () => {
    const base = tripSchema.parse({ format: 'rag-tin.trip/6', name: 'x' })
    const ride = { ...base.ride, start: '2026-06-12T08:00', utcOffsetH: 2 }
    const trip = { road: { ...base.road, name: 'A way', points }, ride, stops: [inn] }
    const timed = exportGpx(trip, survey, catalogue, true)
    expect(timed).toContain('<time>2026-06-12T06:00:00Z</time>')
    expect(timed.match(/<time>/g)).toHaveLength(points.length)
    expect(exportGpx(trip, survey, catalogue, false)).not.toContain('<time>')
    expect(exportGpx({ ...trip, ride: { ...ride, start: null } }, survey, catalogue, true)).not.toContain('<time>')
    expect(timed).toContain('<desc>warm</desc>')
    expect(readGpx(timed)).toMatchObject({ name: 'A way', recordedAt: '2026-06-12T06:00:00Z' })
  })
})
