import { onLeg, type LedgerEvent } from '../ledger'
import type { Gap } from '../road'
import { nth } from '../validation'
import type { LedgerOfTrip } from './ledger-of-trip'

/** A stretch of the road and what hangs on failures there, in hours that nothing carried would spare. */
export interface StakeOnLeg {
  readonly fromKm: number
  readonly toKm: number
  readonly hours: number
}

/** Where along the road the hours of an event are at stake, leg by leg. */
export function stakesOf(event: LedgerEvent, { edges }: Pick<LedgerOfTrip, 'edges'>): StakeOnLeg[] {
  return event.perLeg.map((failures, leg) => ({
    fromKm: nth(edges, leg),
    toKm: nth(edges, leg + 1),
    hours: (failures + (event.wear?.lives[leg] ?? 0)) * onLeg(event.lossH, leg),
  }))
}

/** The share of an event's hours at stake that lies within a gap; all of it where none is given. */
export function shareWithin(stakes: readonly StakeOnLeg[], gap: Gap | undefined): number {
  if (!gap) return 1
  const all = stakes.reduce((sum, { hours }) => sum + hours, 0)
  const within = stakes.reduce((sum, { fromKm, toKm, hours }) => {
    const km = Math.min(toKm, gap.toKm) - Math.max(fromKm, gap.fromKm)
    return sum + (km > 0 ? (hours * km) / (toKm - fromKm) : 0)
  }, 0)
  return all > 0 ? within / all : 0
}

/**
 * Hours at stake on each supply class when nothing is carried: of every failure that one of it would settle. A failure that
 * several classes settle counts with each.
 */
export function hoursAtStake({ ledger, notes, edges }: LedgerOfTrip): Record<string, number> {
  const hours: Record<string, number> = {}
  ledger.events.forEach((event, i) => {
    const all = stakesOf(event, { edges }).reduce((sum, stake) => sum + stake.hours, 0)
    for (const id of nth(notes, i).settledBy) hours[id] = (hours[id] ?? 0) + all
  })
  return hours
}
