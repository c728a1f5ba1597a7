import { createError } from 'h3'

/** An answer that says no, and why in lines for the rider to read. */
export function httpError(statusCode: number, statusMessage: string, ...lines: readonly string[]): Error {
  return createError({ statusCode, statusMessage, data: { lines } })
}
