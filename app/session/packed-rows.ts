import { numberAt } from '#core/validation'

/** Lists of fewer rows stay as they are. */
const leastRows = 1000

/**
 * A list of rows of numbers, all of one width, as one block of numbers; NaN where there is null. A browser's database takes a
 * hundred thousand rows one by one, and gives them back so, and the page stands still meanwhile; a block it takes at once.
 */
interface PackedRows {
  readonly rowWidth: number
  readonly packedRows: Float64Array
}

const isObject = (value: unknown): value is object => value !== null && typeof value === 'object'

/** A value as this device keeps it: in it, long lists of rows of numbers are packed. */
export function packed(value: unknown): unknown {
  if (Array.isArray(value)) return packedTable(value) ?? value.map(packed)
  if (!isObject(value)) return value
  return Object.fromEntries(Object.entries(value).map(([key, entry]) => [key, packed(entry)]))
}

/** The value that was packed; one that never was, from an older Rag Tin, stays as it is. */
export function unpacked(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(unpacked)
  if (!isObject(value)) return value
  if (isPacked(value)) return unpackedTable(value)
  return Object.fromEntries(Object.entries(value).map(([key, entry]) => [key, unpacked(entry)]))
}

const isPacked = (value: object): value is PackedRows =>
  'packedRows' in value && value.packedRows instanceof Float64Array && 'rowWidth' in value

/** @returns undefined where a list is short, or holds anything but rows of numbers of one width */
function packedTable(list: readonly unknown[]): PackedRows | undefined {
  const first = list[0]
  if (list.length < leastRows || !Array.isArray(first) || first.length === 0) return undefined
  const rowWidth = first.length
  const packedRows = new Float64Array(list.length * rowWidth)
  let at = 0
  for (const row of list) {
    if (!Array.isArray(row) || row.length !== rowWidth) return undefined
    for (let i = 0; i < rowWidth; i++) {
      const cell: unknown = row[i]
      if (cell !== null && (typeof cell !== 'number' || Number.isNaN(cell))) return undefined
      packedRows[at++] = cell ?? NaN
    }
  }
  return { rowWidth, packedRows }
}

function unpackedTable({ rowWidth, packedRows }: PackedRows): (number | null)[][] {
  const rows: (number | null)[][] = []
  for (let at = 0; at < packedRows.length; at += rowWidth) {
    const row: (number | null)[] = []
    for (let i = at; i < at + rowWidth; i++) {
      const cell = numberAt(packedRows, i)
      row.push(Number.isNaN(cell) ? null : cell)
    }
    rows.push(row)
  }
  return rows
}
