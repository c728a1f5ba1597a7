import type { Proof } from '#core/bound'
import type { KitChoice } from '#core/search'
import type { Kit, Verdict } from '#core/verdicts'
import type { Lacking, Piece } from '#core/unlock'
import type { PlaceReport, Remedy } from '#core/availability'
import type { Thing } from '#core/bench'
import type { Candidate, CandidateReport, OneForSeveral } from '#core/candidates'
import type { MoveCost, PackPlan } from '#core/pack'
import type { Papers } from '#core/papers'
import type { PracticeWorth } from '#core/practice'
import type { ReadyTask, TaskWorth } from '#core/ready'
import { withPlanning } from '#core/reference'
import type { RoadPoint } from '#core/road'
import { type Trip, type TripCard, partNames } from '#core/trip'
import { hoursHangingOn, type Lack } from '#core/next-steps'
import type { Flip } from '#core/flips'
import type { FrontierKit } from '#core/frontier'
import type { Ledger } from '#core/ledger'
import { nth } from '#core/validation'
import type { Shift, ShiftCosts, SplitPlan } from '#core/split'
import type { Standing } from '#core/stances'
import type { StressFinding } from '#core/stress'
import type { Way } from '#core/ways'
import { catalogue } from '#catalogue'
import { proxy, transfer, wrap, type Remote } from 'comlink'
import { defineStore } from 'pinia'
import { until } from '@vueuse/core'
import { computed, ref, shallowRef } from 'vue'
import { asPlain } from '../session/plain-data'
import { nextTask } from '../timing/next-task'
import { packLine, unpackLine, type LineId, type PackedLine, type RoadWithoutLine } from '../workers/packed-line'
import type { ProveService } from '../workers/proof.worker'
import type {
  Analysis,
  HoursReading,
  NumberedLedger,
  RoadReading,
  RoadReshaping,
  ShutOptionWritten,
} from '../workers/analyser'
import type { AnalysisService } from '../workers/analysis.worker'
import type { Choice, KitAtPrice, Outcome, ToldAhead } from '../workers/kit-chooser'
import type { KitService } from '../workers/kit.worker'
import type { SplitterService } from '../workers/splitter'
import type { ReadyList, TripWithoutLine, WayfinderService } from '../workers/wayfinder'

/** A kit, and the ledger it was chosen for, with the price of a gram that it was chosen under. */
export interface Chosen extends Omit<Choice, 'gramsPerHour'> {
  readonly built: NumberedLedger
  /** The same ledger as it was written. */
  readonly written: NumberedLedger
}

/** What the balance tells of a kit, and the price of a gram with it. */
export interface Told {
  readonly kit: KitChoice | null
  readonly gramsPerHour: number | null
}

/** The same with its why. */
export interface Weighed extends Chosen {
  readonly kit: Kit | null
}

/** A way to deal with what is shut at a stop, and what comes of it. */
export type WeighedOption = Omit<ShutOptionWritten, 'ledger'> & Outcome

/** Something that the plan lacks, and the hours that hang on it. */
export interface WeighedStep {
  readonly lack: Lack
  readonly hours: number
}

/** A worker, and what it does. */
interface Working<Service> {
  readonly worker: Worker
  readonly service: Remote<Service>
}

/** How the proof stands. */
export type ProofState =
  | { readonly stage: 'none' }
  | { readonly stage: 'running'; readonly gap: number | null; readonly seconds: number }
  | { readonly stage: 'done'; readonly proof: Proof }
  | { readonly stage: 'failed'; readonly message: string }

/** So many points of a line are unpacked at a time: a few milliseconds' work. */
const pointsAtOnce = 10_000

async function unpackedBitByBit(line: PackedLine): Promise<RoadPoint[]> {
  const points: RoadPoint[] = []
  for (let from = 0; from < line.length / 3; from += pointsAtOnce) {
    points.push(...unpackLine(line, from, Math.min(from + pointsAtOnce, line.length / 3)))
    await nextTask()
  }
  return asPlain(points)
}

/** The proof starts once nothing has changed for this long, where somebody weighs. */
const calmMs = 700

/** A dial that nobody has turned for so long is at rest. */
const dialAtRestMs = 150

/** The analysis of the trip on the bench, done in workers so that the page never waits. */
export const useKitStore = defineStore('kit', () => {
  const analysis = shallowRef<Analysis>()
  /** The kit that was chosen last, which is there a moment before its why. */
  const chosen = shallowRef<Chosen | null>(null)
  /** What the balance tells: of the kit as it was, by the trip as it is, until a better one has been found. */
  const told = shallowRef<Told | null>(null)
  /** The number of the ledger by which that is told. */
  let toldBy = -1
  /** The kit with its why, and the ledger it was chosen for: while a trip is weighed anew, as it was before. */
  const weighed = shallowRef<Weighed | null>(null)
  const kit = computed(() => weighed.value?.kit ?? null)
  const busy = ref(false)
  /** Whether a kit is being chosen. */
  const weighing = ref(false)
  const failure = ref('')
  const proof = shallowRef<ProofState>({ stage: 'none' })

  let analyser: Remote<AnalysisService> | undefined
  let analysisWorker: Worker | undefined
  // The remote is held on to beside its worker: once it is collected as garbage, the worker's answer finds nobody.
  let proving: { worker: Worker; prover: Remote<ProveService> } | undefined
  let chooser: Working<KitService> | undefined
  const toWeigh = shallowRef<NumberedLedger | null>(null)
  let tripsLeft = 0
  let sent: Partial<Trip> = {}
  let waiting: Trip | undefined
  let analysed: Promise<void> = Promise.resolve()
  /** Roads are asked for one after another: each is made of the trip with the one before. */
  let asked: Promise<unknown> = Promise.resolve()
  /** The names of lines, wherever they were made. */
  let lineIds = new WeakMap<readonly RoadPoint[], LineId>()
  let calm: ReturnType<typeof setTimeout> | undefined
  /** Whether somebody weighs: elsewhere nothing is proved unless it is asked for, which takes up to a minute of a core. */
  let isWeighOpen = false
  /** Whether the kit has been neither proved yet nor kept from it by hand. */
  let isProofDue = false

  function analysisService(): Remote<AnalysisService> {
    if (!analyser) {
      analysisWorker = new Worker(new URL('../workers/analysis.worker.ts', import.meta.url), { type: 'module' })
      analysisWorker.onerror = (event) => (failure.value = event.message || 'The analysis could not be started.')
      analyser = wrap<AnalysisService>(analysisWorker)
      const { port1: toChooser, port2: fromAnalyser } = new MessageChannel()
      void analyser.sendLedgers(transfer(toChooser, [toChooser]))
      void kitService().hearLedgers(transfer(fromAnalyser, [fromAnalyser]), proxy(tellAhead(tripsLeft)))
    }
    return analyser
  }

  /** What the kit comes to by a ledger, before all else has been worked out that the page is told of the trip. */
  const tellAhead =
    (mine: number) =>
    ({ number, ...ahead }: ToldAhead): void => {
      if (mine === tripsLeft && hasLedger() && number > toldBy) tell(number, ahead.kit, ahead.gramsPerHour)
    }

  /** @param price what a gram costs; null where the road sets it, which is not known before a kit is chosen */
  function tell(number: number, kit: KitChoice | null, price: number | null): void {
    toldBy = number
    told.value = { kit, gramsPerHour: price ?? chosen.value?.built.ledger.gramsPerHour ?? null }
  }

  /** Analyses a trip; while one is being analysed, only the newest waits. */
  function analyse(trip: Trip): Promise<void> {
    const last = waiting ?? sent
    // Nothing hangs on the name.
    if (partNames.every((part) => part === 'name' || last[part] === trip[part])) return analysed
    waiting = trip
    stopProof()
    if (!busy.value) analysed = analyseWaiting()
    return analysed
  }

  async function analyseWaiting(): Promise<void> {
    busy.value = true
    while (waiting) {
      const next: Trip = waiting
      waiting = undefined
      const before = sent
      sent = next
      try {
        analysis.value = await sendChanged(before, next)
        failure.value = ''
        weigh(analysis.value.built)
      } catch (error) {
        failure.value = error instanceof Error ? error.message : String(error)
        sent = {}
      }
    }
    busy.value = false
  }

  /** Chooses the kit for a ledger; while one is being chosen, only the newest ledger waits. */
  function weigh(built: NumberedLedger | null): void {
    toWeigh.value = built
    if (!built) told.value = chosen.value = weighed.value = null
    if (!weighing.value) void weighWaiting()
  }

  /** While a kit is chosen, its road may be taken away, a newer ledger may come, and the trip may be left. */
  const hasLedger = () => Boolean(analysis.value?.built)
  const isOlder = () => toWeigh.value !== null

  async function weighWaiting(): Promise<void> {
    const mine = tripsLeft
    weighing.value = true
    while (toWeigh.value) {
      const built: NumberedLedger = toWeigh.value
      toWeigh.value = null
      try {
        const choice = await choose(built)
        if (!hasLedger()) continue
        const isTurned = chosen.value?.built.number === built.number
        // What has changed meanwhile is weighed in its turn; till then this is nearer to it than what was shown before.
        chosen.value = choice
        if (built.number >= toldBy) tell(built.number, choice.kit, choice.built.ledger.gramsPerHour)
        // The why of the newest alone is worked out, and not while the dial may still be turned: the next turn would put it off.
        if (isTurned) await until(isOlder).toBe(true, { timeout: dialAtRestMs })
        if (mine !== tripsLeft) return
        if (isOlder() || !hasLedger()) continue
        const newer = until(isOlder).toBe(true)
        const kit = choice.kit && (await Promise.race([kitService().explain(), newer.then(() => undefined)]))
        if (mine !== tripsLeft) return
        if (kit === undefined) continue
        if (hasLedger()) weighed.value = { ...choice, kit }
      } catch (error) {
        failure.value = error instanceof Error ? error.message : String(error)
      }
    }
    weighing.value = false
    isProofDue = kit.value !== null
    proveOnceCalm()
  }

  /**
   * Sends the ledger only where it has not come to the worker straight from where it was written; what the kit that is shown
   * comes to is told at once.
   */
  async function choose(written: NumberedLedger): Promise<Chosen> {
    const { number, ledger } = written
    const { gramsPerHour, budgetG, budgetMoney, pins } = ledger
    const prices = { gramsPerHour, budgetG, budgetMoney, pins }
    const at = (price: number | null) => ({ ...written, ledger: { ...ledger, gramsPerHour: price } })
    // Both are asked at once: between them nobody waits for a page that is busy drawing.
    const ask = async (given: typeof ledger | undefined) => {
      const service = kitService()
      const [takingUp, choosing] = [service.takeUp(number, prices, given), service.choose(number)]
      const kit = await takingUp
      if (kit && hasLedger() && !isOlder() && number >= toldBy) tell(number, kit, gramsPerHour)
      return choosing
    }
    const answer = (await ask(undefined)) ?? (await ask(ledger))
    if (!answer) throw new Error('The ledger was lost on its way.')
    const { gramsPerHour: price, ...choice } = answer
    return { ...choice, built: at(price), written }
  }

  const kitService = (): Remote<KitService> => (chooser ??= kitWorker()).service

  /**
   * Asks beside the kit that is chosen, which never waits for that; whoever asks anew gives up what was asked last. A worker
   * that has answered before is much quicker: it is kept, unless it is given up.
   */
  function adviser<Service>(begin: () => Working<Service>) {
    let mine: Working<Service> | undefined
    let isAsked = false
    function stop(): void {
      mine?.worker.terminate()
      mine = undefined
      isAsked = false
    }
    return {
      async ask<T>(question: (service: Remote<Service>) => Promise<T>): Promise<T> {
        if (isAsked) stop()
        const asked = (mine ??= begin())
        isAsked = true
        const answer = await question(asked.service)
        isAsked = false
        return answer
      },
      /** Asks whoever is at work, after what was asked before; nothing where nobody is. An answer that is cut off never comes. */
      async askBeside<T>(question: (service: Remote<Service>) => Promise<T>): Promise<T | undefined> {
        return mine && question(mine.service)
      },
      stop,
    }
  }
  const shutWays = adviser(kitWorker)
  const lackingSteps = adviser(kitWorker)
  const unlocking = adviser(kitWorker)
  const practising = adviser(kitWorker)
  const trading = adviser(kitWorker)
  const wayfinding = adviser(waysWorker)
  const schooling = adviser(waysWorker)
  const planning = adviser(waysWorker)
  const trying = adviser(waysWorker)
  const stressing = adviser(waysWorker)
  const turning = adviser(waysWorker)
  const listing = adviser(waysWorker)
  const weighingTasks = adviser(waysWorker)
  const splitting = adviser(splitWorker)

  function kitWorker(): Working<KitService> {
    const worker = new Worker(new URL('../workers/kit.worker.ts', import.meta.url), { type: 'module' })
    worker.onerror = (event) => (failure.value = event.message || 'The kit could not be chosen.')
    return { worker, service: wrap<KitService>(worker) }
  }

  function waysWorker(): Working<WayfinderService> {
    const worker = new Worker(new URL('../workers/ways.worker.ts', import.meta.url), { type: 'module' })
    worker.onerror = (event) => (failure.value = event.message || 'The ways could not be weighed.')
    return { worker, service: wrap<WayfinderService>(worker) }
  }

  function splitWorker(): Working<SplitterService> {
    const worker = new Worker(new URL('../workers/split.worker.ts', import.meta.url), { type: 'module' })
    worker.onerror = (event) => (failure.value = event.message || 'The kit could not be split.')
    return { worker, service: wrap<SplitterService>(worker) }
  }

  /** Sends what changed, and the line of the road only when the worker does not have it. */
  async function sendChanged(before: Partial<Trip>, next: Trip): Promise<Analysis> {
    const changed = partNames.filter((part) => before[part] !== next[part])
    const parts = Object.fromEntries(changed.map((part) => [part, next[part]])) as Partial<Trip>
    const { points, ...road } = next.road
    const all = { ...parts, ...(parts.road && { road }) }
    const lineId = lineIdOf(points)
    const answer = await analysisService().analyse(all, lineId, undefined)
    if (answer) return answer
    const packed = packLine(points)
    const again = await analysisService().analyse(all, lineId, transfer(packed, [packed.buffer]))
    if (!again) throw new Error('The line of the road was lost on its way.')
    return again
  }

  function lineIdOf(points: readonly RoadPoint[]): LineId {
    const known = lineIds.get(points)
    if (known !== undefined) return known
    const id = crypto.randomUUID()
    lineIds.set(points, id)
    return id
  }

  /** Asks for a road that is made of the trip as it stands; its line is unpacked here, once. */
  function ask<T extends { ok: true; next: { road: RoadWithoutLine; line: PackedLine; lineId: LineId } }>(
    question: (service: Remote<AnalysisService>) => Promise<T | { ok: false; lines: string[] }>,
  ) {
    const mine = asked.then(async () => {
      await analysed
      const answer = await question(analysisService())
      if (!answer.ok) return answer
      const { line, lineId, road, ...rest } = answer.next
      const points = await unpackedBitByBit(line)
      lineIds.set(points, lineId)
      return { ...answer, next: { ...rest, road: { ...road, points } } }
    })
    // What was asked is laid on the road before the next is begun.
    asked = mine.then(nextTask, nextTask)
    return mine
  }

  function proveWhileWeighing(isOpen: boolean): void {
    isWeighOpen = isOpen
    proveOnceCalm()
  }

  function proveOnceCalm(): void {
    clearTimeout(calm)
    const isCalm = !busy.value && !weighing.value
    // Of nothing to choose from there is nothing to prove.
    const hasChoice = (weighed.value?.built.ledger.items.length ?? 0) > 0
    if (isWeighOpen && isProofDue && isCalm && hasChoice) calm = setTimeout(startProof, calmMs)
  }

  function startProof(): void {
    if (!weighed.value || !kit.value) return
    const { built } = weighed.value
    stopProof()
    const worker = new Worker(new URL('../workers/proof.worker.ts', import.meta.url), { type: 'module' })
    const prover = wrap<ProveService>(worker)
    proving = { worker, prover }
    isProofDue = false
    proof.value = { stage: 'running', gap: null, seconds: 0 }
    /** How it ended. The bounds come by a channel of their own, and one may be late: from now on none counts. */
    const ended = (state: ProofState) => {
      if (proving?.worker !== worker) return
      proving = undefined
      proof.value = state
    }
    const failed = (message: string) => ended({ stage: 'failed', message })
    worker.onerror = (event) => failed(event.message || 'The proof could not be started.')
    const { counts, promiseH, walkH, stranded, massG, money, emptyH, netH } = kit.value
    const shown: KitChoice = { counts, promiseH, walkH, stranded, massG, money, emptyH, netH }
    const savedH = emptyH - promiseH
    prover
      .proveKit(
        built.ledger,
        shown,
        proxy((boundNetH: number, seconds: number) => {
          if (proving?.worker !== worker) return
          proof.value = {
            stage: 'running',
            gap: savedH > 0 && Number.isFinite(boundNetH) ? Math.max(0, boundNetH - netH) / savedH : null,
            seconds,
          }
        }),
      )
      .then(
        (result) => ended({ stage: 'done', proof: result }),
        (error: unknown) => failed(error instanceof Error ? error.message : String(error)),
      )
      .finally(() => worker.terminate())
  }

  /** Stops a proof under way; its worker is asked nothing more. */
  function stopProof(): void {
    clearTimeout(calm)
    proving?.worker.terminate()
    proving = undefined
    isProofDue = false
    proof.value = { stage: 'none' }
  }

  async function whatIsLacking(): Promise<Lacking[]> {
    const laid = await analysisService().benchAndCatalogue()
    if (!laid || !kit.value || !weighed.value) return []
    const carried = Object.fromEntries(kit.value.verdicts.map(({ item, n }) => [item, n]))
    const { gramsPerHour } = weighed.value.built.ledger
    return unlocking.ask((service) => service.lacking(laid, gramsPerHour, carried))
  }

  /** What to lay on the bench while nothing lies there, once the trip has been looked at. */
  async function startOfBench(owned: readonly Thing[]): Promise<Piece[]> {
    await analysed
    return analysisService().startOfBench(owned)
  }

  function remedies(classId: string): Promise<Remedy[]> {
    return analysisService().remedies(classId)
  }

  /** Tools that could stand for several of the kit, or of all that lies on the bench; nothing while there is no kit. */
  async function oneForSeveral(among: 'kit' | 'bench'): Promise<OneForSeveral[]> {
    const now = chosen.value
    if (!now?.kit) return []
    const { counts } = now.kit
    const { items } = now.built.ledger
    const carried = items.filter((_, i) => among === 'bench' || (counts[i] ?? 0) > 0).map(({ id }) => id)
    return analysisService().oneForSeveralOf(carried)
  }

  /** The kit that was chosen for the trip as it stands; none while a change is on its way. */
  const chosenForNow = computed(() =>
    !busy.value && chosen.value?.written === analysis.value?.built ? chosen.value : null,
  )
  const chosenNow = () => chosenForNow.value

  /**
   * What can be done about what is shut at a stop, and what comes of each; what is planned so far comes to the kit as it is.
   *
   * @returns nothing while a change is on its way: it is to be asked again once a kit has been chosen
   */
  async function shutOptionsAt(stopId: string): Promise<WeighedOption[] | undefined> {
    const now = chosenNow()
    if (!now) return undefined
    const options = await analysisService().shutOptionsAt(stopId)
    if (!now.kit || !options.some(({ isMade }) => isMade)) return []
    const { massG, promiseH } = now.kit
    const others = options.filter(({ isMade }) => !isMade)
    const { gramsPerHour } = now.built.ledger
    const ledgers = others.map(({ ledger }) => ledger)
    const outcomes = await shutWays.ask((service) => service.compare(ledgers, gramsPerHour))
    return options.map(({ choice, isMade, parts, days, ledger }) => {
      const outcome = isMade
        ? { massG, promiseH }
        : nth(
            outcomes,
            others.findIndex((other) => other.ledger === ledger),
          )
      return { choice, isMade, parts, days, ...outcome }
    })
  }

  /** What the plan lacks, with the hours that hang on each; the most first. @returns nothing, as above */
  async function nextSteps(): Promise<WeighedStep[] | undefined> {
    const now = chosenNow()
    if (!now) return undefined
    const steps = await analysisService().nextStepsOf()
    if (!now.kit || steps.length === 0) return []
    const { promiseH } = now.kit
    const plans = steps.flatMap(({ ledgers }) => ledgers)
    const { gramsPerHour } = now.built.ledger
    const outcomes = await lackingSteps.ask((service) => service.compare(plans, gramsPerHour))
    const plansH = outcomes.map((outcome) => outcome.promiseH)
    return steps
      .map(({ lack, ledgers }) => ({
        lack,
        hours: hoursHangingOn({ lack }, promiseH, plansH.splice(0, ledgers.length)),
      }))
      .sort((a, b) => b.hours - a.hours)
  }

  /** What each evening of practice is worth with the kit as it is, the best first. @returns nothing, as above */
  async function practiceWorths({ crew, stops, ride, dials }: Trip): Promise<PracticeWorth[] | undefined> {
    const now = chosenNow()
    if (!now?.kit) return undefined
    const { ledger, notes, stuck, edges } = now.built
    const { techniques, hands } = withPlanning(catalogue, dials.planning)
    const { counts } = now.kit
    const [{ start }, { helper }] = [ride, dials]
    const plan = { crew, stops, ride: { start }, dials: { helper } }
    return practising.ask((service) =>
      service.practiceWorths({ ledger, notes, stuck, edges }, plan, { techniques, hands }, counts),
    )
  }

  /** The best kits for each mass, told as they are found. @returns once there are no more */
  function findFrontier(ledger: Ledger, steps: number, onKit: (kit: FrontierKit) => void): Promise<void> {
    return trading.ask((service) => service.findFrontier(ledger, steps, proxy(onKit)))
  }

  /** Every way that weighs nothing, with the kit as it is, told as they are found. @returns once there are no more */
  async function findWays(trip: Trip, onWay: (way: Way) => void): Promise<void> {
    const kit = chosen.value?.kit
    if (!kit) return
    await askAbout(wayfinding, trip, (service, asked, lineId, packed) =>
      service.findWays(asked, lineId, packed, kit.counts, proxy(onWay)),
    )
  }

  /** What each stance would pack, told as they are found. @returns once there are no more */
  const findStandings = (trip: Trip, onStanding: (standing: Standing) => void): Promise<void> =>
    askAbout(schooling, trip, (service, asked, lineId, packed) =>
      service.findStandings(asked, lineId, packed, proxy(onStanding)),
    )

  /** The ledger of each of some plans on the line of a trip, or why it has none, in their order. */
  async function ledgersOf(trip: Trip, plans: readonly Trip[]): Promise<(Ledger | { why: string })[]> {
    let found: (Ledger | { why: string })[] | undefined
    const withoutLine = plans.map(({ road: { points: _, ...road }, ...plan }) => ({ ...plan, road }))
    await askAbout(planning, trip, async (service, asked, lineId, packed) => {
      found = await service.ledgersOf(asked, lineId, packed, withoutLine)
      return found !== undefined
    })
    return found ?? []
  }

  /** How candidates do side by side, told as they are found. @returns once there are no more */
  const findReports = (
    trip: Trip,
    candidates: readonly Candidate[],
    onReport: (report: CandidateReport) => void,
  ): Promise<void> =>
    askAbout(trying, trip, (service, asked, lineId, packed) =>
      service.findReports(asked, lineId, packed, candidates, proxy(onReport)),
    )

  /** How the kit as it is does when things come thick, told as it is found. @returns once there is no more */
  async function findStress(trip: Trip, onFinding: (finding: StressFinding) => void): Promise<void> {
    const kit = chosen.value?.kit
    if (!kit) return
    await askAbout(stressing, trip, (service, asked, lineId, packed) =>
      service.findStress(asked, lineId, packed, kit.counts, proxy(onFinding)),
    )
  }

  /** What would change a verdict, told as it is found. @returns once there is no more */
  async function findFlips(trip: Trip, verdict: Verdict, onFlip: (flip: Flip) => void): Promise<void> {
    const kit = chosen.value?.kit
    if (!kit) return
    await askAbout(turning, trip, (service, asked, lineId, packed) =>
      service.findFlips(asked, lineId, packed, kit.counts, verdict, proxy(onFlip)),
    )
  }

  /** All that is to be done before the ride, and what hangs on it together; without a kit the list alone. */
  async function readyList(trip: Trip): Promise<ReadyList | undefined> {
    const counts = chosenNow()?.kit?.counts ?? null
    let found: ReadyList | undefined
    await askAbout(listing, trip, async (service, asked, lineId, packed) => {
      found = await service.readyListOf(asked, lineId, packed, counts)
      return found !== undefined
    })
    return found
  }

  /** What it costs to leave tasks undone with the kit as it is, told as it is found. @returns once there is no more */
  async function findTaskWorths(
    trip: Trip,
    tasks: readonly ReadyTask[],
    onWorth: (worth: TaskWorth) => void,
  ): Promise<void> {
    const kit = chosenNow()?.kit
    if (!kit) return
    await askAbout(weighingTasks, trip, (service, asked, lineId, packed) =>
      service.findTaskWorths(asked, lineId, packed, kit.counts, tasks, proxy(onWorth)),
    )
  }

  /** Who carries what of the kit as it is; told on the way that it goes on. @returns nothing while there is no kit */
  async function splitAmong(
    trip: Trip,
    onRound: () => void,
    onSoFar?: (plan: SplitPlan) => void,
  ): Promise<SplitPlan | undefined> {
    const now = chosenNow()
    if (!now?.kit) return undefined
    const { counts } = now.kit
    const { points, ...road } = trip.road
    const { gramsPerHour } = now.built.ledger
    const asked = { ...trip, road, dials: { ...trip.dials, gramsPerHour } }
    const lineId = lineIdOf(points)
    return splitting.ask(async (service) => {
      const telling = [proxy(onRound), onSoFar && proxy(onSoFar)] as const
      const found = await service.split(asked, lineId, undefined, counts, ...telling)
      if (found) return found
      const packed = packLine(points)
      return service.split(asked, lineId, transfer(packed, [packed.buffer]), counts, ...telling)
    })
  }

  /** What changes of the split that was found last would cost. */
  const costsOfShifts = (changes: readonly (readonly Shift[])[]): Promise<ShiftCosts[] | undefined> =>
    splitting.askBeside((service) => service.costsOf(changes))

  /** Where everything of the split that was found last is packed. */
  const packAll = ({ bikes, bench, dials }: Trip): Promise<PackPlan[] | undefined> =>
    splitting.askBeside((service) => service.pack({ bikes, bench, dials }))

  /** All that goes on paper of what was packed last. */
  const gatherPapers = ({ road: { points: _, ...road }, ...trip }: Trip): Promise<Papers | undefined> =>
    splitting.askBeside((service) => service.papers({ ...trip, road }))

  /** What other places would cost for a piece of what was packed last. */
  const movesFrom = (bikeId: string, thing: number, from: string | null): Promise<MoveCost[] | undefined> =>
    splitting.askBeside((service) => service.movesFrom(bikeId, thing, from))

  /** Asks about a whole trip; the line of its road is sent only where it is not at hand. */
  function askAbout(
    whom: ReturnType<typeof adviser<WayfinderService>>,
    { road: { points, ...road }, ...trip }: Trip,
    question: (
      service: Remote<WayfinderService>,
      asked: TripWithoutLine,
      lineId: LineId,
      packed: PackedLine | undefined,
    ) => Promise<boolean>,
  ): Promise<void> {
    const lineId = lineIdOf(points)
    const asked = { ...trip, road }
    return whom.ask(async (service) => {
      if (await question(service, asked, lineId, undefined)) return
      const packed = packLine(points)
      await question(service, asked, lineId, transfer(packed, [packed.buffer]))
    })
  }

  const asTheRoadSetsIt = (): Promise<KitAtPrice | null> => kitService().asTheRoadSetsIt()

  function readPlace(roadKm: number): Promise<PlaceReport | null> {
    return analysisService().readPlace(roadKm)
  }

  function readHours(text: string, roadKm: number): Promise<HoursReading> {
    return analysisService().readHours(text, roadKm)
  }

  const checkRoad = (text: string) => analysisService().checkRoad(text)
  const readRoad = (text: string) => ask<RoadReading & { ok: true }>((service) => service.readRoad(text))
  const readLines = (fileId: string, picked: readonly number[]) =>
    ask<RoadReading & { ok: true }>((service) => service.readLines(fileId, picked))
  const joinRoad = (text: string) => ask<RoadReshaping & { ok: true }>((service) => service.joinRoad(text))
  const reverseRoad = () => ask<RoadReshaping & { ok: true }>((service) => service.reverseRoad())
  const cutRoad = (fromKm: number, toKm: number) =>
    ask<RoadReshaping & { ok: true }>((service) => service.cutRoad(fromKm, toKm))
  const routeCard = (): Promise<TripCard | undefined> => analysisService().routeCard()
  const layRouteCard = (card: TripCard) => ask<RoadReshaping & { ok: true }>((service) => service.layRouteCard(card))

  async function roadAsGpx(withTimes: boolean): Promise<string> {
    await analysed
    return analysisService().roadAsGpx(withTimes)
  }

  /** Lets go of a trip. */
  function clear(): void {
    tripsLeft++
    stopProof()
    analysisWorker?.terminate()
    analysisWorker = undefined
    chooser?.worker.terminate()
    shutWays.stop()
    lackingSteps.stop()
    unlocking.stop()
    practising.stop()
    trading.stop()
    wayfinding.stop()
    schooling.stop()
    listing.stop()
    weighingTasks.stop()
    planning.stop()
    trying.stop()
    stressing.stop()
    turning.stop()
    splitting.stop()
    chooser = undefined
    toWeigh.value = null
    weighing.value = false
    analyser = undefined
    sent = {}
    waiting = undefined
    lineIds = new WeakMap()
    analysed = asked = Promise.resolve()
    busy.value = false
    analysis.value = undefined
    told.value = chosen.value = weighed.value = null
    toldBy = -1
  }

  return {
    analysis,
    told,
    chosen,
    chosenForNow,
    weighed,
    kit,
    busy,
    weighing,
    failure,
    proof,
    analyse,
    proveWhileWeighing,
    startProof,
    stopProof,
    whatIsLacking,
    startOfBench,
    remedies,
    oneForSeveral,
    shutOptionsAt,
    nextSteps,
    practiceWorths,
    findFrontier,
    findWays,
    findStandings,
    ledgersOf,
    findReports,
    findStress,
    findFlips,
    readyList,
    findTaskWorths,
    splitAmong,
    costsOfShifts,
    packAll,
    gatherPapers,
    movesFrom,
    asTheRoadSetsIt,
    readPlace,
    readHours,
    checkRoad,
    readRoad,
    readLines,
    joinRoad,
    reverseRoad,
    cutRoad,
    routeCard,
    layRouteCard,
    roadAsGpx,
    clear,
  }
})
