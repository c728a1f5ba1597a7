import { Additions } from '../search'
import { nth } from '../validation'
import { everParts } from './problem'
import type { Shift, SplitState } from './split-state'

/** So many shifts that nearly gain are tried together with others. */
const mostNearlyGaining = 24

/** Each piece that may leave a rider. */
function loose({ problem, carried }: SplitState): { readonly item: number; readonly from: number }[] {
  return carried.flatMap((counts, from) =>
    problem.items.flatMap(({ stays }, item) => (nth(counts, item) > nth(stays, from) ? [{ item, from }] : [])),
  )
}

/** A piece from one rider to another. */
export const handings = (state: SplitState): Shift[][] =>
  loose(state).flatMap(({ item, from }) =>
    state.problem.riders.flatMap((_, to) => (to === from ? [] : [[{ item, from, to }]])),
  )

/** A piece more off the bench: only where the crew ever parts, for all together have what they want. */
export const additions = (state: SplitState): Shift[][] =>
  state.problem.items.flatMap(({ there }, item) =>
    everParts(state.problem) && nth(state.inAll, item) < there
      ? state.problem.riders.map((_, to) => [{ item, from: null, to }])
      : [],
  )

/** A piece left at home, on the same terms. */
export const drops = (state: SplitState): Shift[][] =>
  everParts(state.problem) ? loose(state).map(({ item, from }) => [{ item, from, to: null }]) : []

/** Two pieces that change places between two riders. */
export function exchanges(state: SplitState): Shift[][] {
  const pieces = loose(state)
  return pieces.flatMap((piece, i) =>
    pieces
      .slice(i + 1)
      .filter((other) => other.from !== piece.from && other.item !== piece.item)
      .map((other) => [
        { item: piece.item, from: piece.from, to: other.from },
        { item: other.item, from: other.from, to: piece.from },
      ]),
  )
}

/**
 * All that some of the riders lack to mend something in some way while they are without the others, on one of them: of what is
 * left on the bench, or of the lightest there is, off the bench or off others. Pieces that are worth little one by one may be
 * worth much together.
 */
export function gatherings(state: SplitState): Shift[][] {
  const { riders, items } = state.problem
  const left = items.map(({ there }, item) => there - nth(state.inAll, item))
  return state.parts.flatMap(({ problem, members, counts }) => {
    const withLeft = left.map((more, item) => nth(counts, item) + more)
    const sets = [...new Additions(problem, withLeft).to(counts), ...new Additions(problem).to(counts)].map((changes) =>
      changes.flatMap(({ item, by }) => Array.from({ length: by }, () => item)),
    )
    const gathered = sets.flatMap((pieces): Omit<Shift, 'to'>[][] => {
      const givers = new Map<string, number>()
      const take = (item: number): Omit<Shift, 'to'> | undefined => {
        const used = (from: number | null) => givers.get(`${from} ${item}`) ?? 0
        const other = riders.findIndex(
          (_, r) => !members.includes(r) && nth(nth(state.carried, r), item) - nth(nth(items, item).stays, r) > used(r),
        )
        const from = nth(left, item) > used(null) ? null : other
        if (from === -1) return undefined
        givers.set(`${from} ${item}`, used(from) + 1)
        return { item, from }
      }
      const taken = pieces.map(take)
      return pieces.length > 1 && taken.every((piece) => piece !== undefined) ? [taken] : []
    })
    return members.flatMap((to) => gathered.map((pieces) => pieces.map((piece) => ({ ...piece, to }))))
  })
}

/** Two pieces that bear on the same failures, each of which nearly gains by itself: together they may. */
export function pairs(state: SplitState): Shift[][] {
  const { riders, companies } = state.problem
  const meet = (some: number, other: number) => companies.some(({ problem }) => nth(problem.meets, some).has(other))
  const bikesOf = ({ from, to }: Shift) => [from, to].flatMap((r) => (r === null ? [] : [nth(riders, r).bike]))
  const singles = [...handings(state), ...additions(state), ...drops(state)]
    .map((shifts) => ({ shift: nth(shifts, 0), guessH: state.guess(shifts) }))
    .sort((a, b) => b.guessH - a.guessH)
  return singles.slice(0, mostNearlyGaining).flatMap(({ shift }, i) =>
    singles.slice(i + 1).flatMap(({ shift: other }) => {
      const isNear = shift.item === other.item || meet(shift.item, other.item)
      return isNear && bikesOf(shift).some((bike) => bikesOf(other).includes(bike)) ? [[shift, other]] : []
    }),
  )
}
