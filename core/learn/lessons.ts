import type { Reference } from '../reference'
import { learnFixes, learnHands, type LearnedFix, type LearnedHands } from './hands'
import { learnLives, type LearnedLife } from './lives'
import { learnRates, type LearnedRate } from './rates'
import type { RiddenTrip } from './ridden'
import { shopsFound, type ShopFound } from './shops'
import { learnedValues, type LearnedValue } from './taken-over'
import { kitInUse, type KitInUse } from './things'

/** All that trips that were ridden teach. */
export interface Lessons {
  readonly rates: readonly LearnedRate[]
  readonly lives: readonly LearnedLife[]
  readonly hands: readonly LearnedHands[]
  readonly fixes: readonly LearnedFix[]
  readonly shops: readonly ShopFound[]
  /** What of it is a planning value, to be taken over by choice. */
  readonly values: readonly LearnedValue[]
  /** What became of the kit of each trip, in their order. */
  readonly kits: readonly KitInUse[]
}

export function lessonsOf(ridden: readonly RiddenTrip[], reference: Reference): Lessons {
  const [rates, lives] = [learnRates(ridden, reference), learnLives(ridden, reference)]
  const [hands, fixes] = [learnHands(ridden, reference), learnFixes(ridden, reference)]
  return {
    rates,
    lives,
    hands,
    fixes,
    shops: ridden.flatMap(shopsFound),
    values: learnedValues(rates, lives, fixes),
    kits: ridden.map((trip) => kitInUse(trip, reference)),
  }
}
