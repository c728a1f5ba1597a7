import { z } from 'zod'
import { partNames, type PartName, type Trip } from '../trip'
import { text } from '../validation'
import { changedEntries, fieldsThatDiffer } from './changed-entries'

/** One thing that a save changed. */
export const changeLineSchema = z.object({
  part: z.enum(partNames),
  /** What it is called: a stop, a bike, a rider, a thing; empty where the part as a whole is meant. */
  name: text(120),
  how: z.enum(['added', 'removed', 'changed']),
  /** Fields that are other than they were. */
  fields: z.array(text(60)).max(40),
})
export type ChangeLine = z.infer<typeof changeLineSchema>

/** What is remembered of one save at most; a bench that is laid anew is a hundred things. */
export const mostChangeLines = 20
/** What is remembered: the first lines, and how many more there were. */
export const changesSchema = z.object({
  lines: z.array(changeLineSchema).max(mostChangeLines),
  more: z.number().int().min(0),
})
export type Changes = z.infer<typeof changesSchema>

/** Parts of a trip whose road has no need to be there: of a line it is only said that it is another. */
type Parts = Omit<Trip, 'format' | 'road'> & { readonly road: object }

/**
 * What a save changed, thing by thing, for people to read later.
 *
 * @param parts those that it touched
 */
export function changeLines(before: Parts, after: Parts, parts: readonly PartName[]): Changes {
  const lines = parts.flatMap((part): ChangeLine[] => {
    switch (part) {
      case 'stops':
        return linesOf(part, before.stops, after.stops)
      case 'bikes':
        return linesOf(part, before.bikes, after.bikes)
      case 'crew':
        return linesOf(part, before.crew, after.crew)
      case 'bench':
        return linesOf(part, before.bench, after.bench)
      case 'log':
        return linesOf(part, before.log.map(named), after.log.map(named))
      case 'name':
        return before.name === after.name ? [] : [{ part, name: after.name, how: 'changed', fields: [] }]
      default: {
        const fields = fieldsThatDiffer(before[part], after[part])
        return fields.length > 0 ? [{ part, name: '', how: 'changed', fields: fields.slice(0, 40) }] : []
      }
    }
  })
  return { lines: lines.slice(0, mostChangeLines), more: Math.max(0, lines.length - mostChangeLines) }
}

/** What was written in a log is called by what it is about. */
const named = (entry: Trip['log'][number]) => ({ ...entry, name: entry.kind })

function linesOf<T extends { readonly id: string; readonly name: string }>(
  part: PartName,
  before: readonly T[],
  after: readonly T[],
): ChangeLine[] {
  return changedEntries(before, after).map((entry) => ({
    part,
    name: entry.name,
    how: !entry.before ? 'added' : entry.after ? 'changed' : 'removed',
    fields: entry.fields.slice(0, 40),
  }))
}
