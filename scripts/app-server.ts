import { spawn, type ChildProcess } from 'node:child_process'
import { mkdirSync, openSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { secretIn } from './secret'
import { Stop } from './stop'

export interface RunningApp {
  readonly address: string
  readonly process: ChildProcess
  readonly stop: () => Promise<void>
}

interface AppOptions {
  readonly folder: string
  readonly port: number
  readonly databaseUrl: string
  /** The account the demo steps in as. */
  readonly demoEmail?: string
  /** Further settings, as NUXT_… */
  readonly settings?: Readonly<Record<string, string>>
}

/** Starts the built server and waits until it answers. */
export async function startApp({ folder, port, databaseUrl, demoEmail, settings }: AppOptions): Promise<RunningApp> {
  mkdirSync(folder, { recursive: true })
  const log = join(folder, 'app.log')
  const out = openSync(log, 'a', 0o600)
  const server = spawn(process.execPath, ['.output/server/index.mjs'], {
    stdio: ['ignore', out, out],
    detached: true,
    env: {
      ...process.env,
      NODE_ENV: 'production',
      HOST: '127.0.0.1',
      PORT: String(port),
      NUXT_DATABASE_URL: databaseUrl,
      NUXT_SESSION_PASSWORD: secretIn(join(folder, 'session-key')),
      ...settings,
      ...(demoEmail ? { NUXT_DEMO_EMAIL: demoEmail, NUXT_PUBLIC_DEMO: 'true' } : {}),
    },
  })
  const address = `http://127.0.0.1:${port}`
  const since = Date.now()
  for (;;) {
    if (server.exitCode !== null || server.signalCode !== null) {
      throw new Stop(
        `The server went down while starting. Its log, ${log}, ends:\n${readFileSync(log, 'utf8').slice(-1500)}`,
      )
    }
    try {
      const answer = await fetch(`${address}/api/health`)
      if (answer.ok) break
    } catch {
      // Not listening yet.
    }
    if (Date.now() - since > 60_000) {
      server.kill('SIGKILL')
      throw new Stop(`The server did not answer within a minute; see ${log}.`)
    }
    await new Promise((again) => setTimeout(again, 100))
  }
  return {
    address,
    process: server,
    stop: async () => {
      if (server.exitCode !== null || server.signalCode !== null) return
      const gone = new Promise((done) => server.once('exit', done))
      server.kill('SIGTERM')
      const tooLong = setTimeout(() => server.kill('SIGKILL'), 5000)
      await gone
      clearTimeout(tooLong)
    },
  }
}
