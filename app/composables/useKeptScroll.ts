import { useEventListener, useMutationObserver, useResizeObserver } from '@vueuse/core'
import { nextTick, shallowRef, watch } from 'vue'

/** How somebody scrolls. */
const acts: (keyof DocumentEventMap)[] = ['wheel', 'pointerdown', 'touchstart', 'keydown']

/**
 * Each stage and room is found scrolled as it was left, and none as another was.
 *
 * Stages are drawn part by part, and what is reckoned late makes them longer or shorter: one is kept where it was left
 * until somebody scrolls, or something in it gets the keyboard.
 *
 * @param element what scrolls
 * @param key what is shown in it
 */
export function useKeptScroll(element: () => HTMLElement | null, key: () => string): void {
  const left = new Map<string, number>()
  const parts = shallowRef<HTMLElement[]>([])
  let wanted: number | undefined

  watch(
    key,
    (_, before) => {
      const scrolled = element()
      if (scrolled) left.set(before, wanted ?? scrolled.scrollTop)
    },
    { flush: 'sync' },
  )
  watch(key, async (now) => {
    await nextTick()
    const scrolled = element()
    if (scrolled) scrolled.scrollTop = 0
    wanted = left.get(now)
    bring()
  })
  watch(element, lookAt, { flush: 'post' })
  useMutationObserver(element, lookAt, { childList: true })
  useResizeObserver(parts, bring)
  useEventListener(document, acts, letGo, { capture: true, passive: true })
  useEventListener(element, 'focusin', letGo)

  /** Whose height is watched: that of what scrolls says nothing of what is in it. */
  function lookAt() {
    parts.value = [...(element()?.children ?? [])].filter((child) => child instanceof HTMLElement)
    bring()
  }

  function bring() {
    const scrolled = element()
    if (scrolled && wanted !== undefined) scrolled.scrollTop = wanted
  }

  function letGo() {
    wanted = undefined
  }
}
