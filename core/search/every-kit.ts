import type { Change } from '../promise'
import { nth } from '../validation'
import { KitState } from './kit-state'
import type { KitProblem } from './problem'

/** So few kits, against so few streams of failures, are all tried: surely, and in about the time that a search takes. */
const few = { kits: 1500, streams: 12 } as const

export function areFew({ ledger, demand }: KitProblem): boolean {
  const kits = ledger.items.reduce((product, { min, max }) => product * (max - min + 1), 1)
  return kits <= few.kits && demand.streams.length <= few.streams
}

/** The best of all kits within the budgets, every one tried; of equals the first. What is pinned must be within them. */
export function bestOfAll(problem: KitProblem): KitState {
  const { items } = problem.ledger
  const state = new KitState(
    problem,
    items.map(({ min }) => min),
  )
  let best = { counts: [...state.counts], netH: state.netH }
  for (;;) {
    const next = items.findIndex(({ max }, item) => nth(state.counts, item) < max)
    if (next < 0) break
    const back = items.slice(0, next).map(({ min }, item): Change => ({ item, by: min - nth(state.counts, item) }))
    state.set([...back.filter(({ by }) => by !== 0), { item: next, by: 1 }])
    if (state.fits && state.netH > best.netH) {
      best = { counts: [...state.counts], netH: state.netH }
    }
  }
  return new KitState(problem, best.counts)
}
