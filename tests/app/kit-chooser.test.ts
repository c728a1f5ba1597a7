import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { indexLedger } from '#core/ledger'
import { surveyRoad } from '#core/road'
import { KitSearch, usualGramsPerHour } from '#core/search'
import type { Trip } from '#core/trip'
import { ledgerOfTrip, writeLedger } from '#core/trip-ledger'
import { defined, nth } from '#core/validation'
import { expect, it } from 'vitest'
import { createKitChooser } from '../../app/workers/kit-chooser'

const demo = demoTrip()
const survey = surveyRoad(demo.road.points)
const byRoad: Trip = { ...demo, dials: { ...demo.dials, gramsPerHour: null } }
const written = (trip: Trip) => writeLedger(trip, survey, catalogue).ledger
const takeUp = (chooser: ReturnType<typeof createKitChooser>, number: number, trip: Trip) => {
  const ledger = written(trip)
  const { gramsPerHour, budgetG, budgetMoney, pins } = ledger
  return chooser.takeUp(number, { gramsPerHour, budgetG, budgetMoney, pins }, ledger)
}
const without = (trip: Trip, place: number): Trip => ({ ...trip, stops: trip.stops.filter((_, i) => i !== place) })

it('chooses under the price that the road sets, and asks no pin for it', { timeout: 60_000 }, () => {
  const chooser = createKitChooser()
  expect(chooser.choose(0)).toBeUndefined()
  const first = defined(demo.bench.at(0))
  const pinned = { ...byRoad, bench: [{ ...first, pin: { min: 0, max: 0 } }, ...demo.bench.slice(1)] }
  takeUp(chooser, 0, pinned)
  const { gramsPerHour, kit } = defined(chooser.choose(0))
  const { ledger } = ledgerOfTrip(pinned, survey, catalogue)
  expect(gramsPerHour).toBe(usualGramsPerHour(indexLedger({ ...ledger, pins: {} })))
  expect(gramsPerHour).toBe(ledger.gramsPerHour)
  expect(kit).toEqual(KitSearch.forLedger(indexLedger(ledger)).best())
  expect(chooser.asTheRoadSetsIt()?.gramsPerHour).toBe(gramsPerHour)
})

it('tells at once what the kit comes to by another plan, as near to it as pins allow', () => {
  const chooser = createKitChooser()
  expect(takeUp(chooser, 0, demo), 'nothing was chosen yet').toBeNull()
  const { counts } = defined(chooser.choose(0)?.kit)
  const taken = counts.findIndex((count) => count > 0)
  const bench = demo.bench.map((thing, i) => (i === taken ? { ...thing, pin: { min: 0, max: 0 } } : thing))
  const other = { ...without(demo, 2), bench: bench.toReversed() }
  const told = defined(takeUp(chooser, 1, other) ?? undefined)
  expect(nth(told.counts, counts.length - 1 - taken)).toBe(0)
  const nearest = counts.map((count, i) => (i === taken ? 0 : count)).toReversed()
  expect(told).toEqual(KitSearch.forLedger(indexLedger(written(other))).choice(nearest))
  // What is found then is no worse, and no worse kit was searched for because of it.
  const found = defined(chooser.choose(1)?.kit)
  expect(found.netH).toBeGreaterThanOrEqual(told.netH)
  expect(found).toEqual(KitSearch.forLedger(indexLedger(written(other))).best())
})

it('keeps its ledger while only the terms change, and says when it has another', () => {
  const chooser = createKitChooser()
  takeUp(chooser, 3, demo)
  const terms = { gramsPerHour: 50, budgetG: null, budgetMoney: null, pins: {} }
  expect(chooser.takeUp(4, terms, undefined)).toBeUndefined()
  expect(chooser.choose(4)).toBeUndefined()
  expect(chooser.takeUp(3, terms, undefined)).toBeNull()
  expect(chooser.choose(3)).toMatchObject({ gramsPerHour: 50 })
  const light = defined(chooser.explain()).massG
  expect(chooser.takeUp(3, { ...terms, gramsPerHour: 5000 }, undefined)).toMatchObject({ massG: light })
  expect(defined(chooser.choose(3)?.kit).massG).toBeGreaterThan(light)
})

it('has no kit, and the reasons, where what is pinned weighs too much', () => {
  const chooser = createKitChooser()
  const bench = demo.bench.map((thing) => ({ ...thing, pin: { min: thing.count, max: thing.count } }))
  takeUp(chooser, 0, { ...demo, bench, dials: { ...demo.dials, budgetG: 1 } })
  const choice = defined(chooser.choose(0))
  expect(choice.kit).toBeNull()
  expect(choice.problems.join()).toMatch(/budgetG/)
  expect(chooser.explain()).toBeNull()
})
