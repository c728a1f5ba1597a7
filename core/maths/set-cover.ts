import { nth, defined } from '../validation'
/** Something that covers some of the elements 0 … size − 1, at a weight. */
export interface Candidate {
  readonly covers: readonly number[]
  readonly weight: number
}

/**
 * The lightest choice of candidates that covers every element, found exactly: the element with the fewest
 * candidates left is covered first, in every way, and a branch is dropped once it cannot be lighter.
 *
 * @param size how many elements there are
 * @param worse of two covers as light as each other the one with less of this is taken; nothing: the first found
 * @returns the candidates picked, ascending, or undefined where some element has none
 * Source: branch and bound for set cover, as in R. S. Garfinkel and G. L. Nemhauser, "Integer Programming" (1972), ch. 8.
 */
export function minimumWeightCover(
  size: number,
  candidates: readonly Candidate[],
  worse: (picked: readonly number[]) => number = () => 0,
): number[] | undefined {
  const coveredBy: number[][] = Array.from({ length: size }, () => [])
  candidates.forEach(({ covers }, c) => covers.forEach((element) => nth(coveredBy, element).push(c)))
  for (const list of coveredBy) list.sort((a, b) => nth(candidates, a).weight - nth(candidates, b).weight)
  if (coveredBy.some((list) => list.length === 0)) return undefined

  const times = new Int32Array(size)
  const picked: number[] = []
  let best: { picked: number[]; weight: number; worse: number } | undefined

  /** What the rest weighs at least: elements no two of which share a candidate each need one of their own. */
  const atLeast = (): number => {
    const used = new Set<number>()
    let weight = 0
    for (let element = 0; element < size; element++) {
      if (nth(times, element) > 0 || nth(coveredBy, element).some((c) => used.has(c))) continue
      weight += defined(candidates[nth(nth(coveredBy, element), 0)]).weight
      for (const c of nth(coveredBy, element)) used.add(c)
    }
    return weight
  }

  const search = (weight: number) => {
    if (best && weight + atLeast() > best.weight + 1e-9) return
    let hardest = -1
    for (let element = 0; element < size; element++) {
      if (nth(times, element) > 0) continue
      if (hardest < 0 || nth(coveredBy, element).length < nth(coveredBy, hardest).length) hardest = element
    }
    if (hardest < 0) {
      const found = { picked: [...picked], weight, worse: worse(picked) }
      const lighter = !best || weight < best.weight - 1e-9
      if (lighter || found.worse < defined(best).worse - 1e-12) best = found
      return
    }
    for (const c of nth(coveredBy, hardest)) {
      picked.push(c)
      for (const element of nth(candidates, c).covers) times[element] = nth(times, element) + 1
      search(weight + nth(candidates, c).weight)
      for (const element of nth(candidates, c).covers) times[element] = nth(times, element) - 1
      picked.pop()
    }
  }
  search(0)
  return best?.picked.sort((a, b) => a - b)
}
