import { chromium } from '@playwright/test'
import { symptoms } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { headlessChromium } from '../../scripts/debian'
import { expectedAnswers, onTheRoad, phone } from '../e2e/trail-steps'
import { longRoad } from './long-road'
import { loopMs, ms, say } from './measure'
import { defined, nth } from '#core/validation'

/** Speed of the Trail on a telephone four times slower than this machine, against a demo that is running: npm run bench:trail [ADDRESS]. */
const [address = 'http://127.0.0.1:3000'] = process.argv.slice(2)
const slower = 4

const browser = await chromium.launch({
  executablePath: headlessChromium.place,
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic'],
})
const median = (times: readonly number[]) =>
  nth(
    times.toSorted((a, b) => a - b),
    Math.floor(times.length / 2),
  )

try {
  const device = await browser.newContext({ ...phone, baseURL: address })
  const email = `bench-${Date.now()}@quern.example`
  await device.request.post('/api/account', { data: { name: 'Bench', email, password: 'a phone in the rain' } })
  const trip = onTheRoad()
  const { id } = (await (await device.request.post('/api/trips', { data: trip })).json()) as { id: string }
  const first = await device.newPage()
  await first.goto(`/trips/${id}/trail`)
  await first.locator('[data-where]').waitFor()
  await first.evaluate(() => navigator.serviceWorker.ready)
  await first.close()
  await device.setOffline(true)

  const loops = [loopMs()]
  const starts: number[] = []
  for (let run = 0; run < 9; run++) {
    const page = await device.newPage()
    const session = await device.newCDPSession(page)
    await session.send('Emulation.setCPUThrottlingRate', { rate: slower })
    await page.goto(`/trips/${id}/trail?see=mend&bike=mule&what=chain-broken`, { waitUntil: 'commit' })
    // In the page itself: from where it was asked for to the frame that shows the answer.
    starts.push(
      await page.evaluate(async () => {
        while (!document.querySelector('[data-first-way]')) await new Promise(requestAnimationFrame)
        return performance.now()
      }),
    )
    await page.close()
  }
  say('cold start without a network, to the first answer', ms(median(starts)), '≤ 2000 ms')

  loops.push(loopMs())
  const page = await device.newPage()
  await page.goto(`/trips/${id}/trail`)
  await page.locator('[data-promise]').waitFor()
  const session = await device.newCDPSession(page)
  await session.send('Emulation.setCPUThrottlingRate', { rate: slower })
  const broken = expectedAnswers(trip, 6).slice(0, 6)
  const touches: number[][] = []
  // Each of the same touches three times over, so that what else this machine was at is not taken for an answer.
  for (let round = 0; round < 3; round++) {
    for (const [failure, { symptom, hazard, wheel }] of broken.entries()) {
      const names = [
        page.getByRole('button', { name: 'It broke', exact: true }),
        page
          .locator('[data-symptoms]')
          .getByRole('button', { name: defined(symptoms.find(({ id: sign }) => sign === symptom)).name, exact: true }),
        page.locator(`[data-cause="${hazard} ${wheel ?? ''}"]`).first(),
      ]
      for (const [at, button] of names.entries()) {
        const next = defined(['[data-symptoms]', '[data-cause]', '[data-first-way]'][at])
        await button.waitFor()
        // In the page itself: from the touch to the frame that shows what comes of it.
        const took = await button.evaluate(async (element, sought) => {
          const began = performance.now()
          ;(element as HTMLElement).click()
          while (!document.querySelector(sought)?.checkVisibility()) await new Promise(requestAnimationFrame)
          return performance.now() - began
        }, next)
        ;(touches[failure * names.length + at] ??= []).push(took)
      }
      await page.goto(`/trips/${id}/trail`)
      await page.locator('[data-promise]').waitFor()
    }
  }
  const answered = touches.map(median)
  say('a touch answered, median', ms(median(answered)), '≤ 100 ms')
  say('the slowest touch of 18, each the median of three', ms(Math.max(...answered)), '≤ 100 ms')
  loops.push(loopMs())
  say('a loop of 200 million steps meanwhile, the slowest of three', ms(Math.max(...loops)), 'about 500 ms')
  await device.close()

  const other = await browser.newContext({ ...phone, baseURL: address })
  await other.request.post('/api/account', {
    data: { name: 'Long', email: `long-${email}`, password: 'a phone in the rain' },
  })
  const long = { ...demoTrip(), stops: [], road: { points: longRoad(100_000) } }
  const made = (await (await other.request.post('/api/trips', { data: long })).json()) as { id: string }
  const before = await other.newPage()
  await before.goto('/trips')
  await before.evaluate(() => navigator.serviceWorker.ready)
  const usage = () => before.evaluate(async () => (await navigator.storage.estimate()).usage ?? 0)
  const empty = await usage()
  const opened = await other.newPage()
  await opened.goto(`/trips/${made.id}/trail`)
  await opened.locator('[data-where]').waitFor()
  say('a trip of 100 000 points on the device', `${(((await usage()) - empty) / 1024 ** 2).toFixed(1)} MB`, '≤ 10 MB')
} finally {
  await browser.close()
}
