/*
 * Programs for tables reckon what begins with one of these as a formula, which could send away what stands beside it. An
 * apostrophe before it makes a text of it; one is taken off again where it is read.
 */
const formula = '[=+\\-@\\t\\r\\n\uff1d\uff0b\uff0d\uff20]'
const toGuard = new RegExp(`^'*${formula}`)
const isGuarded = new RegExp(`^'+${formula}`)

/** A cell that no program takes for a formula. */
export const guarded = (cell: string): string => (toGuard.test(cell) ? `'${cell}` : cell)

/** A cell as it was before it was guarded. */
export const unguarded = (cell: string): string => (isGuarded.test(cell) ? cell.slice(1) : cell)
