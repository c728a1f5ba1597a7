import { slack, type Answer, type Problem } from './problem'

/** Enough for prices to settle to a few percent. */
const pricingRounds = 24

/**
 * Which answer each claim has, kept good while functions and stocks come and
 * go. A change is repaired where it strikes: claims that lost their tool or
 * their stock take the next best answer, those that lose least making way; and
 * what is newly possible goes to the claims that gain most. Everything can be
 * taken back to a mark.
 */
export class Answering {
  /** The answer of each claim, by its number among all answers; −1 for none. */
  readonly chosen: Int32Array
  savedH = 0
  /** How many needs of each kind of answer are not offered. */
  private readonly missing: Int32Array
  /** What is still on each shelf; below zero only during a repair. */
  private readonly left: Float64Array
  /** The claims whose answer draws on each shelf, in no order. */
  private readonly drawing: number[][]
  private readonly logClaim: number[] = []
  private readonly logAnswer: number[] = []
  private readonly waiting: number[] = []
  private readonly isWaiting: Uint8Array
  private readonly overdrawn: number[] = []
  /** The answers of claim c are those from start[c] up to start[c + 1], best first. */
  private readonly start: Int32Array
  private readonly saved: Float64Array

  constructor(private readonly problem: Problem) {
    this.chosen = new Int32Array(problem.claims.length).fill(-1)
    this.missing = Int32Array.from(problem.needsOfKind)
    this.left = new Float64Array(problem.shelfStock.length)
    this.isWaiting = new Uint8Array(problem.claims.length)
    this.drawing = Array.from(problem.shelfStock, () => [])
    this.start = Int32Array.from([...problem.claims.map(({ first }) => first), problem.answers.length])
    this.saved = Float64Array.from(problem.answers, ({ savedH }) => savedH)
  }

  get mark(): number {
    return this.logClaim.length
  }

  /**
   * A function is now offered by something carried, or no longer by anything.
   *
   * @param noticed false while a trial is being taken back
   */
  setOffered(fn: number, offered: boolean, noticed: boolean): void {
    const { claimOfAnswer } = this.problem
    for (const kind of this.problem.kindsOfFunction[fn]!) {
      const lacked = this.missing[kind]!
      this.missing[kind] = lacked + (offered ? -1 : 1)
      const flips = offered ? lacked === 1 : lacked === 0
      if (!noticed || !flips) continue
      for (const a of this.problem.answersOfKind[kind]!) {
        const c = claimOfAnswer[a]!
        const now = this.chosen[c]!
        if (offered) {
          if (now < 0 || now > a) this.wait(c)
        } else if (now === a) {
          this.choose(c, -1)
          this.wait(c)
        }
      }
    }
  }

  /** So much more (or less) of a stock is carried. */
  addStock(stock: number, amount: number, noticed: boolean): void {
    for (const shelf of this.problem.shelvesOfStock[stock]!) {
      this.left[shelf]! += amount
      if (!noticed) continue
      if (amount > 0) this.waitForShelf(shelf)
      else if (this.left[shelf]! < -slack) this.overdrawn.push(shelf)
    }
  }

  /**
   * Makes good what the changes since the last repair have upset.
   *
   * @param thoroughly whether claims may push others on to a next best answer
   */
  repair(thoroughly: boolean): void {
    for (const shelf of this.overdrawn) while (this.left[shelf]! < -slack) this.moveCheapest(shelf)
    this.overdrawn.length = 0
    // Claims wait in the order of their worth, so the ones that gain most are served first.
    for (let next = 0; next < this.waiting.length; next++) {
      const c = this.waiting[next]!
      this.isWaiting[c] = 0
      if (this.wishOf(c) > slack) this.improve(c, thoroughly)
    }
    this.waiting.length = 0
  }

  /** Takes over answers worked out elsewhere; tools and stock must allow them. */
  adopt(chosen: readonly number[]): void {
    for (let c = 0; c < this.chosen.length; c++) this.set(c, -1)
    chosen.forEach((a, c) => this.set(c, a))
    this.forget()
  }

  /** Takes all choices since a mark back; the functions and stocks must be set back first, without repair. */
  undoTo(mark: number): void {
    for (const c of this.waiting) this.isWaiting[c] = 0
    this.waiting.length = 0
    this.overdrawn.length = 0
    while (this.logClaim.length > mark) {
      const c = this.logClaim.pop()!
      this.set(c, this.logAnswer.pop()!)
    }
  }

  /** Forgets how to take anything back. */
  forget(): void {
    this.logClaim.length = 0
    this.logAnswer.length = 0
  }

  /**
   * Answers all claims anew by pricing the shelves: prices rise on shelves that
   * are asked for more than they hold and fall on others, until asking and
   * stock agree about as well as they can (a subgradient walk on the Lagrangian
   * dual; M. L. Fisher, Management Science 27, 1981). Claims then choose in the
   * order of what they are worth beyond those prices. Kept only if better.
   */
  reprice(): void {
    const price = this.shelfPrices()
    if (!price) return
    const before = Int32Array.from(this.chosen)
    const savedH = this.savedH
    const { claims } = this.problem
    const wish = claims.map((_, c) => this.bestBeyond(c, price, false))
    const order = claims.map((_, c) => c).sort((a, b) => wish[b]!.worth - wish[a]!.worth)
    for (let c = 0; c < claims.length; c++) this.set(c, -1)
    for (const c of order) {
      const { a } = this.bestBeyond(c, price, true)
      if (a >= 0) this.set(c, a)
    }
    this.polish()
    if (this.savedH < savedH) for (let c = 0; c < claims.length; c++) this.set(c, before[c]!)
    this.forget()
  }

  /** What an answer is worth beyond the prices of the shelves it draws on, at its best; with room only, if asked. */
  private bestBeyond(c: number, price: Float64Array, withRoom: boolean): { a: number; worth: number } {
    const { answers } = this.problem
    let best = { a: -1, worth: 0 }
    for (let a = this.able(c, this.start[c]!); a >= 0; a = this.able(c, a + 1)) {
      const { shelves, shelfAmounts } = answers[a]!
      let worth = this.saved[a]!
      for (let j = 0; j < shelves.length; j++) worth -= price[shelves[j]!]! * shelfAmounts[j]!
      if (worth > best.worth && (!withRoom || this.hasRoom(answers[a]!))) best = { a, worth }
    }
    return best
  }

  /** Prices at which the claims ask for what the shelves hold; undefined when there is enough of everything. */
  private shelfPrices(): Float64Array | undefined {
    const { claims, answers, shelfStock } = this.problem
    const held = Float64Array.from(this.left)
    for (const a of this.chosen) {
      if (a < 0) continue
      const { shelves, shelfAmounts } = answers[a]!
      for (let j = 0; j < shelves.length; j++) held[shelves[j]!]! += shelfAmounts[j]!
    }
    const price = new Float64Array(shelfStock.length)
    const asked = new Float64Array(shelfStock.length)
    for (let round = 0; round < pricingRounds; round++) {
      asked.fill(0)
      let worth = 0
      let answered = 0
      for (let c = 0; c < claims.length; c++) {
        const best = this.bestBeyond(c, price, false)
        if (best.a < 0) continue
        const { savedH, shelves, shelfAmounts } = answers[best.a]!
        for (let j = 0; j < shelves.length; j++) asked[shelves[j]!]! += shelfAmounts[j]!
        worth += savedH
        answered++
      }
      let short = false
      let excess2 = 0
      for (let s = 0; s < price.length; s++) {
        const excess = asked[s]! - held[s]!
        if (excess > slack) short = true
        if (excess > 0 || price[s]! > 0) excess2 += excess * excess
      }
      if (round === 0 && !short) return undefined
      if (excess2 === 0) break
      const step = ((worth / Math.max(1, answered)) * 2) / Math.sqrt(excess2) / (1 + round / 6)
      for (let s = 0; s < price.length; s++) price[s] = Math.max(0, price[s]! + step * (asked[s]! - held[s]!))
    }
    return price
  }

  /** Gives every claim that could do better a chance to push another on, until nothing gains. */
  polish(): void {
    for (let round = 0; round < 4; round++) {
      let moved = false
      for (let c = 0; c < this.chosen.length; c++) if (this.wishOf(c) > slack && this.improve(c, true)) moved = true
      if (!moved) return
    }
  }

  private set(c: number, a: number): void {
    const { answers } = this.problem
    const was = this.chosen[c]!
    if (was >= 0) {
      const { shelves, shelfAmounts } = answers[was]!
      this.savedH -= this.saved[was]!
      for (let j = 0; j < shelves.length; j++) {
        const shelf = shelves[j]!
        this.left[shelf]! += shelfAmounts[j]!
        const drawing = this.drawing[shelf]!
        const last = drawing.pop()!
        if (last !== c) drawing[drawing.indexOf(c)] = last
      }
    }
    if (a >= 0) {
      const { shelves, shelfAmounts } = answers[a]!
      this.savedH += this.saved[a]!
      for (let j = 0; j < shelves.length; j++) {
        this.left[shelves[j]!]! -= shelfAmounts[j]!
        this.drawing[shelves[j]!]!.push(c)
      }
    }
    this.chosen[c] = a
  }

  private choose(c: number, a: number): void {
    this.logClaim.push(c)
    this.logAnswer.push(this.chosen[c]!)
    const was = this.chosen[c]!
    this.set(c, a)
    if (was >= 0) for (const shelf of this.problem.answers[was]!.shelves) this.waitForShelf(shelf)
  }

  private wait(c: number): void {
    if (this.isWaiting[c]) return
    this.isWaiting[c] = 1
    this.waiting.push(c)
  }

  private waitForShelf(shelf: number): void {
    for (const c of this.problem.claimsOfShelf[shelf]!) if (this.chosen[c] !== this.start[c]) this.wait(c)
  }

  /** The first answer of a claim from a place on that the tools allow; −1 for none. */
  private able(c: number, from: number): number {
    const { kindOfAnswer } = this.problem
    const end = this.start[c + 1]!
    for (let a = from; a < end; a++) if (this.missing[kindOfAnswer[a]!] === 0) return a
    return -1
  }

  private hasRoom(answer: Answer): boolean {
    const { shelves, shelfAmounts } = answer
    for (let j = 0; j < shelves.length; j++) if (this.left[shelves[j]!]! + slack < shelfAmounts[j]!) return false
    return true
  }

  private savedBy(a: number): number {
    return a < 0 ? 0 : this.saved[a]!
  }

  /** What a claim would gain by the best answer the tools allow. */
  private wishOf(c: number): number {
    const a = this.able(c, this.start[c]!)
    return a < 0 ? 0 : this.saved[a]! - this.savedBy(this.chosen[c]!)
  }

  /** The next answer after a place in the list that tools and stock allow. */
  private nextWithRoom(c: number, from: number): number {
    let a = this.able(c, from)
    while (a >= 0 && !this.hasRoom(this.problem.answers[a]!)) a = this.able(c, a + 1)
    return a
  }

  /** Moves the claim that loses least by it off an overdrawn shelf. */
  private moveCheapest(shelf: number): void {
    let mover = -1
    let moverTo = -1
    let least = Infinity
    for (const c of this.drawing[shelf]!) {
      const now = this.chosen[c]!
      const current = this.problem.answers[now]!
      const place = current.shelves.indexOf(shelf)
      const to = this.nextWithRoom(c, now + 1)
      const rate = (current.savedH - this.savedBy(to)) / current.shelfAmounts[place]!
      if (rate < least || (rate === least && c > mover)) {
        least = rate
        mover = c
        moverTo = to
      }
    }
    this.choose(mover, moverTo)
  }

  /** Gives a claim a better answer, pushing one other claim on to its next if both together gain. */
  private improve(c: number, pushing: boolean): boolean {
    const { answers } = this.problem
    const now = this.chosen[c]!
    const end = now < 0 ? this.start[c + 1]! : now
    for (let a = this.able(c, this.start[c]!); a >= 0 && a < end; a = this.able(c, a + 1)) {
      if (now >= 0) this.set(c, -1)
      const gain = this.saved[a]! - this.savedBy(now)
      const fits = this.hasRoom(answers[a]!) || (pushing && this.pushOn(c, answers[a]!, gain))
      if (now >= 0) this.set(c, now)
      if (fits) {
        this.choose(c, a)
        return true
      }
    }
    return false
  }

  /** Makes room for an answer by moving, on each shelf that is short, the claim that loses least; if less than is gained. */
  private pushOn(forClaim: number, wanted: Answer, gain: number): boolean {
    const moves: { c: number; from: number; to: number }[] = []
    let left = gain - slack
    for (let j = 0; j < wanted.shelves.length && left > 0; j++) {
      const shelf = wanted.shelves[j]!
      const lacking = wanted.shelfAmounts[j]! - this.left[shelf]!
      if (lacking <= slack) continue
      const { mover, to, loss } = this.cheapestMove(shelf, lacking, forClaim, wanted, left)
      left -= loss
      if (left <= 0) break
      moves.push({ c: mover, from: this.chosen[mover]!, to })
      this.set(mover, to)
    }
    // Moved for a trial; only when all of it pays is it told to those who wait for room.
    for (const { c, from } of moves.toReversed()) this.set(c, from)
    if (left <= 0) return false
    for (const { c, to } of moves) this.choose(c, to)
    return true
  }

  /** The claim that loses least by leaving a shelf for its next answer, and how much; infinite when none may. */
  private cheapestMove(
    shelf: number,
    lacking: number,
    forClaim: number,
    wanted: Answer,
    most: number,
  ): { mover: number; to: number; loss: number } {
    const { answers } = this.problem
    let best = { mover: -1, to: -1, loss: Infinity }
    for (const c of this.drawing[shelf]!) {
      if (c === forClaim) continue
      const now = this.chosen[c]!
      const current = answers[now]!
      const next = now + 1 < this.start[c + 1]! ? this.saved[now + 1]! : 0
      if (current.savedH - next > Math.min(most, best.loss)) continue
      const place = current.shelves.indexOf(shelf)
      if (current.shelfAmounts[place]! + slack < lacking) continue
      let to = this.nextWithRoom(c, now + 1)
      // An answer that would draw on the very shelves being cleared is no way out.
      while (to >= 0 && answers[to]!.shelves.some((s) => wanted.shelves.includes(s))) to = this.nextWithRoom(c, to + 1)
      const loss = current.savedH - this.savedBy(to)
      if (loss < best.loss || (loss === best.loss && c > best.mover)) best = { mover: c, to, loss }
    }
    return best
  }
}
