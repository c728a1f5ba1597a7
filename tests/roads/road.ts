import { bikeFrom, catalogue } from '#catalogue'
import { thingSchema, type Thing } from '#core/bench'
import type { Bike } from '#core/bike'
import { defaultTraits, type RoadPoint } from '#core/road'
import { stopSchema } from '#core/supply'
import { tripSchema, type Trip } from '#core/trip'
import { defined } from '#core/validation'

/** What tells one road from another; the rest is the same on all. */
export interface RoadSketch {
  readonly lengthKm: number
  /** A bike shop each so many km; null where there is none. */
  readonly shopEveryKm: number | null
  /** A village shop with food each so many km. */
  readonly foodEveryKm?: number
  readonly wet?: boolean
  readonly thorns?: boolean
  /** Changes of the bike. */
  readonly bike?: (bike: Bike) => Bike
  /** More things on the bench. */
  readonly more?: readonly Thing[]
}

const kmOfDegree = (Math.PI * 6378.137) / 180

/** One thing of the catalogue, as many times. */
export function taken(from: string, count = 1, change: Partial<Thing> = {}): Thing {
  const { name, massG, provides, heads, comesApart, units, measures } = defined(
    catalogue.items.find(({ id }) => id === from),
    from,
  )
  return thingSchema.parse({
    id: from,
    from,
    name,
    massG,
    provides,
    heads,
    comesApart,
    units,
    measures,
    count,
    ...change,
  })
}

/** What a rider of a gravel bike may own: more than anybody takes along. */
const shed = ({ hanger, padShape }: Bike): Thing[] => [
  ...['mini-pump', 'hose-pump', 'co2-head', 'levers-two', 'lever-strong', 'plug-kit', 'plugs', 'core-tool'].map((id) =>
    taken(id),
  ),
  ...[taken('co2-25', 3), taken('tube-622', 4), taken('boot', 4), taken('core-presta', 2), taken('sealant-60', 2)],
  ...['patch-kit', 'sticker-patches', 'boot-cloth', 'valve-44', 'tyre-622'].map((id) => taken(id)),
  ...[
    taken('link-12', 4),
    taken('piece-12'),
    taken('chain-12'),
    taken('breaker'),
    taken('link-pliers'),
    taken('pulley'),
  ],
  taken('hanger', 2, { units: { [`hanger-${hanger}`]: 1 } }),
  ...[taken('shift-cable', 2), taken('brake-cable', 2), taken('rotor-bolts')],
  taken('pads-b1', 2, { units: { [`brake-pads-${padShape}`]: 1 } }),
  ...[taken('spoke', 3), taken('spoke-288', 3), taken('fibre-spoke', 2), taken('spoke-key'), taken('lockring-tool')],
  ...['rack-bolts', 'cleat-bolts', 'seat-bolt', 'folding-17', 'folding-9', 'key-8', 'torque-key', 'multi-pliers'].map(
    (id) => taken(id),
  ),
  ...['needle-thread', 'tape', 'zip-ties', 'hook-loop', 'wire', 'rag', 'lube-15', 'lube-60', 'super-glue'].map((id) =>
    taken(id),
  ),
]

/** A road over low hills with one rider on a gravel bike who has done most repairs at home. */
export function tripOn({
  lengthKm,
  shopEveryKm,
  foodEveryKm = 70,
  wet,
  thorns,
  bike: change,
  more = [],
}: RoadSketch): Trip {
  const points: RoadPoint[] = Array.from({ length: Math.ceil(lengthKm) + 1 }, (_, km) => [
    45,
    Math.min(km, lengthKm) / (kmOfDegree * Math.cos(Math.PI / 4)),
    300 + 120 * Math.sin(km / 6),
  ])
  const each = (everyKm: number) =>
    Array.from({ length: Math.ceil(lengthKm / everyKm) - 1 }, (_, i) => (i + 1) * everyKm)
  const stop = (kind: string, roadKm: number) =>
    stopSchema.parse({
      id: `${kind}-${roadKm}`,
      name: `${kind} at ${roadKm}`,
      roadKm,
      services: [{ kind, knownFrom: 'map' }],
    })
  const usual = bikeFrom('gravel', 'gravel')
  const bike = change ? change(usual) : usual
  return tripSchema.parse({
    format: 'rag-tin.trip/6',
    name: `${lengthKm} km`,
    road: {
      points,
      stretches: [
        { ...defaultTraits, id: 'all', fromKm: 0, toKm: lengthKm, wet: wet ?? false, thorns: thorns ?? false },
      ],
    },
    stops: [
      ...(shopEveryKm === null ? [] : each(shopEveryKm).map((km) => stop('bike-shop', km))),
      ...each(foodEveryKm).map((km) => stop('supermarket', km + 1)),
    ].filter(({ roadKm }) => roadKm < lengthKm),
    bikes: [bike],
    crew: [{ id: 'rider', name: 'Rider', bikeId: bike.id, hands: 2 }],
    bench: [...shed(bike), ...more],
  })
}
