import { demoTrip } from '#catalogue/demo'
import { expect, test } from './rig'
import { alone, analysed, expectNoAxeViolations, onServer, openOwnDemo, saved } from './steps'

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

test('a kit is found by grams, by what an hour is worth, and by the chance of being stranded', async ({ page }) => {
  await openOwnDemo(page, 'weigh', alone())
  await page.getByRole('button', { name: 'Light to heavy' }).click()
  const kits = page.getByRole('list', { name: 'The best kits by mass' })
  await expect(kits).toBeVisible()
  await expect(page.getByText(/Looking for the best kit/)).toHaveCount(0)
  const opened = kits.locator('[aria-expanded=true]')
  const figure = async (place: number) => Number.parseFloat(await opened.locator('.figures').nth(place).innerText())
  const say = async (name: string, value: string) => {
    const field = page.getByRole('textbox', { name })
    await field.fill(value)
    await field.press('Tab')
  }
  await say('Carry at most', '400')
  await expect.poll(() => figure(0)).toBeLessThanOrEqual(400)
  expect(await figure(0)).toBeGreaterThan(150)
  const light = await figure(0)
  await say('Stranded at most', '5')
  await expect.poll(() => figure(2)).toBeLessThanOrEqual(5)
  expect(await figure(0)).toBeGreaterThan(light)
  await say('An hour is worth', '0')
  await expect(opened).toContainText('nothing carried')
  await say('Stranded at most', '0')
  await expect(page.getByText('No kit of this bench does that.')).toBeVisible()
})

test('how low the curve could lie is proved, and said', { tag: '@proof' }, async ({ page }) => {
  await openOwnDemo(page, 'weigh', {
    ...alone(),
    bench: demoTrip().bench.filter(({ name }) => /pump|tube|lever|patch/i.test(name)),
  })
  await page.getByRole('button', { name: 'Light to heavy' }).click()
  await page.getByRole('button', { name: 'Prove how low it could lie' }).click()
  await expect(page.getByText(/^Proved: of none of these masses does any kit lose more than .* less\.$/)).toBeVisible()
  await expect(page.getByText('no kit loses so little, as far as it is proved')).toBeVisible()
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
