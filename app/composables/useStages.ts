import type { FitView } from '#core/fit'
import type { Trip } from '#core/trip'
import { computed } from 'vue'
import { useKitStore } from '../stores/kit'
import { useTripStore } from '../stores/trip'

/** The stages in the order of the work; each has its key. */
export const stages = [
  { id: 'road', name: 'Road', key: 'r' },
  { id: 'bikes', name: 'Bikes', key: 'k' },
  { id: 'crew', name: 'Crew', key: 'c' },
  { id: 'bench', name: 'Bench', key: 'b' },
  { id: 'weigh', name: 'Weigh', key: 'w' },
  { id: 'split', name: 'Split', key: 's' },
  { id: 'pack', name: 'Pack', key: 'p' },
  { id: 'ready', name: 'Ready', key: 'y' },
  { id: 'trail', name: 'Trail', key: 't' },
  { id: 'look-back', name: 'Look back', key: 'l' },
] as const
export type StageId = (typeof stages)[number]['id']

/** What each stage still lacks, in a few words; empty when it is in order. */
export function useStageNeeds() {
  const store = useTripStore()
  const kit = useKitStore()
  return computed<Record<StageId, string>>(() => {
    const trip = store.trip
    return {
      road: !trip || trip.road.points.length === 0 ? 'no road yet' : trip.stops.length === 0 ? 'no stops yet' : '',
      // What nothing turns is worth a word once something was laid to turn it with.
      bikes: bikesNeed(trip, trip?.bench.length ? kit.analysis?.fit : undefined),
      crew: trip && trip.crew.length === 0 ? 'nobody yet' : '',
      bench: !trip || trip.bench.length === 0 ? 'nothing on it' : '',
      weigh: '',
      split: '',
      pack: packNeed(trip),
      ready: '',
      trail: '',
      'look-back': '',
    }
  })
}

function packNeed(trip: Trip | undefined): string {
  const ridden = trip?.bikes.filter(({ id }) => trip.crew.some(({ bikeId }) => bikeId === id)) ?? []
  return trip && trip.bench.length > 0 && ridden.some(({ storage }) => storage.length === 0) ? 'no bag yet' : ''
}

function bikesNeed(trip: Trip | undefined, fit: FitView | undefined): string {
  if (!trip || trip.bikes.length === 0) return 'no bike yet'
  const uncovered = fit?.fasteners.filter(({ coverage }) => coverage === 'uncovered').length ?? 0
  return uncovered > 0 ? `${uncovered} uncovered` : ''
}
