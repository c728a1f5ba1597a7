import { crewSuccess, type Company, type Technique } from '../crew'
import type { Ledger } from '../ledger'
import type { Reference } from '../reference'
import { defined, nth } from '../validation'
import type { Exposure } from './exposure'
import type { LedgerOfTrip } from './ledger-of-trip'

/** How surely a crew brings off what fixes ask of its hands. */
export class Hands {
  private readonly techniques: ReadonlyMap<string, Technique>

  /**
   * @param companies who rides together how far
   * @param helper chance that somebody who has done it at home comes by on a quiet road
   */
  constructor(
    private readonly companies: readonly Pick<Company, 'riders' | 'km'>[],
    private readonly helper: number,
    private readonly reference: Pick<Reference, 'techniques' | 'hands'>,
  ) {
    this.techniques = new Map(reference.techniques.map((technique) => [technique.id, technique]))
  }

  /** The chance that they bring a technique off on a bike, by what failures of it meet: the mean over how far it is ridden with whom. */
  success(
    techniqueId: string,
    { id, isStrange }: { readonly id: string; readonly isStrange: boolean },
    { passersBy, apart }: Pick<Exposure, 'passersBy' | 'apart'>,
  ): number {
    const technique = defined(this.techniques.get(techniqueId), `the technique "${techniqueId}"`)
    const helper = Math.min(1, this.helper * passersBy)
    const riding = this.companies.filter(({ riders }) => riders.some(({ bikeId }) => bikeId === id))
    let [inAll, sum] = [0, 0]
    for (const { riders, km } of riding.length > 0 ? riding : this.companies) {
      inAll += km
      sum += km * crewSuccess(riders, id, technique, helper, apart, isStrange, this.reference.hands)
    }
    return inAll > 0 ? sum / inAll : crewSuccess([], id, technique, helper, apart, isStrange, this.reference.hands)
  }
}

/** The ledger of a trip as it would be with other hands, the same riders on the same bikes. */
export function withHands({ ledger, notes }: LedgerOfTrip, hands: Hands): Ledger {
  return {
    ...ledger,
    events: ledger.events.map((event, i) => {
      const { bike: id, isStrange, exposure } = nth(notes, i)
      const fixes = event.fixes.map((fix) =>
        fix.technique === undefined
          ? fix
          : { ...fix, hands: hands.success(fix.technique, { id, isStrange }, exposure) },
      )
      return { ...event, fixes }
    }),
  }
}
