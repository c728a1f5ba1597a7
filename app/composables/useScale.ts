import { heard, nothingWeighed, readLine, rules, waited, type Weighing } from '#core/scale'
import { Fault } from '#core/validation'
import { onUnmounted, ref, shallowRef } from 'vue'
import type { Scale, ScaleConnection } from '../scale/scale'

/** What was not understood stands so long at least: lines come ten times a second, and people read more slowly. */
const faultStaysMs = 5000

/** A scale that is listened to while a component stands. */
export function useScale(scale: Scale) {
  const weighing = shallowRef<Weighing>(nothingWeighed)
  const isConnected = ref(false)
  /** What the scale said that nobody understands. */
  const fault = ref('')
  let faultMs = -Infinity
  let connection: ScaleConnection | undefined

  function connect() {
    connection?.close()
    weighing.value = nothingWeighed
    fault.value = ''
    isConnected.value = true
    connection = scale.connect(hear, () => {
      isConnected.value = false
      weighing.value = nothingWeighed
    })
  }
  function hear(line: string) {
    try {
      const nowMs = performance.now()
      weighing.value = heard(weighing.value, readLine(line), nowMs)
      if (nowMs - faultMs > faultStaysMs) fault.value = ''
    } catch (error) {
      if (!(error instanceof Fault)) throw error
      fault.value = error.message
      faultMs = performance.now()
      weighing.value = { ...nothingWeighed, heardMs: faultMs }
    }
  }
  const tare = () => connection?.tare()

  const listening = setInterval(
    () => isConnected.value && (weighing.value = waited(weighing.value, performance.now())),
    rules.silenceMs / 3,
  )
  connect()
  onUnmounted(() => {
    clearInterval(listening)
    connection?.close()
  })
  return { weighing, isConnected, fault, connect, tare }
}
