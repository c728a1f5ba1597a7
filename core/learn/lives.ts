import { inOrder } from '../log'
import { withPlanning, type Reference } from '../reference'
import { livesUsed } from '../trail'
import { lifeEstimate, withLives, type Estimate, type LifeBelief } from './belief'
import type { RiddenTrip } from './ridden'

/** How long a part that wears lasts, in km of gravel: what was planned, and what is believed now. */
export interface LearnedLife {
  readonly hazard: string
  /** Lives that ended on the road. What was made new before it failed says nothing yet of how long it would have lasted. */
  readonly ended: number
  readonly before: Estimate
  readonly after: Estimate
}

/** What is planned for a part stands on so many lives of it. Planning value. */
const livesBehindPlan = 3

/** How long parts lasted that failed on trips that were ridden. */
export function learnLives(ridden: readonly RiddenTrip[], reference: Reference): LearnedLife[] {
  return reference.hazards.flatMap((hazard): LearnedLife[] => {
    if (hazard.kind !== 'wearing') return []
    const lived = ridden.flatMap((each) => livesThatEnded(each, hazard.id, reference))
    if (lived.length === 0) return []
    const belief: LifeBelief = { lives: livesBehindPlan, lived: livesBehindPlan, spread: hazard.spread }
    const inKm = ({ mean, low, high }: Estimate): Estimate => ({
      mean: mean * hazard.lifeKm,
      low: low * hazard.lifeKm,
      high: high * hazard.lifeKm,
    })
    return [
      {
        hazard: hazard.id,
        ended: lived.length,
        before: inKm(lifeEstimate(belief)),
        after: inKm(lifeEstimate(withLives(belief, lived))),
      },
    ]
  })
}

/** Each in lives as the catalogue has them, whatever the plan of that trip went by. */
function livesThatEnded({ trip, laid }: RiddenTrip, hazard: string, reference: Reference): number[] {
  const planned = withPlanning(reference, trip.dials.planning).hazards.find(({ id }) => id === hazard)
  const usual = reference.hazards.find(({ id }) => id === hazard)
  if (planned?.kind !== 'wearing' || usual?.kind !== 'wearing') return []
  const log = inOrder(trip.log)
  return log.flatMap((entry, at) => {
    if (entry.kind !== 'failed' || entry.hazard !== hazard || entry.bikeId === null || entry.roadKm === null) return []
    const note = laid.notes.find(
      ({ hazard: id, bike, wheel }) => id === hazard && bike === entry.bikeId && wheel === entry.wheel,
    )
    const used = note && livesUsed(laid, log.slice(0, at), reference, entry.roadKm)(note)
    return used !== undefined && used > 0 ? [(used * planned.lifeKm) / usual.lifeKm] : []
  })
}
