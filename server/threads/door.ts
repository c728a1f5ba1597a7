import { catalogue } from '#catalogue'
import { tripBetweenShops, type WeighedAtTheDoor } from '#catalogue/demo'
import { indexLedger } from '#core/ledger'
import { surveyRoad } from '#core/road'
import { KitSearch } from '#core/search'
import { ledgerOfTrip } from '#core/trip-ledger'
import { nth } from '#core/validation'
import { explainKit } from '#core/verdicts'
import { failureInWords } from '#wording'

/** Weighs what a first tin often holds on a road between two bike shops. */
export function weighBetweenShops(gapKm: number): WeighedAtTheDoor[] {
  const trip = tripBetweenShops(gapKm)
  const { ledger, notes } = ledgerOfTrip(trip, surveyRoad(trip.road.points), catalogue)
  const { verdicts } = explainKit(ledger, KitSearch.forLedger(indexLedger(ledger)))
  const nameOf = (item: string) => trip.bench.find(({ id }) => id === item)?.name ?? item
  const failureOf = (event: string) => {
    const at = ledger.events.findIndex(({ id }) => id === event)
    return failureInWords(nth(notes, at), catalogue, trip.bikes)
  }
  return verdicts
    .map(({ item, n, carriedG, lostH, priceH, together, answers }) => {
      const [most] = answers
      return {
        id: item,
        name: nameOf(item),
        n,
        carriedG,
        needs: together.map(nameOf),
        hours: Math.max(0, lostH),
        priceH,
        why: most ? { failure: failureOf(most.event), lostH: most.lostH } : null,
      }
    })
    .sort((a, b) => b.hours - a.hours)
}
