import { slack, type Answer, type Problem } from './problem'

/**
 * Which answer each claim has, kept good while functions and stocks come and
 * go. A change is repaired where it strikes: claims that lost their tool or
 * their stock take the next best answer, those that lose least making way; and
 * what is newly possible goes to the claims that gain most. Everything can be
 * taken back to a mark.
 */
export class Answering {
  /** The answer of each claim, by its place in the claim's list; −1 for none. */
  readonly chosen: Int32Array
  savedH = 0
  /** How many needs of each answer are not offered. */
  private readonly missing: Int32Array
  /** What is still on each shelf; below zero only during a repair. */
  private readonly left: Float64Array
  private readonly logClaim: number[] = []
  private readonly logAnswer: number[] = []
  private readonly waiting: number[] = []
  private readonly isWaiting: Uint8Array
  private readonly overdrawn: number[] = []

  constructor(private readonly problem: Problem) {
    this.chosen = new Int32Array(problem.claims.length).fill(-1)
    this.missing = new Int32Array(problem.answers.length)
    problem.answers.forEach((answer, a) => (this.missing[a] = answer.needs.length))
    this.left = new Float64Array(problem.shelfStock.length)
    this.isWaiting = new Uint8Array(problem.claims.length)
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
    const { claimOfAnswer, claims } = this.problem
    for (const a of this.problem.answersOfFunction[fn]!) {
      this.missing[a]! += offered ? -1 : 1
      if (!noticed) continue
      const c = claimOfAnswer[a]!
      if (offered) this.wait(c)
      else if (this.chosen[c]! + claims[c]!.first === a) {
        this.choose(c, -1)
        this.wait(c)
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

  /** Gives every claim that could do better a chance to push another on, until nothing gains. */
  polish(): void {
    for (let round = 0; round < 4; round++) {
      let moved = false
      for (let c = 0; c < this.chosen.length; c++) if (this.wishOf(c) > slack && this.improve(c, true)) moved = true
      if (!moved) return
    }
  }

  private set(c: number, a: number): void {
    const { answers } = this.problem.claims[c]!
    const was = this.chosen[c]!
    if (was >= 0) {
      const { shelves, shelfAmounts, savedH } = answers[was]!
      this.savedH -= savedH
      for (let j = 0; j < shelves.length; j++) this.left[shelves[j]!]! += shelfAmounts[j]!
    }
    if (a >= 0) {
      const { shelves, shelfAmounts, savedH } = answers[a]!
      this.savedH += savedH
      for (let j = 0; j < shelves.length; j++) this.left[shelves[j]!]! -= shelfAmounts[j]!
    }
    this.chosen[c] = a
  }

  private choose(c: number, a: number): void {
    this.logClaim.push(c)
    this.logAnswer.push(this.chosen[c]!)
    const was = this.chosen[c]!
    this.set(c, a)
    if (was >= 0) for (const shelf of this.problem.claims[c]!.answers[was]!.shelves) this.waitForShelf(shelf)
  }

  private wait(c: number): void {
    if (this.isWaiting[c]) return
    this.isWaiting[c] = 1
    this.waiting.push(c)
  }

  private waitForShelf(shelf: number): void {
    for (const c of this.problem.claimsOfShelf[shelf]!) if (this.chosen[c] !== 0) this.wait(c)
  }

  private able(c: number, from: number): number {
    const { answers, first } = this.problem.claims[c]!
    for (let a = from; a < answers.length; a++) if (this.missing[first + a] === 0) return a
    return -1
  }

  private hasRoom(answer: Answer): boolean {
    const { shelves, shelfAmounts } = answer
    for (let j = 0; j < shelves.length; j++) if (this.left[shelves[j]!]! + slack < shelfAmounts[j]!) return false
    return true
  }

  private savedBy(c: number, a: number): number {
    return a < 0 ? 0 : this.problem.claims[c]!.answers[a]!.savedH
  }

  /** What a claim would gain by the best answer the tools allow. */
  private wishOf(c: number): number {
    const a = this.able(c, 0)
    return a < 0 ? 0 : this.savedBy(c, a) - this.savedBy(c, this.chosen[c]!)
  }

  /** The next answer after a place in the list that tools and stock allow. */
  private nextWithRoom(c: number, from: number): number {
    let a = this.able(c, from)
    while (a >= 0 && !this.hasRoom(this.problem.claims[c]!.answers[a]!)) a = this.able(c, a + 1)
    return a
  }

  /** Moves the claim that loses least by it off an overdrawn shelf. */
  private moveCheapest(shelf: number): void {
    let mover = -1
    let moverTo = -1
    let least = Infinity
    for (const c of this.problem.claimsOfShelf[shelf]!) {
      const now = this.chosen[c]!
      if (now < 0) continue
      const current = this.problem.claims[c]!.answers[now]!
      const place = current.shelves.indexOf(shelf)
      if (place < 0) continue
      const to = this.nextWithRoom(c, now + 1)
      const rate = (current.savedH - this.savedBy(c, to)) / current.shelfAmounts[place]!
      if (rate < least) {
        least = rate
        mover = c
        moverTo = to
      }
    }
    this.choose(mover, moverTo)
  }

  /** Gives a claim a better answer, pushing one other claim on to its next if both together gain. */
  private improve(c: number, pushing: boolean): boolean {
    const { answers } = this.problem.claims[c]!
    const now = this.chosen[c]!
    const end = now < 0 ? answers.length : now
    for (let a = this.able(c, 0); a >= 0 && a < end; a = this.able(c, a + 1)) {
      if (now >= 0) this.set(c, -1)
      const gain = this.savedBy(c, a) - this.savedBy(c, now)
      const fits = this.hasRoom(answers[a]!) || (pushing && this.pushOn(c, answers[a]!, gain))
      if (now >= 0) this.set(c, now)
      if (fits) {
        this.choose(c, a)
        return true
      }
    }
    return false
  }

  /** Makes room for an answer by moving the one claim that loses least by it, if less than is gained. */
  private pushOn(forClaim: number, wanted: Answer, gain: number): boolean {
    let short = -1
    for (let j = 0; j < wanted.shelves.length; j++) {
      if (this.left[wanted.shelves[j]!]! + slack >= wanted.shelfAmounts[j]!) continue
      if (short >= 0) return false
      short = j
    }
    const shelf = wanted.shelves[short]!
    const lacking = wanted.shelfAmounts[short]! - this.left[shelf]!
    let mover = -1
    let moverTo = -1
    let least = gain - slack
    for (const c of this.problem.claimsOfShelf[shelf]!) {
      const now = this.chosen[c]!
      if (now < 0 || c === forClaim) continue
      const current = this.problem.claims[c]!.answers[now]!
      if (current.savedH - (this.problem.claims[c]!.answers[now + 1]?.savedH ?? 0) >= least) continue
      const place = current.shelves.indexOf(shelf)
      if (place < 0 || current.shelfAmounts[place]! + slack < lacking) continue
      let to = this.nextWithRoom(c, now + 1)
      // An answer that would draw on the very shelf being cleared is no way out.
      while (to >= 0 && this.problem.claims[c]!.answers[to]!.shelves.some((s) => wanted.shelves.includes(s))) {
        to = this.nextWithRoom(c, to + 1)
      }
      const loss = current.savedH - this.savedBy(c, to)
      if (loss < least) {
        least = loss
        mover = c
        moverTo = to
      }
    }
    if (mover < 0) return false
    this.choose(mover, moverTo)
    return true
  }
}
