import type { Change } from '../../promise'
import type { KitState } from '../kit-state'
import { pays } from '../slack'

/** An addition, and the most that it can gain. */
interface Hope {
  readonly changes: Change[]
  readonly mostH: number
}

/** Additions that may pay at all, were the budgets no matter. */
export function hopefulAdditions(state: KitState): Hope[] {
  return state
    .additions()
    .map((changes) => ({ changes, mostH: state.mostGained(changes) }))
    .filter(({ mostH }) => pays(mostH))
}

/** Adds what pays, until nothing does; each time what gains most for what it takes. @returns whether anything was added */
export function addAll(state: KitState): boolean {
  let any = false
  for (;;) {
    const best = bestAddition(state)
    if (!best) return any
    if (state.apply(best)) any = true
  }
}

/**
 * What gains most for what it takes, with nothing of one item where one is given; undefined where nothing gains.
 *
 * What gained once is a fair guess at what it gains now, and the most that it can gain is a bound: trials stop once neither
 * beats the best seen.
 */
export function bestAddition(state: KitState, except?: number): Change[] | undefined {
  const perLoad = (changes: Change[], gainH: number) => gainH / state.loadOf(changes)
  const ranked = hopefulAdditions(state)
    .filter(({ changes }) => state.allows(changes) && !changes.some(({ item }) => item === except))
    .map(({ changes, mostH }) => {
      const guessH = state.guess(changes) ?? Infinity
      return { changes, score: perLoad(changes, Math.min(mostH, guessH > 0 ? guessH * guessing : guessH / guessing)) }
    })
    .sort((a, b) => b.score - a.score)
  let [best, most]: [Change[] | undefined, number] = [undefined, -Infinity]
  for (const { changes, score } of ranked) {
    if (best && score < most) break
    const gainH = state.gain(changes)
    if (pays(gainH) && perLoad(changes, gainH) > most) [best, most] = [changes, perLoad(changes, gainH)]
  }
  return best
}

/** So many times what an addition gained before it may gain now. */
const guessing = 1.5

/** So many additions that nearly pay are tried with what they would make superfluous, or in exchange for something. */
const mostNearlyPaying = 12

/** Additions by what they gain, the best first; those that cannot pay even if what they replace were to go are left out. */
export function nearlyPaying(state: KitState): Change[][] {
  return hopefulAdditions(state)
    .map(({ changes }) => ({ changes, gainH: state.gain(changes) }))
    .sort((a, b) => b.gainH - a.gainH)
    .slice(0, mostNearlyPaying)
    .map(({ changes }) => changes)
}
