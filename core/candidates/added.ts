import type { CatalogueItem } from '../bench'
import type { Fastener } from '../bike'
import { leastAddition, type Addition, type Tool } from '../fit'

/** What somebody looks at who has to add something. */
export const criteria = ['lightest', 'cheapest', 'fewest'] as const
export type Criterion = (typeof criteria)[number]

const massOf = (items: readonly CatalogueItem[]) => items.reduce((sum, { massG }) => sum + massG, 0)

/** What must be added for all of some fasteners to turn, by each criterion; of two as good by it the lighter. */
export function additions(
  uncovered: readonly Fastener[],
  tools: readonly Tool[],
  items: readonly CatalogueItem[],
  handMostN: number,
): Record<Criterion, Addition> {
  const by = (weight: (item: CatalogueItem) => number) =>
    leastAddition(uncovered, tools, items, { weight, worse: massOf }, handMostN)
  return {
    lightest: by(({ massG }) => massG),
    cheapest: by(({ price }) => price),
    fewest: by(() => 1),
  }
}
