import type { IndexedLedger } from '../ledger'
import { Simulation, type SimulationReport } from './simulation'

/** A mean over trips, and its standard error. */
export interface MeanOverTrips {
  readonly mean: number
  readonly se: number
}

/** Two kits on the same trips, and by how much the second differs from the first. */
export interface KitComparison {
  readonly first: SimulationReport
  readonly second: SimulationReport
  /** Hours lost, hours on foot, and the share of trips on which one is stranded: of the second less that of the first. */
  readonly hours: MeanOverTrips
  readonly walkH: MeanOverTrips
  readonly stranded: MeanOverTrips
}

/**
 * Draws the same trips with two kits: what fails when, whether a shop has a part and whether hands can is the same for both
 * (common random numbers), so that their difference is far surer than either.
 *
 * @param first how many of each item it has, in their order; so the second
 * @param trips at least 2
 */
export function compareKits(
  ledger: IndexedLedger,
  first: ArrayLike<number>,
  second: ArrayLike<number>,
  { trips, seed }: { trips: number; seed: number },
): KitComparison {
  const [a, b] = [new Simulation(ledger, first, seed), new Simulation(ledger, second, seed)]
  const [hours, walkH, stranded] = [new Spread(), new Spread(), new Spread()]
  for (let trip = 0; trip < trips; trip++) {
    const [with1, with2] = [a.next(), b.next()]
    hours.add(with2.hours - with1.hours)
    walkH.add(with2.walkH - with1.walkH)
    stranded.add(Number(with2.isStranded) - Number(with1.isStranded))
  }
  return {
    first: a.report(),
    second: b.report(),
    hours: hours.ofMean,
    walkH: walkH.ofMean,
    stranded: stranded.ofMean,
  }
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
