import { defined } from '#core/validation'
import { spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { createServer, type Server } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { isAlive, takeLock } from '../../scripts/lock'
import { anyFreePort, isFree, servingPort } from '../../scripts/ports'

let folder: string
const children: ChildProcess[] = []
beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'rag-tin-lock-'))))
afterEach(() => {
  for (const child of children.splice(0)) child.kill('SIGKILL')
  rmSync(folder, { recursive: true, force: true })
})

/** A process that sleeps, with words on its command line to be known by. */
function sleeper(...args: string[]): ChildProcess {
  const child = spawn(process.execPath, ['-e', 'setInterval(() => {}, 1000)', ...args], { stdio: 'ignore' })
  children.push(child)
  return child
}
const gone = (child: ChildProcess) => new Promise((done) => child.once('exit', done))

describe('the lock', () => {
  const note = () => join(folder, 'deep', 'running.json')

  it('says who holds it, and what they add later', async () => {
    const add = await takeLock(note(), () => false)
    expect(JSON.parse(readFileSync(note(), 'utf8'))).toEqual({ pid: process.pid })
    add({ address: 'http://127.0.0.1:3000' })
    expect(JSON.parse(readFileSync(note(), 'utf8'))).toEqual({ pid: process.pid, address: 'http://127.0.0.1:3000' })
  })

  it('held by a script that runs is refused, with where to find it', async () => {
    const holder = sleeper('scripts/demo.ts')
    const path = join(folder, 'running.json')
    writeFileSync(path, JSON.stringify({ pid: holder.pid, address: 'http://127.0.0.1:3456' }))
    await expect(takeLock(path, () => false)).rejects.toThrow(/running already at http:\/\/127\.0\.0\.1:3456/)
    writeFileSync(path, JSON.stringify({ pid: holder.pid }))
    await expect(takeLock(path, () => false)).rejects.toThrow(/still starting/)
    expect(isAlive(defined(holder.pid))).toBe(true)
  })

  it('left by one that died is cleared, and so is what it left running; nobody else is', async () => {
    const mark = `of ${folder}`
    const child = sleeper(mark)
    const stranger = sleeper('of somebody else')
    const dead = sleeper('scripts/demo.ts')
    dead.kill('SIGKILL')
    await gone(dead)
    const path = join(folder, 'running.json')
    writeFileSync(path, JSON.stringify({ pid: dead.pid }))
    const childGone = gone(child)
    await takeLock(path, (command) => command.includes(mark))
    await childGone
    expect(isAlive(defined(stranger.pid))).toBe(true)
    expect(JSON.parse(readFileSync(path, 'utf8'))).toMatchObject({ pid: process.pid })
  })

  it('whose holder’s number now belongs to another program is taken', async () => {
    const other = sleeper('an editor')
    const path = join(folder, 'running.json')
    writeFileSync(path, JSON.stringify({ pid: other.pid }))
    await takeLock(path, () => false)
    expect(isAlive(defined(other.pid))).toBe(true)
  })

  it('that is torn or empty is taken', async () => {
    const path = join(folder, 'running.json')
    writeFileSync(path, '{"pid":')
    await takeLock(path, () => false)
    expect(JSON.parse(readFileSync(path, 'utf8'))).toMatchObject({ pid: process.pid })
  })
})

describe('ports', () => {
  let server: Server
  const listen = (port: number) =>
    new Promise<number>((done) => {
      server = createServer().listen(port, '127.0.0.1', () => done((server.address() as { port: number }).port))
    })
  afterEach(() => server?.close())

  it('in use are seen to be', async () => {
    const port = await listen(0)
    expect(await isFree(port)).toBe(false)
    await expect(servingPort(String(port))).rejects.toThrow(`Port ${port} is in use`)
  })
  it('asked for are kept to when free', async () => {
    const port = await anyFreePort()
    expect(await servingPort(String(port))).toBe(port)
  })
  it('that are none are refused', async () => {
    for (const bad of ['0', '70000', 'eighty', '80.5', '-1', '']) {
      await expect(servingPort(bad)).rejects.toThrow(/is no port/)
    }
  })
  it('are found when none is asked for', async () => {
    expect(await isFree(await servingPort(undefined))).toBe(true)
  })
})
