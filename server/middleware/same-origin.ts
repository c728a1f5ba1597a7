import { comesFromHere } from '../http/answers'

/** Requests that change something are only taken from the app's own pages. */
export default defineEventHandler((event) => {
  const safe = event.method === 'GET' || event.method === 'HEAD' || event.method === 'OPTIONS'
  if (!safe && event.path.startsWith('/api/') && !comesFromHere(event)) {
    throw createError({ statusCode: 403, statusMessage: 'Forbidden', data: { lines: ['Sent from another site.'] } })
  }
})
