import type { Page } from '@playwright/test'
import { demoTrip } from '#catalogue/demo'
import { expect, test } from './rig'
import { alone, analysed, expectNoAxeViolations, onServer, openOwnDemo } from './steps'

const tripId = (page: Page) => page.url().split('/trips/')[1]?.slice(0, 36) ?? ''
const room = (page: Page) =>
  page.getByRole('navigation', { name: 'Rooms of this stage' }).getByRole('button', { name: 'Bad days' })
const flats = (page: Page) => page.getByRole('list', { name: 'Flats of The Mule, tourer' }).getByRole('listitem')
const shut = (page: Page) => page.getByRole('list', { name: 'Places that are shut' }).getByRole('listitem')
/** What is told last is there once nothing is tried any more. */
async function tried(page: Page): Promise<void> {
  await expect(flats(page)).toHaveCount(5)
  await expect(page.getByText('Trying bad days')).toHaveCount(0)
}
const hoursOf = async (page: Page) =>
  (await flats(page).allInnerTexts()).map((text) => {
    const [, amount = '', unit = ''] = /([\d.]+)\s(h|min)$/.exec(text.trim()) ?? []
    return unit === 'h' ? Number(amount) : Number(amount) / 60
  })

test('bad days are tried: flats in a row, places shut, and what one would carry; nothing of the trip is changed', async ({
  page,
}) => {
  await openOwnDemo(page, 'weigh', alone())
  const before = JSON.stringify(await onServer(page.request, tripId(page)))
  await room(page).focus()
  await page.keyboard.press('Enter')
  await tried(page)
  await expect(flats(page).nth(2)).toContainText('three')
  const hours = await hoursOf(page)
  for (let i = 1; i < hours.length; i++) expect(hours[i]).toBeGreaterThan(hours[i - 1] ?? 0)
  expect(await shut(page).count()).toBeGreaterThan(0)
  await expect(page.getByRole('heading', { name: /^Knowing that .* is shut$/ })).toBeVisible()
  await expectNoAxeViolations(page)
  expect(JSON.stringify(await onServer(page.request, tripId(page)))).toBe(before)
})

test('another kit does otherwise: what is pinned at home is missed on a bad day', async ({ page }) => {
  const { bench, ...trip } = { ...demoTrip(), ...alone() }
  const isAir = (name: string) => /pump|CO2/i.test(name)
  const without = bench.map((thing) => (isAir(thing.name) ? { ...thing, pin: { min: 0, max: 0 } } : thing))
  await openOwnDemo(page, 'weigh', { ...trip, bench: without })
  await room(page).click()
  await tried(page)
  const airless = await hoursOf(page)
  await openOwnDemo(page, 'weigh', { ...trip, bench })
  await room(page).click()
  await tried(page)
  const whole = await hoursOf(page)
  expect(airless[0]).toBeGreaterThan((whole[0] ?? 0) + 1)
})

test.describe('on the phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })
  test('bad days are read by touch', async ({ page }) => {
    await openOwnDemo(page, 'weigh', alone())
    await analysed(page)
    await room(page).tap()
    await tried(page)
    await expect(flats(page).last()).toBeInViewport()
    await shut(page).last().scrollIntoViewIfNeeded()
    await expect(shut(page).last()).toContainText('lost more')
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  })
})
