import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import type { Page } from '@playwright/test'
import { expect, test } from './rig'
import { alone, analysed, expectNoAxeViolations, onServer, openOwnDemo, rowOf, saved, tabTo } from './steps'

/** The demo by one rider, with a bench of which nothing is there yet. */
const unowned = () => ({ ...alone(), bench: demoTrip().bench.map((thing) => ({ ...thing, shed: null })) })

const field = (page: Page) => page.getByLabel('What is not there yet may cost at most')
const toGet = (page: Page) => page.getByRole('region', { name: 'To be bought' })
const priceOf = (name: string) => catalogue.items.find((item) => item.name === name)?.price ?? 0

/** The sum that the panel tells, in the smallest coins. */
async function toBeSpent(page: Page): Promise<number> {
  const [, euros = ''] = /values, €([\d.]+) in all/.exec((await toGet(page).textContent()) ?? '') ?? []
  return Math.round(Number(euros) * 100)
}

test('a sum of money binds the kit by keys alone: what it buys, what is too dear and why, and it stays', async ({
  page,
}) => {
  await openOwnDemo(page, 'weigh', unowned())
  const id = new URL(page.url()).pathname.split('/')[2] ?? ''
  await expect(toGet(page)).toHaveCount(0)
  await tabTo(page, /^Limits and assumptions/)
  await page.keyboard.press('Enter')
  await expect(field(page)).toBeVisible()
  await field(page).focus()
  await page.keyboard.type('30')
  await page.keyboard.press('Enter')
  await analysed(page)
  await expect(toGet(page)).toContainText('of the €30.00 that you would spend')
  const spent = await toBeSpent(page)
  expect(spent).toBeGreaterThan(0)
  expect(spent).toBeLessThanOrEqual(3000)
  await expectNoAxeViolations(page)

  const dear = page.locator('[data-row]').filter({ hasText: 'too dear' }).first()
  await expect(dear).toContainText('leave')
  await dear.focus()
  await page.keyboard.press('Enter')
  const panel = page.getByRole('complementary', { name: 'Balance and why' })
  await expect(panel).toContainText(/A limit of yours keeps it at home: with it the kit would cost €[\d.]+ more than/)
  await saved(page)
  expect((await onServer(page.request, id)).dials.budgetMoney).toBe(3000)
  await page.reload()
  await analysed(page)
  await expect.poll(() => toBeSpent(page)).toBe(spent)
})

test('what is there already costs nothing: said of a thing of the bench, it comes along', async ({ page }) => {
  const { dials } = demoTrip()
  const name = 'Chain lube, 15 mL dropper'
  await openOwnDemo(page, 'weigh', { ...unowned(), dials: { ...dials, budgetMoney: priceOf(name) - 1 } })
  await expect(rowOf(page, name)).toContainText('leave')
  await page.goto(page.url().replace('/weigh', '/bench'))
  await page.getByRole('button', { name: `Change ${name}` }).click()
  await page.getByLabel('Of these are there already').fill('1')
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await saved(page)
  await page.goto(page.url().replace('/bench', '/weigh'))
  await analysed(page)
  await expect(rowOf(page, name)).toContainText('take')
})

test.describe('on the phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })

  test('the sum is set and taken away by touch', async ({ page }) => {
    await openOwnDemo(page, 'weigh', unowned())
    await page.getByText('Limits and assumptions').tap()
    await field(page).fill('12,50')
    await field(page).blur()
    await expect(toGet(page)).toContainText('of the €12.50 that you would spend')
    await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
    await expectNoAxeViolations(page)
    await field(page).fill('')
    await field(page).blur()
    await expect(toGet(page)).toHaveCount(0)
  })
})
