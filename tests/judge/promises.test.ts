import { expect, it } from 'vitest'
import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { prove } from '#core/bound'
import { bestExactKit, ExactEvaluator } from '#core/exact'
import { indexLedger, isWithin, loadOf, type IndexedLedger } from '#core/ledger'
import { PromiseEvaluator } from '#core/promise'
import { surveyRoad } from '#core/road'
import { bestKit } from '#core/search'
import { Simulation } from '#core/simulate'
import { ledgerOfTrip } from '#core/trip-ledger'
import { nth } from '#core/validation'
import loadHighs from 'highs'
import { randomKit, tinyLedger } from '../tiny-ledgers'
import { tripSizeLedger } from '../trip-size-ledgers'
import { isFull, judged, seed, tries } from './judged'

const highs = await loadHighs()
const all = tries(300)
const kits = isFull ? 10 : 3
const said: string[] = []
/** The tiny ledgers, each with what knows every way a trip can go. */
const tiny = Array.from({ length: all }, (_, i) => {
  const document = tinyLedger(seed + i)
  const ledger = indexLedger(document)
  return { document, ledger, exact: new ExactEvaluator(ledger) }
})

interface Spread {
  readonly mean: number
  readonly nineInTen: number
  readonly worst: number
}
function spreadOf(offs: readonly number[]): Spread {
  const sorted = [...offs].sort((a, b) => a - b)
  return {
    mean: sorted.reduce((sum, off) => sum + off, 0) / sorted.length,
    nineInTen: nth(sorted, Math.floor(sorted.length * 0.9)),
    worst: nth(sorted, sorted.length - 1),
  }
}
const percent = (share: number) => `${(100 * share).toFixed(2)} %`
const inWords = ({ mean, nineInTen, worst }: Spread) =>
  `${percent(mean)} on average, nine in ten by ${percent(nineInTen)} at most, ${percent(worst)} at worst`

it('what follows from every way a trip can go agrees with drawn trips, on tiny ledgers', () => {
  const trips = 20_000
  let farthest = 0
  for (const [i, { document, ledger, exact: evaluator }] of tiny.entries()) {
    const counts = randomKit(document, seed + i)
    const exact = evaluator.evaluate(counts)
    const simulation = new Simulation(ledger, counts, seed + i)
    simulation.run(trips)
    const drawn = simulation.report()
    // A share no trip had has no error of its own: one trip more or less is its measure.
    const strandedSe = Math.max(drawn.strandedSe, 1 / trips)
    const off = [
      (drawn.meanH - exact.promiseH) / drawn.seH,
      (drawn.walkH - exact.walkH) / drawn.walkSeH,
      (drawn.stranded - exact.stranded) / strandedSe,
    ].map(Math.abs)
    for (const deviations of off) expect(deviations, `seed ${seed + i}`).toBeLessThan(4)
    farthest = Math.max(farthest, ...off)
  }
  said.push(
    `${all} random tiny ledgers, one random kit each: hours lost, hours on foot and the chance of being stranded, followed through every way a trip can go, lie within ${farthest.toFixed(1)} standard errors of ${trips} drawn trips.`,
  )
})

it('the promise is near what follows from every way a trip can go, on tiny ledgers', () => {
  const [hours, onFoot, stranded]: [number[], number[], number[]] = [[], [], []]
  for (const [i, { document, ledger, exact }] of tiny.entries()) {
    const promise = new PromiseEvaluator(ledger)
    const empty = exact.evaluate(new Int32Array(ledger.items.length)).promiseH
    for (let k = 0; k < kits; k++) {
      const counts = randomKit(document, 10 * (seed + i) + k)
      const [exactly, near] = [exact.evaluate(counts), promise.evaluate(counts)]
      const stakeH = Math.max(exactly.promiseH, 0.02 * empty)
      hours.push(Math.abs(near.promiseH - exactly.promiseH) / stakeH)
      onFoot.push(Math.abs(near.walkH - exactly.walkH) / stakeH)
      stranded.push(Math.abs(near.stranded - exactly.stranded))
    }
  }
  const [ofHours, ofFoot, ofStranded] = [hours, onFoot, stranded].map(spreadOf) as [Spread, Spread, Spread]
  expect(ofHours.mean).toBeLessThan(0.025)
  expect(ofHours.nineInTen).toBeLessThan(0.06)
  expect(ofFoot.mean).toBeLessThan(0.01)
  expect(ofFoot.nineInTen).toBeLessThan(0.02)
  expect(ofStranded.mean).toBeLessThan(0.01)
  expect(ofStranded.nineInTen).toBeLessThan(0.02)
  said.push(
    `${kits} random kits of each: the promise is off by ${inWords(ofHours)}; hours on foot, of the hours lost, by ${inWords(ofFoot)}; the chance of being stranded by ${inWords(ofStranded)}, of all trips.`,
  )
})

it('the kit found by the promise is near the best of all, on tiny ledgers, with budgets or without', () => {
  const short: number[] = []
  // Every kit of each is followed exactly, which takes long.
  for (const [i, { ledger: whole }] of (isFull ? tiny : tiny.slice(0, 12)).entries()) {
    // What is lightest is dearest, and some pieces are there.
    const items = whole.items.map((item, n) => ({ ...item, price: Math.round(1e5 / (item.massG + 20)), owned: n % 2 }))
    const all = loadOf(
      { items },
      items.map(({ max }) => max),
    )
    const ledger = {
      ...whole,
      items,
      budgetG: i % 3 === 0 ? 0.4 * all.massG : Infinity,
      budgetMoney: i % 4 === 1 ? Math.round(0.4 * all.money) : Infinity,
    }
    const [best, found] = [bestExactKit(ledger), bestKit(ledger)]
    expect(isWithin(found, ledger)).toBe(true)
    const { promiseH } = new ExactEvaluator(ledger).evaluate(found.counts)
    const netH = best.emptyH - promiseH - found.massG * ledger.hoursPerGram
    expect(netH, `seed ${seed + i}`).toBeLessThan(best.netH + 1e-9)
    short.push((best.netH - netH) / best.emptyH)
    const { boundNetH } = prove(ledger, found, highs, { seconds: 10 })
    expect(boundNetH, `seed ${seed + i}`).toBeGreaterThan(best.netH - 1e-5)
  }
  const mean = short.reduce((sum, each) => sum + each, 0) / short.length
  const worst = Math.max(...short)
  said.push(
    `Their kits as the search finds them, one of three within a budget of four tenths of all there is: followed exactly, they fall short of the best of all by ${(100 * mean).toFixed(3)} % of bare-handed hours on average, ${(100 * worst).toFixed(2)} % at worst, ${short.filter((each) => each > 0.025).length} by more than 2.5 %. The bound of HiGHS is never below the best.`,
  )
  expect(mean).toBeLessThan(0.0025)
  expect(worst).toBeLessThan(0.025)
})

it('the promise is near drawn trips, on ledgers as long as those of trips', () => {
  const trips = isFull ? 100_000 : 20_000
  /** How far the promise lies from drawn trips: below nothing where it is too hopeful. */
  const offOf = (ledger: IndexedLedger, counts: ArrayLike<number>, seedOfTrips: number, name: string) => {
    const simulation = new Simulation(ledger, counts, seedOfTrips)
    simulation.run(trips)
    const { meanH, seH, stranded, strandedSe } = simulation.report()
    const near = new PromiseEvaluator(ledger).evaluate(counts)
    const off = near.promiseH / meanH - 1
    expect(Math.abs(near.stranded / stranded - 1), name).toBeLessThan(0.05 + (3 * strandedSe) / stranded)
    // What so many trips cannot tell is no error of the promise.
    expect(Math.abs(off), name).toBeLessThan(0.05 + (3 * seH) / meanH)
    expect(off, name).toBeGreaterThan(-0.03 - (3 * seH) / meanH)
    return off
  }
  const demo = demoTrip()
  const ofDemo = indexLedger(ledgerOfTrip(demo, surveyRoad(demo.road.points), catalogue).ledger)
  const demoOff = offOf(ofDemo, bestKit(ofDemo).counts, seed, 'demo')
  const offs = Array.from({ length: tries(50) }, (_, i) => {
    const document = tripSizeLedger(seed + i)
    return offOf(indexLedger(document), randomKit(document, seed + i), seed + i, `seed ${seed + i}`)
  })
  const { mean, worst } = spreadOf(offs.map(Math.abs))
  expect(mean).toBeLessThan(0.02)
  said.push(
    `The demo with its chosen kit: the promise lies ${percent(Math.abs(demoOff))} ${demoOff < 0 ? 'below' : 'above'} ${trips} drawn trips.`,
    `${offs.length} random ledgers of 6 to 18 legs, 55 items and 60 kinds of failure, a random kit each: the promise lies ${percent(mean)} off ${trips} drawn trips on average, ${percent(worst)} at worst; ${percent(Math.max(0, ...offs.map((off) => -off)))} too hopeful at worst.`,
  )
  judged('promises', said)
})
