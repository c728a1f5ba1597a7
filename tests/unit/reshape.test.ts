import { defined, nth } from '#core/validation'
import { classesOf, Landscape } from '#core/availability'
import { newStop } from '#core/supply'
import { readGpx, surveyRoad, withLines, type RoadPoint } from '#core/road'
import { cutRoad, exportGpx, joinRoads, readTrip, reverseRoad, gpxSymbolOf, tripSchema, type Trip } from '#core/trip'
import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'

const demo = demoTrip()
const survey = surveyRoad(demo.road.points)
const timeless: Trip = { ...demo, ride: { ...demo.ride, start: null } }

describe('the road ridden the other way', () => {
  const back = { ...demo, ...reverseRoad(demo, survey.lengthKm) }
  const backSurvey = surveyRoad(back.road.points)

  it('is as long, and its stops and stretches lie where they lay', () => {
    expect(backSurvey.lengthKm).toBeCloseTo(survey.lengthKm, 6)
    const brannock = defined(back.stops.find(({ id }) => id === 'brannock'))
    expect(brannock.roadKm).toBeCloseTo(survey.lengthKm - 311, 6)
    expect(back.stops.map(({ roadKm }) => roadKm)).toEqual(
      [...back.stops.map(({ roadKm }) => roadKm)].sort((a, b) => a - b),
    )
    const pass = defined(back.road.stretches.find(({ id }) => id === 'from-152'))
    expect([pass.fromKm, pass.toKm]).toEqual([
      expect.closeTo(survey.lengthKm - 190, 6),
      expect.closeTo(survey.lengthKm - 152, 6),
    ])
  })
  it('has its nights where they were, in the order one comes by', () => {
    const nights = [
      { id: 'a', roadKm: 100, stop: null, nights: 1 },
      { id: 'b', roadKm: 300, stop: 'inn', nights: 2 },
    ]
    const { ride } = reverseRoad({ ...demo, ride: { ...demo.ride, nights } }, 400)
    expect(ride.nights).toEqual([
      { id: 'b', roadKm: 100, stop: 'inn', nights: 2 },
      { id: 'a', roadKm: 300, stop: null, nights: 1 },
    ])
    const beyond = newStop('s', 's', 400.004)
    expect(reverseRoad({ ...demo, stops: [beyond] }, 400).stops[0]?.roadKm).toBe(0)
  })
  it('twice is the road one had', () => {
    const again = reverseRoad(back, survey.lengthKm)
    expect(again.road.points).toEqual(demo.road.points)
    again.stops.forEach((stop, i) => expect(stop.roadKm).toBeCloseTo(nth(demo.stops, i).roadKm, 9))
  })
  it('has its gaps mirrored where times do not matter', () => {
    const there = new Landscape(timeless, survey, catalogue)
    const other = new Landscape({ ...timeless, ...reverseRoad(timeless, survey.lengthKm) }, backSurvey, catalogue)
    for (const classId of classesOf(demo, catalogue)) {
      const mirrored = other
        .gaps(classId)
        .map(({ fromKm, toKm }) => [survey.lengthKm - toKm, survey.lengthKm - fromKm])
        .reverse()
      there.gaps(classId).forEach(({ fromKm, toKm }, i) => {
        expect(nth(mirrored, i)[0]).toBeCloseTo(fromKm, 6)
        expect(nth(mirrored, i)[1]).toBeCloseTo(toKm, 6)
      })
    }
  })
})

describe('a part of the road', () => {
  it('begins and ends where it is cut, with what lies in it', () => {
    const part = cutRoad(demo, survey, 100, 320)
    const measured = surveyRoad(part.road.points)
    expect(measured.lengthKm).toBeCloseTo(220, 2)
    expect(part.stops.map(({ name }) => name)).toContain('Brannock')
    expect(defined(part.stops.find(({ name }) => name === 'Brannock')).roadKm).toBeCloseTo(211, 6)
    expect(part.leftOut).toContain('Quillby')
    expect(part.leftOut).not.toContain('Ferrow')
    // A stretch across the cut is cut with it.
    expect(part.road.stretches[0]).toMatchObject({ fromKm: 0, toKm: expect.closeTo(8, 6) as number })
    expect(() => tripSchema.parse({ ...demo, ...part })).not.toThrow()
  })
  it('is refused where nothing would be left', () => {
    expect(() => cutRoad(demo, survey, 50, 50)).toThrow(/nothing is left/)
  })
  it('keeps the nights and stops that lie in it, both ends included, counted from the cut', () => {
    const night = (id: string, roadKm: number) => ({ id, roadKm, stop: null, nights: 1 })
    const ride = {
      ...demo.ride,
      nights: [night('a', 99), night('b', 100), night('c', 200), night('d', 320), night('e', 321)],
    }
    const stops = [99, 100, 200, 320, 321].map((km) => newStop(`s${km}`, `km ${km}`, km))
    const part = cutRoad({ ...demo, ride, stops }, survey, 100, 320)
    expect(part.ride.nights.map(({ id, roadKm }) => [id, roadKm])).toEqual([
      ['b', 0],
      ['c', 100],
      ['d', expect.closeTo(220, 2)],
    ])
    expect(part.stops.map(({ name }) => name)).toEqual(['km 100', 'km 200', 'km 320'])
    expect(part.leftOut).toEqual(['km 99', 'km 321'])
    expect(part.ride.start).toBe(demo.ride.start)
    expect(part.road.name).toBe(demo.road.name)
  })
  it('has the heights of the road at both its ends, and none where the road has none', () => {
    const points: RoadPoint[] = [0, 1, 2, 3].map((i) => [0, i / 10, 100 * i])
    const whole = surveyRoad(points)
    const road = { ...demo.road, points, stretches: [] }
    const third = whole.lengthKm / 3
    const part = cutRoad({ ...demo, road, stops: [] }, whole, third / 2, third * 2.5)
    expect(part.road.points).toHaveLength(4)
    expect(part.road.points[0]?.[2]).toBeCloseTo(50, 0)
    expect(part.road.points[0]?.[1]).toBeCloseTo(0.05, 9)
    expect(part.road.points[3]?.[2]).toBeCloseTo(250, 0)
    const level = points.map(([lat, lon]): RoadPoint => [lat, lon, null])
    const flat = cutRoad({ ...demo, road: { ...road, points: level }, stops: [] }, surveyRoad(level), third / 2, third)
    expect(flat.road.points.map(([, , eleM]) => eleM)).toEqual([null, null])
  })
  it('any two parts are together as long as the whole', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 619, noNaN: true }), (at) => {
        const parts = [cutRoad(demo, survey, 0, at), cutRoad(demo, survey, at, survey.lengthKm)]
        const [first, second] = parts.map(({ road }) => surveyRoad(road.points).lengthKm) as [number, number]
        expect(first + second).toBeCloseTo(survey.lengthKm, 3)
        expect(nth(parts, 0).stops.length + nth(parts, 1).stops.length).toBeGreaterThanOrEqual(demo.stops.length)
      }),
      { numRuns: 25 },
    )
  })
})

describe('a road carried on by another file', () => {
  const track = (points: string, extra = '') =>
    readGpx(`<gpx version="1.1" creator="t">${extra}<trk>${points}</trk></gpx>`)
  const first = track('<trkseg><trkpt lat="0" lon="0"/><trkpt lat="0" lon="0.1"/></trkseg>')
  const second = track(
    '<trkseg><trkpt lat="0" lon="0.2"/><trkpt lat="0" lon="0.3"/></trkseg>',
    '<wpt lat="0" lon="0.25"><name>Well</name></wpt>',
  )
  it('has what lies between taken as straight, and the file’s places on it', () => {
    const along = tripSchema.parse({ format: 'rag-tin.trip/6', name: 't', road: { points: first.points } })
    const next = joinRoads(along, second, () => 'w')
    expect(next.road.points).toHaveLength(4)
    const degree = (Math.PI * 6378.137) / 180
    expect(surveyRoad(next.road.points).lengthKm).toBeCloseTo(0.3 * degree, 6)
    expect(next.stops).toMatchObject([{ name: 'Well', roadKm: expect.closeTo(0.25 * degree, 1) as number }])
  })
  it('a file’s lines can be picked, in any order', () => {
    const both = track(
      '<name>Two</name><trkseg><trkpt lat="0" lon="0"/><trkpt lat="0" lon="1"/></trkseg><trkseg/>' +
        '<trkseg><trkpt lat="1" lon="1"/><trkpt lat="1" lon="2"/><trkpt lat="1" lon="3"/></trkseg>',
    )
    expect(both.lines.map(({ name, points }) => [name, points.length])).toEqual([
      ['Two (track 1, segment 1)', 2],
      ['Two (track 1, segment 3)', 3],
    ])
    expect(both.points).toHaveLength(5)
    expect(withLines(both, [1]).points).toEqual(nth(both.lines, 1).points)
    expect(withLines(both, [1, 0]).points.at(-1)).toEqual([0, 1, null])
    expect(withLines(both, [7]).points).toEqual([])
  })
  it('knows when it was recorded, if the file says so in earnest', () => {
    const at = (time: string) =>
      track(`<trkseg><trkpt lat="0" lon="0"><time>${time}</time></trkpt><trkpt lat="0" lon="1"/></trkseg>`).recordedAt
    expect(at('2026-06-12T08:30:00.500+02:00')).toBe('2026-06-12T06:30:00Z')
    expect(at('yesterday')).toBeNull()
    expect(first.recordedAt).toBeNull()
  })
})

describe('a cut', () => {
  it('at the very end of a stretch leaves no stretch without a length, and the trip can be read again', () => {
    const [first] = demo.road.stretches
    if (!first) throw new Error('the demo has stretches')
    for (const [fromKm, toKm] of [
      [first.toKm, survey.lengthKm],
      [first.toKm - 1e-9, survey.lengthKm],
      [0, first.fromKm + 1e-9],
      [0, survey.lengthKm - 1e-9],
    ] as const) {
      if (toKm <= fromKm) continue
      const next = cutRoad(demo, survey, fromKm, toKm)
      for (const stretch of next.road.stretches) expect(stretch.toKm - stretch.fromKm).toBeGreaterThan(1e-6)
      expect(readTrip({ ...demo, ...next, leftOut: undefined }, catalogue).road.stretches).toEqual(next.road.stretches)
    }
  })
})

describe('a road written out', () => {
  it('has its places in plain words', () => {
    const brannock = defined(demo.stops.find(({ id }) => id === 'brannock'))
    expect(gpxSymbolOf(brannock, catalogue)).toBe('bike shop, hardware store, supermarket, post pick-up, bed, train')
    expect(gpxSymbolOf({ ...brannock, services: [], exit: null }, catalogue)).toBe('place')
    expect(exportGpx(demo, survey, catalogue, false)).toContain('<sym>fuel station, water</sym>')
  })
  it('has the ride’s times in universal time when asked for, none otherwise', () => {
    const points: RoadPoint[] = demo.road.points.slice(0, 400)
    const short = { ...demo, road: { ...demo.road, points, stretches: [] }, stops: [] }
    const text = exportGpx(short, surveyRoad(points), catalogue, true)
    // The ride begins at 08:30 on clocks one hour behind universal time.
    expect(readGpx(text).recordedAt).toBe('2026-06-12T09:30:00Z')
    expect(text.match(/<time>/g)).toHaveLength(400)
    expect(exportGpx(short, surveyRoad(points), catalogue, false)).not.toContain('<time>')
    expect(
      exportGpx({ ...short, ride: { ...demo.ride, start: null } }, surveyRoad(points), catalogue, true),
    ).not.toContain('<time>')
  })
})
