import type { Ledger } from '../trip-ledger'
import { chooseFast } from './fast'

/** Where an item changes sides: the value of the dial, or of its own mass. */
export interface BreakEven {
  /** Grams an hour must be worth at least for it to come along; null when it never does. */
  readonly gramsPerHour: number | null
  /** Grams it may weigh at most to come along at today's dial; null when it never does. */
  readonly massG: number | null
}

const lowest = 1
const highest = 100_000

/**
 * What would flip a verdict, found by solving again: the dial and the mass at
 * which an item begins to come along, each to about 2 %.
 */
export function breakEvenOf(ledger: Ledger, itemId: string): BreakEven {
  const takenAt = (change: (ledger: Ledger) => Ledger) => (chooseFast(change(ledger)).counts[itemId] ?? 0) > 0
  const free: Ledger = {
    ...ledger,
    pins: Object.fromEntries(Object.entries(ledger.pins).filter(([id]) => id !== itemId)),
  }
  const atDial = (gramsPerHour: number) => takenAt(() => ({ ...free, gramsPerHour }))
  const atMass = (massG: number) =>
    takenAt(() => ({ ...free, items: free.items.map((item) => (item.id === itemId ? { ...item, massG } : item)) }))
  return {
    gramsPerHour: firstAt(lowest, highest, atDial),
    massG: lastAt(0.1, 5000, atMass),
  }
}

/** The smallest value, to 2 %, at which something holds, given that it holds from there on. */
function firstAt(low: number, high: number, holds: (value: number) => boolean): number | null {
  if (!holds(high)) return null
  if (holds(low)) return low
  let [no, yes] = [low, high]
  while (yes / no > 1.02) {
    const middle = Math.sqrt(no * yes)
    if (holds(middle)) yes = middle
    else no = middle
  }
  return yes
}

/** The largest value, to 2 %, at which something holds, given that it holds up to there. */
function lastAt(low: number, high: number, holds: (value: number) => boolean): number | null {
  if (!holds(low)) return null
  if (holds(high)) return high
  let [yes, no] = [low, high]
  while (no / yes > 1.02) {
    const middle = Math.sqrt(no * yes)
    if (holds(middle)) yes = middle
    else no = middle
  }
  return yes
}
