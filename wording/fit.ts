import type { Fastener } from '#core/bike'
import type { Coverage, FastenerView, FitReason, WayView } from '#core/fit'
import type { UnitSystem } from '#core/units'
import { amountInWords } from './amounts'
import { headInWords } from './tools'

/** Why a head turns a fastener so, or does not. */
export const fitReasonWords: Record<FitReason, string> = {
  fits: 'it fits',
  'by-hand': 'no tool needed',
  'wrong-profile': 'another kind of drive',
  'wrong-size': 'wrong size',
  'rounds-off': 'a size too small: it rounds the drive off',
  'too-short': 'too short to reach',
  'no-room': 'its body has no room there',
  'no-swing': 'no room to swing',
  'small-bites': 'room for a small turn at a time',
  'ring-cannot-pass': 'a ring cannot pass the axle or the cable',
  'jaw-too-thick': 'the jaw is too thick for the flats',
  'jaw-limit': 'jaw at its limit',
  'jaw-too-small': 'the jaw does not open that far',
  'pozidriv-in-phillips': 'a Pozidriv bit in a Phillips screw',
  'phillips-in-pozidriv': 'a Phillips bit in a Pozidriv screw',
  'chews-corners': 'pliers chew the corners',
  'no-lever': 'no lever arm: more than a hand gives',
  'set-too-low': 'a torque key that gives less',
  'hard-pull': 'a hard pull',
  'no-own-lever': 'needs a big wrench to turn it',
  'needs-second': 'needs a second tool on the nut',
}

/** How a fastener is covered, in a word. */
export const coverageWords: Record<Coverage | 'awkward', string> = {
  turned: 'turns',
  awkward: 'awkward',
  borrowed: 'with a borrowed wrench',
  waits: 'can wait',
  uncovered: 'uncovered',
}

/** The name of a thing on the bench by its id. */
export type ThingNames = (thing: string) => string

/** "folding tool, hex 5, 120 N at the hand": how something turns a fastener, in a line. */
export function wayInWords(way: WayView, nameOf: ThingNames, system: UnitSystem): string {
  const second = way.second ? `, with ${nameOf(way.second.thing)}, ${headInWords(way.second.head)}` : ''
  const force = way.handN !== null && way.handN > 0 ? `, ${amountInWords(way.handN, 'force', system)} at the hand` : ''
  const why = way.reason === 'fits' ? '' : ` (${fitReasonWords[way.reason]})`
  return `${nameOf(way.thing)}, ${headInWords(way.head)}${second}${force}${why}`
}

/** How a fastener fares with all that lies on the bench, in a line. */
export function fastenerFitInWords(
  fit: FastenerView,
  fastener: Pick<Fastener, 'canWait'>,
  nameOf: ThingNames,
  system: UnitSystem,
): string {
  switch (fit.coverage) {
    case 'turned':
      return fit.best ? wayInWords(fit.best, nameOf, system) : fitReasonWords['by-hand']
    case 'waits':
      return fastener.canWait
    case 'borrowed':
      return 'turns only where a big wrench can be borrowed'
    case 'uncovered':
      return fit.best && fit.best.reason !== 'wrong-profile'
        ? `the nearest is ${nameOf(fit.best.thing)}, ${headInWords(fit.best.head)}: ${fitReasonWords[fit.best.reason]}`
        : 'nothing on the bench gets hold of it'
  }
}
