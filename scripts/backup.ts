import { createReadStream, createWriteStream, existsSync, rmSync } from 'node:fs'
import { pipeline } from 'node:stream/promises'
import { createGzip } from 'node:zlib'
import { readBackupArguments } from './backup-arguments'
import { ensurePrograms, mariadb as programs } from './debian'
import { dumpDatabase, settle } from './dump'
import { runningIn } from './lock'
import { startMariadb } from './mariadb'
import { run } from './run'
import { databaseFolder, lockFolder, noteOf } from './service'
import { ScriptError } from './script-error'
import { toBeRestored } from './upgrade'

/** Writes down the whole of what is kept, whether it is being served or not: npm run backup [-- FILE] [--demo]. */
await run(async () => {
  const { file, folder } = readBackupArguments(process.argv.slice(2), 'npm run backup -- [FILE] [--demo]', false)
  const path = file ?? `rag-tin-${new Date().toISOString().slice(0, 16).replace(':', '-')}.sql.gz`
  if (existsSync(path)) throw new ScriptError(`${path} is there already; give another name.`)
  if (!existsSync(databaseFolder(folder))) throw new ScriptError(`Nothing is kept in ${folder} yet.`)
  ensurePrograms(...programs)

  const running = runningIn(noteOf(folder))
  if (running) {
    if (!running.databaseUrl) throw new ScriptError('It is still starting; try again when it serves.')
    await backUp(running.databaseUrl, path)
  } else {
    await lockFolder(folder)
    if (existsSync(toBeRestored(databaseFolder(folder))))
      throw new ScriptError(
        'What was begun on the database was interrupted; start it once, so that it is put right, and stop it.',
      )
    const mariadb = await startMariadb(databaseFolder(folder))
    await backUp(mariadb.url, path)
    await mariadb.stop()
  }
  console.log(`${path} holds everything that is kept in ${folder}. Whoever can read it can read that, too.`)
  return 0
})

async function backUp(url: string, path: string): Promise<void> {
  const dump = `${path}.${process.pid}.sql`
  const unfinished = `${path}.${process.pid}.new`
  try {
    await dumpDatabase(url, dump)
    await pipeline(createReadStream(dump), createGzip(), createWriteStream(unfinished, { mode: 0o600 }))
    settle(unfinished, path)
  } finally {
    for (const left of [dump, unfinished]) rmSync(left, { force: true })
  }
}
