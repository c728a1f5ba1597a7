import { describe, expect, it } from 'vitest'
import { amountsLeft, MixedMoves, moved, movesDrawing, type Moves } from '../../core/promise/amounts-left'
import { chanceAtHand } from '../../core/promise/at-hand'
import { Drawn } from '../../core/promise/failure-walk'

const listed = ({ from, to, chances }: Moves) =>
  Array.from(from, (place, i) => `${place}>${to[i] ?? ''} ${chances[i]?.toFixed(3) ?? ''}`)
const drawing = (...draws: readonly (readonly [amount: number, chance: number])[]) => {
  const drawn = new Drawn()
  for (const [amount, chance] of draws) {
    drawn.amounts.push(amount)
    drawn.chances.push(chance)
  }
  return drawn
}

describe('what a stock can come down to', () => {
  it('is what is carried, less whatever can be drawn of it', () => {
    expect([...amountsLeft(3, [1])]).toEqual([0, 1, 2, 3])
    expect([...amountsLeft(3, [2])]).toEqual([1, 3])
    expect([...amountsLeft(6, [6])]).toEqual([0, 6])
    expect([...amountsLeft(2, [])]).toEqual([2])
    expect([...amountsLeft(1, [0.4])].map((left) => left.toFixed(3))).toEqual(['0.200', '0.600', '1.000'])
  })
  it('is told once, though it is come to by different ways, and never below nothing', () => {
    // 1.2 = 3 · 0.4 leaves nothing, but for rounding.
    expect([...amountsLeft(1.2, [0.4, 0.8])].map((left) => left.toFixed(3))).toEqual([
      '0.000',
      '0.400',
      '0.800',
      '1.200',
    ])
    expect(Math.min(...amountsLeft(0.3, [0.1]))).toBeGreaterThanOrEqual(0)
    expect(amountsLeft(1000, [1, 7])).toHaveLength(200)
  })
  it('has each with the chance of so much or more', () => {
    const atHand = { amounts: Float64Array.of(0, 1, 3), atLeast: Float64Array.of(1, 0.6, 0.2) }
    expect([0, 0.5, 1, 1.5, 3, 3.5].map((amount) => chanceAtHand(atHand, amount))).toEqual([1, 0.6, 0.6, 0.2, 0.2, 0])
  })
})

describe('moves of what is left', () => {
  const amounts = amountsLeft(3, [1])
  const moves = movesDrawing(amounts, (left) => (left >= 1 ? drawing([0, 0.25], [1, 0.75]) : drawing([0, 1])))
  it('lead from each amount to what is left of it, with the chance of the draw', () => {
    expect(listed(moves)).toEqual([
      '0>0 1.000',
      '1>1 0.250',
      '1>0 0.750',
      '2>2 0.250',
      '2>1 0.750',
      '3>3 0.250',
      '3>2 0.750',
    ])
  })
  it('lead to the amount that is nearest where none is just so much', () => {
    const coarse = movesDrawing(Float64Array.of(0, 1, 4), (left) => drawing([left === 4 ? 1.8 : left, 1]))
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
    const two = movesDrawing(amounts, (left) => (left >= 2 ? drawing([2, 1]) : drawing([0, 1])))
    const mixed = new MixedMoves(4, [moves, undefined, two, moves])
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
