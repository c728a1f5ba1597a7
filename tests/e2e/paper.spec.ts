import type { Page } from '@playwright/test'
import { extractText, getDocumentProxy } from 'unpdf'
import { demoTrip } from '#catalogue/demo'
import { expect, test } from './rig'
import { analysed, openOwnDemo } from './steps'

/** What a printer would be given, as one line of text. */
async function onPaper(page: Page): Promise<{ text: string; pages: number }> {
  const pdf = await page.pdf({ format: 'A4' })
  const { text, totalPages } = await extractText(await getDocumentProxy(new Uint8Array(pdf)), { mergePages: true })
  return { text: together(text), pages: totalPages }
}

/** Lines are broken elsewhere on paper. */
const together = (text: string) => text.replaceAll(/[\s­]+/g, '')

const { bench, stops, bikes } = demoTrip()

test.describe('on paper stands what the stage shows, to its end', () => {
  test('the road: its days, stops and gaps', async ({ page }) => {
    await openOwnDemo(page, 'road')
    const { text } = await onPaper(page)
    for (const { name } of stops) expect(text).toContain(together(name))
    await expect(page.getByRole('row', { name: /June/ }).first()).toBeVisible()
    const days = await page.getByRole('row', { name: /June/ }).allInnerTexts()
    expect(days.length).toBeGreaterThan(5)
    for (const day of days) expect(text).toContain(together(day.split('\t')[0] ?? day))
    // Folded on the screen.
    expect(text).toContain('singletrack')
  })

  test('the bench: every thing with what it does', async ({ page }) => {
    await openOwnDemo(page, 'bench')
    const { text, pages } = await onPaper(page)
    for (const { name } of bench) expect(text).toContain(together(name))
    expect(pages).toBeGreaterThan(2)
    expect(text).not.toContain(together('Take from the catalogue'))
  })

  test('every verdict, and what is left to luck', async ({ page }) => {
    await openOwnDemo(page, 'weigh')
    const rows = await page.locator('[data-row]').allInnerTexts()
    expect(rows.length).toBeGreaterThan(20)
    const { text } = await onPaper(page)
    for (const row of rows)
      for (const words of row.split('\n')) expect(text.toLowerCase()).toContain(together(words).toLowerCase())
    expect(text).toContain(together('Left to luck'))
  })

  test('what can fail', async ({ page }) => {
    await openOwnDemo(page, 'weigh')
    await page.getByRole('button', { name: 'What can fail' }).click()
    await analysed(page)
    await expect(page.getByRole('main').getByRole('listitem').getByRole('button').first()).toBeVisible()
    const names = await page.getByRole('main').getByRole('listitem').getByRole('button').allInnerTexts()
    expect(names.length).toBeGreaterThan(10)
    const { text } = await onPaper(page)
    for (const name of names) expect(text).toContain(together(name.split('\n')[0] ?? name))
  })

  test('the crew: every hand in every work', async ({ page }) => {
    await openOwnDemo(page, 'crew')
    expect((await onPaper(page)).text).toContain('Ansel')
    await page.getByRole('button', { name: 'Hands and practice' }).click()
    await expect(page.getByRole('table').getByRole('rowheader').first()).toBeVisible()
    const works = await page.getByRole('table').getByRole('rowheader').allInnerTexts()
    expect(works.length).toBeGreaterThan(20)
    const { text } = await onPaper(page)
    for (const work of works) expect(text).toContain(together(work))
    expect(text).toContain(together('on the road'))
  })

  test('a passport, and what turns what', async ({ page }) => {
    await openOwnDemo(page, 'bikes')
    expect((await onPaper(page)).text).toContain(together(bikes[0]?.name ?? ''))
    await page.getByRole('button', { name: 'What turns what' }).click()
    const matrix = page.getByRole('region', { name: 'Matrix of tools and fasteners' })
    await expect(matrix).toContainText('all together')
    const words = await matrix
      .locator('text')
      .evaluateAll((texts) => texts.map((text) => text.firstChild?.textContent?.trim() ?? ''))
    expect(words.length).toBeGreaterThan(20)
    const { text } = await onPaper(page)
    for (const each of words) expect(text).toContain(together(each))
  })
})
