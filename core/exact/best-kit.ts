import { expectPinsWithin, isWithin, loadOf, type IndexedLedger, type KitHours, type Load } from '../ledger'
import { defined, Fault, nth } from '../validation'
import { ExactEvaluator } from './evaluate'

export interface ExactKit extends KitHours, Load {
  readonly counts: readonly number[]
  /** Hours lost by the empty kit. */
  readonly emptyH: number
  /** Hours saved against it, less the grams at their price. */
  readonly netH: number
}

/** More kits than these are not tried one by one. */
const mostKits = 200_000

/**
 * The best of all kits within pins and budgets, every one of them tried and followed through everything that can come.
 * Of kits equally good, the first, which has least of the last items.
 *
 * @throws Fault where there are too many kits, or what is pinned is beyond a budget
 */
export function bestExactKit(ledger: IndexedLedger): ExactKit {
  const kits = ledger.items.reduce((count, { min, max }) => count * (max - min + 1), 1)
  if (kits > mostKits) {
    throw new Fault('the ledger', `${kits} kits`, `at most ${mostKits} to be tried one by one; solve without --exact`)
  }
  expectPinsWithin(ledger)
  const exact = new ExactEvaluator(ledger)
  const { promiseH: emptyH } = exact.evaluate(new Int32Array(ledger.items.length))
  let best: ExactKit | undefined
  for (const counts of countsWithin(ledger)) {
    const load = loadOf(ledger, counts)
    if (!isWithin(load, ledger)) continue
    // Nothing saves more than all that is lost.
    if (best && emptyH - load.massG * ledger.hoursPerGram <= best.netH) continue
    const hours = exact.evaluate(counts)
    const netH = emptyH - hours.promiseH - load.massG * ledger.hoursPerGram
    if (!best || netH > best.netH + 1e-12) best = { ...hours, ...load, counts: [...counts], emptyH, netH }
  }
  return defined(best, 'a kit of what is pinned')
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
