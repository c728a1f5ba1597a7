import type { BrowserContext, Page } from '@playwright/test'
import { expect, test } from './rig'
import { analysed, newAccount, newTrip, saved } from './steps'

/** Everything that the app is made of lies on the device. */
async function installed(page: Page): Promise<void> {
  await page.evaluate(() => navigator.serviceWorker.ready)
}
async function withoutNetwork(device: BrowserContext): Promise<Page> {
  await device.setOffline(true)
  return device.newPage()
}

test('a trip that was opened once is opened cold without a network, at any stage, and reckoned', async ({
  newDevice,
}) => {
  const device = await newDevice({ serviceWorkers: 'allow' })
  const first = await device.newPage()
  await newAccount(first.request, 'Offline')
  const id = await newTrip(first.request)
  await first.goto(`/trips/${id}/weigh`)
  await analysed(first)
  const carried = await first.getByRole('region', { name: 'The balance' }).innerText()
  await installed(first)
  await first.close()

  const page = await withoutNetwork(device)
  await page.goto(`/trips/${id}/weigh`)
  await analysed(page)
  expect((await page.getByRole('region', { name: 'The balance' }).innerText()).slice(0, 40)).toBe(carried.slice(0, 40))
  for (const stage of ['Road', 'Bikes', 'Bench']) {
    await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: stage }).click()
    await expect(page.getByRole('heading', { name: stage, level: 1 })).toBeVisible()
  }
  // What is edited meanwhile is kept, and reaches the server once there is a network again.
  await page.getByLabel('Name of the trip').fill('Renamed in the hills')
  await page.keyboard.press('Enter')
  await page.reload()
  await expect(page.getByLabel('Name of the trip')).toHaveValue('Renamed in the hills')
  // The list, too, has it by its new name, though no server has heard of that.
  await page.goto('/trips')
  await expect(page.getByRole('link', { name: /Renamed in the hills/ })).toBeVisible()
  await expect(page.getByRole('link', { name: /Across the Quern, June/ })).toHaveCount(0)
  await page.goto(`/trips/${id}/bench`)
  await expect(page.getByRole('heading', { name: 'Bench', level: 1 })).toBeVisible()
  await device.setOffline(false)
  await saved(page)
})

test('a trip without an account is there without a network too', async ({ newDevice }) => {
  const device = await newDevice({ serviceWorkers: 'allow' })
  const first = await device.newPage()
  await first.goto('/')
  await first.getByRole('button', { name: 'Begin without a file' }).click()
  await expect(first.getByRole('link', { name: /^Sample: Across the Quern/ })).toBeVisible()
  await first.getByLabel('Name', { exact: true }).first().fill('On this device')
  await first.getByRole('button', { name: 'Begin', exact: true }).click()
  await expect(first.getByRole('heading', { name: 'Road', exact: true })).toBeVisible()
  await installed(first)
  await first.close()

  const page = await withoutNetwork(device)
  await page.goto('/trips')
  await expect(page.getByRole('link', { name: /On this device/ })).toBeVisible()
})
