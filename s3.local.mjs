export default async (page, rest) => {
  if (rest.includes('small')) await page.locator('[data-balance]').first().click()
  await page.getByRole('button', { name: /riders together/ }).click()
  await page.getByText(/All work alike|Otherwise with/).first().click()
}
