import type { Page } from '@playwright/test'
import { expect, test } from './rig'
import { analysed, expectNoAxeViolations, onServer, openOwnDemo, rowOf, saved } from './steps'

const tripId = (page: Page) => page.url().split('/trips/')[1]?.slice(0, 36) ?? ''
const bar = (page: Page) => page.getByRole('region', { name: 'Suppose', exact: true })
const lost = (page: Page) => page.locator('[data-balance]').getByText(/lost in all/)
/** The demo begins on the 12th; a day later it comes by other shops. */
async function aDayLater(page: Page) {
  await page.getByRole('spinbutton', { name: /^day/ }).first().focus()
  await page.keyboard.press('ArrowUp')
}
const start = async (page: Page) => (await onServer(page.request, tripId(page))).ride.start

test('another day is supposed: before and after, what changes sides, the strip; nothing of it is saved', async ({
  page,
}) => {
  await openOwnDemo(page, 'road')
  const before = await lost(page).innerText()
  await page.getByRole('button', { name: 'Suppose it were otherwise …' }).click()
  await expect(bar(page)).toContainText('Change anything')
  await expect(bar(page).getByRole('button', { name: 'Keep it' })).toBeDisabled()
  await aDayLater(page)
  await expect(bar(page)).toContainText('comes along')
  await expect(bar(page).locator('s').first()).toContainText(/710\sg/)
  await expect(bar(page).locator('strong').first()).not.toContainText(/710\sg/)
  await expect(page.getByText('supposed, not saved')).toBeVisible()
  await expectNoAxeViolations(page)
  expect(await start(page)).toBe('2026-06-12T08:30')

  // Another window sees nothing of it, and in this one it holds in every stage.
  await page.getByRole('link', { name: /Weigh/ }).click()
  await expect(page.getByRole('heading', { name: 'Weigh', exact: true })).toBeVisible()
  await expect(bar(page)).toContainText('comes along')
  await bar(page).getByRole('button', { name: 'Let it go' }).click()
  await expect(bar(page)).toHaveCount(0)
  await expect(lost(page)).toHaveText(before)
  await saved(page)
  expect(await start(page)).toBe('2026-06-12T08:30')
})

test('what is supposed is kept as one step, by keys alone, and taken back', async ({ page }) => {
  await openOwnDemo(page, 'weigh')
  const before = await lost(page).innerText()
  await page.keyboard.press('i')
  await expect(bar(page)).toBeVisible()
  await rowOf(page, 'Mini pump').first().focus()
  await page.keyboard.press('Space')
  await page.keyboard.press('r')
  await aDayLater(page)
  await analysed(page)
  await bar(page).getByRole('button', { name: 'Keep it' }).focus()
  await page.keyboard.press('Enter')
  await expect(bar(page)).toHaveCount(0)
  await saved(page)
  const kept = await onServer(page.request, tripId(page))
  expect(kept.ride.start).toBe('2026-06-13T08:30')
  expect(kept.bench.find(({ id }) => id === 'mini-pump')?.pin).toEqual({ min: 1, max: 1 })
  await page.keyboard.press('Control+z')
  await expect(lost(page)).toHaveText(before)
  await saved(page)
  const back = await onServer(page.request, tripId(page))
  expect([back.ride.start, back.bench.find(({ id }) => id === 'mini-pump')?.pin]).toEqual(['2026-06-12T08:30', null])
})

test('whoever leaves the trip is asked whether it is kept', async ({ page }) => {
  await openOwnDemo(page, 'road')
  await page.keyboard.press('i')
  await aDayLater(page)
  await expect(bar(page).getByRole('button', { name: 'Keep it' })).toBeEnabled()
  const id = tripId(page)
  const asked = page.getByRole('dialog')
  await page.getByRole('link', { name: /all trips/ }).click()
  await expect(asked).toContainText('saved nowhere')
  await expectNoAxeViolations(page)
  await asked.getByRole('button', { name: 'Stay here' }).click()
  await expect(bar(page)).toBeVisible()
  await page.getByRole('link', { name: /all trips/ }).click()
  await asked.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('heading', { name: 'Trips', exact: true })).toBeVisible()
  await expect.poll(async () => (await onServer(page.request, id)).ride.start).toBe('2026-06-13T08:30')
})

test.describe('on the phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })

  test('a hand is supposed and let go by touch', async ({ page }) => {
    await openOwnDemo(page, 'crew')
    await page.getByRole('button', { name: /carried .* stranded/ }).tap()
    await page.getByRole('button', { name: 'Suppose it were otherwise …' }).tap()
    await page.getByRole('button', { name: 'Hands and practice' }).tap()
    await page.getByLabel('all work, Maren', { exact: true }).selectOption('0')
    await expect(bar(page).locator('strong').first()).toBeVisible()
    for (const name of ['Let it go', 'Keep it']) {
      const { height } = (await bar(page).getByRole('button', { name }).boundingBox()) ?? { height: 0 }
      expect(height).toBeGreaterThanOrEqual(43.5)
    }
    await bar(page).getByRole('button', { name: 'Let it go' }).tap()
    await expect(page.getByLabel('all work, Maren', { exact: true })).not.toHaveValue('0')
    const { crew } = await onServer(page.request, tripId(page))
    expect(crew.find(({ name }) => name === 'Maren')?.hands).not.toBe(0)
  })
})

test('on a phone, nothing lies over what is to be supposed', async ({ page }) => {
  await openOwnDemo(page, 'road')
  await page.setViewportSize({ width: 390, height: 844 })
  await page.getByRole('button', { name: /carried/ }).click()
  const balance = page.getByRole('dialog', { name: 'The balance' })
  await balance.getByRole('button', { name: 'Suppose it were otherwise …' }).click()
  await expect(bar(page)).toContainText('Change anything')
  await expect(balance).toHaveCount(0)
  await page.getByRole('button', { name: /carried/ }).click()
  await balance.getByRole('link', { name: /riders/ }).click()
  await expect(page.getByRole('heading', { name: 'Crew', exact: true })).toBeVisible()
  await expect(balance).toHaveCount(0)
})
