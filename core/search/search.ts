import { KitState } from './kit-state'
import { addAll } from './moves/add'
import { addThenDrop } from './moves/add-then-drop'
import { dropAll, drops } from './moves/drop'
import { dropThenAdd } from './moves/drop-then-add'
import { dropThenFill } from './moves/drop-then-fill'
import type { KitProblem } from './problem'

/** What is tried once nothing gains by itself, the likeliest first. */
const exchanges = [addThenDrop, dropThenAdd, dropThenFill] as const

/** Enough for any search seen to come to rest. */
const mostRounds = 60

const allItems = (state: KitState) => state.problem.ledger.items.map((_, item) => item)

/** Drops, adds and swaps until nothing gains. */
export function improve(state: KitState): void {
  for (let round = 0; round < mostRounds; round++) {
    const dropped = dropAll(state, allItems(state)).length > 0
    if (addAll(state) || dropped) continue
    if (!exchanges.some((move) => move(state))) return
  }
}

/** Adds what gains, and improves what comes of it. */
export function grow(state: KitState): void {
  addAll(state)
}

/**
 * Goes over to the whole ledger from a condensed one: whatever gains there, or may be mistaken not to, is tried on the whole
 * ledger, and done where it gains.
 *
 * @param isAtRest whether nothing gains there any more: then exchanges are tried once something has been changed
 */
export function makeSure(state: KitState, problem: KitProblem, isAtRest: boolean): void {
  state.makeSureOn(problem)
  let mayExchange = !isAtRest
  for (let round = 0; round < mostRounds; round++) {
    const additions = state.additions().filter((changes) => state.mayPay(state.mostGained(changes), changes))
    const candidates = [...drops(state, allItems(state)), ...additions]
      .filter((changes) => state.allows(changes))
      .map((changes) => ({ changes, gainH: state.gain(changes) }))
      .filter(({ changes, gainH }) => state.mayPay(gainH, changes))
      .sort((a, b) => b.gainH - a.gainH)
    if (candidates.some(({ changes }) => state.apply(changes))) mayExchange = true
    else if (!mayExchange || !exchanges.some((move) => move(state))) return
  }
}

/** How many of each item are left of all there is when what does not pay is left off, each as it looks at first sight. */
export function payingAtSight(problem: KitProblem): Int32Array {
  const all = new KitState(
    problem,
    problem.ledger.items.map(({ max }) => max),
  )
  Object.assign(all, unlimited)
  return all.tryOut([], () => {
    dropAll(all, allItems(all))
    return all.counts.slice()
  })
}

/** No limits. */
export const unlimited = { budgetG: Infinity, budgetMoney: Infinity } as const
