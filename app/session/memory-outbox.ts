import type { Access } from '#core/access'
import { partNames, sameRevision, type Revisions, type Trip } from '#core/trip'
import { nameWithSteps } from './outbox'
import type { KeptLine, KeptTrip, Known, Outbox, Parts, PlacedStep, Sending, Step, Waiting } from './outbox'

interface Kept {
  document: Trip
  revisions: Revisions
  settledUpTo: number
  sending: Sending | undefined
  access: Access | undefined
  asOf: number
  isTakenAlong: boolean
}

/** An outbox that lasts as long as this window: where the browser keeps no database for the page. */
export class MemoryOutbox implements Outbox {
  private readonly trips = new Map<string, Kept>()
  private readonly steps = new Map<string, PlacedStep[]>()
  private lastPlace = 0

  constructor(readonly lasts = false) {}

  async read(trip: string, known?: Known): Promise<KeptTrip | undefined> {
    const kept = this.trips.get(trip)
    if (!kept) return undefined
    const { document, revisions, settledUpTo, sending, access } = kept
    const asked = partNames.filter((part) => !known || !sameRevision(known.revisions[part], revisions[part]))
    const parts = Object.fromEntries(asked.map((part) => [part, document[part]]))
    return { revisions, parts, steps: [...this.stepsOf(trip)], settledUpTo, sending, access }
  }

  async keep(trip: string, document: Trip, revisions: Revisions): Promise<void> {
    if (this.trips.has(trip)) return
    this.trips.set(trip, {
      document,
      revisions,
      settledUpTo: 0,
      sending: undefined,
      access: undefined,
      asOf: Date.now(),
      isTakenAlong: false,
    })
  }

  async grant(trip: string, access: Access): Promise<void> {
    const kept = this.trips.get(trip)
    if (kept) kept.access = access
  }

  async heard(trip: string): Promise<void> {
    const kept = this.trips.get(trip)
    if (kept) kept.asOf = Date.now()
  }

  async takeAlong(trip: string, isTakenAlong: boolean): Promise<void> {
    const kept = this.trips.get(trip)
    if (kept) kept.isTakenAlong = isTakenAlong
  }

  async append(trip: string, step: Step): Promise<number> {
    const place = ++this.lastPlace
    this.steps.set(trip, [...this.stepsOf(trip), { ...step, place }])
    return place
  }

  async begin(trip: string, save: string): Promise<Sending | undefined> {
    const kept = this.trips.get(trip)
    const last = this.stepsOf(trip).at(-1)
    if (!kept || kept.sending || !last) return kept?.sending
    kept.sending = { save, upTo: last.place }
    return kept.sending
  }

  async settle(trip: string, { save, upTo }: Sending, parts: Parts, revisions: Partial<Revisions>): Promise<void> {
    const kept = this.trips.get(trip)
    if (kept?.sending?.save !== save) return
    kept.document = { ...kept.document, ...parts }
    kept.revisions = { ...kept.revisions, ...revisions }
    kept.settledUpTo = upTo
    kept.sending = undefined
    this.steps.set(
      trip,
      this.stepsOf(trip).filter(({ place }) => place > upTo),
    )
  }

  async abandon(trip: string): Promise<void> {
    const kept = this.trips.get(trip)
    if (kept) kept.sending = undefined
  }

  async rebase(
    trip: string,
    parts: Parts,
    revisions: Revisions,
    seen: ReadonlySet<string>,
    step: Step | undefined,
  ): Promise<boolean> {
    const kept = this.trips.get(trip)
    if (!kept || !this.stepsOf(trip).every(({ id }) => seen.has(id))) return false
    kept.document = { ...kept.document, ...parts }
    kept.revisions = revisions
    kept.sending = undefined
    if (step) await this.append(trip, step)
    return true
  }

  async waiting(): Promise<Waiting[]> {
    return [...this.steps]
      .filter(([, steps]) => steps.length > 0)
      .map(([trip, steps]) => ({
        trip,
        name: nameWithSteps(this.trips.get(trip)?.document.name, steps),
        steps: steps.length,
      }))
  }

  async kept(): Promise<KeptLine[]> {
    return [...this.trips]
      .map(([trip, { document, asOf, isTakenAlong }]) => {
        return { trip, name: nameWithSteps(document.name, this.stepsOf(trip)), asOf, isTakenAlong }
      })
      .reverse()
  }

  async forget(trip: string): Promise<void> {
    this.trips.delete(trip)
    this.steps.delete(trip)
  }

  async wipe(): Promise<void> {
    this.trips.clear()
    this.steps.clear()
  }

  close(): void {}

  private stepsOf(trip: string): readonly PlacedStep[] {
    return this.steps.get(trip) ?? []
  }
}
