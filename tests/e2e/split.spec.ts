import { demoTrip } from '#catalogue/demo'
import type { Trip } from '#core/trip'
import { defined } from '#core/validation'
import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { expect, test } from './rig'
import { alone, analysed, expectNoAxeViolations, newTrip, newAccount, onServer, openOwnDemo, saved } from './steps'

const tripId = (page: Page) => page.url().split('/trips/')[1]?.slice(0, 36) ?? ''
const column = (page: Page, name: string) => page.getByRole('region', { name: `On ${name}` })
const piece = (page: Page, rider: string, name: RegExp) => column(page, rider).getByRole('button', { name })
const atRest = (page: Page) => expect(page.getByRole('status').filter({ hasText: 'Splitting' })).toHaveCount(0)
const carriedBy = async (page: Page, id: string) =>
  (await onServer(page.request, tripId(page))).bench.find((thing) => thing.id === id)?.carriedBy

/** The demo with one rider more, on a bike like the first. */
function three(): Pick<Trip, 'crew' | 'bikes'> {
  const { crew, bikes } = demoTrip()
  const [rider, bike] = [defined(crew[0]), defined(bikes[0])]
  return {
    crew: [...crew, { ...rider, id: 'third', name: 'Tove', bikeId: 'third-bike' }],
    bikes: [...bikes, { ...bike, id: 'third-bike', name: 'The Heron, gravel' }],
  }
}

test('a crew of three: a piece changes hands by dragging, by a key and from its list, and stays there', async ({
  page,
}) => {
  await openOwnDemo(page, 'split', three())
  await expect(column(page, 'Tove')).toBeVisible()
  await atRest(page)
  await expectNoAxeViolations(page)
  const riders = ['Maren', 'Ansel', 'Tove']
  const holderOf = async (name: RegExp) => {
    for (const rider of riders) if ((await piece(page, rider, name).count()) > 0) return rider
    return ''
  }
  const pump = /^Mini pump, /
  const from = await holderOf(pump)
  const to = defined(riders.find((rider) => rider !== from))

  // Dragged by its grip onto another rider.
  const grip = column(page, from)
    .locator('li', { has: page.getByRole('button', { name: pump }) })
    .locator('[data-grip]')
  const [start, end] = [
    defined((await grip.boundingBox()) ?? undefined),
    defined((await column(page, to).locator('ul').boundingBox()) ?? undefined),
  ]
  await page.mouse.move(start.x + start.width / 2, start.y + start.height / 2)
  await page.mouse.down()
  await page.mouse.move(start.x + 20, start.y + 10, { steps: 4 })
  await page.mouse.move(end.x + end.width / 2, end.y + 40, { steps: 12 })
  await page.mouse.up()
  await expect(piece(page, to, /^Mini pump, .*, stays here/)).toBeVisible()
  await expect(piece(page, from, pump)).toHaveCount(0)
  await saved(page)
  const ids = Object.fromEntries((await onServer(page.request, tripId(page))).crew.map(({ id, name }) => [name, id]))
  expect(await carriedBy(page, 'mini-pump')).toEqual({ [ids[to] ?? '']: 1 })

  // By the number of a rider, and back by undo.
  await atRest(page)
  const back = String(riders.indexOf(from) + 1)
  await piece(page, to, pump).focus()
  await page.keyboard.press(back)
  await expect(piece(page, from, pump)).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(piece(page, to, pump)).toBeVisible()
  await atRest(page)

  // From its own list, which says what it costs.
  await piece(page, to, pump).click()
  const give = column(page, to)
    .getByRole('list', { name: 'Give it to' })
    .getByRole('button', { name: `to ${from}` })
  await expect(give).toContainText(/hours|lost/)
  await give.click()
  await expect(piece(page, from, pump)).toBeVisible()
  await saved(page)

  // It is there again after the page was read anew, and lets go of it.
  await page.reload()
  await expect(piece(page, from, /^Mini pump, .*, stays here/)).toBeVisible()
  await atRest(page)
  await page.getByRole('button', { name: 'Split anew' }).click()
  await expect(page.getByRole('button', { name: 'Split anew' })).toBeDisabled()
  await saved(page)
  expect(await carriedBy(page, 'mini-pump')).toEqual({})
})

test('who rides apart on the fourth day carries a second pump, and may leave it at home', async ({ page }) => {
  const demo = demoTrip()
  await newAccount(page.request, 'Own')
  const lengthKm = 621
  const [fromKm, toKm] = [0.45 * lengthKm, 0.7 * lengthKm]
  const stretch = defined(demo.road.stretches[0])
  const road = {
    ...demo.road,
    stretches: [...demo.road.stretches, { ...stretch, id: 'apart', fromKm, toKm, apart: 1 }],
  }
  const id = await newTrip(page.request, { road })
  await page.goto(`/trips/${id}/split`)
  await analysed(page)
  const doubles = page.getByRole('list', { name: 'Carried twice' })
  await expect(doubles).toContainText('pump', { timeout: 20_000 })
  await atRest(page)
  await expectNoAxeViolations(page)
  const row = doubles.getByRole('listitem').filter({ hasText: /pump/ }).first()
  await expect(row).toContainText(/worth \d.* apart/)
  await expect(page.locator('[data-sums]')).toContainText('more than while you stay together')
  await row.getByRole('button', { name: 'leave it at home' }).click()
  await expect(row).toHaveCount(0)
  await atRest(page)
  await page.keyboard.press('Control+z')
  await expect(doubles).toContainText('pump')
})

test('what goes on stays with those who go on, where one leaves early', async ({ page }) => {
  await openOwnDemo(page, 'crew')
  const [maren, ansel] = ['Maren', 'Ansel'].map((name) => page.getByRole('listitem', { name, exact: true }))
  const [stays, leaves] = [defined(maren), defined(ansel)]
  await leaves.getByLabel('Leaves').selectOption({ label: 'Ferrow, 196 km' })
  // Nobody joins where they have left already.
  await expect(leaves.getByLabel('Joins').getByRole('option', { name: /Tarn Ings/ })).toHaveCount(0)
  await expect(stays.getByLabel('Joins').getByRole('option', { name: /Tarn Ings/ })).toHaveCount(1)
  await expectNoAxeViolations(page)
  await saved(page)
  await page.keyboard.press('s')
  await expect(column(page, 'Ansel')).toContainText('leaves at Ferrow')
  await atRest(page)
  const pumps = (rider: string) => piece(page, rider, /pump/i)
  await expect(pumps('Maren')).not.toHaveCount(0)
  // Who leaves with the only pump is worth a second one.
  await page.keyboard.press('c')
  await leaves.getByLabel('Leaves').selectOption('at the end')
  await stays.getByLabel('Leaves').selectOption({ label: 'Ferrow, 196 km' })
  await page.keyboard.press('s')
  await expect(column(page, 'Maren')).toContainText('leaves at Ferrow')
  await atRest(page)
  await expect(pumps('Ansel')).not.toHaveCount(0)
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  await expect(column(page, 'Ansel')).toContainText('leaves at Ferrow')
  await saved(page)
  await page.reload()
  await expect(column(page, 'Ansel')).toContainText('leaves at Ferrow')
  const leftAt = async () => (await onServer(page.request, tripId(page))).crew.map(({ leaves: at }) => at)
  expect(await leftAt()).toEqual([null, 'ferrow'])
  // The stop goes, and nothing dangles.
  await page.goto(`/trips/${tripId(page)}/road`)
  await page.getByRole('button', { name: 'Remove Ferrow' }).click()
  await saved(page)
  expect(await leftAt()).toEqual([null, null])
})

test('a rider who stays at home takes nothing along, and who carries too much is told of', async ({ page }) => {
  await openOwnDemo(page, 'split', three())
  await atRest(page)
  await page.getByRole('button', { name: 'Keep all where it is' }).click()
  await saved(page)
  const before = await onServer(page.request, tripId(page))
  expect(before.bench.some(({ carriedBy: carried }) => 'third' in carried)).toBe(true)
  await page.keyboard.press('c')
  const riders = page.getByRole('list', { name: 'Riders' })
  await riders.getByLabel('Of the kit at most').first().fill('20')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'Tove stays at home' }).click()
  await saved(page)
  await page.keyboard.press('s')
  await atRest(page)
  const after = await onServer(page.request, tripId(page))
  expect(after.bench.some(({ carriedBy: carried }) => 'third' in carried)).toBe(false)
  await expect(column(page, 'Maren').getByText(/more than Maren can carry/)).toBeVisible()
})

test('who carries what is the same in two windows, and goes out and in with the trip', async ({ page, context }) => {
  await openOwnDemo(page, 'split')
  await atRest(page)
  const other = await context.newPage()
  await other.goto(page.url())
  await atRest(other)
  const first = column(page, 'Maren').locator('button.piece').first()
  const name = defined((await first.getAttribute('aria-label')) ?? undefined).replace(/,.*$/, '')
  await first.focus()
  await page.keyboard.press('2')
  const given = new RegExp(`${name}.*stays here`)
  await expect(piece(page, 'Ansel', given)).toBeVisible()
  await expect(piece(other, 'Ansel', given)).toBeVisible()
  await saved(page)

  await page.getByRole('button', { name: /^Own/ }).click()
  const [copy] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Export this trip' }).click(),
  ])
  const document = JSON.parse(readFileSync(defined(await copy.path()), 'utf8')) as Trip
  const again = await newTrip(page.request, document)
  const carried = ({ bench }: Trip) => bench.map((thing) => thing.carriedBy)
  expect(carried(await onServer(page.request, again))).toEqual(carried(await onServer(page.request, tripId(page))))
  expect(carried(document).some((who) => Object.keys(who).length > 0)).toBe(true)

  // Taken back in the other window, it may change hands again in both.
  await other.getByRole('button', { name: 'Split anew' }).click()
  await expect(page.getByRole('button', { name: 'Split anew' })).toBeDisabled()
})

test('with nothing to carry it says what comes first, and with one rider who carries it all', async ({ page }) => {
  const { road } = demoTrip()
  await newAccount(page.request, 'Own')
  const id = await newTrip(page.request, { road: { ...road, points: [], stretches: [] }, stops: [], bench: [] })
  await page.goto(`/trips/${id}/split`)
  await expect(page.getByText('There is nothing to carry yet')).toBeVisible()
  await expectNoAxeViolations(page)
  const mine = await newTrip(page.request, alone())
  await page.goto(`/trips/${mine}/split`)
  await expect(page.getByText('One rider carries it all.')).toBeVisible()
  await expect(page.locator('button.piece').first()).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Carried twice' })).toHaveCount(0)
})

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })

  test('a piece is given away by the thumb', async ({ page }) => {
    await openOwnDemo(page, 'split')
    await atRest(page)
    const first = column(page, 'Maren').locator('button.piece').first()
    const name = defined((await first.getAttribute('aria-label')) ?? undefined).replace(/,.*$/, '')
    await first.tap()
    await column(page, 'Maren').getByRole('button', { name: 'to Ansel' }).tap()
    await expect(piece(page, 'Ansel', new RegExp(`${name}.*stays here`))).toBeVisible()
    await expectNoAxeViolations(page)
  })
})
