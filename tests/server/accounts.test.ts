import { demoTrip } from '#catalogue/demo'
import { createConnection } from 'mysql2/promise'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { demoSettings, seedDemo } from '../../scripts/demo-data'
import { whereStands } from './all-tables'
import { Person, Setting } from './setting'

let setting: Setting
beforeAll(async () => {
  // A demo, whose letters can be read, behind a proxy that says from where requests come.
  setting = await Setting.start({ ...demoSettings, NUXT_TRUSTED_PROXIES: '127.0.0.1' })
  await seedDemo(setting.mariadb.url)
})
afterAll(() => setting?.stop())

interface Letter {
  to: string
  subject: string
  text: string
}
const lettersTo = async (name: string): Promise<Letter[]> => {
  const { body } = await new Person(setting).ask('GET', '/api/demo/letters')
  return (body as Letter[]).filter(({ to }) => to === `${name}@quern.example`)
}
const signIn = async (email: string, password: string): Promise<[Person, number]> => {
  const person = new Person(setting)
  return [person, (await person.ask('POST', '/api/session', { email, password })).status]
}
const canSignIn = async (name: string, password: string) => (await signIn(`${name}@quern.example`, password))[1] === 200
const userOf = async (person: Person) => (await person.ask('GET', '/api/session')).body.user

describe('a name', () => {
  it('that is changed is so on every device', async () => {
    const [aud, other] = [await setting.person('aud'), (await signIn('aud@quern.example', 'aud rides far'))[0]]
    expect((await aud.ask('PATCH', '/api/account', { name: '  Aud of the Fell ' })).body).toEqual({
      name: 'Aud of the Fell',
    })
    expect((await userOf(other)).name).toBe('Aud of the Fell')
    expect((await aud.ask('PATCH', '/api/account', { name: ' ' })).status).toBe(422)
  })
})

describe('an address', () => {
  it('is changed by who knows the password, and the one of before is told', async () => {
    const bo = await setting.person('bo')
    await setting.person('cis')
    const move = (email: string, password: string) => bo.ask('PUT', '/api/account/address', { email, password })
    expect((await move('bo.new@quern.example', 'guess')).body.data.lines).toEqual(['The password is wrong.'])
    expect((await move('cis@quern.example', 'bo rides far')).status).toBe(409)
    expect((await move('nothing', 'bo rides far')).status).toBe(422)
    expect((await move('Bo.New@quern.example', 'bo rides far')).body).toEqual({ email: 'bo.new@quern.example' })
    expect(await canSignIn('bo', 'bo rides far')).toBe(false)
    expect(await canSignIn('bo.new', 'bo rides far')).toBe(true)
    expect((await userOf(bo)).email).toBe('bo.new@quern.example')
    await expect.poll(() => lettersTo('bo')).toHaveLength(1)
  })
})

describe('a card that says who one is', () => {
  const card = {
    name: '',
    born: '',
    address: '',
    blood: 'A',
    allergies: 'wasps',
    medication: '',
    conditions: '',
    contact: '',
  }
  it('is kept for oneself alone, asks for nothing, and goes with the account', async () => {
    const [dag, eli] = [await setting.person('odo'), await setting.person('pim')]
    const put = (person: Person, body: object) => person.ask('PUT', '/api/account/identity', body)
    expect((await dag.ask('GET', '/api/account/identity')).body).toEqual({ ...card, blood: '', allergies: '' })
    expect((await put(dag, { blood: 'A', allergies: 'wasps' })).body).toEqual(card)
    expect((await dag.ask('GET', '/api/account/identity')).body).toEqual(card)
    expect((await eli.ask('GET', '/api/account/identity')).body).toEqual({ ...card, blood: '', allergies: '' })
    expect((await new Person(setting).ask('GET', '/api/account/identity')).status).toBe(401)
    expect((await put(new Person(setting), card)).status).toBe(401)
    // Emptied, nothing of it is left.
    expect((await put(dag, {})).status).toBe(200)
    expect((await dag.ask('GET', '/api/account/identity')).body.blood).toBe('')
  })
  it('takes no megabyte in a field, says which, and keeps what was there', async () => {
    const fee = await setting.person('quill')
    const put = (body: object) => fee.ask('PUT', '/api/account/identity', body)
    await put(card)
    expect((await put({ ...card, medication: 'x'.repeat(1_000_000) })).status).toBe(413)
    const long = await put({ ...card, medication: 'x'.repeat(601) })
    expect([long.status, long.body.data.lines[0]]).toEqual([422, expect.stringMatching(/^medication: .*600/)])
    expect((await put({ ...card, blood: 7 })).status).toBe(422)
    expect((await fee.ask('GET', '/api/account/identity')).body).toEqual(card)
  })
})

describe('a password', () => {
  it('is changed by who knows it, and whoever is signed in elsewhere is no longer', async () => {
    const dag = await setting.person('dag')
    const [elsewhere] = await signIn('dag@quern.example', 'dag rides far')
    const change = (password: string, newPassword: string) =>
      dag.ask('PUT', '/api/account/password', { password, newPassword })
    expect((await change('guess', 'a fine new one')).status).toBe(403)
    const short = await change('dag rides far', 'short')
    expect([short.status, JSON.stringify(short.body).includes('short')]).toEqual([422, false])
    expect((await userOf(elsewhere))?.name).toBe('dag')
    expect((await change('dag rides far', 'a fine new one')).status).toBe(200)
    expect(await userOf(elsewhere)).toBeNull()
    expect((await userOf(dag)).name).toBe('dag')
    expect(await canSignIn('dag', 'dag rides far')).toBe(false)
    expect(await canSignIn('dag', 'a fine new one')).toBe(true)
  })

  it('cannot be guessed on a device that was left signed in', async () => {
    const finder = await setting.person('eda')
    const statuses: number[] = []
    for (let i = 0; i < 8; i++)
      statuses.push((await finder.ask('POST', '/api/account/close', { password: `guess ${i}` })).status)
    expect(statuses).toEqual([403, 403, 403, 403, 403, 403, 429, 429])
    // The owner elsewhere is not kept from it.
    const [owner] = await signIn('eda@quern.example', 'eda rides far')
    expect((await owner.ask('POST', '/api/account/close', { password: 'eda rides far' })).status).toBe(200)
    expect(await userOf(finder)).toBeNull()
  })
})

/** What a letter has to be answered with. */
const tokenOf = (letter: Letter | undefined) => /\/new-password#(\S+)/.exec(letter?.text ?? '')?.[1] ?? ''
const forget = (name: string, from: string) =>
  new Person(setting).ask(
    'POST',
    '/api/account/forgotten',
    { email: `${name}@quern.example` },
    { 'x-forwarded-for': from },
  )
const choose = (token: string, newPassword: string) => {
  const person = new Person(setting)
  return person
    .ask('POST', '/api/account/new-password', { token, newPassword })
    .then(({ status }) => ({ person, status }))
}

describe('a forgotten password', () => {
  it('is chosen anew by a letter, once, and everybody who was signed in is not any more', async () => {
    const before = await setting.person('finn')
    expect((await forget('finn', '203.0.113.1')).status).toBe(202)
    await expect.poll(() => lettersTo('finn')).toHaveLength(1)
    const token = tokenOf((await lettersTo('finn'))[0])
    expect((await choose(token, 'short')).status).toBe(422)
    const { person, status } = await choose(token, 'remembered this time')
    expect(status).toBe(200)
    expect((await userOf(person)).name).toBe('finn')
    expect(await userOf(before)).toBeNull()
    expect(await canSignIn('finn', 'finn rides far')).toBe(false)
    expect(await canSignIn('finn', 'remembered this time')).toBe(true)
    expect((await choose(token, 'and once again')).status).toBe(410)
    // Used at the same time by two, it is good for one.
    await forget('finn', '203.0.113.1')
    await expect.poll(async () => (await lettersTo('finn')).filter((letter) => tokenOf(letter))).toHaveLength(2)
    const second = tokenOf((await lettersTo('finn')).find((letter) => tokenOf(letter)))
    const both = await Promise.all([choose(second, 'the first of them'), choose(second, 'the second of them')])
    expect(both.map((each) => each.status).sort()).toEqual([200, 410])
  })

  it('letters are good for an hour, and of several each is, until one is used', async () => {
    await setting.person('gro')
    for (let i = 0; i < 2; i++) await forget('gro', '203.0.113.2')
    await expect.poll(() => lettersTo('gro')).toHaveLength(2)
    const [later, earlier] = (await lettersTo('gro')).map(tokenOf)
    const connection = await createConnection(setting.mariadb.url)
    await connection.query('UPDATE password_letters SET created_at = created_at - INTERVAL 59 MINUTE')
    expect((await choose(earlier ?? '', 'chosen by the first')).status).toBe(200)
    expect((await choose(later ?? '', 'chosen by the second')).status).toBe(410)
    await forget('gro', '203.0.113.2')
    await expect.poll(async () => (await lettersTo('gro')).filter((letter) => tokenOf(letter))).toHaveLength(3)
    await connection.query('UPDATE password_letters SET created_at = created_at - INTERVAL 61 MINUTE')
    await connection.end()
    expect((await choose(tokenOf((await lettersTo('gro')).find((l) => tokenOf(l))), 'too late for this')).status).toBe(
      410,
    )
  })

  it('of nobody, and of the demo rider, brings no letter and the same answer', async () => {
    expect((await forget('nobody-at-all', '203.0.113.3')).body).toEqual((await forget('maren', '203.0.113.3')).body)
    await setting.person('hedda')
    await forget('hedda', '203.0.113.3')
    await expect.poll(() => lettersTo('hedda')).toHaveLength(1)
    expect([...(await lettersTo('nobody-at-all')), ...(await lettersTo('maren'))]).toEqual([])
  })

  it('is asked for so often for one account, and by one who asks, and no more often', async () => {
    const statuses: number[] = []
    for (let i = 0; i < 5; i++) statuses.push((await forget('ivo', `203.0.113.${10 + i}`)).status)
    expect(statuses).toEqual([202, 202, 202, 429, 429])
    const ofOne: number[] = []
    for (let i = 0; i < 22; i++) ofOne.push((await forget(`many-${i}`, '203.0.113.99')).status)
    expect(ofOne.filter((status) => status === 202)).toHaveLength(20)
  })

  it('of a closed account opens nothing', async () => {
    const jon = await setting.person('jon')
    await forget('jon', '203.0.113.4')
    await expect.poll(() => lettersTo('jon')).toHaveLength(1)
    const token = tokenOf((await lettersTo('jon'))[0])
    expect((await jon.ask('POST', '/api/account/close', { password: 'jon rides far' })).status).toBe(200)
    expect((await choose(token, 'from the other side')).status).toBe(410)
    expect(await lettersTo('jon')).toEqual([])
  })
})

it('signed out everywhere, every cookie of the person is dead', async () => {
  const kari = await setting.person('kari')
  const id = await kari.newTrip(demoTrip())
  const others = await Promise.all([1, 2, 3].map(async () => (await signIn('kari@quern.example', 'kari rides far'))[0]))
  const copies = [kari, ...others].map((person) => person.copy())
  const stranger = await setting.person('liv')
  expect((await kari.ask('DELETE', '/api/sessions')).status).toBe(200)
  for (const person of [kari, ...others, ...copies]) {
    expect((await person.read(id)).status).toBe(401)
    expect(await userOf(person)).toBeNull()
  }
  expect((await userOf(stranger)).name).toBe('liv')
})

it('a closed account is nowhere any more, and nobody else’s is touched', async () => {
  const marks = ['mysterious-mark', 'Round the lost tarn']
  const mia = await setting.person(marks[0] ?? '')
  const [account] = [await mia.ask('GET', '/api/session')]
  const kept = await mia.newTrip({ ...demoTrip(), name: marks[1] })
  const binned = await mia.newTrip({ ...demoTrip(), name: marks[1] })
  await mia.ask('DELETE', `/api/trips/${binned}`)
  await mia.save(kept, { part: 'name', base: 1, value: 'Round the lost tarn again' })
  await forget(marks[0] ?? '', '203.0.113.5')
  await expect.poll(() => lettersTo(marks[0] ?? '')).toHaveLength(1)
  const neighbour = await setting.person('nils')
  const theirs = await neighbour.newTrip(demoTrip())

  const words = [...marks, kept, binned, account.body.user.id as string]
  expect((await whereStands(setting.mariadb.url, ...words)).length).toBeGreaterThan(50)
  expect((await mia.ask('POST', '/api/account/close', { password: 'wrong' })).status).toBe(403)
  expect((await mia.ask('POST', '/api/account/close', { password: 'mysterious-mark rides far' })).status).toBe(200)
  expect(await whereStands(setting.mariadb.url, ...words)).toEqual([])
  expect(await userOf(mia)).toBeNull()
  expect((await neighbour.read(theirs)).body.trip.bench).toHaveLength(demoTrip().bench.length)
})

it('an account that is closed while devices are saving is closed, and nothing of it stays', async () => {
  for (let i = 0; i < 3; i++) {
    const name = `oskar-${i}`
    const oskar = await setting.person(name)
    const id = (await userOf(oskar)).id as string
    const trips = await Promise.all(Array.from({ length: 6 }, () => oskar.newTrip(demoTrip())))
    const devices = trips.map((trip) => ({ trip, device: oskar.copy() }))
    let isClosed = false
    const saving = devices.map(async ({ trip, device }) => {
      await device.read(trip)
      for (let n = 1; !isClosed; n++) {
        const { status } = await device.save(trip, { part: 'bench', base: n, value: demoTrip().bench })
        expect([200, 401, 404]).toContain(status)
        if (status !== 200) break
      }
    })
    await new Promise((later) => setTimeout(later, 300))
    const { status } = await oskar.ask('POST', '/api/account/close', { password: `${name} rides far` })
    isClosed = true
    await Promise.all(saving)
    expect(status).toBe(200)
    expect(await whereStands(setting.mariadb.url, id, ...trips)).toEqual([])
  }
})

it('the demo rider, who is everybody’s, stays as they are', async () => {
  const demo = new Person(setting)
  await demo.ask('POST', '/api/demo/session')
  const refused = async (method: string, path: string, body: object) =>
    expect((await demo.ask(method, path, body)).status, path).toBe(403)
  await refused('PATCH', '/api/account', { name: 'Mine now' })
  await refused('PUT', '/api/account/address', { email: 'x@quern.example', password: '' })
  await refused('PUT', '/api/account/password', { password: '', newPassword: 'mine from now on' })
  await refused('POST', '/api/account/close', { password: '' })
  // Nor does one visitor sign out all the others.
  await refused('DELETE', '/api/sessions', {})
  expect((await demo.ask('GET', '/api/account')).body).toMatchObject({ name: 'Maren', isShared: true })
})
