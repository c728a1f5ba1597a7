import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { catalogue } from '../../catalogue'
import { demoTrip } from '../../catalogue/demo'
import { explainKit } from '../../core/choose'
import { fitView } from '../../core/fit'
import { buildLedger } from '../../core/ledger'
import { surveyRoad } from '../../core/road'
import type { Trip } from '../../core/trip'
import { packLine, type LineId, type PackedLine } from '~/workers/packed-line'
import type { ChangedParts, Reckoning, RoadReshaping } from '~/workers/reckon.worker'

/** Workers that answer when the test says so; Comlink hands their service over as it would a real one's. */
interface FakeWorker {
  readonly file: string
  terminated: boolean
  onerror?: (event: { message: string }) => void
}
const workers: FakeWorker[] = []
const reckonings: {
  parts: ChangedParts
  lineId: LineId
  line: PackedLine | undefined
  answer: (value: Reckoning | undefined) => void
  fail: (error: Error) => void
}[] = []
const cuts: ((value: RoadReshaping) => void)[] = []
const proofs: {
  answer: (value: unknown) => void
  fail: (error: Error) => void
  onBound: (boundNetH: number, seconds: number) => void
}[] = []

vi.mock('comlink', () => ({
  proxy: <T>(value: T) => value,
  transfer: <T>(value: T) => value,
  wrap: () => ({
    reckon: (parts: ChangedParts, lineId: LineId, line: PackedLine | undefined) =>
      new Promise<Reckoning | undefined>((answer, fail) => reckonings.push({ parts, lineId, line, answer, fail })),
    cutRoad: () => new Promise<RoadReshaping>((answer) => cuts.push(answer)),
    proveKit: (_ledger: unknown, _shown: unknown, onBound: (boundNetH: number, seconds: number) => void) =>
      new Promise((answer, fail) => proofs.push({ answer, fail, onBound })),
  }),
}))

const trip = demoTrip()
const survey = surveyRoad(trip.road.points)
const built = buildLedger(trip, survey, catalogue)
const kit = explainKit(built.ledger)
const reckoning = (change: Partial<Reckoning> = {}): Reckoning => ({
  lengthKm: survey.lengthKm,
  climbM: survey.climbM,
  profile: null,
  view: null,
  plan: null,
  lanes: [],
  stakes: {},
  ride: null,
  kit,
  built,
  wear: {},
  fit: fitView(trip.bikes, trip.bench, catalogue.items, trip.dials.handMostN),
  problems: [],
  ...change,
})

type Kit = typeof import('~/stores/kit')
let store: ReturnType<Kit['useKitStore']>
beforeEach(async () => {
  vi.useFakeTimers()
  for (const list of [workers, reckonings, cuts, proofs]) list.length = 0
  vi.stubGlobal('Worker', function Worker(this: object, url: URL) {
    const worker: FakeWorker = { file: url.pathname.split('/').at(-1)!, terminated: false }
    workers.push(worker)
    Object.assign(this, { terminate: () => (worker.terminated = true) })
    Object.defineProperty(this, 'onerror', {
      set: (handler: FakeWorker['onerror']) => (worker.onerror = handler),
    })
  })
  // Anew, for the set-up file has loaded it with the real Comlink.
  vi.resetModules()
  store = (await import('~/stores/kit')).useKitStore()
})
afterEach(() => vi.useRealTimers())

/** The page's own turns, which long work waits for, pass with the milliseconds. */
const pass = (ms: number) => vi.advanceTimersByTimeAsync(ms)
const calm = 800

describe('reckoning', () => {
  it('sends everything first, and then only what changed', async () => {
    void store.reckon(trip)
    expect(Object.keys(reckonings[0]!.parts)).toContain('road')
    reckonings[0]!.answer(reckoning())
    await pass(0)
    void store.reckon({ ...trip, dials: { ...trip.dials, gramsPerHour: 50 } })
    expect(Object.keys(reckonings[1]!.parts)).toEqual(['dials'])
  })

  it('does one at a time, and of those that came meanwhile only the newest', async () => {
    void store.reckon(trip)
    for (const gramsPerHour of [10, 20, 30]) void store.reckon({ ...trip, dials: { ...trip.dials, gramsPerHour } })
    expect(reckonings).toHaveLength(1)
    expect(store.busy).toBe(true)
    reckonings[0]!.answer(reckoning())
    await pass(0)
    expect(reckonings).toHaveLength(2)
    expect(reckonings[1]!.parts.dials!.gramsPerHour).toBe(30)
    reckonings[1]!.answer(reckoning({ problems: ['newest'] }))
    await pass(0)
    expect(store.busy).toBe(false)
    expect(store.reckoning!.problems).toEqual(['newest'])
  })

  it('that failed says so, and sends everything the next time', async () => {
    void store.reckon(trip)
    reckonings[0]!.fail(new Error('out of memory'))
    await pass(0)
    expect(store.failure).toBe('out of memory')
    void store.reckon(trip)
    expect(Object.keys(reckonings[1]!.parts)).toContain('bench')
    reckonings[1]!.answer(reckoning())
    await pass(0)
    expect(store.failure).toBe('')
  })

  it('that waits behind one that fails is done all the same', async () => {
    void store.reckon(trip)
    void store.reckon({ ...trip, name: 'newest' })
    reckonings[0]!.fail(new Error('out of memory'))
    await pass(0)
    expect(reckonings).toHaveLength(2)
    expect(Object.keys(reckonings[1]!.parts)).toContain('bench')
    reckonings[1]!.answer(reckoning({ problems: ['newest'] }))
    await pass(0)
    expect(store).toMatchObject({ busy: false, failure: '', reckoning: { problems: ['newest'] } })
  })

  it('a worker that cannot be started is told of', () => {
    void store.reckon(trip)
    workers[0]!.onerror!({ message: '' })
    expect(store.failure).toMatch(/could not be started/)
  })
})

describe('the line of the road', () => {
  const { points, ...road } = trip.road
  const shorter = points.slice(0, 40)
  const cut = (lineId: string): RoadReshaping => ({
    ok: true,
    next: { road, line: packLine(shorter), lineId, ride: trip.ride, stops: [], leftOut: [] },
  })
  const reckoned = async (next: Trip) => {
    void store.reckon(next)
    reckonings.at(-1)!.answer(reckoning())
    await pass(0)
    return reckonings.at(-1)!.lineId
  }
  /** A road that was cut, as the page gets it. */
  const cutRoad = async (lineId: string) => {
    const cutting = store.cutRoad(0, 10)
    await pass(0)
    cuts.at(-1)!(cut(lineId))
    await pass(10)
    const answer = await cutting
    if (!answer.ok) throw new Error('not cut')
    return answer.next
  }

  it('is known by a name, and goes to the worker only when it is not at hand there', async () => {
    void store.reckon(trip)
    reckonings[0]!.answer(undefined)
    await pass(0)
    expect(reckonings.map(({ line }) => line)).toEqual([undefined, packLine(points)])
    expect(new Set(reckonings.map(({ lineId }) => lineId)).size).toBe(1)
    reckonings[1]!.answer(reckoning())
    await pass(0)
    const name = reckonings[1]!.lineId
    expect(await reckoned({ ...trip, road: { ...trip.road, stretches: [] } })).toBe(name)
    expect(reckonings.at(-1)!.parts).toEqual({ road: { ...road, stretches: [] } })
    expect(await reckoned({ ...trip, road: { ...trip.road, points: shorter } })).not.toBe(name)
    expect(await reckoned(trip)).toBe(name)
  })

  it('that is lost on its way is told of', async () => {
    void store.reckon(trip)
    reckonings[0]!.answer(undefined)
    await pass(0)
    reckonings[1]!.answer(undefined)
    await pass(0)
    expect(store.failure).toMatch(/line of the road/)
  })

  it('that the worker made keeps the name it gave', async () => {
    await reckoned(trip)
    const next = await cutRoad('made')
    expect(next.road.points).toEqual(shorter)
    expect(await reckoned({ ...trip, ...next })).toBe('made')
  })

  it('is the right one after two were asked for at once, whichever is laid last', async () => {
    await reckoned(trip)
    const [first, second] = [cutRoad('first'), store.cutRoad(0, 5)]
    const one = await first
    await pass(10)
    expect(await reckoned({ ...trip, ...one })).toBe('first')
    cuts.at(-1)!(cut('second'))
    await pass(10)
    const other = await second
    if (!other.ok) throw new Error('not cut')
    expect(await reckoned({ ...trip, ...other.next })).toBe('second')
    expect(await reckoned({ ...trip, ...one })).toBe('first')
  })

  it('is asked for only when the worker knows the trip as it stands', async () => {
    void store.reckon(trip)
    void store.cutRoad(0, 10)
    await pass(0)
    expect(cuts).toHaveLength(0)
    reckonings[0]!.answer(reckoning())
    await pass(0)
    expect(cuts).toHaveLength(1)
  })
})

describe('the proof', () => {
  const reckonedKit = async () => {
    void store.reckon(trip)
    reckonings.at(-1)!.answer(reckoning())
    await pass(0)
  }

  it('starts once nothing has changed for a while', async () => {
    await reckonedKit()
    expect(store.proof.stage).toBe('none')
    await pass(calm)
    expect(store.proof.stage).toBe('running')
    expect(workers.map(({ file }) => file)).toEqual(['reckon.worker.ts', 'prove.worker.ts'])
  })

  it('does not start without a kit', async () => {
    void store.reckon(trip)
    reckonings[0]!.answer(reckoning({ kit: null }))
    await pass(calm)
    expect(store.proof.stage).toBe('none')
  })

  it('tells how far the kit may be from the best, and ends with what was proved', async () => {
    await reckonedKit()
    await pass(calm)
    proofs[0]!.onBound(Infinity, 0.2)
    expect((store.proof as { gap: number | null }).gap).toBeNull()
    proofs[0]!.onBound(kit.netH * 1.25, 0.4)
    expect(store.proof).toMatchObject({ stage: 'running', seconds: 0.4 })
    expect((store.proof as { gap: number }).gap).toBeCloseTo(0.2, 9)
    proofs[0]!.answer({ boundNetH: kit.netH, gap: 0, seconds: 1, best: kit })
    await pass(0)
    expect(store.proof).toMatchObject({ stage: 'done', proof: { gap: 0 } })
    expect(workers[1]!.terminated).toBe(true)
  })

  it('stays done though a bound comes late, by the channel of its own', async () => {
    void store.reckon(trip)
    reckonings[0]!.answer(reckoning())
    await pass(calm)
    proofs[0]!.answer({ boundNetH: kit.netH, gap: 0, seconds: 1, best: kit })
    await pass(0)
    proofs[0]!.onBound(kit.netH * 1.01, 0.9)
    expect(store.proof.stage).toBe('done')
  })

  it('is stopped by a change, and its late answers count no more', async () => {
    await reckonedKit()
    await pass(calm)
    void store.reckon({ ...trip, name: 'changed' })
    expect(store.proof.stage).toBe('none')
    expect(workers[1]!.terminated).toBe(true)
    proofs[0]!.onBound(kit.netH * 2, 3)
    proofs[0]!.answer({ boundNetH: 1, gap: 1, seconds: 9, best: kit })
    await pass(0)
    expect(store.proof.stage).toBe('none')
  })

  it('can be stopped and started by hand', async () => {
    await reckonedKit()
    await pass(calm)
    store.stopProof()
    expect(store.proof.stage).toBe('none')
    await pass(10 * calm)
    expect(store.proof.stage).toBe('none')
    store.startProof()
    expect(store.proof.stage).toBe('running')
  })

  it('that fails says why', async () => {
    await reckonedKit()
    await pass(calm)
    proofs[0]!.fail(new Error('the proof found less than the kit'))
    await pass(0)
    expect(store.proof).toEqual({ stage: 'failed', message: 'the proof found less than the kit' })
  })
})

it('letting go of a trip ends its workers and forgets it', async () => {
  void store.reckon(trip)
  reckonings[0]!.answer(reckoning())
  await pass(calm)
  store.clear()
  expect(workers.every(({ terminated }) => terminated)).toBe(true)
  expect(store.reckoning).toBeUndefined()
  void store.reckon(trip)
  expect(Object.keys(reckonings.at(-1)!.parts)).toContain('road')
})
