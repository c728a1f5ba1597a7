import type { Reference } from '../reference'
import { readClass } from '../supply'
import { Fault, Faults } from '../validation'
import type { Trip } from './schema'

/** A stop may lie this far past the measured end: rounding, not a mistake. */
const roundingKm = 0.01

/**
 * Finds what a schema cannot: ids that point nowhere, classes nobody knows,
 * places beyond the road.
 *
 * @param lengthKm measured length of the trip's road
 * @throws Faults with one line for each
 */
export function checkReferences(trip: Trip, lengthKm: number, reference: Reference): void {
  const faults: Fault[] = []
  const fault = (where: string, found: string, expected: string) => faults.push(new Fault(where, found, expected))
  const ids = (list: readonly { id: string }[]) => new Set(list.map((entry) => entry.id))
  const services = ids(reference.services)
  const functions = ids(reference.functions)
  const techniques = ids(reference.techniques)
  const jobs = ids(reference.jobs)
  const bikes = ids(trip.bikes)
  const riders = ids(trip.crew)

  const once = (list: readonly { id: string }[], where: string) => {
    const seen = new Set<string>()
    list.forEach(({ id }, i) => {
      if (seen.has(id)) fault(`${where}[${i}].id`, `"${id}" a second time`, 'an id used once')
      seen.add(id)
    })
  }
  const knownClass = (classId: string, where: string) => {
    if (!readClass(classId, reference.families)) {
      fault(where, `"${classId}"`, `a supply class such as ${exampleClasses(reference)}`)
    }
  }
  once(trip.stops, 'stops')
  once(trip.bikes, 'bikes')
  once(trip.crew, 'crew')
  once(trip.bench, 'bench')
  once(trip.home.shops, 'home.shops')
  once(trip.home.tasks, 'home.tasks')
  once(trip.log, 'log')
  once(trip.road.stretches, 'road.stretches')
  once(trip.ride.nights, 'ride.nights')
  once(
    trip.forecast.days.map(({ date }) => ({ id: date })),
    'forecast.days',
  )

  trip.road.stretches.forEach((stretch, i) => {
    if (stretch.toKm > lengthKm + roundingKm) {
      fault(
        `road.stretches[${i}].toKm`,
        `km ${stretch.toKm}`,
        `a place on the road, which ends at km ${lengthKm.toFixed(1)}`,
      )
    }
  })
  trip.stops.forEach((stop, i) => {
    if (stop.roadKm > lengthKm + roundingKm) {
      fault(`stops[${i}].roadKm`, `km ${stop.roadKm}`, `a place on the road, which ends at km ${lengthKm.toFixed(1)}`)
    }
    stop.services.forEach((service, s) => {
      const where = `stops[${i}].services[${s}]`
      if (!services.has(service.kind)) fault(`${where}.kind`, `"${service.kind}"`, `one of ${[...services].join(', ')}`)
      for (const classId of Object.keys(service.stocks)) knownClass(classId, `${where}.stocks`)
      for (const classId of Object.keys(service.parcel)) knownClass(classId, `${where}.parcel`)
    })
  })
  trip.bikes.forEach((bike, i) => {
    bike.jobs.forEach(({ job }, j) => {
      if (!jobs.has(job)) fault(`bikes[${i}].jobs[${j}].job`, `"${job}"`, `one of ${[...jobs].join(', ')}`)
    })
  })
  trip.crew.forEach((rider, i) => {
    if (!bikes.has(rider.bikeId)) fault(`crew[${i}].bikeId`, `"${rider.bikeId}"`, 'the id of one of the bikes')
    for (const technique of Object.keys(rider.skills)) {
      if (!techniques.has(technique)) fault(`crew[${i}].skills`, `"${technique}"`, 'the id of a technique')
    }
    rider.practice.forEach(({ technique }, p) => {
      if (!techniques.has(technique)) fault(`crew[${i}].practice[${p}]`, `"${technique}"`, 'the id of a technique')
    })
  })
  trip.bench.forEach((thing, i) => {
    for (const wanted of thing.provides) {
      if (!functions.has(wanted)) fault(`bench[${i}].provides`, `"${wanted}"`, 'the id of a function of a tool')
    }
    for (const classId of Object.keys(thing.units)) knownClass(classId, `bench[${i}].units`)
    if (thing.broughtBy !== null && !riders.has(thing.broughtBy)) {
      fault(`bench[${i}].broughtBy`, `"${thing.broughtBy}"`, 'the id of one of the crew')
    }
    for (const rider of Object.keys(thing.carriedBy)) {
      if (!riders.has(rider)) fault(`bench[${i}].carriedBy`, `"${rider}"`, 'the id of one of the crew')
    }
    if (thing.pin && thing.pin.min > thing.count) {
      fault(`bench[${i}].pin.min`, `${thing.pin.min}`, `at most the ${thing.count} on the bench`)
    }
  })
  if (faults.length > 0) throw new Faults(faults)
}

function exampleClasses(reference: Reference): string {
  const examples: Record<string, string> = { bead: '622', speeds: '12', shape: 'k3', length: '288', kind: 'shift' }
  return reference.families
    .slice(0, 4)
    .map((family) => (family.variant === 'none' ? family.id : `${family.id}-${examples[family.variant]}`))
    .join(', ')
}
