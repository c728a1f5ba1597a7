import { FetchError } from 'ofetch'
import { vi } from 'vitest'
import { partNames, type PartName, type Trip } from '../../core/trip'

interface Change {
  readonly part: PartName
  readonly base: number
  readonly value: unknown
}

/** What the server answers when it refuses: a status, and data for the one who asked. */
export function refusal(status: number | undefined, data: object = {}): FetchError {
  const error = new FetchError(`answered ${status}`)
  Object.assign(error, { statusCode: status, data: { data } })
  return error
}

/** A server that keeps one trip by the rules of the real one, for stores to talk to. */
export class ServerOfTrips {
  versions = Object.fromEntries(partNames.map((part) => [part, 1])) as Record<PartName, number>
  readonly asked: { path: string; method: string; body?: unknown }[] = []
  /** Refusals to come, the first first. */
  readonly refusals: FetchError[] = []
  /** Held answers, for tests that act while the server thinks. */
  private held: (() => void)[] | undefined

  constructor(public trip: Trip) {
    vi.stubGlobal('$fetch', async (path: string, { method = 'GET', body }: { method?: string; body?: unknown } = {}) =>
      this.answer(path, method, body instanceof Blob ? JSON.parse(await body.text()) : body),
    )
  }

  get saves(): Change[][] {
    return this.asked
      .filter(({ method }) => method === 'PATCH')
      .map(({ body }) => (body as { changes: Change[] }).changes)
  }

  /** Another window saves a part. */
  saveElsewhere<P extends PartName>(part: P, value: Trip[P]): void {
    this.trip = { ...this.trip, [part]: value }
    this.versions = { ...this.versions, [part]: this.versions[part] + 1 }
  }

  hold(): void {
    this.held = []
  }

  release(): void {
    const held = this.held ?? []
    this.held = undefined
    for (const go of held) go()
  }

  private async answer(path: string, method: string, body: unknown): Promise<unknown> {
    this.asked.push({ path, method, body })
    if (this.held) await new Promise<void>((go) => this.held!.push(go))
    const refused = this.refusals.shift()
    if (refused) throw refused
    if (method === 'POST') return { id: 'copy' }
    if (method === 'GET') return { trip: this.trip, versions: this.versions }
    const { changes } = body as { changes: Change[] }
    const late = changes.filter(({ part, base }) => base !== this.versions[part])
    if (late.length > 0) {
      const parts = late.map(({ part }) => ({ part, version: this.versions[part], savedAt: '2026-06-01T00:00:00Z' }))
      throw refusal(409, { parts })
    }
    for (const { part, value } of changes) this.saveElsewhere(part, value as never)
    return { versions: this.versions }
  }
}
