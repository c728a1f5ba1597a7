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

const builder = new Builder({ ignoreAttributes: false, attributeNamePrefix: '@', format: true })

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
  return builder.build({
    '?xml': { '@version': '1.0', '@encoding': 'UTF-8' },
    gpx: {
      '@version': '1.1',
      '@creator': 'Rag Tin',
      '@xmlns': 'http://www.topografix.com/GPX/1/1',
      wpt: stops.map((stop) => {
        const { lat, lon } = positionAt(road.points, survey, stop.roadKm)
        return { '@lat': degrees(lat), '@lon': degrees(lon), name: stop.name, desc: stop.about, sym: stop.symbol }
      }),
      trk: {
        name: road.name,
        trkseg: {
          trkpt: road.points.map(([lat, lon, eleM], i) => ({
            '@lat': degrees(lat),
            '@lon': degrees(lon),
            ...(eleM === null ? {} : { ele: String(eleM) }),
            ...(timeAt ? { time: timeAt(numberAt(survey.km, i)) } : {}),
          })),
        },
      },
    },
  })
}
