import { expect, test } from './rig'
import { signUp } from './steps'

test('a page that fails says so, to the rider and to whoever watches it, and is loaded again', async ({
  page,
  failures,
}) => {
  await signUp(page, 'Witness')
  // A list no page can show: the fault comes while it is drawn.
  await page.route('**/api/trips', (route) => route.fulfill({ json: [null] }))
  await page.reload()
  await expect(page.getByRole('alert').filter({ hasText: 'Something on this page has failed.' })).toBeVisible()
  expect(failures.splice(0)).not.toEqual([])

  await page.unroute('**/api/trips')
  await page.getByRole('button', { name: 'Load it again' }).click()
  await expect(page.getByRole('heading', { name: 'Trips', exact: true })).toBeVisible()
  await expect(page.getByText('Something on this page has failed.')).toHaveCount(0)
})

test('an address where nothing is says so, by night in night colours, and leads on', async ({ page }) => {
  await page.emulateMedia({ colorScheme: 'dark' })
  await page.goto('/no/such%20page')
  await expect(page.getByRole('heading', { name: 'There is no such page' })).toBeVisible()
  await expect(page.getByText('/no/such%20page')).toBeVisible()
  await expect(page.locator('html')).toHaveAttribute('data-scheme', 'night')
  await page.getByRole('button', { name: 'To the first page' }).click()
  await expect(page.getByRole('button', { name: 'Sign up', exact: true })).toBeVisible()
})

test('an address within a trip, that no page has, says so to somebody signed in', async ({ page }) => {
  await signUp(page, 'Astray')
  await page.goto('/trips/a%2Fb')
  await expect(page.getByRole('heading', { name: 'There is no such trip' })).toBeVisible()
  await page.goto('/trips/some/nowhere')
  await expect(page.getByRole('heading', { name: 'There is no such page' })).toBeVisible()
  await page.getByRole('button', { name: 'To the first page' }).click()
  await expect(page.getByRole('heading', { name: 'Trips', exact: true })).toBeVisible()
})
