import { drizzle, type MySql2Database } from 'drizzle-orm/mysql2'
import { createPool } from 'mysql2/promise'
import * as schema from './schema'
import { patienceMs, withinTime } from './within-time'

export type Database = MySql2Database<typeof schema>
/** What queries run on: the database, or a transaction in it. */
export type Connection = Pick<Database, 'select' | 'insert' | 'update' | 'delete'>

/** Opens a pool of connections; the caller ends it. */
export function openDatabase(url: string): { db: Database; close: () => Promise<void> } {
  if (!url) throw new Error('no database is configured; start Rag Tin with ./demo, or set NUXT_DATABASE_URL')
  const pool = createPool({
    uri: url,
    connectionLimit: 8,
    // Whoever comes when so many wait is told to come again.
    queueLimit: 400,
    connectTimeout: patienceMs,
    timezone: 'Z',
    charset: 'utf8mb4',
  })
  return { db: drizzle(withinTime(pool), { schema, mode: 'default' }), close: () => pool.end() }
}
