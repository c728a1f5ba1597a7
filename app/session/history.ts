import { applied, changesBetween, inverse, stillFits, type Change } from './changes'

/** So long an edit of the same mark goes on with the one before. */
const mergeMs = 5000

/** One step that can be taken back. */
interface Entry {
  readonly label: string
  readonly changes: readonly Change[]
  /** Edits with the same mark in a row become one entry: a dial being turned. */
  readonly merge: string | undefined
}

const mostUndo = 200

/** The edits of one window, as patches: what can be taken back, and what can be done again. */
export class History {
  private done: readonly Entry[] = []
  private undone: readonly Entry[] = []
  private lastAt = 0

  get undoLabel(): string | undefined {
    return this.done.at(-1)?.label
  }

  get redoLabel(): string | undefined {
    return this.undone.at(-1)?.label
  }

  /**
   * Writes down an edit: as an entry of its own, or as the last one going on, where that is of the same mark and not long ago.
   *
   * @param now ms on any clock
   * @returns what it changes; nothing is written down where that is nothing
   */
  record(label: string, before: unknown, after: unknown, merge: string | undefined, now: number): Change[] {
    const changes = changesBetween(before, after)
    if (changes.length === 0) return changes
    const last = now - this.lastAt <= mergeMs ? this.mergeable(merge) : undefined
    this.lastAt = now
    const goesOn = last !== undefined && stillFits(before, inverse(last))
    const both = goesOn ? changesBetween(applied(before, inverse(last)), after) : changes
    if (goesOn) this.dropBack()
    this.add(label, both, merge)
    return changes
  }

  /** The changes that the next edit goes on from, where it is of the same mark as the last one. */
  private mergeable(merge: string | undefined): readonly Change[] | undefined {
    const last = this.done.at(-1)
    return merge !== undefined && last?.merge === merge ? last.changes : undefined
  }

  add(label: string, changes: readonly Change[], merge: string | undefined): void {
    this.done = [...this.done, { label, changes, merge }].slice(-mostUndo)
    this.undone = []
  }

  /** The changes that take the last entry back. */
  get back(): readonly Change[] | undefined {
    const last = this.done.at(-1)
    return last && inverse(last.changes)
  }

  /** The changes that do the last one that was taken back again. */
  get forth(): readonly Change[] | undefined {
    return this.undone.at(-1)?.changes
  }

  wentBack(): void {
    this.undone = [...this.undone, ...this.done.slice(-1)]
    this.done = this.done.slice(0, -1)
  }

  wentForth(): void {
    this.done = [...this.done, ...this.undone.slice(-1)]
    this.undone = this.undone.slice(0, -1)
  }

  /** Forgets the last entry: it cannot be taken back any more. */
  dropBack(): void {
    this.done = this.done.slice(0, -1)
  }

  dropForth(): void {
    this.undone = this.undone.slice(0, -1)
  }
}
