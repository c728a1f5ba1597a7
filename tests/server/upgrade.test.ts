import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { migrate } from 'drizzle-orm/mysql2/migrator'
import { createConnection, type Connection, type RowDataPacket } from 'mysql2/promise'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { tripSchema } from '../../core/trip'
import { migrateDatabase } from '../../scripts/database'
import { startMariadb, type RunningMariadb } from '../../scripts/mariadb'
import { openDatabase, type Database } from '../../server/db/connection'
import { partChange, tripJson } from '../../server/db/kept'
import { readWholeTrip, saveParts } from '../../server/db/trips'

let folder: string
let mariadb: RunningMariadb
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'rag-tin-upgrade-'))
  mariadb = await startMariadb(join(folder, 'mariadb'))
})
afterAll(async () => {
  await mariadb?.stop()
  rmSync(folder, { recursive: true, force: true })
})

/** A trip as it is handed out. */
async function readDocument(db: Database, ownerId: string, tripId: string) {
  const { json, revisions } = await readWholeTrip(db, ownerId, tripId)
  return { trip: tripSchema.parse(JSON.parse(tripJson(json))), revisions }
}

/** The database as an older Rag Tin would have left it: with the migrations up to one of them, and nothing in it. */
async function asOf(tag: string): Promise<Connection> {
  const connection = await createConnection(mariadb.url)
  await connection.query('DROP DATABASE rag_tin')
  await connection.query('CREATE DATABASE rag_tin CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci')
  await connection.query('USE rag_tin')
  const { db, close } = openDatabase(mariadb.url)
  await migrate(db, { migrationsFolder: migrationsUpTo(tag) })
  await close()
  return connection
}

function migrationsUpTo(tag: string): string {
  const old = join(folder, tag)
  cpSync('server/db/migrations', old, { recursive: true })
  const path = join(old, 'meta/_journal.json')
  const journal = JSON.parse(readFileSync(path, 'utf8')) as { entries: { tag: string }[] }
  const last = journal.entries.findIndex((entry) => entry.tag === tag)
  writeFileSync(path, JSON.stringify({ ...journal, entries: journal.entries.slice(0, last + 1) }))
  return old
}

it('a trip saved before rides had dates and bikes had fasteners is there afterwards, and can be saved', async () => {
  const connection = await asOf('0000_begin')
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
  await connection.end()

  await migrateDatabase(mariadb.url)
  const { db, close } = openDatabase(mariadb.url)
  const { trip, revisions } = await readDocument(db, 'u', 't')
  expect(trip).toMatchObject({
    name: 'Of old',
    ride: { start: null, nights: [] },
    dials: { gramsPerHour: 333, waitH: 3 },
  })
  expect(revisions).toMatchObject({ ride: { number: 1 }, forecast: { number: 1 }, dials: { number: 3, save: '' } })
  expect(trip.bikes).toMatchObject([{ name: 'Old folder', kind: 'folder', speeds: 9, racks: { rear: true } }])
  expect(trip.bikes[0]!.fasteners.map(({ name }) => name)).toContain('Axle nuts, rear')
  expect(trip.bench).toMatchObject([{ provides: ['grip'], heads: [{ profile: 'hex', size: 5 }] }])
  const ride = { ...trip.ride, start: '2026-06-12T08:30', nights: [{ id: 'n', roadKm: 40, stop: null, nights: 2 }] }
  await saveParts(db, 'u', 't', 'first save', [partChange('ride', { number: 1, save: '' }, ride)])
  const after = await readDocument(db, 'u', 't')
  expect(after.trip.ride).toEqual(ride)
  expect(after.revisions.ride).toEqual({ number: 2, save: 'first save' })
  const asBegun = { number: 3, save: '' }
  await saveParts(db, 'u', 't', 'second save', [
    partChange('bikes', asBegun, trip.bikes),
    partChange('bench', asBegun, trip.bench),
  ])
  expect((await readDocument(db, 'u', 't')).trip).toMatchObject({ bikes: trip.bikes, bench: trip.bench })
  await close()
})

it('nights that were settled before they held on to stops come to lie at theirs; a start in a year nobody meant is none', async () => {
  const connection = await asOf('0005_saves')
  await connection.query(`INSERT INTO users VALUES ('n', 'night@quern.example', 'Night', 'x', NOW())`)
  await connection.query(
    `INSERT INTO trips (id, owner_id, name, created_at, updated_at) VALUES ('n', 'n', 'Nights', NOW(), NOW()), ('t', 'n', 'Another', NOW(), NOW())`,
  )
  await connection.query(`INSERT INTO stops (trip_id, id, position, name, road_km, off_road_m, note) VALUES
    ('n', 'a', 0, 'A', 10, 0, ''), ('n', 'b', 1, 'B', 11.5, 0, ''), ('t', 'c', 0, 'Of another trip', 30, 0, '')`)
  await connection.query(
    `INSERT INTO rides (trip_id, start_wall, utc_offset_h, day_starts_h, riding_h, pause_h, climb_m_per_h, pace)
     VALUES ('n', '0202-06-13T08:30', 0, 8, 7, 0.25, 700, '{}')`,
  )
  await connection.query(`INSERT INTO nights VALUES ('n', 'x', 0, 10.9, 1), ('n', 'y', 1, 30, 2)`)
  await connection.end()
  await migrateDatabase(mariadb.url)
  const { db, close } = openDatabase(mariadb.url)
  const { trip } = await readDocument(db, 'n', 'n')
  expect(trip.ride.start).toBeNull()
  expect(trip.ride.nights).toEqual([
    { id: 'x', roadKm: 11.5, stop: 'b', nights: 1 },
    { id: 'y', roadKm: 30, stop: null, nights: 2 },
  ])
  await close()
})

it('text that no document can hold is mended, and all text is exact', async () => {
  const connection = await asOf('0007_likely_starts')
  await connection.query(`INSERT INTO users VALUES ('e', 'exact@quern.example', 'Exact', 'x', NOW())`)
  await connection.query(
    `INSERT INTO trips (id, owner_id, name, created_at, updated_at) VALUES ('e', 'e', 'A\\0B', NOW(), NOW())`,
  )
  await connection.query(
    `INSERT INTO stops (trip_id, id, position, name, road_km, off_road_m, note) VALUES ('e', 's', 0, ?, 0, 0, ?)`,
    ['Bell\u0007 inn', 'two\nlines\tand\u001f more'],
  )
  const passport = {
    tyres: { front: { size: '40-406' }, rear: { size: '40-406' } },
    storage: [{ name: 'Half \ud83d, NUL \0, path C:\\u0000\\b', volumeMl: 500, longestMm: 200 }],
  }
  await connection.query(`INSERT INTO bikes VALUES ('e', 'b', 0, 'Bike', ?)`, [JSON.stringify(passport)])
  await migrateDatabase(mariadb.url)

  const { db, close } = openDatabase(mariadb.url)
  const { trip } = await readDocument(db, 'e', 'e')
  await close()
  expect(trip.name).toBe('AB')
  expect(trip.stops[0]).toMatchObject({ name: 'Bell inn', note: 'two\nlines\tand more' })
  expect(trip.bikes[0]?.storage[0]?.name).toBe('Half , NUL , path C:\\u0000\\b')
  const [columns] = await connection.query<RowDataPacket[]>(
    `SELECT table_name, column_name FROM information_schema.columns
     WHERE table_schema = DATABASE() AND table_name <> '__drizzle_migrations'
     AND collation_name IS NOT NULL AND collation_name <> 'utf8mb4_nopad_bin'`,
  )
  await connection.end()
  expect(columns).toEqual([])
})
