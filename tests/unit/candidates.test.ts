import { describe, expect, it } from 'vitest'
import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { CostsOfFailing } from '#core/availability'
import { thingFrom, type CatalogueItem } from '#core/bench'
import {
  additions,
  compareCandidates,
  criteria,
  goesInside,
  hollowMm,
  mostCandidates,
  type Candidate,
} from '#core/candidates'
import { crewFit, defaultHandN, itemsThatTurn, toolsOn } from '#core/fit'
import { indexLedger } from '#core/ledger'
import { PromiseEvaluator } from '#core/promise'
import { surveyRoad } from '#core/road'
import { KitSearch } from '#core/search'
import { ledgerOfTrip } from '#core/trip-ledger'
import { defined } from '#core/validation'

const item = (id: string) => defined(catalogue.items.find((each) => each.id === id))
const massOf = (items: readonly CatalogueItem[]) => items.reduce((sum, { massG }) => sum + massG, 0)
const priceOf = (items: readonly CatalogueItem[]) => items.reduce((sum, { price }) => sum + price, 0)

const demo = demoTrip()
/** One rider of it: as much again is weighed in half the time. */
const trip = {
  ...demo,
  bikes: demo.bikes.filter(({ id }) => id === 'mule'),
  crew: demo.crew.filter(({ bikeId }) => bikeId === 'mule'),
  dials: { ...demo.dials, gramsPerHour: 900 },
}
const survey = surveyRoad(trip.road.points)

describe('what must be added', () => {
  const tools = toolsOn([thingFrom(item('key-set'), 'key-set')])
  const open = crewFit(trip.bikes, tools, defaultHandN)
    .fasteners.filter(({ coverage }) => coverage === 'uncovered')
    .map(({ fastener }) => fastener)
    .slice(0, 5)
  const few = catalogue.items
    .filter((candidate) => open.some((fastener) => itemsThatTurn(fastener, tools, [candidate]).length > 0))
    .slice(0, 14)
  /** Every choice of a few things that covers all that any of them covers, by trying all. */
  const coverers = open.map((fastener) => new Set(itemsThatTurn(fastener, tools, few)))
  const covers = Array.from({ length: 2 ** few.length }, (_, bits) => few.filter((_each, i) => (bits >> i) & 1)).filter(
    (choice) => coverers.every((set) => set.size === 0 || choice.some((each) => set.has(each))),
  )
  const found = additions(open, tools, few, defaultHandN)

  it('has least of what is asked for, of all choices there are', () => {
    expect(covers.length).toBeGreaterThan(10)
    expect(massOf(found.lightest.items)).toBeCloseTo(Math.min(...covers.map(massOf)), 9)
    expect(priceOf(found.cheapest.items)).toBe(Math.min(...covers.map(priceOf)))
    expect(found.fewest.items).toHaveLength(Math.min(...covers.map(({ length }) => length)))
  })
  it('is the lighter of two that are as good', () => {
    const price = priceOf(found.cheapest.items)
    expect(found.cheapest.massG).toBeCloseTo(
      Math.min(...covers.filter((choice) => priceOf(choice) === price).map(massOf)),
      9,
    )
    const { length } = found.fewest.items
    expect(found.fewest.massG).toBeCloseTo(Math.min(...covers.filter((each) => each.length === length).map(massOf)), 9)
  })
  it('has least outside of the frame, where small keys and bits go inside', () => {
    const outside = (items: readonly CatalogueItem[]) => massOf(items.filter((each) => !goesInside(each)))
    expect(few.some(goesInside)).toBe(true)
    expect(few.every(goesInside)).toBe(false)
    const least = Math.min(...covers.map(outside))
    expect(outside(found.hidden.items)).toBeCloseTo(least, 9)
    expect(found.hidden.massG).toBeCloseTo(Math.min(...covers.filter((each) => outside(each) === least).map(massOf)), 9)
  })
  it('takes what goes inside, though it be heavier, and of that the lightest', () => {
    const key = { ...item('key-4'), boreMm: null }
    const [slim, slimmer] = [40, 30].map((massG) => ({ ...key, id: `slim-${massG}`, massG, boreMm: 15 }))
    const four = crewFit(trip.bikes, toolsOn([])).fasteners.find(
      ({ fastener }) => itemsThatTurn(fastener, [], [key]).length > 0,
    )
    const { lightest, hidden } = additions(
      [defined(four).fastener],
      [],
      [key, defined(slim), defined(slimmer)],
      defaultHandN,
    )
    expect(lightest.items).toEqual([key])
    expect(hidden.items).toEqual([slimmer])
  })
  it('puts nothing inside that is wider than the hollow of a bar', () => {
    // ISO 2936, short arms: 18 mm of a 2.5 mm key, 20 of a 3 mm one.
    expect([item('key-2-5'), item('key-3')].map(goesInside)).toEqual([true, false])
    expect(goesInside({ boreMm: hollowMm })).toBe(true)
    expect(goesInside({ boreMm: hollowMm + 0.1 })).toBe(false)
    expect(goesInside(item('folding-17'))).toBe(false)
  })
  it('names what nothing turns', () => {
    const hopeless = open.filter((_, i) => defined(coverers[i]).size === 0)
    for (const criterion of criteria) expect(found[criterion].hopeless).toEqual(hopeless)
  })
})

describe('candidates side by side', () => {
  const set = (name: string, ...ids: string[]): Candidate => ({
    name,
    things: ids.map((id) => trip.bench.find((thing) => thing.id === id) ?? thingFrom(item(id), id)),
  })
  const [folding, keys] = [set('folding', 'folding-17'), set('keys', 'key-set', 'breaker')]
  const reports = [...compareCandidates(trip, survey, catalogue, [folding, keys])]

  it('turn by themselves what they turn', () => {
    for (const [i, { things }] of [folding, keys].entries()) {
      const { fasteners } = crewFit(trip.bikes, toolsOn(things))
      const report = defined(reports[i])
      expect(report.fasteners.map(({ coverage }) => coverage)).toEqual(fasteners.map(({ coverage }) => coverage))
      for (const fit of report.fasteners) {
        if (fit.isEasy) expect(fit.coverage).toBe('turned')
        if (fit.isEasy && fit.best?.handN) expect(fit.best.handN).toBeLessThanOrEqual(0.625 * defaultHandN)
        if (fit.spareReachMm !== null) expect(fit.coverage).toBe('turned')
      }
    }
    expect(reports.map(({ pieces }) => pieces)).toEqual([1, 2])
  })
  it('have each the best kit with it and without the others, and its hours are a promise of that kit', () => {
    const others = ['folding-17', 'key-set', 'breaker']
    const rest = trip.bench.filter(({ id }) => !others.includes(id))
    for (const [i, { things }] of [folding, keys].entries()) {
      const bench = [...rest, ...things.map((thing) => ({ ...thing, pin: { min: 1, max: thing.count } }))]
      const plan = { ...trip, bench }
      const ledger = indexLedger(
        ledgerOfTrip(plan, survey, catalogue, new CostsOfFailing(plan, survey, catalogue)).ledger,
      )
      const { kit } = defined(reports[i])
      const best = KitSearch.forLedger(ledger).best()
      expect(kit.counts).toEqual(best.counts)
      expect(kit.promiseH).toBeCloseTo(new PromiseEvaluator(ledger).evaluate(kit.counts).promiseH, 9)
      for (const thing of things)
        expect(kit.counts[bench.findIndex(({ id }) => id === thing.id)]).toBeGreaterThanOrEqual(1)
    }
  })
  it('are tried whatever may be spent: what they cost is told beside them', () => {
    const poor = { ...trip, dials: { ...trip.dials, budgetMoney: 0 } }
    const [report] = compareCandidates(poor, survey, catalogue, [set('bits', 'bit-set')])
    const [rich] = compareCandidates(trip, survey, catalogue, [set('bits', 'bit-set')])
    expect(report?.kit.counts).toEqual(rich?.kit.counts)
  })
  it('are not helped by one of their kind that lies on the bench', () => {
    const strange = { ...thingFrom(item('folding-17'), 'another'), massG: defined(folding.things[0]).massG }
    const [report] = compareCandidates(trip, survey, catalogue, [{ name: 'another', things: [strange] }, keys])
    expect(report?.kit.promiseH).toBeCloseTo(defined(reports[0]).kit.promiseH, 9)
    expect(report?.kit.massG).toBeCloseTo(defined(reports[0]).kit.massG, 9)
  })
  it('are the same in any order', () => {
    const back = [...compareCandidates(trip, survey, catalogue, [keys, folding])]
    expect(back.reverse().map(({ kit }) => kit.promiseH)).toEqual(reports.map(({ kit }) => kit.promiseH))
  })
  it('are one at least and few enough to be looked at', () => {
    expect(() => [...compareCandidates(trip, survey, catalogue, [])]).toThrow(RangeError)
    const many = Array.from({ length: mostCandidates + 1 }, () => folding)
    expect(() => [...compareCandidates(trip, survey, catalogue, many)]).toThrow(RangeError)
  })
})
