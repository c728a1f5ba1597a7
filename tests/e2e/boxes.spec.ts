import type { Page } from '@playwright/test'
import { demoTrip } from '#catalogue/demo'
import { intoShed } from '#core/shed'
import { isFull, judged, share } from '../judge/judged'
import { boxFaults } from './boxes'
import { expect, test } from './rig'
import { analysed, fillShed, newAccount, newTrip } from './steps'
import { looked } from './trail-steps'

/** A laptop, a page at twice its size, by night, and a phone. */
const sizes = [
  { width: 1280, height: 800, colorScheme: 'light' },
  { width: 640, height: 400, colorScheme: 'dark' },
  { width: 390, height: 844, colorScheme: 'light' },
] as const

const wordy = (name: string) =>
  `${name}, as somebody wrote who had all the time in the world and a long evening beside the stove in the rain`.slice(
    0,
    100,
  )
/** Without a blank in it. */
const unbroken = (name: string) => name.replaceAll(/\W/g, '').padEnd(118, 'x')

/** The demo with every name that a person gives made longer, every other one without a blank in it. */
function demoNamedLong() {
  const { road, stops, bikes, crew, bench } = demoTrip()
  const named = <T extends { readonly name: string }>(list: readonly T[]) =>
    list.map((entry, i) => ({ ...entry, name: (i % 2 === 0 ? wordy : unbroken)(`${entry.name} ${i}`) }))
  return {
    name: unbroken('Trip'),
    road: { ...road, name: wordy('Road') },
    stops: named(stops),
    bikes: named(bikes).map((bike) => ({ ...bike, fasteners: named(bike.fasteners) })),
    crew: named(crew),
    bench: named(bench),
  }
}

const nothing = { road: { name: '', points: [], stretches: [] }, stops: [], bench: [] }
/** Every dialog at every size is `npm run judge`; every screen and room, and a tenth of what opens on them, is `./test`. */
const everyNth = Math.round(1 / share)

const trips = {
  'names as people give them': { change: () => ({}), isWeighed: true, tag: [] },
  'long names, half of them without a blank': { change: demoNamedLong, isWeighed: true, tag: ['@always'] },
  'nothing laid and no road': { change: () => nothing, isWeighed: false, tag: [] },
}

/** A sheet of A4 between margins of 14 mm. */
const sheet = { width: 688, height: 1017 } as const

/** What is wrong with a page as it is printed. */
async function measureOnPaper(page: Page, where: string, found: string[]): Promise<void> {
  await page.emulateMedia({ media: 'print' })
  await page.setViewportSize(sheet)
  await page.evaluate(() => new Promise((drawn) => requestAnimationFrame(() => setTimeout(drawn, 60))))
  found.push(...(await boxFaults(page)).map((fault) => `${where}, on paper: ${fault}`))
  await page.emulateMedia({ media: null })
  await page.setViewportSize(sizes[0])
}

/** What is wrong with a page, or the dialog over it, at every size, once all that it says is there. */
async function measure(page: Page, where: string, found: string[]): Promise<void> {
  await expect(page.getByText(/^(Weighing|Working it out)\b/).filter({ visible: true })).toHaveCount(0)
  for (const { colorScheme, ...size } of sizes) {
    await page.emulateMedia({ colorScheme })
    await page.setViewportSize(size)
    await page.evaluate(() => new Promise((drawn) => requestAnimationFrame(() => setTimeout(drawn, 60))))
    found.push(...(await boxFaults(page)).map((fault) => `${where}, ${size.width} × ${size.height}: ${fault}`))
  }
  await page.setViewportSize(sizes[0])
}

const buttons = 'button:visible, summary:visible'
/** What the first word of a button says is what it does: one is pressed of each. */
const kindOf = (name: string) => name.split(' ')[0]?.slice(0, 14) ?? ''

async function open(page: Page, address: string, isWeighed: boolean): Promise<void> {
  await page.goto(address)
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  // On the road nothing is weighed: what is there is looked at.
  if (isWeighed) await (new URL(page.url()).pathname.endsWith('/trail') ? looked(page) : analysed(page))
}

/** Every room of a stage, as its own names say. */
async function roomsOf(page: Page): Promise<string[]> {
  const rooms = page.getByRole('navigation', { name: 'Rooms of this stage' }).getByRole('button')
  const addresses = [page.url()]
  for (let i = 0; i < (await rooms.count()); i++) {
    await rooms.nth(i).click()
    addresses.push(page.url())
  }
  return [...new Set(addresses)]
}

/**
 * Presses one button of each kind and measures every dialog that opens.
 *
 * @param pressed kinds that were met before, and from now on these
 * @param offset which tenth of them is pressed, where not all are
 * @returns what the dialogs were opened by
 */
async function measureDialogs(
  page: Page,
  address: string,
  isWeighed: boolean,
  pressed: Set<string>,
  offset: number,
  found: string[],
): Promise<string[]> {
  const dialogs: string[] = []
  for (;;) {
    const names = await page
      .locator(buttons)
      .evaluateAll((all) => all.map((each) => (each.getAttribute('aria-label') ?? each.textContent ?? '').trim()))
    const at = names.findIndex((name) => name !== '' && !pressed.has(kindOf(name)))
    const name = names[at]
    if (name === undefined) return dialogs
    pressed.add(kindOf(name))
    if (pressed.size % everyNth !== offset % everyNth) continue
    const button = page.locator(buttons).nth(at)
    if (await button.isDisabled()) continue
    // What lies under something else for the moment is pressed another time, or never.
    const wasPressed = await button.click({ timeout: 2000 }).then(
      () => true,
      () => false,
    )
    if (!wasPressed) continue
    await page.waitForTimeout(100)
    if ((await page.getByRole('dialog').count()) > 0) {
      dialogs.push(name)
      await measure(page, `${new URL(address).pathname} › ${name}`, found)
      await page.keyboard.press('Escape')
    } else if ((await page.getByRole('menu').count()) > 0) {
      await measure(page, `${new URL(address).pathname} › ${name}`, found)
      await page.keyboard.press('Escape')
    } else await page.keyboard.press('Control+z')
    await page.waitForTimeout(100)
    if (page.url() !== address || (await page.getByRole('dialog').count()) > 0) await open(page, address, isWeighed)
  }
}

Object.entries(trips).forEach(([what, { change, isWeighed, tag }], offset) => {
  test(
    `with ${what}, nothing is cut, lies over another or runs off any stage, room or dialog`,
    { tag },
    async ({ page }) => {
      test.slow()
      const found: string[] = []
      await page.goto('/')
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
      await measure(page, '/', found)
      await newAccount(page.request, 'Boxes')
      const changed = change()
      const id = await newTrip(page.request, changed)
      await fillShed(
        page.request,
        { ...demoTrip(), ...changed }.bench.map((thing) => intoShed(thing, thing.id, 'EUR')),
      )
      await open(page, `/trips/${id}/road`, isWeighed)
      const stages = await page
        .getByRole('navigation', { name: 'Stages' })
        .getByRole('link')
        .evaluateAll((links) => links.map((link) => (link as HTMLAnchorElement).href))
      expect(stages.length).toBeGreaterThanOrEqual(4)

      const addresses: string[] = []
      const dialogs: string[] = []
      const pressed = new Set<string>()
      for (const stage of stages) {
        await open(page, stage, isWeighed)
        for (const address of await roomsOf(page)) {
          await open(page, address, isWeighed)
          const where = new URL(address).pathname + new URL(address).search
          addresses.push(where)
          await measure(page, where, found)
          await measureOnPaper(page, where, found)
          dialogs.push(...(await measureDialogs(page, address, isWeighed, pressed, offset, found)))
        }
      }
      for (const address of ['/trips', '/shed', '/account', '/calculators']) {
        await page.goto(address)
        await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
        await measure(page, address, found)
      }
      expect(found).toEqual([])
      const kinds = new Set(dialogs.map(kindOf)).size
      if (isFull) expect(kinds, 'dialogs were found').toBeGreaterThan(isWeighed ? 5 : 1)
      judged(`boxes ${offset + 1}`, [
        `${addresses.length} screens and rooms at ${sizes.length} sizes and on paper, ${dialogs.length} dialogs and menus at ${sizes.length} sizes: nothing cut, nothing over another, nothing beyond the edge.`,
      ])
    },
  )
})
