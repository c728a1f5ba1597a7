import type { Rider } from './schema'

/** A place on the road where somebody may join or leave. */
interface Place {
  readonly id: string
  readonly roadKm: number
}

/** Riders who ride together on some legs of a road. */
export interface Company {
  readonly riders: readonly Rider[]
  /** For each leg, whether it is these who ride it together. */
  readonly onLegs: readonly boolean[]
  /** How far they ride together, km. */
  readonly km: number
}

type Ends = Pick<Rider, 'joins' | 'leaves'>

/** Where a rider is to join and to leave, km; a stop that is gone is as if nobody had said. */
function endsOf(
  { joins, leaves }: Ends,
  stops: readonly Place[],
  lengthKm: number,
): [joinsKm: number, leavesKm: number] {
  const kmOf = (id: string | null) => stops.find((stop) => stop.id === id)?.roadKm
  return [kmOf(joins) ?? 0, kmOf(leaves) ?? lengthKm]
}

/** Whether a rider would leave no later than they join: then they count as there all the way. */
export function leavesTooSoon(rider: Ends, stops: readonly Place[], lengthKm = Infinity): boolean {
  const [joinsKm, leavesKm] = endsOf(rider, stops, lengthKm)
  return leavesKm <= joinsKm
}

/** Where a rider is with the crew, km: from the stop at which they join to the one at which they leave. */
export const ridesFromTo = (rider: Ends, stops: readonly Place[], lengthKm: number): [fromKm: number, toKm: number] =>
  leavesTooSoon(rider, stops, lengthKm) ? [0, lengthKm] : endsOf(rider, stops, lengthKm)

/** Riders of a road that is ridden the other way: who left joins there. */
export const turnedRound = (crew: Rider[]): Rider[] =>
  crew.some(({ joins, leaves }) => joins !== null || leaves !== null)
    ? crew.map((rider) => ({ ...rider, joins: rider.leaves, leaves: rider.joins }))
    : crew

/**
 * Who rides together where: those who are there all the way, and on some legs those who have joined and not yet left.
 *
 * @param edges the places that part the road into legs, km; all stops lie at such
 */
export function companiesOn(crew: readonly Rider[], stops: readonly Place[], edges: readonly number[]): Company[] {
  const lengthKm = Math.max(...edges)
  const places = crew.map((rider) => ridesFromTo(rider, stops, lengthKm))
  const legs = edges.slice(1).map((toKm, leg) => ({ fromKm: edges[leg] ?? 0, toKm }))
  const isThere = (r: number, { fromKm, toKm }: { fromKm: number; toKm: number }) => {
    const [from, to] = places[r] ?? [0, lengthKm]
    const middle = (fromKm + toKm) / 2
    return from <= middle && middle <= to
  }
  const byLeg = legs.map((leg) => crew.map((_, r) => isThere(r, leg)))
  const kinds = [...new Set(byLeg.map((there) => there.join()))]
  return kinds.flatMap((kind) => {
    const onLegs = byLeg.map((there) => there.join() === kind)
    const riders = crew.filter((_, r) => byLeg[onLegs.indexOf(true)]?.[r])
    const km = legs.reduce((sum, { fromKm, toKm }, leg) => (onLegs[leg] ? sum + toKm - fromKm : sum), 0)
    return riders.length > 0 ? [{ riders, onLegs, km }] : []
  })
}

/** For each leg, whether a bike is ridden there: by one of those who ride it; everywhere where nobody does. */
export function legsRidden(companies: readonly Company[], bikeId: string): boolean[] {
  const legs = companies[0]?.onLegs.length ?? 0
  const riding = companies.filter(({ riders }) => riders.some((rider) => rider.bikeId === bikeId))
  return Array.from({ length: legs }, (_, leg) => riding.length === 0 || riding.some(({ onLegs }) => onLegs[leg]))
}
