import { catalogue } from '#catalogue'
import { usualSharing } from '#core/crew'
import { indexLedger } from '#core/ledger'
import { surveyRoad } from '#core/road'
import { bestKit } from '#core/search'
import { bestSplit, improve, ownKits, splitOfTrip, splitProblem, SplitState, type SplitProblem } from '#core/split'
import { ledgerOfTrip } from '#core/trip-ledger'
import { nth } from '#core/validation'
import loadHighs from 'highs'
import { expect, it } from 'vitest'
import { crewOf } from '../crew-of'
import { everySplit } from '../every-split'
import { seeded } from '../seeded'
import { splitItems } from '../split-items'
import { splitProgram } from '../split-program'
import { tinyCrew } from '../tiny-crews'
import { tripSizeLedger } from '../trip-size-ledgers'
import { isFull, judged, tries } from './judged'

/** So long HiGHS may take for one crew; on a slow machine its bound is the lower for it. */
const seconds = isFull ? 60 : 10
const said: string[] = []
const inWords = (share: number) => `${(100 * share).toFixed(2)} %`

const bareCostH = (problem: SplitProblem) =>
  new SplitState(
    problem,
    problem.riders.map(() => problem.items.map(() => 0)),
  ).costs.costH

it('is as good as the best of all splits of small crews', { timeout: 2_000_000 }, () => {
  const crews = tries(100)
  let [sum, worst, tried] = [0, 0, 0]
  for (let seed = 1; seed <= crews; seed++) {
    const { problem } = tinyCrew(seed, isFull ? 8 : 6)
    const { carried } = bestSplit(problem)
    const found = new SplitState(problem, carried).costs.costH
    const every = everySplit(problem)
    const gap = (found - every.costH) / Math.max(1e-9, bareCostH(problem) - every.costH)
    tried += every.tried
    sum += gap
    worst = Math.max(worst, gap)
    expect(gap, `crew ${seed}`).toBeLessThan(0.03)
  }
  expect(sum / crews).toBeLessThan(0.01)
  said.push(
    `Of ${crews} random crews of two and three with up to 8 pieces, all ${tried} splits tried, the one that is found spares less than the best by ${inWords(sum / crews)} on average and ${inWords(worst)} at most.`,
  )
})

it(
  'is no worse than what searches from drawn places come to, for crews with a bench as long as a trip’s',
  { timeout: 2_000_000 },
  () => {
    const crews = tries(10)
    let [sum, worst] = [0, -Infinity]
    for (let seed = 1; seed <= crews; seed++) {
      const trip = crewOf(2 + (seed % 3), nth([0.1, 0.3, 0.7], seed % 3))
      const survey = surveyRoad(trip.road.points)
      const laid = ledgerOfTrip(trip, survey, catalogue)
      const problem = splitOfTrip(trip, survey, catalogue, laid, bestKit(indexLedger(laid.ledger)).counts)
      const found = bestSplit(problem).costs.costH
      const random = seeded(seed)
      const drawn = Array.from({ length: 3 }, () => {
        const carried = problem.riders.map(() => new Int32Array(problem.items.length))
        problem.items.forEach(({ there }, item) => {
          for (let piece = 0; piece < there; piece++) {
            const counts = carried[Math.floor(random() * (problem.riders.length + 1))]
            if (counts) counts[item] = nth(counts, item) + 1
          }
        })
        const state = new SplitState(problem, carried)
        improve(state)
        return state.costs.costH
      })
      const spared = bareCostH(problem) - Math.min(...drawn)
      const gap = (found - Math.min(...drawn)) / spared
      sum += gap
      worst = Math.max(worst, gap)
      expect(gap, `crew ${seed}`).toBeLessThan(0.02)
    }
    expect(sum / crews).toBeLessThan(0.005)
    said.push(
      `Of ${crews} crews of two to four with the demo’s bench, the split that is found spares less than the best of three searches from drawn places by ${inWords(sum / crews)} on average and ${inWords(worst)} at most.`,
    )
  },
)

it('always apart it is no worse than what riders would carry alone', { timeout: 900_000 }, () => {
  const crews = tries(100)
  let worst = 0
  for (let seed = 1; seed <= crews; seed++) {
    const { problem } = tinyCrew(seed, 7, 1, { fetch: 0, uneven: 0 })
    const own = ownKits(problem)
    // Where there is enough of everything for all of them at once.
    const plenty: SplitProblem = {
      ...problem,
      items: problem.items.map((item, i) => ({ ...item, there: own.reduce((all, counts) => all + nth(counts, i), 0) })),
    }
    const alone = new SplitState(plenty, own).costs.costH
    const split = new SplitState(plenty, bestSplit(plenty).carried).costs.costH
    worst = Math.max(worst, (split - alone) / Math.max(1e-9, bareCostH(plenty) - alone))
  }
  expect(worst).toBeLessThan(0.01)
  said.push(
    `Always apart, the splits of ${crews} crews cost more than the kits of riders alone by ${inWords(worst)} of what those spare at most.`,
  )
})

it('more time apart makes fewer doubles on few crews', { timeout: 900_000 }, () => {
  const crews = tries(100)
  let fewer = 0
  for (let seed = 1; seed <= crews; seed++) {
    const doubles = [0, 0.25, 0.5, 0.75].map((apart) => {
      const { problem } = tinyCrew(seed, 7, apart, { fetch: 0, uneven: 0 })
      const { carried } = bestSplit(problem)
      const carriers = (item: number) => carried.filter((counts) => nth(counts, item) > 0).length
      return problem.items.reduce((sum, _, item) => sum + Math.max(0, carriers(item) - 1), 0)
    })
    if (doubles.some((count, i) => i > 0 && count < nth(doubles, i - 1))) fewer++
  }
  // What pays for all together and for nobody alone goes as a crew parts, its double with it.
  expect(fewer).toBeLessThanOrEqual(0.03 * crews)
  said.push(
    `From never apart to three quarters of the time, ${fewer} of ${crews} crews came to fewer doubles at some step.`,
  )
})

it('is never better than the bound of HiGHS for larger crews, and near it', { timeout: 900_000 }, async () => {
  const highs = await loadHighs()
  const gaps: number[] = []
  for (let seed = 1; seed <= (isFull ? 12 : 1); seed++) {
    const problem = largeCrew(seed)
    const { fetchH, unevenH } = bestSplit(problem).costs
    const bound = highs.withModel({ format: 'lp', data: splitProgram(problem) }, (model) => {
      model.options.set({ output_flag: false, mip_rel_gap: 1e-3, time_limit: seconds })
      model.run()
      return Number(model.info.get('mip_dual_bound'))
    })
    expect(bound).toBeGreaterThan(0)
    expect(fetchH + unevenH).toBeGreaterThan(bound - 1e-6)
    gaps.push((fetchH + unevenH - bound) / bound)
  }
  const mean = gaps.reduce((sum, gap) => sum + gap, 0) / gaps.length
  expect(mean).toBeLessThan(isFull ? 0.1 : 0.25)
  said.push(
    `Of ${gaps.length} crews of three to five that are never apart, handing over and unevenness cost ${inWords(mean)} more than the bound of HiGHS on average, ${inWords(Math.max(...gaps))} at most.`,
  )
  judged('split', said)
})

/** A crew of three to five that stays together, with a kit as long as a trip's. */
function largeCrew(seed: number): SplitProblem {
  const random = seeded(seed)
  const ledger = { ...tripSizeLedger(seed), pins: {}, budgetG: null, budgetMoney: null }
  const bikes = ['a', 'b', 'c', 'd', 'e'].slice(0, 3 + (seed % 3))
  return splitProblem({
    riders: bikes.map((bikeId) => ({
      id: bikeId,
      name: bikeId,
      bikeId,
      share: 0.5 + random(),
      mostG: Infinity,
      mostMl: Infinity,
    })),
    items: splitItems(ledger.items, bikes.length),
    together: {
      ledger,
      bikes: ledger.events.map(() => nth(bikes, Math.floor(random() * bikes.length))),
      apart: ledger.events.map(() => Array.from({ length: ledger.legs }, () => 0)),
    },
    alone: new Map(),
    kit: bestKit(indexLedger(ledger)).counts,
    sharing: usualSharing,
  })
}
