import { firstOfEachAttempt, triesOf, type IndexedEvent, type IndexedLedger, type Try } from '../ledger'
import { ListMap } from '../maths'
import { nth, numberAt } from '../validation'
import { isSameEvent } from './alike'
import { LegSums } from './leg-sums'
import { ToolScenarios, type ToolScenario } from './tool-scenarios'
import { WearLaw } from './wear-law'

/** Legs on which the failures of a stream meet the same fixes in the same order. */
export interface LegGroup {
  readonly sums: LegSums
  /** For each scenario of tools, the fixes in the order in which they are tried. */
  readonly tries: readonly (readonly Try[])[]
}

/** What a kit has against the failures of a stream, whatever is left of the stocks. */
export interface Facing {
  /** The chances of the scenarios of tools. */
  readonly scenarios: readonly number[]
  readonly groups: readonly LegGroup[]
}

/** How good a stock is is told to this part. */
export const conditionGrains = 1e9

/** What tools allow, by a number: many kits of tools allow the same. */
export interface Allowed {
  readonly number: number
  readonly scenarios: readonly ToolScenario[]
}

/** Failures of one event that come by one law, of a sudden or by wear: a stream of demands on the stocks. */
export class DemandStream {
  /** The stocks that its fixes draw on, by their numbers. */
  readonly stocks: readonly number[]
  /** The functions that its fixes need. */
  readonly functions: readonly number[]
  /** Failures on the whole trip, in the mean. */
  readonly expectedInAll: number
  /** Hours lost on the whole trip where nothing mends any of them, in the mean. */
  readonly hoursAtStake: number
  private readonly scenarios: ToolScenarios
  private readonly tools: readonly number[]
  /** By how many of each tool are carried. */
  private readonly allowedByCounts = new ListMap<Allowed>()
  private readonly allowed = new Map<string, Allowed>()
  /** By what tools allow, and the conditions of the stocks. */
  private readonly facings = new ListMap<Facing>()
  /** The lists that are looked up; used again for the next. */
  private readonly toolCounts: number[]
  private readonly facingKey: number[]
  private readonly orderKey: number[]
  /** By the conditions of the stocks. */
  private readonly orders = new ListMap<readonly OrderedLegs[]>()
  /** What is summed over legs, by the legs. */
  private readonly sums = new ListMap<LegSums>()

  /**
   * @param expected failures on each leg, in the mean
   * @param wear where they come by wear
   */
  constructor(
    ledger: IndexedLedger,
    readonly event: IndexedEvent,
    readonly expected: Float64Array,
    readonly wear?: WearLaw,
  ) {
    this.stocks = [...new Set(event.fixes.flatMap(({ uses }) => uses.map(({ stock }) => stock)))]
    this.functions = [...new Set(event.fixes.flatMap(({ needs }) => needs))]
    this.scenarios = new ToolScenarios(ledger, event)
    this.tools = this.scenarios.items
    this.toolCounts = this.tools.map(() => 0)
    this.facingKey = [0, ...this.stocks.map(() => 0)]
    this.orderKey = this.stocks.map(() => 0)
    this.hoursAtStake = expected.reduce((sum, failures, leg) => sum + failures * numberAt(event.lossH, leg), 0)
    this.expectedInAll = expected.reduce((sum, failures) => sum + failures, 0)
  }

  /** What the tools of a kit allow. */
  allowedBy(counts: ArrayLike<number>): Allowed {
    const { toolCounts } = this
    for (let i = 0; i < toolCounts.length; i++) toolCounts[i] = nth(counts, nth(this.tools, i))
    return this.allowedByCounts.value(toolCounts, () => this.allowedWith(counts))
  }

  /** @param conditions of each stock, as it is carried; 0 where nothing of it is */
  facing(allowed: Allowed, conditions: Float64Array): Facing {
    const { facingKey } = this
    facingKey[0] = allowed.number
    for (let i = 0; i < this.stocks.length; i++) {
      facingKey[i + 1] = Math.round(numberAt(conditions, nth(this.stocks, i)) * conditionGrains)
    }
    return this.facings.value(facingKey, () => this.facingWith(allowed, conditions))
  }

  private allowedWith(counts: ArrayLike<number>): Allowed {
    const scenarios = this.scenarios.carrying(counts)
    const text = scenarios.map(({ doable, chance }) => `${doable.map(Number).join('')} ${chance}`).join()
    const known = this.allowed.get(text)
    if (known) return known
    const allowed = { number: this.allowed.size, scenarios }
    this.allowed.set(text, allowed)
    return allowed
  }

  private facingWith({ scenarios }: Allowed, conditions: Float64Array): Facing {
    const isCarried = (fix: Try['fix']) => fix.uses.every(({ stock }) => numberAt(conditions, stock) > 0)
    const ordered = this.ordersWith(conditions).map(({ legs, order }) => {
      const carried = order.filter(({ fix }) => isCarried(fix))
      const tries = scenarios.map(({ doable }) =>
        firstOfEachAttempt(carried.filter(({ fix }) => nth(doable, fix.number))),
      )
      return { legs, tries }
    })
    return {
      scenarios: scenarios.map(({ chance }) => chance),
      groups: groupAlike(ordered).map(({ legs, tries }) => ({ sums: this.sumsOf(legs), tries })),
    }
  }

  /** The orders of all fixes, as if something of every stock were carried. */
  private ordersWith(conditions: Float64Array): readonly OrderedLegs[] {
    const { orderKey } = this
    for (let i = 0; i < this.stocks.length; i++) {
      const condition = numberAt(conditions, nth(this.stocks, i))
      orderKey[i] = Math.round((condition > 0 ? condition : 1) * conditionGrains)
    }
    return this.orders.value(orderKey, () =>
      this.orderedLegs(conditions.map((condition) => (condition > 0 ? condition : 1))),
    )
  }

  private orderedLegs(conditions: Float64Array): OrderedLegs[] {
    const groups = new Map<string, { legs: number[]; order: readonly Try[] }>()
    const { orderedAsOn } = this.event
    const orderOfAll = orderedAsOn === undefined ? undefined : triesOf(this.event, orderedAsOn, conditions)
    this.expected.forEach((failures, leg) => {
      if (failures === 0) return
      const order = orderOfAll ?? triesOf(this.event, leg, conditions)
      const key = numbersOf(order)
      const group = groups.get(key)
      if (group) group.legs.push(leg)
      else groups.set(key, { legs: [leg], order })
    })
    return [...groups.values()]
  }

  private sumsOf(legs: readonly number[]): LegSums {
    return this.sums.value(legs, () => new LegSums(this.event, this.expected, legs))
  }
}

/** Legs with the order in which all fixes would be tried on them. */
interface OrderedLegs {
  readonly legs: readonly number[]
  readonly order: readonly Try[]
}

/** Legs with what is tried on them. */
interface TriedLegs {
  readonly legs: readonly number[]
  readonly tries: LegGroup['tries']
}

/** Without the fixes that nothing carried allows, the order may be the same on more legs: those are one group. */
function groupAlike(ordered: readonly TriedLegs[]): readonly TriedLegs[] {
  if (ordered.length === 1) return ordered
  const groups = new Map<string, { legs: number[]; tries: LegGroup['tries'] }>()
  for (const { legs, tries } of ordered) {
    const key = tries.map(numbersOf).join('/')
    const group = groups.get(key)
    if (group) group.legs.push(...legs)
    else groups.set(key, { legs: [...legs], tries })
  }
  for (const { legs } of groups.values()) legs.sort((a, b) => a - b)
  return [...groups.values()]
}

const numbersOf = (tries: readonly Try[]) => tries.map(({ fix }) => fix.number).join()

/**
 * Every stream of a ledger that expects failures.
 *
 * @param before those of a ledger with the same things: where a failure is the same, so are its streams
 */
export function demandStreams(ledger: IndexedLedger, before: readonly DemandStream[] = []): DemandStream[] {
  const known = new Map<string, DemandStream[]>()
  for (const stream of before) known.set(stream.event.id, [...(known.get(stream.event.id) ?? []), stream])
  return ledger.events.flatMap((event) => {
    const same = known.get(event.id)
    if (same && isSameEvent(nth(same, 0).event, event)) return same
    const wear = event.wear ? new WearLaw(event.wear, ledger.legs) : undefined
    const streams = [new DemandStream(ledger, event, event.perLeg)]
    if (wear) streams.push(new DemandStream(ledger, event, wear.expected, wear))
    return streams.filter(({ expectedInAll }) => expectedInAll > 0)
  })
}
