import type { Bike } from '../bike'
import { leftOf, type Job } from '../jobs'
import { priceKnown, withPlanning, type Reference } from '../reference'
import type { Dials, Trip } from '../trip'
import type { Deed } from './deed'

/** What something costs beside grams. */
export interface Price {
  /** Minutes at home. */
  readonly minutes: number
  /** In the smallest coins; null where nobody has said what it costs in the currency of the trip. */
  readonly money: number | null
  /** How much of both counts: a part that is replaced early costs what it had left, for one day it would be due anyway. */
  readonly share: number
  /** What counts, in hours on the road, by what the trip says an hour at home and money are worth. */
  readonly hours: number
}

/** What a deed costs: minutes at home and money, which are planning values, and the same in hours on the road. */
export function priceOf(deed: Deed, { bikes, dials }: Pick<Trip, 'bikes' | 'dials'>, reference: Reference): Price {
  const { jobs, errands } = withPlanning(reference, dials.planning)
  const priced = (key: string, { minutes, price }: { minutes: number; price: number }, share = 1): Price =>
    inHours(minutes, priceKnown(key, price, dials) ?? null, share, dials)
  switch (deed.kind) {
    case 'job': {
      const job = jobs.find(({ id }) => id === deed.jobId)
      const bike = bikes.find(({ id }) => id === deed.bikeId)
      // A job that nobody knows any more costs nothing and does nothing.
      return job && bike ? priced(`jobs.${job.id}`, job, shareThatCounts(bike, job)) : inHours(0, 0, 1, dials)
    }
    case 'practice':
      return priced('errands.practice', errands.practice)
    case 'parcel':
      return priced('errands.parcel', errands.parcel)
    case 'ask':
    case 'borrow':
      return priced('errands.ask', errands.ask)
    // What is bought has its price as a thing of the kit, wherever that is.
    case 'buy':
    case 'wait':
    case 'sleep':
    case 'together':
      return inHours(0, 0, 1, dials)
  }
}

/** Where nothing is thrown away, as with bolts that are checked and sealant that is topped up, all of it counts. */
const shareThatCounts = (bike: Bike, { renews }: Job) =>
  ['bolts', 'sealant', 'acquaintance'].includes(renews) ? 1 : leftOf(bike, renews)

function inHours(minutes: number, money: number | null, share: number, { homeShare, moneyPerHour }: Dials): Price {
  const moneyH = money !== null && moneyPerHour !== null ? money / moneyPerHour : 0
  return { minutes, money, share, hours: share * ((minutes / 60) * homeShare + moneyH) }
}
