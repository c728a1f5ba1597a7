import { proxy, wrap, type Remote } from 'comlink'
import { defineStore } from 'pinia'
import type { Choice, Flip, Proof } from '~~/core/choose'
import type { ReadOut, Remedy } from '~~/core/ledger'
import type { Trip } from '~~/core/trip'
import { partNames } from '~~/core/trip'
import type { ProveService } from '~/workers/prove.worker'
import type { HoursReading, Reckoning, ReckonService, RoadJoining, RoadReading } from '~/workers/reckon.worker'

/** How the proof stands. */
export type ProofState =
  | { readonly stage: 'none' }
  | { readonly stage: 'running'; readonly gap: number | null; readonly seconds: number }
  | { readonly stage: 'done'; readonly proof: Proof }
  | { readonly stage: 'failed'; readonly message: string }

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
  async function reckon(trip: Trip): Promise<void> {
    waiting = trip
    stopProof()
    if (busy.value) return
    busy.value = true
    try {
      while (waiting) {
        const next: Trip = waiting
        waiting = undefined
        const changed = partNames.filter((part) => sent[part] !== next[part])
        sent = next
        const parts = Object.fromEntries(changed.map((part) => [part, next[part]])) as Partial<Trip>
        reckoning.value = await reckonService().reckon(parts)
        failure.value = ''
      }
    } catch (error) {
      failure.value = error instanceof Error ? error.message : String(error)
      sent = {}
    } finally {
      busy.value = false
    }
    if (reckoning.value?.kit) calm = setTimeout(startProof, calmMs)
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

  function remedies(classId: string): Promise<Remedy[]> {
    return reckonService().remedies(classId)
  }

  function readPlace(roadKm: number): Promise<ReadOut | null> {
    return reckonService().readPlace(roadKm)
  }

  function readHours(text: string, roadKm: number): Promise<HoursReading> {
    return reckonService().readHours(text, roadKm)
  }

  function readRoad(text: string, { road, stops }: Trip): Promise<RoadReading> {
    return reckonService().readRoad(text, { road, stops })
  }

  function readLines(picked: readonly number[], { road, stops }: Trip): Promise<RoadReading> {
    return reckonService().readLines(picked, { road, stops })
  }

  function joinRoad(text: string, { road, ride, stops }: Trip): Promise<RoadJoining> {
    return reckonService().joinRoad(text, { road, ride, stops })
  }

  /** Lets go of a trip. */
  function clear(): void {
    stopProof()
    reckonWorker?.terminate()
    reckonWorker = undefined
    reckoner = undefined
    sent = {}
    waiting = undefined
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
    remedies,
    readPlace,
    readHours,
    readRoad,
    readLines,
    joinRoad,
    clear,
  }
})
