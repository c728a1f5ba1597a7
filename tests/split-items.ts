import type { SplitItem } from '#core/split'

/** Items of a ledger as a split has them: no larger than nothing, none of them asked for, and none kept by one of so many riders. */
export const splitItems = (
  items: readonly { readonly id: string; readonly massG: number; readonly max: number }[],
  riders: number,
): SplitItem[] =>
  items.map(({ id, massG, max }) => ({
    id,
    massG,
    volumeMl: 0,
    least: 0,
    there: max,
    stays: Array.from({ length: riders }, () => 0),
  }))
