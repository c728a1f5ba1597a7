import type { CatalogueItem } from '../bench'
import type { Fastener } from '../bike'
import { leastAddition, type Addition, type Tool } from '../fit'

/** What somebody looks at who has to add something. */
export const criteria = ['lightest', 'cheapest', 'fewest', 'hidden'] as const
export type Criterion = (typeof criteria)[number]

/**
 * The hollow of a bicycle that small tools are put into: the end of a handlebar or, wider, a steerer. Outside a handlebar's
 * end measures 22.2 mm or more (common practice, no source), and its wall takes two to three of them. Planning value.
 */
export const hollowMm = 19

/** Whether something can ride inside the frame, where it takes no room from anything else. */
export const goesInside = ({ boreMm }: Pick<CatalogueItem, 'boreMm'>) => boreMm !== null && boreMm <= hollowMm

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
    // What is packed in a bag weighs there; what goes inside the frame does not.
    hidden: by((item) => (goesInside(item) ? 0 : item.massG)),
  }
}
