import { demoTrip } from '#catalogue/demo'
import { soleAccess, type Access } from '#core/access'
import { partNames, sameRevision, type Revision, type Revisions, type Trip } from '#core/trip'
import { MemoryOutbox } from '../app/session/memory-outbox'
import type { Timers } from '../app/session/timers'
import type { Loaded, PartChange, Saved, TripServer } from '../app/session/trip-server'
import { TripSessions } from '../app/session/trip-sessions'
import type { Message, Windows } from '../app/session/windows'

/** Time that stands still until it is told to go on. */
export class FakeTimers implements Timers {
  private clock = 0
  private due: { at: number; run: () => void }[] = []

  now(): number {
    return this.clock
  }

  after(ms: number, run: () => void): () => void {
    const entry = { at: this.clock + ms, run }
    this.due = [...this.due, entry]
    return () => (this.due = this.due.filter((other) => other !== entry))
  }

  async pass(ms: number): Promise<void> {
    const until = this.clock + ms
    for (;;) {
      await settle()
      const [next] = this.due.filter(({ at }) => at <= until).sort((a, b) => a.at - b.at)
      if (!next) break
      this.due = this.due.filter((other) => other !== next)
      this.clock = Math.max(this.clock, next.at)
      next.run()
    }
    this.clock = until
    await rest()
  }
}

/** Lets everything that waits for nothing but its turn come to rest. */
export async function settle(): Promise<void> {
  for (let i = 0; i < 3; i++) await new Promise((done) => setImmediate(done))
}

/** Lets a handful of requests, each waiting for the one before, come to an end. */
export async function rest(): Promise<void> {
  for (let i = 0; i < 6; i++) await settle()
}

/** Lets what hangs on no request come to rest: the device, and its other windows. */
export async function drain(): Promise<void> {
  for (let i = 0; i < 60; i++) await Promise.resolve()
}

interface KeptTrip {
  trip: Trip
  revisions: Record<string, Revision>
  /** The revisions that each save made. */
  done: Map<string, Record<string, Revision>>
  gone: boolean
  /** How whoever asks stands to it. */
  access: Access
}

/** How the server behaves towards the next requests. */
export type Mood =
  | 'well'
  /** The request never arrives. */
  | 'unreachable'
  /** The request is done, and the answer is lost. */
  | 'answer lost'
  /** The request is done later, after the one who asked has given up. */
  | 'late'
  | 'signed out'
  /** It is refused as it is. */
  | 'refuses'

/** A server that keeps trips by the rules of the real one. */
export class FakeServer implements TripServer {
  readonly trips = new Map<string, KeptTrip>()
  mood: Mood = 'well'
  /** Requests that were given up and are still under way. */
  private underWay: (() => void)[] = []
  private copies = new Map<string, KeptTrip>()
  private readonly refused = new Set<string>()
  saves: { trip: string; save: string; changes: readonly PartChange[] }[] = []

  begin(id: string, trip: Trip): void {
    const revisions = Object.fromEntries(partNames.map((part) => [part, { number: 1, save: 'begun' }]))
    this.trips.set(id, { trip, revisions, done: new Map(), gone: false, access: soleAccess })
  }

  async load(id: string): Promise<Loaded> {
    await settle()
    const barred = this.barred()
    if (barred) return barred
    const kept = this.trips.get(id)
    if (!kept || kept.gone) return { kind: 'gone' }
    const { trip, revisions, access } = structuredClone(kept)
    return { kind: 'loaded', trip, revisions: revisions as Revisions, access }
  }

  async revisions(id: string) {
    const loaded = await this.load(id)
    if (loaded.kind !== 'loaded') return loaded
    return { kind: 'known' as const, revisions: loaded.revisions, access: loaded.access }
  }

  async save(id: string, save: string, changes: readonly PartChange[]): Promise<Saved> {
    const sent = structuredClone(changes)
    await settle()
    if (this.mood === 'late') {
      this.underWay.push(() => this.put(id, save, sent))
      return { kind: 'away', lines: ['too late'] }
    }
    const barred = this.barred()
    if (barred) return barred
    const kept = this.trips.get(id)
    // A save is refused for what it is: not once it was done, and when it was, then also where it arrives late.
    if (this.mood === 'refuses' && kept && !kept.done.has(save)) {
      this.refused.add(save)
      return { kind: 'refused', lines: ['not as it is'] }
    }
    const answer = this.put(id, save, sent)
    return this.mood === 'answer lost' ? { kind: 'away', lines: ['lost'] } : answer
  }

  /** What was given up long ago arrives after all. */
  arriveLate(): void {
    const late = this.underWay
    this.underWay = []
    for (const request of late) request()
  }

  copy(): void {
    this.copies = structuredClone(this.trips)
  }

  /** Goes back to the last copy: what was saved since is forgotten. */
  goBack(): void {
    for (const [id, kept] of structuredClone(this.copies)) this.trips.set(id, { ...kept, gone: false })
  }

  private barred(): Exclude<Loaded, { kind: 'loaded' | 'gone' }> | undefined {
    if (this.mood === 'unreachable') return { kind: 'away', lines: ['no answer'] }
    if (this.mood === 'signed out') return { kind: 'signed out' }
    return undefined
  }

  private put(id: string, save: string, changes: readonly PartChange[]): Saved {
    const kept = this.trips.get(id)
    if (!kept || kept.gone) return { kind: 'gone' }
    if (this.refused.has(save)) return { kind: 'refused', lines: ['not as it is'] }
    const revisionOf = (part: string): Revision => kept.revisions[part] ?? { number: 0, save: '' }
    const saved = (made: Record<string, Revision>): Saved =>
      structuredClone({ kind: 'saved', made, revisions: kept.revisions as Revisions, access: kept.access })
    const before = kept.done.get(save)
    if (before) return saved(before)
    if (changes.some(({ part, base }) => !sameRevision(revisionOf(part), base))) return { kind: 'stale' }
    this.saves.push({ trip: id, save, changes })
    const made = Object.fromEntries(
      changes.map(({ part }) => [part, { number: revisionOf(part).number + 1, save }] as const),
    )
    kept.trip = { ...kept.trip, ...Object.fromEntries(changes.map(({ part, value }) => [part, value])) }
    kept.revisions = { ...kept.revisions, ...made }
    kept.done.set(save, made)
    return saved(made)
  }
}

/** One browser: its outbox, and its windows that hear one another. */
export class FakeDevice {
  readonly outbox = new MemoryOutbox(true)
  private readonly ears = new Map<FakeWindow, (message: Message) => void>()
  private queue: { window: FakeWindow; owned: () => void }[] = []
  private owner: FakeWindow | undefined

  tell(from: FakeWindow, message: Message): void {
    for (const [window, hear] of this.ears) {
      if (window !== from) queueMicrotask(() => this.ears.get(window) === hear && hear(structuredClone(message)))
    }
  }

  listen(window: FakeWindow, hear: (message: Message) => void): () => void {
    this.ears.set(window, hear)
    return () => this.ears.delete(window)
  }

  own(window: FakeWindow, owned: () => void): void {
    this.queue.push({ window, owned })
    this.handOver()
  }

  leave(window: FakeWindow): void {
    this.ears.delete(window)
    this.queue = this.queue.filter((waiting) => waiting.window !== window)
    if (this.owner === window) this.owner = undefined
    this.handOver()
  }

  private handOver(): void {
    if (this.owner) return
    const next = this.queue.shift()
    if (!next) return
    this.owner = next.window
    queueMicrotask(next.owned)
  }
}

let ids = 0

/** One window of a browser, with the sessions of its pages. */
export class FakeWindow implements Windows {
  readonly sessions: TripSessions

  constructor(
    private readonly device: FakeDevice,
    server: TripServer,
    timers: Timers,
  ) {
    const newId = () => `id-${++ids}`
    this.sessions = new TripSessions({ outbox: device.outbox, server, windows: this, timers, newId }, () => undefined)
  }

  tell(message: Message): void {
    this.device.tell(this, message)
  }
  listen(hear: (message: Message) => void): () => void {
    return this.device.listen(this, hear)
  }
  own(owned: () => void, until: AbortSignal): void {
    until.addEventListener('abort', () => this.device.leave(this))
    this.device.own(this, owned)
  }
  close(): void {
    this.device.leave(this)
  }

  /** The window dies without a word: nothing more is run in it. */
  die(): void {
    this.sessions.end()
  }
}

/** A trip small enough to be copied thousands of times. */
export function smallTrip(name: string): Trip {
  const trip = demoTrip()
  return {
    ...trip,
    name,
    road: { ...trip.road, points: trip.road.points.slice(0, 3), stretches: [] },
    // Within the length of a short line.
    stops: trip.stops.slice(0, 2).map((stop, i) => ({ ...stop, roadKm: i / 1000 })),
    bikes: [],
    crew: [],
    bench: trip.bench.slice(0, 3),
  }
}
