import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { indexLedger } from '#core/ledger'
import { surveyRoad } from '#core/road'
import { KitSearch, usualGramsPerHour } from '#core/search'
import type { Trip } from '#core/trip'
import { ledgerOfTrip, writeLedger } from '#core/trip-ledger'
import { defined, nth } from '#core/validation'
import { explainKit } from '#core/verdicts'
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

it('takes up what was made ready as if it were given then', { timeout: 60_000 }, () => {
  const other = without(demo, 2)
  const [given, prepared] = [createKitChooser(), createKitChooser()]
  for (const chooser of [given, prepared]) {
    takeUp(chooser, 0, demo)
    chooser.choose(0)
  }
  const told = takeUp(given, 1, other)
  prepared.makeReady({ number: 1, ledger: written(without(demo, 1)) })
  // The one that comes last is the one that is ready, and no other is.
  prepared.makeReady({
    number: 2,
    ledger: { ...written(other), gramsPerHour: 1, pins: { [nth(demo.bench, 0).id]: { min: 0, max: 0 } } },
  })
  const { gramsPerHour, budgetG, budgetMoney, pins } = written(other)
  const prices = { gramsPerHour, budgetG, budgetMoney, pins }
  expect(prepared.takeUp(1, prices, undefined)).toBeUndefined()
  // Until it is taken up, the one before is in force.
  expect(prepared.choose(2)).toBeUndefined()
  expect(defined(prepared.choose(0)?.kit)).toEqual(KitSearch.forLedger(indexLedger(written(demo))).best())
  expect(prepared.takeUp(2, prices, undefined)).toEqual(told)
  expect(prepared.choose(2)).toEqual(given.choose(1))
})

it(
  'tells of what was made ready what the kit chosen last comes to, though one was chosen meanwhile',
  { timeout: 60_000 },
  () => {
    const other = written(without(demo, 2))
    const { budgetG, budgetMoney, pins } = other
    const dear = { gramsPerHour: 5000, budgetG, budgetMoney, pins }
    const search = KitSearch.forLedger(indexLedger(other))
    const told = ([choosesMeanwhile, counts]: readonly [boolean, readonly number[]]) => {
      const chooser = createKitChooser()
      takeUp(chooser, 0, demo)
      const first = defined(chooser.choose(0)?.kit)
      chooser.takeUp(0, dear, undefined)
      chooser.makeReady({ number: 1, ledger: other })
      if (choosesMeanwhile) expect(chooser.choose(0)?.kit?.counts).not.toEqual(first.counts)
      const { gramsPerHour } = other
      expect(chooser.takeUp(1, { gramsPerHour, budgetG, budgetMoney, pins }, undefined)).toEqual(search.choice(counts))
    }
    const [first, second] = [written(demo), { ...written(demo), gramsPerHour: 5000 }].map(
      (ledger) => KitSearch.forLedger(indexLedger(ledger)).best().counts,
    )
    told([false, defined(first)])
    told([true, defined(second)])
  },
)

it('keeps its ledger while only the terms change, and says when it has another', async () => {
  const chooser = createKitChooser()
  takeUp(chooser, 3, demo)
  const terms = { gramsPerHour: 50, budgetG: null, budgetMoney: null, pins: {} }
  expect(chooser.takeUp(4, terms, undefined)).toBeUndefined()
  expect(chooser.choose(4)).toBeUndefined()
  expect(chooser.takeUp(3, terms, undefined)).toBeNull()
  expect(chooser.choose(3)).toMatchObject({ gramsPerHour: 50 })
  const light = defined((await chooser.explain()) ?? undefined).massG
  expect(chooser.takeUp(3, { ...terms, gramsPerHour: 5000 }, undefined)).toMatchObject({ massG: light })
  expect(defined(chooser.choose(3)?.kit).massG).toBeGreaterThan(light)
})

it(
  'explains the kit as it is explained at once, and gives it up for a ledger that is taken up',
  { timeout: 60_000 },
  async () => {
    const chooser = createKitChooser()
    takeUp(chooser, 0, demo)
    chooser.choose(0)
    const ledger = written(demo)
    const [explained, again] = [chooser.explain(), chooser.explain()]
    expect(await explained).toEqual(explainKit(ledger, KitSearch.forLedger(indexLedger(ledger))))
    expect(await again).toEqual(await explained)
    const givenUp = chooser.explain()
    expect(takeUp(chooser, 1, without(demo, 2))).toBeDefined()
    expect(await givenUp).toBeUndefined()
    expect(await chooser.explain(), 'of the kit that was chosen last').toEqual(await explained)
  },
)

it('has no kit, and the reasons, where what is pinned weighs too much', async () => {
  const chooser = createKitChooser()
  const bench = demo.bench.map((thing) => ({ ...thing, pin: { min: thing.count, max: thing.count } }))
  takeUp(chooser, 0, { ...demo, bench, dials: { ...demo.dials, budgetG: 1 } })
  const choice = defined(chooser.choose(0))
  expect(choice.kit).toBeNull()
  expect(choice.problems.join()).toMatch(/budgetG/)
  expect(await chooser.explain()).toBeNull()
})
