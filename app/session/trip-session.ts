import type { Access } from '#core/access'
import type { PartName, Trip } from '#core/trip'
import { applied, stillFits, type Change } from './changes'
import type { Choices } from './conflicts'
import { Delivery } from './delivery'
import { History } from './history'
import type { Outbox, Parts } from './outbox'
import type { Timers } from './timers'
import type { TripServer, Unreached } from './trip-server'
import type { Message, SavingState, Windows } from './windows'
import { WorkingCopy } from './working-copy'

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

export type Opened = { readonly kind: 'opened' } | Unreached

/** What does not pass by itself, whichever window has found it. */
const needsSomebody: ReadonlySet<SavingState['kind']> = new Set(['conflict', 'signed out', 'gone'])
/** So long one waits for another window to bring things to the server. */
const patienceMs = 8000

/**
 * One opened trip: its document as it is shown, its history of edits, and how it stands with the server. Each edit is a
 * step that goes into the device's outbox at once and is brought to the server when things are calm, by whichever window
 * owns the outbox. Windows of one person on one device show the same document.
 */
export class TripSession {
  private readonly copy: WorkingCopy
  private readonly delivery: Delivery
  private readonly history = new History()
  private readonly listeners = new Set<() => void>()
  /** What the window that brings things to the server says. */
  private heard: SavingState = { kind: 'clean' }
  private words = ''
  private taken: readonly PartName[] = []

  constructor(
    readonly id: string,
    private readonly tools: SessionTools,
  ) {
    this.copy = new WorkingCopy(id, tools, {
      shown: () => this.notify(),
      adopted: (isRebased) => this.delivery.adopted(isRebased),
      alone: (why) => {
        this.words = keepsNothing(why)
        if (this.copy.unsaved > 0) this.delivery.soon()
        this.notify()
      },
    })
    this.delivery = new Delivery(id, tools, this.copy, {
      stateChanged: (state) => {
        if (this.delivers) tools.windows.tell({ kind: 'state', trip: id, state })
        this.notify()
      },
      took: ({ parts, given }) => {
        if (given.length > 0) this.history.add('take what was saved elsewhere', given, undefined)
        this.taken = parts
        this.notify()
      },
      isTime: () => this.askForDelivery(),
    })
  }

  get document(): Trip | undefined {
    return this.copy.document
  }
  /** How the person stands to the trip, as the server last said; undefined where it never did. */
  get access(): Access | undefined {
    return this.copy.access
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
    return this.copy.unsaved
  }
  /** Whether nothing hangs on this session any more: there is nothing to bring, or another window brings it. */
  get mayEnd(): boolean {
    return !this.delivers || this.state.kind === 'clean'
  }
  /** Whether what is edited here is kept by nothing but this window. */
  get isAlone(): boolean {
    return !this.copy.lasts
  }

  /** How it stands with what has been edited here. */
  get state(): SavingState {
    const { state } = this.delivery
    if (this.delivers) return state.kind === 'clean' && this.unsaved > 0 ? { kind: 'dirty' } : state
    const found = [state, this.heard].find(({ kind }) => needsSomebody.has(kind))
    if (found) return found
    if (this.unsaved === 0) return { kind: 'clean' }
    return this.heard.kind === 'clean' ? { kind: 'dirty' } : this.heard
  }

  subscribe(listener: () => void): () => void {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  /** Opens the trip as the device has it, without the server. @returns whether it does */
  async openKept(): Promise<boolean> {
    await this.copy.refresh()
    return this.document !== undefined
  }

  /** Opens the trip: at once where the device has it, and from the server where it has not. */
  async open(): Promise<Opened> {
    if (this.isAlone) this.words = keepsNothing('it opened no database')
    const opened: Opened = (await this.openKept()) ? { kind: 'opened' } : await this.delivery.fetch()
    if (opened.kind !== 'opened') return opened
    this.tools.windows.tell({ kind: 'how is it', trip: this.id })
    if (this.unsaved > 0) this.askForDelivery()
    return opened
  }

  /**
   * Changes some parts at once, as one step that can be taken back.
   *
   * @param merge edits with the same mark in a row become one: a dial being turned
   */
  edit(label: string, parts: Parts, merge?: string): void {
    const { document } = this
    if (!document) return
    const next = { ...document, ...parts }
    const changes = this.history.record(label, document, next, merge, this.tools.timers.now())
    if (changes.length > 0) this.offer(changes, next)
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

  /** Gives up what the server does not have, as one step that can be taken back: for what it refuses. */
  backToSaved(): void {
    if (this.copy.saved) this.edit('go back to what is saved', this.copy.saved)
  }

  /** What was said has been read. */
  dismiss(): void {
    this.words = ''
    this.taken = []
    this.notify()
  }

  /** Brings what waits to the server now, and says how it stands after. */
  flush(): Promise<SavingState> {
    return this.bringNow(false)
  }

  /** Tries once more what was refused, was not reached, or found nobody signed in. */
  tryAgain(): Promise<SavingState> {
    return this.bringNow(true)
  }

  /** Settles a conflict, each part of it one way or the other; asks again where there is more by now. */
  async resolve(choices: Choices): Promise<void> {
    const { state } = this
    if (state.kind !== 'conflict') return
    await this.delivery.resolve(state.there, choices)
    this.askForDelivery()
  }

  /** Looks whether others have changed the trip, and takes it in. */
  async catchUp(): Promise<void> {
    if (this.unsaved > 0) this.askForDelivery()
    else await this.delivery.look()
  }

  /** Ends at once; what the device holds stays there. */
  end(): void {
    this.copy.end()
    this.delivery.end()
    this.listeners.clear()
  }

  /** This window has become the one that brings things to the server. */
  async owned(): Promise<void> {
    if (!this.document) return
    await this.copy.refresh()
    await this.delivery.bring()
  }

  /** The other windows have something to say about this trip. */
  hear(message: Message): void {
    switch (message.kind) {
      case 'changed':
        void this.copy.refresh()
        break
      case 'deliver':
        if (this.delivers) void this.bringNow(message.again)
        break
      case 'state':
        this.heard = message.state
        this.notify()
        break
      case 'how is it':
        if (this.delivers) this.tools.windows.tell({ kind: 'state', trip: this.id, state: this.delivery.state })
        break
      case 'signed in':
        this.delivery.signedIn()
        void this.catchUp()
        break
      case 'signed out':
        break
    }
  }

  private get delivers(): boolean {
    return this.copy.hasLeft || this.tools.isOwner()
  }

  private go(changes: readonly Change[] | undefined, went: () => void, drop: () => void): void {
    const { document } = this
    if (!document || !changes) return
    if (stillFits(document, changes)) {
      went()
      this.offer(changes, applied(document, changes))
    } else {
      drop()
      this.words = 'That step cannot be taken any more: what it changed has been changed elsewhere since.'
      this.notify()
    }
  }

  private offer(changes: readonly Change[], next: Trip): void {
    this.copy.offer(changes, next)
    this.delivery.edited()
  }

  private askForDelivery(): void {
    if (this.delivers) void this.delivery.bring()
    else this.tools.windows.tell({ kind: 'deliver', trip: this.id, again: false })
  }

  private async bringNow(again: boolean): Promise<SavingState> {
    if (again) this.delivery.startOver()
    this.delivery.calm()
    await this.copy.settleWrites()
    if (this.delivers) await this.delivery.bring()
    else await this.othersDelivery(again)
    return this.state
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
    if (this.delivers) await this.delivery.bring()
  }

  private notify(): void {
    for (const listener of [...this.listeners]) listener()
  }
}

const keepsNothing = (why: string) =>
  `This browser keeps nothing on the device (${why}): wait for “saved” before you close the page.`
