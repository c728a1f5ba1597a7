import { numberAt } from '../validation'
import type { Road } from './schema'
import { positionAt, type Survey } from './survey'
import Builder from 'fast-xml-builder'

interface NamedPlace {
  readonly name: string
  readonly roadKm: number
  readonly about: string
  /** What the place is, in plain words: "bike shop, food". */
  readonly symbol: string
}

const options = { ignoreAttributes: false, attributeNamePrefix: '@', format: true } as const
const builder = new Builder(options)
/** Points are numbers and times, in which there is nothing to be written as an entity: not looking for any saves a third. */
const pointBuilder = new Builder({ ...options, processEntities: false })
/** So many points are written at a time. */
const pointsAtOnce = 5000
/** Stands for the points until they are written; in a name it would be written with entities. */
const noPoints = '<trkseg></trkseg>'

/** Nine decimals of a degree are a tenth of a millimetre: enough to read the same road back. */
const degrees = (value: number) => String(Number(value.toFixed(9)))

/**
 * Writes a road as GPX 1.1 with one track, its stops as waypoints.
 *
 * @param timeAt when a place of the road is passed, as ISO 8601 in universal time; left out, the track has no times
 * Source: GPX 1.1 schema documentation (topografix).
 */
export function writeGpx(
  road: Road,
  survey: Survey,
  stops: readonly NamedPlace[],
  timeAt?: (roadKm: number) => string,
): string {
  const document = builder.build({
    '?xml': { '@version': '1.0', '@encoding': 'UTF-8' },
    gpx: {
      '@version': '1.1',
      '@creator': 'Rag Tin',
      '@xmlns': 'http://www.topografix.com/GPX/1/1',
      wpt: stops.map((stop) => {
        const { lat, lon } = positionAt(road.points, survey, stop.roadKm)
        return { '@lat': degrees(lat), '@lon': degrees(lon), name: stop.name, desc: stop.about, sym: stop.symbol }
      }),
      trk: { name: road.name, trkseg: '' },
    },
  })
  const [head, tail] = document.split(noPoints)
  return [head, '<trkseg>\n', ...pointsOf(road, survey, timeAt), '</trkseg>', tail].join('')
}

function* pointsOf({ points }: Road, { km }: Survey, timeAt?: (roadKm: number) => string): Generator<string> {
  for (let from = 0; from < points.length; from += pointsAtOnce) {
    yield pointBuilder.build({
      trkpt: points.slice(from, from + pointsAtOnce).map(([lat, lon, eleM], i) => ({
        '@lat': degrees(lat),
        '@lon': degrees(lon),
        ...(eleM === null ? {} : { ele: String(eleM) }),
        ...(timeAt ? { time: timeAt(numberAt(km, from + i)) } : {}),
      })),
    })
  }
}
