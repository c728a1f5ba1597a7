import type { Trip } from '#core/trip'
import { applied, changesBetween, stillFits, type Change } from './changes'
import { History } from './history'
import type { Parts } from './outbox'

/** A plan as it would be: edits on top of a document that nobody saves and that nothing keeps, with a history of their own. */
export class Supposition {
  private readonly history = new History()
  private supposed: Trip

  constructor(
    /** The plan as it is. */
    private base: Trip,
    private readonly now: () => number,
  ) {
    this.supposed = base
  }

  get document(): Trip {
    return this.supposed
  }
  get undoLabel(): string | undefined {
    return this.history.undoLabel
  }
  get redoLabel(): string | undefined {
    return this.history.redoLabel
  }
  /** What is otherwise than it is. */
  get changes(): readonly Change[] {
    return changesBetween(this.base, this.supposed)
  }

  edit(label: string, parts: Parts, merge?: string): void {
    const next = { ...this.supposed, ...parts }
    if (this.history.record(label, this.supposed, next, merge, this.now()).length > 0) this.supposed = next
  }

  undo(): void {
    if (this.goes(this.history.back)) this.history.wentBack()
    else this.history.dropBack()
  }

  redo(): void {
    if (this.goes(this.history.forth)) this.history.wentForth()
    else this.history.dropForth()
  }

  /** The plan has become another meanwhile: what is supposed is supposed of that. */
  becameOtherwise(base: Trip): void {
    if (base === this.base) return
    const { changes } = this
    this.base = base
    this.supposed = applied(base, changes)
  }

  private goes(changes: readonly Change[] | undefined): boolean {
    if (!changes || !stillFits(this.supposed, changes)) return false
    this.supposed = applied(this.supposed, changes)
    return true
  }
}
