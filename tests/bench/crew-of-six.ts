import { nth, defined } from '#core/validation'
import { stopSchema } from '#core/supply'
import { readTrip, type Trip } from '#core/trip'
import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'

/** Six riders on the demo's road with twelve gaps between bike shops: the large case the benchmarks measure. */
export function crewOfSix(): Trip {
  const demo = demoTrip()
  const bikes = Array.from({ length: 6 }, (_, i) => ({
    ...nth(demo.bikes, i % 2),
    id: `bike-${i}`,
    name: `Bike ${i}`,
    hanger: `h${i}`,
    speeds: nth([12, 11, 12, 11, 10, 12], i),
  }))
  const crew = bikes.map((bike, i) => ({
    ...nth(demo.crew, i % 2),
    id: `rider-${i}`,
    name: `Rider ${i}`,
    bikeId: bike.id,
  }))
  const stops = Array.from({ length: 11 }, (_, i) =>
    stopSchema.parse({ id: `shop-${i}`, name: `Shop ${i}`, roadKm: 50 * (i + 1), services: [{ kind: 'bike-shop' }] }),
  )
  const hangers = bikes.map((bike) => ({
    ...defined(demo.bench.find(({ id }) => id === 'hanger-k3')),
    id: `hanger-${bike.hanger}`,
    units: { [`hanger-${bike.hanger}`]: 1 },
  }))
  const bench = [...demo.bench.filter(({ id }) => !id.startsWith('hanger-')), ...hangers]
  return readTrip({ ...demo, name: 'Six riders', bikes, crew, stops, bench }, catalogue)
}
