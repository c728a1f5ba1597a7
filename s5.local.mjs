export default async (page, rest) => {
  await page.getByRole('button', { name: 'chance of being stranded' }).hover()
  await page.waitForTimeout(600)
}
