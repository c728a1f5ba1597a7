/** A list, or a row of numbers, that is written to by place. */
export interface Row<T> {
  [index: number]: T
}

/** What was written over, and where, so that it can be put back. */
export class Journal {
  private readonly rows: Row<unknown>[] = []
  private readonly places: number[] = []
  private readonly values: unknown[] = []

  note<T>(row: Row<T>, place: number, before: T | undefined): void {
    this.rows.push(row)
    this.places.push(place)
    this.values.push(before)
  }

  /** Takes over what another has noted since. */
  addAll(later: Journal): void {
    later.rows.forEach((row, i) => {
      this.note(row, later.places[i] ?? 0, later.values[i])
    })
  }

  /** Puts everything back, the latest first. */
  takeBack(): void {
    for (let i = this.rows.length - 1; i >= 0; i--) {
      const [row, place] = [this.rows[i], this.places[i]]
      if (row && place !== undefined) row[place] = this.values[i]
    }
  }
}
