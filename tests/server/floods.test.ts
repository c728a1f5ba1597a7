import { readFileSync } from 'node:fs'
import { request } from 'node:http'
import { gzipSync } from 'node:zlib'
import { demoTrip } from '#catalogue/demo'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { expectNoLongWait, neighbourWaits } from './neighbour'
import { Person, Setting } from './setting'

let setting: Setting
let maren: Person
beforeAll(async () => {
  setting = await Setting.start()
  maren = await setting.person('maren')
})
afterAll(() => setting?.stop())

/** Memory of the app server, MB. */
const memory = () =>
  Number(/VmRSS:\s+(\d+) kB/.exec(readFileSync(`/proc/${setting.app.child.pid}/status`, 'utf8'))?.[1]) / 1024

interface Flood {
  readonly method: string
  readonly path: string
  readonly headers?: Record<string, string>
  /** Sent again and again, until the server has had so many bytes or answers and hangs up. */
  readonly piece: Buffer
  readonly bytes: number
}

/** Sends a flood as fast as it is taken. @returns what the server answers */
function flood({ method, path, headers, piece, bytes }: Flood): Promise<number> {
  return new Promise((resolve, reject) => {
    let status = 0
    const sending = request(`${setting.app.address}${path}`, {
      method,
      headers: { 'content-type': 'application/json', cookie: maren.cookies, ...headers },
    })
    sending.once('response', (answer) => {
      status = answer.statusCode ?? 0
      answer.resume()
      answer.once('end', () => resolve(status))
    })
    // Whoever goes on sending after the answer may be cut off.
    sending.once('error', (error) => (status ? resolve(status) : reject(error)))
    let sent = 0
    const send = () => {
      while (sent < bytes && status === 0 && !sending.destroyed) {
        sent += piece.length
        if (!sending.write(piece)) return sending.once('drain', send)
      }
      return sending.end()
    }
    send()
  })
}

const megabytes = 1_000_000
const letters = Buffer.from(`"${'<x '.repeat(40_000)}"`)

describe('a flood', () => {
  it.each<[string, Flood, number]>([
    [
      'of a long string at the door',
      {
        method: 'POST',
        path: '/api/session',
        headers: { cookie: '', 'content-length': `${200 * megabytes}` },
        piece: letters,
        bytes: 200 * megabytes,
      },
      413,
    ],
    [
      'in chunks at the door',
      { method: 'POST', path: '/api/account', headers: { cookie: '' }, piece: letters, bytes: 200 * megabytes },
      413,
    ],
    [
      'in chunks where nobody is signed in',
      { method: 'POST', path: '/api/trips', headers: { cookie: '' }, piece: letters, bytes: 200 * megabytes },
      401,
    ],
    ['in chunks, as a trip', { method: 'POST', path: '/api/trips', piece: letters, bytes: 200 * megabytes }, 413],
    ['in chunks, as a save', { method: 'PATCH', path: '/api/trips/any', piece: letters, bytes: 200 * megabytes }, 413],
    ['where there is nothing', { method: 'PUT', path: '/api/nothing', piece: letters, bytes: 200 * megabytes }, 404],
  ])('%s is turned away, and neighbours do not wait', async (_, what, expected) => {
    const before = memory()
    const flooding = flood(what)
    const waited = await neighbourWaits(setting, maren, flooding)
    expect(await flooding).toBe(expected)
    expectNoLongWait(waited)
    expect(memory() - before).toBeLessThan(120)
  })

  it('that is packed small is not unpacked', async () => {
    const piece = gzipSync(Buffer.alloc(100 * megabytes, 'a'))
    const headers = { 'content-encoding': 'gzip' }
    expect(await flood({ method: 'POST', path: '/api/trips', headers, piece, bytes: 1 })).toBe(415)
    expect(await flood({ method: 'POST', path: '/api/session', headers, piece, bytes: 1 })).toBe(415)
  })

  it('that says it is short is counted all the same', async () => {
    const status = await flood({ method: 'POST', path: '/api/session', piece: letters, bytes: 10 * megabytes })
    expect(status).toBe(413)
  })
})

describe('honest text with signs in it', () => {
  const signs = 'A -> B <3 & "C" </script> <b>bold</b> ${x} %00 \\ — 5 < 6'

  it('is a trip’s name and its notes, and the trip’s own document can be sent again', async () => {
    const trip = demoTrip()
    const noted = { ...trip, name: signs, stops: trip.stops.map((stop) => ({ ...stop, note: signs })) }
    const id = await maren.newTrip(noted)
    const { body } = await maren.ask('GET', `/api/trips/${id}/document`)
    expect(body).toMatchObject({ name: signs, stops: noted.stops })
    const again = await maren.ask('POST', '/api/trips', body)
    expect(again.status).toBe(201)
    expect((await maren.ask('GET', `/api/trips/${again.body.id}/document`)).body).toEqual(body)
  })

  it('is a name and a password', async () => {
    const account = { name: signs, email: 'signs@quern.example', password: signs }
    expect((await new Person(setting).ask('POST', '/api/account', account)).status).toBe(201)
    expect((await new Person(setting).ask('POST', '/api/session', account)).status).toBe(200)
  })
})

describe('an answer to bad input', () => {
  it('says what is wrong, and repeats neither password nor address', async () => {
    const secret = 'tin7'
    for (const body of [
      { name: 'x', email: 'maren-at-quern', password: secret },
      { name: '', email: 'maren@quern.example', password: [secret] },
      [secret],
      secret,
    ]) {
      for (const path of ['/api/account', '/api/session']) {
        const answer = await new Person(setting).ask('POST', path, JSON.stringify(body), {
          'content-type': 'application/json',
        })
        expect(answer.status).toBeGreaterThanOrEqual(400)
        expect(JSON.stringify(answer.body)).not.toContain(secret)
        expect(JSON.stringify(answer.body)).not.toContain('maren')
      }
    }
  })

  it('tells the first twenty faults and how many more there are', async () => {
    const bench = demoTrip().bench.map((thing) => ({ ...thing, provides: ['a', 'b', 'c'] }))
    const answer = await maren.ask('POST', '/api/trips', { ...demoTrip(), bench })
    expect(answer.status).toBe(422)
    expect(answer.body.data.lines).toHaveLength(21)
    expect(answer.body.data.lines[20]).toBe(`and ${bench.length * 3 - 20} more`)
  })
})
