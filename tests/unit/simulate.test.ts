import { indexLedger, ledgerFormat, readLedger } from '#core/ledger'
import { Simulation } from '#core/simulate'
import { nth } from '#core/validation'
import { gammaDraw, poissonDraw } from '../../core/simulate/laws'
import { Stream } from '../../core/simulate/keyed-random'
import { describe, expect, it } from 'vitest'
import { tinyLedger } from '../tiny-ledgers'
import { workedExample } from '../worked-example'

const drawn = (ledger: Parameters<typeof indexLedger>[0], counts: number[], trips = 5000, seed = 1) => {
  const simulation = new Simulation(indexLedger(ledger), counts, seed)
  simulation.run(trips)
  return simulation
}

describe('drawn trips', () => {
  it('are the same for the same seed and kit, drawn at once or bit by bit', () => {
    const ledger = tinyLedger(7)
    const counts = ledger.items.map(({ max }) => max)
    const whole = drawn(ledger, counts, 3000)
    const parts = new Simulation(indexLedger(ledger), counts, 1)
    for (const trips of [1, 999, 2000]) parts.run(trips)
    expect(parts.report()).toEqual(whole.report())
    expect(parts.walkHours).toEqual(whole.walkHours)
    expect(drawn(ledger, counts, 3000, 2).report()).not.toEqual(whole.report())
  })
  it('meet two kits alike: where nothing fails that they differ in, they go the same way', () => {
    const ledger = workedExample()
    // Without a tool to break a chain, and a hanger or not: only flats are mended, by both.
    const bare = drawn(ledger, [1, 1, 2, 1, 0, 0, 0, 0])
    const more = drawn(ledger, [1, 1, 2, 1, 2, 0, 1, 0])
    expect(more.report().meanH).toBe(bare.report().meanH)
    // With one patch less, a trip is never better, and most go the same way.
    const fewer = drawn(ledger, [1, 1, 1, 1, 0, 0, 0, 0])
    expect(fewer.report().meanH).toBeGreaterThan(bare.report().meanH)
  })
  it('say what was never used, piece by piece, and what ran out', () => {
    const ledger = readLedger({
      format: ledgerFormat,
      legs: 2,
      items: [
        { id: 'tube', massG: 100, max: 3, units: { tube: 1 } },
        { id: 'old tube', massG: 100, max: 1, units: { tube: 1 } },
        { id: 'lever', massG: 10, max: 2, provides: ['lever'] },
        { id: 'wrench', massG: 10, max: 1, provides: ['turn'] },
        { id: 'boot', massG: 10, max: 1, units: { boot: 1 } },
      ],
      stocks: [{ id: 'tube', refills: [{ leg: 1, chance: 1 }] }, { id: 'boot' }],
      events: [
        {
          id: 'wheel',
          perLeg: [0, 0],
          // Two flats on the first leg, one on the second.
          wear: { left: 0.5, spread: 0, lives: [2, 1] },
          lossH: 5,
          walkH: 2,
          strands: [0, 1],
          fixes: [
            { id: 'swap', needs: ['lever'], uses: { tube: 1 }, hands: 1 },
            { id: 'boot', uses: { boot: 2 }, hands: 1, residualH: 1 },
          ],
        },
      ],
    })
    const report = drawn(ledger, [2, 1, 2, 1, 1], 10).report()
    expect(report).toMatchObject({ trips: 10, meanH: 0, seH: 0, walkH: 0, stranded: 0, ranOut: {} })
    expect(report.neverUsed).toEqual({ 'old tube': 1, lever: 1, wrench: 1, boot: 1 })
    const short = drawn(ledger, [1, 0, 1, 0, 1], 10).report()
    // The second flat of the first leg finds neither tube nor boot enough; the tube is there again on the second.
    expect(short).toMatchObject({ meanH: 5, walkH: 2, stranded: 0 })
    expect(short.ranOut).toEqual({ tube: { trips: 1, perLeg: [1, 0] }, boot: { trips: 1, perLeg: [1, 0] } })
    const none = drawn(ledger, [0, 0, 0, 0, 0], 10).report()
    expect(none).toMatchObject({ meanH: 15, walkH: 6, stranded: 1, strandedSe: 0, strandedOn: [0, 1] })
  })
})

describe('a law', () => {
  const moments = (draw: () => number, count = 200_000) => {
    let [sum, squares] = [0, 0]
    for (let i = 0; i < count; i++) {
      const value = draw()
      sum += value
      squares += value * value
    }
    const mean = sum / count
    return { mean, variance: squares / count - mean * mean, se: Math.sqrt((squares / count - mean * mean) / count) }
  }
  it.each([0.05, 0.7, 4, 60, 1200])('of Poisson with mean %d has it as its mean and its variance', (expected) => {
    const stream = new Stream(expected * 100)
    const { mean, variance, se } = moments(() => poissonDraw(expected, stream), expected > 50 ? 20_000 : 200_000)
    expect(Math.abs(mean - expected)).toBeLessThan(4 * se)
    expect(variance / expected).toBeGreaterThan(0.96)
    expect(variance / expected).toBeLessThan(1.04)
  })
  it.each([0.3, 1, 4.5])('of Gamma with shape %d has it as its mean and its variance', (shape) => {
    const stream = new Stream(shape * 100)
    const { mean, variance, se } = moments(() => gammaDraw(shape, stream))
    expect(Math.abs(mean - shape)).toBeLessThan(4 * se)
    expect(variance / shape).toBeGreaterThan(0.96)
    expect(variance / shape).toBeLessThan(1.04)
  })
  it('of a stream is even: each of a hundred shares holds a hundredth', () => {
    const stream = new Stream(1)
    const shares = new Array<number>(100).fill(0)
    for (let i = 0; i < 200_000; i++) {
      const share = Math.floor(stream.next() * 100)
      shares[share] = nth(shares, share) + 1
    }
    const chi = shares.reduce((sum, count) => sum + (count - 2000) ** 2 / 2000, 0)
    // The chi-square law with 99 degrees of freedom lies between these with 99.8 per cent (tables, from memory).
    expect(chi).toBeGreaterThan(60)
    expect(chi).toBeLessThan(149)
  })
})
