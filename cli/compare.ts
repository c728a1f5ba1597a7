import { catalogue } from '#catalogue'
import { indexLedger, massOf } from '#core/ledger'
import { bestKit } from '#core/search'
import { compareOnSameTrips, type KitDifference, type MeanOverTrips, type Side } from '#core/simulate'
import { ledgerOfTrip } from '#core/trip-ledger'
import { nth } from '#core/validation'
import { kitFrom } from './kit-file'
import { rounded, table } from './text'
import { tripOfArgs } from './trip'
import { numberOption, parsedArgs, UsageError } from './usage'

/** So many kits and plans are compared at most: more columns than that nobody reads. */
const mostSides = 5

/**
 * Two to five kits of a trip document, and other plans with the best kit of each, on the same drawn trips, and how each differs
 * from the first, with standard errors. Where no kit is given, the first is the best of the trip.
 */
export function compare(args: string[]): unknown {
  const { positionals, values } = parsedArgs(args, {
    kit: { type: 'string', multiple: true },
    plan: { type: 'string', multiple: true },
    trips: { type: 'string', default: '20000' },
    seed: { type: 'string', default: '1' },
    text: { type: 'boolean' },
  } as const)
  const plans = values.plan ?? []
  const paths = values.kit ?? []
  const names = [...(paths.length > 0 || plans.length === 0 ? paths : positionals.slice(0, 1)), ...plans]
  if (names.length < 2 || names.length > mostSides)
    throw new UsageError(`two to ${mostSides} kits or plans are compared, not ${names.length}`)
  const trips = Math.floor(numberOption(values.trips, 'trips', 2, 10_000_000))
  const seed = Math.floor(numberOption(values.seed, 'seed', 0, 2 ** 32 - 1))
  const ledgerOf = (path: string[]) => {
    const { trip, survey } = tripOfArgs(path)
    return ledgerOfTrip(trip, survey, catalogue).ledger
  }
  const bestOf = (path: string[]): Side => {
    const ledger = indexLedger(ledgerOf(path))
    return { ledger, counts: bestKit(ledger).counts }
  }
  const own = paths.length > 0 ? ledgerOf(positionals) : undefined
  const sides: Side[] = [
    ...(own ? paths.map((path) => ({ ledger: indexLedger(own), counts: kitFrom(path, own) })) : [bestOf(positionals)]),
    ...plans.map((path) => bestOf([path])),
  ]
  const masses = sides.map(({ ledger, counts }) => rounded(massOf(ledger, counts), 3))
  const { reports, fromFirst } = compareOnSameTrips(sides, { trips, seed })
  if (values.text) {
    const share = (each: number) => `${(100 * each).toFixed(2)} %`
    const h = (each: number) => `${each.toFixed(3)} h`
    const differs = ({ mean, se }: MeanOverTrips, write: (each: number) => string) =>
      `${write(mean)} ± ${write(1.96 * se)}`
    const row = (name: string, told: (kit: number) => string) => [name, ...sides.map((_, kit) => told(kit))]
    const against = (kit: number, write: (difference: KitDifference) => string) =>
      kit === 0 ? '' : write(nth(fromFirst, kit))
    return table(
      ['', ...names],
      [
        row('carried', (kit) => `${nth(masses, kit)} g`),
        row('lost', (kit) => h(nth(reports, kit).meanH)),
        row('  against the first', (kit) => against(kit, ({ hours }) => differs(hours, h))),
        row('on foot', (kit) => h(nth(reports, kit).walkH)),
        row('  against the first', (kit) => against(kit, ({ walkH }) => differs(walkH, h))),
        row('stranded', (kit) => share(nth(reports, kit).stranded)),
        row('  against the first', (kit) => against(kit, ({ stranded }) => differs(stranded, share))),
      ],
      sides.map((_, kit) => kit + 1),
    )
  }
  return {
    trips,
    seed,
    kits: reports.map(({ meanH, seH, walkH, stranded, strandedSe }, kit) => ({
      massG: nth(masses, kit),
      meanH,
      seH,
      walkH,
      stranded,
      strandedSe,
      fromFirst: { massG: rounded(nth(masses, kit) - nth(masses, 0), 3), ...nth(fromFirst, kit) },
    })),
  }
}
