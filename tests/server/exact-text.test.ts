import { nth } from '#core/validation'
import { demoTrip } from '#catalogue/demo'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Person, Setting } from './setting'

let setting: Setting
let maren: Person
beforeAll(async () => {
  setting = await Setting.start()
  maren = await setting.person('maren')
})
afterAll(() => setting?.stop())

/** Each is another text, though one collation or another takes some of them for the same. */
const twins = ['a', 'A', 'á', 'à', 'a ', 'ａ', '😀', '😁', 'ss', 'ß', 'e', 'é']

describe('texts that a collation may take for the same are not the same', () => {
  it('in the ids of everything a trip has', async () => {
    const trip = demoTrip()
    const each = (like: object | undefined) => twins.map((id, i) => ({ ...like, id, name: `${i}` }))
    const document = {
      ...trip,
      road: {
        ...trip.road,
        stretches: twins.map((id, i) => ({ ...trip.road.stretches[0], id, fromKm: i, toKm: i + 1 })),
      },
      ride: { ...trip.ride, nights: twins.map((id, i) => ({ id, roadKm: 10 * (i + 1), stop: null, nights: 1 })) },
      bikes: each(trip.bikes[0]),
      crew: each(trip.crew[0]).map((rider) => ({ ...rider, bikeId: rider.id })),
      bench: each(trip.bench[0]),
      stops: each(trip.stops[0]).map((stop, i) => ({ ...stop, roadKm: i })),
    }
    const made = await maren.ask('POST', '/api/trips', document)
    expect(made.status, JSON.stringify(made.body)).toBe(201)
    const { body } = await maren.read(made.body.id)
    expect(body.trip).toMatchObject(document)
    const renamed = body.trip.bikes.map((b: { name: string }) => ({ ...b, name: `bike ${b.name}` }))
    expect((await maren.save(made.body.id, { part: 'bikes', base: 1, value: renamed })).status).toBe(200)
    expect((await maren.read(made.body.id)).body.trip.bikes).toEqual(renamed)
    const fewer = renamed.filter(({ id }: { id: string }) => id !== 'A')
    const others = body.trip.crew.filter(({ bikeId }: { bikeId: string }) => bikeId !== 'A')
    const changed = [
      { part: 'crew', base: 1, value: others },
      { part: 'bikes', base: 2, value: fewer },
    ]
    expect((await maren.save(made.body.id, ...changed)).status).toBe(200)
    expect((await maren.read(made.body.id)).body.trip).toMatchObject({ bikes: fewer, crew: others })
  })

  it('in the addresses of accounts: each is its own, and none opens another', async () => {
    const names = ['kare', 'kåre', 'karé', '😀', '😁', 'strasse', 'straße']
    const people = await Promise.all(names.map((name) => setting.person(name)))
    for (const [i, person] of people.entries()) {
      expect((await person.ask('GET', '/api/trips')).body, names[i]).toEqual([])
      await person.newTrip({ ...demoTrip(), name: names[i] })
    }
    const as = (email: string, password: string) => new Person(setting).ask('POST', '/api/session', { email, password })
    expect((await as('kåre@quern.example', 'kare rides far')).status).toBe(401)
    for (const name of names) expect((await as(`${name}@quern.example`, `${name} rides far`)).status).toBe(200)
  })

  it('but one address is one account in large and small letters, and however an accent is put together', async () => {
    const person = await setting.person('zoë')
    await person.newTrip({ ...demoTrip(), name: 'Hers' })
    const again = new Person(setting)
    const email = 'Zoë@Quern.example'.normalize('NFD')
    expect((await again.ask('POST', '/api/session', { email, password: 'zoë rides far' })).status).toBe(200)
    expect((await again.ask('GET', '/api/trips')).body).toMatchObject([{ name: 'Hers' }])
  })
})

describe('text that no document can hold is refused where it is', () => {
  it.each(['NUL \0', 'a bell \u0007', 'half \ud83d of a pair', 'the other \ude00', 'no character \uffff'])(
    '%j',
    async (name) => {
      const { stops, ...trip } = structuredClone(demoTrip())
      nth(stops, 1).name = name
      // As it is sent: a half of a pair would not come through as itself.
      const sent = JSON.stringify({ ...trip, stops })
      const json = { 'content-type': 'application/json' }
      const answer = await maren.ask('POST', '/api/trips', sent, json)
      expect(answer.status).toBe(422)
      expect(answer.body.data.lines).toEqual([
        expect.stringMatching(/^stops\[1\]\.name: .* expected a text without control characters/s),
      ])
    },
  )
})
