import { beltLinks, pitchMm } from './belt'
import type { ChainPath, Gear } from './length'

/**
 * Distance between the middles of two neighbouring sprockets, mm, by how many there are.
 * Planning values, from memory; right to a tenth of a millimetre.
 */
export const sprocketStepMm: Readonly<Record<number, number>> = {
  5: 5.5,
  6: 5.5,
  7: 5,
  8: 4.8,
  9: 4.35,
  10: 3.95,
  11: 3.7,
  12: 3.5,
  13: 3.3,
  14: 3.2,
}
/** Middle of the rear sprockets from the middle of the bike, mm, and of a single chainring. Planning values. */
export const chainLineMm = { cassette: 45, chainring: 48, doubleStep: 7 }

/** What a chain may have of slack on a bike without a tensioner, mm of chain: more and it jumps off. Planning value. */
export const mostSlackMm = 8
/** How far out of line a chain runs without climbing to the next sprocket, mm. Planning value. */
export const mostOutOfLineMm = 7

export interface SingleSpeed extends Gear {
  readonly links: number
  /** Chain that is too much, mm. */
  readonly slackMm: number
  readonly outOfLineMm: number
  /** Whether it holds: straight and tight enough. */
  readonly holds: boolean
  /** How far one rolls with a turn of the cranks, m. */
  readonly developmentM: number
  /** Speed at an easy 60 turns a minute, km/h. */
  readonly kmPerH: number
}

/** Turns of the cranks a minute of a tired rider. Planning value. */
const easyCadence = 60

/**
 * Every gear as a single speed with the chain shortened round it, the best first: those that hold, then the
 * straighter and tighter. The derailleur's cage is gone, so whole links must fit the fixed way between the
 * axles by themselves.
 *
 * @param wheelMm diameter of the rear wheel with its tyre
 * @param links the chain has: it can only be shortened
 * @param worn how much longer than new it is, as a share
 */
export function singleSpeeds(path: ChainPath, wheelMm: number, links: number, worn = 0): SingleSpeed[] {
  const { chainstayMm, chainrings, sprockets } = path
  const step = sprocketStepMm[sprockets.length] ?? 4
  const found = chainrings.flatMap((chainring, ring) =>
    sprockets.map((sprocket, i): SingleSpeed => {
      const tight = beltLinks(chainstayMm, chainring, sprocket, worn)
      const whole = 2 * Math.ceil(tight / 2 - 1e-9)
      const slackMm = (whole - tight) * pitchMm * (1 + worn)
      // The smallest sprocket is the outermost.
      const sprocketMm = chainLineMm.cassette + ((sprockets.length - 1) / 2 - i) * step
      const ringMm = chainLineMm.chainring + (ring - (chainrings.length - 1) / 2) * chainLineMm.doubleStep
      const outOfLineMm = Math.abs(sprocketMm - ringMm)
      const developmentM = (chainring / sprocket) * Math.PI * (wheelMm / 1000)
      return {
        chainring,
        sprocket,
        links: whole,
        slackMm,
        outOfLineMm,
        holds: slackMm <= mostSlackMm && outOfLineMm <= mostOutOfLineMm && whole <= links,
        developmentM,
        kmPerH: (developmentM * easyCadence * 60) / 1000,
      }
    }),
  )
  const badness = ({ slackMm, outOfLineMm }: SingleSpeed) => slackMm / mostSlackMm + outOfLineMm / mostOutOfLineMm
  return found.sort((a, b) => Number(b.holds) - Number(a.holds) || badness(a) - badness(b))
}

/** Gear inches: the wheel a penny-farthing of that gear would have. */
export function gearInches(gear: Gear, wheelMm: number): number {
  return ((gear.chainring / gear.sprocket) * wheelMm) / 25.4
}
