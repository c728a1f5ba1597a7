import { Stream } from '../simulate'
import { nth } from '../validation'
import type { SplitState } from './split-state'

/** Steps for each piece and each rider it may go to, and in all; the heat at which they begin and end, as shares of what placing costs. */
const stepsEach = 500
const mostSteps = 40_000
const heats = { first: 0.05, last: 0.003 } as const

/** The same numbers always. */
const key = 20260601

/**
 * Hands pieces about so that handing over and unevenness cost least, whatever that does to what is lost while riders are
 * apart: for a crew that never is.
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
  const steps = Math.min(mostSteps, stepsEach * pieces.length * (riders.length - 1))
  const scale = Math.max(1e-9, state.placedCostH)
  let [now, best] = [state.placedCostH, state.placedCostH]
  let kept = pieces.map(({ rider }) => rider)
  const move = (moved: { item: number; rider: number }, to: number) => {
    state.hand(moved.item, moved.rider, to)
    moved.rider = to
  }
  for (let step = 0; step < steps; step++) {
    const heat = scale * heats.first * (heats.last / heats.first) ** (step / steps)
    const piece = nth(pieces, whole(pieces.length))
    const other = nth(pieces, whole(pieces.length))
    const isExchange = numbers.next() < 0.5 && other.rider !== piece.rider
    const [from, to] = [
      piece.rider,
      isExchange ? other.rider : (piece.rider + 1 + whole(riders.length - 1)) % riders.length,
    ]
    move(piece, to)
    if (isExchange) move(other, from)
    const after = state.placedCostH
    if (after <= now || numbers.next() < Math.exp((now - after) / heat)) {
      now = after
      if (now < best) [best, kept] = [now, pieces.map(({ rider }) => rider)]
    } else {
      if (isExchange) move(other, to)
      move(piece, from)
    }
  }
  pieces.forEach((each, i) => move(each, nth(kept, i)))
}
