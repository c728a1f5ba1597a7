import { demoTrip } from '#catalogue/demo'
import { storageSchema } from '#core/bike'
import type { Trip } from '#core/trip'
import { defined, nth } from '#core/validation'
import { readFileSync } from 'node:fs'
import type { Locator, Page } from '@playwright/test'
import { expect, test } from './rig'
import { alone, expectNoAxeViolations, newAccount, newTrip, onServer, openOwnDemo, saved } from './steps'

const tripId = (page: Page) => page.url().split('/trips/')[1]?.slice(0, 36) ?? ''
const bag = (page: Page, name: string) => page.getByRole('region', { name, exact: true })
const piece = (page: Page, within: string, name: RegExp) => bag(page, within).getByRole('button', { name })
const atRest = (page: Page) => expect(page.getByRole('status').filter({ hasText: 'Packing' })).toHaveCount(0)
const packedIn = async (page: Page, id: string) =>
  (await onServer(page.request, tripId(page))).bench.find((thing) => thing.id === id)?.packedIn

/** Something is taken by the mouse and let go of on something else. */
async function drag(page: Page, from: Locator, onto: Locator) {
  const boxOf = async (element: Locator) => defined((await element.boundingBox()) ?? undefined)
  await onto.scrollIntoViewIfNeeded()
  await from.scrollIntoViewIfNeeded()
  const [start, end] = [await boxOf(from), await boxOf(onto)]
  await page.mouse.move(start.x + start.width / 2, start.y + start.height / 2)
  await page.mouse.down()
  await page.mouse.move(start.x + 20, start.y + 10, { steps: 4 })
  await page.mouse.move(end.x + end.width / 2, end.y + Math.min(40, end.height / 2), { steps: 12 })
  await page.mouse.up()
}

/** The demo, one rider on the tourer with the bags given. */
function onTheMule(...storage: object[]): Pick<Trip, 'bikes' | 'crew'> {
  const { bikes, crew } = demoTrip()
  const places = storage.map((place) => storageSchema.parse({ longestMm: 200, volumeMl: 1500, ...place }))
  return { bikes: [{ ...nth(bikes, 1), storage: places }], crew: [nth(crew, 1)] }
}

test('a piece goes into another bag by dragging and from its list, is kept by a key, and stays', async ({ page }) => {
  await openOwnDemo(page, 'pack')
  const [frame, top] = ['Frame bag, half, food in it', 'Top-tube bag, in front']
  const tool = /^Folding tool, 17/
  await expect(piece(page, frame, tool)).toBeVisible()
  await atRest(page)
  await expectNoAxeViolations(page)

  const row = bag(page, frame).locator('li', { has: page.getByRole('button', { name: tool }) })
  await drag(page, row.locator('[data-grip]'), bag(page, top).locator('ul'))
  await expect(piece(page, top, tool)).toContainText('stays here')
  await saved(page)
  expect(await packedIn(page, 'folding-17')).toEqual([{ bikeId: 'fox', storageId: 'top-tube-bag', count: 1 }])

  // It is there again after the page was read anew; undo would begin before that.
  await page.reload()
  await expect(piece(page, top, tool)).toContainText('stays here')
  await atRest(page)

  // From its own list, which says what it costs, and back by undo.
  await piece(page, top, tool).click()
  const into = bag(page, top)
    .getByRole('list', { name: 'Put it into' })
    .getByRole('button', { name: /^into Seat pack/ })
  await expect(into).toContainText(/more/)
  await into.click()
  await expect(piece(page, 'Seat pack, clothes in it', tool)).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(piece(page, top, tool)).toBeVisible()
  await atRest(page)

  // The space bar lets go of it: it lies where it costs least.
  await piece(page, top, tool).focus()
  await page.keyboard.press(' ')
  await expect(piece(page, frame, tool)).toBeVisible()
  await expect(page.getByRole('button', { name: 'Pack anew' }).first()).toBeDisabled()
})

test('from stage to stage in quick succession, everything is packed in the end', async ({ page }) => {
  await openOwnDemo(page, 'crew')
  for (const keys of ['p', 'sp', 'psp', 'bp']) {
    for (const key of keys) await page.keyboard.press(key)
    await expect(page.getByRole('heading', { name: 'Pack', exact: true })).toBeVisible()
    await expect(page.locator('[data-sums]')).toHaveCount(2)
    await expect(page.locator('button.piece').first()).toBeVisible()
    await page.keyboard.press('c')
    await expect(page.getByRole('heading', { name: 'Crew', exact: true })).toBeVisible()
  }
})

test('where is it: one key says the bag of any thing', async ({ page }) => {
  await openOwnDemo(page, 'crew')
  await page.keyboard.press('/')
  await page.keyboard.type('plug tool')
  const found = page.getByRole('option', { name: /Plug tool/ })
  await expect(found).toContainText(/(on top|under \d+ other)/, { timeout: 20_000 })
  await expect(found).toContainText('The Fox, gravel')
})

test('a tin that is too short for the pump is said to be, and cured with another place', async ({ page }) => {
  await newAccount(page.request, 'Own')
  const tin = { id: 'tin', name: 'My tin', place: 'in a bottle cage', longestMm: 190 }
  const id = await newTrip(page.request, onTheMule(tin))
  await page.goto(`/trips/${id}/pack`)
  const out = page.getByRole('list', { name: /^Goes into no bag/ })
  await expect(out).toContainText('My tin: 20 mm too long', { timeout: 20_000 })
  await expect(out).toContainText('pump')
  await expectNoAxeViolations(page)
  const ways = out.getByRole('listitem').filter({ hasText: 'pump' }).first().getByRole('list', { name: 'Ways out' })
  await ways.getByRole('button').first().click()
  await expect(out).toHaveCount(0)
  await atRest(page)
  await saved(page)
  expect((await onServer(page.request, id)).bikes[0]?.storage).toHaveLength(2)

  // A pump that is shorter than thought goes into the tin.
  await page.keyboard.press('Control+z')
  await out
    .getByRole('listitem')
    .filter({ hasText: 'pump' })
    .first()
    .getByRole('button', { name: 'measure it' })
    .click()
  await page.getByRole('dialog').getByLabel('Longest side').fill('18 cm')
  await page.getByRole('dialog').getByRole('button', { name: 'Keep' }).click()
  await expect(out.filter({ hasText: 'pump' })).toHaveCount(0)
  await expect(piece(page, 'My tin', /pump/i)).toBeVisible()
})

test('from no bag at all: one is hung on, filled in, and taken off again', async ({ page }) => {
  await newAccount(page.request, 'Own')
  const id = await newTrip(page.request, onTheMule())
  await page.goto(`/trips/${id}/pack`)
  await expect(page.getByText('No bag on it yet')).toBeVisible()
  await expect(page.getByRole('list', { name: /^Goes into no bag/ })).toBeVisible({ timeout: 20_000 })
  await expectNoAxeViolations(page)
  await page.getByRole('button', { name: 'A bag', exact: true }).click()
  await expectNoAxeViolations(page)
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^One of my own/ })
    .click()
  const mine = bag(page, 'Bag of my own')
  await mine.getByRole('button', { name: 'change it' }).click()
  await mine.getByLabel('Name').fill('Box')
  await page.keyboard.press('Enter')
  const box = bag(page, 'Box')
  await box.getByLabel('Holds').fill('6 l')
  await page.keyboard.press('Enter')
  await box.getByLabel('Longest thing').fill('32 cm')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('list', { name: /^Goes into no bag/ })).toHaveCount(0)
  // What no bag has is refused where it stands, and changes nothing.
  await box.getByLabel('Holds').fill('0')
  await page.keyboard.press('Enter')
  await expect(box.getByText(/Holds must be at least/)).toBeVisible()
  await page.keyboard.press('Escape')
  await saved(page)
  expect((await onServer(page.request, id)).bikes[0]?.storage[0]).toMatchObject({
    name: 'Box',
    volumeMl: 6000,
    longestMm: 320,
  })
  await box.getByRole('button', { name: 'Take it off the bike' }).click()
  await expect(page.getByText('No bag on it yet')).toBeVisible()
  await page.getByRole('button', { name: 'Panniers', exact: true }).click()
  await expect(bag(page, 'Pocket of a pannier')).toBeVisible()
  await expect(page.getByRole('list', { name: /^Goes into no bag/ })).toHaveCount(0)
})

test('what is put somewhere survives two windows, a bag that is taken off, and going out and in', async ({
  page,
  context,
}) => {
  await openOwnDemo(page, 'pack')
  const top = 'Top-tube bag, in front'
  await atRest(page)
  const other = await context.newPage()
  await other.goto(page.url())
  await atRest(other)
  await piece(page, 'Frame bag, half, food in it', /^M5 bolts/).click()
  await page
    .getByRole('list', { name: 'Put it into' })
    .getByRole('button', { name: `into ${top}` })
    .click()
  await expect(piece(other, top, /^M5 bolts/)).toContainText('stays here')
  await saved(page)

  await page.getByRole('button', { name: /^Own/ }).click()
  const [copy] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Export this trip' }).click(),
  ])
  const document = JSON.parse(readFileSync(defined(await copy.path()), 'utf8')) as Trip
  const again = await newTrip(page.request, document)
  expect((await onServer(page.request, again)).bench.find(({ id }) => id === 'rack-bolts')?.packedIn).toHaveLength(1)

  const card = bag(other, top)
  await card.getByRole('button', { name: 'change it' }).click()
  await card.getByRole('button', { name: 'Take it off the bike' }).click()
  await expect(bag(page, top)).toHaveCount(0)
  await saved(other)
  expect(await packedIn(page, 'rack-bolts')).toEqual([])
  expect((await onServer(page.request, tripId(page))).bikes[0]?.storage).toHaveLength(4)
})

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })

  test('a piece is put elsewhere by the thumb, and nothing hangs over the edge', async ({ page }) => {
    await openOwnDemo(page, 'pack', alone())
    await atRest(page)
    const first = page.locator('button.piece').first()
    await first.tap()
    const into = page.getByRole('list', { name: 'Put it into' }).getByRole('button')
    const wanted = defined((await into.first().textContent()) ?? undefined).trim()
    await into.first().tap()
    await expect(page.getByText('stays here').first()).toBeAttached()
    expect(wanted).toMatch(/^into /)
    await expectNoAxeViolations(page)
    const over = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)
    expect(over).toBe(0)
  })
})
