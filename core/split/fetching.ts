import { entry } from '../maths'
import { KitPromise, settlingRounds } from '../promise'
import { defined, nth, numberAt } from '../validation'
import type { SplitProblem, CompanyOnRoad } from './problem'

/** Work on a bike for which pieces are wanted, however many bags they come from. */
export interface Work {
  /** The bike, by its number; null where nobody rides it: then everything is fetched. */
  readonly bike: number | null
  /** How often it is done while they are together, in the mean. */
  readonly times: number
  /** For each piece that it wants, the items of which any one will do. */
  readonly wants: readonly (readonly number[])[]
}

/** Work of which it is known who is there to be asked, a bit for each. */
export interface WorkAmong extends Work {
  readonly present: number
}

/** Work that comes less often than this is left out: it would take longer to look at than it ever costs. */
const leastTimes = 0.002

/** The same work on several bikes. */
interface AlikeWork {
  /** For each piece that it wants, the items of which any one will do. */
  readonly wants: readonly Int32Array[]
  /** For each bike, a bit for each of its riders and for each who is there, and how often the work is done there. */
  readonly own: Int32Array
  readonly present: Int32Array
  readonly times: Float64Array
}

/** Who carries any of an item: a bit for each rider. */
export interface Holding {
  readonly item: number
  readonly holders: number
}

/**
 * What is fetched from one another's bags while riders are together: whoever mends a bike takes what they need from the bags
 * on it, and has the rest handed over, one bag after another. Kept in step with who carries what.
 */
export class Fetching {
  /** For each item, a bit for each rider who carries any of it. */
  private readonly holders: Int32Array
  private readonly works: readonly AlikeWork[]
  /** For each item, the works that want it, by their numbers, and the items that are wanted with it. */
  private readonly worksOf: readonly Int32Array[]
  private readonly near: readonly ReadonlySet<number>[]
  /** Bags that are opened for each work, as often as it comes; and for all. */
  private readonly openedFor: Float64Array
  private opened = 0
  /** For each item, how many more bags would be opened with other holders of it; until anything wanted with it is moved. */
  private readonly seen: readonly Map<number, number>[]
  /** Who holds what is wanted, what is still wanted, and how much of it each rider has; used again for the next work. */
  private readonly found: Int32Array
  private readonly left: Int32Array
  private readonly inBags: Int32Array
  private readonly fetchH: number
  private readonly marked: { readonly holders: Int32Array; readonly openedFor: Float64Array; opened: number }

  /** @param carried for each rider, how many of each item */
  constructor(
    { riders, items, alone, works, fetchH }: Pick<SplitProblem, 'riders' | 'items' | 'alone' | 'works' | 'fetchH'>,
    carried: readonly Int32Array[],
  ) {
    const ridersOf = alone.map((_, bike) =>
      riders.reduce((mask, rider, r) => (rider.bike === bike ? mask | (1 << r) : mask), 0),
    )
    this.fetchH = fetchH
    this.holders = Int32Array.from(items, (_, item) =>
      carried.reduce((mask, counts, r) => (nth(counts, item) > 0 ? mask | (1 << r) : mask), 0),
    )
    const alike = new Map<string, WorkAmong[]>()
    for (const work of works) entry(alike, JSON.stringify(work.wants), () => []).push(work)
    this.works = [...alike.values()].map((same) => ({
      wants: nth(same, 0).wants.map((some) => Int32Array.from(some)),
      own: Int32Array.from(same, ({ bike }) => (bike === null ? 0 : nth(ridersOf, bike))),
      present: Int32Array.from(same, ({ present }) => present),
      times: Float64Array.from(same, ({ times }) => times),
    }))
    const worksOf = items.map(() => new Set<number>())
    const near = items.map(() => new Set<number>())
    this.works.forEach(({ wants }, number) => {
      const wanted = wants.flatMap((some) => [...some])
      for (const item of wanted) {
        nth(worksOf, item).add(number)
        for (const other of wanted) nth(near, item).add(other)
      }
    })
    this.worksOf = worksOf.map((numbers) => Int32Array.from(numbers))
    this.near = near
    this.seen = items.map(() => new Map())
    const most = Math.max(0, ...this.works.map(({ wants }) => wants.length))
    this.found = new Int32Array(most)
    this.left = new Int32Array(most)
    this.inBags = new Int32Array(riders.length)
    this.openedFor = Float64Array.from(this.works, (work) => this.bagsOpened(work))
    for (const bags of this.openedFor) this.opened += bags
    this.marked = { holders: this.holders.slice(), openedFor: this.openedFor.slice(), opened: this.opened }
  }

  get hours(): number {
    return this.fetchH * this.opened
  }

  /** Who carries any of an item. */
  holdersOf(item: number): number {
    return this.holders[item] ?? 0
  }

  /** From now on others carry an item. */
  hand({ item, holders }: Holding): void {
    if (holders === this.holders[item]) return
    this.holders[item] = holders
    for (const number of defined(this.worksOf[item])) {
      const bags = this.bagsOpened(defined(this.works[number]))
      this.opened += bags - numberAt(this.openedFor, number)
      this.openedFor[number] = bags
    }
    for (const other of defined(this.near[item])) {
      const seen = defined(this.seen[other])
      if (seen.size > 0) seen.clear()
    }
  }

  /** Keeps who carries what, and what that opens, as it is now. */
  mark(): void {
    this.marked.holders.set(this.holders)
    this.marked.openedFor.set(this.openedFor)
    this.marked.opened = this.opened
  }

  /** Goes back to what was marked last. */
  back(): void {
    this.holders.set(this.marked.holders)
    this.openedFor.set(this.marked.openedFor)
    this.opened = this.marked.opened
    for (const seen of this.seen) if (seen.size > 0) seen.clear()
  }

  /** The hours if others were to carry some items, each named once. */
  hoursWith(holdings: readonly Holding[]): number {
    let opened = this.opened
    // Pieces that are never wanted together may be looked at one by one.
    const isNear = holdings.some((some, i) =>
      holdings.slice(i + 1).some(({ item }) => nth(this.near, some.item).has(item)),
    )
    if (isNear) opened += this.moreWith(holdings)
    else for (const holding of holdings) opened += this.moreWithOne(holding)
    return this.fetchH * opened
  }

  private moreWithOne(holding: Holding): number {
    if (holding.holders === this.holders[holding.item]) return 0
    return entry(defined(this.seen[holding.item]), holding.holders, () => this.moreWith([holding]))
  }

  private moreWith(holdings: readonly Holding[]): number {
    const before = holdings.map(({ item }) => this.holdersOf(item))
    for (const { item, holders } of holdings) this.holders[item] = holders
    let more = 0
    holdings.forEach(({ item }, i) => {
      for (const number of nth(this.worksOf, item)) {
        const isLookedAt = holdings.slice(0, i).some((other) => nth(this.worksOf, other.item).includes(number))
        if (!isLookedAt) more += this.bagsOpened(nth(this.works, number)) - numberAt(this.openedFor, number)
      }
    })
    holdings.forEach(({ item }, i) => (this.holders[item] = nth(before, i)))
    return more
  }

  /**
   * So many bags of others are opened for a work, as often as it comes: of those that have most of what is still wanted, one
   * after another. What nobody carries is done without.
   */
  private bagsOpened({ wants, own, present, times }: AlikeWork): number {
    const { found, left } = this
    let wanted = 0
    for (const items of wants) {
      let holders = 0
      for (const item of items) holders |= this.holders[item] ?? 0
      if (holders !== 0) found[wanted++] = holders
    }
    if (wanted === 0) return 0
    let opened = 0
    for (let i = 0; i < own.length; i++) {
      const [mine, there] = [own[i] ?? 0, present[i] ?? 0]
      let [lacking, inOneBag] = [0, -1]
      for (let w = 0; w < wanted; w++) {
        const holders = (found[w] ?? 0) & there
        if (holders === 0 || (holders & mine) !== 0) continue
        left[lacking++] = holders
        inOneBag &= holders
      }
      if (lacking === 0) continue
      opened += numberAt(times, i) * (inOneBag !== 0 ? 1 : lacking === 2 ? 2 : this.fewestBags(lacking))
    }
    return opened
  }

  /** @param wanted how many pieces are lacking */
  private fewestBags(wanted: number): number {
    const { left, inBags } = this
    let lacking = wanted
    let bags = 0
    for (; lacking > 0; bags++) {
      inBags.fill(0)
      let [best, most] = [0, 0]
      for (let i = 0; i < lacking; i++)
        for (let holders = left[i] ?? 0; holders !== 0; holders &= holders - 1) {
          const rider = 31 - Math.clz32(holders & -holders)
          const inBag = (inBags[rider] ?? 0) + 1
          inBags[rider] = inBag
          if (inBag > most || (inBag === most && rider < best)) [best, most] = [rider, inBag]
        }
      let kept = 0
      for (let i = 0; i < lacking; i++) {
        const holders = left[i] ?? 0
        if (((holders >> best) & 1) === 0) left[kept++] = holders
      }
      lacking = kept
    }
    return bags
  }
}

/**
 * All work that is done with a kit while all are together, as often as it comes; the same work on the same bike once.
 *
 * @param kit how many of each item all carry
 */
export function worksWith(
  { problem: { ledger, demand, providers }, bikeOf, shares }: Omit<CompanyOnRoad, 'present'>,
  kit: ArrayLike<number>,
): Work[] {
  const promise = new KitPromise(demand, kit)
  promise.settle(settlingRounds)
  const eventAt = new Map(ledger.events.map(({ id }, e) => [id, e]))
  const suppliers = demand.ofStock.map((stock) => stock.suppliers.map(({ item }) => item))
  const works = new Map<string, Work & { times: number }>()
  demand.streams.forEach(({ event, expectedInAll, expected }, number) => {
    if (expectedInAll < leastTimes) return
    const e = defined(eventAt.get(event.id))
    // Where none of it counts, nothing is tried.
    let [counted, tried] = [0, 0]
    nth(shares, e).forEach((part, leg) => {
      counted += part * numberAt(expected, leg)
      tried += part > 0 ? numberAt(expected, leg) : 0
    })
    const share = tried > 0 ? counted / tried : 0
    promise.account(number).fixes.forEach((fix, f) => {
      const times = share * fix.tried
      const { needs, uses } = nth(event.fixes, f)
      const wants = [...needs.map((name) => nth(providers, name)), ...uses.map(({ stock }) => nth(suppliers, stock))]
      if (times < leastTimes || wants.length === 0) return
      const bike = nth(bikeOf, e)
      const known = entry(works, JSON.stringify([bike, wants]), () => ({ bike, times: 0, wants }))
      known.times += times
    })
  })
  return [...works.values()]
}
