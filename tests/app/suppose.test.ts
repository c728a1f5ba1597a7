import { defined } from '#core/validation'
import fc from 'fast-check'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { useTripSessions } from '../../app/stores/trip-sessions'
import { useTripStore } from '../../app/stores/trip'
import { FakeDevice, FakeServer, FakeTimers, FakeWindow, rest, smallTrip } from '../fake-world'

vi.mock('../../app/stores/trip-sessions', () => ({ useTripSessions: vi.fn() }))

let server: FakeServer
let timers: FakeTimers
let device: FakeDevice
let store: ReturnType<typeof useTripStore>
beforeEach(async () => {
  server = new FakeServer()
  for (const id of ['t', 'u']) server.begin(id, smallTrip(id))
  timers = new FakeTimers()
  device = new FakeDevice()
  const { sessions } = new FakeWindow(device, server, timers)
  vi.mocked(useTripSessions).mockResolvedValue(sessions)
  store = useTripStore()
  await store.open('t')
})

const dials = () => defined(store.trip).dials
const dial = (gramsPerHour: number) => store.edit('dial', { dials: { ...dials(), gramsPerHour } })
const trust = (share: number) => store.edit('trust', { dials: { ...dials(), trust: share } })
const at = (id: string) => defined(server.trips.get(id)).trip
const calm = async () => {
  await timers.pass(5000)
  await rest()
}

describe('what is supposed', () => {
  it('is shown, and saved neither on the server nor on the device', async () => {
    const kept = JSON.stringify(at('t'))
    store.suppose()
    expect(store).toMatchObject({ isSupposing: true, isOtherwise: false })
    dial(100)
    trust(0.9)
    await calm()
    expect(dials()).toMatchObject({ gramsPerHour: 100, trust: 0.9 })
    expect(store).toMatchObject({ isOtherwise: true, unsaved: 0, state: { kind: 'clean' } })
    expect(JSON.stringify(at('t'))).toBe(kept)
    const { sessions } = new FakeWindow(device, server, timers)
    const { session } = await sessions.open('t')
    expect(JSON.stringify(session.document)).toBe(kept)
  })
  it('leaves the document byte for byte as it was, whatever was supposed, once it is let go', () => {
    const before = JSON.stringify(store.trip)
    fc.assert(
      fc.property(
        fc.array(
          fc.oneof(
            fc.record({ what: fc.constant('dial'), value: fc.integer({ min: 1, max: 2000 }) }),
            fc.record({ what: fc.constant('trust'), value: fc.integer({ min: 0, max: 100 }) }),
            fc.record({ what: fc.constantFrom('undo', 'redo'), value: fc.constant(0) }),
          ),
          { maxLength: 12 },
        ),
        (steps) => {
          store.suppose()
          for (const { what, value } of steps) {
            if (what === 'dial') dial(value)
            else if (what === 'trust') trust(value / 100)
            else if (what === 'undo') store.undo()
            else store.redo()
          }
          store.letGo()
          expect(JSON.stringify(store.trip)).toBe(before)
          expect(store).toMatchObject({ isSupposing: false, isOtherwise: false, unsaved: 0, undoLabel: undefined })
        },
      ),
    )
  })
  it('becomes the plan as one step when it is kept, and that step is taken back at once', async () => {
    const before = JSON.stringify(store.trip)
    store.suppose()
    dial(100)
    trust(0.9)
    store.keep()
    expect(store).toMatchObject({ isSupposing: false, undoLabel: 'keep what was supposed' })
    await calm()
    expect(at('t').dials).toMatchObject({ gramsPerHour: 100, trust: 0.9 })
    store.undo()
    expect(JSON.stringify(store.trip)).toBe(before)
  })
  it('has a history of its own: the steps before it come back when it is let go', () => {
    dial(50)
    store.suppose()
    expect(store.undoLabel).toBeUndefined()
    dial(100)
    trust(0.9)
    store.undo()
    expect(dials()).toMatchObject({ gramsPerHour: 100 })
    expect(store).toMatchObject({ undoLabel: 'dial', redoLabel: 'trust' })
    store.redo()
    expect(dials().trust).toBe(0.9)
    store.letGo()
    expect(store.undoLabel).toBe('dial')
    expect(dials().gramsPerHour).toBe(50)
  })
  it('is nothing any more when it has been taken back', () => {
    store.suppose()
    dial(100)
    store.undo()
    expect(store).toMatchObject({ isSupposing: true, isOtherwise: false })
    store.keep()
    expect(store).toMatchObject({ unsaved: 0, undoLabel: undefined })
  })
  it('is supposed of what others make of the plan meanwhile', async () => {
    store.suppose()
    dial(100)
    const base = defined(defined(server.trips.get('t')).revisions.name)
    await server.save('t', 'theirs', [{ part: 'name', base, value: 'renamed elsewhere' }])
    await store.catchUp()
    await rest()
    expect(store.trip).toMatchObject({ name: 'renamed elsewhere', dials: { gramsPerHour: 100 } })
    store.keep()
    await calm()
    expect(at('t')).toMatchObject({ name: 'renamed elsewhere', dials: { gramsPerHour: 100 } })
  })
  it('ends with the trip: the next one is as it is', async () => {
    store.suppose()
    dial(100)
    await store.open('u')
    expect(store).toMatchObject({ isSupposing: false, isOtherwise: false })
    expect(defined(store.trip).dials).toEqual(smallTrip('u').dials)
    await store.open('t')
    expect(dials()).toEqual(smallTrip('t').dials)
  })
  it('is begun once, and not without a trip', async () => {
    store.suppose()
    dial(100)
    store.suppose()
    expect(dials().gramsPerHour).toBe(100)
    store.letGo()
    await store.leave('t')
    store.suppose()
    expect(store.isSupposing).toBe(false)
  })
})
