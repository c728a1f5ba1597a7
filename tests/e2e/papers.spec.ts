import { demoTrip } from '#catalogue/demo'
import type { Page } from '@playwright/test'
import jsQR from 'jsqr'
import { PNG } from 'pngjs'
import { extractText, getDocumentProxy } from 'unpdf'
import { expect, test } from './rig'
import { alone, expectNoAxeViolations, newAccount, newTrip, onServer, openOwnDemo } from './steps'

const frame = (page: Page) => page.frameLocator('[data-papers]')
const sheetBox = (page: Page, name: string) => page.getByRole('group', { name: 'Sheets' }).getByLabel(name)
/** All that the page says, without blanks: lines are broken elsewhere on paper. */
const together = (text: string) => text.replaceAll(/[\s­]+/g, '')

interface Line {
  readonly text: string
  /** Of a page, in points from its lower left corner. */
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}
interface PaperPage {
  readonly widthPt: number
  readonly heightPt: number
  readonly lines: readonly Line[]
}

/** The papers as the printer gets them, read back by another library (`unpdf`, which is PDF.js). */
async function printed(page: Page): Promise<{ text: string; pages: readonly PaperPage[] }> {
  const html = (await page.locator('[data-papers]').getAttribute('srcdoc')) ?? ''
  const paper = await page.context().newPage()
  await paper.setContent(html)
  const pdf = await paper.pdf({ preferCSSPageSize: true })
  await paper.close()
  const document = await getDocumentProxy(new Uint8Array(pdf))
  const { text } = await extractText(document, { mergePages: true })
  const pages: PaperPage[] = []
  for (let number = 1; number <= document.numPages; number++) {
    const sheet = await document.getPage(number)
    const [, , widthPt, heightPt] = sheet.view as [number, number, number, number]
    const { items } = await sheet.getTextContent()
    const lines = items.flatMap((item): Line[] =>
      'str' in item && item.str.trim() !== ''
        ? [
            {
              text: item.str,
              x: (item.transform as number[])[4] ?? 0,
              y: (item.transform as number[])[5] ?? 0,
              width: item.width,
              height: item.height,
            },
          ]
        : [],
    )
    pages.push({ widthPt, heightPt, lines })
  }
  return { text: together(text), pages }
}

test('every sheet comes out whole on A4 and on Letter: nothing missing, nothing cut, and it says what the plan says', async ({
  page,
}) => {
  await openOwnDemo(page, 'ready')
  await page.getByRole('link', { name: 'Papers' }).click()
  await expect(frame(page).getByRole('heading', { name: 'The kit' })).toBeVisible()
  await expectNoAxeViolations(page)
  const { bench, stops, bikes, crew } = demoTrip()
  const carried = frame(page).locator('.sheet').first().locator('tbody td:nth-child(2)')
  const names = await carried.allInnerTexts()
  expect(names.length).toBeGreaterThan(15)
  for (const [format, widthMm, heightMm] of [
    ['a4', 210, 297],
    ['letter', 215.9, 279.4],
  ] as const) {
    await page.getByRole('combobox', { name: /^on/ }).selectOption(format)
    await expect(page.locator('[data-papers]')).toHaveAttribute(
      'srcdoc',
      new RegExp(`size: ${widthMm}mm ${heightMm}mm`),
    )
    const { text, pages } = await printed(page)
    // All that the page says, and in that order, is on paper.
    const shown = await frame(page).locator('body').innerText()
    for (const line of shown.split('\n').map(together).filter(Boolean)) expect(text).toContain(line)
    for (const name of names) expect(text).toContain(together(name))
    for (const { name } of [...stops, ...bikes, ...crew]) expect(text).toContain(together(name))
    for (const { fasteners } of bikes)
      for (const { name } of fasteners.filter(({ torqueNm }) => torqueNm.most > 0))
        expect(text).toContain(together(name))
    expect(bench.some(({ name }) => text.includes(together(name)))).toBe(true)
    // Every line lies within the margins of its page, none over another.
    const [pt, margin] = [72 / 25.4, 12.5]
    for (const { widthPt, heightPt, lines } of pages) {
      expect(widthPt).toBeCloseTo(widthMm * pt, 0)
      expect(heightPt).toBeCloseTo(heightMm * pt, 0)
      expect(lines.length).toBeGreaterThan(0)
      for (const { text: said, x, y, width, height } of lines) {
        expect(x, said).toBeGreaterThanOrEqual(margin * pt)
        expect(x + width, said).toBeLessThanOrEqual(widthPt - margin * pt)
        expect(y, said).toBeGreaterThanOrEqual(margin * pt)
        expect(y + height, said).toBeLessThanOrEqual(heightPt - margin * pt + 2)
      }
    }
    // A sheet begins on a page of its own.
    for (const title of [
      'The kit',
      'Cards for the tin',
      'Stops, shops and gaps',
      'Ways out',
      'What to do when it fails',
    ])
      expect(
        pages.filter(({ lines }) => lines[0]?.text === title),
        title,
      ).toHaveLength(1)
  }
})

test('the code on the first sheet leads to the trip', async ({ page }) => {
  await openOwnDemo(page, 'ready', alone())
  const address = page.url()
  await page.getByRole('link', { name: 'Papers' }).click()
  const code = frame(page).getByRole('img', { name: 'QR code' })
  await expect(code).toBeVisible()
  const { data, width, height } = PNG.sync.read(await code.screenshot())
  expect(jsQR(new Uint8ClampedArray(data), width, height)?.data).toBe(address)
})

test('who one is stands on paper where it is ticked, and in no trip', async ({ page }) => {
  await newAccount(page.request, 'Card')
  const id = await newTrip(page.request, alone())
  await page.goto('/account')
  const card = page.locator('form', { has: page.getByRole('heading', { name: 'Who I am' }) })
  await card.getByLabel('Blood group').fill('B positive')
  await card.getByLabel('Whom to call').fill('Ansel, +00 123 456')
  await card.getByRole('button', { name: 'Keep this card' }).click()
  await expect(card.getByText('kept', { exact: true })).toBeVisible()
  await page.reload()
  await expect(card.getByLabel('Blood group')).toHaveValue('B positive')

  await page.goto(`/trips/${id}/papers`)
  await expect(frame(page).getByRole('heading', { name: 'The kit' })).toBeVisible()
  await expect(frame(page).getByText('B positive')).toHaveCount(0)
  await sheetBox(page, 'Who I am').check()
  await expect(frame(page).getByText('B positive')).toBeVisible()
  for (const name of [
    'The kit, bag by bag',
    'Cards for the tin',
    'Stops, shops and gaps',
    'Ways out',
    'What to do when it fails',
  ])
    await sheetBox(page, name).uncheck()
  const { text, pages } = await printed(page)
  expect(pages).toHaveLength(1)
  expect(text).toContain(together('Ansel, +00 123 456'))
  // What is printed is ticked off the list; the card is in nothing that others see.
  await page.getByLabel('printed').check()
  await expect.poll(async () => (await onServer(page.request, id)).home.papers.state).toBe('done')
  expect(JSON.stringify(await onServer(page.request, id))).not.toContain('B positive')
})

test('without a road or a bench there is nothing to print, and it is said', async ({ page }) => {
  await newAccount(page.request, 'Bare')
  const { format } = demoTrip()
  const answer = await page.request.post('/api/trips', { data: { format, name: 'Bare' } })
  const { id } = (await answer.json()) as { id: string }
  await page.goto(`/trips/${id}/papers`)
  await expect(page.getByText('There is nothing to print yet')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Print' })).toBeDisabled()
})
