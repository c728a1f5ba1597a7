import { readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { gunzipSync, gzipSync } from 'node:zlib'
import { demoTrip } from '#catalogue/demo'
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest'
import { anyFreePort } from '../../scripts/ports'
import { canSignIn, DemoFolder, post, type Script } from './demo-folder'

let folder: DemoFolder
beforeAll(() => {
  folder = new DemoFolder()
})
afterEach(() => folder.endAll())
afterAll(() => folder?.remove())

const signUp = { name: 'Ketil', email: 'ketil@quern.example', password: 'ketil rides far' }
const path = (name: string) => join(folder.path, name)

async function serve(): Promise<{ script: Script; address: string }> {
  const script = folder.start('serve', [], { PORT: String(await anyFreePort()) })
  return { script, address: await folder.serving(script) }
}
async function stop(script: Script): Promise<void> {
  script.process.kill('SIGINT')
  expect(await script.ended).toBe(0)
}
/** Runs a script to its end. */
async function done(script: string, ...args: string[]): Promise<{ code: number | null; said: string }> {
  const started = folder.start(script, args)
  const code = await started.ended
  return { code, said: started.said() }
}
const cookieOf = (answer: Response) =>
  answer.headers
    .getSetCookie()
    .map((cookie) => cookie.split(';', 1)[0])
    .join('; ')

/** All trips of somebody, as they are exported. */
async function exported(address: string): Promise<string[]> {
  const cookie = cookieOf(await post(address, '/api/session', signUp))
  const get = (at: string) => fetch(`${address}${at}`, { headers: { cookie } })
  const trips = (await (await get('/api/trips')).json()) as { id: string }[]
  return Promise.all(trips.map(async ({ id }) => (await get(`/api/trips/${id}/document`)).text()))
}
async function newTrip(address: string, name: string): Promise<void> {
  const cookie = cookieOf(await post(address, '/api/session', signUp))
  const answer = await fetch(`${address}/api/trips`, {
    method: 'POST',
    headers: { cookie, 'content-type': 'application/json' },
    body: JSON.stringify({ ...demoTrip(), name }),
  })
  expect(answer.status).toBe(201)
}

describe('a backup', () => {
  let before: string[]

  it('is made while it is served, and after everything is lost the same bytes are exported', async () => {
    const { script, address } = await serve()
    expect((await post(address, '/api/account', signUp)).status).toBe(201)
    await newTrip(address, 'Kept – “as it is”, with \\ and 🚲')
    before = await exported(address)
    expect(before[0]?.length).toBeGreaterThan(200_000)
    // No door of the demo, no letters, and so no way to a forgotten password.
    expect((await post(address, '/api/demo/session', {})).status).toBe(404)
    expect((await fetch(`${address}/api/demo/letters`)).status).toBe(404)
    expect(await (await fetch(`${address}/api/session`)).json()).toEqual({ user: null, sendsLetters: false })

    expect(await done('backup', 'kept.sql.gz')).toMatchObject({ code: 0 })
    expect(statSync(path('kept.sql.gz')).mode & 0o777).toBe(0o600)
    await newTrip(address, 'Made after the backup')
    expect((await done('restore', 'kept.sql.gz')).said).toContain('It is running already at')
    await stop(script)

    rmSync(path('.data/serve'), { recursive: true })
    const restored = await done('restore', 'kept.sql.gz')
    expect(restored).toEqual({ code: 0, said: expect.stringContaining('holds: one account.') })
    const again = await serve()
    expect(await exported(again.address)).toEqual(before)
    await newTrip(again.address, 'Made after the restore')
    await stop(again.script)
  })

  it('is not read in over what is there unless that is said, and what was there is kept', async () => {
    const refused = await done('restore', 'kept.sql.gz')
    expect(refused).toMatchObject({ code: 1, said: expect.stringContaining('keeps one account. With --over') })
    expect(await done('restore', 'kept.sql.gz', '--over')).toMatchObject({ code: 0 })
    const [kept = ''] = readdirSync(path('.data/serve')).filter((name) => name.startsWith('before-restore'))
    expect(gunzipSync(readFileSync(path(`.data/serve/${kept}`))).toString()).toContain('Made after the restore')
    const { script, address } = await serve()
    expect(await exported(address)).toEqual(before)
    await stop(script)
  })

  it('is made while nothing is served, too, and not over another', async () => {
    expect(await done('backup', 'again.sql.gz')).toMatchObject({ code: 0 })
    const text = (name: string) =>
      gunzipSync(readFileSync(path(name)))
        .toString()
        .replace(/^-- .*$/gm, '')
    expect(text('again.sql.gz')).toContain('as it is')
    expect((await done('backup', 'again.sql.gz')).said).toContain('again.sql.gz is there already')
    expect((await done('backup', '--demo')).said).toContain('Nothing is kept in .data/demo yet')
    expect((await done('backup', '--all')).said).toContain('usage: npm run backup')
  })

  it('that is cut, changed or none is refused, and all stays as it was', async () => {
    const whole = readFileSync(path('kept.sql.gz'))
    writeFileSync(path('cut.gz'), whole.subarray(0, whole.length / 2))
    writeFileSync(path('none.gz'), 'not packed at all')
    writeFileSync(path('half.gz'), gzipSync(gunzipSync(whole).subarray(0, 90_000)))
    for (const name of ['cut.gz', 'none.gz', 'half.gz'])
      expect((await done('restore', name, '--over')).said, name).toContain(
        `${name} is no backup, or not the whole of one`,
      )
    // One that is whole, but that the database does not take.
    const broken = gunzipSync(whole).toString().replace('INSERT INTO `trips`', 'INSERT INTO `trips` SOMEHOW')
    writeFileSync(path('broken.gz'), gzipSync(broken))
    const failed = await done('restore', 'broken.gz', '--over')
    expect(failed).toMatchObject({
      code: 1,
      said: expect.stringContaining('was not read in, and all is as it was before'),
    })
    const { script, address } = await serve()
    expect(await exported(address)).toEqual(before)
    expect(await canSignIn(address, signUp)).toBe(true)
    await stop(script)
  })
})

describe('./serve', () => {
  it('says which settings do not go together', async () => {
    const said = async (environment: Record<string, string>) => {
      const script = folder.start('serve', [], environment)
      expect(await script.ended).toBe(1)
      return script.said()
    }
    expect(await said({ NUXT_MAILER_URL: 'smtp://mail.quern.example' })).toContain('NUXT_MAILER_FROM')
    expect(await said({ NUXT_ORIGIN: 'tin.quern.example' })).toContain('is no origin')
    expect(await said({ NUXT_DEMO_EMAIL: 'x@quern.example' })).toContain('opens the demo’s door')
  })
})
