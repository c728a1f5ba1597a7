import { nth } from '../../validation'
import type { KitState } from '../kit-state'
import { pays } from '../slack'
import { nearlyPaying } from './add'
import { dropAll, dropToFit } from './drop'

/** Takes something that does not pay by itself, and leaves off what it makes superfluous. */
export function addThenDrop(state: KitState): boolean {
  const { meets } = state.problem
  for (const changes of nearlyPaying(state)) {
    const near = [...new Set(changes.flatMap(({ item }) => [...nth(meets, item)]))]
    const candidates = near.filter(
      (item) =>
        state.spare(item) > 0 &&
        !changes.some((change) => change.item === item) &&
        pays(-state.priceOf([{ item, by: -1 }]) - state.lostElsewhere(item, changes)),
    )
    const roomH = candidates.reduce((sum, item) => sum + state.priceOf([{ item, by: state.spare(item) }]), 0)
    if (!pays(state.gain(changes) + roomH)) continue
    const before = state.netH
    const others = state.problem.ledger.items.map((_, item) => item)
    const all = state.tryOut(changes, () => {
      const idle = dropAll(state, candidates)
      const tooMuch = dropToFit(
        state,
        others.filter((item) => !changes.some((change) => change.item === item)),
      )
      const isFit = state.massG <= state.budgetG
      return isFit && pays(state.netH - before) ? [...changes, ...idle, ...tooMuch] : undefined
    })
    if (all && state.apply(all)) return true
  }
  return false
}
