import type { OwnedThing, SavedThing } from '#core/shed'
import equal from 'fast-deep-equal'
import type { ShedRow } from './device-database'

type Field = keyof OwnedThing

/** A thing that was changed here and elsewhere in the same respect: somebody has to say which side holds. */
export interface ShedConflict {
  readonly id: string
  readonly here: OwnedThing
  readonly there: OwnedThing
  /** The version in which it is there. */
  readonly version: string
  readonly fields: readonly Field[]
}

/** What of a thing is other than before. */
export const fieldsChanged = (before: OwnedThing, after: OwnedThing): Field[] =>
  (Object.keys(after) as Field[]).filter((field) => !equal(before[field], after[field]))

/** A thing with some fields of another. */
export const withFieldsOf = (thing: OwnedThing, other: OwnedThing, fields: readonly Field[]): OwnedThing => ({
  ...thing,
  ...(Object.fromEntries(fields.map((field) => [field, other[field]])) as Partial<OwnedThing>),
})

/**
 * A row with what the server says of it now. What was changed here stays changed, unless the server has changed the same:
 * then the row stays as it is until somebody has chosen, so that a window that is closed meanwhile finds the conflict again.
 * What was taken away on one side and changed on the other stays there.
 */
export function merged(
  row: ShedRow,
  there: Pick<SavedThing, 'version' | 'thing'>,
): { row: ShedRow; conflict?: ShedConflict } {
  const { id, saved, thing } = row
  const taken: ShedRow = { id, saved: there.thing, version: there.version, thing: there.thing }
  if (equal(thing, saved) || equal(thing, there.thing)) return { row: taken }
  if (there.thing === null) return { row: { ...taken, thing } }
  if (thing === null) return { row: equal(there.thing, saved) ? { ...taken, thing } : taken }
  const mine = changedHere(row)
  const theirs = new Set(saved === null ? (Object.keys(thing) as Field[]) : fieldsChanged(saved, there.thing))
  const { thing: other } = there
  const both = mine.filter((field) => theirs.has(field) && !equal(thing[field], other[field]))
  if (both.length > 0) {
    return { row, conflict: { id, here: thing, there: other, version: there.version, fields: both } }
  }
  return { row: { ...taken, thing: withFieldsOf(other, thing, mine) } }
}

/** What of a row was changed here since the server last spoke of it. */
function changedHere({ saved, thing }: ShedRow): Field[] {
  if (thing === null) return []
  return saved === null ? (Object.keys(thing) as Field[]) : fieldsChanged(saved, thing)
}

/** A row in which somebody has chosen whose fields hold; what only one side had changed stays. */
export function settled(row: ShedRow, { there, version, fields }: ShedConflict, side: 'here' | 'there'): ShedRow {
  const kept = changedHere(row).filter((field) => side === 'here' || !fields.includes(field))
  return { ...row, saved: there, version, thing: row.thing && withFieldsOf(there, row.thing, kept) }
}
