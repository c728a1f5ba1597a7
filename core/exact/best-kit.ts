import { massOf, type IndexedLedger, type KitHours } from '../ledger'
import { Fault, nth } from '../validation'
import { ExactEvaluator } from './evaluate'

export interface ExactKit extends KitHours {
  readonly counts: readonly number[]
  readonly massG: number
  /** Hours lost by the empty kit. */
  readonly emptyH: number
  /** Hours saved against it, less the grams at their price. */
  readonly netH: number
}

/** More kits than these are not tried one by one. */
const mostKits = 200_000

/**
 * The best of all kits within pins and budget, every one of them tried and followed through everything that can come.
 * Of kits equally good, the first, which has least of the last items.
 *
 * @throws Fault where there are too many kits, or none within the budget
 */
export function bestExactKit(ledger: IndexedLedger): ExactKit {
  const kits = ledger.items.reduce((count, { min, max }) => count * (max - min + 1), 1)
  if (kits > mostKits) {
    throw new Fault('the ledger', `${kits} kits`, `at most ${mostKits} to be tried one by one; solve without --exact`)
  }
  const exact = new ExactEvaluator(ledger)
  const { promiseH: emptyH } = exact.evaluate(new Int32Array(ledger.items.length))
  let best: ExactKit | undefined
  for (const counts of countsWithin(ledger)) {
    const massG = massOf(ledger, counts)
    if (massG > ledger.budgetG) continue
    // Nothing saves more than all that is lost.
    if (best && emptyH - massG * ledger.hoursPerGram <= best.netH) continue
    const hours = exact.evaluate(counts)
    const netH = emptyH - hours.promiseH - massG * ledger.hoursPerGram
    if (!best || netH > best.netH + 1e-12) best = { ...hours, counts: [...counts], massG, emptyH, netH }
  }
  if (!best) throw new Fault('budgetG', `${ledger.budgetG} g`, 'at least the mass of what is pinned')
  return best
}

function* countsWithin({ items }: IndexedLedger): Generator<number[]> {
  const counts = items.map(({ min }) => min)
  for (;;) {
    yield counts
    const at = counts.findIndex((count, i) => count < nth(items, i).max)
    if (at < 0) return
    for (let i = 0; i < at; i++) counts[i] = nth(items, i).min
    counts[at] = nth(counts, at) + 1
  }
}
