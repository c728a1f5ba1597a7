import { traitsOf, type Bike } from '../bike'
import { appliesTo } from '../hazard'
import type { Check } from './schema'

/** The checks that a bike asks for, as it stands. */
export const checksFor = (bike: Bike, checks: readonly Check[]): Check[] => {
  const { front, rear } = bike.tyres
  const traits = [traitsOf(bike, rear), traitsOf(bike, front)]
  return checks.filter(({ applies }) => traits.some((has) => appliesTo(applies, has)))
}

/**
 * As many times as often something fails on a bike for the checks that were left undone on it: the product over those that
 * would have found it.
 *
 * @returns 1 where none was left undone
 */
export function uncheckedFactor(bike: Bike, hazardId: string, checks: readonly Check[]): number {
  const left = bike.checks.flatMap(({ check, state }) => (state === 'left' ? [check] : []))
  if (left.length === 0) return 1
  return checksFor(bike, checks)
    .filter(({ id, hazards }) => left.includes(id) && hazards.includes(hazardId))
    .reduce((product, { unchecked }) => product * unchecked, 1)
}
