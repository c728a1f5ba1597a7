import { demoTrip } from '#catalogue/demo'
import { defined, nth } from '#core/validation'
import type { Trip } from '#core/trip'
import type { UnitSystem } from '#core/units'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Path } from '../../../app/session/changes'
import { MemoryOutbox } from '../../../app/session/memory-outbox'
import type { TripSession } from '../../../app/session/trip-session'
import { TripSessions } from '../../../app/session/trip-sessions'
import { loneWindow } from '../../../app/session/windows'
import { conflictInWords, partsInWords, placeInWords, sideInWords } from '../../../app/session/words'
import { FakeDevice, FakeServer, FakeTimers, FakeWindow, rest, settle, smallTrip } from '../../fake-world'

let server: FakeServer
let timers: FakeTimers
let device: FakeDevice
let window: FakeWindow
let session: TripSession
beforeEach(async () => {
  server = new FakeServer()
  server.begin('t', smallTrip('Quern'))
  server.begin('u', smallTrip('Other'))
  timers = new FakeTimers()
  device = new FakeDevice()
  window = new FakeWindow(device, server, timers)
  session = await open(window)
})

async function open(from: FakeWindow, id = 't'): Promise<TripSession> {
  const opened = await from.sessions.open(id)
  await settle()
  expect(opened.opened.kind).toBe('opened')
  return opened.session
}
const another = () => new FakeWindow(new FakeDevice(), server, timers)
const at = (id = 't'): Trip => defined(server.trips.get(id)).trip
const dial = (gramsPerHour: number, on = session, merge?: string) =>
  on.edit(`dial to ${gramsPerHour}`, { dials: { ...defined(on.document).dials, gramsPerHour } }, merge)
const shown = (on = session) => defined(on.document).dials.gramsPerHour
const reload = async () => {
  window.die()
  window = new FakeWindow(device, server, timers)
  await settle()
  session = await open(window)
}

describe('edits', () => {
  it('change the trip at once, and can be taken back and done again in order', () => {
    const first = shown()
    dial(100)
    dial(200)
    expect(session.undoLabel).toBe('dial to 200')
    session.undo()
    session.undo()
    expect(shown()).toBe(first)
    expect(session.undoLabel).toBeUndefined()
    session.undo()
    session.redo()
    session.redo()
    expect(shown()).toBe(200)
    expect(session.redoLabel).toBeUndefined()
  })

  it('a new edit ends what could be done again', () => {
    dial(100)
    session.undo()
    dial(300)
    session.redo()
    expect(shown()).toBe(300)
  })

  it('a dial being turned is one step, back to where it stood', () => {
    const first = shown()
    for (const value of [410, 420, 430]) dial(value, session, 'dial')
    session.undo()
    expect(shown()).toBe(first)
    session.redo()
    expect(shown()).toBe(430)
  })

  it('a dial turned anew after a while, or after something else, is another step', async () => {
    dial(410, session, 'dial')
    session.edit('rename', { name: 'Other' })
    dial(420, session, 'dial')
    await timers.pass(6000)
    dial(430, session, 'dial')
    session.undo()
    expect(shown()).toBe(420)
    session.undo()
    expect(shown()).toBe(410)
  })

  it('that touch several parts in the course of a drag are taken back whole', () => {
    const before = defined(session.document)
    const { stops, ride } = before
    session.edit('drag', { stops: [{ ...nth(stops, 0), roadKm: 1 }, ...stops.slice(1)] }, 'drag')
    session.edit('drag', { ride: { ...ride, ridingH: 5 } }, 'drag')
    session.undo()
    expect(session.document).toEqual(before)
  })

  it('that change nothing are no step', () => {
    session.edit('same', { name: defined(session.document).name })
    expect(session.undoLabel).toBeUndefined()
    expect(session.unsaved).toBe(0)
  })

  it('touch no part but their own', () => {
    const { bench } = defined(session.document)
    dial(100)
    expect(defined(session.document).bench).toBe(bench)
  })

  it('are remembered two hundred deep', () => {
    for (let i = 1; i <= 250; i++) dial(i)
    for (let i = 0; i < 250; i++) session.undo()
    expect(shown()).toBe(50)
  })
})

describe('saving', () => {
  it('waits for a pause, and then sends each changed part once with its revision', async () => {
    dial(100)
    dial(200)
    session.edit('rename', { name: 'Renamed' })
    await settle()
    expect(server.saves).toHaveLength(0)
    expect(session.state.kind).toBe('dirty')
    await timers.pass(500)
    expect(server.saves).toHaveLength(1)
    expect(nth(server.saves, 0).changes.map(({ part, base }) => [part, base.number])).toEqual([
      ['name', 1],
      ['dials', 1],
    ])
    expect(at().dials.gramsPerHour).toBe(200)
    expect(session.state.kind).toBe('clean')
  })

  it('does not wait for ever while a dial keeps turning', async () => {
    for (let i = 0; i < 12; i++) {
      dial(100 + i, session, 'dial')
      await timers.pass(300)
    }
    expect(server.saves.length).toBeGreaterThan(0)
  })

  it('leaves the parts that are shown the very same, so that nothing is worked out anew', async () => {
    dial(100)
    const before = defined(session.document)
    await timers.pass(500)
    await settle()
    expect(session.document).toBe(before)
  })

  it('sends nothing for what was taken back at once', async () => {
    dial(100)
    session.undo()
    await timers.pass(500)
    expect(server.saves).toHaveLength(0)
    expect(session.state.kind).toBe('clean')
  })

  it('tries again when the server was away, and keeps everything meanwhile', async () => {
    server.mood = 'unreachable'
    dial(100)
    await timers.pass(500)
    expect(session.state).toEqual({ kind: 'offline', lines: ['no answer'] })
    server.mood = 'well'
    await timers.pass(3000)
    expect(session.state.kind).toBe('clean')
    expect(at().dials.gramsPerHour).toBe(100)
  })

  it('whose answer was lost is offered again under the same name, and done once', async () => {
    server.mood = 'answer lost'
    dial(100)
    await timers.pass(500)
    expect(session.state.kind).toBe('offline')
    dial(200)
    server.mood = 'well'
    await timers.pass(3500)
    expect(server.saves.map(({ changes }) => changes.length)).toEqual([1, 1])
    expect(new Set(server.saves.map(({ save }) => save)).size).toBe(2)
    expect(defined(defined(server.trips.get('t')).revisions.dials).number).toBe(3)
    expect(at().dials.gramsPerHour).toBe(200)
  })

  it('does not send again what the server refused, until it is changed or somebody says so', async () => {
    server.mood = 'refuses'
    dial(100)
    await timers.pass(500)
    expect(session.state).toEqual({ kind: 'refused', lines: ['not as it is'] })
    server.mood = 'well'
    await timers.pass(60_000)
    expect(server.saves).toHaveLength(0)
    dial(50)
    await timers.pass(500)
    expect(session.state.kind).toBe('clean')
    server.mood = 'refuses'
    dial(60)
    await timers.pass(500)
    server.mood = 'well'
    await session.tryAgain()
    expect(at().dials.gramsPerHour).toBe(60)
  })

  it('is given up for what is saved, also where nobody knows any more what it was; and that is undone', async () => {
    const saved = smallTrip('t').dials
    server.mood = 'refuses'
    dial(100)
    await timers.pass(500)
    await reload()
    await timers.pass(500)
    expect(session.state.kind).toBe('refused')
    expect(session.undoLabel).toBeUndefined()
    session.backToSaved()
    expect(session.document?.dials).toEqual(saved)
    await timers.pass(500)
    expect(session.state.kind).toBe('clean')
    expect(at().dials).toEqual(saved)
    server.mood = 'well'
    session.undo()
    await timers.pass(500)
    expect(at().dials.gramsPerHour).toBe(100)
  })

  it('of one trip marks no other, and brings nothing there', async () => {
    const other = await open(window, 'u')
    server.mood = 'refuses'
    dial(100)
    await timers.pass(500)
    expect(session.state.kind).toBe('refused')
    expect(other.state.kind).toBe('clean')
    expect(at('u').dials).toEqual(smallTrip('u').dials)
  })
})

describe('leaving', () => {
  it('at once still brings what was edited to the server', async () => {
    dial(100)
    await window.sessions.close('t')
    expect(at().dials.gramsPerHour).toBe(100)
  })

  it('while the server is away leaves it on the device, and it is brought there later', async () => {
    server.mood = 'unreachable'
    dial(100)
    const state = await window.sessions.close('t')
    expect(state.kind).toBe('offline')
    server.mood = 'well'
    await timers.pass(10_000)
    expect(at().dials.gramsPerHour).toBe(100)
    expect(await device.outbox.waiting()).toEqual([])
  })

  it('by dying leaves everything on the device, in what was edited last', async () => {
    server.mood = 'unreachable'
    dial(100)
    session.edit('rename', { name: 'Mine' })
    await reload()
    expect(shown()).toBe(100)
    expect(defined(session.document).name).toBe('Mine')
    server.mood = 'well'
    await timers.pass(70_000)
    expect(at()).toMatchObject({ name: 'Mine', dials: { gramsPerHour: 100 } })
  })

  it('for good asks about what could not be brought', async () => {
    server.mood = 'unreachable'
    dial(100)
    dial(200)
    expect(await window.sessions.flush()).toEqual([{ trip: 't', name: 'Quern', steps: 2 }])
    server.mood = 'well'
    expect(await window.sessions.flush()).toEqual([])
  })

  it('and wiping the device leaves nothing, in no window', async () => {
    const second = new FakeWindow(device, server, timers)
    await open(second)
    server.mood = 'unreachable'
    dial(100)
    await window.sessions.wipe()
    await settle()
    expect(await device.outbox.waiting()).toEqual([])
    expect(await device.outbox.kept()).toEqual([])
  })
})

describe('opening', () => {
  it('is at once where the device has the trip, and takes in what others did since', async () => {
    const away = another()
    dial(333, await open(away))
    await timers.pass(500)
    server.mood = 'unreachable'
    await reload()
    expect(shown()).toBe(smallTrip('t').dials.gramsPerHour)
    server.mood = 'well'
    await session.catchUp()
    expect(shown()).toBe(333)
    expect(session.takenIn).toEqual(['dials'])
  })

  it('says why where neither device nor server has it', async () => {
    expect((await window.sessions.open('nowhere')).opened.kind).toBe('gone')
    server.mood = 'unreachable'
    expect((await another().sessions.open('t')).opened).toEqual({ kind: 'away', lines: ['no answer'] })
    server.mood = 'signed out'
    expect((await another().sessions.open('t')).opened.kind).toBe('signed out')
  })
})

describe('a sign-in that has ended', () => {
  it('keeps reading and changing, and brings it all there after', async () => {
    server.mood = 'signed out'
    dial(100)
    await timers.pass(500)
    expect(session.state.kind).toBe('signed out')
    await reload()
    expect(shown()).toBe(100)
    await timers.pass(60_000)
    server.mood = 'well'
    await window.sessions.tryAgain()
    await rest()
    expect(session.state.kind).toBe('clean')
    expect(at().dials.gramsPerHour).toBe(100)
  })
})

describe('a trip that is gone', () => {
  it('keeps what was changed here, and brings it there when the trip comes back', async () => {
    defined(server.trips.get('t')).gone = true
    dial(100)
    await timers.pass(500)
    expect(session.state.kind).toBe('gone')
    expect(session.unsaved).toBe(1)
    defined(server.trips.get('t')).gone = false
    await session.tryAgain()
    expect(session.state.kind).toBe('clean')
    expect(at().dials.gramsPerHour).toBe(100)
  })
})

describe('two devices', () => {
  let other: TripSession
  beforeEach(async () => {
    other = await open(another())
  })

  it('that change different parts both keep them: the bench of one is not lost to the other', async () => {
    session.edit('bench', { bench: defined(session.document).bench.slice(1) })
    await timers.pass(500)
    other.edit('rename', { name: 'Renamed there' })
    await timers.pass(500)
    other.edit('bench', { bench: defined(other.document).bench.map((thing) => ({ ...thing, note: 'mine' })) })
    await timers.pass(500)
    expect(at().bench.map(({ note }) => note)).toEqual(['mine', 'mine'])
    expect(at().name).toBe('Renamed there')
  })

  it('that change different things of one part both keep them, and are not asked', async () => {
    const [first, second, ...rest] = defined(session.document).bench
    session.edit('more', { bench: [{ ...defined(first), count: 7 }, defined(second), ...rest] })
    await timers.pass(500)
    other.edit('lighter', { bench: [defined(first), { ...defined(second), massG: 5 }, ...rest] })
    await timers.pass(500)
    expect(other.state.kind).toBe('clean')
    expect(at().bench.slice(0, 2)).toMatchObject([{ count: 7 }, { massG: 5 }])
  })

  it('that come to the same are not asked', async () => {
    dial(100)
    dial(100, other)
    await timers.pass(500)
    expect([session.state.kind, other.state.kind]).toEqual(['clean', 'clean'])
  })

  describe('that change the same differently', () => {
    beforeEach(async () => {
      dial(100)
      await timers.pass(500)
      dial(200, other)
      other.edit('rename', { name: 'Mine' })
      await timers.pass(500)
    })
    const conflict = () => {
      const { state } = other
      if (state.kind !== 'conflict') throw new Error(`no conflict but ${state.kind}`)
      return state
    }
    const choose = (side: 'here' | 'there') =>
      other.resolve(Object.fromEntries(conflict().conflicts.map(({ key }) => [key, side])))

    it('are asked, and nothing is overwritten meanwhile', async () => {
      expect(conflict().conflicts.map(({ paths, here, there }) => [paths, here, there])).toEqual([
        [[['dials', 'gramsPerHour']], [200], [100]],
      ])
      await timers.pass(60_000)
      expect(at().dials.gramsPerHour).toBe(100)
      expect(shown(other)).toBe(200)
    })

    it('keep the one that is chosen, and the rest in any case', async () => {
      await choose('here')
      await timers.pass(500)
      expect(at()).toMatchObject({ name: 'Mine', dials: { gramsPerHour: 200 } })
    })

    it('give up the other within reach of undo', async () => {
      await choose('there')
      await timers.pass(500)
      expect(shown(other)).toBe(100)
      expect(at()).toMatchObject({ name: 'Mine', dials: { gramsPerHour: 100 } })
      other.undo()
      expect(shown(other)).toBe(200)
      await timers.pass(500)
      expect(at().dials.gramsPerHour).toBe(200)
    })

    it('are asked again where it has changed a third time', async () => {
      dial(300)
      await timers.pass(500)
      await choose('here')
      await timers.pass(500)
      expect(nth(conflict().conflicts, 0).there).toEqual([300])
      expect(at().dials.gramsPerHour).toBe(300)
    })

    it('are not asked any more once it is taken back', async () => {
      other.undo()
      other.undo()
      await timers.pass(500)
      expect(other.state.kind).toBe('clean')
      expect(shown(other)).toBe(100)
      expect(at().dials.gramsPerHour).toBe(100)
    })
  })

  it('that take a thing away and change it are asked about the thing', async () => {
    const [first, ...rest] = defined(session.document).bench
    session.edit('away', { bench: rest })
    await timers.pass(500)
    other.edit('more', { bench: [{ ...defined(first), count: 9 }, ...rest] })
    await timers.pass(500)
    const { state } = other
    if (state.kind !== 'conflict') throw new Error('no conflict')
    const [found] = state.conflicts
    expect(defined(found).there).toEqual([undefined])
    expect(conflictInWords(defined(found), defined(other.document), state.there.trip)).toBe(defined(first).name)
    expect(sideInWords(defined(found), 'there', 'metric', smallTrip('t'))).toBe('removed')
    await other.resolve({ [defined(found).key]: 'here' })
    await timers.pass(500)
    expect(at().bench.find(({ id }) => id === defined(first).id)).toMatchObject({ count: 9 })
  })

  it('where one lays another line are asked about all that lies along it', async () => {
    const { road, stops } = defined(session.document)
    session.edit('import', { road: { ...road, points: [...road.points].reverse() }, stops: [] })
    await timers.pass(500)
    other.edit('move', { stops: stops.map((stop) => ({ ...stop, note: 'moved' })) })
    await timers.pass(500)
    const { state } = other
    if (state.kind !== 'conflict') throw new Error('no conflict')
    expect(state.conflicts.map(({ paths }) => paths)).toEqual([[['road'], ['stops'], ['ride', 'nights']]])
    expect(conflictInWords(nth(state.conflicts, 0), defined(other.document), state.there.trip)).toMatch(
      /line of the road/,
    )
    expect(sideInWords(nth(state.conflicts, 0), 'here', 'metric', smallTrip('t'))).toMatch(/3 points, 2 stops/)
    await other.resolve({ [nth(state.conflicts, 0).key]: 'there' })
    await timers.pass(500)
    expect(at().stops).toEqual([])
    expect(at().road.points).toEqual([...road.points].reverse())
  })

  it('undo their own steps only: what was changed elsewhere since stays, and it is said', async () => {
    dial(100)
    await timers.pass(500)
    await other.catchUp()
    dial(200, other)
    await timers.pass(500)
    await session.catchUp()
    session.undo()
    expect(shown()).toBe(200)
    expect(session.notice).toMatch(/changed elsewhere/)
    expect(session.undoLabel).toBeUndefined()
  })
})

describe('a server that went back to an older copy', () => {
  it('asks what of it is right, and gets back what this device still has', async () => {
    server.copy()
    dial(100)
    await timers.pass(500)
    server.goBack()
    await session.catchUp()
    const { state } = session
    if (state.kind !== 'conflict') throw new Error('no conflict')
    await session.resolve(Object.fromEntries(state.conflicts.map(({ key }) => [key, 'here'])))
    await timers.pass(500)
    expect(at().dials.gramsPerHour).toBe(100)
  })
})

describe('windows of one browser', () => {
  let second: FakeWindow
  let beside: TripSession
  beforeEach(async () => {
    second = new FakeWindow(device, server, timers)
    beside = await open(second)
  })

  it('show the same document', async () => {
    dial(100)
    await settle()
    expect(shown(beside)).toBe(100)
    beside.edit('rename', { name: 'Beside' })
    await settle()
    expect(defined(session.document).name).toBe('Beside')
  })

  it('share one outbox: what the second edits the first brings to the server', async () => {
    dial(100, beside)
    await timers.pass(500)
    await settle()
    expect(at().dials.gramsPerHour).toBe(100)
    expect(beside.state.kind).toBe('clean')
    expect(server.saves).toHaveLength(1)
  })

  it('say the same of how it stands', async () => {
    server.mood = 'refuses'
    dial(100, beside)
    await timers.pass(500)
    await settle()
    expect(beside.state).toEqual({ kind: 'refused', lines: ['not as it is'] })
    server.mood = 'well'
    await beside.tryAgain()
    await rest()
    expect(beside.state.kind).toBe('clean')
    expect(at().dials.gramsPerHour).toBe(100)
  })

  it('hand the outbox over when its owner dies', async () => {
    server.mood = 'unreachable'
    dial(100)
    dial(7, beside)
    await settle()
    window.die()
    server.mood = 'well'
    await timers.pass(1000)
    await settle()
    expect(at().dials.gramsPerHour).toBe(7)
    expect(beside.state.kind).toBe('clean')
  })

  it('bring there what a dead window left, of a trip that none shows', async () => {
    server.mood = 'unreachable'
    const other = await open(second, 'u').catch(() => undefined)
    expect(other).toBeUndefined()
    server.mood = 'well'
    const left = await open(second, 'u')
    server.mood = 'unreachable'
    dial(55, left)
    await settle()
    second.die()
    server.mood = 'well'
    await window.sessions.tryAgain()
    await settle()
    expect(at('u').dials.gramsPerHour).toBe(55)
  })

  it('may each settle a conflict', async () => {
    const far = await open(another())
    dial(300, far)
    await timers.pass(500)
    dial(100)
    await timers.pass(500)
    await settle()
    expect(beside.state.kind).toBe('conflict')
    if (beside.state.kind !== 'conflict') return
    await beside.resolve({ [nth(beside.state.conflicts, 0).key]: 'here' })
    await timers.pass(1000)
    await settle()
    expect([session.state.kind, beside.state.kind]).toEqual(['clean', 'clean'])
    expect(at().dials.gramsPerHour).toBe(100)
  })

  it('put a step that another window made first before their own', async () => {
    let letIn: () => void = () => undefined
    const { append } = device.outbox
    device.outbox.append = async (trip, step) => {
      await new Promise<void>((go) => (letIn = go))
      return append.call(device.outbox, trip, step)
    }
    session.edit('note', { name: 'First shown' })
    await settle()
    const mine = letIn
    device.outbox.append = append.bind(device.outbox)
    beside.edit('note', { name: 'First kept' })
    await settle()
    mine()
    await settle()
    expect([defined(session.document).name, defined(beside.document).name]).toEqual(['First shown', 'First shown'])
  })
})

describe('a device that keeps nothing', () => {
  it('says so, and what is edited still reaches the server', async () => {
    device.outbox.append = () => Promise.reject(new Error('the disk is full'))
    dial(100)
    await settle()
    expect(session.notice).toMatch(/keeps nothing on the device \(the disk is full\)/)
    dial(200)
    await timers.pass(500)
    expect(at().dials.gramsPerHour).toBe(200)
    expect(session.state.kind).toBe('clean')
  })

  it.each(['begin', 'settle', 'read'] as const)(
    'and fails on the way, at “%s”: what is edited still reaches the server',
    async (at_) => {
      Object.assign(device.outbox, { [at_]: () => Promise.reject(new Error('the database is closed')) })
      dial(100)
      await timers.pass(500)
      expect(session.notice).toMatch(/the database is closed/)
      await timers.pass(4000)
      expect(at().dials.gramsPerHour).toBe(100)
      expect(session.state.kind).toBe('clean')
      dial(200)
      await timers.pass(500)
      expect(at().dials.gramsPerHour).toBe(200)
    },
  )

  it('is asked about before signing out', async () => {
    device.outbox.append = () => Promise.reject(new Error('the disk is full'))
    server.mood = 'unreachable'
    dial(100)
    await settle()
    expect(await window.sessions.flush()).toEqual([{ trip: 't', name: 'Quern', steps: 1 }])
  })
})

describe('whoever looks on at what waits', () => {
  it('is told when it is brought to the server, by this window or another of the device, until they look away', async () => {
    const beside = new FakeWindow(device, server, timers)
    await settle()
    const seen: number[][] = [[], []]
    const lookOn = ({ sessions }: FakeWindow, into: number[]) =>
      sessions.subscribe(() => void sessions.waiting().then((waiting) => into.push(waiting.length)))
    const lookAway = lookOn(window, nth(seen, 0))
    lookOn(beside, nth(seen, 1))
    server.mood = 'unreachable'
    dial(100)
    await timers.pass(500)
    expect(seen.map((list) => list.at(-1))).toEqual([1, 1])
    server.mood = 'well'
    await timers.pass(60_000)
    expect(at().dials.gramsPerHour).toBe(100)
    expect(seen.map((list) => list.at(-1))).toEqual([0, 0])
    lookAway()
    const before = nth(seen, 0).length
    dial(200)
    await timers.pass(500)
    expect(nth(seen, 0)).toHaveLength(before)
    expect(nth(seen, 1).length).toBeGreaterThan(0)
  })
})

it('parts are named as people say them', () => {
  expect(partsInWords(['bench'])).toBe('the bench')
  expect(partsInWords(['bench', 'dials', 'name'])).toBe('the bench, the assumptions and the name of the trip')
})

it('a browser that opened no database says so, and each of its windows brings its own things to the server', async () => {
  const sessions = new TripSessions(
    { outbox: new MemoryOutbox(), server, windows: loneWindow, timers, newId: () => crypto.randomUUID() },
    () => undefined,
  )
  const { session: lone } = await sessions.open('t')
  expect(lone.notice).toMatch(/keeps nothing on the device/)
  dial(77, lone)
  await timers.pass(500)
  expect(at().dials.gramsPerHour).toBe(77)
  server.mood = 'unreachable'
  dial(78, lone)
  await timers.pass(500)
  expect(await sessions.waiting()).toEqual([{ trip: 't', name: 'Quern', steps: 1 }])
})

it('a conflict names the value by its part and shows it with its unit', () => {
  const trip = smallTrip('t')
  const told = (path: Path, here: unknown, system: UnitSystem = 'metric') => {
    const conflict = { key: '', paths: [path], here: [here], there: [null] }
    return `${placeInWords(path, trip)}: ${sideInWords(conflict, 'here', system, trip)}`
  }
  const [bench] = trip.bench
  const thing: Path = ['bench', { id: defined(bench).id }]
  expect(told(['ride', 'pauseH'], 0.75)).toBe('days and pace: pauses to each hour: 0.75 h')
  expect(told(['ride', 'climbMPerH'], 700)).toBe('days and pace: climb that takes an hour: 700 m')
  expect(told(['dials', 'handMostN'], 400)).toBe('assumptions: what hands can pull: 400 N')
  expect(told(['dials', 'budgetG'], 184)).toBe('assumptions: the most the kit may weigh: 184 g')
  expect(told(['dials', 'budgetMoney'], 5000)).toBe('assumptions: the most that may be spent: €50.00')
  expect(told([...thing, 'massG'], 28.35, 'imperial')).toBe(`${defined(bench).name}: mass: 1.0 oz`)
  expect(told([...thing, 'count'], 3)).toBe(`${defined(bench).name}: count: 3`)
  expect(told(['name'], 'Quern')).toBe('the name of the trip: Quern')
  // Riders, bikes and bags go by their names.
  const { bikes, crew } = demoTrip()
  const conflict = (key: string, here: unknown) => ({ key: '', paths: [[...thing, key]], here: [here], there: [null] })
  const side = (key: string, here: unknown) => sideInWords(conflict(key, here), 'here', 'metric', { bikes, crew })
  expect(side('carriedBy', { maren: 2, ghost: 1 })).toBe('Maren 2, ghost 1')
  expect(side('packedIn', [{ bikeId: 'fox', storageId: 'seat-pack', count: 1 }])).toBe(
    'bike The Fox, gravel, in Seat pack, clothes in it, count 1',
  )
  expect(side('packedIn', [])).toBe('none')
  expect(side('broughtBy', 'ansel')).toBe('Ansel')
})
