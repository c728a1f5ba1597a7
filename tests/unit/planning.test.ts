import {
  familyValues,
  fixValues,
  handValues,
  hazardValues,
  itemPrice,
  packingValues,
  sharingValues,
  planningSchema,
  toolValues,
  withPlanning,
} from '#core/reference'
import { onLeg } from '#core/ledger'
import { surveyRoad } from '#core/road'
import { readTrip } from '#core/trip'
import { ledgerOfTrip } from '#core/trip-ledger'
import { defined } from '#core/validation'
import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { describe, expect, it } from 'vitest'

const all = [
  ...catalogue.hazards.flatMap(hazardValues),
  ...catalogue.fixes.flatMap(fixValues),
  ...handValues(catalogue).flatMap(({ values }) => values),
  ...toolValues(catalogue).map(({ value }) => value),
  ...catalogue.families.flatMap(familyValues),
  ...catalogue.items.map(itemPrice),
  ...Object.values(sharingValues(catalogue)),
  ...packingValues(catalogue),
]

describe('planning values', () => {
  it('that can be changed are within their ranges, and each has a key of its own', () => {
    expect(new Set(all.map(({ key }) => key)).size).toBe(all.length)
    expect(planningSchema.parse(Object.fromEntries(all.map(({ key, value }) => [key, value])))).toBeDefined()
    for (const { value, least, most } of all) {
      expect(value).toBeGreaterThanOrEqual(least)
      expect(value).toBeLessThanOrEqual(most)
    }
  })

  it('set to what they are change nothing, and each that is changed is changed alone', () => {
    expect(withPlanning(catalogue, {})).toBe(catalogue)
    expect(withPlanning(catalogue, Object.fromEntries(all.map(({ key, value }) => [key, value])))).toEqual(catalogue)
    for (const { key, value, least, most } of all) {
      const other = value === least ? most : least
      const changed = withPlanning(catalogue, { [key]: other })
      const now = [
        ...changed.hazards.flatMap(hazardValues),
        ...changed.fixes.flatMap(fixValues),
        ...handValues(changed).flatMap(({ values }) => values),
        ...toolValues(changed).map((tool) => tool.value),
        ...changed.families.flatMap(familyValues),
        ...changed.items.map(itemPrice),
        ...Object.values(sharingValues(changed)),
        ...packingValues(changed),
      ]
      expect(now.filter((each, i) => each.value !== all[i]?.value).map((each) => each.key)).toEqual([key])
    }
  })

  it.each([
    ['hazards.puncture.per1000km', -1],
    ['hazards.puncture.stops', 1.2],
    ['hazards.puncture.colour', 1],
    ['hands.easy.4', 0.5],
    ['works.anvil', 0.5],
    ['turning.awkward', -0.1],
    ['sharing.uneven', 1],
    ['packing.hurry', 0.5],
    ['packing.depth', 1],
    ['families.sealant.sealedY', 0],
    ['items.mini-pump.price', -1],
    ['', 1],
  ])('refuse %s: %f, saying where', (key, value) => {
    const trip = { ...demoTrip(), dials: { ...demoTrip().dials, planning: { [key]: value } } }
    expect(() => readTrip(trip, catalogue)).toThrow(/dials\.planning/)
  })

  it('of what is no longer known count for nothing', () => {
    expect(withPlanning(catalogue, { 'hazards.meteorite.per1000km': 5 })).toEqual(catalogue)
  })

  it('of a trip are in its ledger: rates, what stops the bike, hands, tools and how fixes hold', () => {
    const demo = demoTrip()
    const survey = surveyRoad(demo.road.points)
    const ledgerWith = (planning: Record<string, number>) =>
      ledgerOfTrip({ ...demo, dials: { ...demo.dials, planning } }, survey, catalogue).ledger
    const usual = ledgerWith({})
    const changed = ledgerWith({
      'hazards.puncture.per1000km': 1.1,
      'hazards.chain-broken.per1000km': 0,
      'hands.easy.3': 0.5,
      'works.pump': 0.6,
      'fixes.swap-tube.holds': 0.5,
    })
    const flat = (ledger: typeof usual) => defined(ledger.events.find(({ id }) => id === 'puncture/mule/rear'))
    flat(usual).perLeg.forEach((failures, leg) => expect(flat(changed).perLeg[leg]).toBeCloseTo(2 * failures, 12))
    expect(changed.events.some(({ id }) => id.startsWith('chain-broken'))).toBe(false)
    expect(defined(changed.items.find(({ id }) => id === 'mini-pump')).condition).toBe(0.6)
    // What turns awkwardly takes longer by so much: between the plain fix and it there is nothing else.
    const awkwardly = (ledger: typeof usual) => {
      const all = ledger.events.flatMap(({ fixes }) => fixes)
      const hard = defined(all.find(({ id }) => id.endsWith('@awkward')))
      const plain = defined(
        all.find(({ id, needs }) => id === hard.id.slice(0, -'@awkward'.length) && needs.length > 0),
      )
      return onLeg(hard.workH, 0) / onLeg(plain.workH, 0) - 1
    }
    expect(awkwardly(usual)).toBeCloseTo(0.3, 12)
    expect(awkwardly(ledgerWith({ 'turning.awkward': 1.5 }))).toBeCloseTo(1.5, 12)
    const swap = defined(flat(changed).fixes.find(({ id }) => id.startsWith('swap-tube@')))
    expect(swap.holds).toBe(0.5)
    expect(swap.hands).toBeLessThan(defined(flat(usual).fixes.find(({ id }) => id === swap.id)).hands)
  })
})
