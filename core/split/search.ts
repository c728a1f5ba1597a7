import { Additions, condense, kitProblem, type KitProblem } from '../search'
import { defined, nth } from '../validation'
import { anneal } from './anneal'
import { ownKits, roughKits } from './own-kits'
import { everParts, type SplitProblem } from './problem'
import { SplitState, type Shift } from './split-state'

/** Gains below this many hours are rounding. */
const slackH = 1e-6

/** In crews of more than so many, no pairs of changes that each nearly gain are tried. */
const mostForPairs = 6

/** Riders times things: with more of them a search begins at few places. */
const mostWithEveryStart = 60

/** In crews of more than so many a search begins at one place only. */
const mostWithTwoStarts = 3

/** So many shifts that nearly gain are tried together with others. */
const mostNearlyGaining = 24

/** What seems to lose less than so many hours by few legs may gain on all of them. */
const nearlyGainingH = 0.03

/** Enough for any search seen to come to rest. */
const mostRounds = 400

/**
 * The best split that is found: from the kit of a crew that stays together with all that riders would carry by themselves, and
 * from further starts where the crew is small, pieces change hands, are doubled, left at home and exchanged until nothing
 * gains; the best end is taken.
 *
 * @param onRound told again and again while the search goes on, with the split so far: whole, and not yet the best
 */
export function bestSplit(problem: SplitProblem, onRound: OnRound = () => undefined): SplitState {
  if (!everParts(problem)) {
    const together = annealed(problem)
    improve(together, onRound)
    return together
  }
  const near = condensed(problem)
  let best: SplitState | undefined
  for (const start of startsApart(near)) {
    improve(start, onRound)
    if (!best || start.costs.costH < best.costs.costH - slackH) best = start
  }
  const found = defined(best)
  return near === problem ? found : madeSure(found, problem, onRound)
}

type OnRound = (soFar: SplitState) => void

/** So many legs are enough to search by, before all is made sure of. */
const fewLegs = 6

/** A problem with fewer legs, nearly the same; the same where it has few. */
function condensed(problem: SplitProblem): SplitProblem {
  const { companies, alone, ledger: whole } = problem
  if (whole.legs <= fewLegs) return problem
  const fewer = ({ ledger }: KitProblem) => kitProblem(condense(ledger, fewLegs))
  return {
    ...problem,
    companies: companies.map((company) => ({ ...company, problem: fewer(company.problem) })),
    alone: alone.map((own) => own && fewer(own)),
  }
}

/**
 * The kit of a crew that stays together, handed about until it is handed over least and weighs evenly: what fails costs the
 * same whoever carries what.
 */
function annealed(problem: SplitProblem): SplitState {
  const state = place({ ...problem, companies: [] })
  anneal(state)
  return new SplitState(problem, state.carried)
}

/** Where a search begins for a crew that is ever apart. */
function startsApart(problem: SplitProblem): SplitState[] {
  const { riders, items } = problem
  const placed = place(problem)
  const nothing = riders.map(() => new Int32Array(items.length))
  const inTurn = riders.map((_, first) => riders.map((__, r) => (first + r) % riders.length))
  const withKits = (
    carried: readonly Int32Array[],
    kits: readonly ArrayLike<number>[],
    orders: readonly (readonly number[])[],
  ) => orders.map((order) => new SplitState(problem, withOwn(problem, carried, kits, order)))
  if (riders.length * items.length > mostWithEveryStart) {
    const orders = inTurn.slice(0, 1)
    const start = withKits(placed.carried, roughKits(problem), orders)
    return riders.length > mostWithTwoStarts ? start : [...start, ...withKits(nothing, ownKits(problem), orders)]
  }
  const own = ownKits(problem)
  return [
    placed,
    ...withKits(placed.carried, own, inTurn),
    ...withKits(nothing, own, inTurn),
    ...allOnOne(problem, placed),
  ]
}

/**
 * Goes over to all legs from few: what gains by few of them, or nearly does, is tried on all and done where it gains there.
 *
 * @param near a split at rest by few legs
 */
function madeSure(near: SplitState, problem: SplitProblem, onRound: OnRound): SplitState {
  const state = new SplitState(problem, near.carried)
  for (let round = 0; round < mostRounds; round++) {
    onRound(state)
    const hopeful = [...handings(state), ...additions(state), ...drops(state), ...exchanges(state)]
      .map((shifts) => ({ shifts, guessH: near.guess(shifts, -nearlyGainingH) }))
      .filter(({ guessH }) => guessH > -nearlyGainingH)
      .sort((a, b) => b.guessH - a.guessH)
    let any = false
    for (const { shifts } of hopeful) {
      if (!state.allows(shifts) || state.gain(shifts) <= slackH || !make(state, shifts)) continue
      near.apply(shifts)
      any = true
    }
    if (!any) return state
  }
  return state
}

/** Makes shifts, and takes them back where they gained at first sight only. @returns whether they were made */
function make(state: SplitState, shifts: readonly Shift[]): boolean {
  const before = state.costs.costH
  state.apply(shifts)
  if (state.costs.costH < before - slackH / 2) return true
  state.apply(shifts.map(({ item, from, to }) => ({ item, from: to, to: from })))
  return false
}

/** All of a kit on each of the riders, but for what stays with others. */
const allOnOne = (problem: SplitProblem, { inAll }: SplitState): SplitState[] =>
  problem.riders.map((_, rider) => {
    const carried = problem.riders.map((__, r) =>
      Int32Array.from(problem.items, ({ stays }, item) =>
        r === rider ? nth(inAll, item) - otherStays(stays, r) : nth(stays, r),
      ),
    )
    return new SplitState(problem, carried)
  })

const otherStays = (stays: readonly number[], rider: number) =>
  stays.reduce((sum, count, r) => (r === rider ? sum : sum + count), 0)

/** Places a kit piece by piece, the heaviest first, each where it costs least. */
export function place(problem: SplitProblem): SplitState {
  const { items, riders, kit } = problem
  const carried = riders.map((_, r) => Int32Array.from(items, ({ stays }) => nth(stays, r)))
  const state = new SplitState(problem, carried)
  const left = items
    .flatMap(({ massG, there }, item) => {
      const more = Math.min(nth(kit, item), there) - nth(state.inAll, item)
      return Array.from({ length: Math.max(0, more) }, () => ({ item, massG }))
    })
    .sort((a, b) => b.massG - a.massG || a.item - b.item)
  for (const { item } of left) {
    const shifts = riders.map((_, to): Shift[] => [{ item, from: null, to }])
    const best = bestOf(state, shifts, -Infinity)
    if (best) state.apply(best)
  }
  return state
}

/** The same with all that riders would carry by themselves, one after another as far as there is enough of it. */
function withOwn(
  { items }: SplitProblem,
  carried: readonly Int32Array[],
  own: readonly ArrayLike<number>[],
  order: readonly number[],
): Int32Array[] {
  const more = carried.map((counts) => counts.slice())
  items.forEach(({ least, there, stays }, item) => {
    more.forEach((counts, rider) => (counts[item] = Math.max(nth(counts, item), nth(stays, rider))))
    let left = there - more.reduce((sum, counts) => sum + nth(counts, item), 0)
    for (const rider of order) {
      const counts = nth(more, rider)
      const by = Math.max(0, Math.min(left, nth(nth(own, rider), item) - nth(counts, item)))
      counts[item] = nth(counts, item) + by
      left -= by
    }
    const first = nth(more, nth(order, 0))
    const missing = least - more.reduce((sum, counts) => sum + nth(counts, item), 0)
    first[item] = nth(first, item) + Math.max(0, missing)
  })
  return more
}

/** Shifts pieces until nothing gains; what gains at first sight only is taken back. */
export function improve(state: SplitState, onRound: OnRound = () => undefined): void {
  const refused = new Set<string>()
  const mayGain = (shifts: readonly Shift[]) => refused.size === 0 || !refused.has(keyOf(shifts))
  const isMade = (shifts: readonly Shift[]): boolean => {
    if (make(state, shifts)) {
      refused.clear()
      return true
    }
    refused.add(keyOf(shifts))
    return false
  }
  /** Makes all that gain, the one that seems to gain most first. */
  const sweep = (candidates: readonly (readonly Shift[])[]): boolean => {
    const hopeful = candidates
      .filter(mayGain)
      .map((shifts) => ({ shifts, guessH: state.guess(shifts, slackH) }))
      .filter(({ guessH }) => guessH > slackH)
      .sort((a, b) => b.guessH - a.guessH)
    let any = false
    for (const { shifts } of hopeful)
      if (state.allows(shifts) && state.gain(shifts) > slackH && isMade(shifts)) any = true
    return any
  }
  /** The same with sets of pieces, of which no more is known beforehand than the most that they can gain. */
  const sweepSets = (candidates: readonly (readonly Shift[])[]): boolean => {
    const gaining = candidates
      .filter((shifts) => mayGain(shifts) && state.mostGained(shifts) > slackH && state.allows(shifts))
      .map((shifts) => ({ shifts, gainH: state.gain(shifts) }))
      .filter(({ gainH }) => gainH > slackH)
      .sort((a, b) => b.gainH - a.gainH)
    let any = false
    for (const { shifts } of gaining)
      if (state.allows(shifts) && state.gain(shifts) > slackH && isMade(shifts)) any = true
    return any || gaining.length > 0
  }
  const hasPairs = state.problem.riders.length <= mostForPairs
  for (let round = 0; round < mostRounds; round++) {
    onRound(state)
    if (sweep([...handings(state), ...additions(state), ...drops(state)]) || sweep(exchanges(state))) continue
    const pair = hasPairs ? bestOf(state, pairs(state).filter(mayGain)) : undefined
    if (pair) isMade(pair)
    else if (!sweepSets(gatherings(state))) return
  }
}

const keyOf = (shifts: readonly Shift[]) => shifts.map(({ item, from, to }) => `${item}:${from}:${to}`).join()

/** Of some shifts the ones that gain most, where any gain more than so many hours. */
function bestOf(
  state: SplitState,
  candidates: readonly (readonly Shift[])[],
  leastH = slackH,
): readonly Shift[] | undefined {
  let [best, most]: [readonly Shift[] | undefined, number] = [undefined, leastH]
  for (const shifts of candidates) {
    if (!state.allows(shifts)) continue
    const gainH = state.gain(shifts)
    if (gainH > most) [best, most] = [shifts, gainH]
  }
  return best
}

/** Each piece that may leave a rider. */
function loose({ problem, carried }: SplitState): { readonly item: number; readonly from: number }[] {
  return carried.flatMap((counts, from) =>
    problem.items.flatMap(({ stays }, item) => (nth(counts, item) > nth(stays, from) ? [{ item, from }] : [])),
  )
}

/** A piece from one rider to another. */
const handings = (state: SplitState): Shift[][] =>
  loose(state).flatMap(({ item, from }) =>
    state.problem.riders.flatMap((_, to) => (to === from ? [] : [[{ item, from, to }]])),
  )

/** A piece more off the bench: only where the crew ever parts, for all together have what they want. */
const additions = (state: SplitState): Shift[][] =>
  state.problem.items.flatMap(({ there }, item) =>
    everParts(state.problem) && nth(state.inAll, item) < there
      ? state.problem.riders.map((_, to) => [{ item, from: null, to }])
      : [],
  )

/** A piece left at home, on the same terms. */
const drops = (state: SplitState): Shift[][] =>
  everParts(state.problem) ? loose(state).map(({ item, from }) => [{ item, from, to: null }]) : []

/** Two pieces that change places between two riders. */
function exchanges(state: SplitState): Shift[][] {
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
function gatherings(state: SplitState): Shift[][] {
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
function pairs(state: SplitState): Shift[][] {
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
