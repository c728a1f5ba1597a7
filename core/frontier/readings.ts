import type { Traded } from './hull'

/** A kit by all that the dial can be read in. */
interface Read extends Traded {
  /** The chance of being stranded. */
  readonly stranded: number
}

/** The place of the kit that is best where an hour is worth so many grams; -1 where there is none. */
export function bestAtPrice(kits: readonly Traded[], gramsPerHour: number): number {
  // In grams, so that an hour that is worth nothing is a price like any other.
  const costsG = kits.map(({ promiseH, massG }) => gramsPerHour * promiseH + massG)
  return costsG.indexOf(Math.min(...costsG))
}

/** The place of the heaviest kit that weighs at most so much, of kits by rising mass; -1 where there is none. */
export const heaviestUpTo = (kits: readonly Traded[], massG: number): number =>
  kits.findLastIndex((kit) => kit.massG <= massG)

/** The place of the lightest kit with which one is stranded at most so often, of kits by rising mass; -1 where there is none. */
export const lightestAtRisk = (kits: readonly Read[], stranded: number): number =>
  kits.findIndex((kit) => kit.stranded <= stranded)
