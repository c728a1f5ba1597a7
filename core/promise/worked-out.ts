import { nth } from '../validation'
import type { Facing } from './demand-stream'
import type { StockLaw } from './stock-law'
import type { StreamDraws } from './stream-draws'

/** So many laws of a stock are kept in mind. */
const mostLaws = 500

/** What has been worked out of the demand on the stocks, for one kit or another: whoever meets the same has it at once. */
export class WorkedOut {
  private readonly lawsByKey = new Map<number, Map<string, StockLaw>>()
  private readonly amountsByFull = new Map<number, Map<number, Float64Array>>()
  private readonly drawsByFacing = new WeakMap<Facing, Map<number, StreamDraws>>()
  private drawsCount = 0

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

  /**
   * What a stream draws of a stock, by what is carried against it; worked out anew where the laws of the other stocks have
   * become others since.
   */
  draws(
    facing: Facing,
    stock: number,
    laws: readonly StockLaw[],
    workOut: (number: number) => StreamDraws,
  ): StreamDraws {
    const byStock = entry(this.drawsByFacing, facing, () => new Map<number, StreamDraws>())
    const before = byStock.get(stock)
    if (before && [...before.others].every(([other, law]) => nth(laws, other) === law)) return before
    const draws = workOut(this.drawsCount++)
    byStock.set(stock, draws)
    return draws
  }
}

function entry<K, V>(
  map: { get(key: K): V | undefined; set(key: K, value: V): unknown },
  key: K,
  workOut: () => V,
): V {
  const known = map.get(key)
  if (known !== undefined) return known
  const value = workOut()
  map.set(key, value)
  return value
}
