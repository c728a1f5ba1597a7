import { Fault, cutTo } from '../validation'
import { parseGpxXml, type RawPoint } from './gpx-xml'
import { mostPoints, type RoadPoint } from './schema'

/** A named point of a GPX file that is not part of the line. */
export interface Waypoint {
  readonly name: string
  /** What the file says of it beyond its name: its symbol and its type. */
  readonly hint: string
  readonly lat: number
  readonly lon: number
}

/** One track segment or one route of a file. */
export interface GpxLine {
  readonly name: string
  readonly points: RoadPoint[]
}

export interface GpxRoad {
  readonly name: string
  /** Every line of the file that has points, in its order. */
  readonly lines: GpxLine[]
  /** The lines joined end to end. */
  readonly points: RoadPoint[]
  /** When the first point was recorded, in universal time ("2026-06-12T09:30:00Z"); null where the file has no times. */
  readonly recordedAt: string | null
  readonly waypoints: Waypoint[]
  /** Things worth knowing that do not stop the import, in sentences. */
  readonly warnings: string[]
}

/** The largest file read, in bytes. A month's track at one point a second stays below it. */
export const largestGpxBytes = 48 * 1024 * 1024

/**
 * Refuses a file that is too large to be read, before it is.
 *
 * @param bytes its size
 * @throws Fault saying how large it is and how to mend it
 */
export function refuseTooLarge(bytes: number): void {
  if (bytes <= largestGpxBytes) return
  const size = Math.round(bytes / 1024 / 1024)
  throw new Fault('the file', `${size} MB`, 'a GPX file of 48 MB at most; thin the track or cut it in two')
}

/**
 * Reads a GPX 1.1 (or 1.0) document: its tracks with all their segments joined
 * in order, or its routes where it has no track, and its waypoints.
 *
 * @throws Fault saying where in the file, what was found and how to mend it
 * Source: GPX 1.1 schema documentation (topografix), element names and units.
 */
export function readGpx(text: string): GpxRoad {
  refuseTooLarge(text.length)
  const gpx = parseGpxXml(text)
  const tracks = gpx.tracks.flatMap(({ name, pieces }, t) =>
    pieces.map((points, s) => ({ where: `track ${t + 1}, segment ${s + 1}`, name: short(name), points })),
  )
  const routes = gpx.routes.flatMap(({ name, pieces }, r) =>
    pieces.map((points) => ({ where: `route ${r + 1}`, name: short(name), points })),
  )
  const usesTracks = tracks.some((line) => line.points.length > 0)
  const lines = usesTracks ? tracks : routes
  const total = lines.reduce((sum, line) => sum + line.points.length, 0)
  if (total < 2) {
    const found = total === 0 ? 'no track or route point' : 'a single point'
    throw new Fault('the GPX file', found, 'a track or route of at least two points')
  }
  if (total > mostPoints) {
    throw new Fault('the GPX file', `${total} points`, `${mostPoints} at most; thin the track or cut it in two`)
  }
  const read = lines
    .filter((line) => line.points.length > 0)
    .map((line) => ({
      name: line.name ? `${line.name} (${line.where})` : line.where,
      points: line.points.map((point, i) => readPoint(point, () => `${line.where}, point ${i + 1}`)),
    }))
  const points = read.flatMap((line) => line.points)
  const waypoints = gpx.waypoints.map((point, i) => {
    const [lat, lon] = readPoint(point, () => `waypoint ${i + 1}`)
    const hint = [...new Set([point.symbol, point.type])].filter((said) => said !== '').join(', ')
    return { name: short(point.name) || `Waypoint ${i + 1}`, hint: short(hint), lat, lon }
  })
  const name = short((usesTracks ? gpx.tracks : gpx.routes)[0]?.name || gpx.name)
  const recordedAt = timeOf(lines.find((line) => line.points.length > 0)?.points[0]?.time)
  const warnings = warningsFor(points, usesTracks ? routes.length : 0)
  return { name, lines: read, points, recordedAt, waypoints, warnings }
}

/**
 * Some of a file's lines in place of all of them.
 *
 * @param picked numbers of lines, in the order in which they are ridden
 */
export function withLines(gpx: GpxRoad, picked: readonly number[]): GpxRoad {
  return { ...gpx, points: picked.flatMap((line) => gpx.lines[line]?.points ?? []) }
}

const short = (name: string) => cutTo(name, 200)

/** A time that exists; a broken one is as good as none, as nothing depends on it. */
function timeOf(text: string | undefined): string | null {
  const at = text ? Date.parse(text) : NaN
  return Number.isNaN(at) ? null : new Date(at).toISOString().replace(/\.\d+Z$/, 'Z')
}

/** @param where says which point it is; asked for only when there is something to say, for points are many */
function readPoint({ lat, lon, ele }: RawPoint, where: () => string): RoadPoint {
  return [readNumber(lat, where, 'latitude', 90), readNumber(lon, where, 'longitude', 180), readElevation(ele, where)]
}

function readNumber(text: string | undefined, where: () => string, what: string, limit: number): number {
  const value = text === undefined || text.trim() === '' ? NaN : Number(text)
  if (!Number.isFinite(value) || Math.abs(value) > limit) {
    throw new Fault(
      where(),
      `${what} ${text === undefined ? 'missing' : `“${text.slice(0, 40)}”`}`,
      `a number from −${limit} to ${limit}`,
    )
  }
  return value
}

function readElevation(text: string, where: () => string): number | null {
  if (text === '') return null
  const value = Number(text)
  if (!Number.isFinite(value) || value < -500 || value > 9000) {
    throw new Fault(where(), `elevation “${text.slice(0, 40)}”`, 'metres from −500 to 9000, or no <ele> at all')
  }
  return value
}

function warningsFor(points: readonly RoadPoint[], unusedRoutes: number): string[] {
  const missing = points.filter((point) => point[2] === null).length
  const warnings: string[] = []
  if (missing === points.length) {
    warnings.push('The file has no elevation, so climbs are unknown and walking is worked out on the level.')
  } else if (missing > 0) {
    warnings.push(`${missing} of ${points.length} points have no elevation; it was filled in from their neighbours.`)
  }
  if (unusedRoutes > 0) warnings.push(`The file has tracks and routes; the tracks were used.`)
  return warnings
}
