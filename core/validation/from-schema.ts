import type { z } from 'zod'
import { Fault, Faults } from './fault'

type Path = readonly PropertyKey[]

/** "bench.things[3].massG": a path as people read it. */
export function formatPath(path: Path): string {
  if (path.length === 0) return 'the document'
  return path.reduce<string>((text, step) => {
    if (typeof step === 'number') return `${text}[${step}]`
    return text === '' ? String(step) : `${text}.${String(step)}`
  }, '')
}

function valueAtPath(input: unknown, path: Path): unknown {
  return path.reduce<unknown>(
    (value, step) =>
      value !== null && typeof value === 'object' ? (value as Record<PropertyKey, unknown>)[step] : undefined,
    input,
  )
}

function formatValue(value: unknown): string {
  if (value === undefined) return 'nothing'
  const text = JSON.stringify(value) as string | undefined
  if (text === undefined) return `a ${typeof value}`
  return text.length > 60 ? `${text.slice(0, 57)}…` : text
}

/** How much a fault says of the value itself. */
export type FaultDetail = 'what was found' | 'where'

/**
 * Checks a value against a schema.
 *
 * @param showing `where` keeps what was found out of the faults: it may be a password
 * @returns the parsed value, with defaults filled in
 * @throws Faults, one for each thing wrong, each saying where, what and what was expected
 */
export function checkAgainst<S extends z.ZodType>(
  schema: S,
  input: unknown,
  showing: FaultDetail = 'what was found',
): z.output<S> {
  const result = schema.safeParse(input)
  if (result.success) return result.data
  throw new Faults(
    result.error.issues.slice(0, 20).map((issue) => {
      const found = showing === 'where' ? null : formatValue(valueAtPath(input, issue.path))
      return new Fault(formatPath(issue.path), found, formatExpectation(issue))
    }),
  )
}

function formatExpectation(issue: z.core.$ZodIssue): string {
  switch (issue.code) {
    case 'invalid_type':
      return issue.expected === 'tuple' ? 'a list of fixed length' : `a value of type ${issue.expected}`
    case 'too_small':
      return issue.origin === 'string' || issue.origin === 'array'
        ? `a ${issue.origin === 'array' ? 'list' : 'text'} of at least ${issue.minimum}`
        : `${issue.inclusive ? 'at least' : 'more than'} ${issue.minimum}`
    case 'too_big':
      return issue.origin === 'string' || issue.origin === 'array'
        ? `a ${issue.origin === 'array' ? 'list' : 'text'} of at most ${issue.maximum}`
        : `${issue.inclusive ? 'at most' : 'less than'} ${issue.maximum}`
    case 'invalid_value':
      return `one of ${issue.values.map((value) => JSON.stringify(value)).join(', ')}`
    default:
      return issue.message
  }
}
