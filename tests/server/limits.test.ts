import { defined } from '#core/validation'
import { randomUUID } from 'node:crypto'
import { demoTrip } from '#catalogue/demo'
import { createConnection } from 'mysql2/promise'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Person, Setting } from './setting'

let setting: Setting
let maren: Person
beforeAll(async () => {
  setting = await Setting.start()
  maren = await setting.person('maren')
})
afterAll(() => setting?.stop())

describe('what the server sends with its pages', () => {
  it('keeps other sites and strange scripts out', async () => {
    const { headers } = await fetch(setting.app.address)
    const policy = defined(headers.get('content-security-policy'))
    expect(policy).toMatch(/script-src 'self' 'wasm-unsafe-eval' 'nonce-[^']+'/)
    expect(policy).not.toMatch(/script-src[^;]*'unsafe-inline'/)
    expect(policy).toContain("connect-src 'self'")
    expect(policy).toContain("object-src 'none'")
    expect(headers.get('x-content-type-options')).toBe('nosniff')
    expect(headers.get('x-frame-options')).toMatch(/SAMEORIGIN|DENY/)
    expect(headers.get('referrer-policy')).toBe('no-referrer')
  })

  it('is kept by nobody where it is private', async () => {
    const maren = await setting.person('private')
    const id = await maren.newTrip(demoTrip())
    for (const path of ['trips', `trips/${id}`, `trips/${id}/document`, 'session']) {
      const { headers } = await fetch(`${setting.app.address}/api/${path}`, { headers: { cookie: maren.cookies } })
      expect([path, headers.get('cache-control')]).toEqual([path, 'no-store'])
    }
  })

  it('seals the session in a cookie that scripts cannot read', async () => {
    const answer = await fetch(`${setting.app.address}/api/session`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ email: 'maren@quern.example', password: 'maren rides far' }),
    })
    const cookie = defined(answer.headers.get('set-cookie'))
    expect(cookie).toMatch(/HttpOnly/i)
    expect(cookie).toMatch(/SameSite=Lax/i)
    expect(cookie).not.toContain('maren')
  })

  it('a cookie that was tampered with opens nothing', async () => {
    const answer = await fetch(`${setting.app.address}/api/trips`, { headers: { cookie: 'rag-tin=Fe26.2**forged' } })
    expect(answer.status).toBe(401)
  })

  it('passwords are kept hashed with scrypt', async () => {
    const connection = await createConnection(setting.mariadb.url)
    const [rows] = await connection.query("SELECT password_hash FROM users WHERE email = 'maren@quern.example'")
    await connection.end()
    expect(JSON.stringify(rows)).toContain('scrypt')
    expect(JSON.stringify(rows)).not.toContain('rides far')
  })
})

describe('requests that make no sense', () => {
  it('are answered in words, and change nothing', async () => {
    const before = (await maren.ask('GET', '/api/trips')).body
    const json = { 'content-type': 'application/json' }
    const renamed = { part: 'name', base: { number: 1, save: '' }, value: 'x' }
    const cases: [string, string, unknown, number][] = [
      ['POST', '/api/trips', '{"format":', 422],
      ['POST', '/api/trips', [], 422],
      ['POST', '/api/trips', { ...demoTrip(), format: 'rag-tin.trip/99' }, 422],
      ['POST', '/api/account', {}, 422],
      ['PATCH', '/api/trips/no-such-trip', { changes: [] }, 422],
      ['PATCH', '/api/trips/no-such-trip', { save: randomUUID(), changes: [renamed] }, 404],
      ['GET', '/api/trips/%00', undefined, 404],
      ['GET', '/api/no-such-thing', undefined, 404],
    ]
    for (const [method, path, body, status] of cases) {
      const answer = await maren.ask(method, path, body, typeof body === 'string' ? json : {})
      expect([path, answer.status]).toEqual([path, status])
    }
    expect((await maren.ask('GET', '/api/trips')).body).toEqual(before)
  })
})
