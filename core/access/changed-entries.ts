import equal from 'fast-deep-equal'

interface Entry {
  readonly id: string
}

/** An entry of a list that was added, removed or changed: as it was where it was there before. */
export type ChangedEntry<T extends Entry> = T & {
  /** Where it stands, and where it stood if it is gone. */
  readonly at: number
  /** Whether it was there before, and whether it still is. */
  readonly before: boolean
  readonly after: boolean
  /** Fields that are other than they were; none where it came or went. */
  readonly fields: readonly string[]
}

/** Entries that two states of a list do not have in common, those that are gone first. */
export function changedEntries<T extends Entry>(before: readonly T[], after: readonly T[]): ChangedEntry<T>[] {
  const old = new Map(before.map((entry) => [entry.id, entry]))
  const next = new Set(after.map(({ id }) => id))
  const gone = before.flatMap((entry, at) =>
    next.has(entry.id) ? [] : [{ ...entry, at, before: true, after: false, fields: [] }],
  )
  const others = after.flatMap((entry, at) => {
    const known = old.get(entry.id)
    if (!known) return [{ ...entry, at, before: false, after: true, fields: [] }]
    const fields = fieldsThatDiffer(known, entry)
    return fields.length > 0 ? [{ ...known, at, before: true, after: true, fields }] : []
  })
  return [...gone, ...others]
}

/** Names of the fields in which two objects differ. */
export function fieldsThatDiffer<T extends object>(before: T, after: T): string[] {
  const names = new Set([...Object.keys(before), ...Object.keys(after)]) as Set<keyof T & string>
  return [...names].filter((name) => !equal(before[name], after[name]))
}
