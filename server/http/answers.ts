import { getRequestURL, type H3Event } from 'h3'
import { faultLines } from '../../core/trip'
import { NoSuchTrip, SavedMeanwhile } from '../db/trips'
import { Refusal } from '../refusal'
import { TooBusy } from '../threads/pool'

/** Turns what the core and the database say into answers a browser understands. */
export function answering<T>(handler: (event: H3Event) => Promise<T>) {
  return defineEventHandler(async (event) => {
    try {
      return await handler(event)
    } catch (error) {
      const lines = error instanceof Refusal ? error.lines : faultLines(error)
      if (lines) throw createError({ statusCode: 422, statusMessage: 'Unprocessable Content', data: { lines } })
      if (error instanceof NoSuchTrip) {
        throw createError({ statusCode: 404, statusMessage: 'Not Found', data: { lines: ['There is no such trip.'] } })
      }
      if (error instanceof SavedMeanwhile) {
        throw createError({
          statusCode: 409,
          statusMessage: 'Conflict',
          data: { lines: [error.message] },
        })
      }
      if (error instanceof TooBusy) {
        setHeader(event, 'retry-after', 5)
        throw createError({
          statusCode: 503,
          statusMessage: 'Service Unavailable',
          data: { lines: ['Too much is being worked on at the same time; try again in a moment.'] },
        })
      }
      throw error
    }
  })
}

/**
 * The signed-in person's id; 401 for anybody else, and for a page of somebody who was signed in before: what they still
 * have to save is not for the one who is now.
 */
export async function personOf(event: H3Event): Promise<string> {
  const { user } = await requireUserSession(event)
  const meant = getHeader(event, 'x-rag-tin-person')
  if (meant && meant !== user.id) {
    throw createError({
      statusCode: 401,
      statusMessage: 'Unauthorized',
      data: { lines: ['Somebody else has signed in here since.'] },
    })
  }
  return user.id
}

export function tripIdOf(event: H3Event): string {
  return getRouterParam(event, 'id') ?? ''
}

/** Whether a request that changes something comes from the app itself. */
export function comesFromHere(event: H3Event): boolean {
  const site = getHeader(event, 'sec-fetch-site')
  if (site) return site === 'same-origin' || site === 'none'
  const origin = getHeader(event, 'origin')
  return !origin || origin === getRequestURL(event).origin
}
