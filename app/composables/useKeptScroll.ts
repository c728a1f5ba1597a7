import { nextTick, onBeforeUnmount, watch } from 'vue'

/** So long a stage takes to be drawn down to where it was left. */
const patienceMs = 1500

/**
 * Each stage and room is found scrolled as it was left, and none as another was.
 *
 * @param element what scrolls
 * @param key what is shown in it
 */
export function useKeptScroll(element: () => HTMLElement | null, key: () => string): void {
  const left = new Map<string, number>()
  let frame = 0

  watch(
    key,
    (_, before) => {
      const scrolled = element()
      if (scrolled) left.set(before, scrolled.scrollTop)
    },
    { flush: 'sync' },
  )
  watch(key, async (now) => {
    await nextTick()
    bring(left.get(now) ?? 0)
  })
  onBeforeUnmount(() => cancelAnimationFrame(frame))

  /** Stages are drawn part by part, so that there may be nothing yet to scroll to. Whoever scrolls meanwhile has it their way. */
  function bring(top: number) {
    cancelAnimationFrame(frame)
    const end = performance.now() + patienceMs
    let put = -1
    const step = () => {
      const scrolled = element()
      if (!scrolled || (put >= 0 && scrolled.scrollTop !== put)) return
      scrolled.scrollTop = top
      put = scrolled.scrollTop
      if (put < top && performance.now() < end) frame = requestAnimationFrame(step)
    }
    step()
  }
}
