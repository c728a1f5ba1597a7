import type { Page } from '@playwright/test'
import { expect, test } from './rig'
import { alone, analysed, expectNoAxeViolations, onServer, openOwnDemo, saved } from './steps'

const tripId = (page: Page) => page.url().split('/trips/')[1]?.slice(0, 36) ?? ''
const room = (page: Page) =>
  page.getByRole('navigation', { name: 'Rooms of this stage' }).getByRole('button', { name: 'Stances' })
const weighed = (page: Page) => expect(page.getByText(/Weighing what each would pack/)).toHaveCount(0)
const schools = (page: Page) => page.getByRole('list', { name: 'Stances side by side' })

test('schools stand side by side, are taken up, mixed and given up, and leave no trace', async ({ page }) => {
  await openOwnDemo(page, 'weigh', alone())
  const before = await onServer(page.request, tripId(page))
  await room(page).click()
  await weighed(page)
  const rows = schools(page).getByRole('listitem')
  await expect(rows).toHaveCount(7)
  await expect(rows.first()).toContainText('Your plan as it is')
  for (const row of await rows.all()) await expect(row).toContainText(/\d\sg/)
  await expectNoAxeViolations(page)

  const light = schools(page).getByRole('button', { name: /^Light, and walks/ })
  const fresh = schools(page).getByRole('button', { name: /^Fresh parts/ })
  await light.click()
  await expect(light).toHaveAttribute('aria-pressed', 'true')
  await analysed(page)
  await weighed(page)
  await fresh.focus()
  await page.keyboard.press('Space')
  await expect(fresh).toHaveAttribute('aria-pressed', 'true')
  await saved(page)
  const taken = await onServer(page.request, tripId(page))
  expect(taken.dials.stances.map(({ id }) => id)).toEqual(['light', 'fresh'])
  expect(taken.dials.gramsPerHour).toBeCloseTo((before.dials.gramsPerHour ?? 0) / 4, 9)
  expect(taken.bikes[0]?.jobs.map(({ job }) => job)).toContain('fresh-pads')
  expect(taken.bench.find(({ id }) => id === 'pads-b1')?.pin).toEqual({ min: 0, max: 0 })

  await light.click()
  await fresh.click()
  await expect(fresh).toHaveAttribute('aria-pressed', 'false')
  await saved(page)
  expect(await onServer(page.request, tripId(page))).toEqual(before)
})

test.describe('on the phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })

  test('a stance is supposed by touch, and let go', async ({ page }) => {
    await openOwnDemo(page, 'weigh', alone())
    await page.getByRole('button', { name: /carried .* stranded/ }).tap()
    await page.getByRole('button', { name: 'Suppose it were otherwise …' }).tap()
    await room(page).tap()
    const light = schools(page).getByRole('button', { name: /^Light, and walks/ })
    await light.tap()
    const bar = page.getByRole('region', { name: 'Suppose', exact: true })
    await expect(bar.locator('strong').first()).toBeVisible()
    await bar.getByRole('button', { name: 'Let it go' }).tap()
    await expect(light).toHaveAttribute('aria-pressed', 'false')
    expect((await onServer(page.request, tripId(page))).dials.stances).toEqual([])
  })
})
