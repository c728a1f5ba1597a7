import { stepsAlong, supported, type FrontierKit } from '#core/frontier'
import { nth } from '#core/validation'
import { watchDebounced } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
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
  const idOf = (item: number) => nth(items.value, item)

  return { kits, idOf, isBusy, watchLedger }
})
