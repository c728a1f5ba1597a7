import { defined, nth } from '../validation'
import type { Ledger, LedgerEvent, LedgerFix, LedgerWear } from './schema'
import { termsOf } from './terms'

/** So much of a stock, by its number. */
export interface Amount {
  readonly stock: number
  readonly amount: number
}

export interface IndexedItem {
  readonly id: string
  readonly massG: number
  /** How many are carried at least and at most: what there is, within its pin. */
  readonly min: number
  readonly max: number
  readonly provides: readonly number[]
  readonly units: readonly Amount[]
  readonly condition: number
  readonly price: number
  readonly owned: number
}

export interface IndexedFix {
  readonly id: string
  /** Its place among the fixes of its event. */
  readonly number: number
  /** The attempt that it is one way of, by its number within the event. */
  readonly attempt: number
  readonly needs: readonly number[]
  readonly uses: readonly Amount[]
  /** The technique by its number within the event; a fix without one has a number to itself. */
  readonly technique: number
  readonly hands: number
  readonly holds: number
  readonly workH: Float64Array
  readonly residualH: Float64Array
  readonly residualWalkH: Float64Array
}

export interface IndexedEvent {
  readonly id: string
  readonly perLeg: Float64Array
  readonly wear: LedgerWear | undefined
  readonly lossH: Float64Array
  readonly walkH: Float64Array
  readonly strands: Float64Array
  readonly fixes: readonly IndexedFix[]
  readonly techniques: number
  /** The leg whose hours order its tries on all legs; without it each leg orders them by its own. */
  readonly orderedAsOn?: number
}

/** A ledger with numbers in place of ids, and an hour for each leg: what everything that reckons with it works on. */
export interface IndexedLedger {
  readonly legs: number
  readonly items: readonly IndexedItem[]
  readonly functions: readonly string[]
  readonly stocks: readonly string[]
  /** For each stock and leg, the chance that it is filled up at the start of the leg. */
  readonly refillChance: readonly Float64Array[]
  readonly events: readonly IndexedEvent[]
  readonly budgetG: number
  readonly budgetMoney: number
  readonly currency: string
  readonly hoursPerGram: number
}

/** @param ledger as `readLedger` gives it: its ids and legs point somewhere */
export function indexLedger(ledger: Ledger): IndexedLedger {
  const functions = [...new Set(ledger.items.flatMap(({ provides }) => provides))]
  const functionAt = new Map(functions.map((id, i) => [id, i]))
  const stockAt = new Map(ledger.stocks.map(({ id }, i) => [id, i]))
  const amounts = (units: Readonly<Record<string, number>>): Amount[] =>
    Object.entries(units).map(([id, amount]) => ({ stock: defined(stockAt.get(id)), amount }))
  const { counts, ...terms } = termsOf(ledger)
  return {
    ...terms,
    legs: ledger.legs,
    functions,
    stocks: ledger.stocks.map(({ id }) => id),
    items: ledger.items.map(({ id, massG, provides, units, condition, price, owned }, i) => ({
      id,
      massG,
      ...nth(counts, i),
      provides: [...new Set(provides)].map((name) => defined(functionAt.get(name))),
      units: amounts(units),
      condition,
      price,
      owned,
    })),
    refillChance: ledger.stocks.map(({ refills }) => {
      const lacking = new Float64Array(ledger.legs).fill(1)
      for (const { leg, chance } of refills) lacking[leg] = (lacking[leg] ?? 1) * (1 - chance)
      return lacking.map((chance) => 1 - chance)
    }),
    events: ledger.events.map((event) => indexEvent(event, ledger.legs, functionAt, amounts)),
    currency: ledger.currency,
  }
}

function indexEvent(
  event: LedgerEvent,
  legs: number,
  functionAt: ReadonlyMap<string, number>,
  amounts: (units: Readonly<Record<string, number>>) => Amount[],
): IndexedEvent {
  const perLeg = (value: number | readonly number[]) =>
    typeof value === 'number' ? new Float64Array(legs).fill(value) : new Float64Array(value)
  // A fix that needs what nothing provides can never be done.
  const possible = event.fixes.filter(({ needs }) => needs.every((id) => functionAt.has(id)))
  const keys = [...new Set(possible.map(techniqueKey))]
  const attempts = [...new Set(possible.map(attemptKey))]
  return {
    id: event.id,
    perLeg: perLeg(event.perLeg),
    wear: event.wear,
    lossH: perLeg(event.lossH),
    walkH: perLeg(event.walkH),
    strands: perLeg(event.strands),
    techniques: keys.length,
    fixes: possible.map((fix, number) => ({
      id: fix.id,
      number,
      attempt: attempts.indexOf(attemptKey(fix)),
      needs: [...new Set(fix.needs)].map((id) => defined(functionAt.get(id))),
      uses: amounts(fix.uses),
      technique: keys.indexOf(techniqueKey(fix)),
      hands: fix.hands,
      holds: fix.holds,
      workH: perLeg(fix.workH),
      residualH: perLeg(fix.residualH),
      residualWalkH: perLeg(fix.residualWalkH),
    })),
  }
}

/** A technique and a fix without one may bear the same name. */
const techniqueKey = ({ technique, id }: LedgerFix) =>
  technique === undefined ? `fix ${id}` : `technique ${technique}`

/** An attempt and a fix that is one by itself may bear the same name. */
const attemptKey = ({ attempt, id }: LedgerFix) => (attempt === undefined ? `fix ${id}` : `attempt ${attempt}`)
