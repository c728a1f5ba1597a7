import type { Change } from '../../promise'
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

/** Leaves off what does not pay its grams, the most idle first, until everything left does. @returns what was left off */
export function dropAll(state: KitState, items: readonly number[]): Change[] {
  const dropped: Change[] = []
  for (;;) {
    let [best, most]: [Change[] | undefined, number] = [undefined, -Infinity]
    for (const changes of drops(state, items)) {
      // Left off, a thing gains its price at most.
      if (-state.priceOf(changes) <= most) continue
      const gainH = state.gain(changes)
      if (pays(gainH) && gainH > most) [best, most] = [changes, gainH]
    }
    if (!best) return dropped
    if (state.apply(best)) dropped.push(...best)
  }
}

/** Leaves off, of some items, what is missed least for its grams, until the budget holds. @returns what was left off */
export function dropToFit(state: KitState, items: readonly number[]): Change[] {
  const dropped: Change[] = []
  while (state.massG > state.budgetG) {
    let [best, most]: [Change[] | undefined, number] = [undefined, -Infinity]
    for (const changes of drops(state, items)) {
      const overG = Math.min(-state.massOf(changes), state.massG - state.budgetG)
      if (overG <= 0) continue
      const perGram = state.gain(changes) / overG
      if (perGram > most) [best, most] = [changes, perGram]
    }
    if (!best) return dropped
    state.apply(best)
    dropped.push(...best)
  }
  return dropped
}
