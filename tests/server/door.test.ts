import type { WeighedAtTheDoor } from '#catalogue/demo'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { Setting } from './setting'

let setting: Setting
beforeAll(async () => {
  setting = await Setting.start()
})
afterAll(() => setting?.stop())

const ask = (query: string) => fetch(`${setting.app.address}/api/door${query}`)
const weighed = async (km: number) => (await (await ask(`?km=${km}`)).json()) as WeighedAtTheDoor[]

it('weighs a first tin for anybody: farther from a shop it spares more, and no less comes along', async () => {
  const [near, far] = [await weighed(20), await weighed(400)]
  const sparedBy = (things: readonly WeighedAtTheDoor[], id: string) =>
    things.find((thing) => thing.id === id)?.hours ?? NaN
  for (const { id } of far) expect(sparedBy(far, id), id).toBeGreaterThanOrEqual(sparedBy(near, id))
  const taken = (things: readonly WeighedAtTheDoor[]) => things.filter(({ n }) => n > 0).length
  expect(taken(far)).toBeGreaterThan(taken(near))
  // What comes along is worth its grams.
  for (const { n, hours, priceH } of far) if (n > 0) expect(hours).toBeGreaterThan(priceH)
  expect(await weighed(400)).toEqual(far)
})

it.each(['', '?km=', '?km=10', '?km=155', '?km=410', '?km=1e9', '?km=a', '?km=100&km=200'])(
  'says what it can be asked for (%s)',
  async (query) => {
    const answer = await ask(query)
    expect(answer.status).toBe(400)
    expect(await answer.text()).toContain('km: expected a number of tens from 20 to 400')
  },
)
