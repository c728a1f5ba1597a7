import type { Page } from '@playwright/test'
import { expect, test } from './rig'
import { alone, expectNoAxeViolations, openOwnDemo, rowOf } from './steps'

const lines = (page: Page, side: 'comes along' | 'stays at home') =>
  page.getByRole('list', { name: `What would change that it ${side}` }).getByRole('listitem')
const tried = (page: Page) => expect(page.getByText('The nearest first.')).toBeVisible()

test('what would change a verdict is told, the nearest first, for one thing at a time', async ({ page }) => {
  await openOwnDemo(page, 'weigh', alone())
  await rowOf(page, 'Hanger, shape M7').click()
  await expect(lines(page, 'comes along').first()).toBeVisible()
  const ask = page.getByRole('button', { name: 'What else would?' })
  await ask.focus()
  await page.keyboard.press('Enter')
  await tried(page)
  const told = await lines(page, 'comes along').allInnerTexts()
  expect(told.length).toBeGreaterThan(2)
  expect(told.join(' ')).toMatch(/comes 0\.\d+ times as often/)
  await expectNoAxeViolations(page)

  // Another thing is asked about anew.
  await rowOf(page, 'Super glue').click()
  await expect(page.getByText('The nearest first.')).toHaveCount(0)
})

test.describe('on the phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })
  test('what would change a verdict is asked by touch', async ({ page }) => {
    await openOwnDemo(page, 'weigh', alone())
    await rowOf(page, 'Hanger, shape M7').tap()
    const dialog = page.getByRole('dialog')
    await dialog.getByRole('button', { name: 'What else would?' }).tap()
    await tried(page)
    await expect(lines(page, 'comes along').nth(2)).toBeVisible()
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  })
})
