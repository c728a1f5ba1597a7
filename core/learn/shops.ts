import type { RiddenTrip } from './ridden'

/** A shop that was not as told. */
export interface ShopFound {
  readonly stop: string
  readonly name: string
  readonly service: string
  readonly found: 'open' | 'shut' | 'gone'
  /** What it had though one would not have counted on it, and what it lacked. */
  readonly had: readonly string[]
  readonly lacked: readonly string[]
  /** Whether it was planned to be open as one came by; unknown where nobody knew. */
  readonly planned: 'open' | 'shut' | 'unknown'
}

/** Shops that were otherwise than the plan had them, or of which it knew nothing; as they were found last. */
export function shopsFound({ trip, costs }: Pick<RiddenTrip, 'trip' | 'costs'>): ShopFound[] {
  const last = new Map<string, ShopFound>()
  for (const entry of trip.log) {
    if (entry.kind !== 'shop') continue
    const stop = trip.stops.find(({ id }) => id === entry.stop)
    const service = stop?.services.find(({ kind }) => kind === entry.service)
    if (!stop || !service) continue
    const found = costs.visitTo(service)?.found
    const planned = found === undefined || found === 'uncertain' ? 'unknown' : found
    const { service: kind, had, lacked } = entry
    last.set(`${stop.id} ${kind}`, {
      stop: stop.id,
      name: stop.name,
      service: kind,
      found: entry.found,
      had,
      lacked,
      planned,
    })
  }
  return [...last.values()].filter(
    ({ found, planned, had, lacked }) => found !== planned || had.length > 0 || lacked.length > 0,
  )
}
