import { expect, test, type Page } from '@playwright/test'
import { openDemo, rowOf, saved } from './steps'

/**
 * The page never freezes. Not a matter of speed but of where the work is done:
 * the reckoning takes hundreds of milliseconds and the proof seconds, and
 * neither may be found on the page's own thread.
 */
const aFreezeMs = 1000

async function watchForFreezes(page: Page): Promise<() => Promise<number>> {
  await page.evaluate(() => {
    const seen = { longest: 0 }
    Object.assign(window, { seen })
    new PerformanceObserver((list) => {
      for (const task of list.getEntries()) seen.longest = Math.max(seen.longest, task.duration)
    }).observe({ type: 'longtask', buffered: false })
  })
  return () => page.evaluate(() => (window as unknown as { seen: { longest: number } }).seen.longest)
}

test('the dial turns while kits are reckoned and proved, and the page never freezes', async ({ page }) => {
  await openDemo(page, 'weigh')
  const longest = await watchForFreezes(page)
  const dial = page.locator('aside').getByRole('slider')
  await dial.focus()
  const before = await dial.getAttribute('aria-valuetext')
  for (let i = 0; i < 25; i++) await page.keyboard.press('ArrowRight')
  for (let i = 0; i < 10; i++) await page.keyboard.press('ArrowLeft')
  expect(await dial.getAttribute('aria-valuetext')).not.toBe(before)
  // The proof has begun; the page is used meanwhile.
  await expect(page.getByText(/being proved|, proved in/).first()).toBeVisible()
  await rowOf(page, 'Mini pump').first().click()
  await page.keyboard.press('r')
  await expect(page.getByRole('heading', { name: 'Road', exact: true })).toBeVisible()
  await page.keyboard.press('w')
  await expect(page.getByText(/from the best kit there is, proved/)).toBeVisible({ timeout: 90_000 })
  expect(await longest()).toBeLessThan(aFreezeMs)
  // The demo is left as it was found.
  await page.keyboard.press('Control+z')
  expect(await dial.getAttribute('aria-valuetext')).toBe(before)
  await saved(page)
})

test('solvers and readers of files work beside the page, not on it', async ({ page }) => {
  const workers: string[] = []
  page.on('worker', (worker) => workers.push(worker.url()))
  await openDemo(page, 'weigh')
  await expect(page.getByText(/from the best kit there is, proved/)).toBeVisible({ timeout: 90_000 })
  expect(workers.some((url) => url.includes('reckon'))).toBe(true)
  expect(workers.some((url) => url.includes('prove'))).toBe(true)
})
