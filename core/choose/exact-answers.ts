import { slack, type Problem } from './problem'

/**
 * The best way to answer the claims with a given kit, by trying every one that
 * could still beat a floor. For few claims only: the time doubles and more with
 * each.
 *
 * @param floorH hours saved that must be exceeded
 * @returns the answer of each claim, by its number among all answers or −1, and the hours saved; undefined when the floor stands
 */
export function exactAnswers(
  problem: Problem,
  counts: ArrayLike<number>,
  floorH: number,
): { savedH: number; chosen: number[] } | undefined {
  const offered = new Int32Array(problem.functions)
  const left = new Float64Array(problem.shelfStock.length)
  problem.items.forEach((item, i) => {
    for (const f of item.provides) offered[f]! += counts[i]!
    item.stocks.forEach((stock, j) => {
      for (const shelf of problem.shelvesOfStock[stock]!) left[shelf]! += counts[i]! * item.units[j]!
    })
  })
  const able = problem.claims.map(({ answers, first }) =>
    answers
      .map((answer, place) => ({ answer, a: first + place }))
      .filter(({ answer }) => answer.needs.every((f) => offered[f]! > 0)),
  )
  // What the claims from each one on could save at most, were there stock for all.
  const hope = new Float64Array(problem.claims.length + 1)
  for (let c = able.length - 1; c >= 0; c--) hope[c] = hope[c + 1]! + (able[c]![0]?.answer.savedH ?? 0)

  const chosen = problem.claims.map(() => -1)
  let best: { savedH: number; chosen: number[] } | undefined
  let mostH = floorH
  const search = (c: number, savedH: number) => {
    if (savedH + hope[c]! <= mostH + slack) return
    if (c === chosen.length) {
      mostH = savedH
      best = { savedH, chosen: [...chosen] }
      return
    }
    for (const { answer, a } of able[c]!) {
      const { shelves, shelfAmounts } = answer
      if (shelves.some((shelf, j) => left[shelf]! + slack < shelfAmounts[j]!)) continue
      shelves.forEach((shelf, j) => (left[shelf]! -= shelfAmounts[j]!))
      chosen[c] = a
      search(c + 1, savedH + answer.savedH)
      shelves.forEach((shelf, j) => (left[shelf]! += shelfAmounts[j]!))
    }
    chosen[c] = -1
    search(c + 1, savedH)
  }
  search(0, 0)
  return best
}
