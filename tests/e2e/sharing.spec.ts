import type { BrowserContext, Page } from '@playwright/test'
import { demoTrip } from '#catalogue/demo'
import { nth } from '#core/validation'
import { expect, test } from './rig'
import { again, expectNoAxeViolations, newAccount, newTrip, onServer, saved, tabTo } from './steps'

const [first, second] = [nth(demoTrip().crew, 0), nth(demoTrip().crew, 1)]
/** A plan that is opened in a moment: three things on the bench, and no road to work out. */
const small = () => {
  const { road, bench } = demoTrip()
  return { road: { ...road, points: [], stretches: [] }, stops: [], bench: bench.slice(0, 3) }
}

/** Somebody else, in a browser of their own. */
async function somebody(newDevice: () => Promise<BrowserContext>, name: string): Promise<Page> {
  const page = await (await newDevice()).newPage()
  await newAccount(page.request, name)
  return page
}
const peopleRoom = (page: Page, id: string) => page.goto(`/trips/${id}/crew?room=people`)
const sharers = (page: Page) => page.getByRole('list', { name: 'People who share this plan' }).getByRole('listitem')
const supposing = (page: Page) => page.getByRole('region', { name: 'Suppose' })
const handsOf = (page: Page, name: string) =>
  page.getByRole('listitem', { name, exact: true }).getByLabel('Repairs were')

/** The owner makes a link. */
async function makeLink(page: Page, to: string): Promise<string> {
  await page.getByLabel('Somebody').selectOption({ label: to })
  await page.getByRole('button', { name: 'Make a link' }).click()
  return page.getByLabel(/Send this link/).inputValue()
}
/** Without a page: somebody joins a plan. */
async function joins(owner: Page, whom: Page, id: string, role: 'rider' | 'reader', rider: string | null) {
  const answer = await owner.request.post(`/api/trips/${id}/invitations`, { ...again, data: { role, rider } })
  const { token } = (await answer.json()) as { token: string }
  expect((await whom.request.post('/api/invitations/join', { ...again, data: { token } })).ok()).toBe(true)
}

test('a rider is invited by a link, signs up, and changes what is theirs; the owner sees who did it', async ({
  page,
  newDevice,
}) => {
  await newAccount(page.request, 'Wenna')
  const id = await newTrip(page.request, small())
  await peopleRoom(page, id)
  await expect(sharers(page)).toHaveCount(1)
  await expect(page.getByText('Nothing yet.')).toBeVisible()
  const link = await makeLink(page, `to ride along as ${second.name}`)
  expect(link).toMatch(/\/join#.{40,}$/)

  const guest = await (await newDevice()).newPage()
  await guest.goto(link)
  await expect(guest.getByText('Across the Quern, June')).toBeVisible()
  await expectNoAxeViolations(guest)
  await guest.getByRole('link', { name: 'Sign up to join' }).click()
  await guest.getByLabel('Name', { exact: true }).fill('Jory')
  await guest.getByLabel('E-mail address').fill(`jory-${process.pid}-${Date.now()}@quern.example`)
  await guest.getByLabel('Password').fill('Jory goes by bicycle')
  await guest.locator('form').getByRole('button', { name: 'Sign up' }).click()
  await guest.getByRole('button', { name: 'Join as Jory' }).click()
  await expect(guest.getByRole('heading', { name: 'Weigh', exact: true })).toBeVisible()
  // The link has been used.
  const late = await somebody(newDevice, 'Late')
  await late.goto(link)
  await expect(late.getByText(/This link has been used/)).toBeVisible()

  await guest.getByRole('link', { name: /Crew/ }).click()
  await handsOf(guest, second.name).selectOption({ label: 'done on the road' })
  await saved(guest)
  await expect.poll(async () => nth((await onServer(page.request, id)).crew, 1).hands).toBe(3)
  // What is another's is supposed only, with the reason.
  await handsOf(guest, first.name).selectOption({ label: 'never' })
  await expect(supposing(guest)).toContainText(`${first.name}: only that rider changes this`)
  await expect(supposing(guest).getByRole('button', { name: 'Keep it' })).toBeDisabled()
  await supposing(guest).getByRole('button', { name: 'Let it go' }).click()
  await expect(supposing(guest)).toHaveCount(0)
  expect(nth((await onServer(page.request, id)).crew, 0).hands).toBe(first.hands)

  await page.reload()
  await expect(sharers(page)).toHaveCount(2)
  const told = page.getByRole('list', { name: 'Who changed what' })
  await expect(told).toContainText('Jory')
  await expect(told).toContainText(`crew · ${second.name}: hands`)
  await expectNoAxeViolations(page)
})

test('a reader sees all of it and changes nothing; taken off, they see it no more', async ({ page, newDevice }) => {
  await newAccount(page.request, 'Wenna')
  const id = await newTrip(page.request, small())
  const reader = await somebody(newDevice, 'Kensa')
  await joins(page, reader, id, 'reader', null)
  await reader.goto('/trips')
  await expect(reader.getByText('you read it; it is Wenna’s')).toBeVisible()
  await expect(reader.getByRole('button', { name: /Throw away Across/ })).toHaveCount(0)
  await reader.goto(`/trips/${id}/bench`)
  const thing = nth(demoTrip().bench, 0).name
  const before = JSON.stringify(await onServer(page.request, id))
  await reader.getByRole('button', { name: `One ${thing} more` }).click()
  await expect(supposing(reader)).toContainText('You read this plan')
  await expect(supposing(reader).getByRole('button', { name: 'Keep it' })).toBeDisabled()
  expect(JSON.stringify(await onServer(page.request, id))).toBe(before)
  await supposing(reader).getByRole('button', { name: 'Let it go' }).click()

  await peopleRoom(page, id)
  await page.getByRole('button', { name: 'Take Kensa off the plan' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Take them off' }).click()
  await expect(sharers(page)).toHaveCount(1)
  await reader.reload()
  await expect(reader.getByRole('heading', { name: 'There is no such trip' })).toBeVisible()
  await reader.goto('/trips')
  await expect(reader.getByText('None yet.')).toBeVisible()
})

test('what another changes arrives while one looks on, and what one brings is known as that', async ({
  page,
  newDevice,
}) => {
  await newAccount(page.request, 'Wenna')
  const id = await newTrip(page.request, small())
  const rider = await somebody(newDevice, 'Jory')
  await joins(page, rider, id, 'rider', second.id)
  await page.goto(`/trips/${id}/bench`)
  const things = page.getByRole('list', { name: 'Things on the bench' }).getByRole('listitem')
  await expect(things).toHaveCount(3)
  await rider.goto(`/trips/${id}/bench`)
  await rider.getByRole('button', { name: 'One of my own' }).click()
  const dialog = rider.getByRole('dialog')
  await dialog.getByLabel('Name').fill('My odd hanger')
  await dialog.getByRole('button', { name: 'Lay it down' }).click()
  await saved(rider)
  // Nobody touches the owner's page.
  await expect(things).toHaveCount(4)
  await expect(things.last()).toContainText(`brought by ${second.name}`)
})

test('a plan is handed over, and left, by keyboard alone', async ({ page, newDevice }) => {
  await newAccount(page.request, 'Wenna')
  const id = await newTrip(page.request, small())
  const rider = await somebody(newDevice, 'Jory')
  await joins(page, rider, id, 'rider', second.id)
  await peopleRoom(page, id)
  await expect(sharers(page)).toHaveCount(2)
  await tabTo(page, /^Hand the plan over to Jory$/)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('dialog')).toContainText('Jory becomes its owner')
  await tabTo(page, /^Hand it over$/)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'Leave this plan …' })).toBeVisible()
  await tabTo(page, /^Leave this plan …$/)
  await page.keyboard.press('Enter')
  await tabTo(page, /^Leave it$/)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Trips', exact: true })).toBeVisible()
  await expect(page.getByText('None yet.')).toBeVisible()
  await peopleRoom(rider, id)
  await expect(sharers(rider)).toHaveText([/Jory/])
  await expect(rider.getByRole('heading', { name: 'Invite' })).toBeVisible()
})

test('a plan of this device is shared once one has signed up, and says so', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Begin without a file' }).click()
  await page.getByRole('link', { name: /Sample/ }).click()
  await page.getByRole('link', { name: /Crew/ }).click()
  await page.getByRole('button', { name: 'Shared with' }).click()
  await expect(page.getByText('It lies on this device alone.')).toBeVisible()
})

test.describe('on the phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })
  test('people are invited, changed and links revoked by touch', async ({ page, newDevice }) => {
    await newAccount(page.request, 'Wenna')
    const id = await newTrip(page.request, small())
    const rider = await somebody(newDevice, 'A-rider-whose-name-goes-on-and-on-as-long-as-the-road-to-Skerry-Point')
    await joins(page, rider, id, 'rider', null)
    await peopleRoom(page, id)
    const row = sharers(page).last()
    await row.getByLabel(/^Who of the crew/).selectOption({ label: second.name })
    await expect
      .poll(async () => (await (await rider.request.get(`/api/trips/${id}`)).json()).access.rider)
      .toBe(second.id)
    const link = await makeLink(page, 'to read')
    await page.getByRole('button', { name: /^Revoke the link to read/ }).tap()
    await expect(page.getByLabel(/Send this link/)).toHaveCount(0)
    const late = await somebody(newDevice, 'Late')
    await late.goto(link)
    await expect(late.getByText(/This link has been used, was revoked/)).toBeVisible()
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
    await expectNoAxeViolations(page)
  })
})
