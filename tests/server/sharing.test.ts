import { readdirSync } from 'node:fs'
import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import type { Rider } from '#core/crew'
import { ownedFrom } from '#core/shed'
import type { Trip } from '#core/trip'
import { nth } from '#core/validation'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { whereStands } from './all-tables'
import { Person, Setting, type Answer } from './setting'

let setting: Setting
beforeAll(async () => {
  setting = await Setting.start()
})
afterAll(() => setting?.stop())

const short = (() => {
  const { road, stops: _, ...rest } = demoTrip()
  return { ...rest, stops: [], road: { ...road, points: road.points.slice(0, 40), stretches: [] } }
})()
const [first, second] = [nth(short.crew, 0), nth(short.crew, 1)]

let count = 0
const person = () => setting.person(`sharing-${count++}`)
const four = async () => ({
  owner: await person(),
  rider: await person(),
  reader: await person(),
  stranger: await person(),
  nobody: new Person(setting),
})
/** A new plan that three of four people share. */
async function sharedBy<P extends Awaited<ReturnType<typeof four>>>(people: P) {
  const trip = await people.owner.newTrip(short)
  await joins(people.rider, await invite(people.owner, trip, 'rider', second.id))
  await joins(people.reader, await invite(people.owner, trip, 'reader', null))
  return { ...people, trip }
}
const shared = async () => sharedBy(await four())
async function invite(owner: Person, trip: string, role: string, rider: string | null): Promise<string> {
  const answer = await owner.ask('POST', `/api/trips/${trip}/invitations`, { role, rider })
  expect(answer.status).toBe(201)
  return answer.body.token
}
const joins = (whom: Person, token: string): Promise<Answer> => whom.ask('POST', '/api/invitations/join', { token })
const idOf = async (whom: Person): Promise<string> => (await whom.ask('GET', '/api/session')).body.user.id
const peopleOf = async (whom: Person, trip: string) => (await whom.ask('GET', `/api/trips/${trip}/people`)).body
const tripOf = async (whom: Person, trip: string): Promise<Trip> => (await whom.read(trip)).body.trip
async function saves(whom: Person, trip: string, part: 'crew' | 'bench' | 'dials' | 'bikes', value: unknown) {
  const { revisions } = (await whom.read(trip)).body
  return whom.save(trip, { part, base: revisions[part].number, value })
}
const hands = (crew: readonly Rider[], id: string, level: number) =>
  crew.map((each) => (each.id === id ? { ...each, hands: level, skills: {} } : each))

type Who = 'owner' | 'rider' | 'reader' | 'stranger' | 'nobody'
type World = Awaited<ReturnType<typeof shared>>
interface Asked {
  readonly method: string
  readonly path: (world: World) => string | Promise<string>
  readonly body?: (world: World) => unknown
  /** Statuses in the order of: owner, rider, reader, stranger, nobody. */
  readonly answers: readonly [number, number, number, number, number]
}
const everybodyWhoShares = [200, 200, 200, 404, 401] as const
const change = (part: string) => ({ save: crypto.randomUUID(), changes: [{ part, base: { number: 1, save: '' } }] })

/** Every endpoint that has to do with a trip, and what it answers to whom. */
const table: Readonly<Record<string, Asked>> = {
  'trips/[id]/index.get.ts': { method: 'GET', path: ({ trip }) => trip, answers: everybodyWhoShares },
  'trips/[id]/document.get.ts': { method: 'GET', path: ({ trip }) => `${trip}/document`, answers: everybodyWhoShares },
  'trips/[id]/revisions.get.ts': {
    method: 'GET',
    path: ({ trip }) => `${trip}/revisions`,
    answers: everybodyWhoShares,
  },
  'trips/[id]/history.get.ts': { method: 'GET', path: ({ trip }) => `${trip}/history`, answers: everybodyWhoShares },
  'trips/[id]/people/index.get.ts': {
    method: 'GET',
    path: ({ trip }) => `${trip}/people`,
    answers: everybodyWhoShares,
  },
  // Nothing is saved by asking: what to make of the answer is told apart when it is saved.
  'trips/[id]/forecast.post.ts': {
    method: 'POST',
    path: ({ trip }) => `${trip}/forecast`,
    answers: everybodyWhoShares,
  },
  'trips/[id]/counter.post.ts': {
    method: 'POST',
    path: ({ trip }) => `${trip}/counter`,
    body: () => ({ stop: 'none', kind: 'bike-shop', classId: 'tube-622' }),
    answers: [422, 422, 422, 404, 401],
  },
  'trips/[id]/index.patch.ts': {
    method: 'PATCH',
    path: ({ trip }) => trip,
    body: () => ({ ...change('name'), changes: [{ ...change('name').changes[0], value: 'Renamed' }] }),
    answers: [200, 403, 403, 404, 401],
  },
  'trips/[id]/invitations/index.post.ts': {
    method: 'POST',
    path: ({ trip }) => `${trip}/invitations`,
    body: () => ({ role: 'reader', rider: null }),
    answers: [201, 403, 403, 404, 401],
  },
  'trips/[id]/invitations/[invitation].delete.ts': {
    method: 'DELETE',
    path: async (world) => {
      await invite(world.owner, world.trip, 'reader', null)
      const { invitations } = await peopleOf(world.owner, world.trip)
      return `${world.trip}/invitations/${invitations[0].id}`
    },
    answers: [200, 403, 403, 404, 401],
  },
  'trips/[id]/people/[person].patch.ts': {
    method: 'PATCH',
    path: async ({ trip, reader }) => `${trip}/people/${await idOf(reader)}`,
    body: () => ({ role: 'reader' }),
    answers: [200, 403, 403, 404, 401],
  },
  'trips/[id]/people/[person].delete.ts': {
    method: 'DELETE',
    path: async ({ trip, reader }) => `${trip}/people/${await idOf(reader)}`,
    // The reader is the one who leaves.
    answers: [200, 403, 200, 404, 401],
  },
  'trips/[id]/owner.put.ts': {
    method: 'PUT',
    path: ({ trip }) => `${trip}/owner`,
    body: async ({ rider }) => ({ person: await idOf(rider) }),
    answers: [200, 403, 403, 404, 401],
  },
  'trips/[id]/index.delete.ts': { method: 'DELETE', path: ({ trip }) => trip, answers: [200, 403, 403, 404, 401] },
  'trips/[id]/restore.post.ts': {
    method: 'POST',
    path: ({ trip }) => `${trip}/restore`,
    answers: [200, 403, 403, 404, 401],
  },
}
/** Endpoints at which nobody else's trip can be named. */
const ofNoTrip = /^(account|bin|demo|shed|invitations)\/|^trips\/index\.|^(\[\.\.\.\]|door|health|session|sessions)\./

describe('each endpoint answers each role as the table says', () => {
  it('and there is none beside the table', () => {
    const files = readdirSync('server/api', { recursive: true, encoding: 'utf8' }).filter((file) =>
      file.endsWith('.ts'),
    )
    expect(files.filter((file) => !ofNoTrip.test(file)).sort()).toEqual(Object.keys(table).sort())
  })
  let people: Awaited<ReturnType<typeof four>>
  beforeAll(async () => {
    people = await four()
  })
  const roles: readonly Who[] = ['owner', 'rider', 'reader', 'stranger', 'nobody']
  it.each(Object.entries(table))('%s', async (_, { method, path, body, answers }) => {
    for (const [i, who] of roles.entries()) {
      const world = await sharedBy(people)
      const answer = await world[who].ask(method, `/api/trips/${await path(world)}`, await body?.(world))
      expect([who, answer.status]).toEqual([who, answers[i]])
      if (answer.status >= 400) expect(answer.body.data.lines[0]).toMatch(/\.$|:/)
    }
  })
})

describe('a rider', () => {
  it('changes their own hands, bike and things, and nothing else; what was refused changes nothing', async () => {
    const { trip, owner, rider } = await shared()
    const before = await tripOf(owner, trip)
    const mine = await saves(rider, trip, 'crew', hands(before.crew, second.id, 3))
    expect(mine.status).toBe(200)
    const thing = { ...nth(before.bench, 0), id: 'my-thing', name: 'My own', broughtBy: second.id }
    expect((await saves(rider, trip, 'bench', [...before.bench, thing])).status).toBe(200)
    const renamed = before.bikes.map((bike) => (bike.id === second.bikeId ? { ...bike, name: 'Renamed' } : bike))
    expect((await saves(rider, trip, 'bikes', renamed)).status).toBe(200)

    const standing = await tripOf(owner, trip)
    const theirs = await saves(rider, trip, 'crew', hands(standing.crew, first.id, 0))
    expect(theirs.status).toBe(403)
    expect(theirs.body.data.lines[0]).toContain(first.name)
    expect((await saves(rider, trip, 'dials', { ...standing.dials, gramsPerHour: 1 })).status).toBe(403)
    expect((await saves(rider, trip, 'bench', [])).status).toBe(403)
    expect(await tripOf(owner, trip)).toEqual(standing)
  })
  it('changes nothing any more once the owner has taken the role, or them, off the plan', async () => {
    const { trip, owner, rider } = await shared()
    const { crew } = await tripOf(rider, trip)
    const id = await idOf(rider)
    expect((await owner.ask('PATCH', `/api/trips/${trip}/people/${id}`, { role: 'reader' })).status).toBe(200)
    expect((await saves(rider, trip, 'crew', hands(crew, second.id, 3))).status).toBe(403)
    expect((await owner.ask('DELETE', `/api/trips/${trip}/people/${id}`)).status).toBe(200)
    expect((await rider.read(trip)).status).toBe(404)
    expect((await rider.ask('GET', '/api/trips')).body).toEqual([])
  })
  it('is one person, and somebody of the crew', async () => {
    const { trip, owner, rider, reader } = await shared()
    const [riders, readers] = [await idOf(rider), await idOf(reader)]
    const say = (id: string, body: object) => owner.ask('PATCH', `/api/trips/${trip}/people/${id}`, body)
    const twice = await say(readers, { role: 'rider', rider: second.id })
    expect([twice.status, twice.body.data.lines[0]]).toEqual([422, expect.stringContaining('that rider already')])
    expect((await say(await idOf(owner), { rider: second.id })).status).toBe(422)
    expect((await say(riders, { rider: 'no-such-rider' })).status).toBe(422)
    expect((await say(await idOf(owner), { role: 'reader' })).status).toBe(422)
    expect((await say(crypto.randomUUID(), { role: 'reader' })).status).toBe(422)
    expect((await say(riders, { role: 'emperor' })).status).toBe(422)
    expect((await say(await idOf(owner), { rider: first.id })).status).toBe(200)
    expect((await peopleOf(rider, trip)).people.map((each: { rider: string }) => each.rider)).toEqual([
      first.id,
      second.id,
      null,
    ])
  })
})

describe('a link', () => {
  it('says what it is to before anybody signs in, and nothing to whoever guesses', async () => {
    const owner = await person()
    const trip = await owner.newTrip(short)
    const token = await invite(owner, trip, 'rider', second.id)
    const nobody = new Person(setting)
    const look = (text: string) => nobody.ask('POST', '/api/invitations/look', { token: text })
    expect((await look(token)).body).toEqual({
      trip: short.name,
      owner: expect.stringContaining('sharing-'),
      role: 'rider',
      rider: second.name,
    })
    expect((await look(`${token}x`)).status).toBe(410)
    expect((await look('')).status).toBe(422)
    expect((await joins(nobody, token)).status).toBe(401)
  })
  it('for a rider is used once, also by two at the same time; one for readers is good until it is revoked', async () => {
    const owner = await person()
    const trip = await owner.newTrip(short)
    const token = await invite(owner, trip, 'rider', second.id)
    const [early, late] = [await person(), await person()]
    const answers = await Promise.all([joins(early, token), joins(late, token)])
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 410])
    const open = await invite(owner, trip, 'reader', null)
    for (const whom of [await person(), await person()]) expect((await joins(whom, open)).status).toBe(200)
    const { invitations, people } = await peopleOf(owner, trip)
    expect(people).toHaveLength(4)
    expect(invitations).toHaveLength(1)
    await owner.ask('DELETE', `/api/trips/${trip}/invitations/${invitations[0].id}`)
    expect((await joins(await person(), open)).status).toBe(410)
    expect((await peopleOf(owner, trip)).people).toHaveLength(4)
  })
  it('makes a reader a rider, never a rider a reader, and an owner nothing', async () => {
    const { trip, owner, rider, reader } = await shared()
    expect((await joins(owner, await invite(owner, trip, 'reader', null))).body).toEqual({ trip })
    await joins(rider, await invite(owner, trip, 'reader', null))
    const token = await invite(owner, trip, 'rider', first.id)
    await joins(rider, token)
    await joins(reader, token)
    const { people } = await peopleOf(owner, trip)
    expect(people.map((each: { role: string; rider: string }) => [each.role, each.rider])).toEqual([
      ['owner', null],
      ['rider', second.id],
      ['rider', first.id],
    ])
  })
  it('of a plan in the bin is worth nothing, and again something once that is taken out', async () => {
    const owner = await person()
    const trip = await owner.newTrip(short)
    const token = await invite(owner, trip, 'reader', null)
    await owner.ask('DELETE', `/api/trips/${trip}`)
    expect((await joins(await person(), token)).status).toBe(410)
    await owner.ask('POST', `/api/trips/${trip}/restore`)
    expect((await joins(await person(), token)).status).toBe(200)
  })
  it('is told to nobody but who made it, and stands in no table', async () => {
    const { trip, owner, rider } = await shared()
    const token = await invite(owner, trip, 'reader', null)
    expect((await peopleOf(rider, trip)).invitations).toEqual([])
    expect(JSON.stringify(await peopleOf(owner, trip))).not.toContain(token)
    expect(await whereStands(setting.mariadb.url, token)).toEqual([])
  })
})

describe('what is one’s own stays that', () => {
  it('shed, address and other trips are seen by nobody who shares a plan', async () => {
    const { trip, owner, rider, reader } = await shared()
    const own = { ...ownedFrom(nth(catalogue.items, 0), 'secret-thing', 'EUR'), name: 'Secret thing' }
    await rider.ask('PATCH', '/api/shed', {
      save: crypto.randomUUID(),
      changes: [{ id: own.id, base: '', thing: own }],
    })
    await rider.newTrip({ ...short, name: 'Secret trip' })
    const seen = []
    for (const whom of [owner, reader])
      for (const path of ['people', 'history', '', 'document', 'revisions'])
        seen.push((await whom.ask('GET', `/api/trips/${trip}${path && `/${path}`}`)).body)
    for (const whom of [owner, reader])
      for (const path of ['/api/trips', '/api/shed', '/api/account']) seen.push((await whom.ask('GET', path)).body)
    const text = JSON.stringify(seen)
    expect(text).not.toContain('Secret')
    const { email } = (await rider.ask('GET', '/api/session')).body.user
    expect(text).not.toContain(email)
  })
  it('planning values of one’s own go into one’s own trips only', async () => {
    const { trip, owner, rider } = await shared()
    const answer = await rider.ask('PUT', '/api/account/planning', { planning: { 'works.pump': 0.7 } })
    expect(answer.body.trips).toBe(0)
    expect((await tripOf(owner, trip)).dials.planning).toEqual({})
  })
})

describe('whose the plan is', () => {
  it('is another’s once it is handed over, and the one who had it rides along', async () => {
    const { trip, owner, rider } = await shared()
    await owner.ask('PATCH', `/api/trips/${trip}/people/${await idOf(owner)}`, { rider: first.id })
    expect((await owner.ask('PUT', `/api/trips/${trip}/owner`, { person: crypto.randomUUID() })).status).toBe(422)
    expect((await owner.ask('PUT', `/api/trips/${trip}/owner`, { person: await idOf(rider) })).status).toBe(200)
    const { access } = (await owner.read(trip)).body
    expect(access).toEqual({ role: 'rider', rider: first.id, people: 3 })
    expect((await rider.read(trip)).body.access).toEqual({ role: 'owner', rider: second.id, people: 3 })
    expect((await owner.ask('DELETE', `/api/trips/${trip}`)).status).toBe(403)
    expect((await rider.ask('DELETE', `/api/trips/${trip}`)).status).toBe(200)
    expect((await owner.read(trip)).status).toBe(404)
  })
  it('is not left by its owner, and is the first rider’s once the owner’s account is closed', async () => {
    const { trip, owner, rider, reader } = await shared()
    const id = await idOf(owner)
    expect((await owner.ask('DELETE', `/api/trips/${trip}/people/${id}`)).status).toBe(422)
    await saves(owner, trip, 'crew', hands((await tripOf(owner, trip)).crew, first.id, 3))
    const alone = await owner.newTrip({ ...short, name: 'Nobody else rides it' })
    await joins(reader, await invite(owner, alone, 'reader', null))
    const { name } = (await owner.ask('GET', '/api/session')).body.user
    await owner.ask('POST', '/api/account/close', { password: `${name} rides far` })
    expect((await rider.read(trip)).body.access).toMatchObject({ role: 'owner', people: 2 })
    expect((await reader.read(trip)).status).toBe(200)
    expect((await reader.read(alone)).status).toBe(404)
    const told = (await rider.ask('GET', `/api/trips/${trip}/history`)).body
    expect(told[0]).toMatchObject({ by: '', lines: [{ part: 'crew', name: first.name, how: 'changed' }] })
    expect(await whereStands(setting.mariadb.url, id)).toEqual([])
  })
})

describe('who changed what', () => {
  it('is told to all who share it, the latest first, and of a save that is offered twice once', async () => {
    const { trip, owner, rider, reader } = await shared()
    const { crew, dials, bench } = await tripOf(owner, trip)
    await saves(owner, trip, 'dials', { ...dials, trust: 0.123 })
    await saves(rider, trip, 'crew', hands(crew, second.id, 3))
    const { revisions } = (await owner.read(trip)).body
    const less = { part: 'bench', base: revisions.bench.number, value: bench.slice(1) }
    const save = crypto.randomUUID()
    for (let i = 0; i < 2; i++) await owner.saveAs(save, trip, less)
    const told = (await reader.ask('GET', `/api/trips/${trip}/history`)).body
    const nameOf = async (whom: Person) => (await whom.ask('GET', '/api/session')).body.user.name
    expect(told.map(({ by, lines }: { by: string; lines: { part: string }[] }) => [by, lines[0]?.part])).toEqual([
      [await nameOf(owner), 'bench'],
      [await nameOf(rider), 'crew'],
      [await nameOf(owner), 'dials'],
    ])
    expect(told[0].lines).toEqual([{ part: 'bench', name: nth(bench, 0).name, how: 'removed', fields: [] }])
  })
})
