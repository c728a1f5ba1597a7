import { catalogue } from '#catalogue'
import { ledgerOfTrip } from '#core/trip-ledger'
import { tripFrom } from './trip'

/** A trip's ledger, in the format rag-tin.ledger/2. */
export function ledger(args: string[]): unknown {
  const { trip, survey } = tripFrom(args)
  return ledgerOfTrip(trip, survey, catalogue).ledger
}
