import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { companiesOn, legsRidden, ridesFromTo, riderSchema, turnedRound, type Rider } from '#core/crew'
import { indexLedger, ledgerFormat, readLedger } from '#core/ledger'
import { surveyRoad } from '#core/road'
import { bestKit } from '#core/search'
import {
  bestSplit,
  planOf,
  splitOfTrip,
  splitProblem,
  SplitState,
  type CompanyLedger,
  type SplitInput,
} from '#core/split'
import { newStop } from '#core/supply'
import { withoutStop } from '#core/trip'
import { ledgerOfTrip } from '#core/trip-ledger'
import { defined, nth } from '#core/validation'
import { alongInWords } from '#wording'
import { base, bike, line, referenceWith, shopAt } from '../level-road'
import { describe, expect, it } from 'vitest'

const rider = (id: string, change: Partial<Rider> = {}) =>
  riderSchema.parse({ id, name: id, bikeId: `of ${id}`, ...change })
const stops = [
  { id: 'mill', roadKm: 30 },
  { id: 'ford', roadKm: 70 },
]
const edges = [0, 30, 70, 100]
const namesOf = (riders: readonly Rider[]) => riders.map(({ id }) => id).join('')

describe('who rides together where', () => {
  it('is the whole crew on all legs where nobody joins late or leaves early', () => {
    const [all, ...others] = companiesOn([rider('a'), rider('b')], stops, edges)
    expect(others).toEqual([])
    expect(all).toMatchObject({ onLegs: [true, true, true], km: 100 })
    expect(companiesOn([], stops, edges)).toEqual([])
  })

  it('is those who have joined and not yet left', () => {
    const crew = [rider('a'), rider('b', { joins: 'mill' }), rider('c', { leaves: 'ford' })]
    expect(companiesOn(crew, stops, edges).map(({ riders, onLegs, km }) => [namesOf(riders), onLegs, km])).toEqual([
      ['ac', [true, false, false], 30],
      ['abc', [false, true, false], 40],
      ['ab', [false, false, true], 30],
    ])
  })

  it('is one company where the same are there before and after', () => {
    const crew = [rider('a'), rider('b', { joins: 'mill', leaves: 'ford' })]
    expect(companiesOn(crew, stops, edges).map(({ riders, onLegs, km }) => [namesOf(riders), onLegs, km])).toEqual([
      ['a', [true, false, true], 60],
      ['ab', [false, true, false], 40],
    ])
  })

  it('takes a stop that is gone as the start or the end', () => {
    expect(ridesFromTo(rider('a', { joins: 'gone', leaves: 'gone' }), stops, 100)).toEqual([0, 100])
    expect(ridesFromTo(rider('a', { joins: 'mill', leaves: 'ford' }), stops, 100)).toEqual([30, 70])
  })

  it('is all the way for whoever would leave before they join', () => {
    expect(ridesFromTo(rider('a', { joins: 'ford', leaves: 'mill' }), stops, 100)).toEqual([0, 100])
    expect(ridesFromTo(rider('a', { joins: 'ford', leaves: 'ford' }), stops, 100)).toEqual([0, 100])
    expect(companiesOn([rider('a'), rider('b', { joins: 'ford', leaves: 'mill' })], stops, edges)).toHaveLength(1)
  })

  it('goes the other way with the road', () => {
    const crew = [rider('a'), rider('b', { joins: 'mill' }), rider('c', { leaves: 'ford' })]
    expect(turnedRound(crew).map(({ joins, leaves }) => [joins, leaves])).toEqual([
      [null, null],
      [null, 'mill'],
      ['ford', null],
    ])
    const all = [rider('a')]
    expect(turnedRound(all)).toBe(all)
  })

  it('has a bike ridden by any of those who ride it, and one that nobody rides taken along everywhere', () => {
    const crew = [
      rider('a', { bikeId: 'tandem', leaves: 'mill' }),
      rider('b', { bikeId: 'tandem', joins: 'ford' }),
      rider('c'),
    ]
    const companies = companiesOn(crew, stops, edges)
    expect(legsRidden(companies, 'tandem')).toEqual([true, false, true])
    expect(legsRidden(companies, 'of c')).toEqual([true, true, true])
    expect(legsRidden(companies, 'spare')).toEqual([true, true, true])
  })
})

describe('the ledger of a crew that is not all there', () => {
  // A shop at km 40 of 100: two legs, a flat in 1000 km.
  const other = { ...bike, id: 'other' }
  const first = nth(base.crew, 0)
  const crewWith = (change: Partial<Rider>) => [first, { ...first, id: 'second', bikeId: 'other', ...change }]
  const write = (change: Partial<Rider>) =>
    ledgerOfTrip({ ...base, bikes: [bike, other], crew: crewWith(change) }, surveyRoad(line), referenceWith())
  const shop = shopAt().id
  const perLegOf = (change: Partial<Rider>) =>
    defined(write(change).ledger.events.find(({ id }) => id === 'flat/other')).perLeg

  it('has a bike break where it is ridden', () => {
    expect(perLegOf({}).map((count) => Math.round(count * 1e6) / 1e6)).toEqual([0.04, 0.06])
    expect(perLegOf({ leaves: shop }).map((count) => Math.round(count * 1e6) / 1e6)).toEqual([0.04, 0])
    expect(perLegOf({ joins: shop }).map((count) => Math.round(count * 1e6) / 1e6)).toEqual([0, 0.06])
  })

  it('has the hands of those who are there: the mean over how far each company rides', () => {
    const handsOn = (change: Partial<Rider>) => nth(nth(write(change).ledger.events, 0).fixes, 0).hands
    const [weak, strong] = [handsOn({ skills: { change: 0 } }), handsOn({ skills: { change: 3 } })]
    expect(strong).toBeGreaterThan(weak)
    // The one who knows it is there for 40 of 100 km.
    expect(handsOn({ skills: { change: 3 }, leaves: shop })).toBeCloseTo(0.4 * strong + 0.6 * weak, 9)
    expect(handsOn({ skills: { change: 3 }, joins: shop })).toBeCloseTo(0.6 * strong + 0.4 * weak, 9)
  })
})

/** Two legs; a flat in ten on each bike and leg, ten hours each without the pump, which weighs 100 g at 1000 g an hour. */
const flats = (bikes: readonly string[], legs: readonly [number, number][]) =>
  readLedger({
    format: ledgerFormat,
    legs: 2,
    items: [{ id: 'pump', massG: 100, max: 2, provides: ['pump'] }],
    events: bikes.map((id, b) => ({
      id: `flat/${id}`,
      perLeg: nth(legs, b),
      lossH: 10,
      walkH: 4,
      strands: 0.5,
      fixes: [{ id: 'pump', needs: ['pump'], hands: 1, workH: 0, residualH: 0 }],
    })),
    gramsPerHour: 1000,
  })

describe('a split worked out by hand of a crew that is not all there', () => {
  // B leaves after the first leg.
  const bikes = ['of a', 'of b']
  const never = (count: number) => Array.from({ length: count }, () => [0, 0])
  const company = (riders: string[], there: number[]): CompanyLedger => {
    const ridden = riders.map((id) => `of ${id}`)
    const legs = riders.map((id): [number, number] => (id === 'a' ? [0.1, 0.1] : [0.1, 0]))
    return {
      riders,
      ledger: flats(ridden, legs),
      bikes: ridden,
      there: ridden.map(() => there),
      apart: never(ridden.length),
    }
  }
  const input = (stays: number[] = [0, 0]): SplitInput => ({
    riders: ['a', 'b'].map((id) => ({ id, name: id, bikeId: `of ${id}`, share: 1, mostG: Infinity, mostMl: Infinity })),
    items: [{ id: 'pump', massG: 100, volumeMl: 0, least: 0, there: 2, stays }],
    together: {
      ledger: flats(bikes, [
        [0.1, 0.1],
        [0.1, 0],
      ]),
      bikes,
      apart: never(2),
    },
    companies: [company(['a', 'b'], [1, 0]), company(['a'], [0, 1])],
    alone: new Map(),
    kit: [1],
    sharing: { fetch: 0, uneven: 0 },
  })
  const togetherH = (...carried: number[][]) => new SplitState(splitProblem(input()), carried).costs.togetherH

  it('loses what those who are there lack', () => {
    // Two flats on the first leg, one on the second.
    expect(togetherH([0], [0])).toBeCloseTo(3, 12)
    expect(togetherH([1], [0])).toBe(0)
    // The pump has left with B.
    expect(togetherH([0], [1])).toBeCloseTo(1, 12)
  })

  it('leaves the pump with whoever goes on, or doubles it where it has to leave', () => {
    const { carried } = bestSplit(splitProblem(input()))
    expect(carried.map((counts) => [...counts])).toEqual([[1], [0]])
    const doubled = bestSplit(splitProblem(input([0, 1])))
    expect(doubled.carried.map((counts) => [...counts])).toEqual([[1], [1]])
    expect(planOf(doubled)).toMatchObject({ isEverApart: false, everParts: true })
  })

  it('has nothing handed over by whoever has left', () => {
    const handed = { ...input(), sharing: { fetch: 3, uneven: 0 } }
    const fetchH = (...carried: number[][]) => new SplitState(splitProblem(handed), carried).costs.fetchH
    // B has A hand it over on the first leg; A has B do so there, and nobody on the second.
    expect(fetchH([1], [0])).toBeCloseTo(0.1 * 0.05, 12)
    expect(fetchH([0], [1])).toBeCloseTo(0.1 * 0.05, 12)
  })
})

it('on the road of the demo, what goes on with one is with them', () => {
  const demo = demoTrip()
  const survey = surveyRoad(demo.road.points)
  const [stays, leaves] = [nth(demo.crew, 0), nth(demo.crew, 1)]
  const at = nth(
    [...demo.stops].sort((a, b) => a.roadKm - b.roadKm),
    1,
  ).id
  const trip = { ...demo, crew: [stays, { ...leaves, leaves: at }] }
  const laid = ledgerOfTrip(trip, survey, catalogue)
  const whole = ledgerOfTrip(demo, survey, catalogue)
  const failuresOf = ({ ledger, notes }: typeof laid, bikeId: string) =>
    ledger.events.reduce(
      (sum, { perLeg }, e) => (nth(notes, e).bike === bikeId ? sum + perLeg.reduce((a, b) => a + b, 0) : sum),
      0,
    )
  expect(failuresOf(laid, stays.bikeId)).toBeCloseTo(failuresOf(whole, stays.bikeId), 9)
  expect(failuresOf(laid, leaves.bikeId)).toBeLessThan(0.5 * failuresOf(whole, leaves.bikeId))
  const kit = bestKit(indexLedger(laid.ledger)).counts
  const problem = splitOfTrip(trip, survey, catalogue, laid, kit)
  expect(problem.companies.map(({ present }) => present)).toEqual([0b11, 0b01])
  const { carried } = bestSplit(problem)
  const pumps = demo.bench.flatMap(({ provides }, item) =>
    provides.some((id) => id.startsWith('inflate')) ? [item] : [],
  )
  expect(pumps.some((item) => nth(nth(carried, 0), item) > 0)).toBe(true)
  // A stop that is taken off the road is as if nobody had said.
  const gone = {
    ...trip,
    stops: [...demo.stops.filter(({ id }) => id !== at), newStop('new', 'New', 5)],
  }
  expect(splitOfTrip(gone, survey, catalogue, ledgerOfTrip(gone, survey, catalogue), kit).companies).toHaveLength(1)
})

it('leaves nothing of a stop that is gone, and all else the very same', () => {
  const demo = demoTrip()
  const [first, second] = [nth(demo.stops, 0), nth(demo.stops, 1)]
  const crew = [{ ...nth(demo.crew, 0), joins: first.id, leaves: second.id }, nth(demo.crew, 1)]
  const bench = demo.bench.map((thing, i) => (i === 0 ? { ...thing, boughtAt: first.id } : thing))
  const left = withoutStop({ ...demo, crew, bench }, first.id)
  expect(left.stops).toHaveLength(demo.stops.length - 1)
  expect(left.crew.map(({ joins, leaves }) => [joins, leaves])).toEqual([
    [null, second.id],
    [null, null],
  ])
  expect(left.bench).toEqual(demo.bench)
  const other = withoutStop(demo, nth(demo.stops, 2).id)
  expect(other.crew).toBe(demo.crew)
  expect(other.bench).toBe(demo.bench)
})

it('is said in words, whichever end', () => {
  const two = [newStop('mill', 'Mill', 30), newStop('ford', 'Ford', 70)]
  expect(alongInWords({ joins: null, leaves: null }, two)).toBe('')
  expect(alongInWords({ joins: 'mill', leaves: null }, two)).toBe('joins at Mill')
  expect(alongInWords({ joins: 'mill', leaves: 'ford' }, two)).toBe('joins at Mill, leaves at Ford')
  expect(alongInWords({ joins: 'gone', leaves: 'ford' }, two)).toBe('leaves at Ford')
  expect(alongInWords({ joins: 'ford', leaves: 'mill' }, two)).toBe('')
})
