import { spawn, type ChildProcess } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type Browser, type Page } from '@playwright/test'
import { demoTrip } from '#catalogue/demo'
import { headlessChromium } from '../../scripts/debian'
import { expect, test } from './rig'
import { again, newAccount, newTrip } from './steps'

/** On a busy machine a browser that is just starting may leave its first visitor waiting; the next one is let in. */
async function connect(address: string): Promise<Browser> {
  for (const timeout of [10_000, 10_000]) {
    try {
      return await chromium.connectOverCDP(address, { timeout })
    } catch {
      continue
    }
  }
  return chromium.connectOverCDP(address)
}

/**
 * A browser of its own, whose every process can be killed at once.
 *
 * @param started it is noted here at once, so that it is ended also where it never answers
 */
async function startBrowser(folder: string, flags: readonly string[], started: ChildProcess[]): Promise<Page> {
  const note = join(folder, 'DevToolsActivePort')
  rmSync(note, { force: true })
  const process = spawn(headlessChromium.place, [...flags, '--remote-debugging-port=0', `--user-data-dir=${folder}`], {
    stdio: 'ignore',
    detached: true,
  })
  started.push(process)
  await expect.poll(() => existsSync(note) && readFileSync(note, 'utf8').includes('\n')).toBe(true)
  const [port] = readFileSync(note, 'utf8').split('\n')
  const browser = await connect(`http://127.0.0.1:${port}`)
  const [context] = browser.contexts()
  if (!context) throw new Error('the browser has no window')
  return context.newPage()
}

/** Ends a browser with its whole group of processes, as when the battery is empty; one that is gone stays gone. */
function killAll(browser: ChildProcess): void {
  if (browser.pid !== undefined && browser.exitCode === null && browser.signalCode === null)
    process.kill(-browser.pid, 'SIGKILL')
}

/** Steps that lie in the device's outbox. */
function stepsKept(page: Page): Promise<number> {
  return page.evaluate(
    () =>
      new Promise<number>((resolve, reject) => {
        const opening = indexedDB.open('rag-tin')
        opening.onerror = () => reject(new Error('not opened'))
        opening.onsuccess = () => {
          const counting = opening.result.transaction('steps').objectStore('steps').count()
          counting.onsuccess = () => {
            opening.result.close()
            resolve(counting.result)
          }
        }
      }),
  )
}

test('a browser that dies in the moment after an edit has it when it is started again', async ({
  request,
  baseURL,
  launchOptions,
}) => {
  const { road, bench } = demoTrip()
  const account = await newAccount(request, 'Battery')
  const id = await newTrip(request, {
    road: { ...road, points: [], stretches: [] },
    stops: [],
    bench: bench.slice(0, 2),
  })
  const folder = mkdtempSync(join(tmpdir(), 'rag-tin-battery-'))
  const flags = launchOptions.args ?? []
  const started: ChildProcess[] = []
  const start = () => startBrowser(folder, flags, started)
  try {
    const first = await start()
    const signedIn = await first.request.post(`${baseURL}/api/session`, { ...again, data: account })
    expect(signedIn.ok()).toBe(true)
    await first.goto(`${baseURL}/trips/${id}/bench`)
    await expect(first.getByText('saved', { exact: true })).toBeVisible()
    // Nothing reaches the server any more; what is kept is kept on the device only.
    await first.route('**/api/**', (route) => route.abort())
    await first.getByLabel('Name of the trip').fill('Written as the light went out')
    await first.keyboard.press('Enter')
    await expect.poll(() => stepsKept(first), { intervals: [10] }).toBe(1)
    started.forEach(killAll)

    const second = await start()
    await second.route('**/api/**', (route) => route.abort())
    await second.goto(`${baseURL}/trips/${id}/bench`)
    await expect(second.getByLabel('Name of the trip')).toHaveValue('Written as the light went out')
  } finally {
    started.forEach(killAll)
    await new Promise((later) => setTimeout(later, 300))
    rmSync(folder, { recursive: true, force: true, maxRetries: 20, retryDelay: 200 })
  }
})
