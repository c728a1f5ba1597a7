import type { Page } from '@playwright/test'
import { expect, test } from './rig'
import { analysed, beginTrip, expectNoAxeViolations, openDemo, rowOf, signUp } from './steps'

test.describe('axe finds nothing, by day or by night,', () => {
  test('at the door and among the trips', async ({ page }) => {
    await page.goto('/')
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible()
    await expectNoAxeViolations(page)
    await page.getByRole('button', { name: 'Sign up', exact: true }).click()
    await expectNoAxeViolations(page)
    await signUp(page, 'Axe')
    await expectNoAxeViolations(page)
    await beginTrip(page, 'Empty')
    await expectNoAxeViolations(page)
    await page.getByRole('heading', { name: 'Road', exact: true }).click()
    for (const key of ['b', 'w']) {
      await page.keyboard.press(key)
      await expectNoAxeViolations(page)
    }
  })

  test('on Weigh, its panels and the dialogs of the frame', { tag: '@proof' }, async ({ page }) => {
    await openDemo(page, 'weigh')
    await expect(page.getByText(/short of the best kit at most, proved/)).toBeVisible({ timeout: 120_000 })
    await expectNoAxeViolations(page)
    await rowOf(page, 'Mini pump').first().click()
    await page.getByText('Limits and assumptions').click()
    await expectNoAxeViolations(page)
    for (const [key, name] of [
      ['?', 'Keys'],
      ['/', 'Find in this trip'],
    ] as const) {
      await page.keyboard.press(key)
      await expect(page.getByRole('dialog').getByRole('heading', { name })).toBeVisible()
      await expectNoAxeViolations(page)
      await page.keyboard.press('Escape')
      await expect(page.getByRole('dialog')).toHaveCount(0)
    }
  })

  test('on Bench and its dialogs', async ({ page }) => {
    await openDemo(page, 'bench')
    await expectNoAxeViolations(page)
    await page.getByRole('button', { name: 'Take from the catalogue' }).click()
    await expectNoAxeViolations(page)
    await page.getByRole('button', { name: 'Close' }).click()
    await page.getByRole('button', { name: 'Change Mini pump' }).first().click()
    await expectNoAxeViolations(page)
  })

  test('in every room of Bikes, and where a fastener is changed', async ({ page }) => {
    await openDemo(page, 'bikes')
    await expectNoAxeViolations(page)
    await page.locator('#point-rear-wheel').click()
    await expectNoAxeViolations(page)
    await page.getByRole('button', { name: 'Change Nipples, rear' }).click()
    await expectNoAxeViolations(page)
    await page.keyboard.press('Escape')
    for (const room of ['What turns what', 'Which spares fit', 'Calculators']) {
      await page.getByRole('button', { name: room }).click()
      await expectNoAxeViolations(page)
    }
  })

  test('on Road, with hours and surfaces open, and the calendar', async ({ page }) => {
    await openDemo(page, 'road')
    await page.getByRole('button', { name: 'More about Brannock' }).click()
    await page.getByText('Surfaces', { exact: false }).first().click()
    await expectNoAxeViolations(page)
    await page.getByRole('button', { name: 'The ride begins: calendar' }).click()
    await expect(page.getByRole('gridcell').first()).toBeVisible()
    await expectNoAxeViolations(page)
  })

  test('on a small screen, its balance and its claims', async ({ newDevice }) => {
    const context = await newDevice({
      viewport: { width: 390, height: 844 },
      hasTouch: true,
      isMobile: true,
    })
    const page = await context.newPage()
    await openDemo(page, 'weigh')
    await expectNoAxeViolations(page)
    await page.getByText('stranded').filter({ visible: true }).tap()
    await expect(page.getByRole('dialog').getByRole('heading', { name: 'The balance' }).first()).toBeVisible()
    await expectNoAxeViolations(page)
    await page.getByRole('button', { name: 'Close' }).tap()
    await rowOf(page, 'Mini pump').first().tap()
    await expect(page.getByRole('dialog').getByRole('heading', { name: 'Claims' })).toBeVisible()
    await expect(page.getByRole('button', { name: 'Close' })).toHaveCount(1)
    await expectNoAxeViolations(page)
  })
})

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })

  test('whatever is pressed is 44 px wide and high', async ({ page }) => {
    await openDemo(page, 'road')
    for (const key of ['r', 'k', 'b', 'w']) {
      await page.keyboard.press(key)
      await analysed(page)
      await page.waitForTimeout(500)
      expect(await tooSmall(page), key).toEqual([])
    }
  })
})

/**
 * What is too small for a thumb, of all that is pressed. Words within a text are as high as its lines (success criterion 2.5.5
 * of WCAG 2.2 leaves those out), and so are the parts of a date, which has a calendar beside it.
 */
const tooSmall = (page: Page) =>
  page.evaluate(() => {
    const pressed = 'button, a[href], select, input, summary, [role=slider]'
    return [...document.querySelectorAll(pressed)].flatMap((element) => {
      const isSeen = element.checkVisibility({ visibilityProperty: true }) && !element.closest('.sr-only, .on-paper')
      const isInText = element.matches('.cursor-help') || getComputedStyle(element).display === 'inline'
      const own = element.getBoundingClientRect()
      const label = element.closest('label')?.getBoundingClientRect()
      const [width, height] = [Math.max(own.width, label?.width ?? 0), Math.max(own.height, label?.height ?? 0)]
      if (!isSeen || isInText || own.width <= 1 || (width >= 43.5 && height >= 43.5)) return []
      const name = element.getAttribute('aria-label') ?? element.textContent
      return [`${element.tagName} ${name?.trim().slice(0, 40)}: ${Math.round(width)} × ${Math.round(height)}`]
    })
  })

test('the first page stays light: at most 250 kB of JavaScript, and no solver', async ({ page }) => {
  const scripts: { url: string; bytes: number }[] = []
  page.on('response', async (response) => {
    if (!/\.(m?js|wasm)(\?|$)/.test(response.url())) return
    scripts.push({ url: response.url(), bytes: (await response.body()).length })
  })
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible()
  await page.waitForLoadState('networkidle')
  const { gzipSync } = await import('node:zlib')
  let gzipped = 0
  for (const { url } of scripts) gzipped += gzipSync(await (await page.request.get(url)).body()).length
  expect(scripts.some(({ url }) => url.includes('highs'))).toBe(false)
  expect(gzipped).toBeLessThan(250_000)
})

test('the road can be used on a small screen with one thumb', async ({ newDevice }) => {
  const context = await newDevice({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })
  const page = await context.newPage()
  await openDemo(page, 'road')
  await expect(page.getByRole('slider', { name: 'Stop Quillby' })).toBeVisible()
  const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
  expect(overflow).toBeLessThanOrEqual(0)
  await page.getByRole('link', { name: /Weigh/ }).tap()
  await expect(page.getByRole('heading', { name: 'Weigh' })).toBeVisible()
})
