import type { Page } from '@playwright/test'
import { demoTrip } from '#catalogue/demo'
import { expect, test } from './rig'
import { alone, expectNoAxeViolations, onServer, openOwnDemo, saved } from './steps'

const tripId = (page: Page) => page.url().split('/trips/')[1]?.slice(0, 36) ?? ''
const room = (page: Page) =>
  page.getByRole('navigation', { name: 'Rooms of this stage' }).getByRole('button', { name: 'Kits' })
const table = (page: Page) => page.getByRole('region', { name: 'Kits side by side' }).getByRole('table')
const heads = (page: Page) => table(page).getByRole('columnheader')
const row = (page: Page, name: string) =>
  table(page)
    .getByRole('row')
    .filter({ has: page.getByRole('rowheader', { name, exact: true }) })
/** All trips were drawn with all columns. */
const drawn = (page: Page) => expect(page.locator('table[aria-busy=false]')).toContainText('±')

test('kits stand side by side on the same trips; one is kept, compared and pinned', async ({ page }) => {
  await openOwnDemo(page, 'weigh', alone())
  await room(page).click()
  await expect(heads(page)).toHaveText([/The kit of now/, /Nothing/, /All of the bench/])
  await drawn(page)
  await expect(row(page, 'carried').getByRole('cell').nth(1)).toHaveText('0 g')
  // With nothing more is lost than with the kit, and far more surely than by chance.
  await expect(row(page, 'lost, as drawn').getByRole('cell').nth(1)).toContainText(/ h more ± /)
  await expect(row(page, 'lost, as drawn').getByRole('cell').nth(2)).toContainText(/ less ± /)
  await expectNoAxeViolations(page)

  await page.getByLabel('Keep the kit of now as').fill('As it was')
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(heads(page)).toHaveCount(4)
  await drawn(page)
  await expect(row(page, 'lost, as drawn').getByRole('cell').nth(3)).toContainText('just the same')
  await page.getByRole('button', { name: 'Pin it so: Nothing' }).click()
  await expect(row(page, 'carried').getByRole('cell').first()).toHaveText('0 g')
  await saved(page)
  const pins = (await onServer(page.request, tripId(page))).bench.map(({ pin }) => pin)
  expect(new Set(pins.map((pin) => JSON.stringify(pin)))).toEqual(new Set(['{"min":0,"max":0}']))
  // What was kept is as it was, also after coming back.
  await page.reload()
  await drawn(page)
  await expect(heads(page).last()).toContainText('As it was')
  await expect(row(page, 'carried').getByRole('cell').last()).not.toHaveText('0 g')
  await page.getByRole('button', { name: 'Forget As it was' }).click()
  await expect(heads(page)).toHaveCount(3)
})

test('the best up to a mass, by keyboard alone; what is pinned and heavier is said', async ({ page }) => {
  const { bench } = demoTrip()
  const pinned = bench.map((thing, i) => (i === 0 ? { ...thing, massG: 700, pin: { min: 1, max: 1 } } : thing))
  await openOwnDemo(page, 'weigh', { ...alone(), bench: pinned })
  await room(page).focus()
  await page.keyboard.press('Enter')
  await drawn(page)
  const field = page.getByRole('textbox', { name: 'The best up to' })
  await field.focus()
  await field.fill('650')
  await page.keyboard.press('Tab')
  await page.keyboard.press('Enter')
  await expect(heads(page)).toHaveCount(4)
  await expect(row(page, 'carried').getByRole('cell').last()).toContainText(/at least the 700 g of what is pinned/)
  await drawn(page)
  await expect(row(page, 'lost, as drawn').getByRole('cell').nth(1)).toContainText(/±/)
})

test.describe('on the phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })
  test('every column is reached by touch, and the names of the rows stay', async ({ page }) => {
    await openOwnDemo(page, 'weigh', alone())
    await room(page).tap()
    await drawn(page)
    await heads(page).last().scrollIntoViewIfNeeded()
    await expect(heads(page).last()).toBeInViewport()
    await row(page, 'carried').getByRole('rowheader').scrollIntoViewIfNeeded()
    await expect(row(page, 'carried').getByRole('rowheader')).toBeInViewport()
    await page.getByRole('button', { name: 'Take away: Nothing' }).tap()
    await expect(heads(page)).toHaveCount(2)
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  })
})

test('plans stand side by side on the same trips: supposed, beside the plan as it is, kept, and supposed again', async ({
  page,
}) => {
  await openOwnDemo(page, 'weigh', alone())
  await page.keyboard.press('i')
  await page.getByText('Limits and assumptions').click()
  const helper = page.getByLabel('A passer-by who can mend it stops in')
  await helper.fill('60')
  await helper.press('Enter')
  const bar = page.getByRole('region', { name: 'Suppose', exact: true })
  await bar.getByRole('link', { name: 'Compare' }).click()
  await expect(heads(page).first()).toContainText('What is supposed')
  await page.getByRole('combobox', { name: 'One more column' }).selectOption('The plan as it is')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(heads(page)).toHaveCount(4)
  await drawn(page)
  // Where passers-by help, less is lost: on the same trips that is sure.
  const lost = row(page, 'lost, as drawn').getByRole('cell')
  await expect(lost.nth(3)).toContainText(/ more ± /)
  await expect(page.getByLabel('Keep what is supposed as a plan')).toHaveValue(/passer-by/)
  await page.getByLabel('Keep what is supposed as a plan').fill('Many who help')
  await page.getByRole('button', { name: 'Keep it as a plan' }).click()
  await expect(heads(page).last()).toContainText('Many who help')
  await drawn(page)
  await expect(lost.nth(4)).toContainText('just the same')
  await expectNoAxeViolations(page)

  await bar.getByRole('button', { name: 'Let it go' }).click()
  await expect(heads(page).first()).toContainText('The kit of now')
  await page.reload()
  await expect(heads(page)).toHaveCount(4)
  await drawn(page)
  await expect(lost.last()).toContainText(/ less ± /)
  await page.getByRole('button', { name: 'Suppose it: Many who help' }).click()
  await expect(bar).toContainText('lost in all')
  await drawn(page)
  await expect(lost.last()).toContainText('just the same')
  await bar.getByRole('button', { name: 'Let it go' }).click()
  await page.getByRole('button', { name: 'Forget Many who help' }).click()
  await expect(heads(page)).toHaveCount(3)
  expect((await onServer(page.request, tripId(page))).dials.helper).toBe(demoTrip().dials.helper)
})
