import { missingParts, type Demand } from './bundle'
import type { Change, KitState } from './kit-state'
import type { Item, Problem } from './problem'

/** Gains below this many hours (0.04 s) are rounding. */
const worthwhile = 1e-5
/** Enough for any search seen to come to rest. */
const mostRounds = 40
/** How many bundles are tried in exchange for something carried. */
const mostNearlyPaying = 16

/** How many bundles are pushed in though they do not pay or fit. */
const mostIntruders = 12

/** What may be added at once. */
interface Bundle {
  readonly changes: readonly Change[]
  readonly key: string
}

interface RatedBundle extends Bundle {
  /** Net hours gained by adding it to the kit as it is, were the budget no matter. */
  readonly gain: number
}

/** What a trial of several changes led to. */
interface Outcome {
  readonly netH: number
  readonly changes: readonly Change[]
}

/** A search for a better kit, one change at a time. */
export class Search {
  /** Gains of changes to the kit as it is; stale once a change to the kit may have altered them. */
  private readonly known = new Map<string, { gain: number; items: number[]; fresh: boolean }>()

  private bundlesNow: Bundle[] | undefined
  private restsNow: number[][] | undefined
  /** Whether even what looks hopeless is tried. */
  private sceptical = true
  /** What a gram over the budget is worth, in hours, where a squeeze has found out. */
  private gramH = 0
  /** Whether trials let claims push others on: worth its time once a kit stands. */
  private thoroughly = false

  /** One more of each item, and one less. */
  private readonly more: readonly Bundle[]
  private readonly less: readonly Bundle[]

  constructor(
    readonly state: KitState,
    private readonly demands: readonly Demand[],
  ) {
    this.more = state.problem.items.map((_, item) => bundleOf([{ item, by: 1 }]))
    this.less = state.problem.items.map((_, item) => bundleOf([{ item, by: -1 }]))
  }

  /** Adds the bundle with the most net hours per gram until none gains. */
  addBundles(): void {
    for (;;) {
      const bundles = this.bundles().filter(({ changes }) => this.state.allows(changes))
      const best = this.best(bundles, ({ changes }) => massOf(this.problem, changes) + 1e-6, worthwhile)
      if (!best) return
      this.apply(best.changes)
    }
  }

  /** Leaves off pieces, the least worth their grams first, until every one left earns its place and the budget holds. */
  leaveOff(): void {
    const { items } = this.problem
    for (;;) {
      const over = this.state.isOver
      const drops = this.less.filter((_, item) => this.spare(item) > 0)
      const best = this.best(
        drops,
        ({ changes }) => (over ? items[changes[0]!.item]!.massG + 1e-6 : 1),
        over ? -Infinity : -worthwhile,
      )
      if (!best) return
      this.apply(best.changes)
    }
  }

  /**
   * The change with the best gain for its weight. What a change gained before
   * the kit was last altered is a fair guess at what it gains now, so trials
   * stop once no guess beats the best seen; that nothing gains is believed only
   * after all have been tried.
   */
  private best(bundles: readonly Bundle[], weightOf: (bundle: Bundle) => number, least: number): Bundle | undefined {
    const ranked = bundles
      .map((bundle) => ({ bundle, guess: (this.known.get(bundle.key)?.gain ?? Infinity) / weightOf(bundle) }))
      .sort((a, b) => b.guess - a.guess)
    let best: Bundle | undefined
    let bestScore = -Infinity
    for (const { bundle, guess } of ranked) {
      if (best && guess < bestScore) break
      const gained = this.gain(bundle)
      if (gained > least && gained / weightOf(bundle) > bestScore) {
        best = bundle
        bestScore = gained / weightOf(bundle)
      }
    }
    return best
  }

  /**
   * Shrinks the kit to a budget: grams are made dearer step by step, and what
   * no longer pays is dropped or swapped, until the kit fits; with grams at
   * their own price again, what room is left is then filled.
   */
  squeezeTo(budgetG: number): void {
    const { state } = this
    const perGram = Math.max(state.savedH, 1e-6) / Math.max(state.massG, 1)
    for (let squeeze = perGram / 8; state.massG > budgetG && squeeze < perGram * 1e6; squeeze *= 1.35) {
      state.squeeze = squeeze
      this.known.clear()
      this.comeToRest()
    }
    this.gramH = state.squeeze
    state.squeeze = 0
    state.budgetG = budgetG
    this.known.clear()
    this.leaveOff()
    this.improve()
  }

  /** Drops, adds and swaps until nothing gains, not even with every claim answered anew. */
  improve(): void {
    this.thoroughly = true
    this.known.clear()
    for (let round = 0; round < mostRounds; round++) {
      this.sceptical = false
      this.comeToRest()
      // At rest: whatever was taken as known, or as hopeless, is now tried.
      this.sceptical = true
      const before = this.state.netH
      this.state.settle()
      if (this.state.netH > before + worthwhile) this.known.clear()
      else this.forgetAdditions()
      if (!this.addSome() && !this.dropSome()) return
    }
  }

  /** Every kind of change in turn, until a whole round changes nothing. */
  private comeToRest(): void {
    for (let round = 0; round < mostRounds; round++) {
      const changed = this.dropSome() || this.addSome() || this.swapSome() || this.pushInSome() || this.dropChains()
      if (!changed) return
    }
  }

  /** What was known of additions may be old by two steps, through stock handed from claim to claim. */
  private forgetAdditions(): void {
    for (const [key, { gain, items }] of this.known) {
      const hopeful = items.reduce((sum, item) => sum + this.state.priceOf(item), gain) > worthwhile
      if (!key.includes('-') && hopeful) this.known.delete(key)
    }
  }

  private get problem(): Problem {
    return this.state.problem
  }

  /** How many of an item could be put back. */
  private spare(item: number): number {
    return this.state.counts[item]! - this.problem.items[item]!.min
  }

  private gain({ changes, key }: Bundle): number {
    const known = this.known.get(key)
    if (known?.fresh || (known && this.isHopeless(changes, known.gain))) return known.gain
    // Only what is added can be handed on from claim to claim with profit.
    const gain = this.state.gain(changes, this.thoroughly)
    this.known.set(key, { gain, items: changes.map(({ item }) => item), fresh: true })
    return gain
  }

  /** Whether a drop last seen to lose several times its price can be left untried until everything else is at rest. */
  private isHopeless(changes: readonly Change[], lastGain: number): boolean {
    return (
      !this.sceptical &&
      !Number.isFinite(this.state.budgetG) &&
      changes[0]!.by < 0 &&
      lastGain < -3 * priceOf(this.state, changes)
    )
  }

  private apply(changes: readonly Change[]): void {
    this.state.apply(changes)
    this.bundlesNow = undefined
    this.restsNow = undefined
    const { meets } = this.problem
    for (const known of this.known.values()) {
      if (!known.fresh) continue
      const { items } = known
      known.fresh = !changes.some(({ item }) => items.some((other) => other === item || meets[item]!.has(other)))
    }
  }

  private take(bundle: Bundle): boolean {
    if (!this.state.allows(bundle.changes) || this.gain(bundle) <= worthwhile) return false
    this.apply(bundle.changes)
    return true
  }

  /** Every bundle worth a trial with the kit as it is. */
  private bundles(): Bundle[] {
    return (this.bundlesNow ??= this.findBundles())
  }

  /** Each piece alone, and each demand completed for no use more, for one, for two. */
  private findBundles(): Bundle[] {
    const found = new Map<string, Bundle>()
    const consider = (changes: Change[] | undefined) => {
      if (!changes || changes.length === 0) return
      const { item, by } = changes[0]!
      const bundle = changes.length === 1 && by === 1 ? this.more[item]! : bundleOf(changes)
      found.set(bundle.key, bundle)
    }
    this.problem.items.forEach((item, i) => {
      if (this.state.counts[i]! < item.max) found.set(this.more[i]!.key, this.more[i]!)
    })
    for (const demand of this.demands) {
      consider(missingParts(this.state, demand, 0))
      if (demand.stocks.length === 0) continue
      consider(missingParts(this.state, demand, 1))
      if (demand.repeats > 1) consider(missingParts(this.state, demand, 2))
    }
    return [...found.values()]
  }

  /** Bundles that nearly pay, the best first: the only ones likely to pay once something else has gone. */
  private nearlyPaying(): RatedBundle[] {
    return this.bundles()
      .map((bundle) => ({ changes: bundle.changes, key: bundle.key, gain: this.gain(bundle) }))
      .sort((a, b) => b.gain - a.gain)
      .slice(0, mostNearlyPaying)
  }

  /** One piece, all of one kind, or all that one way of mending asks for. */
  private dropSome(): boolean {
    let any = false
    for (let i = 0; i < this.problem.items.length; i++) {
      if (this.spare(i) > 0 && this.take(this.less[i]!)) any = true
      if (this.spare(i) > 1 && this.take(bundleOf([{ item: i, by: -this.spare(i) }]))) any = true
    }
    for (const rests of this.restsOfDemands(6)) {
      if (rests.some((item) => this.spare(item) <= 0)) continue
      const drop = rests.map((item) => ({ item, by: -this.spare(item) }))
      if (this.atMost(drop) > worthwhile && this.take(bundleOf(drop))) any = true
    }
    return any
  }

  /** Leaves off all of one kind, with everything that only it made worth carrying. */
  private dropChains(): boolean {
    let any = false
    for (let i = 0; i < this.problem.items.length; i++) {
      if (this.spare(i) === 0) continue
      const first = [{ item: i, by: -this.spare(i) }]
      const companions = [...this.problem.meets[i]!].filter((j) => this.spare(j) > 0)
      const room = companions.reduce((sum, j) => sum + this.state.priceOf(j) * this.spare(j), 0)
      if (this.gain(bundleOf(first)) + room <= worthwhile) continue
      const before = this.state.netH
      const result = this.state.tryOut(first, () => this.putBack(companions, first))
      if (!result || result.netH <= before + worthwhile) continue
      this.apply(result.changes)
      any = true
    }
    return any
  }

  /** What dropping several things can gain at most: their price, less what the one most missed would cost alone. */
  private atMost(drop: readonly Change[]): number {
    const priceH = priceOf(this.state, drop)
    const missed = drop.map(
      (change) =>
        priceOf(this.state, [change]) -
        (this.known.get((change.by === -1 ? this.less[change.item]! : bundleOf([change])).key)?.gain ?? Infinity),
    )
    return priceH - Math.max(0, ...missed)
  }

  private addSome(): boolean {
    let any = false
    for (const bundle of this.bundles()) if (this.take(bundle)) any = true
    return any
  }

  /** What each way of mending rests on in the kit, where that is two to so many kinds of things. */
  private restsOfDemands(most: number): number[][] {
    this.restsNow ??= this.findRests()
    return this.restsNow.filter((rests) => rests.length <= most)
  }

  private findRests(): number[][] {
    const { providers, suppliers } = this.problem
    const found = new Map<string, number[]>()
    for (const demand of this.demands) {
      const rests = new Set<number>()
      for (const f of demand.needs) for (const i of providers[f]!) if (this.spare(i) > 0) rests.add(i)
      for (const s of demand.stocks) for (const i of suppliers[s]!) if (this.spare(i) > 0) rests.add(i)
      if (rests.size >= 2 && rests.size <= 6) found.set([...rests].sort().join(), [...rests])
    }
    return [...found.values()]
  }

  /** What may be put back at once: a piece, all of a kind, or, where grams are short, what one way of mending rests on. */
  private drops(): (readonly Change[])[] {
    const drops: (readonly Change[])[] = []
    for (let i = 0; i < this.problem.items.length; i++) {
      if (this.spare(i) > 0) drops.push(this.less[i]!.changes)
      if (this.spare(i) > 1) drops.push([{ item: i, by: -this.spare(i) }])
    }
    if (!Number.isFinite(this.state.budgetG)) return drops
    return [...drops, ...this.restsOfDemands(3).map((rests) => rests.map((item) => ({ item, by: -1 })))]
  }

  /** Puts something back and takes what then gains most instead. */
  private swapSome(): boolean {
    const { state } = this
    let any = false
    let bundles = this.nearlyPaying()
    for (const drop of this.drops()) {
      if (!state.allows(drop)) continue
      const hopeful = this.hopefulAfter(drop, bundles)
      if (hopeful.length === 0) continue
      const before = state.netH
      const added = state.tryOut(drop, () => this.bestAfter(drop, before - state.netH, hopeful), true)
      if (!added) continue
      this.apply([...drop, ...added])
      any = true
      bundles = this.nearlyPaying()
    }
    return any
  }

  /**
   * Bundles that may more than make good a drop. A kit without the pieces never
   * saves more than one with them, so a swap gains at most their price; and a
   * bundle that cannot take their place gains no more than it did with them
   * there, which is of use only where grams were what kept it out.
   */
  private hopefulAfter(drop: readonly Change[], bundles: readonly RatedBundle[]): RatedBundle[] {
    const { rivals } = this.problem
    const priceH = priceOf(this.state, drop)
    const dropGain = drop.length === 1 ? this.gain(bundleOf(drop)) : priceH
    return bundles.filter(({ changes, gain }) => {
      if (gain + priceH <= worthwhile) return false
      const rival = changes.some(({ item }) => drop.some((dropped) => rivals[dropped.item]!.has(item)))
      return rival || (!this.state.allows(changes) && gain + dropGain > worthwhile)
    })
  }

  /** With pieces already dropped: the bundle that makes good most, if more than was lost. */
  private bestAfter(
    drop: readonly Change[],
    lostH: number,
    hopeful: readonly RatedBundle[],
  ): readonly Change[] | undefined {
    let best: readonly Change[] | undefined
    let most = lostH + worthwhile
    for (const { changes } of hopeful) {
      if (changes.some(({ item }) => drop.some((dropped) => dropped.item === item))) continue
      if (!this.state.allows(changes)) continue
      const gained = this.state.gain(changes, true)
      if (gained > most) {
        best = changes
        most = gained
      }
    }
    return best
  }

  /** Takes a bundle though it does not pay or fit, and puts back whatever it has made superfluous. */
  private pushInSome(): boolean {
    const fillers = Number.isFinite(this.state.budgetG) ? this.nearlyPaying() : []
    for (const { bundle, candidates } of this.intruders()) {
      const before = this.state.netH
      const result = this.state.tryOut(bundle.changes, () => this.putBack(candidates, bundle.changes, fillers), true)
      if (result && result.netH > before + worthwhile) {
        this.apply(result.changes)
        return true
      }
    }
    return false
  }

  /** Bundles that might pay if others made way, with what might: those with most to hope for first. */
  private intruders(): { bundle: Bundle; candidates: number[] }[] {
    const { items, rivals } = this.problem
    const { massG, budgetG } = this.state
    const carried = items.flatMap((_, i) => (this.spare(i) > 0 ? [i] : []))
    return this.bundles()
      .map((bundle) => {
        const { changes } = bundle
        const addedG = massOf(this.problem, changes)
        const fits = massG + addedG <= budgetG
        const mayGo = carried.filter((i) => changes.every(({ item }) => item !== i))
        const replaced = mayGo.filter((i) => {
          if (changes.some((change) => gives(items[change.item]!, items[i]!))) return true
          if (!changes.some((change) => rivals[i]!.has(change.item))) return false
          return this.gain(this.less[i]!) >= -2 * this.state.priceOf(i)
        })
        const room = replaced.reduce((sum, i) => sum + this.state.priceOf(i) * this.spare(i), 0)
        const replacedG = replaced.reduce((sum, i) => sum + items[i]!.massG * this.spare(i), 0)
        const overG = Math.max(0, massG + addedG - replacedG - budgetG)
        const hopeH = this.gain(bundle) + room
        return { bundle, candidates: fits ? replaced : mayGo, hopeH, rank: hopeH - this.gramH * overG }
      })
      .filter(({ hopeH }) => hopeH > worthwhile)
      .sort((a, b) => b.rank - a.rank)
      .slice(0, mostIntruders)
  }

  /** Adds what gains most in the room left, again and again. */
  private fillUp(fillers: readonly Bundle[], changes: readonly Change[]): Outcome {
    let best: readonly Change[] | undefined
    let most = worthwhile
    for (const filler of fillers) {
      if (!this.state.allows(filler.changes)) continue
      if (filler.changes.some(({ item }) => changes.some((change) => change.item === item))) continue
      const gained = this.state.gain(filler.changes)
      if (gained > most) {
        best = filler.changes
        most = gained
      }
    }
    if (!best) return { netH: this.state.netH, changes }
    const added = best
    return this.state.tryOut(added, () => this.fillUp(fillers, [...changes, ...added]), true)
  }

  /** Drops what gains most by it, again and again, and first of all until the budget holds. */
  private putBack(
    candidates: readonly number[],
    soFar: readonly Change[],
    fillers: readonly Bundle[] = [],
    gains = this.gainsUntouchedBy(soFar, candidates),
  ): Outcome | undefined {
    const { items, meets } = this.problem
    const over = this.state.isOver
    let best = -1
    let bestScore = over ? -Infinity : worthwhile
    for (const i of candidates) {
      if (this.spare(i) <= 0) continue
      const gained = gains.get(i) ?? this.state.gain(this.less[i]!.changes)
      gains.set(i, gained)
      const score = over ? gained / Math.max(items[i]!.massG, 1e-6) : gained
      if (score > bestScore) {
        best = i
        bestScore = score
      }
    }
    if (best < 0) return over ? undefined : this.fillUp(fillers, soFar)
    const { changes } = this.less[best]!
    const untouched = new Map([...gains].filter(([i]) => i !== best && !meets[best]!.has(i)))
    return this.state.tryOut(changes, () => this.putBack(candidates, [...soFar, ...changes], fillers, untouched), true)
  }

  /** What is known of single drops that some changes have nothing to do with. */
  private gainsUntouchedBy(changes: readonly Change[], candidates: readonly number[]): Map<number, number> {
    const { meets } = this.problem
    const gains = new Map<number, number>()
    for (const i of candidates) {
      const known = this.known.get(this.less[i]!.key)
      if (known?.fresh && changes.every(({ item }) => item !== i && !meets[item]!.has(i))) gains.set(i, known.gain)
    }
    return gains
  }
}

/** Whether one item gives something that another gives too. */
function gives(item: Item, other: Item): boolean {
  return item.provides.some((f) => other.provides.includes(f)) || item.stocks.some((s) => other.stocks.includes(s))
}

function bundleOf(changes: readonly Change[]): Bundle {
  const keys = changes.map(({ item, by }) => `${item}:${by}`)
  return { changes, key: keys.length === 1 ? keys[0]! : keys.sort().join() }
}

const massOf = (problem: Problem, changes: readonly Change[]) =>
  changes.reduce((sum, { item, by }) => sum + by * problem.items[item]!.massG, 0)

const priceOf = (state: KitState, drop: readonly Change[]) =>
  drop.reduce((sum, { item, by }) => sum - by * state.priceOf(item), 0)
