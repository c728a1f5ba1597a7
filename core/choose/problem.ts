import { Fault } from '../fault'
import { savedHours, type Ledger } from '../ledger'

/** One way to answer a claim, in numbers: what it saves, needs and draws. */
export interface Answer {
  readonly fix: string
  readonly savedH: number
  /** Indices of the functions it needs. */
  readonly needs: Int32Array
  /** Indices of the stocks it draws from, and the amounts. */
  readonly stocks: Int32Array
  readonly amounts: Float64Array
  /** The shelves it draws from: a shelf is one stock in one of its gaps. */
  readonly shelves: Int32Array
  readonly shelfAmounts: Float64Array
}

export interface Claim {
  readonly id: string
  /** Best first; only answers the bench could give at all. */
  readonly answers: readonly Answer[]
  /** Number of its first answer among all answers. */
  readonly first: number
}

export interface Item {
  readonly id: string
  readonly massG: number
  /** What carrying one costs, in hours: massG ÷ gramsPerHour. */
  readonly priceH: number
  readonly min: number
  readonly max: number
  readonly provides: Int32Array
  readonly stocks: Int32Array
  readonly units: Float64Array
}

/** A ledger in numbers. */
export interface Problem {
  readonly items: readonly Item[]
  /** The claim with most to save first. */
  readonly claims: readonly Claim[]
  /** The answers of all claims in one row, and the claim of each. */
  readonly answers: readonly Answer[]
  readonly claimOfAnswer: Int32Array
  readonly functions: number
  readonly stocks: number
  readonly shelfStock: Int32Array
  /** Claims with an answer that draws from each shelf. */
  readonly claimsOfShelf: readonly (readonly number[])[]
  readonly shelvesOfStock: readonly (readonly number[])[]
  /** Answers that need the very same functions are of one kind; they become possible together. */
  readonly kindOfAnswer: Int32Array
  readonly needsOfKind: Int32Array
  readonly kindsOfFunction: readonly (readonly number[])[]
  readonly answersOfKind: readonly (readonly number[])[]
  /** For each item, the items that bear on a claim it bears on too. */
  readonly meets: readonly ReadonlySet<number>[]
  /** For each item, those that could take its place: they give the same, or serve another answer to the same claim. */
  readonly rivals: readonly ReadonlySet<number>[]
  readonly providers: readonly (readonly number[])[]
  readonly suppliers: readonly (readonly number[])[]
  readonly budgetG: number
}

/**
 * Puts a ledger into numbers, leaving out what cannot matter: answers that
 * save nothing, or that nothing on the bench could ever give.
 *
 * @throws Fault when the pins alone weigh more than the budget
 */
export function problemOf(ledger: Ledger): Problem {
  const functionIndex = new Map<string, number>()
  const stockIndex = new Map(ledger.stocks.map((stock, i) => [stock.id, i]))
  for (const item of ledger.items) {
    for (const name of item.provides) if (!functionIndex.has(name)) functionIndex.set(name, functionIndex.size)
  }
  const items = ledger.items.map((item): Item => {
    const pin = ledger.pins[item.id]
    const stocks = Object.keys(item.units)
    return {
      id: item.id,
      massG: item.massG,
      priceH: ledger.gramsPerHour ? item.massG / ledger.gramsPerHour : 0,
      min: pin?.min ?? 0,
      max: Math.min(item.max, pin?.max ?? item.max),
      provides: Int32Array.from(new Set(item.provides.map((name) => functionIndex.get(name)!))),
      stocks: Int32Array.from(stocks.map((stock) => stockIndex.get(stock)!)),
      units: Float64Array.from(stocks.map((stock) => item.units[stock]!)),
    }
  })
  const budgetG = ledger.budgetG ?? Infinity
  const pinnedG = items.reduce((sum, item) => sum + item.min * item.massG, 0)
  if (pinnedG > budgetG) {
    throw new Fault('budgetG', `${budgetG} g`, `at least the ${pinnedG} g that the pins ask for; unpin something`)
  }

  const providers = listOf(functionIndex.size)
  const suppliers = listOf(ledger.stocks.length)
  items.forEach((item, i) => {
    if (item.max === 0) return
    for (const f of item.provides) providers[f]!.push(i)
    for (const s of item.stocks) suppliers[s]!.push(i)
  })
  const most = new Float64Array(ledger.stocks.length)
  for (const item of items) item.stocks.forEach((s, j) => (most[s]! += item.units[j]! * item.max))

  const shelfStock: number[] = []
  const shelfOfLeg = ledger.stocks.map((stock, s) => {
    const shelves = new Map<number, number>()
    for (const gap of stock.gaps) {
      for (const leg of gap) shelves.set(leg, shelfStock.length)
      shelfStock.push(s)
    }
    return shelves
  })

  const written: { id: string; answers: Answer[] }[] = []
  for (const claim of ledger.claims) {
    const answers: Answer[] = []
    for (const fix of claim.fixes) {
      const savedH = savedHours(claim, fix)
      const needs = fix.needs.map((name) => functionIndex.get(name) ?? -1)
      const draws = Object.entries(fix.uses).map(([stock, amount]) => ({ stock: stockIndex.get(stock)!, amount }))
      const possible =
        savedH > 0 &&
        needs.every((f) => f >= 0 && providers[f]!.length > 0) &&
        draws.every(({ stock, amount }) => amount <= most[stock]! + slack)
      if (!possible) continue
      const onShelves = draws.flatMap(({ stock, amount }) => {
        const shelves = new Set(claim.legs.flatMap((leg) => shelfOfLeg[stock]!.get(leg) ?? []))
        return [...shelves].map((shelf) => ({ shelf, amount }))
      })
      answers.push({
        fix: fix.id,
        savedH,
        needs: Int32Array.from(new Set(needs)).sort(),
        stocks: Int32Array.from(draws.map((draw) => draw.stock)),
        amounts: Float64Array.from(draws.map((draw) => draw.amount)),
        shelves: Int32Array.from(onShelves.map((draw) => draw.shelf)),
        shelfAmounts: Float64Array.from(onShelves.map((draw) => draw.amount)),
      })
    }
    if (answers.length > 0) written.push({ id: claim.id, answers: answers.sort((a, b) => b.savedH - a.savedH) })
  }
  written.sort((a, b) => b.answers[0]!.savedH - a.answers[0]!.savedH)
  let first = 0
  const claims = written.map((claim): Claim => {
    first += claim.answers.length
    return { ...claim, first: first - claim.answers.length }
  })

  const claimsOfShelf = listOf(shelfStock.length)
  claims.forEach((claim, c) => {
    for (const shelf of new Set(claim.answers.flatMap((answer) => [...answer.shelves]))) claimsOfShelf[shelf]!.push(c)
  })
  const shelvesOfStock = listOf(ledger.stocks.length)
  shelfStock.forEach((s, shelf) => shelvesOfStock[s]!.push(shelf))
  return {
    items,
    claims,
    ...kindsOf(claims, functionIndex.size),
    claimsOfShelf,
    shelvesOfStock,
    answers: claims.flatMap((claim) => claim.answers),
    claimOfAnswer: Int32Array.from(claims.flatMap((claim, c) => claim.answers.map(() => c))),
    functions: functionIndex.size,
    stocks: ledger.stocks.length,
    shelfStock: Int32Array.from(shelfStock),
    ...whoMeets(items.length, claims, providers, suppliers),
    providers,
    suppliers,
    budgetG,
  }
}

/** Rounding allowed when amounts are compared with what is there. */
export const slack = 1e-9

const listOf = (length: number): number[][] => Array.from({ length }, () => [])

function kindsOf(
  claims: readonly Claim[],
  functions: number,
): Pick<Problem, 'kindOfAnswer' | 'needsOfKind' | 'kindsOfFunction' | 'answersOfKind'> {
  const kinds = new Map<string, number>()
  const needsOfKind: number[] = []
  const kindsOfFunction = listOf(functions)
  const answersOfKind: number[][] = []
  const kindOfAnswer = claims
    .flatMap((claim) => claim.answers)
    .map(({ needs }, a) => {
      const key = needs.join()
      let kind = kinds.get(key)
      if (kind === undefined) {
        kinds.set(key, (kind = kinds.size))
        needsOfKind.push(needs.length)
        answersOfKind.push([])
        for (const f of needs) kindsOfFunction[f]!.push(kind)
      }
      answersOfKind[kind]!.push(a)
      return kind
    })
  return {
    kindOfAnswer: Int32Array.from(kindOfAnswer),
    needsOfKind: Int32Array.from(needsOfKind),
    kindsOfFunction,
    answersOfKind,
  }
}

function whoMeets(
  items: number,
  claims: readonly Claim[],
  providers: readonly (readonly number[])[],
  suppliers: readonly (readonly number[])[],
): Pick<Problem, 'meets' | 'rivals'> {
  const meets = Array.from({ length: items }, () => new Set<number>())
  const rivals = Array.from({ length: items }, () => new Set<number>())
  const pair = (sets: Set<number>[], some: Iterable<number>, others: Iterable<number>) => {
    for (const a of some) {
      for (const b of others) {
        if (a === b) continue
        sets[a]!.add(b)
        sets[b]!.add(a)
      }
    }
  }
  for (const same of [...providers, ...suppliers]) pair(rivals, same, same)
  // Claims of one kind are borne on by the same items; each kind is looked at once.
  const seen = new Set<string>()
  for (const claim of claims) {
    const key = claim.answers.map(({ needs, stocks }) => `${needs.join()}/${stocks.join()}`).join('|')
    if (seen.has(key)) continue
    seen.add(key)
    const perAnswer = claim.answers.map(
      ({ needs, stocks }) =>
        new Set([...[...needs].flatMap((f) => providers[f]!), ...[...stocks].flatMap((s) => suppliers[s]!)]),
    )
    perAnswer.forEach((bearing, a) => {
      pair(meets, bearing, bearing)
      for (const other of perAnswer.slice(a + 1)) {
        pair(meets, bearing, other)
        pair(rivals, bearing, other)
      }
    })
  }
  return { meets, rivals }
}
