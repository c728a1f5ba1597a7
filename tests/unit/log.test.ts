import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { inOrder, logEntrySchema, logSchema, type LogEntry } from '#core/log'
import { idOfGot, whatIsLeft } from '#core/trail'
import { tripSchema, readTrip, type Trip } from '#core/trip'
import { checkAgainst, defined, nth } from '#core/validation'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'

const trip = demoTrip()
const entry = (fields: object): LogEntry => logEntrySchema.parse({ id: 'e', at: '2026-06-14T15:40', ...fields })
const [maren, ansel] = [nth(trip.crew, 0).id, nth(trip.crew, 1).id]
const thingWith = (stock: string) => defined(trip.bench.find(({ units }) => (units[stock] ?? 0) > 1))
const patches = thingWith('patch')
const tube = defined(trip.bench.find(({ units }) => units['tube-622'] === 1))
const pump = defined(trip.bench.find(({ provides, units }) => provides.length > 0 && Object.keys(units).length === 0))
const planned = [
  { rider: maren, thing: patches.id, count: 1, bag: 'frame bag' },
  { rider: maren, thing: tube.id, count: 1, bag: 'frame bag' },
  { rider: ansel, thing: tube.id, count: 2, bag: 'frame bag' },
  { rider: ansel, thing: pump.id, count: 1, bag: 'frame bag' },
]
const leftWith = (...log: readonly LogEntry[]) => whatIsLeft({ bench: trip.bench, log: [...log] }, planned, catalogue)
const piecesOf = (kit: ReturnType<typeof leftWith>, rider: string, thing: string) =>
  kit.left.find((pieces) => pieces.rider === rider && pieces.thing === thing)
const gone = (id: string, spent: object, by = maren, at = '2026-06-14T15:40') =>
  entry({ id, at, by, kind: 'gone', why: 'used', spent: [spent] })

describe('a log', () => {
  it.each([
    [{ kind: 'note', at: 'yesterday' }, /at: .*yesterday.*2026-06-14T15:40/],
    [{ kind: 'gone', why: 'used', spent: [] }, /spent/],
    [{ kind: 'gone', why: 'used', spent: [{ thing: 'x', amount: 0 }] }, /amount/],
    [{ kind: 'failed', hazard: 'puncture', bikeId: 'fox', tries: [{ fix: 'a' }] }, /could/],
    [{ kind: 'sang' }, /kind/],
    [{ kind: 'note', note: 'a'.repeat(1001) }, /note/],
    [{ kind: 'got', how: 'stolen', name: 'tube' }, /how/],
  ])('refuses %j and says where', (fields, said) => {
    const given = [{ id: 'e', at: '2026-06-14T15:40', ...fields }]
    expect(() => checkAgainst(logSchema, given)).toThrow(said)
  })

  it('refuses two entries of one id in a trip, and lets riders and things be gone that it speaks of', () => {
    const twice = { ...trip, log: [entry({ kind: 'note' }), entry({ kind: 'passed' })] }
    expect(() => readTrip(twice, catalogue)).toThrow('log[1].id: "e" a second time; expected an id used once')
    const gone = entry({ kind: 'gone', why: 'lost', by: 'nobody', spent: [{ thing: 'no more', amount: 1 }] })
    expect(readTrip({ ...trip, log: [gone] }, catalogue).log).toEqual([gone])
  })

  it('is none in a trip of a format that knew of none', () => {
    const { log: _, ...before } = trip
    expect(readTrip({ ...before, format: 'rag-tin.trip/5' }, catalogue)).toEqual(tripSchema.parse(trip))
  })

  it('has one order, however it came together', () => {
    const times = fc.constantFrom('2026-06-14T15:40', '2026-06-14T15:41', '2026-06-13T23:59')
    const entries = fc.uniqueArray(fc.tuple(fc.string({ minLength: 1, maxLength: 4 }), times), {
      selector: ([id]) => id,
      minLength: 1,
      maxLength: 8,
    })
    fc.assert(
      fc.property(entries, fc.infiniteStream(fc.double({ min: 0, max: 1, noNaN: true })), (written, numbers) => {
        const log = written.map(([id, at]): LogEntry => ({ ...entry({ kind: 'note' }), id, at }))
        const shuffled = log
          .map((each) => ({ each, by: numbers.next().value as number }))
          .sort((a, b) => a.by - b.by)
          .map(({ each }) => each)
        expect(inOrder(shuffled)).toEqual(inOrder(log))
        const at = inOrder(log).map((each) => each.at)
        expect(at).toEqual([...at].sort())
      }),
    )
  })
})

describe('what is left', () => {
  it('is what was planned while nothing is logged, and what riders set off with once they say so', () => {
    expect(leftWith().left.map(({ amounts: _, bags, ...pieces }) => ({ ...pieces, bag: bags.join() }))).toEqual(planned)
    expect(piecesOf(leftWith(), maren, patches.id)?.amounts).toEqual(patches.units)
    expect(piecesOf(leftWith(), ansel, tube.id)?.amounts).toEqual({ 'tube-622': 2 })
    const carried = [{ rider: ansel, thing: tube.id, count: 1 }]
    const used = gone('before', { thing: tube.id, stock: 'tube-622', amount: 1 }, ansel, '2026-06-01T10:00')
    const kit = leftWith(entry({ kind: 'set off', carried }), used)
    expect(kit.left).toEqual([{ rider: ansel, thing: tube.id, count: 1, amounts: { 'tube-622': 1 }, bags: [] }])
  })

  it('is less by what was spent: of a kit of patches so many patches, and the kit is gone with the last', () => {
    const inKit = nth(Object.values(patches.units), 0)
    const some = leftWith(gone('a', { thing: patches.id, stock: 'patch', amount: 2 }))
    expect(piecesOf(some, maren, patches.id)).toMatchObject({ count: 1, amounts: { patch: inKit - 2 } })
    const all = { thing: patches.id, stock: 'patch', amount: inKit + 3 }
    expect(piecesOf(leftWith(gone('a', all)), maren, patches.id)).toBeUndefined()
  })

  it('is taken from whoever it is said, then from who wrote it, then from the others', () => {
    const spent = (amount: number, from: string | null) => ({ thing: tube.id, stock: 'tube-622', amount, from })
    const counts = (kit: ReturnType<typeof leftWith>) => [
      piecesOf(kit, maren, tube.id)?.count,
      piecesOf(kit, ansel, tube.id)?.count,
    ]
    expect(counts(leftWith(gone('a', spent(1, null), maren)))).toEqual([undefined, 2])
    expect(counts(leftWith(gone('a', spent(1, ansel), maren)))).toEqual([1, 1])
    expect(counts(leftWith(gone('a', spent(2, null), maren)))).toEqual([undefined, 1])
    expect(counts(leftWith(gone('a', spent(9, null), maren)))).toEqual([undefined, undefined])
  })

  it('loses whole pieces that broke or were lost, and what they held with them', () => {
    const broke = leftWith(
      gone('a', { thing: pump.id, amount: 1 }, ansel),
      gone('b', { thing: tube.id, amount: 1 }, ansel),
    )
    expect(piecesOf(broke, ansel, pump.id)).toBeUndefined()
    expect(piecesOf(broke, ansel, tube.id)).toMatchObject({ count: 1, amounts: { 'tube-622': 1 } })
  })

  it('counts what a try spent, though it did not hold', () => {
    const spent = [{ thing: patches.id, stock: 'patch', amount: 1 }]
    const tries = [{ fix: 'patch-tube', could: true, held: false, spent }]
    const failed = entry({ kind: 'failed', by: maren, hazard: 'puncture', bikeId: 'fox', wheel: 'rear', tries })
    expect(piecesOf(leftWith(failed), maren, patches.id)?.amounts.patch).toBe(nth(Object.values(patches.units), 0) - 1)
  })

  it('is more by what was got: of the bench, or of a kind that the catalogue knows; nothing by what was borrowed', () => {
    const got = (fields: object) => entry({ kind: 'got', how: 'bought', by: maren, name: 'A tube', ...fields })
    expect(piecesOf(leftWith(got({ thing: tube.id, count: 2 })), maren, tube.id)?.count).toBe(3)
    const kind = nth(catalogue.items, 0)
    const kit = leftWith(got({ id: 'new', item: kind.id, name: 'From the shop', count: 2 }))
    const id = idOfGot({ id: 'new' })
    expect(piecesOf(kit, maren, id)).toMatchObject({ count: 2 })
    expect(kit.things.find((thing) => thing.id === id)).toMatchObject({ name: 'From the shop', massG: kind.massG })
    expect(leftWith(got({ how: 'borrowed', thing: pump.id })).left).toEqual(leftWith().left)
    expect(leftWith(got({ item: 'unheard of' })).left).toEqual(leftWith().left)
  })

  it('knows in which bags it was packed, until nothing is left there', () => {
    expect(piecesOf(leftWith(), ansel, tube.id)?.bags).toEqual(['frame bag'])
    const all = [maren, ansel].map((rider) => ({ rider, thing: pump.id, count: 1 }))
    const inTwo = all.flatMap((each) => ['frame bag', 'frame bag', 'tin', ''].map((bag) => ({ ...each, bag })))
    const setOff = entry({ kind: 'set off', carried: inTwo })
    expect(piecesOf(leftWith(setOff), maren, pump.id)).toMatchObject({ count: 4, bags: ['frame bag', 'tin'] })
    const lost = gone('lost', { thing: pump.id, amount: 4, from: maren }, maren, '2026-06-14T23:00')
    expect(piecesOf(leftWith(setOff, lost), maren, pump.id)).toBeUndefined()
    expect(piecesOf(leftWith(setOff, lost), ansel, pump.id)?.count).toBe(4)
  })

  it('comes to the same in whichever order entries are read, and an entry that is taken back leaves no trace', () => {
    const log = [
      gone('a', { thing: tube.id, stock: 'tube-622', amount: 3 }, maren, '2026-06-14T10:00'),
      entry({ id: 'b', at: '2026-06-14T11:00', kind: 'got', how: 'given', by: ansel, thing: tube.id, name: 'A tube' }),
      gone('c', { thing: patches.id, stock: 'patch', amount: 1 }, ansel, '2026-06-14T12:00'),
    ]
    expect(leftWith(...log.toReversed())).toEqual(leftWith(...log))
    expect(leftWith(...log.filter(({ id }) => id !== 'b'))).toEqual(leftWith(nth(log, 0), nth(log, 2)))
    // Had the tube come first, it would have gone as well: the order is that of the clock.
    expect(piecesOf(leftWith(...log), ansel, tube.id)?.count).toBe(1)
  })

  it('never holds less than nothing, nor more than it was', () => {
    const stocks = trip.bench.flatMap((thing) =>
      [null, ...Object.keys(thing.units)].map((stock) => ({ thing: thing.id, stock })),
    )
    const spending = fc.tuple(fc.constantFrom(...stocks), fc.double({ min: 0.01, max: 9, noNaN: true }))
    const all = trip.bench.map(({ id, count }) => ({ rider: maren, thing: id, count, bag: '' }))
    fc.assert(
      fc.property(fc.array(spending, { maxLength: 30 }), (spent) => {
        const log = spent.map(([what, amount], i) => gone(`${i}`, { ...what, amount }))
        const before: Pick<Trip, 'bench' | 'log'> = { bench: trip.bench, log: [] }
        const full = new Map(whatIsLeft(before, all, catalogue).left.map((pieces) => [pieces.thing, pieces]))
        for (const { thing, count, amounts } of whatIsLeft({ ...before, log }, all, catalogue).left) {
          expect(count).toBeGreaterThan(0)
          expect(count).toBeLessThanOrEqual(defined(full.get(thing)).count)
          for (const [stock, amount] of Object.entries(amounts)) {
            expect(amount).toBeGreaterThanOrEqual(0)
            expect(amount).toBeLessThanOrEqual(defined(full.get(thing)?.amounts[stock]))
          }
        }
      }),
    )
  })
})
