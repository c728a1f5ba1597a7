import { catalogue } from '#catalogue'
import { indexLedger } from '#core/ledger'
import { surveyRoad } from '#core/road'
import { bestKit, usualGramsPerHour } from '#core/search'
import { ledgerOfTrip } from '#core/trip-ledger'
import { nth } from '#core/validation'
import { expect, it } from 'vitest'
import { commonPractice, type PackedKit } from '../roads/common-practice'
import { tripOn, type RoadSketch } from '../roads/road'
import { judged } from './judged'

/** So much of what riders would say of them holds by now, at least. */
const leastShare = 0.95

function packedFor(road: RoadSketch): PackedKit {
  const trip = tripOn(road)
  const { ledger } = ledgerOfTrip(trip, surveyRoad(trip.road.points), catalogue)
  const gramsPerHour = usualGramsPerHour(indexLedger(ledger))
  const { counts, massG, stranded } = bestKit(indexLedger({ ...ledger, gramsPerHour }))
  const counted = new Map(ledger.items.map(({ id }, i) => [id, nth(counts, i)]))
  return { count: (id) => counted.get(id) ?? 0, massG, stranded }
}

it('kits for roads of a kind are packed as riders pack them', () => {
  const said = commonPractice.flatMap(({ name, road, holds }) => {
    const kit = packedFor(road)
    const lacking = Object.entries(holds).flatMap(([what, isTrue]) => (isTrue(kit) ? [] : [what]))
    const stranded = `stranded ${(100 * kit.stranded).toFixed(1)} %`
    return {
      lacking: lacking.length,
      all: Object.keys(holds).length,
      line: `${name}: ${kit.massG} g, ${stranded}; ${lacking.length === 0 ? 'all as expected' : `not as expected: ${lacking.join(', ')}`}.`,
    }
  })
  judged(
    'roads',
    said.map(({ line }) => line),
  )
  const all = said.reduce((sum, each) => sum + each.all, 0)
  const lacking = said.reduce((sum, each) => sum + each.lacking, 0)
  expect((all - lacking) / all).toBeGreaterThanOrEqual(leastShare)
})
