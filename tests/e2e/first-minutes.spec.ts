import { demoGpx } from '#catalogue/demo'
import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { chooseFile, countPresses } from './presses'
import { expect, test } from './rig'
import { again, analysed, newAccount, setStart, signIn, startField, tabTo } from './steps'

const gpxFile = { name: 'over_two_passes.gpx', mimeType: 'application/gpx+xml', buffer: Buffer.from(demoGpx()) }
/** What the file calls its road: the trip is named by it. */
const roadName = 'Pell Harbour to Skerry Point'
const sizes = [
  ['wide', { width: 1280, height: 800 }],
  ['on the phone', { width: 390, height: 844 }],
] as const

/** From the door to verdicts, with a GPX file of one's own. */
async function layOutAndWeigh(page: Page): Promise<void> {
  const stage = (name: string) => page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name })
  await expect(page.getByText('6201 points read, 16 waypoints made into stops.')).toBeVisible()
  await expect(page.getByLabel('Name of the trip')).toHaveValue(roadName)
  await stage('Bench').click()
  await page.getByRole('button', { name: 'Lay it out' }).click()
  await expect(page.getByRole('list', { name: 'Things on the bench' }).getByRole('listitem').first()).toBeVisible()
  await stage('Weigh').click()
  await analysed(page)
  await expect(page.locator('[data-row]').filter({ hasText: 'take' }).first()).toBeVisible()
}

for (const [how, viewport] of sizes) {
  test(`from the door to first verdicts without an account, and then with one, ${how}`, async ({ page }) => {
    await page.setViewportSize(viewport)
    const presses = await countPresses(page)
    await page.goto('/')
    const begun = Date.now()
    await chooseFile(page, 'Lay out a GPX file', gpxFile)
    await layOutAndWeigh(page)
    expect(await presses()).toBeLessThanOrEqual(6)
    expect(Date.now() - begun).toBeLessThan(60_000)

    // It is there after the page is gone, on this device alone.
    await page.reload()
    await analysed(page)
    await expect(page.getByLabel('Name of the trip')).toHaveValue(roadName)
    expect((await page.request.get('/api/trips', again)).status()).toBe(401)

    // Who signs up takes it along.
    await page.goto('/?up')
    await page.getByLabel('Name', { exact: true }).fill('Later')
    await page.getByLabel('E-mail address').fill(`later-${process.pid}-${Date.now()}@quern.example`)
    await page.getByLabel('Password').fill('a bicycle of my own')
    await page.locator('form').getByRole('button', { name: 'Sign up' }).click()
    await expect(page.getByRole('link', { name: new RegExp(`^${roadName}`) })).toBeVisible()
    const listed = (await (await page.request.get('/api/trips', again)).json()) as { name: string; things: number }[]
    expect(listed.map(({ name }) => name)).toEqual([roadName])
    expect(listed[0]?.things).toBeGreaterThan(10)
    await page.getByRole('link', { name: new RegExp(`^${roadName}`) }).click()
    await analysed(page)
  })

  test(`from the list of trips to first verdicts with an account, ${how}`, async ({ page }) => {
    await page.setViewportSize(viewport)
    const account = await newAccount(page.request, 'Known')
    await page.context().clearCookies()
    await page.goto('/')
    await signIn(page, account)
    await expect(page.getByRole('heading', { name: 'Trips', exact: true })).toBeVisible()
    await chooseFile(page, 'A trip from a file', gpxFile)
    await layOutAndWeigh(page)
  })
}

test('the door weighs a first tin, and what comes along hangs on how far the shops lie apart', async ({ page }) => {
  await page.goto('/')
  const rows = page.getByRole('region', { name: /From one bike shop to the next/ }).getByRole('listitem')
  await expect(rows.first()).toBeVisible()
  const taken = async () => (await rows.allInnerTexts()).filter((text) => /take/i.test(text)).length
  const slider = page.getByRole('slider')
  await slider.fill('400')
  await expect.poll(taken).toBeGreaterThan(4)
  const far = await taken()
  await slider.fill('20')
  await expect.poll(taken).toBeLessThan(far)
  await rows.filter({ hasText: 'Tyre levers' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'Tyre levers' })).toContainText('its grams cost')
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([])
})

test('without an account a trip is begun by hand, thrown away and taken back, and the sample looked at', async ({
  page,
}) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Begin without a file' }).click()
  await expect(page.getByRole('link', { name: /^Sample: Across the Quern/ })).toBeVisible()
  await page.getByLabel('Name', { exact: true }).first().fill('By hand')
  await page.getByRole('button', { name: 'Begin', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Road', exact: true })).toBeVisible()
  await page.goto('/trips')
  await page.getByRole('button', { name: 'Throw away By hand' }).click()
  await expect(page.getByRole('link', { name: /^By hand/ })).toHaveCount(0)
  await page.getByRole('button', { name: 'Take it back' }).click()
  await expect(page.getByRole('link', { name: /^By hand/ })).toBeVisible()
  await page.getByRole('link', { name: /^Sample: Across the Quern/ }).click()
  await analysed(page)
})

test('trips of a device go into nobody’s account unasked', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Begin without a file' }).click()
  await expect(page.getByRole('link', { name: /^Sample: Across the Quern/ })).toBeVisible()
  // Somebody signs in elsewhere in this browser, not from these trips.
  await newAccount(page.request, 'Other')
  await page.goto('/trips')
  await expect(page.getByText('Made without an account, and on this device alone: one trip.')).toBeVisible()
  expect(await (await page.request.get('/api/trips', again)).json()).toEqual([])
  await page.getByRole('button', { name: 'Take along into the account of Other' }).click()
  await expect(page.getByRole('link', { name: /^Sample: Across the Quern/ })).toBeVisible()
  await expect(page.getByText('Made without an account')).toHaveCount(0)
  expect(await (await page.request.get('/api/trips', again)).json()).toHaveLength(1)
  // Nothing of it is left on the device for the next guest.
  const left = await page.evaluate(async () => {
    const open = indexedDB.open('rag-tin')
    const db = await new Promise<IDBDatabase>((done) => (open.onsuccess = () => done(open.result)))
    const count = (store: string) =>
      new Promise<number>((done) => {
        const request = db.transaction(store).objectStore(store).count()
        request.onsuccess = () => done(request.result)
      })
    return Promise.all(['own', 'ownParts', 'steps'].map(count))
  })
  expect(left).toEqual([0, 0, 0])
})

/** What is drawn or written in red on a page, as far as it can be seen. */
const redOn = (page: Page) =>
  page.evaluate(() => {
    const probe = document.createElement('i')
    probe.style.color = 'var(--madder)'
    document.body.append(probe)
    const red = getComputedStyle(probe).color
    probe.remove()
    return [...document.querySelectorAll('body *')].flatMap((element) => {
      const { color, fill, stroke, backgroundColor, borderTopColor, borderTopWidth } = getComputedStyle(element)
      const isDrawn = element instanceof SVGElement && [fill, stroke].includes(red)
      const hasText = [...element.childNodes].some((node) => node.nodeType === 3 && node.textContent?.trim())
      const isEdged = borderTopColor === red && borderTopWidth !== '0px'
      const isRed = isDrawn || isEdged || backgroundColor === red || (hasText && color === red)
      return isRed && element.checkVisibility()
        ? [`${element.tagName} ${element.textContent?.trim().slice(0, 60)}`]
        : []
    })
  })

test('nothing is red before something was laid', async ({ page }) => {
  await page.goto('/')
  await chooseFile(page, 'Lay out a GPX file', gpxFile)
  await expect(page.getByText('6201 points read, 16 waypoints made into stops.')).toBeVisible()
  const stage = (name: string) => page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name })
  for (const name of ['Road', 'Bikes', 'Bench', 'Weigh']) {
    await stage(name).click()
    await analysed(page)
    expect(await redOn(page), name).toEqual([])
  }
  await expect(page.getByText('Left to luck')).toBeVisible()
  // Nor is anything proved of a choice that there is not.
  await expect(page.getByText('short of the best kit')).toHaveCount(0)
  // With something laid, what would leave one walking is.
  await stage('Bench').click()
  await page.getByRole('button', { name: 'Lay it out' }).click()
  await expect(page.getByRole('list', { name: 'Things on the bench' }).getByRole('listitem').first()).toBeVisible()
  await analysed(page)
  expect(await redOn(page)).not.toEqual([])
})

test('what stops have by their names is proposed, taken one by one or all at once, or said not to be there', async ({
  page,
}) => {
  const waypoint = (name: string, lon: number, symbol = '') =>
    `<wpt lat="50.001" lon="${lon}"><name>${name}</name>${symbol && `<sym>${symbol}</sym>`}</wpt>`
  const waypoints = [
    waypoint('Bike shop Aldermill', 10.2),
    waypoint('Summit', 10.4),
    waypoint('WP 014', 10.6, 'Drinking Water'),
    waypoint('Railway station Saltmoor, food', 10.8),
  ]
  const points = Array.from({ length: 101 }, (_, i) => `<trkpt lat="50" lon="${10 + i / 100}"><ele>9</ele></trkpt>`)
  const text = `<gpx version="1.1">${waypoints.join('')}<trk><name>moor</name><trkseg>${points.join('')}</trkseg></trk></gpx>`
  await page.goto('/')
  await chooseFile(page, 'Lay out a GPX file', { ...gpxFile, name: 'moor.gpx', buffer: Buffer.from(text) })
  await expect(page.getByText('101 points read, 4 waypoints made into stops.')).toBeVisible()
  const proposals = page.getByRole('region', { name: 'By their names' })
  const lines = proposals.getByRole('listitem')
  await expect(lines).toHaveCount(4)
  // Nothing is taken unasked.
  const pressed = page.getByRole('region', { name: 'Stops' }).locator('[aria-pressed=true]')
  await expect(pressed).toHaveCount(0)
  await proposals.getByRole('button', { name: 'Take: bike shop at Bike shop Aldermill' }).click()
  await expect(pressed).toHaveCount(1)
  await expect(lines).toHaveCount(3)
  await proposals.getByRole('button', { name: 'Not there: water at WP 014' }).click()
  await expect(lines).toHaveCount(2)
  await proposals.getByRole('button', { name: 'Take all 2' }).click()
  await expect(proposals).toHaveCount(0)
  await expect(pressed).toHaveCount(2)
  await expect(page.getByLabel('Way out at Railway station Saltmoor, food')).toHaveValue('train')
  // Each is a step that can be taken back, and what was said stays said.
  await page.keyboard.press('Control+z')
  await expect(lines).toHaveCount(2)
  await page.keyboard.press('Control+z')
  await expect(lines).toHaveCount(3)
  await page.keyboard.press('Control+Shift+z')
  await page.waitForTimeout(500)
  await page.reload()
  await expect(lines).toHaveCount(2)
})

test('a file that is neither road nor trip is refused at the door, with nothing left behind', async ({ page }) => {
  await page.goto('/')
  await chooseFile(page, 'Lay out a GPX file', {
    name: 'notes.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from('buy tubes'),
  })
  await expect(page.getByRole('alert')).toContainText('notes.txt: neither a GPX file nor a trip document')
  const broken = [
    ['places.gpx', '<kml/>', 'places.gpx: the outermost element: <kml>; expected <gpx>'],
    ['cut.gpx', '<gpx version="1.1"><trk>', 'cut.gpx: line 1'],
    ['one.gpx', '<gpx version="1.1"><trk><trkseg><trkpt lat="1" lon="1"/></trkseg></trk></gpx>', 'a single point'],
  ] as const
  for (const [name, text, said] of broken) {
    await chooseFile(page, 'Lay out a GPX file', { name, mimeType: 'application/gpx+xml', buffer: Buffer.from(text) })
    await expect(page.getByRole('alert')).toContainText(said)
  }
  await page.getByRole('button', { name: 'Begin without a file' }).click()
  await expect(page.getByRole('heading', { name: 'Trips', exact: true })).toBeVisible()
  for (const [name] of broken) await expect(page.getByText(name.replace('.gpx', ''), { exact: true })).toHaveCount(0)
})

for (const [how, viewport] of sizes) {
  test(`from first verdicts to a whole plan for 350 km: two bikes, the hours of four shops, 25 things, in 45 presses, ${how}`, async ({
    page,
  }) => {
    await page.setViewportSize(viewport)
    // A road of 350 km, with places named as riders name them.
    const at = (km: number) => (10 + km / 71.7).toFixed(5)
    const names = [
      'Start',
      'Bike shop Aldermill',
      'Supermarket Ennet',
      'Water tap',
      'Bike shop Hask',
      'Hardware store Low Tor',
    ]
    const waypoints = [...names, 'Train station Skell'].map(
      (name, i) => `<wpt lat="50.0005" lon="${at(i * 55)}"><name>${name}</name></wpt>`,
    )
    const points = Array.from(
      { length: 701 },
      (_, i) => `<trkpt lat="50" lon="${at(i / 2)}"><ele>${300 + 250 * Math.sin(i / 40)}</ele></trkpt>`,
    )
    const gpx = `<gpx version="1.1" creator="any">${waypoints.join('')}<trk><trkseg>${points.join('')}</trkseg></trk></gpx>`
    const presses = await countPresses(page)
    const stage = (name: string) => page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name })
    await page.goto('/')
    await chooseFile(page, 'Lay out a GPX file', { ...gpxFile, buffer: Buffer.from(gpx) })
    await stage('Bench').click()
    await page.getByRole('button', { name: 'Lay it out' }).click()
    await stage('Weigh').click()
    await analysed(page)
    const first = await presses()
    expect(first).toBeLessThanOrEqual(6)

    // Whoever comes along, and what they ride.
    await stage('Crew').click()
    const riders = page.getByRole('list', { name: 'Riders' })
    await page.getByRole('button', { name: 'One more rider' }).click()
    await riders.getByLabel('Name', { exact: true }).last().fill('Ylva')
    await riders.getByLabel('Repairs were').last().selectOption({ label: 'done on the road' })

    // What the places have, when the ride begins, and when four shops are open.
    await stage('Road').click()
    await page.getByRole('button', { name: /^Take all/ }).click()
    await setStart(page, '2026-06-13T08:30')
    for (const [kind, place] of [
      ['bike shop', 'Bike shop Aldermill'],
      ['supermarket', 'Supermarket Ennet'],
      ['bike shop', 'Bike shop Hask'],
      ['hardware store', 'Hardware store Low Tor'],
    ] as const) {
      await page.getByRole('button', { name: `${kind} at ${place}`, exact: true }).click()
      await page.getByLabel(`Hours of the ${kind} at ${place}`).fill('Mo-Fr 09:00-18:00; Sa 09:00-13:00')
      await page.keyboard.press('Escape')
    }

    // Five and twenty things on the bench.
    await stage('Bench').click()
    const things = page.getByRole('list', { name: 'Things on the bench' }).getByRole('listitem')
    await expect(things.first()).toBeVisible()
    const laid = await things.count()
    await page.getByRole('button', { name: 'Take from the catalogue' }).click()
    const catalogueDialog = page.getByRole('dialog')
    for (let thing = laid; thing < 25; thing++) {
      await catalogueDialog
        .getByRole('button')
        .filter({ hasText: /^Take$/ })
        .first()
        .click()
    }
    await catalogueDialog.getByRole('button', { name: 'Close' }).click()
    // What is laid out for the road may be more by itself.
    const all = Math.max(25, laid)
    await expect(things).toHaveCount(all)
    await stage('Weigh').click()
    await analysed(page)
    await expect(page.locator('[data-row]')).toHaveCount(all)
    expect((await presses()) - first).toBeLessThanOrEqual(45)
  })
}

const tour = () => {
  const waypoint = (name: string, lon: number) => `<wpt lat="50.0005" lon="${lon}"><name>${name}</name></wpt>`
  const points = Array.from({ length: 401 }, (_, i) => `<trkpt lat="50" lon="${10 + i / 200}"><ele>9</ele></trkpt>`)
  const places = [waypoint('Bike shop Aldermill', 10.6), waypoint('Water tap', 11), waypoint('Bike shop Hask', 11.5)]
  const gpx = `<gpx version="1.1" creator="any">${places.join('')}<trk><trkseg>${points.join('')}</trkseg></trk></gpx>`
  return { ...gpxFile, buffer: Buffer.from(gpx) }
}

test('the first ten minutes by keyboard alone: the keyboard is never lost on the way', async ({ page }) => {
  /** Something has the keyboard, and it can be seen where. */
  const hasFocus = async (step: string) => {
    const focused = page.locator(':focus')
    await expect(focused, step).toHaveCount(1)
    await expect(focused, step).toBeInViewport()
  }
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible()
  // The browser takes a moment to hand its choosers over.
  const choosing = page.waitForEvent('filechooser')
  await tabTo(page, /^Lay out a GPX file$/)
  await page.keyboard.press('Enter')
  await (await choosing).setFiles(tour())
  await expect(page.getByText('401 points read, 3 waypoints made into stops.')).toBeVisible()
  await tabTo(page, /^Take all/)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'bike shop at Bike shop Hask', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  await tabTo(page, /^bike shop at Bike shop Aldermill$/)
  await hasFocus('on a mark')
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Hours of the bike shop at Bike shop Aldermill')).toBeFocused()
  await page.keyboard.type('Mo-Fr 09:00-18:00')
  await page.keyboard.press('Escape')
  await hasFocus('back on the mark')
  await tabTo(page, /day,/)
  await page.keyboard.type('130620260830')
  await hasFocus('in the date')
  await tabTo(page, /calendar$/)
  await page.keyboard.press('b')
  await tabTo(page, /^Lay it out$/)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('list', { name: 'Things on the bench' }).getByRole('listitem').first()).toBeVisible()
  await page.keyboard.press('w')
  await analysed(page)
  await tabTo(page, /^Mini pump|^Pump/i)
  await hasFocus('on a thing')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Space')
  await expect(page.getByLabel('pinned').first()).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByText(/Without it|It would spare/)).toBeVisible()
  await hasFocus('on the thing whose claims are open')
  await page.keyboard.press('Control+z')
  await expect(page.getByLabel('pinned')).toHaveCount(0)
})

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })
  test('the first ten minutes by touch alone', async ({ page }) => {
    const stage = (name: string) => page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name })
    await page.goto('/')
    const choosing = page.waitForEvent('filechooser')
    await page.getByRole('button', { name: 'Lay out a GPX file' }).tap()
    await (await choosing).setFiles(tour())
    await page.getByRole('button', { name: /^Take all/ }).tap()
    await page.getByRole('button', { name: 'bike shop at Bike shop Aldermill', exact: true }).tap()
    await page.getByLabel('Hours of the bike shop at Bike shop Aldermill').fill('Mo-Fr 09:00-18:00')
    await page.getByRole('button', { name: 'Close' }).tap()
    await expect(page.getByRole('dialog')).toHaveCount(0)
    await page.getByRole('button', { name: 'The ride begins: calendar' }).tap()
    await page.getByRole('gridcell').getByRole('button').filter({ hasText: /^15$/ }).first().tap()
    await expect(startField(page)).toContainText('15/')
    await stage('Bench').tap()
    await page.getByRole('button', { name: 'Lay it out' }).tap()
    await stage('Weigh').tap()
    await analysed(page)
    await page.locator('[data-row]').first().tap()
    await expect(page.getByRole('dialog', { name: 'Claims' })).toContainText(/Without it|It would spare/)
    await page.getByRole('button', { name: 'Close' }).tap()
    await page.locator('[data-balance]').first().tap()
    await expect(page.getByRole('dialog', { name: 'The balance' })).toContainText('lost in all')
  })
})
