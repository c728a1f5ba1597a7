import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { readTrip, type Trip } from '#core/trip'
import { nth } from '#core/validation'

/**
 * So many riders on the demo's road, on bikes like its two in turn, with enough on the bench for one in two to have
 * everything.
 *
 * @param apart the share of their time that they ride out of reach of one another
 */
export function crewOf(riders: number, apart: number): Trip {
  const demo = demoTrip()
  const bikes = Array.from({ length: riders }, (_, i) => ({
    ...nth(demo.bikes, i % 2),
    id: `bike-${i}`,
    name: `Bike ${i}`,
  }))
  const crew = bikes.map(({ id }, i) => ({
    ...nth(demo.crew, i % 2),
    id: `rider-${i}`,
    name: `Rider ${i}`,
    bikeId: id,
  }))
  const bench = demo.bench.map((thing) => ({ ...thing, count: Math.max(thing.count, Math.ceil(riders / 2)) }))
  const ride = { ...demo.ride, apart }
  return readTrip({ ...demo, name: `${riders} riders`, ride, bikes, crew, bench }, catalogue)
}
