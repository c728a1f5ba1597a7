import { cartridgesFor, fillWh, ambientBar, rideableShare, ridingBarOf, seatingShare, volumeOfTyre } from '../air'
import type { Thing } from '../bench'
import type { Bike, Tyre, WheelGroup } from '../bike'
import { sealantMl } from '../consumables'
import type { Fix, TyreAmount } from '../fix'
import type { Reference } from '../reference'
import { spareFit, requirementsOf, type Requirement } from '../spares'
import { readClass } from '../supply'
import type { Trip } from '../trip'

/** Gas in a cartridge of which nobody knows, g. Planning value. */
const usualGasG = 16

/** Pieces on the bench that serve the same bikes in the same amounts, from the same place on: one stock of the ledger. */
interface Variety {
  readonly stock: string
  readonly classId: string
  readonly serves: ReadonlySet<string>
  readonly gasG: number
  /** The leg from which on they are there: 0 for what comes along from the start. */
  readonly fromLeg: number
}

/** The class of a stock of the ledger, which may be told from others of its class by a thing or a bike. */
export const classOfStock = (stock: string): string => stock.split('/')[0] ?? stock

/** Stocks that a fix may draw, with the amounts: one way out of several. */
export type Draw = Readonly<Record<string, number>>

/** What a fix asks of a tyre, worked out once for each bike and wheel. */
const wantKey = (bike: Pick<Bike, 'id'>, { label }: Pick<WheelGroup, 'label'>, classId: string) =>
  `${bike.id} ${label} ${classId}`

/**
 * The stocks on the bench, told apart by which bikes they serve: a tube that is too narrow for a tyre is none for
 * that bike, and a spoke a millimetre long serves where its own length is wanted.
 */
export class BenchSupply {
  private readonly varieties: Variety[] = []
  private readonly unitsOfThing = new Map<string, Record<string, number>>()
  /** The class that refills each stock. */
  readonly classOf = new Map<string, string>()

  /** @param fromLegs of the things that are bought on the way, the leg from which on each is there */
  constructor(
    trip: Pick<Trip, 'bikes' | 'bench'>,
    private readonly reference: Reference,
    private readonly fromLegs: ReadonlyMap<string, number> = new Map(),
  ) {
    const wants = trip.bikes.flatMap((bike) => requirementsOf(bike, reference))
    for (const thing of trip.bench) {
      const units = Object.entries(thing.units).map(([classId, amount]): [string, number] => [
        this.varietyOf(thing, classId, wants).stock,
        amount,
      ])
      this.unitsOfThing.set(thing.id, Object.fromEntries(units))
    }
  }

  unitsOf(thing: Pick<Thing, 'id'>): Record<string, number> {
    return this.unitsOfThing.get(thing.id) ?? {}
  }

  /** The leg from which on all that a fix draws is there. */
  fromLegOf(draw: Draw): number {
    const found = this.varieties.filter(({ stock }) => stock in draw)
    return Math.max(0, ...found.map(({ fromLeg }) => fromLeg))
  }

  private varietyOf(thing: Thing, classId: string, wants: readonly Requirement[]): Variety {
    const served = wants.filter((want) => {
      const fit = spareFit(thing, classId, want, this.reference)
      return fit !== undefined && fit.verdict !== 'does not fit'
    })
    const serves = new Set(served.map((want) => wantKey(want.bike, want.group, want.classId)))
    const gasG = thing.measures.gasG ?? usualGasG
    const fromLeg = this.fromLegs.get(thing.id) ?? 0
    const known = this.varieties.find(
      (variety) =>
        variety.classId === classId &&
        variety.gasG === gasG &&
        variety.fromLeg === fromLeg &&
        isSameSet(variety.serves, serves),
    )
    if (known) return known
    const servesAll = wants.every((want) => want.classId !== classId || served.includes(want))
    const isFirst = !this.varieties.some((variety) => variety.stock === classId)
    const stock = servesAll && isFirst ? classId : `${classId}/${thing.id}`
    const variety = { stock, classId, serves, gasG, fromLeg }
    this.varieties.push(variety)
    this.classOf.set(stock, classId)
    return variety
  }

  /**
   * Every way to draw what a fix uses from the bench, the plain stocks first; where nothing on the bench serves, the
   * class as a shop has it.
   */
  draws(fix: Fix, bike: Bike, group: WheelGroup, sized: (template: string) => string): Draw[] {
    return Object.entries(fix.uses).reduce<Draw[]>(
      (draws, [template, amount]) => {
        const classId = sized(template)
        const options = this.optionsFor(classId, amount, bike, group)
        return draws.flatMap((draw) => options.map((option) => ({ ...draw, ...option })))
      },
      [{}],
    )
  }

  private optionsFor(classId: string, amount: number | TyreAmount, bike: Bike, group: WheelGroup): Draw[] {
    const key = wantKey(bike, group, classId)
    const serving = this.varieties.filter(({ serves }) => serves.has(key))
    if (serving.length > 0) {
      return serving.map(({ stock, gasG }) => ({ [stock]: this.amountOf(amount, classId, group.tyre, gasG) }))
    }
    // Pieces of this very class lie on the bench and do not serve: a stock of that name would be theirs.
    const stock = this.varieties.some((variety) => variety.stock === classId) ? `${classId}/${bike.id}` : classId
    this.classOf.set(stock, classId)
    return [{ [stock]: this.amountOf(amount, classId, group.tyre, usualGasG) }]
  }

  private amountOf(amount: number | TyreAmount, classId: string, tyre: Tyre, gasG: number): number {
    if (typeof amount === 'number') return amount
    const volumeMl = volumeOfTyre(tyre)
    switch (amount) {
      case 'for the tyre':
        return Math.round(sealantMl(volumeMl))
      case 'to ride':
      case 'to seat': {
        const bar = ridingBarOf(tyre) * (amount === 'to ride' ? rideableShare : seatingShare)
        return readClass(classId, this.reference.families)?.family.unit === 'Wh'
          ? fillWh(bar, volumeMl, ambientBar)
          : cartridgesFor(bar, gasG, volumeMl)
      }
    }
  }
}

const isSameSet = (a: ReadonlySet<string>, b: ReadonlySet<string>) =>
  a.size === b.size && [...a].every((entry) => b.has(entry))
