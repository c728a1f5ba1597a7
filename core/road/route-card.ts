import { z } from 'zod'
import { Fault, nth, numberAt, text } from '../validation'
import { arrival, bearingOf, geodesicM } from './distance'
import { filledElevation } from './elevation'
import { latitude, longitude, type RoadPoint } from './schema'
import { positionAt, valueAt, type Survey } from './survey'

/** A height in metres that a leg goes up or down; null where nobody said. */
const heightM = z.number().min(0).max(20_000).nullable()

/** A leg of a route card: from the place before to one that has a name, or to a bend that has none. */
export const legSchema = z.object({
  name: text(120),
  km: z.number().gt(0).max(2000),
  /** Degrees from north by east. */
  bearing: z.number().min(0).lt(360),
  upM: heightM,
  /** Where nobody said, as much down as up. */
  downM: heightM,
})
export type Leg = z.infer<typeof legSchema>

/** More legs than this nobody writes down. */
export const mostLegs = 300

/** A road written down by hand, leg by leg, as walkers write one. */
export const routeCardSchema = z.object({
  begin: z.object({ name: text(120), lat: latitude, lon: longitude }),
  legs: z.array(legSchema).min(1).max(mostLegs),
})
export type RouteCard = z.infer<typeof routeCardSchema>

/** The farthest that a road goes up from its lowest place, which lies at the sea for all that is known. */
const mostM = 9000

/**
 * The line of a route card: legs are straight, and each goes up and then down, as steeply one way as the other. Heights are
 * above the lowest place; there are none where no leg says how far it climbs.
 *
 * @throws Fault when the legs add up to heights that no road has
 */
export function lineOfCard({ begin, legs }: RouteCard): RoadPoint[] {
  const hasHeights = legs.some(({ upM, downM }) => upM !== null || downM !== null)
  const points: [lat: number, lon: number, eleM: number][] = [[begin.lat, begin.lon, 0]]
  for (const leg of legs) {
    const [lat, lon, eleM] = nth(points, points.length - 1)
    const upM = leg.upM ?? 0
    const downM = leg.downM ?? upM
    const to = (part: number, height: number) => {
      const there = arrival(lat, lon, leg.bearing, leg.km * 1000 * part)
      points.push([there.lat, there.lon, height])
    }
    if (upM > 0 && downM > 0) to(upM / (upM + downM), eleM + upM)
    to(1, eleM + upM - downM)
  }
  if (!hasHeights) return points.map(([lat, lon]) => [lat, lon, null])
  const heights = points.map(([, , eleM]) => eleM)
  const [low, high] = [Math.min(...heights), Math.max(...heights)]
  if (high - low > mostM)
    throw new Fault(
      'the climbs',
      `${Math.round(high - low)} m from the lowest place to the highest`,
      `${mostM} m at most; say how far the legs go down`,
    )
  return points.map(([lat, lon, eleM]) => [lat, lon, eleM - low])
}

/** A line of more points was not laid by a card: each of its legs makes two. */
export const mostOfACard = 2 * mostLegs + 1
/** A smaller change of direction is no bend, in degrees. */
const leastBend = 0.2
/** Whether two places, so many km along, are one: to a few metres. */
export const isSamePlace = (aKm: number, bKm: number) => Math.abs(aKm - bKm) <= 0.005

/**
 * The route card of a line: a leg to each named place and to each bend.
 *
 * @param places by how far along they lie, sorted
 * @returns nothing of a line that nobody would write down: of too many points, or of too many places and bends
 */
export function cardOfLine(
  points: readonly RoadPoint[],
  survey: Survey,
  places: readonly { readonly name: string; readonly roadKm: number }[],
): RouteCard | undefined {
  if (points.length < 2 || points.length > mostOfACard) return undefined
  const heights = filledElevation(points, survey.km)
  const isNamed = (km: number) => places.some(({ roadKm }) => isSamePlace(roadKm, km))
  const bends = points.flatMap((_, i) => (isBend(points, i) ? [numberAt(survey.km, i)] : []))
  const nameless = [...bends, survey.lengthKm].filter((km) => !isNamed(km)).map((roadKm) => ({ name: '', roadKm }))
  const ends = [...places, ...nameless]
    .filter(({ roadKm }) => !isSamePlace(roadKm, 0))
    .sort((a, b) => a.roadKm - b.roadKm)
    .filter(({ roadKm }, i, all) => i === 0 || !isSamePlace(nth(all, i - 1).roadKm, roadKm))
  let fromKm = 0
  const legs = ends.map(({ name, roadKm }): Leg => {
    const [from, to] = [positionAt(points, survey, fromKm), positionAt(points, survey, roadKm)]
    const leg = {
      name,
      km: roadKm - fromKm,
      bearing: asWritten(bearingOf(from.lat, from.lon, to.lat, to.lon)),
      ...risesBetween(survey.km, heights, fromKm, roadKm),
    }
    fromKm = roadKm
    return leg
  })
  if (legs.length > mostLegs) return undefined
  const [[lat, lon]] = points as [RoadPoint]
  const begin = places.find(({ roadKm }) => isSamePlace(roadKm, 0))?.name ?? ''
  return { begin: { name: begin, lat, lon }, legs }
}

/** Without what reckoning adds: to a thousandth of a second. */
const asWritten = (bearing: number) => (Math.round(bearing * 3_600_000) / 3_600_000) % 360

function isBend(points: readonly RoadPoint[], i: number): boolean {
  if (i === 0 || i === points.length - 1) return false
  const [before, here, after] = [nth(points, i - 1), nth(points, i), nth(points, i + 1)]
  if (geodesicM(before[0], before[1], here[0], here[1]) === 0) return false
  // Where one looks back to must lie straight behind.
  const back = bearingOf(here[0], here[1], before[0], before[1])
  const ahead = bearingOf(here[0], here[1], after[0], after[1])
  return Math.abs(Math.abs(ahead - back) - 180) > leastBend
}

/** Metres up and down between two places of a line. */
function risesBetween(km: Float64Array, heights: Float64Array | null, fromKm: number, toKm: number) {
  if (!heights) return { upM: null, downM: null }
  const inside = Array.from(km.keys()).filter((i) => numberAt(km, i) > fromKm && numberAt(km, i) < toKm)
  const profile = [valueAt(km, heights, fromKm), ...inside.map((i) => numberAt(heights, i)), valueAt(km, heights, toKm)]
  const steps = profile.slice(1).map((height, i) => height - nth(profile, i))
  const sum = (values: number[]) => values.reduce((total, value) => total + value, 0)
  return { upM: sum(steps.filter((step) => step > 0)), downM: -sum(steps.filter((step) => step < 0)) }
}
