import type { Stream } from '../simulate'
import { nth, numberAt } from '../validation'
import type { PackState } from './pack-state'

/** The heat at which it begins and ends, as shares of what the packing costs. */
const heats = { first: 0.3, last: 0.002 } as const

/**
 * While pieces are moved about, one that is out costs so many times what the packing does, at first and at last: room is made
 * by taking some out for a while.
 */
export interface OutCosts {
  readonly first: number
  readonly last: number
}

/**
 * Moves pieces about, ever more carefully, and leaves the best packing that was met on the way.
 *
 * Simulated annealing: S. Kirkpatrick, C. D. Gelatt and M. P. Vecchi, Science 220 (1983), p. 671.
 */
export function anneal(state: PackState, numbers: Stream, steps: number, outCosts: OutCosts): void {
  const { pieces, places } = state.problem
  const whole = (below: number) => Math.floor(numbers.next() * below)
  const { diggingH, carryH } = state.costs
  const scale = Math.max(1e-9, diggingH + carryH)
  const costNow = () => {
    const costs = state.costs
    const withinH = costs.diggingH + costs.carryH
    return { withinH, out: state.outCount, hardH: withinH + costs.outH }
  }
  state.mark()
  let now = costNow()
  let [least, best] = [now.hardH, state.kept()]
  for (let step = 0; step < steps; step++) {
    const outH = scale * outCosts.first * (outCosts.last / outCosts.first) ** (step / steps)
    const heat = scale * heats.first * (heats.last / heats.first) ** (step / steps)
    const piece = whole(pieces.length)
    const other = whole(pieces.length)
    const from = numberAt(state.placeOf, piece)
    const rank = state.rankOf(piece)
    const isSwap = numbers.next() < 0.3
    const to = isSwap ? numberAt(state.placeOf, other) : whole(places.length + 1) - 1
    if (to >= 0 && !state.goesIn(piece, to)) continue
    if (isSwap && (to === from || (from >= 0 && !state.goesIn(other, from)))) continue
    const otherRank = state.rankOf(other)
    if (isSwap) state.take(other)
    state.put(piece, to, to < 0 ? 0 : whole(nth(state.inPlaces, to).length + 1))
    if (isSwap && from >= 0) state.put(other, from, whole(nth(state.inPlaces, from).length + 1))
    if ((to < 0 || state.hasRoom(to)) && (from < 0 || state.hasRoom(from))) {
      const after = costNow()
      const moreH = after.withinH - now.withinH + (after.out - now.out) * outH
      if (moreH <= 0 || numbers.next() < Math.exp(-moreH / heat)) {
        now = after
        state.mark()
        if (now.hardH < least) [least, best] = [now.hardH, state.kept()]
        continue
      }
    }
    if (isSwap) state.take(other)
    state.put(piece, from, rank)
    if (isSwap) state.put(other, to, otherRank)
    state.back()
  }
  state.restore(best)
}
