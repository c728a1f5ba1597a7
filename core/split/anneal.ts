import { Stream } from '../simulate'
import { nth } from '../validation'
import type { SplitState } from './split-state'

/** Steps for each piece and each two riders between whom it may go, and at most for all riders; so often it is heated anew meanwhile. */
const stepsEach = 1000
const mostSteps = 600_000
const heatings = 3
/** The heat at which each begins and ends, as shares of what placing costs. */
const heats = { first: 0.05, last: 0.002 } as const

/** The same numbers always. */
const key = 20260601

/**
 * Hands pieces about so that handing over and unevenness cost least, whatever that does to what is lost while riders are
 * apart: for a crew that never is. A piece goes to another rider by itself, with another of the same rider's, or for one of
 * that rider's.
 *
 * Simulated annealing: S. Kirkpatrick, C. D. Gelatt and M. P. Vecchi, Science 220 (1983), p. 671.
 */
export function anneal(state: SplitState): void {
  const numbers = new Stream(key)
  const { riders, items } = state.problem
  const whole = (below: number) => Math.floor(numbers.next() * below)
  const pieces = state.carried.flatMap((counts, rider) =>
    items.flatMap(({ stays }, item) =>
      Array.from({ length: nth(counts, item) - nth(stays, rider) }, () => ({ item, rider })),
    ),
  )
  if (pieces.length === 0 || riders.length < 2) return
  const twos = (riders.length * (riders.length - 1)) / 2
  const steps = Math.min(mostSteps / riders.length, stepsEach * pieces.length * twos)
  const scale = Math.max(1e-9, state.placedCostH)
  let [now, best] = [state.placedCostH, state.placedCostH]
  let kept = pieces.map(({ rider }) => rider)
  const hand = (item: number, from: number, to: number) => {
    state.hand(item, from, to)
    return { item, from, to }
  }
  state.mark()
  const stepsOfHeating = Math.ceil(steps / heatings)
  for (let step = 0; step < steps; step++) {
    const heat = scale * heats.first * (heats.last / heats.first) ** ((step % stepsOfHeating) / stepsOfHeating)
    const piece = nth(pieces, whole(pieces.length))
    const other = nth(pieces, whole(pieces.length))
    const from = piece.rider
    const isExchange = numbers.next() < 0.5 && other.rider !== from
    if (isExchange && other.item === piece.item) continue
    const to = isExchange ? other.rider : (from + 1 + whole(riders.length - 1)) % riders.length
    const handed = [hand(piece.item, from, to)]
    const isPair = !isExchange && other.rider === from && other !== piece
    if (isExchange) handed.push(hand(other.item, to, from))
    else if (isPair) handed.push(hand(other.item, from, to))
    const after = state.placedCostH
    if (after <= now || numbers.next() < Math.exp((now - after) / heat)) {
      piece.rider = to
      if (isExchange) other.rider = from
      else if (isPair) other.rider = to
      state.mark()
      now = after
      if (now < best) [best, kept] = [now, pieces.map(({ rider }) => rider)]
    } else state.back(handed)
  }
  pieces.forEach(({ item, rider }, i) => {
    if (rider !== nth(kept, i)) state.hand(item, rider, nth(kept, i))
  })
}
