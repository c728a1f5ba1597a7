import { ExactEvaluator } from '#core/exact'
import { indexLedger, readLedger, type Ledger } from '#core/ledger'
import { PromiseEvaluator } from '#core/promise'
import { Simulation } from '#core/simulate'
import { nth } from '#core/validation'
import { seeded } from '../seeded'
import { randomKit, tinyLedger } from '../tiny-ledgers'
import { describe, expect, it } from 'vitest'

/** One failure a trip and a bolt that two tools turn: a good one that may fail, and a bad one that takes longer. */
const bolt: Ledger = readLedger({
  format: 'rag-tin.ledger/2',
  legs: 1,
  items: [
    { id: 'key', massG: 30, max: 1, provides: ['turn well'], condition: 0.9 },
    { id: 'pliers', massG: 30, max: 1, provides: ['turn'] },
  ],
  events: [
    {
      id: 'loose',
      perLeg: [0.7],
      lossH: 10,
      fixes: [
        { id: 'tighten', attempt: 'tighten', needs: ['turn well'], hands: 1, holds: 0.8, workH: 0.5 },
        { id: 'tighten@awkward', attempt: 'tighten', needs: ['turn'], hands: 1, holds: 0.8, workH: 1.5 },
      ],
    },
  ],
})
const hours = (ledger: Ledger, counts: number[]) => new ExactEvaluator(indexLedger(ledger)).evaluate(counts).promiseH

describe('an attempt in several ways', () => {
  it('is made once, in the best way that there is', () => {
    // Held eight times in ten, else ten hours.
    expect(hours(bolt, [0, 1])).toBeCloseTo(0.7 * (1.5 + 0.2 * 10), 9)
    expect(hours(bolt, [1, 0])).toBeCloseTo(0.7 * (0.9 * (0.5 + 0.2 * 10) + 0.1 * 10), 9)
    // With both the bad one is taken where the good one is broken, and never after it.
    expect(hours(bolt, [1, 1])).toBeCloseTo(0.7 * (0.9 * 0.5 + 0.1 * 1.5 + 0.2 * 10), 9)
  })

  it('is made twice where they are two', () => {
    const event = nth(bolt.events, 0)
    const apart = { ...bolt, events: [{ ...event, fixes: event.fixes.map(({ attempt: _, ...fix }) => fix) }] }
    const both = 0.9 * (0.5 + 0.2 * (1.5 + 0.2 * 10)) + 0.1 * (1.5 + 0.2 * 10)
    expect(hours(apart, [1, 1])).toBeCloseTo(0.7 * both, 9)
  })

  it('is refused where its ways use up something else', () => {
    const event = nth(bolt.events, 0)
    const fixes = event.fixes.map((fix, f) => (f === 1 ? { ...fix, uses: { tape: 1 } } : fix))
    expect(() => readLedger({ ...bolt, stocks: [{ id: 'tape' }], events: [{ ...event, fixes }] })).toThrow(
      'the same as in "tighten", another way',
    )
  })

  it('is reckoned alike, exactly, quickly and drawn', () => {
    for (let seed = 1; seed <= 25; seed++) {
      const ledger = withWorseWays(tinyLedger(seed), seed)
      const indexed = indexLedger(ledger)
      const kit = randomKit(ledger, seed)
      const exactH = new ExactEvaluator(indexed).evaluate(kit).promiseH
      const bareH = new ExactEvaluator(indexed).evaluate(kit.map(() => 0)).promiseH
      const simulation = new Simulation(indexed, kit, seed)
      simulation.run(8000)
      const { meanH, seH } = simulation.report()
      expect(Math.abs(meanH - exactH), `${seed}: ${meanH} drawn, ${exactH} exact`).toBeLessThan(4.5 * seH + 1e-9)
      const promiseH = new PromiseEvaluator(indexed).evaluate(kit).promiseH
      expect(Math.abs(promiseH - exactH), `${seed}: ${promiseH} promised, ${exactH} exact`).toBeLessThan(0.03 * bareH)
    }
  })
})

/** The same with a worse way for half of all fixes, by another tool. */
function withWorseWays(ledger: Ledger, seed: number): Ledger {
  const random = seeded(1000 + seed)
  const events = ledger.events.map((event) => ({
    ...event,
    fixes: event.fixes.flatMap((fix) => {
      if (random() < 0.5) return [fix]
      const attempt = fix.id
      return [
        { ...fix, attempt },
        { ...fix, id: `${fix.id} with pliers`, attempt, needs: ['pliers'], workH: 0.8 },
      ]
    }),
  }))
  const pliers = { id: 'pliers', massG: 60, max: 1, provides: ['pliers'], condition: 0.9 }
  return readLedger({ ...ledger, items: [...ledger.items, pliers], events })
}
