import { defined } from '#core/validation'
import { readFileSync } from 'node:fs'
import { demoGpx } from '#catalogue/demo'
import { expect, test } from './rig'
import { beginTrip, analysed, rowOf, saved, signUp, takeFromCatalogue, verdicts } from './steps'

const gpxFile = { name: 'quern.gpx', mimeType: 'application/gpx+xml', buffer: Buffer.from(demoGpx()) }

test('from a GPX file to a kit that can be argued with', { tag: ['@proof', '@always'] }, async ({ page }) => {
  await signUp(page, 'Maren')
  await beginTrip(page, 'Over two passes')

  // The road, with its waypoints as stops.
  await page.getByLabel('GPX file').setInputFiles(gpxFile)
  await expect(page.getByText('6201 points read, 16 waypoints made into stops.')).toBeVisible()
  await expect(page.getByRole('slider', { name: 'Stop Quillby' })).toBeVisible()

  // Another stop, by place on the strip and name; a bike shop there with a click.
  await page.getByRole('slider', { name: 'Place on the road' }).focus()
  await page.keyboard.press('Shift+ArrowRight')
  await page.getByRole('button', { name: /^Stop at/ }).click()
  await page.keyboard.press('Control+a')
  await page.keyboard.type('Tinker’s Yard')
  await page.keyboard.press('Tab')
  for (const stop of ['Quillby', 'Brannock', 'Tinker’s Yard']) {
    const shop = page.getByRole('button', { name: `bike shop at ${stop}`, exact: true })
    await shop.click()
    await expect(shop).toHaveAttribute('aria-pressed', 'true')
  }

  // A stop is moved on the strip by keyboard, and in the list.
  const handle = page.getByRole('slider', { name: 'Stop Quillby' })
  await handle.focus()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByLabel('Place of Quillby')).toHaveValue('72')
  await page.getByLabel('Place of Quillby').fill('43.5 mi')
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Place of Quillby')).toHaveValue('70')

  // And with the pointer.
  const box = defined(await handle.boundingBox())
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2 + 40, box.y + box.height / 2, { steps: 4 })
  await page.mouse.up()
  await expect(page.getByLabel('Place of Quillby')).not.toHaveValue('70')

  // The bench.
  await page.getByRole('heading', { name: 'Road', exact: true }).click()
  await page.keyboard.press('b')
  await takeFromCatalogue(page, [
    'Mini pump',
    'Tyre levers, plastic, two',
    'Plug tool with 5 plugs',
    'Tube 622 × 40–60',
    'Patch kit, glued, 6 patches',
    'Folding tool, 17 functions',
    'Quick link, 12-speed',
    'Folding tyre 45-622',
    'Spoke key, 3.2 mm',
  ])
  await page.getByLabel('Mass of Mini pump').fill('4 oz')
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Mass of Mini pump')).toHaveValue('113.4')

  // One of one's own.
  await page.getByRole('button', { name: 'One of my own' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Grandfather’s rag')
  await page.getByLabel('One weighs').fill('11')
  await page.getByLabel('Add something it does').selectOption('wipe clean')
  await page.getByRole('button', { name: 'Add what it does' }).click()
  await page.getByRole('button', { name: 'Lay it down' }).click()
  await expect(page.getByText('Grandfather’s rag', { exact: true })).toBeVisible()

  // Verdicts.
  await page.keyboard.press('w')
  await analysed(page)
  await expect(rowOf(page, 'Mini pump')).toContainText('take')
  await expect(page.getByRole('list', { name: 'What stays at home' }).locator('[data-row]').first()).toBeVisible()

  // A verdict is opened.
  await rowOf(page, 'Mini pump').click()
  const panel = page.getByRole('complementary', { name: 'Balance and why' })
  await expect(panel.getByRole('heading', { name: 'Mini pump' })).toBeVisible()
  await expect(panel.getByText('hole that sealant does not close').first()).toBeVisible()
  await expect(panel.getByText(/^an hour is worth less than/)).toBeVisible()

  // The dial is moved until a verdict flips.
  const dial = page.getByRole('slider', { name: /An hour lost is worth/ })
  await dial.focus()
  await page.keyboard.press('Home')
  await expect(rowOf(page, 'Folding tool')).toContainText('leave')
  await page.keyboard.press('End')
  await expect(rowOf(page, 'Folding tool')).toContainText('take')

  // A pin, by keyboard.
  const tyre = rowOf(page, 'Folding tyre')
  await analysed(page)
  await tyre.focus()
  const before = await tyre.innerText()
  await page.keyboard.press('Space')
  await expect(tyre.getByLabel('pinned')).toBeVisible()
  await expect(tyre).toContainText(/take/i.test(before) ? 'take' : 'leave')

  // Undo and redo.
  await page.keyboard.press('Control+z')
  await expect(tyre.getByLabel('pinned')).toHaveCount(0)
  await page.keyboard.press('Control+Shift+z')
  await expect(tyre.getByLabel('pinned')).toBeVisible()

  // The proof arrives.
  await expect(page.getByText(/short of the best kit at most, proved in/)).toBeVisible()

  // Export, and import as a new trip: the same verdicts.
  await saved(page)
  const shown = await verdicts(page)
  await page.getByRole('button', { name: 'Maren' }).click()
  const download = page.waitForEvent('download')
  await page.getByRole('menuitem', { name: 'Export this trip' }).click()
  const path = await (await download).path()
  expect(JSON.parse(readFileSync(path, 'utf8')).format).toBe('rag-tin.trip/6')
  await page.goto('/trips')
  await page
    .getByLabel('Trip document')
    .setInputFiles({ name: 'trip.json', mimeType: 'application/json', buffer: readFileSync(path) })
  await expect(page.getByRole('heading', { name: 'Road', exact: true })).toBeVisible()
  await page.keyboard.press('w')
  await analysed(page)
  await expect.poll(() => verdicts(page)).toEqual(shown)
})

test('what was done is there after a reload', async ({ page }) => {
  await signUp(page, 'Tove')
  await beginTrip(page, 'Short')
  await page.getByLabel('GPX file').setInputFiles(gpxFile)
  await expect(page.getByText(/points read/)).toBeVisible()
  await page.getByLabel('Name of the trip').fill('Short and named')
  await page.keyboard.press('Enter')
  await saved(page)
  await page.reload()
  await expect(page.getByLabel('Name of the trip')).toHaveValue('Short and named')
  await expect(page.getByRole('slider', { name: 'Stop Quillby' })).toBeVisible()
  // An address that names the trip and no stage opens where one weighs.
  await page.goto(page.url().replace(/\/road$/, ''))
  await expect(page.getByRole('heading', { name: 'Weigh', exact: true })).toBeVisible()
  await expect(page).toHaveURL(/\/weigh$/)
})

test('everything can be found by name, and the keys are listed', async ({ page }) => {
  await signUp(page, 'Finder')
  await beginTrip(page, 'Finding')
  await page.getByLabel('GPX file').setInputFiles(gpxFile)
  await expect(page.getByText(/points read/)).toBeVisible()
  await page.getByRole('heading', { name: 'Road', exact: true }).click()
  await page.keyboard.press('/')
  await expect(page.getByRole('combobox', { name: /A thing, a stop/ })).toBeFocused()
  // One Escape closes it, whatever was typed.
  await page.keyboard.type('tube')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await page.keyboard.press('/')
  await expect(page.getByRole('combobox', { name: /A thing, a stop/ })).toBeFocused()
  await page.keyboard.type('hollin')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'Stop at 428 km' })).toBeVisible()
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: 'Keys' }).getByText('this list')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)
})
