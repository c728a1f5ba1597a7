import type { KitState } from './kit-state'
import { improve } from './search'

/** By so much a gram gets dearer with each step. */
const step = 1.35
/** From this share of what the kit saves for its grams. */
const first = 1 / 8
/** A gram is never worth more than so many times that. */
const most = 1e6

/**
 * Shrinks a kit to a budget by a Lagrangian price: grams are made dearer step by step, and what no longer pays is left off or
 * exchanged, until the kit fits; with grams at their own price again, what room is left is then filled.
 */
export function squeeze(state: KitState, budgetG: number): void {
  const perGram = Math.max(state.savedH, 1e-6) / Math.max(state.massG, 1)
  for (let extra = first * perGram; state.massG > budgetG && extra < most * perGram; extra *= step) {
    state.extraHoursPerGram = extra
    improve(state)
  }
  state.extraHoursPerGram = 0
  state.budgetG = budgetG
  improve(state)
}
