import { explainKit } from '../core/choose'
import { ledgerFrom } from './trip'

/** What to take and what to leave, with the claims behind each verdict. */
export function kit(words: string[]): unknown {
  const { verdicts, counts, massG, savedH, netH, expectedH, emptyH, rideThrough } = explainKit(ledgerFrom(words).ledger)
  return { verdicts, counts, massG, savedH, netH, expectedH, emptyH, rideThrough }
}
