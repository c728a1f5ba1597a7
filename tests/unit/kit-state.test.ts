import { nth, defined, numberAt } from '#core/validation'
import { chooseBrute, chooseFast } from '#core/choose'
import { readLedger, type Ledger } from '#core/trip-ledger'
import { answerDemands, missingParts } from '../../core/choose/bundle'
import { exactAnswers } from '../../core/choose/exact-answers'
import { KitState, type Change } from '../../core/choose/kit-state'
import { problemOf, type Problem } from '../../core/choose/problem'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { bikeLikeLedger, randomLedger, seeded, workedExample } from '../ledgers'

const size = { legs: 4, tools: 6, consumables: 5, hazards: 8, repeats: 3, maxEach: 3, budget: 'never' } as const
const index = (problem: Problem, id: string) => problem.items.findIndex((item) => item.id === id)

/** A walk of single changes that keeps counts within what there is. */
function randomChange(state: KitState, random: () => number): Change {
  const item = Math.floor(random() * state.problem.items.length)
  const { min, max } = nth(state.problem.items, item)
  const n = nth(state.counts, item)
  const up = n < max && (n === min || random() < 0.5)
  return { item, by: up ? 1 : n > min ? -1 : 0 }
}

/** Checks the answers of a state against tools and stock, by nothing but the rules. */
function expectRulesKept(state: KitState): void {
  const { problem, counts, chosen } = state
  const drawn = new Float64Array(problem.shelfStock.length)
  let savedH = 0
  chosen.forEach((a, c) => {
    if (a < 0) return
    const answer = nth(problem.answers, a)
    expect(problem.claimOfAnswer[a]).toBe(c)
    for (const f of answer.needs) expect(nth(problem.providers, f).some((i) => nth(counts, i) > 0)).toBe(true)
    answer.shelves.forEach((shelf, j) => (drawn[shelf] = numberAt(drawn, shelf) + nth(answer.shelfAmounts, j)))
    savedH += answer.savedH
  })
  drawn.forEach((amount, shelf) => {
    const stock = nth(problem.shelfStock, shelf)
    const held = nth(problem.suppliers, stock).reduce((sum, i) => {
      const { stocks, units } = nth(problem.items, i)
      return sum + nth(counts, i) * nth(units, stocks.indexOf(stock))
    }, 0)
    expect(amount).toBeLessThanOrEqual(held + 1e-6)
  })
  expect(state.savedH).toBeCloseTo(savedH, 6)
}

describe('a kit being tried', () => {
  it('keeps the rules through a thousand changes, and its sums true', () => {
    for (let seed = 1; seed <= 8; seed++) {
      const problem = problemOf(seed % 2 ? bikeLikeLedger(seed) : randomLedger(seed, size))
      const random = seeded(seed)
      const state = new KitState(problem)
      for (let step = 0; step < 120; step++) {
        state.apply([randomChange(state, random)])
        if (step % 10 === 0) expectRulesKept(state)
      }
      const massG = problem.items.reduce((sum, item, i) => sum + nth(state.counts, i) * item.massG, 0)
      expect(state.massG).toBeCloseTo(massG, 6)
      expectRulesKept(state)
    }
  })

  it('is taken back to the letter after any trial, even one inside another', () => {
    for (let seed = 1; seed <= 8; seed++) {
      const problem = problemOf(bikeLikeLedger(seed))
      const random = seeded(100 + seed)
      const state = new KitState(problem)
      for (let step = 0; step < 60; step++) {
        state.apply([randomChange(state, random)])
        const before = { counts: [...state.counts], chosen: [...state.chosen], netH: state.netH, massG: state.massG }
        const [outer, inner] = [randomChange(state, random), randomChange(state, random)]
        const thoroughly = random() < 0.5
        state.tryOut(
          [outer],
          () => {
            const within = [...state.chosen]
            if (state.allows([inner])) state.gain([inner], thoroughly)
            expect([...state.chosen]).toEqual(within)
          },
          thoroughly,
        )
        expect([...state.counts]).toEqual(before.counts)
        expect([...state.chosen]).toEqual(before.chosen)
        expect(state.netH).toBeCloseTo(before.netH, 9)
        expect(state.massG).toBeCloseTo(before.massG, 9)
      }
    }
  })

  it('gains, tried thoroughly, what it then gains', () => {
    const problem = problemOf(bikeLikeLedger(3))
    const random = seeded(7)
    const state = new KitState(problem)
    for (let step = 0; step < 80; step++) {
      const change = [randomChange(state, random)]
      const before = state.netH
      const gain = state.gain(change, true)
      state.apply(change)
      expect(state.netH - before).toBeCloseTo(gain, 9)
    }
  })

  it('answers no better than the exact search, and within a few percent of it', () => {
    const shortfalls: number[] = []
    for (let seed = 1; seed <= 120; seed++) {
      const problem = problemOf(randomLedger(seed, { ...size, hazards: 5, repeats: 2 }))
      const state = new KitState(
        problem,
        problem.items.map((item) => item.max),
      )
      state.settle()
      const exact = exactAnswers(problem, state.counts, -1)
      if (!exact || exact.savedH === 0) continue
      expect(state.savedH).toBeLessThanOrEqual(exact.savedH + 1e-9)
      shortfalls.push((exact.savedH - state.savedH) / exact.savedH)
    }
    expect(shortfalls.length).toBeGreaterThan(60)
    expect(shortfalls.reduce((sum, value) => sum + value, 0) / shortfalls.length).toBeLessThan(0.01)
  })
})

describe('a ledger in numbers', () => {
  it('has a shelf for each gap of each stock, and claims on the shelves their legs touch', () => {
    const ledger = readLedger({
      format: 'rag-tin.ledger/1',
      legs: 3,
      items: [{ id: 'tube', massG: 100, max: 2, provides: [], units: { tube: 1 } }],
      stocks: [{ id: 'tube', gaps: [[0], [1, 2]] }],
      claims: [
        { id: 'early', legs: [0], probability: 0.5, lossH: 4, fixes: [fix({ uses: { tube: 1 } })] },
        { id: 'late', legs: [1], probability: 0.5, lossH: 3, fixes: [fix({ uses: { tube: 1 } })] },
        { id: 'all along', legs: [0, 1, 2], probability: 0.5, lossH: 2, fixes: [fix({ uses: { tube: 1 } })] },
      ],
      gramsPerHour: 1000,
      pins: {},
    })
    const problem = problemOf(ledger)
    expect([...problem.shelfStock]).toEqual([0, 0])
    expect(problem.claims.map(({ id }) => id)).toEqual(['early', 'late', 'all along'])
    expect(problem.answers.map(({ shelves }) => shelves)).toEqual([[0], [1], [0, 1]])
    // One tube is enough for early and late, for it is bought again between them; all three need two.
    expect(chooseFast({ ...ledger, pins: { tube: { min: 1, max: 1 } } }).answers).toEqual({ early: 'f', late: 'f' })
    expect(Object.keys(chooseFast(ledger).answers)).toHaveLength(3)
  })

  it('leaves out what saves nothing, what the bench cannot give, and what a better answer makes idle', () => {
    const problem = problemOf(
      readLedger({
        format: 'rag-tin.ledger/1',
        legs: 1,
        items: [
          { id: 'keys', massG: 50, max: 1, provides: ['hex'], units: {} },
          { id: 'tie', massG: 2, max: 3, provides: [], units: { tie: 1 } },
        ],
        stocks: [{ id: 'tie', gaps: [[0]] }],
        claims: [
          {
            id: 'rack',
            legs: [0],
            probability: 1,
            lossH: 4,
            fixes: [
              fix({ id: 'good', needs: ['hex'], success: 0.9 }),
              fix({ id: 'needs more for less', needs: ['hex'], uses: { tie: 1 }, success: 0.5 }),
              fix({ id: 'worse but asks for other things', uses: { tie: 1 }, success: 0.6 }),
              fix({ id: 'no such tool here', needs: ['torx'], success: 1 }),
              fix({ id: 'more ties than there are', uses: { tie: 4 }, success: 1 }),
              fix({ id: 'costs more than it saves', residualH: 5 }),
            ],
          },
        ],
        pins: {},
      }),
    )
    expect(problem.answers.map((answer) => answer.fix)).toEqual(['good', 'worse but asks for other things'])
  })

  it('knows what could take whose place', () => {
    const problem = problemOf(workedExample(600))
    const [tube, patches, pump, hanger] = ['tube', 'patches', 'pump', 'hanger'].map((id) => index(problem, id))
    expect(defined(problem.rivals[defined(tube)]).has(defined(patches))).toBe(true)
    expect(defined(problem.meets[defined(tube)]).has(defined(pump))).toBe(true)
    expect(defined(problem.meets[defined(tube)]).has(defined(hanger))).toBe(false)
  })

  it('is worth the same whatever order its parts are written in', () => {
    const shuffled = (ledger: Ledger, random: () => number): Ledger => {
      const mix = <T>(list: readonly T[]) =>
        list
          .map((value) => ({ value, at: random() }))
          .sort((a, b) => a.at - b.at)
          .map(({ value }) => value)
      return {
        ...ledger,
        items: mix(ledger.items),
        claims: mix(ledger.claims).map((claim) => ({ ...claim, fixes: mix(claim.fixes) })),
      }
    }
    const small = {
      legs: 2,
      tools: 4,
      consumables: 3,
      hazards: 4,
      repeats: 2,
      maxEach: 2,
      budget: 'sometimes',
    } as const
    fc.assert(
      fc.property(fc.nat(5000), fc.nat(5000), (seed, order) => {
        const ledger = randomLedger(seed, small)
        const mixed = shuffled(ledger, seeded(order))
        expect(chooseBrute(mixed).netH).toBeCloseTo(chooseBrute(ledger).netH, 9)
        expect(chooseFast(mixed).netH).toBeCloseTo(chooseFast(ledger).netH, 9)
      }),
      { numRuns: 40 },
    )
  })
})

describe('what is missing for a way of mending', () => {
  const problem = problemOf(workedExample(600))
  const demand = defined(answerDemands(problem).find(({ stocks, needs }) => stocks.length === 1 && needs.length === 2))
  const idsOf = (changes: readonly Change[] | undefined) =>
    changes?.map(({ item, by }) => [nth(problem.items, item).id, by]).sort()

  it('is all of it from an empty kit', () => {
    const parts = defined(idsOf(missingParts(new KitState(problem), demand, 1)))
    expect(parts.map(([id]) => id)).toContain('pump')
    expect(parts.map(([id]) => id)).toContain('levers')
    expect(parts).toHaveLength(3)
  })

  it('is nothing once it is there, and only stock for more uses', () => {
    const state = new KitState(problem)
    state.apply(defined(missingParts(state, demand, 1)))
    expect(missingParts(state, demand, 0)).toEqual([])
    const more = idsOf(missingParts(state, demand, 1))
    if (more) expect(more.every(([id]) => id === 'tube' || id === 'patches')).toBe(true)
  })

  it('cannot be had beyond what lies on the bench', () => {
    expect(missingParts(new KitState(problem), demand, 1000)).toBeUndefined()
  })
})

function fix(change: object) {
  return { id: 'f', needs: [], uses: {}, success: 0.9, residualH: 0.5, ...change }
}
