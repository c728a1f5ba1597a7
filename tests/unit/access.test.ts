import { demoTrip } from '#catalogue/demo'
import {
  broughtByLayer,
  changeLines,
  mayBring,
  mostChangeLines,
  refusedChanges,
  refusedLine,
  soleAccess,
  type Access,
} from '#core/access'
import { ownTaskSchema, type OwnTask } from '#core/home'
import { logEntrySchema } from '#core/log'
import { partNames, withoutRider, type PartName, type Trip } from '#core/trip'
import { nth } from '#core/validation'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'

const logEntry = (id: string, by: string) => logEntrySchema.parse({ kind: 'note', id, by, at: '2026-06-13T12:00' })
const written = (by: string) => logEntry('new', by)
const trip = ((): Trip => {
  const demo = demoTrip()
  const [me, other] = [nth(demo.crew, 0), nth(demo.crew, 1)]
  const bench = demo.bench.map((thing, i) => ({ ...thing, broughtBy: i === 0 ? me.id : i === 1 ? other.id : null }))
  const task = (id: string, by: string | null) => ownTaskSchema.parse({ id, name: id, by })
  const tasks = [task('my ticket', me.id), task('their ticket', other.id), task('the cat', null)]
  const log = [logEntry('mine', me.id), logEntry('theirs', other.id)]
  return { ...demo, bench, home: { ...demo.home, tasks }, log }
})()
const [me, other] = [nth(trip.crew, 0), nth(trip.crew, 1)]
const myThing = nth(trip.bench, 0)
const [theirThing, everybodys] = [nth(trip.bench, 1), nth(trip.bench, 2)]
const spare = { ...nth(trip.bikes, 0), id: 'spare', name: 'Spare' }
const rider: Access = { role: 'rider', rider: me.id, people: 2 }
const reader: Access = { role: 'reader', rider: null, people: 2 }
const owner: Access = { role: 'owner', rider: null, people: 2 }

type Change = (trip: Trip) => Trip
const inList =
  (part: 'bikes' | 'crew' | 'bench' | 'stops' | 'log', id: string, change: object): Change =>
  (given) => ({
    ...given,
    [part]: (given[part] as readonly { id: string }[]).map((each) => (each.id === id ? { ...each, ...change } : each)),
  })
const atHome =
  (id: string, change: Partial<OwnTask>): Change =>
  (given) => ({
    ...given,
    home: { ...given.home, tasks: given.home.tasks.map((own) => (own.id === id ? { ...own, ...change } : own)) },
  })
const without =
  (part: 'bikes' | 'crew' | 'bench' | 'log', id: string): Change =>
  (given) => ({
    ...given,
    [part]: (given[part] as readonly { id: string }[]).filter((each) => each.id !== id),
  })
const withMore =
  (part: 'bikes' | 'crew' | 'bench' | 'log', entry: object): Change =>
  (given) => ({ ...given, [part]: [...given[part], entry] })

/** What a rider may do, and may not, said anew and not by the code: common practice of shared plans, no source. */
const mine: Readonly<Record<string, Change>> = {
  'their hands': inList('crew', me.id, { hands: 3, skills: {} }),
  'their name': inList('crew', me.id, { name: 'Another' }),
  'their load': inList('crew', me.id, { loadG: 12_345, share: 0 }),
  'their bike': inList('bikes', me.bikeId, { name: 'Renamed' }),
  'a thing they bring': inList('bench', myThing.id, { massG: 77, count: 2 }),
  'the pin of it': inList('bench', myThing.id, { pin: { min: 1, max: 1 } }),
  'taking it away': without('bench', myThing.id),
  'one thing more that they bring': withMore('bench', { ...everybodys, id: 'more', broughtBy: me.id }),
  'what they do at home': atHome('my ticket', { state: 'done' }),
  'what they write in the log': withMore('log', written(me.id)),
  'what they wrote there': inList('log', 'mine', { note: 'not so' }),
  'taking that back': without('log', 'mine'),
  'a new bike of theirs': (given) => inList('crew', me.id, { bikeId: 'spare' })(withMore('bikes', spare)(given)),
}
const others: Readonly<Record<string, Change>> = {
  'the hands of another': inList('crew', other.id, { hands: 3, skills: {} }),
  'somebody more': withMore('crew', { ...other, id: 'new' }),
  'somebody less': without('crew', other.id),
  'themselves away': without('crew', me.id),
  'the bike of another': inList('bikes', other.bikeId, { name: 'Renamed' }),
  'riding the bike of another': inList('crew', me.id, { bikeId: other.bikeId }),
  'a bike that nobody rides': withMore('bikes', spare),
  'a thing of another': inList('bench', theirThing.id, { massG: 77 }),
  'a thing of everybody': inList('bench', everybodys.id, { pin: { min: 1, max: 1 } }),
  'taking that over': inList('bench', everybodys.id, { broughtBy: me.id }),
  'taking it away': without('bench', everybodys.id),
  'a thing that another brings': withMore('bench', { ...everybodys, id: 'more', broughtBy: other.id }),
  'a thing that nobody brings': withMore('bench', { ...everybodys, id: 'more' }),
  'giving theirs to another': inList('bench', myThing.id, { broughtBy: other.id }),
  'what another does at home': atHome('their ticket', { state: 'done' }),
  'what anybody does at home': atHome('the cat', { state: 'done' }),
  'taking that over as well': atHome('the cat', { by: me.id }),
  'giving what they do at home to another': atHome('my ticket', { by: other.id }),
  'what another wrote in the log': inList('log', 'theirs', { note: 'not so' }),
  'taking what they wrote away': without('log', 'theirs'),
  'writing for another': withMore('log', written(other.id)),
  'making another say what they wrote': inList('log', 'mine', { by: other.id }),
  'a shop at home': (given) => ({ ...given, home: { ...given.home, country: 'de' } }),
  'the name of the trip': (given) => ({ ...given, name: 'Mine now' }),
  'the dial': (given) => ({ ...given, dials: { ...given.dials, gramsPerHour: 1 } }),
  'a stop': inList('stops', nth(trip.stops, 0).id, { name: 'Elsewhere' }),
  'the road': (given) => ({ ...given, road: { ...given.road, name: 'Elsewhere' } }),
  'the days': (given) => ({ ...given, ride: { ...given.ride, ridingH: 3 } }),
  'the weather': (given) => ({ ...given, forecast: { from: 'me', days: [] } }),
}
const partsOf = (before: Trip, after: Trip): PartName[] => partNames.filter((part) => before[part] !== after[part])
const refusedOf = (access: Access, after: Trip) =>
  refusedChanges(access, trip, after, partsOf(trip, after)).map(refusedLine)

describe('who may change what', () => {
  it.each(Object.entries(mine))('a rider: %s', (_, change) => {
    expect(refusedOf(rider, change(trip))).toEqual([])
    expect(refusedOf(reader, change(trip))).toHaveLength(partsOf(trip, change(trip)).length)
    expect(refusedOf(owner, change(trip))).toEqual([])
  })
  it.each(Object.entries(others))('not a rider: %s', (_, change) => {
    const lines = refusedOf(rider, change(trip))
    expect(lines.length).toBeGreaterThan(0)
    // Where, and what to do about it.
    for (const line of lines)
      expect(line).toMatch(/^(name|road|ride|forecast|stops|bikes|crew|bench|home|log|dials).*(: ).+\./)
    expect(refusedOf(reader, change(trip))).toHaveLength(partsOf(trip, change(trip)).length)
    expect(refusedOf(owner, change(trip))).toEqual([])
  })
  it('whatever is done together, it is refused where and only where one of it is not theirs', () => {
    const all = [...Object.values(mine).slice(0, 5), ...Object.values(others).slice(7, 9), others['the dial'] as Change]
    const isTheirs = (change: Change) => Object.values(mine).includes(change)
    fc.assert(
      fc.property(fc.subarray(all), (changes) => {
        const after = changes.reduce((given, change) => change(given), trip)
        expect(refusedOf(rider, after).length > 0).toBe(!changes.every(isTheirs))
      }),
    )
  })
  it('a rider whom nobody has found in the crew changes nothing', () => {
    for (const id of [null, 'gone']) {
      const lines = refusedOf({ ...rider, rider: id }, nth(Object.values(mine), 0)(trip))
      expect(lines).toEqual([expect.stringContaining('nobody of the crew is you yet')])
    }
  })
  it('a bike that two ride is changed by both, and taken over by nobody else', () => {
    const tandem = inList('crew', other.id, { bikeId: me.bikeId })(trip)
    const changed = inList('bikes', me.bikeId, { name: 'Two seats' })(tandem)
    for (const id of [me.id, other.id])
      expect(refusedChanges({ ...rider, rider: id }, tandem, changed, ['bikes'])).toEqual([])
  })
  it('a bike that nobody rides can be taken over, and changed at once', () => {
    const free = withMore('bikes', spare)(trip)
    const taken = inList('bikes', 'spare', { name: 'Mine' })(inList('crew', me.id, { bikeId: 'spare' })(free))
    expect(refusedChanges(rider, free, taken, ['bikes', 'crew'])).toEqual([])
  })
})

describe('who brings a thing', () => {
  const laid = { ...everybodys, id: 'laid', shed: null }
  const ofShed = { ...laid, id: 'of-shed', shed: 'x' }
  const bench = [...trip.bench, laid, ofShed]
  const brought = (access: Access) =>
    broughtByLayer(access, trip.bench, bench).flatMap(({ id, broughtBy }, i) =>
      broughtBy === (bench[i]?.broughtBy ?? null) ? [] : [`${id} ${broughtBy}`],
    )
  it('is who lays it down, an owner where it is of their shed', () => {
    expect(brought(rider)).toEqual([`laid ${me.id}`, `of-shed ${me.id}`])
    expect(brought({ ...owner, rider: me.id })).toEqual([`of-shed ${me.id}`])
    expect(brought(owner)).toEqual([])
    expect(brought(soleAccess)).toEqual([])
  })
  it('is everybody once the rider is gone, and nothing dangles', () => {
    const left = withoutRider(trip, me.id)
    expect(left.crew.map(({ id }) => id)).not.toContain(me.id)
    expect(left.bench.map(({ broughtBy }) => broughtBy)).not.toContain(me.id)
    expect(left.bench).toEqual(trip.bench.map((t) => ({ ...t, broughtBy: t.id === myThing.id ? null : t.broughtBy })))
  })
  it('is carried by others once the rider is gone', () => {
    const carried = { ...everybodys, count: 3, carriedBy: { [me.id]: 1, [other.id]: 2 } }
    const { bench } = withoutRider({ ...trip, bench: [carried] }, me.id)
    expect(bench[0]?.carriedBy).toEqual({ [other.id]: 2 })
  })
  it('may be somebody whose it is, or the owner of what is nobody’s', () => {
    const who = (access: Access) => [myThing, theirThing, everybodys].map((thing) => mayBring(access, thing))
    expect(who(rider)).toEqual([true, false, false])
    expect(who({ ...owner, rider: other.id })).toEqual([false, true, true])
    expect(who(owner)).toEqual([false, false, true])
    expect(who(reader)).toEqual([false, false, false])
    expect(who(soleAccess)).toEqual([true, true, true])
  })
})

describe('what was changed', () => {
  it('is told thing by thing', () => {
    const changes: Change[] = [
      inList('bench', myThing.id, { massG: 77, count: 2 }),
      without('bench', theirThing.id),
      withMore('bench', { ...everybodys, id: 'new', name: 'Newcomer' }),
      inList('crew', other.id, { hands: 3 }),
      (given) => ({ ...given, dials: { ...given.dials, trust: 0.123 } }),
      (given) => ({ ...given, name: 'Another' }),
    ]
    const after = changes.reduce((given, change) => change(given), trip)
    expect(changeLines(trip, after, partNames)).toEqual({
      lines: [
        { part: 'name', name: 'Another', how: 'changed', fields: [] },
        { part: 'crew', name: other.name, how: 'changed', fields: ['hands'] },
        { part: 'bench', name: theirThing.name, how: 'removed', fields: [] },
        { part: 'bench', name: myThing.name, how: 'changed', fields: ['massG', 'count'] },
        { part: 'bench', name: 'Newcomer', how: 'added', fields: [] },
        { part: 'dials', name: '', how: 'changed', fields: ['trust'] },
      ],
      more: 0,
    })
  })
  it('is nothing where nothing is, and of much the first lines with how many more', () => {
    expect(changeLines(trip, structuredClone(trip), partNames)).toEqual({ lines: [], more: 0 })
    const bare = changeLines(trip, { ...trip, bench: [] }, ['bench'])
    expect(bare.lines).toHaveLength(mostChangeLines)
    expect(bare.lines.length + bare.more).toBe(trip.bench.length)
  })
})
