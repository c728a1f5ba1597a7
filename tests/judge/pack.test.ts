import { bestPacking } from '#core/pack'
import { expect, it } from 'vitest'
import { costOfPacking, everyPacking } from '../every-packing'
import { tinyPacking } from '../tiny-packings'
import { isFull, judged, tries } from './judged'

const said: string[] = []
const inWords = (share: number) => `${(100 * share).toFixed(2)} %`

it(
  'costs what it costs by the definition, and hardly more than the best of all packings',
  { timeout: 2_000_000 },
  () => {
    const bikes = tries(300)
    let [sum, worst, tried, best] = [0, 0, 0, 0]
    for (let seed = 1; seed <= bikes; seed++) {
      const problem = tinyPacking(seed, isFull ? 6 : 5, 3)
      const found = bestPacking(problem)
      expect(found.costH, `bike ${seed}`).toBeCloseTo(costOfPacking(problem, found.inPlaces) ?? NaN, 9)
      const every = everyPacking(problem)
      // Nothing that is found is better than the best of all.
      const rounding = 1e-9
      expect(found.costH, `bike ${seed}`).toBeGreaterThanOrEqual(every.costH - rounding)
      const gap = Math.max(0, (found.costH - every.costH) / every.costH)
      tried += every.tried
      sum += gap
      if (gap < 1e-6) best++
      worst = Math.max(worst, gap)
    }
    expect(worst).toBeLessThan(0.03)
    expect(sum / bikes).toBeLessThan(0.002)
    said.push(
      `Of ${bikes} random bikes with 6 pieces and 3 bags, all ${tried} packings tried, the one that is found is the best on ${best}, costs ${inWords(sum / bikes)} more than the best on average and ${inWords(worst)} at most.`,
    )
  },
)

it('hardly ever costs more in a larger bag', { timeout: 600_000 }, () => {
  const bikes = tries(300)
  let [worse, worst] = [0, 0]
  for (let seed = 1; seed <= bikes; seed++) {
    const problem = tinyPacking(seed, 12, 4)
    const before = bestPacking(problem)
    const larger = {
      ...problem,
      places: problem.places.map((place, c) =>
        c === seed % 4 ? { ...place, volumeMl: 1.5 * place.volumeMl, longestMm: place.longestMm + 60 } : place,
      ),
    }
    // Begun with what there was, never; found anew, hardly ever.
    expect(bestPacking(larger, before.inPlaces).costH, `bike ${seed}`).toBeLessThanOrEqual(before.costH + 1e-9)
    const more = (bestPacking(larger).costH - before.costH) / before.costH
    if (more > 1e-6) worse++
    worst = Math.max(worst, more)
  }
  expect(worse).toBeLessThanOrEqual(0.03 * bikes)
  said.push(
    `With one bag of ${bikes} bikes made larger, a packing found anew costs more on ${worse} of them, by ${inWords(worst)} at most; one begun with what there was never does.`,
  )
  judged('pack', said)
})
