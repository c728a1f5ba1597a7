/**
 * A value of which the program knows that it is there, though its type does not say so.
 *
 * @param what names it where it is not there after all
 * @throws RangeError where it is not: a mistake of the program, not of whoever gave the input
 */
export function defined<T>(value: T, what = 'a value'): NonNullable<T> {
  if (value === undefined || value === null) throw new RangeError(`${what} is missing`)
  return value
}

/**
 * An entry of a list at a place inside it.
 *
 * @param index from 0 to one less than the length
 * @throws RangeError outside the list: a mistake of the program
 */
export function nth<T>(list: ArrayLike<T>, index: number): T {
  const entry = list[index]
  if (entry === undefined) throw new RangeError(`place ${index} lies outside a list of ${list.length}`)
  return entry
}

/**
 * A number of a long row of them: the same as `nth`, but a function of its own, which the engine compiles for such rows
 * alone. Roads have hundreds of thousands of points, and shared with lists of everything it would take four times as long.
 *
 * @throws RangeError outside the row
 */
export function numberAt(row: Float64Array, index: number): number {
  const value = row[index]
  if (value === undefined) throw new RangeError(`place ${index} lies outside a row of ${row.length}`)
  return value
}
