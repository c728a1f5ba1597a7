import { departureWith, firstOfEachAttempt, triesOf, type IndexedLedger, type KitHours, type Try } from '../ledger'
import { Fault, numberAt, nth } from '../validation'
import { endingsOf, type Ending } from './failure'
import { wearCountsOf, type WearCounts } from './wear-counts'

/** Failures of a leg beyond these are less likely than this, and left out. */
const leastTail = 1e-13
/** More states than these are no tiny ledger. */
const mostStates = 200_000

/**
 * Works out what kits promise over every way a trip can go: the state is what is left of each stock.
 *
 * Exact but for the grid on which wear with a spread is laid; for ledgers with few pieces.
 */
export class ExactEvaluator {
  private readonly wears: ReturnType<typeof combined>

  constructor(private readonly ledger: IndexedLedger) {
    this.wears = combined(ledger.events.map(({ wear }) => (wear ? wearCountsOf(wear, ledger.legs) : undefined)))
  }

  /**
   * @param counts how many of each item are carried, in their order
   * @throws Fault where there are too many ways to follow them all
   */
  evaluate(counts: ArrayLike<number>): KitHours {
    const { ledger } = this
    const departure = departureWith(ledger, counts)
    let [promiseH, walkH, stranded] = [0, 0, 0]
    for (const { works, chance } of workingTools(ledger, counts)) {
      const tries = ledger.events.map((event) =>
        Array.from({ length: ledger.legs }, (_, leg) =>
          firstOfEachAttempt(
            triesOf(event, leg, departure.conditions).filter(({ fix }) => fix.needs.every((need) => works.has(need))),
          ),
        ),
      )
      for (const wear of this.wears) {
        const trip = new ExactTrip(ledger, departure.amounts, tries, wear.perEvent)
        promiseH += chance * wear.chance * trip.hours
        walkH += chance * wear.chance * trip.walkH
        stranded += chance * wear.chance * trip.stranded
      }
    }
    return { promiseH, walkH, stranded }
  }
}

/** Which functions work on a trip, with the chance of just those. */
function workingTools(
  { items, functions, events }: IndexedLedger,
  counts: ArrayLike<number>,
): { works: ReadonlySet<number>; chance: number }[] {
  const needed = new Set(events.flatMap(({ fixes }) => fixes.flatMap(({ needs }) => needs)))
  let ways = new Map<string, { works: ReadonlySet<number>; chance: number }>([['', { works: new Set(), chance: 1 }]])
  items.forEach(({ provides, condition }, i) => {
    const offered = provides.filter((name) => needed.has(name) && name < functions.length)
    const fails = (1 - condition) ** nth(counts, i)
    if (offered.length === 0 || nth(counts, i) === 0) return
    const next: typeof ways = new Map()
    const add = (works: ReadonlySet<number>, chance: number) => {
      if (chance === 0) return
      const key = [...works].sort((a, b) => a - b).join(' ')
      next.set(key, { works, chance: chance + (next.get(key)?.chance ?? 0) })
    }
    for (const { works, chance } of ways.values()) {
      add(works, chance * fails)
      add(new Set([...works, ...offered]), chance * (1 - fails))
    }
    ways = next
  })
  return [...ways.values()]
}

/** The ways in which all wearing parts can fail together: for each event, how often on each leg. */
function combined(laws: readonly (readonly WearCounts[] | undefined)[]) {
  return laws.reduce<{ perEvent: (readonly number[] | undefined)[]; chance: number }[]>(
    (ways, law) =>
      law
        ? ways.flatMap((way) =>
            law.map(({ perLeg, chance }) => ({ perEvent: [...way.perEvent, perLeg], chance: way.chance * chance })),
          )
        : ways.map((way) => ({ ...way, perEvent: [...way.perEvent, undefined] })),
    [{ perEvent: [], chance: 1 }],
  )
}

/** What is left of each stock, with the chance of it, and of it without having been stranded. */
interface State {
  readonly amounts: Float64Array
  readonly chance: number
  readonly unstranded: number
}
type Law = ReadonlyMap<string, State>

/** One trip with given tools and given wear, followed through everything that can come. */
class ExactTrip {
  hours = 0
  walkH = 0
  readonly stranded: number

  constructor(
    private readonly ledger: IndexedLedger,
    private readonly atDeparture: Float64Array,
    private readonly tries: readonly (readonly (readonly Try[])[])[],
    private readonly wear: readonly (readonly number[] | undefined)[],
  ) {
    let law = lawOf([{ amounts: atDeparture, chance: 1, unstranded: 1 }])
    for (let leg = 0; leg < ledger.legs; leg++) law = this.ridden(this.refilled(law, leg), leg)
    this.stranded = 1 - [...law.values()].reduce((sum, { unstranded }) => sum + unstranded, 0)
  }

  private refilled(law: Law, leg: number): Law {
    return this.ledger.refillChance.reduce((before, chances, stock) => {
      const refill = leg === 0 ? 0 : numberAt(chances, leg)
      if (refill === 0) return before
      const full = numberAt(this.atDeparture, stock)
      return lawOf(
        [...before.values()].flatMap((state) => [
          weighed(state, state.amounts, 1 - refill, 1 - refill),
          weighed(state, withAmount(state.amounts, stock, full), refill, refill),
        ]),
      )
    }, law)
  }

  /**
   * The failures of a leg in a random order: of so many that are still to come, each is as likely the next. Those that
   * come of a sudden are Poisson; of what wears, it is given how many there are.
   */
  private ridden(law: Law, leg: number): Law {
    const { events } = this.ledger
    const rates = events.map(({ perLeg }) => numberAt(perLeg, leg))
    const total = rates.reduce((sum, rate) => sum + rate, 0)
    const worn = this.wear.map((perLeg) => perLeg?.[leg] ?? 0)
    const ended: State[] = []
    /** States by how many failures are still to come. */
    let coming = new Map<string, { sudden: number; worn: readonly number[]; states: State[] }>()
    const put = (into: typeof coming, sudden: number, rest: readonly number[], states: readonly State[]) => {
      const key = [sudden, ...rest].join(' ')
      const entry = into.get(key) ?? { sudden, worn: rest, states: [] }
      entry.states.push(...states)
      into.set(key, entry)
    }
    const most = mostPoisson(total)
    const wornOut = worn.reduce((sum, count) => sum + count, 0)
    // From the most that may still come down to none: trips with fewer join on the way.
    for (let left = most + wornOut; left >= 0; left--) {
      const sudden = left - wornOut
      if (sudden >= 0 && sudden <= most) {
        const chance = poisson(total, sudden)
        put(
          coming,
          sudden,
          worn,
          [...law.values()].map((state) => weighed(state, state.amounts, chance, chance)),
        )
      }
      const next: typeof coming = new Map()
      for (const entry of coming.values()) {
        const states = [...lawOf(entry.states).values()]
        if (left === 0) ended.push(...states)
        else {
          if (entry.sudden > 0) {
            events.forEach((_, e) => {
              const share = (entry.sudden / left) * (nth(rates, e) / total)
              put(next, entry.sudden - 1, entry.worn, this.failed(states, e, leg, share))
            })
          }
          entry.worn.forEach((count, e) => {
            if (count === 0) return
            const rest = entry.worn.map((other, i) => (i === e ? other - 1 : other))
            put(next, entry.sudden, rest, this.failed(states, e, leg, count / left))
          })
        }
      }
      coming = next
    }
    return lawOf(ended)
  }

  /** The states after a failure that comes with a share of their chance; its hours are counted. */
  private failed(states: readonly State[], e: number, leg: number, share: number): State[] {
    if (share === 0) return []
    const event = nth(this.ledger.events, e)
    const strands = numberAt(event.strands, leg)
    return states.flatMap((state) =>
      this.endings(e, leg, state.amounts).map(({ chance, amounts, hours, walkH, isMended }) => {
        this.hours += state.chance * share * chance * hours
        this.walkH += state.chance * share * chance * walkH
        return weighed(state, amounts, share * chance, share * chance * (isMended ? 1 : 1 - strands))
      }),
    )
  }

  private readonly endingsOfState = new Map<string, Ending[]>()

  private endings(e: number, leg: number, amounts: Float64Array): Ending[] {
    const key = `${e} ${leg} ${keyOf(amounts)}`
    let endings = this.endingsOfState.get(key)
    if (!endings) {
      endings = endingsOf(nth(this.ledger.events, e), leg, nth(nth(this.tries, e), leg), amounts)
      this.endingsOfState.set(key, endings)
    }
    return endings
  }
}

const keyOf = (amounts: Float64Array) => amounts.map((amount) => Math.round(amount * 1e6)).join(' ')

function weighed(state: State, amounts: Float64Array, chance: number, unstranded: number): State {
  return { amounts, chance: state.chance * chance, unstranded: state.unstranded * unstranded }
}

function withAmount(amounts: Float64Array, stock: number, amount: number): Float64Array {
  const changed = amounts.slice()
  changed[stock] = amount
  return changed
}

function lawOf(states: readonly State[]): Law {
  const law = new Map<string, State>()
  for (const { amounts, chance, unstranded } of states) {
    if (chance === 0) continue
    const key = keyOf(amounts)
    const before = law.get(key)
    law.set(key, {
      amounts,
      chance: chance + (before?.chance ?? 0),
      unstranded: unstranded + (before?.unstranded ?? 0),
    })
  }
  if (law.size > mostStates) {
    throw new Fault('the ledger', `more than ${mostStates} states`, 'one small enough to follow every way it can go')
  }
  return law
}

function poisson(mean: number, count: number): number {
  let chance = Math.exp(-mean)
  for (let k = 1; k <= count; k++) chance *= mean / k
  return chance
}

function mostPoisson(mean: number): number {
  let [count, chance] = [0, Math.exp(-mean)]
  let sum = chance
  while (1 - sum > leastTail && (chance > leastTail || count < mean)) {
    count++
    chance *= mean / count
    sum += chance
  }
  return count
}
