import type { Head, Thing } from '../bench'
import type { Drive, Fastener } from '../bike'
import { settingOf, turnWith, type Setting } from './turn'
import { compareTurnings, isTurned, type Turning } from './turning'

/** What fit needs to know of a thing. */
export type Tool = Pick<Thing, 'id' | 'heads' | 'comesApart'>

/** A head of a tool. */
export interface End {
  readonly tool: Tool
  readonly head: Head
}

/** A way to turn a fastener, or the nearest to one. */
export interface Way extends Turning, End {
  /** What turns the head, or holds the nut, besides. */
  readonly second: End | null
}

/** All that the tools at hand can do about one fastener. */
export interface Ways {
  /** The best way with each tool as the one that turns it. */
  readonly byTool: ReadonlyMap<Tool, Way>
  /** The best of all; undefined where no tool has any head, and where none is needed. */
  readonly best: Way | undefined
  /** Whether it turns: by a tool, or by hand. */
  readonly turns: boolean
}

const byHand = (fastener: Fastener) => fastener.drive.profile === 'by-hand'

/** How a nut is held: by anything that gets hold of it and bears the torque. */
const holding = (drive: Drive, { torqueNm }: Setting): Setting => ({
  drive,
  torqueNm,
  recessMm: 0,
  roomMm: Infinity,
  swingDeg: 360,
  openEndOnly: false,
  gapMm: null,
})

/** Ends that hold the nut of a fastener; undefined where none has to be held. */
export function holdersOf(fastener: Fastener, tools: readonly Tool[]): End[] | undefined {
  if (!fastener.counterhold) return undefined
  const nut = holding(fastener.counterhold, settingOf(fastener))
  return endsOf(tools).filter(({ head }) => isTurned(turnWith(head, nut)))
}

/** Ends that lend their lever to a head which has none. */
export function leversFor(head: Head, setting: Setting, tools: readonly Tool[]): End[] {
  if (head.turnedByMm === null || head.leverMm > 0) return []
  const shank = holding({ profile: 'flats', size: head.turnedByMm }, { ...setting, torqueNm: 0 })
  return endsOf(tools).filter(
    (lever) =>
      lever.head.leverMm > 0 &&
      isTurned(turnWith(lever.head, shank)) &&
      isTurned(turnWith(head, setting, lever.head.leverMm)),
  )
}

export function endsOf(tools: readonly Tool[]): End[] {
  return tools.flatMap((tool) => tool.heads.map((head) => ({ tool, head })))
}

/** Whether two ends can be used at the same time. */
export const together = (a: End, b: End) => a.tool !== b.tool || (a.tool.comesApart && a.head !== b.head)

/** All ways to turn a fastener with the tools at hand. */
export function waysTo(fastener: Fastener, tools: readonly Tool[]): Ways {
  if (byHand(fastener)) return { byTool: new Map(), best: undefined, turns: true }
  const setting = settingOf(fastener)
  const holders = holdersOf(fastener, tools)
  const byTool = new Map<Tool, Way>()
  let best: Way | undefined
  for (const tool of tools) {
    let bestOfTool: Way | undefined
    for (const head of tool.heads) {
      const way = wayWith({ tool, head }, setting, tools, holders)
      if (!bestOfTool || compareTurnings(way, bestOfTool) < 0) bestOfTool = way
    }
    if (!bestOfTool) continue
    byTool.set(tool, bestOfTool)
    if (!best || compareTurnings(bestOfTool, best) < 0) best = bestOfTool
  }
  return { byTool, best, turns: best !== undefined && isTurned(best) }
}

function wayWith(end: End, setting: Setting, tools: readonly Tool[], holders: readonly End[] | undefined): Way {
  let way: Way = { ...turnWith(end.head, setting), ...end, second: null }
  if (way.reason === 'no-own-lever') {
    for (const lever of leversFor(end.head, setting, tools)) {
      if (!together(end, lever)) continue
      const levered: Way = { ...turnWith(end.head, setting, lever.head.leverMm), ...end, second: lever }
      if (compareTurnings(levered, way) < 0) way = levered
    }
  }
  if (!holders || !isTurned(way)) return way
  const second = holders.find((holder) => together(end, holder))
  return second ? { ...way, second } : { ...way, verdict: 'cannot', reason: 'needs-second' }
}
