import { usualPacking } from '#core/bench'
import { storageSchema } from '#core/bike'
import { bestPacking, type PackPiece, type PackProblem } from '#core/pack'
import { describe, expect, it } from 'vitest'
import { seeded } from '../seeded'

/** Pieces that only have a volume, and bags that are all alike. */
const bins = (volumes: readonly number[], capacity: number, count: number): PackProblem => ({
  pieces: volumes.map((volumeMl, thing): PackPiece => ({
    thing,
    massG: 1,
    volumeMl,
    longestMm: 10,
    boreMm: null,
    handling: [],
    takes: null,
    stays: null,
  })),
  places: Array.from({ length: count }, (_, c) =>
    storageSchema.parse({ id: `bin-${c}`, name: 'bin', volumeMl: capacity, fill: 1, longestMm: 100 }),
  ),
  works: [],
  hoursPerGram: 1 / 1000,
  packing: usualPacking,
})
const times = (count: number, volume: number) => Array.from({ length: count }, () => volume)

describe('packing by volume alone is bin packing', () => {
  it('packs what first fit decreasing cannot', () => {
    // D. S. Johnson, Near-optimal bin packing algorithms (thesis, 1973): 9 bins are enough, first fit decreasing opens 11.
    const johnson = [...times(6, 510), ...times(6, 270), ...times(6, 260), ...times(12, 230)]
    expect(firstFitDecreasing(johnson, 1000)).toBe(11)
    expect(bestPacking(bins(johnson, 1000, 9)).outCount).toBe(0)
  })
  it('needs as many bins as the worked example of a bound', () => {
    // S. Martello and P. Toth, Knapsack Problems (1990), chapter 8, weights as remembered: 597 in bins of 100, of which 7 are needed.
    const weights = [99, 94, 79, 64, 50, 46, 43, 37, 32, 19, 18, 7, 6, 3]
    expect(bestPacking(bins(weights, 100, 7)).outCount).toBe(0)
    expect(bestPacking(bins(weights, 100, 6)).outCount).toBe(1)
  })
  it('leaves at most two of sixty out where not a millilitre is to spare', () => {
    // E. Falkenauer, Journal of Heuristics 2 (1996), p. 5: triplets, each three of which fill a bin of 1000 to the brim.
    for (let seed = 1; seed <= 3; seed++) {
      const next = seeded(seed)
      const volumes = Array.from({ length: 20 }, () => {
        const first = 380 + Math.floor(111 * next())
        const second = 250 + Math.floor(((1000 - first) / 2 - 250) * next())
        return [first, second, 1000 - first - second]
      }).flat()
      const state = bestPacking(bins(volumes, 1000, 20))
      expect(state.outCount, `seed ${seed}`).toBeLessThanOrEqual(2)
      state.inPlaces.forEach((_, place) => expect(state.usedMl(place)).toBeLessThanOrEqual(1000))
    }
  })
})

/** How many bins first fit decreasing opens. */
function firstFitDecreasing(volumes: readonly number[], capacity: number): number {
  const left: number[] = []
  for (const volume of [...volumes].sort((a, b) => b - a)) {
    const at = left.findIndex((room) => room >= volume)
    if (at < 0) left.push(capacity - volume)
    else left[at] = (left[at] ?? 0) - volume
  }
  return left.length
}
