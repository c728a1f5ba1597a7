import { demoTrip } from '#catalogue/demo'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { signInLimits } from '../../server/accounts/limits'
import { Person, Setting } from './setting'

let setting: Setting
beforeAll(async () => {
  // The tests stand in for a proxy: each says from where its requests come.
  setting = await Setting.start({ NUXT_TRUSTED_PROXIES: '127.0.0.1' })
})
afterAll(() => setting?.stop())

let addresses = 0
/** An address that nobody has come from yet. */
const anAddress = () => `203.0.113.${++addresses}`

const passwordOf = (name: string) => `${name} rides far`
function signIn(person: Person, name: string, from: string, password = passwordOf(name)): Promise<number> {
  const secret = { email: `${name}@quern.example`, password }
  return person.ask('POST', '/api/session', secret, { 'x-forwarded-for': from }).then(({ status }) => status)
}
const guess = (name: string, from: string) => signIn(new Person(setting), name, from, 'a wrong guess')

/** What each of many did, and how often. */
const tally = (statuses: readonly number[]): Partial<Record<number, number>> =>
  Object.fromEntries([...new Set(statuses)].sort().map((each) => [each, statuses.filter((s) => s === each).length]))

describe('guessing passwords', () => {
  it('comes to an end, and no sooner for many at the same time: of 500, six are looked at', async () => {
    await setting.person('tove')
    const from = anAddress()
    const statuses = await Promise.all(Array.from({ length: 500 }, () => guess('tove', from)))
    const { 401: looked = 0, 429: stopped = 0, 503: tooMany = 0, ...others } = tally(statuses)
    expect({ looked, turnedAway: stopped + tooMany, others }).toEqual({
      looked: signInLimits.fromOne,
      // Some of so many at the same time may be turned away before anybody counts them.
      turnedAway: 500 - signInLimits.fromOne,
      others: {},
    })
    // Not even with the right password from there, until the time is up.
    expect(await signIn(new Person(setting), 'tove', from)).toBe(429)
  })

  it('for many accounts from one address is stopped after thirty', async () => {
    const from = anAddress()
    const statuses: number[] = []
    for (let i = 0; i < 34; i++) statuses.push(await guess(`nobody-${i}`, from))
    expect(tally(statuses)).toEqual({ 401: signInLimits.perAddress, 429: 4 })
  })

  it('for one account from many addresses is stopped, too', async () => {
    await setting.person('ilse')
    const statuses: number[] = []
    for (let i = 0; i < 20; i++) {
      const from = anAddress()
      for (let n = 0; n < 6; n++) statuses.push(await guess('ilse', from))
    }
    expect(tally(statuses)).toEqual({ 401: signInLimits.perAccount, 429: 120 - signInLimits.perAccount })
  })

  it('locks out nobody who is somewhere else, nor a device that has been signed in before', async () => {
    const known = await setting.person('unn')
    const [attacker, elsewhere] = [anAddress(), anAddress()]
    for (let i = 0; i < 40; i++) await guess('unn', attacker)
    expect(await signIn(new Person(setting), 'unn', elsewhere)).toBe(200)
    await known.ask('DELETE', '/api/session')
    expect(await signIn(known, 'unn', attacker)).toBe(200)
    // Its own tries are counted, as everybody's.
    await known.ask('DELETE', '/api/session')
    const wrong: number[] = []
    for (let i = 0; i < 8; i++) wrong.push(await signIn(known, 'unn', attacker, 'forgotten'))
    expect(tally(wrong)).toEqual({ 401: 6, 429: 2 })
  })

  it('with a name of a device that was made up, or of another account, helps nobody', async () => {
    await setting.person('per')
    const other = await setting.person('ola')
    const from = anAddress()
    const statuses: number[] = []
    for (let i = 0; i < 9; i++) statuses.push(await signIn(other.copy(), 'per', from, 'a wrong guess'))
    expect(tally(statuses)).toEqual({ 401: 6, 429: 3 })
  })

  it('does not tell whether there is such an account', async () => {
    await setting.person('eik')
    const from = anAddress()
    const secret = (name: string) => ({ email: `${name}@quern.example`, password: 'a wrong guess' })
    const [known, unknown] = await Promise.all(
      ['eik', 'nobody'].map((name) =>
        new Person(setting).ask('POST', '/api/session', secret(name), { 'x-forwarded-for': from }),
      ),
    )
    expect(known?.status).toBe(401)
    expect(unknown?.status).toBe(known?.status)
    expect(unknown?.body.data).toEqual(known?.body.data)
  })

  it('is counted for a whole network of IPv6, and by what the nearest proxy says', async () => {
    const statuses: number[] = []
    for (let i = 0; i < 34; i++) statuses.push(await guess(`six-${i}`, `2001:db8:1:2::${i + 1}`))
    expect(tally(statuses)).toEqual({ 401: 30, 429: 4 })
    // What was said before the proxy that is trusted was said by whoever sent it.
    const spoofed: number[] = []
    const from = anAddress()
    for (let i = 0; i < 34; i++) spoofed.push(await guess(`spoof-${i}`, `198.51.100.${i}, ${from}`))
    expect(tally(spoofed)).toEqual({ 401: 30, 429: 4 })
  })
})

describe('where no proxy is trusted', () => {
  it('a request comes from where it comes from, whatever it says', async () => {
    const alone = await Setting.start()
    try {
      const statuses: number[] = []
      for (let i = 0; i < 34; i++) {
        const secret = { email: `nobody-${i}@quern.example`, password: 'a wrong guess' }
        const said = { 'x-forwarded-for': anAddress() }
        statuses.push((await new Person(alone).ask('POST', '/api/session', secret, said)).status)
      }
      expect(tally(statuses)).toEqual({ 401: 30, 429: 4 })
    } finally {
      await alone.stop()
    }
  })
})

describe('signing up', () => {
  it('of fifty at once stops nobody, and is bounded for an address', async () => {
    const narrow = await Setting.start({ NUXT_SIGN_UPS_PER_HOUR: '20' })
    try {
      const maren = await narrow.person('maren')
      const signUps = Promise.all(
        Array.from({ length: 50 }, (_, i) => {
          const account = { name: `${i}`, email: `crowd-${i}@quern.example`, password: 'one of a crowd' }
          return new Person(narrow).ask('POST', '/api/account', account)
        }),
      )
      expect((await maren.ask('POST', '/api/trips', demoTrip())).status).toBe(201)
      expect(tally((await signUps).map(({ status }) => status))).toEqual({ 201: 19, 429: 31 })
    } finally {
      await narrow.stop()
    }
  })

  it('of more than can be hashed is put off for some', async () => {
    const statuses = await Promise.all(
      Array.from({ length: 120 }, async (_, i) => {
        const account = { name: `${i}`, email: `many-${i}@quern.example`, password: 'one of very many' }
        return (await new Person(setting).ask('POST', '/api/account', account)).status
      }),
    )
    const { 201: done = 0, 503: putOff = 0 } = tally(statuses)
    expect(done + putOff).toBe(120)
    expect(done).toBeGreaterThanOrEqual(40)
    expect(putOff).toBeGreaterThan(0)
  })
})

describe('a session', () => {
  const looks = async (person: Person) => (await person.ask('GET', '/api/trips')).status
  const who = async (person: Person) => (await person.ask('GET', '/api/session')).body.user?.name ?? null

  it('that was signed out opens nothing, not even with a copy of its cookie', async () => {
    const person = await setting.person('siv')
    const copy = person.copy()
    expect([await looks(copy), await who(copy)]).toEqual([200, 'siv'])
    await person.ask('DELETE', '/api/session')
    expect([await looks(copy), await who(copy)]).toEqual([401, null])
    expect((await copy.ask('GET', '/api/_auth/session')).status).toBe(401)
    expect((await copy.ask('POST', '/api/trips', demoTrip())).status).toBe(401)
  })

  it('on another device goes on when one is signed out, and ends when all are', async () => {
    const first = await setting.person('arve')
    const other = new Person(setting)
    await signIn(other, 'arve', anAddress())
    await first.ask('DELETE', '/api/session')
    expect([await looks(first), await looks(other)]).toEqual([401, 200])
    await signIn(first, 'arve', anAddress())
    const copies = [first.copy(), other.copy()]
    expect((await other.ask('DELETE', '/api/sessions')).status).toBe(200)
    for (const device of [first, other, ...copies]) expect(await looks(device)).toBe(401)
    // Of nobody else.
    const bystander = await setting.person('bodil')
    expect(await looks(bystander)).toBe(200)
  })

  it('of data that are gone opens nothing in fresh ones, though the server has kept its key', async () => {
    const key = { NUXT_SESSION_PASSWORD: 'the very same key, in both of them' }
    const [old, fresh] = [await Setting.start(key), await Setting.start(key)]
    try {
      const { cookies } = await old.person('liv')
      expect((await new Person(old).ask('GET', '/api/trips', undefined, { cookie: cookies })).status).toBe(200)
      expect((await new Person(fresh).ask('GET', '/api/trips', undefined, { cookie: cookies })).status).toBe(401)
    } finally {
      await old.stop()
      await fresh.stop()
    }
  })
})
