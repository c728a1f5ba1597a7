import { afterAll, beforeAll, expect, it } from 'vitest'
import { smallTrip } from '../fake-world'
import { seeded } from '../seeded'
import { Setting, type Person } from '../server/setting'
import { goTo, newDevice } from './device'
import { judged, seed, tries } from './judged'

let setting: Setting
let person: Person
beforeAll(async () => {
  setting = await Setting.start()
  person = await setting.person('killed')
  goTo(
    () => setting.app.address,
    () => person.cookies,
  )
})
afterAll(() => setting?.stop())

const wait = (ms: number) => new Promise((done) => setTimeout(done, ms))
const blows = ['app killed', 'database killed', 'app stalled', 'database stalled'] as const

async function strike(blow: (typeof blows)[number], stallMs: number): Promise<void> {
  const { process: victim } = (blow.startsWith('app') ? setting.app : setting.mariadb).child
  if (blow.endsWith('killed')) {
    victim.kill('SIGKILL')
    await wait(200)
    await setting.restart()
  } else {
    victim.kill('SIGSTOP')
    await wait(stallMs)
    victim.kill('SIGCONT')
  }
}

/** Two devices lay things down on one trip while something happens to the server. @returns how many they laid */
async function round(random: () => number, blow: (typeof blows)[number]): Promise<number> {
  const id = await person.newTrip(smallTrip(`Round ${blow}`))
  const devices = [newDevice(), newDevice()]
  const sessions = await Promise.all(devices.map(async (device) => (await device.open(id)).session))
  const laid: string[] = []
  const lay = async (session: (typeof sessions)[number]) => {
    for (let i = 0; i < 40; i++) {
      await wait(20 + random() * 60)
      const bench = session.document?.bench ?? []
      const [first] = bench
      if (!first) throw new Error('the trip is not there')
      const thing = { ...first, id: `thing-${laid.length}`, name: `Thing ${laid.length}` }
      laid.push(thing.id)
      session.edit('lay', { bench: [...bench, thing] })
    }
  }
  const struck = wait(300 + random() * 1200).then(() => strike(blow, 500 + random() * 2500))
  await Promise.all([...sessions.map(lay), struck])
  await expect
    .poll(async () => (await Promise.all(sessions.map((session) => session.tryAgain()))).map(({ kind }) => kind), {
      timeout: 90_000,
      interval: 200,
    })
    .toEqual(['clean', 'clean'])
  for (const device of devices) device.end()
  const { body } = await person.read(id)
  const there = (body.trip.bench as { id: string }[]).map((thing) => thing.id)
  expect(there.filter((thing) => thing.startsWith('thing-')).sort()).toEqual([...laid].sort())
  return laid.length
}

it('a server that is killed or stalled while two devices save loses nothing and doubles nothing', async () => {
  const random = seeded(seed)
  const rounds = tries(40)
  let laid = 0
  for (let i = 0; i < rounds; i++) laid += await round(random, blows[i % blows.length] ?? 'app killed')
  judged('kills', [
    `${rounds} times one of the app's and the database's server was killed or stopped for up to three seconds while two devices laid ${laid} things on one bench: all were there afterwards, each once.`,
  ])
})
