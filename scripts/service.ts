import { join } from 'node:path'
import { isOurApp, startApp, type AppOptions, type RunningApp } from './app-server'
import { Keeper, most } from './keeper'
import { takeLock, type LockNote } from './lock'
import { isOurMariadb, lastLines, startMariadb, type RunningMariadb } from './mariadb'
import { ScriptError } from './script-error'
import { upgradeDatabase } from './upgrade'

/** What is served in earnest has its data apart from the demo's. */
export const servedFolder = '.data/serve'
export const demoFolder = '.data/demo'

export const databaseFolder = (folder: string) => join(folder, 'mariadb')

/** What is written here says that a script runs in the folder. */
export const noteOf = (folder: string) => join(folder, 'running.json')

/** Keeps a folder to this script, and ends what is left of one that was killed. */
export function lockFolder(folder: string): Promise<(note: Partial<LockNote>) => void> {
  const isDatabase = isOurMariadb(databaseFolder(folder))
  const isApp = isOurApp(folder)
  return takeLock(noteOf(folder), (command) => isDatabase(command) || isApp(command))
}

export interface Service {
  readonly address: string
  readonly mariadb: Keeper<RunningMariadb>
  readonly app: Keeper<RunningApp>
  readonly stop: () => Promise<void>
}

interface ServiceOptions extends Omit<AppOptions, 'databaseUrl'> {
  /** Does what is to be done to the database before the app is there. */
  readonly prepare?: (databaseUrl: string) => Promise<void>
  /** Hears what happens to the servers. */
  readonly tell: (line: string) => void
  /** Hears why the service ends though nobody ended it. */
  readonly onEnd: (line: string) => void
}

/** Starts the database server and the app's, and keeps both running. */
export async function startService({ prepare, tell, onEnd, ...options }: ServiceOptions): Promise<Service> {
  const folder = databaseFolder(options.folder)
  const upkeep = (name: string) => ({
    onRestart: () => tell(`The ${name} server went down; nothing saved is lost, and it is being started again.`),
    onGivingUp: (last: unknown) =>
      onEnd(
        `The ${name} server went down more than ${most.restarts} times in ${most.minutes} minutes and is left down; nothing saved is lost. Its logs are in ${join(name === 'app' ? options.folder : folder, 'logs')}.${last instanceof ScriptError ? `\n${last.message}` : ''}`,
      ),
  })
  const mariadb = await Keeper.start(
    (before?: RunningMariadb) => startMariadb(folder, before?.port),
    upkeep('database'),
  )
  try {
    const databaseUrl = mariadb.current.url
    await upgradeDatabase(databaseUrl, folder)
    await prepare?.(databaseUrl)
    const app = await Keeper.start(() => startApp({ ...options, databaseUrl }), upkeep('app'))
    return {
      address: app.current.address,
      mariadb,
      app,
      stop: async () => {
        await app.stop()
        await mariadb.stop()
      },
    }
  } catch (error) {
    const words = lastLines(mariadb.current.child)
    const wentDown = !mariadb.current.child.isRunning()
    await mariadb.stop()
    throw wentDown && !(error instanceof ScriptError)
      ? new ScriptError(`The database server went down:\n  ${words}`)
      : error
  }
}

/**
 * Serves until it is told to end, or cannot go on.
 *
 * @param note tells others where it serves
 * @returns the exit code
 */
export async function serve(
  options: Omit<ServiceOptions, 'tell' | 'onEnd'>,
  note: (note: Partial<LockNote>) => void,
  until: Promise<void>,
): Promise<number> {
  let giveUp: (code: number) => void = () => undefined
  const givenUp = new Promise<number>((resolve) => (giveUp = resolve))
  const onEnd = (line: string) => {
    console.error(line)
    giveUp(1)
  }
  const service = await startService({ ...options, tell: console.error, onEnd })
  note({ address: service.address, databaseUrl: service.mariadb.current.url })
  console.log(`\nRag Tin is at ${service.address}\nCtrl-C stops it.`)
  const code = await Promise.race([givenUp, until.then(() => 0)])
  await service.stop()
  return code
}
