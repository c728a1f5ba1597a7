import { catalogue } from '#catalogue'
import { CostsOfFailing } from '#core/availability'
import { indexLedger } from '#core/ledger'
import { KitSearch } from '#core/search'
import { ledgerOfTrip } from '#core/trip-ledger'
import { withCatalogue, whatIsLacking } from '#core/unlock'
import { explainKit } from '#core/verdicts'
import { namedCounts } from './kit-file'
import { rounded } from './text'
import { tripFrom } from './trip'

/** What to take and what to leave, with the failures behind each verdict and how the hours add up; and what the bench lacks. */
export function kit(args: string[]): unknown {
  const { trip, survey } = tripFrom(args)
  const costs = new CostsOfFailing(trip, survey, catalogue)
  const { ledger } = ledgerOfTrip(trip, survey, catalogue, costs)
  const { counts, ...kit } = explainKit(ledger, KitSearch.forLedger(indexLedger(ledger)))
  const named = namedCounts(ledger, counts)
  const lacking = whatIsLacking(withCatalogue(trip, survey, catalogue, costs), ledger.gramsPerHour, named)
    .filter(({ worthH }) => worthH > 0)
    .map((each) => ({ ...each, savedH: rounded(each.savedH, 4), worthH: rounded(each.worthH, 4) }))
  return { counts: named, gramsPerHour: ledger.gramsPerHour, ...kit, lacking }
}
