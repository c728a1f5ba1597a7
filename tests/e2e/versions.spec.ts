import type { BrowserContext, Page } from '@playwright/test'
import { expect, test } from './rig'
import { newAccount, newTrip, onServer } from './steps'
import { looked, onTheRoad, phone } from './trail-steps'
import { versionsOf, type Versions } from './versions'

/** Which version of the app a page is. */
const versionOf = (page: Page) => page.locator('meta[name="version-sent"]').getAttribute('content')

/** Has the browser look for another version. @returns whether one lies on the device then, and waits */
function lookForUpdate(page: Page): Promise<boolean> {
  return page.evaluate(async () => {
    const registration = await navigator.serviceWorker.ready
    // The first one is on the device for good.
    while (registration.active?.state !== 'activated') await new Promise((later) => setTimeout(later, 50))
    await registration.update().catch(() => undefined)
    while (registration.installing) await new Promise((later) => setTimeout(later, 50))
    return registration.waiting !== null
  })
}

/** A device with a trip on it, and the page that put it there. */
async function deviceWith(
  newDevice: (options: object) => Promise<BrowserContext>,
  { address }: Versions,
  name: string,
): Promise<{ device: BrowserContext; page: Page; trail: string; id: string }> {
  const device = await newDevice({ ...phone, baseURL: address, serviceWorkers: 'allow' })
  await newAccount(device.request, name)
  const id = await newTrip(device.request, onTheRoad())
  const page = await device.newPage()
  const trail = `/trips/${id}/trail`
  await page.goto(trail)
  await looked(page)
  await page.evaluate(() => navigator.serviceWorker.ready)
  // The page that put it there came before it; from now on it is the device that opens the app.
  await page.reload()
  await looked(page)
  return { device, page, trail, id }
}

/** Without a network, in a window of its own: what the device itself has. */
async function versionOnDevice(device: BrowserContext, versions: Versions, trail: string): Promise<string | null> {
  versions.let('nothing')
  const page = await device.newPage()
  await page.goto(trail)
  await looked(page)
  const version = await versionOf(page)
  await page.close()
  versions.let('everything')
  return version
}

const address = () => process.env.RAG_TIN_ADDRESS ?? ''

test('a newer version waits until every window is closed, and then is there without a network', async ({
  newDevice,
}) => {
  const versions = await versionsOf(address())
  try {
    const { device, page, trail } = await deviceWith(newDevice, versions, 'Newer')
    // The first install: the version that one saw is the one that is kept.
    expect(await versionOf(page)).toBe('one')
    expect(await versionOnDevice(device, versions, trail)).toBe('one')

    versions.send('two')
    expect(await lookForUpdate(page)).toBe(true)
    // Nothing is drawn anew under somebody’s hands, and without a network it is the old one as long as a window is open.
    expect(await versionOf(page)).toBe('one')
    await page.getByRole('button', { name: 'It broke', exact: true }).tap()
    await expect(page.locator('[data-symptoms]')).toBeVisible()
    expect(await versionOnDevice(device, versions, trail)).toBe('one')
    await page.close()
    await expect.poll(() => versionOnDevice(device, versions, trail)).toBe('two')

    // A version that is taken back is followed by the one before it.
    versions.send('one')
    const again = await device.newPage()
    await again.goto(trail)
    await looked(again)
    expect(await lookForUpdate(again)).toBe(true)
    await again.close()
    await expect.poll(() => versionOnDevice(device, versions, trail)).toBe('one')
  } finally {
    await versions.close()
  }
})

test('an update that is cut short on the road leaves the version that is there', async ({ newDevice }) => {
  const versions = await versionsOf(address())
  try {
    const { device, page, trail, id } = await deviceWith(newDevice, versions, 'Road')
    versions.send('two')
    versions.let('the worker alone')
    expect(await lookForUpdate(page)).toBe(false)
    await page.close()
    expect(await versionOnDevice(device, versions, trail)).toBe('one')
    // What is written meanwhile comes through all of it.
    versions.let('nothing')
    const written = await device.newPage()
    await written.goto(`${trail}?see=log&write=note`)
    await written.getByLabel('What to remember').fill('before the update')
    await written.getByRole('button', { name: 'Write it down' }).tap()
    versions.let('everything')
    expect(await lookForUpdate(written)).toBe(true)
    await written.close()
    await expect.poll(() => versionOnDevice(device, versions, trail)).toBe('two')
    const page2 = await device.newPage()
    await page2.goto(trail)
    await expect
      .poll(async () => (await onServer(device.request, id)).log.map(({ note }) => note))
      .toContain('before the update')
  } finally {
    await versions.close()
  }
})

test('after signing out nothing of a person is left: in no cache, no database, no list of the browser', async ({
  newDevice,
}) => {
  const device = await newDevice({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'allow' })
  await newAccount(device.request, 'Leaver')
  const id = await newTrip(device.request, onTheRoad())
  const page = await device.newPage()
  await page.goto(`/trips/${id}/trail`)
  await looked(page)
  await page.evaluate(() => navigator.serviceWorker.ready)
  await page.getByRole('button', { name: 'Leaver', exact: true }).click()
  await page.getByRole('menuitem', { name: 'Sign out' }).click()
  await expect(page.getByRole('button', { name: 'Sign in', exact: true }).first()).toBeVisible()
  const left = await page.evaluate(async () => {
    const found: string[] = []
    for (const name of await caches.keys()) {
      const cache = await caches.open(name)
      for (const { url } of await cache.keys()) {
        const text = await (await cache.match(url))?.text()
        if (url.includes('/api/') || text?.includes('Leaver') || text?.includes('quern.example')) found.push(url)
      }
    }
    for (const { name } of await indexedDB.databases()) {
      const database = await new Promise<IDBDatabase>((resolve, reject) => {
        const opening = indexedDB.open(name ?? '')
        opening.onsuccess = () => resolve(opening.result)
        opening.onerror = () => reject(new Error('not opened'))
      })
      for (const rows of Array.from(database.objectStoreNames)) {
        const count = await new Promise<number>((resolve) => {
          const counting = database.transaction(rows).objectStore(rows).count()
          counting.onsuccess = () => resolve(counting.result)
        })
        if (count > 0 && !name?.startsWith('workbox')) found.push(`${name} ${rows}: ${count}`)
      }
      database.close()
    }
    for (const [key, value] of Object.entries(localStorage))
      if (/quern|Leaver|Maren/.test(String(value))) found.push(`${key}: ${String(value)}`)
    return found
  })
  expect(left).toEqual([])
})

/** A browser that lets nothing be kept, as some do in private windows. */
function refuseStorage(): void {
  Object.defineProperty(globalThis, 'indexedDB', {
    value: {
      open() {
        const opening = {
          onerror: undefined as (() => void) | undefined,
          addEventListener(name: string, call: () => void) {
            if (name === 'error') setTimeout(call)
          },
          removeEventListener: () => undefined,
          error: new DOMException('refused', 'SecurityError'),
        }
        return opening
      },
    },
  })
}

test('where the browser lets nothing be kept, it is said, and the Trail still answers', async ({ newDevice }) => {
  const device = await newDevice(phone)
  await device.addInitScript(refuseStorage)
  await newAccount(device.request, 'Private')
  const id = await newTrip(device.request, onTheRoad())
  const page = await device.newPage()
  await page.goto(`/trips/${id}/trail`)
  await looked(page)
  await page.getByRole('button', { name: 'Log', exact: true }).tap()
  await page.getByRole('button', { name: 'A note, a photo', exact: true }).tap()
  await page.getByLabel('What to remember').fill('kept by the server')
  await page.getByRole('button', { name: 'Write it down' }).tap()
  await expect(page.getByText(/keeps nothing/)).toBeVisible()
  await expect
    .poll(async () => (await onServer(device.request, id)).log.map(({ note }) => note))
    .toContain('kept by the server')
})

/** From a word on, nothing more goes into a database. */
function fillUp(): void {
  const put = (name: 'put' | 'add') => {
    const real = IDBObjectStore.prototype[name]
    IDBObjectStore.prototype[name] = function (this: IDBObjectStore, ...given: Parameters<typeof real>) {
      if ((globalThis as { isFull?: boolean }).isFull) throw new DOMException('full', 'QuotaExceededError')
      return real.apply(this, given)
    }
  }
  put('put')
  put('add')
}

test('where there is no more room, it is said, and what is written still reaches the server', async ({ newDevice }) => {
  const device = await newDevice(phone)
  await device.addInitScript(fillUp)
  await newAccount(device.request, 'Full')
  const id = await newTrip(device.request, onTheRoad())
  const page = await device.newPage()
  await page.goto(`/trips/${id}/trail?see=log&write=note`)
  await page.getByLabel('What to remember').fill('with room')
  await page.getByRole('button', { name: 'Write it down' }).tap()
  await page.evaluate(() => ((globalThis as { isFull?: boolean }).isFull = true))
  await page.getByRole('button', { name: 'A note, a photo', exact: true }).tap()
  await page.getByLabel('What to remember').fill('without room')
  await page.getByRole('button', { name: 'Write it down' }).tap()
  await expect(page.getByText(/keeps nothing/)).toBeVisible()
  await expect(page.locator('[data-entry]').filter({ hasText: 'Without room' })).toBeVisible()
  await expect
    .poll(async () => (await onServer(device.request, id)).log.map(({ note }) => note))
    .toEqual(expect.arrayContaining(['with room', 'without room']))
})
