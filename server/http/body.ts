import { getHeader, getRequestHeader, type H3Event } from 'h3'
import type { z } from 'zod'
import { checkAgainst, type FaultDetail } from '#core/validation'
import { httpError } from './http-error'

/** The most bytes that are read of a request's body: of words that somebody typed, of things of a shed, and of a whole trip. */
export const mostBytes = {
  words: 16_384,
  // A hundred things of a shed, each of them a folding tool with all its ends.
  shed: 2_000_000,
  // A road of a quarter of a million points is about 10 MB of JSON.
  trip: 24_000_000,
} as const

/** The most bytes of bodies that are held at one time, whoever sends them. */
const mostHeld = 8 * mostBytes.trip
let held = 0

/**
 * Reads a request's body, counting its bytes as they come: what it says of its own length is not relied upon. The
 * rest of one that is too long is left unread.
 *
 * @throws 413 when it is longer than allowed, 415 when it is compressed, 503 when too much is held already
 */
export async function bytesOf(event: H3Event, most: number): Promise<Buffer> {
  const encoding = getRequestHeader(event, 'content-encoding')
  if (encoding && encoding !== 'identity')
    throw httpError(415, 'Unsupported Media Type', `the request: packed as ${encoding}; expected it as it is`)
  const tooLong = () => httpError(413, 'Content Too Large', `the request: longer than ${most} bytes`)
  if (Number(getHeader(event, 'content-length') ?? 0) > most) throw tooLong()

  const chunks: Buffer[] = []
  let length = 0
  try {
    for await (const chunk of event.node.req.iterator({ destroyOnReturn: false }) as AsyncIterable<Buffer>) {
      length += chunk.length
      held += chunk.length
      if (length > most) throw tooLong()
      if (held > mostHeld)
        throw httpError(503, 'Service Unavailable', 'Too much is being sent at the same time; try again in a moment.')
      chunks.push(chunk)
    }
    return Buffer.concat(chunks, length)
  } finally {
    held -= length
  }
}

/** What a body says as JSON. @throws 400 when it is not JSON */
export function jsonOf(bytes: Buffer): unknown {
  try {
    return JSON.parse(bytes.toString('utf8')) as unknown
  } catch {
    throw httpError(400, 'Bad Request', 'the request: not JSON; expected JSON')
  }
}

/**
 * Reads a request's JSON body of a few words against a schema; whatever does not fit is a Fault.
 *
 * @param showing `where` alone for bodies with something in them that nobody shall read, such as a password
 */
export async function bodyOf<S extends z.ZodType>(
  event: H3Event,
  schema: S,
  showing: FaultDetail = 'what was found',
): Promise<z.output<S>> {
  return checkAgainst(schema, jsonOf(await bytesOf(event, mostBytes.words)), showing)
}
