import { cpSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { migrate } from 'drizzle-orm/mysql2/migrator'
import { createConnection, type Connection } from 'mysql2/promise'
import { openDatabase } from '../../server/db/connection'
import { quickFolder } from '../quick-folder'

/** The database as an older Rag Tin would have left it: with the migrations up to one of them, and nothing in it. */
export async function asOf(url: string, tag: string): Promise<Connection> {
  const connection = await createConnection(url)
  await connection.query('DROP DATABASE rag_tin')
  await connection.query('CREATE DATABASE rag_tin CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci')
  await connection.query('USE rag_tin')
  const { db, close } = openDatabase(url)
  const migrationsFolder = migrationsUpTo(tag)
  await migrate(db, { migrationsFolder })
  await close()
  rmSync(migrationsFolder, { recursive: true })
  return connection
}

function migrationsUpTo(tag: string): string {
  const old = quickFolder(`rag-tin-${tag}-`)
  cpSync('server/db/migrations', old, { recursive: true })
  const path = join(old, 'meta/_journal.json')
  const journal = JSON.parse(readFileSync(path, 'utf8')) as { entries: { tag: string }[] }
  const last = journal.entries.findIndex((entry) => entry.tag === tag)
  writeFileSync(path, JSON.stringify({ ...journal, entries: journal.entries.slice(0, last + 1) }))
  return old
}

/** A trip in the tables of `0000_begin`: t, of the person u. */
export async function insertOldTrip(connection: Connection): Promise<void> {
  await connection.query(`INSERT INTO users VALUES ('u', 'old@quern.example', 'Old', 'x', NOW())`)
  await connection.query(
    `INSERT INTO trips (id, owner_id, name, created_at, updated_at) VALUES ('t', 'u', 'Of old', NOW(), NOW())`,
  )
  for (const part of ['name', 'road', 'stops', 'bikes', 'crew', 'bench', 'dials']) {
    await connection.query(`INSERT INTO part_versions VALUES ('t', ?, 3, NOW())`, [part])
  }
  // Bikes and tools as they were said before fasteners and heads were told apart.
  const passport = {
    tyres: { front: { size: '40-406' }, rear: { size: '40-406' } },
    speeds: 9,
    brakes: 'rim',
    rack: true,
  }
  await connection.query(`INSERT INTO bikes VALUES ('t', 'b', 0, 'Old folder', ?)`, [JSON.stringify(passport)])
  await connection.query(
    `INSERT INTO things (trip_id, id, position, name, mass_g, count, condition_share, note)
     VALUES ('t', 'keys', 0, 'Old keys', 90, 1, 1, '')`,
  )
  await connection.query(`INSERT INTO thing_functions VALUES ('t', 'keys', 0, 'hex-5'), ('t', 'keys', 1, 'grip')`)
  await connection.query(
    `INSERT INTO dials (trip_id, grams_per_hour, trust, walking, walk_hours_per_day, night_out_h, ride_over_h, helper)
     VALUES ('t', 333, 0.7, 'tobler', 9, 2, 10, 0.1)`,
  )
}
