import { defined, nth } from '#core/validation'
import { fitView } from '#core/fit'
import { indexLedger } from '#core/ledger'
import { KitSearch, type KitChoice } from '#core/search'
import { ledgerOfTrip } from '#core/trip-ledger'
import { explainKit } from '#core/verdicts'
import { surveyRoad } from '#core/road'
import type { Trip } from '#core/trip'
import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { packLine, type LineId, type PackedLine } from '../../app/workers/packed-line'
import type { Analysis, ChangedParts, RoadReshaping } from '../../app/workers/analyser'
import type { Choice, Outcome, Prices, ToldAhead } from '../../app/workers/kit-chooser'

/** Workers that answer when the test says so; Comlink hands their service over as it would a real one's. */
interface FakeWorker {
  readonly file: string
  terminated: boolean
  onerror?: (event: { message: string }) => void
}
const workers: FakeWorker[] = []
const analyses: {
  parts: ChangedParts
  lineId: LineId
  line: PackedLine | undefined
  answer: (value: Analysis | undefined) => void
  fail: (error: Error) => void
}[] = []
const cuts: ((value: RoadReshaping) => void)[] = []
/** Plans that were given for comparing, and what is answered. */
const comparisons: {
  ledgers: readonly unknown[]
  gramsPerHour: number | null
  answer: (outcomes: readonly Outcome[]) => void
}[] = []
/** Ledgers of ways on, and of what is lacking: they are told apart and nothing else. */
const ways = [{ id: 'wait' }, { id: 'ride on' }, { id: 'sleep' }]
const proofs: {
  answer: (value: unknown) => void
  fail: (error: Error) => void
  onBound: (boundNetH: number, seconds: number) => void
}[] = []

vi.mock('comlink', () => ({
  proxy: <T>(value: T) => value,
  transfer: <T>(value: T) => value,
  wrap: () => ({
    sendLedgers: () => Promise.resolve(),
    hearLedgers: (_: MessagePort, tell: (told: ToldAhead) => void) => {
      tellAhead = tell
      return Promise.resolve()
    },
    analyse: (parts: ChangedParts, lineId: LineId, line: PackedLine | undefined) =>
      new Promise<Analysis | undefined>((answer, fail) => analyses.push({ parts, lineId, line, answer, fail })),
    takeUp: (number: number, prices: Prices, ledger: unknown) => {
      chosen.push({ number, prices, hasLedger: ledger !== undefined })
      if (ledger) numberKnown = number
      return Promise.resolve(numberKnown === number ? asCarried : undefined)
    },
    choose: (number: number) =>
      numberKnown === number && holdsChoice
        ? new Promise((answer) => choices.push(answer))
        : Promise.resolve(numberKnown === number ? choice : undefined),
    explain: () => (holdsWhy ? new Promise((answer) => whys.push(answer)) : Promise.resolve(choice.kit)),
    cutRoad: () => new Promise<RoadReshaping>((answer) => cuts.push(answer)),
    compare: (ledgers: readonly unknown[], gramsPerHour: number | null) =>
      new Promise((answer) => comparisons.push({ ledgers, gramsPerHour, answer })),
    shutOptionsAt: () =>
      Promise.resolve(
        ways.map((ledger) => ({
          choice: { kind: ledger.id },
          isMade: ledger.id === 'ride on',
          parts: {},
          days: 9,
          ledger,
        })),
      ),
    nextStepsOf: () =>
      Promise.resolve([
        { lack: { kind: 'no hours', stops: ['quillby'] }, ledgers: [ways[0]] },
        { lack: { kind: 'no start' }, ledgers: [ways[1], ways[2]] },
      ]),
    proveKit: (_ledger: unknown, _shown: unknown, onBound: (boundNetH: number, seconds: number) => void) =>
      new Promise((answer, fail) => proofs.push({ answer, fail, onBound })),
  }),
}))

const trip = demoTrip()
const survey = surveyRoad(trip.road.points)
const built = { ...ledgerOfTrip(trip, survey, catalogue), number: 0 }
const kit = explainKit(built.ledger, KitSearch.forLedger(indexLedger(built.ledger)))
/** What choosing a kit answers, and what it was asked. */
let choice: Choice
let chosen: { number: number; prices: Prices; hasLedger: boolean }[]
let numberKnown: number | undefined
/** What the kit as it was comes to, and whether the next is answered by hand, and those that were asked for. */
let asCarried: KitChoice | null
let holdsChoice: boolean
const choices: ((choice: Choice) => void)[] = []
/** Tells ahead of the rest what the kit as it was comes to. */
let tellAhead: (told: ToldAhead) => void
/** Whether the why is answered by hand, and those that were asked for. */
let holdsWhy: boolean
const whys: ((kit: unknown) => void)[] = []
const analysis = (change: Partial<Analysis> = {}): Analysis => ({
  lengthKm: survey.lengthKm,
  climbM: survey.climbM,
  profile: null,
  view: null,
  plan: null,
  availability: [],
  hoursAtStake: {},
  built,
  ride: null,
  wear: {},
  fit: fitView(trip.bikes, trip.bench, catalogue.items, trip.dials.handMostN),
  ...change,
})

type Kit = typeof import('../../app/stores/kit')
let store: ReturnType<Kit['useKitStore']>
beforeEach(async () => {
  vi.useFakeTimers()
  choice = { kit, gramsPerHour: built.ledger.gramsPerHour, problems: [] }
  chosen = []
  numberKnown = undefined
  asCarried = null
  holdsChoice = false
  holdsWhy = false
  for (const list of [whys, choices, comparisons, workers, analyses, cuts, proofs]) list.length = 0
  vi.stubGlobal('Worker', function Worker(this: object, url: URL) {
    const worker: FakeWorker = { file: defined(url.pathname.split('/').at(-1)), terminated: false }
    workers.push(worker)
    Object.assign(this, { terminate: () => (worker.terminated = true) })
    Object.defineProperty(this, 'onerror', {
      set: (handler: FakeWorker['onerror']) => (worker.onerror = handler),
    })
  })
  // Anew, for the set-up file has loaded it with the real Comlink.
  vi.resetModules()
  store = (await import('../../app/stores/kit')).useKitStore()
})
afterEach(() => vi.useRealTimers())

/** The page's own turns, which long work waits for, pass with the milliseconds. */
const pass = (ms: number) => vi.advanceTimersByTimeAsync(ms)
const calm = 800
const dialAtRest = 200

describe('the analysis', () => {
  it('sends everything first, and then only what changed', async () => {
    void store.analyse(trip)
    expect(Object.keys(nth(analyses, 0).parts)).toContain('road')
    nth(analyses, 0).answer(analysis())
    await pass(0)
    void store.analyse({ ...trip, dials: { ...trip.dials, gramsPerHour: 50 } })
    expect(Object.keys(nth(analyses, 1).parts)).toEqual(['dials'])
  })

  it('does one at a time, and of those that came meanwhile only the newest', async () => {
    void store.analyse(trip)
    for (const gramsPerHour of [10, 20, 30]) void store.analyse({ ...trip, dials: { ...trip.dials, gramsPerHour } })
    expect(analyses).toHaveLength(1)
    expect(store.busy).toBe(true)
    nth(analyses, 0).answer(analysis())
    await pass(0)
    expect(analyses).toHaveLength(2)
    expect(defined(nth(analyses, 1).parts.dials).gramsPerHour).toBe(30)
    nth(analyses, 1).answer(analysis({ lengthKm: 42 }))
    await pass(0)
    expect(store.busy).toBe(false)
    expect(defined(store.analysis).lengthKm).toBe(42)
  })

  it('that failed says so, and sends everything the next time', async () => {
    void store.analyse(trip)
    nth(analyses, 0).fail(new Error('out of memory'))
    await pass(0)
    expect(store.failure).toBe('out of memory')
    void store.analyse(trip)
    expect(Object.keys(nth(analyses, 1).parts)).toContain('bench')
    nth(analyses, 1).answer(analysis())
    await pass(0)
    expect(store.failure).toBe('')
  })

  it('that waits behind one that fails is done all the same', async () => {
    void store.analyse(trip)
    void store.analyse({ ...trip, crew: [] })
    nth(analyses, 0).fail(new Error('out of memory'))
    await pass(0)
    expect(analyses).toHaveLength(2)
    expect(Object.keys(nth(analyses, 1).parts)).toContain('bench')
    nth(analyses, 1).answer(analysis({ lengthKm: 42 }))
    await pass(0)
    expect(store).toMatchObject({ busy: false, failure: '', analysis: { lengthKm: 42 } })
  })

  it('a worker that cannot be started is told of', () => {
    void store.analyse(trip)
    defined(nth(workers, 0).onerror)({ message: '' })
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
  const analysed = async (next: Trip) => {
    void store.analyse(next)
    defined(analyses.at(-1)).answer(analysis())
    await pass(0)
    return defined(analyses.at(-1)).lineId
  }
  /** A road that was cut, as the page gets it. */
  const cutRoad = async (lineId: string) => {
    const cutting = store.cutRoad(0, 10)
    await pass(0)
    defined(cuts.at(-1))(cut(lineId))
    await pass(10)
    const answer = await cutting
    if (!answer.ok) throw new Error('not cut')
    return answer.next
  }

  it('is known by a name, and goes to the worker only when it is not at hand there', async () => {
    void store.analyse(trip)
    nth(analyses, 0).answer(undefined)
    await pass(0)
    expect(analyses.map(({ line }) => line)).toEqual([undefined, packLine(points)])
    expect(new Set(analyses.map(({ lineId }) => lineId)).size).toBe(1)
    nth(analyses, 1).answer(analysis())
    await pass(0)
    const name = nth(analyses, 1).lineId
    expect(await analysed({ ...trip, road: { ...trip.road, stretches: [] } })).toBe(name)
    expect(defined(analyses.at(-1)).parts).toEqual({ road: { ...road, stretches: [] } })
    expect(await analysed({ ...trip, road: { ...trip.road, points: shorter } })).not.toBe(name)
    expect(await analysed(trip)).toBe(name)
  })

  it('that is lost on its way is told of', async () => {
    void store.analyse(trip)
    nth(analyses, 0).answer(undefined)
    await pass(0)
    nth(analyses, 1).answer(undefined)
    await pass(0)
    expect(store.failure).toMatch(/line of the road/)
  })

  it('that the worker made keeps the name it gave', async () => {
    await analysed(trip)
    const next = await cutRoad('made')
    expect(next.road.points).toEqual(shorter)
    expect(await analysed({ ...trip, ...next })).toBe('made')
  })

  it('is the right one after two were asked for at once, whichever is laid last', async () => {
    await analysed(trip)
    const [first, second] = [cutRoad('first'), store.cutRoad(0, 5)]
    const changed = await first
    await pass(10)
    expect(await analysed({ ...trip, ...changed })).toBe('first')
    defined(cuts.at(-1))(cut('second'))
    await pass(10)
    const other = await second
    if (!other.ok) throw new Error('not cut')
    expect(await analysed({ ...trip, ...other.next })).toBe('second')
    expect(await analysed({ ...trip, ...changed })).toBe('first')
  })

  it('is asked for only when the worker knows the trip as it stands', async () => {
    void store.analyse(trip)
    void store.cutRoad(0, 10)
    await pass(0)
    expect(cuts).toHaveLength(0)
    nth(analyses, 0).answer(analysis())
    await pass(0)
    expect(cuts).toHaveLength(1)
  })
})

describe('the kit', () => {
  it('is chosen beside the analysis, for a ledger that has come to its worker by itself', async () => {
    numberKnown = 0
    void store.analyse(trip)
    nth(analyses, 0).answer(analysis())
    await pass(0)
    expect(store.weighed).toMatchObject({ problems: [], built: { number: 0 } })
    void store.analyse({ ...trip, dials: { ...trip.dials, gramsPerHour: 50 } })
    nth(analyses, 1).answer(analysis({ built: { ...built, ledger: { ...built.ledger, gramsPerHour: 50 } } }))
    await pass(dialAtRest)
    expect(chosen.map(({ hasLedger }) => hasLedger)).toEqual([false, false])
    expect(defined(chosen.at(-1)).prices.gramsPerHour).toBe(50)
  })

  it('is sent its ledger where that has not come, and once for all its prices', async () => {
    void store.analyse(trip)
    nth(analyses, 0).answer(analysis())
    await pass(0)
    expect(store.weighed).toMatchObject({ problems: [], built: { number: 0 } })
    void store.analyse({ ...trip, dials: { ...trip.dials, gramsPerHour: 50 } })
    nth(analyses, 1).answer(analysis({ built: { ...built, ledger: { ...built.ledger, gramsPerHour: 50 } } }))
    await pass(dialAtRest)
    expect(chosen.map(({ hasLedger }) => hasLedger)).toEqual([false, true, false])
    void store.analyse({ ...trip, bench: [] })
    nth(analyses, 2).answer(analysis({ built: { ...built, number: 1 } }))
    await pass(0)
    expect(chosen.slice(3).map(({ hasLedger }) => hasLedger)).toEqual([false, true])
  })

  it('as it was is told of by the trip as it is, until a better one is found', async () => {
    void store.analyse(trip)
    nth(analyses, 0).answer(analysis())
    await pass(0)
    expect(store.told?.kit).toBe(defined(store.chosen).kit)
    holdsChoice = true
    asCarried = { ...kit, promiseH: 99 }
    const unpriced = { ...built, number: 1, ledger: { ...built.ledger, gramsPerHour: null } }
    void store.analyse({ ...trip, bench: [] })
    nth(analyses, 1).answer(analysis({ built: unpriced }))
    await pass(0)
    expect(store.told?.kit?.promiseH).toBe(99)
    // The price that the road sets is not known yet: till then the last one stands.
    expect(store.told?.gramsPerHour).toBe(built.ledger.gramsPerHour)
    expect(store.chosen?.kit?.promiseH).toBe(kit.promiseH)
    nth(choices, 0)({ kit, gramsPerHour: 77, problems: [] })
    await pass(0)
    expect(store.told).toEqual({ kit: defined(store.chosen).kit, gramsPerHour: 77 })
    expect(store.chosen).toMatchObject({ kit: { promiseH: kit.promiseH }, built: { ledger: { gramsPerHour: 77 } } })
  })

  it('as it was is told of before the rest of the trip has been looked at, and never by an older ledger again', async () => {
    const ahead = (number: number, promiseH: number) => ({ number, kit: { ...kit, promiseH }, gramsPerHour: null })
    void store.analyse(trip)
    // Nothing is told of a trip that nobody has looked at yet.
    tellAhead(ahead(0, 99))
    expect(store.told).toBeNull()
    nth(analyses, 0).answer(analysis())
    await pass(0)
    void store.analyse({ ...trip, bench: [] })
    tellAhead(ahead(1, 98))
    expect(store.told).toEqual({ kit: { ...kit, promiseH: 98 }, gramsPerHour: built.ledger.gramsPerHour })
    expect(store.chosen?.kit?.promiseH).toBe(kit.promiseH)
    holdsChoice = true
    nth(analyses, 1).answer(analysis({ built: { ...built, number: 1 } }))
    await pass(0)
    void store.analyse({ ...trip, bench: [], stops: [] })
    tellAhead(ahead(2, 97))
    // The kit for the ledger before is found now: what is told by the newer one stands.
    nth(choices, 0)({ kit, gramsPerHour: 77, problems: [] })
    await pass(0)
    expect(store.told?.kit?.promiseH).toBe(97)
    tellAhead(ahead(1, 96))
    expect(store.told?.kit?.promiseH).toBe(97)
    store.clear()
    tellAhead(ahead(3, 95))
    expect(store.told).toBeNull()
  })

  it('as it was is not told of by a trip that is changed already', async () => {
    void store.analyse(trip)
    nth(analyses, 0).answer(analysis())
    await pass(0)
    holdsChoice = true
    asCarried = { ...kit, promiseH: 99 }
    void store.analyse({ ...trip, bench: [] })
    nth(analyses, 1).answer(analysis({ built: null }))
    await pass(0)
    expect(store.told).toBeNull()
  })

  it('is there before its why, which is worked out of the newest alone', async () => {
    holdsWhy = true
    void store.analyse(trip)
    nth(analyses, 0).answer(analysis())
    await pass(0)
    expect(store.chosen?.kit?.massG).toBe(kit.massG)
    expect(store.kit).toBeNull()
    expect(store.weighing).toBe(true)
    nth(whys, 0)(kit)
    await pass(0)
    expect(store.weighed?.built.ledger.gramsPerHour).toBe(built.ledger.gramsPerHour)
    // The dial is turned, and turned again before it has been at rest.
    for (const gramsPerHour of [50, 60]) {
      void store.analyse({ ...trip, dials: { ...trip.dials, gramsPerHour } })
      choice = { ...choice, gramsPerHour }
      defined(analyses.at(-1)).answer(analysis({ built: { ...built, ledger: { ...built.ledger, gramsPerHour } } }))
      await pass(100)
      expect(store.chosen?.built.ledger.gramsPerHour, 'nobody waits').toBe(gramsPerHour)
    }
    expect(store.weighed?.built.ledger.gramsPerHour).toBe(built.ledger.gramsPerHour)
    expect(store.weighing).toBe(true)
    await pass(dialAtRest)
    expect(store.chosen?.built.ledger.gramsPerHour).toBe(60)
    expect(whys).toHaveLength(2)
    nth(whys, 1)(kit)
    await pass(0)
    expect(store.weighed?.built.ledger.gramsPerHour).toBe(60)
    expect(store.weighing).toBe(false)
  })

  it('is chosen anew though its why is still being worked out, which counts no more', async () => {
    holdsWhy = true
    void store.analyse(trip)
    nth(analyses, 0).answer(analysis())
    await pass(0)
    void store.analyse({ ...trip, bench: [] })
    choice = { ...choice, kit: { ...kit, promiseH: 99 } }
    nth(analyses, 1).answer(analysis({ built: { ...built, number: 1 } }))
    await pass(0)
    expect(store.chosen).toMatchObject({ built: { number: 1 }, kit: { promiseH: 99 } })
    nth(whys, 0)(kit)
    await pass(0)
    expect(store.weighed).toBeNull()
    nth(whys, 1)({ ...kit, promiseH: 99 })
    await pass(0)
    expect(store.weighed).toMatchObject({ built: { number: 1 }, kit: { promiseH: 99 } })
    expect(store.weighing).toBe(false)
  })

  it('goes with the road, though its why is still being worked out', async () => {
    holdsWhy = true
    void store.analyse(trip)
    nth(analyses, 0).answer(analysis())
    await pass(0)
    void store.analyse({ ...trip, stops: [] })
    nth(analyses, 1).answer(analysis({ built: null }))
    await pass(0)
    expect(store.chosen).toBeNull()
    nth(whys, 0)(kit)
    await pass(0)
    expect(store.weighed).toBeNull()
  })

  it('of a trip that was left while its why was being worked out is chosen by nobody any more', async () => {
    holdsWhy = true
    void store.analyse(trip)
    nth(analyses, 0).answer(analysis())
    await pass(0)
    store.clear()
    holdsChoice = true
    numberKnown = 1
    void store.analyse(trip)
    nth(analyses, 1).answer(analysis({ built: { ...built, number: 1 } }))
    await pass(0)
    chosen.length = 0
    void store.analyse({ ...trip, bench: [] })
    nth(analyses, 2).answer(analysis({ built: { ...built, number: 2 } }))
    await pass(0)
    // The ledger waits its turn behind the one that is being chosen for.
    expect(chosen).toEqual([])
  })

  it('asks for no why of a trip that was left before the dial was at rest', async () => {
    void store.analyse(trip)
    nth(analyses, 0).answer(analysis())
    await pass(0)
    void store.analyse({ ...trip, dials: { ...trip.dials, gramsPerHour: 50 } })
    nth(analyses, 1).answer(analysis({ built: { ...built, ledger: { ...built.ledger, gramsPerHour: 50 } } }))
    await pass(10)
    store.clear()
    holdsWhy = true
    void store.analyse(trip)
    nth(analyses, 2).answer(analysis({ built: { ...built, number: 1 } }))
    await pass(dialAtRest)
    expect(whys).toHaveLength(1)
    expect(store.weighing).toBe(true)
    expect(store.weighed).toBeNull()
  })

  it('goes with the road', async () => {
    void store.analyse(trip)
    nth(analyses, 0).answer(analysis())
    await pass(0)
    void store.analyse({ ...trip, stops: [] })
    nth(analyses, 1).answer(analysis({ built: null }))
    await pass(0)
    expect(store.weighed).toBeNull()
    expect(store.kit).toBeNull()
  })
})

describe('plans beside the one that is made', () => {
  beforeEach(async () => {
    void store.analyse(trip)
    nth(analyses, 0).answer(analysis())
    await pass(0)
  })
  const [sooner, later] = [
    { massG: 500, promiseH: kit.promiseH - 2 },
    { massG: 900, promiseH: kit.promiseH + 1 },
  ]

  it('are compared under its price; it is what it is, and not worked out again', async () => {
    const asked = store.shutOptionsAt('ferrow')
    await pass(0)
    expect(nth(comparisons, 0).gramsPerHour).toBe(built.ledger.gramsPerHour)
    expect(nth(comparisons, 0).ledgers).toEqual([ways[0], ways[2]])
    nth(comparisons, 0).answer([sooner, later])
    const { massG, promiseH } = kit
    expect((await asked)?.map((option) => ({ massG: option.massG, promiseH: option.promiseH }))).toEqual([
      sooner,
      { massG, promiseH },
      later,
    ])
  })

  it('are compared once a kit is chosen for the trip as it stands, and not before', async () => {
    void store.analyse({ ...trip, stops: [] })
    expect(await store.shutOptionsAt('ferrow')).toBeUndefined()
    expect(await store.nextSteps()).toBeUndefined()
    nth(analyses, 1).answer(analysis({ built: { ...built, number: 1 } }))
    await pass(0)
    void store.nextSteps()
    await pass(0)
    expect(comparisons).toHaveLength(1)
  })

  it('have hours that hang on each, the most first', async () => {
    const asked = store.nextSteps()
    await pass(0)
    nth(comparisons, 0).answer([later, sooner, later])
    const found = defined(await asked)
    expect(found.map(({ lack }) => lack.kind)).toEqual(['no start', 'no hours'])
    expect(nth(found, 0).hours).toBeCloseTo(2, 9)
    expect(nth(found, 1).hours).toBeCloseTo(1, 9)
  })

  it('are compared where others were before; others that are still being compared are given up', async () => {
    const kitWorkers = () => workers.filter(({ file }) => file === 'kit.worker.ts').map(({ terminated }) => terminated)
    void store.shutOptionsAt('ferrow')
    await pass(0)
    nth(comparisons, 0).answer([sooner, later])
    await pass(0)
    void store.shutOptionsAt('ferrow')
    await pass(0)
    expect(kitWorkers()).toEqual([false, false])
    void store.shutOptionsAt('quillby')
    await pass(0)
    expect(kitWorkers()).toEqual([false, true, false])
    // What matters next is compared beside them.
    void store.nextSteps()
    await pass(0)
    expect(kitWorkers()).toEqual([false, true, false, false])
    store.clear()
    expect(kitWorkers()).toEqual([true, true, true, true])
  })
})

describe('the proof', () => {
  beforeEach(() => store.proveWhileWeighing(true))
  const analysedKit = async () => {
    void store.analyse(trip)
    defined(analyses.at(-1)).answer(analysis())
    await pass(0)
  }

  it('starts once nothing has changed for a while', async () => {
    await analysedKit()
    expect(store.proof.stage).toBe('none')
    await pass(calm)
    expect(store.proof.stage).toBe('running')
    expect(workers.map(({ file }) => file)).toEqual(['analysis.worker.ts', 'kit.worker.ts', 'proof.worker.ts'])
  })

  it('waits until somebody weighs', async () => {
    store.proveWhileWeighing(false)
    await analysedKit()
    await pass(10 * calm)
    expect(store.proof.stage).toBe('none')
    store.proveWhileWeighing(true)
    await pass(calm)
    expect(store.proof.stage).toBe('running')
  })

  it('goes on and stays done when one goes elsewhere', async () => {
    await analysedKit()
    await pass(calm)
    store.proveWhileWeighing(false)
    nth(proofs, 0).answer({ boundNetH: kit.netH, gap: 0, seconds: 1, best: kit })
    await pass(0)
    store.proveWhileWeighing(true)
    await pass(10 * calm)
    expect(store.proof.stage).toBe('done')
  })

  it('does not start without a kit', async () => {
    void store.analyse(trip)
    choice = { ...choice, kit: null, problems: ['the pins weigh too much'] }
    nth(analyses, 0).answer(analysis())
    await pass(calm)
    expect(store.proof.stage).toBe('none')
  })

  it('tells how far the kit may be from the best, and ends with what was proved', async () => {
    await analysedKit()
    await pass(calm)
    nth(proofs, 0).onBound(Infinity, 0.2)
    expect((store.proof as { gap: number | null }).gap).toBeNull()
    nth(proofs, 0).onBound(kit.netH + (kit.emptyH - kit.promiseH) / 5, 0.4)
    expect(store.proof).toMatchObject({ stage: 'running', seconds: 0.4 })
    expect((store.proof as { gap: number }).gap).toBeCloseTo(0.2, 9)
    nth(proofs, 0).answer({ boundNetH: kit.netH, gap: 0, seconds: 1, best: kit })
    await pass(0)
    expect(store.proof).toMatchObject({ stage: 'done', proof: { gap: 0 } })
    expect(nth(workers, 2).terminated).toBe(true)
  })

  it('stays done though a bound comes late, by the channel of its own', async () => {
    void store.analyse(trip)
    nth(analyses, 0).answer(analysis())
    await pass(calm)
    nth(proofs, 0).answer({ boundNetH: kit.netH, gap: 0, seconds: 1, best: kit })
    await pass(0)
    nth(proofs, 0).onBound(kit.netH * 1.01, 0.9)
    expect(store.proof.stage).toBe('done')
  })

  it('is stopped by a change, and its late answers count no more', async () => {
    await analysedKit()
    await pass(calm)
    void store.analyse({ ...trip, crew: [] })
    expect(store.proof.stage).toBe('none')
    expect(nth(workers, 2).terminated).toBe(true)
    nth(proofs, 0).onBound(kit.netH * 2, 3)
    nth(proofs, 0).answer({ boundNetH: 1, gap: 1, seconds: 9, best: kit })
    await pass(0)
    expect(store.proof.stage).toBe('none')
  })

  it('goes on where the trip was only given another name', async () => {
    await analysedKit()
    await pass(calm)
    const asked = analyses.length
    void store.analyse({ ...trip, name: 'changed' })
    expect(analyses).toHaveLength(asked)
    expect(store.proof.stage).toBe('running')
    expect(nth(workers, 2).terminated).toBe(false)
  })

  it('can be stopped and started by hand', async () => {
    await analysedKit()
    await pass(calm)
    store.stopProof()
    expect(store.proof.stage).toBe('none')
    store.proveWhileWeighing(false)
    store.proveWhileWeighing(true)
    await pass(10 * calm)
    expect(store.proof.stage).toBe('none')
    store.startProof()
    expect(store.proof.stage).toBe('running')
  })

  it('that fails says why', async () => {
    await analysedKit()
    await pass(calm)
    nth(proofs, 0).fail(new Error('the proof found less than the kit'))
    await pass(0)
    expect(store.proof).toEqual({ stage: 'failed', message: 'the proof found less than the kit' })
  })
})

it('letting go of a trip ends its workers and forgets it', async () => {
  void store.analyse(trip)
  nth(analyses, 0).answer(analysis())
  await pass(calm)
  store.clear()
  expect(workers.every(({ terminated }) => terminated)).toBe(true)
  expect(store.analysis).toBeUndefined()
  void store.analyse(trip)
  expect(Object.keys(defined(analyses.at(-1)).parts)).toContain('road')
})
