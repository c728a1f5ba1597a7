import { indexLedger, ledgerFormat, readLedger, type Ledger } from '#core/ledger'
import type { Change } from '#core/promise'
import { kitProblem, KitSearch, KitState, type KitProblem } from '#core/search'
import { nth } from '#core/validation'
import { describe, expect, it } from 'vitest'
import { condense } from '../../core/search/condense'
import { addAll } from '../../core/search/moves/add'
import { drops } from '../../core/search/moves/drop'
import { improve, makeSure } from '../../core/search/search'
import { pays } from '../../core/search/slack'
import { seeded } from '../seeded'
import { tinyLedger } from '../tiny-ledgers'
import { tripSizeLedger } from '../trip-size-ledgers'

const allItems = ({ ledger }: KitProblem) => ledger.items.map((_, item) => item)
const problemOf = (ledger: Ledger) => kitProblem(indexLedger(ledger))
/** Everything that may be added to a kit or left off, as far as it is allowed. */
const changesOf = (state: KitState) =>
  [...state.additions(), ...drops(state, allItems(state.problem))].filter((changes) => state.allows(changes))

/** Three spares, each for a failure of its own: what each spares is known, and nothing bears on anything else. */
const threeSpares = (change: object = {}) =>
  readLedger({
    format: ledgerFormat,
    legs: 1,
    items: [
      { id: 'large', massG: 100, max: 2, units: { large: 1 } },
      { id: 'middling', massG: 40, max: 2, units: { middling: 1 } },
      { id: 'small', massG: 10, max: 2, units: { small: 1 } },
    ],
    stocks: [{ id: 'large' }, { id: 'middling' }, { id: 'small' }],
    events: [
      { id: 'large', perLeg: [0.1], lossH: 60, fixes: [{ id: 'fit', uses: { large: 1 }, hands: 1 }] },
      { id: 'middling', perLeg: [0.1], lossH: 40, fixes: [{ id: 'fit', uses: { middling: 1 }, hands: 1 }] },
      { id: 'small', perLeg: [0.1], lossH: 20, fixes: [{ id: 'fit', uses: { small: 1 }, hands: 1 }] },
    ],
    gramsPerHour: 1000,
    ...change,
  })

describe('a kit that is searched from', () => {
  const state = (change: object, counts: readonly number[]) => new KitState(problemOf(threeSpares(change)), counts)
  const piece = (item: number, by = 1): Change[] => [{ item, by }]

  it('says what a change gains: the hours that it spares, less its grams', () => {
    // Of 0.1 failures, as Poisson has it, one piece serves 1 − e^−0.1.
    expect(state({}, [0, 0, 0]).gain(piece(0))).toBeCloseTo(60 * (1 - Math.exp(-0.1)) - 0.1, 6)
    expect(state({}, [0, 1, 0]).gain(piece(1, -1))).toBeCloseTo(0.04 - 40 * (1 - Math.exp(-0.1)), 6)
  })
  it('allows what there is, within pins and budget; one above the budget may only get lighter', () => {
    const pinned = state({ pins: { middling: { min: 1, max: 1 } } }, [0, 1, 2])
    expect([piece(0), piece(0, 2), piece(0, 3), piece(0, -1)].map((changes) => pinned.allows(changes))).toEqual([
      true,
      true,
      false,
      false,
    ])
    expect([piece(1), piece(1, -1), piece(2), piece(2, -2)].map((changes) => pinned.allows(changes))).toEqual([
      false,
      false,
      false,
      true,
    ])
    expect([pinned.spare(0), pinned.spare(1), pinned.spare(2)]).toEqual([0, 0, 2])
    const tight = state({ budgetG: 140 }, [1, 0, 0])
    expect(tight.allows(piece(1))).toBe(true)
    expect(tight.allows([...piece(1), ...piece(2)])).toBe(false)
    const tooHeavy = state({ budgetG: 140 }, [2, 0, 1])
    expect(tooHeavy.allows(piece(2, -1))).toBe(true)
    expect(tooHeavy.allows([...piece(2, -1), ...piece(1)])).toBe(false)
  })

  it.each([3, 8, 21, 34, 55])(
    'says what one begun afresh says, whatever was changed before (ledger %i)',
    { timeout: 60_000 },
    (seed) => {
      const problem = problemOf(tinyLedger(seed))
      const random = seeded(seed)
      const changed = new KitState(
        problem,
        allItems(problem).map(() => 0),
      )
      for (let step = 0; step < 12; step++) {
        const fresh = new KitState(problem, changed.counts)
        for (const changes of changesOf(changed)) {
          const [said, true_] = [changed.gain(changes), fresh.gain(changes)]
          expect(Math.abs(said - true_)).toBeLessThan(0.003 * problem.hoursAtStake)
          const [idle, trulyIdle] = [changed.idleBeside(changes), fresh.idleBeside(changes)]
          if (changes.every(({ by }) => by > 0)) expect(idle).toEqual(trulyIdle)
        }
        const next = changesOf(changed)
        changed.set(nth(next, Math.floor(random() * next.length)))
      }
    },
  )
})

describe('adding', () => {
  it('takes first what gains most for its grams, and stops at the budget', () => {
    // For each gram small spares 1.9 h/10 g, middling 3.8 h/40 g, large 5.7 h/100 g; second ones 0.005 of a failure.
    const grown = (budgetG: number) => {
      const state = new KitState(problemOf(threeSpares({ budgetG })), [0, 0, 0])
      expect(addAll(state)).toBe(true)
      return [...state.counts]
    }
    expect(grown(10)).toEqual([0, 0, 1])
    expect(grown(49)).toEqual([0, 0, 2])
    expect(grown(50)).toEqual([0, 1, 1])
    expect(grown(109)).toEqual([0, 2, 2])
    expect(grown(150)).toEqual([1, 1, 1])
    expect(addAll(new KitState(problemOf(threeSpares({ budgetG: 9 })), [0, 0, 0]))).toBe(false)
  })

  it.each([2, 5, 13, 40, 61, 77])('comes to what trying everything at each step comes to (ledger %i)', (seed) => {
    const ledger = tinyLedger(seed)
    const problem = problemOf({
      ...ledger,
      gramsPerHour: 4000,
      budgetG: 0.5 * ledger.items.reduce((sum, { massG, max }) => sum + massG * max, 0),
    })
    const none = allItems(problem).map(() => 0)
    const grown = new KitState(problem, none)
    addAll(grown)

    const step = new KitState(problem, none)
    for (;;) {
      const best = step
        .additions()
        .filter((changes) => step.allows(changes))
        .map((changes) => ({ changes, gainH: new KitState(problem, step.counts).gain(changes) }))
        .filter(({ gainH }) => pays(gainH))
        .sort((a, b) => b.gainH / (step.massOf(b.changes) + 1) - a.gainH / (step.massOf(a.changes) + 1))[0]
      if (!best) break
      step.set(best.changes)
    }
    expect([...grown.counts]).toEqual([...step.counts])
  })
})

describe('a search of a long ledger', () => {
  const searched = (seed: number) => {
    const ledger = indexLedger(tripSizeLedger(seed))
    const [whole, near] = [kitProblem(ledger), kitProblem(condense(ledger, 6))]
    const state = new KitState(
      near,
      ledger.items.map(({ max }) => max),
    )
    improve(state)
    const before = new KitState(whole, state.counts)
    makeSure(state, whole)
    return { before, after: new KitState(whole, state.counts), found: KitSearch.forLedger(ledger).best() }
  }
  it.each([
    [4, 0.02],
    [6, 0.2],
  ])('is made sure of on the whole of it, where it gains more (ledger %i)', { timeout: 60_000 }, (seed, gainH) => {
    const { before, after, found } = searched(seed)
    expect(after.netH - before.netH).toBeGreaterThan(gainH)
    const least = 0.0025 * after.problem.hoursAtStake
    for (const changes of changesOf(after)) expect(after.gain(changes)).toBeLessThan(least)
    // By the way that the search itself takes.
    expect(Math.abs(new KitState(after.problem, found.counts).netH - after.netH)).toBeLessThan(least)
  })
})
