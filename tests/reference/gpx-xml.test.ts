import { demoGpx } from '#catalogue/demo'
import { readGpx } from '#core/road'
import { XMLParser } from 'fast-xml-parser'
import { describe, expect, it } from 'vitest'
import { seeded } from '../seeded'

/**
 * Reference: fast-xml-parser, a general XML library that builds a whole tree;
 * the road's reader takes a document apart as it comes. Both must see the same
 * points, names and heights.
 */
const reference = new XMLParser({
  ignoreAttributes: false,
  attributeNamePrefix: '',
  removeNSPrefix: true,
  parseTagValue: false,
  trimValues: false,
  isArray: (name) => ['trk', 'trkseg', 'trkpt', 'rte', 'rtept', 'wpt'].includes(name),
})
interface Point {
  lat: string
  lon: string
  ele?: string
  name?: string
}
interface Document {
  gpx: {
    trk?: { name?: string; trkseg?: ({ trkpt?: Point[] } | string)[] }[]
    rte?: { name?: string; rtept?: Point[] }[]
    wpt?: Point[]
  }
}
const pointsOf = (points: readonly Point[]) =>
  points.map(({ lat, lon, ele }) => [
    Number(lat),
    Number(lon),
    ele === undefined || ele.trim() === '' ? null : Number(ele),
  ])

function expectSame(text: string): void {
  const { gpx } = reference.parse(text) as Document
  const segments = (gpx.trk ?? []).flatMap(({ trkseg }) =>
    (trkseg ?? []).flatMap((segment) => (typeof segment === 'string' ? [] : [segment.trkpt ?? []])),
  )
  const lines = segments.some((points) => points.length > 0) ? segments : (gpx.rte ?? []).map((r) => r.rtept ?? [])
  const road = readGpx(text)
  expect(road.points).toEqual(pointsOf(lines.flat()))
  expect(road.lines.map((line) => line.points)).toEqual(lines.filter((line) => line.length > 0).map(pointsOf))
  expect(road.waypoints.map(({ lat, lon, name }) => [lat, lon, name])).toEqual(
    (gpx.wpt ?? []).map(({ lat, lon, name }, i) => [Number(lat), Number(lon), name?.trim() || `Waypoint ${i + 1}`]),
  )
}

/** A GPX document with whatever the schema allows, and spaces, comments and prefixes as writers of such files put them. */
function madeUp(seed: number): string {
  const random = seeded(seed)
  const some = (most: number) => Math.floor(random() * (most + 1))
  const times = (count: number, piece: (i: number) => string) =>
    Array.from({ length: count }, (_, i) => piece(i)).join('')
  const prefix = random() < 0.2 ? 'g:' : ''
  const point = (tag: string) => {
    const where = `lat="${(random() * 180 - 90).toFixed(6)}" lon='${(random() * 360 - 180).toFixed(5)}'`
    const ele = random() < 0.7 ? `<${prefix}ele> ${(random() * 4000).toFixed(1)}\n</${prefix}ele>` : ''
    const name =
      tag === 'wpt' && random() < 0.8 ? `<${prefix}name>Fell &amp; <![CDATA[<ford>]]> ${some(9)}</${prefix}name>` : ''
    const more = random() < 0.3 ? `<${prefix}extensions><x:ele xmlns:x="urn:x">1</x:ele></${prefix}extensions>` : ''
    return `<${prefix}${tag} ${where}>${ele}${name}${more}</${prefix}${tag}>${random() < 0.2 ? '<!-- here -->\r\n' : ''}`
  }
  const track = () =>
    `<${prefix}trk>${times(some(3), () => `<${prefix}trkseg>${times(some(6), () => point('trkpt'))}</${prefix}trkseg>`)}</${prefix}trk>`
  const route = () => `<${prefix}rte>${times(2 + some(5), () => point('rtept'))}</${prefix}rte>`
  const xmlns = prefix ? 'xmlns:g' : 'xmlns'
  return `<?xml version="1.0"?>\n<${prefix}gpx version="1.1" ${xmlns}="http://www.topografix.com/GPX/1/1">${times(some(4), () => point('wpt'))}${times(some(2), track)}${route()}</${prefix}gpx>`
}

describe('GPX documents say the same to a general XML library', () => {
  it('the demo', () => expectSame(demoGpx()))

  it('and 300 made up', () => {
    let read = 0
    for (let seed = 1; seed <= 300; seed++) {
      const text = madeUp(seed)
      // A track of a single point is no road, and is refused; see tests/unit/gpx.test.ts.
      if ((text.match(/trkpt lat/g) ?? []).length === 1) continue
      expectSame(text)
      read++
    }
    expect(read).toBeGreaterThan(250)
  })
})
