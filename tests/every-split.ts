import { loadOf } from '#core/ledger'
import { SplitState, type SplitProblem } from '#core/split'

/** What the best of all splits costs, every piece tried on every rider and on the bench. */
export function everySplit(problem: SplitProblem): { costH: number; carried: number[][]; tried: number } {
  const { riders, items } = problem
  /** Of a kind, every way to place so many pieces on riders. */
  const ways = items.map(({ there }) => placings(there, riders.length))
  let best: { costH: number; carried: number[][] } = { costH: Infinity, carried: [] }
  let tried = 0
  const carried = riders.map(() => items.map(() => 0))
  const walk = (item: number) => {
    if (item === items.length) {
      const inAll = items.map((_, i) => carried.reduce((sum, counts) => sum + (counts[i] ?? 0), 0))
      const { massG, money } = loadOf(problem.ledger, inAll)
      if (massG > problem.budgetG || money > problem.budgetMoney) return
      tried++
      const { costH } = new SplitState(problem, carried).costs
      if (costH < best.costH) best = { costH, carried: carried.map((counts) => [...counts]) }
      return
    }
    for (const way of ways[item] ?? []) {
      way.forEach((count, rider) => {
        const counts = carried[rider]
        if (counts) counts[item] = count
      })
      walk(item + 1)
    }
  }
  walk(0)
  return { ...best, tried }
}

function placings(pieces: number, riders: number): number[][] {
  if (riders === 0) return [[]]
  return Array.from({ length: pieces + 1 }, (_, count) =>
    placings(pieces - count, riders - 1).map((rest) => [count, ...rest]),
  ).flat()
}
