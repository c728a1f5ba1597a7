import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { readTrip } from '#core/trip'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Setting, type Person } from './setting'

let setting: Setting
beforeAll(async () => {
  setting = await Setting.start()
})
afterAll(() => setting?.stop())

/** A trip whose parts all bear the same number, so that a half-written one shows. */
function numbered(n: number) {
  const demo = demoTrip()
  return {
    name: `Number ${n}`,
    bench: demo.bench.map((thing) => ({ ...thing, note: `number ${n}` })),
    stops: demo.stops.map((stop) => ({ ...stop, note: `number ${n}` })),
  }
}

async function saveUntilKilled(person: Person, id: string, victim: 'app' | 'mariadb'): Promise<number> {
  let acknowledged = 0
  const { body } = await person.read(id)
  let [name, bench, stops] = [body.revisions.name.number, body.revisions.bench.number, body.revisions.stops.number]
  setTimeout(() => setting[victim].child.process.kill('SIGKILL'), 400 + Math.random() * 300)
  for (let n = 1; n < 10_000; n++) {
    const next = numbered(n)
    try {
      const answer = await person.save(
        id,
        { part: 'name', base: name++, value: next.name },
        { part: 'bench', base: bench++, value: next.bench },
        { part: 'stops', base: stops++, value: next.stops },
      )
      if (answer.status !== 200) return acknowledged
    } catch {
      return acknowledged
    }
    acknowledged = n
  }
  throw new Error('the server was never killed')
}

describe.each(['app', 'mariadb'] as const)('the %s server killed in the middle of saving', (victim) => {
  it('has kept what it acknowledged, and nothing by halves', async () => {
    const person = await setting.person(`rider-${victim}`)
    const id = await person.newTrip(demoTrip())
    const acknowledged = await saveUntilKilled(person, id, victim)
    expect(acknowledged).toBeGreaterThan(0)
    await setting.restart()
    const { body } = await person.read(id)
    const trip = readTrip(body.trip, catalogue)
    const n = Number(trip.name.replace('Number ', ''))
    // The save under way when it died may have gone through; it cannot be older than the last acknowledged one.
    expect([acknowledged, acknowledged + 1]).toContain(n)
    expect(trip.bench).toHaveLength(demoTrip().bench.length)
    expect(new Set(trip.bench.map((thing) => thing.note))).toEqual(new Set([`number ${n}`]))
    expect(new Set(trip.stops.map((stop) => stop.note))).toEqual(new Set([`number ${n}`]))
    // And it goes on from there.
    const after = await person.save(id, { part: 'name', base: body.revisions.name.number, value: 'On again' })
    expect(after.status).toBe(200)
  })
})
