import { catalogue } from '#catalogue'
import { flips as turns } from '#core/flips'
import { indexLedger } from '#core/ledger'
import { KitSearch } from '#core/search'
import { ledgerOfTrip } from '#core/trip-ledger'
import { explainKit } from '#core/verdicts'
import { flipInWords } from '#wording'
import { table } from './text'
import { tripOfArgs } from './trip'
import { parsedArgs, UsageError } from './usage'

/** What would change the verdict on one thing of a trip document, the nearest first. */
export function flips(args: string[]): unknown {
  const { positionals, values } = parsedArgs(args, { thing: { type: 'string' }, text: { type: 'boolean' } } as const)
  const { trip, survey } = tripOfArgs(positionals)
  const { ledger } = ledgerOfTrip(trip, survey, catalogue)
  const kit = explainKit(ledger, KitSearch.forLedger(indexLedger(ledger)))
  const verdict = kit.verdicts.find(({ item }) => item === values.thing)
  if (!verdict) throw new UsageError(`--thing names a thing of the bench, not "${values.thing ?? ''}"`)
  const found = [...turns(trip, survey, catalogue, kit.counts, verdict)].sort((a, b) => a.away - b.away)
  if (!values.text) return { thing: verdict.item, verdict: verdict.verdict, flips: found }
  const isTaken = verdict.verdict === 'take'
  return table(
    ['away', `it ${isTaken ? 'stays at home' : 'comes along'} where`],
    found.map((flip) => [flip.away.toFixed(2), flipInWords(flip, isTaken, trip, catalogue, 'metric')]),
    [0],
  )
}
