import { holdsWith, mostTries, type IndexedEvent, type IndexedFix, type IndexedLedger } from '../ledger'
import { demandStreams } from '../promise'
import { nth, numberAt } from '../validation'
import { servedAtMost, timesFull } from './pooled-demand'

/** A row of a program: so much of some columns is at most this. */
export interface Row {
  readonly indices: number[]
  readonly values: number[]
  readonly upper: number
}

/** A mixed-integer program to be made the most of; its first columns are the counts of the items. */
export interface Program {
  readonly columns: readonly {
    readonly cost: number
    readonly lower: number
    readonly upper: number
    readonly isWhole: boolean
  }[]
  readonly rows: readonly Row[]
  /** Hours that are lost where nothing is mended at all: what is saved is saved of them. */
  readonly unmendedH: number
}

/** Pieces beyond these serve next to nothing more. */
const mostPieces = 40
const leastSlope = 1e-6

/** Failures of an event on a leg that a fix ends, in expectation: a column of the program. */
interface Ended {
  readonly column: number
  readonly event: number
  readonly leg: number
  readonly fix: IndexedFix
  /** The least tries that one failure ended takes. */
  readonly tries: number
  readonly most: number
}

/**
 * A program whose best no kit can beat: hours saved of those that are lost where nothing is mended, less grams at their price.
 *
 * Each failure is ended at most once, by hands that can; a try needs its tools, which here never fail; and of whatever family
 * of failures, a stock serves no more than the pooled demand of the stretches between refills and its amount allow.
 */
export function programOf(ledger: IndexedLedger): Program {
  const { items, functions, events, legs, stocks, hoursPerGram, budgetG, budgetMoney } = ledger
  const columns = [
    ...items.map(({ massG, min, max }) => ({ cost: -massG * hoursPerGram, lower: min, upper: max, isWhole: true })),
    ...functions.map(() => ({ cost: 0, lower: 0, upper: 1, isWhole: true })),
  ]
  const rows: Row[] = functions.map((_, name) => {
    const providers = items.flatMap(({ provides }, item) => (provides.includes(name) ? [item] : []))
    return { indices: [items.length + name, ...providers], values: [1, ...providers.map(() => -1)], upper: 0 }
  })
  if (Number.isFinite(budgetG)) {
    rows.push({ indices: items.map((_, item) => item), values: items.map(({ massG }) => massG), upper: budgetG })
  }
  if (Number.isFinite(budgetMoney)) {
    // Of what has a price, the pieces that have to be bought: at least those beyond the ones that are there.
    const bought = items.flatMap(({ price, owned, max }, item) =>
      price > 0 && max > owned ? [{ item, price, owned }] : [],
    )
    const first = columns.length
    columns.push(...bought.map(() => ({ cost: 0, lower: 0, upper: Infinity, isWhole: false })))
    rows.push(...bought.map(({ item, owned }, i) => ({ indices: [item, first + i], values: [1, -1], upper: owned })))
    rows.push({
      indices: bought.map((_, i) => first + i),
      values: bought.map(({ price }) => price),
      upper: budgetMoney,
    })
  }

  const failures = failuresOf(ledger)
  const good = stocks.map((_, stock) =>
    Math.max(
      0,
      ...items.filter(({ units }) => units.some((unit) => unit.stock === stock)).map(({ condition }) => condition),
    ),
  )
  const ended: Ended[] = []
  let unmendedH = 0
  events.forEach((event, e) => {
    for (let leg = 0; leg < legs; leg++) {
      const expected = nth(nth(failures, e).all, leg)
      if (expected === 0) continue
      unmendedH += expected * numberAt(event.lossH, leg)
      const here = event.fixes.flatMap((fix): Ended[] => {
        const each = worthOf(event, fix, leg, Float64Array.from(good))
        if (each.savedH <= 0) return []
        const column = columns.length
        columns.push({ cost: each.savedH, lower: 0, upper: expected * each.most, isWhole: false })
        return [{ column, event: e, leg, fix, tries: each.tries, most: expected * each.most }]
      })
      ended.push(...here)
      if (here.length > 0) rows.push({ indices: columnsOf(here), values: here.map(() => 1), upper: expected })
      for (const technique of new Set(here.map(({ fix }) => fix.technique))) {
        const same = here.filter(({ fix }) => fix.technique === technique)
        const hands = Math.max(...same.map(({ fix }) => fix.hands))
        if (same.length > 1) rows.push({ indices: columnsOf(same), values: same.map(() => 1), upper: expected * hands })
      }
    }
  })
  rows.push(...toolRows(ended, items.length))
  stocks.forEach((_, stock) => rows.push(...stockRows(ledger, failures, ended, stock)))
  return { columns, rows, unmendedH }
}

const columnsOf = (list: readonly Ended[]) => list.map(({ column }) => column)

interface Failures {
  /** Of each leg: those that come of a sudden, and all. */
  readonly sudden: readonly number[]
  readonly all: readonly number[]
}

function failuresOf(ledger: IndexedLedger): Failures[] {
  const streams = demandStreams(ledger)
  return ledger.events.map((event) => {
    const own = streams.filter((stream) => stream.event === event)
    const on = (leg: number, some: typeof own) => some.reduce((sum, { expected }) => sum + numberAt(expected, leg), 0)
    const legs = Array.from({ length: ledger.legs }, (_, leg) => leg)
    return {
      sudden: legs.map((leg) =>
        on(
          leg,
          own.filter(({ wear }) => !wear),
        ),
      ),
      all: legs.map((leg) => on(leg, own)),
    }
  })
}

/**
 * What one failure ended by a fix saves at most, the least tries it takes, and the most failures that the fix can end.
 *
 * Whether the hands can may be known from another fix of the technique; then every try takes the same chance to hold.
 */
function worthOf(event: IndexedEvent, fix: IndexedFix, leg: number, good: Float64Array) {
  const holds = holdsWith(fix, good)
  const most = fix.uses.length > 0 ? mostTries : 1
  const everHolds = 1 - (1 - holds) ** most
  const isAlone = event.fixes.every((other) => other === fix || other.technique !== fix.technique)
  const triesWhereAble = holds > 0 ? everHolds / holds : 0
  const tries = isAlone ? (1 - fix.hands + fix.hands * triesWhereAble) / (fix.hands * everHolds) : 1 / holds
  const savedH = numberAt(event.lossH, leg) - numberAt(fix.residualH, leg) - tries * numberAt(fix.workH, leg)
  return { savedH: Number.isFinite(tries) ? savedH : 0, tries, most: fix.hands * everHolds }
}

/** A fix ends nothing without its tools. */
function toolRows(ended: readonly Ended[], firstFunction: number): Row[] {
  const byFix = new Map<string, Ended[]>()
  for (const each of ended) {
    const key = `${each.event} ${each.fix.number}`
    byFix.set(key, [...(byFix.get(key) ?? []), each])
  }
  return [...byFix.values()].flatMap((list) => {
    const most = list.reduce((sum, each) => sum + each.most, 0)
    return nth(list, 0).fix.needs.map((name) => ({
      indices: [...columnsOf(list), firstFunction + name],
      values: [...list.map(() => 1), -most],
      upper: 0,
    }))
  })
}

/** A stock serves no more than is asked of it, and no more than there is. */
function stockRows(
  ledger: IndexedLedger,
  failures: readonly Failures[],
  ended: readonly Ended[],
  stock: number,
): Row[] {
  const drawing = ended.flatMap((each) => {
    const use = each.fix.uses.find((other) => other.stock === stock)
    return use ? [{ ...each, amount: use.amount }] : []
  })
  if (drawing.length === 0) return []
  const supply = ledger.items.flatMap(({ units, max }, item) =>
    units.filter((unit) => unit.stock === stock).map(({ amount }) => ({ item, amount, max })),
  )
  const refillChance = nth(ledger.refillChance, stock)
  const all = supply.reduce((sum, { amount, max }) => sum + amount * max, 0)
  const events = [...new Set(drawing.map(({ event }) => event))]
  const families = events.length > 1 ? [events, ...events.map((event) => [event])] : [events]
  const served = families.flatMap((family) => {
    const own = drawing.filter(({ event }) => family.includes(event))
    const least = Math.min(...own.map(({ amount }) => amount))
    const most = Math.min(mostPieces, Math.ceil(all / least) + 1)
    const sudden = Array.from({ length: ledger.legs }, (_, leg) =>
      family.reduce((sum, event) => sum + nth(nth(failures, event).sudden, leg), 0),
    )
    const besides = family.reduce((sum, event) => {
      const { sudden: mine, all: every } = nth(failures, event)
      return sum + every.reduce((total, expected, leg) => total + expected - nth(mine, leg), 0)
    }, 0)
    const atMost = servedAtMost(sudden, besides, refillChance, most)
    return tangents(atMost).map(({ slope, at }) => ({
      indices: [...columnsOf(own), ...supply.map(({ item }) => item)],
      values: [...own.map(() => 1), ...supply.map(({ amount }) => (-slope * amount) / least)],
      upper: at,
    }))
  })
  return [
    ...served,
    {
      indices: [...columnsOf(drawing), ...supply.map(({ item }) => item)],
      values: [
        ...drawing.map(({ tries, amount }) => tries * amount),
        ...supply.map(({ amount }) => -amount * timesFull(refillChance)),
      ],
      upper: 0,
    },
  ]
}

/** The lines that lie above a concave row of values and touch it between each two of them, and beyond the last. */
function tangents(values: readonly number[]): { slope: number; at: number }[] {
  const lines: { slope: number; at: number }[] = []
  for (let n = 0; n + 1 < values.length; n++) {
    const slope = nth(values, n + 1) - nth(values, n)
    lines.push({ slope, at: nth(values, n) - slope * n })
    if (slope < leastSlope) break
  }
  return lines
}
