import { defined, Fault } from '../validation'
import { SaxesParser, type SaxesTagPlain } from 'saxes'

/** A point as it is written in a file, nothing of it read yet. */
export interface RawPoint {
  readonly lat: string | undefined
  readonly lon: string | undefined
  ele: string
  time: string
  name: string
  /** How it is drawn, and what kind of place it is. */
  symbol: string
  type: string
}

/** A track or a route: its name and its pieces, of which a route has one. */
export interface RawLine {
  name: string
  readonly pieces: RawPoint[][]
}

/** What of a GPX document matters here, in the order of the document. */
export interface RawGpx {
  /** The name the metadata give. */
  name: string
  readonly tracks: RawLine[]
  readonly routes: RawLine[]
  readonly waypoints: RawPoint[]
}

/** A place in the document where something of interest stands. */
interface Place {
  readonly opened?: (tag: SaxesTagPlain) => void
  readonly closed?: (content: string) => void
  readonly inside?: ReadonlyMap<string, Place>
}

const within = (places: Readonly<Record<string, Place>>): ReadonlyMap<string, Place> => new Map(Object.entries(places))

/**
 * Takes a GPX document apart as it is read, without building a tree of it.
 *
 * @throws Fault with line and column where it is not XML, or saying that it is not GPX
 * Source: GPX 1.1 schema documentation (topografix), element names.
 */
export function parseGpxXml(text: string): RawGpx {
  const gpx: RawGpx = { name: '', tracks: [], routes: [], waypoints: [] }
  const root = within({ gpx: { inside: placesOf(gpx) } })
  /** The places one is in; nothing of interest where undefined. */
  const way: (Place | undefined)[] = []
  let content = ''

  const parser = new SaxesParser()
  parser.on('error', ({ message }) => {
    // A name with an entity of another language of marks in it is no reason to refuse a road; it stays as written.
    if (message.endsWith('undefined entity.')) return
    const why = message.replace(/^\d+:\d+: /, '').replace(/\.$/, '')
    throw new Fault(`line ${parser.line}, column ${parser.column}`, `not XML: ${why}`, 'a GPX file; export it anew')
  })
  parser.on('doctype', () => {
    throw new Fault('the file', 'a DOCTYPE declaration', 'plain GPX, which has none; export the track anew')
  })
  parser.on('opentag', (tag) => {
    const local = tag.name.slice(tag.name.indexOf(':') + 1)
    if (way.length === 0 && local !== 'gpx')
      throw new Fault('the outermost element', `<${tag.name}>`, '<gpx>; save or convert the route as GPX 1.1')
    const place = (way.length === 0 ? root : way.at(-1)?.inside)?.get(local)
    way.push(place)
    content = ''
    place?.opened?.(tag)
  })
  parser.on('text', (part) => (content += part))
  parser.on('cdata', (part) => (content += part))
  parser.on('closetag', () => way.pop()?.closed?.(content.trim()))
  parser.write(text).close()
  return gpx
}

/** What is done with each element that counts. */
function placesOf(gpx: RawGpx): ReadonlyMap<string, Place> {
  let point: RawPoint
  const placeOfPoint = (list: () => RawPoint[]): Place => ({
    opened({ attributes: { lat, lon } }) {
      point = { lat, lon, ele: '', time: '', name: '', symbol: '', type: '' }
      list().push(point)
    },
    inside: within({
      ele: { closed: (content) => (point.ele = content) },
      time: { closed: (content) => (point.time = content) },
      name: { closed: (content) => (point.name = content) },
      sym: { closed: (content) => (point.symbol = content) },
      type: { closed: (content) => (point.type = content) },
    }),
  })
  const lastPiece = (lines: readonly RawLine[]) => () => defined(defined(lines.at(-1)).pieces.at(-1))
  return within({
    metadata: { inside: within({ name: { closed: (content) => (gpx.name = content) } }) },
    trk: {
      opened: () => gpx.tracks.push({ name: '', pieces: [] }),
      inside: within({
        name: { closed: (content) => (defined(gpx.tracks.at(-1)).name = content) },
        trkseg: {
          opened: () => defined(gpx.tracks.at(-1)).pieces.push([]),
          inside: within({ trkpt: placeOfPoint(lastPiece(gpx.tracks)) }),
        },
      }),
    },
    rte: {
      opened: () => gpx.routes.push({ name: '', pieces: [[]] }),
      inside: within({
        name: { closed: (content) => (defined(gpx.routes.at(-1)).name = content) },
        rtept: placeOfPoint(lastPiece(gpx.routes)),
      }),
    },
    wpt: placeOfPoint(() => gpx.waypoints),
  })
}
