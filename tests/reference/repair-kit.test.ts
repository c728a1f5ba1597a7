// The repair kit problem: S. A. Smith, J. C. Chambers & E. Shlifer, "Optimal inventories based on job completion rate for
// repairs requiring multiple items", Management Science 26 (1980); for one item it is the newsvendor's: the n-th piece is
// carried while what it saves times the chance that the demand reaches n pays for it.
import fc from 'fast-check'
import { poissonAtLeast } from '#core/maths'
import { indexLedger, ledgerFormat, readLedger } from '#core/ledger'
import { PromiseEvaluator } from '#core/promise'
import { describe, expect, it } from 'vitest'

const oneStock = (demand: number, lossH: number, max: number) =>
  readLedger({
    format: ledgerFormat,
    legs: 1,
    items: [{ id: 'tube', massG: 100, max, units: { tube: 1 } }],
    stocks: [{ id: 'tube' }],
    events: [{ id: 'flat', perLeg: [demand], lossH, fixes: [{ id: 'swap', uses: { tube: 1 }, hands: 1 }] }],
  })

const demand = fc.double({ min: 0.01, max: 6, noNaN: true })
const lossH = fc.double({ min: 0.5, max: 20, noNaN: true })

describe('one stock, one fix', () => {
  it('saves with n pieces what the fill rate says: the sum of Pr(N ≥ j) up to n, over the demand', () => {
    fc.assert(
      fc.property(demand, lossH, fc.integer({ min: 0, max: 8 }), (mean, hours, carried) => {
        const { promiseH } = new PromiseEvaluator(indexLedger(oneStock(mean, hours, 8))).evaluate([carried])
        let served = 0
        for (let j = 1; j <= carried; j++) served += poissonAtLeast(j, mean)
        expect(promiseH).toBeCloseTo(hours * (mean - served), 6)
      }),
      { seed: 1, numRuns: 300 },
    )
  })
  it('is carried just while saving · Pr(N ≥ n) pays, on a thousand random cases', () => {
    fc.assert(
      fc.property(demand, lossH, fc.double({ min: 0.001, max: 3, noNaN: true }), (mean, hours, priceH) => {
        const promise = new PromiseEvaluator(indexLedger(oneStock(mean, hours, 12)))
        const netH = (carried: number) => -promise.evaluate([carried]).promiseH - carried * priceH
        const nets = Array.from({ length: 13 }, (_, carried) => netH(carried))
        const best = nets.indexOf(Math.max(...nets))
        const pays = (n: number) => hours * poissonAtLeast(n, mean) - priceH
        // A tie is neither here nor there.
        if (best > 0) expect(pays(best)).toBeGreaterThan(-1e-6)
        if (best < 12) expect(pays(best + 1)).toBeLessThan(1e-6)
      }),
      { seed: 2, numRuns: 1000 },
    )
  })
})
