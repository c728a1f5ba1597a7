import { defined, nth } from '#core/validation'
import {
  runsOf,
  segmentsOf,
  moveBoundary,
  setTraits,
  defaultTraits,
  surfaces,
  traffics,
  type Stretch,
  type StretchTraits,
} from '#core/road'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'

const lengthKm = 100
let ids = 0
const newId = () => `new-${ids++}`
const stretch = (fromKm: number, toKm: number, marks: Partial<StretchTraits>): Stretch => ({
  id: `${fromKm}`,
  fromKm,
  toKm,
  ...defaultTraits,
  ...marks,
})
const traitsAt = (stretches: readonly Stretch[], km: number): StretchTraits => {
  const { surface, thorns, wet, signal, traffic, apart } = defined(
    segmentsOf(stretches, lengthKm).find((piece) => piece.toKm > km),
  )
  return { surface, thorns, wet, signal, traffic, apart }
}
const edgesOf = (stretches: readonly Stretch[]) => stretches.map(({ fromKm, toKm }) => [fromKm, toKm])

describe('the road as pieces', () => {
  it('is plain where nobody has said anything', () => {
    expect(segmentsOf([], lengthKm)).toEqual([{ fromKm: 0, toKm: 100, stretch: null, ...defaultTraits }])
  })
  it('tells where one thing is said, whatever else changes there', () => {
    const stretches = [
      stretch(10, 30, { apart: 0.5, wet: true }),
      stretch(30, 40, { apart: 0.5 }),
      stretch(40, 50, { apart: 0 }),
      stretch(60, 70, { wet: true }),
      stretch(80, 90, { apart: 0 }),
    ]
    expect(runsOf(stretches, lengthKm, 'apart')).toEqual([
      { fromKm: 10, toKm: 40, says: 0.5 },
      { fromKm: 40, toKm: 50, says: 0 },
      { fromKm: 80, toKm: 90, says: 0 },
    ])
    expect(runsOf([], lengthKm, 'apart')).toEqual([])
  })
  it('fills the holes, and lets the later stretch cover the earlier', () => {
    const pieces = segmentsOf([stretch(10, 40, { surface: 'sand' }), stretch(30, 50, { wet: true })], lengthKm)
    expect(pieces.map(({ fromKm, toKm, surface, wet }) => [fromKm, toKm, surface, wet])).toEqual([
      [0, 10, 'gravel', false],
      [10, 30, 'sand', false],
      [30, 40, 'gravel', true],
      [40, 50, 'gravel', true],
      [50, 100, 'gravel', false],
    ])
  })
})

describe('saying something of a part of the road', () => {
  it('cuts what is there, and leaves what was not spoken of', () => {
    const painted = setTraits([stretch(0, 50, { surface: 'track' })], lengthKm, 20, 60, { thorns: true }, newId)
    expect(painted.map(({ fromKm, toKm, surface, thorns }) => [fromKm, toKm, surface, thorns])).toEqual([
      [0, 20, 'track', false],
      [20, 50, 'track', true],
      [50, 60, 'gravel', true],
    ])
    expect(new Set(painted.map(({ id }) => id)).size).toBe(3)
  })
  it('keeps the name of a stretch for the first piece of it, and gives the others new ones', () => {
    const cut = setTraits([stretch(0, 50, { surface: 'track' })], lengthKm, 20, 30, { thorns: true }, () => 'fresh')
    expect(cut.map(({ id }) => id)).toEqual(['0', 'fresh', 'fresh'])
    // One that was plain takes the name of the stretch it is joined with.
    const joined = setTraits(
      [stretch(40, 60, { surface: 'track' })],
      lengthKm,
      20,
      40,
      { surface: 'track' },
      () => 'fresh',
    )
    expect(joined.map(({ id, fromKm, toKm }) => [id, fromKm, toKm])).toEqual([['40', 20, 60]])
    const plain = setTraits([], lengthKm, 20, 40, { surface: 'track' }, () => 'fresh')
    expect(plain.map(({ id }) => id)).toEqual(['fresh'])
  })
  it('joins neighbours that have become alike, and forgets what is plain', () => {
    const two = [stretch(0, 20, { surface: 'track' }), stretch(40, 60, { surface: 'track' })]
    expect(edgesOf(setTraits(two, lengthKm, 20, 40, { surface: 'track' }, newId))).toEqual([[0, 60]])
    expect(setTraits(two, lengthKm, 0, 100, { surface: 'gravel' }, newId)).toEqual([])
  })
  it('changes just that, just there, whatever was said before', () => {
    const traits = fc.record({
      surface: fc.constantFrom(...surfaces),
      thorns: fc.boolean(),
      wet: fc.boolean(),
      signal: fc.boolean(),
      traffic: fc.constantFrom(...traffics),
      apart: fc.constantFrom(null, 0, 0.5),
    })
    const part = fc
      .tuple(fc.integer({ min: 0, max: 99 }), fc.integer({ min: 1, max: 100 }))
      .filter(([from, to]) => from < to)
    fc.assert(
      fc.property(
        fc.array(fc.tuple(part, traits), { maxLength: 6 }),
        part,
        traits,
        fc.subarray(['surface', 'thorns', 'wet', 'signal', 'traffic', 'apart'] as const),
        (said, [from, to], all, keys) => {
          const before = said.map(([[fromKm, toKm], marks], i): Stretch => ({ id: `s${i}`, fromKm, toKm, ...marks }))
          const change = Object.fromEntries(keys.map((key) => [key, all[key]])) as Partial<StretchTraits>
          const after = setTraits(before, lengthKm, from, to, change, newId)
          for (let km = 0; km < lengthKm; km++) {
            const expected = { ...traitsAt(before, km), ...(km >= from && km < to ? change : {}) }
            expect(traitsAt(after, km)).toEqual(expected)
          }
          // No stretch overlaps the next, and no two share an id.
          after.slice(1).forEach((next, i) => expect(next.fromKm).toBeGreaterThanOrEqual(nth(after, i).toKm))
          expect(new Set(after.map(({ id }) => id)).size).toBe(after.length)
        },
      ),
      { numRuns: 150 },
    )
  })
})

describe('pulling an edge', () => {
  const two = [stretch(0, 50, { surface: 'asphalt' }), stretch(50, 100, { surface: 'sand' })]
  it('covers what it is pulled over, either way', () => {
    expect(edgesOf(moveBoundary(two, lengthKm, 50, 70, newId))).toEqual([
      [0, 70],
      [70, 100],
    ])
    expect(traitsAt(moveBoundary(two, lengthKm, 50, 30, newId), 40).surface).toBe('sand')
  })
  it('does nothing where there is no edge', () => {
    expect(moveBoundary(two, lengthKm, 49, 70, newId)).toEqual(two)
    expect(moveBoundary(two, lengthKm, 50, 50, newId)).toEqual(two)
  })
  it('and back again gives the road one had, while nothing was covered whole', () => {
    const there = moveBoundary(two, lengthKm, 50, 80, newId)
    expect(edgesOf(moveBoundary(there, lengthKm, 80, 50, newId))).toEqual(edgesOf(two))
  })
})
