import { loadOf, massOf } from '../ledger'
import type { Change } from '../promise'
import { defined, nth, numberAt } from '../validation'
import { Fetching, type Holding } from './fetching'
import type { KitProblem } from '../search'
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

/** Riders who use what they carry together: a company while it rides together, or those on one bike while they are apart. */
interface Pool {
  /** A bit for each of them. */
  readonly riders: number
  readonly isAlone: boolean
  readonly lost: LostHours
}

/** A kit placed on riders, kept in step with pieces that change hands. */
export class SplitState {
  /** For each rider, how many of each item. */
  readonly carried: readonly Int32Array[]
  readonly inAll: Int32Array
  private readonly pools: readonly Pool[]
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
    const { riders, items, companies, alone, ledger } = problem
    this.carried = carried.map((counts) => Int32Array.from(counts))
    this.inAll = Int32Array.from(items, (_, item) => this.carried.reduce((sum, counts) => sum + nth(counts, item), 0))
    const pool = (own: KitProblem, members: number, isAlone: boolean): Pool => ({
      riders: members,
      isAlone,
      lost: new LostHours(own, this.carriedBy(members)),
    })
    this.pools = [
      ...companies.map((company) => pool(company.problem, company.present, false)),
      ...alone.flatMap((own, bike) => (own ? [pool(own, this.ridersOf(bike), true)] : [])),
    ]
    this.fetching = new Fetching(problem, this.carried)
    this.shares = fairShares(riders.map(({ share }) => share))
    const loads = (each: (item: number) => number) =>
      Float64Array.from(this.carried, (counts) => counts.reduce((sum, count, item) => sum + count * each(item), 0))
    this.loadsG = loads((item) => nth(items, item).massG)
    this.loadsMl = loads((item) => nth(items, item).volumeMl)
    this.countedG = massOf(ledger, this.inAll)
    this.isLimited = Number.isFinite(problem.budgetG) || Number.isFinite(problem.budgetMoney)
  }

  get costs(): SplitCosts {
    const placing = this.placing()
    const { togetherH, apartH } = this.lostIn(({ lost }) => lost.hours)
    const carryH = this.countedG * this.problem.hoursPerGram
    const massG = this.loadsG.reduce((sum, grams) => sum + grams, 0)
    return { ...placing, togetherH, apartH, massG, carryH, costH: togetherH + apartH + carryH + placingH(placing) }
  }

  /** Hours that come of what each pool loses, while together and while apart. */
  private lostIn(hours: (pool: Pool, number: number) => number): { togetherH: number; apartH: number } {
    let [togetherH, apartH] = [0, 0]
    this.pools.forEach((pool, number) => {
      if (pool.isAlone) apartH += hours(pool, number)
      else togetherH += hours(pool, number)
    })
    return { togetherH, apartH }
  }

  /** What each rider carries, g and mL. */
  get loads(): readonly { readonly massG: number; readonly volumeMl: number }[] {
    return this.problem.riders.map((_, r) => ({ massG: nth(this.loadsG, r), volumeMl: nth(this.loadsMl, r) }))
  }

  /** Those who are ever without the others: what may fail then, who they are, and how many of each item they carry. */
  get parts(): readonly {
    readonly problem: KitProblem
    readonly members: readonly number[]
    readonly counts: Int32Array
  }[] {
    const numbers = this.problem.riders.map((_, r) => r)
    return this.pools
      .map(({ riders, lost }) => ({
        problem: lost.problem,
        members: numbers.filter((r) => isOneOf(r, riders)),
        counts: lost.counts,
      }))
      .filter(({ members }) => members.length < numbers.length)
  }

  /** A bit for each rider of a bike. */
  private ridersOf(bike: number): number {
    return this.problem.riders.reduce((mask, rider, r) => (rider.bike === bike ? mask | (1 << r) : mask), 0)
  }

  /** How many of each item are carried by some riders, a bit for each. */
  private carriedBy(riders: number): Int32Array {
    return Int32Array.from(this.inAll, (_, item) =>
      this.carried.reduce((sum, counts, r) => (isOneOf(r, riders) ? sum + nth(counts, item) : sum), 0),
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
    const changes = this.changesOf(shifts)
    return this.lostIn(({ lost }, number) => -lost.added(nth(changes, number)))
  }

  /** The most that shifts can gain, were all that takes more to be mended with everything at hand. */
  mostGained(shifts: readonly Shift[]): number {
    const changes = this.changesOf(shifts)
    const { togetherH, apartH } = this.lostIn(({ lost }, number) =>
      lost.mostSpared(nth(changes, number).filter(({ by }) => by > 0)),
    )
    return togetherH + apartH + this.placingSpared(shifts)
  }

  apply(shifts: readonly Shift[]): void {
    const changes = this.changesOf(shifts)
    this.place(shifts)
    this.pools.forEach(({ lost }, number) => lost.apply(nth(changes, number)))
    this.countedG = massOf(this.problem.ledger, this.inAll)
  }

  /** What it costs who carries what: handing over, unevenness, and what is beyond somebody's limits. */
  get placedCostH(): number {
    return placingH(this.placing())
  }

  /** Hands a piece over where nobody is ever apart: it changes nothing but what it costs who carries what. */
  hand(item: number, from: number, to: number): void {
    this.give(from, item, -1)
    this.give(to, item, 1)
    const holders = this.fetching.holdersOf(item) | (1 << to)
    const isLeft = defined(defined(this.carried[from])[item]) > 0
    this.fetching.hand({ item, holders: isLeft ? holders : holders & ~(1 << from) })
    this.placedH = undefined
  }

  /** Keeps who carries what, for `back`. */
  mark(): void {
    this.fetching.mark()
  }

  /** Takes back pieces that were handed over since that was marked, the last one first. */
  back(handed: readonly { readonly item: number; readonly from: number; readonly to: number }[]): void {
    for (const { item, from, to } of handed.toReversed()) {
      this.give(to, item, -1)
      this.give(from, item, 1)
    }
    this.fetching.back()
    this.placedH = undefined
  }

  /** Hours that shifts spare of carrying, of handing over, and of who carries what. */
  private placingSpared(shifts: readonly Shift[]): number {
    const { items } = this.problem.ledger
    let massG = 0
    for (const { item, from, to } of shifts) {
      massG += (to === null ? 0 : nth(items, item).massG) - (from === null ? 0 : nth(items, item).massG)
    }
    this.placedH ??= placingH(this.placing())
    return this.placedH - placingH(this.placingAfter(shifts)) - massG * this.problem.hoursPerGram
  }

  /** What shifts change of what each pool carries; what comes to nothing left out. */
  private changesOf(shifts: readonly Shift[]): readonly (readonly Change[])[] {
    return this.pools.map(({ riders }) => {
      const changes: Change[] = []
      for (const shift of shifts) {
        const by = moreFor(riders, shift)
        if (by !== 0) add(changes, shift.item, by)
      }
      return changes
    })
  }

  /** What a piece that changes hands adds to the hours lost, and the most that it can spare. */
  private addedBy(shift: Shift): number {
    let sum = 0
    for (const { riders, lost } of this.pools) {
      const by = moreFor(riders, shift)
      if (by > 0) sum += lost.withOneMore(shift.item)
      else if (by < 0) sum += lost.withOneLess(shift.item)
    }
    return sum
  }
  private mostSparedBy(shift: Shift): number {
    let sum = 0
    for (const { riders, lost } of this.pools) if (moreFor(riders, shift) > 0) sum += lost.mostSparedBy(shift.item)
    return sum
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
        const isCarried = defined(defined(this.carried[rider])[item]) > 0
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
    const { massG, volumeMl } = defined(this.problem.items[item])
    const counts = defined(this.carried[rider])
    counts[item] = defined(counts[item]) + by
    this.inAll[item] = defined(this.inAll[item]) + by
    this.loadsG[rider] = numberAt(this.loadsG, rider) + by * massG
    this.loadsMl[rider] = numberAt(this.loadsMl, rider) + by * volumeMl
  }

  private placing(fetchH = this.fetching.hours): Placing {
    const { riders, unevenHoursPerGram, budgetG, budgetMoney } = this.problem
    let [overG, overMl] = [0, 0]
    for (let r = 0; r < riders.length; r++) {
      const { mostG, mostMl } = defined(riders[r])
      overG += Math.max(0, numberAt(this.loadsG, r) - mostG)
      overMl += Math.max(0, numberAt(this.loadsMl, r) - mostMl)
    }
    const uneven = unevenG(this.loadsG, this.shares)
    const { massG, money } = this.isLimited ? loadOf(this.problem.ledger, this.inAll) : nothing
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

/** Whether a rider is one of some, a bit for each. */
const isOneOf = (rider: number, riders: number) => ((riders >> rider) & 1) === 1

/** So many more pieces some riders carry after a shift. */
const moreFor = (riders: number, { from, to }: Shift): number =>
  (to !== null && isOneOf(to, riders) ? 1 : 0) - (from !== null && isOneOf(from, riders) ? 1 : 0)

/** Adds to a list of changes, in the order of their items; what comes to nothing goes. */
function add(changes: Change[], item: number, by: number): void {
  const place = changes.findIndex((change) => change.item >= item)
  const known = changes[place]
  if (known?.item !== item) changes.splice(place < 0 ? changes.length : place, 0, { item, by })
  else if (known.by + by === 0) changes.splice(place, 1)
  else changes[place] = { item, by: known.by + by }
}
