import { demoTrip } from '#catalogue/demo'
import type { Page } from '@playwright/test'
import { ms, say } from './measure'

/** How soon a press is answered on the screen with a hundred things on the bench, as the browser's own event timing has it. */
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
  await open('road')
  for (const stop of ['Quillby', 'Hobs Garth', 'Ashmere', 'Brannock', 'Ferrow']) {
    await page
      .getByRole('button', { name: `workshop at ${stop}` })
      .first()
      .click()
    await page.keyboard.press('Escape')
    await page.waitForTimeout(700)
  }
  say('100 things: a service ticked, five times: longest until seen', ms(await longestPress(page)), '≤ 150 ms')
  await open('bench')
  for (let press = 0; press < 5; press++) {
    await page
      .getByRole('button', { name: / more$/ })
      .nth(7 * press)
      .click()
    await page.waitForTimeout(700)
  }
  say('100 things: one more laid, five times: longest until seen', ms(await longestPress(page)), '≤ 150 ms')
  await open('weigh')
  await page.locator('aside').getByRole('slider').focus()
  for (let press = 0; press < 10; press++) {
    await page.keyboard.press('ArrowRight')
    await page.waitForTimeout(300)
  }
  say('100 things: the dial turned, ten times: longest until seen', ms(await longestPress(page)), '≤ 150 ms')
}

interface Watching extends Window {
  longestPress?: number
}

/** From now on, the longest time from a press to the frame that shows what it did is kept. */
async function watchPresses(page: Page): Promise<void> {
  await page.evaluate(() => {
    const kept = window as Watching
    kept.longestPress = 0
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) kept.longestPress = Math.max(kept.longestPress ?? 0, duration)
    }).observe({ type: 'event', buffered: false, durationThreshold: 16 } as PerformanceObserverInit)
  })
}
const longestPress = (page: Page) => page.evaluate(() => (window as Watching).longestPress ?? 0)
