import { defineStore } from 'pinia'
import type { Gap, StretchTraits } from '~~/core/road'

/** What is being looked at, in every stage alike. */
export const useSelection = defineStore('selection', () => {
  /** A place on the road. */
  const cursorKm = ref(0)
  /** The supply class whose gaps are shown; "" for help of any kind. */
  const classId = ref('')
  const gap = shallowRef<Gap>()
  const thingId = ref('')
  /** What a drag along the strip says of the road; nothing while none is picked up. */
  const brush = shallowRef<Partial<StretchTraits>>()

  function clear() {
    cursorKm.value = 0
    classId.value = ''
    gap.value = undefined
    thingId.value = ''
    brush.value = undefined
  }

  function showClass(id: string, chosen?: Gap) {
    classId.value = id
    gap.value = chosen
  }

  return { cursorKm, classId, gap, thingId, brush, clear, showClass }
})
