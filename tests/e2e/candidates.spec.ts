import type { Page } from '@playwright/test'
import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { thingFrom } from '#core/bench'
import { expect, test } from './rig'
import { alone, expectNoAxeViolations, openOwnDemo, tabTo } from './steps'

const room = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Rooms of this stage' }).getByRole('button', { name })
const sets = (page: Page) => page.getByRole('list', { name: 'Tools side by side' }).locator('> li')
/** All of them have been tried. */
const tried = async (page: Page) => {
  await expect(page.getByRole('heading', { name: 'Bolt by bolt' })).toBeVisible()
  await expect(page.getByText(/^Trying them/)).toHaveCount(0)
}

test('tools stand side by side: what each turns, what must be added, and the kit with it; they are changed and stay', async ({
  page,
}) => {
  await openOwnDemo(page, 'bench', alone())
  await room(page, 'Tools side by side').click()
  await page.getByRole('button', { name: 'A folding tool, a ratchet with bits, single keys' }).click()
  await tried(page)
  await expect(sets(page)).toHaveCount(3)
  const [folding, keys] = [sets(page).nth(0), sets(page).nth(2)]
  await expect(folding).toContainText('168 g, one piece, €40.00 to get')
  await expect(folding).toContainText(/turns \d+ of \d+, \d+ with ease/)
  await expect(folding).toContainText(/For the rest must be added.*\d+ g, €\d+\.\d\d: lightest/)
  await expect(folding).toContainText('least outside the frame')
  await expect(folding).toContainText(/The best kit with it: [\d\s]+g, [\d.]+ h lost/)
  const bolts = page.getByRole('group', { name: 'Bolt by bolt' })
  const differing = await bolts.getByRole('row').count()
  await page.getByRole('button', { name: 'all bolts' }).click()
  await expect.poll(() => bolts.getByRole('row').count()).toBeGreaterThan(differing)
  await expectNoAxeViolations(page)

  // Without a spoke key nothing turns the nipples; with one it does.
  const nipples = bolts.getByRole('row').filter({ hasText: 'Nipples, rear' }).getByRole('cell').nth(2)
  await expect(nipples).toContainText('uncovered')
  await keys.getByRole('combobox').selectOption('kind:spoke-key')
  await keys.getByRole('button', { name: /^Add to Hex keys/ }).click()
  await tried(page)
  await expect(nipples).toContainText('with ease')
  await page.reload()
  await tried(page)
  const without = sets(page).nth(2).getByRole('button', { name: 'Without Spoke key, 3.2 mm' })
  await without.click()
  await expect(without).toHaveCount(0)
})

/** Chooses by typing; a browser that is slow to take the keys takes them for two words, and is told again. */
async function typeChoice(page: Page, name: string): Promise<void> {
  await expect(async () => {
    await page.keyboard.type(name)
    const chosen = await page.evaluate(() => (document.activeElement as HTMLSelectElement).selectedOptions[0]?.text)
    expect(chosen).toContain(name)
  }).toPass({ intervals: [1500] })
}

test('a tool of the bench is set beside others by keys alone', async ({ page }) => {
  await openOwnDemo(page, 'bench', alone())
  await room(page, 'Tools side by side').press('Enter')
  await tabTo(page, /^Or begin with/)
  await typeChoice(page, 'Folding tool, 9')
  await tabTo(page, /^Or begin with: add$/)
  await page.keyboard.press('Enter')
  await expect(sets(page)).toHaveCount(1)
  await tabTo(page, /^Beside them/)
  await typeChoice(page, 'Folding tool, 17')
  await tabTo(page, /^Beside them: add$/)
  await page.keyboard.press('Enter')
  await expect(sets(page)).toHaveCount(2)
  await tried(page)
  await expect(sets(page).nth(1)).toContainText(/(less|more) than with the first/)
  await tabTo(page, /^Without Folding tool, 9 functions/)
  await page.keyboard.press('Enter')
  await expect(sets(page)).toHaveCount(1)
})

test.describe('on the phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })

  test('tools are compared by touch, and nothing runs beyond the edge', async ({ page }) => {
    await openOwnDemo(page, 'bench', alone())
    await room(page, 'Tools side by side').tap()
    await page.getByRole('button', { name: 'A folding tool, a ratchet with bits, single keys' }).tap()
    await tried(page)
    const drop = sets(page).nth(1).getByRole('button', { name: 'Without Chain breaker' })
    const { height } = (await drop.boundingBox()) ?? { height: 0 }
    expect(height).toBeGreaterThanOrEqual(43.5)
    await drop.tap()
    await expect(drop).toHaveCount(0)
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
    await expectNoAxeViolations(page)
  })
})

test('a tool is named that could stand for several of the kit, with what would be harder', async ({ page }) => {
  // Of what is laid out the keys are pinned, so that the kit takes them one by one.
  const { bench } = demoTrip()
  const keys = catalogue.items
    .filter(({ id }) => ['key-4', 'key-5', 'key-6', 'key-8', 'torx-25', 'torx-30'].includes(id))
    .map((item) => ({ ...thingFrom(item, item.id), pin: { min: 1, max: 1 } }))
  expect(keys).toHaveLength(6)
  const rest = bench.filter(({ heads }) => heads.length < 2)
  await openOwnDemo(page, 'bench', {
    ...alone(),
    bench: [...rest.filter(({ id }) => !keys.some((k) => k.id === id)), ...keys],
  })
  await room(page, 'Tools side by side').click()
  const list = page.getByRole('list', { name: 'One for several' })
  await expect(list.getByRole('listitem').first()).toContainText(/less.*instead of.*·/)
  await expectNoAxeViolations(page)
  await list
    .getByRole('button', { name: /^Side by side: / })
    .first()
    .click()
  await tried(page)
  await expect(sets(page)).toHaveCount(2)
})

test('the wish to help others has its price, and is granted', async ({ page }) => {
  const { bench } = demoTrip()
  await openOwnDemo(page, 'bench', { ...alone(), bench: bench.filter(({ from }) => !from?.startsWith('spoke-key')) })
  await room(page, 'Tools side by side').click()
  const section = page.getByRole('region', { name: 'For the bikes of others' })
  for (const size of ['3.2', '3.3']) await section.getByLabel(`Nipples, ${size} mm`).check()
  await expect(section.getByRole('status')).toContainText(
    /The kit turns 0 of 2\.\s+For the rest: Spoke key, four sizes, 32\sg, €8\.00\./,
  )
  await expectNoAxeViolations(page)
  await section.getByRole('button', { name: 'Take it along, pinned' }).click()
  await expect(section.getByRole('status')).toContainText('The kit turns 2 of 2.')
  await page.reload()
  await expect(section.getByLabel('Nipples, 3.3 mm')).toBeChecked()
})
