import { nth } from '#core/validation'
import { classesOf, Landscape, availabilitiesOf, roadView } from '#core/availability'
import { OpeningCache } from '#core/ride'
import { readGpx, surveyRoad, writeGpx, type RoadPoint } from '#core/road'
import { stopSchema } from '#core/supply'
import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { SaxesParser } from 'saxes'
import { longRoad } from './long-road'
import { medianMs, ms, say } from './measure'

/** What reading and measuring roads costs, and how it grows. */
export async function benchRoads(): Promise<void> {
  const longLine = longRoad(100_000)
  const longGpx = writeGpx({ name: 'long', points: longLine, stretches: [] }, surveyRoad(longLine), [])
  const parseMs = await medianMs(() => void new SaxesParser().write(longGpx).close(), 4000)
  const roadMs = await medianMs(() => void surveyRoad(readGpx(longGpx).points), 4000)
  say('GPX of 100 000 points: read, measured, smoothed', ms(roadMs), '')
  say('GPX of 100 000 points: over the XML parser alone', `${(roadMs / parseMs).toFixed(2)} ×`, '≤ 3 ×')

  /** A road of so many points, a point each 20 m, with hills. */
  const roadOf = (count: number): RoadPoint[] =>
    Array.from({ length: count }, (_, i) => [
      40 + 20 * Math.sin(i / 200_000),
      -30 + i * 2e-4,
      500 + 300 * Math.sin(i / 3000) + 8 * Math.sin(i / 7),
    ])
  const tenThousand = roadOf(10_000)
  const survey = surveyRoad(tenThousand)
  const shops = Array.from({ length: 60 }, (_, i) =>
    stopSchema.parse({
      id: `stop-${i}`,
      name: `Stop ${i}`,
      roadKm: ((i + 0.5) / 60) * survey.lengthKm,
      offRoadM: (i % 5) * 300,
      exit: i % 7 === 0 ? 'bus' : null,
      services: [{ kind: nth(['bike-shop', 'supermarket', 'post', 'workshop'], i % 4), hours: 'Mo-Sa 08:00-18:00' }],
    }),
  )
  const demo = demoTrip()
  const lined = { ...demo, road: { ...demo.road, points: tenThousand, stretches: [] }, stops: shops }
  const book = new OpeningCache()
  const classes = classesOf(lined, catalogue)
  const lanesMs = await medianMs(() => {
    const landscape = new Landscape(lined, survey, catalogue, book)
    roadView(landscape, lined, catalogue)
    availabilitiesOf(landscape, lined, classes)
  }, 3000)
  say(`10 000 points, 60 stops, ${classes.length} classes: gaps and push-out anew`, ms(lanesMs), '≤ 30 ms')

  const growing: [points: number, took: number][] = []
  for (const count of [1000, 10_000, 100_000, 1_000_000]) {
    const line = roadOf(count)
    const took = await medianMs(() => void surveyRoad(line), 2500)
    growing.push([count, took])
    say(
      `${count.toLocaleString('en')} points measured and smoothed, each`,
      `${((1e6 * took) / count).toFixed(0)} ns`,
      '',
    )
  }
  const perPoint = growing.map(([count, took]) => took / count)
  say(
    'a point of a million over a point of ten thousand',
    `${(nth(perPoint, 3) / nth(perPoint, 1)).toFixed(2)} ×`,
    'about 1 ×',
  )
}
