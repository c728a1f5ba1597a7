import { triesOf, type IndexedEvent, type IndexedLedger, type Try } from '../ledger'
import { ListMap } from '../maths'
import { nth, numberAt } from '../validation'
import { ToolScenarios, type ToolScenario } from './tool-scenarios'
import { WearLaw } from './wear-law'

/** Legs on which the failures of a stream meet the same fixes in the same order, and their sums over those legs. */
export interface LegGroup {
  readonly legs: readonly number[]
  /** For each scenario of tools, the fixes in the order in which they are tried. */
  readonly tries: readonly (readonly Try[])[]
  /** Of each leg of the ledger, its share of the failures of the group. */
  readonly byFailures: Float64Array
  /** The same of the hours that they may cost, of those on foot, and of the failures that may strand. */
  readonly byHours: Float64Array
  readonly byWalk: Float64Array
  readonly byStrandings: Float64Array
  /** Hours, each with as many failures as it is met by: of the tries of a fix, of what a fix leaves, of nothing mended. */
  readonly workH: Float64Array
  readonly residualH: Float64Array
  readonly residualWalkH: Float64Array
  readonly lossH: number
  readonly walkH: number
  readonly strandings: number
}

/** What a kit has against the failures of a stream, whatever is left of the stocks. */
export interface Facing {
  /** The chances of the scenarios of tools. */
  readonly scenarios: readonly number[]
  readonly groups: readonly LegGroup[]
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
  /** By how many of each tool are carried, and the conditions of the stocks. */
  private readonly facings = new ListMap<Facing>()
  private readonly carried: number[] = []
  /** The same by what the tools allow: many kits of tools allow the same. */
  private readonly facingsByScenarios = new Map<string, Facing>()
  private readonly orders = new Map<string, readonly OrderedLegs[]>()
  /** What is summed over legs, by the legs. */
  private readonly sums = new Map<string, Omit<LegGroup, 'tries'>>()
  private readonly conditionNumbers = new Map<number, number>()

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
    this.hoursAtStake = expected.reduce((sum, failures, leg) => sum + failures * numberAt(event.lossH, leg), 0)
    this.expectedInAll = expected.reduce((sum, failures) => sum + failures, 0)
  }

  /** @param conditions of each stock, as it is carried */
  facing(counts: ArrayLike<number>, conditions: Float64Array): Facing {
    const { carried } = this
    let i = 0
    for (const item of this.tools) carried[i++] = nth(counts, item)
    for (const stock of this.stocks) carried[i++] = this.conditionNumber(numberAt(conditions, stock))
    return this.facings.value(carried, () => this.facingWith(this.scenarios.carrying(counts), conditions))
  }

  private conditionNumber(condition: number): number {
    const known = this.conditionNumbers.get(condition)
    if (known !== undefined) return known
    const number = this.conditionNumbers.size
    this.conditionNumbers.set(condition, number)
    return number
  }

  private facingWith(scenarios: readonly ToolScenario[], conditions: Float64Array): Facing {
    const stocksKey = this.stocks.map((stock) => numberAt(conditions, stock)).join()
    const allowed = scenarios.map(({ doable, chance }) => `${doable.map(Number).join('')} ${chance}`)
    const key = `${allowed.join()}/${stocksKey}`
    const known = this.facingsByScenarios.get(key)
    if (known) return known
    const orders = this.orders.get(stocksKey) ?? this.orderedLegs(conditions)
    this.orders.set(stocksKey, orders)
    const facing = {
      scenarios: scenarios.map(({ chance }) => chance),
      groups: orders.map(({ order, sums }) => ({
        ...sums,
        tries: scenarios.map(({ doable }) => order.filter(({ fix }) => nth(doable, fix.number))),
      })),
    }
    this.facingsByScenarios.set(key, facing)
    return facing
  }

  private orderedLegs(conditions: Float64Array): OrderedLegs[] {
    const groups = new Map<string, { legs: number[]; order: readonly Try[] }>()
    const { orderedAsOn } = this.event
    const orderOfAll = orderedAsOn === undefined ? undefined : triesOf(this.event, orderedAsOn, conditions)
    this.expected.forEach((failures, leg) => {
      if (failures === 0) return
      const order = orderOfAll ?? triesOf(this.event, leg, conditions)
      const key = order.map(({ fix }) => fix.number).join()
      const group = groups.get(key)
      if (group) group.legs.push(leg)
      else groups.set(key, { legs: [leg], order })
    })
    return [...groups.values()].map(({ legs, order }) => {
      const key = legs.join()
      const sums = this.sums.get(key) ?? this.sumsOver(legs)
      this.sums.set(key, sums)
      return { order, sums }
    })
  }

  private sumsOver(legs: readonly number[]): Omit<LegGroup, 'tries'> {
    const { event, expected } = this
    const inAll = (perLeg: Float64Array) =>
      legs.reduce((sum, leg) => sum + numberAt(expected, leg) * numberAt(perLeg, leg), 0)
    const failures = legs.reduce((sum, leg) => sum + numberAt(expected, leg), 0)
    const byFailures = new Float64Array(expected.length)
    for (const leg of legs) byFailures[leg] = numberAt(expected, leg) / failures
    /** Of each leg its share of a sum; of nothing, as of the failures. */
    const sharesOf = (perLeg: Float64Array) => {
      const all = inAll(perLeg)
      if (all === 0) return byFailures
      const shares = new Float64Array(expected.length)
      for (const leg of legs) shares[leg] = (numberAt(expected, leg) * numberAt(perLeg, leg)) / all
      return shares
    }
    const ofFixes = (perLeg: (fix: Try['fix']) => Float64Array) =>
      Float64Array.from(event.fixes, (fix) => inAll(perLeg(fix)))
    const byHours = sharesOf(event.lossH)
    return {
      legs,
      // For a search that is near enough, one set of weights is.
      byFailures: event.orderedAsOn === undefined ? byFailures : byHours,
      byHours,
      byWalk: sharesOf(event.walkH),
      byStrandings: sharesOf(event.strands),
      workH: ofFixes(({ workH }) => workH),
      residualH: ofFixes(({ residualH }) => residualH),
      residualWalkH: ofFixes(({ residualWalkH }) => residualWalkH),
      lossH: inAll(event.lossH),
      walkH: inAll(event.walkH),
      strandings: inAll(event.strands),
    }
  }
}

/** A group of legs with the order in which all its fixes would be tried. */
interface OrderedLegs {
  readonly order: readonly Try[]
  readonly sums: Omit<LegGroup, 'tries'>
}

/** Every stream of a ledger that expects failures. */
export function demandStreams(ledger: IndexedLedger): DemandStream[] {
  return ledger.events.flatMap((event) => {
    const wear = event.wear ? new WearLaw(event.wear, ledger.legs) : undefined
    const streams = [new DemandStream(ledger, event, event.perLeg)]
    if (wear) streams.push(new DemandStream(ledger, event, wear.expected, wear))
    return streams.filter(({ expectedInAll }) => expectedInAll > 0)
  })
}
