import type { BoundLine } from '#core/bound'
import { stepsAlong, supported, type FrontierKit } from '#core/frontier'
import { nth } from '#core/validation'
import { watchDebounced } from '@vueuse/core'
import { proxy, wrap, type Remote } from 'comlink'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { ProveService } from '../workers/proof.worker'
import { useKitStore } from './kit'

/** So many kits are looked for, from nothing to everything. */
const steps = 20

/** The best kits for each mass, as they are found. */
export const useFrontier = defineStore('frontier', () => {
  const store = useKitStore()
  const found = shallowRef<readonly FrontierKit[]>([])
  const items = shallowRef<readonly string[]>([])
  const isBusy = ref(true)

  /** While somebody looks, the frontier is found anew whenever failures or things are others; prices are no matter. */
  function watchLedger() {
    found.value = []
    isBusy.value = true
    watchDebounced(
      () => store.chosen?.built.number,
      () => void find(),
      { immediate: true, debounce: 300 },
    )
  }

  async function find() {
    found.value = []
    isBusy.value = true
    const ledger = store.chosen?.built.ledger
    if (!ledger) return
    const { number } = store.chosen?.built ?? {}
    const isNow = () => store.chosen?.built.number === number
    items.value = ledger.items.map(({ id }) => id)
    await store.findFrontier(ledger, steps, (kit) => {
      if (isNow()) found.value = [...found.value, kit]
    })
    if (isNow()) isBusy.value = false
  }

  const kits = computed(() => stepsAlong(supported(found.value)))

  /** What no kit beats, price by price, as far as it has been proved. */
  const lines = shallowRef<readonly BoundLine[]>([])
  const isProving = ref(false)
  // The remote is held on to beside its worker: once it is collected as garbage, the worker's answer finds nobody.
  let proving: { worker: Worker; service: Remote<ProveService> } | undefined
  function stopProving() {
    proving?.worker.terminate()
    proving = undefined
    isProving.value = false
  }
  /** Proves how much lower the curve could lie at most, once it stands; it takes up to a minute of a core. */
  function prove() {
    stopProving()
    lines.value = []
    const ledger = store.chosen?.built.ledger
    if (!ledger || isBusy.value) return
    const worker = new Worker(new URL('../workers/proof.worker.ts', import.meta.url), { type: 'module' })
    const service = wrap<ProveService>(worker)
    proving = { worker, service }
    isProving.value = true
    const isNow = () => proving?.worker === worker
    const end = () => isNow() && stopProving()
    worker.onerror = end
    const onLine = proxy((line: BoundLine) => {
      if (isNow()) lines.value = [...lines.value, line]
    })
    service
      .boundFrontier(
        ledger,
        kits.value.map(({ kit }) => kit),
        onLine,
      )
      .then(end, end)
  }
  watch(found, () => {
    stopProving()
    lines.value = []
  })
  const idOf = (item: number) => nth(items.value, item)

  return { kits, idOf, isBusy, lines, isProving, prove, stopProving, watchLedger }
})
