import { nth, Fault } from '#core/validation'
import { readGpx, surveyRoad, withLines, writeGpx } from '#core/road'
import { replaceRoad } from '#core/trip'
import { demoGpx, demoTrip } from '#catalogue/demo'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'

const gpx = (inside: string) =>
  `<?xml version="1.0"?><gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1">${inside}</gpx>`
const point = (lat: number | string, lon: number | string, ele?: number | string) =>
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
    expect(road.waypoints).toEqual([{ name: 'Shop & inn', hint: '', lat: 1, lon: 2 }])
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
    expect(nth(road.points, 0)[2]).toBeNull()
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

describe('what a GPX file says besides its line', () => {
  const two = `${point(1, 1, 10)}${point(1, 2, 12)}`
  const trk = (name: string, points = two) => `<trk>${name && `<name>${name}</name>`}<trkseg>${points}</trkseg></trk>`

  it('its name is that of the first track, else of the first route, else of the whole', () => {
    const meta = '<metadata><name>The whole</name></metadata>'
    expect(readGpx(gpx(`${meta}${trk('One')}${trk('Two')}`)).name).toBe('One')
    expect(readGpx(gpx(`${meta}${trk('')}`)).name).toBe('The whole')
    const route = '<rte><name>Way</name><rtept lat="0" lon="0"/><rtept lat="0" lon="1"/></rte>'
    expect(readGpx(gpx(`${meta}<trk><name>Empty</name></trk>${route}`)).name).toBe('Way')
    expect(readGpx(gpx(trk('x'.repeat(300)))).name).toBe('x'.repeat(200))
  })
  it('its lines are named by what they are and where they stand', () => {
    const road = readGpx(gpx(`${trk('One')}<trk><trkseg></trkseg><trkseg>${two}</trkseg></trk>`))
    expect(road.lines.map(({ name }) => name)).toEqual(['One (track 1, segment 1)', 'track 2, segment 2'])
    const routes = readGpx(gpx('<rte><rtept lat="0" lon="0"/><rtept lat="0" lon="1"/></rte>'))
    expect(routes.lines.map(({ name }) => name)).toEqual(['route 1'])
  })
  it('lines are picked and put in order', () => {
    const road = readGpx(gpx(`${trk('One')}${trk('Two', `${point(5, 5)}${point(6, 6)}`)}`))
    expect(withLines(road, [1]).points.map(([lat]) => lat)).toEqual([5, 6])
    expect(withLines(road, [1, 0, 7]).points.map(([lat]) => lat)).toEqual([5, 6, 1, 1])
  })
  it('its waypoints are named, or counted', () => {
    const inn = '<wpt lat="3" lon="4"><name> Inn </name><sym>Lodging</sym><type>bed</type></wpt>'
    const tap = '<wpt lat="5" lon="6"><type>water</type><sym>water</sym><name>Tap</name></wpt>'
    expect(readGpx(gpx(`<wpt lat="1" lon="2"/>${inn}${tap}${trk('')}`)).waypoints).toEqual([
      { name: 'Waypoint 1', hint: '', lat: 1, lon: 2 },
      { name: 'Inn', hint: 'Lodging, bed', lat: 3, lon: 4 },
      { name: 'Tap', hint: 'water', lat: 5, lon: 6 },
    ])
  })
  it('its heights are told of where they are missing, and nothing where all is well', () => {
    expect(readGpx(gpx(trk(''))).warnings).toEqual([])
    expect(readGpx(gpx(trk('', `${point(1, 1)}${point(1, 2)}`))).warnings).toEqual([
      'The file has no elevation, so climbs are unknown and walking is worked out on the level.',
    ])
    expect(readGpx(gpx(trk('', `${point(1, 1)}${point(1, 2, 3)}`))).warnings).toEqual([
      '1 of 2 points have no elevation; it was filled in from their neighbours.',
    ])
  })
  it('its time is that of the first point that there is, where it is one', () => {
    const timed = (time: string) => `<trkpt lat="1" lon="1"><time>${time}</time></trkpt>${point(1, 2)}`
    expect(readGpx(gpx(trk('', timed('2026-06-12T09:30:00.250Z')))).recordedAt).toBe('2026-06-12T09:30:00Z')
    expect(readGpx(gpx(trk('', timed('2026-06-12T11:30:00+02:00')))).recordedAt).toBe('2026-06-12T09:30:00Z')
    expect(readGpx(gpx(trk('', timed('yesterday')))).recordedAt).toBeNull()
    expect(readGpx(gpx(trk(''))).recordedAt).toBeNull()
  })
  it('numbers at the ends of their ranges are taken', () => {
    const ends = `${point(90, 180, 9000)}${point(-90, -180, -500)}`
    expect(readGpx(gpx(trk('', ends))).points).toEqual([
      [90, 180, 9000],
      [-90, -180, -500],
    ])
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
    ['a height below the sea', track(point(1, 1, -501), point(1, 2)), /point 1: elevation “-501”/],
    ['a height in words', track(point(1, 1, 'high'), point(1, 2)), /elevation “high”/],
    ['an empty latitude', track(point(' ', 1), point(1, 2)), /latitude “ ”; expected a number from −90 to 90/],
    [
      '180.1° longitude',
      track(point(1, -180.1), point(1, 2)),
      /longitude “-180.1”; expected a number from −180 to 180/,
    ],
    [
      'a waypoint nowhere',
      gpx(`<wpt lat="1" lon="x"/><trk><trkseg>${point(1, 1)}${point(1, 2)}</trkseg></trk>`),
      /waypoint 1: longitude “x”/,
    ],
    [
      'a route’s bad point',
      gpx('<rte><rtept lat="1" lon="1"/><rtept lat="x" lon="1"/></rte>'),
      /route 1, point 2: latitude “x”/,
    ],
    ['more points than a road may have', track(point(1, 1).repeat(250_001)), /250001 points; expected 250000 at most/],
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
  it('of no XML the line and column are said once, and why without a full stop', () => {
    const broken = `<gpx>\n${'<trk>\n'.repeat(12)}          </gpx>`
    expect(faultOf(broken).message).toMatch(
      /^line 14, column 16: not XML: [a-z][^.\d]*; expected a GPX file; export it anew$/i,
    )
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
    )
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
    const next = replaceRoad({ road: { ...road, points: [] }, stops: [] }, read, survey, () => `s${id++}`)
    expect(next.added).toBe(stops.length)
    next.stops.forEach((stop, i) => expect(stop.roadKm).toBeCloseTo(nth(stops, i).roadKm, 1))
  })
  it('a shorter road leaves out, and names, what would lie beyond it', () => {
    const { stops, road } = demoTrip()
    const points = road.points.slice(0, 1001)
    const lines = [{ name: 'short', points }]
    const short = { name: 'short', lines, points, recordedAt: null, waypoints: [], warnings: [] }
    const next = replaceRoad({ road, stops }, short, surveyRoad(short.points), () => 'x')
    expect(next.stops.map((stop) => stop.name)).toEqual(['Pell Harbour', 'Low Stannet', 'Quillby'])
    expect(next.leftOut).toContain('Skerry Point')
    expect(next.road.stretches.every((stretch) => stretch.toKm <= 100.2)).toBe(true)
  })
})
