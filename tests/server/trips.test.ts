import { riderSchema } from '#core/crew'
import { nth } from '#core/validation'
import { dialsSchema, readTrip, type Dials } from '#core/trip'
import { randomUUID } from 'node:crypto'
import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Person, Setting } from './setting'

let setting: Setting
let maren: Person
let ansel: Person
beforeAll(async () => {
  setting = await Setting.start()
  maren = await setting.person('maren')
  ansel = await setting.person('ansel')
})
afterAll(() => setting?.stop())

describe('many at the same time', () => {
  it('begin and save trips, and none has to give up', async () => {
    const people = await Promise.all(Array.from({ length: 8 }, (_, i) => setting.person(`crowd-${i}`)))
    const trip = {
      ...demoTrip(),
      road: { ...demoTrip().road, points: demoTrip().road.points.slice(0, 2), stretches: [] },
      stops: [],
    }
    const statuses = await Promise.all(
      people.map(async (person) => {
        const seen: number[] = []
        for (let i = 0; i < 4; i++) {
          const begun = await person.ask('POST', '/api/trips', trip)
          seen.push(begun.status)
          const bench = { part: 'bench', base: 1, value: trip.bench.slice(i) }
          const bikes = { part: 'bikes', base: 1, value: trip.bikes }
          seen.push((await person.save(begun.body.id, bikes, bench)).status)
        }
        return seen
      }),
    )
    expect(new Set(statuses.flat())).toEqual(new Set([201, 200]))
  })
})

describe('planning values', () => {
  const better = { 'works.pump': 0.7, 'hazards.puncture.per1000km': 2 }
  it('are changed in all of one’s trips but the open one, in the bin too, in those to come, and in nobody else’s', async () => {
    const [una, other] = [await setting.person('una'), await setting.person('otto')]
    const begin = async (person: Person, planning: object = {}) => {
      const { road, stops, dials, ...rest } = demoTrip()
      const short = { ...road, points: road.points.slice(0, 2), stretches: [] }
      const document = { ...rest, road: short, stops: stops.slice(0, 0), dials: { ...dials, planning } }
      return (await person.ask('POST', '/api/trips', document)).body.id as string
    }
    const read = async (person: Person, id: string) => (await person.ask('GET', `/api/trips/${id}`)).body
    const planningOf = async (person: Person, id: string) => (await read(person, id)).trip.dials.planning
    const [open, first, thrown] = [await begin(una), await begin(una, { 'works.lever': 0.5 }), await begin(una)]
    const theirs = await begin(other)
    const before = await read(una, first)
    await una.ask('DELETE', `/api/trips/${thrown}`)

    const answer = await una.ask('PUT', '/api/account/planning', { planning: better, besides: open })
    expect(answer.body).toEqual({ planning: better, trips: 2 })
    expect(await planningOf(una, open)).toEqual({})
    expect(await planningOf(una, first)).toEqual({ 'works.lever': 0.5, ...better })
    expect(await planningOf(other, theirs)).toEqual({})
    await una.ask('POST', `/api/trips/${thrown}/restore`)
    expect(await planningOf(una, thrown)).toEqual(better)
    expect((await una.ask('GET', '/api/account')).body.planning).toEqual(better)
    expect((await other.ask('GET', '/api/account')).body.planning).toEqual({})
    // Whoever has read the trip before is told that its dials were saved meanwhile.
    const late = { part: 'dials', base: before.revisions.dials.number, value: before.trip.dials }
    expect((await una.save(first, late)).status).toBe(409)

    const back = await una.ask('PUT', '/api/account/planning', { back: ['works.pump', 'works.lever'] })
    expect(back.body).toEqual({ planning: { 'hazards.puncture.per1000km': 2 }, trips: 2 })
    expect(await planningOf(una, first)).toEqual({ 'hazards.puncture.per1000km': 2 })
  })
  it('that are none are refused, and nothing is changed', async () => {
    const ask = (body: object) => maren.ask('PUT', '/api/account/planning', body)
    const refused = await ask({ planning: { 'works.pump': 7 } })
    expect(refused.status).toBe(422)
    expect(refused.body.data.lines.join()).toMatch(/works\.pump.*0\.01 to 1/)
    expect((await ask({ planning: { 'works.oven': 0.5 } })).status).toBe(422)
    expect((await ask({ back: ['nothing'] })).status).toBe(422)
    expect((await ask({ besides: 'x' })).status).toBe(422)
    expect((await new Person(setting).ask('PUT', '/api/account/planning', { planning: better })).status).toBe(401)
    expect((await maren.ask('GET', '/api/account')).body.planning).toEqual({})
  })
})

describe('accounts', () => {
  it('sign up, sign out, sign in', async () => {
    const person = await setting.person('tove')
    expect((await person.ask('GET', '/api/trips')).status).toBe(200)
    await person.ask('DELETE', '/api/session')
    expect((await person.ask('GET', '/api/trips')).status).toBe(401)
    expect(
      (await person.ask('POST', '/api/session', { email: 'TOVE@quern.example', password: 'tove rides far' })).status,
    ).toBe(200)
    expect((await person.ask('GET', '/api/trips')).status).toBe(200)
  })
  it('one address has one account', async () => {
    const answer = await new Person(setting).ask('POST', '/api/account', {
      name: 'x',
      email: 'maren@quern.example',
      password: 'another one',
    })
    expect(answer.status).toBe(409)
    expect(answer.body.data.lines[0]).toContain('sign in instead')
  })
  it('short passwords and odd addresses are refused with the reason', async () => {
    const answer = await new Person(setting).ask('POST', '/api/account', {
      name: 'x',
      email: 'nowhere',
      password: 'short',
    })
    expect(answer.status).toBe(422)
    expect(answer.body.data.lines.join('\n')).toMatch(/email: expected an e-mail address[\s\S]*password/)
  })
  it('there is no demo door outside the demo', async () => {
    expect((await new Person(setting).ask('POST', '/api/demo/session')).status).toBe(404)
  })
  it('requests from another site change nothing', async () => {
    const answer = await maren.ask('POST', '/api/trips', demoTrip(), {
      origin: 'https://elsewhere.example',
      'sec-fetch-site': 'cross-site',
    })
    expect(answer.status).toBe(403)
  })
})

describe('trips', () => {
  it('come back as they were sent', async () => {
    const trip = readTrip(demoTrip(), catalogue)
    const id = await maren.newTrip(trip)
    const { body } = await maren.ask('GET', `/api/trips/${id}`)
    expect(body.trip).toEqual(trip)
    expect((await maren.ask('GET', `/api/trips/${id}/document`)).body).toEqual(trip)
  })

  it('keep every dial, none as it usually is', async () => {
    const dials: Dials = {
      gramsPerHour: 321,
      budgetG: 1500,
      budgetMoney: 4500,
      trust: 0.4,
      waitH: 5,
      walking: 'tobler',
      walkHoursPerDay: 8,
      nightOutH: 4,
      rideOverH: 9,
      helper: 0.1,
      liftWaitH: 6,
      handMostN: 310,
      homeShare: 0.2,
      currency: 'SEK',
      moneyPerHour: 25_000,
      stances: [{ id: 'lift', changes: [{ kind: 'dial', name: 'liftWaitH', before: null, after: 6 }] }],
      reckoning: 2,
      planning: { 'hazards.puncture.per1000km': 0.7, 'hands.easy.2': 0.9 },
    }
    for (const [dial, usual] of Object.entries(dialsSchema.parse({})))
      expect(dials[dial as keyof Dials]).not.toEqual(usual)
    const id = await maren.newTrip({ ...demoTrip(), dials })
    expect((await maren.ask('GET', `/api/trips/${id}`)).body.trip.dials).toEqual(dials)
    expect((await maren.save(id, { part: 'dials', base: 1, value: { ...dials, handMostN: 290 } })).status).toBe(200)
    expect((await maren.ask('GET', `/api/trips/${id}`)).body.trip.dials.handMostN).toBe(290)
  })

  it('keep all that is said of a rider, none as it usually is', async () => {
    const demo = demoTrip()
    const usual: Record<string, unknown> = riderSchema.parse({ id: 'r', name: 'r', bikeId: 'b' })
    const rider = riderSchema.parse({
      ...nth(demo.crew, 0),
      joins: nth(demo.stops, 1).id,
      leaves: nth(demo.stops, 3).id,
      hands: 3,
      skills: { 'change-tube': 1 },
      practice: [{ technique: 'change-tube', level: 3, on: '2026-06-01', state: 'done', by: nth(demo.crew, 0).id }],
      handMostN: 321,
      loadG: 12_345,
      carriesMostG: 678,
      carriesMostMl: 910,
      share: 1.5,
    })
    for (const [name, value] of Object.entries<unknown>(rider)) expect(value, name).not.toEqual(usual[name])
    const sent = { ...demo, crew: [rider, ...demo.crew.slice(1)] }
    const { body } = await maren.ask('POST', '/api/trips', sent)
    expect((await maren.ask('GET', `/api/trips/${body.id}`)).body.trip.crew[0]).toEqual(rider)
  })

  it('keep all that a passport says', async () => {
    const { bikes, ...trip } = structuredClone(demoTrip())
    for (const bike of bikes) bike.rims.front.stemMm = 48
    const id = await maren.newTrip({ ...trip, bikes })
    expect((await maren.ask('GET', `/api/trips/${id}`)).body.trip.bikes).toEqual(bikes)
  })

  it('are nobody else’s business', async () => {
    const id = await maren.newTrip(demoTrip())
    const mine = { save: randomUUID(), changes: [{ part: 'name', base: { number: 1, save: '' }, value: 'mine now' }] }
    for (const [method, path, body] of [
      ['GET', `/api/trips/${id}`, undefined],
      ['GET', `/api/trips/${id}/document`, undefined],
      ['PATCH', `/api/trips/${id}`, mine],
      ['GET', `/api/trips/${id}/revisions`, undefined],
      ['DELETE', `/api/trips/${id}`, undefined],
      ['POST', `/api/trips/${id}/restore`, undefined],
    ] as const) {
      expect((await ansel.ask(method, path, body)).status, `${method} ${path}`).toBe(404)
      expect((await new Person(setting).ask(method, path, body)).status, `${method} ${path} by nobody`).toBe(401)
    }
    expect((await ansel.ask('GET', '/api/trips')).body).toEqual([])
    expect((await maren.ask('GET', `/api/trips/${id}`)).body.trip.name).toBe('Across the Quern, June')
  })

  it('are saved part by part, and two devices cannot overwrite each other unseen', async () => {
    const id = await maren.newTrip(demoTrip())
    const [first] = demoTrip().bench
    const saved = await maren.save(id, { part: 'bench', base: 1, value: [first] })
    expect(saved.body.made).toMatchObject({ bench: { number: 2 } })
    expect(saved.body.revisions).toMatchObject({ bench: saved.body.made.bench, stops: { number: 1 } })
    const stale = await maren.save(id, { part: 'bench', base: 1, value: [] })
    expect(stale.status).toBe(409)
    expect(stale.body.data.lines).toEqual(['saved elsewhere meanwhile: bench'])
    // Another part of the same trip is no conflict.
    expect((await maren.save(id, { part: 'name', base: 1, value: 'Renamed' })).status).toBe(200)
    const { body } = await maren.read(id)
    expect(body.trip.bench).toHaveLength(1)
    expect(body.trip.name).toBe('Renamed')
    expect((await maren.ask('GET', `/api/trips/${id}/revisions`)).body.revisions).toEqual(body.revisions)
  })

  it('saved again under the same name are saved once, and the answer is the first one', async () => {
    const id = await maren.newTrip(demoTrip())
    const save = randomUUID()
    const first = await maren.saveAs(save, id, { part: 'name', base: 1, value: 'Once' })
    const again = await maren.saveAs(save, id, { part: 'name', base: 1, value: 'Once' })
    expect(again.body).toEqual(first.body)
    await maren.save(id, { part: 'name', base: 2, value: 'Since' })
    const late = await maren.saveAs(save, id, { part: 'name', base: 1, value: 'Once' })
    expect(late.status).toBe(200)
    expect(late.body).toMatchObject({ made: { name: { number: 2, save } }, revisions: { name: { number: 3 } } })
    expect((await maren.read(id)).body.trip.name).toBe('Since')
    // Also where the server has become stricter since: what it did is not refused.
    const refusable = await maren.saveAs(save, id, { part: 'name', base: 1, value: 'x'.repeat(5000) })
    expect(refusable.body).toEqual(late.body)
    // A name counts for its own trip only.
    const other = await maren.newTrip(demoTrip())
    expect((await maren.saveAs(save, other, { part: 'name', base: 1, value: 'Other' })).body.made.name.number).toBe(2)
  })

  it('are not saved from a state of the same number that another save had made', async () => {
    const id = await maren.newTrip(demoTrip())
    await maren.save(id, { part: 'name', base: 1, value: 'Mine' })
    const base = { number: 2, save: randomUUID() }
    const answer = await maren.ask('PATCH', `/api/trips/${id}`, {
      save: randomUUID(),
      changes: [{ part: 'name', base, value: 'From another history' }],
    })
    expect(answer.status).toBe(409)
  })

  it('are saved all or not at all', async () => {
    const id = await maren.newTrip(demoTrip())
    const answer = await maren.save(
      id,
      { part: 'name', base: 1, value: 'Half' },
      { part: 'stops', base: 1, value: [{ id: 'far', name: 'Far', roadKm: 9999 }] },
    )
    expect(answer.status).toBe(422)
    expect(answer.body.data.lines[0]).toMatch(/stops\[0\]\.roadKm: km 9999; expected a place on the road/)
    expect((await maren.ask('GET', `/api/trips/${id}`)).body.trip.name).toBe('Across the Quern, June')
  })

  it('keep their riders when bikes change, and refuse a bike gone from under a rider', async () => {
    const id = await maren.newTrip(demoTrip())
    const { bikes, crew } = demoTrip()
    const renamed = bikes.map((bike) => ({ ...bike, name: `${bike.name}!` }))
    expect((await maren.save(id, { part: 'bikes', base: 1, value: renamed })).status).toBe(200)
    expect((await maren.ask('GET', `/api/trips/${id}`)).body.trip.crew).toEqual(crew)
    const gone = await maren.save(id, { part: 'bikes', base: 2, value: renamed.slice(0, 1) })
    expect(gone.status).toBe(422)
    expect(gone.body.data.lines[0]).toContain('crew[1].bikeId')
  })

  it('let a rider change over to a new bike while the old one goes, in one save', async () => {
    const id = await maren.newTrip(demoTrip())
    const { bikes, crew } = structuredClone(demoTrip())
    const next = { ...nth(bikes, 1), id: 'wren', name: 'The Wren' }
    const answer = await maren.save(
      id,
      { part: 'crew', base: 1, value: crew.map((rider) => ({ ...rider, bikeId: 'wren' })) },
      { part: 'bikes', base: 1, value: [next] },
    )
    expect(answer.status).toBe(200)
    const { trip } = (await maren.ask('GET', `/api/trips/${id}`)).body
    expect(trip.bikes.map((bike: { id: string }) => bike.id)).toEqual(['wren'])
    expect(trip.crew.map((rider: { bikeId: string }) => rider.bikeId)).toEqual(['wren', 'wren'])
    expect(trip.crew[0].skills).toEqual(nth(crew, 0).skills)
  })

  it.each<[string, unknown, RegExp]>([
    [
      'a wrong type deep inside',
      { ...demoTrip(), bench: [{ id: 'a', name: 'b', massG: 'heavy' }] },
      /bench\[0\]\.massG: "heavy"/,
    ],
    ['a newer version', { ...demoTrip(), format: 'rag-tin.trip/9' }, /a newer Rag Tin/],
    ['something else', { hello: 1 }, /format: nothing/],
    ['no JSON', '{"format":', /JSON/],
  ])('are not made from %s', async (_, document, message) => {
    const before = (await maren.ask('GET', '/api/trips')).body.length
    const answer = await maren.ask('POST', '/api/trips', document)
    expect(answer.status).toBeGreaterThanOrEqual(400)
    expect(answer.status).toBeLessThan(500)
    expect(answer.body.data?.lines?.join('\n') ?? answer.body.message).toMatch(message)
    expect((await maren.ask('GET', '/api/trips')).body).toHaveLength(before)
  })

  it('thrown away can be taken back', async () => {
    const id = await maren.newTrip({ ...demoTrip(), name: 'Away' })
    expect((await maren.ask('DELETE', `/api/trips/${id}`)).status).toBe(200)
    expect((await maren.ask('GET', `/api/trips/${id}`)).status).toBe(404)
    expect((await maren.ask('POST', `/api/trips/${id}/restore`)).status).toBe(200)
    expect((await maren.ask('GET', `/api/trips/${id}`)).body.trip.name).toBe('Away')
  })
})

it('a page of somebody who was signed in before saves nothing as the one who is now', async () => {
  const id = await maren.newTrip(demoTrip())
  const before = { 'x-rag-tin-person': 'somebody-else' }
  expect((await maren.ask('GET', `/api/trips/${id}`, undefined, before)).status).toBe(401)
  const change = { part: 'name', base: { number: 1, save: '' }, value: 'x' }
  const saved = await maren.ask('PATCH', `/api/trips/${id}`, { save: randomUUID(), changes: [change] }, before)
  expect(saved.status).toBe(401)
  expect(saved.body.data.lines).toEqual(['Somebody else has signed in here since.'])
  expect((await maren.read(id)).body.trip.name).toBe('Across the Quern, June')
})
