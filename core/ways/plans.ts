import { CostsOfFailing } from '../availability'
import { indexLedger, type Ledger } from '../ledger'
import { PromiseEvaluator } from '../promise'
import type { Reference } from '../reference'
import type { OpeningCache } from '../ride'
import type { Survey } from '../road'
import { KitSearch } from '../search'
import type { Thing } from '../bench'
import type { Trip } from '../trip'
import { ledgerOfTrip, purchaseOf, writeLedger, type LedgerOfTrip, type Purchase } from '../trip-ledger'
import type { Change } from './deed'

/** A plan with its ledger, and what becomes of it where one thing of it is otherwise. */
export class Plans {
  readonly laid: LedgerOfTrip
  private readonly costs: CostsOfFailing
  private readonly search: KitSearch

  /** @param survey the measured road of the trip; it must have a length */
  constructor(
    readonly trip: Trip,
    readonly survey: Survey,
    readonly reference: Reference,
    private readonly book: OpeningCache,
  ) {
    this.costs = new CostsOfFailing(trip, survey, reference, book)
    this.laid = ledgerOfTrip(trip, survey, reference, this.costs)
    this.search = KitSearch.forLedger(indexLedger(this.laid.ledger))
  }

  /** The ledger of the plan with a change; its price of a gram stays what it was. */
  ledgerWith(change: Change): Ledger {
    const { gramsPerHour } = this.laid.ledger
    const changed = { ...this.trip, ...change }
    const plan = { ...changed, dials: { ...changed.dials, gramsPerHour } }
    const isRoadSame = !change.stops && !change.ride && !change.road
    const costs = isRoadSame ? this.costs : new CostsOfFailing(plan, this.survey, this.reference, this.book, this.costs)
    return { ...writeLedger(plan, this.survey, this.reference, costs).ledger, gramsPerHour }
  }

  /** What it would be to buy a thing of the bench at a stop; nothing where no shop can have it. */
  purchaseAt(thing: Thing, stopId: string): Purchase | undefined {
    return purchaseOf({ ...thing, boughtAt: stopId }, this.trip.stops, this.costs)
  }

  /** What a kit promises by a ledger of the same things. */
  promiseOf(ledger: Ledger, counts: ArrayLike<number>): number {
    return PromiseEvaluator.after(this.search.problem.demand, indexLedger(ledger)).evaluate(counts).promiseH
  }

  /** The best kit for a ledger, and what it costs. */
  best(ledger: Ledger): { costH: number; massG: number } {
    const { promiseH, massG } = KitSearch.forLedger(indexLedger(ledger), this.search).best()
    return { costH: costOf(promiseH, massG, ledger), massG }
  }
}

/** Hours that a kit loses, and its grams in hours. */
export const costOf = (promiseH: number, massG: number, { gramsPerHour }: Ledger): number =>
  promiseH + (gramsPerHour === null ? 0 : massG / gramsPerHour)
