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
