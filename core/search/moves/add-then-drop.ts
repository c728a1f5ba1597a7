import type { Change } from '../../promise'
import type { KitState } from '../kit-state'
import { pays } from '../slack'
import { dropAll, dropToFit } from './drop'

/** So many exchanges that look best are tried. */
const mostTried = 12

/** Takes something that does not pay by itself, and leaves off what it makes superfluous. */
export function addThenDrop(state: KitState): boolean {
  for (const { changes, idle, roomH } of exchanges(state)) {
    if (!pays(state.gain(changes) + roomH)) continue
    const before = state.netH
    const others = state.problem.ledger.items.map((_, item) => item)
    const all = state.tryOut(changes, () => {
      const dropped = dropAll(state, idle, before)
      const tooMuch = dropToFit(
        state,
        others.filter((item) => !changes.some((change) => change.item === item)),
      )
      return state.fits && pays(state.netH - before) ? [...changes, ...dropped, ...tooMuch] : undefined
    })
    if (all && state.apply(all)) return true
  }
  return false
}

/** An addition with what may become idle beside it, and what carrying all of that costs. */
interface Exchange {
  readonly changes: Change[]
  readonly idle: number[]
  readonly roomH: number
}

/** Those that could gain at all, the one that could gain most first. */
function exchanges(state: KitState): Exchange[] {
  return state
    .additions()
    .map((changes) => {
      const idle = state.idleBeside(changes)
      const roomH = idle.reduce((sum, item) => sum - state.priceOf([{ item, by: -state.spare(item) }]), 0)
      return { changes, idle, roomH, mostH: state.mostGained(changes) + roomH }
    })
    .filter(({ mostH }) => pays(mostH))
    .sort((a, b) => b.mostH - a.mostH)
    .slice(0, mostTried)
}
