import { demoTrip } from '#catalogue/demo'
import type { Page } from '@playwright/test'
import { ms, say } from './measure'

/**
 * How soon a press is answered on the screen, with the demo's bench and with a hundred things on it: until it is seen, as the
 * browser's own event timing has it; until the balance tells what comes of it for the kit as it is; and until the best kit
 * has been found, which both are reckoned beside the page.
 */
export async function sayHowItFeels(page: Page): Promise<void> {
  const { bench, ...rest } = demoTrip()
  const hundred = Array.from({ length: 100 }, (_, i) => {
    const thing = bench[i % bench.length]
    return { ...thing, id: `thing-${i}`, name: `${thing?.name ?? ''} ${Math.floor(i / bench.length) + 1}` }
  })
  await sayOfBench(page, { ...rest, bench })
  await sayOfBench(page, { ...rest, bench: hundred })
}

async function sayOfBench(page: Page, trip: object & { readonly bench: readonly object[] }): Promise<void> {
  const things = `${trip.bench.length} things`
  const answer = await page.request.post('/api/trips', { data: trip })
  const { id } = (await answer.json()) as { id: string }
  const atRest = () =>
    page.locator('[data-balance][aria-busy=false]').filter({ hasText: 'stranded', visible: true }).first().waitFor()
  const open = async (stage: string) => {
    await page.goto(`/trips/${id}/${stage}`)
    await atRest()
    await page.waitForTimeout(2500)
    await watchPresses(page)
  }
  const tell = async (what: string) => {
    const { seen, told, found } = await pressesSeen(page)
    const median = (times: number[]) => ms([...times].sort((a, b) => a - b)[times.length >> 1] ?? 0)
    say(`${things}: ${what}: longest until seen`, ms(Math.max(0, ...seen)), '≤ 150 ms')
    say(`${things}: ${what}: until the balance tells, median of ${told.length}`, median(told), '≤ 150 ms')
    say(`${things}: ${what}: until the best kit is found, median of ${found.length}`, median(found), '')
  }
  const press = async (key: string) => {
    await page.keyboard.press(key)
    await page.waitForTimeout(200)
    await atRest()
    await page.waitForTimeout(300)
  }

  await open('road')
  for (const stop of ['Quillby', 'Hobs Garth', 'Ashmere', 'Brannock', 'Ferrow']) {
    await page
      .getByRole('button', { name: `workshop at ${stop}` })
      .first()
      .click()
    await press('Escape')
  }
  await tell('a service ticked, five times')

  await open('road')
  await page.getByRole('spinbutton', { name: /^day/ }).first().focus()
  // With Enter the date counts at once; else it does where one stays with it for half a second.
  for (let day = 0; day < 5; day++) {
    await page.keyboard.press('ArrowUp')
    await press('Enter')
  }
  await tell('a day later, five times')

  await open('crew?room=hands')
  const hand = page.locator('select.hand').nth(12)
  await hand.focus()
  for (const level of ['0', '3', '1', '2', '0']) await press(level)
  await tell('a hand set, five times')

  await open('bench')
  for (let place = 0; place < 5; place++) {
    await page
      .getByRole('button', { name: / more$/ })
      .nth(7 * place)
      .click()
    await page.waitForTimeout(200)
    await atRest()
  }
  await tell('one more laid, five times')

  await open('weigh')
  await page.locator('aside').getByRole('slider').focus()
  for (let turn = 0; turn < 10; turn++) await press('ArrowRight')
  await tell('the dial turned, ten times')
}

/** Of each press, ms: until a frame shows what it did, until the balance tells of it, and until the best kit is found. */
interface Presses {
  readonly seen: number[]
  readonly told: number[]
  readonly found: number[]
}
interface Watching extends Window {
  presses?: Presses
}

/** From now on, presses are kept. */
async function watchPresses(page: Page): Promise<void> {
  await page.evaluate(() => {
    const presses: Presses = { seen: [], told: [], found: [] }
    ;(window as Watching).presses = presses
    let pressedAt: number | undefined
    let isTold = false
    let wasBusy = false
    for (const kind of ['pointerdown', 'keydown'])
      addEventListener(
        kind,
        () => {
          if (pressedAt !== undefined) return
          pressedAt = performance.now()
          isTold = wasBusy = false
        },
        { capture: true },
      )
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) presses.seen.push(duration)
    }).observe({ type: 'event', buffered: false, durationThreshold: 16 } as PerformanceObserverInit)
    let before: string | undefined
    setInterval(() => {
      const balance = [...document.querySelectorAll('[data-balance]')].find((each) => each.checkVisibility())
      const now = balance?.textContent
      const isBusy = balance?.getAttribute('aria-busy') === 'true'
      if (pressedAt !== undefined) {
        const sinceMs = performance.now() - pressedAt
        if (!isTold && now !== before) {
          presses.told.push(sinceMs)
          isTold = true
        }
        if (wasBusy && !isBusy) {
          presses.found.push(sinceMs)
          pressedAt = undefined
        }
      }
      wasBusy = isBusy
      before = now
    }, 5)
  })
}
const pressesSeen = (page: Page): Promise<Presses> =>
  page.evaluate(() => (window as Watching).presses ?? { seen: [], told: [], found: [] })
