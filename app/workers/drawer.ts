import { indexLedger, type Ledger } from '#core/ledger'
import { Simulation, type SimulationReport } from '#core/simulate'

/** Trips that were drawn with a kit. */
export interface DrawnTrips {
  readonly report: SimulationReport
  /** Shares of the trips by their hours on foot, up to each of `upToH` and beyond the last. */
  readonly byWalkH: readonly number[]
}

/** Where the hours on foot of a trip are parted: a minute, which is none, and then twice as many each time. */
export const upToH = [1 / 60, 1, 2, 4, 8, 16, 32] as const

/** So many trips are drawn between two words of how far it is. */
const atOnce = 1000

/**
 * Draws trips, telling how many there are now and then.
 *
 * @param seed the same seed draws the same trips
 */
export async function drawTrips(
  ledger: Ledger,
  counts: readonly number[],
  { trips, seed }: { trips: number; seed: number },
  onDrawn: (drawn: number) => void,
): Promise<DrawnTrips> {
  const simulation = new Simulation(indexLedger(ledger), counts, seed)
  for (let drawn = 0; drawn < trips; drawn += atOnce) {
    simulation.run(Math.min(atOnce, trips - drawn))
    onDrawn(Math.min(trips, drawn + atOnce))
    // Lets the word get out.
    await new Promise((resolve) => setTimeout(resolve))
  }
  const byWalkH = new Array<number>(upToH.length + 1).fill(0)
  for (const hours of simulation.walkHours) {
    const bin = upToH.findIndex((most) => hours <= most)
    const place = bin < 0 ? upToH.length : bin
    byWalkH[place] = (byWalkH[place] ?? 0) + 1 / trips
  }
  return { report: simulation.report(), byWalkH }
}
