import type { Access } from '#core/access'
import type { Revisions, Trip } from '#core/trip'
import { FetchError } from 'ofetch'
import { jsonBlob } from '../http/json-blob'
import { api, linesOf, statusOf } from '../http/api'
import type { Loaded, PartChange, Saved, TripServer, Unreached } from './trip-server'

/** A server that has not answered by then is taken to be away; a road of a quarter of a million points takes its time. */
const patienceMs = 30_000
/** Answers that say the same request may go better later. */
const passing = new Set([408, 425, 429])

const asking = (person: string) => ({
  signal: AbortSignal.timeout(patienceMs),
  headers: { 'x-rag-tin-person': person },
})

function unreached(error: unknown): Unreached {
  const status = statusOf(error)
  if (status === 401) return { kind: 'signed out' }
  if (status === 404) return { kind: 'gone' }
  return { kind: 'away', lines: linesOf(error) }
}

/** The server, asked over the network as one person: where somebody else has signed in since, it answers nobody is. */
export const fetchServer = (person: string): TripServer => ({
  async load(trip): Promise<Loaded> {
    try {
      const answer = await api<{ trip: Trip; revisions: Revisions; access: Access }>(
        `/api/trips/${trip}`,
        asking(person),
      )
      return { kind: 'loaded', ...answer }
    } catch (error) {
      return unreached(error)
    }
  },

  async revisions(trip) {
    try {
      const known = await api<{ revisions: Revisions; access: Access }>(`/api/trips/${trip}/revisions`, asking(person))
      return { kind: 'known', ...known }
    } catch (error) {
      return unreached(error)
    }
  },

  async save(trip, save, changes: readonly PartChange[]): Promise<Saved> {
    try {
      const body = await jsonBlob({ save, changes })
      const made = await api<{ made: Partial<Revisions>; revisions: Revisions; access: Access }>(`/api/trips/${trip}`, {
        method: 'PATCH',
        body,
        ...asking(person),
      })
      return { kind: 'saved', ...made }
    } catch (error) {
      const status = statusOf(error)
      if (status === 409) return { kind: 'stale' }
      const isRefused = error instanceof FetchError && status !== undefined && status >= 400 && status < 500
      if (isRefused && status !== 401 && status !== 404 && !passing.has(status))
        return { kind: 'refused', lines: linesOf(error) }
      return unreached(error)
    }
  },
})
