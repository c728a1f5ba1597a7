import { defineStore } from 'pinia'
import type { Gap } from '~~/core/road'

/** What is being looked at, in every stage alike. */
export const useSelection = defineStore('selection', () => {
  /** A place on the road. */
  const cursorKm = ref(0)
  /** The supply class whose gaps are shown; "" for help of any kind. */
  const classId = ref('')
  const gap = shallowRef<Gap>()
  const thingId = ref('')

  function clear() {
    cursorKm.value = 0
    classId.value = ''
    gap.value = undefined
    thingId.value = ''
  }

  function showClass(id: string, chosen?: Gap) {
    classId.value = id
    gap.value = chosen
  }

  return { cursorKm, classId, gap, thingId, clear, showClass }
})
