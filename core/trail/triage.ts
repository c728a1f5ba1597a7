import { endingsOf, type Ending } from '../exact'
import {
  departureWith,
  firstOfEachAttempt,
  indexLedger,
  roundingAmount,
  triesOf,
  type IndexedLedger,
  type Try,
} from '../ledger'
import { Fault, defined, nth, numberAt } from '../validation'
import { classOfStock, type EventNote } from '../trip-ledger'
import type { Onward } from './onward'

/** The place itself is the first leg of the rest of a road. */
const here = 0

/** Something that a way to mend takes out of the bags. */
export interface Taken {
  readonly thing: string
  /** The class of a stock, and so much of it is used up; nothing of a tool. */
  readonly stock: string | null
  readonly amount: number | null
}

/** One way to mend a failure with what is at hand. */
export interface WayAtHand {
  /** The fix of the ledger: which fix of the catalogue, with which pump and stock. */
  readonly fix: string
  readonly technique: string | null
  /** The chance that the hands which are there can do it, and that it holds then. */
  readonly hands: number
  readonly holds: number
  /** How often running it is tried before one goes on to the next. */
  readonly most: number
  readonly workH: number
  /** Hours still lost where it holds, and those on foot. */
  readonly residualH: number
  readonly residualWalkH: number
  /** Hours that one try spares, in the mean. */
  readonly worthH: number
  readonly takes: readonly Taken[]
}

/** What to do about a failure, at a place, with what is left. */
export interface Triage {
  readonly note: EventNote
  /** In the order in which they are tried. */
  readonly ways: readonly WayAtHand[]
  /** Hours lost when all is done as said: in the mean, those on foot, and the chance that something holds. */
  readonly expectedH: number
  readonly expectedWalkH: number
  readonly mended: number
  /** Hours lost when nothing is done. */
  readonly lossH: number
  readonly walkH: number
}

/** What fails, where. */
export interface Failing {
  readonly hazard: string
  readonly bikeId: string
  /** Which wheel or bolt, where it strikes one; of several the first where nobody says. */
  readonly wheel?: 'front' | 'rear' | null
  readonly fastener?: string | null
}

/**
 * What to do about a failure with what is left: the fixes that all is there for, in the order of the ledger's own definition,
 * which is by hands · h · (lossH − residualH) − workH at this very place.
 *
 * @throws Fault where that cannot fail on a bike that is there
 */
export function triage(onward: Onward, failing: Failing): Triage {
  const { ledger, event, note, tries, amounts, techniqueOf } = startOf(onward, failing)
  const endings = endingsOf(event, here, tries, amounts)
  return {
    note,
    ways: tries.map((each) => wayOf(ledger, each, techniqueOf(each.fix.id))),
    expectedH: meanOf(endings, ({ hours }) => hours),
    expectedWalkH: meanOf(endings, ({ walkH }) => walkH),
    mended: meanOf(endings, ({ isMended }) => (isMended ? 1 : 0)),
    lossH: numberAt(event.lossH, here),
    walkH: numberAt(event.walkH, here),
  }
}

/**
 * Hours lost in the mean when something is tried first, and then the rest in the order of the definition.
 *
 * @param first the fix of the ledger that is tried first; null where nothing is tried at all
 * @param isOut whether a fix is not tried any more
 * @throws Fault as above, and RangeError where that fix is none of those that can be tried
 */
export function hoursIfFirst(
  onward: Onward,
  failing: Failing,
  first: string | null,
  isOut: (fix: string) => boolean = () => false,
): number {
  const { event, tries, amounts } = startOf(onward, failing)
  const left = tries.filter(({ fix }) => !isOut(fix.id))
  const chosen = left.filter(({ fix }) => fix.id === first)
  if (first !== null && chosen.length === 0) throw new RangeError(`"${first}" cannot be tried there`)
  const order = first === null ? [] : [...chosen, ...left.filter(({ fix }) => fix.id !== first)]
  return meanOf(endingsOf(event, here, order, amounts), ({ hours }) => hours)
}

const meanOf = (endings: readonly Ending[], value: (ending: Ending) => number) =>
  endings.reduce((sum, ending) => sum + ending.chance * value(ending), 0)

/** Where the tries of a failure begin: what can be tried with all that is at hand, in the order of the definition. */
function startOf({ trip, laid }: Onward, failing: Failing) {
  const place = laid.notes.findIndex(
    (note) =>
      note.hazard === failing.hazard &&
      note.bike === failing.bikeId &&
      (failing.wheel ? note.wheel === failing.wheel : true) &&
      (failing.fastener ? note.fastener === failing.fastener : true),
  )
  const note = laid.notes[place]
  if (!note) {
    const known = [...new Set(laid.notes.filter(({ bike }) => bike === failing.bikeId).map(({ hazard }) => hazard))]
    throw known.length === 0
      ? new Fault('bike', `"${failing.bikeId}"`, `one that is there: ${trip.bikes.map(({ id }) => id).join(', ')}`)
      : new Fault('what failed', `"${failing.hazard}"`, `something that can fail on that bike: ${known.join(', ')}`)
  }
  const ledger = indexLedger(laid.ledger)
  const event = defined(ledger.events.find(({ id }) => id === note.event))
  const counts = trip.bench.map(({ count }) => count)
  const { amounts, conditions } = departureWith(ledger, counts)
  // What nothing at hand does is not in the ledger; of stocks there may be too little.
  const isAtHand = ({ fix: { uses } }: Try) =>
    uses.every(({ stock, amount }) => numberAt(amounts, stock) >= amount - roundingAmount)
  const tries = firstOfEachAttempt(triesOf(event, here, conditions).filter(isAtHand))
  const written = new Map(nth(laid.ledger.events, place).fixes.map((fix) => [fix.id, fix]))
  const techniqueOf = (fix: string) => defined(written.get(fix)).technique ?? null
  return { ledger, event, note, tries, amounts, techniqueOf }
}

function wayOf(ledger: IndexedLedger, { fix, holds, worthH, most }: Try, technique: string | null): WayAtHand {
  const tools = fix.needs.map((need) => defined(ledger.items.find(({ provides }) => provides.includes(need))).id)
  const used = fix.uses.flatMap(({ stock, amount }) => {
    const holder = ledger.items.find(({ units }) => units.some((unit) => unit.stock === stock))
    return holder ? [{ thing: holder.id, stock: classOfStock(nth(ledger.stocks, stock)), amount }] : []
  })
  return {
    fix: fix.id,
    technique,
    hands: fix.hands,
    holds,
    most,
    workH: numberAt(fix.workH, here),
    residualH: numberAt(fix.residualH, here),
    residualWalkH: numberAt(fix.residualWalkH, here),
    worthH,
    takes: [...used, ...[...new Set(tools)].map((thing) => ({ thing, stock: null, amount: null }))],
  }
}
