import { Fault } from '../validation'
import { beltLinks } from './belt'

/** Links that a rear derailleur needs beside the tight way round. Common practice, no source: an inch. */
export const derailleurLinks = 2

/** Rounds up to whole links that can be joined: an inner one always meets an outer one. */
const joinable = (links: number) => 2 * Math.ceil(links / 2 - 1e-9)

/** The teeth and the stay that a chain goes round. */
export interface ChainPath {
  readonly chainstayMm: number
  readonly chainrings: readonly number[]
  readonly sprockets: readonly number[]
}

/**
 * Links of a chain for the largest ring with the largest sprocket, not through the derailleur, and an inch
 * more. Full suspension: with the chainstay at its longest.
 *
 * @throws Fault where a number is none of a bicycle
 * Source: common practice; the length itself as in `beltLinks`.
 */
export function linksForLargest(chainstayMm: number, chainring: number, sprocket: number): number {
  within('chainstay', chainstayMm, 300, 700, 'mm')
  within('chainring', chainring, 6, 70, 'teeth')
  within('sprocket', sprocket, 6, 70, 'teeth')
  return joinable(beltLinks(chainstayMm, chainring, sprocket) + derailleurLinks)
}

function within(what: string, value: number, least: number, most: number, unit: string): void {
  if (!(value >= least && value <= most)) {
    throw new Fault(what, `${value} ${unit}`, `${least} to ${most} ${unit}`)
  }
}

export interface Gear {
  readonly chainring: number
  readonly sprocket: number
}

/** Gears that a chain of so many links cannot reach: the largest ones go first. */
export function lostGears({ chainstayMm, chainrings, sprockets }: ChainPath, links: number): Gear[] {
  return chainrings.flatMap((chainring) =>
    sprockets
      .filter((sprocket) => beltLinks(chainstayMm, chainring, sprocket) + derailleurLinks > links + 1e-9)
      .map((sprocket) => ({ chainring, sprocket })),
  )
}

/** What cutting bent links out of a chain costs, and what would put it right. */
export interface CutChain {
  readonly links: number
  readonly lost: Gear[]
  /** Links of a spare piece that brings every gear back; 0 where none is lost. */
  readonly pieceLinks: number
}

/**
 * A chain after links are cut out of it: always an even number, or its ends do not meet.
 *
 * @param links of the chain as it was
 * @throws Fault where more is cut out than there is, or an odd number
 */
export function afterCutting(path: ChainPath, links: number, cutOut: number): CutChain {
  if (!Number.isInteger(cutOut) || cutOut < 0 || cutOut % 2 !== 0) {
    throw new Fault('links cut out', `${cutOut}`, 'an even number: an inner link always goes with an outer one')
  }
  if (!(links > cutOut)) throw new Fault('links cut out', `${cutOut} of ${links}`, 'fewer than the chain has')
  const left = links - cutOut
  const lost = lostGears(path, left)
  const before = lostGears(path, links).length
  if (lost.length <= before) return { links: left, lost, pieceLinks: 0 }
  let pieceLinks = 0
  while (lostGears(path, left + pieceLinks).length > before) pieceLinks += 2
  return { links: left, lost, pieceLinks }
}
