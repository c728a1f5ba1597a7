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

async function demo(page: Page, key: 'r' | 'k' | 'b' | 'w'): Promise<void> {
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

const pictures: Picture[] = [
  { name: 'door', arrange: (page) => page.getByText('All that comes along weighs').waitFor() },
  {
    name: 'trips',
    arrange: async (page) => {
      await page.getByRole('button', { name: 'Step in as the demo rider' }).click()
      await page.getByRole('link', { name: /Across the Quern, June/ }).waitFor()
    },
  },
  {
    name: 'road',
    arrange: async (page) => {
      await demo(page, 'r')
      await page.getByRole('button', { name: /^tube, 622/ }).click()
      await page.getByText('Do this').first().waitFor()
    },
  },
  {
    name: 'road-stop',
    arrange: async (page) => {
      await demo(page, 'r')
      const mark = page.getByRole('button', { name: 'post pick-up at Ferrow', exact: true })
      await toTop(page.getByRole('row').filter({ has: page.getByLabel('Place of Low Stannet') }))
      await mark.click()
      await page.getByText('as it is: a kit of').waitFor()
    },
  },
  {
    name: 'road-marks',
    arrange: async (page) => {
      await demo(page, 'r')
      await page.getByText('Surfaces').click()
      await toTop(page.locator('summary').filter({ hasText: 'Surfaces' }))
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
    name: 'bikes-spares',
    night: true,
    arrange: async (page) => {
      await demo(page, 'k')
      await page.getByRole('button', { name: 'Which spares fit' }).click()
      await page.getByRole('heading', { name: 'No spare on the bench for' }).waitFor()
    },
  },
  {
    name: 'bikes-calculators',
    arrange: async (page) => {
      await demo(page, 'k')
      await page.getByRole('button', { name: 'Calculators' }).click()
      await toTop(page.getByText('It gives'))
    },
  },
  {
    name: 'road-plan',
    arrange: async (page) => {
      await demo(page, 'r')
      await page.getByRole('button', { name: /^tube, 622/ }).click()
      await page.getByRole('img', { name: /The road from above/ }).scrollIntoViewIfNeeded()
    },
  },
  {
    name: 'bench',
    arrange: (page) => demo(page, 'b'),
  },
  {
    name: 'catalogue',
    arrange: async (page) => {
      await demo(page, 'b')
      await page.getByRole('button', { name: 'Take from the catalogue' }).click()
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
    name: 'weigh-night',
    night: true,
    arrange: async (page) => {
      await demo(page, 'w')
      await page.locator('section select').first().selectOption({ label: 'without tube, 622' })
      await page.locator('[data-row]').filter({ hasText: 'CO2 head' }).click()
      await page.locator('.waterline').scrollIntoViewIfNeeded()
      await proved(page)
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
    name: 'weigh-trips',
    arrange: async (page) => {
      await demo(page, 'w')
      await page.getByRole('button', { name: 'Drawn trips' }).click()
      await page.getByRole('button', { name: 'Draw the trips' }).click()
      await page.getByText('What ran out').waitFor()
      await proved(page)
    },
  },
  {
    name: 'road-night',
    night: true,
    arrange: async (page) => {
      await demo(page, 'r')
      await toTop(page.getByRole('heading', { name: 'When' }))
    },
  },
  { name: 'road-small', small: true, arrange: (page) => demo(page, 'r') },
  { name: 'weigh-small', small: true, arrange: (page) => demo(page, 'w') },
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
