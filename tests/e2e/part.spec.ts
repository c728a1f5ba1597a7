import type { Page } from '@playwright/test'
import { demoTrip } from '#catalogue/demo'
import { expect, test } from './rig'
import { expectNoAxeViolations, newAccount, newTrip, onServer, saved, tabTo } from './steps'

const row = (page: Page, name: string | RegExp) =>
  page.getByRole('list', { name: 'Things on the bench' }).getByRole('listitem').filter({ hasText: name })

/** A bench with a bottle and a box on it. */
async function openBench(page: Page): Promise<string> {
  await newAccount(page.request, 'Decanter')
  const bench = demoTrip().bench.filter(({ id }) => ['lube-60', 'patch-kit', 'folding-17'].includes(id))
  const id = await newTrip(page.request, { bench })
  await page.goto(`/trips/${id}/bench`)
  await expect(page.getByRole('heading', { name: 'Bench', exact: true })).toBeVisible()
  return id
}

test('15 mL of a bottle come along in its place, by keys alone; undo brings the bottle back', async ({ page }) => {
  const id = await openBench(page)
  await tabTo(page, /^Change Chain lube, 60 mL bottle$/)
  await page.keyboard.press('Enter')
  // What the form says by then counts.
  await page.getByRole('dialog').getByLabel('Name').fill('Wet lube')
  await tabTo(page, /^Only a part of it/)
  await page.keyboard.press('Enter')
  const dialog = page.getByRole('dialog', { name: /^A part of: Wet lube/ })
  await expect(dialog).toContainText('60 mL of chain lube')
  await expect(dialog).toContainText('dropper, 15 mL')
  await expectNoAxeViolations(page)
  const amount = dialog.getByLabel('How much, mL')
  await amount.fill('90')
  await expect(dialog).toContainText('less than 60')
  await expect(dialog.getByRole('button', { name: 'Lay it in its place' })).toBeDisabled()
  await amount.fill('')
  await expect(dialog).toContainText('more than 0')
  await amount.fill('15')
  await expect(dialog.getByRole('status')).toContainText(/It weighs 20/)
  await page.keyboard.press('Enter')
  await expect(row(page, 'Wet lube: 15 mL')).toBeVisible()
  await saved(page)
  const { bench } = await onServer(page.request, id)
  expect(bench.map(({ massG }) => massG)).toContain(19.5)
  expect(bench.find(({ name }) => name.endsWith(': 15 mL'))).toMatchObject({ units: { lube: 15 }, from: null })
  await page.keyboard.press('Control+z')
  await expect(row(page, /: 15 mL/)).toHaveCount(0)
  await expect(row(page, 'Chain lube, 60 mL bottle')).toBeVisible()
})

test('a tool has no part; of a box some patches lie beside it', async ({ page }) => {
  await openBench(page)
  await page.getByRole('button', { name: 'Change Folding tool, 17 functions' }).click()
  await expect(page.getByRole('dialog').getByLabel('How many')).toBeVisible()
  await expect(page.getByRole('button', { name: /Only a part/ })).toHaveCount(0)
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: /^Change Patch kit/ }).click()
  await page.getByRole('button', { name: /Only a part/ }).click()
  const dialog = page.getByRole('dialog', { name: /^A part of: Patch kit/ })
  await dialog.getByLabel('How much, patch').fill('2')
  await dialog.getByRole('button', { name: 'Lay it beside the whole' }).click()
  await expect(row(page, /^Patch kit/)).toHaveCount(2)
})

test.describe('on the phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })
  test('a part is taken by touch', async ({ page }) => {
    await openBench(page)
    await page.getByRole('button', { name: /^Change Chain lube/ }).tap()
    await page.getByRole('button', { name: /Only a part/ }).tap()
    await page.getByRole('button', { name: 'Lay it in its place' }).tap()
    await expect(row(page, ': 15 mL')).toBeVisible()
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  })
})
