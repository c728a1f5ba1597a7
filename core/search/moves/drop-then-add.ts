import type { Change } from '../../promise'
import { nth } from '../../validation'
import type { KitState } from '../kit-state'
import { pays } from '../slack'
import { nearlyPaying } from './add'
import { dropAll, drops } from './drop'

/** Leaves something off and takes what then gains most instead, or leaves off what only it made worth carrying. */
export function dropThenAdd(state: KitState): boolean {
  const { rivals, meets } = state.problem
  const items = state.problem.ledger.items.map((_, item) => item)
  const extras = nearlyPaying(state)
  const additions = state.additions()
  const isTight = state.isLimited
  for (const changes of drops(state, items)) {
    const { item } = nth(changes, 0)
    const before = state.netH
    const instead = [
      ...extras.filter((extra) => isTight || extra.some((change) => nth(meets, item).has(change.item))),
      ...additions.filter((extra) => extra.some((change) => nth(rivals, item).has(change.item))),
    ].filter(
      (extra) =>
        !extra.some((change) => change.item === item) &&
        // What it makes good is what the drop loses, so that an exchange gains at most what the dropped weighs.
        pays(state.gain(extra) - state.priceOf(changes) - (isTight ? state.gain(changes) : 0)),
    )
    const isIdleAfter = idleTogether(state, changes, [...nth(meets, item)])
    const all = state.tryOut(changes, (gainH) => {
      // The most that can be made good is what the drop has lost.
      let [best, most]: [Change[] | undefined, number] = [undefined, -Infinity]
      for (const extra of instead) {
        if (!state.allows(extra)) continue
        const gained = state.gain(extra)
        if (gained > most) [best, most] = [extra, gained]
      }
      if (best && pays(most + gainH)) return [...changes, ...best]
      if (isIdleAfter.length === 0) return undefined
      const dropped = dropAll(state, isIdleAfter, before)
      return pays(state.netH - before) ? [...changes, ...dropped] : undefined
    })
    if (all && state.apply(all)) return true
  }
  return false
}

/**
 * The items that may be left off together with a change, for what carrying them all costs: whoever leaves off many things
 * loses at least what leaving off each of them by itself loses.
 */
function idleTogether(state: KitState, changes: readonly Change[], items: readonly number[]): number[] {
  const all = items.filter((item) => state.spare(item) > 0)
  const priceOf = (item: number) => -state.priceOf([{ item, by: -state.spare(item) }])
  const lostWithout = (dropped: readonly Change[]) => -state.priceOf(dropped) - state.gain(dropped)
  let [idle, roomH] = [all, 0]
  for (;;) {
    roomH = idle.reduce((sum, item) => sum + priceOf(item), -state.priceOf(changes))
    const fewer = idle.filter((item) => pays(roomH - lostWithout([{ item, by: -1 }])))
    if (fewer.length === idle.length) break
    idle = fewer
  }
  return pays(roomH - lostWithout(changes)) ? idle : []
}
