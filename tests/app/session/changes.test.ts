import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { applied, changesBetween, inverse, liesIn, stillFits, valueAt } from '../../../app/session/changes'

interface Entry {
  readonly id: string
  readonly count: number
  readonly note?: string
}
interface Document {
  readonly name: string
  readonly dials: Readonly<Record<string, number>>
  readonly bench: readonly Entry[]
  readonly points: readonly (readonly [number, number])[]
}

const entries = fc.uniqueArray(
  fc.record(
    { id: fc.constantFrom('a', 'b', 'c', 'd', 'e'), count: fc.nat(3), note: fc.string() },
    { requiredKeys: ['id', 'count'] },
  ),
  { selector: ({ id }) => id, maxLength: 5 },
)
const document: fc.Arbitrary<Document> = fc.record({
  name: fc.string(),
  dials: fc.dictionary(fc.constantFrom('x', 'y'), fc.nat(5)),
  bench: entries,
  points: fc.array(fc.tuple(fc.nat(3), fc.nat(3)), { maxLength: 3 }),
})

describe('a patch', () => {
  it('makes one document of the other, and its inverse goes back exactly', () => {
    fc.assert(
      fc.property(document, document, (before, after) => {
        const changes = changesBetween(before, after)
        expect(applied(before, changes)).toEqual(after)
        expect(applied(after, inverse(changes))).toEqual(before)
        expect(stillFits(before, changes)).toBe(true)
        expect(stillFits(after, inverse(changes))).toBe(true)
      }),
    )
  })

  it('survives being written down as JSON', () => {
    fc.assert(
      fc.property(document, document, (before, after) => {
        const read = structuredClone(changesBetween(before, after))
        expect(applied(before, read)).toEqual(after)
      }),
    )
  })

  it('is empty between documents that say the same, and leaves such a document the very same', () => {
    fc.assert(
      fc.property(document, (whole) => {
        expect(changesBetween(whole, structuredClone(whole))).toEqual([])
        expect(applied(whole, [])).toBe(whole)
      }),
    )
  })

  it('leaves alone what it does not name: parts stay the very same', () => {
    const before = { name: 'a', dials: { x: 1 }, bench: [{ id: 'a', count: 1 }], points: [] }
    const changes = changesBetween(before, { ...before, name: 'b' })
    const after = applied(before, changes)
    expect(after.bench).toBe(before.bench)
    expect(after.dials).toBe(before.dials)
  })

  it('of two people who work on different things says the same in either order', () => {
    const here = {
      ...base,
      bench: [
        { id: 'a', count: 9 },
        { id: 'b', count: 2 },
      ],
    }
    const there = { ...base, bench: [...base.bench, { id: 'c', count: 3 }], name: 'other' }
    const [mine, theirs] = [changesBetween(base, here), changesBetween(base, there)]
    const both = applied(applied(base, mine), theirs)
    expect(both).toEqual(applied(applied(base, theirs), mine))
    expect(both).toEqual({
      ...base,
      name: 'other',
      bench: [
        { id: 'a', count: 9 },
        { id: 'b', count: 2 },
        { id: 'c', count: 3 },
      ],
    })
  })

  it('means the same entry wherever it stands by now', () => {
    const changes = changesBetween(base, { ...base, bench: [base.bench[0], { id: 'b', count: 7 }] })
    const turned = { ...base, bench: [{ id: 'z', count: 0 }, ...[...base.bench].reverse()] }
    expect(applied(turned, changes).bench).toEqual([
      { id: 'z', count: 0 },
      { id: 'b', count: 7 },
      { id: 'a', count: 1 },
    ])
  })

  it('does not bring back what is gone by changing something inside it', () => {
    const changes = changesBetween(base, { ...base, bench: [base.bench[0], { id: 'b', count: 7 }] })
    const without = { ...base, bench: [base.bench[0]] }
    expect(applied(without, changes)).toEqual(without)
    expect(stillFits(without, changes)).toBe(false)
  })

  it('puts entries nobody named behind the one they stood behind', () => {
    const order = changesBetween(base, { ...base, bench: [...base.bench].reverse() })
    const grown = { ...base, bench: [base.bench[0], { id: 'new', count: 0 }, base.bench[1]] }
    expect(applied(grown, order).bench.map((entry) => entry?.id)).toEqual(['b', 'a', 'new'])
  })

  it('of two people who tick different things of one bike, or practise different things, says the same in either order', () => {
    const task = (check: string, state = 'open') => ({ check, state })
    const before = {
      bikes: [{ id: 'b', jobs: [{ job: 'bolts', on: null }], checks: [task('tyres')] }],
      practice: [{ technique: 'sew', on: null }],
    }
    const mine = { ...before, bikes: [{ ...before.bikes[0], checks: [task('tyres', 'done')] }] }
    const theirs = {
      bikes: [
        {
          ...before.bikes[0],
          jobs: [{ job: 'bolts', on: '2026-06-01' }],
          checks: [task('tyres'), task('chain', 'left')],
        },
      ],
      practice: [{ technique: 'sew', on: '2026-06-02' }],
    }
    const [here, there] = [changesBetween(before, mine), changesBetween(before, theirs)]
    const both = applied(applied(before, here), there)
    expect(both).toEqual(applied(applied(before, there), here))
    expect(both).toEqual({
      ...theirs,
      bikes: [{ ...theirs.bikes[0], checks: [task('tyres', 'done'), task('chain', 'left')] }],
    })
    expect(stillFits(applied(before, there), here)).toBe(true)
  })
  it('takes a list without ids as one value', () => {
    const changes = changesBetween(
      { points: [[1, 2]] },
      {
        points: [
          [1, 2],
          [3, 4],
        ],
      },
    )
    expect(changes).toEqual([
      {
        path: ['points'],
        before: [[1, 2]],
        after: [
          [1, 2],
          [3, 4],
        ],
      },
    ])
  })
})

const base = {
  name: 'base',
  bench: [
    { id: 'a', count: 1 },
    { id: 'b', count: 2 },
  ],
}

it('places of a document are found by keys and ids, and lie in one another', () => {
  expect(valueAt(base, ['bench', { id: 'b' }, 'count'])).toBe(2)
  expect(valueAt(base, ['bench', { id: 'c' }, 'count'])).toBeUndefined()
  expect(valueAt(base, ['bench', 'length'])).toBeUndefined()
  expect(liesIn(['bench', { id: 'b' }, 'count'], ['bench', { id: 'b' }])).toBe(true)
  expect(liesIn(['bench', { id: 'b' }], ['bench', { id: 'a' }])).toBe(false)
  expect(liesIn(['bench'], ['bench', { id: 'a' }])).toBe(false)
})
