import { soleAccess } from '#core/access'
import { demoTrip, tripBetweenShops } from '#catalogue/demo'
import { partNames } from '#core/trip'
import { defined } from '#core/validation'
import 'fake-indexeddb/auto'
import { openDB } from 'idb'
import { beforeEach, describe, expect, it } from 'vitest'
import { openDeviceDatabase } from '../../../app/session/device-database'
import { IndexedDbOutbox } from '../../../app/session/indexed-db-outbox'
import { MemoryOutbox } from '../../../app/session/memory-outbox'
import { OwnTrips } from '../../../app/session/own-trips'
import { TripSessions } from '../../../app/session/trip-sessions'
import { loneWindow } from '../../../app/session/windows'
import { FakeTimers, smallTrip } from '../../fake-world'

let bases = 0

describe('the trips of somebody without an account', () => {
  let name: string
  let own: OwnTrips
  const trip = smallTrip('Mine')
  beforeEach(async () => {
    name = `own-${++bases}`
    own = new OwnTrips(name)
    await own.create('t', trip)
  })
  const loaded = async (id = 't') => {
    const answer = await own.load(id)
    if (answer.kind !== 'loaded') throw new Error(`it is ${answer.kind}`)
    return answer
  }

  it('are given back as they were made, each part in its first revision', async () => {
    const { trip: document, revisions } = await loaded()
    expect(document).toEqual(trip)
    expect(Object.keys(revisions).sort()).toEqual([...partNames].sort())
    expect(await own.revisions('t')).toEqual({ kind: 'known', revisions, access: soleAccess })
    expect(await own.load('other')).toEqual({ kind: 'gone' })
    expect(await own.revisions('other')).toEqual({ kind: 'gone' })
  })

  it('are saved part by part; offered twice under one name, a save is done once', async () => {
    const { revisions } = await loaded()
    const change = [{ part: 'name' as const, base: revisions.name, value: 'Renamed' }]
    const first = await own.save('t', 's1', change)
    expect(first).toMatchObject({ kind: 'saved', made: { name: { number: 2, save: 's1' } } })
    expect(await own.save('t', 's1', change)).toEqual(first)
    const after = await loaded()
    expect(after.trip).toEqual({ ...trip, name: 'Renamed' })
    expect(after.revisions).toEqual({ ...revisions, name: { number: 2, save: 's1' } })
  })

  it('are not saved over what another window has saved since', async () => {
    const { revisions } = await loaded()
    await own.save('t', 's1', [{ part: 'name', base: revisions.name, value: 'First' }])
    expect(await own.save('t', 's2', [{ part: 'name', base: revisions.name, value: 'Second' }])).toEqual({
      kind: 'stale',
    })
    expect((await loaded()).trip.name).toBe('First')
  })

  it('are listed with what a list says, the one changed last first, without the bin', async () => {
    await new Promise((later) => setTimeout(later, 2))
    await own.create('u', demoTrip())
    const [latest, first] = await own.list()
    expect(latest).toMatchObject({ trip: 'u', name: 'Across the Quern, June', things: demoTrip().bench.length })
    expect(latest?.lengthKm).toBeCloseTo(620.58, 1)
    expect(first).toMatchObject({ trip: 't', name: 'Mine', things: trip.bench.length })
    await own.throwAway('u')
    expect((await own.list()).map((each) => each.trip)).toEqual(['t'])
    expect(await own.load('u')).toEqual({ kind: 'gone' })
    expect(await own.save('u', 's', [])).toEqual({ kind: 'gone' })
    expect((await own.bin()).map((each) => each.trip)).toEqual(['u'])
    await own.takeBack('u')
    expect((await loaded('u')).trip).toEqual(demoTrip())
    expect(await own.bin()).toEqual([])
    await own.forget('u')
    await own.takeBack('u')
    expect((await own.list()).map((each) => each.trip)).toEqual(['t'])
  })

  it('say in a list what a save has made of them', async () => {
    const { revisions } = await loaded()
    await own.save('t', 's1', [
      { part: 'name', base: revisions.name, value: 'Farther' },
      { part: 'road', base: revisions.road, value: tripBetweenShops(100).road },
    ])
    expect(await own.list()).toMatchObject([{ name: 'Farther', things: trip.bench.length }])
    expect((await own.list())[0]?.lengthKm).toBeCloseTo(100, 6)
  })

  it('of an older format are brought up when they are read, and wholly when they are saved', async () => {
    // What an older Rag Tin left: the same parts under its format.
    const db = await openDeviceDatabase(name)
    await db.put('own', { ...defined(await db.get('own', 't')), format: 'rag-tin.trip/2' })
    db.close()
    const { trip: document, revisions } = await loaded()
    expect(document.format).toBe(trip.format)
    await own.save('t', 's1', [{ part: 'name', base: revisions.name, value: 'Renamed' }])
    const after = await openDeviceDatabase(name)
    expect((await after.get('own', 't'))?.format).toBe(trip.format)
    expect(await after.get('ownParts', ['t', 'bikes'])).toMatchObject({ value: document.bikes })
    after.close()
  })

  it('are what a trip’s session opens and saves, as if it asked a server', async () => {
    const timers = new FakeTimers()
    const sessions = new TripSessions(
      { outbox: new MemoryOutbox(), server: own, windows: loneWindow, timers, newId: () => crypto.randomUUID() },
      () => undefined,
    )
    const { session, opened } = await sessions.open('t')
    expect(opened).toEqual({ kind: 'opened' })
    session.edit('rename', { name: 'Through a session' })
    expect(await sessions.flush()).toEqual([])
    expect((await loaded()).trip.name).toBe('Through a session')
    sessions.end()
  })

  it('cannot be read where the browser keeps nothing, which is said', async () => {
    const indexedDb = globalThis.indexedDB
    Object.assign(globalThis, { indexedDB: undefined })
    try {
      expect(await own.load('t')).toMatchObject({ kind: 'away', lines: [expect.stringContaining('keeps nothing')] })
      await expect(own.list()).rejects.toThrow(/keeps nothing on this device: .*With an account/)
    } finally {
      Object.assign(globalThis, { indexedDB: indexedDb })
    }
  })
})

describe('a device’s database of an older Rag Tin', () => {
  it('goes on with all it has', async () => {
    const name = `older-${++bases}`
    const older = await openDB(name, 1, {
      upgrade(database) {
        database.createObjectStore('trips', { keyPath: ['person', 'trip'] })
        database.createObjectStore('parts', { keyPath: ['person', 'trip', 'part'] })
        database.createObjectStore('person')
        database
          .createObjectStore('steps', { keyPath: 'place', autoIncrement: true })
          .createIndex('trip', ['person', 'trip'])
      },
    })
    await older.put('steps', { person: 'maren', trip: 't', id: 'a', changes: [] })
    older.close()
    const outbox = await IndexedDbOutbox.open('maren', name)
    expect(await outbox.waiting()).toMatchObject([{ trip: 't', steps: 1 }])
    outbox.close()
    expect(await new OwnTrips(name).list()).toEqual([])
  })
})
