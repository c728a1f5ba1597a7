import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { packed, unpacked } from '../../../app/session/packed-rows'

const rows = (count: number) => Array.from({ length: count }, (_, i) => [48 + i / 7, -0.25 * i, i % 3 === 0 ? null : i])

describe('long lists in the database of a device', () => {
  it('are one block of numbers there, and as they were when read', () => {
    const road = { name: 'Long', points: rows(5000), stretches: [{ id: 'a', fromKm: 0 }] }
    const kept = packed({ changes: [{ path: ['road'], before: undefined, after: road }] })
    const [change] = (kept as { changes: [{ after: { points: { rowWidth: number; packedRows: Float64Array } } }] })
      .changes
    expect(change.after.points.rowWidth).toBe(3)
    expect(change.after.points.packedRows).toHaveLength(15_000)
    expect(unpacked(structuredClone(kept))).toStrictEqual({
      changes: [{ path: ['road'], before: undefined, after: road }],
    })
  })

  it('of an older Rag Tin, never packed, are read as they are', () => {
    const road = { points: rows(2000) }
    expect(unpacked(structuredClone(road))).toStrictEqual(road)
  })

  it.each([
    ['short', rows(999)],
    ['with a word among the numbers', [...rows(1000), [1, 2, 'three']]],
    ['with a row of another width', [...rows(1000), [1, 2]]],
    ['with what is no number', [...rows(1000), [1, 2, NaN]]],
    ['of empty rows', Array.from({ length: 1000 }, () => [])],
  ])('stay lists where they are %s', (_, list) => {
    expect(packed(list)).toStrictEqual(list)
    expect(unpacked(packed(list))).toStrictEqual(list)
  })

  it('and whatever else a document holds come back the same', () => {
    fc.assert(
      fc.property(fc.jsonValue(), fc.integer({ min: 1, max: 6 }), (value, width) => {
        const table = Array.from({ length: 1200 }, (_, i) => Array.from({ length: width }, (_, j) => i * 0.1 + j))
        const document = { value, table, within: [{ table }, value] }
        expect(unpacked(structuredClone(packed(document)))).toStrictEqual(document)
      }),
    )
  })
})
