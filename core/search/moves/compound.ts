import type { Change } from '../../promise'
import { nth } from '../../validation'
import type { KitState } from '../kit-state'
import { pays } from '../slack'
import { additions, hopefulAdditions } from './add'
import { dropAll, drops, dropToFit } from './drop'

/** So many additions that nearly pay are tried with what they would make superfluous, or in exchange for something. */
const mostNearlyPaying = 12

/** Additions by what they gain, the best first; those that cannot pay even if what they replace were to go are left out. */
function nearlyPaying(state: KitState): Change[][] {
  return hopefulAdditions(state)
    .map(({ changes }) => ({ changes, gainH: state.gain(changes) }))
    .sort((a, b) => b.gainH - a.gainH)
    .slice(0, mostNearlyPaying)
    .map(({ changes }) => changes)
}

/** Takes something that does not pay by itself, and leaves off what it makes superfluous. */
export function addThenDrop(state: KitState): boolean {
  const { meets } = state.problem
  for (const changes of nearlyPaying(state)) {
    const near = [...new Set(changes.flatMap(({ item }) => [...nth(meets, item)]))]
    const candidates = near.filter((item) => state.spare(item) > 0 && !changes.some((change) => change.item === item))
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

/** Leaves something off and takes what then gains most instead, or leaves off what only it made worth carrying. */
export function dropThenAdd(state: KitState): boolean {
  const { rivals, meets } = state.problem
  const items = state.problem.ledger.items.map((_, item) => item)
  const extras = nearlyPaying(state)
  const isTight = Number.isFinite(state.budgetG)
  for (const changes of drops(state, items)) {
    const [{ item }] = changes as [Change]
    const before = state.netH
    const instead = [
      ...extras.filter((extra) => isTight || extra.some((change) => nth(meets, item).has(change.item))),
      ...additions(state).filter((extra) => extra.some((change) => nth(rivals, item).has(change.item))),
    ].filter(
      (extra) =>
        !extra.some((change) => change.item === item) &&
        // What it makes good is what the drop loses, so that an exchange gains at most what the dropped weighs.
        pays(state.gain(extra) - state.priceOf(changes) - (isTight ? state.gain(changes) : 0)),
    )
    const isIdleAfter = [...nth(meets, item)].filter((other) => state.spare(other) > 0)
    const all = state.tryOut(changes, (gainH) => {
      // The most that can be made good is what the drop has lost.
      let [best, most]: [Change[] | undefined, number] = [undefined, -Infinity]
      for (const extra of instead) {
        if (!state.allows(extra)) continue
        const gained = state.gain(extra)
        if (gained > most) [best, most] = [extra, gained]
      }
      if (best && pays(most + gainH)) return [...changes, ...best]
      const roomH = isIdleAfter.reduce(
        (sum, other) => sum + state.priceOf([{ item: other, by: state.spare(other) }]),
        0,
      )
      if (!pays(gainH + roomH)) return undefined
      const dropped = dropAll(state, isIdleAfter)
      return pays(state.netH - before) ? [...changes, ...dropped] : undefined
    })
    if (all && state.apply(all)) return true
  }
  return false
}
