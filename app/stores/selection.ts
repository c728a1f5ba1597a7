import type { BikePart } from '#core/bike'
import type { Gap, StretchTraits } from '#core/road'
import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'

/** What is being looked at, in every stage alike. */
export const useSelection = defineStore('selection', () => {
  /** A place on the road. */
  const cursorKm = ref(0)
  /** The supply class whose gaps are shown; "" for help of any kind. */
  const classId = ref('')
  const gap = shallowRef<Gap>()
  const thingId = ref('')
  /** The stop of which more is shown. */
  const stopId = ref('')
  /** The bike whose passport lies open; the first where it is "". */
  const bikeId = ref('')
  /** The part of it that is pointed at. */
  const part = ref<BikePart | ''>('')
  /** The fastener of that bike that is looked at. */
  const fastenerId = ref('')
  /** What a drag along the strip says of the road; nothing while none is picked up. */
  const brush = shallowRef<Partial<StretchTraits>>()

  /** The failure that is looked at in What can fail. */
  const failureId = ref('')

  function clear() {
    cursorKm.value = 0
    classId.value = ''
    gap.value = undefined
    thingId.value = ''
    stopId.value = ''
    bikeId.value = ''
    part.value = ''
    fastenerId.value = ''
    brush.value = undefined
    failureId.value = ''
  }

  function showClass(id: string, chosen?: Gap) {
    classId.value = id
    gap.value = chosen
  }

  return {
    cursorKm,
    classId,
    gap,
    thingId,
    stopId,
    bikeId,
    part,
    fastenerId,
    brush,
    failureId,
    clear,
    showClass,
  }
})
