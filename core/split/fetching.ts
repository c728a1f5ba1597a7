import { entry } from '../maths'
import { KitPromise, settlingRounds } from '../promise'
import { defined, nth, numberAt } from '../validation'
import type { SplitProblem, Together } from './problem'

/** Work on a bike for which pieces are wanted, however many bags they come from. */
export interface Work {
  /** The bike, by its number; null where nobody rides it: then everything is fetched. */
  readonly bike: number | null
  /** How often it is done while all are together, in the mean. */
  readonly times: number
  /** For each piece that it wants, the items of which any one will do. */
  readonly wants: readonly (readonly number[])[]
}

/** Work that comes less often than this is left out: it would take longer to look at than it ever costs. */
const leastTimes = 0.002

/**
 * What is fetched from one another's bags while riders are together: whoever mends a bike takes what they need from the bags
 * on it, and has the rest handed over, one bag after another. Kept in step with who carries what.
 */
export class Fetching {
  private readonly ridersOf: readonly number[]
  /** For each item, a bit for each rider who carries any of it. */
  private readonly holders: Int32Array
  /** For each item, the works that want it, by their numbers. */
  private readonly worksOf: readonly (readonly number[])[]
  private readonly bags: Int32Array
  /** Who holds what is still wanted; used again for the next work. */
  private readonly wanted: Int32Array
  private opened = 0

  /** @param carried for each rider, how many of each item */
  constructor(
    private readonly problem: Pick<SplitProblem, 'riders' | 'items' | 'alone' | 'works' | 'fetchH'>,
    carried: readonly Int32Array[],
  ) {
    const { riders, items, alone, works } = problem
    this.ridersOf = alone.map((_, bike) =>
      riders.reduce((mask, rider, r) => (rider.bike === bike ? mask | (1 << r) : mask), 0),
    )
    this.holders = Int32Array.from(items, (_, item) =>
      carried.reduce((mask, counts, r) => (nth(counts, item) > 0 ? mask | (1 << r) : mask), 0),
    )
    const worksOf = items.map((): number[] => [])
    works.forEach(({ wants }, number) => {
      for (const item of new Set(wants.flat())) nth(worksOf, item).push(number)
    })
    this.worksOf = worksOf
    this.wanted = new Int32Array(Math.max(0, ...works.map(({ wants }) => wants.length)))
    this.bags = Int32Array.from(works, (work) => this.bagsOpened(work))
    works.forEach(({ times }, number) => (this.opened += times * nth(this.bags, number)))
  }

  get hours(): number {
    return this.problem.fetchH * this.opened
  }

  /** From now on a rider carries some of an item, or none. */
  set(rider: number, item: number, isCarried: boolean): void {
    const before = nth(this.holders, item)
    const after = isCarried ? before | (1 << rider) : before & ~(1 << rider)
    if (after === before) return
    this.holders[item] = after
    for (const number of nth(this.worksOf, item)) {
      const work = nth(this.problem.works, number)
      const bags = this.bagsOpened(work)
      this.opened += work.times * (bags - nth(this.bags, number))
      this.bags[number] = bags
    }
  }

  /** So many bags of others are opened: of those that have most of what is still wanted, one after another. */
  private bagsOpened({ bike, wants }: Work): number {
    const own = bike === null ? 0 : nth(this.ridersOf, bike)
    let [wanted, inOneBag] = [0, -1]
    for (const items of wants) {
      const holders = this.holdersOf(items)
      if (holders === 0 || (holders & own) !== 0) continue
      wanted++
      inOneBag &= holders
    }
    if (wanted === 0) return 0
    return inOneBag === 0 ? this.fewestBags(wants, own) : 1
  }

  private fewestBags(wants: Work['wants'], own: number): number {
    const { wanted } = this
    let left = 0
    for (const items of wants) {
      const holders = this.holdersOf(items)
      if (holders !== 0 && (holders & own) === 0) wanted[left++] = holders
    }
    let opened = 0
    for (; left > 0; opened++) {
      let [best, most] = [0, 0]
      for (let rider = 0; rider < this.problem.riders.length; rider++) {
        let found = 0
        for (let i = 0; i < left; i++) found += ((wanted[i] ?? 0) >> rider) & 1
        if (found > most) [best, most] = [rider, found]
      }
      let kept = 0
      for (let i = 0; i < left; i++) {
        const holders = wanted[i] ?? 0
        if (((holders >> best) & 1) === 0) wanted[kept++] = holders
      }
      left = kept
    }
    return opened
  }

  private holdersOf(items: readonly number[]): number {
    let holders = 0
    for (const item of items) holders |= this.holders[item] ?? 0
    return holders
  }
}

/**
 * All work that is done with a kit while all are together, as often as it comes; the same work on the same bike once.
 *
 * @param kit how many of each item all carry
 */
export function worksWith(
  { problem: { ledger, demand, providers }, bikeOf, shares }: Together,
  kit: ArrayLike<number>,
): Work[] {
  const promise = new KitPromise(demand, kit)
  promise.settle(settlingRounds)
  const eventAt = new Map(ledger.events.map(({ id }, e) => [id, e]))
  const suppliers = demand.ofStock.map((stock) => stock.suppliers.map(({ item }) => item))
  const works = new Map<string, { bike: number | null; times: number; wants: (readonly number[])[] }>()
  demand.streams.forEach(({ event, expectedInAll, expected }, number) => {
    if (expectedInAll < leastTimes) return
    const e = defined(eventAt.get(event.id))
    const share = nth(shares, e).reduce((sum, part, leg) => sum + part * numberAt(expected, leg), 0) / expectedInAll
    promise.account(number).fixes.forEach(({ tried }, f) => {
      const times = share * tried
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
