import { ownedThingSchema, type OwnedThing, type SavedThing, type ShedChange } from '#core/shed'
import fc from 'fast-check'
import equal from 'fast-deep-equal'
import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it } from 'vitest'
import { deviceShed, memoryShed, type ShedDevice } from '../../../app/session/shed-device'
import { merged, settled } from '../../../app/session/shed-merge'
import type { ShedSaved, ShedServer } from '../../../app/session/shed-server'
import { ShedSession } from '../../../app/session/shed-session'
import { TaskQueue } from '../../../app/session/task-queue'
import { drain, FakeTimers } from '../../fake-world'

const owned = (id: string, change: Partial<OwnedThing> = {}): OwnedThing =>
  ownedThingSchema.parse({ id, name: id, massG: 50, ...change })

/** A server that keeps a shed by the rules of the real one. */
class FakeShed implements ShedServer {
  readonly kept = new Map<string, SavedThing>()
  mood: 'well' | 'away' | 'answer lost' | 'signed out' | 'refuses' = 'well'
  saves = 0

  load() {
    if (this.mood === 'away') return Promise.resolve({ kind: 'away' as const, lines: ['away'] })
    if (this.mood === 'signed out') return Promise.resolve({ kind: 'signed out' as const })
    return Promise.resolve({ kind: 'loaded' as const, things: [...this.kept.values()] })
  }

  save(save: string, changes: readonly ShedChange[]): Promise<ShedSaved> {
    if (this.mood === 'away') return Promise.resolve({ kind: 'away', lines: ['away'] })
    if (this.mood === 'signed out') return Promise.resolve({ kind: 'signed out' })
    if (this.mood === 'refuses') return Promise.resolve({ kind: 'refused', lines: ['too full'] })
    this.saves++
    const standing = (id: string): SavedThing => this.kept.get(id) ?? { id, version: '', thing: null }
    const open = changes.filter(({ id, thing }) => !equal(standing(id).thing, thing))
    const stale = open.filter(({ id, base }) => standing(id).version !== base)
    if (stale.length > 0) return Promise.resolve({ kind: 'stale', stale: stale.map(({ id }) => standing(id)) })
    for (const { id, thing } of open) {
      if (thing === null) this.kept.delete(id)
      else this.kept.set(id, { id, version: save, thing })
    }
    if (this.mood === 'answer lost') return Promise.resolve({ kind: 'away', lines: ['no answer'] })
    return Promise.resolve({ kind: 'saved', things: changes.map(({ id }) => standing(id)) })
  }

  masses(): Record<string, number> {
    return Object.fromEntries([...this.kept.values()].flatMap(({ id, thing }) => (thing ? [[id, thing.massG]] : [])))
  }
}

let ids = 0
let bases = 0
/** A device of one person: windows that share what it holds. */
function device(server: ShedServer | undefined, timers: FakeTimers, kept: ShedDevice = memoryShed()) {
  const windows: ShedSession[] = []
  const lock = new TaskQueue()
  return {
    window(): ShedSession {
      const session: ShedSession = new ShedSession({
        device: kept,
        server,
        timers,
        newId: () => `save-${++ids}`,
        tell: () => {
          for (const other of windows) if (other !== session) void other.look()
        },
        alone: (work) => lock.add(work),
      })
      windows.push(session)
      return session
    },
  }
}
const put = (session: ShedSession, ...things: OwnedThing[]) =>
  session.edit('put', new Map(things.map((thing) => [thing.id, thing])))
const massesIn = (session: ShedSession) => Object.fromEntries(session.things.map(({ id, massG }) => [id, massG]))
const get = (session: ShedSession, id: string): OwnedThing =>
  session.things.find((thing) => thing.id === id) ?? owned(id)

let server: FakeShed
let timers: FakeTimers
beforeEach(() => {
  server = new FakeShed()
  timers = new FakeTimers()
})

describe('a shed', () => {
  it('is on the device at once and on the server when things are calm', async () => {
    const session = device(server, timers).window()
    await session.open()
    await put(session, owned('pump'))
    expect(massesIn(session)).toEqual({ pump: 50 })
    expect(session.state.kind).toBe('dirty')
    expect(server.masses()).toEqual({})
    await timers.pass(500)
    expect(server.masses()).toEqual({ pump: 50 })
    expect(session.state.kind).toBe('clean')
  })
  it('lies on the device alone without an account', async () => {
    const kept = deviceShed('nobody', `shed-${++bases}`)
    const session = device(undefined, timers, kept).window()
    await session.open()
    await put(session, owned('pump'))
    expect(session.unsaved).toBe(0)
    const later = device(undefined, timers, kept).window()
    await later.open()
    expect(massesIn(later)).toEqual({ pump: 50 })
  })
  it('outlives its window: what was not brought is brought by the next', async () => {
    const kept = deviceShed('maren', `shed-${++bases}`)
    server.mood = 'away'
    const session = device(server, timers, kept).window()
    await session.open()
    await put(session, owned('pump'), owned('tube', { massG: 100 }))
    expect(session.state).toEqual({ kind: 'offline', lines: ['away'] })
    session.end()
    server.mood = 'well'
    const next = device(server, timers, kept).window()
    await next.open()
    expect(server.masses()).toEqual({ pump: 50, tube: 100 })
    expect(next.state.kind).toBe('clean')
  })
  it('is another for another person on the same device, and nothing stays when one signs out', async () => {
    const name = `shed-${++bases}`
    const mine = deviceShed('maren', name)
    await put(device(undefined, timers, mine).window(), owned('pump'))
    expect(await deviceShed('ansel', name).read()).toEqual([])
    await mine.wipe()
    expect(await mine.read()).toEqual([])
  })
  it('comes back by itself from a server that was away, and from an answer that was lost', async () => {
    const session = device(server, timers).window()
    await session.open()
    server.mood = 'answer lost'
    await put(session, owned('pump'))
    await timers.pass(500)
    expect(session.state.kind).toBe('offline')
    server.mood = 'well'
    await timers.pass(10_000)
    expect(session.state.kind).toBe('clean')
    expect(server.masses()).toEqual({ pump: 50 })
  })
  it('says what is refused, keeps it, and brings it once it is taken', async () => {
    const session = device(server, timers).window()
    await session.open()
    server.mood = 'refuses'
    await put(session, owned('pump'))
    await timers.pass(500)
    expect(session.state).toEqual({ kind: 'refused', lines: ['too full'] })
    expect(massesIn(session)).toEqual({ pump: 50 })
    server.mood = 'well'
    await session.tryAgain()
    expect(server.masses()).toEqual({ pump: 50 })
  })
  it('says that the sign-in has ended, and loses nothing', async () => {
    const session = device(server, timers).window()
    await session.open()
    server.mood = 'signed out'
    await put(session, owned('pump'))
    await timers.pass(500)
    expect(session.state.kind).toBe('signed out')
    expect(session.unsaved).toBe(1)
  })
  it('brings many things in several saves, all of them', async () => {
    const session = device(server, timers).window()
    await session.open()
    await put(session, ...Array.from({ length: 250 }, (_, i) => owned(`t${i}`)))
    await timers.pass(500)
    expect(server.kept.size).toBe(250)
    expect(server.saves).toBe(3)
  })
  it('takes edits back and does them again, step by step', async () => {
    const session = device(server, timers).window()
    await session.open()
    await put(session, owned('pump'))
    await put(session, { ...get(session, 'pump'), massG: 97 }, owned('tube'))
    await session.edit('take the pump out', new Map([['pump', null]]))
    expect(massesIn(session)).toEqual({ tube: 50 })
    expect(session.undoLabel).toBe('take the pump out')
    await session.undo()
    expect(massesIn(session)).toEqual({ pump: 97, tube: 50 })
    await session.undo()
    expect(massesIn(session)).toEqual({ pump: 50 })
    await session.redo()
    await session.redo()
    expect(massesIn(session)).toEqual({ tube: 50 })
    expect(session.redoLabel).toBeUndefined()
    await session.undo()
    await timers.pass(500)
    expect(server.masses()).toEqual({ pump: 97, tube: 50 })
  })
})

describe('two windows on one shed', () => {
  it('show the same, and what one changes of a thing stays when the other changes something else of it', async () => {
    const here = device(server, timers)
    const [a, b] = [here.window(), here.window()]
    await Promise.all([a.open(), b.open()])
    await put(a, owned('pump'))
    await drain()
    await put(b, { ...get(b, 'pump'), massG: 97 })
    // The first window has not looked yet: its edit is of the name alone.
    await put(a, { ...get(a, 'pump'), name: 'Old pump' })
    await timers.pass(500)
    await a.look()
    expect(server.kept.get('pump')?.thing).toMatchObject({ massG: 97, name: 'Old pump' })
    expect(a.things).toEqual(b.things)
  })
})

describe('two devices', () => {
  async function two() {
    const [a, b] = [device(server, timers).window(), device(server, timers).window()]
    await a.open()
    await put(a, owned('pump'), owned('tube'))
    await timers.pass(500)
    await b.open()
    return { a, b }
  }
  it('see what the other has saved, changed and taken away', async () => {
    const { a, b } = await two()
    expect(massesIn(b)).toEqual({ pump: 50, tube: 50 })
    await b.edit('out', new Map([['tube', null]]))
    await put(b, { ...get(b, 'pump'), massG: 97 })
    await timers.pass(500)
    await a.catchUp()
    expect(massesIn(a)).toEqual({ pump: 97 })
  })
  it('merge what they have changed of the same thing, each something else', async () => {
    const { a, b } = await two()
    await put(a, { ...get(a, 'pump'), massG: 97 })
    await put(b, { ...get(b, 'pump'), note: 'squeaks' })
    await timers.pass(500)
    await a.catchUp()
    expect(server.kept.get('pump')?.thing).toMatchObject({ massG: 97, note: 'squeaks' })
    expect(get(a, 'pump')).toEqual(get(b, 'pump'))
    expect([...a.conflicts, ...b.conflicts]).toEqual([])
  })
  it('overwrite nothing unseen: the same changed on both is asked about, and settled either way', async () => {
    for (const side of ['here', 'there'] as const) {
      server = new FakeShed()
      timers = new FakeTimers()
      const { a, b } = await two()
      server.mood = 'away'
      await put(b, { ...get(b, 'pump'), massG: 98, count: 2 })
      server.mood = 'well'
      await put(a, { ...get(a, 'pump'), massG: 97 })
      await a.bring()
      await b.catchUp()
      // It stays unsettled however long nobody looks, and whatever is edited beside it.
      await b.bring()
      await put(b, { ...get(b, 'pump'), note: 'squeaks' })
      await b.catchUp()
      expect(b.conflicts).toMatchObject([{ id: 'pump', fields: ['massG'], here: { massG: 98 }, there: { massG: 97 } }])
      expect(server.masses()['pump']).toBe(97)
      await b.settle('pump', side)
      expect(server.kept.get('pump')?.thing).toMatchObject({
        massG: side === 'here' ? 98 : 97,
        count: 2,
        note: 'squeaks',
      })
      expect(b.conflicts).toEqual([])
      await a.catchUp()
      expect(get(a, 'pump')).toEqual(get(b, 'pump'))
    }
  })
  it('find a conflict again that nobody has settled before the window was closed', async () => {
    const kept = deviceShed('both', `shed-${++bases}`)
    const { a } = await two()
    const b = device(server, timers, kept).window()
    await b.open()
    server.mood = 'away'
    await put(b, { ...get(b, 'pump'), massG: 98 })
    server.mood = 'well'
    await put(a, { ...get(a, 'pump'), massG: 97 })
    await a.bring()
    await b.catchUp()
    expect(b.conflicts).toHaveLength(1)
    b.end()
    const next = device(server, timers, kept).window()
    await next.open()
    expect(next.conflicts).toMatchObject([{ id: 'pump', here: { massG: 98 }, there: { massG: 97 } }])
    expect(server.masses()['pump']).toBe(97)
    await next.settle('pump', 'here')
    expect(server.masses()['pump']).toBe(98)
  })
  it('keep a thing that one has taken away and the other has changed', async () => {
    const { a, b } = await two()
    await b.edit('out', new Map([['pump', null]]))
    await put(a, { ...get(a, 'pump'), massG: 97 })
    await timers.pass(500)
    for (const each of [a, b]) await each.catchUp()
    expect(massesIn(a)).toEqual({ pump: 97, tube: 50 })
    expect(massesIn(b)).toEqual(massesIn(a))
  })
})

describe('rows that are merged', () => {
  const thing = fc
    .record({
      massG: fc.integer({ min: 1, max: 3 }),
      count: fc.integer({ min: 1, max: 3 }),
      name: fc.constantFrom('a', 'b'),
    })
    .map((change) => owned('x', change))
  const maybe = fc.option(thing, { freq: 4 })
  it('keep every change that the other side does not speak of, and never lose a thing that somebody has changed', () => {
    fc.assert(
      fc.property(maybe, maybe, maybe, (saved, here, there) => {
        const row = { id: 'x', saved, version: saved ? 'v1' : '', thing: here }
        const { row: next, conflict } = merged(row, { version: there ? 'v2' : '', thing: there })
        if (conflict) {
          expect(next).toBe(row)
          for (const side of ['here', 'there'] as const) {
            const chosen = settled(row, conflict, side)
            expect(chosen.saved).toEqual(there)
            for (const field of conflict.fields)
              expect(chosen.thing?.[field]).toBe((side === 'here' ? here : there)?.[field])
          }
          return
        }
        expect(next.saved).toEqual(there)
        if (equal(here, saved)) expect(next.thing).toEqual(there)
        else if (here) expect(next.thing).not.toBeNull()
        if (here && there && saved) {
          for (const field of ['massG', 'count', 'name'] as const) {
            const mine = here[field] === saved[field] ? there[field] : here[field]
            expect(next.thing?.[field]).toBe(mine)
          }
        }
      }),
    )
  })
})
