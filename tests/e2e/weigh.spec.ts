import { demoTrip } from '#catalogue/demo'
import { expect, test } from './rig'
import { analysed, beginTrip, expectNoAxeViolations, newTrip, onServer, openOwnDemo, rowOf, saved } from './steps'

test('the sum opens, adds up to the last digit, and leads to the things behind it', async ({ page }) => {
  await openOwnDemo(page, 'weigh')
  await page.getByRole('button', { name: /how it adds up/ }).click()
  const rows = await page
    .getByRole('table', { name: 'The sum' })
    .locator('tbody tr')
    .evaluateAll((lines) => lines.map((line) => [...line.querySelectorAll('td')].map((cell) => cell.innerText)))
  const hundredths = (text: string | undefined) => Math.round(100 * Number((text ?? '').replace('−', '-')))
  const column = (name: RegExp, place: number) =>
    rows.filter(([words]) => name.test(words ?? '')).reduce((sum, cells) => sum + hundredths(cells[place]), 0)
  for (const place of [1, 2, 3]) {
    const unmended = column(/^If nothing/, place) + column(/^spared by/, place)
    expect(unmended).toBe(column(/^Left unmended/, place))
    expect(unmended).toBe(column(/could be tried|tried in vain/, place))
    const lost = unmended + column(/^the work/, place) + column(/^slower riding/, place)
    expect(lost).toBe(column(/^Lost with this kit/, place))
  }
  for (const cells of rows) expect(hundredths(cells[1]) + hundredths(cells[2])).toBe(hundredths(cells[3]))
  await page.getByRole('button', { name: 'Mini pump' }).last().click()
  await expect(page.getByRole('heading', { name: 'Mini pump' })).toBeVisible()
})

test('a rate changed in What can fail moves a verdict, and is set back', async ({ page }) => {
  await openOwnDemo(page, 'weigh')
  const hanger = rowOf(page, /Hanger, shape K3/)
  await expect(hanger).toContainText(/take/i)
  const before = await hanger.innerText()
  await page.getByRole('button', { name: 'What can fail' }).click()
  for (const what of [/^hanger sheared.*The Fox/, /^hanger bent.*The Fox/]) {
    await page.getByRole('button', { name: what }).click()
    await page.getByLabel('Failures in 1000 km').fill('0')
    await page.keyboard.press('Enter')
    await analysed(page)
  }
  await page.getByRole('button', { name: 'Things' }).click()
  await expect(hanger).toContainText(/leave/i)
  await saved(page)
  await page.reload()
  await analysed(page)
  await expect(hanger).toContainText(/leave/i)
  await page.getByRole('button', { name: 'What can fail' }).click()
  await page.getByRole('button', { name: /Set all 2 values changed here back/ }).click()
  await analysed(page)
  await page.getByRole('button', { name: 'Things' }).click()
  await expect.poll(() => hanger.innerText()).toBe(before)
})

test('a planning value is changed for all trips and those to come, and set back in all', async ({ page }) => {
  await openOwnDemo(page, 'weigh')
  const id = await newTrip(page.request, { name: 'Over the fell' })
  const changedIn = async (trip: string) => Object.entries((await onServer(page.request, trip)).dials.planning)
  await page.getByRole('button', { name: 'What can fail' }).click()
  const pump = page.getByRole('textbox', { name: 'a pump works' })
  const usual = await pump.inputValue()
  await pump.fill('70 %')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'Set a pump works so in all my trips' }).click()
  await expect(page.getByText('1 other trip changed, and those to come')).toBeVisible()
  expect(await changedIn(id)).toEqual([['works.pump', 0.7]])
  await expectNoAxeViolations(page)
  await saved(page)

  await page.goto('/trips')
  await beginTrip(page, 'Down the river')
  const begun = page.url().split('/').at(-2) ?? ''
  expect(await changedIn(begun)).toEqual([['works.pump', 0.7]])

  await page.goto(`/trips/${id}/weigh`)
  await analysed(page)
  await page.getByRole('button', { name: 'What can fail' }).click()
  await expect(pump).toHaveValue('70')
  await page.getByRole('button', { name: 'Set the one value changed in all my trips back' }).click()
  await expect(pump).toHaveValue(usual)
  await saved(page)
  for (const trip of [id, begun]) expect(await changedIn(trip)).toEqual([])
})

test('trips are drawn, stopped, and drawn again with the same figures', async ({ page }) => {
  await openOwnDemo(page, 'weigh')
  await page.getByRole('button', { name: 'Drawn trips' }).click()
  await page.getByLabel('Trips').selectOption({ label: '100 000' })
  await page.getByRole('button', { name: 'Draw the trips' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'drawn' })).toBeVisible()
  await page.getByRole('button', { name: 'Stop', exact: true }).click()
  await page.getByLabel('Trips').selectOption('2000')
  const figures = page.locator('[data-report]')
  await page.getByRole('button', { name: 'Draw the trips' }).click()
  await expect(figures).toContainText('lost in the mean')
  const first = await figures.innerText()
  await page.getByLabel('Seed').fill('2')
  await page.getByRole('button', { name: 'Draw the trips' }).click()
  await expect.poll(() => figures.innerText()).not.toBe(first)
  await page.getByLabel('Seed').fill('1')
  await page.getByRole('button', { name: 'Draw the trips' }).click()
  await expect.poll(() => figures.innerText()).toBe(first)
  await expect(page.getByRole('img', { name: /Of 100 trips by hours on foot: under 1 min/ })).toBeVisible()
})

test('a pump that is pinned at home says what it would be worth, and what is idle without it says why', async ({
  page,
}) => {
  const bench = demoTrip().bench.filter(({ id }) => id !== 'hose-pump' && !id.startsWith('co2'))
  await openOwnDemo(page, 'weigh', { bench })
  await rowOf(page, 'Mini pump').click()
  await page.getByRole('button', { name: 'Always leave' }).click()
  await analysed(page)
  const panel = page.getByRole('complementary', { name: 'Balance and why' })
  await expect(panel).toContainText(/It would spare \d/)
  await expect(panel).toContainText('The verdict is pinned by you')
  await rowOf(page, 'Patch kit, glued').click()
  await expect(panel).toContainText('A pin of yours keeps Mini pump at home')
})

test('a trip weighed by an older reckoning is told once what is new, both kits side by side', async ({ page }) => {
  const { reckoning: _, ...dials } = demoTrip().dials
  await openOwnDemo(page, 'weigh', { dials: { ...dials, gramsPerHour: 300 } })
  const note = page.getByRole('region', { name: 'This trip is weighed anew' })
  const row = (name: string) => note.getByRole('row', { name: new RegExp(`^${name}`) }).getByRole('cell')
  await expect(row('an hour lost is worth')).toHaveText(['300 g', /^1.300 g$/])
  const [left, road] = await row('the kit').allTextContents()
  expect(parseFloat(left ?? '')).toBeLessThan(parseFloat(road ?? ''))
  // What the two kits take otherwise stands below, the first in front of the verdicts as they are now.
  const things = note.locator('tbody tr').nth(4)
  const name = (await things.getByRole('rowheader').textContent())?.trim() ?? ''
  const now = await things.getByRole('cell').first().textContent()
  await expect(rowOf(page, name).first()).toContainText(now ?? '')
  await expectNoAxeViolations(page)

  await note.getByRole('button', { name: 'Keep it as it is' }).click()
  await expect(note).toHaveCount(0)
  await saved(page)
  await page.reload()
  await analysed(page)
  await expect(page.getByRole('region', { name: 'The balance' })).toContainText('300 g')
  await expect(note).toHaveCount(0)
})
