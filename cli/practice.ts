import { catalogue } from '#catalogue'
import { skillWords } from '#core/crew'
import { indexLedger } from '#core/ledger'
import { practiceWorths } from '#core/practice'
import { withPlanning } from '#core/reference'
import { bestKit } from '#core/search'
import { ledgerOfTrip } from '#core/trip-ledger'
import { hoursInWords } from '#wording'
import { rounded, table } from './text'
import { tripFrom } from './trip'

/** What each evening of practice is worth with the best kit, the best first. */
export function practice(args: string[]): unknown {
  const { trip, survey, text } = tripFrom(args)
  const laid = ledgerOfTrip(trip, survey, catalogue)
  const { counts } = bestKit(indexLedger(laid.ledger))
  const worths = practiceWorths(laid, trip, withPlanning(catalogue, trip.dials.planning), counts)
  const nameOf = (list: readonly { readonly id: string; readonly name: string }[], id: string) =>
    list.find((entry) => entry.id === id)?.name ?? id
  if (!text) return { practice: worths.map((worth) => ({ ...worth, savedH: rounded(worth.savedH, 4) })) }
  return table(
    ['spares', 'who', 'practises', 'from', 'to', ''],
    worths
      .filter(({ savedH }) => savedH > 0)
      .map(({ riderId, techniqueId, from, to, savedH, isPlanned }) => [
        hoursInWords(savedH),
        nameOf(trip.crew, riderId),
        nameOf(catalogue.techniques, techniqueId),
        skillWords[from],
        skillWords[to],
        isPlanned ? 'planned' : '',
      ]),
  )
}
