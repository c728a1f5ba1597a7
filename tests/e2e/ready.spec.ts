import { demoTrip } from '#catalogue/demo'
import { openTask } from '#core/task'
import type { Trip } from '#core/trip'
import { defined } from '#core/validation'
import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { expect, test } from './rig'
import { alone, expectNoAxeViolations, newAccount, newTrip, onServer, openOwnDemo, saved } from './steps'

const tripId = (page: Page) => page.url().split('/trips/')[1]?.slice(0, 36) ?? ''
const task = (page: Page, key: string) => page.locator(`[data-task="${key}"]`)
const ticked = (page: Page, key: string) => task(page, key).getByRole('checkbox')
const openRow = (page: Page, key: string) => task(page, key).locator('[data-row]').click()
/** The list has been made, and everything on it weighed. */
const weighed = (page: Page) =>
  expect(page.getByRole('status').filter({ hasText: /Looking|Weighing/ })).toHaveCount(0, { timeout: 60_000 })
const thursday = new Date('2026-06-04T17:00:00')

/** One rider, who is to check and lock the bolts of the tourer. */
function withBolts(): Pick<Trip, 'bikes' | 'crew'> {
  const { bikes, crew } = alone()
  return { bikes: bikes.map((bike) => ({ ...bike, jobs: [{ ...openTask, job: 'bolts' }] })), crew }
}

test('a list is worked off, and a job that is left undone is seen in Weigh', { tag: '@proof' }, async ({ page }) => {
  await page.clock.setFixedTime(thursday)
  await openOwnDemo(page, 'ready', withBolts())
  await expect(page.locator('[data-departure]')).toContainText('Fri 12 June, in 8 days')
  await weighed(page)
  await expectNoAxeViolations(page)
  await expect(page.getByRole('heading', { name: /^Overdue/ })).toBeVisible()
  await expect(page.getByRole('heading', { name: /^Fri 5 June/ })).toContainText('tomorrow')

  // A tick stands at once, is saved, and is taken back by undo.
  await ticked(page, 'check mule tyres').check()
  const done = page.getByRole('list', { name: /^Done/ })
  await expect(done.locator('[data-task="check mule tyres"]')).toBeVisible()
  await saved(page)
  expect((await onServer(page.request, tripId(page))).bikes[0]?.checks).toEqual([
    { ...openTask, check: 'tyres', state: 'done' },
  ])
  await page.keyboard.press('Control+z')
  await expect(ticked(page, 'check mule tyres')).not.toBeChecked()

  // What it costs is said beside it, and the promise of the whole list has it.
  const job = 'job mule bolts'
  await openRow(page, job)
  await expect(task(page, job)).toContainText(/Left undone, \d+ min more are lost on this road/)
  await expect(task(page, job)).toContainText('torque')
  await task(page, job)
    .getByRole('button', { name: /^Leave it undone/ })
    .click()
  await expect(page.getByRole('list', { name: /^Left undone/ }).locator(`[data-task="${job}"]`)).toBeVisible()
  await saved(page)
  expect((await onServer(page.request, tripId(page))).bikes[0]?.jobs).toEqual([
    { ...openTask, job: 'bolts', state: 'left' },
  ])

  // In Weigh it is nothing that is planned any more, and can be taken up again.
  await page.keyboard.press('w')
  await page.getByRole('navigation', { name: 'Rooms of this stage' }).getByRole('button', { name: 'Every way' }).click()
  const way = page.getByRole('button', { name: /^do at home: .*bolts checked/ })
  await expect(way).toHaveAttribute('aria-pressed', 'false', { timeout: 60_000 })
  await way.click()
  await expect(way).toHaveAttribute('aria-pressed', 'true')
  await page.keyboard.press('y')
  await expect(task(page, job)).toBeVisible()
  await expect(task(page, job)).not.toContainText('left undone')
})

test('days go out as a calendar and come in again, however often, without doubles', async ({ page }) => {
  await page.clock.setFixedTime(thursday)
  await openOwnDemo(page, 'ready', alone())
  await weighed(page)
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'As a calendar' }).click(),
  ])
  const text = readFileSync(await download.path(), 'utf8')
  const entries = await page.locator('[data-task]').count()
  expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(entries)

  // Somebody moves the brakes to Tuesday there, and adds a birthday.
  const brakes = encodeURIComponent('check mule brakes')
  const moved = text
    .replace(new RegExp(`(UID:${brakes}@.*\\r\\n(?:.*\\r\\n){2}DTSTART;VALUE=DATE:)\\d+`), '$120260609')
    .replace('END:VCALENDAR', 'BEGIN:VEVENT\r\nUID:cake\r\nDTSTART;VALUE=DATE:20260701\r\nEND:VEVENT\r\nEND:VCALENDAR')
  const give = (content: string) =>
    page
      .getByLabel('Take days from a calendar')
      .setInputFiles({ name: 'c.ics', mimeType: 'text/calendar', buffer: Buffer.from(content) })
  await give(moved)
  await expect(
    page.getByRole('status').filter({ hasText: '1 day is another; 1 entry is of something else' }),
  ).toBeVisible()
  const tuesday = page.getByRole('list', { name: /^Tue 9 June/ })
  await expect(tuesday.locator('[data-task="check mule brakes"]')).toBeVisible()
  await saved(page)
  await give(moved)
  await expect(page.getByRole('status').filter({ hasText: 'Every day is as it was' })).toBeVisible()
  await expect(page.locator('[data-task]')).toHaveCount(entries)
  await give('Dear all,')
  await expect(page.getByRole('alert')).toContainText('expected a calendar file')
  expect((await onServer(page.request, tripId(page))).bikes[0]?.checks).toEqual([
    { ...openTask, check: 'brakes', on: '2026-06-09' },
  ])
})

test('of an empty trip there is a list as well: one of one’s own, with a thumb', async ({ browser }) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true })
  const page = await context.newPage()
  await newAccount(page.request, 'Thumb')
  const { format } = demoTrip()
  const answer = await page.request.post('/api/trips', { data: { format, name: 'Empty' } })
  const { id } = (await answer.json()) as { id: string }
  await page.goto(`/trips/${id}/ready`)
  await expect(page.getByText('set it on the Road')).toBeVisible()
  await expect(task(page, 'papers')).toBeVisible()
  await page.getByRole('button', { name: 'One of my own' }).tap()
  const name = page.getByLabel('What is to be done')
  await expect(name).toBeFocused()
  await expect(name).toBeInViewport()
  await name.fill('The cat to the neighbours, with its basket, its bowl and the good blanket')
  await name.blur()
  const own = page.locator('[data-task^="own "]')
  await expect(own.locator('[data-row]')).toContainText('The cat to the neighbours')
  await own.getByRole('checkbox').first().tap()
  await expect(page.getByRole('list', { name: /^Done/ })).toContainText('The cat')
  await expect.poll(async () => (await onServer(page.request, id)).home.tasks[0]?.state).toBe('done')
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  await page.reload()
  await expect(page.getByRole('list', { name: /^Done/ })).toContainText('The cat')
  await expectNoAxeViolations(page)
  await context.close()
})

test('a shop at home says until when something can be had there', async ({ page }) => {
  await page.clock.setFixedTime(thursday)
  const bench = demoTrip().bench.map((thing) => (thing.id === 'mini-pump' ? { ...thing, owned: 0, shed: null } : thing))
  await openOwnDemo(page, 'ready', { ...alone(), bench })
  await weighed(page)
  const pump = 'buy mini-pump'
  await openRow(page, pump)
  await expect(task(page, pump)).toContainText('By Thu 4 June')
  await page.getByRole('button', { name: 'A shop', exact: true }).click()
  await expect(page.getByLabel('Name', { exact: true })).toBeFocused()
  await page.keyboard.type('At the bridge')
  await page.getByLabel('Name', { exact: true }).blur()
  await page.getByLabel('Opening hours of At the bridge').fill('Tu 14:00-18:00')
  await page.getByLabel('Opening hours of At the bridge').blur()
  await task(page, pump).getByLabel('bought').selectOption({ label: 'at At the bridge' })
  await expect(task(page, pump)).toContainText('By Tue 9 June')
  await ticked(page, pump).check()
  await saved(page)
  const { bench: after, home } = await onServer(page.request, tripId(page))
  expect(defined(after.find(({ id }) => id === 'mini-pump')).buying).toEqual({
    ...openTask,
    state: 'done',
    shop: defined(home.shops[0]).id,
  })
  // It is there now: nothing of it is to be bought any more.
  await page.getByRole('button', { name: 'Remove At the bridge' }).click()
  await expect(page.getByRole('list', { name: /^Done/ })).toContainText('Mini pump')
  await saved(page)
  const { bench: last } = await onServer(page.request, tripId(page))
  expect(defined(last.find(({ id }) => id === 'mini-pump')).buying.shop).toBeNull()
})

test('ticks of two windows are all kept, and go out and in with the trip', async ({ page, context }) => {
  await page.clock.setFixedTime(thursday)
  await newAccount(page.request, 'Two')
  const id = await newTrip(page.request, alone())
  const other = await context.newPage()
  await other.clock.setFixedTime(thursday)
  for (const window of [page, other]) {
    await window.goto(`/trips/${id}/ready`)
    await expect(task(window, 'check mule tyres')).toBeVisible()
  }
  await ticked(page, 'check mule tyres').check()
  await ticked(other, 'check mule chain').check()
  await ticked(other, 'papers').check()
  for (const window of [page, other]) {
    for (const key of ['check mule tyres', 'check mule chain', 'papers'])
      await expect(ticked(window, key)).toBeChecked()
    await saved(window)
  }
  const trip = await onServer(page.request, id)
  expect(trip.bikes[0]?.checks.map(({ check, state }) => [check, state]).sort()).toEqual([
    ['chain', 'done'],
    ['tyres', 'done'],
  ])
  const copy = await newTrip(page.request, trip)
  await page.goto(`/trips/${copy}/ready`)
  await expect(ticked(page, 'check mule chain')).toBeChecked()
  await expect(ticked(page, 'papers')).toBeChecked()
})
