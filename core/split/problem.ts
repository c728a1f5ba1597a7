import { usualSharing, type Sharing } from '../crew'
import { indexLedger, type IndexedLedger, type Ledger } from '../ledger'
import { kitProblem, type KitProblem } from '../search'
import { Fault, nth } from '../validation'
import { countedFor } from './apart'
import { worksWith, type WorkAmong } from './fetching'

/** Whoever carries: what they wish and can. */
export interface Carrier {
  readonly id: string
  readonly name: string
  /** The bike ridden, by its number among those that are ridden; who rides one together is never apart. */
  readonly bike: number
  /** How much of the kit they would carry, against each other. */
  readonly share: number
  /** The most they can, g and mL; Infinity for as much as comes. */
  readonly mostG: number
  readonly mostMl: number
}

/** Something of which pieces are placed. */
export interface SplitItem {
  readonly id: string
  readonly massG: number
  /** What one takes up, mL. */
  readonly volumeMl: number
  /** How many are carried at least, and how many there are to carry. */
  readonly least: number
  readonly there: number
  /** Pieces of it that stay with a rider, by the rider's number, whatever else is done. */
  readonly stays: readonly number[]
}

/** The failures of a trip while some of its riders are together: what they cost there, and on whose bike. */
export interface CompanyOnRoad {
  readonly problem: KitProblem
  /** A bit for each rider who is there. */
  readonly present: number
  /** For each event, the bike it strikes, by its number; null where nobody rides that. */
  readonly bikeOf: readonly (number | null)[]
  /** For each event, the share of its failures that find them together, on each leg. */
  readonly shares: readonly (readonly number[])[]
}

/** A kit to be split among riders. */
export interface SplitProblem {
  readonly riders: readonly Carrier[]
  readonly items: readonly SplitItem[]
  /** How many of each item all carry, as chosen for a crew that stays together. */
  readonly kit: ArrayLike<number>
  /** All things with all that fails, as if nobody were ever apart. */
  readonly ledger: IndexedLedger
  /** Those who ride together, each company on its part of the road: all of them where nobody joins late or leaves early. */
  readonly companies: readonly CompanyOnRoad[]
  /** For each bike that is ridden, its failures while its riders are by themselves; null where they never are. */
  readonly alone: readonly (KitProblem | null)[]
  readonly hoursPerGram: number
  /** Hours that a gram carried by the wrong rider costs. */
  readonly unevenHoursPerGram: number
  readonly fetchH: number
  /** What is done with the kit while all who are there are together. */
  readonly works: readonly WorkAmong[]
  readonly budgetG: number
  readonly budgetMoney: number
}

/** A ledger, and for each of its events the bike it strikes and the share of it that comes while riders are apart, by leg. */
export interface ApartLedger {
  readonly ledger: Ledger
  readonly bikes: readonly string[]
  readonly apart: readonly (readonly number[])[]
}

/** A ledger of those who ride together on some of the road, with their hands, and what share of its failures that counts for. */
export interface CompanyLedger {
  /** The ids of those who are there. */
  readonly riders: readonly string[]
  readonly ledger: Ledger
  readonly bikes: readonly string[]
  /** For each event, the share of its failures that come while just these are there, by leg. */
  readonly there: readonly (readonly number[])[]
  readonly apart: readonly (readonly number[])[]
}

/** A rider before bikes are numbered. */
export interface SplitRider extends Omit<Carrier, 'bike'> {
  readonly bikeId: string
}

/** What a crew asks of a split. */
export interface SplitInput {
  readonly riders: readonly SplitRider[]
  /** In the order of the items of all ledgers. */
  readonly items: readonly SplitItem[]
  /** What fails while all are together, with everybody's hands. */
  readonly together: ApartLedger
  /** Who rides together where, if not all everywhere. */
  readonly companies?: readonly CompanyLedger[]
  /** By bike: what fails while its riders are by themselves, with their own hands and nobody to ride for a part. */
  readonly alone: ReadonlyMap<string, ApartLedger>
  /** How many of each item all carry, as chosen for a crew that stays together. */
  readonly kit: ArrayLike<number>
  readonly sharing?: Sharing
}

/** Whether riders are ever out of reach of one another or not all there: else all that is carried is for all. */
export const everParts = (problem: SplitProblem): boolean => problem.companies.length > 1 || isEverApart(problem)

/** Whether riders are ever out of reach of one another. */
export const isEverApart = ({ alone }: SplitProblem): boolean => alone.some((own) => own !== null)

/** All that fails, of a crew that never parts, as it was worked out for the split; nothing of one that does. */
export const failuresTogether = (problem: SplitProblem): KitProblem | undefined =>
  everParts(problem) ? undefined : problem.companies[0]?.problem

/** Grams have some price at all, so that a load is even also where an hour is worth any number of them. */
const leastHoursPerGram = 1e-6

/**
 * A kit to be split: failures count on what all carry while riders are together, and on what whoever rides that bike carries
 * while they are apart.
 *
 * @throws Fault where there is nobody to carry anything
 */
export function splitProblem({
  riders,
  items,
  together,
  companies = [],
  alone,
  kit,
  sharing = usualSharing,
}: SplitInput): SplitProblem {
  if (riders.length === 0) throw new Fault('crew', 'nobody', 'somebody to carry what is split')
  const bikes = [...new Set(riders.map(({ bikeId }) => bikeId))]
  const isCrew = bikes.length > 1
  const apartOf = ({ bikes: struck, apart }: ApartLedger) =>
    apart.map((shares, e) => (isCrew && bikes.includes(nth(struck, e)) ? shares : shares.map(() => 0)))
  const everybody = riders.map(({ id }) => id)
  const whole = { ...together, riders: everybody, there: together.apart.map((onLegs) => onLegs.map(() => 1)) }
  const met = (companies.length > 0 ? companies : [whole]).map((company): CompanyOnRoad => {
    const apart = apartOf(company)
    const shares = company.there.map((onLegs, e) => onLegs.map((share, leg) => share * (1 - nth(nth(apart, e), leg))))
    return {
      problem: kitProblem(indexLedger(countedFor(company.ledger, shares))),
      present: riders.reduce((mask, { id }, r) => (company.riders.includes(id) ? mask | (1 << r) : mask), 0),
      bikeOf: company.bikes.map((bike) => (bikes.includes(bike) ? bikes.indexOf(bike) : null)),
      shares,
    }
  })
  const ledger = indexLedger(together.ledger)
  const { hoursPerGram, budgetG, budgetMoney } = ledger
  return {
    kit,
    riders: riders.map(({ bikeId, ...rider }) => ({ ...rider, bike: bikes.indexOf(bikeId) })),
    items,
    ledger,
    companies: met,
    alone: bikes.map((bike) => {
      const own = alone.get(bike)
      const apart = own && apartOf(own)
      const isApart = apart?.some((onLegs) => onLegs.some((share) => share > 0))
      return own && apart && isApart ? kitProblem(indexLedger(countedFor(own.ledger, apart))) : null
    }),
    hoursPerGram,
    unevenHoursPerGram: sharing.uneven * Math.max(hoursPerGram, leastHoursPerGram),
    fetchH: sharing.fetch / 60,
    works:
      sharing.fetch > 0
        ? met.flatMap((company) => worksWith(company, kit).map((work) => ({ ...work, present: company.present })))
        : [],
    budgetG,
    budgetMoney,
  }
}
