import AxeBuilder from '@axe-core/playwright'
import type { BrowserContext, Page } from '@playwright/test'
import { defined } from '#core/validation'
import { boxFaults } from './boxes'
import { expect, test } from './rig'
import { newAccount, newTrip, onServer, signIn } from './steps'
import { versionsOf, type Versions } from './versions'
import { at, expectedAnswers, looked, onTheRoad, phone, touchThrough } from './trail-steps'

/** The clock of a telephone on the road. */
async function onThatDay(device: BrowserContext): Promise<void> {
  await device.clock.install({ time: new Date(`${at}:00`) })
}

/** A road of one's own to the server, on which nothing comes through where one says so. */
const withRoad = test.extend<{ road: Versions }>({
  // eslint-disable-next-line no-empty-pattern -- Playwright reads from the pattern which fixtures are needed.
  road: async ({}, use) => {
    const road = await versionsOf(process.env.RAG_TIN_ADDRESS ?? '')
    await use(road)
    await road.close()
  },
})
const telephone = ({ address }: Versions) => ({ ...phone, baseURL: address, serviceWorkers: 'allow' }) as const

/** Everything that the app is made of lies on the device, and the trip with it. */
async function takenAlong(device: BrowserContext, id: string): Promise<void> {
  const page = await device.newPage()
  await page.goto(`/trips/${id}/trail`)
  await looked(page)
  await page.evaluate(() => navigator.serviceWorker.ready)
  await page.close()
}

withRoad(
  'from a cold start without a network, thirty failures of three bikes are answered with three touches each',
  async ({ newDevice, road }) => {
    const trip = onTheRoad()
    const device = await newDevice(telephone(road))
    await onThatDay(device)
    await newAccount(device.request, 'Trail')
    const id = await newTrip(device.request, trip)
    await takenAlong(device, id)

    road.let('nothing')
    const page = await device.newPage()
    await page.goto(`/trips/${id}/trail`)
    await looked(page)
    const expected = expectedAnswers(trip, 10)
    expect(expected).toHaveLength(30)
    for (const each of expected) {
      // Whose bike it is was said once, and is remembered.
      await page.getByRole('button', { name: 'It broke', exact: true }).tap()
      await page.getByRole('button', { name: each.bike, exact: true }).tap()
      await page.getByRole('button', { name: 'Back', exact: true }).tap()

      await touchThrough(page, each)
      if (each.step === undefined) await expect(page.getByText('Nothing with you mends it')).toBeVisible()
      else
        await expect(page.getByRole('list', { name: 'Steps' }).getByRole('listitem').first()).toContainText(each.step)
      for (let back = 0; back < 3; back++) await page.getByRole('button', { name: 'Back', exact: true }).tap()
      await looked(page)
    }
  },
)

/** Writes something into the log, each time something else. */
async function writeDown(page: Page, number: number): Promise<void> {
  await page.getByRole('button', { name: 'Log', exact: true }).tap()
  const which = number % 4
  if (which === 0) {
    await page.getByRole('button', { name: 'A note, a photo', exact: true }).tap()
    await page.getByLabel('What to remember').fill(`note ${number}`)
    await page.getByRole('button', { name: 'Write it down' }).tap()
  } else if (which === 1) {
    await page.getByRole('button', { name: 'Used up, broke, lost', exact: true }).tap()
    await page.getByRole('main').getByRole('listitem').getByRole('button').first().tap()
    await page.getByRole('button', { name: 'lost', exact: true }).tap()
  } else if (which === 2) {
    await page.getByRole('button', { name: 'Found loose', exact: true }).tap()
    await page.getByRole('main').getByRole('listitem').getByRole('button').first().tap()
  } else {
    await page.getByRole('button', { name: 'Bought, given, lent', exact: true }).tap()
    await page.getByRole('main').getByRole('listitem').getByRole('button').first().tap()
    await page.getByRole('button', { name: 'given', exact: true }).tap()
  }
  await expect(page.getByRole('main').getByRole('heading', { name: 'Log', exact: true })).toBeVisible()
}

withRoad(
  'twenty events are logged without a network, the tab is killed again and again, and nothing is lost',
  async ({ newDevice, road }) => {
    const device = await newDevice(telephone(road))
    await onThatDay(device)
    await newAccount(device.request, 'Diary')
    const id = await newTrip(device.request, onTheRoad())
    await takenAlong(device, id)
    road.let('nothing')
    const before = onTheRoad().log.length
    const many = 20
    let page = await device.newPage()
    await page.goto(`/trips/${id}/trail`)
    for (let number = 0; number < many; number++) {
      await looked(page)
      await writeDown(page, number)
      // At once, with no time to tidy up.
      await page.close({ runBeforeUnload: false })
      page = await device.newPage()
      await page.goto(`/trips/${id}/trail?see=log`)
      await expect(page.locator('[data-entry]')).toHaveCount(before + number + 1)
      await page.getByRole('button', { name: 'Here', exact: true }).tap()
    }
    road.let('everything')
    await page.goto(`/trips/${id}/trail?see=log`)
    await expect.poll(async () => (await onServer(device.request, id)).log.length).toBe(before + many)
    const { log } = await onServer(device.request, id)
    expect(new Set(log.map((entry) => entry.id)).size).toBe(before + many)
    expect(log.filter(({ kind }) => kind === 'note').map(({ note }) => note)).toEqual(
      [0, 4, 8, 12, 16].map((number) => `note ${number}`),
    )
    await expect(page.locator('[data-entry]')).toHaveCount(before + many)
  },
)

test('when the sign-in has ended on the road, one reads on, is answered and logs, and it goes to the server later', async ({
  newDevice,
}) => {
  const device = await newDevice(phone)
  await onThatDay(device)
  const account = await newAccount(device.request, 'Expired')
  const id = await newTrip(device.request, onTheRoad())
  const page = await device.newPage()
  await page.goto(`/trips/${id}/trail`)
  await looked(page)
  await device.clearCookies()
  await page.goto(`/trips/${id}/trail?see=mend&bike=mule&what=chain-broken`)
  await expect(page.locator('[data-first-way]')).toBeVisible()
  await page.goto(`/trips/${id}/trail`)
  await looked(page)
  const before = onTheRoad().log.length
  await writeDown(page, 0)
  await page.goto(`/trips/${id}/trail?see=log`)
  await expect(page.locator('[data-entry]')).toHaveCount(before + 1)
  await page.goto('/')
  await signIn(page, account)
  await expect(page.getByRole('heading', { name: 'Trips', exact: true })).toBeVisible()
  await page.goto(`/trips/${id}/trail?see=log`)
  await expect(page.locator('[data-entry]')).toHaveCount(before + 1)
  await expect.poll(async () => (await onServer(device.request, id)).log.length).toBe(before + 1)
})

withRoad(
  'two telephones of a crew log without a network: both are merged, and nothing is doubled',
  async ({ newDevice, road }) => {
    const [first, second] = [await newDevice(telephone(road)), await newDevice(telephone(road))]
    await onThatDay(first)
    await onThatDay(second)
    const account = await newAccount(first.request, 'Crew')
    const id = await newTrip(first.request, onTheRoad())
    const door = await second.newPage()
    await door.goto('/')
    await signIn(door, account)
    await expect(door.getByRole('heading', { name: 'Trips', exact: true })).toBeVisible()
    await door.close()
    const pages = []
    for (const device of [first, second]) await takenAlong(device, id)
    road.let('nothing')
    for (const device of [first, second]) {
      const page = await device.newPage()
      await page.goto(`/trips/${id}/trail`)
      pages.push(page)
    }
    const before = onTheRoad().log.length
    for (const [number, page] of pages.entries()) {
      for (let each = 0; each < 4; each++) {
        await looked(page)
        await writeDown(page, 4 * number + each)
        await page.getByRole('button', { name: 'Here', exact: true }).tap()
      }
    }
    road.let('everything')
    for (const page of pages) {
      await page.goto(`/trips/${id}/trail?see=log`)
      await expect(page.locator('[data-entry]')).toHaveCount(before + 8)
    }
    expect((await onServer(first.request, id)).log).toHaveLength(before + 8)
  },
)

test('a partner who is ahead with the best tool is told of, and what they have', async ({ page }) => {
  await page.setViewportSize(phone.viewport)
  await page.clock.install({ time: new Date(`${at}:00`) })
  const trip = onTheRoad()
  // All that works on chains is with one of them.
  const chains = trip.bench
    .filter(
      ({ heads, units }) =>
        heads.some(({ profile }) => profile === 'chain-pin') ||
        Object.keys(units).some((classId) => /^(link|piece|chain)-/.test(classId)),
    )
    .map(({ id }) => id)
  const log = trip.log.map((entry) =>
    entry.kind === 'set off'
      ? {
          ...entry,
          carried: entry.carried.map((each) => ({ ...each, rider: chains.includes(each.thing) ? 'tove' : 'ansel' })),
        }
      : entry,
  )
  await newAccount(page.request, 'Partner')
  const id = await newTrip(page.request, { ...trip, log })
  await page.goto(`/trips/${id}/trail`)
  await looked(page)
  await page.locator('[data-where]').click()
  await page.getByRole('button', { name: 'Tove is here' }).click()
  await page.getByLabel('Hours until Tove is here').fill('2')
  await page.keyboard.press('Enter')
  await page.keyboard.press('Escape')
  await expect(page.getByText('Tove is 2.0 h off')).toBeVisible()
  await page.getByRole('button', { name: 'It broke', exact: true }).click()
  await page.getByRole('button', { name: defined(trip.bikes.find(({ id: bike }) => bike === 'mule')).name }).click()
  await page.getByRole('button', { name: 'pedals turn, nothing moves' }).click()
  await page.locator('[data-cause="chain-broken "]').click()
  await expect(page.getByText('Wait for Tove')).toBeVisible()
})

test('what was written last is taken back with one touch, and what was said to have failed is mended later', async ({
  page,
}) => {
  await page.setViewportSize(phone.viewport)
  await page.clock.install({ time: new Date(`${at}:00`) })
  await newAccount(page.request, 'Amends')
  const id = await newTrip(page.request, onTheRoad())
  await page.goto(`/trips/${id}/trail`)
  await looked(page)
  await page.getByRole('button', { name: 'It broke', exact: true }).click()
  await page.locator('[data-symptoms]').getByRole('button').first().click()
  await page.locator('[data-cause]').first().click()
  await page.getByRole('button', { name: 'It does not' }).click()
  await page.reload()
  await page.getByRole('button', { name: 'It holds' }).click()
  await expect(page.getByRole('list', { name: 'Not mended yet' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(page.getByRole('list', { name: 'Not mended yet' }).getByRole('button')).toHaveCount(1)
  await page.getByRole('list', { name: 'Not mended yet' }).getByRole('button').click()
  await page.getByRole('button', { name: 'It holds' }).click()
  await expect(page.getByRole('button', { name: 'It broke', exact: true })).toBeVisible()
  await expect
    .poll(async () => (await onServer(page.request, id)).log.filter(({ kind }) => kind === 'failed'))
    .toMatchObject([{ ending: 'mended', tries: [{ held: false }, { held: true }] }])
})

/** Everything that can be pressed is large enough for a gloved thumb. */
async function smallTargets(page: Page): Promise<string[]> {
  return page.evaluate(() =>
    [...document.querySelectorAll('main button, main a[href], main input, main textarea, main nav a')].flatMap(
      (element) => {
        const { width, height } = element.getBoundingClientRect()
        // What a button stands for is hidden behind it.
        if (!element.checkVisibility() || width <= 1 || height <= 1) return []
        return width >= 44 && height >= 44 ? [] : [`${element.textContent.trim()} ${width} × ${height}`]
      },
    ),
  )
}

test('every sight of the Trail has names, room for a thumb, and words that stand out by 7 to 1, by day and by night', async ({
  page,
}) => {
  await page.setViewportSize(phone.viewport)
  await page.clock.install({ time: new Date(`${at}:00`) })
  await newAccount(page.request, 'Eyes')
  const trip = onTheRoad()
  const id = await newTrip(page.request, trip)
  const sights = ['', '?see=broke', '?see=cause&bike=mule&sign=will-not-shift', '?see=cause&bike=mule&place=drive']
  const more = ['?see=mend&bike=mule&what=chain-broken', '?see=log', '?see=log&write=gone', '?see=log&write=got']
  const rest = ['loose', 'renewed', 'shop', 'note'].map((form) => `?see=log&write=${form}`)
  const found: string[] = []
  for (const sight of [...sights, ...more, ...rest, '?see=evening', '?see=stranded', '?see=tin']) {
    await page.goto(`/trips/${id}/trail${sight}`)
    await expect(page.getByRole('heading', { level: 1 })).not.toHaveCount(0)
    for (const colorScheme of ['light', 'dark'] as const) {
      await page.emulateMedia({ colorScheme })
      const { violations } = await new AxeBuilder({ page })
        .options({ resultTypes: ['violations'], rules: { 'color-contrast-enhanced': { enabled: true } } })
        .setLegacyMode(true)
        .analyze()
      found.push(
        ...violations.map(
          ({ id: rule, nodes }) =>
            `${sight} ${colorScheme} ${rule}: ${nodes.map(({ target, failureSummary }) => `${target.join(' ')} ${failureSummary ?? ''}`).join(', ')}`,
        ),
      )
    }
    await page.emulateMedia({ colorScheme: 'light' })
    found.push(...(await smallTargets(page)).map((target) => `${sight}: ${target}`))
    found.push(...(await boxFaults(page)).map((fault) => `${sight}: ${fault}`))
    // Twice the size is half the room.
    await page.setViewportSize({ width: 195, height: 422 })
    const across = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    )
    if (across > 0) found.push(`${sight}: scrolls across by ${across} at twice the size`)
    await page.setViewportSize(phone.viewport)
  }
  expect(found).toEqual([])
})
