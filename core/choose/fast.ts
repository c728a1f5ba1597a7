import type { Ledger } from '../ledger'
import { demandsOf, missingParts, type Demand } from './bundle'
import { choiceOf, type Choice } from './choice'
import { KitState, type Change } from './kit-state'
import { problemOf, type Problem } from './problem'

/** Gains below this many hours (0.04 s) are rounding. */
const worthwhile = 1e-5

/** How many bundles are tried in exchange for something carried. */
const mostNearlyPaying = 24

/**
 * The kit the interface shows: good within a percent, in milliseconds.
 *
 * From an empty kit it adds the bundle of missing parts that gains most for
 * its grams until none gains; from a full kit it leaves off what gains least.
 * Both are then improved by dropping, adding and swapping until nothing helps,
 * and the better one is the answer.
 *
 * @throws Fault when the pins alone weigh more than the budget
 */
export function chooseFast(ledger: Ledger): Choice {
  return choiceOf(bestState(problemOf(ledger)))
}

/** The same, as a state that can be tried further. */
export function bestState(problem: Problem): KitState {
  const demands = demandsOf(problem)
  const starts = [1].map((massPower) => {
    const state = new KitState(problem)
    addBundles(state, demands, massPower)
    return state
  })
  const full = new KitState(
    problem,
    problem.items.map((item) => item.max),
  )
  leaveOff(full)
  addBundles(full, demands, 1)
  starts.push(full)
  starts.sort((a, b) => b.netH - a.netH)
  const tried = starts.slice(0, 2)
  for (const state of tried) improve(state, demands)
  const best = tried.reduce((a, b) => (b.netH > a.netH ? b : a))
  best.polish()
  return best
}

/** What may be added at once. */
interface Bundle {
  readonly changes: Change[]
  readonly key: string
}

/** Every bundle worth a trial now: each piece alone, and each demand completed for no use more, for one, for two. */
function bundlesOf(state: KitState, demands: readonly Demand[]): Bundle[] {
  const seen = new Set<string>()
  const bundles: Bundle[] = []
  const consider = (changes: Change[] | undefined) => {
    if (!changes || changes.length === 0 || (changes.length === 1 && changes[0]!.by === 1)) return
    const key = keyOf(changes)
    if (!seen.has(key)) {
      seen.add(key)
      bundles.push({ changes, key })
    }
  }
  state.problem.items.forEach((item, i) => {
    if (state.counts[i]! < item.max) bundles.push({ changes: [{ item: i, by: 1 }], key: String(i) })
  })
  for (const demand of demands) {
    consider(missingParts(state, demand, 0))
    if (demand.stocks.length === 0) continue
    consider(missingParts(state, demand, 1))
    if (demand.repeats > 1) consider(missingParts(state, demand, 2))
  }
  return bundles
}

const keyOf = (changes: readonly Change[]) =>
  changes
    .map(({ item, by }) => `${item}:${by}`)
    .sort()
    .join()

function massOf(problem: Problem, changes: readonly Change[]): number {
  return changes.reduce((sum, { item, by }) => sum + by * problem.items[item]!.massG, 0)
}

/**
 * Adds the bundle with the best gain for its grams until none gains.
 *
 * @param massPower 1 ranks by gain per gram; less leans towards the larger gain
 */
function addBundles(state: KitState, demands: readonly Demand[], massPower: number): void {
  const guesses = new Map<string, number>()
  let allFresh = true
  for (;;) {
    const best = bestBundle(state, bundlesOf(state, demands), guesses, massPower)
    if (best) {
      state.apply(best)
      allFresh = false
    } else if (allFresh) {
      return
    } else {
      guesses.clear()
      allFresh = true
    }
  }
}

/**
 * The bundle with the best gain for its grams. An earlier gain is a fair guess
 * at today's, so trials stop once no guess beats the best seen.
 */
function bestBundle(
  state: KitState,
  bundles: readonly Bundle[],
  guesses: Map<string, number>,
  massPower: number,
): Change[] | undefined {
  const ranked = bundles
    .filter(({ changes }) => state.allows(changes))
    .map(({ changes, key }) => {
      const weight = (massOf(state.problem, changes) + 1e-6) ** massPower
      return { changes, key, weight, guess: (guesses.get(key) ?? Infinity) / weight }
    })
    .sort((a, b) => b.guess - a.guess)
  let best: Change[] | undefined
  let bestRatio = 0
  for (const { changes, key, weight, guess } of ranked) {
    if (guess < bestRatio) break
    const gained = state.gain(changes)
    guesses.set(key, gained)
    if (gained > worthwhile && gained / weight > bestRatio) {
      best = changes
      bestRatio = gained / weight
    }
  }
  return best
}

/** Leaves off pieces, the least worth their grams first, until every one left earns its place and the budget holds. */
function leaveOff(state: KitState): void {
  const { items, budgetG } = state.problem
  const worth = items.map((_, i) => (state.counts[i]! > items[i]!.min ? -Infinity : Infinity))
  for (;;) {
    // What a piece is worth only grows as others leave, so the least old guess, looked at again, is usually the least.
    let least = -1
    for (let i = 0; i < items.length; i++) {
      if (state.counts[i]! > items[i]!.min && (least < 0 || worth[i]! < worth[least]!)) least = i
    }
    if (least < 0) return
    const over = state.massG > budgetG
    const change = [{ item: least, by: -1 }]
    const known = worth[least]!
    worth[least] = -state.gain(change) / (over ? Math.max(items[least]!.massG, 1e-6) : 1)
    if (worth[least]! > known + worthwhile && worth.some((value, i) => i !== least && value < worth[least]!)) continue
    if (!over && worth[least]! > worthwhile) return
    state.apply(change)
  }
}

/** Drops, adds and swaps until nothing gains. */
function improve(state: KitState, demands: readonly Demand[]): void {
  for (let round = 0; round < 12; round++) {
    const better =
      dropSome(state, demands) || addSome(state, demands) || swapSome(state, demands) || pushInSome(state, demands)
    if (!better) return
  }
}

function take(state: KitState, changes: readonly Change[]): boolean {
  if (!state.allows(changes) || state.gain(changes) <= worthwhile) return false
  state.apply(changes)
  return true
}

/** One piece, all of one kind, or all that one way of mending asks for. */
function dropSome(state: KitState, demands: readonly Demand[]): boolean {
  const { items, providers, suppliers } = state.problem
  let any = false
  for (let i = 0; i < items.length; i++) {
    const spare = state.counts[i]! - items[i]!.min
    if (spare <= 0) continue
    if (take(state, [{ item: i, by: -1 }]) || (spare > 1 && take(state, [{ item: i, by: -spare }]))) any = true
  }
  for (const demand of demands) {
    const pieces = new Set<number>()
    for (const f of demand.needs) for (const i of providers[f]!) pieces.add(i)
    for (const s of demand.stocks) for (const i of suppliers[s]!) pieces.add(i)
    const carried = [...pieces].filter((i) => state.counts[i]! > items[i]!.min)
    if (carried.length < 2 || carried.length > 6) continue
    if (
      take(
        state,
        carried.map((item) => ({ item, by: items[item]!.min - state.counts[item]! })),
      )
    )
      any = true
  }
  return any
}

function addSome(state: KitState, demands: readonly Demand[]): boolean {
  let any = false
  for (const { changes } of bundlesOf(state, demands)) if (take(state, changes)) any = true
  return any
}

/** Puts something back and takes what then gains most instead. */
function swapSome(state: KitState, demands: readonly Demand[]): boolean {
  const { items, meets } = state.problem
  let any = false
  let bundles = nearlyPaying(state, demands)
  for (let i = 0; i < items.length; i++) {
    for (const by of [-1, items[i]!.min - state.counts[i]!]) {
      if (by >= 0 || state.counts[i]! + by < items[i]!.min) continue
      const drop = [{ item: i, by }]
      // A kit without the piece never saves more than one with it, so a swap gains at most its price.
      const hopeful = bundles.filter(({ gain }) => gain - by * items[i]!.priceH > worthwhile)
      if (hopeful.length === 0) continue
      const before = state.netH
      const best = state.tryOut(drop, () => bestAfter(i, before - state.netH, hopeful))
      if (!best) continue
      state.apply(drop)
      state.apply(best)
      any = true
      bundles = nearlyPaying(state, demands)
    }
  }
  return any

  /** With a piece already dropped: the bundle that makes good most, if more than was lost. */
  function bestAfter(i: number, lostH: number, hopeful: readonly RatedBundle[]): Change[] | undefined {
    let best: Change[] | undefined
    let most = lostH + worthwhile
    for (const { changes, gain } of hopeful) {
      if (changes.some(({ item }) => item === i) || !state.allows(changes)) continue
      // Where the two share no claim, the bundle is worth what it was with the piece there.
      const gained = changes.some(({ item }) => meets[i]!.has(item)) ? state.gain(changes) : gain
      if (gained > most) {
        best = changes
        most = gained
      }
    }
    return best
  }
}

interface RatedBundle extends Bundle {
  /** Net hours gained by adding it to the kit as it is, were the budget no matter. */
  readonly gain: number
}

/** Bundles that nearly pay, the best first: the only ones likely to pay once something else has gone. */
function nearlyPaying(state: KitState, demands: readonly Demand[]): RatedBundle[] {
  return bundlesOf(state, demands)
    .map((bundle) => ({ ...bundle, gain: state.gain(bundle.changes) }))
    .sort((a, b) => b.gain - a.gain)
    .slice(0, mostNearlyPaying)
}

/** Takes a bundle though it does not pay or fit, and puts back whatever it has made superfluous. */
function pushInSome(state: KitState, demands: readonly Demand[]): boolean {
  const { items, meets, budgetG } = state.problem
  for (const { changes, gain } of nearlyPaying(state, demands)) {
    const added = new Set(changes.map(({ item }) => item))
    const fits = state.massG + massOf(state.problem, changes) <= budgetG
    const candidates = items.flatMap((item, i) => {
      const bears = !fits || changes.some((change) => meets[i]!.has(change.item))
      return bears && !added.has(i) && state.counts[i]! > item.min ? [i] : []
    })
    const hopeH = candidates.reduce((sum, i) => sum + items[i]!.priceH * state.counts[i]!, gain)
    if (fits && hopeH <= worthwhile) continue
    const before = state.netH
    const result = state.tryOut(changes, () => putBack(state, candidates, []))
    if (result && result.netH > before + worthwhile) {
      state.apply([...changes, ...result.drops])
      return true
    }
  }
  return false
}

/** Drops what gains most by it, again and again, and first of all until the budget holds. */
function putBack(
  state: KitState,
  candidates: readonly number[],
  drops: readonly Change[],
): { netH: number; drops: readonly Change[] } | undefined {
  const { items, budgetG } = state.problem
  const over = state.massG > budgetG + 1e-9
  let best: Change[] | undefined
  let bestScore = over ? -Infinity : worthwhile
  for (const i of candidates) {
    if (state.counts[i]! <= items[i]!.min) continue
    const change = [{ item: i, by: -1 }]
    const gained = state.gain(change)
    const score = over ? gained / Math.max(items[i]!.massG, 1e-6) : gained
    if (score > bestScore) {
      best = change
      bestScore = score
    }
  }
  if (!best) return over ? undefined : { netH: state.netH, drops }
  const dropped = best
  return state.tryOut(dropped, () => putBack(state, candidates, [...drops, ...dropped]))
}
