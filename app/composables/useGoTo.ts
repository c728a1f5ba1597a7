import { navigateTo } from '#imports'
import { useTripStore } from '../stores/trip'
import type { StageId } from './useStages'

/** So long one waits for what is gone to: parts of a stage are drawn one after another. */
const patienceMs = 3000

/** What has the keyboard of a part of a stage. */
const fields = '[role=spinbutton], input:not([aria-hidden]), select, button'

/** Goes to a stage, or to a room of one, and to something there: it is scrolled to, and has the keyboard. */
export function useGoTo() {
  const store = useTripStore()
  return async (stage: StageId, elementId: string, room?: string) => {
    await navigateTo({ path: `/trips/${store.id}/${stage}`, query: room === undefined ? {} : { room } })
    const found = await appearing(elementId)
    found?.scrollIntoView({ block: 'center' })
    const field = found?.matches(`[tabindex], ${fields}`) ? found : found?.querySelector<HTMLElement>(fields)
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
