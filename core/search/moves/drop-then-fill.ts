import type { Change } from '../../promise'
import { nth } from '../../validation'
import type { KitState } from '../kit-state'
import { pays } from '../slack'
import { bestAddition } from './add'
import { drops } from './drop'

/** Leaves something off and fills the room that it leaves: where a budget binds, one thing may stand in the way of two. */
export function dropThenFill(state: KitState): boolean {
  if (!state.isLimited) return false
  const items = state.problem.ledger.items.map((_, item) => item)
  for (const changes of drops(state, items)) {
    const before = state.netH
    const all = state.tryOut(changes, () => {
      const filled = fill(state, nth(changes, 0).item)
      return pays(state.netH - before) ? [...changes, ...filled] : undefined
    })
    if (all && state.apply(all)) return true
  }
  return false
}

/** Adds, within a trial, what gains most for what it takes until there is no room or no gain. @returns what was added */
function fill(state: KitState, except: number): Change[] {
  const added: Change[] = []
  for (;;) {
    const best = bestAddition(state, except)
    if (!best) return added
    state.apply(best)
    added.push(...best)
  }
}
