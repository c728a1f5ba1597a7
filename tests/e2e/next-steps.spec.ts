import { bikeFrom } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { expect, test } from './rig'
import { analysed, openOwnDemo } from './steps'

/** The demo as it comes from a file: nobody has said what its stops have, when it begins, or what lies on the bench. */
function freshlyRead() {
  const { stops, ride } = demoTrip()
  const bare = stops.map((stop, i) => ({
    ...stop,
    services: [],
    exit: null,
    name: i === 2 ? 'Bike shop Quillby' : `Place ${i}`,
  }))
  return { stops: bare, ride: { ...ride, start: null, nights: [] }, bench: [] }
}

test('what matters most is named with its worth, one press away, and gone once it is done', async ({ page }) => {
  await openOwnDemo(page, 'road', freshlyRead())
  const line = page.getByRole('complementary', { name: 'What matters most now' })
  const step = (name: RegExp) => line.getByRole('button', { name })
  await expect(step(/nothing on the bench: [\d.]+ h are lost bare-handed/i)).toBeVisible()
  await expect(step(/one thing proposed by names of stops: .+ hang on it/i)).toBeVisible()
  await expect(step(/no day of departure: .+ hang on it/i)).toBeVisible()

  await step(/proposed by names/i).click()
  await expect(page.getByRole('region', { name: 'By their names' })).toBeFocused()
  await page.getByRole('button', { name: 'Take it' }).click()
  await expect(step(/proposed by names/i)).toHaveCount(0)

  await step(/no day of departure/i).click()
  await expect(page.getByRole('spinbutton', { name: /^day/ })).toBeFocused()
  await page.keyboard.type('130620260800')
  await page.keyboard.press('Tab')
  await expect(step(/no day of departure/i)).toHaveCount(0)
  // The shop has no hours, which count for something now that there is a day.
  await step(/one stop has no hours: .+ hang on it/i).click()
  await expect(page.getByLabel('Hours of the bike shop at Bike shop Quillby')).toBeFocused()
  await page.keyboard.type('Mo-Su 08:00-19:00')
  await page.keyboard.press('Tab')
  await expect(step(/no hours/i)).toHaveCount(0)

  await step(/nothing on the bench/i).click()
  await expect(line).toHaveCount(0)
  await analysed(page)
  await page.keyboard.press('w')
  await expect(page.locator('[data-row]').first()).toBeVisible()
})

test('a bike that nobody has spoken of is asked about before anything is laid for it', async ({ page }) => {
  await openOwnDemo(page, 'road', { ...freshlyRead(), bikes: demoTrip().bikes.map(({ id }) => bikeFrom('gravel', id)) })
  const line = page.getByRole('complementary', { name: 'What matters most now' })
  const step = line.getByRole('button', {
    name: /reckoned for 2 gravel bikes as the catalogue has them: .+ hang on it/i,
  })
  await step.click()
  const kind = page.getByLabel('start anew from')
  await expect(kind).toBeFocused()
  await kind.selectOption('tourer')
  await expect(line.getByRole('button', { name: /reckoned for a gravel bike as the catalogue has it/i })).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(step).toBeVisible()
})

test('it can be put away for a trip', async ({ page }) => {
  await openOwnDemo(page, 'road', freshlyRead())
  const line = page.getByRole('complementary', { name: 'What matters most now' })
  await line.getByRole('button', { name: 'Put this away for this trip' }).click()
  await expect(line).toHaveCount(0)
  await page.reload()
  await analysed(page)
  await expect(line).toHaveCount(0)
})
