import type { Choice, BreakEven, Proof, MissingTool } from '#core/choose'
import type { PlaceReport, Remedy } from '#core/availability'
import type { RoadPoint } from '#core/road'
import { type Trip, partNames } from '#core/trip'
import { proxy, transfer, wrap, type Remote } from 'comlink'
import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import { nextTask } from '../timing/next-task'
import { packLine, unpackLine, type LineId, type PackedLine, type RoadWithoutLine } from '../workers/packed-line'
import type { BreakEvenService } from '../workers/break-even.worker'
import type { ProveService } from '../workers/proof.worker'
import type { HoursReading, Analysis, AnalysisService, RoadReading, RoadReshaping } from '../workers/analyser'

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
  return points
}

/** The proof starts once nothing has changed for this long. */
const calmMs = 700

/** The analysis of the trip on the bench, done in workers so that the page never waits. */
export const useKitStore = defineStore('kit', () => {
  const analysis = shallowRef<Analysis>()
  const busy = ref(false)
  const failure = ref('')
  const proof = shallowRef<ProofState>({ stage: 'none' })

  let analyser: Remote<AnalysisService> | undefined
  let analysisWorker: Worker | undefined
  // The remote is held on to beside its worker: once it is collected as garbage, the worker's answer finds nobody.
  let proving: { worker: Worker; prover: Remote<ProveService> } | undefined
  let seeking: { worker: Worker; service: Remote<BreakEvenService> } | undefined
  let sent: Partial<Trip> = {}
  let waiting: Trip | undefined
  let analysed: Promise<void> = Promise.resolve()
  /** Roads are asked for one after another: each is made of the trip with the one before. */
  let asked: Promise<unknown> = Promise.resolve()
  /** The names of lines, wherever they were made. */
  let lineIds = new WeakMap<readonly RoadPoint[], LineId>()
  let calm: ReturnType<typeof setTimeout> | undefined

  function analysisService(): Remote<AnalysisService> {
    if (!analyser) {
      analysisWorker = new Worker(new URL('../workers/analysis.worker.ts', import.meta.url), { type: 'module' })
      analysisWorker.onerror = (event) => (failure.value = event.message || 'The analysis could not be started.')
      analyser = wrap<AnalysisService>(analysisWorker)
    }
    return analyser
  }

  /** Analyses a trip; while one is being analysed, only the newest waits. */
  function analyse(trip: Trip): Promise<void> {
    const last = waiting ?? sent
    // Nothing hangs on the name.
    if (partNames.every((part) => part === 'name' || last[part] === trip[part])) return analysed
    waiting = trip
    stopProof()
    stopBreakEven()
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
      } catch (error) {
        failure.value = error instanceof Error ? error.message : String(error)
        sent = {}
      }
    }
    busy.value = false
    if (analysis.value?.kit) calm = setTimeout(startProof, calmMs)
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

  function startProof(): void {
    const built = analysis.value?.built
    const kit = analysis.value?.kit
    if (!built || !kit) return
    stopProof()
    const worker = new Worker(new URL('../workers/proof.worker.ts', import.meta.url), { type: 'module' })
    const prover = wrap<ProveService>(worker)
    proving = { worker, prover }
    proof.value = { stage: 'running', gap: null, seconds: 0 }
    /** How it ended. The bounds come by a channel of their own, and one may be late: from now on none counts. */
    const ended = (state: ProofState) => {
      if (proving?.worker !== worker) return
      proving = undefined
      proof.value = state
    }
    const failed = (message: string) => ended({ stage: 'failed', message })
    worker.onerror = (event) => failed(event.message || 'The proof could not be started.')
    const { counts, answers, savedH, massG, priceH, netH } = kit
    const shown: Choice = { counts, answers, savedH, massG, priceH, netH }
    prover
      .proveKit(
        built.ledger,
        shown,
        proxy((boundNetH: number, seconds: number) => {
          if (proving?.worker !== worker) return
          proof.value = {
            stage: 'running',
            gap: boundNetH > 0 && Number.isFinite(boundNetH) ? Math.max(0, boundNetH - netH) / boundNetH : null,
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
    proof.value = { stage: 'none' }
  }

  /** Where an item changes sides; null where there is no kit. Given up, and never answered, when the trip changes or another is asked about. */
  async function breakEven(itemId: string): Promise<BreakEven | null> {
    stopBreakEven()
    const built = analysis.value?.built
    if (!built) return null
    const worker = new Worker(new URL('../workers/break-even.worker.ts', import.meta.url), { type: 'module' })
    const service = wrap<BreakEvenService>(worker)
    seeking = { worker, service }
    const found = await service.breakEvenOf(built.ledger, itemId)
    if (seeking.worker === worker) stopBreakEven()
    return found
  }

  function stopBreakEven(): void {
    seeking?.worker.terminate()
    seeking = undefined
  }

  function missingTools(): Promise<MissingTool[]> {
    return analysisService().missingTools()
  }

  function remedies(classId: string): Promise<Remedy[]> {
    return analysisService().remedies(classId)
  }

  function readPlace(roadKm: number): Promise<PlaceReport | null> {
    return analysisService().readPlace(roadKm)
  }

  function readHours(text: string, roadKm: number): Promise<HoursReading> {
    return analysisService().readHours(text, roadKm)
  }

  const readRoad = (text: string) => ask<RoadReading & { ok: true }>((service) => service.readRoad(text))
  const readLines = (fileId: string, picked: readonly number[]) =>
    ask<RoadReading & { ok: true }>((service) => service.readLines(fileId, picked))
  const joinRoad = (text: string) => ask<RoadReshaping & { ok: true }>((service) => service.joinRoad(text))
  const reverseRoad = () => ask<RoadReshaping & { ok: true }>((service) => service.reverseRoad())
  const cutRoad = (fromKm: number, toKm: number) =>
    ask<RoadReshaping & { ok: true }>((service) => service.cutRoad(fromKm, toKm))

  /** Lets go of a trip. */
  function clear(): void {
    stopProof()
    stopBreakEven()
    analysisWorker?.terminate()
    analysisWorker = undefined
    analyser = undefined
    sent = {}
    waiting = undefined
    lineIds = new WeakMap()
    analysed = asked = Promise.resolve()
    busy.value = false
    analysis.value = undefined
  }

  return {
    analysis,
    busy,
    failure,
    proof,
    analyse,
    startProof,
    stopProof,
    breakEven,
    missingTools,
    remedies,
    readPlace,
    readHours,
    readRoad,
    readLines,
    joinRoad,
    reverseRoad,
    cutRoad,
    clear,
  }
})
