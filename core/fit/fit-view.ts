import type { CatalogueItem, Head, Thing } from '../bench'
import type { Bike, BikePart } from '../bike'
import { itemsThatTurn, lightestAddition } from './lightest-addition'
import { crewFit, type Coverage, type FastenerFit } from './crew-fit'
import { toolsOn } from './tool'
import type { FitReason, FitVerdict } from './turn-result'
import type { Way } from './ways'

/** A way in plain values, to be sent to a page. */
export interface WayView {
  readonly verdict: FitVerdict
  readonly reason: FitReason
  readonly handN: number | null
  readonly thing: string
  readonly head: Head
  readonly second: { readonly thing: string; readonly head: Head } | null
}

export interface FastenerView {
  readonly bike: string
  readonly fastener: string
  readonly part: BikePart
  readonly coverage: Coverage
  readonly best: WayView | null
  /** By thing that has heads. */
  readonly ways: Readonly<Record<string, WayView>>
  /** The lightest thing of the catalogue that would turn it; null where it is turned, or where nothing would. */
  readonly wouldTurn: { readonly item: string; readonly massG: number } | null
}

export interface FitView {
  readonly fasteners: readonly FastenerView[]
  /** Things with heads, in the order of the bench. */
  readonly things: readonly string[]
  /** Heads that turn nothing on any bike, by thing. */
  readonly idle: Readonly<Record<string, readonly Head[]>>
  /** The lightest things that together would turn all that is uncovered. */
  readonly addition: { readonly items: readonly string[]; readonly massG: number }
}

/** The fit of a whole crew as one reads it. */
export function fitView(
  bikes: readonly Pick<Bike, 'id' | 'fasteners'>[],
  bench: readonly Thing[],
  items: readonly CatalogueItem[],
  handMostN: number,
): FitView {
  const tools = toolsOn(bench)
  const { fasteners, idle } = crewFit(bikes, tools, handMostN)
  const open = fasteners.filter(({ coverage }) => coverage === 'uncovered' || coverage === 'borrowed')
  const uncovered = open.filter(({ coverage }) => coverage === 'uncovered').map(({ fastener }) => fastener)
  const addition = lightestAddition(uncovered, tools, items, handMostN)
  const idleByThing: Record<string, Head[]> = {}
  for (const { tool, head } of idle) (idleByThing[tool.id] ??= []).push(head)
  const wouldTurn = (fit: FastenerFit) => {
    const item = open.includes(fit) ? itemsThatTurn(fit.fastener, tools, items, handMostN)[0] : undefined
    return item ? { item: item.id, massG: item.massG } : null
  }
  return {
    fasteners: fasteners.map((fit) => ({
      bike: fit.bike,
      fastener: fit.fastener.id,
      part: fit.fastener.part,
      coverage: fit.coverage,
      best: fit.best ? viewOf(fit.best) : null,
      ways: Object.fromEntries([...fit.byTool].map(([tool, way]) => [tool.id, viewOf(way)])),
      wouldTurn: wouldTurn(fit),
    })),
    things: tools.map(({ id }) => id),
    idle: idleByThing,
    addition: { items: addition.items.map(({ id }) => id), massG: addition.massG },
  }
}

const viewOf = ({ verdict, reason, handN, tool, head, second }: Way): WayView => ({
  verdict,
  reason,
  handN,
  thing: tool.id,
  head,
  second: second && { thing: second.tool.id, head: second.head },
})
