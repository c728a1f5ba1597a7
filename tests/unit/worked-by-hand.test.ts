import { ExactEvaluator } from '#core/exact'
import { indexLedger, ledgerFormat, readLedger } from '#core/ledger'
import { PromiseEvaluator } from '#core/promise'
import { Simulation } from '#core/simulate'
import { describe, expect, it } from 'vitest'
import { once } from '../once'

const ledgerOf = (parts: object) => indexLedger(readLedger({ format: ledgerFormat, ...parts }))

describe('a tube that may be bought again half way', () => {
  // On each leg ln 2 flats are expected, so that there is none with a chance of a half. A good tube in good hands holds with
  // 0.8 · 0.9 = 0.72; of the tries of one flat only the first finds a tube.
  const ledger = once(() =>
    ledgerOf({
      legs: 2,
      items: [{ id: 'tube', massG: 100, max: 1, units: { tube: 1 }, condition: 0.9 }],
      stocks: [{ id: 'tube', refills: [{ leg: 1, chance: 0.6 }] }],
      events: [
        {
          id: 'flat',
          perLeg: [Math.LN2, Math.LN2],
          lossH: [4, 10],
          walkH: [3, 8],
          strands: [0.5, 1],
          fixes: [{ id: 'swap', uses: { tube: 1 }, hands: 0.8, workH: 0.5, residualH: 1 }],
        },
      ],
    }),
  )
  /** At the start of the second leg the tube is there where there was no flat, or where it was bought again. */
  const thereAgain = 0.5 + 0.5 * 0.6
  // The first flat of a leg saves 0.72 · (4 − 1) − 0.5 = 1.66 h on the first leg, 0.72 · (10 − 1) − 0.5 = 5.98 h on the second.
  const promiseH = 4 * Math.LN2 - 0.5 * 1.66 + 10 * Math.LN2 - thereAgain * 0.5 * 5.98
  const walkH = 3 * (Math.LN2 - 0.5 * 0.72) + 8 * (Math.LN2 - thereAgain * 0.5 * 0.72)
  // First leg: none with 0.5; else the first strands not with 0.72 + 0.28 · 0.5 = 0.86 and each other not with 0.5:
  // 0.86 / 0.5 · 0.5 · (√2 − 1). Second leg: with a tube 0.5 + 0.5 · ln 2 · 0.72, without one 0.5.
  const withTube = 0.5 + 0.5 * Math.LN2 * 0.72
  const stranded = 1 - (0.5 * withTube + 0.86 * (Math.SQRT2 - 1) * (0.6 * withTube + 0.4 * 0.5))

  it('loses 6.4821 h, 4.2406 of them on foot, and strands on 0.3938 of trips', () => {
    expect([promiseH, walkH, stranded].map((value) => value.toFixed(4))).toEqual(['6.4821', '4.2406', '0.3938'])
    const exact = new ExactEvaluator(ledger()).evaluate([1])
    expect(exact.promiseH).toBeCloseTo(promiseH, 4)
    expect(exact.walkH).toBeCloseTo(walkH, 4)
    expect(exact.stranded).toBeCloseTo(stranded, 4)
    expect(new ExactEvaluator(ledger()).evaluate([0]).promiseH).toBeCloseTo(14 * Math.LN2, 4)
  })
  it('is promised so within a hundredth, and drawn so', () => {
    const promise = new PromiseEvaluator(ledger()).evaluate([1])
    expect(Math.abs(promise.promiseH / promiseH - 1)).toBeLessThan(0.01)
    expect(Math.abs(promise.walkH / walkH - 1)).toBeLessThan(0.01)
    const simulation = new Simulation(ledger(), [1], 11)
    simulation.run(40_000)
    const drawn = simulation.report()
    expect(Math.abs(drawn.meanH - promiseH)).toBeLessThan(4 * drawn.seH)
    expect(Math.abs(drawn.stranded - stranded)).toBeLessThan(4 * drawn.strandedSe)
  })
})

describe('pads that wear, and a key that may not work', () => {
  const ledgerWith = (wear: object, legs: number) =>
    ledgerOf({
      legs,
      items: [
        { id: 'key', massG: 20, max: 1, provides: ['turn'], condition: 0.75 },
        { id: 'pads', massG: 25, max: 1, units: { pad: 1 } },
      ],
      stocks: [{ id: 'pad' }],
      events: [
        {
          id: 'pads worn',
          perLeg: new Array<number>(legs).fill(0),
          wear,
          lossH: 2,
          walkH: 1.5,
          fixes: [{ id: 'change', needs: ['turn'], uses: { pad: 1 }, hands: 1, workH: 0.25 }],
        },
      ],
    })

  it('worn exactly so fast, fail once on the first leg: 0.75 · 0.25 + 0.25 · 2 = 0.6875 h', () => {
    // 0.5 lives pass the 0.4 that are left; the 1.2 of both legs do not pass the 1.4 of the next set.
    const ledger = ledgerWith({ left: 0.4, spread: 0, lives: [0.5, 0.7] }, 2)
    for (const hours of [new ExactEvaluator(ledger), new PromiseEvaluator(ledger)].map((each) =>
      each.evaluate([1, 1]),
    )) {
      expect(hours.promiseH).toBeCloseTo(0.6875, 9)
      expect(hours.walkH).toBeCloseTo(0.25 * 1.5, 9)
    }
    // With fresh pads at the start of the second leg, whose 1.1 lives pass the one that they have: once more, without pads.
    const again = ledgerWith({ left: 0.4, spread: 0, lives: [0.5, 1.1], freshAtLegs: [1] }, 2)
    expect(new ExactEvaluator(again).evaluate([1, 1]).promiseH).toBeCloseTo(0.6875 + 2, 9)
  })

  it('worn by chance, so often as the Gamma law says', () => {
    // A quarter of a life with spread a half is a Gamma law of shape 1: Pr(more than w) = e^(−4w).
    const ledger = ledgerWith({ left: 0.4, spread: 0.5, lives: [0.25] }, 1)
    const atLeast = (times: number) => Math.exp(-4 * (0.4 + times - 1))
    const failures = [1, 2, 3, 4, 5].reduce((sum, times) => sum + atLeast(times), 0)
    const byHand = 2 * failures - atLeast(1) * 0.75 * (2 - 0.25)
    expect(byHand.toFixed(4)).toBe('0.1463')
    expect(new ExactEvaluator(ledger).evaluate([1, 1]).promiseH).toBeCloseTo(byHand, 3)
    expect(Math.abs(new PromiseEvaluator(ledger).evaluate([1, 1]).promiseH / byHand - 1)).toBeLessThan(0.01)
  })
})
