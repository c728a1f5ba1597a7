import { thingFrom } from '#core/bench'
import { levelRoad } from '#core/road'
import { stopSchema } from '#core/supply'
import { tripFormat, tripSchema, type Trip } from '#core/trip'
import { bikeFrom } from '../bike-from'
import { items } from '../items'

/** What a first tin often holds. */
const usual = ['mini-pump', 'levers-two', 'patch-kit', 'tube-622', 'boot', 'folding-17', 'link-10', 'tyre-622']

/** A road from one bike shop to the next, ridden by one who has repaired at home, with what a first tin often holds. */
export function tripBetweenShops(gapKm: number): Trip {
  const shop = (id: string, roadKm: number) =>
    stopSchema.parse({ id, name: 'Bike shop', roadKm, services: [{ kind: 'bike-shop' }] })
  return tripSchema.parse({
    format: tripFormat,
    name: 'From shop to shop',
    road: { name: '', points: levelRoad(gapKm) },
    stops: [shop('first', 0), shop('next', gapKm)],
    bikes: [bikeFrom('tourer', 'bike-1')],
    crew: [{ id: 'rider-1', name: 'A rider', bikeId: 'bike-1', hands: 2, skills: {} }],
    bench: items.filter(({ id }) => usual.includes(id)).map((item) => thingFrom(item, item.id)),
    dials: { gramsPerHour: 500 },
  })
}

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
