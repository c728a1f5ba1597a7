import { catalogue } from '#catalogue'
import { indexLedger, readLedger, type Ledger } from '#core/ledger'
import { surveyRoad } from '#core/road'
import { bestKit } from '#core/search'
import { Simulation } from '#core/simulate'
import { readTrip, tripFormat } from '#core/trip'
import { ledgerOfTrip } from '#core/trip-ledger'
import { Fault } from '#core/validation'
import { jsonFile } from './json-file'
import { kitFrom } from './kit-file'
import { numberOption, onePath, parsedArgs } from './usage'

/** Trips drawn from a ledger, or from that of a trip, with a kit or with the one that `solve` picks. */
export function simulate(args: string[]): unknown {
  const { positionals, values } = parsedArgs(args, {
    kit: { type: 'string' },
    trips: { type: 'string', default: '20000' },
    seed: { type: 'string', default: '1' },
  } as const)
  const trips = Math.floor(numberOption(values.trips, 'trips', 1, 10_000_000))
  const seed = Math.floor(numberOption(values.seed, 'seed', 0, 2 ** 32 - 1))
  const ledger = ledgerIn(jsonFile(onePath(positionals), 'a ledger or a trip document'))
  const indexed = indexLedger(ledger)
  const counts = values.kit === undefined ? bestKit(indexed).counts : kitFrom(values.kit, ledger)
  const simulation = new Simulation(indexed, counts, seed)
  simulation.run(trips)
  const { meanH, seH, walkH, stranded, strandedSe, ranOut, neverUsed } = simulation.report()
  return { meanH, seH, walkH, stranded, strandedSe, ranOut, neverUsed }
}

function ledgerIn(document: unknown): Ledger {
  const format = document !== null && typeof document === 'object' && 'format' in document ? document.format : undefined
  if (typeof format !== 'string' || !format.startsWith(tripFormat.split('/')[0] ?? '')) return readLedger(document)
  const trip = readTrip(document, catalogue)
  const survey = surveyRoad(trip.road.points)
  if (survey.lengthKm <= 0) throw new Fault('road.points', 'no road', 'a road of some length; import a GPX file first')
  return ledgerOfTrip(trip, survey, catalogue).ledger
}
