import type { Bike } from '../bike'
import { conditionOf, type Thing } from '../bench'
import { trustAtDeparture, uncheckedFactor } from '../checks'
import type { Ledger, LedgerEvent } from '../ledger'
import type { Reference } from '../reference'
import { defined, nth } from '../validation'
import type { LedgerOfTrip } from './ledger-of-trip'

/** The chance that a thing that comes along from the start works, as far as it was tried. */
export function conditionAtDeparture(thing: Thing, { trials, families, works }: Reference): number {
  return conditionOf({ ...thing, condition: trustAtDeparture(thing, trials, families) }, works)
}

/** What of a plan says what was looked over and tried. */
interface Prepared {
  readonly bikes: readonly Bike[]
  readonly bench: readonly Thing[]
}

/**
 * The ledger of a plan of which nothing else is other than what was looked over and what was tried, without writing it anew.
 *
 * @param laid the ledger of the plan before
 * @param before the plan as it was, its bikes as they stand at the start
 * @param after the same as it shall be
 */
export function withPreparation(
  { ledger, notes }: Pick<LedgerOfTrip, 'ledger' | 'notes'>,
  before: Prepared,
  after: Prepared,
  reference: Reference,
): Ledger {
  const factor = (hazard: string, id: string) => {
    const unchecked = ({ bikes }: Prepared) =>
      uncheckedFactor(defined(bikes.find((bike) => bike.id === id)), hazard, reference.checks)
    return unchecked(after) / unchecked(before)
  }
  return {
    ...ledger,
    items: ledger.items.map((item, i) => {
      const [was, now] = [nth(before.bench, i), nth(after.bench, i)]
      return was === now ? item : { ...item, condition: conditionAtDeparture(now, reference) }
    }),
    events: ledger.events.map((event, i) => {
      const { hazard, bike } = nth(notes, i)
      const times = factor(hazard, bike)
      return times === 1 ? event : asOften(event, times)
    }),
  }
}

/** An event that comes so many times as often: what wears does so as many times as fast. */
const asOften = (event: LedgerEvent, times: number): LedgerEvent => ({
  ...event,
  perLeg: event.perLeg.map((failures) => failures * times),
  ...(event.wear && { wear: { ...event.wear, lives: event.wear.lives.map((lives) => lives * times) } }),
})
