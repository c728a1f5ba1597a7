import equal from 'fast-deep-equal'
import { partNames, tripFormat, type PartName, type Revisions, type Trip } from '~~/core/trip'
import { applied, changesBetween, inverse, stillFits, type Change } from './changes'
import { conflictsBetween, differencesIn, settled, type Choices } from './conflicts'
import { History } from './history'
import { MemoryOutbox } from './memory-outbox'
import { partsThatDiffer, type KeptTrip, type Outbox, type Parts, type Sending, type Step } from './outbox'
import { Pause, type Timers } from './timers'
import { Turns } from './turns'
import type { Saved, TripServer, Unreached } from './trip-server'
import type { Message, Standing, Windows } from './windows'

/** What a session works with; one set for all sessions of a window. */
export interface SessionTools {
  readonly outbox: Outbox
  readonly server: TripServer
  readonly windows: Pick<Windows, 'tell'>
  readonly timers: Timers
  readonly newId: () => string
  /** Whether this window is the one that brings things to the server. */
  readonly isOwner: () => boolean
}

/** A step of this device, in the order of all windows once its place is known. */
interface LoggedStep extends Step {
  place: number | undefined
}

/** The trip as the server has it, as far as this device knows. */
interface Base {
  readonly trip: Trip
  readonly revisions: Revisions
  readonly settledUpTo: number
}

export type Opened = { readonly kind: 'opened' } | Unreached

const calmMs = 400
const mostMs = 2000
/** A server that was away is asked again after so long, then after twice as long, and so on. */
const retryMs = { first: 3000, most: 60_000 }
/** What does not pass by itself, whichever window has found it. */
const needsSomebody: ReadonlySet<Standing['kind']> = new Set(['conflict', 'signed out', 'gone'])
/** So long an edit of the same mark goes on with the one before. */
const mergeMs = 1500
/** So long one waits for another window to bring things to the server. */
const patienceMs = 8000
/** So often in a row one gives way to others who save the same trip. */
const mostRounds = 20

/**
 * One opened trip: the document as it is shown, made of what the server has and of the steps that it does not have yet.
 * Each edit is a step that goes into the device's outbox at once and is brought to the server when things are calm, by
 * whichever window owns the outbox. Windows of one person on one device show the same document.
 */
export class TripSession {
  private base: Base | undefined
  private log: LoggedStep[] = []
  private shown: Trip | undefined
  private standing: Standing = { kind: 'clean' }
  /** What the window that brings things to the server says. */
  private heard: Standing = { kind: 'clean' }
  private readonly history = new History()
  private lastEditAt = 0
  private readonly writes = new Set<Promise<unknown>>()
  private readonly listeners = new Set<() => void>()
  /** What goes to the server goes one after another, and so does what changes the trip's base; the first may take long. */
  private readonly deliveries = new Turns()
  private readonly refreshes = new Turns()
  private readonly pause: Pause
  private callOffRetry: () => void = () => undefined
  private tries = 0
  /** What the server refused reaches up to here; it is not offered again as it is. */
  private refusedUpTo = 0
  private outbox: Outbox
  /** Whether this session brings its own things to the server, since the device keeps nothing. */
  private alone = false
  private ended = false
  private words = ''
  private taken: readonly PartName[] = []

  constructor(
    readonly id: string,
    private readonly tools: SessionTools,
  ) {
    this.outbox = tools.outbox
    this.pause = new Pause(tools.timers, calmMs, mostMs, () => this.askForDelivery())
  }

  get document(): Trip | undefined {
    return this.shown
  }
  get undoLabel(): string | undefined {
    return this.history.undoLabel
  }
  get redoLabel(): string | undefined {
    return this.history.redoLabel
  }
  /** Why something could not be done, or is not as safe as it should be; empty where there is nothing to say. */
  get notice(): string {
    return this.words
  }
  /** Parts in which the last that came from elsewhere was taken in. */
  get takenIn(): readonly PartName[] {
    return this.taken
  }

  /** Steps that the server does not have, as far as this window knows. */
  get unsaved(): number {
    return this.log.length
  }
  /** Whether nothing hangs on this session any more: there is nothing to bring, or another window brings it. */
  get mayEnd(): boolean {
    return !this.delivers || this.state.kind === 'clean'
  }
  /** Whether what is edited here is kept by nothing but this window. */
  get isAlone(): boolean {
    return !this.outbox.lasts
  }

  /** How it stands with what has been edited here. */
  get state(): Standing {
    if (this.delivers) return this.standing.kind === 'clean' && this.log.length > 0 ? { kind: 'dirty' } : this.standing
    const found = [this.standing, this.heard].find(({ kind }) => needsSomebody.has(kind))
    if (found) return found
    if (this.log.length === 0) return { kind: 'clean' }
    return this.heard.kind === 'clean' ? { kind: 'dirty' } : this.heard
  }

  subscribe(listener: () => void): () => void {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  /** Opens the trip as the device has it, without the server. @returns whether it does */
  async openKept(): Promise<boolean> {
    await this.refresh()
    return this.base !== undefined
  }

  /** Opens the trip: at once where the device has it, and what others have done meanwhile is taken in after. */
  async open(): Promise<Opened> {
    const opened = await this.deliveries.take(() => this.find())
    if (opened.kind !== 'opened') return opened
    this.tools.windows.tell({ kind: 'how is it', trip: this.id })
    if (this.log.length > 0) this.askForDelivery()
    return opened
  }

  /**
   * Changes some parts at once, as one step that can be taken back.
   *
   * @param merge edits with the same mark in a row become one: a dial being turned
   */
  edit(label: string, parts: Parts, merge?: string): void {
    if (!this.shown) return
    const next = { ...this.shown, ...parts }
    const changes = changesBetween(this.shown, next)
    if (changes.length === 0) return
    const now = this.tools.timers.now()
    const last = now - this.lastEditAt <= mergeMs ? this.history.mergeable(merge) : undefined
    this.lastEditAt = now
    const goesOn = last !== undefined && stillFits(this.shown, inverse(last))
    const both = goesOn ? changesBetween(applied(this.shown, inverse(last)), next) : changes
    if (goesOn) this.history.dropBack()
    this.history.add(label, both, merge)
    this.offer(changes, next)
  }

  undo(): void {
    this.go(
      this.history.back,
      () => this.history.wentBack(),
      () => this.history.dropBack(),
    )
  }

  redo(): void {
    this.go(
      this.history.forth,
      () => this.history.wentForth(),
      () => this.history.dropForth(),
    )
  }

  /** What was said has been read. */
  dismiss(): void {
    this.words = ''
    this.taken = []
    this.notify()
  }

  /** Brings what waits to the server now, and says how it stands after. */
  async flush(): Promise<Standing> {
    return this.bringNow(false)
  }

  /** Tries once more what was refused, was not reached, or found nobody signed in. */
  async tryAgain(): Promise<Standing> {
    return this.bringNow(true)
  }

  /** Settles a conflict, each part of it one way or the other; asks again where there is more by now. */
  async resolve(choices: Choices): Promise<void> {
    const { state } = this
    if (state.kind !== 'conflict') return
    await this.deliveries.take(() => this.takeIn(state.there.trip, state.there.revisions, choices))
    this.askForDelivery()
  }

  /** Looks whether others have changed the trip, and takes it in. */
  async catchUp(): Promise<void> {
    if (this.log.length > 0) this.askForDelivery()
    else await this.deliveries.take(() => this.look())
  }

  /** Waits until all is on the device, brings it to the server if that can be done, and ends. */
  async close(): Promise<Standing> {
    const state = await this.flush()
    if (state.kind === 'clean') this.end()
    return state
  }

  /** Ends at once; what the device holds stays there. */
  end(): void {
    this.ended = true
    this.pause.end()
    this.callOffRetry()
    this.listeners.clear()
  }

  /** This window has become the one that brings things to the server. */
  async owned(): Promise<void> {
    if (!this.base) return
    await this.refresh()
    await this.deliver()
  }

  /** The other windows have something to say about this trip. */
  hear(message: Message): void {
    switch (message.kind) {
      case 'changed':
        void this.refresh()
        break
      case 'deliver':
        if (this.delivers) void this.bringNow(message.again)
        break
      case 'standing':
        this.heard = message.standing
        this.notify()
        break
      case 'how is it':
        if (this.delivers) this.tools.windows.tell({ kind: 'standing', trip: this.id, standing: this.standing })
        break
      case 'signed in':
        if (this.standing.kind === 'signed out') this.stand({ kind: this.log.length > 0 ? 'dirty' : 'clean' })
        void this.catchUp()
        break
      case 'signed out':
        break
    }
  }

  private async find(): Promise<Opened> {
    if (this.isAlone) this.words = keepsNothing('it opened no database')
    if (await this.openKept()) return { kind: 'opened' }
    const loaded = await this.tools.server.load(this.id)
    if (loaded.kind !== 'loaded') return loaded
    try {
      await this.outbox.keep(this.id, loaded.trip, loaded.revisions)
      await this.refresh()
    } catch (error) {
      this.base = { trip: loaded.trip, revisions: loaded.revisions, settledUpTo: 0 }
      this.show(loaded.trip)
      await this.goAlone(error)
    }
    return { kind: 'opened' }
  }

  private get delivers(): boolean {
    return this.alone || this.tools.isOwner()
  }

  private go(changes: readonly Change[] | undefined, went: () => void, drop: () => void): void {
    if (!this.shown || !changes) return
    if (stillFits(this.shown, changes)) {
      went()
      this.offer(changes, applied(this.shown, changes))
    } else {
      drop()
      this.words = 'That step cannot be taken any more: what it changed has been changed elsewhere since.'
      this.notify()
    }
  }

  /** Puts a step into the outbox and shows what comes of it. */
  private offer(changes: readonly Change[], next: Trip): void {
    const step: LoggedStep = { id: this.tools.newId(), changes, place: undefined }
    this.log = [...this.log, step]
    this.shown = next
    this.write(step)
    this.reconsider()
    if (this.standing.kind === 'clean' || this.standing.kind === 'refused') this.stand({ kind: 'dirty' })
    if (this.state.kind !== 'signed out' && this.state.kind !== 'gone') this.pause.begin()
    this.notify()
  }

  private write(step: LoggedStep): void {
    const write = this.outbox.append(this.id, { id: step.id, changes: step.changes }).then(
      (place) => {
        step.place = place
        this.refold()
        this.tools.windows.tell({ kind: 'changed', trip: this.id })
      },
      (error: unknown) => this.goAlone(error),
    )
    this.writes.add(write)
    void write.finally(() => this.writes.delete(write))
  }

  /** Goes on without the device: it keeps nothing, so this window brings its own things to the server. */
  private async goAlone(error: unknown): Promise<void> {
    if (this.alone || !this.base) return
    const memory = new MemoryOutbox()
    this.alone = true
    this.outbox = memory
    this.words = keepsNothing(error instanceof Error ? error.message : String(error))
    await memory.keep(this.id, this.base.trip, this.base.revisions)
    for (const step of this.log) step.place = await memory.append(this.id, step)
    this.base = { ...this.base, settledUpTo: 0 }
    if (this.log.length > 0) this.pause.begin()
    this.notify()
  }

  /** Looks again what the device holds. */
  private refresh(): Promise<void> {
    return this.refreshes.take(() => this.refreshNow())
  }

  private async refreshNow(): Promise<void> {
    const kept = await this.outbox.read(this.id, this.base?.revisions)
    if (kept && !this.ended) this.adopt(kept)
  }

  private adopt(kept: KeptTrip): void {
    const before = this.base?.revisions
    const trip = { format: tripFormat, ...this.base?.trip, ...kept.parts } as Trip
    this.base = { trip, revisions: kept.revisions, settledUpTo: kept.settledUpTo }
    const known = new Set(kept.steps.map(({ id }) => id))
    // Steps of this window that are still on their way into the outbox.
    const own = this.log.filter((step) => !known.has(step.id))
    this.log = [...kept.steps, ...own]
    this.refold()
    // What was found in conflict was found against another base: it has been settled, or is looked at anew.
    if (this.standing.kind === 'conflict' && before && partsThatDiffer(before, kept.revisions).length > 0) {
      this.stand({ kind: this.log.length > 0 ? 'dirty' : 'clean' })
      this.askForDelivery()
    } else this.reconsider()
  }

  /** After another step a conflict may be another, or none. */
  private reconsider(): void {
    if (this.standing.kind !== 'conflict') return
    const { trip, revisions } = this.standing.there
    void this.deliveries.take(async () => {
      const isSame = this.standing.kind === 'conflict' && this.standing.there.trip === trip
      if (isSame && (await this.takeIn(trip, revisions, {}))) this.askForDelivery()
    })
  }

  /** Shows what base and steps make, the steps in the order of all windows. */
  private refold(): void {
    const { base } = this
    if (!base) return
    const after = ({ place }: LoggedStep) => place ?? Infinity
    this.log = this.log
      .filter((step) => after(step) > base.settledUpTo)
      .sort((a, b) => (after(a) === after(b) ? 0 : after(a) - after(b)))
    this.show(
      applied(
        base.trip,
        this.log.flatMap(({ changes }) => changes),
      ),
    )
  }

  /** Parts that are as they were stay the very same, so that nothing is worked out anew for them. */
  private show(next: Trip): void {
    const before = this.shown
    const same = before
      ? partNames.filter((part) => before[part] !== next[part] && equal(before[part], next[part]))
      : []
    const document = before ? { ...next, ...pick(before, same) } : next
    const isNew = !before || partNames.some((part) => before[part] !== document[part])
    if (isNew) this.shown = document
    this.notify()
  }

  private askForDelivery(): void {
    if (this.delivers) void this.deliver()
    else this.tools.windows.tell({ kind: 'deliver', trip: this.id, again: false })
  }

  private async bringNow(again: boolean): Promise<Standing> {
    if (again) {
      this.refusedUpTo = 0
      this.tries = 0
    }
    this.pause.end()
    await Promise.allSettled(this.writes)
    if (this.delivers) await this.deliver()
    else await this.othersDelivery(again)
    return this.state
  }

  private deliver(): Promise<void> {
    return this.deliveries.take(() => this.bringAll())
  }

  private async bringAll(): Promise<void> {
    this.pause.end()
    this.callOffRetry()
    for (let round = 0; round < mostRounds; round++) {
      if (this.ended || !this.base || this.standing.kind === 'conflict') return
      await Promise.allSettled(this.writes)
      if (this.log.length > 0 && this.log.every(({ place }) => (place ?? Infinity) <= this.refusedUpTo)) return
      const sending = await this.outbox.begin(this.id, this.tools.newId())
      await this.refresh()
      if (!sending) {
        if (this.log.length === 0) await this.look()
        return
      }
      if (!(await this.bring(sending))) return
    }
    this.stand({ kind: 'offline', lines: ['Others keep saving this trip. It is tried again.'] })
    this.retry()
  }

  /** @returns whether to look for more that waits */
  private async bring(sending: Sending): Promise<boolean> {
    const { base } = this
    if (!base) return false
    const steps = this.log.filter(({ place }) => place !== undefined && place <= sending.upTo)
    const document = applied(
      base.trip,
      steps.flatMap(({ changes }) => changes),
    )
    const parts = partNames.filter((part) => !equal(document[part], base.trip[part]))
    if (parts.length === 0) {
      await this.outbox.settle(this.id, sending, {}, {})
      return this.changed()
    }
    this.stand({ kind: 'saving' })
    const changes = parts.map((part) => ({ part, base: base.revisions[part], value: document[part] }))
    const answer = await this.tools.server.save(this.id, sending.save, changes)
    return this.answered(answer, sending, pick(document, parts))
  }

  private async answered(answer: Saved, sending: Sending, values: Parts): Promise<boolean> {
    switch (answer.kind) {
      case 'saved': {
        this.tries = 0
        await this.outbox.settle(this.id, sending, values, answer.made)
        await this.changed()
        if (this.base && partsThatDiffer(this.base.revisions, answer.revisions).length > 0) return this.pull()
        return true
      }
      case 'stale':
        await this.outbox.abandon(this.id)
        return this.pull()
      case 'refused':
        await this.outbox.abandon(this.id)
        this.refusedUpTo = sending.upTo
        this.stand({ kind: 'refused', lines: answer.lines })
        return false
      default:
        // An earlier try may have come through: the same save is offered again.
        this.unreached(answer)
        return false
    }
  }

  private async changed(): Promise<true> {
    await this.refresh()
    this.tools.windows.tell({ kind: 'changed', trip: this.id })
    return true
  }

  /** With nothing to bring: whether the server is there, and has something newer. */
  private async look(): Promise<void> {
    const { kind } = this.standing
    if (kind === 'dirty' || kind === 'saving' || kind === 'refused') return this.stand({ kind: 'clean' })
    const known = await this.tools.server.revisions(this.id)
    if (known.kind !== 'known') return this.unreached(known)
    if (!this.base || this.log.length > 0) return
    const isBehind = partsThatDiffer(this.base.revisions, known.revisions).length > 0
    if (isBehind && !(await this.pull())) return
    if (this.log.length === 0) this.stand({ kind: 'clean' })
  }

  /** @returns whether what the server has was taken in */
  private async pull(): Promise<boolean> {
    const loaded = await this.tools.server.load(this.id)
    if (loaded.kind !== 'loaded') {
      this.unreached(loaded)
      return false
    }
    return this.takeIn(loaded.trip, loaded.revisions, {})
  }

  /** Takes in what the server has under the steps that wait, unless that has to be asked about first. */
  private takeIn(there: Trip, revisions: Revisions, choices: Choices): Promise<boolean> {
    return this.refreshes.take(() => this.takeInNow(there, revisions, choices))
  }

  private async takeInNow(there: Trip, revisions: Revisions, choices: Choices): Promise<boolean> {
    for (;;) {
      const { base, shown, log } = this
      if (!base || !shown || this.ended) return false
      const parts = partsThatDiffer(base.revisions, revisions)
      if (parts.length === 0) return true
      // A server that counts less than it did has gone back to an older copy: only a person can say what of it is right.
      const forgotten = parts.filter((part) => revisions[part].number < base.revisions[part].number)
      const common = { ...base.trip, ...pick(there, forgotten) }
      const conflicts = [...differencesIn(forgotten, shown, there), ...conflictsBetween(common, shown, there)]
      if (conflicts.some(({ key }) => !(key in choices))) {
        this.stand({ kind: 'conflict', conflicts, there: { trip: there, revisions } })
        return false
      }
      const wanted = settled(applied(there, changesBetween(common, shown)), conflicts, choices)
      // The steps on their own could come to something else: two that cancel each other out would undo what is new.
      const steps = log.flatMap(({ changes }) => changes)
      const follows = changesBetween(applied(there, steps), wanted)
      const step = follows.length > 0 ? { id: this.tools.newId(), changes: follows } : undefined
      const theirs = Object.fromEntries(Object.entries(choices).filter(([, side]) => side === 'there'))
      const given = changesBetween(shown, settled(shown, conflicts, theirs))
      // Shown before it is written: whatever is edited from now on is an edit of what is seen.
      this.base = { trip: { ...base.trip, ...pick(there, parts) }, revisions, settledUpTo: base.settledUpTo }
      this.log = step ? [...log, { ...step, place: undefined }] : log
      this.show(wanted)
      if (await this.outbox.rebase(this.id, pick(there, parts), revisions, new Set(log.map(({ id }) => id)), step)) {
        if (given.length > 0) this.history.add('take what was saved elsewhere', given, undefined)
        this.taken = parts.filter((part) => !equal(base.trip[part], there[part]))
        if (this.standing.kind === 'conflict') this.stand({ kind: 'dirty' })
        await this.refreshNow()
        this.tools.windows.tell({ kind: 'changed', trip: this.id })
        return true
      }
      // Another window has added a step meanwhile: all over again with it.
      this.base = base
      this.log = this.log.filter(({ id }) => id !== step?.id)
      await this.refreshNow()
    }
  }

  private unreached(answer: Unreached): void {
    if (answer.kind === 'away') {
      this.stand({ kind: 'offline', lines: answer.lines })
      this.retry()
    } else this.stand(answer)
  }

  private retry(): void {
    const wait = Math.min(retryMs.first * 2 ** this.tries++, retryMs.most)
    this.callOffRetry = this.tools.timers.after(wait, () => {
      if (this.delivers) void this.deliver().then(() => this.catchUp())
    })
  }

  private async othersDelivery(again: boolean): Promise<void> {
    this.tools.windows.tell({ kind: 'deliver', trip: this.id, again })
    const underWay = () => !this.delivers && (this.state.kind === 'dirty' || this.state.kind === 'saving')
    if (!underWay()) return
    await new Promise<void>((done) => {
      const finish = () => {
        callOff()
        leave()
        done()
      }
      const callOff = this.tools.timers.after(patienceMs, finish)
      const leave = this.subscribe(() => underWay() || finish())
    })
    if (this.delivers) await this.deliver()
  }

  private stand(standing: Standing): void {
    this.standing = standing
    if (this.delivers) this.tools.windows.tell({ kind: 'standing', trip: this.id, standing })
    this.notify()
  }

  private notify(): void {
    for (const listener of [...this.listeners]) listener()
  }
}

const keepsNothing = (why: string) =>
  `This browser keeps nothing on the device (${why}): wait for “saved” before you close the page.`

function pick(trip: Trip, parts: readonly PartName[]): Parts {
  return Object.fromEntries(parts.map((part) => [part, trip[part]]))
}
