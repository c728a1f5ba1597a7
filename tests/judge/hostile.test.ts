import { nth } from '#core/validation'
import { demoTrip } from '#catalogue/demo'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { seeded } from '../seeded'
import { Setting, type Person } from '../server/setting'
import { judged, tries } from './judged'

let setting: Setting
let maren: Person
beforeAll(async () => {
  setting = await Setting.start()
  maren = await setting.person('maren')
})
afterAll(() => setting?.stop())

const oddities: unknown[] = [
  null,
  [],
  {},
  '',
  'x'.repeat(5000),
  -1,
  1e308,
  -0,
  0.1,
  true,
  [[]],
  { length: -1 },
  [null],
  '2026-02-30T25:61',
  '__proto__',
]

/** A copy with some value, deep inside, that is not what it should be. */
function hurt(value: unknown, random: () => number): unknown {
  const copy = structuredClone(value)
  let at = copy as Record<string, unknown>
  for (;;) {
    const keys = Object.keys(at)
    const key = keys[Math.floor(random() * keys.length)]
    if (key === undefined) return copy
    const inner = at[key]
    if (typeof inner !== 'object' || inner === null || Object.keys(inner).length === 0 || random() < 0.2) {
      at[key] = oddities[Math.floor(random() * oddities.length)]
      return copy
    }
    at = inner as Record<string, unknown>
  }
}

it('roads, rides, stops and weather that are hurt anywhere are refused or taken whole, and never end the server', async () => {
  const { points, ...road } = demoTrip().road
  const trip = { ...demoTrip(), road: { ...road, points: points.filter((_, i) => i % 40 === 0) } }
  // The thinned line is a little shorter.
  const stops = trip.stops.filter(({ roadKm }) => roadKm < 600)
  const stretches = trip.road.stretches.filter(({ toKm }) => toKm < 600)
  const sound = { ...trip, stops, road: { ...trip.road, stretches } }
  const id = await maren.newTrip(sound)
  const read = async () => (await maren.read(id)).body
  const cases = tries(300)
  let refused = 0
  for (let case_ = 1; case_ <= cases; case_++) {
    const random = seeded(case_)
    const part = nth(['road', 'ride', 'stops', 'forecast'] as const, case_ % 4)
    const before = await read()
    const change = { part, base: before.revisions[part].number, value: hurt(sound[part], random) }
    const { status, body } = await maren.save(id, change)
    expect([200, 422], `case ${case_}: ${JSON.stringify(body).slice(0, 300)}`).toContain(status)
    if (status === 422) {
      refused++
      expect(body.data.lines[0], `case ${case_}`).toMatch(/expected/)
      expect(await read()).toEqual(before)
    }
  }
  expect(refused).toBeGreaterThan(cases / 3)
  expect(refused).toBeLessThan(cases)
  judged('hostile', [
    `${cases} roads, rides, stops and forecasts hurt somewhere inside: ${refused} refused with the place named, the others taken whole; nothing that was there was touched.`,
  ])
})
