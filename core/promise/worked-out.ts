import { ListMap } from '../maths'
import { nth } from '../validation'
import type { Facing } from './demand-stream'
import { lawAsText, type NumberedLaw, type StockLaw } from './stock-law'
import type { StreamOnFoot } from './stream-cost'
import type { StreamDraws } from './stream-draws'

/** So many laws of a stock of which so much is carried are kept in mind. */
const mostLaws = 1000
/** And so many costs of a stream against which something is carried, and so many of what it draws. */
const [mostCosts, mostDraws] = [1000, 1000]

/** What is known of one stock, of which so much is carried. */
interface OfStock {
  readonly amounts: Float64Array
  /** By the numbers of what is drawn. */
  readonly laws: ListMap<NumberedLaw>
  /** By what they say: laws that say the same are one. */
  readonly lawsByText: Map<string, NumberedLaw>
}

/** What is known of a stream, against which something is carried; by the numbers of the laws that it meets. */
interface OfFacing {
  readonly hours: ListMap<number>
  readonly onFoot: ListMap<StreamOnFoot>
  /** The same after the number of the stock that is drawn on. */
  readonly draws: ListMap<StreamDraws>
}

/** What has been worked out of the demand on the stocks, for one kit or another: whoever meets the same has it at once. */
export class WorkedOut {
  private readonly ofStocks = new Map<number, Map<number, OfStock>>()
  private readonly ofFacings = new Map<Facing, OfFacing>()
  /** The list that is looked up; used again for the next. */
  private readonly list: number[] = []
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
    const { amounts, laws, lawsByText } = entry(byFull, full, () => ({
      amounts: amountsLeft(),
      laws: new ListMap<NumberedLaw>(mostLaws),
      lawsByText: new Map<string, NumberedLaw>(),
    }))
    this.list.length = 0
    for (const { number } of draws) this.list.push(number)
    return laws.value(this.list, () => {
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
    this.list.length = 0
    this.list.push(stock)
    return this.ofFacing(facing).draws.value(this.listWith(others, laws), () => workOut(++this.drawsCount))
  }

  /** Hours that a stream costs, by what is carried against it and the laws of the stocks that it draws on. */
  hours(facing: Facing, stocks: readonly number[], laws: readonly NumberedLaw[], workOut: () => number): number {
    this.list.length = 0
    return this.ofFacing(facing).hours.value(this.listWith(stocks, laws), workOut)
  }

  /** The same of what it costs on foot. */
  onFoot(
    facing: Facing,
    stocks: readonly number[],
    laws: readonly NumberedLaw[],
    workOut: () => StreamOnFoot,
  ): StreamOnFoot {
    this.list.length = 0
    return this.ofFacing(facing).onFoot.value(this.listWith(stocks, laws), workOut)
  }

  private listWith(stocks: readonly number[], laws: readonly NumberedLaw[]): readonly number[] {
    for (const stock of stocks) this.list.push(nth(laws, stock).number)
    return this.list
  }

  private ofFacing(facing: Facing): OfFacing {
    return entry(this.ofFacings, facing, () => ({
      hours: new ListMap<number>(mostCosts),
      onFoot: new ListMap<StreamOnFoot>(mostCosts),
      draws: new ListMap<StreamDraws>(mostDraws),
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
