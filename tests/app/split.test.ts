import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { indexLedger } from '#core/ledger'
import { surveyRoad } from '#core/road'
import { bestKit } from '#core/search'
import { bestSplit, planOf, splitOfTrip, type SplitPlan } from '#core/split'
import { ledgerOfTrip } from '#core/trip-ledger'
import { defined, nth } from '#core/validation'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { useSplitEdits } from '../../app/composables/useSplitEdits'
import { useSplit } from '../../app/stores/split'
import { useTripStore } from '../../app/stores/trip'
import { useTripSessions } from '../../app/stores/trip-sessions'
import { packLine } from '../../app/workers/packed-line'
import { createSplitter } from '../../app/workers/splitter'
import { FakeDevice, FakeServer, FakeTimers, FakeWindow } from '../fake-world'

vi.mock('../../app/stores/trip-sessions', () => ({ useTripSessions: vi.fn() }))
vi.mock('comlink', () => ({ proxy: vi.fn(), wrap: vi.fn() }))

const demo = demoTrip()
const survey = surveyRoad(demo.road.points)
const [first, second] = [nth(demo.crew, 0), nth(demo.crew, 1)]

describe('the worker that splits', () => {
  const { points, ...road } = demo.road
  const asked = { ...demo, road }
  const laid = ledgerOfTrip(demo, survey, catalogue)
  const { counts } = bestKit(indexLedger(laid.ledger))

  it('asks for the line once, and says what a change of its split would cost', () => {
    const splitter = createSplitter()
    const rounds = vi.fn()
    expect(splitter.costsOf([[{ item: 0, from: 0, to: 1 }]])).toEqual([])
    expect(splitter.split(asked, 'line', undefined, counts, rounds)).toBeUndefined()
    const plan = defined(splitter.split(asked, 'line', packLine(points), counts, rounds))
    expect(rounds).toHaveBeenCalled()
    expect(splitter.split(asked, 'line', undefined, counts, rounds)).toEqual(plan)
    const state = bestSplit(splitOfTrip(demo, survey, catalogue, laid, counts))
    expect(plan).toEqual(planOf(state))
    const item = nth(plan.riders, 0).counts.findIndex((count) => count > 0)
    const shifts = [{ item, from: 0, to: 1 }]
    expect(splitter.costsOf([shifts])).toEqual([state.costsOf(shifts)])
    // A split that is found cannot be bettered by handing one piece over.
    expect(state.costsOf(shifts).costH).toBeGreaterThan(-1e-4)
  })

  it('says once where it begins, before it has found the best', () => {
    const apart = { ...asked, ride: { ...demo.ride, apart: 0.3 } }
    const soFar = vi.fn<(plan: SplitPlan) => void>()
    const rounds = vi.fn()
    const found = defined(createSplitter().split(apart, 'line', packLine(points), counts, rounds, soFar))
    expect(soFar).toHaveBeenCalledOnce()
    const [begun] = nth(soFar.mock.calls, 0)
    expect(soFar.mock.invocationCallOrder[0]).toBeLessThan(nth(rounds.mock.invocationCallOrder, 0))
    begun.counts.forEach((inAll, item) => {
      expect(inAll).toBe(begun.riders.reduce((sum, rider) => sum + nth(rider.counts, item), 0))
      expect(inAll).toBeLessThanOrEqual(nth(demo.bench, item).count)
    })
    // By few legs what it costs is nearly that; the best costs no more.
    expect(found.costs.costH).toBeLessThan(begun.costs.costH + 0.05)
    expect(begun.doubles).toEqual([])
    expect(found.doubles.length).toBeGreaterThan(0)
  })
})

describe('what is done to a split', () => {
  /** Maren has two tubes and a pump, Ansel one tube. */
  const items = {
    tube: demo.bench.findIndex(({ id }) => id === 'tube-622-light'),
    pump: demo.bench.findIndex(({ id }) => id === 'mini-pump'),
  }
  const carrying = (tubes: number, pumps: number) =>
    demo.bench.map((_, i) => (i === items.tube ? tubes : i === items.pump ? pumps : 0))
  const load = (id: string, counts: number[]) => ({ id, counts, massG: 0, volumeMl: 0, fairG: 0, overG: 0, overMl: 0 })
  const plan = {
    riders: [load(first.id, carrying(2, 1)), load(second.id, carrying(1, 0))],
    counts: carrying(3, 1),
    kit: carrying(3, 1),
  } as unknown as SplitPlan
  const thing = (name: keyof typeof items) => nth(useTripStore().openTrip.bench, items[name])

  beforeEach(async () => {
    const server = new FakeServer()
    server.begin('t', demo)
    const { sessions } = new FakeWindow(new FakeDevice(), server, new FakeTimers())
    vi.mocked(useTripSessions).mockResolvedValue(sessions)
    await useTripStore().open('t')
    useSplit().plan = plan
  })

  it('a piece that is given stays with whoever got it, beside what they carry already', () => {
    const edits = useSplitEdits()
    edits.give(thing('tube'), first.id, second.id)
    expect(thing('tube').carriedBy).toEqual({ [second.id]: 2 })
    useTripStore().undo()
    expect(thing('tube').carriedBy).toEqual({})
    edits.keep(thing('tube'), first.id)
    edits.give(thing('tube'), first.id, second.id)
    expect(thing('tube').carriedBy).toEqual({ [first.id]: 1, [second.id]: 2 })
    edits.give(thing('pump'), first.id, first.id)
    expect(thing('pump').carriedBy).toEqual({})
  })

  it('what stays may change hands again, one by one and all at once', () => {
    const edits = useSplitEdits()
    edits.keepAll(plan)
    expect(thing('tube').carriedBy).toEqual({ [first.id]: 2, [second.id]: 1 })
    expect(thing('pump').carriedBy).toEqual({ [first.id]: 1 })
    edits.letGo(thing('tube'), first.id)
    expect(thing('tube').carriedBy).toEqual({ [second.id]: 1 })
    edits.letAllGo()
    expect(useTripStore().openTrip.bench.every(({ carriedBy }) => Object.keys(carriedBy).length === 0)).toBe(true)
  })

  it('one more is taken off the bench or laid there, and one less is a pin', () => {
    const edits = useSplitEdits()
    const { count } = thing('pump')
    edits.double(thing('pump'), second.id, true)
    expect(thing('pump')).toMatchObject({ count, carriedBy: { [first.id]: 1, [second.id]: 1 } })
    edits.double(thing('pump'), second.id, false)
    expect(thing('pump').count).toBe(count + 1)
    edits.leave(thing('tube'), first.id, plan)
    expect(thing('tube')).toMatchObject({ pin: { min: 0, max: 2 }, carriedBy: {} })
  })
})
