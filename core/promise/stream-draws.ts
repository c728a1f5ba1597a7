import { nth } from '../validation'
import { movesDrawing, type AmountsLeft, type Moves } from './amounts-left'
import { atHandOver, type AtHand } from './at-hand'
import type { DemandStream, Facing } from './demand-stream'
import { Drawn, type FailureWalk } from './failure-walk'
import type { StockLaw } from './stock-law'

/** What a stream draws of stocks that are followed together, with what was at hand of others when that was first asked. */
export class StreamDraws {
  private readonly groups: readonly {
    readonly atHand: readonly AtHand[]
    readonly drawn: Drawn[]
  }[]
  private readonly movesByAmounts = new Map<AmountsLeft, readonly (Moves | undefined)[]>()

  /**
   * @param number tells it from all others
   * @param stocks that are followed together
   * @param others the other clusters that the stream draws on
   */
  constructor(
    readonly number: number,
    readonly stream: DemandStream,
    readonly facing: Facing,
    private readonly stocks: readonly number[],
    readonly others: readonly { readonly other: number; readonly law: StockLaw }[],
    private readonly walk: FailureWalk,
  ) {
    const laws = others.map(({ law }) => law)
    this.groups = facing.groups.map((group) => ({
      atHand: atHandOver(stream, group, group.sums.byFailures, laws),
      drawn: [],
    }))
  }

  /** For each leg, the moves from each state; none on legs without failures. */
  moves(amounts: AmountsLeft): readonly (Moves | undefined)[] {
    const known = this.movesByAmounts.get(amounts)
    if (known) return known
    const onLegs = Array.from(this.stream.expected, (): Moves | undefined => undefined)
    this.facing.groups.forEach(({ sums }, g) => {
      const moves = movesDrawing(amounts, (left) => this.drawn(g, left))
      for (const leg of sums.legs) onLegs[leg] = moves
    })
    this.movesByAmounts.set(amounts, onLegs)
    return onLegs
  }

  private drawn(g: number, left: readonly number[]): Drawn {
    const group = nth(this.groups, g)
    const known = group.drawn.find((each) => each.isSameAt(left))
    if (known) return known
    const { tries } = nth(this.facing.groups, g)
    const drawn = new Drawn(this.stocks)
    this.walk.meet(this.stream.stocks, group.atHand)
    for (let s = 0; s < tries.length; s++) {
      this.walk.draw(drawn, left, nth(tries, s), nth(this.facing.scenarios, s))
    }
    group.drawn.push(drawn)
    return drawn
  }
}
