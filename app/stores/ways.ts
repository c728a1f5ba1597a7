import { asToldLast, deedKey, type Way } from '#core/ways'
import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import { useKitStore } from './kit'
import { useTripStore } from './trip'
import { whenKitMoves } from './when-kit-moves'

/** The ways to buy down a risk that weigh nothing, as they are weighed. */
export const useWays = defineStore('ways', () => {
  const store = useTripStore()
  const kit = useKitStore()
  const found = shallowRef<readonly Way[]>([])
  const isBusy = ref(true)
  let asked = 0
  /** The trip that was weighed last: what was found of another is none of this one. */
  let tripId = ''

  function watchKit() {
    isBusy.value = true
    whenKitMoves(kit, () => void find(), nothing)
  }

  /** Of a kit that cannot be there is nothing to weigh. */
  function nothing() {
    asked++
    found.value = []
    isBusy.value = false
  }

  /** What was found before stays until it is found anew or all is done: nothing jumps away under somebody's finger. */
  async function find() {
    const mine = ++asked
    if (tripId !== store.id) found.value = []
    tripId = store.id
    isBusy.value = true
    const now = new Set<string>()
    await kit.findWays(store.openTrip, (way) => {
      if (mine !== asked) return
      const key = deedKey(way.deed)
      now.add(key)
      found.value = asToldLast([...found.value, way])
    })
    if (mine !== asked) return
    found.value = found.value.filter(({ deed }) => now.has(deedKey(deed)))
    isBusy.value = false
  }

  return { found, isBusy, watchKit }
})
