import type { Hazard } from '../hazard'
import { withPlanning, type Reference } from '../reference'
import { segmentsOf, type Surface } from '../road'
import { nth, numberAt } from '../validation'
import { rateEstimate, withCounts, type Estimate, type RateBelief } from './belief'
import { firstDayOf, type RiddenTrip } from './ridden'

type SuddenHazard = Extract<Hazard, { kind: 'sudden' }>

/** What was seen of a hazard: failures, on so many thousands of km, each counted by how hard the road and the bike were on it. */
export interface Seen {
  readonly failures: number
  readonly thousandKm: number
}

/** How often something fails: what was believed, and what is now. */
export interface LearnedRate extends Seen {
  readonly hazard: string
  /** Kilometres ridden with it as they are, without a single one since the last. */
  readonly kmWithoutClaim: number
  /** Failures per thousand km. */
  readonly before: Estimate
  readonly after: Estimate
  /** The same on each surface of which enough was seen. */
  readonly bySurface: readonly (Seen & { readonly surface: Surface; readonly after: Estimate })[]
}

/** On a surface on which fewer were seen or to be expected nothing is told of it by itself. Planning value. */
const enoughSeen = 3

/** Whoever has a rate for what is rare has heard of it once at least. Planning value. */
const leastEvents = 1

/** What a catalogue believes of a hazard: it stands on the km that it says, and on so many as it takes for one to come. */
export function beliefIn({ per1000km, onThousandKm }: SuddenHazard): RateBelief {
  const exposure = Math.max(onThousandKm, leastEvents / per1000km)
  return { events: per1000km * exposure, exposure }
}

/**
 * How often each hazard came on trips that were ridden, against what was believed. The order of trips and of what they tell is
 * no matter; a hazard that never came keeps what was believed of it, by the km that it did not.
 */
export function learnRates(ridden: readonly RiddenTrip[], reference: Reference): LearnedRate[] {
  return reference.hazards.flatMap((hazard): LearnedRate[] => {
    if (hazard.kind !== 'sudden') return []
    const seen = ridden.map((trip) => seenOn(trip, hazard, reference))
    const inAll = added(seen.map(({ all }) => all))
    if (inAll.thousandKm <= 0) return []
    const belief = beliefIn(hazard)
    const surfaces = [...new Set(seen.flatMap(({ bySurface }) => [...bySurface.keys()]))]
    return [
      {
        hazard: hazard.id,
        ...inAll,
        kmWithoutClaim: kmWithoutClaim(ridden, hazard),
        before: rateEstimate(belief),
        after: rateEstimate(withCounts(belief, inAll.failures, inAll.thousandKm)),
        bySurface: surfaces.flatMap((surface) => {
          const here = added(seen.map(({ bySurface }) => bySurface.get(surface) ?? nothingSeen))
          const isEnough = Math.max(here.failures, hazard.per1000km * here.thousandKm) >= enoughSeen
          const after = rateEstimate(withCounts(belief, here.failures, here.thousandKm))
          return isEnough ? [{ surface, ...here, after }] : []
        }),
      },
    ]
  })
}

const nothingSeen: Seen = { failures: 0, thousandKm: 0 }
const added = (list: readonly Seen[]): Seen =>
  list.reduce(
    (sum, { failures, thousandKm }) => ({
      failures: sum.failures + failures,
      thousandKm: sum.thousandKm + thousandKm,
    }),
    nothingSeen,
  )

/** Failures of a hazard on bikes of the crew. Those of strangers say nothing of how far they had come. */
function failuresOf({ trip }: RiddenTrip, { id }: Pick<Hazard, 'id'>) {
  return trip.log.flatMap((entry) =>
    entry.kind === 'failed' && entry.hazard === id && entry.bikeId !== null ? [entry] : [],
  )
}

function seenOn(
  ridden: RiddenTrip,
  hazard: SuddenHazard,
  reference: Reference,
): { readonly all: Seen; readonly bySurface: ReadonlyMap<Surface, Seen> } {
  const { trip, laid, costs, riddenKm, survey } = ridden
  const own = new Set(trip.bikes.map(({ id }) => id))
  // What was expected, at the rate that this plan went by, says how hard the road and the bikes were.
  const known = withPlanning(reference, trip.dials.planning).hazards.find(({ id }) => id === hazard.id)
  if (known?.kind !== 'sudden') return { all: nothingSeen, bySurface: new Map() }
  const expected = laid.ledger.events.reduce((sum, { perLeg }, e) => {
    const note = nth(laid.notes, e)
    return note.hazard === hazard.id && own.has(note.bike) ? sum + ridOf(perLeg, laid.edges, riddenKm) : sum
  }, 0)
  const thousandKm = expected / known.per1000km
  const failed = failuresOf(ridden, hazard)

  const segments = segmentsOf(trip.road.stretches, survey.lengthKm)
  const surfaceAt = (km: number) => (segments.find(({ toKm }) => km < toKm) ?? segments.at(-1))?.surface
  const weights = new Map<Surface, number>()
  const factors = costs.conditions.factorsOn(hazard)
  const { km } = costs.grid
  let inAll = 0
  factors.forEach((factor, step) => {
    const [from, to] = [numberAt(km, step), Math.min(numberAt(km, step + 1), riddenKm)]
    const surface = surfaceAt((from + to) / 2)
    if (to <= from || surface === undefined) return
    const weight = (to - from) * factor
    inAll += weight
    weights.set(surface, (weights.get(surface) ?? 0) + weight)
  })
  const bySurface = new Map(
    [...weights].map(([surface, weight]): [Surface, Seen] => [
      surface,
      {
        failures: failed.filter(({ roadKm }) => roadKm !== null && surfaceAt(roadKm) === surface).length,
        thousandKm: inAll > 0 ? (thousandKm * weight) / inAll : 0,
      },
    ]),
  )
  return { all: { failures: failed.length, thousandKm }, bySurface }
}

/** So much of what the legs of a road hold lies on the part that was ridden. */
export function ridOf(perLeg: readonly number[], edges: readonly number[], riddenKm: number): number {
  return perLeg.reduce((sum, each, leg) => {
    const [from, to] = [nth(edges, leg), nth(edges, leg + 1)]
    const share = to > from ? Math.min(1, Math.max(0, (riddenKm - from) / (to - from))) : 0
    return sum + each * share
  }, 0)
}

/** Since it came last, over trips in the order of their days; as they lie on the road, whatever it was like. */
function kmWithoutClaim(ridden: readonly RiddenTrip[], hazard: SuddenHazard): number {
  const inOrder = [...ridden].sort(
    (a, b) => firstDayOf(a).localeCompare(firstDayOf(b)) || a.trip.name.localeCompare(b.trip.name),
  )
  let km = 0
  for (const trip of inOrder) {
    const last = Math.max(-1, ...failuresOf(trip, hazard).map(({ roadKm }) => roadKm ?? 0))
    km = last < 0 ? km + trip.riddenKm : Math.max(0, trip.riddenKm - last)
  }
  return km
}
