import { nth } from '../validation'
import { anneal } from './anneal'
import { bestOf } from './improve'
import { ownKits, roughKits } from './own-kits'
import type { SplitProblem } from './problem'
import { SplitState, type Shift } from './split-state'

/** Riders times things: with more of them a search begins at few places. */
const mostWithEveryStart = 60

/** In crews of more than so many a search begins at one place only. */
const mostWithTwoStarts = 3

/**
 * The kit of a crew that stays together, handed about until it is handed over least and weighs evenly: what fails costs the
 * same whoever carries what.
 */
export function annealed(problem: SplitProblem): SplitState {
  const state = place({ ...problem, companies: [] })
  anneal(state)
  return new SplitState(problem, state.carried)
}

/** Where a search begins for a crew that is ever apart. */
export function startsApart(problem: SplitProblem): SplitState[] {
  const { riders, items } = problem
  const placed = place(problem)
  const nothing = riders.map(() => new Int32Array(items.length))
  const inTurn = riders.map((_, first) => riders.map((__, r) => (first + r) % riders.length))
  const withKits = (
    carried: readonly Int32Array[],
    kits: readonly ArrayLike<number>[],
    orders: readonly (readonly number[])[],
  ) => orders.map((order) => new SplitState(problem, withOwn(problem, carried, kits, order)))
  if (riders.length * items.length > mostWithEveryStart) {
    const orders = inTurn.slice(0, 1)
    const start = withKits(placed.carried, roughKits(problem), orders)
    return riders.length > mostWithTwoStarts ? start : [...start, ...withKits(nothing, ownKits(problem), orders)]
  }
  const own = ownKits(problem)
  return [
    placed,
    ...withKits(placed.carried, own, inTurn),
    ...withKits(nothing, own, inTurn),
    ...allOnOne(problem, placed),
  ]
}

/** All of a kit on each of the riders, but for what stays with others. */
const allOnOne = (problem: SplitProblem, { inAll }: SplitState): SplitState[] =>
  problem.riders.map((_, rider) => {
    const carried = problem.riders.map((__, r) =>
      Int32Array.from(problem.items, ({ stays }, item) =>
        r === rider ? nth(inAll, item) - otherStays(stays, r) : nth(stays, r),
      ),
    )
    return new SplitState(problem, carried)
  })

const otherStays = (stays: readonly number[], rider: number) =>
  stays.reduce((sum, count, r) => (r === rider ? sum : sum + count), 0)

/** Places a kit piece by piece, the heaviest first, each where it costs least. */
export function place(problem: SplitProblem): SplitState {
  const { items, riders, kit } = problem
  const carried = riders.map((_, r) => Int32Array.from(items, ({ stays }) => nth(stays, r)))
  const state = new SplitState(problem, carried)
  const left = items
    .flatMap(({ massG, there }, item) => {
      const more = Math.min(nth(kit, item), there) - nth(state.inAll, item)
      return Array.from({ length: Math.max(0, more) }, () => ({ item, massG }))
    })
    .sort((a, b) => b.massG - a.massG || a.item - b.item)
  for (const { item } of left) {
    const shifts = riders.map((_, to): Shift[] => [{ item, from: null, to }])
    const best = bestOf(state, shifts, -Infinity)
    if (best) state.apply(best)
  }
  return state
}

/** The same with all that riders would carry by themselves, one after another as far as there is enough of it. */
function withOwn(
  { items }: SplitProblem,
  carried: readonly Int32Array[],
  own: readonly ArrayLike<number>[],
  order: readonly number[],
): Int32Array[] {
  const more = carried.map((counts) => counts.slice())
  items.forEach(({ least, there, stays }, item) => {
    more.forEach((counts, rider) => (counts[item] = Math.max(nth(counts, item), nth(stays, rider))))
    let left = there - more.reduce((sum, counts) => sum + nth(counts, item), 0)
    for (const rider of order) {
      const counts = nth(more, rider)
      const by = Math.max(0, Math.min(left, nth(nth(own, rider), item) - nth(counts, item)))
      counts[item] = nth(counts, item) + by
      left -= by
    }
    const first = nth(more, nth(order, 0))
    const missing = least - more.reduce((sum, counts) => sum + nth(counts, item), 0)
    first[item] = nth(first, item) + Math.max(0, missing)
  })
  return more
}
