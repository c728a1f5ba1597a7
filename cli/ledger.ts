import { ledgerFrom } from './trip'

/** A trip's ledger, in the format rag-tin.ledger/1. */
export function ledger(args: string[]): unknown {
  return ledgerFrom(args).ledger
}
