import { expect, test as base, type BrowserContext, type BrowserContextOptions } from '@playwright/test'

export { expect }

interface Rig {
  /** One more device: a browser with nothing in it, closed with the test. */
  newDevice: (options?: BrowserContextOptions) => Promise<BrowserContext>
}

/** Of a test that waits for the proof of a kit. */
const proof = '@proof'

/** A proof takes a core for ten seconds wherever somebody weighs: in tests that do not wait for one, it never comes. */
async function leaveUnproved(context: BrowserContext): Promise<void> {
  await context.route(/\/proof\.worker/, (route) => route.fulfill({ contentType: 'text/javascript', body: '' }))
}

/** What throws in a page of the test, and is caught by nobody there, fails the test. */
export const test = base.extend<Rig & { failures: string[] }>({
  // eslint-disable-next-line no-empty-pattern -- Playwright reads from the pattern which fixtures are needed.
  failures: async ({}, use) => {
    const failures: string[] = []
    await use(failures)
    expect(failures, 'nothing fails in the page').toEqual([])
  },
  context: async ({ context, failures }, use, { tags }) => {
    watch(context, failures)
    if (!tags.includes(proof)) await leaveUnproved(context)
    await use(context)
  },
  newDevice: async ({ browser, failures }, use, { tags }) => {
    const devices: BrowserContext[] = []
    await use(async (options) => {
      const device = await browser.newContext(options)
      // What is between a browser and its network is between it and its service worker, too: that one is left alone.
      const isInstalled = options?.serviceWorkers === 'allow'
      if (!tags.includes(proof) && !isInstalled) await leaveUnproved(device)
      devices.push(device)
      watch(device, failures)
      return device
    })
    for (const device of devices) await device.close()
  },
})

function watch(context: BrowserContext, failures: string[]): void {
  context.on('weberror', (failure) => failures.push(failure.error().stack ?? failure.error().message))
}
