import { defined, nth } from '#core/validation'
import { calculators } from '#core/calculators'
import type { Page } from '@playwright/test'
import { demoTrip } from '#catalogue/demo'
import { expect, test } from './rig'
import { beginTrip, openOwnDemo, analysed, rowOf, saved, signUp, takeFromCatalogue } from './steps'

const room = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).click()
/** Picks a part on the picture, where it is pointed at. */
const pick = (page: Page, part: string) => page.locator(`#point-${part.replace(/ /g, '-')}`).click()

test('a passport is filled in from a kind of bike, and its parts are picked on the picture', async ({ page }) => {
  await signUp(page, 'Folder')
  await beginTrip(page, 'Small wheels')
  await page.getByRole('heading', { name: 'Road', exact: true }).click()
  await page.keyboard.press('k')
  await expect(page.getByRole('button', { name: 'Gravel bike', exact: true })).toHaveAttribute('aria-pressed', 'true')
  await page.getByRole('button', { name: 'A bike', exact: true }).click()
  await page.getByRole('menuitem', { name: 'Small-wheel folder' }).click()
  await expect(page.getByLabel('Its name')).toHaveValue('Small-wheel folder')

  await pick(page, 'rear hub')
  await expect(page.getByRole('heading', { name: 'rear hub' })).toBeVisible()
  await expect(page.getByText('Axle nuts, rear')).toBeVisible()
  await expect(page.getByText('nut 15')).toBeVisible()
  await pick(page, 'mudguards')
  await expect(page.getByText('Pozidriv 2')).toBeVisible()

  // What is taken off takes its fasteners along; undone, all is there again.
  await page.getByRole('button', { name: 'The whole bike' }).click()
  await page.getByLabel('Mudguards', { exact: true }).uncheck()
  await expect(page.locator('#part-mudguards')).toHaveCount(0)
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(page.locator('#part-mudguards')).toHaveCount(1)

  // The rider gets on it, and the bike one began with can be given away.
  const riders = page.getByRole('group', { name: 'Ridden by' })
  await expect(page.getByRole('button', { name: 'Remove Small-wheel folder' })).toBeVisible()
  await riders.getByRole('button').first().click()
  await expect(riders.getByRole('button').first()).toHaveAttribute('aria-pressed', 'true')
  await expect(page.getByRole('button', { name: 'Remove Small-wheel folder' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Gravel bike', exact: true }).click()
  await page.getByRole('button', { name: 'Remove Gravel bike' }).click()
  await expect(page.getByRole('button', { name: 'Gravel bike', exact: true })).toHaveCount(0)
  await saved(page)
  await page.reload()
  await page.getByRole('button', { name: 'Small-wheel folder', exact: true }).click()
  await expect(page.getByLabel('Its name')).toHaveValue('Small-wheel folder')
})

test('a wider tyre, and the spare tube no longer fits: on the bench and in Weigh', async ({ page }) => {
  await openOwnDemo(page, 'weigh')
  await expect(rowOf(page, /Tube 622 × 28–47/)).toContainText(/take/i)
  await page.keyboard.press('k')
  for (const end of ['rear', 'front']) {
    await pick(page, `${end} tyre`)
    await page.getByLabel('Marking').fill('60-622')
    await page.keyboard.press('Enter')
    await expect(page.getByLabel('Marking')).toHaveValue('60-622')
  }
  await room(page, 'Which spares fit')
  const row = page.getByRole('row').filter({ hasText: 'Tube 622 × 28–47' })
  await expect(row).toContainText('does not fit: too narrow: made for 28 to 47 mm, the tyre is 60')

  await page.keyboard.press('b')
  await expect(page.getByText(/does not fit The Fox, gravel: too narrow/)).toBeVisible()
  await page.keyboard.press('w')
  await rowOf(page, /Tube 622 × 28–47/).click()
  await expect(page.getByLabel('Which bikes it does not serve')).toContainText('too narrow')
})

test('an uncovered bolt is found, and covered with the tool that is suggested', async ({ page }) => {
  await openOwnDemo(page, 'bikes')
  await room(page, 'What turns what')
  const uncovered = page.getByRole('region', { name: 'Uncovered' })
  await expect(uncovered).toContainText('Pedals on The Mule, tourer')
  await uncovered.getByRole('button', { name: /Open-end spanner 15 mm, thin/ }).click()
  await expect(uncovered).toHaveCount(0)
  await expect(page.getByText('none uncovered')).toBeVisible()
  await page.getByRole('button', { name: 'As a plain list' }).click()
  await expect(page.getByRole('list', { name: 'Fasteners of The Mule, tourer' })).toContainText(
    'Open-end spanner 15 mm, thin, open end 15',
  )
  // Taken away again, it is uncovered again.
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(uncovered).toContainText('Pedals')
})

test('what keeps a fix away is named where one weighs, with what would mend that', async ({ page }) => {
  const bench = demoTrip().bench.filter(({ id }) => !['folding-17', 'folding-9', 'torque-key'].includes(id))
  await openOwnDemo(page, 'weigh', { bench })
  await expect(rowOf(page, /Hanger, shape K3/)).toContainText(/leave/i)
  await rowOf(page, /Hanger, shape K3/).click()
  await expect(page.getByText('Cannot be used yet: fit the spare hanger (The Fox, gravel: nothing turns')).toBeVisible()
  await page.getByRole('complementary').getByRole('button', { name: 'Close' }).click()
  const lacking = page.getByRole('region', { name: 'What the bench lacks' })
  await expect(lacking).toContainText('hanger sheared', { timeout: 20_000 })
  await lacking.getByRole('listitem').filter({ hasText: 'hanger sheared' }).first().getByRole('button').click()
  await analysed(page)
  await expect(rowOf(page, /Hanger, shape K3/)).toContainText(/take/i)
})

test('hands that pull less leave a bolt uncovered, and stay as they were said to be', async ({ page }) => {
  await openOwnDemo(page, 'bikes')
  await room(page, 'What turns what')
  const uncovered = page.getByRole('region', { name: 'Uncovered' })
  await expect(uncovered).not.toContainText('Crank bolts')
  const hand = page.getByLabel('A hand pulls at most')
  await hand.fill('150')
  await page.keyboard.press('Enter')
  await expect(page.getByText('94 N with ease')).toBeVisible()
  await expect(uncovered).toContainText('Crank bolts')
  await saved(page)
  await page.reload()
  await expect(hand).toHaveValue('150')
  await expect(uncovered).toContainText('Crank bolts')
})

test('a wrench at a village counts there, and nowhere else', async ({ page }) => {
  await openOwnDemo(page, 'bikes')
  await room(page, 'What turns what')
  await expect(page.getByText('There is one at Sallow Mill and Brannock.')).toBeVisible()
  await expect(page.getByText(/With a big wrench to borrow: Headset lock nut/)).toBeVisible()
})

/** Goes on with Tab, round the page if need be, until something by that name has the focus. */
async function tabTo(page: Page, name: RegExp, most = 120) {
  for (let i = 0; i < most; i++) {
    const focused = await page.evaluate(() => {
      const element = document.activeElement
      const label = element instanceof HTMLInputElement || element instanceof HTMLSelectElement ? element.labels : null
      return (element?.getAttribute('aria-label') ?? label?.[0]?.textContent ?? element?.textContent ?? '').trim()
    })
    if (name.test(focused)) return
    await page.keyboard.press('Tab')
  }
  throw new Error(`nothing by the name of ${name} is reached with Tab`)
}
async function typeOver(page: Page, text: string) {
  await page.keyboard.press('Control+a')
  await page.keyboard.type(text)
  await page.keyboard.press('Enter')
}
/** Walks round the picture with the arrows until a part is picked. */
async function walkTo(page: Page, part: string) {
  await tabTo(page, /^Parts of the bike$/)
  for (let i = 0; i < 40; i++) {
    await page.keyboard.press('ArrowRight')
    const label = await page.locator('[role=option][aria-selected=true]').getAttribute('aria-label')
    if (label === part || label?.startsWith(`${part}:`)) return
  }
  throw new Error(`no ${part} on the picture`)
}

test('a passport from first to last by keyboard alone', async ({ page }) => {
  await openOwnDemo(page, 'weigh')
  await page.keyboard.press('k')
  await expect(page.getByRole('heading', { name: 'Bikes', exact: true })).toBeVisible()
  await tabTo(page, /^A bike$/)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('menu')).toBeVisible()
  await page.keyboard.type('Small')
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Its name')).toHaveValue('Small-wheel folder')
  await tabTo(page, /^Its name/)
  await typeOver(page, 'The Wren')
  await expect(page.getByRole('button', { name: 'The Wren', exact: true })).toBeVisible()

  await walkTo(page, 'rear tyre')
  await tabTo(page, /^Marking/)
  await typeOver(page, '40-305')
  await tabTo(page, /^Tubeless/)
  await page.keyboard.press('Space')
  await tabTo(page, /^Protection/)
  await page.keyboard.type('tough')
  await tabTo(page, /^Tread left/)
  await typeOver(page, '45')

  await walkTo(page, 'rear hub')
  await tabTo(page, /^Change Axle nuts, rear/)
  await page.keyboard.press('Enter')
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByRole('heading', { name: 'Axle nuts, rear' })).toBeVisible()
  await tabTo(page, /^Comes loose at/)
  // Nonsense is not passed over: the dialog stays, with the reason, until it is mended or taken back.
  await typeOver(page, '-44')
  await expect(dialog.getByRole('alert')).toContainText('must be at least 0 N·m')
  await tabTo(page, /^Keep$/)
  await page.keyboard.press('Enter')
  await expect(dialog.getByLabel('Comes loose at')).toBeFocused()
  await page.keyboard.press('Escape')
  await expect(dialog.getByRole('alert')).toHaveCount(0)
  await typeOver(page, '44')
  await expect(dialog).toHaveCount(0)

  // A fastener that nothing turns is covered without the hand leaving the keys.
  await tabTo(page, /^What turns what$/)
  await page.keyboard.press('Enter')
  const uncovered = page.getByRole('region', { name: 'Uncovered' })
  await expect(uncovered).toContainText('on The Wren')
  await tabTo(page, /^All that is missing/)
  await page.keyboard.press('Enter')
  await expect(page.getByText('none uncovered')).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(uncovered).toContainText('on The Wren')

  await saved(page)
  await page.reload()
  await page.getByRole('button', { name: 'The Wren', exact: true }).click()
  await page.getByRole('button', { name: 'Passport', exact: true }).click()
  await pick(page, 'rear tyre')
  await expect(page.getByLabel('Marking')).toHaveValue('40-305')
  await expect(page.getByRole('checkbox', { name: 'Tubeless' })).toBeChecked()
  await expect(page.getByLabel('Protection')).toHaveValue('tough')
  await expect(page.getByLabel('Tread left')).toHaveValue('45')
  await pick(page, 'rear hub')
  await page.getByRole('button', { name: 'Change Axle nuts, rear' }).click()
  await expect(page.getByLabel('Comes loose at')).toHaveValue('44')
})

test('the matrix by keyboard alone', async ({ page }) => {
  await openOwnDemo(page, 'weigh')
  await page.keyboard.press('k')
  await expect(page.getByRole('heading', { name: 'Bikes', exact: true })).toBeVisible()
  await tabTo(page, /^Parts of the bike$/)
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('heading', { name: 'What it has' })).toBeVisible()
  await tabTo(page, /^What turns what$/)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'At a glance' })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Turns nothing on any bike here' })).toBeVisible()
  await tabTo(page, /^Tools down, fasteners across/)
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('status').filter({ hasText: 'Folding tool, 17 functions, hex' })).toBeVisible()
  await page.keyboard.press('ArrowDown')
  await expect(page.getByRole('status').filter({ hasText: /: Folding tool, 17 functions, hex \d/ })).toBeVisible()
  await page.keyboard.press('ArrowDown')
  await expect(page.getByRole('status').filter({ hasText: /: Folding tool, 9 functions, hex \d/ })).toBeVisible()
  await page.keyboard.press('Escape')
  await tabTo(page, /^Open-end spanner 15 mm, thin/)
  await page.keyboard.press('Enter')
  await expect(page.getByText('none uncovered')).toBeVisible()
})

test('every calculator, by keyboard, filled in from the bike; by itself without one', async ({ page }) => {
  test.slow()
  await openOwnDemo(page, 'bikes')
  await page.getByRole('button', { name: 'Calculators', exact: true }).focus()
  await page.keyboard.press('Enter')
  for (const calculator of calculators.flatMap((group) => group.calculators)) {
    await page
      .getByRole('navigation', { name: 'Calculators' })
      .getByRole('button', { name: calculator.name, exact: true })
      .focus()
    await page.keyboard.press('Enter')
    const card = page.getByRole('article', { name: calculator.name })
    await expect(card.getByText(calculator.asks)).toBeVisible()
    const results = card.locator('dl')
    const before = await results.innerText()
    expect(before, calculator.name).not.toMatch(/NaN|Infinity|undefined/)
    const input = defined(
      calculator.inputs.find((given) => given.kind === 'amount' && !given.whole && given.id !== 'mostBar'),
    )
    const field = card.getByLabel(input.label, { exact: true })
    await field.focus()
    const value = Number((await field.inputValue()).replace(',', '.'))
    await page.keyboard.press('Control+a')
    await page.keyboard.type(String(value * 0.9 || 1))
    await page.keyboard.press('Enter')
    await expect(results, calculator.name).not.toHaveText(before)
    await expect(card.getByText('typed by you').first()).toBeVisible()
    // Nonsense is refused beside the field, and what stood there counts on.
    await field.focus()
    await page.keyboard.press('Control+a')
    await page.keyboard.type('-9999')
    await page.keyboard.press('Enter')
    await expect(card.getByRole('alert').first()).toBeVisible()
    await page.keyboard.press('Escape')
  }
  await page.goto('/calculators')
  await expect(page.getByRole('article', { name: 'Gas cartridges' })).toContainText('2.14 bar')
})

test('nonsense in a passport is refused where it is typed, and nothing saved is lost', async ({ page }) => {
  await openOwnDemo(page, 'bikes')
  await pick(page, 'rear tyre')
  await page.getByLabel('Marking').fill('28 inch, I think')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toContainText('cannot be read; the side of the tyre says width and bead')
  await page.getByLabel('Ridden at').fill('-2 bar')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert').filter({ hasText: 'at least 0.1 bar' })).toBeVisible()
  await pick(page, 'rear wheel')
  await page.getByLabel('Spoke holes').fill('40')
  await page.keyboard.press('Enter')
  await page.getByLabel('Crossings').fill('5')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toContainText('at most 4 crossings for 40 holes')
  await pick(page, 'chain')
  await page.getByLabel('Links', { exact: true }).fill('0')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toContainText('at least 50')
  await saved(page)
  await page.reload()
  await pick(page, 'rear wheel')
  await expect(page.getByLabel('Spoke holes')).toHaveValue('40')
  await expect(page.getByLabel('Crossings')).toHaveValue('2')
  await pick(page, 'rear tyre')
  await expect(page.getByLabel('Marking')).toHaveValue('45-622')

  // Two hundred bolts in a document are too many for one bike, and it says which.
  const trip = structuredClone(demoTrip())
  const bolt = nth(nth(trip.bikes, 0).fasteners, 0)
  nth(trip.bikes, 0).fasteners = Array.from({ length: 200 }, (_, i) => ({ ...bolt, id: `bolt-${i}` }))
  const answer = await page.request.post('/api/trips', { data: trip })
  expect(answer.status()).toBe(422)
  expect(await answer.text()).toContain('bikes[0].fasteners')
})

test('a tool of one’s own is given its ends', async ({ page }) => {
  await signUp(page, 'Maker')
  await beginTrip(page, 'Own tools')
  await page.getByRole('heading', { name: 'Road', exact: true }).click()
  await page.keyboard.press('b')
  await takeFromCatalogue(page, ['Mini pump'])
  await page.getByRole('button', { name: 'One of my own' }).click()
  await page.getByLabel('Name', { exact: true }).fill('The tin’s own keys')
  await page.getByLabel('Ends to add').fill('hex4 hex5 T25 ring999')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('dialog').getByRole('alert')).toContainText('“ring999”')
  await page.getByLabel('Ends to add').fill('hex4 hex5 T25')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'Lay it down' }).click()
  await expect(page.getByText('hex 4, 5, T25')).toBeVisible()
  await page.keyboard.press('k')
  await room(page, 'What turns what')
  await page.getByRole('button', { name: 'As a plain list' }).click()
  await expect(page.getByText('The tin’s own keys, hex 4').first()).toBeVisible()
})
