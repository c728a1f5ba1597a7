/** So many pieces of an item, by its place in the ledger. */
export interface Pieces {
  readonly item: number
  readonly count: number
}

/** A kit of a hull with what it has and lacks beside the one before; the first beside nothing. */
export interface Step<T> {
  readonly kit: T
  readonly comes: readonly Pieces[]
  readonly goes: readonly Pieces[]
}

/** What comes and goes from each kit to the next. */
export function stepsAlong<T extends { readonly counts: readonly number[] }>(hull: readonly T[]): Step<T>[] {
  return hull.map((kit, i) => {
    const changes = kit.counts.map((count, item) => ({ item, by: count - (hull[i - 1]?.counts[item] ?? 0) }))
    const only = (sign: 1 | -1) =>
      changes.flatMap(({ item, by }) => (by * sign > 0 ? [{ item, count: by * sign }] : []))
    return { kit, comes: only(1), goes: only(-1) }
  })
}
