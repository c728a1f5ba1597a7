import { expect, test } from './rig'
import { openOwnDemo, rowOf, saved } from './steps'

/** Where the work is done; how long it keeps the page waiting is measured by npm run bench:page. */
test('the dial turns and the stages change while kits are analysed and proved', { tag: '@proof' }, async ({ page }) => {
  const workers: string[] = []
  page.on('worker', (worker) => workers.push(worker.url()))
  await openOwnDemo(page, 'weigh')
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
  await expect(page.getByText(/short of the best kit at most, proved/)).toBeVisible({ timeout: 120_000 })
  // The demo is left as it was found.
  await page.keyboard.press('Control+z')
  expect(await dial.getAttribute('aria-valuetext')).toBe(before)
  await saved(page)
  // Solvers and readers of files work beside the page, not on it.
  expect(workers.some((url) => url.includes('analysis'))).toBe(true)
  expect(workers.some((url) => url.includes('proof'))).toBe(true)
})
