import { indexLedger, termsOf, type Ledger } from '#core/ledger'
import { KitSearch, type KitChoice } from '#core/search'
import { SameTrips, Simulation, type KitsOnSameTrips, type Side, type SimulationReport } from '#core/simulate'
import { Fault, nth } from '#core/validation'

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

/** A kit to compare: so many of each thing, the best that weighs no more than that, the best of another plan; or why there is none. */
export type KitAsked =
  | { readonly counts: readonly number[] }
  | { readonly atMostG: number }
  | { readonly plan: Ledger }
  | { readonly why: string }

/** A kit, with how many of each thing it has by their ids: two plans may have other things. */
export interface KitOnSide extends KitChoice {
  readonly carried: Readonly<Record<string, number>>
}

/** Kits side by side: what each promises, and how it did on the trips drawn so far. */
export interface SideBySide {
  /** In the order in which they were asked for; why there is none where what is pinned weighs or costs more than allowed. */
  readonly kits: readonly (KitOnSide | { readonly why: string })[]
  readonly trips: number
  /** Of those that there are, in the same order, each against the first; null before a trip was drawn. */
  readonly drawn: KitsOnSameTrips | null
}

/** Draws the same trips with several kits, telling how they do by and by: what each promises at once. */
export async function compareSideBySide(
  ledger: Ledger,
  asked: readonly KitAsked[],
  { trips, seed }: { trips: number; seed: number },
  onTold: (told: SideBySide) => void,
): Promise<void> {
  const indexed = indexLedger(ledger)
  const search = KitSearch.forLedger(indexed)
  const sides = asked.map((kit): (Side & { choice: KitChoice }) | { why: string } => {
    if ('why' in kit) return kit
    const on = 'plan' in kit ? indexLedger(kit.plan) : indexed
    try {
      const choice = 'plan' in kit ? KitSearch.forLedger(on, search).best() : chosenFrom(search, ledger, kit)
      return { ledger: on, counts: choice.counts, choice }
    } catch (error) {
      if (!(error instanceof Fault)) throw error
      return { why: error.message }
    }
  })
  const kits = sides.map((side) => {
    if ('why' in side) return side
    const { items } = side.ledger
    return { ...side.choice, carried: Object.fromEntries(items.map(({ id }, i) => [id, nth(side.choice.counts, i)])) }
  })
  onTold({ kits, trips: 0, drawn: null })
  const there = sides.flatMap((side) => ('why' in side ? [] : [side]))
  if (there.length === 0) return
  const same = new SameTrips(there, seed)
  for (let drawn = 0; drawn < trips; drawn += atOnce) {
    const more = Math.min(atOnce, trips - drawn)
    same.run(more)
    onTold({ kits, trips: drawn + more, drawn: same.soFar })
    await new Promise((resolve) => setTimeout(resolve))
  }
}

const chosenFrom = (
  search: KitSearch,
  ledger: Ledger,
  kit: Exclude<KitAsked, { readonly plan: Ledger } | { readonly why: string }>,
): KitChoice =>
  'counts' in kit ? search.choice(kit.counts) : search.under(termsOf({ ...ledger, budgetG: kit.atMostG })).best()
