import { sql } from 'drizzle-orm'
import { database } from '../http/database'

/** Whether the server and its database answer. */
export default defineEventHandler(async () => {
  await database().execute(sql`select 1`)
  return { ok: true }
})
