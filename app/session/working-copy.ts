import type { Access } from '#core/access'
import { partNames, tripFormat, type PartName, type Revisions, type Trip } from '#core/trip'
import equal from 'fast-deep-equal'
import { applied, changesBetween, type Change } from './changes'
import { conflictsBetween, differencesIn, settled, type Choices, type Conflict } from './conflicts'
import { MemoryOutbox } from './memory-outbox'
import { partsThatDiffer, type KeptTrip, type Outbox, type Parts, type Sending, type Step } from './outbox'
import { TaskQueue } from './task-queue'
import type { Windows } from './windows'

/** A step of this device, in the order of all windows once its place is known. */
interface LoggedStep extends Step {
  place: number | undefined
}

/** The trip as the server has it. */
interface ServersTrip {
  readonly trip: Trip
  readonly revisions: Revisions
}

/** The same as far as this device knows. */
interface Base extends ServersTrip {
  readonly settledUpTo: number
}

interface CopyTools {
  readonly outbox: Outbox
  readonly windows: Pick<Windows, 'tell'>
  readonly newId: () => string
}

/** What a working copy tells the session it belongs to. */
interface CopyListener {
  /** What is shown has changed. */
  shown(): void
  /** The device has been looked at again; where it is based on something newer now, it was rebased. */
  adopted(isRebased: boolean): void
  /** The device keeps nothing: what is edited lies in this window only. */
  alone(why: string): void
}

/** What came of taking in what the server has. */
export type TakenIn =
  | { readonly kind: 'taken'; readonly parts: readonly PartName[]; readonly given: readonly Change[] }
  /** Somebody has to say first which side holds. */
  | { readonly kind: 'conflict'; readonly conflicts: readonly Conflict[] }

/** Steps of which it is known where they stand, with what they make of the parts that they touch. */
export interface Bundle {
  readonly values: Parts
  readonly parts: readonly PartName[]
  readonly revisions: Revisions
}

/**
 * A trip as one window shows it: what the server has, with the steps that it does not have yet laid over it. The steps
 * lie in the device's outbox, which all windows of the person share.
 */
export class WorkingCopy {
  private base: Base | undefined
  private log: LoggedStep[] = []
  private shown: Trip | undefined
  private granted: Access | undefined
  private outbox: Outbox
  private isAlone = false
  private heardAt = 0
  private ended = false
  private readonly writes = new Set<Promise<unknown>>()
  /** What changes the base goes one after another. */
  private readonly refreshes = new TaskQueue()

  constructor(
    private readonly trip: string,
    private readonly tools: CopyTools,
    private readonly listener: CopyListener,
  ) {
    this.outbox = tools.outbox
  }

  get document(): Trip | undefined {
    return this.shown
  }
  /** The trip as the server has it, as far as this device knows. */
  get saved(): Trip | undefined {
    return this.base?.trip
  }
  get revisions(): Revisions | undefined {
    return this.base?.revisions
  }
  /** How the person stands to the trip, as the server last said; undefined where it never did. */
  get access(): Access | undefined {
    return this.granted
  }
  /** Steps that the server does not have, as far as this window knows. */
  get unsaved(): number {
    return this.log.length
  }
  /** The place of the last step; infinite while it is on its way into the outbox. */
  get lastPlace(): number {
    return Math.max(0, ...this.log.map(({ place }) => place ?? Infinity))
  }
  /** Whether what is edited outlives this window. */
  get lasts(): boolean {
    return this.outbox.lasts
  }
  /** Whether this window has given up the outbox that it shared. */
  get hasLeft(): boolean {
    return this.isAlone
  }

  end(): void {
    this.ended = true
  }

  /** Keeps a trip as the server sent it. */
  async keep(trip: Trip, revisions: Revisions): Promise<void> {
    try {
      await this.outbox.keep(this.trip, trip, revisions)
      await this.refreshes.add(() => this.refreshNow({ trip, revisions }))
    } catch (error) {
      this.base = { trip, revisions, settledUpTo: 0 }
      this.show(trip)
      await this.goAlone(error)
    }
  }

  /** Takes in how the person stands to the trip. */
  async grant(access: Access): Promise<void> {
    if (equal(access, this.granted)) return
    this.granted = access
    this.listener.shown()
    try {
      await this.outbox.grant(this.trip, access)
      this.tellOthers()
    } catch (error) {
      await this.goAlone(error)
    }
  }

  /** The server has just said that it is so. The device is told of that now and then. */
  async heard(): Promise<void> {
    if (Date.now() - this.heardAt < heardEveryMs) return
    this.heardAt = Date.now()
    try {
      await this.outbox.heard(this.trip)
    } catch (error) {
      await this.goAlone(error)
    }
  }

  /** Puts a step into the outbox and shows what comes of it. */
  offer(changes: readonly Change[], next: Trip): void {
    const step: LoggedStep = { id: this.tools.newId(), changes, place: undefined }
    this.log = [...this.log, step]
    this.shown = next
    const write = this.outbox.append(this.trip, { id: step.id, changes }).then(
      (place) => {
        step.place = place
        this.refold()
        this.tellOthers()
      },
      (error: unknown) => this.goAlone(error),
    )
    this.writes.add(write)
    void write.finally(() => this.writes.delete(write))
    this.listener.shown()
  }

  /** Waits until all that was offered is in the outbox. */
  async settleWrites(): Promise<void> {
    await Promise.allSettled(this.writes)
  }

  /** Looks again what the device holds. */
  refresh(): Promise<void> {
    return this.refreshes.add(() => this.refreshNow())
  }

  /** What is to be sent now, where anything is. */
  async begin(save: string): Promise<Sending | undefined> {
    const sending = await this.outbox.begin(this.trip, save)
    await this.refresh()
    return sending
  }

  /** What the steps up to a place make of the trip. */
  bundleUpTo(place: number): Bundle | undefined {
    const { base } = this
    if (!base) return undefined
    const steps = this.log.filter((step) => step.place !== undefined && step.place <= place)
    const document = applied(base.trip, changesOf(steps))
    const parts = partNames.filter((part) => !equal(document[part], base.trip[part]))
    return { values: pick(document, parts), parts, revisions: base.revisions }
  }

  /** The server has what was sent. */
  async settle(sending: Sending, values: Parts, made: Partial<Revisions>): Promise<void> {
    await this.outbox.settle(this.trip, sending, values, made)
    await this.refreshes.add(() => this.refreshNow(this.withParts(values, made)))
    this.tellOthers()
  }

  /** What was sent has not been done and never will. */
  abandon(): Promise<void> {
    return this.outbox.abandon(this.trip)
  }

  /** Takes in what the server has under the steps that wait, unless that has to be asked about first. */
  takeIn(there: Trip, revisions: Revisions, choices: Choices): Promise<TakenIn> {
    return this.refreshes.add(() => this.takeInNow(there, revisions, choices))
  }

  /** Goes on without the device, which keeps nothing: what is edited lies in this window only. */
  async goAlone(error: unknown): Promise<void> {
    if (this.isAlone || !this.base) return
    const memory = new MemoryOutbox()
    this.isAlone = true
    this.outbox = memory
    await memory.keep(this.trip, this.base.trip, this.base.revisions)
    for (const step of this.log) step.place = await memory.append(this.trip, step)
    this.base = { ...this.base, settledUpTo: 0 }
    this.listener.alone(error instanceof Error ? error.message : String(error))
  }

  private tellOthers(): void {
    this.tools.windows.tell({ kind: 'changed', trip: this.trip })
  }

  /** What is known of the server's trip, with some parts in newer revisions. */
  private withParts(parts: Parts, revisions: Partial<Revisions>): ServersTrip | undefined {
    const { base } = this
    return base && { trip: { ...base.trip, ...parts }, revisions: { ...base.revisions, ...revisions } }
  }

  /** @param known parts of it that are in the revision that the device holds are not read again */
  private async refreshNow(known: ServersTrip | undefined = this.base): Promise<void> {
    try {
      const kept = await this.outbox.read(this.trip, known && { revisions: known.revisions, steps: this.log })
      if (kept && !this.ended) this.adopt(kept, known?.trip)
    } catch (error) {
      if (!this.base) throw error
      await this.goAlone(error)
    }
  }

  private adopt(kept: KeptTrip, known: Trip | undefined): void {
    const before = this.base?.revisions
    const trip = { format: tripFormat, ...known, ...kept.parts } as Trip
    this.base = { trip, revisions: kept.revisions, settledUpTo: kept.settledUpTo }
    this.granted = kept.access ?? this.granted
    const placed = new Set(kept.steps.map(({ id }) => id))
    // Steps of this window that are still on their way into the outbox.
    const own = this.log.filter((step) => !placed.has(step.id))
    this.log = [...kept.steps, ...own]
    this.refold()
    this.listener.adopted(before !== undefined && partsThatDiffer(before, kept.revisions).length > 0)
  }

  /** Shows what base and steps make, the steps in the order of all windows. */
  private refold(): void {
    const { base } = this
    if (!base) return
    const after = ({ place }: LoggedStep) => place ?? Infinity
    this.log = this.log
      .filter((step) => after(step) > base.settledUpTo)
      .sort((a, b) => (after(a) === after(b) ? 0 : after(a) - after(b)))
    this.show(applied(base.trip, changesOf(this.log)))
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
    this.listener.shown()
  }

  private async takeInNow(there: Trip, revisions: Revisions, choices: Choices): Promise<TakenIn> {
    for (;;) {
      const { base, shown, log } = this
      const nothing: TakenIn = { kind: 'taken', parts: [], given: [] }
      if (!base || !shown || this.ended) return nothing
      const parts = partsThatDiffer(base.revisions, revisions)
      if (parts.length === 0) return nothing
      // A server that counts less than it did has gone back to an older copy: only a person can say what of it is right.
      const forgotten = parts.filter((part) => revisions[part].number < base.revisions[part].number)
      const common = { ...base.trip, ...pick(there, forgotten) }
      const conflicts = [...differencesIn(forgotten, shown, there), ...conflictsBetween(common, shown, there)]
      if (conflicts.some(({ key }) => !(key in choices))) return { kind: 'conflict', conflicts }
      const wanted = settled(applied(there, changesBetween(common, shown)), conflicts, choices)
      // The steps on their own could come to something else: two that cancel each other out would undo what is new.
      const follows = changesBetween(applied(there, changesOf(log)), wanted)
      const step = follows.length > 0 ? { id: this.tools.newId(), changes: follows } : undefined
      // Shown before it is written: whatever is edited from now on is an edit of what is seen.
      this.base = { trip: { ...base.trip, ...pick(there, parts) }, revisions, settledUpTo: base.settledUpTo }
      this.log = step ? [...log, { ...step, place: undefined }] : log
      this.show(wanted)
      const seen = new Set(log.map(({ id }) => id))
      if (await this.outbox.rebase(this.trip, pick(there, parts), revisions, seen, step)) {
        await this.refreshNow()
        this.tellOthers()
        const theirs = Object.fromEntries(Object.entries(choices).filter(([, side]) => side === 'there'))
        return {
          kind: 'taken',
          parts: parts.filter((part) => !equal(base.trip[part], there[part])),
          given: changesBetween(shown, settled(shown, conflicts, theirs)),
        }
      }
      // Another window has added a step meanwhile: all over again with it.
      this.base = base
      this.log = this.log.filter(({ id }) => id !== step?.id)
      await this.refreshNow()
    }
  }
}

/** So often it is noted at most that the server was asked, ms. */
const heardEveryMs = 60_000

const changesOf = (steps: readonly Step[]) => steps.flatMap(({ changes }) => changes)

function pick(trip: Trip, parts: readonly PartName[]): Parts {
  return Object.fromEntries(parts.map((part) => [part, trip[part]]))
}
