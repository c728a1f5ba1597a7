import type { KitState } from './kit-state'
import { improve } from './search'

/** By so much a gram or a coin gets dearer with each step. */
const step = 1.35
/** From this share of what the kit saves for its grams or its coins. */
const first = 1 / 8
/** None is ever worth more than so many times that. */
const most = 1e6

/**
 * Shrinks a kit to its budgets by Lagrangian prices: grams or coins, whichever there are too many of, are made dearer step by
 * step, and what no longer pays is left off or exchanged, until the kit fits; with both at their own price again, what room is
 * left is then filled.
 */
export function squeeze(state: KitState, { budgetG, budgetMoney }: Pick<KitState, 'budgetG' | 'budgetMoney'>): void {
  const savedH = Math.max(state.savedH, 1e-6)
  const perGram = savedH / Math.max(state.massG, 1)
  const perCoin = savedH / Math.max(state.money, 1)
  for (;;) {
    const [isTooHeavy, isTooDear] = [state.massG > budgetG, state.money > budgetMoney]
    if (!isTooHeavy && !isTooDear) break
    if (isTooHeavy) state.extraHoursPerGram = Math.max(first * perGram, state.extraHoursPerGram * step)
    if (isTooDear) state.extraHoursPerCoin = Math.max(first * perCoin, state.extraHoursPerCoin * step)
    if (state.extraHoursPerGram > most * perGram || state.extraHoursPerCoin > most * perCoin) break
    improve(state)
  }
  Object.assign(state, { extraHoursPerGram: 0, extraHoursPerCoin: 0, budgetG, budgetMoney })
  improve(state)
}
