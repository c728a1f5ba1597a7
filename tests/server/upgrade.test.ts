import { nth } from '#core/validation'
import { logEntrySchema } from '#core/log'
import { tripSchema } from '#core/trip'
import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { createConnection, type RowDataPacket } from 'mysql2/promise'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { loadDump } from '../../scripts/dump'
import { startMariadb, type RunningMariadb } from '../../scripts/mariadb'
import { ScriptError } from '../../scripts/script-error'
import { migrateDatabase, toBeRestored, upgradeDatabase } from '../../scripts/upgrade'
import { openDatabase, type Database } from '../../server/db/connection'
import { partChange, tripJson } from '../../server/db/stored-parts'
import { readWholeTrip, saveParts } from '../../server/db/trips'
import { asOf, insertOldTrip } from './old-database'
import { quickFolder } from '../quick-folder'

let folder: string
let mariadb: RunningMariadb
beforeAll(async () => {
  folder = quickFolder('rag-tin-upgrade-')
  mariadb = await startMariadb(join(folder, 'mariadb'))
})
afterAll(async () => {
  await mariadb?.stop()
  rmSync(folder, { recursive: true, force: true })
})

/** A trip as it is handed out. */
async function readDocument(db: Database, ownerId: string, tripId: string) {
  const { json, revisions } = await readWholeTrip(db, ownerId, tripId)
  return { trip: tripSchema.parse(JSON.parse(tripJson(json).toString())), revisions }
}

/** The oldest trip there is, brought up. */
async function oldTrip() {
  const connection = await asOf(mariadb.url, '0000_begin')
  await insertOldTrip(connection)
  await connection.end()
  await migrateDatabase(mariadb.url)
  const { db, close } = openDatabase(mariadb.url)
  return { db, close, ...(await readDocument(db, 'u', 't')) }
}

it('a trip saved before rides had dates and bikes had fasteners is there afterwards, and can be saved', async () => {
  const { db, close, trip, revisions } = await oldTrip()
  expect(trip).toMatchObject({
    name: 'Of old',
    ride: { start: null, nights: [] },
    dials: { gramsPerHour: 333, waitH: 3 },
  })
  expect(revisions).toMatchObject({ ride: { number: 1 }, forecast: { number: 1 }, dials: { number: 3, save: '' } })
  expect(trip.bikes).toMatchObject([{ name: 'Old folder', kind: 'folder', speeds: 9, racks: { rear: true } }])
  expect(nth(trip.bikes, 0).fasteners.map(({ name }) => name)).toContain('Axle nuts, rear')
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

it('a part that trips have only learned to have is saved like any other', async () => {
  const { db, close, trip, revisions } = await oldTrip()
  expect(trip).toMatchObject({ log: [], home: { tasks: [] } })
  const entry = logEntrySchema.parse({ kind: 'note', id: 'e', at: '2026-06-14T15:40', note: 'Wind from ahead' })
  await saveParts(db, 'u', 't', 'first', [partChange('log', revisions.log, [entry])])
  await saveParts(db, 'u', 't', 'second', [partChange('home', revisions.home, { ...trip.home, country: 'is' })])
  const after = await readDocument(db, 'u', 't')
  expect(after.trip).toMatchObject({ log: [entry], home: { country: 'is' } })
  // Whoever has the trip open elsewhere sees by its revision that it is another.
  expect(after.revisions.log).toEqual({ number: revisions.log.number + 1, save: 'first' })
  expect(after.revisions.home).toEqual({ number: revisions.home.number + 1, save: 'second' })
  await expect(saveParts(db, 'u', 't', 'third', [partChange('log', revisions.log, [])])).rejects.toThrow('log')
  await close()
})

it('nights that were settled before they held on to stops come to lie at theirs; a start in a year nobody meant is none', async () => {
  const connection = await asOf(mariadb.url, '0005_saves')
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
  const connection = await asOf(mariadb.url, '0007_likely_starts')
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

it('data of a newer version are left alone, and it is said why', async () => {
  await asOf(mariadb.url, '0010_attempts_in_memory')
  const connection = await createConnection(mariadb.url)
  await connection.query(`INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('later', 99999999999999)`)
  const begun = upgradeDatabase(mariadb.url, join(folder, 'mariadb'))
  await expect(begun).rejects.toThrow('The data were written by a newer Rag Tin than this one')
  await expect(begun).rejects.toThrow(ScriptError)
  const [rows] = await connection.query<RowDataPacket[]>('SELECT COUNT(*) AS n FROM __drizzle_migrations')
  expect(rows[0]?.n).toBe(12)
  await connection.end()
})

it('an upgrade that the data do not bear says so, and leaves them as they were for the next start', async () => {
  const connection = await asOf(mariadb.url, '0008_exact_text')
  await connection.query('CREATE TABLE sessions (mine INT)')
  await connection.query('INSERT INTO sessions VALUES (7)')
  const upgrade = () => upgradeDatabase(mariadb.url, join(folder, 'mariadb'))
  await expect(upgrade()).rejects.toThrow(/could not be brought to this version \(0009_sessions, .*already exists/s)
  // It is tried again from where it began, not from the middle.
  await expect(upgrade()).rejects.toThrow(/could not be brought to this version/)
  await loadDump(mariadb.url, toBeRestored(join(folder, 'mariadb')))
  const [rows] = await connection.query<RowDataPacket[]>('SELECT mine FROM rag_tin.sessions')
  expect(rows).toEqual([{ mine: 7 }])
  await connection.query('DROP TABLE rag_tin.sessions')
  await connection.end()
  rmSync(toBeRestored(join(folder, 'mariadb')))
  await upgrade()
})
