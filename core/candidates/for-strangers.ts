import type { CatalogueItem, Thing } from '../bench'
import type { Fastener } from '../bike'
import { lightestAddition, toolsOn, turnsWith, type Addition } from '../fit'
import { nth } from '../validation'

/** A wish to help on other people's bikes, and its price. */
export interface WishToHelp {
  /** Of each fastener, in its order, whether what is carried turns it. */
  readonly turned: readonly boolean[]
  /** The lightest that turns the rest; what nothing of the catalogue turns is named in it. */
  readonly addition: Addition
}

/**
 * What a kit turns of the bikes of others, and what it would take to turn the rest.
 *
 * @param handMostN the most a hand gives, N
 */
export function wishToHelp(
  wished: readonly Fastener[],
  carried: readonly Thing[],
  items: readonly CatalogueItem[],
  handMostN: number,
): WishToHelp {
  const tools = toolsOn(carried)
  const turned = wished.map((fastener) => turnsWith(fastener, tools, handMostN))
  const rest = wished.filter((_, i) => !nth(turned, i))
  return { turned, addition: lightestAddition(rest, tools, items, handMostN) }
}
