import type { KitState } from './kit-state'
import { addAll } from './moves/add'
import { addThenDrop, dropThenAdd } from './moves/compound'
import { dropAll } from './moves/drop'

/** Enough for any search seen to come to rest. */
const mostRounds = 60

const allItems = (state: KitState) => state.problem.ledger.items.map((_, item) => item)

/** Drops, adds and swaps until nothing gains. */
export function improve(state: KitState): void {
  for (let round = 0; round < mostRounds; round++) {
    const dropped = dropAll(state, allItems(state)).length > 0
    if (addAll(state) || dropped) continue
    if (!addThenDrop(state) && !dropThenAdd(state)) return
  }
}

/** Adds what gains, and improves what comes of it. */
export function grow(state: KitState): void {
  addAll(state)
  improve(state)
}

/** Leaves off what does not pay, and improves what is left. */
export function shrink(state: KitState): void {
  dropAll(state, allItems(state))
  improve(state)
}
