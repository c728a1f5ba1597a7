import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demoGpx, demoTrip } from '../../catalogue/demo'
import { Fault } from '../../core/fault'
import { readGpx, surveyRoad, writeGpx, type RoadPoint } from '../../core/road'
import { withRoad } from '../../core/trip'

const gpx = (inside: string) =>
  `<?xml version="1.0"?><gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1">${inside}</gpx>`
const point = (lat: unknown, lon: unknown, ele?: unknown) =>
  `<trkpt lat="${lat}" lon="${lon}">${ele === undefined ? '' : `<ele>${ele}</ele>`}</trkpt>`
const track = (...points: string[]) => gpx(`<trk><name>A way</name><trkseg>${points.join('')}</trkseg></trk>`)

function faultOf(text: string): Fault {
  try {
    readGpx(text)
  } catch (error) {
    if (error instanceof Fault) return error
    throw error
  }
  throw new Error('no fault was found')
}

describe('reading GPX', () => {
  it('joins the segments of all tracks in order and keeps waypoints apart', () => {
    const road = readGpx(
      gpx(`<wpt lat="1" lon="2"><name>Shop &amp; inn</name></wpt>
        <trk><trkseg>${point(0, 0, 5)}${point(0, 1, 6)}</trkseg><trkseg>${point(0, 2, 7)}</trkseg></trk>
        <trk><trkseg>${point(0, 3, 8)}</trkseg></trk><rte><rtept lat="9" lon="9"/></rte>`),
    )
    expect(road.points).toEqual([
      [0, 0, 5],
      [0, 1, 6],
      [0, 2, 7],
      [0, 3, 8],
    ])
    expect(road.waypoints).toEqual([{ name: 'Shop & inn', lat: 1, lon: 2 }])
    expect(road.warnings.join()).toContain('the tracks were used')
  })
  it('reads a route where there is no track', () => {
    const road = readGpx(gpx('<rte><name>R</name><rtept lat="0" lon="0"/><rtept lat="0" lon="1"/></rte>'))
    expect(road.points).toHaveLength(2)
    expect(road.name).toBe('R')
  })
  it('takes names with prefixes and missing heights', () => {
    const road = readGpx(
      '<g:gpx xmlns:g="x"><g:trk><g:trkseg><g:trkpt lat="0" lon="0"/><g:trkpt lat="0" lon="1"/></g:trkseg></g:trk></g:gpx>',
    )
    expect(road.points[0]).toEqual([0, 0, null])
    expect(road.warnings[0]).toContain('no elevation')
  })
})

describe('what others write into a GPX file', () => {
  const two = `${point(1, 1)}${point(1, 2)}`

  it('an entity of another language of marks stays as it is written', () => {
    expect(readGpx(gpx(`<trk><name>Caf&eacute; &amp; ford</name><trkseg>${two}</trkseg></trk>`)).name).toBe(
      'Caf&eacute; & ford',
    )
  })
  it('points and heights of other rooms are not taken for the road’s', () => {
    const other = '<extensions><trk><trkseg><trkpt lat="9" lon="9"/></trkseg></trk><ele>9</ele></extensions>'
    const road = readGpx(gpx(`${other}<trk><trkseg><trkpt lat="1" lon="1">${other}</trkpt>${two}</trkseg></trk>`))
    expect(road.points.map(([lat]) => lat)).toEqual([1, 1, 1])
    expect(road.points[0]![2]).toBeNull()
  })
  it('words of the language itself are no places in it', () => {
    const odd = '<constructor><toString/></constructor><__proto__/>'
    expect(readGpx(gpx(`${odd}<trk>${odd}<trkseg>${two}</trkseg></trk>`)).points).toHaveLength(2)
  })
  it('two hundred thousand elements, each within the last, are walked through', () => {
    const deep = `${'<a>'.repeat(200_000)}${'</a>'.repeat(200_000)}`
    expect(readGpx(gpx(`${deep}<trk><trkseg>${two}</trkseg></trk>`)).points).toHaveLength(2)
  })
})

describe('bad GPX is refused with where, what and how', () => {
  it.each([
    ['not XML', 'this is no XML at all <', /not XML|<gpx>/],
    ['a broken tag', '<gpx><trk></gpx>', /line 1, column \d+: not XML/],
    ['XML that is not GPX', '<kml><Placemark/></kml>', /<kml>.*save or convert/],
    ['an empty GPX', gpx(''), /no track/],
    ['one point', track(point(1, 1)), /a single point/],
    ['91° latitude', track(point(1, 1), point(91, 1)), /track 1, segment 1, point 2: latitude “91”/],
    ['NaN', track(point('NaN', 1), point(1, 1)), /point 1: latitude “NaN”/],
    ['a longitude left out', track('<trkpt lat="1"/>', point(1, 1)), /longitude missing/],
    ['a mad height', track(point(1, 1, 99999), point(1, 2)), /elevation “99999”/],
    [
      'entity expansion',
      `<!DOCTYPE gpx [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]>${track(point(1, 1), point(1, 2))}`,
      /DOCTYPE/,
    ],
  ])('%s', (_, text, message) => {
    const fault = faultOf(text)
    expect(fault.message).toMatch(message)
    expect(fault.message).toContain('expected')
  })
  it('a file of 60 MB', () => {
    expect(faultOf(' '.repeat(60 * 1024 * 1024)).message).toMatch(/60 MB; expected a GPX file of 48 MB at most/)
  })
  it('anything at all ends in a road or a fault', () => {
    const scraps = fc.constantFrom(
      '<gpx>',
      '</gpx>',
      '<trk>',
      '<trkseg>',
      '<trkpt lat="1" lon="2">',
      '</trkpt>',
      '<ele>',
      '&',
      '<',
      '"',
      'é',
      '<!--',
      ']]>',
      '<?x?>',
    )
    fc.assert(
      fc.property(fc.array(fc.oneof(scraps, fc.string({ maxLength: 6 })), { maxLength: 14 }), (parts) => {
        try {
          expect(readGpx(parts.join('')).points.length).toBeGreaterThan(1)
        } catch (error) {
          expect(error).toBeInstanceOf(Fault)
        }
      }),
      { numRuns: 400 },
    )
  })
})

describe('writing GPX', () => {
  it('and reading it again gives the same road', () => {
    const coordinate = (limit: number) =>
      fc.double({ min: -limit, max: limit, noNaN: true }).map((value) => Number(value.toFixed(7)))
    const points = fc.array(
      fc.tuple(coordinate(89), coordinate(179), fc.option(fc.integer({ min: -400, max: 8000 }), { nil: null })),
      { minLength: 2, maxLength: 30 },
    ) as fc.Arbitrary<RoadPoint[]>
    fc.assert(
      fc.property(points, (line) => {
        const road = { name: 'A <strange> & "quoted" name', points: line, stretches: [] }
        const again = readGpx(writeGpx(road, surveyRoad(line), []))
        expect(again.points.map((p) => p.map((v) => (v === 0 ? 0 : v)))).toEqual(
          line.map((p) => p.map((v) => (v === 0 ? 0 : v))),
        )
        expect(again.name).toBe(road.name)
      }),
      { numRuns: 60 },
    )
  })
  it('the demo keeps its stops where they are', () => {
    const { stops, road } = demoTrip()
    const read = readGpx(demoGpx())
    const survey = surveyRoad(read.points)
    expect(read.points).toHaveLength(road.points.length)
    let id = 0
    const next = withRoad({ road: { ...road, points: [] }, stops: [] }, read, survey, () => `s${id++}`)
    expect(next.added).toBe(stops.length)
    next.stops.forEach((stop, i) => expect(stop.roadKm).toBeCloseTo(stops[i]!.roadKm, 1))
  })
  it('a shorter road leaves out, and names, what would lie beyond it', () => {
    const { stops, road } = demoTrip()
    const points = road.points.slice(0, 1001)
    const lines = [{ name: 'short', points }]
    const short = { name: 'short', lines, points, recordedAt: null, waypoints: [], warnings: [] }
    const next = withRoad({ road, stops }, short, surveyRoad(short.points), () => 'x')
    expect(next.stops.map((stop) => stop.name)).toEqual(['Pell Harbour', 'Low Stannet', 'Quillby'])
    expect(next.leftOut).toContain('Skerry Point')
    expect(next.road.stretches.every((stretch) => stretch.toKm <= 100.2)).toBe(true)
  })
})
