import { catalogue } from '#catalogue'
import { indexLedger } from '#core/ledger'
import { bestKit } from '#core/search'
import { bestSplit, planOf, splitOfTrip } from '#core/split'
import { ledgerOfTrip } from '#core/trip-ledger'
import { nth } from '#core/validation'
import { alongInWords, hoursInWords } from '#wording'
import { namedCounts } from './kit-file'
import { rounded, table } from './text'
import { tripFrom } from './trip'

/** Who carries what of the best kit, what is doubled because riders are apart, and what that costs. */
export function split(args: string[]): unknown {
  const { trip, survey, text } = tripFrom(args)
  const laid = ledgerOfTrip(trip, survey, catalogue)
  const { counts } = bestKit(indexLedger(laid.ledger))
  const plan = planOf(bestSplit(splitOfTrip(trip, survey, catalogue, laid, counts)))
  const nameOf = (item: number) => nth(trip.bench, item).name
  if (!text) {
    return {
      riders: plan.riders.map(({ counts: carried, ...load }) => ({
        ...load,
        counts: namedCounts(laid.ledger, carried),
      })),
      costs: Object.fromEntries(
        Object.entries<number>({ ...plan.costs }).map(([name, cost]) => [name, rounded(cost, 4)]),
      ),
      doubles: plan.doubles.map(({ item, rider, ...double }) => ({
        thing: nth(trip.bench, item).id,
        riderId: nth(plan.riders, rider).id,
        ...double,
      })),
    }
  }
  const carried = table(
    ['carries', 'pieces', 'grams', 'of all'],
    plan.riders.flatMap(({ counts: own, massG, fairG }, r) => [
      [
        [nth(trip.crew, r).name, alongInWords(nth(trip.crew, r), trip.stops)].filter((words) => words).join(', '),
        '',
        `${Math.round(massG)}`,
        `${Math.round(fairG)} g would be fair`,
      ],
      ...own.flatMap((count, item) =>
        count > 0 ? [['', `${count}`, `${Math.round(count * nth(trip.bench, item).massG)}`, nameOf(item)]] : [],
      ),
    ]),
    [1, 2],
  )
  const doubles = table(
    ['a second', 'on', 'together', 'apart', 'to carry', ''],
    plan.doubles.map(({ item, rider, togetherH, apartH, carryH, isTaken }) => [
      nameOf(item),
      nth(trip.crew, rider).name,
      hoursInWords(togetherH),
      hoursInWords(apartH),
      hoursInWords(carryH),
      isTaken ? 'taken' : '',
    ]),
    [2, 3, 4],
  )
  return plan.doubles.length > 0 ? `${carried}\n${doubles}` : carried
}
