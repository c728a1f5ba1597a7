/** Any other address under /api: there is nothing, and no page is sent instead. */
export default defineEventHandler(() => {
  throw createError({ statusCode: 404, statusMessage: 'Not Found', data: { lines: ['There is nothing here.'] } })
})
