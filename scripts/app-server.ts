import { mkdirSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { startChild, type Child } from './children'
import { openLog } from './log'
import { secretIn } from './secret'
import { ScriptError } from './script-error'

export interface RunningApp {
  readonly address: string
  readonly child: Child
  readonly stop: () => Promise<void>
}

export interface AppOptions {
  readonly folder: string
  readonly port: number
  readonly databaseUrl: string
  /** The address of the machine that it listens at; its own loopback where none is given. */
  readonly host?: string
  /** Further settings, as NUXT_… */
  readonly settings?: Readonly<Record<string, string>>
}

/** The last word of an app server's command line says whose it is. */
const ownWord = (folder: string) => `--folder=${resolve(folder)}`
/** How a command line shows that an app server is one of ours. */
export const isOurApp = (folder: string) => (command: string) =>
  `${command.trim()} `.includes(`/server/index.mjs ${ownWord(folder)} `)

/** Starts the built server and waits until it answers. */
export async function startApp({ folder, port, databaseUrl, host, settings }: AppOptions): Promise<RunningApp> {
  mkdirSync(folder, { recursive: true })
  const log = await openLog(join(folder, 'logs'), 'app')
  const child = startChild({
    command: process.execPath,
    args: [resolve('.output/server/index.mjs'), ownWord(folder)],
    hear: log.write,
    env: {
      ...process.env,
      NODE_ENV: 'production',
      HOST: host ?? '127.0.0.1',
      PORT: String(port),
      NUXT_DATABASE_URL: databaseUrl,
      NUXT_SESSION_PASSWORD: secretIn(join(folder, 'session-key')),
      ...settings,
    },
  })
  void child.gone.then(log.close)
  const stop = () => child.end()
  const address = `http://127.0.0.1:${port}`
  try {
    await untilAnswering(child, address)
  } catch (error) {
    await stop()
    throw error
  }
  return { address, child, stop }
}

async function untilAnswering(child: Child, address: string): Promise<void> {
  const since = Date.now()
  for (;;) {
    if (!child.isRunning()) throw new ScriptError(whyDown(child.lastWords(), address))
    // Until it says that it listens, whoever answers there is somebody else's.
    if (child.lastWords().includes('Listening on') && (await answers(address))) return
    if (Date.now() - since > 60_000) throw new ScriptError('The server did not answer within a minute.')
    await new Promise((again) => setTimeout(again, 100))
  }
}

function whyDown(lastWords: string, address: string): string {
  return lastWords.includes('EADDRINUSE')
    ? `Somebody else serves at ${address} since a moment; start it again, or give another port with PORT=….`
    : `The server went down while starting. Its last words were:\n${lastWords.slice(-1500)}`
}

async function answers(address: string): Promise<boolean> {
  try {
    return (await fetch(`${address}/api/health`, { signal: AbortSignal.timeout(10_000) })).ok
  } catch {
    return false
  }
}
