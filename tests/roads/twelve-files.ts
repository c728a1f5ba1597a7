import { seeded } from '../seeded'
import { namedPlaces, type NamedPlace } from './waypoint-names'

/** A GPX file as riders have them, made from a seed, and how long its road is. */
export interface RidersFile {
  readonly what: string
  readonly gpx: string
  readonly km: number
  readonly places: readonly NamedPlace[]
}

interface Point {
  readonly lat: number
  readonly lon: number
  readonly ele?: number
  readonly time?: string
}

const kmOfDegree = 111.2

/** A line that winds about: so many points, each some km from the one before, beginning in some direction. */
function winding(
  random: () => number,
  lat: number,
  lon: number,
  points: number,
  stepKm: number,
  bearing = 0.7,
): Point[] {
  const line: Point[] = [{ lat, lon, ele: 200 }]
  let heading = bearing
  let ele = 200
  for (let i = 1; i < points; i++) {
    const before = line[i - 1] ?? { lat, lon }
    heading += (random() - 0.5) * 0.35 - (heading - bearing) * 0.05
    ele = Math.max(0, ele + (random() - 0.5) * 60 * Math.sqrt(stepKm))
    line.push({
      lat: before.lat + (stepKm / kmOfDegree) * Math.cos(heading),
      lon: before.lon + ((stepKm / kmOfDegree) * Math.sin(heading)) / Math.cos((before.lat * Math.PI) / 180),
      ele: Math.round(ele),
    })
  }
  return line
}

/** The times of a recorder: a second for some metres, with a stop of an hour here and there. */
function recorded(line: readonly Point[], stepS: number): Point[] {
  let at = Date.UTC(2026, 4, 3, 6, 12)
  return line.map((point, i) => {
    at += stepS * 1000 + (i % 400 === 399 ? 3_600_000 : 0)
    return { ...point, time: new Date(at).toISOString() }
  })
}

const escaped = (text: string) => text.replace(/&/g, '&amp;').replace(/</g, '&lt;')
const tag = (name: string, value: string | number | undefined) =>
  value === undefined ? '' : `<${name}>${escaped(String(value))}</${name}>`
const written = (kind: 'trkpt' | 'rtept') => (p: Point) =>
  `<${kind} lat="${p.lat.toFixed(6)}" lon="${p.lon.toFixed(6)}">${tag('ele', p.ele)}${tag('time', p.time)}</${kind}>`
const track = (name: string | undefined, ...segments: (readonly Point[])[]) =>
  `<trk>${tag('name', name)}${segments.map((points) => `<trkseg>${points.map(written('trkpt')).join('')}</trkseg>`).join('')}</trk>`

function file(lines: string, places: readonly NamedPlace[], along: readonly Point[]): string {
  const waypoints = places.map((place, i) => {
    const at = along[Math.floor(((i + 0.5) / places.length) * along.length)] ?? { lat: 0, lon: 0 }
    return `<wpt lat="${at.lat + 0.001}" lon="${at.lon}">${tag('name', place.name)}${tag('sym', place.symbol)}${tag('type', place.type)}</wpt>`
  })
  return `<?xml version="1.0"?><gpx version="1.1" creator="any" xmlns="http://www.topografix.com/GPX/1/1">${waypoints.join('')}${lines}</gpx>`
}

const lengthOf = (line: readonly Point[], stepKm: number) => (line.length - 1) * stepKm

/** Twelve of them. */
export function twelveFiles(seed: number): RidersFile[] {
  const random = seeded(seed)
  const some = (from: number, count: number) => namedPlaces.slice(from, from + count)
  const out = winding(random, 43, 77, 900, 0.2)
  const there = [...out, ...[...out].reverse().slice(1)]
  const day = winding(random, 62, 15, 700, 0.15)
  const evening = winding(random, day.at(-1)?.lat ?? 62, day.at(-1)?.lon ?? 15, 700, 0.15)
  const island = winding(random, 58.4, -6.2, 300, 0.3)
  const beyond = winding(random, (island.at(-1)?.lat ?? 58) + 0.25, island.at(-1)?.lon ?? -6, 300, 0.3)
  const around = Array.from({ length: 721 }, (_, i): Point => {
    const angle = (i / 720) * 2 * Math.PI
    return {
      lat: 46 + 0.4 * Math.sin(angle),
      lon: 8 + 0.55 * Math.cos(angle),
      ele: Math.round(900 + 500 * Math.sin(3 * angle)),
    }
  })
  const ridden = recorded(winding(random, 51, 3, 4000, 0.02), 4)
  const planned = winding(random, 50, 10, 14, 21)
  const many = winding(random, 47, 12, 1500, 0.2)
  const flat = winding(random, -32, 140, 800, 0.4).map(({ lat, lon }) => ({ lat, lon }))
  const desert = winding(random, 25, 20, 500, 0.6)
  // A recorder that lost the sky: points that jump aside, and twice the same.
  const jumping = winding(random, 40, -3, 1200, 0.1).flatMap((point, i) =>
    i % 97 === 50 ? [point, point, { ...point, lat: point.lat + 0.0004 }] : [point],
  )
  const long = winding(random, 55, 30, 60_000, 0.025)
  const dateLine = winding(random, -17, 179.2, 900, 0.2, 1.5).map((p) => ({
    ...p,
    lon: p.lon > 180 ? p.lon - 360 : p.lon,
  }))

  return [
    {
      what: 'a recorder’s, with times and stops',
      places: some(0, 6),
      gpx: file(track('Morning ride', ridden), some(0, 6), ridden),
      km: lengthOf(ridden, 0.02),
    },
    {
      what: 'a planner’s route of few points',
      places: some(6, 8),
      gpx: file(`<rte><name>Plan</name>${planned.map(written('rtept')).join('')}</rte>`, some(6, 8), planned),
      km: lengthOf(planned, 21),
    },
    {
      what: 'one with forty waypoints and odd symbols',
      places: some(14, 40),
      gpx: file(track('Traverse', many), some(14, 40), many),
      km: lengthOf(many, 0.2),
    },
    {
      what: 'one without elevation',
      places: some(54, 8),
      gpx: file(track('Flat', flat), some(54, 8), flat),
      km: lengthOf(flat, 0.4),
    },
    {
      what: 'there and back',
      places: some(62, 6),
      gpx: file(track('There and back', there), some(62, 6), out),
      km: 2 * lengthOf(out, 0.2),
    },
    { what: 'a loop', places: some(68, 6), gpx: file(track('Loop', around), some(68, 6), around), km: 275 },
    {
      what: 'one with a ferry',
      places: some(74, 6),
      gpx: file(track('Islands', island, beyond), some(74, 6), [...island, ...beyond]),
      km: lengthOf(island, 0.3) + lengthOf(beyond, 0.3) + 28,
    },
    {
      what: 'two days as two tracks',
      places: some(80, 6),
      gpx: file(track('Day 1', day) + track('Day 2', evening), some(80, 6), [...day, ...evening]),
      km: lengthOf(day, 0.15) + lengthOf(evening, 0.15),
    },
    {
      what: 'a desert without a name',
      places: [],
      gpx: file(track(undefined, desert), [], desert),
      km: lengthOf(desert, 0.6),
    },
    {
      what: 'a recorder that lost the sky',
      places: some(86, 8),
      gpx: file(track('Jumps', jumping), some(86, 8), jumping),
      km: 121,
    },
    {
      what: 'a month at full detail',
      places: some(94, 10),
      gpx: file(track('Long', long), some(94, 10), long),
      km: lengthOf(long, 0.025),
    },
    {
      what: 'over the 180° meridian',
      places: some(104, 10),
      gpx: file(track('Date line', dateLine), some(104, 10), dateLine),
      km: lengthOf(dateLine, 0.2),
    },
  ]
}
