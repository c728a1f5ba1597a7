import AxeBuilder from '@axe-core/playwright'
import { demoShed, demoTrip } from '#catalogue/demo'
import { logEntrySchema, logFromTable } from '#core/log'
import { readFileSync } from 'node:fs'
import { expect, test } from './rig'
import { again, fillShed, newAccount, newTrip, onServer } from './steps'
import { looked, onTheRoad, phone } from './trail-steps'

/** The demo as it came home. */
function cameHome() {
  const demo = demoTrip()
  const carried = demo.bench.map(({ id, count }) => ({ rider: 'maren', thing: id, count }))
  const tries = [
    { fix: 'plug-hole', by: 'maren', could: true, held: false, minutes: 14, took: ['plug-kit'] },
    { fix: 'plug-hole', by: 'maren', could: true, held: true, minutes: 9, took: ['plug-kit'] },
  ]
  const log = [
    { at: '2026-06-12T08:30', roadKm: 0, kind: 'set off', carried },
    {
      at: '2026-06-13T12:00',
      roadKm: 90,
      kind: 'failed',
      hazard: 'tubeless-hole',
      bikeId: 'fox',
      wheel: 'rear',
      ending: 'mended',
      tries,
    },
    { at: '2026-06-14T12:00', roadKm: 150, kind: 'failed', hazard: 'hanger-bent', bikeId: 'fox', ending: 'walked' },
    {
      at: '2026-06-14T18:00',
      roadKm: 196,
      kind: 'got',
      how: 'bought',
      item: 'hanger',
      name: 'A hanger from the shop',
    },
    { at: '2026-06-15T18:00', roadKm: 300, kind: 'gone', why: 'lost', spent: [{ thing: 'mini-pump', amount: 1 }] },
    { at: '2026-06-16T18:00', roadKm: 400, kind: 'passed' },
  ]
  return { log: log.map((entry, i) => logEntrySchema.parse({ id: `e${i}`, ...entry })) }
}

test('what a ride taught stands beside what was planned, is taken over by a tick, and taken back', async ({ page }) => {
  await newAccount(page.request, 'Homecomer')
  const id = await newTrip(page.request, cameHome())
  await page.goto(`/trips/${id}/look-back`)
  await expect(page.locator('[data-ridden]')).toContainText('400 km')
  await expect(page.getByRole('region', { name: 'Used' })).toContainText('Plug tool')
  await expect(page.getByRole('region', { name: 'Missed' })).toContainText('hanger bent')
  await expect(page.getByRole('region', { name: 'Missed' })).toContainText('A hanger from the shop')
  await expect(page.locator('[data-next]')).toBeVisible()
  const { violations } = await new AxeBuilder({ page }).setLegacyMode(true).analyze()
  expect(violations.map(({ id: rule }) => rule)).toEqual([])

  const rate = page.getByRole('checkbox', { name: 'Take over: hanger bent' })
  await rate.check()
  await page.getByRole('button', { name: 'For this trip' }).click()
  await expect(page.getByText('One value is taken over.')).toBeVisible()
  const planningOf = async () => (await onServer(page.request, id)).dials.planning['hazards.hanger-bent.per1000km']
  await expect.poll(planningOf).toBeGreaterThan(0.04)
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect.poll(planningOf).toBeUndefined()
})

test('what the ride did to things of the shed is told to it once', async ({ page }) => {
  await newAccount(page.request, 'Putaway')
  await fillShed(page.request, demoShed)
  const id = await newTrip(page.request, cameHome())
  const inShed = async (thing: string) => {
    const answer = await page.request.get('/api/shed', again)
    const { things } = (await answer.json()) as { things: { thing: { id: string; uses: number } | null }[] }
    return things.flatMap((each) => (each.thing?.id === thing ? [each.thing.uses] : []))
  }
  const before = await inShed('plug-kit')
  expect(await inShed('mini-pump')).toHaveLength(1)
  await page.goto(`/trips/${id}/look-back`)
  const told = page.getByRole('region', { name: 'Back into the shed' })
  await expect(told).toContainText(/Plug tool.*used 2 times/)
  await expect(told).toContainText(/pump.*none is left/)
  await told.getByRole('button', { name: 'Put it away so' }).click()
  await expect(told).toHaveCount(0)
  await expect.poll(() => inShed('plug-kit')).toEqual(before.map((uses) => uses + 2))
  await expect.poll(() => inShed('mini-pump')).toEqual([])
  await expect.poll(async () => (await onServer(page.request, id)).log.at(-1)?.kind).toBe('put away')
  await page.reload()
  await expect(page.getByRole('region', { name: 'Used' })).toContainText('Plug tool')
  await expect(told).toHaveCount(0)
})

test('the log goes out as a table and comes in elsewhere; and the next kit begins with what came home', async ({
  page,
}) => {
  await newAccount(page.request, 'Recorder')
  const { log } = cameHome()
  const id = await newTrip(page.request, { log })
  await page.goto(`/trips/${id}/look-back`)
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Log as a table', exact: true }).click(),
  ])
  const path = await download.path()
  expect(logFromTable(readFileSync(path, 'utf8'))).toEqual(log)
  const [places] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Log as GPX' }).click(),
  ])
  expect(readFileSync(await places.path(), 'utf8').match(/<wpt /g)).toHaveLength(5)

  const other = await newTrip(page.request)
  await page.goto(`/trips/${other}/look-back`)
  await expect(page.getByText('Nobody has set off yet.')).toBeVisible()
  const input = page.getByLabel('A log as a table')
  await input.setInputFiles({ name: 'no.csv', mimeType: 'text/csv', buffer: Buffer.from('id,at\na,b') })
  await expect(page.getByText(/the first line.*without roadKm/)).toBeVisible()
  await input.setInputFiles(path)
  await expect(page.getByText('6 entries taken in.')).toBeVisible()
  await input.setInputFiles(path)
  await expect(page.getByText('Every entry is there already.')).toBeVisible()

  await expect(page.locator('[data-ridden]')).toContainText('400 km')
  await page.getByLabel('Where to, and when').fill('North, in May')
  await page.getByRole('button', { name: 'Begin it' }).click()
  await expect(page.getByRole('heading', { name: 'Bench', level: 1 })).toBeVisible()
  const next = page.url().split('/').at(-2) ?? ''
  const begun = await onServer(page.request, next)
  expect(begun).toMatchObject({ name: 'North, in May', log: [] })
  expect(begun.bench.find(({ id: thing }) => thing === 'mini-pump')).toMatchObject({ owned: 0 })
  expect(begun.bench.some(({ name }) => name === 'A hanger from the shop')).toBe(true)
})

test('all trips of an account are looked back on at once', async ({ page }) => {
  await newAccount(page.request, 'Often')
  const id = await newTrip(page.request, cameHome())
  await newTrip(page.request, { ...cameHome(), name: 'The year before' })
  await page.goto(`/trips/${id}/look-back`)
  await expect(page.locator('[data-ridden]')).toContainText('400 km')
  await page.getByLabel('Over all my trips').check()
  await expect(page.locator('[data-ridden]')).toContainText('800 km')
  await expect(page.locator('[data-ridden]')).toContainText('on 2 trips')
})

test('a trip is rehearsed at home with a thumb, and nothing of it is kept', async ({ page }) => {
  await page.setViewportSize(phone.viewport)
  await newAccount(page.request, 'Novice')
  const { log: _, ...plan } = onTheRoad()
  const id = await newTrip(page.request, plan)
  await page.goto(`/trips/${id}/trail`)
  await looked(page)
  await page.getByRole('button', { name: 'Rehearse it at home first' }).click()
  await page.getByRole('button', { name: 'Ride it' }).click()
  const end = page.locator('[data-played]')
  const next = page.locator('[data-option], [data-way]:not([disabled]), [data-ride-on]:not([disabled])').first()
  let asked = 0
  for (let presses = 0; presses < 250; presses++) {
    await expect(next.or(end)).toBeVisible()
    if (await end.isVisible()) break
    if (await page.locator('[data-question]').isVisible()) {
      asked++
      // What comes of it is not told before one has answered.
      await expect(page.getByText(/^It holds|^Done, and|^It cannot be/)).toHaveCount(0)
    }
    await next.click()
  }
  await expect(end).toBeVisible()
  expect(asked).toBeGreaterThan(0)
  await expect(page.getByText(`of ${asked} questions right.`)).toBeVisible()
  expect((await onServer(page.request, id)).log).toEqual([])
})
