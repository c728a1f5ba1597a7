/** An error without what it says: its words, and the values of a statement, may be somebody's own. */
export interface Failure {
  readonly name: string
  /** Such as ER_NO_SUCH_TABLE or ECONNRESET. */
  readonly code?: string
  /** The statement, with a mark in the place of each value. */
  readonly sql?: string
  /** Where it came from, the innermost place first. */
  readonly at: readonly string[]
  readonly cause?: Failure
}

/** Errors hold their causes in a chain; one that goes in a circle is cut. */
const mostCauses = 5
const mostPlaces = 12

/** What may be written down of an error: enough to find where it happened. */
export function failureOf(error: unknown, causes = 0): Failure {
  if (!(error instanceof Error)) return { name: typeof error, at: [] }
  const { code, query } = error as { code?: unknown; query?: unknown }
  // The stack begins with the error's words, which may look like places.
  const stack = (error.stack ?? '').replace(error.message, '')
  const places = stack.split('\n').filter((line) => /^\s+at \S.*:\d+:\d+\)?$/.test(line))
  return {
    name: error.name,
    ...(typeof code === 'string' ? { code } : {}),
    ...(typeof query === 'string' ? { sql: query } : {}),
    at: places.slice(0, mostPlaces).map((line) => line.trim().replace(/^at /, '')),
    ...(error.cause === undefined || causes >= mostCauses ? {} : { cause: failureOf(error.cause, causes + 1) }),
  }
}
