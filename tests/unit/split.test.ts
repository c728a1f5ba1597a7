import { usualSharing } from '#core/crew'
import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { ledgerFormat, readLedger, type Ledger } from '#core/ledger'
import {
  bestSplit,
  fairShares,
  improve,
  place,
  planOf,
  splitOfTrip,
  splitProblem,
  SplitState,
  unevenG,
  type SplitInput,
  type SplitRider,
} from '#core/split'
import { surveyRoad } from '#core/road'
import { ledgerOfTrip } from '#core/trip-ledger'
import { nth } from '#core/validation'
import { splitItems } from '../split-items'
import { describe, expect, it } from 'vitest'

/**
 * Two bikes, each with a flat every tenth trip that costs ten hours unless somebody has a pump; a pump weighs 100 g, and an
 * hour is worth 1000 g.
 */
const flats = (bikes: readonly string[]): Ledger =>
  readLedger({
    format: ledgerFormat,
    legs: 1,
    items: [
      { id: 'pump', massG: 100, max: 2, provides: ['pump'] },
      { id: 'rag', massG: 40, max: 3 },
    ],
    events: bikes.map((bike) => ({
      id: `flat/${bike}`,
      perLeg: [0.1],
      lossH: 10,
      walkH: 4,
      strands: 0.5,
      fixes: [{ id: 'pump', needs: ['pump'], hands: 1, workH: 0, residualH: 0 }],
    })),
    gramsPerHour: 1000,
  })
const rider = (id: string, change: Partial<SplitRider> = {}): SplitRider => ({
  id,
  name: id,
  bikeId: `bike of ${id}`,
  share: 1,
  mostG: Infinity,
  mostMl: Infinity,
  ...change,
})
const bikeIds = (riders: readonly SplitRider[]) => [...new Set(riders.map(({ bikeId }) => bikeId))]
function crew(apart: number, change: Partial<SplitInput> = {}, riders = [rider('a'), rider('b')]): SplitInput {
  const counted = (bikes: readonly string[]) => ({
    ledger: flats(bikes),
    bikes,
    apart: bikes.map(() => [apart]),
  })
  const bikes = bikeIds(riders)
  return {
    riders,
    items: [
      { id: 'pump', massG: 100, volumeMl: 90, least: 0, there: 2, stays: riders.map(() => 0) },
      { id: 'rag', massG: 40, volumeMl: 100, least: 0, there: 3, stays: riders.map(() => 0) },
    ],
    together: counted(bikes),
    alone: new Map(bikes.map((bike) => [bike, counted([bike])])),
    kit: [1, 0],
    sharing: { fetch: 0, uneven: 0 },
    ...change,
  }
}
const split = (input: SplitInput) => bestSplit(splitProblem(input))
const costs = (input: SplitInput, ...carried: number[][]) => new SplitState(splitProblem(input), carried).costs

describe('a split worked out by hand', () => {
  it('counts failures on what all carry while together, and on one’s own while apart', () => {
    // Nobody has a pump: a flat in ten on two bikes, ten hours each.
    expect(costs(crew(0.3), [0, 0], [0, 0]).costH).toBeCloseTo(2, 12)
    // One has it: the other loses an hour where they are apart, three times in ten. 100 g are a tenth of an hour.
    expect(costs(crew(0.3), [1, 0], [0, 0])).toMatchObject({ togetherH: 0, carryH: 0.1 })
    expect(costs(crew(0.3), [1, 0], [0, 0]).apartH).toBeCloseTo(0.3, 12)
    expect(costs(crew(0.3), [1, 0], [1, 0]).apartH).toBe(0)
  })

  it('doubles what is worth more apart than it weighs, and nothing for those who stay together', () => {
    expect([...split(crew(0)).inAll]).toEqual([1, 0])
    expect([...split(crew(0.09)).inAll]).toEqual([1, 0])
    const doubled = split(crew(0.11))
    expect(doubled.carried.map((counts) => [...counts])).toEqual([
      [1, 0],
      [1, 0],
    ])
    // What the second is worth: nothing together, 0.11 h apart.
    const single = new SplitState(splitProblem(crew(0.11)), [
      [1, 0],
      [0, 0],
    ])
    const spared = single.hoursSpared([{ item: 0, from: null, to: 1 }])
    expect(spared.togetherH).toBeCloseTo(0, 12)
    expect(spared.apartH).toBeCloseTo(0.11, 12)
  })

  it('leaves at home what pays together and for nobody alone', () => {
    // Flats once in 133 trips.
    const rare = (apart: number) => {
      const input = crew(apart)
      const rarely = (ledger: Ledger): Ledger => ({
        ...ledger,
        events: ledger.events.map((event) => ({ ...event, perLeg: [0.0075] })),
      })
      return {
        ...input,
        together: { ...input.together, ledger: rarely(input.together.ledger) },
        alone: new Map([...input.alone].map(([bike, own]) => [bike, { ...own, ledger: rarely(own.ledger) }])),
      }
    }
    // Together it spares 0.15 h, and weighs 0.1 h; apart half the time 0.075 + 0.0375 h; always apart 0.075 h.
    expect([...split(rare(0)).inAll]).toEqual([1, 0])
    expect([...split(rare(0.5)).inAll]).toEqual([1, 0])
    expect([...split(rare(0.9)).inAll]).toEqual([0, 0])
  })

  it('gathers what is left on the bench where others have what is lightest', () => {
    // A flat wants a pump, patches and a lever. Two ride with a light pump each; two heavier ones are left, and all else.
    const riders = ['a', 'b', 'c', 'd'].map((id) => rider(id))
    const bikes = bikeIds(riders)
    const wanted = ['pump', 'patches', 'lever']
    const items = [
      { id: 'light', massG: 50, max: 2, provides: ['pump'] },
      { id: 'heavy', massG: 100, max: 2, provides: ['pump'] },
      { id: 'patches', massG: 20, max: 4, provides: ['patches'] },
      { id: 'lever', massG: 20, max: 4, provides: ['lever'] },
    ]
    const withAll = (struck: readonly string[]) => {
      const { events, ...rest } = flats(struck)
      const fixes = [{ id: 'patch', needs: wanted, hands: 1, workH: 0, residualH: 0 }]
      const ledger = readLedger({ ...rest, items, events: events.map((event) => ({ ...event, fixes })) })
      return { ledger, bikes: struck, apart: struck.map(() => [0.7]) }
    }
    const input = crew(
      0.7,
      {
        items: splitItems(items, riders.length),
        together: withAll(bikes),
        alone: new Map(bikes.map((bike) => [bike, withAll([bike])])),
        kit: [1, 0, 1, 1],
      },
      riders,
    )
    const state = new SplitState(splitProblem(input), [
      [1, 0, 1, 1],
      [1, 0, 1, 1],
      [0, 0, 0, 0],
      [0, 0, 0, 0],
    ])
    improve(state)
    // What the other two lack spares each of them 0.7 h apart, and weighs 0.14 h.
    expect(state.carried.map((counts) => [...counts])).toEqual([
      [1, 0, 1, 1],
      [1, 0, 1, 1],
      [0, 1, 1, 1],
      [0, 1, 1, 1],
    ])
  })

  it('has a piece handed over for every flat of the other, each at its price', () => {
    const handed = crew(0, { sharing: { fetch: 3, uneven: 0 } })
    expect(costs(handed, [1, 0], [0, 0]).fetchH).toBeCloseTo(0.1 * 0.05, 12)
    expect(costs(handed, [1, 0], [1, 0]).fetchH).toBe(0)
    // Apart nobody hands anything over.
    const apart = crew(0.4, { sharing: { fetch: 3, uneven: 0 } })
    expect(costs(apart, [1, 0], [0, 0]).fetchH).toBeCloseTo(0.6 * 0.1 * 0.05, 12)
  })

  it('is never apart on one bike, alone, or on a bike that nobody rides', () => {
    const tandem = [rider('a', { bikeId: 'tandem' }), rider('b', { bikeId: 'tandem' })]
    expect(costs(crew(1, {}, tandem), [1, 0], [0, 0])).toMatchObject({ apartH: 0, fetchH: 0 })
    expect(costs(crew(1, {}, [rider('a')]), [0, 0])).toMatchObject({ apartH: 0, togetherH: 1 })
    const spare = crew(0.5, {}, [rider('a'), rider('b')])
    const withSpare: SplitInput = {
      ...spare,
      together: {
        ledger: flats([...spare.together.bikes, 'spare']),
        bikes: [...spare.together.bikes, 'spare'],
        apart: [[0.5], [0.5], [0.5]],
      },
    }
    // The spare bike breaks where all are together: with the pump that one of them has.
    expect(costs(withSpare, [0, 0], [0, 0]).togetherH).toBeCloseTo(0.5 + 0.5 + 1, 12)
    expect(costs(withSpare, [1, 0], [1, 0]).costH).toBeCloseTo(0.2, 12)
  })
})

describe('the load', () => {
  it('is uneven by the grams that would have to change riders', () => {
    // Hoover's index by its definition: half the sum of differences from the fair shares.
    const loads = [500, 250, 150]
    const shares = fairShares([1, 1, 2])
    expect([...shares]).toEqual([0.25, 0.25, 0.5])
    const half = loads.reduce((sum, load, r) => sum + Math.abs(load - 900 * nth(shares, r)), 0) / 2
    const uneven = (carried: number[], wished: number[]) => unevenG(Float64Array.from(carried), fairShares(wished))
    expect(uneven(loads, [1, 1, 2])).toBeCloseTo(half, 12)
    expect(uneven([300, 100], [3, 1])).toBe(0)
    expect(uneven([300, 100], [0, 0])).toBe(100)
    expect(uneven([0, 0], [1, 1])).toBe(0)
  })

  it('is even to the nearest piece for a crew that stays together', () => {
    const masses = [410, 330, 260, 190, 120, 95, 60, 45, 20, 12]
    const riders = ['a', 'b', 'c'].map((id) => rider(id))
    const ledger = readLedger({
      format: ledgerFormat,
      legs: 1,
      items: masses.map((massG, i) => ({ id: `${i}`, massG, max: 1 })),
      events: [],
      gramsPerHour: 1000,
    })
    const { carried, loads } = bestSplit(
      splitProblem({
        riders,
        items: masses.map((massG, i) => ({ id: `${i}`, massG, volumeMl: 0, least: 0, there: 1, stays: [0, 0, 0] })),
        together: { ledger, bikes: [], apart: [] },
        alone: new Map(),
        kit: masses.map(() => 1),
        sharing: { fetch: 0, uneven: 0.5 },
      }),
    )
    expect(carried.flatMap((counts) => [...counts]).reduce((sum, count) => sum + count, 0)).toBe(masses.length)
    const grams = loads.map(({ massG }) => massG)
    const unevenOf = (loadsG: readonly number[]) => unevenG(Float64Array.from(loadsG), fairShares([1, 1, 1]))
    const before = unevenOf(grams)
    carried.forEach((counts, from) => {
      counts.forEach((count, item) => {
        if (count === 0) return
        for (const to of [0, 1, 2]) {
          const after = grams.map(
            (load, r) => load + (r === to ? nth(masses, item) : 0) - (r === from ? nth(masses, item) : 0),
          )
          expect(unevenOf(after)).toBeGreaterThanOrEqual(before - 1e-9)
        }
      })
    })
    // 1542 g among three: 514 g each, and nobody is off by the lightest piece.
    expect(before).toBeLessThan(12)
  })

  it('goes by what each wishes, and never beyond what somebody can where that can be', () => {
    const rags = { kit: [0, 3], sharing: usualSharing } as const
    const wishes = split(crew(0, rags, [rider('a', { share: 2 }), rider('b')]))
    expect(wishes.loads.map(({ massG }) => massG)).toEqual([80, 40])
    const weak = split(crew(0, rags, [rider('a', { mostG: 30 }), rider('b')]))
    expect(weak.loads.map(({ massG }) => massG)).toEqual([0, 120])
    const small = split(crew(0, rags, [rider('a'), rider('b', { mostMl: 150 })]))
    expect(small.loads.map(({ volumeMl }) => volumeMl)).toEqual([200, 100])
    // Nobody can: it says by how much.
    const none = split(crew(0, rags, [rider('a', { mostG: 30 }), rider('b', { mostG: 50 })]))
    expect(none.costs.overG).toBe(80 - 50 + 40 - 30)
  })

  it('keeps what stays with a rider there, and places the rest about it', () => {
    const stays = crew(0, {
      kit: [1, 2],
      sharing: usualSharing,
      items: [
        { id: 'pump', massG: 100, volumeMl: 0, least: 0, there: 2, stays: [0, 1] },
        { id: 'rag', massG: 40, volumeMl: 0, least: 0, there: 3, stays: [0, 1] },
      ],
    })
    const { carried } = split(stays)
    expect(carried.map((counts) => [...counts])).toEqual([
      [0, 1],
      [1, 1],
    ])
    expect(place(splitProblem(stays)).inAll).toEqual(Int32Array.from([1, 2]))
  })

  it('of doubles stays within the budgets of grams and of money', () => {
    const input = crew(0.5)
    const within = (budgetG: number | null): SplitInput => ({
      ...input,
      together: { ...input.together, ledger: { ...input.together.ledger, budgetG } },
    })
    expect([...split(within(null)).inAll]).toEqual([2, 0])
    expect([...split(within(150)).inAll]).toEqual([1, 0])
    const dear = input.together.ledger.items.map((item) => ({ ...item, price: 2000 }))
    const bought = { ...input.together.ledger, items: dear, budgetMoney: 3000 }
    expect([...split({ ...input, together: { ...input.together, ledger: bought } }).inAll]).toEqual([1, 0])
  })
})

it('what is said of a change is what comes of it', () => {
  const problem = splitProblem(crew(0.3, { sharing: usualSharing }))
  const state = new SplitState(problem, [
    [1, 2],
    [0, 1],
  ])
  for (const shifts of [
    [{ item: 0, from: 0, to: 1 }],
    [{ item: 0, from: null, to: 1 }],
    [
      { item: 1, from: 0, to: 1 },
      { item: 0, from: null, to: 1 },
    ],
    [{ item: 1, from: 0, to: null }],
  ]) {
    const before = state.costs.costH
    const gainH = state.gain(shifts)
    state.apply(shifts)
    expect(before - state.costs.costH).toBeCloseTo(gainH, 9)
    expect(state.costs.costH).toBeCloseTo(new SplitState(problem, state.carried).costs.costH, 9)
  }
})

describe('what is told of a split', () => {
  it('names the second of a thing with what it is worth, taken or not', () => {
    const taken = planOf(split(crew(0.11)))
    expect(taken).toMatchObject({ counts: [2, 0], kit: [1, 0], isEverApart: true, everParts: true })
    expect(taken.doubles).toHaveLength(1)
    expect(taken.doubles[0]).toMatchObject({ item: 0, isTaken: true, isThere: false, carryH: 0.1 })
    expect(taken.doubles[0]?.apartH).toBeCloseTo(0.11, 12)
    const left = planOf(split(crew(0.09)))
    expect(left.doubles[0]).toMatchObject({ item: 0, isTaken: false, isThere: true, carryH: 0.1 })
    expect(left.doubles[0]?.apartH).toBeCloseTo(0.09, 12)
    expect(planOf(split(crew(0))).doubles).toEqual([])
  })

  it('says who carries how much too much', () => {
    const rags = { kit: [0, 3], sharing: usualSharing } as const
    const { riders } = planOf(
      split(crew(0, rags, [rider('a', { mostG: 30, mostMl: 50 }), rider('b', { mostG: 90, mostMl: 250 })])),
    )
    expect(riders.map(({ massG, overG, overMl }) => [massG, overG, overMl])).toEqual([
      [40, 10, 50],
      [80, 0, 0],
    ])
    expect(riders.map(({ fairG }) => fairG)).toEqual([60, 60])
  })

  it('goes by the planning values of its trip, and by what stays with riders as far as there is enough', () => {
    const demo = demoTrip()
    const survey = surveyRoad(demo.road.points)
    const [maren, ansel] = demo.crew.map(({ id }) => id)
    const bench = demo.bench.map((thing, i) =>
      i === 0
        ? {
            ...thing,
            count: 2,
            pin: { min: 1, max: 2 },
            carriedBy: { [maren ?? '']: 3, [ansel ?? '']: 1 },
            volumeMl: 50,
          }
        : thing,
    )
    const trip = { ...demo, bench, dials: { ...demo.dials, planning: { 'sharing.fetch': 6, 'sharing.uneven': 0.25 } } }
    const laid = ledgerOfTrip(trip, survey, catalogue)
    const kit = bench.map((_, i) => (i < 3 ? 1 : 0))
    const problem = splitOfTrip(trip, survey, catalogue, laid, kit)
    expect(problem.fetchH).toBe(0.1)
    expect(problem.unevenHoursPerGram).toBeCloseTo(0.25 * problem.hoursPerGram, 12)
    expect(problem.items[0]).toMatchObject({ there: 2, least: 1, stays: [2, 0], volumeMl: 50 })
    expect(problem.alone).toEqual([null, null])
    expect(() => splitOfTrip({ ...trip, crew: [] }, survey, catalogue, laid, kit)).toThrow(/crew: nobody/)
  })
})
