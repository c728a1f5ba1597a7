import { indexLedger, termsOf, type Ledger } from '../ledger'
import { KitSearch, type KitChoice } from '../search'
import { nth } from '../validation'
import { gramsPerHourBetween, supported } from './hull'

/** A kit on its way from nothing to everything, with the price at which the search finds it: grams for an hour. */
export interface FrontierKit extends KitChoice {
  /** 0 for nothing, which no price finds but the dearest gram of all. */
  readonly gramsPerHour: number
}

/** Where grams are as cheap as this, g for an hour, everything that spares anything comes along: as far as the dial turns. */
const nearlyFree = 100_000
/** A kit that a price finds and that is no better than those at hand by more than this share, finds nothing new. */
const leastGain = 1e-6

/**
 * The best kits for each mass, from nothing to everything, whatever is pinned and however much the kit may weigh; as they are
 * found, the ends first.
 *
 * Between two neighbours a price of a gram is tried at which both are as good; whatever is better yet lies between them
 * (J. L. Cohon, R. L. Church, D. P. Sheer, "Generating multiobjective trade-offs: an algorithm for bicriterion problems", Water
 * Resources Research 15, 1979; named from memory). The widest gaps are tried first.
 *
 * @param steps how many kits are looked for at most, at least 2
 * @param search of the same ledger, where one is there already
 */
export function* frontier(
  ledger: Ledger,
  steps: number,
  search = KitSearch.forLedger(
    indexLedger({ ...ledger, gramsPerHour: nearlyFree, budgetG: null, budgetMoney: null, pins: {} }),
  ),
): Generator<FrontierKit> {
  const bestAt = (gramsPerHour: number): FrontierKit => {
    const kit = search.under(termsOf({ ...ledger, gramsPerHour, budgetG: null, budgetMoney: null, pins: {} })).best()
    return { ...kit, gramsPerHour }
  }
  const nothing = { ...search.choice(new Int32Array(ledger.items.length)), gramsPerHour: 0 }
  yield nothing
  const everything = bestAt(nearlyFree)
  yield everything
  const found = [nothing, everything]
  const done = new Set<string>()
  for (let step = 2; step < steps; step++) {
    const gap = widestGap(supported(found), done)
    if (!gap) return
    const [lighter, heavier] = gap
    const gramsPerHour = gramsPerHourBetween(lighter, heavier)
    const between = bestAt(gramsPerHour)
    const costH = ({ promiseH, massG }: KitChoice) => promiseH + massG / gramsPerHour
    const isNew = costH(lighter) - costH(between) > leastGain * costH(lighter)
    if (!isNew) {
      done.add(keyOf(gap))
      continue
    }
    found.push(between)
    yield between
  }
}

/** Of neighbours between which something may lie, those that lie furthest apart in grams and in hours. */
function widestGap(hull: readonly FrontierKit[], done: ReadonlySet<string>): [FrontierKit, FrontierKit] | undefined {
  const gaps = hull
    .slice(1)
    .map((heavier, i): [FrontierKit, FrontierKit] => [nth(hull, i), heavier])
    .filter((gap) => !done.has(keyOf(gap)))
  const width = ([lighter, heavier]: [FrontierKit, FrontierKit]) =>
    (heavier.massG - lighter.massG) * (lighter.promiseH - heavier.promiseH)
  return gaps.sort((a, b) => width(b) - width(a))[0]
}

const keyOf = ([lighter, heavier]: [FrontierKit, FrontierKit]) => `${lighter.counts.join()} ${heavier.counts.join()}`
