import { navigateTo } from '#imports'
import { useTripStore } from '../stores/trip'
import type { StageId } from './useStages'

/** So long one waits for what is gone to: parts of a stage are drawn one after another. */
const patienceMs = 3000

/** Goes to a stage, and to something on it: it is scrolled to, and has the keyboard. */
export function useGoTo() {
  const store = useTripStore()
  return async (stage: StageId, elementId: string) => {
    await navigateTo(`/trips/${store.id}/${stage}`)
    const found = await appearing(elementId)
    found?.scrollIntoView({ block: 'center' })
    const field = found?.matches('[tabindex]')
      ? found
      : found?.querySelector<HTMLElement>('[role=spinbutton], input:not([aria-hidden]), select, button')
    field?.focus({ preventScroll: true })
  }
}

async function appearing(elementId: string): Promise<HTMLElement | null> {
  for (const end = performance.now() + patienceMs; performance.now() < end;) {
    const element = document.getElementById(elementId)
    if (element) return element
    await new Promise((drawn) => requestAnimationFrame(drawn))
  }
  return null
}
