import { expect, test } from './rig'
import { analysed, expectNoAxeViolations, onServer, openOwnDemo, saved } from './steps'

test('one walks from light to heavy, sees what comes and goes, and sets the dial to a kit', async ({ page }) => {
  await openOwnDemo(page, 'weigh')
  await page
    .getByRole('navigation', { name: 'Rooms of this stage' })
    .getByRole('button', { name: 'Light to heavy' })
    .click()
  const kits = page.getByRole('list', { name: 'The best kits by mass' })
  await expect(kits).toBeVisible()
  await expect(page.getByText(/Looking for the best kit/)).toHaveCount(0)
  const rows = kits.getByRole('listitem')
  await expect.poll(() => rows.count()).toBeGreaterThan(8)
  await expect(rows.first()).toContainText('nothing carried')
  await expect(rows.nth(1)).toContainText('and Mini pump')
  await expectNoAxeViolations(page)

  // The kit of the trip is on it, and is opened; from there one walks by keys.
  const opened = kits.locator('[aria-expanded=true]')
  await expect(opened).toContainText(/710\sg/)
  await opened.focus()
  await page.keyboard.press('ArrowUp')
  await expect(opened).not.toContainText(/710\sg/)
  const lighter = (await opened.locator('.figures').first().innerText()).replace(/\s/g, ' ')
  await page.getByRole('button', { name: 'Set the dial to it' }).click()
  await analysed(page)
  const balance = page.getByRole('region', { name: 'The balance' })
  await expect(balance).toContainText(lighter)
  await expect(opened).toContainText(lighter)
  await saved(page)
  const { dials } = await onServer(page.request, page.url().split('/trips/')[1]?.slice(0, 36) ?? '')
  expect(dials.gramsPerHour).toBeLessThan(970)
  await page.keyboard.press('Control+z')
  await expect(balance).toContainText(/710\sg/)
})

test.describe('on the phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })

  test('a kit is picked by touch', async ({ page }) => {
    await openOwnDemo(page, 'weigh')
    await page.getByRole('button', { name: 'Light to heavy' }).tap()
    const kits = page.getByRole('list', { name: 'The best kits by mass' })
    await expect(kits).toBeVisible()
    await expect(page.getByText(/Looking for the best kit/)).toHaveCount(0)
    await kits.getByRole('button').nth(2).tap()
    await page.getByRole('button', { name: 'Set the dial to it' }).tap()
    await analysed(page)
    const mass = (await kits.locator('[aria-expanded=true] .figures').first().innerText()).replace(/\s/g, ' ')
    await expect(page.getByRole('button', { name: /carried .* stranded/ })).toContainText(mass)
  })
})
