import { frontier, type FrontierKit } from '#core/frontier'
import { indexLedger, termsOf, type Ledger } from '#core/ledger'
import { practiceWorths } from '#core/practice'
import { KitSearch, usualGramsPerHour, type KitChoice } from '#core/search'
import { faultLines } from '#core/trip'
import { whatIsLacking, type Lacking, type LaidOut } from '#core/unlock'
import { nth } from '#core/validation'
import { explainKit, type Kit } from '#core/verdicts'

/** What a ledger stands under while its failures and things stay the same. */
export type Prices = Pick<Ledger, 'gramsPerHour' | 'budgetG' | 'budgetMoney' | 'pins'>

/** The kit for a ledger; none where the trip asks for what cannot be, with the reasons. */
export interface Choice {
  readonly kit: KitChoice | null
  readonly problems: readonly string[]
}

/** What a plan comes to with the best kit for it. */
export interface Outcome {
  readonly massG: number
  readonly promiseH: number
}

/** A kit under a price of a gram. */
export interface KitAtPrice {
  readonly gramsPerHour: number
  readonly counts: Readonly<Record<string, number>>
  readonly massG: number
  readonly promiseH: number
  readonly stranded: number
}

/** Chooses kits, and keeps what has been worked out of a ledger while only its prices change. */
export function createKitChooser() {
  let known: { number: number; ledger: Ledger; search: KitSearch } | undefined
  /** The kit that was chosen last. */
  let best: KitChoice | undefined

  /**
   * @param number tells ledgers apart
   * @param given the ledger, where it may not be at hand here
   * @returns nothing where the ledger is needed and not at hand
   */
  function choose(number: number, prices: Prices, given: Ledger | undefined): Choice | undefined {
    try {
      if (known?.number === number) {
        const ledger = { ...known.ledger, ...prices }
        known = { number, ledger, search: known.search.under(termsOf(ledger)) }
      } else if (given)
        known = { number, ledger: given, search: KitSearch.forLedger(indexLedger(given), known?.search) }
      else return undefined
      best = known.search.best()
      return { kit: best, problems: [] }
    } catch (error) {
      const lines = faultLines(error)
      if (!lines) throw error
      best = undefined
      return { kit: null, problems: lines }
    }
  }

  /** The kit that was chosen last, with its why, which takes longer than the choice; null where there is none. */
  function explain(): Kit | null {
    return known && best ? explainKit(known.ledger, known.search, best) : null
  }

  const lacking = (laid: LaidOut, gramsPerHour: number | null, carried: Readonly<Record<string, number>>): Lacking[] =>
    whatIsLacking(laid, gramsPerHour, carried)

  /** The best kit of each ledger, under one price of a gram. */
  function compare(ledgers: readonly Ledger[], gramsPerHour: number | null): Outcome[] {
    return ledgers.map((ledger) => {
      const { massG, promiseH } = KitSearch.forLedger(indexLedger({ ...ledger, gramsPerHour })).best()
      return { massG, promiseH }
    })
  }

  /** The kit for the ledger chosen for last, under the price that its road suggests; null where nothing spares anything. */
  function asTheRoadSetsIt(): KitAtPrice | null {
    if (!known) return null
    const { ledger, search } = known
    const gramsPerHour = usualGramsPerHour(indexLedger({ ...ledger, pins: {} }))
    if (gramsPerHour === null) return null
    const { counts, massG, promiseH, stranded } = search.under(termsOf({ ...ledger, gramsPerHour })).best()
    return {
      gramsPerHour,
      counts: Object.fromEntries(ledger.items.map(({ id }, i) => [id, nth(counts, i)])),
      massG,
      promiseH,
      stranded,
    }
  }

  /** The best kits for each mass, told as they are found. */
  function findFrontier(ledger: Ledger, steps: number, onKit: (kit: FrontierKit) => void): void {
    for (const kit of frontier(ledger, steps)) onKit(kit)
  }

  return { choose, explain, lacking, compare, asTheRoadSetsIt, practiceWorths, findFrontier }
}
export type KitChooserService = ReturnType<typeof createKitChooser>
