import type { Head, Thing } from '../bench'
import type { Fastener } from '../bike'
import { bigWrench, demandsOf, isTurnedWithEase, toolsOn, type Tool } from '../fit'
import { entry } from '../maths'

/** Things of which one must be carried. */
export type Demand = ReadonlySet<string>

/** What has to be carried for a fastener to turn: one thing of each set. */
export interface Demands {
  readonly plain: readonly Demand[]
  /** For it to turn with ease. */
  readonly withEase: readonly Demand[]
  /** Where a big wrench can be borrowed. */
  readonly withWrench: readonly Demand[]
}

/** Which things of a bench turn which fasteners, worked out once for each: it holds on every road. */
export class FastenerDemands {
  private readonly tools: Tool[]
  private readonly torqueTools: Tool[]
  private readonly plainOf = new WeakMap<Fastener, Demands>()
  private readonly torqueOf = new WeakMap<Fastener, Demands>()

  /** @param handMostN the most a hand gives, N */
  constructor(
    bench: readonly Thing[],
    private readonly handMostN: number,
  ) {
    this.tools = toolsOn(bench)
    this.torqueTools = this.tools.map((tool) => ({ ...tool, heads: tool.heads.filter(({ setNm }) => setNm !== null) }))
  }

  /** Those of a fastener that is turned with any tool. */
  demands(fastener: Fastener): Demands {
    return entry(this.plainOf, fastener, () => ({
      plain: demandsOf(fastener, this.tools, this.handMostN).map(ids),
      withEase: demandsOf(fastener, this.tools, this.handMostN, isTurnedWithEase).map(ids),
      withWrench: demandsOf(fastener, [...this.tools, bigWrench], this.handMostN)
        .filter((demand) => !demand.has(bigWrench))
        .map(ids),
    }))
  }

  /** Those of a fastener that must be turned with a torque key. */
  torqueDemands(fastener: Fastener): Demands {
    return entry(this.torqueOf, fastener, () => {
      const { least, most } = fastener.torqueNm
      const inRange = ({ setNm }: Head) => setNm !== null && setNm.least <= most && setNm.most >= least
      const tools = this.torqueTools.map((tool) => ({ ...tool, heads: tool.heads.filter(inRange) }))
      const plain = demandsOf(fastener, tools, this.handMostN).map(ids)
      return { plain, withEase: plain, withWrench: plain }
    })
  }
}

const ids = (demand: ReadonlySet<Tool>): Demand => new Set([...demand].map(({ id }) => id))
