import type { StressFinding } from '#core/stress'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { useKitStore } from './kit'
import { useTripStore } from './trip'
import { whenKitMoves } from './when-kit-moves'

/** How the kit does when things come thick, as it is found. */
export const useStress = defineStore('stress', () => {
  const store = useTripStore()
  const kit = useKitStore()
  const found = shallowRef<readonly StressFinding[]>([])
  const isBusy = ref(true)
  let asked = 0

  function watchKit() {
    isBusy.value = true
    whenKitMoves(kit, () => void find(), nothing)
  }

  /** Of a kit that cannot be there is nothing to find. */
  function nothing() {
    asked++
    found.value = []
    isBusy.value = false
  }

  async function find() {
    const mine = ++asked
    found.value = []
    isBusy.value = true
    await kit.findStress(store.openTrip, (finding) => {
      if (mine === asked) found.value = [...found.value, finding]
    })
    if (mine === asked) isBusy.value = false
  }

  const ofKind = <K extends StressFinding['kind']>(kind: K) =>
    found.value.filter((each): each is Extract<StressFinding, { kind: K }> => each.kind === kind)
  const now = computed(() => ofKind('now')[0])
  const flats = computed(() => ofKind('flats'))
  /** Places that are shut, the worst first. */
  const shut = computed(() => ofKind('shut').sort((a, b) => b.promiseH - a.promiseH))
  const knowing = computed(() => ofKind('knowing')[0])

  /** How many pieces of each thing one would carry more, or fewer, knowing of the worst. */
  const moved = computed(() =>
    store.openTrip.bench.flatMap(({ name }, i) => {
      const by = (knowing.value?.kit.counts[i] ?? 0) - (kit.chosen?.kit?.counts[i] ?? 0)
      return by === 0 || !knowing.value ? [] : [{ name, by }]
    }),
  )

  return { isBusy, now, flats, shut, knowing, moved, watchKit }
})
