import { demoGpx, demoShed, demoTrip } from '#catalogue/demo'
import type { OwnedThing, SavedThing } from '#core/shed'
import type { APIRequestContext, Locator, Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { chooseFile, countPresses } from './presses'
import { expect, test } from './rig'
import {
  again,
  alone,
  analysed,
  expectNoAxeViolations,
  fillShed,
  newAccount,
  newTrip,
  onServer,
  saved,
  tabTo,
} from './steps'

const gpxFile = { name: 'over_two_passes.gpx', mimeType: 'application/gpx+xml', buffer: Buffer.from(demoGpx()) }
const csv = (text: string) => ({ name: 'mine.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })

async function shedOf(request: APIRequestContext): Promise<OwnedThing[]> {
  const answer = await request.get('/api/shed', again)
  return ((await answer.json()) as { things: SavedThing[] }).things.flatMap(({ thing }) => thing ?? [])
}
const massOf = async (request: APIRequestContext, name: string) =>
  (await shedOf(request)).find((thing) => thing.name === name)?.massG
const shedIsSaved = (page: Page) => expect(page.getByText('Saved with your account.')).toBeVisible()
const list = (page: Page) => page.getByRole('list', { name: 'Things in the shed' })
const row = (page: Page, name: string) => list(page).getByRole('listitem').filter({ hasText: name }).first()
async function openShed(page: Page): Promise<void> {
  await page.goto('/shed')
  await expect(page.getByRole('heading', { name: 'Shed', exact: true })).toBeVisible()
}
const massField = (page: Page, name: string) => page.getByLabel(`Mass of ${name}`, { exact: true })
const reading = (dialog: Locator) => dialog.getByLabel('Reading')

test('a second trip: from its GPX to verdicts over what is owned in five presses; what is missing has a worth and a price', async ({
  page,
}) => {
  await newAccount(page.request, 'Second')
  await newTrip(page.request, { name: 'The first' })
  const withoutPump = demoShed.filter(
    ({ provides }) => !provides.some((name) => /^(inflate|compress|burst)/.test(name)),
  )
  await fillShed(page.request, withoutPump)
  const presses = await countPresses(page)
  await page.goto('/trips')
  await expect(page.getByLabel('Riders and bikes')).toContainText('as in The first')
  await chooseFile(page, 'A trip from a file', gpxFile)
  await expect(page.getByText('6201 points read, 16 waypoints made into stops.')).toBeVisible()
  const stage = (name: string) => page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name })
  await stage('Bench').click()
  await page.getByRole('button', { name: 'Lay it out' }).click()
  await expect(page.getByRole('list', { name: 'Things on the bench' }).getByRole('listitem').first()).toBeVisible()
  await stage('Weigh').click()
  await analysed(page)
  await expect(page.locator('[data-row]').filter({ hasText: 'take' }).first()).toBeVisible()
  expect(await presses()).toBeLessThanOrEqual(5)

  const missing = page.getByRole('list', { name: 'To be got' })
  const pump = missing.getByRole('listitem').filter({ hasText: /pump/i })
  await expect(pump).toContainText(/\d\s?(h|min)/)
  await expect(pump).toContainText(/€\d+\.\d\d/)
  await expectNoAxeViolations(page)

  // Bikes, riders and things are the same ones; what is owned says so.
  await saved(page)
  const id = page.url().split('/trips/')[1]?.slice(0, 36) ?? ''
  const trip = await onServer(page.request, id)
  expect(trip.bikes.map(({ name }) => name)).toEqual(['The Fox, gravel', 'The Mule, tourer'])
  expect(trip.bench.filter(({ shed }) => shed !== null).length).toBeGreaterThan(30)

  // What was got after all is not missing any more.
  const before = await missing.getByRole('listitem').count()
  await pump.getByRole('button', { name: /^I have/ }).click()
  await expect(missing.getByRole('listitem')).toHaveCount(before - 1)
  await expect.poll(async () => (await shedOf(page.request)).some(({ name }) => /pump/i.test(name))).toBe(true)
})

test('a shed is filled, changed, aged, priced and taken back; all of it is there after a reload', async ({ page }) => {
  await newAccount(page.request, 'Filler')
  await openShed(page)
  await page.getByRole('button', { name: 'Open the catalogue' }).click()
  const dialog = page.getByRole('dialog')
  for (const name of ['Sealant, 60 mL bottle', 'Mini pump', 'Tube 622 × 40–60']) {
    await dialog.getByRole('searchbox').fill(name)
    await dialog.getByRole('button', { name: `Take ${name}`, exact: true }).click()
  }
  await dialog.getByRole('button', { name: 'Take Tube 622 × 40–60', exact: true }).click()
  await dialog.getByRole('button', { name: 'Close' }).click()
  await expect(list(page).getByRole('listitem')).toHaveCount(3)

  await page.getByRole('button', { name: 'Change Sealant, 60 mL bottle' }).click()
  await dialog.getByLabel('Opened on').fill('2020-01-01')
  await dialog.getByLabel('One has cost').fill('7,40')
  await dialog.getByLabel('Used so often').fill('4')
  await dialog.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(row(page, 'Sealant')).toContainText(/opened \d+ years ago, trusted to \d %/)
  await expect(row(page, 'Sealant')).toContainText('€7.40, €1.85 a use')
  await expectNoAxeViolations(page)

  await massField(page, 'Mini pump').fill('3.5 oz')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'Take Tube 622 × 40–60 out of the shed' }).click()
  await expect(list(page).getByRole('listitem')).toHaveCount(2)
  await page.getByRole('button', { name: /^Undo take Tube/ }).click()
  await expect(row(page, 'Tube')).toContainText('2')
  await shedIsSaved(page)
  await page.reload()
  await expect(list(page).getByRole('listitem')).toHaveCount(3)
  expect(await massOf(page.request, 'Mini pump')).toBeCloseTo(99.2, 1)
  await expect(row(page, 'Sealant')).toContainText('€7.40')
})

test('what is edited while the server is away, and left at once, is brought later', async ({ page }) => {
  await newAccount(page.request, 'Away')
  await fillShed(page.request, demoShed.slice(0, 3))
  await openShed(page)
  await expect(list(page).getByRole('listitem')).toHaveCount(3)
  await page.route('**/api/shed', (route) => route.abort())
  const name = demoShed[1]?.name ?? ''
  await massField(page, name).fill('77')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Kept on this device.')).toBeVisible()
  await page.goto('/trips')
  await page.unroute('**/api/shed')
  await page.reload()
  await expect.poll(() => massOf(page.request, name)).toBe(77)
})

test('two windows show one shed; two devices that change the same are asked, and nothing is lost', async ({
  page,
  context,
  newDevice,
}) => {
  const account = await newAccount(page.request, 'Both')
  await fillShed(page.request, demoShed.slice(0, 4))
  const [pump, second] = [demoShed[0]?.name ?? '', demoShed[1]?.name ?? '']
  await openShed(page)
  const window = await context.newPage()
  await openShed(window)
  await massField(window, pump).fill('151')
  await window.keyboard.press('Enter')
  await expect(massField(page, pump)).toHaveValue('151')

  const device = await newDevice()
  expect((await device.request.post('/api/session', { ...again, data: account })).ok()).toBe(true)
  const other = await device.newPage()
  await openShed(other)
  await expect(massField(other, pump)).toHaveValue('151')
  await other.route('**/api/shed', (route) => route.abort())
  await massField(other, second).fill('91')
  await other.keyboard.press('Enter')
  await massField(page, second).fill('92')
  await page.keyboard.press('Enter')
  await shedIsSaved(page)
  await expect.poll(() => massOf(page.request, second)).toBe(92)
  await other.unroute('**/api/shed')
  await other.getByRole('button', { name: 'Try again' }).click()
  const conflict = other.getByRole('list', { name: 'Changed here and elsewhere' })
  await expect(conflict).toContainText(second)
  await expectNoAxeViolations(other)
  expect(await massOf(page.request, second)).toBe(92)
  await conflict.getByRole('button', { name: /^Keep from here: mass: 91/ }).click()
  await expect.poll(() => massOf(page.request, second)).toBe(91)
  await expect(conflict).toHaveCount(0)
})

test('a table goes out and comes in; what is wrong with one is told by its lines, and nothing is taken', async ({
  page,
}) => {
  await newAccount(page.request, 'Table')
  await fillShed(page.request, demoShed)
  await openShed(page)
  await expect(page.getByText(`${demoShed.length} things,`)).toBeVisible()
  const downloading = page.waitForEvent('download')
  await page.getByRole('button', { name: 'As a table' }).click()
  const text = readFileSync(await (await downloading).path(), 'utf8')
  expect(text.split('\r\n')).toHaveLength(demoShed.length + 2)

  await chooseFile(page, 'From a table', csv(text))
  const dialog = page.getByRole('dialog')
  await expect(dialog).toContainText(`0 new, 0 changed, ${demoShed.length} the same`)
  await expect(dialog.getByRole('button', { name: 'Put them in' })).toBeDisabled()
  await dialog.getByRole('button', { name: 'Leave it' }).click()

  await chooseFile(page, 'From a table', csv('name;grams;price;colour\nOld vice;"1,234";5;blue\nSpanner;80;-1;\n'))
  await expect(dialog).toContainText('Not taken; your shed is as it was.')
  await expect(dialog).toContainText('line 2, grams: "1,234"; expected a number')
  await expect(dialog).toContainText('line 3, price: "-1"; expected an amount of money')
  await expectNoAxeViolations(page)
  await dialog.getByRole('button', { name: 'Close' }).last().click()

  await chooseFile(page, 'From a table', csv('name;grams;price;colour\n=Old vice;1234,5;5;blue\n'))
  await expect(dialog).toContainText('Columns that were passed over: colour')
  await dialog.getByRole('button', { name: 'Put them in' }).click()
  await expect.poll(() => massOf(page.request, '=Old vice')).toBe(1234.5)
  await page.getByRole('button', { name: /^Undo take one thing/ }).click()
  await expect.poll(() => massOf(page.request, '=Old vice')).toBeUndefined()
})

test('thing after thing is weighed, and no hand, plug or babble makes a mass', async ({ page }) => {
  await newAccount(page.request, 'Weigher')
  const things = demoShed.filter(({ isWeighed }) => !isWeighed).slice(0, 2)
  await fillShed(page.request, things)
  await openShed(page)
  await page.getByRole('button', { name: 'Weigh them all' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog).toContainText('Put ')
  await dialog.getByRole('button', { name: 'Lift it too early' }).click()
  await expect(dialog).toContainText('lifted before it stood still')
  await expect(dialog.getByRole('button', { name: /^Keep/ })).toBeDisabled()
  await dialog.getByRole('button', { name: 'Let it babble' }).click()
  await expect(dialog).toContainText('expected a line such as')
  await dialog.getByRole('button', { name: 'Pull its plug' }).click()
  await expect(dialog).toContainText('not connected any more')
  await dialog.getByRole('button', { name: 'Connect again' }).click()
  await dialog.getByRole('button', { name: 'Put it on' }).click()
  const keep = dialog.getByRole('button', { name: /^Keep \d/ })
  await expect(keep).toBeEnabled()
  await expectNoAxeViolations(page)
  const read = parseFloat(await reading(dialog).innerText())
  await keep.click()
  await expect(dialog).toContainText('2 of 2')
  await dialog.getByRole('button', { name: 'Pass over' }).click()
  await expect(dialog).toContainText('One thing was weighed.')
  await dialog.getByRole('button', { name: 'Done' }).click()
  await expect(page.getByText('1 not weighed yet.')).toBeVisible()
  await expect
    .poll(async () => (await shedOf(page.request)).filter(({ isWeighed }) => isWeighed).map(({ massG }) => massG))
    .toEqual([read])
})

test('a bench is laid from the shed by keys alone; what differs is taken over either way', async ({ page }) => {
  await newAccount(page.request, 'Layer')
  const pump = demoShed.find(({ id }) => id === 'hose-pump')
  await fillShed(
    page.request,
    demoShed.filter(({ id }) => ['hose-pump', 'folding-17', 'tube-584'].includes(id)),
  )
  const id = await newTrip(page.request, { bench: [] })
  await page.goto(`/trips/${id}/bench`)
  await expect(page.getByRole('heading', { name: 'An empty bench' })).toBeVisible()
  await tabTo(page, /^From the shed$/)
  await page.keyboard.press('Enter')
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByRole('heading', { name: 'not for these bikes' })).toBeVisible()
  await tabTo(page, /^All 2 for these bikes$/)
  await page.keyboard.press('Enter')
  await page.keyboard.press('Escape')
  const things = page.getByRole('list', { name: 'Things on the bench' })
  await expect(things.getByRole('listitem')).toHaveCount(2)

  const mass = massField(page, 'Mini pump with hose')
  await mass.focus()
  await page.keyboard.press('Control+a')
  await page.keyboard.type('155')
  await page.keyboard.press('Enter')
  const row = things.getByRole('listitem').filter({ hasText: 'Mini pump with hose' })
  await expect(row).toContainText('other than in your shed: mass')
  await row.getByRole('button', { name: 'take the shed’s' }).press('Enter')
  await expect(mass).toHaveValue(String(pump?.massG))
  await page.keyboard.press('Control+z')
  await expect(mass).toHaveValue('155')
  await row.getByRole('button', { name: 'tell the shed' }).press('Enter')
  await expect(row).not.toContainText('other than in your shed')
  await expect.poll(() => massOf(page.request, 'Mini pump with hose')).toBe(155)
})

test('the bench goes into the shed in one press, and what the scale says tips what comes along', async ({ page }) => {
  await newAccount(page.request, 'Owner')
  const id = await newTrip(page.request)
  await page.goto(`/trips/${id}/bench`)
  await analysed(page)
  await page.getByRole('button', { name: 'All this is mine' }).click()
  await expect.poll(async () => (await shedOf(page.request)).length).toBeGreaterThan(50)
  await page.getByRole('button', { name: 'Weigh them all' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog).toContainText(/1 of \d+/)
  await dialog.getByRole('button', { name: 'Put it on' }).click()
  const keep = dialog.getByRole('button', { name: /^Keep \d/ })
  await expect(keep).toBeEnabled()
  const read = parseFloat(await reading(dialog).innerText())
  await keep.click()
  await page.keyboard.press('Escape')
  await saved(page)
  expect((await onServer(page.request, id)).bench[0]?.massG).toBe(read)
  await expect.poll(() => massOf(page.request, 'Mini pump with hose')).toBe(read)
})

test('without an account a shed lies on the device, and comes along when one signs up', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Begin without a file' }).click()
  await expect(page.getByRole('heading', { name: 'Trips', exact: true })).toBeVisible()
  await page.getByRole('link', { name: 'Shed: what I own' }).click()
  await page.getByRole('button', { name: 'Open the catalogue' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('searchbox').fill('Mini pump')
  await dialog.getByRole('button', { name: 'Take Mini pump', exact: true }).click()
  await dialog.getByRole('button', { name: 'Close' }).click()
  await expect(page.getByText('Kept on this device.')).toBeVisible()
  await page.goto('/?up')
  await page.getByLabel('Name', { exact: true }).fill('Una')
  await page.getByLabel('E-mail address').fill(`una-${Date.now()}@quern.example`)
  await page.getByLabel('Password').fill('Una goes by bicycle')
  await page.locator('form').getByRole('button', { name: 'Sign up' }).click()
  await expect(page.getByRole('link', { name: 'Shed: one thing' })).toBeVisible()
  await expect.poll(() => massOf(page.request, 'Mini pump')).toBe(105)
})

test('a shed of a thousand things is searched and ordered, and only what is seen is drawn', async ({ page }) => {
  await newAccount(page.request, 'Thousand')
  const things = Array.from({ length: 1000 }, (_, i): OwnedThing[] => {
    const thing = demoShed[i % demoShed.length]
    return thing ? [{ ...thing, id: `t${i}`, name: `${thing.name} ${i}`, massG: 10 + i }] : []
  }).flat()
  await fillShed(page.request, things)
  await openShed(page)
  await expect(page.getByText('1000 things,')).toBeVisible()
  expect(await list(page).getByRole('listitem').count()).toBeLessThan(60)
  await page.getByLabel('Order').selectOption('heaviest first')
  await expect(list(page).getByRole('listitem').first()).toContainText('999')
  await page.locator('main').evaluate((main) => main.scrollTo({ top: main.scrollHeight }))
  await expect(list(page).getByRole('listitem').last()).toHaveAttribute('aria-posinset', '1000')
  await page.getByRole('searchbox', { name: 'Show only things that match' }).fill('tube 7')
  await expect.poll(() => list(page).getByRole('listitem').count()).toBeLessThan(30)
  await expect(list(page).getByRole('listitem').first()).toContainText(/tube/i)
})

test.describe('on the phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })

  test('a shed is filled, counted and weighed by touch', async ({ page }) => {
    await newAccount(page.request, 'Thumb')
    await fillShed(
      page.request,
      demoShed.filter(({ id }) => ['wire', 'rag'].includes(id)),
    )
    await openShed(page)
    await page.getByRole('button', { name: 'One Binding wire, 1 m more' }).tap()
    await expect.poll(async () => (await shedOf(page.request)).find(({ id }) => id === 'wire')?.count).toBe(2)
    const undo = page.getByRole('button', { name: /^Undo/ })
    const { height } = (await undo.boundingBox()) ?? { height: 0 }
    expect(height).toBeGreaterThanOrEqual(43.5)
    await undo.tap()
    await expect.poll(async () => (await shedOf(page.request)).find(({ id }) => id === 'wire')?.count).toBe(1)
    await page.getByRole('button', { name: 'Weigh them all' }).tap()
    const dialog = page.getByRole('dialog')
    await dialog.getByRole('button', { name: 'Put it on' }).tap()
    const keep = dialog.getByRole('button', { name: /^Keep \d/ })
    await expect(keep).toBeEnabled()
    await keep.tap()
    await expect(dialog).toContainText('2 of 2')
    await expectNoAxeViolations(page)
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  })
})

test('a kit is kept packed; the next road says what it adds and what it lets stay at home', async ({ page }) => {
  await newAccount(page.request, 'Packer')
  await fillShed(page.request, demoShed)
  const { bench } = demoTrip()
  await page.goto(`/trips/${await newTrip(page.request, alone())}/weigh`)
  await analysed(page)
  const tin = page.getByRole('region', { name: 'The tin that stays packed' })
  await expect(tin).toContainText('Nothing of your shed stays packed')
  await tabTo(page, /^Keep this kit packed$/)
  await page.keyboard.press('Enter')
  await expect(tin).toContainText('stay packed from trip to trip')
  // What nobody owns cannot stay packed.
  await expect(tin).toContainText(/This road adds .*Disc pads, shape B2/)
  await expect(tin).not.toContainText('stay at home:')
  await expect
    .poll(async () => (await shedOf(page.request)).filter(({ packed }) => packed > 0).length)
    .toBeGreaterThan(5)

  // Another trip, with no pump on its bench, and one hanger always along.
  const other = bench
    .filter(({ name }) => !/pump/i.test(name))
    .map((thing) => (thing.id === 'hanger-k3' ? { ...thing, pin: { min: 1, max: 1 } } : thing))
  await page.goto(`/trips/${await newTrip(page.request, { ...alone(), bench: other })}/weigh`)
  await analysed(page)
  await expect(tin).toContainText(/This road adds .*Hanger, shape K3/)
  await expect(tin).toContainText(/not on this bench:.*pump/i)
  await tin.getByRole('button', { name: 'Lay what is in it on the bench' }).click()
  await expect(tin).not.toContainText('not on this bench')
  await openShed(page)
  await expect(page.getByText(/ stay packed\./)).toBeVisible()
  await page.getByLabel('Order').selectOption('the tin first')
  await expect(list(page).getByRole('listitem').first()).toContainText(/stays? packed/)
})
