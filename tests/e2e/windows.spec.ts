import { expect, test } from '@playwright/test'
import { demoTrip } from '../../catalogue/demo'
import { expectNoAxeViolations, saved, signUp } from './steps'

const trip = { name: 'trip.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(demoTrip())) }

test('two windows in conflict: nothing is overwritten unseen, and each way on works', async ({ page, context }) => {
  await signUp(page, 'Twin')
  await page.getByLabel('Trip document').setInputFiles(trip)
  await expect(page.getByRole('heading', { name: 'Road', exact: true })).toBeVisible()
  const address = page.url().replace(/road$/, 'bench')
  await page.goto(address)
  const other = await context.newPage()
  await other.goto(address)
  const countOf = (window: typeof page) =>
    window.getByRole('listitem').filter({ hasText: 'CO2 head' }).locator('.figures').last()
  const more = (window: typeof page) => window.getByRole('button', { name: 'One CO2 head more' })

  // Theirs is taken; mine comes back with undo.
  await more(page).click()
  await saved(page)
  await more(other).dblclick()
  const dialog = other.getByRole('dialog', { name: 'Changed in two windows' })
  await expect(dialog.getByRole('heading')).toBeVisible()
  await expect(dialog).toContainText('Another window saved the bench of this trip')
  await expectNoAxeViolations(other)
  await dialog.getByRole('button', { name: /Take theirs/ }).click()
  await expect(countOf(other)).toHaveText('2')
  await other.keyboard.press('Control+z')
  await expect(countOf(other)).toHaveText('3')
  await saved(other)

  // Mine is kept over theirs.
  await more(page).click()
  await page.getByRole('button', { name: /Keep mine/ }).click()
  await saved(page)
  await page.reload()
  await expect(countOf(page)).toHaveText('3')

  // Both are kept: mine as a new trip.
  await more(other).click()
  await other.getByRole('button', { name: /Keep both/ }).click()
  await expect(other.getByLabel('Name of the trip')).toHaveValue('Across the Quern, June (my copy)')

  // Different parts in two windows are no conflict.
  await page.getByLabel('Name of the trip').fill('Renamed here')
  await page.keyboard.press('Enter')
  await saved(page)
  await expect(page.getByRole('dialog')).toHaveCount(0)
})

test('another account’s trip is not there', async ({ page, browser }) => {
  await signUp(page, 'Owner')
  await page.getByLabel('Trip document').setInputFiles(trip)
  await expect(page.getByRole('heading', { name: 'Road', exact: true })).toBeVisible()
  const stranger = await (await browser.newContext()).newPage()
  await signUp(stranger, 'Stranger')
  await stranger.goto(page.url())
  await expect(stranger.getByRole('heading', { name: 'There is no such trip' })).toBeVisible()
  const id = page.url().split('/').at(-2)!
  expect((await stranger.request.get(`/api/trips/${id}`)).status()).toBe(404)
})

test('a server that does not answer loses nothing', async ({ page }) => {
  await signUp(page, 'Offline')
  await page.getByLabel('Trip document').setInputFiles(trip)
  await expect(page.getByRole('heading', { name: 'Road', exact: true })).toBeVisible()
  await page.route('**/api/trips/*', (route) =>
    route.request().method() === 'PATCH' ? route.abort() : route.continue(),
  )
  await page.getByLabel('Name of the trip').fill('Typed while away')
  await page.keyboard.press('Enter')
  await expect(page.getByText('not saved', { exact: true })).toBeVisible()
  await page.unroute('**/api/trips/*')
  await page.getByRole('button', { name: 'Save now' }).click()
  await saved(page)
  await page.reload()
  await expect(page.getByLabel('Name of the trip')).toHaveValue('Typed while away')
})
