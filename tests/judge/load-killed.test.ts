import { randomUUID } from 'node:crypto'
import { rmSync } from 'node:fs'
import { setTimeout as wait } from 'node:timers/promises'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { anyFreePort } from '../../scripts/ports'
import { startService, type Service } from '../../scripts/service'
import { smallTrip } from '../fake-world'
import { Person } from '../server/setting'
import { judged, tries } from './judged'
import { keepDoing, Latencies } from './latency'
import { quickFolder } from '../quick-folder'

let folder: string
let service: Service
const happened: string[] = []
beforeAll(async () => {
  folder = quickFolder('rag-tin-killed-')
  service = await startService({
    folder,
    port: await anyFreePort(),
    settings: { NUXT_SIGN_UPS_PER_HOUR: '100000' },
    tell: (line) => happened.push(line),
    onEnd: (line) => happened.push(line),
  })
})
afterAll(async () => {
  await service?.stop()
  rmSync(folder, { recursive: true, force: true })
})

const perPerson = 10

/** A device with a trip of its own, all parts of which bear the number of the last save. */
interface Client {
  readonly person: Person
  readonly trip: string
  saved: number
}

async function newClients(count: number): Promise<Client[]> {
  const app = { address: service.address }
  const clients: Client[] = []
  for (let i = 0; i < count; i += perPerson) {
    const person = new Person({ app })
    const name = `killed-${i}`
    await person.ask('POST', '/api/account', { name, email: `${name}@quern.example`, password: `${name} rides far` })
    for (let n = i; n < Math.min(count, i + perPerson); n++) {
      const device = person.copy()
      clients.push({ person: device, trip: await device.newTrip(smallTrip('Number 0')), saved: 0 })
    }
  }
  return clients
}

const changesOf = (number: number, base: number) => {
  const { bench, dials } = smallTrip('any')
  return [
    { part: 'name', base, value: `Number ${number}` },
    { part: 'bench', base, value: bench.map((thing) => ({ ...thing, note: `Number ${number}` })) },
    { part: 'dials', base, value: { ...dials, gramsPerHour: 100 + number } },
  ]
}

/** Saves as a device does: again under the same name until it is told that it is done. @returns how often it was asked */
async function saveUntilDone(client: Client): Promise<number> {
  const save = randomUUID()
  const changes = changesOf(client.saved + 1, client.saved + 1)
  for (let asked = 1; ; asked++) {
    const answer = await client.person.saveAs(save, client.trip, ...changes).catch(() => ({ status: 0, body: {} }))
    if (answer.status === 200) {
      client.saved++
      return asked
    }
    expect([0, 503], JSON.stringify(answer.body)).toContain(answer.status)
    await wait(100 + Math.random() * 200)
  }
}

it('two hundred who save while the database is killed twice lose nothing that was acknowledged, and nothing by halves', async () => {
  const [count, seconds] = [tries(200), tries(60)]
  const clients = await newClients(count)
  const saves = new Latencies()
  let again = 0
  const kills = (async () => {
    for (let i = 0; i < 2; i++) {
      await wait((seconds * 1000) / 3)
      service.mariadb.current.child.process.kill('SIGKILL')
    }
  })()
  const perSecond = await keepDoing(count, seconds, async (who) => {
    const client = clients[who]
    if (!client) return
    const asked = await saves.time(() => saveUntilDone(client))
    again += asked - 1
  })
  await kills

  expect(happened.filter((line) => line.startsWith('The database server went down'))).toHaveLength(2)
  expect(happened).toHaveLength(2)
  expect(again).toBeGreaterThan(0)
  for (const { person, trip, saved } of clients) {
    const { body } = await person.read(trip)
    expect(body.trip.name).toBe(`Number ${saved}`)
    expect(new Set(body.trip.bench.map((thing: { note: string }) => thing.note))).toEqual(new Set([`Number ${saved}`]))
    expect(body.trip.dials.gramsPerHour).toBe(100 + saved)
    // Each save was done once, however often it was offered.
    for (const part of ['name', 'bench', 'dials']) expect(body.revisions[part].number, part).toBe(1 + saved)
  }
  judged('load-killed', [
    `${count} devices saving three parts at a time for ${seconds} seconds while the database was killed twice: ${Math.round(perSecond * seconds)} saves acknowledged, ${again} of them offered more than once; each there once, none by halves (${saves.inWords()}, the time in which the database came again included).`,
  ])
})
