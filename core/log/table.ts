import Papa from 'papaparse'
import { guarded, unguarded } from '../csv'
import { checkAgainst, Fault } from '../validation'
import { inOrder } from './in-order'
import { logSchema, type Log } from './schema'

const columns = ['id', 'at', 'roadKm', 'by', 'kind', 'note', 'more'] as const

/** A log as a table of comma-separated values, in the order of what happened; what only some entries say stands in the last column as JSON. */
export function logAsTable(log: Log): string {
  const rows = inOrder(log).map(({ id, at, roadKm, by, kind, note, ...more }) => [
    guarded(id),
    at,
    roadKm === null ? '' : String(roadKm),
    guarded(by ?? ''),
    kind,
    guarded(note),
    Object.keys(more).length > 0 ? JSON.stringify(more) : '',
  ])
  return Papa.unparse({ fields: [...columns], data: rows }, { newline: '\r\n' })
}

/**
 * Reads such a table back.
 *
 * @throws Fault that says in which line what is wrong
 */
export function logFromTable(text: string): Log {
  const { data, meta, errors } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: true,
  })
  const lacking = columns.filter((column) => !meta.fields?.includes(column))
  if (lacking.length > 0)
    throw new Fault('the first line', `without ${lacking.join(', ')}`, `the columns ${columns.join(', ')}`)
  const [error] = errors
  if (error) throw new Fault(`line ${(error.row ?? 0) + 2}`, error.message, 'a line with as many cells as the first')
  const rows = data.map((row, i) => ({
    ...moreOf(row.more ?? '', i + 2),
    id: unguarded(row.id ?? ''),
    at: row.at,
    roadKm: row.roadKm === '' ? null : Number(row.roadKm),
    by: row.by === '' ? null : unguarded(row.by ?? ''),
    kind: row.kind,
    note: unguarded(row.note ?? ''),
  }))
  return checkAgainst(logSchema, rows)
}

function moreOf(text: string, line: number): object {
  if (text === '') return {}
  try {
    const read: unknown = JSON.parse(text)
    if (typeof read === 'object' && read !== null && !Array.isArray(read)) return read
  } catch {
    // Said below, with the line.
  }
  throw new Fault(`line ${line}, more`, `“${text.slice(0, 40)}”`, 'what the entry says beside, as it was written out')
}
