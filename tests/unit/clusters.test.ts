import { indexLedger, ledgerFormat, readLedger } from '#core/ledger'
import { demandOf, PromiseEvaluator } from '#core/promise'
import { ExactEvaluator } from '#core/exact'
import { describe, expect, it } from 'vitest'
import { clustersOf } from '../../core/promise/clusters'
import { tripSizeLedger } from '../trip-size-ledgers'

/** Failures that draw on some stocks each, with the hours that are at stake on each. */
const ledgerOf = (events: readonly { uses: Record<string, number>; lossH: number }[], max = 3) =>
  indexLedger(
    readLedger({
      format: ledgerFormat,
      legs: 1,
      items: ['a', 'b', 'c'].map((id) => ({ id, massG: 10, max, units: { [id]: 1 } })),
      stocks: ['a', 'b', 'c'].map((id) => ({ id })),
      events: events.map(({ uses, lossH }, e) => ({
        id: `e${e}`,
        perLeg: [1.5],
        lossH,
        fixes: [{ id: 'fit', uses, hands: 1 }],
      })),
      gramsPerHour: 1000,
    }),
  )

describe('stocks that are followed together', () => {
  const ledger = ledgerOf([
    { uses: { a: 1, b: 1 }, lossH: 1 },
    { uses: { b: 1, c: 1 }, lossH: 5 },
  ])
  const { streams } = demandOf(ledger)
  const together = (mostStates: number) =>
    clustersOf(streams, [4, 4, 4], mostStates).map((stocks) => [...stocks].sort())
  it('are those on which most is at stake at once, up to so many states', () => {
    expect(together(1)).toEqual([[0], [1], [2]])
    expect(together(16)).toEqual([[0], [1, 2]])
    expect(together(63)).toEqual([[0], [1, 2]])
    expect(together(64)).toEqual([[0, 1, 2]])
  })
  it('count what is at stake on two of them in all failures, in whichever order these name them', () => {
    const drawings = [
      { stocks: [2, 1], hoursAtStake: 3 },
      { stocks: [1, 2], hoursAtStake: 3 },
      { stocks: [1, 0], hoursAtStake: 5 },
    ]
    // Six hours on the last two, five on the first two; there is room for one pair.
    expect(clustersOf(drawings, [4, 4, 4], 16).map((stocks) => [...stocks].sort())).toEqual([[0], [1, 2]])
  })
  it('have the streams that draw on any of them, each once', () => {
    const { clusters, clusterOf, clustersOfStream } = demandOf(ledger)
    expect(clusters.map(({ streams: numbers }) => numbers)).toEqual([[0, 1]])
    expect(clusterOf).toEqual([0, 0, 0])
    expect(clustersOfStream).toEqual([[0], [0]])
  })
  it('are left by themselves where no failure draws on both', () => {
    const apart = ledgerOf([
      { uses: { a: 1 }, lossH: 1 },
      { uses: { b: 1 }, lossH: 1 },
    ])
    expect(demandOf(apart).clusters.map(({ stocks }) => stocks)).toEqual([[0], [1], [2]])
    expect(demandOf(apart).clusters.map(({ streams: numbers }) => numbers)).toEqual([[0], [1], []])
  })
  it('are none on a ledger as long as those of trips', () => {
    const { clusters } = demandOf(indexLedger(tripSizeLedger(1)))
    expect(clusters.every(({ stocks }) => stocks.length === 1)).toBe(true)
  })
  it('are told just as every way that a trip can go tells them', () => {
    for (const counts of [
      [1, 1, 1],
      [2, 1, 2],
      [1, 3, 0],
      [0, 2, 2],
    ]) {
      const [near, exact] = [new PromiseEvaluator(ledger).evaluate(counts), new ExactEvaluator(ledger).evaluate(counts)]
      expect(near.promiseH).toBeCloseTo(exact.promiseH, 6)
    }
  })
})
