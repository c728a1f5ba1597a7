import { demoTrip } from '#catalogue/demo'
import type { Access } from '#core/access'
import { defined, nth } from '#core/validation'
import { partNames, type Revision, type Revisions, type Trip } from '#core/trip'
import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it } from 'vitest'
import { forgetPerson, recallPerson, rememberPerson } from '../../../app/session/device-person'
import { IndexedDbOutbox } from '../../../app/session/indexed-db-outbox'
import { MemoryOutbox } from '../../../app/session/memory-outbox'
import type { Outbox, Step } from '../../../app/session/outbox'
import { smallTrip } from '../../fake-world'

const trip = smallTrip('Kept')
const revisionsAt = (revision: Revision) =>
  Object.fromEntries(partNames.map((part) => [part, revision])) as unknown as Revisions
const first = revisionsAt({ number: 1, save: '' })
const step = (id: string): Step => ({ id, changes: [{ path: ['name'], before: 'Kept', after: id }] })

let bases = 0
describe.each<[string, () => Promise<Outbox>]>([
  ['in the browser’s database', () => IndexedDbOutbox.open('maren', `base-${++bases}`)],
  ['in memory', async () => new MemoryOutbox()],
])('an outbox %s', (_, open) => {
  let outbox: Outbox
  beforeEach(async () => {
    outbox = await open()
    await outbox.keep('t', trip, first)
  })

  it('gives a trip back as it was kept, and nothing of one that was not', async () => {
    const { parts, ...rest } = defined(await outbox.read('t'))
    expect({ format: trip.format, ...parts }).toEqual(trip)
    expect(rest).toEqual({ revisions: first, steps: [], settledUpTo: 0, sending: undefined, access: undefined })
    expect(await outbox.read('other')).toBeUndefined()
  })

  it('keeps how the person stands to it, whatever else is done with it', async () => {
    const reader: Access = { role: 'reader', rider: null, people: 3 }
    await outbox.grant('t', reader)
    await outbox.grant('other', reader)
    await outbox.append('t', step('a'))
    await outbox.begin('t', 'save')
    await outbox.rebase('t', { name: 'New' }, first, new Set(['a']), undefined)
    expect(defined(await outbox.read('t')).access).toEqual(reader)
    expect(await outbox.read('other')).toBeUndefined()
  })

  it('gives those parts only that the asker does not know', async () => {
    const known = { revisions: { ...first, bench: { number: 0, save: '' } }, steps: [] }
    expect(Object.keys(defined(await outbox.read('t', known)).parts)).toEqual(['bench'])
  })

  it('gives the steps that the asker knows back as they are', async () => {
    const [mine, other] = [step('a'), step('b')]
    await outbox.append('t', mine)
    await outbox.append('t', other)
    const { steps } = defined(await outbox.read('t', { revisions: first, steps: [mine] }))
    expect(nth(steps, 0).changes).toBe(mine.changes)
    expect(nth(steps, 1).changes).toEqual(other.changes)
  })

  it('does not keep a trip over one that is kept already', async () => {
    await outbox.append('t', step('a'))
    await outbox.keep('t', { ...trip, name: 'Later' }, revisionsAt({ number: 2, save: 'x' }))
    const kept = defined(await outbox.read('t'))
    expect(kept.parts.name).toBe('Kept')
    expect(kept.steps).toHaveLength(1)
  })

  it('holds steps in the order in which they came, each with its place', async () => {
    const places = await Promise.all(['a', 'b', 'c'].map((id) => outbox.append('t', step(id))))
    expect([...places].sort((a, b) => a - b)).toEqual(places)
    const { steps } = defined(await outbox.read('t'))
    expect(steps.map(({ id, place }) => [id, place])).toEqual(['a', 'b', 'c'].map((id, i) => [id, places[i]]))
    expect(nth(steps, 0).changes).toEqual(step('a').changes)
  })

  it('sends the same steps under the same name until they are answered', async () => {
    expect(await outbox.begin('t', 's1')).toBeUndefined()
    const place = await outbox.append('t', step('a'))
    expect(await outbox.begin('t', 's1')).toEqual({ save: 's1', upTo: place })
    await outbox.append('t', step('b'))
    expect(await outbox.begin('t', 's2')).toEqual({ save: 's1', upTo: place })
    expect(defined(await outbox.read('t')).sending).toEqual({ save: 's1', upTo: place })
  })

  it('lets go of steps the server has, and keeps what it has then', async () => {
    await outbox.append('t', step('a'))
    const sending = defined(await outbox.begin('t', 's1'))
    await outbox.append('t', step('b'))
    await outbox.settle('t', sending, { name: 'a' }, { name: { number: 2, save: 's1' } })
    const kept = defined(await outbox.read('t'))
    expect(kept.steps.map(({ id }) => id)).toEqual(['b'])
    expect(kept).toMatchObject({ settledUpTo: sending.upTo, sending: undefined, parts: { name: 'a' } })
    expect(kept.revisions).toEqual({ ...first, name: { number: 2, save: 's1' } })
  })

  it('settles no other save than the one that is on its way', async () => {
    await outbox.append('t', step('a'))
    const sending = defined(await outbox.begin('t', 's1'))
    await outbox.settle('t', { ...sending, save: 'another' }, { name: 'wrong' }, {})
    expect(await outbox.read('t')).toMatchObject({ sending, parts: { name: 'Kept' }, steps: [{ id: 'a' }] })
  })

  it('gathers all steps anew after a save was abandoned', async () => {
    await outbox.append('t', step('a'))
    await outbox.begin('t', 's1')
    const last = await outbox.append('t', step('b'))
    await outbox.abandon('t')
    expect(await outbox.begin('t', 's2')).toEqual({ save: 's2', upTo: last })
  })

  it('takes in what the server has under the steps that wait, with one that follows from it', async () => {
    await outbox.append('t', step('a'))
    const revisions = revisionsAt({ number: 5, save: 'theirs' })
    expect(await outbox.rebase('t', { bench: [] }, revisions, new Set(['a']), step('b'))).toBe(true)
    const kept = defined(await outbox.read('t'))
    expect(kept).toMatchObject({ revisions, parts: { name: 'Kept', bench: [] } })
    expect(kept.steps.map(({ id }) => id)).toEqual(['a', 'b'])
  })

  it('takes nothing in where another window has added a step that was not looked at', async () => {
    await outbox.append('t', step('a'))
    await outbox.append('t', step('b'))
    const revisions = revisionsAt({ number: 5, save: 'theirs' })
    expect(await outbox.rebase('t', { bench: [] }, revisions, new Set(['a']), step('c'))).toBe(false)
    const kept = defined(await outbox.read('t'))
    expect(kept.revisions).toEqual(first)
    expect(kept.parts.bench).toEqual(trip.bench)
    expect(kept.steps.map(({ id }) => id)).toEqual(['a', 'b'])
  })

  it('says of which trips steps wait, and which are kept', async () => {
    await outbox.keep('u', { ...trip, name: 'Other' }, first)
    await outbox.append('u', step('a'))
    await outbox.append('u', step('b'))
    // A trip bears the name that it was last given here, whoever knows of it yet.
    expect(await outbox.waiting()).toEqual([{ trip: 'u', name: 'b', steps: 2 }])
    expect((await outbox.kept()).map(({ name }) => name).sort()).toEqual(['Kept', 'b'])
  })

  it('says as of when each is kept, and whether it was taken along', async () => {
    await new Promise((later) => setTimeout(later, 5))
    const before = Date.now()
    expect(await outbox.kept()).toMatchObject([{ trip: 't', isTakenAlong: false }])
    expect(nth(await outbox.kept(), 0).asOf).toBeLessThan(before)
    await outbox.heard('t')
    await outbox.takeAlong('t', true)
    await outbox.heard('other')
    expect(await outbox.kept()).toMatchObject([{ trip: 't', isTakenAlong: true }])
    expect(nth(await outbox.kept(), 0).asOf).toBeGreaterThanOrEqual(before)
    // Neither touches what is kept.
    expect(defined(await outbox.read('t')).revisions).toEqual(first)
  })

  it('forgets one trip without touching another, and everything when it is wiped', async () => {
    await outbox.keep('u', trip, first)
    for (const id of ['t', 'u']) await outbox.append(id, step(id))
    await outbox.forget('t')
    expect(await outbox.read('t')).toBeUndefined()
    expect(defined(await outbox.read('u')).steps).toHaveLength(1)
    await outbox.wipe()
    expect(await outbox.read('u')).toBeUndefined()
    expect(await outbox.waiting()).toEqual([])
  })
})

it('whose device this is is remembered until it is forgotten', async () => {
  const maren = { id: 'm', name: 'Maren', email: 'maren@quern.example' }
  expect(await recallPerson('whose')).toBeUndefined()
  await rememberPerson(maren, 'whose')
  expect(await recallPerson('whose')).toEqual(maren)
  await forgetPerson('whose')
  expect(await recallPerson('whose')).toBeUndefined()
})

describe('the browser’s database', () => {
  it('holds everything when it is opened again', async () => {
    const outbox = await IndexedDbOutbox.open('maren', 'again')
    await outbox.keep('t', trip, first)
    // Not waited for: the window dies at once.
    void outbox.append('t', step('a'))
    outbox.close()
    const again = await IndexedDbOutbox.open('maren', 'again')
    expect(defined(await again.read('t')).steps.map(({ id }) => id)).toEqual(['a'])
  })

  it('gives what an older Rag Tin could not say of a bike or a thing its usual value', async () => {
    const outbox = await IndexedDbOutbox.open('maren', 'lacking')
    const { bikes, bench } = demoTrip()
    const whole = { ...trip, bikes, bench }
    const lacking = {
      ...whole,
      bikes: bikes.map(({ known: _, ...bike }) => bike),
      bench: bench.map(({ broughtBy: _, ...thing }) => thing),
      road: { ...trip.road, stretches: demoTrip().road.stretches.map(({ signal: _, ...stretch }) => stretch) },
    } as unknown as Trip
    await outbox.keep('t', lacking, first)
    const { parts } = defined(await outbox.read('t'))
    expect(parts.bikes).toEqual(bikes)
    expect(parts.bench).toEqual(bench)
    expect(parts.road).toEqual({
      ...trip.road,
      stretches: demoTrip().road.stretches.map((stretch) => ({ ...stretch, signal: true })),
    })
  })

  it('checks again what another build has kept, and not what it has kept itself', async () => {
    const strange = { ...trip, bench: 'no bench' } as unknown as Trip
    const whole = { ...trip, bikes: demoTrip().bikes }
    const lacking = { ...whole, bikes: whole.bikes.map(({ known: _, ...bike }) => bike) } as unknown as Trip
    const bikesOf = async (build: string | undefined, id: string) =>
      (await (await IndexedDbOutbox.open('maren', 'builds', build)).read(id))?.parts.bikes
    await (await IndexedDbOutbox.open('maren', 'builds', 'one')).keep('t', lacking, first)
    expect(await bikesOf('one', 't')).toStrictEqual(lacking.bikes)
    expect(await bikesOf('another', 't')).toStrictEqual(whole.bikes)
    // Nobody knows which build that is: it may be any.
    await (await IndexedDbOutbox.open('maren', 'builds', undefined)).keep('u', lacking, first)
    expect(await bikesOf(undefined, 'u')).toStrictEqual(whole.bikes)
    // What cannot be read is left as it is: nothing is lost.
    await (await IndexedDbOutbox.open('maren', 'builds', 'one')).keep('v', strange, first)
    expect((await (await IndexedDbOutbox.open('maren', 'builds', 'another')).read('v'))?.parts.bench).toBe('no bench')
  })

  it('brings a trip that an older Rag Tin kept to its own format, and the steps that wait stay', async () => {
    const outbox = await IndexedDbOutbox.open('maren', 'older')
    const [first_, second] = trip.stops
    const nights = [{ id: 'n', roadKm: defined(first_).roadKm + 0.0001, nights: 1 }]
    const older = { ...trip, format: 'rag-tin.trip/2', ride: { ...trip.ride, nights } } as unknown as Trip
    await outbox.keep('t', older, first)
    await outbox.append('t', step('a'))
    const kept = defined(await outbox.read('t'))
    expect(defined(kept.parts.ride).nights).toMatchObject([{ id: 'n', stop: defined(first_).id }])
    expect(kept.parts.stops).toHaveLength(second ? 2 : 1)
    expect(kept.steps).toHaveLength(1)
    expect(kept.revisions).toEqual(first)
  })

  it('shows nobody another person’s trips', async () => {
    const maren = await IndexedDbOutbox.open('maren', 'shared')
    await maren.keep('t', trip, first)
    await maren.append('t', step('a'))
    const ansel = await IndexedDbOutbox.open('ansel', 'shared')
    expect(await ansel.read('t')).toBeUndefined()
    expect(await ansel.waiting()).toEqual([])
    expect(await ansel.kept()).toEqual([])
    expect(await maren.waiting()).toHaveLength(1)
  })

  it('keeps a dozen trips that nothing waits of, and all that something does', async () => {
    const outbox = await IndexedDbOutbox.open('maren', 'many')
    await outbox.keep('waits', trip, first)
    await outbox.append('waits', step('a'))
    for (let i = 0; i < 15; i++) {
      await outbox.keep(`t${i}`, trip, first)
      await new Promise((later) => setTimeout(later, 2))
    }
    const kept = (await outbox.kept()).map(({ trip: id }) => id)
    expect(kept).toContain('waits')
    expect(kept).toContain('t14')
    expect(kept).not.toContain('t0')
    expect(kept).toHaveLength(13)
  })

  it('keeps what was taken along however many others are opened, until it is not any more', async () => {
    const outbox = await IndexedDbOutbox.open('maren', 'along')
    await outbox.keep('along', trip, first)
    await outbox.takeAlong('along', true)
    const openMany = async (name: string) => {
      for (let i = 0; i < 15; i++) {
        await outbox.keep(`${name}${i}`, trip, first)
        await new Promise((later) => setTimeout(later, 2))
      }
      return (await outbox.kept()).map(({ trip: id }) => id)
    }
    expect(await openMany('a')).toContain('along')
    await outbox.takeAlong('along', false)
    expect(await openMany('b')).not.toContain('along')
  })
})
