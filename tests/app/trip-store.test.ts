import { defined, nth } from '#core/validation'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { reactive } from 'vue'
import { useTripSessions } from '../../app/stores/trip-sessions'
import { useTripStore } from '../../app/stores/trip'
import { FakeDevice, FakeServer, FakeTimers, FakeWindow, rest, smallTrip } from '../fake-world'

vi.mock('../../app/stores/trip-sessions', () => ({ useTripSessions: vi.fn() }))

let server: FakeServer
let timers: FakeTimers
let device: FakeDevice
let store: ReturnType<typeof useTripStore>
beforeEach(() => {
  server = new FakeServer()
  for (const id of ['t', 'u']) server.begin(id, smallTrip(id))
  timers = new FakeTimers()
  device = new FakeDevice()
  const { sessions } = new FakeWindow(device, server, timers)
  vi.mocked(useTripSessions).mockResolvedValue(sessions)
  store = useTripStore()
})

const dial = (gramsPerHour: number) => store.edit('dial', { dials: { ...defined(store.trip).dials, gramsPerHour } })
const at = (id: string) => defined(server.trips.get(id)).trip

describe('the open trip', () => {
  it('is mirrored from its session, with how it stands', async () => {
    expect((await store.open('t')).kind).toBe('opened')
    dial(100)
    expect(store).toMatchObject({ id: 't', undoLabel: 'dial', redoLabel: undefined, unsaved: 1 })
    expect(store.state.kind).toBe('dirty')
    await timers.pass(500)
    expect(store).toMatchObject({ state: { kind: 'clean' }, unsaved: 0 })
    store.undo()
    expect(store.redoLabel).toBe('dial')
  })

  it('stays until the next one is there: nothing that looks at it finds nothing', async () => {
    await store.open('t')
    const opening = store.open('u')
    expect(defined(store.trip).name).toBe('t')
    await opening
    expect(store).toMatchObject({ id: 'u', trip: { name: 'u' } })
  })

  it('that is left at once loses nothing, and the next one gets nothing of it', async () => {
    await store.open('t')
    dial(100)
    await store.open('u')
    await rest()
    expect(at('t').dials.gramsPerHour).toBe(100)
    expect(at('u').dials).toEqual(smallTrip('u').dials)
  })

  it('of two that are asked for is the later, however fast each comes', async () => {
    let letIn: () => void = () => undefined
    const { load } = server
    server.load = async (id) => {
      if (id === 't') await new Promise<void>((go) => (letIn = go))
      return load.call(server, id)
    }
    const slow = store.open('t')
    await store.open('u')
    letIn()
    await slow
    expect(store.id).toBe('u')
  })

  it('can be left without another', async () => {
    await store.open('t')
    dial(100)
    await store.leave('t')
    expect(store.trip).toBeUndefined()
    expect(at('t').dials.gramsPerHour).toBe(100)
  })

  it('is not closed by a page of another trip that goes late', async () => {
    await store.open('t')
    await store.open('u')
    await store.leave('t')
    expect(store.id).toBe('u')
  })

  it('that cannot be opened leaves the one that is', async () => {
    await store.open('t')
    expect((await store.open('nowhere')).kind).toBe('gone')
    expect(store.id).toBe('t')
  })
})

describe('an edit that takes a while', () => {
  it('goes to the trip it was begun for', async () => {
    await store.open('t')
    const edit = store.editLater()
    edit('later', { name: 'Later' })
    expect(defined(store.trip).name).toBe('Later')
  })

  it('goes nowhere once another trip is open', async () => {
    await store.open('t')
    const edit = store.editLater()
    await store.open('u')
    edit('later', { name: 'Later' })
    expect(defined(store.trip).name).toBe('u')
    await timers.pass(1000)
    expect([at('t').name, at('u').name]).toEqual(['t', 'u'])
  })
})

it('what forms hand over is plain when it is kept, and what did not change stays the very same', async () => {
  await store.open('t')
  const { bench } = defined(store.trip)
  const kept: unknown[] = []
  const { append } = device.outbox
  device.outbox.append = (trip, step) => {
    // A browser's database refuses what it cannot copy.
    kept.push(structuredClone(step))
    return append.call(device.outbox, trip, step)
  }
  const form = reactive({ thing: { ...nth(bench, 0), units: { patch: 6 } } })
  store.edit('change', { bench: [form.thing, ...bench.slice(1)] })
  await rest()
  expect(kept).toHaveLength(1)
  expect(defined(store.trip).bench[0]).toMatchObject({ units: { patch: 6 } })
  expect(defined(store.trip).bench[1]).toBe(bench[1])
})

it('what is looked at on the server is there first', async () => {
  await store.open('t')
  dial(100)
  await store.flush()
  expect(at('t').dials.gramsPerHour).toBe(100)
  server.mood = 'unreachable'
  dial(200)
  await expect(store.flush()).rejects.toThrow(/not saved yet/)
})
