import type { Change } from '../../promise'
import type { KitState } from '../kit-state'
import { pays } from '../slack'

/** An addition, and the most that it can gain. */
interface Hope {
  readonly changes: Change[]
  readonly mostH: number
}

/** Additions that may pay at all, were the budget no matter. */
export function hopefulAdditions(state: KitState): Hope[] {
  return state
    .additions()
    .map((changes) => ({ changes, mostH: state.mostGained(changes) }))
    .filter(({ changes, mostH }) => state.mayPay(mostH, changes))
}

/** Adds what pays, until nothing does; each time what gains most for its grams. @returns whether anything was added */
export function addAll(state: KitState): boolean {
  let any = false
  for (;;) {
    const best = bestAddition(state)
    if (!best) return any
    if (state.apply(best)) any = true
  }
}

/**
 * What gained once is a fair guess at what it gains now, and the most that it can gain is a bound: trials stop once neither
 * beats the best seen.
 */
function bestAddition(state: KitState): Change[] | undefined {
  const perGram = (changes: Change[], gainH: number) => gainH / (state.massOf(changes) + 1)
  const ranked = hopefulAdditions(state)
    .filter(({ changes }) => state.allows(changes))
    .map(({ changes, mostH }) => {
      const guessH = state.guess(changes) ?? Infinity
      return { changes, score: perGram(changes, Math.min(mostH, guessH > 0 ? guessH * guessing : guessH / guessing)) }
    })
    .sort((a, b) => b.score - a.score)
  let [best, most]: [Change[] | undefined, number] = [undefined, -Infinity]
  for (const { changes, score } of ranked) {
    if (best && score < most) break
    const gainH = state.gain(changes)
    if (pays(gainH) && perGram(changes, gainH) > most) [best, most] = [changes, perGram(changes, gainH)]
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
