import { loadOf, type Load } from '../ledger'
import type { Change, StreamAccount } from '../promise'
import { lackingParts, type KitProblem } from '../search'
import { nth, numberAt } from '../validation'
import type { Weighing } from './weighing'

/** One kind of failure seen from an item: what it costs more without it, and who would take over. */
export interface FailureAnswer {
  readonly event: string
  /** Hours that it costs more without the item; the rows of a verdict add up to its hours. */
  readonly lostH: number
  /** The fix that the item does most for; null where none is done oftener with it. */
  readonly fix: string | null
  /** The fix that is done most oftener without it, and the things of the kit that one rests on. */
  readonly instead: { readonly fix: string; readonly items: string[] } | null
}

/** Where a verdict would change sides, the rest of the kit as it is; null where it cannot. */
export interface Flip {
  readonly gramsPerHour: number | null
  /** Of one. */
  readonly massG: number | null
}

export interface Verdict {
  readonly item: string
  readonly verdict: 'take' | 'leave'
  readonly n: number
  /** Mass of one. */
  readonly massG: number
  /** Mass of the pieces carried; of one left at home, with whatever it would need beside it. */
  readonly carriedG: number
  /** What that costs in hours at the dial. */
  readonly priceH: number
  /** Taken: hours lost if all of it stayed at home. Left: hours it would save if it came along. */
  readonly lostH: number
  /** The part of them on foot. */
  readonly lostWalkH: number
  /** Taken two or more: hours lost with one fewer. */
  readonly lastOneH: number | null
  /** Minutes spared for each 100 g. */
  readonly minutesPer100g: number
  /** The failures it bears on, the one that costs most first. */
  readonly answers: FailureAnswer[]
  /** Items that would take over for it. */
  readonly substitutes: string[]
  /** Left, and worth something only together with these. */
  readonly together: string[]
  readonly pinned: boolean
  /** Of those together, the ones that a pin keeps at home. */
  readonly keptHome: string[]
  readonly flip: Flip
  /** Left though it is worth its grams: how far beyond the limits the kit would be with it; nothing where it is within them. */
  readonly beyond: Load
}

/** Hours below this are rounding. */
const leastH = 1e-6

/**
 * The verdict of an item: differences of two promises, both of them settled.
 *
 * @param free the problem with no pins
 */
export function verdictOf(weighing: Weighing, free: KitProblem, item: number, pinned: boolean): Verdict {
  const { ledger, kit } = weighing
  const n = nth(kit.counts, item)
  const changes = n > 0 ? [{ item, by: -n }] : whatWouldCome(weighing, free, item)
  const found = difference(weighing, changes)
  const { id, massG } = nth(ledger.items, item)
  const carriedG = changes.reduce((sum, change) => sum + Math.abs(change.by) * nth(ledger.items, change.item).massG, 0)
  const priceH = carriedG * ledger.hoursPerGram
  const others = changes.filter((change) => change.item !== item).map((change) => nth(ledger.items, change.item))
  return {
    item: id,
    verdict: n > 0 ? 'take' : 'leave',
    n,
    massG,
    carriedG,
    priceH,
    ...found,
    lastOneH: n > 1 ? difference(weighing, [{ item, by: -1 }]).lostH : null,
    minutesPer100g: carriedG > 0 ? (found.lostH * 60) / (carriedG / 100) : 0,
    together: others.map((other) => other.id),
    pinned,
    keptHome: others.filter(({ max }) => max === 0).map((other) => other.id),
    flip: flipOf(weighing, found.lostH, carriedG, n > 0 ? n : 1, massG),
    beyond: n === 0 && found.lostH > priceH + leastH ? beyondLimits(weighing, changes) : { massG: 0, money: 0 },
  }
}

function beyondLimits({ ledger, kit }: Weighing, changes: readonly Change[]): Load {
  const counts = [...kit.counts]
  for (const { item, by } of changes) counts[item] = nth(counts, item) + by
  const { massG, money } = loadOf(ledger, counts)
  return { massG: Math.max(0, massG - ledger.budgetG), money: Math.max(0, money - ledger.budgetMoney) }
}

function flipOf({ ledger }: Weighing, lostH: number, carriedG: number, n: number, massG: number): Flip {
  if (lostH <= leastH || carriedG === 0) return { gramsPerHour: null, massG: null }
  const { hoursPerGram } = ledger
  // What comes along with it weighs the same whatever the thing itself weighs.
  const ownG = hoursPerGram > 0 ? lostH / hoursPerGram - (carriedG - n * massG) : Infinity
  return { gramsPerHour: carriedG / lostH, massG: ownG > 0 && Number.isFinite(ownG) ? ownG / n : null }
}

/**
 * An item left at home, alone or with what it would need: whatever saves most for its grams. At first sight what comes along
 * saves a little more than once all is worked out, so those that cannot save most are not worked out.
 */
function whatWouldCome(weighing: Weighing, free: KitProblem, item: number): Change[] {
  const alone = [{ item, by: 1 }]
  const seen = [alone, ...bundlesWith(weighing, free, item)]
    .map((changes) => {
      const massG = changes.reduce((sum, change) => sum + change.by * nth(weighing.ledger.items, change.item).massG, 0)
      const perGram = (savedH: number) => savedH / (massG + 1)
      return { changes, perGram, atSight: perGram(weighing.savedAtSight(changes)) }
    })
    .sort((a, b) => b.atSight - a.atSight)
  let [best, most] = [alone, 0]
  for (const { changes, perGram, atSight } of seen) {
    if (atSight * (1 + sightErrs) <= most) break
    const saved = perGram(weighing.saved(changes))
    if (saved > most) [best, most] = [changes, saved]
  }
  return best
}

/** By so much of it what is seen at first may be too little. */
const sightErrs = 0.1

/** What a way to mend lacks besides an item, for each way that the item has a part in. */
function bundlesWith({ kit }: Weighing, free: KitProblem, item: number): Change[][] {
  const { provides, units } = nth(free.ledger.items, item)
  const counts = kit.counts.map((count, i) => (i === item ? count + 1 : count))
  const found = new Map<string, Change[]>()
  for (const way of free.ways) {
    const hasPart =
      way.needs.some((name) => provides.includes(name)) ||
      way.uses.some(({ stock }) => units.some((unit) => unit.stock === stock))
    if (!hasPart) continue
    const rest = lackingParts(free, counts, way, 0)
    if (!rest || rest.length === 0) continue
    const changes = [{ item, by: 1 }, ...rest.filter((change) => change.item !== item)]
    found.set(JSON.stringify(changes), changes)
  }
  return [...found.values()]
}

/** Hours, and the failures behind them, now and after a change: what is lost by it, or what it saves where things come along. */
function difference(
  weighing: Weighing,
  changes: readonly Change[],
): Pick<Verdict, 'lostH' | 'lostWalkH' | 'answers' | 'substitutes'> {
  const { promise } = weighing
  const now = { hours: promise.hoursByStream(), walkH: promise.hours.walkH }
  const isDrop = nth(changes, 0).by < 0
  const accounts = new Map<number, StreamAccount>()
  const after = weighing.tryOut(changes, () => {
    const hours = promise.hoursByStream()
    hours.forEach((value, number) => {
      if (Math.abs(value - numberAt(now.hours, number)) > leastH) accounts.set(number, promise.account(number))
    })
    return { hours, walkH: promise.hours.walkH }
  })
  const sign = isDrop ? 1 : -1
  const answers = weighing.streamsOf
    .flatMap((numbers, event): FailureAnswer[] => {
      const lostH =
        sign * numbers.reduce((sum, number) => sum + numberAt(after.hours, number) - numberAt(now.hours, number), 0)
      if (Math.abs(lostH) <= leastH) return []
      const changed = numbers.flatMap((number) => {
        const other = accounts.get(number)
        return other ? [{ here: promise.account(number), other }] : []
      })
      return [{ event: nth(weighing.ledger.events, event).id, lostH, ...whoMends(weighing, event, changed, isDrop) }]
    })
    .sort((a, b) => b.lostH - a.lostH)
  const inKit = (id: string) => !changes.some(({ item }) => nth(weighing.ledger.items, item).id === id)
  return {
    lostH: sign * (sum(after.hours) - sum(now.hours)),
    lostWalkH: sign * (after.walkH - now.walkH),
    answers,
    substitutes: [...new Set(answers.flatMap(({ instead }) => instead?.items ?? []))].filter(inKit),
  }
}

/** With and without: the fix that is done oftener with the item, and the one that takes its place. */
function whoMends(
  weighing: Weighing,
  event: number,
  accounts: readonly { readonly here: StreamAccount; readonly other: StreamAccount }[],
  isDrop: boolean,
): Pick<FailureAnswer, 'fix' | 'instead'> {
  const { fixes } = nth(weighing.ledger.events, event)
  const held = (list: 'here' | 'other', f: number) =>
    accounts.reduce((total, account) => total + (account[list].fixes[f]?.held ?? 0), 0)
  const [withIt, without] = isDrop ? (['here', 'other'] as const) : (['other', 'here'] as const)
  const oftener = fixes.map((_, f) => held(withIt, f) - held(without, f))
  const [best, instead] = [Math.max(...oftener), Math.min(...oftener)]
  const insteadFix = instead < -1e-9 ? fixes[oftener.indexOf(instead)] : undefined
  return {
    fix: best > 1e-9 ? nth(fixes, oftener.indexOf(best)).id : null,
    instead: insteadFix
      ? {
          fix: insteadFix.id,
          items: weighing
            .restsOn(
              insteadFix.needs,
              insteadFix.uses.map(({ stock }) => stock),
            )
            .map((item) => nth(weighing.ledger.items, item).id),
        }
      : null,
  }
}

const sum = (values: Float64Array) => values.reduce((total, value) => total + value, 0)
