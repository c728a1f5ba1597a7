import type { IndexedEvent, IndexedLedger } from '../ledger'
import { nth } from '../validation'

/** Functions that work, of those the fixes of an event need, and the chance of just those. */
export interface ToolScenario {
  readonly works: ReadonlySet<number>
  readonly chance: number
}

/** Less likely scenarios are left out, and the others share their chance. */
const leastChance = 1e-5

/** Which of the tools that an event's fixes need work on a trip. */
export function toolScenarios(
  { items }: IndexedLedger,
  { fixes }: IndexedEvent,
  counts: ArrayLike<number>,
): ToolScenario[] {
  const needed = new Set(fixes.flatMap(({ needs }) => needs))
  let scenarios = new Map<string, ToolScenario>([['', { works: new Set(), chance: 1 }]])
  items.forEach(({ provides, condition }, i) => {
    const offered = provides.filter((name) => needed.has(name))
    const count = nth(counts, i)
    if (offered.length === 0 || count === 0) return
    const fails = (1 - condition) ** count
    const next = new Map<string, ToolScenario>()
    const add = (works: ReadonlySet<number>, chance: number) => {
      if (chance < leastChance) return
      const key = [...works].sort((a, b) => a - b).join(' ')
      next.set(key, { works, chance: chance + (next.get(key)?.chance ?? 0) })
    }
    for (const { works, chance } of scenarios.values()) {
      add(works, chance * fails)
      add(new Set([...works, ...offered]), chance * (1 - fails))
    }
    scenarios = next
  })
  const total = [...scenarios.values()].reduce((sum, { chance }) => sum + chance, 0)
  return [...scenarios.values()].map(({ works, chance }) => ({ works, chance: chance / total }))
}
