import { ListNumbers } from '../maths'
import { nth } from '../validation'
import type { Facing } from './demand-stream'
import { lawAsText, type NumberedLaw, type StockLaw } from './stock-law'
import type { StreamCost } from './stream-cost'
import type { StreamDraws } from './stream-draws'

/** So many laws of a stock are kept in mind. */
const mostLaws = 4000
/** And so many costs of a stream, and so many of what it draws. */
const [mostCosts, mostDraws] = [1000, 1000]

/** What is known of one stock, of which so much is carried. */
interface OfStock {
  readonly amounts: Float64Array
  /** By the number of the list of what is drawn. */
  readonly lawsByDraws: Map<number, NumberedLaw>
  /** By what they say: laws that say the same are one. */
  readonly lawsByText: Map<string, NumberedLaw>
}

/** What is known of a stream, against which something is carried; by the number of the list of laws that it meets. */
interface OfFacing {
  readonly costs: Map<number, StreamCost>
  /** For each stock that it draws on. */
  readonly draws: Map<number, Map<number, StreamDraws>>
}

/** What has been worked out of the demand on the stocks, for one kit or another: whoever meets the same has it at once. */
export class WorkedOut {
  private readonly ofStocks = new Map<number, Map<number, OfStock>>()
  private readonly ofFacings = new Map<Facing, OfFacing>()
  private readonly lists = new ListNumbers()
  private drawsCount = 0
  private lawsCount = 0

  /**
   * The law of a stock, by how much of it is carried and what is drawn of it.
   *
   * @param amountsLeft works out what it can come down to
   * @param workOut works out the law
   */
  law(
    stock: number,
    full: number,
    draws: readonly StreamDraws[],
    amountsLeft: () => Float64Array,
    workOut: (amounts: Float64Array) => StockLaw,
  ): NumberedLaw {
    const byFull = entry(this.ofStocks, stock, () => new Map<number, OfStock>())
    const { amounts, lawsByDraws, lawsByText } = entry(byFull, full, () => ({
      amounts: amountsLeft(),
      lawsByDraws: new Map<number, NumberedLaw>(),
      lawsByText: new Map<string, NumberedLaw>(),
    }))
    let list = 0
    for (const { number } of draws) list = this.lists.with(list, number)
    if (lawsByDraws.size > mostLaws) lawsByDraws.clear()
    return entry(lawsByDraws, list, () => {
      const law = workOut(amounts)
      return entry(lawsByText, lawAsText(law), () => ({ ...law, number: ++this.lawsCount }))
    })
  }

  /** What a stream draws of a stock, by what is carried against it and the laws of the other stocks that it draws on. */
  draws(
    facing: Facing,
    stock: number,
    others: readonly number[],
    laws: readonly NumberedLaw[],
    workOut: (number: number) => StreamDraws,
  ): StreamDraws {
    const byLaws = entry(this.ofFacing(facing).draws, stock, () => new Map<number, StreamDraws>())
    if (byLaws.size > mostDraws) byLaws.clear()
    return entry(byLaws, this.listOf(others, laws), () => workOut(++this.drawsCount))
  }

  /** What a stream costs, by what is carried against it and the laws of the stocks that it draws on. */
  cost(facing: Facing, stocks: readonly number[], laws: readonly NumberedLaw[], workOut: () => StreamCost): StreamCost {
    const { costs } = this.ofFacing(facing)
    if (costs.size > mostCosts) costs.clear()
    return entry(costs, this.listOf(stocks, laws), workOut)
  }

  private listOf(stocks: readonly number[], laws: readonly NumberedLaw[]): number {
    let list = 0
    for (const stock of stocks) list = this.lists.with(list, nth(laws, stock).number)
    return list
  }

  private ofFacing(facing: Facing): OfFacing {
    return entry(this.ofFacings, facing, () => ({
      costs: new Map<number, StreamCost>(),
      draws: new Map<number, Map<number, StreamDraws>>(),
    }))
  }
}

function entry<K, V>(map: Map<K, V>, key: K, workOut: () => V): V {
  const known = map.get(key)
  if (known !== undefined) return known
  const value = workOut()
  map.set(key, value)
  return value
}
