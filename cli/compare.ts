import { catalogue } from '#catalogue'
import { indexLedger } from '#core/ledger'
import { compareKits, type MeanOverTrips, type SimulationReport } from '#core/simulate'
import { ledgerOfTrip } from '#core/trip-ledger'
import { nth } from '#core/validation'
import { kitFrom } from './kit-file'
import { rounded, table } from './text'
import { tripOfArgs } from './trip'
import { numberOption, parsedArgs, UsageError } from './usage'

/** Two kits on the same drawn trips of a trip document, and their differences with standard errors. */
export function compare(args: string[]): unknown {
  const { positionals, values } = parsedArgs(args, {
    kit: { type: 'string', multiple: true },
    trips: { type: 'string', default: '20000' },
    seed: { type: 'string', default: '1' },
    text: { type: 'boolean' },
  } as const)
  const kits = values.kit ?? []
  if (kits.length !== 2) throw new UsageError(`two kits are compared, not ${kits.length}`)
  const trips = Math.floor(numberOption(values.trips, 'trips', 2, 10_000_000))
  const seed = Math.floor(numberOption(values.seed, 'seed', 0, 2 ** 32 - 1))
  const { trip, survey } = tripOfArgs(positionals)
  const { ledger } = ledgerOfTrip(trip, survey, catalogue)
  const [first, second] = kits.map((path) => kitFrom(path, ledger))
  const massG = (counts: readonly number[]) =>
    rounded(
      ledger.items.reduce((sum, item, i) => sum + item.massG * nth(counts, i), 0),
      3,
    )
  const [a, b] = [first ?? [], second ?? []]
  const { hours, walkH, stranded, ...reports } = compareKits(indexLedger(ledger), a, b, { trips, seed })
  if (values.text) {
    const share = (each: number) => `${(100 * each).toFixed(2)} %`
    const h = (each: number) => `${each.toFixed(3)} h`
    const row = (
      name: string,
      of1: number,
      of2: number,
      { mean, se }: MeanOverTrips,
      write: (each: number) => string,
    ) => [name, write(of1), write(of2), write(mean), `± ${write(1.96 * se)}`]
    return table(
      ['', nth(kits, 0), nth(kits, 1), 'difference', '95 in 100'],
      [
        ['carried', `${massG(a)} g`, `${massG(b)} g`, `${rounded(massG(b) - massG(a), 3)} g`, ''],
        row('lost', reports.first.meanH, reports.second.meanH, hours, h),
        row('on foot', reports.first.walkH, reports.second.walkH, walkH, h),
        row('stranded', reports.first.stranded, reports.second.stranded, stranded, share),
      ],
      [1, 2, 3, 4],
    )
  }
  const told = ({ meanH, seH, walkH: onFootH, stranded: often, strandedSe }: SimulationReport, counts: number[]) => ({
    massG: massG(counts),
    meanH,
    seH,
    walkH: onFootH,
    stranded: often,
    strandedSe,
  })
  return {
    trips,
    seed,
    first: told(reports.first, a),
    second: told(reports.second, b),
    difference: { massG: rounded(massG(b) - massG(a), 3), hours, walkH, stranded },
  }
}
