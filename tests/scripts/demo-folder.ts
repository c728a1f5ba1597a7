import { spawn, type ChildProcess } from 'node:child_process'
import { randomInt } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, readlinkSync, rmSync, symlinkSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { isOurApp } from '../../scripts/app-server'
import { processesOf } from '../../scripts/lock'
import { isOurMariadb } from '../../scripts/mariadb'
import { databaseFolder } from '../../scripts/service'
import { quickFolder } from '../quick-folder'

const borrowed = [
  ...[
    'app',
    'catalogue',
    'core',
    'public',
    'server',
    'shared',
    'wording',
    'paper',
    'scripts',
    'node_modules',
    '.output',
    '.nuxt',
  ],
  ...['nuxt.config.ts', 'package.json', 'package-lock.json', 'tsconfig.json'],
]

/** A script of this folder that runs, or has run. */
export interface Script {
  readonly process: ChildProcess
  readonly said: () => string
  readonly ended: Promise<number | null>
}

/** A folder that borrows the sources and the build; what is kept and served in it is its own. */
export class DemoFolder {
  readonly path = quickFolder('rag-tin-demo-')
  private readonly running: Script[] = []

  /** @param without what is not borrowed */
  constructor(without: readonly string[] = []) {
    mkdirSync(join(this.path, '.data'))
    for (const name of borrowed)
      if (existsSync(name) && !without.includes(name)) symlinkSync(resolve(name), join(this.path, name))
  }

  start(script: string, args: readonly string[] = [], environment: Record<string, string> = {}): Script {
    const child = spawn(process.execPath, ['--import', 'tsx', `scripts/${script}.ts`, ...args], {
      cwd: this.path,
      // Others may start at the same time: each has a port of its own, below those that systems hand out.
      env: { ...process.env, PORT: String(randomInt(20_000, 32_000)), ...environment },
      stdio: ['ignore', 'pipe', 'pipe'],
    })
    let said = ''
    child.stdout.on('data', (chunk: Buffer) => (said += chunk.toString()))
    child.stderr.on('data', (chunk: Buffer) => (said += chunk.toString()))
    const started = {
      process: child,
      said: () => said,
      ended: new Promise<number | null>((done) => child.once('close', done)),
    }
    this.running.push(started)
    return started
  }

  /** The address that a script serves at, once it does. */
  async serving(script: Script): Promise<string> {
    for (let i = 0; i < 1200 && script.process.exitCode === null && script.process.signalCode === null; i++) {
      const address = /Rag Tin is at (\S+)/.exec(script.said())?.[1]
      if (address) return address
      await new Promise((again) => setTimeout(again, 50))
    }
    throw new Error(`it did not come up:\n${script.said()}`)
  }

  /** The processes of its servers. */
  servers(kept = '.data/demo'): { readonly mariadb: readonly number[]; readonly app: readonly number[] } {
    const folder = join(this.path, kept)
    return {
      mariadb: processesOf(isOurMariadb(databaseFolder(folder))),
      app: processesOf(isOurApp(folder)),
    }
  }

  /** What still runs in the folder, whatever it is, after it had time to go. */
  async left(): Promise<readonly string[]> {
    for (let i = 0; i < 400 && this.inside().length > 0; i++) await new Promise((again) => setTimeout(again, 50))
    return this.inside()
  }

  /** The command lines of the processes that work in this folder. */
  private inside(): readonly string[] {
    return readdirSync('/proc').flatMap((pid) => {
      try {
        const command = readFileSync(`/proc/${pid}/cmdline`, 'utf8')
        return command && readlinkSync(`/proc/${pid}/cwd`).startsWith(this.path) ? [command] : []
      } catch {
        // It is no process, or went meanwhile.
        return []
      }
    })
  }

  has(path: string): boolean {
    return existsSync(join(this.path, path))
  }

  async endAll(): Promise<void> {
    for (const script of this.running.splice(0)) {
      if (script.process.exitCode === null && script.process.signalCode === null) script.process.kill('SIGTERM')
      await script.ended
    }
  }

  async remove(): Promise<void> {
    await this.endAll()
    rmSync(this.path, { recursive: true, force: true })
  }
}

/** Asks a server as a program would. */
export async function post(address: string, path: string, body: object): Promise<Response> {
  return fetch(`${address}${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  })
}

/** Asks somebody in, once the servers are there, or there again. @returns whether they could sign in */
export async function canSignIn(address: string, secret: { email: string; password: string }): Promise<boolean> {
  for (let i = 0; i < 300; i++) {
    const status = await post(address, '/api/session', secret).then(
      (answer) => answer.status,
      () => 0,
    )
    if (status !== 0 && status !== 503) return status === 200
    await new Promise((again) => setTimeout(again, 100))
  }
  return false
}
