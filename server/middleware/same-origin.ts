import { comesFromHere } from '../http/origin'

/** Requests that change something are only taken from the app's own pages. */
export default defineEventHandler((event) => {
  const safe = event.method === 'GET' || event.method === 'HEAD' || event.method === 'OPTIONS'
  if (safe || !event.path.startsWith('/api/')) return
  const sender = {
    site: getHeader(event, 'sec-fetch-site'),
    origin: getHeader(event, 'origin'),
    host: getHeader(event, 'host'),
  }
  if (!comesFromHere(sender, useRuntimeConfig(event).origin))
    throw createError({ statusCode: 403, statusMessage: 'Forbidden', data: { lines: ['Sent from another site.'] } })
})
