import { defineEventHandler } from 'h3'
import { httpError } from '../http/http-error'

/** Any other address under /api: there is nothing, and no page is sent instead. */
export default defineEventHandler(() => {
  throw httpError(404, 'Not Found', 'There is nothing here.')
})
