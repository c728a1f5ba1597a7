/** A list, or a row of numbers, that is written to by place. */
export interface Row<T> {
  [index: number]: T
}

/** What was written over, and where, so that it can be put back. */
export class Journal {
  private readonly entries: { readonly row: Row<unknown>; readonly place: number; readonly before: unknown }[] = []

  note<T>(row: Row<T>, place: number, before: T | undefined): void {
    this.entries.push({ row, place, before })
  }

  /** Takes over what another has noted since. */
  addAll(later: Journal): void {
    this.entries.push(...later.entries)
  }

  /** Puts everything back, the latest first. */
  takeBack(): void {
    for (const { row, place, before } of this.entries.reverse()) row[place] = before
  }
}
