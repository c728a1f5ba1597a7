import { emptyHours, type Ledger } from '../trip-ledger'
import { answerDemands, missingParts } from './bundle'
import { choiceOf, type Choice } from './choice'
import { bestState } from './fast'
import type { Change, KitState } from './kit-state'
import { problemOf } from './problem'

/** One claim seen from an item: what it would cost to be without, and who would take over. */
export interface ItemClaim {
  readonly claim: string
  /** The fix that answers it with the item; null where even that answers nothing. */
  readonly fix: string | null
  /** Hours this claim loses without the item. */
  readonly lostH: number
  /** The fix that would answer it instead, and what of the kit that one rests on. */
  readonly instead: { readonly fix: string; readonly items: string[] } | null
}

export interface Verdict {
  readonly item: string
  readonly verdict: 'take' | 'leave'
  readonly n: number
  /** Mass of one. */
  readonly massG: number
  /** Mass of the pieces carried; of one left at home, with whatever it would need beside it. */
  readonly carriedG: number
  /** What that costs in hours at the dial. */
  readonly priceH: number
  /** Taken: hours lost if all of it stayed at home. Left: hours it would save if it came along. */
  readonly lostH: number
  /** Taken two or more: hours lost with one fewer. */
  readonly lastOneH: number | null
  /** Minutes of walking spared for each 100 g. */
  readonly minutesPer100g: number
  /** Claims it bears on, the one with most at risk first. */
  readonly claims: ItemClaim[]
  /** Items that would take over for it. */
  readonly substitutes: string[]
  /** Left, and worth something only together with these. */
  readonly together: string[]
  readonly pinned: boolean
}

export interface Kit extends Choice {
  readonly verdicts: Verdict[]
  /** Hours of walking to be expected with the kit, and with nothing at all. */
  readonly expectedH: number
  readonly emptyH: number
  /** Chance of getting through without an hour on foot. */
  readonly rideThrough: number
  /** Claims that nothing carried answers, the one with most hours expected first. */
  readonly openClaims: { readonly claim: string; readonly expectedH: number }[]
}

/** A failure that costs less than this is no walk. */
const walkH = 1

/**
 * Chooses the kit and explains it: every item with its verdict, what being
 * without it would cost with the claims answered anew, and who would take over.
 */
export function explainKit(ledger: Ledger): Kit {
  const problem = problemOf(ledger)
  const state = bestState(problem)
  const choice = choiceOf(state)
  const emptyH = emptyHours(ledger)
  return {
    ...choice,
    verdicts: problem.items.map((item, i) => verdictOf(state, i, ledger.pins[item.id] !== undefined)),
    emptyH,
    expectedH: emptyH - choice.savedH,
    rideThrough: rideThrough(ledger, choice),
    openClaims: ledger.claims
      .filter((claim) => choice.answers[claim.id] === undefined)
      .map((claim) => ({ claim: claim.id, expectedH: claim.probability * claim.lossH }))
      .sort((a, b) => b.expectedH - a.expectedH),
  }
}

/**
 * Chance that no failure ends in an hour or more on foot: failures that
 * nothing answers, or whose fix does not come off or leaves that much, taken as
 * independent rare events, exp(−Σ P·(1 − success)).
 */
function rideThrough(ledger: Ledger, choice: Choice): number {
  let walks = 0
  for (const claim of ledger.claims) {
    if (claim.lossH < walkH) continue
    const fix = claim.fixes.find((candidate) => candidate.id === choice.answers[claim.id])
    const spared = fix && fix.residualH < walkH ? fix.success : 0
    walks += claim.probability * (1 - spared)
  }
  return Math.exp(-walks)
}

function verdictOf(state: KitState, i: number, pinned: boolean): Verdict {
  const { items } = state.problem
  const item = items[i]!
  const n = state.counts[i]!
  const common = { item: item.id, n, massG: item.massG, pinned }
  if (n > 0) {
    const { lostH, claims } = difference(state, [{ item: i, by: -n }])
    return {
      ...common,
      carriedG: n * item.massG,
      priceH: n * item.priceH,
      verdict: 'take',
      lostH,
      lastOneH: n > 1 ? difference(state, [{ item: i, by: -1 }]).lostH : null,
      minutesPer100g: perHundredGrams(lostH, n * item.massG),
      claims,
      substitutes: [...new Set(claims.flatMap((claim) => claim.instead?.items ?? []))].filter((id) => id !== item.id),
      together: [],
    }
  }
  const { changes, lostH, claims } = whatItWouldAdd(state, i)
  const massG = changes.reduce((sum, change) => sum + change.by * items[change.item]!.massG, 0)
  return {
    ...common,
    carriedG: massG,
    priceH: changes.reduce((sum, change) => sum + change.by * items[change.item]!.priceH, 0),
    verdict: 'leave',
    lostH,
    lastOneH: null,
    minutesPer100g: perHundredGrams(lostH, massG),
    claims,
    substitutes: [...new Set(claims.flatMap((claim) => claim.instead?.items ?? []))],
    together: changes.filter((change) => change.item !== i).map((change) => items[change.item]!.id),
  }
}

/** A mass of nothing is worth no division. */
const perHundredGrams = (hours: number, massG: number) => (massG > 0 ? (hours * 60) / (massG / 100) : 0)

/** Saved hours and answers now and without some pieces. */
function difference(state: KitState, without: readonly Change[]): { lostH: number; claims: ItemClaim[] } {
  const before = Int32Array.from(state.chosen)
  const savedH = state.savedH
  return state.tryOut(without, () => ({
    lostH: Math.max(0, savedH - state.savedH),
    claims: compare(state, before, state.chosen),
  }))
}

function compare(state: KitState, before: Int32Array, after: Int32Array): ItemClaim[] {
  const { claims, answers } = state.problem
  const found: ItemClaim[] = []
  claims.forEach((claim, c) => {
    const had = before[c]! >= 0 ? answers[before[c]!]! : undefined
    const has = after[c]! >= 0 ? answers[after[c]!]! : undefined
    const lostH = (had?.savedH ?? 0) - (has?.savedH ?? 0)
    if (lostH <= 1e-9) return
    found.push({
      claim: claim.id,
      fix: had?.fix ?? null,
      lostH,
      instead: has ? { fix: has.fix, items: restsOn(state, has.needs, has.stocks) } : null,
    })
  })
  return found.sort((a, b) => b.lostH - a.lostH)
}

/** Carried items that give the functions and stocks named. */
function restsOn(state: KitState, needs: readonly number[], stocks: readonly number[]): string[] {
  const { items, providers, suppliers } = state.problem
  const all = [...needs.flatMap((f) => providers[f]!), ...stocks.flatMap((s) => suppliers[s]!)]
  return [...new Set(all)].filter((item) => state.counts[item]! > 0).map((item) => items[item]!.id)
}

/** What one of an item left at home would save: alone, or with the parts it needs. */
function whatItWouldAdd(state: KitState, i: number): { changes: Change[]; lostH: number; claims: ItemClaim[] } {
  const alone: Change[] = [{ item: i, by: 1 }]
  if (state.problem.items[i]!.max === 0) return { changes: alone, lostH: 0, claims: [] }
  const tries = [alone, ...bundlesWith(state, i)]
  let best = { changes: alone, lostH: 0, claims: [] as ItemClaim[] }
  for (const changes of tries) {
    const result = state.tryOut(changes, () => difference(state, [{ item: i, by: -1 }]))
    if (result.lostH > best.lostH + 1e-9) best = { changes, ...result }
    if (changes === alone && best.lostH > 1e-9) break
  }
  return best
}

function bundlesWith(state: KitState, i: number): Change[][] {
  const { provides, stocks } = state.problem.items[i]!
  const bundles: Change[][] = []
  for (const demand of answerDemands(state.problem)) {
    const concerned = demand.needs.some((f) => provides.includes(f)) || demand.stocks.some((s) => stocks.includes(s))
    if (!concerned) continue
    const short = demand.stocks.some((s) => !stocks.includes(s))
    const rest = state.tryOut([{ item: i, by: 1 }], () => missingParts(state, demand, short ? 1 : 0))
    if (rest && rest.length > 0) bundles.push([{ item: i, by: 1 }, ...rest.filter(({ item }) => item !== i)])
  }
  return bundles
}
