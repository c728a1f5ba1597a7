import { nth } from '../validation'

/** A list, or a row of numbers, that is written to by place. */
export interface Row<T> {
  [index: number]: T
}

/** What was written over, and where, so that it can be put back. */
export class Journal {
  private readonly rows: Row<unknown>[] = []
  private readonly places: number[] = []
  private readonly before: unknown[] = []

  note<T>(row: Row<T>, place: number, before: T | undefined): void {
    this.rows.push(row)
    this.places.push(place)
    this.before.push(before)
  }

  /** Takes over what another has noted since. */
  addAll(later: Journal): void {
    this.rows.push(...later.rows)
    this.places.push(...later.places)
    this.before.push(...later.before)
  }

  /** Puts everything back, the latest first. */
  takeBack(): void {
    for (let i = this.rows.length - 1; i >= 0; i--) nth(this.rows, i)[nth(this.places, i)] = this.before[i]
  }
}
