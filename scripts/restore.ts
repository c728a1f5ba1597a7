import { createReadStream, createWriteStream, existsSync, mkdirSync, renameSync, rmSync } from 'node:fs'
import { pipeline } from 'node:stream/promises'
import { createGunzip, createGzip } from 'node:zlib'
import { createConnection, type RowDataPacket } from 'mysql2/promise'
import { readBackupArguments } from './backup-arguments'
import { ensurePrograms, mariadb as programs } from './debian'
import { dumpDatabase, isWhole, settle } from './dump'
import { startMariadb } from './mariadb'
import { run } from './run'
import { databaseFolder, lockFolder } from './service'
import { ScriptError } from './script-error'
import { toBeRestored, upgradeDatabase } from './upgrade'

const usage = 'npm run restore -- FILE [--demo] [--over]'

/** Makes what is kept what a backup holds: npm run restore -- FILE [--demo] [--over]. */
await run(async () => {
  const { file, folder, over } = readBackupArguments(process.argv.slice(2), usage, true)
  if (!file) throw new ScriptError(`Which backup? usage: ${usage}`)
  if (!existsSync(file)) throw new ScriptError(`${file} is not there.`)
  ensurePrograms(...programs)
  await lockFolder(folder)
  const database = databaseFolder(folder)
  mkdirSync(database, { recursive: true })
  const waiting = toBeRestored(database)
  if (existsSync(waiting))
    throw new ScriptError(
      'What was begun on the database was interrupted; start it once, so that it is put right, and stop it.',
    )

  const unpacked = await unpack(file, `${waiting}.${process.pid}.new`)
  const mariadb = await startMariadb(database)
  const people = await countPeople(mariadb.url)
  if (people > 0 && !over) {
    rmSync(unpacked)
    throw new ScriptError(
      `${folder} keeps ${people === 1 ? 'one account' : `${people} accounts`}. With --over they are replaced by what the backup holds; what is there now is written down before.`,
    )
  }
  const before = `${folder}/before-restore.sql`
  await dumpDatabase(mariadb.url, before)
  try {
    // From here on an interruption is put right by the next start: it reads in what waits, or what was there before.
    settle(unpacked, waiting)
    await upgradeDatabase(mariadb.url, database)
  } catch (error) {
    renameSync(before, waiting)
    await upgradeDatabase(mariadb.url, database)
    throw new ScriptError(
      `The backup was not read in, and all is as it was before: ${error instanceof Error ? error.message : String(error)}`,
    )
  }
  if (people > 0) {
    const kept = `${folder}/before-restore-${new Date().toISOString().replace(/[:.]/g, '-')}.sql.gz`
    await pipeline(createReadStream(before), createGzip(), createWriteStream(kept, { mode: 0o600 }))
    console.log(`What was there before is in ${kept}.`)
  }
  rmSync(before)
  const now = await countPeople(mariadb.url)
  await mariadb.stop()
  console.log(`${folder} keeps what ${file} holds: ${now === 1 ? 'one account' : `${now} accounts`}.`)
  return 0
})

/** Unpacks a backup, and makes sure that it is the whole of one. */
async function unpack(file: string, path: string): Promise<string> {
  try {
    await pipeline(createReadStream(file), createGunzip(), createWriteStream(path, { mode: 0o600 }))
  } catch (error) {
    rmSync(path, { force: true })
    throw new ScriptError(
      `${file} is no backup, or not the whole of one: ${error instanceof Error ? error.message : String(error)}`,
    )
  }
  if (isWhole(path)) return path
  rmSync(path)
  throw new ScriptError(`${file} is no backup, or not the whole of one: its last line is missing.`)
}

async function countPeople(url: string): Promise<number> {
  const connection = await createConnection(url)
  try {
    const [tables] = await connection.query<RowDataPacket[]>(`SHOW TABLES LIKE 'users'`)
    if (tables.length === 0) return 0
    const [rows] = await connection.query<RowDataPacket[]>('SELECT COUNT(*) AS count FROM users')
    return Number(rows[0]?.count)
  } finally {
    await connection.end()
  }
}
