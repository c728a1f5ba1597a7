import type { Head, Thing } from '../bench'

/** What fit needs to know of a thing. */
export type Tool = Pick<Thing, 'id' | 'heads' | 'comesApart'>

/** A head of a tool. */
export interface ToolHead {
  readonly tool: Tool
  readonly head: Head
}

/** The things of a bench that turn anything at all. */
export const toolsOn = <T extends Tool>(bench: readonly T[]): T[] => bench.filter(({ heads }) => heads.length > 0)
