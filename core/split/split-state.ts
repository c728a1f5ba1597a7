import { loadOf, massOf } from '../ledger'
import type { Change } from '../promise'
import { nth, numberAt } from '../validation'
import { Fetching, type Holding } from './fetching'
import { LostHours } from './lost-hours'
import type { SplitProblem } from './problem'
import { fairShares, unevenG } from './unevenness'

/** A piece that goes from one rider to another; from null it comes off the bench, to null it goes back there. */
export interface Shift {
  readonly item: number
  readonly from: number | null
  readonly to: number | null
}

/** What it costs who carries what, whatever that spares. */
interface Placing {
  /** Hours of having pieces handed over. */
  readonly fetchH: number
  /** Grams that the wrong riders carry, and what that costs. */
  readonly unevenG: number
  readonly unevenH: number
  /** Grams and mL beyond what riders can carry. */
  readonly overG: number
  readonly overMl: number
  /** Whether all of it is beyond the budgets, in grams and in the smallest coins. */
  readonly overBudgetG: number
  readonly overBudgetMoney: number
}

/** What a split comes to. */
export interface SplitCosts extends Placing {
  /** Hours lost to failures while all are together, and while riders are apart. */
  readonly togetherH: number
  readonly apartH: number
  /** All that is carried, and what it costs to carry. */
  readonly massG: number
  readonly carryH: number
  /** All hours of these. */
  readonly costH: number
}

/** What it costs, at first sight, that pieces change hands. */
export type ShiftCosts = Pick<SplitCosts, 'togetherH' | 'apartH' | 'fetchH' | 'unevenG' | 'costH'>

/** What is beyond somebody's limits or the budgets costs so many hours a gram, mL or coin: no split does so that need not. */
const overH = 10

const placingH = ({ fetchH, unevenH, overG, overMl, overBudgetG, overBudgetMoney }: Placing) =>
  fetchH + unevenH + overH * (overG + overMl + overBudgetG + overBudgetMoney)

/** A kit placed on riders, kept in step with pieces that change hands. */
export class SplitState {
  /** For each rider, how many of each item. */
  readonly carried: readonly Int32Array[]
  readonly inAll: Int32Array
  private readonly together: LostHours
  /** For each bike. */
  private readonly alone: readonly (LostHours | null)[]
  private readonly fetching: Fetching
  private readonly loadsG: Float64Array
  private readonly loadsMl: Float64Array
  private readonly shares: Float64Array
  /** The grams that count, each for the road on which it is carried. */
  private countedG: number
  private readonly isLimited: boolean
  /** What the placing costs as it is, once it was asked for. */
  private placedH: number | undefined

  /** @param carried for each rider, how many of each item */
  constructor(
    readonly problem: SplitProblem,
    carried: readonly ArrayLike<number>[],
  ) {
    const { riders, items, together } = problem
    this.carried = carried.map((counts) => Int32Array.from(counts))
    this.inAll = Int32Array.from(items, (_, item) => this.carried.reduce((sum, counts) => sum + nth(counts, item), 0))
    this.together = new LostHours(together.problem, this.inAll)
    this.alone = problem.alone.map((own, bike) => own && new LostHours(own, this.onBike(bike)))
    this.fetching = new Fetching(problem, this.carried)
    this.shares = fairShares(riders.map(({ share }) => share))
    const loads = (each: (item: number) => number) =>
      Float64Array.from(this.carried, (counts) => counts.reduce((sum, count, item) => sum + count * each(item), 0))
    this.loadsG = loads((item) => nth(items, item).massG)
    this.loadsMl = loads((item) => nth(items, item).volumeMl)
    this.countedG = massOf(together.problem.ledger, this.inAll)
    this.isLimited = Number.isFinite(problem.budgetG) || Number.isFinite(problem.budgetMoney)
  }

  get costs(): SplitCosts {
    const placing = this.placing()
    const togetherH = this.together.hours
    const apartH = this.apartHours.reduce((sum, hours) => sum + hours, 0)
    const carryH = this.countedG * this.problem.hoursPerGram
    const massG = this.loadsG.reduce((sum, grams) => sum + grams, 0)
    return { ...placing, togetherH, apartH, massG, carryH, costH: togetherH + apartH + carryH + placingH(placing) }
  }

  /** Hours lost on each bike while its riders are by themselves. */
  get apartHours(): readonly number[] {
    return this.alone.map((own) => own?.hours ?? 0)
  }

  /** What each rider carries, g and mL. */
  get loads(): readonly { readonly massG: number; readonly volumeMl: number }[] {
    return this.problem.riders.map((_, r) => ({ massG: nth(this.loadsG, r), volumeMl: nth(this.loadsMl, r) }))
  }

  /** How many of each item are carried by those who ride a bike. */
  onBike(bike: number): Int32Array {
    return Int32Array.from(this.inAll, (_, item) =>
      this.carried.reduce(
        (sum, counts, r) => (nth(this.problem.riders, r).bike === bike ? sum + nth(counts, item) : sum),
        0,
      ),
    )
  }

  /** Whether the pieces are there to change hands. */
  allows(shifts: readonly Shift[]): boolean {
    const { items } = this.problem
    return this.whileShifted(shifts, () =>
      shifts.every(({ item, from }) => {
        const { least, there, stays } = nth(items, item)
        const isLeft = from === null || nth(nth(this.carried, from), item) >= nth(stays, from)
        return isLeft && nth(this.inAll, item) <= there && (from === null || nth(this.inAll, item) >= least)
      }),
    )
  }

  /** Hours that shifts spare, at first sight: less lost to failures, less carried, less uneven. */
  gain(shifts: readonly Shift[]): number {
    const { togetherH, apartH } = this.hoursSpared(shifts)
    return togetherH + apartH + this.placingSpared(shifts)
  }

  /**
   * The same with what each change of a piece spares by itself, added up.
   *
   * @param leastH what can gain no more than this is told by the most that it can gain, and not looked at closer
   */
  guess(shifts: readonly Shift[], leastH = -Infinity): number {
    const placedH = this.placingSpared(shifts)
    const mostH = shifts.reduce((sum, shift) => sum + this.mostSparedBy(shift), placedH)
    if (mostH <= leastH) return mostH
    return shifts.reduce((sum, shift) => sum - this.addedBy(shift), placedH)
  }

  /** What shifts add to each of the costs. */
  costsOf(shifts: readonly Shift[]): ShiftCosts {
    const { togetherH, apartH } = this.hoursSpared(shifts)
    const before = this.placing()
    const after = this.placingAfter(shifts)
    return {
      togetherH: -togetherH,
      apartH: -apartH,
      fetchH: after.fetchH - before.fetchH,
      unevenG: after.unevenG - before.unevenG,
      costH: -this.gain(shifts),
    }
  }

  /** What shifts spare of the hours lost together, and apart. */
  hoursSpared(shifts: readonly Shift[]): { readonly togetherH: number; readonly apartH: number } {
    const { pooled, byBike } = this.changesOf(shifts)
    let apartH = 0
    this.alone.forEach((own, bike) => (apartH -= own?.added(nth(byBike, bike)) ?? 0))
    return { togetherH: -this.together.added(pooled), apartH }
  }

  /** The most that shifts can gain, were all that takes more to be mended with everything at hand. */
  mostGained(shifts: readonly Shift[]): number {
    const { pooled, byBike } = this.changesOf(shifts)
    const more = (changes: readonly Change[]) => changes.filter(({ by }) => by > 0)
    let mostH = this.together.mostSpared(more(pooled))
    this.alone.forEach((own, bike) => (mostH += own?.mostSpared(more(nth(byBike, bike))) ?? 0))
    return mostH + this.placingSpared(shifts)
  }

  apply(shifts: readonly Shift[]): void {
    const { pooled, byBike } = this.changesOf(shifts)
    this.place(shifts)
    this.together.apply(pooled)
    this.alone.forEach((own, bike) => own?.apply(nth(byBike, bike)))
    this.countedG = massOf(this.problem.together.problem.ledger, this.inAll)
  }

  /** What it costs who carries what: handing over, unevenness, and what is beyond somebody's limits. */
  get placedCostH(): number {
    return placingH(this.placing())
  }

  /** Hands a piece over where nobody is ever apart: it changes nothing but what it costs who carries what. */
  hand(item: number, from: number, to: number): void {
    this.place([{ item, from, to }])
  }

  /** Hours that shifts spare of carrying, of handing over, and of who carries what. */
  private placingSpared(shifts: readonly Shift[]): number {
    const { items } = this.problem.together.problem.ledger
    let massG = 0
    for (const { item, from, to } of shifts) {
      massG += (to === null ? 0 : nth(items, item).massG) - (from === null ? 0 : nth(items, item).massG)
    }
    this.placedH ??= placingH(this.placing())
    return this.placedH - placingH(this.placingAfter(shifts)) - massG * this.problem.hoursPerGram
  }

  /** What shifts change of all that is carried, and of what is carried on each bike; what comes to nothing left out. */
  private changesOf(shifts: readonly Shift[]): { pooled: Change[]; byBike: Change[][] } {
    const pooled: Change[] = []
    const byBike = this.alone.map((): Change[] => [])
    for (const { item, from, to } of shifts) {
      const [fromBike, toBike] = [this.bikeOf(from), this.bikeOf(to)]
      if (fromBike === toBike) continue
      if (fromBike === null) add(pooled, item, 1)
      else add(nth(byBike, fromBike), item, -1)
      if (toBike === null) add(pooled, item, -1)
      else add(nth(byBike, toBike), item, 1)
    }
    return { pooled, byBike }
  }

  /** What a piece that changes hands adds to the hours lost, and the most that it can spare. */
  private addedBy({ item, from, to }: Shift): number {
    const [giver, taker] = [this.bikeOf(from), this.bikeOf(to)]
    if (giver === taker) return 0
    const less = giver === null ? this.together.withOneMore(item) : (this.alone[giver]?.withOneLess(item) ?? 0)
    const more = taker === null ? this.together.withOneLess(item) : (this.alone[taker]?.withOneMore(item) ?? 0)
    return less + more
  }
  private mostSparedBy({ item, from, to }: Shift): number {
    const [giver, taker] = [this.bikeOf(from), this.bikeOf(to)]
    if (giver === taker) return 0
    const together = giver === null ? this.together.mostSparedBy(item) : 0
    return together + (taker === null ? 0 : (this.alone[taker]?.mostSparedBy(item) ?? 0))
  }

  private bikeOf(rider: number | null): number | null {
    return rider === null ? null : nth(this.problem.riders, rider).bike
  }

  private place(shifts: readonly Shift[]): void {
    this.shift(shifts, 1)
    for (const holding of this.holdingsOf(shifts)) this.fetching.hand(holding)
    this.placedH = undefined
  }

  /** What the placing would cost. */
  private placingAfter(shifts: readonly Shift[]): Placing {
    return this.whileShifted(shifts, () => this.placing(this.fetching.hoursWith(this.holdingsOf(shifts))))
  }

  /** Who now carries what was shifted. */
  private holdingsOf(shifts: readonly Shift[]): Holding[] {
    const holdings: { item: number; holders: number }[] = []
    for (const { item, from, to } of shifts) {
      let holding = holdings.find((each) => each.item === item)
      if (!holding) holdings.push((holding = { item, holders: this.fetching.holdersOf(item) }))
      for (const rider of [from, to]) {
        if (rider === null) continue
        const isCarried = nth(nth(this.carried, rider), item) > 0
        holding.holders = isCarried ? holding.holders | (1 << rider) : holding.holders & ~(1 << rider)
      }
    }
    return holdings
  }

  /** Lets something be read off, but for what is fetched, as if pieces had changed hands. */
  private whileShifted<T>(shifts: readonly Shift[], read: () => T): T {
    this.shift(shifts, 1)
    const result = read()
    this.shift(shifts, -1)
    return result
  }

  private shift(shifts: readonly Shift[], times: 1 | -1): void {
    for (const { item, from, to } of shifts) {
      if (from !== null) this.give(from, item, -times)
      if (to !== null) this.give(to, item, times)
    }
  }

  private give(rider: number, item: number, by: number): void {
    const { massG, volumeMl } = nth(this.problem.items, item)
    const counts = nth(this.carried, rider)
    counts[item] = nth(counts, item) + by
    this.inAll[item] = nth(this.inAll, item) + by
    this.loadsG[rider] = numberAt(this.loadsG, rider) + by * massG
    this.loadsMl[rider] = numberAt(this.loadsMl, rider) + by * volumeMl
  }

  private placing(fetchH = this.fetching.hours): Placing {
    const { riders, unevenHoursPerGram, budgetG, budgetMoney } = this.problem
    let [overG, overMl] = [0, 0]
    for (let r = 0; r < riders.length; r++) {
      const { mostG, mostMl } = nth(riders, r)
      overG += Math.max(0, numberAt(this.loadsG, r) - mostG)
      overMl += Math.max(0, numberAt(this.loadsMl, r) - mostMl)
    }
    const uneven = unevenG(this.loadsG, this.shares)
    const { massG, money } = this.isLimited ? loadOf(this.problem.together.problem.ledger, this.inAll) : nothing
    return {
      fetchH,
      unevenG: uneven,
      unevenH: uneven * unevenHoursPerGram,
      overG,
      overMl,
      overBudgetG: Math.max(0, massG - budgetG),
      overBudgetMoney: Math.max(0, money - budgetMoney),
    }
  }
}

const nothing = { massG: 0, money: 0 } as const

/** Adds to a list of changes, in the order of their items; what comes to nothing goes. */
function add(changes: Change[], item: number, by: number): void {
  const place = changes.findIndex((change) => change.item >= item)
  const known = changes[place]
  if (known?.item !== item) changes.splice(place < 0 ? changes.length : place, 0, { item, by })
  else if (known.by + by === 0) changes.splice(place, 1)
  else changes[place] = { item, by: known.by + by }
}
