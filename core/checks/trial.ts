import type { Thing } from '../bench'
import { readClass, type SupplyFamily } from '../supply'
import type { Trial } from './schema'

/** How a thing is tried; the first of the trials that suits it, nothing where none does. */
export const trialOf = (
  { provides, units }: Pick<Thing, 'provides' | 'units'>,
  trials: readonly Trial[],
  families: readonly SupplyFamily[],
): Trial | undefined =>
  trials.find(
    (trial) =>
      provides.some((name) => trial.functions.some((start) => name.startsWith(start))) ||
      Object.keys(units).some((id) => trial.families.includes(readClass(id, families)?.family.id ?? '')),
  )

/**
 * How far a thing can be trusted once the ride begins: tried, it is as new, or was replaced; where that was left undone, less
 * than it looks; till then as it is.
 *
 * @returns 0 to 1
 */
export function trustAtDeparture(
  thing: Pick<Thing, 'provides' | 'units' | 'condition' | 'trial'>,
  trials: readonly Trial[],
  families: readonly SupplyFamily[],
): number {
  const { condition, trial } = thing
  if (trial.state === 'open') return condition
  const { untried } = trialOf(thing, trials, families) ?? { untried: 1 }
  return trial.state === 'done' ? 1 : condition * untried
}
