import { roundingAmount, type Amount, type IndexedEvent, type Try } from '../ledger'
import { nth, numberAt } from '../validation'

/** One way a failure can end, with all that was drawn on the way. */
export interface Ending {
  readonly chance: number
  /** What is left of each stock. */
  readonly amounts: Float64Array
  readonly hours: number
  readonly walkH: number
  readonly isMended: boolean
}

interface Going {
  readonly chance: number
  readonly amounts: Float64Array
  readonly workH: number
  /** For each technique of the event: whether the hands can; undefined while it is not tried. */
  readonly hands: readonly (boolean | undefined)[]
}

/**
 * Every way a failure can go, through all its tries, with its chance.
 *
 * @param tries the fixes that what is carried allows, in the order in which they are tried
 * @param amounts what is at hand of each stock
 */
export function endingsOf(event: IndexedEvent, leg: number, tries: readonly Try[], amounts: Float64Array): Ending[] {
  const start: Going = { chance: 1, amounts, workH: 0, hands: Array<undefined>(event.techniques).fill(undefined) }
  const endings: Ending[] = []
  follow(start, 0, 0)
  return endings

  /** @param again how often this fix has been tried running */
  function follow(going: Going, at: number, again: number): void {
    if (going.chance === 0) return
    const attempt = tries[at]
    if (!attempt) {
      endings.push({
        chance: going.chance,
        amounts: going.amounts,
        hours: going.workH + numberAt(event.lossH, leg),
        walkH: numberAt(event.walkH, leg),
        isMended: false,
      })
      return
    }
    const { fix, holds, most } = attempt
    const can = going.hands[fix.technique]
    if (can === false || again === most || !isAtHand(fix.uses, going.amounts)) {
      follow(going, at + 1, 0)
      return
    }
    const spent = {
      ...going,
      amounts: without(going.amounts, fix.uses),
      workH: going.workH + numberAt(fix.workH, leg),
    }
    const hands = (isAble: boolean) => going.hands.map((known, t) => (t === fix.technique ? isAble : known))
    const handsChance = can === undefined ? fix.hands : 1
    follow({ ...spent, chance: going.chance * (1 - handsChance), hands: hands(false) }, at + 1, 0)
    const able = going.chance * handsChance
    if (able * holds > 0) {
      endings.push({
        chance: able * holds,
        amounts: spent.amounts,
        hours: spent.workH + numberAt(fix.residualH, leg),
        walkH: numberAt(fix.residualWalkH, leg),
        isMended: true,
      })
    }
    follow({ ...spent, chance: able * (1 - holds), hands: hands(true) }, at, again + 1)
  }
}

function isAtHand(uses: readonly Amount[], amounts: Float64Array): boolean {
  return uses.every(({ stock, amount }) => nth(amounts, stock) >= amount - roundingAmount)
}

function without(amounts: Float64Array, uses: readonly Amount[]): Float64Array {
  const left = amounts.slice()
  for (const { stock, amount } of uses) left[stock] = Math.max(0, numberAt(left, stock) - amount)
  return left
}
