import { mostChanges, type OwnedThing, type SavedThing } from '#core/shed'
import equal from 'fast-deep-equal'
import type { ShedRow } from './device-database'
import type { ShedDevice } from './shed-device'
import { fieldsChanged, merged, settled, withFieldsOf, type ShedConflict } from './shed-merge'
import type { ShedServer } from './shed-server'
import { TaskQueue } from './task-queue'
import type { Timers } from './timers'

/** How it stands with what was edited here. */
export type ShedState =
  | { readonly kind: 'clean' }
  | { readonly kind: 'dirty' }
  | { readonly kind: 'offline'; readonly lines: readonly string[] }
  | { readonly kind: 'refused'; readonly lines: readonly string[] }
  | { readonly kind: 'signed out' }

export interface ShedTools {
  readonly device: ShedDevice
  /** None without an account: the shed lies on this device alone. */
  readonly server: ShedServer | undefined
  readonly timers: Timers
  readonly newId: () => string
  /** Tells the other windows of this person that the device holds something else. */
  readonly tell: () => void
  /** Has one window at a time bring things to the server. */
  readonly alone: <T>(work: () => Promise<T>) => Promise<T>
}

/** One thing before and after an edit; null where it is not there. */
export interface ShedEdit {
  readonly id: string
  readonly before: OwnedThing | null
  readonly after: OwnedThing | null
}
interface ShedStep {
  readonly label: string
  readonly edits: readonly ShedEdit[]
}

const calmMs = 400
const againMs = 8000
const mostSteps = 200
/** So often a save that was overtaken is merged and offered again. */
const mostTries = 8

/** What one rider owns, as one window shows it: edits lie on the device at once and are brought to the server when it can be. */
export class ShedSession {
  private rows = new Map<string, ShedRow>()
  private readonly listeners = new Set<() => void>()
  /** How many writes of each thing are on their way to the device. */
  private readonly writing = new Map<string, number>()
  private readonly conflicting = new Map<string, ShedConflict>()
  private readonly queue = new TaskQueue()
  private back: ShedStep[] = []
  private forth: ShedStep[] = []
  private standing: ShedState = { kind: 'clean' }
  private callOff: () => void = () => undefined
  private isOpen = false
  private shown: readonly OwnedThing[] = []

  constructor(private readonly tools: ShedTools) {}

  /** Things that are there, in the order in which they came to be known. */
  get things(): readonly OwnedThing[] {
    return this.shown
  }
  get conflicts(): readonly ShedConflict[] {
    return [...this.conflicting.values()]
  }
  get undoLabel(): string | undefined {
    return this.back.at(-1)?.label
  }
  get redoLabel(): string | undefined {
    return this.forth.at(-1)?.label
  }
  /** Edits that the server does not have. */
  get unsaved(): number {
    return this.tools.server ? this.waiting().length : 0
  }
  get state(): ShedState {
    if (this.standing.kind === 'clean' && this.unsaved > 0) return { kind: 'dirty' }
    return this.standing
  }

  subscribe(listener: () => void): () => void {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  /** Opens the shed as the device has it, and looks what the server says. */
  async open(): Promise<void> {
    if (!this.isOpen) await this.look()
    this.isOpen = true
    await this.catchUp()
  }

  /** Looks again what the device holds. */
  look(): Promise<void> {
    return this.queue.add(async () => {
      await this.readDevice()
    })
  }

  /** Takes in what others have saved, and brings what waits. */
  async catchUp(): Promise<void> {
    const { server } = this.tools
    if (!server) return
    const isReached = await this.queue.add(() =>
      this.tools.alone(async () => {
        const answer = await server.load()
        if (answer.kind === 'loaded') await this.takeIn(answer.things)
        this.stand(answer.kind === 'loaded' ? { kind: 'clean' } : awayAs(answer))
        return answer.kind === 'loaded'
      }),
    )
    if (isReached) await this.bring()
  }

  /**
   * Changes things at once, as one step that can be taken back.
   *
   * @param things as they shall be; null takes one away
   */
  async edit(label: string, things: ReadonlyMap<string, OwnedThing | null>): Promise<void> {
    const edits = [...things].flatMap(([id, after]): ShedEdit[] => {
      const before = this.rows.get(id)?.thing ?? null
      return equal(before, after) ? [] : [{ id, before, after }]
    })
    if (edits.length === 0) return
    this.back = [...this.back, { label, edits }].slice(-mostSteps)
    this.forth = []
    await this.apply(edits)
  }

  async undo(): Promise<void> {
    const step = this.back.at(-1)
    if (!step) return
    this.back = this.back.slice(0, -1)
    this.forth = [...this.forth, step]
    await this.apply(step.edits.map(({ id, before, after }) => ({ id, before: after, after: before })))
  }

  async redo(): Promise<void> {
    const step = this.forth.at(-1)
    if (!step) return
    this.forth = this.forth.slice(0, -1)
    this.back = [...this.back, step]
    await this.apply(step.edits)
  }

  /** Settles what was changed here and elsewhere. */
  async settle(id: string, side: 'here' | 'there'): Promise<void> {
    const conflict = this.conflicting.get(id)
    if (!conflict) return
    this.conflicting.delete(id)
    await this.change([id], (row) => settled(row, conflict, side))
    this.tools.tell()
    await this.bring()
  }

  /** Brings what waits to the server now. */
  async bring(): Promise<void> {
    const { server } = this.tools
    if (!server) return
    this.callOff()
    await this.queue.add(() => this.tools.alone(() => this.bringNow(server)))
  }

  /** Tries once more what was refused or was not reached. */
  tryAgain(): Promise<void> {
    return this.catchUp()
  }

  end(): void {
    this.callOff()
    this.listeners.clear()
  }

  private waiting(): ShedRow[] {
    return [...this.rows.values()].filter(({ thing, saved }) => !equal(thing, saved))
  }

  private async apply(edits: readonly ShedEdit[]): Promise<void> {
    const byId = new Map(edits.map((edit) => [edit.id, edit]))
    const after = (row: ShedRow): ShedRow => {
      const edit = byId.get(row.id)
      return edit ? { ...row, thing: editedThing(row.thing, edit) } : row
    }
    // Shown before it is written: whatever is edited from now on is an edit of what is seen.
    for (const { id } of edits)
      this.rows.set(id, after(this.rows.get(id) ?? { id, saved: null, version: '', thing: null }))
    this.notify()
    await this.change([...byId.keys()], after)
    this.tools.tell()
    this.callOff()
    if (this.tools.server) this.callOff = this.tools.timers.after(calmMs, () => void this.bring())
  }

  /** Takes what the device holds; what is on its way there stays as it is shown. */
  private async readDevice(): Promise<void> {
    const kept = new Map((await this.tools.device.read()).map((row) => [row.id, row]))
    for (const id of this.writing.keys()) {
      const row = this.rows.get(id)
      if (row) kept.set(id, row)
    }
    this.rows = kept
    this.notify()
  }

  private async change(ids: readonly string[], change: (row: ShedRow) => ShedRow): Promise<void> {
    for (const id of ids) this.writing.set(id, (this.writing.get(id) ?? 0) + 1)
    try {
      this.take(await this.tools.device.change(ids, change))
    } finally {
      for (const id of ids) {
        const left = (this.writing.get(id) ?? 1) - 1
        if (left > 0) this.writing.set(id, left)
        else this.writing.delete(id)
      }
    }
  }

  private take(rows: readonly ShedRow[]): void {
    for (const row of rows) {
      if (row.saved === null && row.thing === null) this.rows.delete(row.id)
      else this.rows.set(row.id, row)
    }
    this.notify()
  }

  private async takeIn(things: readonly SavedThing[]): Promise<void> {
    const there = new Map(things.map((each) => [each.id, each]))
    // What the device knows of the server's and the server no longer has was taken away elsewhere.
    const known = [...this.rows.values()].filter(({ version }) => version !== '').map(({ id }) => id)
    const ids = [...new Set([...there.keys(), ...known])]
    const changed = ids.filter((id) => (this.rows.get(id)?.version ?? '') !== (there.get(id)?.version ?? ''))
    if (changed.length === 0) return
    await this.mergeIn(changed.map((id) => there.get(id) ?? { id, version: '', thing: null }))
    this.tools.tell()
  }

  private async mergeIn(things: readonly SavedThing[]): Promise<void> {
    const there = new Map(things.map((each) => [each.id, each]))
    await this.change([...there.keys()], (row) => {
      const { row: next, conflict } = merged(row, there.get(row.id) ?? { version: '', thing: null })
      if (conflict) this.conflicting.set(row.id, conflict)
      return next
    })
  }

  private async bringNow(server: ShedServer): Promise<void> {
    // Another window may have brought it meanwhile.
    await this.readDevice()
    for (let tries = 0; tries < mostTries;) {
      const next = this.waiting()
        .filter(({ id }) => !this.conflicting.has(id))
        .slice(0, mostChanges)
      if (next.length === 0) {
        this.stand({ kind: 'clean' })
        return
      }
      const changes = next.map(({ id, version, thing }) => ({ id, base: version, thing }))
      const answer = await server.save(this.tools.newId(), changes)
      if (answer.kind === 'saved') {
        const made = new Map(answer.things.map((each) => [each.id, each]))
        const sent = new Map(changes.map(({ id, thing }) => [id, thing]))
        await this.change([...made.keys()], (row) => {
          const { version = '', thing = null } = made.get(row.id) ?? {}
          // What was edited while the save was on its way waits for the next.
          return { ...row, version, saved: thing, thing: equal(row.thing, sent.get(row.id)) ? thing : row.thing }
        })
        this.tools.tell()
      } else if (answer.kind === 'stale') {
        tries++
        await this.mergeIn(answer.stale)
        this.tools.tell()
      } else if (answer.kind === 'refused') {
        this.stand(answer)
        return
      } else {
        this.stand(awayAs(answer))
        return
      }
    }
  }

  private stand(state: ShedState): void {
    this.standing = state
    if (state.kind === 'offline') {
      this.callOff()
      this.callOff = this.tools.timers.after(againMs, () => void this.catchUp())
    }
    this.notify()
  }

  private notify(): void {
    this.shown = [...this.rows.values()].flatMap(({ thing }) => thing ?? [])
    for (const listener of [...this.listeners]) listener()
  }
}

const awayAs = (answer: { kind: 'away'; lines: readonly string[] } | { kind: 'signed out' }): ShedState =>
  answer.kind === 'away' ? { kind: 'offline', lines: answer.lines } : answer

/** A thing after an edit; what another window has changed of it meanwhile stays. */
function editedThing(thing: OwnedThing | null, { before, after }: ShedEdit): OwnedThing | null {
  if (thing === null || before === null || after === null) return after
  return withFieldsOf(thing, after, fieldsChanged(before, after))
}
