import type { BikeTrait } from '../bike'
import type { Applies } from './schema'

/** Whether a bike with these traits has the part that fails, or may use the fix. */
export function appliesTo(applies: Applies, traits: ReadonlySet<BikeTrait>): boolean {
  return applies.all.every((trait) => traits.has(trait)) && !applies.none.some((trait) => traits.has(trait))
}
