import type { Fastener } from '../bike'
import { defaultHandN } from './force'
import type { ToolHead, Tool } from './tool'
import { turnTaskOf, turnWith } from './turn'
import { isTurned, type TurnResult } from './turn-result'
import { toolHeadsOf, holdersOf, leversFor, usableTogether } from './ways'

/**
 * What must be carried for a fastener to turn: of each set of tools at least one. No set: it turns by hand. An
 * empty set: nobody can turn it.
 *
 * The sets say exactly when `waysTo` finds a way with the tools that are carried: one that turns it by itself, or
 * a head without a lever and a spanner that lends it one; and where a nut has to be held, one that holds it, which
 * must be another tool than the one that turns, unless that one comes apart.
 *
 * @param handMostN the most a hand gives, N
 * @param suits what is good enough: turning it at all, or with ease
 */
export function demandsOf(
  fastener: Fastener,
  tools: readonly Tool[],
  handMostN = defaultHandN,
  suits: (result: TurnResult) => boolean = isTurned,
): ReadonlySet<Tool>[] {
  return withoutImplied(allDemands(fastener, tools, handMostN, suits))
}

function allDemands(
  fastener: Fastener,
  tools: readonly Tool[],
  handMostN: number,
  suits: (result: TurnResult) => boolean,
): ReadonlySet<Tool>[] {
  if (fastener.drive.profile === 'by-hand') return []
  const setting = turnTaskOf(fastener, handMostN)
  const ends = toolHeadsOf(tools)
  const turners = ends.filter(({ head }) => suits(turnWith(head, setting)))
  let demands: ReadonlySet<Tool>[] = [toolsOf(turners)]
  for (const end of ends) {
    const levers = leversFor(end.head, setting, tools).filter(
      (lever) => usableTogether(end, lever) && suits(turnWith(end.head, setting, lever.head.leverMm)),
    )
    // d or (end and a lever) is the same as (d or end) and (d or a lever).
    if (levers.length > 0) {
      demands = demands.flatMap((demand) => [new Set([...demand, end.tool]), new Set([...demand, ...toolsOf(levers)])])
    }
  }
  const holders = holdersOf(fastener, setting, tools)
  return holders ? [...demands, toolsOf(holders), ...besides(turners, holders)] : demands
}

const toolsOf = (ends: readonly ToolHead[]) => new Set(ends.map(({ tool }) => tool))

/** For each tool that could turn or hold but not both at once: any of the others that turn or hold. */
function besides(turners: readonly ToolHead[], holders: readonly ToolHead[]): ReadonlySet<Tool>[] {
  const holding = toolsOf(holders)
  const all = toolsOf([...turners, ...holders])
  return [...toolsOf(turners)]
    .filter((tool) => holding.has(tool) && !doesBoth(tool, turners, holders))
    .map((tool) => new Set([...all].filter((other) => other !== tool)))
}

function doesBoth(tool: Tool, turners: readonly ToolHead[], holders: readonly ToolHead[]): boolean {
  const own = (ends: readonly ToolHead[]) => ends.filter((end) => end.tool === tool)
  return own(turners).some((turner) => own(holders).some((holder) => usableTogether(turner, holder)))
}

/** Leaves out every set that another one is part of: whoever meets that one meets it too. */
export function withoutImplied<T>(demands: readonly ReadonlySet<T>[]): ReadonlySet<T>[] {
  const isPartOf = (small: ReadonlySet<T>, large: ReadonlySet<T>) => [...small].every((tool) => large.has(tool))
  return demands.filter(
    (demand, i) =>
      !demands.some((other, j) => i !== j && isPartOf(other, demand) && (other.size < demand.size || j < i)),
  )
}
