import { roundingAmount, type IndexedLedger } from '../ledger'
import { nth, numberAt } from '../validation'

/** What of a kit was used on the trips drawn, and what ran out. */
export class UseLog {
  /** For each function, the item and the copy of it that does it on this trip. */
  private readonly doer: { item: number; copy: number }[]
  /** For each item, how many copies were needed on the trip that needed most. */
  private readonly copiesUsed: Int32Array
  /** For each stock, the most that was drawn between departure or a refill and the next. */
  private readonly mostDrawn: Float64Array
  /** For each stock, the trips on which it ran out, and for each leg how often. */
  private readonly tripsShort: Int32Array
  private readonly timesShort: Int32Array[]
  private readonly isShort: Uint8Array

  constructor(
    private readonly ledger: IndexedLedger,
    private readonly counts: ArrayLike<number>,
  ) {
    this.doer = ledger.functions.map(() => ({ item: 0, copy: 0 }))
    this.copiesUsed = new Int32Array(ledger.items.length)
    this.mostDrawn = new Float64Array(ledger.stocks.length)
    this.tripsShort = new Int32Array(ledger.stocks.length)
    this.timesShort = ledger.stocks.map(() => new Int32Array(ledger.legs))
    this.isShort = new Uint8Array(ledger.stocks.length)
  }

  /** Says who does a function on this trip. */
  does(name: number, item: number, copy: number): void {
    const doer = nth(this.doer, name)
    doer.item = item
    doer.copy = copy
  }

  usedFunction(name: number): void {
    const { item, copy } = nth(this.doer, name)
    if (nth(this.copiesUsed, item) <= copy) this.copiesUsed[item] = copy + 1
  }

  /** So much has been drawn of a stock since departure or its last refill. */
  drew(stock: number, amount: number): void {
    if (amount > numberAt(this.mostDrawn, stock)) this.mostDrawn[stock] = amount
  }

  lacked(stock: number, leg: number): void {
    const times = nth(this.timesShort, stock)
    times[leg] = nth(times, leg) + 1
    this.isShort[stock] = 1
  }

  endTrip(): void {
    this.isShort.forEach((isShort, stock) => {
      this.tripsShort[stock] = nth(this.tripsShort, stock) + isShort
    })
    this.isShort.fill(0)
  }

  /** Of each stock that a try lacked: the share of trips, and for each leg how many times a trip. */
  ranOut(trips: number): Record<string, { trips: number; perLeg: number[] }> {
    return Object.fromEntries(
      this.ledger.stocks.flatMap((id, stock) => {
        const short = nth(this.tripsShort, stock)
        const perLeg = Array.from(nth(this.timesShort, stock), (times) => times / trips)
        return short > 0 ? [[id, { trips: short / trips, perLeg }]] : []
      }),
    )
  }

  /** Of each thing carried, the pieces that no trip used. Of things that share a stock, the first are used up first. */
  neverUsed(): Record<string, number> {
    const used = Int32Array.from(this.copiesUsed)
    this.mostDrawn.forEach((drawn, stock) => {
      let rest = drawn
      this.ledger.items.forEach(({ units }, i) => {
        const amount = units.find((unit) => unit.stock === stock)?.amount
        if (amount === undefined) return
        const pieces = Math.min(nth(this.counts, i), Math.ceil((rest - roundingAmount) / amount))
        rest -= pieces * amount
        used[i] = Math.max(nth(used, i), pieces)
      })
    })
    return Object.fromEntries(
      this.ledger.items.flatMap(({ id }, i) => {
        const idle = nth(this.counts, i) - nth(used, i)
        return idle > 0 ? [[id, idle]] : []
      }),
    )
  }
}
