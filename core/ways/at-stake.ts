import { traitsOf, wholeBike, type Bike } from '../bike'
import { bikeFactor, lifeLeft, type Hazard } from '../hazard'
import { indexLedger } from '../ledger'
import { demandOf, PromiseEvaluator } from '../promise'
import { classOfStock, type LedgerOfTrip } from '../trip-ledger'
import { defined, nth } from '../validation'

/** What failures still cost with a kit: no deed that makes some of them rarer or cheaper spares more, by and large. */
export class AtStake {
  private readonly hours = new Map<string, number>()
  /** The part of it that nothing carried answers, or that was tried in vain. */
  private readonly unmended = new Map<string, number>()

  constructor(
    private readonly laid: LedgerOfTrip,
    counts: ArrayLike<number>,
  ) {
    const ledger = indexLedger(laid.ledger)
    const demand = demandOf(ledger)
    const promise = new PromiseEvaluator(ledger, demand).settled(counts)
    const add = (hours: Map<string, number>, event: string, more: number) =>
      hours.set(event, (hours.get(event) ?? 0) + more)
    demand.streams.forEach(({ event }, number) => {
      const { open, failed, fixes } = promise.account(number)
      const mended = fixes.reduce((sum, { residual, workH }) => sum + residual.hours + workH, 0)
      add(this.unmended, event.id, open.hours + failed.hours)
      add(this.hours, event.id, open.hours + failed.hours + mended)
    })
  }

  /** Hours of the failures that are not mended and that a part of some class settles, or would mend. */
  onClass(classId: string): number {
    const { ledger, notes } = this.laid
    return ledger.events.reduce((sum, { id, fixes }, i) => {
      const isSettled = nth(notes, i).settledBy.includes(classId)
      const isMended = () =>
        fixes.some(({ uses }) => Object.keys(uses).some((stock) => classOfStock(stock) === classId))
      return isSettled || isMended() ? sum + (this.unmended.get(id) ?? 0) : sum
    }, 0)
  }

  /** Hours of the failures that come otherwise to a bike once it is another. */
  onBike(before: Bike, after: Bike, hazards: readonly Hazard[]): number {
    return this.laid.notes.reduce((sum, { event, bike, hazard: id, wheel }) => {
      if (bike !== before.id) return sum
      // Hands that know a bike bring more off, whatever fails of it.
      if (before.known !== after.known) return sum + (this.hours.get(event) ?? 0)
      const hazard = defined(hazards.find((each) => each.id === id))
      const comes = (as: Bike) => {
        const tyre = wheel ? as.tyres[wheel] : wholeBike(as).tyre
        const left = hazard.kind === 'wearing' ? lifeLeft(hazard, as, tyre.treadLeft) : 1
        return `${bikeFactor(hazard, traitsOf(as, tyre), tyre.treadLeft)} ${left}`
      }
      return comes(before) === comes(after) ? sum : sum + (this.hours.get(event) ?? 0)
    }, 0)
  }
}
