import type { Head } from '../bench'
import type { Drive, Fastener } from '../bike'
import { defaultHandN } from './force'
import { bigWrench } from './big-wrench'
import type { ToolHead, Tool } from './tool'
import { turnTaskOf, turnWith, type TurnTask } from './turn'
import { compareTurnResults, isTurned, type TurnResult } from './turn-result'

/** A way to turn a fastener, or the nearest to one. */
export interface Way extends TurnResult, ToolHead {
  /** What turns the head, or holds the nut, besides. */
  readonly second: ToolHead | null
}

/** All that the tools at hand can do about one fastener. */
export interface Ways {
  /** The best way with each tool as the one that turns it. */
  readonly byTool: ReadonlyMap<Tool, Way>
  /** The best of all; undefined where no tool has any head, and where none is needed. */
  readonly best: Way | undefined
  /** Whether it turns: by a tool, or by hand. */
  readonly turns: boolean
  /** Heads that turn it, hold its nut or lend a lever for it; with a borrowed wrench, too. */
  readonly useful: readonly Head[]
}

const byHand = (fastener: Fastener) => fastener.drive.profile === 'by-hand'

/** How a nut is held: by anything that gets hold of it and bears the torque. */
const holding = (drive: Drive, { torqueNm, handMostN }: TurnTask): TurnTask => ({
  drive,
  torqueNm,
  handMostN,
  recessMm: 0,
  roomMm: Infinity,
  swingDeg: 360,
  openEndOnly: false,
  gapMm: null,
})

/** Ends that hold the nut of a fastener; undefined where none has to be held. */
export function holdersOf(
  { counterhold }: Pick<Fastener, 'counterhold'>,
  setting: TurnTask,
  tools: readonly Tool[],
): ToolHead[] | undefined {
  if (!counterhold) return undefined
  const nut = holding(counterhold, setting)
  return toolHeadsOf(tools).filter(({ head }) => isTurned(turnWith(head, nut)))
}

/** Ends that lend their lever to a head which has none. */
export function leversFor(head: Head, setting: TurnTask, tools: readonly Tool[]): ToolHead[] {
  if (head.turnedByMm === null || head.leverMm > 0) return []
  const shank = holding({ profile: 'flats', size: head.turnedByMm }, { ...setting, torqueNm: 0 })
  return toolHeadsOf(tools).filter(
    (lever) =>
      lever.head.leverMm > 0 &&
      isTurned(turnWith(lever.head, shank)) &&
      isTurned(turnWith(head, setting, lever.head.leverMm)),
  )
}

export function toolHeadsOf(tools: readonly Tool[]): ToolHead[] {
  return tools.flatMap((tool) => tool.heads.map((head) => ({ tool, head })))
}

/** Whether two ends can be used at the same time. */
export const usableTogether = (a: ToolHead, b: ToolHead) =>
  a.tool !== b.tool || (a.tool.comesApart && a.head !== b.head)

/**
 * All ways to turn a fastener with the tools at hand.
 *
 * @param handMostN the most a hand gives, N
 */
export function waysTo(fastener: Fastener, tools: readonly Tool[], handMostN = defaultHandN): Ways {
  if (byHand(fastener)) return { byTool: new Map(), best: undefined, turns: true, useful: [] }
  const setting = turnTaskOf(fastener, handMostN)
  const holders = holdersOf(fastener, setting, tools)
  const useful = holders ? holders.map(({ head }) => head) : []
  const byTool = new Map<Tool, Way>()
  let best: Way | undefined
  for (const tool of tools) {
    let bestOfTool: Found | undefined
    for (const head of tool.heads) {
      const turned = foundWith(tool, head, setting, tools, useful)
      const found = holders ? heldBy(turned, tool, holders) : turned
      if (!bestOfTool || compareTurnResults(found.turning, bestOfTool.turning) < 0) bestOfTool = found
    }
    if (!bestOfTool) continue
    const { turning, head, second } = bestOfTool
    const way: Way = { verdict: turning.verdict, reason: turning.reason, handN: turning.handN, tool, head, second }
    byTool.set(tool, way)
    if (!best || compareTurnResults(way, best) < 0) best = way
  }
  return { byTool, best, turns: best !== undefined && isTurned(best), useful }
}

/** What comes of one head, with what lends it a lever or holds the nut. */
interface Found {
  readonly head: Head
  readonly turning: TurnResult
  readonly second: ToolHead | null
}

function foundWith(tool: Tool, head: Head, setting: TurnTask, tools: readonly Tool[], useful: Head[]): Found {
  const turning = turnWith(head, setting)
  if (isTurned(turning)) useful.push(head)
  let found: Found = { head, turning, second: null }
  if (turning.reason !== 'no-own-lever') return found
  const end = { tool, head }
  for (const lever of leversFor(head, setting, [...tools, bigWrench])) {
    if (!usableTogether(end, lever)) continue
    useful.push(head, lever.head)
    if (lever.tool === bigWrench && !tools.includes(bigWrench)) continue
    const levered = turnWith(head, setting, lever.head.leverMm)
    if (compareTurnResults(levered, found.turning) < 0) found = { head, turning: levered, second: lever }
  }
  return found
}

/** The same with its nut held. */
function heldBy(found: Found, tool: Tool, holders: readonly ToolHead[]): Found {
  if (!isTurned(found.turning)) return found
  const end = { tool, head: found.head }
  const second = holders.find((holder) => usableTogether(end, holder))
  return second
    ? { ...found, second }
    : { ...found, turning: { ...found.turning, verdict: 'cannot', reason: 'needs-second' } }
}
