import type { Revisions, Trip } from '#core/trip'
import type { Choices } from './conflicts'
import { partsThatDiffer, type Sending } from './outbox'
import { Pause, type Timers } from './timers'
import type { Saved, TripServer, Unreached } from './trip-server'
import { TaskQueue } from './task-queue'
import type { SavingState } from './windows'
import type { Bundle, TakenIn, WorkingCopy } from './working-copy'

interface DeliveryTools {
  readonly server: TripServer
  readonly timers: Timers
  readonly newId: () => string
}

/** What a delivery tells the session it belongs to. */
interface DeliveryListener {
  /** How it stands has changed. */
  stateChanged(state: SavingState): void
  /** Something has been taken in from the server. */
  took(taken: TakenIn & { kind: 'taken' }): void
  /** It is time to bring what waits: by this window, or by whichever does. */
  isTime(): void
}

const calmMs = 400
const mostMs = 2000
/** A server that was away is asked again after so long, then after twice as long, and so on. */
const retryMs = { first: 3000, most: 60_000 }
/** So often in a row one gives way to others who save the same trip. */
const mostRounds = 20

/** Brings what waits of a working copy to the server, and takes in what others have brought there. */
export class Delivery {
  private current: SavingState = { kind: 'clean' }
  /** What goes to the server goes one after another; it may take long. */
  private readonly queue = new TaskQueue()
  private readonly pause: Pause
  private callOffRetry: () => void = () => undefined
  private tries = 0
  /** What the server refused reaches up to here; it is not offered again as it is. */
  private refusedUpTo = 0
  private ended = false

  constructor(
    private readonly trip: string,
    private readonly tools: DeliveryTools,
    private readonly copy: WorkingCopy,
    private readonly listener: DeliveryListener,
  ) {
    this.pause = new Pause(tools.timers, calmMs, mostMs, () => listener.isTime())
  }

  get state(): SavingState {
    return this.current
  }

  end(): void {
    this.ended = true
    this.pause.end()
    this.callOffRetry()
  }

  /** Something has been edited: it is brought once things are calm. */
  edited(): void {
    this.reconsider()
    const { kind } = this.current
    if (kind === 'clean' || kind === 'refused') this.enter({ kind: 'dirty' })
    if (kind !== 'signed out' && kind !== 'gone') this.pause.begin()
  }

  /** Something waits that nobody has edited just now. */
  soon(): void {
    this.pause.begin()
  }

  /** The working copy has been looked at again. */
  adopted(isRebased: boolean): void {
    // What was found in conflict was found against another base: it has been settled, or is looked at anew.
    if (this.current.kind === 'conflict' && isRebased) {
      this.enter({ kind: this.copy.unsaved > 0 ? 'dirty' : 'clean' })
      this.listener.isTime()
    } else this.reconsider()
  }

  /** Nothing is held back for what was refused, or for how long the server has been away. */
  startOver(): void {
    this.refusedUpTo = 0
    this.tries = 0
  }

  /** Somebody has signed in again. */
  signedIn(): void {
    if (this.current.kind === 'signed out') this.enter({ kind: this.copy.unsaved > 0 ? 'dirty' : 'clean' })
  }

  calm(): void {
    this.pause.end()
  }

  /** Brings all that waits. Where the device fails on the way, all over again without it. */
  bring(): Promise<void> {
    return this.queue.add(async () => {
      try {
        await this.bringAll()
      } catch (error) {
        await this.copy.goAlone(error)
        await this.bringAll()
      }
    })
  }

  /** With nothing to bring: looks whether the server is there, and has something newer. */
  look(): Promise<void> {
    return this.queue.add(() => this.lookNow())
  }

  /** Opens a trip that the device does not have. */
  fetch(): Promise<{ readonly kind: 'opened' } | Unreached> {
    return this.queue.add(async () => {
      const loaded = await this.tools.server.load(this.trip)
      if (loaded.kind !== 'loaded') return loaded
      await this.copy.keep(loaded.trip, loaded.revisions)
      await this.copy.grant(loaded.access)
      return { kind: 'opened' }
    })
  }

  /** Settles a conflict, however it was found and by which window. */
  resolve(there: { readonly trip: Trip; readonly revisions: Revisions }, choices: Choices): Promise<boolean> {
    return this.queue.add(() => this.takeIn(there.trip, there.revisions, choices))
  }

  /** After another step a conflict may be another, or none. */
  private reconsider(): void {
    if (this.current.kind !== 'conflict') return
    const { there } = this.current
    void this.queue.add(async () => {
      const isSame = this.current.kind === 'conflict' && this.current.there === there
      if (isSame && (await this.takeIn(there.trip, there.revisions, {}))) this.listener.isTime()
    })
  }

  private async bringAll(): Promise<void> {
    this.pause.end()
    this.callOffRetry()
    for (let round = 0; round < mostRounds; round++) {
      if (this.ended || !this.copy.document || this.current.kind === 'conflict') return
      await this.copy.settleWrites()
      if (this.copy.unsaved > 0 && this.copy.lastPlace <= this.refusedUpTo) return
      const sending = await this.copy.begin(this.tools.newId())
      if (!sending) {
        if (this.copy.unsaved === 0) await this.lookNow()
        return
      }
      const bundle = this.copy.bundleUpTo(sending.upTo)
      if (!bundle || !(await this.send(sending, bundle))) return
    }
    this.enter({ kind: 'offline', lines: ['Others keep saving this trip. It is tried again.'] })
    this.retry()
  }

  /** @returns whether to look for more that waits */
  private async send(sending: Sending, { parts, values, revisions }: Bundle): Promise<boolean> {
    if (parts.length === 0) {
      await this.copy.settle(sending, {}, {})
      return true
    }
    this.enter({ kind: 'saving' })
    const changes = parts.map((part) => ({ part, base: revisions[part], value: values[part] }))
    const answer = await this.tools.server.save(this.trip, sending.save, changes)
    return this.answered(answer, sending, values)
  }

  private async answered(answer: Saved, sending: Sending, values: Bundle['values']): Promise<boolean> {
    switch (answer.kind) {
      case 'saved':
        this.tries = 0
        await this.copy.settle(sending, values, answer.made)
        await this.copy.grant(answer.access)
        return this.isUpToDate(answer.revisions) || this.pull()
      case 'stale':
        await this.copy.abandon()
        return this.pull()
      case 'refused':
        await this.copy.abandon()
        this.refusedUpTo = sending.upTo
        this.enter({ kind: 'refused', lines: answer.lines })
        await this.lookAtAccess()
        return false
      default:
        // An earlier try may have come through: the same save is offered again.
        this.unreached(answer)
        return false
    }
  }

  /** What is refused may be so because the owner of the plan has said since that it is not for this person. */
  private async lookAtAccess(): Promise<void> {
    const known = await this.tools.server.revisions(this.trip)
    if (known.kind === 'known') await this.copy.grant(known.access)
  }

  private isUpToDate(revisions: Revisions): boolean {
    return !this.copy.revisions || partsThatDiffer(this.copy.revisions, revisions).length === 0
  }

  private async lookNow(): Promise<void> {
    const { kind } = this.current
    if (kind === 'dirty' || kind === 'saving' || kind === 'refused') {
      this.enter({ kind: 'clean' })
      return
    }
    const known = await this.tools.server.revisions(this.trip)
    if (known.kind !== 'known') {
      this.unreached(known)
      return
    }
    await this.copy.grant(known.access)
    if (this.copy.unsaved > 0) return
    if (!this.isUpToDate(known.revisions) && !(await this.pull())) return
    await this.copy.heard()
    if (this.copy.unsaved === 0) this.enter({ kind: 'clean' })
  }

  /** @returns whether what the server has was taken in */
  private async pull(): Promise<boolean> {
    const loaded = await this.tools.server.load(this.trip)
    if (loaded.kind !== 'loaded') {
      this.unreached(loaded)
      return false
    }
    await this.copy.grant(loaded.access)
    return this.takeIn(loaded.trip, loaded.revisions, {})
  }

  private async takeIn(trip: Trip, revisions: Revisions, choices: Choices): Promise<boolean> {
    const taken = await this.copy.takeIn(trip, revisions, choices)
    if (taken.kind === 'conflict') {
      this.enter({ kind: 'conflict', conflicts: taken.conflicts, there: { trip, revisions } })
      return false
    }
    if (this.current.kind === 'conflict') this.enter({ kind: 'dirty' })
    this.listener.took(taken)
    return true
  }

  private unreached(answer: Unreached): void {
    if (answer.kind === 'away') {
      this.enter({ kind: 'offline', lines: answer.lines })
      this.retry()
    } else this.enter(answer)
  }

  private retry(): void {
    const wait = Math.min(retryMs.first * 2 ** this.tries++, retryMs.most)
    this.callOffRetry()
    this.callOffRetry = this.tools.timers.after(wait, () => this.listener.isTime())
  }

  private enter(state: SavingState): void {
    this.current = state
    this.listener.stateChanged(state)
  }
}
