import { indexLedger, ledgerFormat, readLedger, type LedgerWear } from '#core/ledger'
import { gammaP } from '#core/maths'
import { Simulation } from '#core/simulate'
import { nth } from '#core/validation'
import { gammaDraw, gammaDrawAbove, poissonDraw } from '../../core/simulate/laws'
import { keysOf, Stream } from '../../core/simulate/keyed-random'
import { WearDraws } from '../../core/simulate/wear'
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
  it('have a standard error: that of the mean of so many trips, and none of fewer than two', () => {
    const simulation = drawn(
      { ...workedExample(), events: workedExample().events.map((e) => ({ ...e, walkH: 3 })) },
      [1, 1, 1, 1, 0, 0, 0, 0],
      400,
    )
    const { walkH, walkSeH, stranded, strandedSe, trips } = simulation.report()
    const hours = [...simulation.walkHours]
    expect([trips, hours.length]).toEqual([400, 400])
    const mean = hours.reduce((sum, each) => sum + each, 0) / 400
    const variance = hours.reduce((sum, each) => sum + (each - mean) ** 2, 0) / 399
    expect(walkH).toBeCloseTo(mean, 9)
    expect(walkSeH).toBeCloseTo(Math.sqrt(variance / 400), 9)
    // A chance of so many trips: √(p (1 − p) / (n − 1)).
    expect(strandedSe).toBeCloseTo(Math.sqrt((stranded * (1 - stranded)) / 399), 9)
    for (const few of [0, 1]) {
      const report = drawn(workedExample(), [0, 0, 0, 0, 0, 0, 0, 0], few).report()
      expect([report.trips, report.seH, report.walkSeH, report.strandedSe]).toEqual([few, 0, 0, 0])
    }
    expect(drawn(workedExample(), [0, 0, 0, 0, 0, 0, 0, 0], 0).report().meanH).toBe(0)
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
  it('draw tools, refills and failures each by itself', () => {
    // The part is spent on the first leg. On the second it is there again half the time, and the tool works half the time.
    const steadily = (lives: number[]) => ({ perLeg: [0, 0], wear: { left: 0.5, spread: 0, lives }, lossH: 8 })
    const ledger = readLedger({
      format: ledgerFormat,
      legs: 2,
      items: [
        { id: 'tool', massG: 10, max: 1, provides: ['turn'], condition: 0.5 },
        { id: 'part', massG: 10, max: 1, units: { part: 1 } },
      ],
      stocks: [{ id: 'part', refills: [{ leg: 1, chance: 0.5 }] }],
      events: [
        { id: 'first', ...steadily([1, 0]), fixes: [{ id: 'fit', uses: { part: 1 }, hands: 1 }] },
        {
          id: 'second',
          ...steadily([0, 1]),
          fixes: [{ id: 'turn', needs: ['turn'], uses: { part: 1 }, hands: 0.5 }],
        },
      ],
    })
    const { meanH, seH } = drawn(ledger, [1, 1], 40_000).report()
    expect(Math.abs(meanH - 8 * (1 - 0.5 ** 3))).toBeLessThan(4 * seH)
  })
  it('draw several failures of one kind on a trip each by itself', () => {
    // As many as Poisson's law with mean 4 has them, each mended half the time: what is left is one of mean 2.
    const ledger = readLedger({
      format: ledgerFormat,
      legs: 1,
      items: [],
      events: [{ id: 'often', perLeg: [4], lossH: 8, fixes: [{ id: 'by hand', hands: 0.5 }] }],
    })
    const trips = 40_000
    const { meanH, seH } = drawn(ledger, [], trips).report()
    expect(Math.abs(meanH - 8 * 2)).toBeLessThan(4 * seH)
    // The variance of a law of Poisson is its mean.
    expect((seH ** 2 * trips) / 8 ** 2 / 2).toBeCloseTo(1, 1)
  })
  it('have a key for each name that hangs on nothing else; of two that are the same, another', () => {
    const [a, b, again] = keysOf(['flat', 'chain', 'flat'])
    expect(new Set([a, b, again]).size).toBe(3)
    expect(keysOf(['chain', 'spoke', 'flat'])).toEqual([b, expect.any(Number), a])
    // FNV-1a, 32 bits, of "a" (published test vectors; from memory).
    expect(nth(keysOf(['a']), 0) >>> 0).toBe(0xe40c292c)
  })
  /** Something fails once, for sure, on each of so many legs; 8 h are lost where nothing mends it. */
  const failing = (legs: number, event: object, more: object = {}) =>
    readLedger({
      format: ledgerFormat,
      legs,
      items: [],
      events: [
        {
          id: 'failing',
          perLeg: Array.from({ length: legs }, () => 0),
          wear: { left: 0.5, spread: 0, lives: Array.from({ length: legs }, () => 1) },
          lossH: 8,
          ...event,
        },
      ],
      ...more,
    })
  it('try each fix twice while there is stock, each try by itself, and strand by themselves', () => {
    const ledger = failing(
      1,
      {
        strands: 0.5,
        fixes: [
          { id: 'patch', uses: { patch: 1 }, hands: 1, holds: 0.5 },
          { id: 'plug', uses: { plug: 1 }, hands: 1, holds: 0.5 },
        ],
      },
      {
        items: [
          { id: 'patches', massG: 10, max: 1, units: { patch: 9 } },
          { id: 'plugs', massG: 10, max: 1, units: { plug: 9 } },
        ],
        stocks: [{ id: 'patch' }, { id: 'plug' }],
      },
    )
    const { meanH, seH, stranded, strandedSe } = drawn(ledger, [1, 1], 40_000).report()
    // Four tries, each of which does not hold half the time; and half of what is left strands.
    expect(Math.abs(meanH - 8 / 2 ** 4)).toBeLessThan(4 * seH)
    expect(Math.abs(stranded - 1 / 2 ** 5)).toBeLessThan(4 * strandedSe)
  })
  it('draw for each tool whether it works', () => {
    const tools = [
      { id: 'one', massG: 10, max: 2, provides: ['one'], condition: 0.8 },
      { id: 'other', massG: 10, max: 2, provides: ['other'], condition: 0.8 },
    ]
    const ledger = failing(1, { fixes: [{ id: 'both', needs: ['one', 'other'], hands: 1 }] }, { items: tools })
    for (const [counts, works] of [
      [[1, 1], 0.8 ** 2],
      [[2, 1], (1 - 0.2 ** 2) * 0.8],
      [[2, 2], (1 - 0.2 ** 2) ** 2],
    ] as const) {
      const { meanH, seH } = drawn(ledger, [...counts], 40_000).report()
      expect(Math.abs(meanH - 8 * (1 - works))).toBeLessThan(4 * seH)
    }
  })
  it('use the first of two tools that do the same', () => {
    const items = ['first', 'second'].map((id) => ({ id, massG: 10, max: 1, provides: ['turn'] }))
    const ledger = failing(1, { fixes: [{ id: 'turn', needs: ['turn'], hands: 1 }] }, { items })
    expect(drawn(ledger, [1, 1], 10).report().neverUsed).toEqual({ second: 1 })
  })
  it('count what is left on foot where a fix holds, and what its tries take', () => {
    const fix = { id: 'limp', hands: 1, workH: 0.5, residualH: 3, residualWalkH: 2 }
    expect(drawn(failing(2, { fixes: [fix] }), [], 10).report()).toMatchObject({ meanH: 7, walkH: 4, stranded: 0 })
  })
  it('say where one was stranded first', () => {
    expect(drawn(failing(3, { strands: [0, 1, 1] }), [], 10).report().strandedOn).toEqual([0, 1, 0])
    expect(drawn(failing(2, { strands: [1, 1] }), [], 10).report().strandedOn).toEqual([1, 0])
  })
  it('try nothing more by a technique that has proved beyond these hands', () => {
    const fixes = ['one', 'other'].map((id) => ({ id, technique: 'lace', hands: 0.5, workH: 1 }))
    const { meanH, seH } = drawn(failing(1, { fixes }), [], 40_000).report()
    // An hour and done, or an hour and all is lost.
    expect(Math.abs(meanH - (1 + 0.5 * 8))).toBeLessThan(4 * seH)
  })
  it.each([1, 2, 3, 4, 5, 6])('remember a second tool that once stood in for the first (seed %i)', (seed) => {
    const ledger = readLedger({
      format: ledgerFormat,
      legs: 1,
      items: [{ id: 'tool', massG: 10, max: 3, provides: ['turn'], condition: 0.5 }],
      stocks: [],
      events: [{ id: 'e', perLeg: [3], lossH: 8, fixes: [{ id: 'turn', needs: ['turn'], hands: 1 }] }],
    })
    expect(drawn(ledger, [3], 300, seed).report().neverUsed).toEqual({})
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

describe('what wears', () => {
  const failuresOf = (wear: LedgerWear, trips: number) => {
    const draws = new WearDraws(0, wear)
    const stream = new Stream(7)
    const perLeg = wear.lives.map(() => ({ sum: 0, squares: 0 }))
    for (let trip = 0; trip < trips; trip++) {
      const failed = wear.lives.map(() => 0)
      draws.draw(stream, (leg) => (failed[leg] = nth(failed, leg) + 1))
      failed.forEach((count, leg) => {
        nth(perLeg, leg).sum += count
        nth(perLeg, leg).squares += count * count
      })
    }
    return perLeg.map(({ sum, squares }) => {
      const mean = sum / trips
      return { mean, se: Math.sqrt(Math.max(squares / trips - mean * mean, 1 / trips) / trips) }
    })
  }
  it.each<[string, LedgerWear]>([
    ['seldom', { left: 1, spread: 0.3, lives: [0.2, 0.3, 0.1], freshAtLegs: [] }],
    ['often', { left: 0.4, spread: 0.5, lives: [1.3, 0, 0.6, 2.1], freshAtLegs: [] }],
    ['with a new one on the way', { left: 0.1, spread: 0.6, lives: [0.3, 0.8, 0.7], freshAtLegs: [2] }],
    ['with a new one at the start', { left: 0.1, spread: 0.6, lives: [0.3, 0.8], freshAtLegs: [0] }],
    ['with nothing left', { left: 0, spread: 0.4, lives: [0.1, 0.5], freshAtLegs: [] }],
  ])('fails %s on each leg as often as a Gamma process passes whole lives', (_, wear) => {
    // The sum of the chances that the wear so far is beyond what was left, and one, two, three lives more.
    const passed = (lives: number, left: number) =>
      lives === 0
        ? 0
        : Array.from({ length: 40 }, (__, more) => left + more).reduce(
            (sum, limit) => sum + (limit === 0 ? 1 : 1 - gammaP(lives / wear.spread ** 2, limit / wear.spread ** 2)),
            0,
          )
    let [lives, left] = [0, wear.left]
    failuresOf(wear, 40_000).forEach(({ mean, se }, leg) => {
      if (wear.freshAtLegs.includes(leg)) [lives, left] = [0, 1]
      const expected = passed(lives + nth(wear.lives, leg), left) - passed(lives, left)
      lives += nth(wear.lives, leg)
      expect(Math.abs(mean - expected), `leg ${leg}`).toBeLessThan(4 * se)
    })
  })
  it('evenly fails when its life is over, to the day', () => {
    const even = { left: 0.5, spread: 0, lives: [0.5, 0.1, 1.9, 1], freshAtLegs: [3] }
    expect(failuresOf(even, 3).map(({ mean }) => mean)).toEqual([0, 1, 1, 0])
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
  // From far below its mean to where one in a thousand million lies.
  it.each([
    [8.44, 2],
    [8.44, 6.25],
    [8.44, 8.5],
    [8.44, 14],
    [1, 3],
    [2.02, 6.25],
    [0.3, 0.31],
    [0.3, 4],
    [0.8, 16],
    [0.07, 16],
  ])('of Gamma with shape %d above %d is as the law is there', (shape, limit) => {
    const stream = new Stream(Math.round(shape * 1000 + limit))
    const beyond = 1 - gammaP(shape, limit)
    const count = 20_000
    // What share of the law above the limit lies above each number drawn: evenly from 0 to 1.
    const shares = Array.from({ length: count }, () => {
      const value = gammaDrawAbove(shape, limit, stream)
      expect(value).toBeGreaterThan(limit)
      return (1 - gammaP(shape, value)) / beyond
    }).sort((a, b) => a - b)
    const apart = Math.max(
      ...shares.map((share, i) => Math.max(Math.abs(share - i / count), Math.abs((i + 1) / count - share))),
    )
    // Kolmogorov's distance of so many lies below this with 99.9 per cent (tables, from memory).
    expect(apart).toBeLessThan(1.95 / Math.sqrt(count))
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
