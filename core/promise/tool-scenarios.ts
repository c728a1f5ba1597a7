import type { IndexedEvent, IndexedLedger } from '../ledger'
import { nth } from '../validation'

/** Which fixes of an event its tools allow, by their numbers, and the chance of just those. */
export interface ToolScenario {
  readonly doable: readonly boolean[]
  readonly chance: number
}

/** Less likely scenarios are left out, and the others share their chance. */
const leastChance = 1e-3

/** A tool with the functions that fixes of an event need of it. */
interface EventTool {
  readonly item: number
  readonly offered: readonly number[]
  /** The chance that one of it does not work. */
  readonly fails: number
}

/** What tools allow of the fixes of an event: each of those that are carried works on a trip, or does not. */
export class ToolScenarios {
  private readonly needed: readonly number[]
  private readonly tools: readonly EventTool[]

  constructor(
    { items }: IndexedLedger,
    private readonly event: IndexedEvent,
  ) {
    this.needed = [...new Set(event.fixes.flatMap(({ needs }) => needs))]
    this.tools = items.flatMap(({ provides, condition }, item) => {
      const offered = provides.filter((name) => this.needed.includes(name))
      return offered.length > 0 ? [{ item, offered, fails: 1 - condition }] : []
    })
  }

  /** The items that provide a function that a fix needs. */
  get items(): number[] {
    return this.tools.map(({ item }) => item)
  }

  /** @param counts how many of each item are carried */
  carrying(counts: ArrayLike<number>): ToolScenario[] {
    const sure = new Set<number>()
    const unsure: { offered: readonly number[]; fails: number }[] = []
    for (const { item, offered, fails } of this.tools) {
      const count = nth(counts, item)
      if (count === 0) continue
      if (fails > 0) unsure.push({ offered, fails: fails ** count })
      else for (const name of offered) sure.add(name)
    }
    const scenarios = new Map<string, { doable: boolean[]; chance: number }>()
    for (const { functions, chance } of this.working(sure, unsure)) {
      const doable = this.event.fixes.map(({ needs }) => needs.every((need) => functions.has(need)))
      const key = doable.join(' ')
      scenarios.set(key, { doable, chance: chance + (scenarios.get(key)?.chance ?? 0) })
    }
    const likely = [...scenarios.values()].filter(({ chance }) => chance >= leastChance)
    const total = likely.reduce((sum, { chance }) => sum + chance, 0)
    return likely.map(({ doable, chance }) => ({ doable, chance: chance / total }))
  }

  /** Functions that work, with their chance; in the order of the tools, so that the likeliest stay. */
  private working(
    sure: ReadonlySet<number>,
    unsure: readonly { offered: readonly number[]; fails: number }[],
  ): Iterable<WorkingFunctions> {
    let works = new Map<string, WorkingFunctions>([['', { functions: sure, chance: 1 }]])
    for (const { offered, fails } of unsure) {
      if (offered.every((name) => sure.has(name))) continue
      const next: typeof works = new Map()
      const add = (functions: ReadonlySet<number>, chance: number) => {
        if (chance < leastChance / 10) return
        const key = this.needed.map((name) => (functions.has(name) ? 1 : 0)).join('')
        next.set(key, { functions, chance: chance + (next.get(key)?.chance ?? 0) })
      }
      for (const { functions, chance } of works.values()) {
        add(functions, chance * fails)
        add(new Set([...functions, ...offered]), chance * (1 - fails))
      }
      works = next
    }
    return works.values()
  }
}

interface WorkingFunctions {
  readonly functions: ReadonlySet<number>
  readonly chance: number
}
