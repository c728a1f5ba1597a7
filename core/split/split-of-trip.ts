import { CostsOfFailing } from '../availability'
import { bulkOf } from '../bench'
import { withPlanning, type Reference } from '../reference'
import type { Survey } from '../road'
import type { Trip } from '../trip'
import { companiesOn, type Rider } from '../crew'
import { writeLedger, type LedgerOfTrip } from '../trip-ledger'
import { splitProblem, type ApartLedger, type CompanyLedger, type SplitProblem } from './problem'

/**
 * What the crew of a trip asks of a split: its failures while all are together with everybody's hands, and those of each bike
 * that is ridden while whoever rides it is out of reach of the others.
 *
 * @param laid the ledger of the trip
 * @param kit how many of each thing of the bench all carry, as chosen for it
 */
export function splitOfTrip(
  trip: Trip,
  survey: Survey,
  reference: Reference,
  laid: LedgerOfTrip,
  kit: ArrayLike<number>,
): SplitProblem {
  const { crew, bench } = trip
  const ridden = [...new Set(crew.map(({ bikeId }) => bikeId))]
  const alone = new Map<string, ApartLedger>()
  let before: CostsOfFailing | undefined
  const ledgerOf = (some: readonly Rider[], without: readonly string[]): LedgerOfTrip => {
    const own: Trip = { ...trip, crew: [...some], bikes: trip.bikes.filter(({ id }) => !without.includes(id)) }
    before = new CostsOfFailing(own, survey, reference, undefined, before)
    return writeLedger(own, survey, reference, before)
  }
  const companies = companiesOn(crew, trip.stops, laid.edges)
  const ofCompanies = companies.map(({ riders, onLegs }): CompanyLedger => {
    const isAll = riders.length === crew.length
    const others = ridden.filter((bike) => !riders.some(({ bikeId }) => bikeId === bike))
    const written = isAll ? laid : ledgerOf(riders, others)
    return {
      ...apartLedger(written),
      riders: riders.map(({ id }) => id),
      there: written.notes.map(() => onLegs.map(Number)),
    }
  })
  const isApart = laid.notes.some(({ exposure }) => exposure.apartOnLegs.some((share) => share > 0))
  if (ridden.length > 1 && isApart)
    for (const bikeId of ridden) {
      const own = ledgerOf(
        crew.filter((rider) => rider.bikeId === bikeId),
        trip.bikes.map(({ id }) => id).filter((id) => id !== bikeId),
      )
      alone.set(bikeId, apartLedger(own))
    }
  return splitProblem({
    riders: crew.map(({ id, name, bikeId, share, carriesMostG, carriesMostMl }) => ({
      id,
      name,
      bikeId,
      share,
      mostG: carriesMostG ?? Infinity,
      mostMl: carriesMostMl ?? Infinity,
    })),
    items: bench.map((thing) => {
      const { id, massG, count, pin, carriedBy } = thing
      const there = Math.min(count, pin?.max ?? count)
      let left = there
      const stays = crew.map((rider) => {
        const some = Math.min(left, carriedBy[rider.id] ?? 0)
        left -= some
        return some
      })
      return {
        id,
        massG,
        volumeMl: bulkOf(thing, reference.items).volumeMl,
        least: Math.min(there, pin?.min ?? 0),
        there,
        stays,
      }
    }),
    together: apartLedger(laid),
    ...(companies.length > 1 && { companies: ofCompanies }),
    alone,
    kit,
    sharing: withPlanning(reference, trip.dials.planning).sharing,
  })
}

const apartLedger = ({ ledger, notes }: LedgerOfTrip): ApartLedger => ({
  ledger,
  bikes: notes.map(({ bike }) => bike),
  apart: notes.map(({ exposure }) => exposure.apartOnLegs),
})
