import type { Bike, Fastener } from '../bike'
import { withoutImplied } from '../fit'
import type { Fix } from '../fix'
import { nth } from '../validation'
import type { Demand, FastenerDemands } from './fastener-demands'

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

/**
 * Turns "this bolt must turn" into functions that things provide: one function for each set of things of which one
 * must be carried. Fasteners that the same things turn share it.
 */
export class TurningNeeds {
  private readonly functionOf = new Map<string, string>()
  private readonly providedBy = new Map<string, string[]>()
  private readonly turningOf = new Map<string, TurningDemand>()

  constructor(private readonly fasteners: FastenerDemands) {}

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
      ...fasteners.map((fastener) => ({ fastener, demands: this.fasteners.demands(fastener) })),
      ...torqued.map((fastener) => ({ fastener, demands: this.fasteners.torqueDemands(fastener) })),
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

const isHopeless = (demands: readonly Demand[]) => demands.some(({ size }) => size === 0)
const isSame = (a: readonly Demand[], b: readonly Demand[]) =>
  a.length === b.length &&
  a.every((demand, i) => demand.size === nth(b, i).size && [...demand].every((id) => nth(b, i).has(id)))
