import type { BrowserContext, Page } from '@playwright/test'
import { demoTrip } from '#catalogue/demo'
import { expect, test } from './rig'
import {
  again,
  expectNoAxeViolations,
  newAccount,
  newTrip,
  onServer,
  saved,
  signIn,
  signUp,
  type Account,
} from './steps'

const thing = 'CO2 head'
/** A trip that is opened in a moment: three things on the bench, and no road to work out. */
const small = () => {
  const { road, bench } = demoTrip()
  const first = bench.filter(({ name }) => name === thing)
  return { road: { ...road, points: [], stretches: [] }, stops: [], bench: [...first, ...bench.slice(0, 2)] }
}
const more = (page: Page) => page.getByRole('button', { name: `One ${thing} more` })
const countIn = (page: Page) => page.getByRole('listitem').filter({ hasText: thing }).locator('.figures').last()

async function countOnServer(page: Page, id: string): Promise<number | undefined> {
  return (await onServer(page.request, id)).bench[0]?.count
}
const reaches = (page: Page, id: string, count: number) =>
  expect.poll(() => countOnServer(page, id), { message: `${count} on the server` }).toBe(count)

async function openBench(page: Page, id: string): Promise<void> {
  await page.goto(`/trips/${id}/bench`)
  await expect(more(page)).toBeVisible()
}
async function comeIn(page: Page, { email, password }: Account): Promise<void> {
  expect((await page.request.post('/api/session', { ...again, data: { email, password } })).ok()).toBe(true)
}
/** The server does not answer anything, until it is let. */
async function takeServerAway(context: BrowserContext): Promise<() => Promise<void>> {
  await context.route('**/api/**', (route) => route.abort())
  return () => context.unroute('**/api/**')
}

/** From the trips to the bench within one page, so that there is something to go back to. */
async function comeByLinks(page: Page): Promise<void> {
  await page.goto('/trips')
  await page.getByRole('link', { name: /Across the Quern/ }).click()
  await page.getByRole('link', { name: /Bench/ }).click()
}

test.describe('a page that is left with a change loses nothing', () => {
  const ways: Record<string, (page: Page) => Promise<void>> = {
    'by a link': async (page) => {
      await page.getByRole('link', { name: /all trips/ }).click()
      await expect(page.getByRole('heading', { name: 'Trips', exact: true })).toBeVisible()
    },
    'by Back': async (page) => {
      // First to the stage before, and then out of the trip.
      await page.goBack()
      await page.goBack()
      await expect(page.getByRole('heading', { name: 'Trips', exact: true })).toBeVisible()
    },
    'by signing out': async (page) => {
      await page.getByRole('button', { name: 'Leaver' }).click()
      await page.getByRole('menuitem', { name: 'Sign out' }).click()
      await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible()
    },
    'by closing the tab': (page) => page.close(),
  }
  for (const [way, leave] of Object.entries(ways)) {
    test(way, async ({ context }) => {
      let page = await context.newPage()
      const account = await newAccount(page.request, 'Leaver')
      const id = await newTrip(page.request, small())
      let count = 1
      for (const ms of [0, 150, 300, 1000]) {
        if (way === 'by Back') await comeByLinks(page)
        else await openBench(page, id)
        await more(page).click()
        await expect(countIn(page)).toHaveText(String(++count))
        await page.waitForTimeout(ms)
        await leave(page)
        if (page.isClosed()) {
          page = await context.newPage()
          await page.goto('/trips')
        }
        if (way === 'by signing out') await comeIn(page, account)
        await reaches(page, id, count)
      }
    })
  }
})

test('what is typed in a field and not yet left counts, by whichever way the page is left', async ({ page }) => {
  await newAccount(page.request, 'Typer')
  const id = await newTrip(page.request, small())
  await page.goto('/trips')
  await page.getByRole('link', { name: /Across the Quern/ }).click()
  const name = page.getByLabel('Name of the trip')
  await name.fill('Typed, then Back')
  await page.goBack()
  await expect(page.getByRole('link', { name: /Typed, then Back|Across the Quern/ })).toBeVisible()
  await expect.poll(async () => (await onServer(page.request, id)).name).toBe('Typed, then Back')
  await openBench(page, id)
  await name.fill('Typed, then loaded anew')
  page.on('dialog', (dialog) => void dialog.accept())
  await page.reload()
  await expect(name).toHaveValue('Typed, then loaded anew')
  await expect.poll(async () => (await onServer(page.request, id)).name).toBe('Typed, then loaded anew')
})

test.describe('a server that is away', () => {
  test('loses nothing, and everything is brought there once it is back', async ({ page, context }) => {
    await newAccount(page.request, 'Away')
    const id = await newTrip(page.request, small())
    await openBench(page, id)
    const letBack = await takeServerAway(context)
    await more(page).click()
    await expect(page.getByText('The server does not answer.')).toBeVisible()
    await expect(page.getByText('kept on this device', { exact: true })).toBeVisible()
    await expectNoAxeViolations(page)
    // Pressed while it is still away: once it is back the line may go by itself before a finger is there.
    const tried = page.waitForRequest(`**/api/trips/${id}`)
    await page.getByRole('button', { name: 'Try now' }).click()
    await tried
    await letBack()
    await saved(page)
    await expect(page.getByText('The server does not answer.')).toHaveCount(0)
    await reaches(page, id, 2)
  })

  test('and a tab killed meanwhile: all is there when it is opened again, without the server and with it', async ({
    context,
  }) => {
    const page = await context.newPage()
    await newAccount(page.request, 'Killed')
    const id = await newTrip(page.request, small())
    await openBench(page, id)
    await saved(page)
    const letBack = await takeServerAway(context)
    await more(page).click()
    await page.getByLabel('Name of the trip').fill('Typed while away')
    await page.keyboard.press('Enter')
    await page.close()

    const again = await context.newPage()
    await openBench(again, id)
    await expect(countIn(again)).toHaveText('2')
    await expect(again.getByLabel('Name of the trip')).toHaveValue('Typed while away')
    await letBack()
    await saved(again)
    await reaches(again, id, 2)
    expect((await onServer(again.request, id)).name).toBe('Typed while away')
  })

  test('keeps somebody who would sign out from losing what they changed', async ({ page, context }) => {
    await newAccount(page.request, 'Stayer')
    const id = await newTrip(page.request, small())
    await openBench(page, id)
    await context.route('**/api/trips/**', (route) => route.abort())
    await more(page).click()
    await page.getByRole('button', { name: 'Stayer' }).click()
    await page.getByRole('menuitem', { name: 'Sign out' }).click()
    const dialog = page.getByRole('dialog', { name: 'Sign out' })
    await expect(dialog).toContainText('Across the Quern, June, one change')
    await expectNoAxeViolations(page)
    await dialog.getByRole('button', { name: 'Stay signed in' }).click()
    await expect(countIn(page)).toHaveText('2')
    await context.unroute('**/api/trips/**')
    await page.getByRole('button', { name: 'Stayer' }).click()
    await page.getByRole('menuitem', { name: 'Sign out' }).click()
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible()
  })
})

test.describe('a sign-in', () => {
  /** Somebody’s sign-in has ended, and what they change then stays on the device. */
  async function changeAfterTheEnd(page: Page, context: BrowserContext, name: string) {
    const account = await newAccount(page.request, name)
    const id = await newTrip(page.request, small())
    await openBench(page, id)
    await saved(page)
    await context.clearCookies()
    await more(page).click()
    await expect(page.getByText('Your sign-in has ended.')).toBeVisible()
    return { account, id }
  }

  test('that has ended keeps reading and changing, says so, and goes on after', async ({ page, context }) => {
    const { account, id } = await changeAfterTheEnd(page, context, 'Ended')
    await expectNoAxeViolations(page)
    await page.getByRole('link', { name: /Weigh/ }).click()
    await expect(page.getByRole('heading', { name: 'Weigh', exact: true })).toBeVisible()
    await openBench(page, id)
    await expect(countIn(page)).toHaveText('2')
    await page.goto('/trips')
    await expect(page.getByText('What lies on this device can be read.')).toBeVisible()
    await page.getByRole('link', { name: /Across the Quern/ }).click()
    await expect(page.getByRole('navigation', { name: 'Stages' })).toBeVisible()

    await page.getByRole('link', { name: 'Sign in again' }).click()
    await expect(page.getByLabel('E-mail address')).toHaveValue(account.email)
    await signIn(page, account)
    await saved(page)
    await reaches(page, id, 2)
  })

  test('that has ended is taken up again among the trips: what waits is brought there, and the list says so no more', async ({
    page,
    context,
  }) => {
    const { account, id } = await changeAfterTheEnd(page, context, 'Lister')
    await page.goto('/trips')
    await page.getByRole('link', { name: 'Sign in again' }).click()
    await signIn(page, account)
    await expect(page.getByRole('link', { name: /Across the Quern/ })).toBeVisible()
    await reaches(page, id, 2)
    await expect(page.getByText('on this device only')).toHaveCount(0)
  })

  test('that is ended by hand leaves nothing on the device, in no window', async ({ page, context }) => {
    await newAccount(page.request, 'Wiper')
    const id = await newTrip(page.request, small())
    await openBench(page, id)
    await saved(page)
    const other = await context.newPage()
    await openBench(other, id)
    await page.getByRole('button', { name: 'Wiper' }).click()
    await page.getByRole('menuitem', { name: 'Sign out' }).click()
    for (const window of [page, other]) await expect(window.getByRole('heading', { name: 'Sign in' })).toBeVisible()
    const left = await page.evaluate(async () => {
      const rows = (name: string) =>
        new Promise<number>((resolve, reject) => {
          const opening = indexedDB.open('rag-tin')
          opening.onerror = () => reject(new Error('not opened'))
          opening.onsuccess = () => {
            const counting = opening.result.transaction(name).objectStore(name).count()
            counting.onsuccess = () => resolve(counting.result)
          }
        })
      return { rows: await Promise.all(['trips', 'parts', 'steps'].map(rows)), person: localStorage['rag-tin.person'] }
    })
    expect(left.rows).toEqual([0, 0, 0])
    expect(left.person ?? 'null').toBe('null')
    await page.goto(`/trips/${id}/bench`)
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible()
  })
})

test('somebody else who signs in sees nothing of the one before, whose changes wait for them', async ({
  page,
  context,
}) => {
  const before = await newAccount(page.request, 'Before')
  const id = await newTrip(page.request, small())
  await openBench(page, id)
  await saved(page)
  await context.clearCookies()
  await more(page).click()
  await expect(page.getByText('Your sign-in has ended.')).toBeVisible()
  const other = await context.newPage()
  await signUp(other, 'After')
  await expect(page.getByRole('link', { name: /^Sample: Across the Quern/ })).toBeVisible()
  await expect(page.getByRole('link', { name: /^Across the Quern/ })).toHaveCount(0)
  await page.goto(`/trips/${id}/bench`)
  await expect(page.getByRole('heading', { name: 'There is no such trip' })).toBeVisible()
  // Back again, the first finds and saves what they changed.
  await other.close()
  await context.clearCookies()
  await page.goto('/')
  await signIn(page, before)
  await expect(page.getByRole('link', { name: /Across the Quern/ })).toBeVisible()
  await reaches(page, id, 2)
})

test('what the server refuses is said and kept, and given up for what is saved', async ({ page, context }) => {
  await newAccount(page.request, 'Refused')
  const id = await newTrip(page.request, small())
  await openBench(page, id)
  await context.route(`**/api/trips/${id}`, (route) =>
    route.request().method() === 'PATCH'
      ? route.fulfill({ status: 422, json: { data: { lines: ['bench[0].count: 2; expected fewer'] } } })
      : route.continue(),
  )
  await more(page).click()
  await expect(page.getByRole('alert')).toContainText('bench[0].count: 2; expected fewer')
  await expectNoAxeViolations(page)
  await page.reload()
  await expect(countIn(page)).toHaveText('2')
  await page.getByRole('button', { name: 'Go back to what is saved' }).click()
  await expect(countIn(page)).toHaveText('1')
  await saved(page)

  await context.unroute(`**/api/trips/${id}`)
  await page.getByRole('button', { name: 'Undo go back to what is saved' }).click()
  await reaches(page, id, 2)
})

test.describe('two windows of one browser', () => {
  test('that each change two parts show and save all four', async ({ page, context }) => {
    await newAccount(page.request, 'Twin')
    const id = await newTrip(page.request, small())
    await openBench(page, id)
    const other = await context.newPage()
    await openBench(other, id)

    await more(page).click()
    await expect(countIn(other)).toHaveText('2')
    await other.getByLabel('Name of the trip').fill('Named in the other')
    await other.keyboard.press('Enter')
    await expect(page.getByLabel('Name of the trip')).toHaveValue('Named in the other')
    // The very case that once lost a bench: the second window saves another part, and then the same one.
    await more(other).click()
    await expect(countIn(page)).toHaveText('3')
    await page.keyboard.press('k')
    await page.getByRole('button', { name: 'What turns what' }).click()
    await page.getByLabel('A hand pulls at most').fill('310')
    await page.keyboard.press('Enter')
    for (const window of [page, other]) await saved(window)
    await expect
      .poll(async () => {
        const trip = await onServer(page.request, id)
        return [trip.name, trip.bench[0]?.count, trip.dials.handMostN]
      })
      .toEqual(['Named in the other', 3, 310])
    await page.keyboard.press('Control+z')
    await expect(other.getByLabel('Name of the trip')).toHaveValue('Named in the other')
    for (const window of [page, other]) await saved(window)
    expect((await onServer(page.request, id)).dials.handMostN).toBe(demoTrip().dials.handMostN)
  })

  test('hand the outbox over when the one that had it dies', async ({ context }) => {
    const owner = await context.newPage()
    await newAccount(owner.request, 'Heir')
    const id = await newTrip(owner.request, small())
    await openBench(owner, id)
    const heir = await context.newPage()
    await openBench(heir, id)
    const letBack = await takeServerAway(context)
    await more(owner).click()
    await expect(countIn(heir)).toHaveText('2')
    await more(heir).click()
    await expect(countIn(heir)).toHaveText('3')
    await owner.close()
    await letBack()
    await saved(heir)
    await reaches(heir, id, 3)
  })
})

test('two devices in conflict: side by side, nothing is overwritten unseen, and each way on works', async ({
  page,
  newDevice,
}) => {
  const account = await newAccount(page.request, 'Both')
  const id = await newTrip(page.request, small())
  await openBench(page, id)
  const device = await newDevice()
  const other = await device.newPage()
  await other.goto('/')
  await comeIn(other, account)
  await openBench(other, id)
  const dialog = other.getByRole('dialog', { name: 'Changed on two devices' })

  // Different things are no conflict: both stay, and it is said.
  await page.getByLabel('Name of the trip').fill('Named on the first')
  await page.keyboard.press('Enter')
  await saved(page)
  await more(other).click()
  await saved(other)
  await reaches(other, id, 2)
  await expect(other.getByLabel('Name of the trip')).toHaveValue('Named on the first')
  await expect(other.getByText('taken in here: the name of the trip')).toBeVisible()

  await other.getByRole('button', { name: 'Close' }).click()

  /** The first device changes the count by one, the other by two. @returns what the first made of it */
  async function bothChange(): Promise<number> {
    await page.reload()
    const before = Number(await countIn(other).innerText())
    await expect(countIn(page)).toHaveText(String(before))
    await more(page).click()
    await saved(page)
    await more(other).dblclick()
    await expect(dialog.getByRole('heading')).toBeVisible()
    const row = dialog.getByRole('row').filter({ hasText: `${thing}: count` })
    await expect(row.getByRole('cell').first()).toHaveText(String(before + 2))
    await expect(row.getByRole('cell').last()).toHaveText(String(before + 1))
    expect(await countOnServer(other, id)).toBe(before + 1)
    return before + 1
  }

  // The same thing is: theirs is taken, and mine comes back with undo.
  const first = await bothChange()
  await expectNoAxeViolations(other)
  await dialog.getByRole('row').filter({ hasText: thing }).getByRole('radio').last().check()
  await dialog.getByRole('button', { name: 'Go on with these' }).click()
  await expect(dialog).toHaveCount(0)
  await expect(countIn(other)).toHaveText(String(first))
  await other.keyboard.press('Control+z')
  await expect(countIn(other)).toHaveText(String(first + 1))
  await reaches(other, id, first + 1)

  // Mine is kept over theirs.
  const second = await bothChange()
  await dialog.getByRole('row').filter({ hasText: thing }).getByRole('radio').first().check()
  await dialog.getByRole('button', { name: 'Go on with these' }).click()
  await reaches(other, id, second + 1)

  // Both are kept: mine as a new trip.
  const third = await bothChange()
  await dialog.getByRole('button', { name: 'Keep mine as a new trip' }).click()
  await expect(other.getByLabel('Name of the trip')).toHaveValue('Named on the first (my copy)')
  await other.keyboard.press('b')
  await expect(countIn(other)).toHaveText(String(third + 1))
  expect(await countOnServer(other, id)).toBe(third)
})

test('another account’s trip is not there', async ({ page, newDevice }) => {
  await newAccount(page.request, 'Owner')
  const id = await newTrip(page.request, small())
  const stranger = await (await newDevice()).newPage()
  await signUp(stranger, 'Stranger')
  await stranger.goto(`/trips/${id}/road`)
  await expect(stranger.getByRole('heading', { name: 'There is no such trip' })).toBeVisible()
  expect((await stranger.request.get(`/api/trips/${id}`, again)).status()).toBe(404)
})

test('a trip thrown away elsewhere: what was changed here can be kept as a new one', async ({ page }) => {
  await newAccount(page.request, 'Gone')
  const id = await newTrip(page.request, small())
  await openBench(page, id)
  await saved(page)
  expect((await page.request.delete(`/api/trips/${id}`, again)).ok()).toBe(true)
  await more(page).click()
  await expect(page.getByText('not there for you any more')).toBeVisible()
  await expectNoAxeViolations(page)
  // Leaving is asked about.
  await page.getByRole('link', { name: /all trips/ }).click()
  await page.getByRole('dialog', { name: 'Not saved' }).getByRole('button', { name: 'Stay here' }).click()
  await page.getByRole('button', { name: 'Keep it as a new trip' }).click()
  await expect(page.getByLabel('Name of the trip')).toHaveValue('Across the Quern, June (my copy)')
  await page.keyboard.press('b')
  await expect(countIn(page)).toHaveText('2')
})
