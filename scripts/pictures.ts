import { demoTrip } from '#catalogue/demo'
import { chromium, type Locator, type Page } from '@playwright/test'
import { headlessChromium } from './debian'

/** Takes the pictures of docs/screenshots anew, from the demo that is running: npm run pictures [ADDRESS] [FOLDER] [NAME …]. */
const [address = 'http://127.0.0.1:3000', folder = 'docs/screenshots', ...only] = process.argv.slice(2)

interface Picture {
  readonly name: string
  readonly night?: boolean
  readonly small?: boolean
  readonly arrange: (page: Page) => Promise<void>
}

async function demo(page: Page, key: 'r' | 'k' | 'c' | 'b' | 'w' | 'p' | 'y'): Promise<void> {
  await page.getByRole('button', { name: 'Step in as the demo rider' }).click()
  await page.getByRole('link', { name: /Across the Quern, June/ }).click()
  await page.getByText('stranded').filter({ visible: true }).waitFor()
  // The kit stands before its why.
  await page.locator('[data-balance][aria-busy=false]').filter({ visible: true }).first().waitFor()
  await page.keyboard.press(key)
}

const proved = (page: Page) => page.getByText('short of the best kit at most, proved').waitFor({ timeout: 90_000 })

/** Scrolls something to the top of the stage, under what stays there. */
async function toTop(wanted: Locator): Promise<void> {
  await wanted.evaluate((element) => {
    element.style.scrollMarginTop = '5.5rem'
    element.scrollIntoView({ block: 'start' })
  })
}

/** The demo as a trip of one's own, set off on with all of its bench and ridden to km 212, with more in its log. */
async function ridden(page: Page, stage: string, more: readonly object[]): Promise<void> {
  const account = { name: 'Maren', email: `picture-${Date.now()}@quern.example`, password: 'a picture of the road' }
  await page.request.post('/api/account', { data: account })
  const trip = demoTrip()
  const bags = trip.bikes.flatMap(({ storage }) => storage.map(({ name }) => name))
  const carried = trip.bench.map(({ id, count }, i) => ({
    rider: trip.crew[i % trip.crew.length]?.id,
    thing: id,
    count,
    bag: bags[i % bags.length],
  }))
  const entries = [{ kind: 'set off', roadKm: 0, carried }, ...more, { kind: 'passed', roadKm: 212 }]
  const log = entries.map((entry, i) => ({
    id: `entry-${i}`,
    at: `2026-06-${12 + Math.min(i, 2)}T${10 + i}:40`,
    ...entry,
  }))
  await page.clock.setFixedTime(new Date('2026-06-14T15:40:00'))
  const answer = await page.request.post('/api/trips', { data: { ...trip, log } })
  const { id } = (await answer.json()) as { id: string }
  await page.goto(`/trips/${id}/${stage}`)
}

const pictures: Picture[] = [
  { name: 'door', arrange: (page) => page.getByText('All that comes along weighs').waitFor() },
  {
    name: 'road',
    arrange: async (page) => {
      await demo(page, 'r')
      await page.getByRole('button', { name: /^tube, 622/ }).click()
      await page.getByText('Do this').first().waitFor()
    },
  },
  {
    name: 'bikes',
    arrange: async (page) => {
      await demo(page, 'k')
      await page.getByRole('button', { name: 'The Mule, tourer', exact: true }).click()
      await page.getByRole('heading', { name: 'What it has' }).waitFor()
    },
  },
  {
    name: 'bikes-fit',
    arrange: async (page) => {
      await demo(page, 'k')
      await page.getByRole('button', { name: 'What turns what' }).click()
      await page.getByRole('application').focus()
      for (let i = 0; i < 9; i++) await page.keyboard.press('ArrowRight')
      await toTop(page.getByText(/turn with what lies on the bench/))
    },
  },
  {
    name: 'crew',
    arrange: async (page) => {
      await demo(page, 'c')
      await page.getByRole('button', { name: 'Hands and practice' }).click()
      await page.getByRole('list', { name: 'Practice that spares most' }).waitFor()
    },
  },
  {
    name: 'weigh-frontier',
    arrange: async (page) => {
      await demo(page, 'w')
      await page.getByRole('button', { name: 'Light to heavy' }).click()
      await page.getByRole('list', { name: 'The best kits by mass' }).waitFor()
      await page.getByRole('button', { name: 'Prove how low it could lie' }).click({ timeout: 60_000 })
      await page.getByText(/^Proved: of none/).waitFor({ timeout: 240_000 })
    },
  },
  {
    name: 'bench',
    arrange: (page) => demo(page, 'b'),
  },
  {
    name: 'shed',
    night: true,
    arrange: async (page) => {
      await page.getByRole('button', { name: 'Step in as the demo rider' }).click()
      await page.getByRole('link', { name: /^Shed/ }).click()
      await page.getByText('Saved with your account.').waitFor()
    },
  },
  {
    name: 'weigh',
    arrange: async (page) => {
      await demo(page, 'w')
      await page.locator('[data-row]').filter({ hasText: 'Tube 622 × 28' }).click()
      await page.getByText(/With the rest of the kit as it is/).waitFor()
      await proved(page)
    },
  },
  {
    name: 'weigh-stances',
    night: true,
    arrange: async (page) => {
      await demo(page, 'w')
      await proved(page)
      await page.getByRole('button', { name: 'Stances' }).click()
      await page.getByText(/Weighing what each would pack/).waitFor()
      await page.getByText(/Weighing what each would pack/).waitFor({ state: 'detached', timeout: 90_000 })
    },
  },
  {
    name: 'weigh-failures',
    arrange: async (page) => {
      await demo(page, 'w')
      await page.getByRole('button', { name: 'What can fail' }).click()
      await page.getByRole('button', { name: /^chain broken.*The Fox/ }).click()
      await proved(page)
    },
  },
  {
    name: 'weigh-ways',
    arrange: async (page) => {
      await demo(page, 'w')
      await proved(page)
      await page.getByRole('button', { name: 'Every way' }).click()
      await page.getByText(/Weighing what weighs nothing/).waitFor()
      await page.getByText(/Weighing what weighs nothing/).waitFor({ state: 'detached', timeout: 150_000 })
    },
  },
  {
    name: 'suppose',
    night: true,
    arrange: async (page) => {
      await demo(page, 'r')
      await page.keyboard.press('i')
      await toTop(page.getByRole('heading', { name: 'When' }))
      await page.getByRole('spinbutton', { name: /^day/ }).first().focus()
      await page.keyboard.press('ArrowUp')
      await page.getByText('comes along:', { exact: true }).waitFor()
      await page.locator('[data-balance][aria-busy=false]').filter({ visible: true }).first().waitFor()
    },
  },
  {
    name: 'ready',
    arrange: async (page) => {
      await demo(page, 'y')
      await page.getByLabel('as seen on').fill('2026-06-04')
      await page.getByLabel('as seen on').blur()
      await page
        .getByRole('status')
        .filter({ hasText: /Looking|Weighing/ })
        .waitFor({ state: 'detached', timeout: 60_000 })
      await toTop(page.getByRole('heading', { name: /^Overdue/ }))
      await page.locator('[data-task="check mule spokes"] [data-row]').click()
    },
  },
  {
    name: 'papers',
    arrange: async (page) => {
      await demo(page, 'y')
      await page.getByRole('link', { name: 'Papers' }).click()
      await page.frameLocator('[data-papers]').getByRole('heading', { name: 'The kit' }).waitFor({ timeout: 60_000 })
      await page.getByLabel('The kit, bag by bag').uncheck()
      await page.getByLabel('Cards for the tin').uncheck()
      await page.getByLabel('Stops, shops and gaps').uncheck()
      await page.getByLabel('Ways out').uncheck()
    },
  },
  {
    name: 'pack',
    arrange: async (page) => {
      await demo(page, 'p')
      await page.locator('[data-sums]').first().waitFor({ timeout: 60_000 })
      await page.getByText(/^Packing/).waitFor({ state: 'detached' })
      await page.getByRole('button', { name: /^Frame bag, half/ }).click()
      await toTop(page.getByRole('region', { name: 'The Fox, gravel' }))
    },
  },
  // The last of all: it changes the demo's trip.
  {
    name: 'split',
    arrange: async (page) => {
      await demo(page, 'c')
      await page.getByRole('button', { name: 'Together and help' }).click()
      const apart = page.getByLabel('Of the riding, out of reach')
      await apart.fill('30')
      await apart.press('Enter')
      await page.getByRole('heading', { name: 'Crew' }).click()
      await page.keyboard.press('s')
      await page.getByRole('list', { name: 'Carried twice' }).waitFor({ timeout: 60_000 })
      await page.getByText(/^Splitting/).waitFor({ state: 'detached' })
      await page.locator('button.piece').first().click()
      await page.getByRole('button', { name: /^to Ansel.* lost/ }).waitFor()
    },
  },
  {
    name: 'trail',
    small: true,
    arrange: async (page) => {
      await ridden(page, 'trail', [])
      await page.locator('[data-promise]').waitFor()
    },
  },
  {
    name: 'look-back',
    arrange: async (page) => {
      const tries = [
        { fix: 'plug-hole', by: 'maren', could: true, held: false, minutes: 14, took: ['plug-kit', 'mini-pump'] },
        { fix: 'plug-hole', by: 'maren', could: true, held: true, minutes: 9, took: ['plug-kit', 'mini-pump'] },
      ]
      await ridden(page, 'look-back', [
        { kind: 'failed', roadKm: 90, hazard: 'tubeless-hole', bikeId: 'fox', wheel: 'rear', ending: 'mended', tries },
        { kind: 'failed', roadKm: 150, hazard: 'hanger-bent', bikeId: 'fox', ending: 'walked' },
        { kind: 'got', roadKm: 196, how: 'bought', item: 'hanger', name: 'Hanger, shape K3' },
      ])
      await page.locator('[data-next]').waitFor()
    },
  },
]

const browser = await chromium.launch({
  executablePath: headlessChromium.place,
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking'],
})
const wanted = pictures.filter(({ name }) => only.length === 0 || only.includes(name))
for (const { name, night, small, arrange } of wanted) {
  const context = await browser.newContext({
    viewport: small ? { width: 390, height: 844 } : { width: 1280, height: 800 },
    colorScheme: night ? 'dark' : 'light',
    baseURL: address,
  })
  const page = await context.newPage()
  await page.goto(address)
  await arrange(page)
  await page.waitForTimeout(500)
  await page.screenshot({ path: `${folder}/${name}.png` })
  console.log(`${folder}/${name}.png`)
  await context.close()
}
await browser.close()
