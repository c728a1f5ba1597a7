import type { Page } from '@playwright/test'
import { expect, test } from './rig'
import { alone, analysed, expectNoAxeViolations, onServer, openOwnDemo, saved } from './steps'

const tripId = (page: Page) => page.url().split('/trips/')[1]?.slice(0, 36) ?? ''
const room = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Rooms of this stage' }).getByRole('button', { name })
const lost = (page: Page) => page.locator('[data-balance]').getByText(/lost in all/)
const group = (page: Page, name: string) => page.getByRole('region', { name })
/** Every way has been weighed. */
const weighed = (page: Page) =>
  expect(page.getByText(/Weighing what weighs nothing/)).toHaveCount(0, { timeout: 150_000 })

test(
  'a job at home stands beside the things, is planned, counted and taken back',
  { tag: '@proof' },
  async ({ page }) => {
    await openOwnDemo(page, 'weigh', alone())
    await room(page, 'Every way').click()
    const best = group(page, 'What buys most from here')
    const bolts = best.getByRole('listitem').filter({ hasText: 'bolts checked and locked' })
    await expect(bolts).toBeVisible()
    await weighed(page)
    await expectNoAxeViolations(page)
    await expect(group(page, 'Carried and planned').getByRole('listitem').first()).toContainText('take')

    // What it is made of: two promises, a price, a caution.
    await bolts
      .getByRole('button', { name: /bolts checked/ })
      .first()
      .click()
    await expect(bolts).toContainText(/With the kit as it is it spares \d+\s(min|s): the difference of two promises/)
    await expect(bolts).toContainText('30 min at home and €1.00')
    await expect(bolts).toContainText('torque key')
    await expectNoAxeViolations(page)

    const before = await lost(page).innerText()
    await bolts.getByRole('button', { name: /^do at home/ }).click()
    await expect(lost(page)).not.toHaveText(before)
    const had = group(page, 'Carried and planned').getByRole('listitem').filter({ hasText: 'bolts checked and locked' })
    await expect(had).toBeVisible()
    await saved(page)
    expect((await onServer(page.request, tripId(page))).bikes[0]?.jobs).toMatchObject([{ job: 'bolts', on: null }])
    await weighed(page)
    await had.getByRole('button', { name: /^do at home/ }).click()
    await expect(lost(page)).toHaveText(before)
    await page.keyboard.press('Control+z')
    await expect(had).toBeVisible()
  },
)

test('prices are one’s own, in one’s own currency, by keys alone', async ({ page }) => {
  await openOwnDemo(page, 'weigh', alone())
  await room(page, 'Every way').press('Enter')
  const bolts = page.getByRole('listitem').filter({ hasText: 'bolts checked and locked' })
  const head = bolts.getByRole('button', { name: /bolts checked/ }).first()
  await expect(head).toBeVisible()
  await weighed(page)
  await head.focus()
  await page.keyboard.press('Enter')
  await expect(head).toHaveAttribute('aria-expanded', 'true')
  await bolts.getByLabel('It costs').fill('1,250.755')
  await page.keyboard.press('Enter')
  await expect(bolts.getByRole('alert')).toContainText('an amount of money such as 12.50')
  await bolts.getByLabel('It costs').fill('3,50')
  await page.keyboard.press('Enter')
  await expect(bolts).toContainText('30 min at home and €3.50')
  await expect(bolts.getByRole('button', { name: 'Set It costs back to €1.00' })).toBeVisible()
  const weights = group(page, 'What home and money weigh')
  await weights.getByLabel('An hour at home, against one on the road').fill('20')
  await page.keyboard.press('Enter')
  await saved(page)
  expect((await onServer(page.request, tripId(page))).dials).toMatchObject({
    homeShare: 0.2,
    planning: { 'jobs.bolts.price': 350 },
  })
  // In another currency nothing that was said in this one holds, till it is taken back.
  await weights.getByLabel('Currency').selectOption('SEK')
  await expect(bolts).toContainText('money, nobody has said how much in SEK')
  await weights.getByLabel('An hour spared on the road is worth').fill('300')
  await page.keyboard.press('Enter')
  await saved(page)
  expect((await onServer(page.request, tripId(page))).dials).toMatchObject({
    currency: 'SEK',
    moneyPerHour: 30_000,
    planning: {},
  })
  await page.keyboard.press('Escape')
  await weights.getByLabel('Currency').focus()
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  await expect(bolts).toContainText('€3.50')
})

test('a job is put on a day among the jobs of its bike; one that comes too late is said to', async ({ page }) => {
  await openOwnDemo(page, 'bikes', alone())
  await room(page, 'Jobs at home').click()
  await expectNoAxeViolations(page)
  await page.getByRole('button', { name: 'Plan: fresh brake pads' }).click()
  const planned = page.getByRole('list', { name: 'Planned jobs' })
  await planned.getByLabel('do it on').fill('2026-06-20')
  await expect(planned).toContainText('The ride has begun by then')
  await planned.getByLabel('do it on').fill('2026-06-03')
  await expect(planned).not.toContainText('The ride has begun by then')
  await saved(page)
  expect((await onServer(page.request, tripId(page))).bikes[0]?.jobs).toMatchObject([
    { job: 'fresh-pads', on: '2026-06-03' },
  ])
  await planned.getByRole('button', { name: 'Not: fresh brake pads' }).click()
  await expect(planned).toHaveCount(0)
})

test('what is bought on the way is said of the thing, bought in the kit, and comes along again', async ({ page }) => {
  await openOwnDemo(page, 'bench', alone())
  const name = 'Tube 622 × 28–47, light'
  const line = page.getByRole('list', { name: 'Things on the bench' }).getByRole('listitem').filter({ hasText: name })
  await line.getByRole('button', { name: `Change ${name}` }).click()
  const dialog = page.getByRole('dialog')
  const comes = dialog.getByLabel('Comes along')
  await expect(comes).toHaveValue('')
  await comes.selectOption('quillby')
  await expectNoAxeViolations(page)
  await dialog.getByRole('button', { name: 'Keep' }).click()
  await expect(line).toContainText('bought at Quillby')
  await expect(line).toContainText('buy')
  await saved(page)
  const boughtAt = async () =>
    (await onServer(page.request, tripId(page))).bench.find(({ id }) => id === 'tube-622-light')?.boughtAt
  expect(await boughtAt()).toBe('quillby')

  await page.goto(page.url().replace('/bench', '/weigh?room=ways'))
  const had = group(page, 'Carried and planned').getByRole('listitem')
  await expect(had.filter({ hasText: name }).first()).toContainText('buy')
  await weighed(page)
  const deed = had.filter({ hasText: 'Buy at Quillby, not before' })
  await deed.getByRole('button', { name: /^buy there/ }).click()
  await expect(deed).toHaveCount(0)
  await expect.poll(boughtAt).toBeNull()
  await page.keyboard.press('Control+z')
  await expect.poll(boughtAt).toBe('quillby')
})

test('a tool is not bought on the way: no place is known to have one', async ({ page }) => {
  await openOwnDemo(page, 'bench', alone())
  await page
    .getByRole('button', { name: /^Change Mini pump/ })
    .first()
    .click()
  await expect(page.getByRole('dialog').getByLabel('Trusted to')).toBeVisible()
  await expect(page.getByRole('dialog').getByLabel('Comes along')).toHaveCount(0)
})

test.describe('on the phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })

  test('practice is planned by touch among all ways', async ({ page }) => {
    await openOwnDemo(page, 'weigh', alone())
    await room(page, 'Every way').tap()
    const practice = page.getByRole('button', { name: /^practise: .* single speed/ })
    await expect(practice).toBeVisible()
    const { height } = (await practice.boundingBox()) ?? { height: 0 }
    expect(height).toBeGreaterThanOrEqual(43.5)
    await practice.tap()
    await expect(practice).toHaveAttribute('aria-pressed', 'true')
    await analysed(page)
    await expect
      .poll(async () =>
        (await onServer(page.request, tripId(page))).crew[0]?.practice.map(({ technique }) => technique),
      )
      .toEqual(['make-single-speed'])
  })
})
