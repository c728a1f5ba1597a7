import { sql } from 'drizzle-orm'
import { answering } from '../http/error-answers'
import { database } from '../http/database'

/** Whether the server and its database answer; 503 where the database does not. */
export default answering(async () => {
  await database().execute(sql`select 1`)
  return { ok: true }
})
