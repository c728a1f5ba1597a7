import { catalogue } from '#catalogue'
import { indexLedger } from '#core/ledger'
import { KitSearch } from '#core/search'
import { stress as findings } from '#core/stress'
import { ledgerOfTrip } from '#core/trip-ledger'
import { chanceInWords, hoursInWords } from '#wording'
import { kitFrom, namedCounts } from './kit-file'
import { rounded, table } from './text'
import { tripOfArgs } from './trip'
import { parsedArgs } from './usage'

/** How a kit of a trip document, or the best one, does with several flats in a day and with each place shut. */
export function stress(args: string[]): unknown {
  const { positionals, values } = parsedArgs(args, { kit: { type: 'string' }, text: { type: 'boolean' } } as const)
  const { trip, survey } = tripOfArgs(positionals)
  const { ledger } = ledgerOfTrip(trip, survey, catalogue)
  const counts =
    values.kit === undefined ? KitSearch.forLedger(indexLedger(ledger)).best().counts : kitFrom(values.kit, ledger)
  const all = [...findings(trip, survey, catalogue, counts)]
  if (!values.text) {
    return {
      kit: namedCounts(ledger, counts),
      findings: all.map((finding) => {
        if (finding.kind !== 'knowing') return finding
        const { kit, ...rest } = finding
        return {
          ...rest,
          massG: rounded(kit.massG, 3),
          promiseH: kit.promiseH,
          counts: namedCounts(ledger, kit.counts),
        }
      }),
    }
  }
  const nameOf = (id: string) => trip.stops.find((stop) => stop.id === id)?.name ?? id
  const rows = all.flatMap((finding): string[][] => {
    switch (finding.kind) {
      case 'now':
        return [[hoursInWords(finding.promiseH), chanceInWords(finding.stranded), 'the road as it is']]
      case 'flats':
        return finding.often.map(({ times, hours, mended, stranded }) => [
          hoursInWords(hours),
          chanceInWords(stranded),
          `${times} × flat in one day, all mended ${chanceInWords(mended)}, ${finding.bike}, km ${rounded(finding.fromKm, 0)} to ${rounded(finding.toKm, 0)}`,
        ])
      case 'shut':
        return [[hoursInWords(finding.promiseH), chanceInWords(finding.stranded), `shut: ${nameOf(finding.stop)}`]]
      case 'knowing':
        return [
          [
            hoursInWords(finding.kit.promiseH),
            chanceInWords(finding.kit.stranded),
            `shut: ${nameOf(finding.stop)}, with the best kit for it, ${rounded(finding.kit.massG, 0)} g`,
          ],
        ]
    }
  })
  return table(['lost', 'stranded', 'when'], rows, [0, 1])
}
