import type { LedgerWear } from '../ledger'
import { gammaP } from '../maths'
import { nth } from '../validation'

/** How often something wears out on each leg, and the chance of just that. */
export interface WearCounts {
  readonly perLeg: readonly number[]
  readonly chance: number
}

/** Cells of the grid in a life; with five times as many, hours of a trip change by less than one in a thousand. */
const cellsPerLife = 200
/** Less likely ways are left out. */
const leastChance = 1e-8

interface Way {
  readonly perLeg: readonly number[]
  /** The chance that it has come to this, by the cell in which what is worn since the last new one lies. */
  readonly mass: Float64Array
  /** Lives used up since then. */
  readonly wornOut: number
  readonly left: number
}

/**
 * The law of the counts of a wearing part: in how many ways it can fail so often on the first leg, so often on the second.
 * Exact where it wears without spread; on a fine grid otherwise.
 */
export function wearCountsOf(wear: LedgerWear, legs: number): WearCounts[] {
  if (wear.spread === 0) return [{ perLeg: steadyCounts(wear, legs), chance: 1 }]
  let ways: Way[] = [{ perLeg: [], mass: Float64Array.of(1), wornOut: 0, left: wear.left }]
  for (let leg = 0; leg < legs; leg++) {
    const isFresh = wear.freshAtLegs.includes(leg)
    const worn = incrementOf(nth(wear.lives, leg), wear.spread)
    ways = ways.flatMap((way) => {
      const { perLeg, mass, wornOut, left } = isFresh ? renewed(way) : way
      return split(convolved(mass, worn), left, wornOut).map((part) => ({
        ...part,
        perLeg: [...perLeg, part.count],
        left,
      }))
    })
  }
  return ways.map(({ perLeg, mass }) => ({ perLeg, chance: sumOf(mass) }))
}

const renewed = ({ perLeg, mass }: Way): Way => ({ perLeg, mass: Float64Array.of(sumOf(mass)), wornOut: 0, left: 1 })

/** The counts where every leg wears exactly as much as expected. */
function steadyCounts({ left, lives, freshAtLegs }: LedgerWear, legs: number): number[] {
  let total = 0
  let limit = left
  return Array.from({ length: legs }, (_, leg) => {
    if (freshAtLegs.includes(leg)) {
      total = 0
      limit = 1
    }
    total += nth(lives, leg)
    let count = 0
    while (total > limit + 1e-9) {
      count++
      limit++
    }
    return count
  })
}

/** The wear of a leg in the mean of whose Gamma law lie so many lives: its chance for each cell. */
function incrementOf(lives: number, spread: number): Float64Array {
  if (lives === 0) return Float64Array.of(1)
  const atMost = (worn: number) => (worn <= 0 ? 0 : gammaP(lives / spread ** 2, worn / spread ** 2))
  const cells: number[] = []
  let before = 0
  for (let cell = 0; before < 1 - leastChance; cell++) {
    // What a cell stands for lies around its middle value, cell / cellsPerLife.
    const until = atMost((cell + 0.5) / cellsPerLife)
    cells.push(until - before)
    before = until
  }
  return Float64Array.from(cells)
}

function convolved(a: Float64Array, b: Float64Array): Float64Array {
  if (a.length === 1) return b.map((value) => value * nth(a, 0))
  const sum = new Float64Array(a.length + b.length - 1)
  a.forEach((mass, i) => {
    if (mass > 1e-14) for (let j = 0; j < b.length; j++) sum[i + j] = nth(sum, i + j) + mass * nth(b, j)
  })
  return sum
}

/** Parts a mass by how many more lives have been used up. A cell upon a limit goes half to either side. */
function split(
  mass: Float64Array,
  left: number,
  wornOut: number,
): { count: number; wornOut: number; mass: Float64Array }[] {
  const byTotal = new Map<number, Float64Array>()
  const add = (total: number, cell: number, value: number) => {
    const part = byTotal.get(total) ?? new Float64Array(mass.length)
    byTotal.set(total, part)
    part[cell] = nth(part, cell) + value
  }
  mass.forEach((value, cell) => {
    if (value === 0) return
    const over = cell / cellsPerLife - left
    const below = Math.max(0, Math.ceil(over - 1e-9))
    const isUponLimit = cell > 0 && over > -1e-9 && Math.abs(over - Math.round(over)) < 1e-9
    add(Math.max(below, wornOut), cell, isUponLimit ? value / 2 : value)
    if (isUponLimit) add(Math.max(below + 1, wornOut), cell, value / 2)
  })
  return [...byTotal]
    .filter(([, part]) => sumOf(part) > leastChance)
    .map(([total, part]) => ({ count: total - wornOut, wornOut: total, mass: part }))
}

const sumOf = (mass: Float64Array) => mass.reduce((sum, value) => sum + value, 0)
