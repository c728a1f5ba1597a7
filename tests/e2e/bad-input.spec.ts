import { defined } from '#core/validation'
import { writeFileSync } from 'node:fs'
import { demoGpx, demoTrip } from '#catalogue/demo'
import { brokenGpx } from '../broken-gpx'
import { expect, test } from './rig'
import { again, beginTrip, openOwnDemo, analysed, saved, signUp } from './steps'

const gpx = (inside: string) => `<gpx version="1.1">${inside}</gpx>`
const track = (...points: string[]) => gpx(`<trk><trkseg>${points.join('')}</trkseg></trk>`)
const file = (name: string, text: string | Buffer) => ({
  name,
  mimeType: 'application/octet-stream',
  buffer: Buffer.from(text),
})

test('bad roads are refused with a reason, and the road stays', async ({ page }, info) => {
  await signUp(page, 'Pell')
  // As the file is called, and not as its road is: a trip that somebody named keeps its name.
  await beginTrip(page, 'good')
  await page.getByLabel('GPX file').setInputFiles(file('good.gpx', demoGpx()))
  await expect(page.getByText(/6201 points read/)).toBeVisible()
  await expect(page.getByLabel('Name of the trip')).toHaveValue('good')
  const bad: [string, string | Buffer, RegExp][] = [
    ['text.gpx', 'no XML <', /not XML/],
    ['map.gpx', '<kml></kml>', /<kml>; expected <gpx>/],
    ['one.gpx', track('<trkpt lat="1" lon="1"/>'), /a single point/],
    [
      'pole.gpx',
      track('<trkpt lat="1" lon="1"/>', '<trkpt lat="91" lon="1"/>'),
      /latitude “91”; expected a number from −90 to 90/,
    ],
    ['nan.gpx', track('<trkpt lat="NaN" lon="1"/>', '<trkpt lat="1" lon="1"/>'), /latitude “NaN”/],
    ['bomb.gpx', `<!DOCTYPE x [<!ENTITY a "b">]>${track()}`, /DOCTYPE/],
  ]
  for (const [name, text, message] of bad) {
    await page.getByLabel('GPX file').setInputFiles(file(name, text))
    const alert = page.getByRole('alert')
    await expect(alert).toContainText(name)
    await expect(alert).toContainText(message)
    await expect(alert).toContainText('the trip is as it was')
    await expect(page.getByRole('slider', { name: 'Stop Quillby' })).toBeVisible()
  }
  const huge = info.outputPath('huge.gpx')
  writeFileSync(huge, Buffer.alloc(60 * 1024 * 1024, 32))
  await page.getByLabel('GPX file').setInputFiles(huge)
  await expect(page.getByRole('alert')).toContainText('60 MB; expected a GPX file of 48 MB at most')
  await saved(page)
  await page.reload()
  await expect(page.getByRole('slider', { name: 'Stop Quillby' })).toBeVisible()
})

test('a hundred broken files cost neither the page nor the saved road', async ({ page }) => {
  await openOwnDemo(page, 'road')
  const address = page.url().replace('/trips/', '/api/trips/').replace(/road$/, 'document')
  const document = async () =>
    (await (await page.request.get(address, again)).json()) as { road: object; stops: object }
  const before = await document()

  const files = Array.from({ length: 100 }, (_, i) => brokenGpx(i))
  const outcomes = await page.evaluate(async (texts) => {
    const nextTask = () => new Promise((go) => setTimeout(go, 5))
    const input = window.document.querySelector<HTMLInputElement>('input[aria-label="GPX file"]')
    if (!input) throw new Error('there is no field for a file')
    const said = (role: string) => window.document.querySelector(`main [role=${role}]`)?.textContent ?? ''
    const seen: string[] = []
    for (const [i, text] of texts.entries()) {
      const transfer = new DataTransfer()
      transfer.items.add(new File([text], `broken-${i}.gpx`))
      input.files = transfer.files
      input.dispatchEvent(new Event('change', { bubbles: true }))
      await nextTask()
      for (let waited = 0; waited < 2000; waited++) {
        if (said('alert').includes(`broken-${i}.gpx`) || said('status').includes('points read')) break
        await nextTask()
      }
      seen.push(said('alert') ? 'refused' : said('status').includes('points read') ? 'taken' : 'nothing')
    }
    return seen
  }, files)
  expect(new Set(outcomes)).toEqual(new Set(['refused', 'taken']))

  // What was taken is taken back, one import after the other, and the road is the one that was saved.
  const undo = page.getByRole('button', { name: /^Undo/ })
  while (/^Undo import/.test(defined(await undo.textContent()).trim())) await undo.click()
  await saved(page)
  await page.reload()
  await analysed(page)
  await expect(page.getByRole('slider', { name: 'Stop Quillby' })).toBeVisible()
  const after = await document()
  expect(after.road).toEqual(before.road)
  expect(after.stops).toEqual(before.stops)
})

test('a road without heights is taken, and said to be', async ({ page }) => {
  await signUp(page, 'Flat')
  await beginTrip(page, 'Flat')
  await page.getByLabel('GPX file').setInputFiles(file('flat.gpx', demoGpx().replace(/<ele>.*?<\/ele>/g, '')))
  await expect(page.getByText('The file has no elevation, so climbs are unknown')).toBeVisible()
  await expect(page.getByText('climbs unknown').first()).toBeVisible()
})

test('bad trip documents are refused with a reason', async ({ page }) => {
  await signUp(page, 'Doc')
  const bad: [object | string, RegExp][] = [
    [{ ...demoTrip(), bench: [{ id: 'a', name: 'b', massG: -2 }] }, /bench\[0\]\.massG: -2; expected more than 0/],
    [{ ...demoTrip(), format: 'rag-tin.trip/99' }, /a newer Rag Tin wrote this/],
    [{ ...demoTrip(), crew: [{ id: 'a', name: 'b', bikeId: 'ghost' }] }, /crew\[0\]\.bikeId: "ghost"/],
    ['nothing like it', /neither a GPX file nor a trip document/],
  ]
  for (const [document, message] of bad) {
    const text = typeof document === 'string' ? document : JSON.stringify(document)
    await page.getByLabel('Trip document').setInputFiles(file('trip.json', text))
    await expect(page.getByRole('alert')).toContainText(message)
  }
  await page.reload()
  // Nothing came of any of them: there is the sample that every new account has.
  const listed = page.getByRole('region', { name: 'Trips', exact: true }).getByRole('listitem').getByRole('link')
  await expect(listed).toHaveText([/^Sample: Across the Quern/])
})

test('numbers that cannot be are refused where they were typed', async ({ page }) => {
  await openOwnDemo(page, 'bench')
  const mass = page.getByLabel('Mass of Mini pump', { exact: true })
  for (const [typed, message] of [
    ['-5', 'Mass of Mini pump must be at least 0.1 g'],
    ['heavy', '“heavy” is not a number; try “12 g”'],
    ['3 stone', '“stone” is not a unit of mass'],
  ] as const) {
    await mass.fill(typed)
    await page.keyboard.press('Enter')
    await expect(page.getByRole('alert').filter({ hasText: message })).toBeVisible()
  }
  await page.keyboard.press('Escape')
  await expect(mass).toHaveValue('98')
  await page.getByRole('heading', { name: 'Bench', exact: true }).click()
  await page.keyboard.press('r')
  await page.getByLabel('Place of Brannock').fill('900')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert').filter({ hasText: 'Place of Brannock must be at most 620.6 km' })).toBeVisible()
})
