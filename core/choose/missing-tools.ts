import { thingSchema, type CatalogueItem } from '../bench'
import { itemsThatTurn, toolsOn } from '../fit'
import { type Landscape } from '../availability'
import { buildLedger, type BuiltLedger, type StuckFix } from '../trip-ledger'
import type { Reference } from '../reference'
import type { Survey } from '../road'
import type { Trip } from '../trip'
import { cutTo } from '../validation'
import { chooseFast } from './fast'

/** A thing one does not have, and what having it would be worth. */
export interface MissingTool {
  readonly item: string
  readonly massG: number
  /** Fixes that it makes possible. */
  readonly fixes: readonly StuckFix[]
  /** Hours on foot it would spare, the whole kit chosen anew, less what its grams cost. */
  readonly worthH: number
}

/** Of each fastener nobody turns so many of the lightest things are tried. */
const triedForEach = 2

/** All that is asked of a trip to find what a missing tool would be worth. */
type Asked = readonly [trip: Trip, survey: Survey, reference: Reference, landscape: Landscape, built: BuiltLedger]

/**
 * What single thing would unlock fixes that fail for want of a tool: each is laid on the bench, the ledger written
 * and the kit chosen anew.
 *
 * @returns the one worth most first; those worth nothing too, for a bolt may be worth turning for its own sake
 */
export const missingTools = (...asked: Asked): MissingTool[] => worthMostFirst([...eachMissingTool(...asked)])

/** The same one by one as they are tried, for whoever has other work to do in between; in no order. */
export function* eachMissingTool(...[trip, survey, reference, landscape, built]: Asked): Generator<MissingTool> {
  const tools = toolsOn(trip.bench)
  const fasteners = [...new Set(built.stuck.flatMap((stuck) => stuck.fasteners))]
  const tried = new Set(
    fasteners.flatMap((fastener) =>
      itemsThatTurn(fastener, tools, reference.items, trip.dials.handMostN).slice(0, triedForEach),
    ),
  )
  if (tried.size === 0) return
  const { netH } = chooseFast(built.ledger)
  for (const item of tried) {
    const next = buildLedger({ ...trip, bench: [...trip.bench, laidDown(item)] }, survey, reference, landscape)
    const isStill = (stuckFix: StuckFix) =>
      next.stuck.some(
        ({ fix, bike, wheel, hazard }) =>
          fix === stuckFix.fix && bike === stuckFix.bike && wheel === stuckFix.wheel && hazard === stuckFix.hazard,
      )
    yield {
      item: item.id,
      massG: item.massG,
      fixes: built.stuck.filter((stuckFix) => !isStill(stuckFix)),
      worthH: Math.max(0, chooseFast(next.ledger).netH - netH),
    }
  }
}

/** Those that unlock anything, the one worth most first. */
export function worthMostFirst(tried: readonly MissingTool[]): MissingTool[] {
  return tried.filter(({ fixes }) => fixes.length > 0).sort((a, b) => b.worthH - a.worthH || a.massG - b.massG)
}

function laidDown({ id, source: _, group: __, ...rest }: CatalogueItem) {
  return thingSchema.parse({ ...rest, id: cutTo(`to unlock ${id}`, 60), from: id })
}
