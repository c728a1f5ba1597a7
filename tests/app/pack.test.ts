import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { indexLedger } from '#core/ledger'
import type { PackPlan } from '#core/pack'
import { surveyRoad } from '#core/road'
import { bestKit } from '#core/search'
import { ledgerOfTrip } from '#core/trip-ledger'
import { defined, nth } from '#core/validation'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { usePackEdits } from '../../app/composables/usePackEdits'
import { usePack } from '../../app/stores/pack'
import { useTripStore } from '../../app/stores/trip'
import { useTripSessions } from '../../app/stores/trip-sessions'
import { packLine } from '../../app/workers/packed-line'
import { createSplitter } from '../../app/workers/splitter'
import { FakeDevice, FakeServer, FakeTimers, FakeWindow } from '../fake-world'

vi.mock('../../app/stores/trip-sessions', () => ({ useTripSessions: vi.fn() }))
vi.mock('comlink', () => ({ proxy: vi.fn(), wrap: vi.fn() }))

const demo = demoTrip()
const [fox, mule] = [nth(demo.bikes, 0), nth(demo.bikes, 1)]

describe('the worker that packs', () => {
  const survey = surveyRoad(demo.road.points)
  const { points, ...road } = demo.road
  const asked = { ...demo, road }
  const { counts } = bestKit(indexLedger(ledgerOfTrip(demo, survey, catalogue).ledger))

  it('packs what was split last, anew where bags are others, and says what other places would cost', () => {
    const splitter = createSplitter()
    expect(splitter.pack(demo)).toBeUndefined()
    expect(splitter.movesFrom(fox.id, 0, null)).toEqual([])
    const split = defined(splitter.split(asked, 'line', packLine(points), counts, vi.fn()))
    const plans = defined(splitter.pack(demo))
    expect(plans.map(({ bikeId }) => bikeId)).toEqual([fox.id, mule.id])
    const packed = plans.map(({ places }) =>
      demo.bench.map((_, item) =>
        places
          .flatMap(({ layers }) => layers)
          .reduce((sum, layer) => sum + (layer.thing === item ? layer.count : 0), 0),
      ),
    )
    expect(packed).toEqual(split.riders.map((rider) => rider.counts))
    const [place] = defined(plans[0]).places.filter(({ layers }) => layers.length > 0)
    const moves = splitter.movesFrom(fox.id, defined(place?.layers[0]).thing, defined(place).storageId)
    expect(moves.map(({ storageId }) => storageId)).toEqual(
      fox.storage.flatMap(({ id }) => (id === place?.storageId ? [] : [id])),
    )
    // What was found cannot be bettered by moving one piece.
    for (const { hours } of moves) expect(hours ?? 0).toBeGreaterThan(-1e-9)
    // On paper things stand as they are called now, whatever they were called when they were split.
    expect(createSplitter().papers(asked)).toBeUndefined()
    const renamed = {
      ...asked,
      name: 'Another name',
      crew: asked.crew.map((rider) => ({ ...rider, name: `${rider.name} the second` })),
      bikes: asked.bikes.map((bike) => ({
        ...bike,
        storage: bike.storage.map((bag) => ({ ...bag, name: `New ${bag.name}` })),
      })),
    }
    const papers = defined(splitter.papers(renamed))
    expect(papers.name).toBe('Another name')
    expect(papers.kits.flatMap(({ riders }) => riders)).toEqual(renamed.crew.map(({ name }) => name))
    for (const { places: filled } of papers.kits) for (const { name } of filled) expect(name).toMatch(/^New /)
    const bare = { ...demo, bikes: demo.bikes.map((bike) => ({ ...bike, storage: [] })) }
    const [out] = defined(splitter.pack(bare))
    expect(out?.out.reduce((sum, { count }) => sum + count, 0)).toBe(defined(packed[0]).reduce((a, b) => a + b, 0))
  })
})

describe('what is done to a packing', () => {
  const pump = demo.bench.findIndex(({ id }) => id === 'mini-pump')
  const tube = demo.bench.findIndex(({ id }) => id === 'tube-622')
  const [roll, pocket] = [nth(mule.storage, 0).id, nth(mule.storage, 1).id]
  const layer = (item: number, count: number) => ({
    thing: item,
    count,
    stays: 0,
    cures: [],
    on: null,
    times: 0,
    accessH: 0,
  })
  const place = (storageId: string, ...layers: ReturnType<typeof layer>[]) => ({
    storageId,
    layers,
    usedMl: 0,
    roomMl: 0,
    massG: 0,
  })
  const plan: PackPlan = {
    bikeId: mule.id,
    places: [place(roll, layer(tube, 2)), place(pocket, layer(pump, 1), layer(tube, 1))],
    out: [],
    costs: { diggingH: 0, curesG: 0, bagsG: 0, carryH: 0, outH: 0 },
  }
  const thing = (item: number) => nth(useTripStore().openTrip.bench, item)
  const bike = () => nth(useTripStore().openTrip.bikes, 1)

  beforeEach(async () => {
    const server = new FakeServer()
    server.begin('t', demo)
    const { sessions } = new FakeWindow(new FakeDevice(), server, new FakeTimers())
    vi.mocked(useTripSessions).mockResolvedValue(sessions)
    await useTripStore().open('t')
    usePack().plans = [plan]
  })

  it('puts a piece elsewhere, where it stays with those that were there, and back', () => {
    const { put, letGo } = usePackEdits()
    put(thing(tube), bike(), roll, pocket)
    expect(thing(tube).packedIn).toEqual([{ bikeId: mule.id, storageId: pocket, count: 2 }])
    letGo(thing(tube), bike(), pocket)
    expect(thing(tube).packedIn).toEqual([])
    put(thing(pump), bike(), pocket, pocket)
    expect(thing(pump).packedIn).toEqual([])
    useTripStore().undo()
    expect(thing(tube).packedIn).toHaveLength(1)
    useTripStore().undo()
    expect(thing(tube).packedIn).toEqual([])
  })
  it('keeps what lies somewhere; one that is moved leaves the others free', () => {
    const { keep, put, packAnew } = usePackEdits()
    keep(thing(tube), bike(), roll)
    expect(thing(tube).packedIn).toEqual([{ bikeId: mule.id, storageId: roll, count: 2 }])
    put(thing(tube), bike(), roll, pocket)
    expect(thing(tube).packedIn).toEqual([
      { bikeId: mule.id, storageId: roll, count: 1 },
      { bikeId: mule.id, storageId: pocket, count: 2 },
    ])
    put(thing(pump), bike(), null, roll)
    packAnew(bike())
    expect(useTripStore().openTrip.bench.every(({ packedIn }) => packedIn.length === 0)).toBe(true)
  })
  it('hangs bags on and takes them off, with nothing left in what is gone', () => {
    const { keep, addBags, changeBag, removeBag } = usePackEdits()
    const bag = nth(catalogue.containers, 0)
    addBags(bike(), [bag])
    const added = nth(bike().storage, bike().storage.length - 1)
    expect(added).toEqual({ ...bag, id: added.id })
    expect(added.id).not.toBe(bag.id)
    changeBag(bike(), { ...added, volumeMl: 800 })
    expect(bike().storage.at(-1)?.volumeMl).toBe(800)
    addBags(
      bike(),
      Array.from({ length: 20 }, () => bag),
    )
    expect(bike().storage).toHaveLength(12)
    expect(new Set(bike().storage.map(({ id }) => id)).size).toBe(12)
    addBags(bike(), [bag])
    expect(bike().storage).toHaveLength(12)
    useTripStore().undo()
    keep(thing(pump), bike(), pocket)
    removeBag(bike(), nth(bike().storage, 1))
    expect(thing(pump).packedIn).toEqual([])
    useTripStore().undo()
    expect(thing(pump).packedIn).toHaveLength(1)
    expect(bike().storage[1]?.id).toBe(pocket)
  })
})
