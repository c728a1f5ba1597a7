import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { demoTrip } from '../../catalogue/demo'
import { useTripStore } from '~/stores/trip'
import { refusal, ServerOfTrips } from './server-of-trips'

/** The store with its automatic saving under a clock of the test's own. */
const saveDelay = 500
let server: ServerOfTrips
let store: ReturnType<typeof useTripStore>

beforeEach(async () => {
  vi.useFakeTimers()
  server = new ServerOfTrips(demoTrip())
  store = useTripStore()
  await store.load('t1')
})
afterEach(() => vi.useRealTimers())

const pass = (ms: number) => vi.advanceTimersByTimeAsync(ms)
const dial = (gramsPerHour: number, merge?: string) =>
  store.edit(`dial to ${gramsPerHour}`, { dials: { ...store.trip!.dials, gramsPerHour } }, merge)
const shown = () => store.trip!.dials.gramsPerHour

describe('edits', () => {
  it('change the trip at once, and can be taken back and done again in order', () => {
    const first = shown()
    dial(100)
    dial(200)
    expect(shown()).toBe(200)
    expect(store.undoLabel).toBe('dial to 200')
    store.undo()
    expect(shown()).toBe(100)
    store.undo()
    expect(shown()).toBe(first)
    expect(store.undoLabel).toBeUndefined()
    store.undo()
    expect(shown()).toBe(first)
    store.redo()
    store.redo()
    expect(shown()).toBe(200)
    expect(store.redoLabel).toBeUndefined()
  })

  it('a new edit ends what could be done again', () => {
    dial(100)
    store.undo()
    dial(300)
    expect(store.redoLabel).toBeUndefined()
    store.redo()
    expect(shown()).toBe(300)
  })

  it('a dial being turned is one step, back to where it stood', () => {
    const first = shown()
    for (const value of [410, 420, 430]) dial(value, 'dial')
    store.undo()
    expect(shown()).toBe(first)
    store.redo()
    expect(shown()).toBe(430)
  })

  it('two turns with something between them are two steps', () => {
    dial(410, 'dial')
    store.edit('rename', { name: 'Other' })
    dial(420, 'dial')
    store.undo()
    expect(shown()).toBe(410)
    store.undo()
    expect(store.trip!.name).toBe(demoTrip().name)
  })

  it('touch no part but their own', () => {
    const bench = store.trip!.bench
    dial(100)
    expect(store.trip!.bench).toBe(bench)
  })

  it('are remembered two hundred deep', () => {
    for (let i = 1; i <= 250; i++) dial(i)
    for (let i = 0; i < 250; i++) store.undo()
    expect(shown()).toBe(50)
  })
})

describe('saving', () => {
  it('waits for a pause, and then sends each changed part once with its version', async () => {
    dial(100)
    dial(200)
    store.edit('rename', { name: 'Renamed' })
    expect(server.saves).toHaveLength(0)
    await pass(saveDelay)
    expect(server.saves).toHaveLength(1)
    expect(server.saves[0]!.map(({ part, base }) => [part, base])).toEqual([
      ['dials', 1],
      ['name', 1],
    ])
    expect(server.trip.dials.gramsPerHour).toBe(200)
    expect(store.saving).toBe('saved')
  })

  it('does not wait for ever while a dial keeps turning', async () => {
    for (let i = 0; i < 12; i++) {
      dial(100 + i, 'dial')
      await pass(300)
    }
    expect(server.saves.length).toBeGreaterThan(0)
  })

  it('sends what was changed while the server was thinking', async () => {
    server.hold()
    dial(100)
    await pass(saveDelay)
    expect(store.saving).toBe('saving')
    dial(200)
    await pass(saveDelay)
    expect(server.saves).toHaveLength(1)
    server.release()
    await pass(10)
    expect(server.saves).toHaveLength(2)
    expect(server.trip.dials.gramsPerHour).toBe(200)
    expect(store.dirty.size).toBe(0)
  })

  it('an undo is saved like any edit', async () => {
    const first = shown()
    dial(100)
    await pass(saveDelay)
    store.undo()
    await pass(saveDelay)
    expect(server.trip.dials.gramsPerHour).toBe(first)
  })

  it('tries again when the server was away, and keeps everything meanwhile', async () => {
    server.refusals.push(refusal(undefined))
    dial(100)
    await pass(saveDelay)
    expect(store.saving).toBe('failed')
    expect(store.problems[0]).toMatch(/does not answer/)
    expect(shown()).toBe(100)
    await pass(6000)
    expect(store.saving).toBe('saved')
    expect(store.problems).toEqual([])
    expect(server.trip.dials.gramsPerHour).toBe(100)
  })

  it('does not send again what the server refused, until it is changed', async () => {
    server.refusals.push(refusal(422, { lines: ['dials.gramsPerHour: 0; expected more than 0'] }))
    dial(0)
    await pass(saveDelay)
    expect(store.problems).toEqual(['dials.gramsPerHour: 0; expected more than 0'])
    await pass(60_000)
    expect(server.saves).toHaveLength(1)
    dial(50)
    await pass(saveDelay)
    expect(store.saving).toBe('saved')
    expect(server.trip.dials.gramsPerHour).toBe(50)
  })

  it('of one trip never reaches another that was opened meanwhile', async () => {
    server.hold()
    dial(100)
    await pass(saveDelay)
    const loading = store.load('t2')
    server.release()
    await loading
    const versions = { ...server.versions }
    await pass(10)
    dial(300)
    await pass(saveDelay)
    expect(server.asked.at(-1)!.path).toBe('/api/trips/t2')
    expect(server.saves.at(-1)![0]!.base).toBe(versions.dials)
  })
})

describe('a part that was saved in another window', () => {
  const theirs = 777
  beforeEach(async () => {
    server.saveElsewhere('dials', { ...server.trip.dials, gramsPerHour: theirs })
    dial(100)
    store.edit('rename', { name: 'Mine' })
    await pass(saveDelay)
  })

  it('stops the saving and says which part it is', async () => {
    expect(store.conflict?.parts.map(({ part }) => part)).toEqual(['dials'])
    dial(120)
    await pass(10_000)
    expect(server.saves).toHaveLength(1)
    expect(server.trip.dials.gramsPerHour).toBe(theirs)
  })

  it('is written over when mine is kept', async () => {
    await store.keepMine()
    expect(store.conflict).toBeUndefined()
    expect(server.trip.dials.gramsPerHour).toBe(100)
    expect(server.trip.name).toBe('Mine')
  })

  it('is taken when theirs is; mine stays within reach of undo, and the other parts are saved', async () => {
    await store.takeTheirs()
    expect(shown()).toBe(theirs)
    expect(server.trip.name).toBe('Mine')
    expect(server.trip.dials.gramsPerHour).toBe(theirs)
    store.undo()
    expect(shown()).toBe(100)
    await pass(saveDelay)
    expect(server.trip.dials.gramsPerHour).toBe(100)
  })

  it('may change a third time before mine is kept, and is asked about again', async () => {
    server.saveElsewhere('dials', { ...server.trip.dials, gramsPerHour: 888 })
    await store.keepMine()
    expect(store.conflict?.parts.map(({ part }) => part)).toEqual(['dials'])
    expect(server.trip.dials.gramsPerHour).toBe(888)
  })

  it('stays as it is when both are kept, mine under a name of its own', async () => {
    store.edit('rename', { name: 'N'.repeat(120) })
    expect(await store.keepBoth()).toBe('copy')
    const copy = server.asked.at(-1)!.body as { name: string; dials: { gramsPerHour: number } }
    expect(copy.name).toMatch(/^N+ \(my copy\)$/)
    expect(copy.name.length).toBeLessThanOrEqual(120)
    expect(copy.dials.gramsPerHour).toBe(100)
    expect(server.trip.dials.gramsPerHour).toBe(theirs)
  })
})

describe('loading', () => {
  it('begins with a clean slate', async () => {
    dial(100)
    await store.load('t2')
    expect(store.undoLabel).toBeUndefined()
    expect(store.dirty.size).toBe(0)
    expect(store.saving).toBe('saved')
  })

  it('hands on what the server refuses', async () => {
    server.refusals.push(refusal(404, { lines: ['no such trip'] }))
    await expect(store.load('gone')).rejects.toThrow()
    expect(store.trip).toBeUndefined()
  })
})
