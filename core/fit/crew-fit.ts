import type { Bike, Fastener } from '../bike'
import { defaultHandN } from './force'
import { bigWrench } from './big-wrench'
import type { ToolHead, Tool } from './tool'
import { toolHeadsOf, waysTo, type Ways } from './ways'

/**
 * turned: with what is there; borrowed: only where a big wrench can be borrowed; waits: not at all, and it need
 * not be; uncovered: not at all.
 */
export type Coverage = 'turned' | 'borrowed' | 'waits' | 'uncovered'

export interface FastenerFit extends Ways {
  readonly bike: string
  readonly fastener: Fastener
  readonly coverage: Coverage
}

export interface CrewFit {
  readonly fasteners: FastenerFit[]
  /** Heads that turn nothing, hold nothing and lend no lever on any bike of the crew. */
  readonly idle: ToolHead[]
}

/**
 * Every fastener of every bike against every head at hand.
 *
 * @param handMostN the most a hand gives, N
 */
export function crewFit(
  bikes: readonly Pick<Bike, 'id' | 'fasteners'>[],
  tools: readonly Tool[],
  handMostN = defaultHandN,
): CrewFit {
  const fasteners = bikes.flatMap((bike) =>
    bike.fasteners.map((fastener) => fitOf(bike.id, fastener, tools, handMostN)),
  )
  return { fasteners, idle: idleHeads(fasteners, tools) }
}

function fitOf(bike: string, fastener: Fastener, tools: readonly Tool[], handMostN: number): FastenerFit {
  const ways = waysTo(fastener, tools, handMostN)
  return { bike, fastener, ...ways, coverage: ways.turns ? 'turned' : withoutTools(fastener, tools, handMostN) }
}

function withoutTools(fastener: Fastener, tools: readonly Tool[], handMostN: number): Coverage {
  if (waysTo(fastener, [...tools, bigWrench], handMostN).turns) return 'borrowed'
  return fastener.canWait === '' ? 'uncovered' : 'waits'
}

function idleHeads(fits: readonly FastenerFit[], tools: readonly Tool[]): ToolHead[] {
  const useful = new Set(fits.flatMap((fit) => fit.useful))
  return toolHeadsOf(tools).filter(({ head }) => !useful.has(head))
}

/** Whether a fastener turns with the tools at hand. */
export const turnsWith = (fastener: Fastener, tools: readonly Tool[], handMostN = defaultHandN) =>
  waysTo(fastener, tools, handMostN).turns
