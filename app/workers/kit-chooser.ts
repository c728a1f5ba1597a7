import equal from 'fast-deep-equal'
import { nextTask } from '../timing/next-task'
import { frontier, type FrontierKit } from '#core/frontier'
import { indexLedger, termsOf, type Ledger } from '#core/ledger'
import { practiceWorths } from '#core/practice'
import { KitSearch, type KitChoice } from '#core/search'
import { faultLines } from '#core/trip'
import { whatIsLacking, type Lacking, type LaidOut } from '#core/unlock'
import { nth } from '#core/validation'
import { explaining, type Kit } from '#core/verdicts'

/** A ledger as it was written, and a number that tells it from others. */
export interface WrittenLedger {
  readonly number: number
  readonly ledger: Ledger
}

/** What a ledger stands under while its failures and things stay the same. */
export type Prices = Pick<Ledger, 'gramsPerHour' | 'budgetG' | 'budgetMoney' | 'pins'>

/** What the kit that was chosen last comes to by a ledger that was just written; its price is null where the road sets it. */
export interface ToldAhead {
  readonly number: number
  readonly kit: KitChoice
  readonly gramsPerHour: number | null
}

/** The kit for a ledger; none where the trip asks for what cannot be, with the reasons. */
export interface Choice {
  readonly kit: KitChoice | null
  /** The price it was chosen under: where the trip has none, the road's. */
  readonly gramsPerHour: number | null
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

/** A ledger that was taken up. */
interface Known {
  readonly number: number
  /** On the terms asked for; its price of a gram is null where the road sets it. */
  readonly ledger: Ledger
  readonly search: KitSearch
  /** The price that the road sets, once it was asked for. */
  usual?: number | null
}

/** Whoever waits for an answer waits no longer than this for work that can be put off. */
const mostMsAtATime = 25

/** Chooses kits, and keeps what has been worked out of a ledger while only its terms change. */
export function createKitChooser() {
  let known: Known | undefined
  /** The kit that was chosen last, and what it was chosen from. */
  let best: { readonly kit: KitChoice; readonly ledger: Ledger; readonly search: KitSearch } | undefined
  /** How many of each item were in it. */
  let carried = new Map<string, number>()
  /** A ledger that came before it was asked about, and what the kit comes to by it of which so much was carried then. */
  let ready: { readonly taken: Known; readonly carried: typeof carried; readonly told: KitChoice | null } | undefined

  /** So often one was taken up. */
  let takenUp = 0

  /**
   * Makes a ledger ready to be taken up: whoever asks for that then is answered the sooner.
   *
   * @returns what the kit that was chosen last comes to by it; nothing where none was, or it is taken up already
   */
  function makeReady({ number, ledger }: WrittenLedger): KitChoice | null {
    if (known?.number === number) return null
    const taken = begun(number, ledger)
    const told = asCarried(taken.search)
    ready = { taken, carried, told }
    return told
  }

  const begun = (number: number, ledger: Ledger): Known => ({
    number,
    ledger,
    search: KitSearch.forLedger(indexLedger(ledger), known?.search),
  })

  /**
   * Takes a ledger up, and tells what the kit that was chosen last comes to by it, as near to it as pins allow: that is known
   * long before a better one is found.
   *
   * @param number tells ledgers apart
   * @param given the ledger, where it may not be at hand here, nor ready
   * @returns null where no kit was chosen yet; nothing where the ledger is needed and not at hand
   */
  function takeUp(number: number, prices: Prices, given: Ledger | undefined): KitChoice | null | undefined {
    const before = ready?.carried === carried ? ready : undefined
    const taken = [known, ready?.taken].find((each) => each?.number === number) ?? (given && begun(number, given))
    if (!taken) return undefined
    const ledger = { ...taken.ledger, ...prices }
    known = { ...taken, ledger, search: taken.search.under(termsOf(ledger)) }
    ready = undefined
    takenUp++
    return before && equal(before.taken.ledger, ledger) ? before.told : asCarried(known.search)
  }

  /** What the kit that was chosen last comes to, as near to it as pins allow; null where none was. */
  function asCarried(search: KitSearch): KitChoice | null {
    if (carried.size === 0) return null
    const { items } = search.problem.ledger
    return search.choice(items.map(({ id, min, max }) => Math.min(Math.max(carried.get(id) ?? 0, min), max)))
  }

  /** Chooses the kit for the ledger taken up; nothing where that is another. */
  function choose(number: number): Choice | undefined {
    if (known?.number !== number) return undefined
    const ledger = { ...known.ledger, gramsPerHour: known.ledger.gramsPerHour ?? usualPrice(known) }
    const search = known.search.under(termsOf(ledger))
    const { gramsPerHour } = ledger
    try {
      const kit = search.best()
      best = { kit, ledger, search }
      carried = new Map(ledger.items.map(({ id }, i) => [id, nth(kit.counts, i)]))
      return { kit, gramsPerHour, problems: [] }
    } catch (error) {
      const lines = faultLines(error)
      if (!lines) throw error
      best = undefined
      return { kit: null, gramsPerHour, problems: lines }
    }
  }

  function usualPrice(taken: Known): number | null {
    taken.usual ??= taken.search.usualGramsPerHour(taken.ledger.items.map(({ max }) => max))
    return taken.usual
  }

  /**
   * The kit that was chosen last, with its why, which takes longer than the choice; null where there is none. A ledger that is
   * taken up meanwhile need not wait for it: then it is given up, and nothing.
   */
  async function explain(): Promise<Kit | null | undefined> {
    if (!best) return null
    const mine = takenUp
    const steps = explaining(best.ledger, best.search, best.kit)
    let [step, since] = [steps.next(), performance.now()]
    while (!step.done) {
      if (performance.now() - since > mostMsAtATime) {
        await nextTask()
        if (takenUp !== mine) return undefined
        since = performance.now()
      }
      step = steps.next()
    }
    return step.value
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
    const gramsPerHour = usualPrice(known)
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

  return { makeReady, takeUp, choose, explain, lacking, compare, asTheRoadSetsIt, practiceWorths, findFrontier }
}
