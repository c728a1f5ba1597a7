import { proxy, transfer, wrap, type Remote } from 'comlink'
import { defineStore } from 'pinia'
import type { Choice, Flip, Proof, Unlock } from '~~/core/choose'
import type { ReadOut, Remedy } from '~~/core/ledger'
import type { RoadPoint } from '~~/core/road'
import type { Trip } from '~~/core/trip'
import { partNames } from '~~/core/trip'
import type { ProveService } from '~/workers/prove.worker'
import { packLine, unpackLine, type LineId, type PackedLine, type RoadWithoutLine } from '~/workers/packed-line'
import type { HoursReading, Reckoning, ReckonService, RoadReading, RoadReshaping } from '~/workers/reckon.worker'

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
    await aTurn()
  }
  return points
}

/** The proof starts once nothing has changed for this long. */
const calmMs = 700

/** The reckoning of the trip on the bench, done in workers so that the page never waits. */
export const useKitStore = defineStore('kit', () => {
  const reckoning = shallowRef<Reckoning>()
  const busy = ref(false)
  const failure = ref('')
  const proof = shallowRef<ProofState>({ stage: 'none' })

  let reckoner: Remote<ReckonService> | undefined
  let reckonWorker: Worker | undefined
  // The remote is held on to beside its worker: once it is collected as garbage, the worker's answer finds nobody.
  let proving: { worker: Worker; prover: Remote<ProveService> } | undefined
  let sent: Partial<Trip> = {}
  let waiting: Trip | undefined
  let reckoned: Promise<void> = Promise.resolve()
  /** Roads are asked for one after another: each is made of the trip with the one before. */
  let asked: Promise<unknown> = Promise.resolve()
  /** The names of lines, wherever they were made. */
  let lineIds = new WeakMap<readonly RoadPoint[], LineId>()
  let calm: ReturnType<typeof setTimeout> | undefined

  function reckonService(): Remote<ReckonService> {
    if (!reckoner) {
      reckonWorker = new Worker(new URL('../workers/reckon.worker.ts', import.meta.url), { type: 'module' })
      reckonWorker.onerror = (event) => (failure.value = event.message || 'The reckoning could not be started.')
      reckoner = wrap<ReckonService>(reckonWorker)
    }
    return reckoner
  }

  /** Reckons a trip; while one is being reckoned, only the newest waits. */
  function reckon(trip: Trip): Promise<void> {
    waiting = trip
    stopProof()
    if (!busy.value) reckoned = reckonWaiting()
    return reckoned
  }

  async function reckonWaiting(): Promise<void> {
    busy.value = true
    while (waiting) {
      const next: Trip = waiting
      waiting = undefined
      const before = sent
      sent = next
      try {
        reckoning.value = await sendChanged(before, next)
        failure.value = ''
      } catch (error) {
        failure.value = error instanceof Error ? error.message : String(error)
        sent = {}
      }
    }
    busy.value = false
    if (reckoning.value?.kit) calm = setTimeout(startProof, calmMs)
  }

  /** Sends what changed, and the line of the road only when the worker does not have it. */
  async function sendChanged(before: Partial<Trip>, next: Trip): Promise<Reckoning> {
    const changed = partNames.filter((part) => before[part] !== next[part])
    const parts = Object.fromEntries(changed.map((part) => [part, next[part]])) as Partial<Trip>
    const { points, ...road } = next.road
    const all = { ...parts, ...(parts.road && { road }) }
    const lineId = lineIdOf(points)
    const answer = await reckonService().reckon(all, lineId, undefined)
    if (answer) return answer
    const packed = packLine(points)
    const again = await reckonService().reckon(all, lineId, transfer(packed, [packed.buffer]))
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
    question: (service: Remote<ReckonService>) => Promise<T | { ok: false; lines: string[] }>,
  ) {
    const mine = asked.then(async () => {
      await reckoned
      const answer = await question(reckonService())
      if (!answer.ok) return answer
      const { line, lineId, road, ...rest } = answer.next
      const points = await unpackedBitByBit(line)
      lineIds.set(points, lineId)
      return { ...answer, next: { ...rest, road: { ...road, points } } }
    })
    // What was asked is laid on the road before the next is begun.
    asked = mine.then(aTurn, aTurn)
    return mine
  }

  function startProof(): void {
    const built = reckoning.value?.built
    const kit = reckoning.value?.kit
    if (!built || !kit) return
    stopProof()
    const worker = new Worker(new URL('../workers/prove.worker.ts', import.meta.url), { type: 'module' })
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

  function flip(itemId: string): Promise<Flip | null> {
    return reckonService().flip(itemId)
  }

  function missingTools(): Promise<Unlock[]> {
    return reckonService().missingTools()
  }

  function remedies(classId: string): Promise<Remedy[]> {
    return reckonService().remedies(classId)
  }

  function readPlace(roadKm: number): Promise<ReadOut | null> {
    return reckonService().readPlace(roadKm)
  }

  function readHours(text: string, roadKm: number): Promise<HoursReading> {
    return reckonService().readHours(text, roadKm)
  }

  const readRoad = (text: string) => ask<RoadReading & { ok: true }>((service) => service.readRoad(text))
  const readLines = (fileId: string, picked: readonly number[]) =>
    ask<RoadReading & { ok: true }>((service) => service.readLines(fileId, picked))
  const joinRoad = (text: string) => ask<RoadReshaping & { ok: true }>((service) => service.joinRoad(text))
  const turnRound = () => ask<RoadReshaping & { ok: true }>((service) => service.turnRound())
  const cutRoad = (fromKm: number, toKm: number) =>
    ask<RoadReshaping & { ok: true }>((service) => service.cutRoad(fromKm, toKm))

  /** Lets go of a trip. */
  function clear(): void {
    stopProof()
    reckonWorker?.terminate()
    reckonWorker = undefined
    reckoner = undefined
    sent = {}
    waiting = undefined
    lineIds = new WeakMap()
    reckoned = asked = Promise.resolve()
    busy.value = false
    reckoning.value = undefined
  }

  return {
    reckoning,
    busy,
    failure,
    proof,
    reckon,
    startProof,
    stopProof,
    flip,
    missingTools,
    remedies,
    readPlace,
    readHours,
    readRoad,
    readLines,
    joinRoad,
    turnRound,
    cutRoad,
    clear,
  }
})
