import type { SavedThing, ShedChange } from '#core/shed'
import { FetchError } from 'ofetch'
import { api, linesOf, statusOf } from '../http/api'
import { jsonBlob } from '../http/json-blob'

export type ShedAway = { readonly kind: 'away'; readonly lines: readonly string[] } | { readonly kind: 'signed out' }
export type ShedLoaded = { readonly kind: 'loaded'; readonly things: readonly SavedThing[] } | ShedAway
export type ShedSaved =
  | { readonly kind: 'saved'; readonly things: readonly SavedThing[] }
  /** Saved elsewhere since: how these things stand there. */
  | { readonly kind: 'stale'; readonly stale: readonly SavedThing[] }
  | { readonly kind: 'refused'; readonly lines: readonly string[] }
  | ShedAway

/** Who keeps a shed for all devices. */
export interface ShedServer {
  load(): Promise<ShedLoaded>
  save(save: string, changes: readonly ShedChange[]): Promise<ShedSaved>
}

const patienceMs = 30_000
/** Answers that say the same request may go better later. */
const passing = new Set([404, 408, 425, 429])

const away = (error: unknown): ShedAway =>
  statusOf(error) === 401 ? { kind: 'signed out' } : { kind: 'away', lines: linesOf(error) }

/** The server, asked over the network as one person. */
export function fetchShed(person: string): ShedServer {
  const asking = () => ({
    signal: AbortSignal.timeout(patienceMs),
    headers: { 'x-rag-tin-person': person },
  })
  return {
    async load() {
      try {
        const { things } = await api<{ things: SavedThing[] }>('/api/shed', asking())
        return { kind: 'loaded', things }
      } catch (error) {
        return away(error)
      }
    },
    async save(save, changes) {
      try {
        const body = await jsonBlob({ save, changes })
        const { things } = await api<{ things: SavedThing[] }>('/api/shed', { method: 'PATCH', body, ...asking() })
        return { kind: 'saved', things }
      } catch (error) {
        const status = statusOf(error)
        if (status === 409 && error instanceof FetchError) {
          const { data } = error.data as { data: { stale: SavedThing[] } }
          return { kind: 'stale', stale: data.stale }
        }
        if (status === undefined || status === 401 || status >= 500 || passing.has(status)) return away(error)
        return { kind: 'refused', lines: linesOf(error) }
      }
    },
  }
}
