import { describe, expect, it } from 'vitest'
import { AmountsLeft, amountsOf, MixedMoves, moved, movesDrawing, type Moves } from '../../core/promise/amounts-left'
import { chanceAtHand } from '../../core/promise/at-hand'
import { Drawn } from '../../core/promise/failure-walk'

const listed = (moves: Moves) =>
  moves
    .flatMap(({ down, chances }) =>
      Array.from(chances, (chance, from) => (chance > 0 ? `${from}>${from - down} ${chance.toFixed(3)}` : '')),
    )
    .filter((move) => move !== '')
    .sort()
const drawing = (...draws: readonly (readonly [amount: number, chance: number])[]) => {
  const drawn = new Drawn([0])
  for (const [amount, chance] of draws) drawn.add(Float64Array.of(amount), chance)
  return drawn
}
const alone = (amounts: Float64Array) => new AmountsLeft([0], [amounts])

describe('what a stock can come down to', () => {
  it('is what is carried, less whatever can be drawn of it', () => {
    expect([...amountsOf(3, [1])]).toEqual([0, 1, 2, 3])
    expect([...amountsOf(3, [2])]).toEqual([1, 3])
    expect([...amountsOf(6, [6])]).toEqual([0, 6])
    expect([...amountsOf(2, [])]).toEqual([2])
    expect([...amountsOf(1, [0.4])].map((left) => left.toFixed(3))).toEqual(['0.200', '0.600', '1.000'])
  })
  it('is told once, though it is come to by different ways, and never below nothing', () => {
    // 1.2 = 3 · 0.4 leaves nothing, but for rounding.
    expect([...amountsOf(1.2, [0.4, 0.8])].map((left) => left.toFixed(3))).toEqual(['0.000', '0.400', '0.800', '1.200'])
    expect(Math.min(...amountsOf(0.3, [0.1]))).toBeGreaterThanOrEqual(0)
    expect(amountsOf(1000, [1, 7])).toHaveLength(200)
  })
  it('is there with a chance, given what is known of it', () => {
    const atHand = { amounts: alone(Float64Array.of(0, 1, 3)), chances: Float64Array.of(0.4, 0.4, 0.2) }
    const chanceOf = (wanted: number, least = 0, less = Infinity) =>
      chanceAtHand(atHand, 0, wanted, Float64Array.of(least), Float64Array.of(less))
    expect([0.5, 1, 1.5, 3, 3.5].map((amount) => chanceOf(amount).toFixed(6))).toEqual(
      [0.6, 0.6, 0.2, 0.2, 0].map((chance) => chance.toFixed(6)),
    )
    expect(chanceOf(3, 1)).toBeCloseTo(1 / 3)
    expect(chanceOf(1, 0, 3)).toBeCloseTo(1 / 2)
    expect(chanceOf(2, 1.5, 3)).toBe(0)
    expect(chanceAtHand(atHand, 1, 1, Float64Array.of(0, 0), Float64Array.of(Infinity, Infinity))).toBe(0)
  })
})

describe('what stocks that are followed together can come down to', () => {
  const amounts = new AmountsLeft([4, 2], [Float64Array.of(0, 1, 2), Float64Array.of(0, 6)])
  it('is every way to pair their amounts, from nothing to everything', () => {
    expect(amounts.leftIn).toEqual([
      [0, 0],
      [0, 6],
      [1, 0],
      [1, 6],
      [2, 0],
      [2, 6],
    ])
    expect(amounts.full).toBe(5)
  })
  it('goes down by what is drawn of each, and each is filled up by itself', () => {
    expect(amounts.after(5, [1, 6])).toBe(2)
    expect(amounts.after(5, [0, 0])).toBe(5)
    expect(amounts.after(3, [1, 0])).toBe(1)
    // One draw that leaves nearly as much as before, one that leaves nearly nothing.
    expect(amounts.after(5, [0.4, 4])).toBe(4)
    expect([0, 1, 2].map((state) => amounts.refilled(state, 0))).toEqual([4, 5, 4])
    expect([0, 1, 2].map((state) => amounts.refilled(state, 1))).toEqual([1, 1, 3])
  })
  it('tells of one what it knows of the other', () => {
    // They went down together: one each is left, or everything.
    const atHand = { amounts, chances: Float64Array.of(0, 0, 0.3, 0.1, 0, 0.6) }
    const chanceOf = (
      stock: number,
      wanted: number,
      known: readonly { stock: number; least?: number; less?: number }[],
    ) => {
      const [least, less] = [new Float64Array(5), new Float64Array(5).fill(Infinity)]
      for (const each of known) {
        least[each.stock] = each.least ?? 0
        less[each.stock] = each.less ?? Infinity
      }
      return chanceAtHand(atHand, stock, wanted, least, less)
    }
    expect(chanceOf(2, 6, [])).toBeCloseTo(0.7)
    expect(chanceOf(2, 6, [{ stock: 4, least: 2 }])).toBeCloseTo(1)
    expect(chanceOf(2, 6, [{ stock: 4, less: 2 }])).toBeCloseTo(0.25)
    expect(chanceOf(4, 2, [{ stock: 2, less: 6 }])).toBe(0)
    expect(chanceOf(4, 1, [{ stock: 4, less: 1 }])).toBe(0)
  })
  it('is drawn alike wherever the same is found', () => {
    const drawn = new Drawn([4, 2])
    drawn.note(4, 1, true)
    drawn.note(2, 6, false)
    // Of other stocks nothing is noted.
    drawn.note(3, 1, false)
    expect(amounts.leftIn.map((left) => drawn.isSameAt(left))).toEqual([false, false, true, false, true, false])
    drawn.add(Float64Array.of(9, 9, 0, 9, 1), 0.25)
    drawn.add(Float64Array.of(9, 9, 0, 9, 1), 0.5)
    drawn.add(Float64Array.of(9, 9, 0, 9, 0), 0.25)
    expect(drawn.draws).toEqual([
      { spent: [1, 0], chance: 0.75 },
      { spent: [0, 0], chance: 0.25 },
    ])
  })
})

describe('moves of what is left', () => {
  const amounts = alone(amountsOf(3, [1]))
  const moves = movesDrawing(amounts, ([left = 0]) => (left >= 1 ? drawing([0, 0.25], [1, 0.75]) : drawing([0, 1])))
  it('lead from each amount to what is left of it, with the chance of the draw', () => {
    expect(listed(moves)).toEqual([
      '0>0 1.000',
      '1>0 0.750',
      '1>1 0.250',
      '2>1 0.750',
      '2>2 0.250',
      '3>2 0.750',
      '3>3 0.250',
    ])
  })
  it('lead to the amount that is nearest where none is just so much', () => {
    const coarse = movesDrawing(alone(Float64Array.of(0, 1, 4)), ([left = 0]) => drawing([left === 4 ? 1.8 : left, 1]))
    expect(listed(coarse)).toEqual(['0>0 1.000', '1>0 1.000', '2>1 1.000'])
  })
  it('carry chances along', () => {
    expect([...moved(Float64Array.of(0, 0, 0.4, 0.6), moves)].map((chance) => chance.toFixed(3))).toEqual([
      '0.000',
      '0.300',
      '0.550',
      '0.150',
    ])
  })
  it('of several kinds are mixed by how often each comes', () => {
    const two = movesDrawing(amounts, ([left = 0]) => (left >= 2 ? drawing([2, 1]) : drawing([0, 1])))
    const mixed = new MixedMoves(4)
    for (let round = 0; round < 2; round++) {
      // Begun anew, what was added before counts no more.
      mixed.begin()
      mixed.add(moves, 3)
      mixed.add(two, 1)
      expect(mixed.total).toBe(4)
      const after = moved(Float64Array.of(0, 0, 0, 1), mixed.moves())
      expect([...after].map((chance) => chance.toFixed(4))).toEqual(['0.0000', '0.2500', '0.5625', '0.1875'])
    }
    mixed.begin()
    expect(mixed.total).toBe(0)
    expect([...moved(Float64Array.of(0, 0, 0, 1), mixed.moves())]).toEqual([0, 0, 0, 0])
  })
})
