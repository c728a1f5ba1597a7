import { mostChanges, mostOwned, ownedThingSchema, type OwnedThing } from '#core/shed'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { whereStands } from './all-tables'
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

const owned = (id: string, change: Partial<OwnedThing> = {}): OwnedThing =>
  ownedThingSchema.parse({ id, name: id, massG: 50, ...change })
const save = (person: Person, ...changes: { id: string; base: string; thing: object | null }[]) =>
  person.ask('PATCH', '/api/shed', { save: randomUUID(), changes })
const shedOf = async (person: Person) => (await person.ask('GET', '/api/shed')).body.things
const massesOf = async (person: Person) =>
  Object.fromEntries(
    (await shedOf(person)).map(({ id, thing }: { id: string; thing: OwnedThing }) => [id, thing.massG]),
  )

describe('a shed', () => {
  it('begins empty, is saved thing by thing, and is nobody else’s', async () => {
    expect(await shedOf(maren)).toEqual([])
    const first = await save(maren, { id: 'pump', base: '', thing: owned('pump') })
    expect(first.status).toBe(200)
    const { version } = first.body.things[0]
    expect(await shedOf(maren)).toEqual([{ id: 'pump', version, thing: owned('pump') }])
    expect(await shedOf(ansel)).toEqual([])
    // The same id in another shed is another thing.
    await save(ansel, { id: 'pump', base: '', thing: owned('pump', { massG: 7 }) })
    expect(await massesOf(maren)).toEqual({ pump: 50 })
    expect((await save(ansel, { id: 'pump', base: version, thing: null })).status).toBe(409)
    expect(await massesOf(maren)).toEqual({ pump: 50 })
  })
  it('is for nobody who is not signed in, nor for a page of somebody who was', async () => {
    const nobody = new Person(setting)
    expect((await nobody.ask('GET', '/api/shed')).status).toBe(401)
    expect((await save(nobody, { id: 'x', base: '', thing: owned('x') })).status).toBe(401)
    const asOther = { 'x-rag-tin-person': randomUUID() }
    expect((await maren.ask('GET', '/api/shed', undefined, asOther)).status).toBe(401)
  })
  it('is not overwritten unseen: what was saved since is answered, and nothing of the save is done', async () => {
    const una = await setting.person('una')
    const [made] = (await save(una, { id: 'a', base: '', thing: owned('a') })).body.things
    const next = await save(una, { id: 'a', base: made.version, thing: owned('a', { massG: 60 }) })
    const late = await save(
      una,
      { id: 'a', base: made.version, thing: owned('a', { massG: 70 }) },
      { id: 'b', base: '', thing: owned('b') },
    )
    expect(late.status).toBe(409)
    expect(late.body.data.stale).toEqual(next.body.things)
    expect(await massesOf(una)).toEqual({ a: 60 })
    // A thing that has gone, and come again, is another.
    const gone = await save(una, { id: 'a', base: next.body.things[0].version, thing: null })
    expect(gone.body.things).toEqual([{ id: 'a', version: '', thing: null }])
    await save(una, { id: 'a', base: '', thing: owned('a', { massG: 80 }) })
    expect((await save(una, { id: 'a', base: made.version, thing: owned('a', { massG: 90 }) })).status).toBe(409)
  })
  it('has a save that is offered again done once, whatever became of its answer', async () => {
    const otto = await setting.person('otto')
    const offer = () => save(otto, { id: 'a', base: '', thing: owned('a') })
    const first = await offer()
    expect((await offer()).body).toEqual(first.body)
    const out = () => save(otto, { id: 'a', base: first.body.things[0].version, thing: null })
    expect((await out()).status).toBe(200)
    expect((await out()).status).toBe(200)
    expect(await shedOf(otto)).toEqual([])
  })
  it('has one of two saves at the same time done, and the other told', async () => {
    const ida = await setting.person('ida')
    const statuses = await Promise.all(
      Array.from(
        { length: 6 },
        async (_, i) => (await save(ida, { id: 'a', base: '', thing: owned('a', { massG: 10 + i }) })).status,
      ),
    )
    expect(statuses.sort()).toEqual([200, 409, 409, 409, 409, 409])
  })

  it.each<[string, object | null, RegExp]>([
    ['a mass below nothing', { ...owned('x'), massG: -1 }, /changes\[0\]\.thing\.massG: -1; expected more than 0/],
    ['a price below nothing', { ...owned('x'), price: -1 }, /changes\[0\]\.thing\.price: -1; expected at least 0/],
    ['half a coin', { ...owned('x'), price: 0.5 }, /changes\[0\]\.thing\.price: 0\.5/],
    [
      'an enormous price',
      { ...owned('x'), price: 1e12 },
      /changes\[0\]\.thing\.price: 1000000000000; expected at most/,
    ],
    ['a day that is none', { ...owned('x'), opened: '2026-02-31' }, /changes\[0\]\.thing\.opened/],
    ['no name', { ...owned('x'), name: '' }, /changes\[0\]\.thing\.name/],
    ['another id', owned('y'), /changes\[0\]\.id: "x"; expected the id of the thing/],
  ])('refuses %s, and says where', async (_, thing, line) => {
    const answer = await save(maren, { id: 'x', base: '', thing })
    expect(answer.status).toBe(422)
    expect(answer.body.data.lines.join('\n')).toMatch(line)
    expect(await massesOf(maren)).not.toHaveProperty('x')
  })
  it('refuses a save that is none, one of too many things and one that is too long', async () => {
    expect((await maren.ask('PATCH', '/api/shed', { save: 'x', changes: [] })).status).toBe(422)
    expect((await maren.ask('PATCH', '/api/shed', '{')).status).toBe(400)
    const many = Array.from({ length: mostChanges + 1 }, (_, i) => ({ id: `m${i}`, base: '', thing: owned(`m${i}`) }))
    expect((await save(maren, ...many)).status).toBe(422)
    expect((await maren.ask('PATCH', '/api/shed', { save: randomUUID(), pad: 'x'.repeat(3_000_000) })).status).toBe(413)
  })
  it('holds so many things and not one more', { timeout: 120_000 }, async () => {
    const full = await setting.person('full')
    for (let from = 0; from < mostOwned; from += mostChanges) {
      const changes = Array.from({ length: mostChanges }, (_, i) => ({
        id: `t${from + i}`,
        base: '',
        thing: owned(`t${from + i}`),
      }))
      expect((await save(full, ...changes)).status).toBe(200)
    }
    const more = await save(full, { id: 'more', base: '', thing: owned('more') })
    expect(more.status).toBe(422)
    expect(more.body.data.lines).toEqual([
      `the shed: more than ${mostOwned} things; take some away first. Nothing of this was saved.`,
    ])
    expect(await shedOf(full)).toHaveLength(mostOwned)
  })
  it('keeps names to the very character: neither case nor accents nor blanks at the end make twins', async () => {
    const twin = await setting.person('twin')
    const ids = ['a', 'A', 'ä', 'a ']
    await save(twin, ...ids.map((id, i) => ({ id, base: '', thing: owned(id, { massG: i + 1 }) })))
    expect(await massesOf(twin)).toEqual({ a: 1, A: 2, ä: 3, 'a ': 4 })
  })
  it('goes with its account', async () => {
    const leaving = await setting.person('leaving')
    await save(leaving, { id: 'a', base: '', thing: owned('a', { name: 'An anvil of mine' }) })
    expect(await whereStands(setting.mariadb.url, 'An anvil of mine')).toHaveLength(1)
    await leaving.ask('POST', '/api/account/close', { password: 'leaving rides far' })
    expect(await whereStands(setting.mariadb.url, 'An anvil of mine')).toEqual([])
  })
})
