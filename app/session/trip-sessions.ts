import type { KeptLine, Waiting } from './outbox'
import { TripSession, type Opened, type SessionTools } from './trip-session'
import type { Message, SavingState, Windows } from './windows'

interface Tools extends Omit<SessionTools, 'isOwner' | 'windows'> {
  readonly windows: Windows
}

/**
 * All sessions of one person in this window. While it owns the device's outbox it also brings to the server what was
 * left behind: by pages that were left, by windows that died.
 */
export class TripSessions {
  private readonly sessions = new Map<string, TripSession>()
  /** Trips that a page of this window shows, with how many do. */
  private readonly shown = new Map<string, number>()
  private readonly until = new AbortController()
  private readonly deafen: () => void
  private isOwner = false
  private readonly listeners = new Set<() => void>()

  /** @param signedOut called when another window has signed the person out */
  constructor(
    private readonly tools: Tools,
    private readonly signedOut: () => void,
  ) {
    this.deafen = tools.windows.listen((message) => this.hear(message))
    tools.windows.own(() => {
      this.isOwner = true
      for (const session of this.sessions.values()) void session.owned()
      void this.carryOn()
    }, this.until.signal)
  }

  /** The session of a trip for a page to show, and how opening went. Each is closed once for each time it was opened. */
  async open(trip: string): Promise<{ session: TripSession; opened: Opened }> {
    this.shown.set(trip, (this.shown.get(trip) ?? 0) + 1)
    const session = this.sessionOf(trip)
    const opened: Opened = session.document ? { kind: 'opened' } : await session.open()
    if (opened.kind === 'opened') void session.catchUp()
    return { session, opened }
  }

  /** The page is left; what waits is still brought to the server. */
  async close(trip: string): Promise<SavingState> {
    const pages = (this.shown.get(trip) ?? 1) - 1
    if (pages > 0) this.shown.set(trip, pages)
    else this.shown.delete(trip)
    const state = await this.sessionOf(trip).flush()
    this.letGo(trip)
    return state
  }

  /** Brings everything to the server. @returns what could not be brought there */
  async flush(): Promise<Waiting[]> {
    await Promise.all([...this.sessions.values()].map((session) => session.flush()))
    await this.carryOn()
    return this.waiting()
  }

  /** What has not been brought to the server. */
  async waiting(): Promise<Waiting[]> {
    const alone = [...this.sessions.values()].filter(({ isAlone, unsaved }) => isAlone && unsaved > 0)
    const kept = await this.tools.outbox.waiting()
    return [
      ...kept.filter(({ trip }) => !alone.some(({ id }) => id === trip)),
      ...alone.map(({ id, document, unsaved }) => ({ trip: id, name: document?.name ?? '', steps: unsaved })),
    ]
  }

  /** Tells whenever what waits may be other than it was, in this window or another. @returns stops telling */
  subscribe(listener: () => void): () => void {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  private notify(): void {
    for (const listener of this.listeners) listener()
  }

  kept(): Promise<KeptLine[]> {
    return this.tools.outbox.kept()
  }

  /** Has a trip lie on this device as the server has it now, and stay there; or no longer. @returns how it went */
  async takeAlong(trip: string, isTakenAlong: boolean): Promise<Opened> {
    const { session, opened } = await this.open(trip)
    try {
      if (opened.kind === 'opened') await session.catchUp()
      await this.tools.outbox.takeAlong(trip, isTakenAlong)
    } finally {
      await this.close(trip)
    }
    return opened
  }

  /** The network or the person is back: everything is tried again. */
  async tryAgain(): Promise<void> {
    this.tools.windows.tell({ kind: 'signed in' })
    for (const session of this.sessions.values()) session.hear({ kind: 'signed in' })
    await this.carryOn()
  }

  /** Forgets a trip on this device, with what waits of it. */
  async forget(trip: string): Promise<void> {
    this.sessions.get(trip)?.end()
    this.sessions.delete(trip)
    await this.tools.outbox.forget(trip)
  }

  /** The person has signed out: nothing stays on this device, in no window. */
  async wipe(): Promise<void> {
    this.tools.windows.tell({ kind: 'signed out' })
    await this.tools.outbox.wipe()
    this.end()
  }

  /** Lets go of everything; what the device holds stays there. */
  end(): void {
    for (const session of this.sessions.values()) session.end()
    this.sessions.clear()
    this.listeners.clear()
    this.until.abort()
    this.deafen()
    this.tools.windows.close()
    this.tools.outbox.close()
  }

  private sessionOf(trip: string): TripSession {
    const known = this.sessions.get(trip)
    if (known) return known
    const session = new TripSession(trip, { ...this.tools, isOwner: () => this.isOwner })
    this.sessions.set(trip, session)
    // A session that nobody shows goes when it has nothing more to do.
    session.subscribe(() => {
      this.letGo(trip)
      this.notify()
    })
    return session
  }

  private letGo(trip: string): void {
    const session = this.sessions.get(trip)
    if (!session || this.shown.has(trip) || !session.mayEnd) return
    session.end()
    this.sessions.delete(trip)
  }

  /** Brings to the server what waits of trips that no page here shows. */
  private async carryOn(): Promise<void> {
    if (!this.isOwner) return
    const waiting = await this.tools.outbox.waiting()
    await Promise.all(waiting.map(({ trip }) => this.carry(trip)))
  }

  private async carry(trip: string): Promise<void> {
    if (this.sessions.has(trip)) return
    const session = this.sessionOf(trip)
    if (await session.openKept()) await session.flush()
    this.letGo(trip)
  }

  private hear(message: Message): void {
    if (message.kind === 'signed out') {
      this.end()
      this.signedOut()
    } else if (message.kind === 'signed in') {
      for (const session of this.sessions.values()) session.hear(message)
      void this.carryOn()
    } else {
      const session = this.sessions.get(message.trip)
      this.notify()
      if (session) session.hear(message)
      else if (message.kind === 'deliver' && this.isOwner) void this.carry(message.trip)
    }
  }
}
