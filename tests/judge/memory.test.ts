import { readFileSync } from 'node:fs'
import { demoTrip } from '#catalogue/demo'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { Setting } from '../server/setting'
import { isFull, judged } from './judged'
import { keepDoing } from './latency'

let setting: Setting
beforeAll(async () => {
  setting = await Setting.start()
})
afterAll(() => setting?.stop())

const memoryOf = (pid: number) => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1]) / 1024
const median = (values: readonly number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0

it('ten minutes of saving, reading, importing and exporting leave the servers as large as they were', async () => {
  const seconds = isFull ? 600 : 10
  const person = await setting.person('steady')
  const trips = await Promise.all(Array.from({ length: 8 }, () => person.newTrip(demoTrip())))
  const [first] = demoTrip().bench
  const samples: { app: number; mariadb: number }[] = []
  const sampling = setInterval(() => {
    samples.push({ app: memoryOf(setting.app.child.pid), mariadb: memoryOf(setting.mariadb.child.pid) })
  }, 1000)
  let imported = 0
  const perSecond = await keepDoing(trips.length, seconds, async (who, round) => {
    const id = trips[who] ?? ''
    const value = demoTrip().bench.map((thing) => ({ ...thing, note: `round ${round} of ${first?.name}` }))
    expect((await person.save(id, { part: 'bench', base: 1 + round, value })).status).toBe(200)
    expect((await person.ask('GET', `/api/trips/${id}`)).status).toBe(200)
    if (round % 20 === 0) {
      const document = (await person.ask('GET', `/api/trips/${id}/document`)).body
      const copy = await person.newTrip(document)
      await person.ask('DELETE', `/api/trips/${copy}`)
      await person.ask('DELETE', '/api/bin')
      imported++
    }
  })
  clearInterval(sampling)
  expect(imported).toBeGreaterThan(0)
  if (!isFull) return
  // What was read lately is kept, up to a bound, and the database fills its pool: the first minutes are for that.
  const [middle, end] = [samples.slice(240, 360), samples.slice(480)]
  const medianOf = (which: 'app' | 'mariadb', part: typeof samples) => median(part.map((sample) => sample[which]))
  for (const which of ['app', 'mariadb'] as const)
    expect(medianOf(which, end), which).toBeLessThan(1.1 * medianOf(which, middle) + 10)
  judged('memory', [
    `Ten minutes of ${Math.round(perSecond)} saves and as many reads a second, with ${imported} imports and exports of a whole trip: the app's server ${Math.round(medianOf('app', middle))} MB in the middle and ${Math.round(medianOf('app', end))} MB at the end, the database's ${Math.round(medianOf('mariadb', middle))} and ${Math.round(medianOf('mariadb', end))} MB.`,
  ])
})
