import type { Page } from '@playwright/test'

/** Tasks of more than 50 ms are reported by the browser; from now on, the longest is kept. */
export async function watchLongTasks(page: Page): Promise<void> {
  const watch = () => {
    const kept = window as Window & { longestTask?: number; watchesTasks?: boolean }
    kept.longestTask = 0
    if (kept.watchesTasks) return
    kept.watchesTasks = true
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) kept.longestTask = Math.max(kept.longestTask ?? 0, duration)
    }).observe({ type: 'longtask', buffered: false })
  }
  await page.addInitScript(watch)
  await page.evaluate(watch)
}

/** Of none that was longer than 50 ms, 0. */
export function longestTask(page: Page): Promise<number> {
  return page.evaluate(() => (window as Window & { longestTask?: number }).longestTask ?? 0)
}
