import type { IndexedEvent, IndexedLedger } from '../ledger'
import { nth } from '../validation'

/** Which fixes of an event its tools allow, by their numbers, and the chance of just those. */
export interface ToolScenario {
  readonly doable: readonly boolean[]
  readonly chance: number
}

/** Less likely scenarios are left out, and the others share their chance. */
const leastChance = 1e-3

/**
 * What the tools that are carried allow on a trip: each of them works or does not.
 *
 * @param tools the items that provide a function that a fix of the event needs
 */
export function toolScenarios(
  { items }: IndexedLedger,
  { fixes }: IndexedEvent,
  tools: readonly number[],
  counts: ArrayLike<number>,
): ToolScenario[] {
  const needed = new Set(fixes.flatMap(({ needs }) => needs))
  const carried = tools.flatMap((tool) => {
    const [{ provides, condition }, count] = [nth(items, tool), nth(counts, tool)]
    const offered = provides.filter((name) => needed.has(name))
    return count === 0 ? [] : [{ offered, fails: (1 - condition) ** count }]
  })
  const sure = new Set(carried.flatMap(({ offered, fails }) => (fails === 0 ? offered : [])))
  /** Functions that work, with their chance; in the order of the tools, so that the likeliest stay. */
  let works = new Map<string, { functions: ReadonlySet<number>; chance: number }>([
    ['', { functions: sure, chance: 1 }],
  ])
  for (const { offered, fails } of carried) {
    if (offered.every((name) => sure.has(name))) continue
    const next: typeof works = new Map()
    const add = (functions: ReadonlySet<number>, chance: number) => {
      if (chance < leastChance / 10) return
      const key = [...needed].map((name) => (functions.has(name) ? 1 : 0)).join('')
      next.set(key, { functions, chance: chance + (next.get(key)?.chance ?? 0) })
    }
    for (const { functions, chance } of works.values()) {
      add(functions, chance * fails)
      add(new Set([...functions, ...offered]), chance * (1 - fails))
    }
    works = next
  }
  const scenarios = new Map<string, { doable: boolean[]; chance: number }>()
  for (const { functions, chance } of works.values()) {
    const doable = fixes.map(({ needs }) => needs.every((need) => functions.has(need)))
    const key = doable.join(' ')
    scenarios.set(key, { doable, chance: chance + (scenarios.get(key)?.chance ?? 0) })
  }
  const likely = [...scenarios.values()].filter(({ chance }) => chance >= leastChance)
  const total = likely.reduce((sum, { chance }) => sum + chance, 0)
  return likely.map(({ doable, chance }) => ({ doable, chance: chance / total }))
}
