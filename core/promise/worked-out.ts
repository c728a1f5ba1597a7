import { nth } from '../validation'
import type { Facing } from './demand-stream'
import type { StockLaw } from './stock-law'
import type { StreamCost } from './stream-cost'
import type { StreamDraws } from './stream-draws'

/** So many laws of a stock are kept in mind. */
const mostLaws = 2000
/** And so many costs of a stream, and so many of what it draws. */
const [mostCosts, mostDraws] = [500, 500]

/** What has been worked out of the demand on the stocks, for one kit or another: whoever meets the same has it at once. */
export class WorkedOut {
  private readonly lawsByKey = new Map<number, Map<string, StockLaw>>()
  private readonly amountsByFull = new Map<number, Map<number, Float64Array>>()
  private readonly drawsByFacing = new WeakMap<Facing, Map<string, StreamDraws>>()
  private readonly costsByFacing = new WeakMap<Facing, Map<string, StreamCost>>()
  private readonly numbers = new WeakMap<StockLaw, number>()
  private drawsCount = 0
  private lawsCount = 0

  /** What a stock can come down to, by how much of it is carried. */
  amounts(stock: number, full: number, workOut: () => Float64Array): Float64Array {
    const byFull = entry(this.amountsByFull, stock, () => new Map<number, Float64Array>())
    return entry(byFull, full, workOut)
  }

  /** The law of a stock, by how much of it is carried and what is drawn of it. */
  law(stock: number, full: number, draws: readonly StreamDraws[], workOut: () => StockLaw): StockLaw {
    const byKey = entry(this.lawsByKey, stock, () => new Map<string, StockLaw>())
    if (byKey.size > mostLaws) byKey.clear()
    return entry(byKey, `${full} ${draws.map(({ number }) => number).join(' ')}`, workOut)
  }

  /** What a stream draws of a stock, by what is carried against it and the laws of the other stocks that it draws on. */
  draws(
    facing: Facing,
    stock: number,
    others: readonly number[],
    laws: readonly StockLaw[],
    workOut: (number: number) => StreamDraws,
  ): StreamDraws {
    const byLaws = entry(this.drawsByFacing, facing, () => new Map<string, StreamDraws>())
    if (byLaws.size > mostDraws) byLaws.clear()
    return entry(byLaws, `${stock}: ${this.keyOf(others, laws)}`, () => workOut(this.drawsCount++))
  }

  /** What a stream costs, by what is carried against it and the laws of the stocks that it draws on. */
  cost(facing: Facing, stocks: readonly number[], laws: readonly StockLaw[], workOut: () => StreamCost): StreamCost {
    const byLaws = entry(this.costsByFacing, facing, () => new Map<string, StreamCost>())
    if (byLaws.size > mostCosts) byLaws.clear()
    return entry(byLaws, this.keyOf(stocks, laws), workOut)
  }

  private keyOf(stocks: readonly number[], laws: readonly StockLaw[]): string {
    let key = ''
    for (const stock of stocks) key += `${entry(this.numbers, nth(laws, stock), () => this.lawsCount++)} `
    return key
  }
}

function entry<K, V>(map: { get(key: K): V | undefined; set(key: K, value: V): unknown }, key: K, workOut: () => V): V {
  const known = map.get(key)
  if (known !== undefined) return known
  const value = workOut()
  map.set(key, value)
  return value
}
