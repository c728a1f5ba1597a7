import { demoTrip } from '#catalogue/demo'
import type { Access } from '#core/access'
import { defined, nth } from '#core/validation'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { savesTogether } from '../../app/session/saves-together'
import { changeInWords, refusedInWords } from '../../app/session/words'
import { useTripSessions } from '../../app/stores/trip-sessions'
import { useTripStore } from '../../app/stores/trip'
import { FakeDevice, FakeServer, FakeTimers, FakeWindow, rest, smallTrip } from '../fake-world'

vi.mock('../../app/stores/trip-sessions', () => ({ useTripSessions: vi.fn() }))

let server: FakeServer
let timers: FakeTimers
let device: FakeDevice
let store: ReturnType<typeof useTripStore>
const { bikes, crew } = demoTrip()
const trip = { ...smallTrip('t'), bikes, crew }
const me = nth(trip.crew, 0)
const rider: Access = { role: 'rider', rider: me.id, people: 2 }
const reader: Access = { role: 'reader', rider: null, people: 2 }

async function openAs(access: Access) {
  defined(server.trips.get('t')).access = access
  const { sessions } = new FakeWindow(device, server, timers)
  vi.mocked(useTripSessions).mockResolvedValue(sessions)
  store = useTripStore()
  await store.open('t')
  await rest()
}
beforeEach(() => {
  server = new FakeServer()
  server.begin('t', trip)
  timers = new FakeTimers()
  device = new FakeDevice()
})
const calm = async () => {
  await timers.pass(5000)
  await rest()
}
const at = () => defined(server.trips.get('t')).trip
const dial = () => store.edit('dial', { dials: { ...store.openTrip.dials, gramsPerHour: 123 } })
const myHands = () =>
  store.edit('hands', {
    crew: store.openTrip.crew.map((each) => (each.id === me.id ? { ...each, hands: 3 as const } : each)),
  })

describe('a plan of somebody else’s', () => {
  it('is changed by a reader only in what is supposed, and that is not kept', async () => {
    await openAs(reader)
    dial()
    await calm()
    expect(store).toMatchObject({ isSupposing: true, isOtherwise: true, unsaved: 0, access: reader })
    expect(store.openTrip.dials.gramsPerHour).toBe(123)
    store.keep()
    await calm()
    expect(store.isSupposing).toBe(true)
    expect(at()).toEqual(trip)
    store.letGo()
    expect(store.trip).toEqual(trip)
    expect(server.saves).toEqual([])
  })
  it('is changed by a rider in what is theirs, at once', async () => {
    await openAs(rider)
    myHands()
    await calm()
    expect(store).toMatchObject({ isSupposing: false, unsaved: 0 })
    expect(nth(at().crew, 0).hands).toBe(3)
  })
  it('keeps of what a rider supposes nothing, until all of it is theirs', async () => {
    await openAs(rider)
    dial()
    myHands()
    expect(store.notTheirs.map(refusedInWords)).toEqual(['the assumptions: only the owner of the plan changes that'])
    store.keep()
    await calm()
    expect(at()).toEqual(trip)
    // The hands taken back, then the dial; then the hands alone.
    store.undo()
    store.undo()
    expect(store.notTheirs).toEqual([])
    myHands()
    store.keep()
    await calm()
    expect(at().dials).toEqual(trip.dials)
    expect(nth(at().crew, 0).hands).toBe(3)
  })
  it('has what a rider lays down as brought by them', async () => {
    await openAs(rider)
    const thing = { ...nth(trip.bench, 0), id: 'new', shed: null, broughtBy: null }
    store.edit('lay', { bench: [...store.openTrip.bench, thing] })
    await calm()
    expect(store.isSupposing).toBe(false)
    expect(at().bench.at(-1)).toEqual({ ...thing, broughtBy: me.id })
  })
  it('is known for what it is without the server, too', async () => {
    await openAs(reader)
    server.mood = 'unreachable'
    await openAs(reader)
    expect(store.access).toEqual(reader)
    dial()
    expect(store).toMatchObject({ isSupposing: true, unsaved: 0 })
  })
  it('is read only from the moment at which the server says so: by a look, or by what it refuses', async () => {
    await openAs(rider)
    defined(server.trips.get('t')).access = reader
    await store.catchUp()
    await rest()
    expect(store.access).toEqual(reader)
    defined(server.trips.get('t')).access = rider
    await store.catchUp()
    await rest()
    defined(server.trips.get('t')).access = reader
    server.mood = 'refuses'
    myHands()
    await calm()
    expect(store).toMatchObject({ access: reader, state: { kind: 'refused' } })
  })
  it('is left behind when another is opened', async () => {
    await openAs(reader)
    server.begin('u', smallTrip('u'))
    await store.open('u')
    await rest()
    expect(store.access.role).toBe('owner')
    dial()
    expect(store.isSupposing).toBe(false)
  })
})

describe('who changed what', () => {
  const line = (name: string, how: 'added' | 'removed' | 'changed', fields: string[] = []) => ({
    part: 'bench' as const,
    name,
    how,
    fields,
  })
  const save = (minutes: number, by: string, ...lines: ReturnType<typeof line>[]) => ({
    at: new Date(minutes * 60_000).toISOString(),
    by,
    lines,
    more: 0,
  })
  it('is one entry of what one person did in a while, each thing once', () => {
    const told = savesTogether([
      save(100, 'Maren', line('pump', 'changed', ['massG'])),
      save(90, 'Maren', line('pump', 'changed', ['count', 'massG']), line('boot', 'removed')),
      save(80, 'Maren', line('tube', 'added'), line('boot', 'changed', ['note'])),
      save(70, 'Ansel', line('wire', 'added')),
      save(50, 'Ansel', line('wire', 'changed', ['note'])),
    ])
    expect(told.map(({ by, lines }) => [by, lines.map(changeInWords)])).toEqual([
      ['Maren', ['bench · pump: mass, count', 'bench · boot: removed', 'bench · tube: added']],
      ['Ansel', ['bench · wire: added']],
      ['Ansel', ['bench · wire: note']],
    ])
  })
  it('of what was laid down and then changed says that it was laid down', () => {
    const told = savesTogether([
      save(2, 'Maren', line('pump', 'changed', ['massG'])),
      save(1, 'Maren', line('pump', 'added')),
    ])
    expect(told.flatMap(({ lines }) => lines.map(changeInWords))).toEqual(['bench · pump: added'])
  })
  it('counts what does not fit', () => {
    const many = (from: number) => Array.from({ length: 20 }, (_, i) => line(`thing ${from + i}`, 'added'))
    const [told] = savesTogether([save(2, 'Maren', ...many(0)), { ...save(1, 'Maren', ...many(20)), more: 3 }])
    expect(told).toMatchObject({ more: 23 })
    expect(told?.lines).toHaveLength(20)
  })
})
