import { spawn, type ChildProcess } from 'node:child_process'
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, symlinkSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest'
import { isAlive } from '../../scripts/lock'
import { anyFreePort, isFree } from '../../scripts/ports'

/** The demo in a folder of its own that borrows the sources and the build; data and locks are the folder's. */
let folder: string
const borrowed = [
  ...['app', 'catalogue', 'core', 'public', 'server', 'shared', 'scripts', 'node_modules', '.output', '.nuxt'],
  ...['nuxt.config.ts', 'package.json', 'package-lock.json', 'tsconfig.json'],
]
const running: Demo[] = []

interface Demo {
  readonly process: ChildProcess
  readonly said: () => string
  readonly ended: Promise<number | null>
}

function start(words: string[] = [], environment: Record<string, string> = {}): Demo {
  const child = spawn(process.execPath, ['--import', 'tsx', 'scripts/demo.ts', ...words], {
    cwd: folder,
    env: { ...process.env, ...environment },
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  let said = ''
  child.stdout.on('data', (chunk: Buffer) => (said += chunk.toString()))
  child.stderr.on('data', (chunk: Buffer) => (said += chunk.toString()))
  const demo = {
    process: child,
    said: () => said,
    ended: new Promise<number | null>((done) => child.once('close', done)),
  }
  running.push(demo)
  return demo
}

async function serving(demo: Demo): Promise<string> {
  for (let i = 0; i < 600 && demo.process.exitCode === null; i++) {
    const address = /Rag Tin is at (\S+)/.exec(demo.said())?.[1]
    if (address) return address
    await new Promise((again) => setTimeout(again, 100))
  }
  throw new Error(`the demo did not come up:\n${demo.said()}`)
}
interface Note {
  children: number[]
}
const note = () => JSON.parse(readFileSync(join(folder, '.data/demo/running.json'), 'utf8')) as Note
const untilGone = async (pids: readonly number[]) => {
  for (let i = 0; i < 200 && pids.some(isAlive); i++) await new Promise((again) => setTimeout(again, 50))
  return pids.filter(isAlive)
}

beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'rag-tin-demo-'))
  mkdirSync(join(folder, '.data'))
  for (const name of borrowed) if (existsSync(name)) symlinkSync(resolve(name), join(folder, name))
})
afterEach(async () => {
  for (const demo of running.splice(0)) {
    if (demo.process.exitCode === null) demo.process.kill('SIGTERM')
    await demo.ended
  }
})
afterAll(() => rmSync(folder, { recursive: true, force: true }))

describe('the demo', () => {
  it('does not guess at words it does not know', async () => {
    const demo = start(['--frehs'])
    expect(await demo.ended).toBe(1)
    expect(demo.said()).toContain('“--frehs” is not understood; usage: ./demo [--fresh]')
  })

  it('says that a port asked for is in use, and leaves nothing behind', async () => {
    const port = await anyFreePort()
    const holder = createServer().listen(port, '127.0.0.1')
    const demo = start([], { PORT: String(port) })
    expect(await demo.ended).toBe(1)
    holder.close()
    expect(demo.said()).toContain(`Port ${port} is in use; give another with PORT=…`)
    expect(existsSync(join(folder, '.data/demo/running.json'))).toBe(false)
  })

  it('serves, is one at a time, and goes in good order', async () => {
    const port = await anyFreePort()
    const demo = start([], { PORT: String(port) })
    const address = await serving(demo)
    expect(address).toBe(`http://127.0.0.1:${port}`)
    expect((await fetch(address)).status).toBe(200)
    const { children } = note()
    expect(children).toHaveLength(2)

    const second = start()
    expect(await second.ended).toBe(1)
    expect(second.said()).toContain(`It is running already at ${address}`)
    expect((await fetch(address)).status).toBe(200)

    demo.process.kill('SIGINT')
    expect(await demo.ended).toBe(0)
    expect(await untilGone(children)).toEqual([])
    expect(await isFree(port)).toBe(true)
    expect(existsSync(join(folder, '.data/demo/running.json'))).toBe(false)
  })

  it('goes down with a clear word when a server crashes, and comes up again with what was saved', async () => {
    const demo = start()
    const address = await serving(demo)
    const signUp = { name: 'Ketil', email: 'ketil@quern.example', password: 'ketil rides far' }
    const json = { 'content-type': 'application/json' }
    const ask = (at: string, path: string, body: object) =>
      fetch(`${at}${path}`, { method: 'POST', headers: json, body: JSON.stringify(body) })
    expect((await ask(address, '/api/account', signUp)).ok).toBe(true)
    const { children } = note()
    process.kill(children[0]!, 'SIGKILL')
    expect(await demo.ended).toBe(1)
    expect(demo.said()).toContain('The database server went down; nothing saved is lost. Start ./demo again.')
    expect(await untilGone(children)).toEqual([])

    const again = start()
    expect((await ask(await serving(again), '/api/session', signUp)).ok).toBe(true)
    const app = note().children[1]!
    process.kill(app, 'SIGKILL')
    expect(await again.ended).toBe(1)
    expect(again.said()).toContain('The app server went down; nothing saved is lost.')
  })

  it('killed without warning leaves servers that the next start clears away', async () => {
    const demo = start()
    await serving(demo)
    const { children } = note()
    demo.process.kill('SIGKILL')
    await demo.ended
    expect(children.every(isAlive)).toBe(true)
    const again = start()
    await serving(again)
    expect(await untilGone(children)).toEqual([])
  })

  it('begins again from clean data when asked to', async () => {
    const demo = start(['--fresh'])
    const address = await serving(demo)
    const answer = await fetch(`${address}/api/session`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ email: 'ketil@quern.example', password: 'ketil rides far' }),
    })
    expect(answer.status).toBe(401)
  })
})
