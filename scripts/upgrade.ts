import { existsSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { basename, join } from 'node:path'
import { migrate } from 'drizzle-orm/mysql2/migrator'
import { createConnection, type RowDataPacket } from 'mysql2/promise'
import { z } from 'zod'
import { openDatabase } from '../server/db/connection'
import { dumpDatabase, loadDump } from './dump'
import { ScriptError } from './script-error'

const migrations = 'server/db/migrations'
const journalSchema = z.object({ entries: z.array(z.object({ tag: z.string(), when: z.number() })) })

/**
 * The database as it was before something was begun that must be done whole. While the file is there, what was begun is
 * not done: the next start puts the database back to it.
 */
export const toBeRestored = (folder: string) => join(folder, 'to-be-restored.sql')

/**
 * Brings a database to what this version needs. What changes tables cannot be taken back, so the database is written
 * down before: an upgrade that was interrupted begins anew from there.
 *
 * @param folder the database server's
 * @throws ScriptError where the data are of a newer version, or cannot be brought to this one
 */
export async function upgradeDatabase(url: string, folder: string): Promise<void> {
  const before = toBeRestored(folder)
  for (const unfinished of readdirSync(folder).filter((name) => name.startsWith(`${basename(before)}.`)))
    rmSync(join(folder, unfinished))
  if (existsSync(before)) {
    console.log(`The database becomes what was written down in ${before} …`)
    await loadDump(url, before)
  }
  const pending = await pendingMigrations(url)
  if (pending.length > 0) {
    if (!existsSync(before)) await dumpDatabase(url, before)
    try {
      await migrateDatabase(url)
    } catch (error) {
      // The library tells the statement; why it was refused is in what caused it.
      const cause = error instanceof Error && error.cause instanceof Error ? error.cause : error
      const why = cause instanceof Error ? cause.message : String(cause)
      throw new ScriptError(
        `The data could not be brought to this version (${pending.join(', ')}): ${why}\nThey are as they were before in ${before}, and are put back to that at the next start.`,
      )
    }
  }
  rmSync(before, { force: true })
}

/** Applies the migrations that a database does not have yet. */
export async function migrateDatabase(url: string): Promise<void> {
  const { db, close } = openDatabase(url)
  try {
    await migrate(db, { migrationsFolder: migrations })
  } finally {
    await close()
  }
}

/** The names of the migrations that a database lacks. @throws ScriptError where it has some that this version does not know */
async function pendingMigrations(url: string): Promise<readonly string[]> {
  const { entries } = journalSchema.parse(JSON.parse(readFileSync(join(migrations, 'meta/_journal.json'), 'utf8')))
  const applied = await appliedMigrations(url)
  const unknown = applied.filter((when) => !entries.some((entry) => entry.when === when))
  if (unknown.length > 0)
    throw new ScriptError(
      'The data were written by a newer Rag Tin than this one, which would not understand them; nothing was changed. Start the newer one, or restore a backup that this one made.',
    )
  return entries.filter(({ when }) => !applied.includes(when)).map(({ tag }) => tag)
}

/** When each migration that a database has was made: what it is known by. */
async function appliedMigrations(url: string): Promise<readonly number[]> {
  const connection = await createConnection(url)
  try {
    const [tables] = await connection.query<RowDataPacket[]>(`SHOW TABLES LIKE '\\_\\_drizzle\\_migrations'`)
    if (tables.length === 0) return []
    const [rows] = await connection.query<RowDataPacket[]>('SELECT created_at FROM `__drizzle_migrations`')
    return rows.map(({ created_at }) => Number(created_at))
  } finally {
    await connection.end()
  }
}
