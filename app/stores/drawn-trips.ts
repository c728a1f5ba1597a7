import { proxy, wrap, type Remote } from 'comlink'
import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import type { DrawnTrips } from '../workers/drawer'
import type { SimulationService } from '../workers/simulation.worker'
import { useKitStore, type Weighed } from './kit'

/** How the drawing of trips stands. */
export type DrawingState =
  | { readonly stage: 'none' }
  | { readonly stage: 'running'; readonly drawn: number }
  | { readonly stage: 'done'; readonly drawn: DrawnTrips; readonly with: Weighed }
  | { readonly stage: 'failed'; readonly message: string }

/** Trips drawn with the kit that is shown, in a worker of their own. */
export const useDrawnTrips = defineStore('drawn-trips', () => {
  const kit = useKitStore()
  const state = shallowRef<DrawingState>({ stage: 'none' })
  const trips = ref(20_000)
  const seed = ref(1)
  // The remote is held on to beside its worker: once it is collected as garbage, the worker's answer finds nobody.
  let drawing: { worker: Worker; service: Remote<SimulationService> } | undefined

  function run(): void {
    stop()
    const { weighed } = kit
    if (!weighed?.kit) return
    const worker = new Worker(new URL('../workers/simulation.worker.ts', import.meta.url), { type: 'module' })
    const service = wrap<SimulationService>(worker)
    drawing = { worker, service }
    state.value = { stage: 'running', drawn: 0 }
    const ended = (end: DrawingState) => {
      if (drawing?.worker !== worker) return
      drawing = undefined
      state.value = end
    }
    const failed = (message: string) => ended({ stage: 'failed', message })
    worker.onerror = (event) => failed(event.message || 'The trips could not be drawn.')
    service
      .drawTrips(
        weighed.built.ledger,
        weighed.kit.counts,
        { trips: trips.value, seed: seed.value },
        proxy((drawn: number) => {
          if (drawing?.worker === worker) state.value = { stage: 'running', drawn }
        }),
      )
      .then(
        (drawn) => ended({ stage: 'done', drawn, with: weighed }),
        (error: unknown) => failed(error instanceof Error ? error.message : String(error)),
      )
      .finally(() => worker.terminate())
  }

  /** Stops what is under way; what was drawn before is gone with it. */
  function stop(): void {
    drawing?.worker.terminate()
    drawing = undefined
    state.value = { stage: 'none' }
  }

  return { state, trips, seed, run, stop }
})
