import AxeBuilder from '@axe-core/playwright'
import { expect, type APIRequestContext, type Page } from '@playwright/test'
import { demoTrip } from '#catalogue/demo'
import { mostChanges, type OwnedThing } from '#core/shed'
import type { Trip } from '#core/trip'
import { randomUUID } from 'node:crypto'

let people = 0

/** Of a request without a page: a connection that the server lets go of just then is made anew, as a browser does. */
export const again = { maxRetries: 3 }

/** Signs up somebody new and arrives at the trips. */
export async function signUp(page: Page, name: string): Promise<void> {
  await page.goto('/')
  await page.getByRole('button', { name: 'Sign up', exact: true }).click()
  await page.getByLabel('Name', { exact: true }).fill(name)
  await page
    .getByLabel('E-mail address')
    .fill(`${name.toLowerCase()}-${process.pid}-${Date.now()}-${people++}@quern.example`)
  await page.getByLabel('Password').fill(`${name} goes by bicycle`)
  await page.locator('form').getByRole('button', { name: 'Sign up' }).click()
  await expect(page.getByRole('heading', { name: 'Trips', exact: true })).toBeVisible()
}

export async function beginTrip(page: Page, name: string): Promise<void> {
  await page.getByLabel('Name', { exact: true }).first().fill(name)
  await page.getByRole('button', { name: 'Begin' }).click()
  await expect(page.getByRole('heading', { name: 'Road', exact: true })).toBeVisible()
}

export async function openDemo(page: Page, stage: 'road' | 'bikes' | 'crew' | 'bench' | 'weigh'): Promise<void> {
  await page.goto('/')
  await page.getByRole('button', { name: 'Step in as the demo rider' }).click()
  await page
    .getByRole('link', { name: /Across the Quern, June/ })
    .first()
    .click()
  await expect(page.getByRole('heading', { name: 'Weigh' })).toBeVisible()
  if (stage !== 'weigh') await page.keyboard.press({ road: 'r', bikes: 'k', crew: 'c', bench: 'b' }[stage])
  await expect(page.getByRole('heading', { name: new RegExp(`^${stage}$`, 'i') })).toBeVisible()
  await analysed(page)
}

export interface Account {
  readonly name: string
  readonly email: string
  readonly password: string
}

/** Signs up somebody new without a page. */
export async function newAccount(request: APIRequestContext, name: string): Promise<Account> {
  const email = `${name.toLowerCase()}-${process.pid}-${Date.now()}-${people++}@quern.example`
  const account = { name, email, password: 'a bicycle of my own' }
  expect((await request.post('/api/account', { ...again, data: account })).ok()).toBe(true)
  return account
}

/** Signs in at the door. */
export async function signIn(page: Page, { email, password }: Account): Promise<void> {
  await page.getByLabel('E-mail address').fill(email)
  await page.getByLabel('Password').fill(password)
  await page.locator('form').getByRole('button', { name: 'Sign in' }).click()
}

/** Begins a trip without a page. @returns its id */
export async function newTrip(request: APIRequestContext, change: object = {}): Promise<string> {
  const answer = await request.post('/api/trips', { ...again, data: { ...demoTrip(), ...change } })
  expect(answer.ok(), await answer.text()).toBe(true)
  return ((await answer.json()) as { id: string }).id
}

/** Of the demo, one rider on one bike: as much again is weighed in half the time. */
export function alone(): Pick<Trip, 'bikes' | 'crew'> {
  const { bikes, crew } = demoTrip()
  return { bikes: bikes.filter(({ id }) => id === 'mule'), crew: crew.filter(({ bikeId }) => bikeId === 'mule') }
}

/** Puts things into the shed of whoever is signed in, without a page. */
export async function fillShed(request: APIRequestContext, things: readonly OwnedThing[]): Promise<void> {
  for (let from = 0; from < things.length; from += mostChanges) {
    const changes = things.slice(from, from + mostChanges).map((thing) => ({ id: thing.id, base: '', thing }))
    const answer = await request.patch('/api/shed', { ...again, data: { save: randomUUID(), changes } })
    expect(answer.ok(), await answer.text()).toBe(true)
  }
}
/** The trip as the server has it. */
export async function onServer(request: APIRequestContext, id: string): Promise<Trip> {
  const answer = await request.get(`/api/trips/${id}`, again)
  expect(answer.ok(), await answer.text()).toBe(true)
  return ((await answer.json()) as { trip: Trip }).trip
}

/** Signs up somebody new with the demo as a trip of their own, so that what is done to it is nobody else’s matter. */
export async function openOwnDemo(
  page: Page,
  stage: 'road' | 'bikes' | 'crew' | 'bench' | 'weigh' | 'split' | 'pack' | 'ready',
  change: object = {},
): Promise<void> {
  await newAccount(page.request, 'Own')
  const id = await newTrip(page.request, change)
  await page.goto(`/trips/${id}/${stage}`)
  await expect(page.getByRole('heading', { name: new RegExp(`^${stage}$`, 'i') })).toBeVisible()
  await analysed(page)
}

/** The balance has been analysed. */
export async function analysed(page: Page): Promise<void> {
  await expect(page.locator('[data-balance][aria-busy=false]').filter({ visible: true }).first()).toContainText(
    'stranded',
  )
}

/** Everything has reached the server. */
export async function saved(page: Page): Promise<void> {
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
}

/** Row of a thing in Weigh, with its verdict. */
export const rowOf = (page: Page, name: string | RegExp) => page.locator('[data-row]').filter({ hasText: name })

/** Names and verdicts of all rows. */
export async function verdicts(page: Page): Promise<string[]> {
  return page
    .locator('[data-row]')
    .evaluateAll((rows) => rows.map((row) => (row as HTMLElement).innerText.replace(/\s+/g, ' ')))
}

export async function takeFromCatalogue(page: Page, names: readonly string[]): Promise<void> {
  await page.getByRole('button', { name: 'Take from the catalogue' }).click()
  const dialog = page.getByRole('dialog')
  for (const name of names) {
    await dialog.getByRole('searchbox').fill(name)
    await dialog.getByRole('button', { name: `Take ${name}`, exact: true }).click()
  }
  await dialog.getByRole('button', { name: 'Close' }).click()
}

/** Axe finds nothing, by day; and by night nothing that could be otherwise then: the contrasts. */
export async function expectNoAxeViolations(page: Page): Promise<void> {
  await inScheme(page, 'light', 'day')
  const byDay = await violations(page, {})
  await inScheme(page, 'dark', 'night')
  const byNight = await violations(page, { runOnly: { type: 'rule', values: ['color-contrast'] } })
  await inScheme(page, 'light', 'day')
  expect([...byDay, ...byNight]).toEqual([])
}

/**
 * What axe finds wrong. All rules are tried; what passed them is not written down one by one, and the findings are not
 * gathered in a second page, which is there for frames from elsewhere: both take three times as long as the rules.
 */
async function violations(page: Page, options: object): Promise<string[]> {
  const found = await new AxeBuilder({ page })
    .options({ resultTypes: ['violations'], ...options })
    .setLegacyMode(true)
    .analyze()
  return found.violations.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.target.join(' ')).join(', ')}`)
}

async function inScheme(page: Page, colorScheme: 'light' | 'dark', name: 'day' | 'night'): Promise<void> {
  await page.emulateMedia({ colorScheme })
  // Both ends are read, so that a failure says whether the browser or the page did not follow.
  const followed = () =>
    page.evaluate(() => ({
      prefersDark: matchMedia('(prefers-color-scheme: dark)').matches,
      scheme: document.documentElement.dataset.scheme,
    }))
  await expect.poll(followed).toEqual({ prefersDark: colorScheme === 'dark', scheme: name })
  // Colours glide from one scheme to the other.
  await page.evaluate(() => Promise.all(document.getAnimations().map(({ finished }) => finished.catch(() => null))))
}

/** The field in which it is said when the ride begins, part by part: day, month, year, hour, minute. */
export const startField = (page: Page) => page.getByRole('group', { name: 'The ride begins' })

/** Types when the ride begins, such as 2026-06-13T08:30, and goes on. */
export async function setStart(page: Page, start: string): Promise<void> {
  const [year = '', month = '', day = '', hour = '', minute = ''] = start.split(/\D/)
  await startField(page).getByRole('spinbutton').first().click()
  await page.keyboard.type(`${day}${month}${year}${hour}${minute}`)
  await page.getByRole('heading', { name: 'When' }).click()
}

export async function expectStart(page: Page, start: string): Promise<void> {
  const [year = '', month = '', day = '', hour = '', minute = ''] = start.split(/\D/)
  await expect(startField(page)).toHaveText(`${day}/${month}/${year}, ${hour}:${minute}`)
}

/** Goes on with Tab, round the page if need be, until something by that name has the focus. */
export async function tabTo(page: Page, name: RegExp, most = 120) {
  for (let i = 0; i < most; i++) {
    const focused = await page.evaluate(() => {
      const element = document.activeElement
      const label = element instanceof HTMLInputElement || element instanceof HTMLSelectElement ? element.labels : null
      return (element?.getAttribute('aria-label') ?? label?.[0]?.textContent ?? element?.textContent ?? '').trim()
    })
    if (name.test(focused)) return
    await page.keyboard.press('Tab')
  }
  throw new Error(`nothing by the name of ${name} is reached with Tab`)
}
