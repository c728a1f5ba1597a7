import { expect, test } from '@playwright/test'
import { openOwnDemo } from './steps'

test.describe('a dialog that is closed gives the keyboard back', () => {
  test('to the button that opened it', async ({ page }) => {
    await openOwnDemo(page, 'bench')
    const opener = page.getByRole('button', { name: 'Take from the catalogue' })
    await opener.focus()
    await page.keyboard.press('Enter')
    await expect(page.getByRole('dialog').getByRole('heading').first()).toBeVisible()
    await page.keyboard.press('Escape')
    await expect(page.getByRole('dialog')).toHaveCount(0)
    await expect(opener).toBeFocused()
  })

  test('to the button of the menu it was chosen from', async ({ page }) => {
    await openOwnDemo(page, 'bench')
    // Signing out does not come through, so that its dialog stays.
    await page.route('**/api/session', (route) =>
      route.request().method() === 'DELETE' ? route.abort() : route.continue(),
    )
    const menu = page.getByRole('banner').locator('[aria-haspopup=menu]')
    await menu.focus()
    await page.keyboard.press('Enter')
    await page.getByRole('menuitem', { name: 'Sign out' }).press('Enter')
    await expect(page.getByRole('dialog').getByRole('heading').first()).toBeVisible()
    await page.keyboard.press('Escape')
    await expect(page.getByRole('dialog')).toHaveCount(0)
    await expect(menu).toBeFocused()
  })

  test('to the button in a dialog that it was opened from', async ({ page }) => {
    await openOwnDemo(page, 'bench')
    await page.setViewportSize({ width: 390, height: 844 })
    await page.getByRole('button', { name: /carried/ }).click()
    const opener = page.getByRole('button', { name: /how it adds up/ })
    await opener.focus()
    await page.keyboard.press('Enter')
    await expect(page.getByRole('table', { name: 'The sum' })).toBeVisible()
    await page.keyboard.press('Escape')
    await expect(page.getByRole('table', { name: 'The sum' })).toHaveCount(0)
    await expect(opener).toBeFocused()
  })

  test('to the page where the one that opened it is gone', async ({ page }) => {
    await openOwnDemo(page, 'bench')
    const thing = page.getByRole('button', { name: /^Change / }).first()
    const button = await thing.elementHandle()
    await button?.focus()
    await page.keyboard.press('Enter')
    await expect(page.getByRole('dialog').getByRole('heading').first()).toBeVisible()
    await button?.evaluate((element) => {
      element.remove()
    })
    await page.keyboard.press('Escape')
    await expect(page.getByRole('main')).toBeFocused()
  })
})

test('a word that must be learned is explained where it stands: under a pointer, the keyboard and a finger', async ({
  page,
}) => {
  await openOwnDemo(page, 'weigh')
  const word = page.getByRole('button', { name: 'chance of being stranded' })
  const meaning = page.getByRole('tooltip')
  await word.hover()
  await expect(meaning).toContainText('three hours or more')
  await page.keyboard.press('Escape')
  await expect(meaning).toHaveCount(0)
  await page.mouse.move(0, 0)
  await word.focus()
  await expect(meaning).toContainText('three hours or more')
  await page.keyboard.press('Tab')
  await expect(meaning).not.toContainText('three hours or more')
  await page.getByRole('banner').locator('[aria-haspopup=menu]').click()
  await page.getByRole('menuitem', { name: 'What words mean' }).click()
  await expect(page.getByRole('dialog', { name: 'What words mean' })).toContainText('bare-handed')
})

test.describe('by touch', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })
  test('a word is explained at a tap', async ({ page }) => {
    await openOwnDemo(page, 'weigh')
    await page.getByRole('button', { name: 'beam', exact: true }).tap()
    await expect(page.getByRole('tooltip')).toContainText('The longer side is the heavier')
  })
})
