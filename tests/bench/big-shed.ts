import { randomUUID } from 'node:crypto'
import { demoShed } from '#catalogue/demo'
import { mostChanges, type OwnedThing } from '#core/shed'
import { nth } from '#core/validation'
import type { Page } from '@playwright/test'
import { longestTask, watchLongTasks } from './long-tasks'
import { ms, say } from './measure'

const count = 1000

/** How long a shed of a thousand things keeps one waiting: while it is opened, scrolled, put in order and searched. */
export async function sayOfBigShed(page: Page): Promise<void> {
  const things = Array.from({ length: count }, (_, i): OwnedThing => {
    const thing = nth(demoShed, i % demoShed.length)
    return { ...thing, id: `t${i}`, name: `${thing.name} ${i}`, massG: 10 + i }
  })
  for (let from = 0; from < things.length; from += mostChanges) {
    const changes = things.slice(from, from + mostChanges).map((thing) => ({ id: thing.id, base: '', thing }))
    await page.request.patch('/api/shed', { data: { save: randomUUID(), changes } })
  }

  await page.goto('/trips')
  await page.getByRole('link', { name: /^Shed/ }).waitFor()
  await page.waitForTimeout(2000)
  await watchLongTasks(page)
  await page.getByRole('link', { name: /^Shed/ }).click()
  await page.getByText(`${count} things,`).waitFor()
  await page.waitForTimeout(1000)
  say(`a shed of ${count} things opened: longest task`, ms(await longestTask(page)), '≤ 50 ms')

  await watchLongTasks(page)
  const main = page.locator('main')
  await main.hover()
  for (let turn = 0; turn < 60; turn++) {
    await page.mouse.wheel(0, 240)
    await page.waitForTimeout(16)
  }
  say('scrolled by the wheel: longest task', ms(await longestTask(page)), '≤ 50 ms')

  await watchLongTasks(page)
  for (let step = 0; step < 40; step++) {
    await main.evaluate((element, share) => {
      element.scrollTo({ top: share * element.scrollHeight })
    }, step / 40)
    await page.waitForTimeout(25)
  }
  say('dragged from end to end, screens at a time: longest task', ms(await longestTask(page)), '≤ 50 ms')

  await watchLongTasks(page)
  for (const order of ['heaviest first', 'the tin first', 'by name']) {
    await page.getByLabel('Order').selectOption(order)
    await page.waitForTimeout(300)
  }
  say('put in order three ways: longest task', ms(await longestTask(page)), '≤ 50 ms')

  await watchLongTasks(page)
  await page.getByRole('searchbox', { name: 'Show only things that match' }).pressSequentially('tube 7', { delay: 60 })
  await page.waitForTimeout(500)
  say('searched, letter by letter: longest task', ms(await longestTask(page)), '≤ 50 ms')
}
