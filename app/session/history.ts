import { inverse, type Change } from './changes'

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

  get undoLabel(): string | undefined {
    return this.done.at(-1)?.label
  }

  get redoLabel(): string | undefined {
    return this.undone.at(-1)?.label
  }

  /** The changes that the next edit goes on from, where it is of the same mark as the last one. */
  mergeable(merge: string | undefined): readonly Change[] | undefined {
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
