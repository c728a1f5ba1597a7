import { indexLedger, ledgerFormat, readLedger } from '#core/ledger'
import { kitProblem } from '#core/search'
import { nth } from '#core/validation'
import { describe, expect, it } from 'vitest'
import { Additions } from '../../core/search/additions'
import { lackingParts, waysToMend } from '../../core/search/way-to-mend'

/** Keys for two jobs, one by one or both in one; tape by the roll and by the wrap, tubes. */
const ledger = indexLedger(
  readLedger({
    format: ledgerFormat,
    legs: 1,
    items: [
      { id: 'key a', massG: 30, max: 1, provides: ['a'] },
      { id: 'key b', massG: 25, max: 1, provides: ['b'] },
      { id: 'keys', massG: 50, max: 1, provides: ['a', 'b'] },
      { id: 'roll', massG: 100, max: 1, units: { tape: 5 } },
      { id: 'wrap', massG: 30, max: 3, units: { tape: 1 } },
      { id: 'tube', massG: 90, max: 2, units: { tube: 1 } },
    ],
    stocks: [{ id: 'tape' }, { id: 'tube' }],
    events: [
      { id: 'flat', perLeg: [1], lossH: 3, fixes: [{ id: 'swap', needs: ['a', 'b'], uses: { tube: 1 }, hands: 1 }] },
      {
        id: 'other flat',
        perLeg: [1],
        lossH: 3,
        fixes: [{ id: 'swap', needs: ['b', 'a'], uses: { tube: 1 }, hands: 1 }],
      },
      {
        id: 'cut',
        perLeg: [1],
        lossH: 3,
        fixes: [
          { id: 'tape', uses: { tape: 2 }, hands: 1 },
          { id: 'bare', hands: 0.5 },
        ],
      },
    ],
    gramsPerHour: 100,
  }),
)
const problem = kitProblem(ledger)
const ways = waysToMend(ledger)
const named = (changes: ReturnType<typeof lackingParts>) =>
  changes && Object.fromEntries(changes.map(({ item, by }) => [nth(ledger.items, item).id, by]))
/** Keys a and b, keys, rolls, wraps, tubes that are carried. */
const lacking = (counts: number[], way: number, uses: number) =>
  named(lackingParts(problem, counts, nth(ways, way), uses))
const nothing = [0, 0, 0, 0, 0, 0]

describe('what a way to mend lacks', () => {
  it('is asked once of fixes that ask the same', () => expect(ways).toHaveLength(3))
  it('is the lightest that completes its tools, by the jobs that it does', () => {
    // 50 g for two jobs beat 25 g and 30 g for one each.
    expect(lacking(nothing, 0, 0)).toEqual({ keys: 1, tube: 1 })
    expect(lacking([1, 0, 0, 0, 0, 1], 0, 0)).toEqual({ 'key b': 1 })
    expect(lacking([0, 1, 0, 0, 0, 1], 0, 0)).toEqual({ 'key a': 1 })
    expect(lacking([0, 0, 1, 0, 0, 1], 0, 0)).toEqual({})
  })
  it('is stock for so many uses more, the lightest for what is short', () => {
    expect(lacking([1, 1, 0, 0, 0, 1], 0, 1)).toEqual({ tube: 1 })
    expect(lacking([1, 1, 0, 0, 0, 0], 0, 2)).toEqual({ tube: 2 })
    // Two wraps for one use; for two uses, four pieces, the roll is lighter by what is short.
    expect(lacking(nothing, 1, 0)).toEqual({ wrap: 2 })
    expect(lacking(nothing, 1, 2)).toEqual({ roll: 1 })
    // One piece is there and two are wanted; of no use more, what is there is enough.
    expect(lacking([0, 0, 0, 0, 1, 0], 1, 0)).toEqual({ wrap: 1 })
    expect(lacking([0, 0, 0, 0, 2, 0], 1, 0)).toEqual({})
    expect(lacking([0, 0, 0, 0, 2, 0], 1, 1)).toEqual({ roll: 1 })
    expect(lacking(nothing, 2, 2)).toEqual({})
  })
  it('leaves again what is superfluous beside what was taken later', () => {
    // The lightest key first; b is then to be had only with a.
    const items = ledger.items.map((item, i) => ({
      ...item,
      max: i === 1 ? 0 : item.max,
      massG: i === 0 ? 10 : item.massG,
    }))
    expect(named(lackingParts(kitProblem({ ...ledger, items }), nothing, nth(ways, 0), 0))).toEqual({
      keys: 1,
      tube: 1,
    })
  })
  it('is nothing that can be said where the bench has no more', () => {
    expect(lacking([1, 1, 0, 0, 0, 1], 0, 2)).toBeUndefined()
    expect(lacking([0, 0, 0, 1, 3, 0], 1, 1)).toBeUndefined()
    const bare = kitProblem({ ...ledger, items: ledger.items.map((item) => ({ ...item, max: 0 })) })
    expect(lackingParts(bare, nothing, nth(ways, 0), 0)).toBeUndefined()
  })
})

it('a piece of each thing may be added, and what each way lacks for no use more, for one and for two; each once', () => {
  const additions = (counts: number[]) =>
    new Additions(problem).to(Int32Array.from(counts)).map((changes) => JSON.stringify(named(changes)))
  expect(additions(nothing).sort()).toEqual(
    [
      ...['key a', 'key b', 'keys', 'roll', 'wrap', 'tube'].map((id) => ({ [id]: 1 })),
      { keys: 1, tube: 1 },
      { keys: 1, tube: 2 },
      { wrap: 2 },
    ]
      .map((changes) => JSON.stringify(changes))
      .sort(),
  )
  // With everything carried nothing is left to add; what was looked at before is looked at anew.
  const all = new Additions(problem)
  expect(all.to(Int32Array.from([1, 1, 1, 1, 3, 1]))).toEqual([[{ item: 5, by: 1 }]])
  expect(all.to(Int32Array.from([1, 1, 1, 1, 3, 2]))).toEqual([])
  expect(all.to(Int32Array.from(nothing))).toHaveLength(9)
})
