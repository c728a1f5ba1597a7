import type { IndexedLedger } from '../ledger'
import { nth } from '../validation'
import { Simulation, type SimulationReport } from './simulation'

/** A mean over trips, and its standard error. */
export interface MeanOverTrips {
  readonly mean: number
  readonly se: number
}

/** By how much a kit does otherwise than another on the same trips. */
export interface KitDifference {
  /** Hours lost, hours on foot, and the share of trips on which one is stranded: of this kit less that of the other. */
  readonly hours: MeanOverTrips
  readonly walkH: MeanOverTrips
  readonly stranded: MeanOverTrips
}

/** How kits do on the same trips, in their order. */
export interface KitsOnSameTrips {
  readonly reports: readonly SimulationReport[]
  /** Each against the first; of the first itself nothing but noughts. */
  readonly fromFirst: readonly KitDifference[]
}

/** A kit on a plan: how many of each item of its ledger are carried, in their order. */
export interface Side {
  readonly ledger: IndexedLedger
  readonly counts: ArrayLike<number>
}

/**
 * Draws the same trips with several kits: what fails when, whether a shop has a part and whether hands can is the same for all
 * (common random numbers), so that their differences are far surer than what is told of each. Of two plans, whatever bears
 * the same id is drawn by the same numbers: what both expect as often, comes to both alike.
 */
export class SameTrips {
  private readonly simulations: readonly Simulation[]
  private readonly spreads: readonly { hours: Spread; walkH: Spread; stranded: Spread }[]

  /** @param sides at least one */
  constructor(sides: readonly Side[], seed: number) {
    this.simulations = sides.map(({ ledger, counts }) => new Simulation(ledger, counts, seed))
    this.spreads = sides.map(() => ({ hours: new Spread(), walkH: new Spread(), stranded: new Spread() }))
  }

  /** Draws so many trips more. */
  run(trips: number): void {
    for (let i = 0; i < trips; i++) {
      const drawn = this.simulations.map((simulation) => simulation.next())
      const first = nth(drawn, 0)
      drawn.forEach((trip, kit) => {
        const { hours, walkH, stranded } = nth(this.spreads, kit)
        hours.add(trip.hours - first.hours)
        walkH.add(trip.walkH - first.walkH)
        stranded.add(Number(trip.isStranded) - Number(first.isStranded))
      })
    }
  }

  get soFar(): KitsOnSameTrips {
    return {
      reports: this.simulations.map((simulation) => simulation.report()),
      fromFirst: this.spreads.map(({ hours, walkH, stranded }) => ({
        hours: hours.ofMean,
        walkH: walkH.ofMean,
        stranded: stranded.ofMean,
      })),
    }
  }
}

/** Kits, or plans with theirs, on so many trips, each against the first. @param trips at least 2 */
export function compareOnSameTrips(
  sides: readonly Side[],
  { trips, seed }: { trips: number; seed: number },
): KitsOnSameTrips {
  const same = new SameTrips(sides, seed)
  same.run(trips)
  return same.soFar
}

/** Mean and spread of values that come one by one (B. P. Welford, Technometrics 4, 1962; from memory). */
class Spread {
  private count = 0
  private mean = 0
  private squares = 0

  add(value: number): void {
    const away = value - this.mean
    this.mean += away / ++this.count
    this.squares += away * (value - this.mean)
  }

  get ofMean(): MeanOverTrips {
    const variance = this.count > 1 ? this.squares / (this.count - 1) : 0
    return { mean: this.mean, se: this.count > 0 ? Math.sqrt(variance / this.count) : 0 }
  }
}
