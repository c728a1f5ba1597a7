import type { Handling } from '#core/bench'
import type { Opening } from '#core/bike'
import type { Caution, Cure, NoRoom } from '#core/pack'
import type { UnitSystem } from '#core/units'
import { amountInWords } from './amounts'

/** What has to be minded when a thing is packed, as one would tick it. */
export const handlingWords: Readonly<Record<Handling, string>> = {
  sharp: 'wears through what lies beside it',
  soft: 'rubs through',
  leaks: 'leaks',
  'keep dry': 'must stay dry',
  'in a hurry': 'needed in a hurry',
  winds: 'can be wound on a pump or lever',
  tucks: 'goes into the box of a patch kit',
}

/** What keeps a thing whole beside others, as something to do. */
export const cureWords: Readonly<Record<Cure, string>> = {
  'wind with tape': 'wind with tape, or leave it boxed',
  'bag it': 'in a bag of its own',
  'cap up': 'upright, cap up',
}

export const openingWords: Readonly<Record<Opening, string>> = {
  'rolls out': 'all lies open at once',
  wide: 'its whole side opens',
  narrow: 'one looks in from an end',
}

/** What to look at before riding off with a bag where it is. */
export const cautionWords: Readonly<Record<Caution, string>> = {
  knees: 'Many riders hit it with their knees: try it on a ride, loaded.',
  heels: 'Heels must pass it: set it back until they do.',
  tyre: 'Keep it clear of the tyre when it is full and sags.',
  'full travel': 'Let the air out and press through the whole travel: it must not touch the tyre.',
  'fork that moves':
    'Only where the maker of the fork allows a load; what is strapped on must not reach the tyre or the crown.',
  steering: 'Turn the handlebar from stop to stop: cables, hoses and the light stay free.',
  steerer:
    'Only where the makers of fork and headset allow it: what clamps inside must not take the place of the plug.',
  'handlebar end': 'The end stays closed: an open tube cuts.',
  'frame that moves': 'Nothing may reach the shock, its linkage or the chain through the whole travel.',
}

/** Why a piece does not go into a place. */
export function noRoomInWords({ why, by }: NoRoom, system: UnitSystem): string {
  switch (why) {
    case 'too long':
      return by === null ? 'too long' : `${amountInWords(Math.ceil(by), 'length', system)} too long`
    case 'too thick':
      return by === null ? 'goes into no tube' : `${amountInWords(Math.ceil(by), 'length', system)} too thick`
    case 'too large':
      return by === null ? 'too large' : `${amountInWords(Math.ceil(by), 'volume', system)} too large`
    case 'full':
      return by === null ? 'full' : `full: ${amountInWords(Math.ceil(by), 'volume', system)} short`
  }
}

/** How often something is taken out, as people would say it. */
export function wantedInWords(times: number): string {
  if (times < 0.001) return 'hardly ever wanted'
  if (times < 0.95) return `wanted on one trip in ${Math.max(2, Math.round(1 / times))}`
  return times < 1.5 ? 'wanted once' : `wanted ${Math.round(times)} times`
}

/** How long it takes to have something in the hand. */
export function reachedInWords(hours: number): string {
  const seconds = 3600 * hours
  if (seconds < 2.5) return 'at once'
  return seconds < 57.5 ? `in ${5 * Math.round(seconds / 5)} s` : `in ${Math.round(2 * (seconds / 60)) / 2} min`
}
