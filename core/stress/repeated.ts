import { ExactEvaluator } from '../exact'
import { indexLedger, type Ledger, type LedgerEvent } from '../ledger'
import type { LedgerOfTrip } from '../trip-ledger'
import { defined, nth } from '../validation'

/** What comes of a failure that comes so many times in one day, and of nothing else. */
export interface SoOften {
  readonly times: number
  /** Hours lost, in expectation. */
  readonly hours: number
  /** The chance that all of them are mended on the spot. */
  readonly mended: number
  /** The chance of being stranded. */
  readonly stranded: number
}

/** A failure that comes again and again on one day, where it costs most. */
export interface Repeated {
  readonly bike: string
  /** The hazard that it is on this bike. */
  readonly hazard: string
  readonly fromKm: number
  readonly toKm: number
  /** Once, twice and so on. */
  readonly often: readonly SoOften[]
}

/**
 * What a kit does when one failure comes up to so many times on one day: for each bike that it may strike, on the piece of road
 * where it would cost most. Every way that it can go is followed.
 *
 * @param hazards kinds of it, of which a bike has one or another
 * @param counts how many of each item are carried, in their order
 * @param most at least 1
 * @returns one for each bike that may be struck, the worst first
 */
export function repeated(
  { ledger, notes, edges }: LedgerOfTrip,
  hazards: readonly string[],
  counts: readonly number[],
  most: number,
): Repeated[] {
  const struck = notes.filter(({ hazard }) => hazards.includes(hazard))
  const bikes = [...new Set(struck.map(({ bike }) => bike))]
  return bikes
    .map((bike): Repeated => {
      const mine = struck.filter((note) => note.bike === bike)
      const { event: id, hazard } = mine.reduce((a, b) => (b.expected > a.expected ? b : a))
      const event = defined(ledger.events.find((each) => each.id === id))
      const leg = worstLeg(event)
      const often = Array.from({ length: most }, (_, i): SoOften => {
        const times = i + 1
        const on = (what: LedgerEvent) => new ExactEvaluator(indexLedger(onlyThis(ledger, what, leg, times)))
        const { promiseH, stranded } = on(event).evaluate(counts)
        // Where whatever is not mended strands, being stranded is that one was not.
        const mended = 1 - on({ ...event, strands: 1 }).evaluate(counts).stranded
        return { times, hours: promiseH, mended, stranded }
      })
      return { bike, hazard, fromKm: nth(edges, leg), toKm: nth(edges, leg + 1), often }
    })
    .sort((a, b) => worstOf(b) - worstOf(a))
}

const worstOf = ({ often }: Repeated) => Math.max(...often.map(({ hours }) => hours))

/** The piece of road on which a failure that nothing mends costs most. */
function worstLeg({ perLeg, lossH }: LedgerEvent): number {
  const lossOn = (leg: number) => (typeof lossH === 'number' ? lossH : nth(lossH, leg))
  return perLeg.reduce((worst, expected, leg) => (expected > 0 && lossOn(leg) > lossOn(worst) ? leg : worst), 0)
}

/** A ledger of one leg on which one event comes exactly so many times, and nothing else fails or is filled up. */
function onlyThis(ledger: Ledger, event: LedgerEvent, leg: number, times: number): Ledger {
  const here = (value: number | readonly number[]) => (typeof value === 'number' ? value : nth(value, leg))
  const { id, lossH, walkH, strands } = event
  const fixes = event.fixes.map((fix) => ({
    ...fix,
    workH: here(fix.workH),
    residualH: here(fix.residualH),
    residualWalkH: here(fix.residualWalkH),
  }))
  // What wears without a spread fails exactly as often as whole lives are used up.
  const wear = { left: 0.5, spread: 0, lives: [times], freshAtLegs: [] }
  const once = { id, perLeg: [0], lossH: here(lossH), walkH: here(walkH), strands: here(strands), fixes, wear }
  return { ...ledger, legs: 1, stocks: ledger.stocks.map((stock) => ({ ...stock, refills: [] })), events: [once] }
}
