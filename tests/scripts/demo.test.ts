import { createServer as createHttpServer } from 'node:http'
import { createServer } from 'node:net'
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest'
import { anyFreePort, isFree } from '../../scripts/ports'
import { canSignIn, DemoFolder, post } from './demo-folder'

let folder: DemoFolder
const note = '.data/demo/running.json'
const signUp = { name: 'Ketil', email: 'ketil@quern.example', password: 'ketil rides far' }

beforeAll(() => {
  folder = new DemoFolder()
})
afterEach(() => folder.endAll())
afterAll(() => folder.remove())

describe('the demo', () => {
  it('does not guess at words it does not know', async () => {
    const demo = folder.start('demo', ['--frehs'])
    expect(await demo.ended).toBe(1)
    expect(demo.said()).toContain('“--frehs” is not understood; usage: ./demo [--fresh]')
  })

  it('says that a port asked for is in use, and leaves nothing behind', async () => {
    const port = await anyFreePort()
    const holder = createServer().listen(port, '127.0.0.1')
    const demo = folder.start('demo', [], { PORT: String(port) })
    expect(await demo.ended).toBe(1)
    holder.close()
    expect(demo.said()).toContain(`Port ${port} is in use; give another with PORT=…`)
    expect(folder.has(note)).toBe(false)
  })

  it('serves, is one at a time, and goes in good order', async () => {
    const port = await anyFreePort()
    const demo = folder.start('demo', [], { PORT: String(port) })
    const address = await folder.serving(demo)
    expect(address).toBe(`http://127.0.0.1:${port}`)
    expect((await fetch(address)).status).toBe(200)
    expect(folder.servers()).toEqual({ mariadb: [expect.any(Number)], app: [expect.any(Number)] })

    const second = folder.start('demo')
    expect(await second.ended).toBe(1)
    expect(second.said()).toContain(`It is running already at ${address}`)
    expect((await fetch(address)).status).toBe(200)

    demo.process.kill('SIGINT')
    expect(await demo.ended).toBe(0)
    expect(folder.servers()).toEqual({ mariadb: [], app: [] })
    expect(await isFree(port)).toBe(true)
    expect(folder.has(note)).toBe(false)
  })

  it('does not take somebody else’s server, who was quicker to a port, for its own', async () => {
    const port = await anyFreePort()
    const demo = folder.start('demo', [], { PORT: String(port) })
    // Free when it was looked at, and taken before the app is there: somebody who says yes to everything.
    await expect.poll(() => folder.servers().mariadb, { timeout: 20_000 }).toHaveLength(1)
    const quicker = createHttpServer((_, answer) => answer.end('{"ok":true}')).listen(port, '127.0.0.1')
    expect(await demo.ended).toBe(1)
    quicker.close()
    expect(demo.said()).toContain(`Somebody else serves at http://127.0.0.1:${port} since a moment`)
    expect(folder.servers()).toEqual({ mariadb: [], app: [] })
  })

  it('starts a server that crashed again, at the same address and with all that was saved', async () => {
    const demo = folder.start('demo')
    const address = await folder.serving(demo)
    expect((await post(address, '/api/account', signUp)).ok).toBe(true)
    for (const [which, name] of [
      ['mariadb', 'database'],
      ['app', 'app'],
    ] as const) {
      for (const pid of folder.servers()[which]) process.kill(pid, 'SIGKILL')
      await expect.poll(demo.said).toContain(`The ${name} server went down; nothing saved is lost`)
      expect(await canSignIn(address, signUp)).toBe(true)
    }
    demo.process.kill('SIGTERM')
    expect(await demo.ended).toBe(0)
    expect(folder.servers()).toEqual({ mariadb: [], app: [] })
  })

  it('killed without warning takes its servers along, and the next start has all that was saved', async () => {
    const demo = folder.start('demo')
    await folder.serving(demo)
    demo.process.kill('SIGKILL')
    await demo.ended
    expect(await folder.left()).toEqual([])
    expect(folder.has(note)).toBe(true)
    const again = folder.start('demo')
    expect(await canSignIn(await folder.serving(again), signUp)).toBe(true)
  })

  it('begins again from clean data when asked to', async () => {
    const demo = folder.start('demo', ['--fresh'])
    expect((await post(await folder.serving(demo), '/api/session', signUp)).status).toBe(401)
  })
})
