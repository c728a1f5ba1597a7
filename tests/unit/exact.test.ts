import { bestExactKit, ExactEvaluator, wearCountsOf } from '#core/exact'
import { wornOutAtLeast } from '#core/maths'
import { indexLedger, ledgerFormat, readLedger, type Ledger } from '#core/ledger'
import { describe, expect, it } from 'vitest'
import { once } from '../once'
import { workedExample, workedKits } from '../worked-example'

const namedCounts = (ledger: Ledger, counts: readonly number[]) =>
  Object.fromEntries(ledger.items.map(({ id }, i) => [id, counts[i]]).filter(([, count]) => count !== 0))

// The numbers are those of the model's worked example, found there by another program.
describe('the worked example', () => {
  it('loses 4.7 h with nothing carried', () => {
    expect(new ExactEvaluator(indexLedger(workedExample())).evaluate(new Array(8).fill(0)).promiseH).toBeCloseTo(
      4.7,
      10,
    )
  })
  it.each(workedKits)('at %d g an hour takes %j', (gramsPerHour, kit, savedH, massG) => {
    const ledger = workedExample({ gramsPerHour })
    const best = bestExactKit(indexLedger(ledger))
    expect(namedCounts(ledger, best.counts)).toEqual(kit)
    expect(best.massG).toBe(massG)
    expect(best.emptyH - best.promiseH).toBeCloseTo(savedH, 4)
    expect(best.netH).toBeCloseTo(savedH - massG / gramsPerHour, 4)
  })
  it('with grams free takes what 250 g allow', () => {
    const ledger = workedExample({ budgetG: 250 })
    const best = bestExactKit(indexLedger(ledger))
    expect(namedCounts(ledger, best.counts)).toEqual({ pump: 1, levers: 1, patches: 1, breaker: 1, link: 2 })
    expect(best.massG).toBe(248)
    expect(best.netH).toBeCloseTo(3.7725, 4)
  })
})

const ledgerOf = (parts: object) => indexLedger(readLedger({ format: ledgerFormat, ...parts }))

describe('two legs, a chance refill, a tube that may be bad and a lever that may break', () => {
  const ledger = once(() =>
    ledgerOf({
      legs: 2,
      items: [
        { id: 'tube', massG: 100, max: 1, units: { tube: 1 }, condition: 0.8 },
        { id: 'lever', massG: 20, max: 1, provides: ['lever'], condition: 0.9 },
      ],
      stocks: [{ id: 'tube', refills: [{ leg: 1, chance: 0.6 }] }],
      events: [
        {
          id: 'flat',
          perLeg: [0.5, 0.25],
          lossH: [4, 10],
          walkH: [3, 8],
          strands: [0.5, 1],
          fixes: [
            {
              id: 'swap',
              needs: ['lever'],
              uses: { tube: 1 },
              hands: 0.9,
              workH: 0.2,
              residualH: 0.5,
              residualWalkH: 0.1,
            },
          ],
        },
      ],
    }),
  )
  const carried = once(() => new ExactEvaluator(ledger()).evaluate([1, 1]))
  // The lever works (0.9). The first flat of leg 0 takes the tube: 0.2 + 0.72 · 0.5 + 0.28 · 4 = 1.68 h; any other 4 h.
  //   Pr(N ≥ 1) = 1 − e^−0.5 = 0.393469, so 0.393469 · 1.68 + (0.5 − 0.393469) · 4 = 1.087151 h.
  // On leg 1 there is a tube with 0.606531 + 0.393469 · 0.6 = 0.842612; the first flat then costs
  //   0.2 + 0.72 · 0.5 + 0.28 · 10 = 3.36 h: 2.5 − 0.842612 · 0.221199 · 6.64 = 1.262402 h.
  // It does not (0.1): 0.5 · 4 + 0.25 · 10 = 4.5 h. In all 0.9 · 2.349553 + 0.45 = 2.564598 h.
  it('loses the hours reckoned by hand', () => {
    expect(carried().promiseH).toBeCloseTo(2.564598, 5)
    expect(new ExactEvaluator(ledger()).evaluate([0, 1]).promiseH).toBeCloseTo(4.5, 10)
  })
  // On foot: first flat of leg 0 0.72 · 0.1 + 0.28 · 3 = 0.912 h; 0.393469 · 0.912 + 0.106531 · 3 = 0.678437 h;
  //   leg 1: 2 − 0.842612 · 0.221199 · (8 − 2.312) = 0.939840 h. 0.9 · 1.618277 + 0.1 · 3.5 = 1.806449 h.
  it('walks the hours reckoned by hand', () => expect(carried().walkH).toBeCloseTo(1.806449, 5))
  // Not stranded on leg 0: no flat 0.606531; n flats, the first mended or not: 0.86 · 0.5^(n−1), in all
  //   1.72 · e^−0.5 · (e^0.25 − 1) = 0.296302. On leg 1 with a tube e^−0.25 · (1 + 0.25 · 0.72) = 0.918985, without
  //   0.778801. So 0.606531 · 0.918985 + 0.296302 · (0.6 · 0.918985 + 0.4 · 0.778801) = 0.813075; with a broken lever
  //   e^−0.25 · e^−0.25 = 0.606531. Stranded: 1 − 0.9 · 0.813075 − 0.1 · 0.606531 = 0.207579.
  it('strands with the chance reckoned by hand', () => expect(carried().stranded).toBeCloseTo(0.207579, 5))
})

describe('pads that wear out on the second leg, and two fixes of one technique', () => {
  const ledger = (wear: object = {}) =>
    ledgerOf({
      legs: 2,
      items: [{ id: 'pads', massG: 20, max: 2, units: { pad: 2 } }],
      stocks: [{ id: 'pad' }],
      events: [
        {
          id: 'pads',
          perLeg: [0, 0],
          wear: { left: 0.5, spread: 0, lives: [0.4, 0.4], ...wear },
          lossH: [2, 6],
          fixes: [
            { id: 'file', technique: 'pads', hands: 0.6, holds: 0.5, workH: 0.25, residualH: 1 },
            { id: 'fit', uses: { pad: 2 }, technique: 'pads', hands: 0.8, holds: 0.9, workH: 0.5 },
          ],
        },
      ],
    })
  // Fitting is worth 0.8 · 0.9 · 6 − 0.5 = 3.82 h and comes first; filing 0.6 · 0.5 · 5 − 0.25 = 1.25 h.
  // One set: 0.5 + 0.2 · 6 + 0.8 · 0.1 · (0.25 + 0.5 · 1 + 0.5 · 6) = 2 h; hands that cannot fit cannot file.
  // Two sets: the second try costs 0.5 and fails 0.1: 0.5 + 1.2 + 0.08 · (0.5 + 0.1 · 3.75) = 1.77 h.
  // None: filing, 0.25 + 0.6 · (0.5 · 1 + 0.5 · 6) + 0.4 · 6 = 4.75 h.
  it.each([
    [0, 4.75],
    [1, 2],
    [2, 1.77],
  ])('%i sets lose %d h', (count, hours) =>
    expect(new ExactEvaluator(ledger()).evaluate([count]).promiseH).toBeCloseTo(hours, 10),
  )
  it('lose nothing where a new set is fitted on the way', () => {
    expect(new ExactEvaluator(ledger({ freshAtLegs: [1] })).evaluate([0]).promiseH).toBe(0)
  })
  it('fail again at each whole life more', () => {
    expect(wearCountsOf({ left: 0.5, spread: 0, lives: [2.6, 0.4], freshAtLegs: [] }, 2)[0]?.perLeg).toEqual([3, 0])
    expect(wearCountsOf({ left: 0.5, spread: 0, lives: [2.6, 0.4], freshAtLegs: [1] }, 2)[0]?.perLeg).toEqual([3, 0])
  })
})

describe('the counts of a part that wears with a spread', () => {
  const wear = { left: 0.4, spread: 0.45, lives: [0.5, 0.9, 0.7], freshAtLegs: [] }
  const law = once(() => wearCountsOf(wear, 3))
  const atLeast = (k: number, legs: number) =>
    law()
      .filter(({ perLeg }) => perLeg.slice(0, legs).reduce((sum, count) => sum + count, 0) >= k)
      .reduce((sum, { chance }) => sum + chance, 0)
  it('come to one', () => expect(atLeast(0, 3)).toBeCloseTo(1, 6))
  it.each([
    [1, 1],
    [2, 1],
    [1, 2],
    [2, 2],
    [1, 3],
    [3, 3],
  ])('are %i or more after %i legs as the Gamma law says', (k, legs) => {
    const lives = wear.lives.slice(0, legs).reduce((sum, value) => sum + value, 0)
    expect(atLeast(k, legs)).toBeCloseTo(wornOutAtLeast(k, lives, wear.left, wear.spread), 4)
  })
})
