import { demoTrip } from '#catalogue/demo'
import { readGpx } from '#core/road'
import type { Page } from '@playwright/test'
import { readFile } from 'node:fs/promises'
import { expect, test } from './rig'
import { beginTrip, expectNoAxeViolations, newAccount, signIn } from './steps'

async function openAccount(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name }).click()
  await page.getByRole('menuitem', { name: 'Account' }).click()
  await expect(page.getByRole('heading', { name: 'Account', exact: true })).toBeVisible()
}
const section = (page: Page, name: string) => page.getByRole('main').locator('.card').filter({ hasText: name })

test('a name, an address and a password are changed, and hold', async ({ page }) => {
  await page.goto('/')
  const account = await newAccount(page.request, 'Runa')
  await page.goto('/trips')
  await openAccount(page, 'Runa')
  await expectNoAxeViolations(page)

  const name = section(page, 'As you are called here')
  await name.getByRole('textbox').fill('Runa of the long road')
  await name.getByRole('button').click()
  await expect(page.getByRole('button', { name: 'Runa of the long road' })).toBeVisible()

  const address = section(page, 'You sign in as')
  const moved = `new-${account.email}`
  await address.getByLabel('New address').fill(moved)
  await address.getByLabel('Your password').fill('not the one')
  await address.getByRole('button').click()
  await expect(address.getByRole('alert')).toHaveText('The password is wrong.')
  await address.getByLabel('Your password').fill(account.password)
  await address.getByRole('button').click()
  await expect(address.getByRole('status')).toHaveText(`You sign in as ${moved} from now on.`)

  const password = section(page, 'Change the password')
  await password.getByLabel('Your password').fill(account.password)
  await password.getByLabel('New password').fill('over the next pass')
  await password.getByRole('button').click()
  await expect(password.getByRole('status')).toContainText('Changed.')

  await page.getByRole('button', { name: 'Runa of the long road' }).click()
  await page.getByRole('menuitem', { name: 'Sign out' }).click()
  await expect(page.getByRole('heading', { name: 'Sign in', exact: true })).toBeVisible()
  await signIn(page, { ...account, email: moved, password: 'over the next pass' })
  await expect(page.getByRole('heading', { name: 'Trips', exact: true })).toBeVisible()
})

test('a forgotten password is chosen anew from the demo’s letter', async ({ page, context }) => {
  const account = await newAccount(page.request, 'Sigrid')
  await context.clearCookies()
  await page.goto('/')
  await page.getByLabel('E-mail address').fill(account.email)
  await page.getByRole('link', { name: 'Have a letter sent' }).click()
  await expect(page.getByLabel('E-mail address')).toHaveValue(account.email)
  await page.getByRole('button', { name: 'Have a letter sent' }).click()
  await expect(page.getByRole('status')).toContainText('a letter is on its way')
  await expectNoAxeViolations(page)

  await page.getByRole('link', { name: 'here for all to read' }).click()
  const letter = page.getByRole('article').filter({ hasText: `to ${account.email}` })
  await expect(letter.getByRole('heading', { name: 'A new password for Rag Tin' })).toBeVisible()
  await expectNoAxeViolations(page)
  await letter.getByRole('link', { name: /new-password/ }).click()
  await expect(page.getByRole('heading', { name: 'A new password' })).toBeVisible()
  expect(new URL(page.url()).hash).toBe('')
  await page.getByRole('textbox', { name: 'New password' }).fill('this one I can keep')
  await page.getByRole('button', { name: 'Set it and sign in' }).click()
  await expect(page.getByRole('heading', { name: 'Trips', exact: true })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Sigrid' })).toBeVisible()
})

test('signing out everywhere ends the other devices, too', async ({ page, browser }) => {
  const account = await newAccount(page.request, 'Torvald')
  const other = await browser.newPage()
  await other.goto('/')
  await signIn(other, account)
  await expect(other.getByRole('heading', { name: 'Trips', exact: true })).toBeVisible()

  await page.goto('/trips')
  await openAccount(page, 'Torvald')
  await expect(page.getByText('You are signed in 2 times')).toBeVisible()
  await page.getByRole('button', { name: 'Sign out everywhere' }).click()
  await expect(page.getByRole('heading', { name: 'Sign in', exact: true })).toBeVisible()
  await other.reload()
  await expect(other.getByText('Your sign-in has ended.')).toBeVisible()
  await other.close()
})

test('what was thrown away is seen in the bin, taken back, or gone for good', async ({ page }) => {
  await newAccount(page.request, 'Ylva')
  for (const name of ['Over the fell', 'Round the lake']) {
    await page.goto('/trips')
    await beginTrip(page, name)
  }
  await page.goto('/trips')
  for (const name of ['Over the fell', 'Round the lake'])
    await page.getByRole('button', { name: `Throw away ${name}` }).click()
  await page.getByText('Bin · 2 trips').click()
  await expectNoAxeViolations(page)
  await page.getByRole('button', { name: 'Take back Over the fell' }).click()
  await expect(page.getByRole('link', { name: /Over the fell/ })).toBeVisible()
  await expect(page.getByText('Bin · one trip')).toBeVisible()

  await page.getByRole('button', { name: 'Empty the bin' }).click()
  const dialog = page.getByRole('dialog', { name: 'Empty the bin' })
  await expect(dialog).toContainText('The trip in the bin cannot be brought back after that.')
  await dialog.getByRole('button', { name: 'Delete for good' }).click()
  await expect(page.getByText('Bin ·')).toHaveCount(0)
  await page.reload()
  await expect(page.getByRole('link', { name: /Over the fell/ })).toBeVisible()
  await expect(page.getByText('Round the lake')).toHaveCount(0)
})

test('everything is exported, and a deleted account leaves nothing on the device', async ({ page }) => {
  const account = await newAccount(page.request, 'Zakarias')
  await page.goto('/trips')
  await beginTrip(page, 'The only one')
  await page.evaluate(() => localStorage.setItem('rag-tin.candidates', '{}'))
  await page.goto('/account')
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Export everything' }).click(),
  ])
  expect(download.suggestedFilename()).toBe('rag-tin-zakarias.zip')

  await page.getByRole('button', { name: 'Delete the account …' }).click()
  const dialog = page.getByRole('dialog', { name: 'Delete the account' })
  await dialog.getByLabel('Your password').fill('not it')
  await dialog.getByRole('button', { name: 'Delete it for good' }).click()
  await expect(dialog.getByRole('alert')).toHaveText('The password is wrong.')
  await dialog.getByLabel('Your password').fill(account.password)
  await dialog.getByRole('button', { name: 'Delete it for good' }).click()
  await expect(page.getByRole('heading', { name: 'Sign in', exact: true })).toBeVisible()
  const left = await page.evaluate(async () => {
    const open = indexedDB.open('rag-tin')
    const db = await new Promise<IDBDatabase>((done) => (open.onsuccess = () => done(open.result)))
    const count = (store: string) =>
      new Promise<number>((done) => {
        const request = db.transaction(store).objectStore(store).count()
        request.onsuccess = () => done(request.result)
      })
    const counts = await Promise.all([...db.objectStoreNames].map(count))
    db.close()
    return { counts, person: localStorage.getItem('rag-tin.person'), tools: localStorage.getItem('rag-tin.candidates') }
  })
  expect(left).toEqual({ counts: left.counts.map(() => 0), person: null, tools: null })
  await signIn(page, account)
  await expect(page.getByRole('alert')).toHaveText('The address or the password is wrong.')
})

test('without an account, too, there is a bin, and the road is exported', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Begin without a file' }).click()
  const sample = page.getByRole('link', { name: /^Sample:/ })
  await sample.click()
  await expect(page.getByRole('heading', { name: 'Weigh' })).toBeVisible()
  const menu = page.getByRole('banner').locator('[aria-haspopup=menu]')
  for (const [item, isTimed] of [
    ['Export the road as GPX', false],
    ['Export it with the ride’s times', true],
  ] as const) {
    await menu.click()
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('menuitem', { name: item }).click(),
    ])
    expect(file.suggestedFilename()).toMatch(/^Sample.*\.gpx$/)
    const gpx = readGpx(await readFile(await file.path(), 'utf8'))
    expect(gpx.points).toHaveLength(demoTrip().road.points.length)
    expect(gpx.waypoints).toHaveLength(demoTrip().stops.length)
    expect(gpx.recordedAt).toBe(isTimed ? '2026-06-12T09:30:00Z' : null)
  }
  await page.goBack()
  const throwAway = page.getByRole('button', { name: /^Throw away Sample/ })
  await throwAway.click()
  await page.getByText('Bin · one trip').click()
  await page.getByRole('button', { name: /^Take back Sample/ }).click()
  await expect(sample).toBeVisible()
  await throwAway.click()
  await page.getByText('Bin · one trip').click()
  await page.getByRole('button', { name: /^Delete Sample.* for good/ }).click()
  await page.getByRole('button', { name: 'Delete for good' }).click()
  await expect(page.getByText('Bin ·')).toHaveCount(0)
  await page.reload()
  await expect(page.getByText('None yet.')).toBeVisible()
})
