import { readFileSync } from 'node:fs'
import { setTimeout as pause } from 'node:timers/promises'
import { demoTrip } from '#catalogue/demo'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Person, Setting } from './setting'

let setting: Setting
let maren: Person
let id: string
beforeAll(async () => {
  setting = await Setting.start()
  maren = await setting.person('maren')
  id = await maren.newTrip(demoTrip())
})
afterAll(() => setting?.stop())

const dials = (gramsPerHour: number) => ({ ...demoTrip().dials, gramsPerHour })
const secret = { email: 'maren@quern.example', password: 'maren rides far' }

/** All that can be asked of the server, each with what it answers and after how long. */
async function askAll() {
  const asked = await Promise.all(
    [
      () => new Person(setting).ask('GET', '/api/health'),
      () => maren.ask('GET', '/api/trips'),
      () => maren.ask('GET', `/api/trips/${id}`),
      () => maren.ask('POST', `/api/trips/${id}/forecast`),
      () => maren.ask('POST', '/api/trips', demoTrip()),
      () => maren.save(id, { part: 'dials', base: 1, value: dials(99) }),
      () => new Person(setting).ask('POST', '/api/session', secret),
      () => new Person(setting).ask('POST', '/api/account', { ...secret, name: 'x', email: 'x@quern.example' }),
    ].map(async (ask) => {
      const begun = performance.now()
      const { status, body } = await ask()
      return { status, lines: body.data?.lines as string[] | undefined, seconds: (performance.now() - begun) / 1000 }
    }),
  )
  return asked
}

/** The server is itself again: it may take a moment to let go of what stood still. */
async function isBack(): Promise<void> {
  for (let i = 0; i < 100 && (await new Person(setting).ask('GET', '/api/health')).status !== 200; i++) await pause(100)
}

describe('a database', () => {
  it('that stands still for twenty seconds has everybody told so, and all goes on after', async () => {
    const { pid } = setting.mariadb.child
    process.kill(pid, 'SIGSTOP')
    // Each of its threads comes to rest in its own time.
    await expect.poll(() => readFileSync(`/proc/${pid}/status`, 'utf8')).toMatch(/^State:\s+T/m)
    await pause(100)
    const begun = Date.now()
    try {
      for (const { status, lines, seconds } of await askAll()) {
        expect([status, lines]).toEqual([503, [expect.stringContaining('database does not answer')]])
        // Two times its patience, where it tries to take something back, and what a busy machine takes.
        expect(seconds).toBeLessThan(19)
      }
      await pause(Math.max(0, 20_000 - (Date.now() - begun)))
    } finally {
      process.kill(pid, 'SIGCONT')
    }
    await isBack()
    expect((await maren.ask('GET', '/api/trips')).status).toBe(200)
    // The save that nobody was told of was done or not, and nothing by halves.
    const { body } = await maren.read(id)
    const { number } = body.revisions.dials
    expect([number, body.trip.dials.gramsPerHour]).toEqual(number === 1 ? [1, demoTrip().dials.gramsPerHour] : [2, 99])
    const again = await maren.save(id, { part: 'dials', base: number, value: dials(120) })
    expect(again.status).toBe(200)
  })

  it('that is gone has everybody told so at once, and all goes on when it is there again', async () => {
    setting.mariadb.child.process.kill('SIGKILL')
    await pause(300)
    for (const { status, seconds } of await askAll()) {
      expect(status).toBe(503)
      expect(seconds).toBeLessThan(5)
    }
    await setting.restart()
    expect((await maren.ask('GET', '/api/trips')).status).toBe(200)
  })
})
