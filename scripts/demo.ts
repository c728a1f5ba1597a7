import { rmSync } from 'node:fs'
import { startApp, type RunningApp } from './app-server'
import { buildIfStale } from './build'
import { demoPerson, migrateDatabase, seedDemo } from './database'
import { ensurePrograms, mariadb as mariadbPrograms } from './debian'
import { takeLock } from './lock'
import { isOurMariadb, lastWords, startMariadb, type RunningMariadb } from './mariadb'
import { servingPort } from './ports'
import { Stop } from './stop'

const folder = '.data/demo'
const databaseFolder = `${folder}/mariadb`

async function serve(words: string[]): Promise<void> {
  const unknown = words.find((word) => word !== '--fresh')
  if (unknown) throw new Stop(`“${unknown}” is not understood; usage: ./demo [--fresh]`)
  const isOurs = (command: string) =>
    isOurMariadb(databaseFolder)(command) || command.includes('.output/server/index.mjs')
  const note = await takeLock(`${folder}/running.json`, isOurs)
  if (words.includes('--fresh')) rmSync(databaseFolder, { recursive: true, force: true })

  let mariadb: RunningMariadb | undefined
  let app: RunningApp | undefined
  let stopping = false
  const stop = async (code: number) => {
    if (stopping) return
    stopping = true
    await app?.stop()
    await mariadb?.stop()
    process.exit(code)
  }
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => void stop(0))

  try {
    const port = await servingPort(process.env.PORT)
    ensurePrograms(...mariadbPrograms)
    buildIfStale()
    mariadb = await startMariadb(databaseFolder)
    note({ children: [mariadb.process.pid!] })
    mariadb.process.once('exit', () => {
      if (stopping) return
      console.error(
        `The database server went down; nothing saved is lost. Start ./demo again. Its log ends:\n  ${lastWords(databaseFolder)}`,
      )
      void stop(1)
    })
    await migrateDatabase(mariadb.url)
    await seedDemo(mariadb.url)
    app = await startApp({
      folder,
      port,
      databaseUrl: mariadb.url,
      demoEmail: demoPerson.email,
      // Whoever tries things out opens one account after another.
      settings: { NUXT_SIGN_UPS_PER_HOUR: '10000' },
    })
    note({ children: [mariadb.process.pid!, app.process.pid!], address: app.address })
    app.process.once('exit', () => {
      if (stopping) return
      console.error(
        `The app server went down; nothing saved is lost. Start ./demo again. Its log is ${folder}/app.log.`,
      )
      void stop(1)
    })
    if (stopping) return
    console.log(`\nRag Tin is at ${app.address}\nCtrl-C stops it.`)
  } catch (error) {
    console.error(error instanceof Stop ? error.message : error)
    await stop(1)
  }
}

try {
  await serve(process.argv.slice(2))
} catch (error) {
  console.error(error instanceof Stop ? error.message : error)
  process.exit(1)
}
