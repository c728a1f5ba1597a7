import type { Trip } from '#core/trip'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type Choices, type Side } from '../../app/session/conflicts'
import type { TripSession } from '../../app/session/trip-session'
import { FakeDevice, FakeServer, FakeTimers, FakeWindow, drain, settle, smallTrip, type Mood } from '../fake-world'
import { judged, seed, tries } from './judged'

const runs = tries(2000)

const tripIds = ['t0', 't1', 't2'] as const
type TripId = (typeof tripIds)[number]
/** Things that are edited, each by one kind of edit; they are looked at one by one at the end. */
const cells = ['dial', 'name', 'mass', 'note'] as const
type Cell = (typeof cells)[number]

function read(trip: Trip, cell: Cell): string {
  switch (cell) {
    case 'dial':
      return String(trip.dials.gramsPerHour)
    case 'name':
      return trip.name
    case 'mass':
      return String(trip.bench[0]?.massG)
    case 'note':
      return trip.stops[1]?.note ?? 'no stop'
  }
}

function write(session: TripSession, trip: Trip, cell: Cell, value: number): void {
  switch (cell) {
    case 'dial':
      session.edit('dial', { dials: { ...trip.dials, gramsPerHour: value } })
      return
    case 'name':
      session.edit('name', { name: `${trip.name.slice(0, 2)} ${value}` })
      return
    case 'mass':
      session.edit('mass', {
        bench: trip.bench.map((thing, i) => (i === 0 ? { ...thing, massG: value } : thing)),
      })
      return
    case 'note':
      session.edit('note', {
        stops: trip.stops.map((stop, i) => (i === 1 ? { ...stop, note: `n${value}` } : stop)),
      })
  }
}

interface Shown {
  readonly trip: TripId
  readonly session: TripSession
}

/** What a page has done, as far as it can be said what taking it back must do. */
interface Done {
  readonly cell: Cell | 'things'
  readonly before: string
  readonly after: string
}

interface Past {
  readonly done: Done[]
  readonly undone: Done[]
  /** Whether it can be said at all: what came of a conflict hangs on both sides. */
  isKnown: boolean
}

const shownIn = (trip: Trip, cell: Cell | 'things') =>
  cell === 'things' ? trip.bench.map(({ id }) => id).join(' ') : read(trip, cell)

/** The world as it is, and what must come of it. */
class World {
  readonly server = new FakeServer()
  readonly timers = new FakeTimers()
  readonly devices = [new FakeDevice(), new FakeDevice()]
  readonly windows: FakeWindow[] = []
  readonly pages: (Shown | undefined)[] = [undefined, undefined, undefined]
  /** Every value that was ever offered, by trip and cell; those that somebody saw and replaced are taken out. */
  readonly standing = new Map<string, Set<string>>()
  /** Things laid on the benches that nobody has taken off again. */
  readonly laid = new Map<string, TripId>()
  /** Every value there ever was. */
  readonly ever = new Set<string>()
  lastValue = 1000
  /** How often two browsers had to be asked about. */
  conflicts = 0
  wentBack = false
  refused = false
  private readonly pasts = new WeakMap<TripSession, Past>()

  /** @param browsers which browser each window is one of */
  constructor(readonly browsers: readonly number[]) {
    for (const id of tripIds) {
      this.server.begin(id, smallTrip(id))
      for (const cell of cells) {
        this.standing.set(`${id} ${cell}`, new Set())
        this.ever.add(read(smallTrip(id), cell))
      }
    }
    for (const i of [0, 1, 2]) this.windows[i] = this.newWindow(i)
  }

  newWindow(i: number): FakeWindow {
    return new FakeWindow(this.deviceOf(i), this.server, this.timers)
  }

  deviceOf(window: number): FakeDevice {
    const device = this.devices[this.browsers[window] ?? 0]
    if (!device) throw new Error('no such device')
    return device
  }

  windowAt(i: number): FakeWindow {
    const window = this.windows[i]
    if (!window) throw new Error('no such window')
    return window
  }

  /** Notes that something was replaced by somebody who saw it. */
  replaced(trip: TripId, cell: Cell, seen: string, by: string): void {
    const values = this.standing.get(`${trip} ${cell}`)
    values?.delete(seen)
    values?.add(by)
    this.ever.add(by)
  }

  /** Does something in a page and notes what it replaced. */
  noting(page: Shown, offers: boolean, act: () => void): void {
    const before = page.session.document
    act()
    const after = page.session.document
    if (!before || !after || before === after) return
    for (const cell of cells) {
      const [seen, by] = [read(before, cell), read(after, cell)]
      if (seen === by) continue
      // Who goes back to what was there says nothing new.
      if (offers) this.replaced(page.trip, cell, seen, by)
      else this.standing.get(`${page.trip} ${cell}`)?.delete(seen)
    }
    const [was, now] = [before, after].map(({ bench }) => new Set(bench.map(({ id }) => id)))
    for (const id of now ?? []) if (!was?.has(id)) this.laid.set(id, page.trip)
    for (const id of was ?? []) if (!now?.has(id)) this.laid.delete(id)
  }

  /** What was done in a session; one that was left and opened again may have forgotten it. */
  pastOf(session: TripSession): Past {
    const past = session.undoLabel || session.redoLabel ? this.pasts.get(session) : undefined
    const known = past ?? { done: [], undone: [], isKnown: true }
    this.pasts.set(session, known)
    return known
  }

  /** Edits something in a page, and remembers what taking it back must do. */
  edit(page: Shown, cell: Cell | 'things', act: () => void): void {
    const past = this.pastOf(page.session)
    this.noting(page, true, () => {
      const before = page.session.document
      act()
      const after = page.session.document
      if (!before || !after || before === after) return
      past.done.push({ cell, before: shownIn(before, cell), after: shownIn(after, cell) })
      past.undone.length = 0
    })
  }

  /** Takes the last edit of a page back, or does it again; it comes out exactly, or not at all. */
  go(page: Shown, way: 'undo' | 'redo'): void {
    const { done, undone, isKnown } = this.pastOf(page.session)
    const [from, to] = way === 'undo' ? [done, undone] : [undone, done]
    this.noting(page, false, () => {
      const before = page.session.document
      page.session[way]()
      const after = page.session.document
      if (!isKnown) return
      const last = from.pop()
      if (!before || !after || !last) {
        expect(after).toEqual(before)
        return
      }
      const [stands, shall] = way === 'undo' ? [last.after, last.before] : [last.before, last.after]
      const things = last.cell === 'things'
      const has = (id: string) => shownIn(before, 'things').split(' ').includes(id)
      const thing =
        `${last.before} ${last.after}`.split(' ').find((id) => shall.includes(id) !== stands.includes(id)) ?? ''
      if (things ? has(thing) !== shall.includes(thing) : shownIn(before, last.cell) === stands) {
        to.push(last)
        if (things) expect(shownIn(after, 'things').split(' ').includes(thing)).toBe(shall.includes(thing))
        else expect(shownIn(after, last.cell)).toBe(shall)
      } else expect(shownIn(after, last.cell)).toBe(shownIn(before, last.cell))
      for (const cell of cells) if (cell !== last.cell) expect(read(after, cell)).toBe(read(before, cell))
    })
  }

  /** Gives up all that is not saved; taken back and done again it comes out exactly. */
  backToSaved(page: Shown): void {
    const past = this.pastOf(page.session)
    this.noting(page, false, () => {
      const before = page.session.document
      page.session.backToSaved()
      const after = page.session.document
      if (before === after) return
      page.session.undo()
      expect(page.session.document).toEqual(before)
      page.session.redo()
      expect(page.session.document).toEqual(after)
      past.isKnown = false
    })
  }

  async resolve(page: Shown, side: Side): Promise<void> {
    const { state, document } = page.session
    if (state.kind !== 'conflict' || !document) return
    const choices: Choices = Object.fromEntries(state.conflicts.map(({ key }) => [key, side]))
    for (const conflict of state.conflicts) {
      for (const cell of cells) {
        const wasThere = read(state.there.trip, cell)
        const wasHere = read(document, cell)
        const touches = conflict.paths.some((path) => JSON.stringify(path).includes(pathOf[cell]))
        if (touches && wasHere !== wasThere)
          this.standing.get(`${page.trip} ${cell}`)?.delete(side === 'here' ? wasThere : wasHere)
      }
      const thing = /^\[\["bench",{"id":"([^"]+)"}\]\]$/.exec(conflict.key)?.[1]
      if (thing && conflict[side][0] === undefined) this.laid.delete(thing)
      else if (thing?.startsWith('thing-')) this.laid.set(thing, page.trip)
    }
    this.conflicts++
    this.pastOf(page.session).isKnown = false
    await page.session.resolve(choices)
    await settle()
  }
}

const pathOf: Record<Cell, string> = {
  dial: 'gramsPerHour',
  name: '["name"]',
  mass: 'massG',
  note: 'note',
}

interface Model {
  readonly nothing: true
}
type Command = fc.AsyncCommand<Model, World>

let commandsRun = 0
const command = (name: string, run: (world: World) => Promise<void>): Command => ({
  check: () => true,
  async run(_, world) {
    await run(world)
    // Every other time requests stay under way while the next thing happens.
    if (commandsRun++ % 2) await settle()
    else await drain()
  },
  toString: () => name,
})

const windowIndex = fc.nat({ max: 2 })
/** One trip more often than the others, so that windows meet. */
const someTrip = fc.constantFrom<TripId>('t0', 't0', 't0', 't0', 't1', 't2')
const commands: fc.Arbitrary<Command>[] = [
  fc.tuple(windowIndex, someTrip).map(([i, trip]) =>
    command(`open ${trip} in window ${i}`, async (world) => {
      const page = world.pages[i]
      if (page?.trip === trip) return
      if (page) void world.windowAt(i).sessions.close(page.trip)
      world.pages[i] = undefined
      const { session, opened } = await world.windowAt(i).sessions.open(trip)
      if (opened.kind === 'opened') world.pages[i] = { trip, session }
      else void world.windowAt(i).sessions.close(trip)
    }),
  ),
  ...[1, 2, 3].map(() =>
    fc.tuple(windowIndex, fc.constantFrom(...cells)).map(([i, cell]) =>
      command(`edit ${cell} in window ${i}`, async (world) => {
        const page = world.pages[i]
        if (!page) return
        world.edit(page, cell, () => {
          const { document } = page.session
          if (document) write(page.session, document, cell, ++world.lastValue)
        })
      }),
    ),
  ),
  windowIndex.map((i) =>
    command(`lay a thing down in window ${i}`, async (world) => {
      const page = world.pages[i]
      if (!page) return
      world.edit(page, 'things', () => {
        const bench = page.session.document?.bench ?? []
        const [first] = bench
        if (first) page.session.edit('lay', { bench: [...bench, { ...first, id: `thing-${++world.lastValue}` }] })
      })
    }),
  ),
  windowIndex.map((i) =>
    command(`undo in window ${i}`, async (world) => {
      const page = world.pages[i]
      if (page) world.go(page, 'undo')
    }),
  ),
  windowIndex.map((i) =>
    command(`redo in window ${i}`, async (world) => {
      const page = world.pages[i]
      if (page) world.go(page, 'redo')
    }),
  ),
  windowIndex.map((i) =>
    command(`window ${i} goes back to what is saved`, async (world) => {
      const page = world.pages[i]
      if (page) world.backToSaved(page)
    }),
  ),
  fc.constantFrom(50, 400, 3000, 70_000).map((ms) => command(`${ms} ms pass`, (world) => world.timers.pass(ms))),
  fc.constantFrom<Mood>('well', 'well', 'unreachable', 'answer lost', 'late', 'signed out', 'refuses').map((mood) =>
    command(`the server is ${mood}`, async (world) => {
      world.server.mood = mood
      if (mood === 'refuses') world.refused = true
    }),
  ),
  fc.constant(command('what was late arrives', async (world) => world.server.arriveLate())),
  fc.constant(
    command('somebody signs in again', async (world) => {
      if (world.server.mood === 'signed out') world.server.mood = 'well'
      for (const window of world.windows) await Promise.race([window.sessions.tryAgain(), settle()])
    }),
  ),
  fc.tuple(fc.constantFrom(...tripIds), fc.boolean()).map(([trip, gone]) =>
    command(`${trip} is ${gone ? 'thrown away' : 'taken back'}`, async (world) => {
      const kept = world.server.trips.get(trip)
      if (kept) kept.gone = gone
    }),
  ),
  windowIndex.map((i) =>
    command(`window ${i} dies, and is opened again`, async (world) => {
      world.windowAt(i).die()
      world.pages[i] = undefined
      world.windows[i] = world.newWindow(i)
    }),
  ),
  windowIndex.map((i) =>
    command(`the page in window ${i} is left`, async (world) => {
      const page = world.pages[i]
      world.pages[i] = undefined
      if (page) void world.windowAt(i).sessions.close(page.trip)
    }),
  ),
  fc.tuple(windowIndex, fc.constantFrom<Side>('here', 'there')).map(([i, side]) =>
    command(`what is ${side} is taken in window ${i}`, async (world) => {
      const page = world.pages[i]
      if (page) await world.resolve(page, side)
    }),
  ),
]

const backups: fc.Arbitrary<Command>[] = [
  fc.constant(command('the server is copied', async (world) => world.server.copy())),
  fc.constant(
    command('the server goes back to its copy', async (world) => {
      world.server.goBack()
      world.wentBack = true
    }),
  ),
]

/** Everything comes back: the server, the person, the trips; every conflict is settled; everything is brought home. */
async function comeHome(world: World): Promise<void> {
  world.server.mood = 'well'
  world.server.arriveLate()
  for (const kept of world.server.trips.values()) kept.gone = false
  await settle()
  for (const window of world.windows) await Promise.race([window.sessions.tryAgain(), settle()])
  await world.timers.pass(200_000)
  // Nobody had to open anything for it; only what has to be asked about, or was refused, still waits.
  if (!world.wentBack && !world.refused && new Set(world.browsers).size === 1) {
    for (const device of world.devices) expect(await device.outbox.waiting()).toEqual([])
  }
  for (let round = 0; round < 12; round++) {
    for (const i of [0, 2]) {
      for (const trip of tripIds) {
        const { session } = await world.windowAt(i).sessions.open(trip)
        const flushed = session.tryAgain()
        await world.timers.pass(10_000)
        await flushed
        await world.resolve({ trip, session }, 'here')
        await world.timers.pass(10_000)
        await session.catchUp()
        await settle()
        void world.windowAt(i).sessions.close(trip)
        await settle()
      }
    }
  }
}

describe('sessions of several trips in several windows', () => {
  it.each([
    ['whatever the server and the windows do', commands, [0, 0, 1], runs],
    ['in windows of one browser, even where the server forgets', [...commands, ...backups], [0, 0, 0], runs / 2],
  ])(
    'lose no edit, %s',
    async (how, possible, browsers, numRuns) => {
      let asked = 0
      let saves = 0
      let steps = 0
      await fc.assert(
        fc.asyncProperty(fc.commands(possible, { maxCommands: 60, size: '+1' }), async (sequence) => {
          const world = new World(browsers)
          await settle()
          for (const i of [0, 1, 2]) {
            const { session } = await world.windowAt(i).sessions.open('t0')
            world.pages[i] = { trip: 't0', session }
          }
          commandsRun = 0
          await fc.asyncModelRun(() => ({ model: { nothing: true as const }, real: world }), sequence)
          await comeHome(world)
          for (const id of tripIds) {
            const kept = world.server.trips.get(id)
            if (!kept) throw new Error('no such trip')
            for (const cell of cells) {
              const last = read(kept.trip, cell)
              const lost = [...(world.standing.get(`${id} ${cell}`) ?? [])].filter((value) => value !== last)
              expect(lost, `${id} ${cell} is ${last}`).toEqual([])
              expect(world.ever).toContain(last)
            }
            const things = new Set(kept.trip.bench.map((thing) => thing.id))
            const should = [...world.laid].filter(([, trip]) => trip === id).map(([thing]) => thing)
            expect([...things].sort()).toEqual([...smallTrip(id).bench.map((thing) => thing.id), ...should].sort())
          }
          for (const device of world.devices) expect(await device.outbox.waiting()).toEqual([])
          asked += world.conflicts
          saves += world.server.saves.length
          steps += commandsRun
        }),
        { numRuns, seed },
      )
      // The sequences do lead into what they are meant to try.
      expect(asked).toBeGreaterThan(numRuns / 20)
      judged(`sessions ${new Set(browsers).size}`, [
        `${numRuns} sequences ${how}: ${steps} things done, ${saves} saves, ${asked} conflicts settled; no edit lost, none on another trip, each undo and redo exact.`,
      ])
    },
    1_800_000,
  )
})
