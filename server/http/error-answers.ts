import { isError, type H3Event, createError, defineEventHandler, getRouterParam, setHeader } from 'h3'
import { faultLines } from '#core/trip'
import { TooManyHashes } from '../accounts/hashing'
import { TooMany } from '../accounts/limits'
import { ThingsSavedMeanwhile } from '../db/shed'
import { NoSuchTrip, NotAllowed } from '../db/access'
import { SavedMeanwhile } from '../db/trips'
import { isAway } from '../db/within-time'
import { Refusal } from '../refusal'
import { NoSuchInvitation } from '../sharing/invitations'
import { TooBusy } from '../threads/pool'
import { httpError } from './http-error'

/** What is said of an error that is nobody's fault but of whoever asks, or passes by itself; undefined of any other. */
function answerTo(error: unknown, event: H3Event): Error | undefined {
  const lines = error instanceof Refusal ? error.lines : faultLines(error)
  if (lines) return httpError(422, 'Unprocessable Content', ...lines)
  if (error instanceof NoSuchTrip) return httpError(404, 'Not Found', 'There is no such trip.')
  if (error instanceof NoSuchInvitation)
    return httpError(410, 'Gone', 'This link has been used, was revoked, or is too old. Ask for another one.')
  if (error instanceof NotAllowed) return httpError(403, 'Forbidden', ...error.lines)
  if (error instanceof SavedMeanwhile) return httpError(409, 'Conflict', error.message)
  if (error instanceof ThingsSavedMeanwhile) {
    const data = { lines: [error.message], stale: error.stale }
    return createError({ statusCode: 409, statusMessage: 'Conflict', data })
  }
  if (error instanceof TooMany) {
    setHeader(event, 'retry-after', error.seconds)
    return httpError(429, 'Too Many Requests', error.message)
  }
  if (error instanceof TooBusy || error instanceof TooManyHashes) {
    setHeader(event, 'retry-after', 5)
    return httpError(503, 'Service Unavailable', 'Too much is being asked for at the same time; try again in a moment.')
  }
  if (isAway(error)) {
    setHeader(event, 'retry-after', 5)
    return httpError(
      503,
      'Service Unavailable',
      'The database does not answer just now. Nothing saved is lost; try again in a moment.',
    )
  }
  return undefined
}

/** Turns what the core and the database say into answers a browser understands. */
export function answering<T>(handler: (event: H3Event) => Promise<T>) {
  return defineEventHandler(async (event) => {
    try {
      return await handler(event)
    } catch (error) {
      if (isError(error)) throw error
      // As the cause it keeps what is known of it; by itself it would be taken apart.
      throw answerTo(error, event) ?? createError({ statusCode: 500, unhandled: true, cause: error })
    }
  })
}

export function tripIdOf(event: H3Event): string {
  return getRouterParam(event, 'id') ?? ''
}
