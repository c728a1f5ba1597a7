import { catalogue } from '#catalogue'
import { indexLedger } from '#core/ledger'
import { compareKits, type KitDifference, type MeanOverTrips } from '#core/simulate'
import { ledgerOfTrip } from '#core/trip-ledger'
import { nth } from '#core/validation'
import { kitFrom } from './kit-file'
import { rounded, table } from './text'
import { tripOfArgs } from './trip'
import { numberOption, parsedArgs, UsageError } from './usage'

/** So many kits are compared at most: more columns than that nobody reads. */
const mostKits = 5

/** Two to five kits on the same drawn trips of a trip document, and how each differs from the first, with standard errors. */
export function compare(args: string[]): unknown {
  const { positionals, values } = parsedArgs(args, {
    kit: { type: 'string', multiple: true },
    trips: { type: 'string', default: '20000' },
    seed: { type: 'string', default: '1' },
    text: { type: 'boolean' },
  } as const)
  const paths = values.kit ?? []
  if (paths.length < 2 || paths.length > mostKits)
    throw new UsageError(`two to ${mostKits} kits are compared, not ${paths.length}`)
  const trips = Math.floor(numberOption(values.trips, 'trips', 2, 10_000_000))
  const seed = Math.floor(numberOption(values.seed, 'seed', 0, 2 ** 32 - 1))
  const { trip, survey } = tripOfArgs(positionals)
  const { ledger } = ledgerOfTrip(trip, survey, catalogue)
  const kits = paths.map((path) => kitFrom(path, ledger))
  const masses = kits.map((counts) =>
    rounded(
      ledger.items.reduce((sum, item, i) => sum + item.massG * nth(counts, i), 0),
      3,
    ),
  )
  const { reports, fromFirst } = compareKits(indexLedger(ledger), kits, { trips, seed })
  if (values.text) {
    const share = (each: number) => `${(100 * each).toFixed(2)} %`
    const h = (each: number) => `${each.toFixed(3)} h`
    const differs = ({ mean, se }: MeanOverTrips, write: (each: number) => string) =>
      `${write(mean)} ± ${write(1.96 * se)}`
    const row = (name: string, told: (kit: number) => string) => [name, ...kits.map((_, kit) => told(kit))]
    const against = (kit: number, write: (difference: KitDifference) => string) =>
      kit === 0 ? '' : write(nth(fromFirst, kit))
    return table(
      ['', ...paths],
      [
        row('carried', (kit) => `${nth(masses, kit)} g`),
        row('lost', (kit) => h(nth(reports, kit).meanH)),
        row('  against the first', (kit) => against(kit, ({ hours }) => differs(hours, h))),
        row('on foot', (kit) => h(nth(reports, kit).walkH)),
        row('  against the first', (kit) => against(kit, ({ walkH }) => differs(walkH, h))),
        row('stranded', (kit) => share(nth(reports, kit).stranded)),
        row('  against the first', (kit) => against(kit, ({ stranded }) => differs(stranded, share))),
      ],
      kits.map((_, kit) => kit + 1),
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
