import { catalogue } from '#catalogue'
import { tripBetweenShops } from '#catalogue/demo'
import { indexLedger } from '#core/ledger'
import { surveyRoad } from '#core/road'
import { KitSearch } from '#core/search'
import { ledgerOfTrip } from '#core/trip-ledger'
import { nth } from '#core/validation'
import { explainKit } from '#core/verdicts'
import { failureInWords } from '#wording'
import { expose } from 'comlink'

/** A thing as the door weighs it. */
export interface WeighedAtTheDoor {
  readonly id: string
  readonly name: string
  readonly n: number
  /** Grams of all pieces that come along; of what stays, of one with all that it would need. */
  readonly carriedG: number
  /** What a thing that stays would need besides. */
  readonly needs: readonly string[]
  /** Hours that it spares, or would. */
  readonly hours: number
  readonly priceH: number
  /** What it answers most, with the hours that costs more without it. */
  readonly why: { readonly failure: string; readonly lostH: number } | null
}

/** Weighs what a first tin often holds on a road between two bike shops. */
function weighBetweenShops(gapKm: number): WeighedAtTheDoor[] {
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

const service = { weighBetweenShops }
export type DoorService = typeof service
expose(service)
