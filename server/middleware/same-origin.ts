import { useRuntimeConfig } from 'nitropack/runtime'
import { defineEventHandler, getHeader } from 'h3'
import { httpError } from '../http/http-error'
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
    throw httpError(403, 'Forbidden', 'Sent from another site.')
})
