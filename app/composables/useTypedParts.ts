import { useTimeoutFn } from '@vueuse/core'
import { shallowRef, watch, type ShallowRef } from 'vue'

/**
 * A value that is typed part by part, as a date is. Parts follow each other quickly, and what is whole between two of them is
 * one that nobody means: it is handed on where one stays with it, or leaves the field.
 *
 * @param known the value as it is written
 * @param read what is typed, of what is written
 * @param write the other way; undefined of what must not be handed on
 */
export function useTypedParts<Written, Typed>(
  known: () => Written,
  read: (written: Written) => Typed | undefined,
  write: (typed: Typed) => Written | undefined,
  handOn: (written: Written) => void,
) {
  const typed: ShallowRef<Typed | undefined> = shallowRef(read(known()))
  /** What was last handed on: it comes back as the value known, and by then more may have been typed. */
  let given = known()
  watch(known, (value) => {
    if (value === given) return
    given = value
    backToGiven()
  })

  function backToGiven() {
    typed.value = read(given)
  }
  function handOnWhatIsNew(value: Written) {
    if (value === given) return
    given = value
    handOn(value)
  }
  function handOnTyped() {
    const value = typed.value === undefined ? undefined : write(typed.value)
    if (value !== undefined) handOnWhatIsNew(value)
  }
  const { start, stop } = useTimeoutFn(handOnTyped, calmMs, { immediate: false })

  function type(value: Typed | undefined) {
    typed.value = value
    start()
  }
  function put(value: Written) {
    stop()
    handOnWhatIsNew(value)
  }
  /** What is typed counts now. */
  function settle() {
    stop()
    handOnTyped()
  }
  return { typed, type, put, settle, backToGiven }
}

const calmMs = 500
