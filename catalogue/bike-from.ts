import type { Bike, BikeKind } from '#core/bike'
import { defined } from '#core/validation'
import { bikes } from './bikes'

/** The kinds of bike that one can start from. */
export const bikeStarts = bikes.map(({ kind, name }) => ({ id: kind, name }))

/** A bike of a kind, with an id of its own. */
export function bikeFrom(kind: BikeKind, id: string): Bike {
  const bike = defined(bikes.find((each) => each.kind === kind))
  return { ...structuredClone(bike), id }
}
