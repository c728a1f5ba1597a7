import type { Page } from '@playwright/test'
import { demoTrip } from '#catalogue/demo'
import { expect, test } from './rig'
import { newAccount, newTrip, analysed } from './steps'

const long = (name: string) => name.padEnd(118, 'x')
/** The demo with names as long as they may be, and not a blank in them. */
function longNames() {
  const { road, stops, bikes, crew, bench } = demoTrip()
  const named = <T>(list: readonly T[], name: string) =>
    list.map((entry, i) => ({ ...entry, name: long(`${name}${i}`) }))
  return {
    name: long('Trip'),
    road: { ...road, name: long('Road') },
    stops: named(stops, 'Stop'),
    bikes: named(bikes, 'Bike').map((bike) => ({ ...bike, fasteners: named(bike.fasteners, 'Fastener') })),
    crew: named(crew, 'Rider'),
    bench: named(bench, 'Thing'),
  }
}

/** What one could want to press or fill in and cannot get at, for it lies beyond the edge and nothing scrolls to it. */
function beyondTheEdge(page: Page, width: number): Promise<string[]> {
  return page.evaluate((edge) => {
    const scrolls = (element: Element | null): boolean =>
      element !== null &&
      ((/auto|scroll/.test(getComputedStyle(element).overflowX) && element.scrollWidth > element.clientWidth) ||
        scrolls(element.parentElement))
    return [...document.querySelectorAll('button, input, select, a, summary, h1, h2')]
      .filter((element) => element.getBoundingClientRect().right > edge + 1 && !scrolls(element.parentElement))
      .map((element) => `${element.tagName} ${element.textContent?.slice(0, 30)}`)
  }, width)
}

for (const [width, height] of [
  [1280, 800],
  [390, 844],
] as const) {
  test(`names as long as they may be push nothing off a page ${width} wide`, async ({ newDevice }) => {
    const isMobile = width < 500
    const context = await newDevice({ viewport: { width, height }, isMobile, hasTouch: isMobile })
    const page = await context.newPage()
    await newAccount(page.request, 'N'.repeat(100))
    const id = await newTrip(page.request, longNames())
    const holds = async (where: string) => {
      expect(await beyondTheEdge(page, width), where).toEqual([])
      expect(await page.evaluate(() => document.documentElement.scrollWidth), where).toBeLessThanOrEqual(width)
    }
    for (const stage of ['road', 'bikes', 'bench', 'weigh']) {
      await page.goto(`/trips/${id}/${stage}`)
      await expect(page.getByRole('heading', { name: new RegExp(`^${stage}$`, 'i') })).toBeVisible()
      await analysed(page)
      await holds(stage)
      if (stage === 'bench') {
        await page
          .getByRole('button', { name: /^Change/ })
          .first()
          .click()
        await expect(page.getByRole('dialog').getByRole('heading')).toBeVisible()
        await holds('a thing')
      }
      if (stage === 'weigh') {
        await page.locator('[data-row]').first().click()
        await holds('claims')
      }
    }
    await page.goto('/trips')
    await expect(page.getByRole('heading', { name: 'A new trip' })).toBeVisible()
    await expect(page.getByRole('link', { name: /Tripxxx/ })).toBeVisible()
    await holds('trips')
  })
}
