import {
  companiesOn,
  levelAtDeparture,
  levelNow,
  nextLevel,
  practised,
  practisedInTime,
  unpractised,
  type Rider,
  type Skill,
} from '../crew'
import { indexLedger, type Ledger } from '../ledger'
import { demandOf, PromiseEvaluator } from '../promise'
import type { Reference } from '../reference'
import type { Trip } from '../trip'
import { Hands, withHands, type LedgerOfTrip } from '../trip-ledger'

/** What it is worth on a road that a rider practises something once. */
export interface PracticeWorth {
  readonly riderId: string
  readonly techniqueId: string
  readonly from: Skill
  readonly to: Skill
  /** Hours by which the promise of the kit is better with it than without; below zero where better hands use up what another failure needs. */
  readonly savedH: number
  /** Whether it is planned, so that the promise has it already. */
  readonly isPlanned: boolean
}

/**
 * What each evening of practice is worth with a kit, the best first: those that are planned against doing without, all others
 * against the plan as it is. Where somebody else knows it as well, a rider's practice may be worth nothing.
 *
 * @param laid the ledger of the trip
 * @param reference with the planning values of the trip
 * @param counts how many of each item are carried, in their order
 */
export function practiceWorths(
  laid: LedgerOfTrip,
  trip: {
    crew: Trip['crew']
    stops: Trip['stops']
    ride: Pick<Trip['ride'], 'start'>
    dials: Pick<Trip['dials'], 'helper'>
  },
  reference: Pick<Reference, 'techniques' | 'hands'>,
  counts: ArrayLike<number>,
): PracticeWorth[] {
  const crew = practisedInTime(trip.crew, trip.ride.start)
  const asked = new Set(laid.ledger.events.flatMap(({ fixes }) => fixes.flatMap(({ technique }) => technique ?? [])))
  const demand = demandOf(indexLedger(laid.ledger))
  const promiseOf = (ledger: Ledger) => PromiseEvaluator.after(demand, indexLedger(ledger)).evaluate(counts).promiseH
  const promises = new Map<string, number>()
  /** The promise with other hands; hands that bring the same off promise the same. */
  const promiseWith = (riders: readonly Rider[]): number => {
    const ledger = withHands(laid, new Hands(companiesOn(riders, trip.stops, laid.edges), trip.dials.helper, reference))
    const key = ledger.events.flatMap(({ fixes }) => fixes.map(({ hands }) => hands)).join()
    const known = promises.get(key) ?? promiseOf(ledger)
    promises.set(key, known)
    return known
  }
  const nowH = promiseWith(crew)
  const without = (rider: Rider, other: Rider) => crew.map((each) => (each === rider ? other : each))
  return crew
    .flatMap((rider) =>
      [...asked].flatMap((techniqueId): PracticeWorth[] => {
        const level = levelAtDeparture(rider, techniqueId)
        const to = nextLevel(rider, techniqueId)
        const isPlanned = rider.practice.some(({ technique }) => technique === techniqueId)
        const about = { riderId: rider.id, techniqueId }
        const undone: PracticeWorth[] = isPlanned
          ? [
              {
                ...about,
                from: levelNow(rider, techniqueId),
                to: level,
                savedH: promiseWith(without(rider, unpractised(rider, techniqueId))) - nowH,
                isPlanned,
              },
            ]
          : []
        if (to === null || isPlanned) return undone
        const savedH = nowH - promiseWith(without(rider, practised(rider, techniqueId)))
        return [{ ...about, from: level, to, savedH, isPlanned }]
      }),
    )
    .sort((a, b) => b.savedH - a.savedH)
}
