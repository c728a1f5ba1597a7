import type { Change } from '../../promise'
import { nth } from '../../validation'
import type { KitState } from '../kit-state'
import { pays } from '../slack'

/** What may be left off at once: a piece, or all of a kind. */
export function drops(state: KitState, items: Iterable<number>): Change[][] {
  return [...items].flatMap((item) => {
    const spare = state.spare(item)
    const piece = spare > 0 ? [[{ item, by: -1 }]] : []
    return spare > 1 ? [...piece, [{ item, by: -spare }]] : piece
  })
}

/**
 * Leaves off what does not pay its grams until everything left does: one sweep after another, each by what was last seen to
 * be gained, the most idle first.
 *
 * @param wantedH given up as soon as not even all that may still be left off, were none of it missed, could lift the net hours
 *   above this
 * @returns what was left off
 */
export function dropAll(state: KitState, items: readonly number[], wantedH = -Infinity): Change[] {
  const dropped: Change[] = []
  let candidates = items
  while (candidates.length > 0) {
    const left = sweep(state, candidates, wantedH)
    dropped.push(...left)
    // Left off, a thing changes only what others of the same failures are worth.
    const near = new Set(left.flatMap(({ item }) => [item, ...nth(state.problem.meets, item)]))
    candidates = candidates.filter((item) => near.has(item))
  }
  return dropped
}

function sweep(state: KitState, items: readonly number[], wantedH: number): Change[] {
  const dropped: Change[] = []
  const guessH = (changes: readonly Change[]) => state.guess(changes) ?? -state.priceOf(changes)
  const candidates = drops(state, items).sort((a, b) => guessH(b) - guessH(a))
  // Left off, a thing gains its price at most.
  let mostH = candidates.reduce((sum, changes) => sum - state.priceOf(changes), 0)
  for (const changes of candidates) {
    if (!pays(state.netH + mostH - wantedH)) return dropped
    mostH += state.priceOf(changes)
    if (!state.allows(changes) || !pays(-state.priceOf(changes))) continue
    if (pays(state.gain(changes)) && state.apply(changes)) dropped.push(...changes)
  }
  return dropped
}

/**
 * Leaves off, of some items, what is missed least for what it weighs or costs, until the budgets hold: within a trial, as it may not pay.
 *
 * @returns what was left off
 */
export function dropToFit(state: KitState, items: readonly number[]): Change[] {
  const dropped: Change[] = []
  while (!state.fits) {
    const candidates = drops(state, items)
      .map((changes) => ({ changes, useful: state.usefulOf(changes) }))
      .filter(({ useful }) => useful > 0)
      .map(({ changes, useful }) => {
        return { changes, useful, guess: (state.guess(changes) ?? -state.priceOf(changes)) / useful }
      })
      .sort((a, b) => b.guess - a.guess)
    // Of what was missed least when last seen, a few are seen again.
    let [best, most]: [Change[] | undefined, number] = [undefined, -Infinity]
    for (const { changes, useful } of candidates.slice(0, seenAgain)) {
      const perShare = state.gain(changes) / useful
      if (perShare > most) [best, most] = [changes, perShare]
    }
    if (!best) return dropped
    state.apply(best)
    dropped.push(...best)
  }
  return dropped
}

const seenAgain = 4
