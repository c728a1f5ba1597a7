import { demoTrip } from '#catalogue/demo'
import type { Page } from '@playwright/test'
import { ms, say } from './measure'

/**
 * How soon a press is answered on the screen with a hundred things on the bench: until it is seen, as the browser's own event
 * timing has it; and until the balance tells what comes of it, which is reckoned beside the page.
 */
export async function sayHowItFeels(page: Page): Promise<void> {
  const { bench, ...rest } = demoTrip()
  const hundred = Array.from({ length: 100 }, (_, i) => {
    const thing = bench[i % bench.length]
    return { ...thing, id: `thing-${i}`, name: `${thing?.name ?? ''} ${Math.floor(i / bench.length) + 1}` }
  })
  const answer = await page.request.post('/api/trips', { data: { ...rest, bench: hundred } })
  const { id } = (await answer.json()) as { id: string }
  const open = async (stage: string) => {
    await page.goto(`/trips/${id}/${stage}`)
    await page.locator('[data-balance][aria-busy=false]').filter({ hasText: 'stranded' }).first().waitFor()
    await page.waitForTimeout(2500)
    await watchPresses(page)
  }
  const tell = async (what: string) => {
    const { seen, told } = await pressesSeen(page)
    say(`100 things: ${what}: longest until seen`, ms(Math.max(0, ...seen)), '≤ 150 ms')
    const ordered = [...told].sort((a, b) => a - b)
    say(
      `100 things: ${what}: until the balance tells, median of ${told.length}`,
      ms(ordered[told.length >> 1] ?? 0),
      '',
    )
  }
  const press = async (key: string, restMs = 700) => {
    await page.keyboard.press(key)
    await page.waitForTimeout(restMs)
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
  for (let day = 0; day < 5; day++) await press('ArrowUp')
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
    await page.waitForTimeout(700)
  }
  await tell('one more laid, five times')

  await open('weigh')
  await page.locator('aside').getByRole('slider').focus()
  for (let turn = 0; turn < 10; turn++) await press('ArrowRight', 300)
  await tell('the dial turned, ten times')
}

/** Of each press: how long until the next frame shows what it did, and until the balance was reckoned anew. */
interface Presses {
  readonly seen: number[]
  readonly told: number[]
}
interface Watching extends Window {
  presses?: Presses
}

/** From now on, presses are kept. */
async function watchPresses(page: Page): Promise<void> {
  await page.evaluate(() => {
    const presses: Presses = { seen: [], told: [] }
    ;(window as Watching).presses = presses
    let pressedAt: number | undefined
    for (const kind of ['pointerdown', 'keydown'])
      addEventListener(kind, () => (pressedAt ??= performance.now()), { capture: true })
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) presses.seen.push(duration)
    }).observe({ type: 'event', buffered: false, durationThreshold: 16 } as PerformanceObserverInit)
    let before: string | undefined
    setInterval(() => {
      const buttons = [...document.querySelectorAll('[data-balance] button')]
      const now = buttons.find(({ textContent }) => textContent.includes('lost in all'))?.textContent
      if (now === before) return
      if (before !== undefined && pressedAt !== undefined) presses.told.push(performance.now() - pressedAt)
      before = now
      pressedAt = undefined
    }, 5)
  })
}
const pressesSeen = (page: Page): Promise<Presses> =>
  page.evaluate(() => (window as Watching).presses ?? { seen: [], told: [] })
