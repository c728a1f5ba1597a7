import { defineEventHandler, setHeader } from 'h3'

/** What the API answers is somebody's own: no browser and no proxy keeps a copy of it. */
export default defineEventHandler((event) => {
  if (event.path.startsWith('/api/')) setHeader(event, 'cache-control', 'no-store')
})
