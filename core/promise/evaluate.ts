import { departureWith, triesOf, type IndexedEvent, type IndexedLedger, type KitHours, type Try } from '../ledger'
import { numberAt, nth } from '../validation'
import { StockLaw, type Drawing } from './stock-law'
import { toolScenarios, type ToolScenario } from './tool-scenarios'
import { WalkThrough, type AtLeast, type Drawn, type FailureOutcome } from './walk-through'
import { WearLaw } from './wear-law'

/** What wears less often than this on a trip draws as if it came of a sudden. */
const leastWorn = 0.25
/** For one stock, how often each of so many things has worn out is kept in mind; of others it is their mean. */
const mostKept = 2
/** So many times what is left of each stock is worked out anew from what is left of the others. */
const rounds = 3

/** What is drawn of a stock. */
interface StockDraws {
  /** The amounts that tries draw. */
  readonly amounts: readonly number[]
  /** The events that draw on it, and those of them of which it is kept in mind how often they have worn out. */
  readonly events: readonly number[]
  readonly kept: ReadonlySet<number>
}

/** An event with what a kit has against it. */
interface Faced {
  readonly event: IndexedEvent
  readonly wear: WearLaw | undefined
  readonly scenarios: readonly ToolScenario[]
  /** For each leg and each scenario of tools, the fixes in the order in which they are tried. */
  readonly tries: readonly (readonly (readonly Try[])[])[]
  /** For each leg, what a failure of a sudden and one of wear find of each stock. */
  readonly found: readonly { readonly sudden: AtLeast[]; readonly worn: AtLeast[] }[]
}

/**
 * Works out what kits promise, fast and near the truth.
 *
 * Each stock is followed by itself through the trip: what failures draw of it, in a random order, with its refills by
 * chance. That is exact where a failure draws on one stock; where on several, what is at hand of one is taken to tell
 * nothing of another, and a few rounds settle who draws what.
 */
export class PromiseEvaluator {
  private readonly wear: readonly (WearLaw | undefined)[]
  private readonly draws: readonly StockDraws[]

  constructor(private readonly ledger: IndexedLedger) {
    const { events, stocks, legs } = ledger
    this.wear = events.map(({ wear }) => (wear ? new WearLaw(wear, legs) : undefined))
    this.draws = stocks.map((_, stock) => {
      const uses = events.map(({ fixes }) =>
        fixes.flatMap((fix) => fix.uses.filter((use) => use.stock === stock).map(({ amount }) => amount)),
      )
      const drawing = uses.flatMap((amounts, e) => (amounts.length > 0 ? [e] : []))
      return { amounts: [...new Set(uses.flat())], events: drawing, kept: this.wearKept(drawing) }
    })
  }

  /** Of some events, those that wear most on a trip. */
  private wearKept(events: readonly number[]): ReadonlySet<number> {
    const worn = events
      .map((e) => ({ e, times: this.wear[e]?.expected.reduce((sum, times) => sum + times, 0) ?? 0 }))
      .filter(({ times }) => times >= leastWorn)
      .sort((a, b) => b.times - a.times)
    return new Set(worn.slice(0, mostKept).map(({ e }) => e))
  }

  /** @param counts how many of each item are carried, in their order */
  evaluate(counts: ArrayLike<number>): KitHours {
    const { amounts, conditions } = departureWith(this.ledger, counts)
    const faced = this.ledger.events.map((event, e) => this.face(event, this.wear[e], counts, amounts, conditions))
    for (let round = 0; round < rounds; round++) {
      amounts.forEach((full, stock) => {
        if (full > 0) this.follow(stock, full, faced)
      })
    }
    return this.sum(faced)
  }

  private face(
    event: IndexedEvent,
    wear: WearLaw | undefined,
    counts: ArrayLike<number>,
    amounts: Float64Array,
    conditions: Float64Array,
  ): Faced {
    const scenarios = toolScenarios(this.ledger, event, counts)
    const carried = () =>
      Array.from(
        amounts,
        (full): AtLeast =>
          (amount) =>
            amount <= full + 1e-9 ? 1 : 0,
      )
    const legs = Array.from({ length: this.ledger.legs }, (_, leg) => leg)
    return {
      event,
      wear,
      scenarios,
      tries: legs.map((leg) => {
        const tries = triesOf(event, leg, conditions)
        return scenarios.map(({ doable }) => tries.filter(({ fix }) => nth(doable, fix.number)))
      }),
      found: legs.map(() => ({ sudden: carried(), worn: carried() })),
    }
  }

  /** Follows one stock through the trip, and tells its events what they find of it. */
  private follow(stock: number, full: number, faced: readonly Faced[]): void {
    const { amounts, events, kept } = nth(this.draws, stock)
    const drawers = events.map((e) => ({ ...nth(faced, e), isKept: kept.has(e) }))
    const wearing = drawers.flatMap(({ wear, isKept }) => (wear && isKept ? wear : []))
    const law = new StockLaw(full, amounts)
    law.depart(wearing.length)
    for (let leg = 0; leg < this.ledger.legs; leg++) {
      if (leg > 0) {
        law.arrive(
          numberAt(nth(this.ledger.refillChance, stock), leg),
          wearing.map((wear) => wear.isFresh(leg)),
        )
      }
      const found = law.ride(
        leg,
        drawers.map((drawer) => drawingOf(drawer, drawer.isKept, law.amounts, stock, leg)),
      )
      drawers.forEach((drawer, d) => {
        const at = nth(drawer.found, leg)
        at.sudden[stock] = found.sudden
        at.worn[stock] = found.worn[d] ?? found.sudden
      })
    }
  }

  private sum(faced: readonly Faced[]): KitHours {
    let [promiseH, walkH, strandings] = [0, 0, 0]
    const count = (each: Faced, leg: number, times: number, atLeast: readonly AtLeast[]) => {
      if (times === 0) return
      const outcome = outcomeOf(each, leg, atLeast)
      promiseH += times * outcome.hours
      walkH += times * outcome.walkH
      strandings += times * outcome.unmended * numberAt(each.event.strands, leg)
    }
    for (const each of faced) {
      each.found.forEach(({ sudden, worn }, leg) => {
        count(each, leg, numberAt(each.event.perLeg, leg), sudden)
        if (each.wear) count(each, leg, numberAt(each.wear.expected, leg), worn)
      })
    }
    // Strandings come nearly one by one: as if of a Poisson law.
    return { promiseH, walkH, stranded: 1 - Math.exp(-strandings) }
  }
}

/**
 * What failures of an event draw of a stock on a leg, for each amount that may be left of it.
 *
 * @param isKept whether it is kept in mind how often it has worn out; else it wears out as if of a sudden
 */
function drawingOf(drawer: Faced, isKept: boolean, amounts: readonly number[], stock: number, leg: number): Drawing {
  const { sudden } = nth(drawer.found, leg)
  const worn = drawer.wear && !isKept ? numberAt(drawer.wear.expected, leg) : 0
  const expected = numberAt(drawer.event.perLeg, leg) + worn
  const wear = isKept ? drawer.wear : undefined
  if (expected === 0 && !wear) return { expected, wear, drawn: [] }
  return {
    expected,
    wear,
    drawn: amounts.map((left) => {
      const atLeast = sudden.slice()
      atLeast[stock] = (amount) => (amount <= left + 1e-9 ? 1 : 0)
      const through = new WalkThrough(drawer.event, atLeast)
      const drawn: Drawn = new Map()
      drawer.scenarios.forEach(({ chance }, s) => {
        for (const [amount, share] of through.drawnOf(stock, nth(nth(drawer.tries, leg), s), leg)) {
          drawn.set(amount, (drawn.get(amount) ?? 0) + chance * share)
        }
      })
      return drawn
    }),
  }
}

function outcomeOf({ event, scenarios, tries }: Faced, leg: number, atLeast: readonly AtLeast[]): FailureOutcome {
  const through = new WalkThrough(event, atLeast)
  return scenarios.reduce<FailureOutcome>(
    (sum, { chance }, s) => {
      const { hours, walkH, unmended } = through.outcome(nth(nth(tries, leg), s), leg)
      return {
        hours: sum.hours + chance * hours,
        walkH: sum.walkH + chance * walkH,
        unmended: sum.unmended + chance * unmended,
      }
    },
    { hours: 0, walkH: 0, unmended: 0 },
  )
}
