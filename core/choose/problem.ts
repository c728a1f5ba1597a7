import { savedHours, type Ledger, type LedgerClaim, type LedgerFix } from '../trip-ledger'
import { Fault } from '../validation'

/** One way to answer a claim, in numbers: what it saves, needs and draws. */
export interface Answer {
  readonly fix: string
  readonly savedH: number
  /** Indices of the functions it needs. */
  readonly needs: readonly number[]
  /** Indices of the stocks it draws from, and the amounts. */
  readonly stocks: readonly number[]
  readonly amounts: readonly number[]
  /** The shelves it draws from: a shelf is one stock in one of its gaps. */
  readonly shelves: readonly number[]
  readonly shelfAmounts: readonly number[]
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
  readonly provides: readonly number[]
  readonly stocks: readonly number[]
  readonly units: readonly number[]
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
  /** The most the kit may weigh, with slack for rounding. */
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
      provides: [...new Set(item.provides.map((name) => functionIndex.get(name)!))],
      stocks: stocks.map((stock) => stockIndex.get(stock)!),
      units: stocks.map((stock) => item.units[stock]!),
    }
  })
  // Three things of 0.1 g weigh 0.3 g, whatever their sum comes to in binary fractions.
  const budgetG = (ledger.budgetG ?? Infinity) + slack
  const pinnedG = items.reduce((sum, item) => sum + item.min * item.massG, 0)
  if (pinnedG > budgetG) {
    throw new Fault(
      'budgetG',
      `${ledger.budgetG} g`,
      `at least the ${pinnedG} g that the pins ask for; unpin something`,
    )
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
    const shelves = new Int32Array(ledger.legs).fill(-1)
    for (const gap of stock.gaps) {
      for (const leg of gap) shelves[leg] = shelfStock.length
      shelfStock.push(s)
    }
    return shelves
  })

  /** What a fix would be to a claim; undefined when it saves nothing or the bench could never give it. */
  const answerOf = (claim: LedgerClaim, fix: LedgerFix): Answer | undefined => {
    const savedH = savedHours(claim, fix)
    if (!(savedH > 0)) return undefined
    const needs: number[] = []
    for (const name of fix.needs) {
      const f = functionIndex.get(name)
      if (f === undefined || providers[f]!.length === 0) return undefined
      if (!needs.includes(f)) needs.push(f)
    }
    const stocks: number[] = []
    const amounts: number[] = []
    const shelves: number[] = []
    const shelfAmounts: number[] = []
    for (const name of Object.keys(fix.uses)) {
      const stock = stockIndex.get(name)!
      const amount = fix.uses[name]!
      if (amount > most[stock]! + slack) return undefined
      stocks.push(stock)
      amounts.push(amount)
      for (const leg of claim.legs) {
        const shelf = shelfOfLeg[stock]![leg]!
        if (shelf < 0 || shelves.includes(shelf)) continue
        shelves.push(shelf)
        shelfAmounts.push(amount)
      }
    }
    return { fix: fix.id, savedH, needs: needs.sort((a, b) => a - b), stocks, amounts, shelves, shelfAmounts }
  }

  const written: { id: string; answers: Answer[] }[] = []
  for (const claim of ledger.claims) {
    const answers: Answer[] = []
    for (const fix of claim.fixes) {
      const answer = answerOf(claim, fix)
      if (answer) answers.push(answer)
    }
    answers.sort((a, b) => b.savedH - a.savedH)
    const worthy = answers.filter((answer, a) => !answers.slice(0, a).some((better) => asksNoMore(better, answer)))
    if (worthy.length > 0) written.push({ id: claim.id, answers: worthy })
  }
  written.sort((a, b) => b.answers[0]!.savedH - a.answers[0]!.savedH)
  const answers: Answer[] = []
  const claimOfAnswer: number[] = []
  const claimsOfShelf = listOf(shelfStock.length)
  const claims = written.map((claim, c): Claim => {
    const first = answers.length
    for (const answer of claim.answers) {
      answers.push(answer)
      claimOfAnswer.push(c)
      for (const shelf of answer.shelves) {
        const listed = claimsOfShelf[shelf]!
        if (listed[listed.length - 1] !== c) listed.push(c)
      }
    }
    return { id: claim.id, answers: claim.answers, first }
  })
  const shelvesOfStock = listOf(ledger.stocks.length)
  shelfStock.forEach((s, shelf) => shelvesOfStock[s]!.push(shelf))
  const kinds = kindsOf(answers, functionIndex.size)
  return {
    items,
    claims,
    answers,
    claimOfAnswer: Int32Array.from(claimOfAnswer),
    ...kinds,
    claimsOfShelf,
    shelvesOfStock,
    functions: functionIndex.size,
    stocks: ledger.stocks.length,
    shelfStock: Int32Array.from(shelfStock),
    ...whoMeets(items.length, claims, kinds.kindOfAnswer, providers, suppliers),
    providers,
    suppliers,
    budgetG,
  }
}

/** Whether one answer needs and draws nothing that another does not. */
function asksNoMore(answer: Answer, other: Answer): boolean {
  for (const f of answer.needs) if (!other.needs.includes(f)) return false
  for (let j = 0; j < answer.stocks.length; j++) {
    const place = other.stocks.indexOf(answer.stocks[j]!)
    if (place < 0 || other.amounts[place]! < answer.amounts[j]!) return false
  }
  return true
}

/** Rounding allowed when amounts are compared with what is there. */
export const slack = 1e-9

const listOf = (length: number): number[][] => Array.from({ length }, () => [])

function kindsOf(
  answers: readonly Answer[],
  functions: number,
): Pick<Problem, 'kindOfAnswer' | 'needsOfKind' | 'kindsOfFunction' | 'answersOfKind'> {
  const kinds = new Map<string, number>()
  const needsOfKind: number[] = []
  const kindsOfFunction = listOf(functions)
  const answersOfKind: number[][] = []
  const kindOfAnswer = answers.map(({ needs }, a) => {
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
  kindOfAnswer: Int32Array,
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
    let key = ''
    claim.answers.forEach(({ stocks }, a) => (key += `${kindOfAnswer[claim.first + a]}/${stocks.join()}|`))
    if (seen.has(key)) continue
    seen.add(key)
    const perAnswer = claim.answers.map(
      ({ needs, stocks }) => new Set([...needs.flatMap((f) => providers[f]!), ...stocks.flatMap((s) => suppliers[s]!)]),
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
