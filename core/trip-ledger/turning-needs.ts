import type { Head, Thing } from '../bench'
import type { Bike, Fastener } from '../bike'
import { bigWrench, demandsOf, isTurnedWithEase, toolsOn, withoutImplied, type Tool } from '../fit'
import type { Fix } from '../fix'
import { nth } from '../validation'

/** What has to be carried for some fasteners to turn, in the words of a ledger. */
export interface TurningDemand {
  /** Functions of the ledger, all of them needed; undefined where nothing on the bench turns one of the fasteners. */
  readonly needs: string[] | undefined
  /** The same for all of them to turn with ease; undefined where what lies on the bench does not do that. */
  readonly withEase: string[] | undefined
  /** The same where a big wrench can be borrowed; undefined where that is of no use. */
  readonly withWrench: string[] | undefined
  /** Fasteners that nothing on the bench turns. */
  readonly stuck: Fastener[]
}

type Demand = ReadonlySet<string>
interface Demands {
  readonly plain: Demand[]
  readonly withEase: Demand[]
  readonly withWrench: Demand[]
}

/**
 * Turns "this bolt must turn" into functions that things provide: one function for each set of things of which one
 * must be carried. Fasteners that the same things turn share it.
 */
export class TurningNeeds {
  private readonly tools: Tool[]
  private readonly functionOf = new Map<string, string>()
  private readonly providedBy = new Map<string, string[]>()
  private readonly demandsOfFastener = new Map<Fastener, Demands>()
  private readonly turningOf = new Map<string, TurningDemand>()
  private readonly torqueTools: Tool[]

  /** @param handMostN the most a hand gives, N */
  constructor(
    bench: readonly Thing[],
    private readonly handMostN: number,
  ) {
    this.tools = toolsOn(bench)
    this.torqueTools = this.tools.map((tool) => ({ ...tool, heads: tool.heads.filter(({ setNm }) => setNm !== null) }))
  }

  /**
   * What a fix asks for where one fastener has failed: of its role it is that one alone that is turned.
   *
   * @param wheels those that are meant where a role leaves it open
   */
  forFailed(
    { turns, torques }: Pick<Fix, 'turns' | 'torques'>,
    bike: Bike,
    wheels: readonly ('front' | 'rear')[],
    failed: Fastener | undefined,
  ): TurningDemand {
    const those = (roles: readonly string[]) =>
      roles.flatMap((role) => (failed && role === failed.role ? [failed] : onWheels(bike, wheels, [role])))
    const [turned, torqued] = [those(turns), those(torques)]
    const key = [bike.id, ...turned.map(({ id }) => id), '//', ...torqued.map(({ id }) => id)].join(' ')
    let turning = this.turningOf.get(key)
    if (!turning) {
      turning = this.forFasteners(turned, torqued)
      this.turningOf.set(key, turning)
    }
    return turning
  }

  /** @param torqued those that must be turned with a torque key */
  private forFasteners(fasteners: readonly Fastener[], torqued: readonly Fastener[]): TurningDemand {
    const found = [
      ...fasteners.map((fastener) => ({ fastener, demands: this.demands(fastener) })),
      ...torqued.map((fastener) => ({ fastener, demands: this.torqueDemands(fastener) })),
    ]
    const stuck = found.filter(({ demands }) => isHopeless(demands.plain)).map(({ fastener }) => fastener)
    const plain = withoutImplied(found.flatMap(({ demands }) => demands.plain))
    const withEase = withoutImplied(found.flatMap(({ demands }) => demands.withEase))
    const withWrench = withoutImplied(found.flatMap(({ demands }) => demands.withWrench))
    return {
      needs: stuck.length > 0 ? undefined : this.named(plain),
      withEase: isHopeless(withEase) ? undefined : this.named(withEase),
      withWrench: isHopeless(withWrench) || isSame(plain, withWrench) ? undefined : this.named(withWrench),
      stuck,
    }
  }

  /** Functions that a thing provides by what it turns. */
  functionsOf(thing: string): string[] {
    return this.providedBy.get(thing) ?? []
  }

  private demands(fastener: Fastener): Demands {
    let demands = this.demandsOfFastener.get(fastener)
    if (!demands) {
      demands = {
        plain: demandsOf(fastener, this.tools, this.handMostN).map(ids),
        withEase: demandsOf(fastener, this.tools, this.handMostN, isTurnedWithEase).map(ids),
        withWrench: demandsOf(fastener, [...this.tools, bigWrench], this.handMostN)
          .filter((demand) => !demand.has(bigWrench))
          .map(ids),
      }
      this.demandsOfFastener.set(fastener, demands)
    }
    return demands
  }

  private torqueDemands(fastener: Fastener): Demands {
    const { least, most } = fastener.torqueNm
    const inRange = ({ setNm }: Head) => setNm !== null && setNm.least <= most && setNm.most >= least
    const tools = this.torqueTools.map((tool) => ({ ...tool, heads: tool.heads.filter(inRange) }))
    const plain = demandsOf(fastener, tools, this.handMostN).map(ids)
    return { plain, withEase: plain, withWrench: plain }
  }

  private named(demands: readonly Demand[]): string[] {
    return demands.map((demand) => {
      const things = [...demand].sort()
      const key = JSON.stringify(things)
      let name = this.functionOf.get(key)
      if (name === undefined) {
        name = `turn-${this.functionOf.size + 1}`
        this.functionOf.set(key, name)
        for (const thing of things) this.providedBy.set(thing, [...this.functionsOf(thing), name])
      }
      return name
    })
  }
}

/** Fasteners of a bike that go by one of some roles; "axle-{wheel}" by that of each wheel meant. */
function onWheels(bike: Bike, wheels: readonly ('front' | 'rear')[], roles: readonly string[]): Fastener[] {
  const wanted = roles.flatMap((role) => wheels.map((wheel) => role.replace('{wheel}', wheel)))
  return bike.fasteners.filter(({ role }) => role !== '' && wanted.includes(role))
}

const ids = (demand: ReadonlySet<Tool>): Demand => new Set([...demand].map(({ id }) => id))
const isHopeless = (demands: readonly Demand[]) => demands.some(({ size }) => size === 0)
const isSame = (a: readonly Demand[], b: readonly Demand[]) =>
  a.length === b.length &&
  a.every((demand, i) => demand.size === nth(b, i).size && [...demand].every((id) => nth(b, i).has(id)))
