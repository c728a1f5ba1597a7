import { breakEvenOf, type BreakEven } from '#core/choose'
import type { Ledger } from '#core/trip-ledger'
import { expose } from 'comlink'

/** Finds where an item changes sides, in a thread of its own: it takes dozens of solutions, and no verdict waits for it. */
const service = { breakEvenOf: (ledger: Ledger, itemId: string): BreakEven => breakEvenOf(ledger, itemId) }
export type BreakEvenService = typeof service
expose(service)
