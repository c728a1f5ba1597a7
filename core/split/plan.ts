import { nth } from '../validation'
import { everParts, isEverApart, type SplitProblem } from './problem'
import type { SplitCosts, SplitState } from './split-state'
import { fairShares } from './unevenness'

/** What a rider carries of a split kit. */
export interface RiderLoad {
  readonly id: string
  /** How many of each item, in their order. */
  readonly counts: readonly number[]
  readonly massG: number
  readonly volumeMl: number
  /** What they would carry by the shares that all wish, and how much more than they can. */
  readonly fairG: number
  readonly overG: number
  readonly overMl: number
}

/** One more of something that is carried, on the rider to whom it is worth most. */
export interface Double {
  readonly item: number
  readonly rider: number
  /** Whether it comes along beside another, or beyond what all want together; else it would be worth so much. */
  readonly isTaken: boolean
  /** Whether there is one on the bench. */
  readonly isThere: boolean
  /** Hours that it spares while all are together, and while riders are apart. */
  readonly togetherH: number
  readonly apartH: number
  /** Hours that it costs to carry. */
  readonly carryH: number
}

/** A kit split among riders. */
export interface SplitPlan {
  readonly riders: readonly RiderLoad[]
  /** How many of each item are carried by all, and how many would be by a crew that stays together. */
  readonly counts: readonly number[]
  readonly kit: readonly number[]
  readonly costs: SplitCosts
  /** Whether riders are ever out of reach of one another; and whether they are, or not all of them are there. */
  readonly isEverApart: boolean
  readonly everParts: boolean
  /** What is or could be carried twice, that which is worth most first. */
  readonly doubles: readonly Double[]
}

/** Worth less than this many hours nothing is told of as a double. */
const leastToldH = 0.01

export const planOf = (state: SplitState): SplitPlan => ({ ...planSoFar(state), doubles: doublesOf(state) })

/** The same of a split that is still being searched: what doubles are worth is not told. */
export function planSoFar(state: SplitState): SplitPlan {
  const { riders } = state.problem
  const loads = state.loads
  const inAllG = loads.reduce((sum, { massG }) => sum + massG, 0)
  const shares = fairShares(riders.map(({ share }) => share))
  return {
    riders: riders.map(({ id, mostG, mostMl }, r) => {
      const load = nth(loads, r)
      return {
        id,
        counts: [...nth(state.carried, r)],
        ...load,
        fairG: inAllG * nth(shares, r),
        overG: Math.max(0, load.massG - mostG),
        overMl: Math.max(0, load.volumeMl - mostMl),
      }
    }),
    counts: [...state.inAll],
    kit: Array.from(state.problem.kit),
    costs: state.costs,
    isEverApart: isEverApart(state.problem),
    everParts: everParts(state.problem),
    doubles: [],
  }
}

/** The second of each thing: the one that is missed least where there is one, else the one that would be worth most. */
function doublesOf(state: SplitState): Double[] {
  const { items, riders, kit } = state.problem
  if (!everParts(state.problem)) return []
  const doubles = items.flatMap(({ there }, item): Double[] => {
    const carriers = riders.flatMap((_, r) => (nth(nth(state.carried, r), item) > 0 ? [r] : []))
    const bikes = new Set(carriers.map((r) => nth(riders, r).bike))
    if (bikes.size === 0) return []
    const carryH = carryingH(state.problem, item)
    const isTaken = bikes.size > 1 || nth(state.inAll, item) > nth(kit, item)
    const candidates = isTaken
      ? carriers.map((rider) => ({ rider, ...lost(state, item, rider) }))
      : riders.flatMap(({ bike }, rider) =>
          bikes.has(bike) ? [] : [{ rider, ...state.hoursSpared([{ item, from: null, to: rider }]) }],
        )
    const worth = (each: { togetherH: number; apartH: number }) => each.togetherH + each.apartH
    candidates.sort((a, b) => (isTaken ? worth(a) - worth(b) : worth(b) - worth(a)))
    const [best] = candidates
    if (!best || Math.max(Math.abs(best.apartH), best.togetherH) < leastToldH) return []
    return [{ item, isTaken, isThere: nth(state.inAll, item) < there, carryH, ...best }]
  })
  const netH = ({ togetherH, apartH, carryH }: Double) => togetherH + apartH - carryH
  return doubles.sort((a, b) => Number(b.isTaken) - Number(a.isTaken) || netH(b) - netH(a))
}

/** What is lost without a piece. */
function lost(state: SplitState, item: number, from: number): { togetherH: number; apartH: number } {
  const { togetherH, apartH } = state.hoursSpared([{ item, from, to: null }])
  return { togetherH: -togetherH, apartH: -apartH }
}

const carryingH = ({ ledger, hoursPerGram }: SplitProblem, item: number) => nth(ledger.items, item).massG * hoursPerGram
