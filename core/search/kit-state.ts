import { isWithin, loadOf, moneyFor } from '../ledger'
import { KitPromise, type Change } from '../promise'
import { nth, numberAt } from '../validation'
import { Additions } from './additions'
import type { KitProblem } from './problem'
import { pays } from './slack'

/** Which streams, and which clusters of stocks, have been seen on a round through them. */
class Seen {
  private round = 0
  private readonly streams: Int32Array
  private readonly clusters: Int32Array

  constructor({ streams, clusters }: KitProblem['demand']) {
    this.streams = new Int32Array(streams.length)
    this.clusters = new Int32Array(clusters.length)
  }

  begin(): void {
    this.round++
  }

  /** Whether a stream is seen for the first time on this round. */
  stream(number: number): boolean {
    const isFirst = this.streams[number] !== this.round
    this.streams[number] = this.round
    return isFirst
  }

  /** The same of a cluster. */
  cluster(number: number): boolean {
    const isFirst = this.clusters[number] !== this.round
    this.clusters[number] = this.round
    return isFirst
  }
}

/** Hours that failures cost more: of each stream, and of all. */
interface Losses {
  readonly byStreamH: Float64Array
  readonly inAllH: number
}

/**
 * A kit that is being searched from: what it promises, weighs and costs to carry.
 *
 * It may be one of a condensed ledger: what seems to gain there, or to lose so little that it may gain, is then made sure of
 * on the whole ledger before it is done.
 */
export class KitState {
  massG = 0
  /** What has to be bought of it, in the smallest coins; 0 where money is no matter. */
  money = 0
  /** Hours that a gram and a coin cost beyond their price: the Lagrangian prices of the budgets. */
  extraHoursPerGram = 0
  extraHoursPerCoin = 0
  /** The most it may weigh and cost now. */
  budgetG: number
  budgetMoney: number
  private readonly isMoneyMatter: boolean
  private readonly promise: KitPromise
  /** Once it was asked for. */
  private everyAddition: Additions | undefined
  private readonly seen: Seen
  private readonly gains = new Map<string, { gainH: number; items: readonly number[]; isFresh: boolean }>()
  /** For each item, what is lost more without one piece of it. */
  private readonly losses = new Map<number, Losses>()
  /** Whether what is changed will be taken back. */
  private isTrying = false

  /** The same kit on the whole ledger, where changes are made sure of. */
  private whole: KitState | undefined

  constructor(
    readonly problem: KitProblem,
    counts: ArrayLike<number>,
  ) {
    this.promise = new KitPromise(problem.demand, counts)
    this.promise.settle(settling)
    this.seen = new Seen(problem.demand)
    const { budgetG, budgetMoney } = problem.ledger
    this.budgetG = budgetG
    this.budgetMoney = budgetMoney
    this.isMoneyMatter = Number.isFinite(budgetMoney)
    const load = loadOf(problem.ledger, counts)
    this.massG = load.massG
    this.money = this.isMoneyMatter ? load.money : 0
  }

  get counts(): Int32Array {
    return this.promise.counts
  }

  /** What a search makes the most of: hours not lost, less what carrying costs. */
  get netH(): number {
    return -this.promise.promiseH - this.carryingH
  }

  /** What carrying it costs, in hours. */
  private get carryingH(): number {
    return this.massG * this.hoursPerGram + this.money * this.extraHoursPerCoin
  }

  /** Hours that it spares, against what everything bare-handed would lose. */
  get savedH(): number {
    return this.problem.hoursAtStake - this.promise.promiseH
  }

  get hoursPerGram(): number {
    return this.problem.ledger.hoursPerGram + this.extraHoursPerGram
  }

  /** How many of an item could be left at home. */
  spare(item: number): number {
    return nth(this.counts, item) - this.item(item).min
  }

  private massOf(changes: readonly Change[]): number {
    return changes.reduce((sum, { item, by }) => sum + by * this.item(item).massG, 0)
  }

  /** What a change adds to what has to be bought. A change may say something of an item more than once. */
  private moneyOf(changes: readonly Change[]): number {
    if (!this.isMoneyMatter) return 0
    const by = new Map<number, number>()
    for (const change of changes) by.set(change.item, (by.get(change.item) ?? 0) + change.by)
    let sum = 0
    for (const [number, change] of by) {
      const [item, count] = [this.item(number), nth(this.counts, number)]
      sum += moneyFor(item, count + change) - moneyFor(item, count)
    }
    return sum
  }

  /** What a change costs to carry, in hours. */
  priceOf(changes: readonly Change[]): number {
    return this.massOf(changes) * this.hoursPerGram + this.moneyOf(changes) * this.extraHoursPerCoin
  }

  /** The part of that which only the Lagrangian prices ask for. */
  private extraOf(changes: readonly Change[]): number {
    return this.massOf(changes) * this.extraHoursPerGram + this.moneyOf(changes) * this.extraHoursPerCoin
  }

  /** What a change takes of what is scarce: shares of the budgets where there is one, else grams; always more than nothing. */
  loadOf(changes: readonly Change[]): number {
    if (!Number.isFinite(this.budgetMoney)) return this.massOf(changes) + 1
    const [budgetG, budgetMoney] = [Math.max(this.budgetG, 1), Math.max(this.budgetMoney, 1)]
    return this.massOf(changes) / budgetG + this.moneyOf(changes) / budgetMoney + leastLoad
  }

  /** Whether it is within its budgets. */
  get fits(): boolean {
    return isWithin(this, this)
  }

  /** Whether there is a budget at all. */
  get isLimited(): boolean {
    return Number.isFinite(this.budgetG) || Number.isFinite(this.budgetMoney)
  }

  /** How much of what is too much a change takes away, as shares of it; 0 where nothing is too much. */
  usefulOf(changes: readonly Change[]): number {
    const share = (over: number, less: number) => (over > 0 ? Math.min(less, over) / over : 0)
    return (
      share(this.massG - this.budgetG, -this.massOf(changes)) +
      share(this.money - this.budgetMoney, -this.moneyOf(changes))
    )
  }

  /** Whether a change stays within what there is, the pins and the budgets; a kit above one may only come down. */
  allows(changes: readonly Change[]): boolean {
    const isThere = changes.every(({ item, by }) => {
      const count = nth(this.counts, item) + by
      const { min, max } = this.item(item)
      return count >= min && count <= max
    })
    if (!isThere) return false
    const comesDown = (now: number, by: number, most: number) => now + by <= most || (now > most && by < 0)
    return (
      comesDown(this.massG, this.massOf(changes), this.budgetG) &&
      comesDown(this.money, this.moneyOf(changes), this.budgetMoney)
    )
  }

  /** Everything that may be added at once, each once. */
  additions(): Change[][] {
    this.everyAddition ??= new Additions(this.problem)
    return this.everyAddition.to(this.counts)
  }

  /** Net hours gained by a change that is then taken back; what was found before holds until what it bears on changes. */
  gain(changes: readonly Change[]): number {
    const extraH = this.extraOf(changes)
    const key = keyOf(changes)
    const known = this.isTrying ? undefined : this.gains.get(key)
    if (known?.isFresh) return known.gainH - extraH
    const gainH = this.tryOut(changes, (gained) => gained)
    if (!this.isTrying) this.remember(changes, gainH)
    return gainH
  }

  /** What a change was last seen to gain, however long ago. */
  guess(changes: readonly Change[]): number | undefined {
    const known = this.gains.get(keyOf(changes))
    return known && known.gainH - this.extraOf(changes)
  }

  /** Tries a change, lets something be read off (further changes may be made for that), and takes all back. */
  tryOut<T>(changes: readonly Change[], read: (gainH: number) => T): T {
    const [before, massG, money, wasTrying] = [this.netH, this.massG, this.money, this.isTrying]
    this.isTrying = true
    const add = this.adding(changes)
    const result = this.promise.tryAtSight(changes, () => {
      add()
      return read(this.netH - before)
    })
    this.massG = massG
    this.money = money
    this.isTrying = wasTrying
    return result
  }

  /** Makes a change whether it gains or not. */
  set(changes: readonly Change[]): void {
    const add = this.adding(changes)
    this.promise.apply(changes)
    this.promise.settle(settling)
    add()
    this.outdate(changes)
  }

  /** To be asked before a change is made, and done once it is: what it weighs and costs is added. */
  private adding(changes: readonly Change[]): () => void {
    const [byG, byMoney] = [this.massOf(changes), this.moneyOf(changes)]
    return () => {
      this.massG += byG
      this.money += byMoney
    }
  }

  /** From now on changes are made sure of on the whole ledger. */
  makeSureOn(problem: KitProblem): void {
    this.whole = new KitState(problem, this.counts)
  }

  /** Whether a change that seems to gain so much may gain, as it will be made sure of. */
  mayPay(gainH: number, changes: readonly Change[]): boolean {
    return pays(this.whole && !this.isTrying ? gainH + this.doubtOf(changes) : gainH)
  }

  /** Hours by which a condensed ledger may be mistaken about a change: there tools always work, so that a second is idle. */
  private doubtOf(changes: readonly Change[]): number {
    const hasTools = changes.some(({ item }) => this.item(item).provides.length > 0)
    return (hasTools ? doubtShares.tools : doubtShares.stock) * this.problem.hoursAtStake
  }

  /**
   * Makes a change. Outside of a trial all is then worked out anew, and a change that proves no gain is taken back.
   *
   * @returns whether it was made
   */
  apply(changes: readonly Change[]): boolean {
    if (this.isTrying) {
      const add = this.adding(changes)
      this.promise.applyAtSight(changes)
      add()
      return true
    }
    if (this.whole) {
      Object.assign(this.whole, {
        extraHoursPerGram: this.extraHoursPerGram,
        extraHoursPerCoin: this.extraHoursPerCoin,
        budgetG: this.budgetG,
        budgetMoney: this.budgetMoney,
      })
      if (!this.whole.apply(changes)) {
        this.remember(changes, -Infinity)
        return false
      }
    }
    const before = this.netH
    const priceH = this.priceOf(changes)
    const add = this.adding(changes)
    const gainH = this.promise.attempt(
      () => {
        this.promise.apply(changes)
        this.promise.settle(settling)
        return this.netH - priceH - before
      },
      (gain) => this.whole !== undefined || pays(gain),
    )
    if (!this.whole && !pays(gainH)) {
      this.remember(changes, gainH)
      return false
    }
    add()
    this.outdate(changes)
    return true
  }

  private remember(changes: readonly Change[], gainH: number): void {
    const items = changes.map(({ item }) => item)
    const ownH = gainH + this.extraOf(changes)
    this.gains.set(keyOf(changes), { gainH: ownH, items, isFresh: true })
  }

  private outdate(changes: readonly Change[]): void {
    const { meets } = this.problem
    for (const known of this.losses.keys()) {
      if (changes.some(({ item }) => item === known || nth(meets, item).has(known))) this.losses.delete(known)
    }
    for (const known of this.gains.values()) {
      if (!known.isFresh) continue
      known.isFresh = !changes.some(({ item }) =>
        known.items.some((other) => other === item || nth(meets, item).has(other)),
      )
    }
  }

  /**
   * The items of which a piece may become idle beside an addition: those that lose less than they cost to carry by failures
   * on which the addition does not bear.
   */
  idleBeside(changes: readonly Change[]): number[] {
    const { meets } = this.problem
    const near = this.streamsNear(changes)
    const elsewhereH = (item: number) => {
      const { inAllH, byStreamH } = this.lossesWithout(item)
      let sum = inAllH
      for (const number of near) sum -= numberAt(byStreamH, number)
      return sum
    }
    return [...new Set(changes.flatMap(({ item }) => [...nth(meets, item)]))].filter(
      (item) =>
        this.spare(item) > 0 &&
        !changes.some((change) => change.item === item) &&
        pays(-this.priceOf([{ item, by: -1 }]) - elsewhereH(item)),
    )
  }

  private lossesWithout(item: number): Losses {
    const known = this.losses.get(item)
    if (known) return known
    const before = this.promise.hoursByStream()
    const after = this.promise.tryAtSight([{ item, by: -1 }], () => this.promise.hoursByStream())
    let inAllH = 0
    for (let number = 0; number < after.length; number++) {
      const lostH = numberAt(after, number) - numberAt(before, number)
      after[number] = lostH
      inAllH += lostH
    }
    const losses = { byStreamH: after, inAllH }
    this.losses.set(item, losses)
    return losses
  }

  /** The streams of failures that a change bears on, and those that share stock with them; each once. */
  private streamsNear(changes: readonly Change[]): number[] {
    const { streamsOf, demand } = this.problem
    const near: number[] = []
    const clusters: number[] = []
    this.seen.begin()
    for (const { item } of changes) {
      for (const number of nth(streamsOf, item)) {
        if (this.seen.stream(number)) near.push(number)
        for (const cluster of nth(demand.clustersOfStream, number)) {
          if (this.seen.cluster(cluster) && this.promise.isAnyCarried(cluster)) clusters.push(cluster)
        }
      }
    }
    for (const cluster of clusters) {
      for (const number of nth(demand.clusters, cluster).streams) if (this.seen.stream(number)) near.push(number)
    }
    return near
  }

  /**
   * The most that adding something can gain at sight: what the streams that it bears on lose beyond what they would lose with
   * everything at hand.
   */
  mostGained(changes: readonly Change[]): number {
    let sum = -this.priceOf(changes)
    this.seen.begin()
    for (const { item } of changes) {
      for (const number of nth(this.problem.streamsOf, item)) {
        if (this.seen.stream(number)) sum += this.promise.beyondLeast(number)
      }
    }
    return sum
  }

  private item(item: number) {
    return nth(this.problem.ledger.items, item)
  }
}

/** So many times the stocks are worked out from each other after each change; more where a kit is the answer. */
const settling = 1

/** Of two things that take nothing of any budget, the one that gains more comes first. */
const leastLoad = 1e-3

/** As shares of what everything bare-handed would lose. Found by trying. */
const doubtShares = { tools: 0.0015, stock: 0.0003 } as const

const keyOf = (changes: readonly Change[]) => changes.map(({ item, by }) => `${item}:${by}`).join()
