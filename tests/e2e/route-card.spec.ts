import type { Locator, Page } from '@playwright/test'
import { expect, test } from './rig'
import { expectNoAxeViolations } from './steps'

/** A trip of somebody without an account and without a file. */
async function writeDown(page: Page): Promise<Locator> {
  await page.goto('/')
  await page.getByRole('button', { name: 'Begin without a file' }).click()
  await page.getByLabel('Name', { exact: true }).first().fill('Along the Reave')
  await page.getByRole('button', { name: 'Begin', exact: true }).click()
  await page.getByRole('button', { name: 'Write the road down' }).click()
  return page.getByRole('dialog', { name: 'The road, written down' })
}

test('a road is written down by keyboard: what lacks is said, and what was written is changed later', async ({
  page,
}) => {
  const dialog = await writeDown(page)
  await page.getByPlaceholder('first place').focus()
  for (const typed of ['Reave Bridge', 'Bike shop Aldermill', '38', 'NE', '420', '150']) {
    if (typed !== 'Reave Bridge') await page.keyboard.press('Tab')
    await page.keyboard.type(typed)
  }
  await dialog.getByRole('button', { name: 'A place further on' }).press('Enter')
  await expect(page.getByLabel('Name of place 3')).toBeFocused()
  await page.keyboard.type('Stony Cross')
  await expect(dialog.getByRole('status')).toHaveText('38 km, 420 m up')
  await dialog.getByLabel('Where it begins').fill('nowhere')
  await dialog.getByRole('button', { name: 'Lay this road' }).press('Enter')
  await expect(dialog).toContainText('Where it begins: “nowhere”; expected latitude and longitude, such as')
  await dialog.getByLabel('Where it begins').fill('57.12, -33.45')
  await dialog.getByRole('button', { name: 'Lay this road' }).press('Enter')
  await expect(dialog).toContainText('Place 3, Stony Cross: expected how far it is from the place before')
  await dialog.getByLabel('Way to Stony Cross').fill('72')
  await expectNoAxeViolations(page)
  await dialog.getByRole('button', { name: 'Lay this road' }).press('Enter')
  await expect(dialog).toHaveCount(0)

  const road = page.getByRole('region', { name: 'The road' })
  await expect(road).toContainText('110 km')
  // A shop that stands in a name is proposed, as from a file.
  await expect(page.getByRole('button', { name: 'Take: bike shop at Bike shop Aldermill' })).toBeVisible()
  await expect(page.getByLabel('Place of Stony Cross')).toHaveValue('110')

  await page.getByRole('button', { name: 'The line' }).press('Enter')
  await page.getByRole('menuitem', { name: 'Change its places and legs …' }).press('Enter')
  await expect(dialog.getByLabel('Way to Bike shop Aldermill')).toHaveValue('38')
  await expect(dialog.getByLabel('Climb to Bike shop Aldermill')).toHaveValue('420')
  await expect(dialog.getByLabel('Descent to Bike shop Aldermill')).toHaveValue('150')
  await expect(dialog.getByLabel('Where it begins')).toHaveValue('57.12000, -33.45000')
  await dialog.getByLabel('Way to Bike shop Aldermill').fill('48')
  await dialog.getByRole('button', { name: 'Lay this road' }).click()
  await expect(page.getByLabel('Place of Stony Cross')).toHaveValue('120')
  await page.keyboard.press('Control+z')
  await expect(page.getByLabel('Place of Stony Cross')).toHaveValue('110')
})

test('a road is drawn on squared paper, places are drawn elsewhere and taken off', async ({ page }) => {
  const dialog = await writeDown(page)
  const paper = dialog.getByRole('group', { name: 'The road on squared paper, north up' })
  await expect(paper).toBeVisible()
  const press = async (x: number, y: number) => {
    const box = await paper.boundingBox()
    await page.mouse.click((box?.x ?? 0) + x * (box?.width ?? 0), (box?.y ?? 0) + y * (box?.height ?? 0))
  }
  await press(0.6, 0.5)
  await expect(dialog.getByLabel('Direction to place 2')).toHaveValue('90')
  await press(0.9, 0.3)
  await press(0.95, 0.6)
  await expect(dialog.getByRole('listitem')).toHaveCount(4)
  const length = dialog.getByLabel('Way to place 4')
  const before = await length.inputValue()
  const place = paper.getByRole('button', { name: 'bend 3; arrow keys move it' })
  await place.focus()
  await page.keyboard.press('Shift+ArrowDown')
  await expect(length).not.toHaveValue(before)

  const drawn = await length.inputValue()
  const spot = await place.boundingBox()
  await page.mouse.move((spot?.x ?? 0) + 16, (spot?.y ?? 0) + 16)
  await page.mouse.down()
  await page.mouse.move((spot?.x ?? 0) - 60, (spot?.y ?? 0) + 30, { steps: 4 })
  await page.mouse.up()
  await expect(length).not.toHaveValue(drawn)
  await dialog.getByRole('button', { name: 'Take place 3 off' }).click()
  await expect(dialog.getByRole('listitem')).toHaveCount(3)

  const said = (await dialog.getByRole('status').textContent()) ?? ''
  await dialog.getByRole('button', { name: 'Lay this road' }).click()
  await expect(page.getByRole('region', { name: 'The road' })).toContainText(said.trim())
})
