import loadHighs from 'highs'
import { expect, it } from 'vitest'
import { chooseBrute, chooseFast, prove } from '#core/choose'
import { breaches, randomLedger, tiny } from '../ledgers'
import { judged, seed, tries } from './judged'

it('fast search, every kit tried and the proof come to the same on thousands of tiny ledgers', async () => {
  const highs = await loadHighs()
  const all = tries(2500)
  for (let i = 0; i < all; i++) {
    const ledger = randomLedger(seed + i, tiny)
    const [fast, brute] = [chooseFast(ledger), chooseBrute(ledger)]
    const { boundNetH } = prove(ledger, fast, highs)
    expect(breaches(ledger, fast), `seed ${seed + i}`).toEqual([])
    expect(fast.netH, `seed ${seed + i}`).toBeCloseTo(brute.netH, 9)
    expect(boundNetH, `seed ${seed + i}`).toBeGreaterThanOrEqual(brute.netH)
    expect(boundNetH, `seed ${seed + i}`).toBeCloseTo(brute.netH, 3)
  }
  judged('solvers', [`${all} random ledgers: fast search, every kit tried and the proof agree.`])
})
