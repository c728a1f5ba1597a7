import { catalogue } from '#catalogue'
import { explainKit, missingTools } from '#core/choose'
import { Landscape } from '#core/availability'
import { buildLedger } from '#core/trip-ledger'
import { rounded } from './text'
import { tripFrom } from './trip'

/** What to take and what to leave, with the claims behind each verdict; and what a missing tool would be worth. */
export function kit(args: string[]): unknown {
  const { trip, survey } = tripFrom(args)
  const landscape = new Landscape(trip, survey, catalogue)
  const built = buildLedger(trip, survey, catalogue, landscape)
  const { verdicts, counts, massG, savedH, netH, expectedH, emptyH, rideThrough } = explainKit(built.ledger)
  const missing = missingTools(trip, survey, catalogue, landscape, built).map(
    ({ item, massG: itemG, worthH, fixes }) => ({
      item,
      massG: itemG,
      worthH: rounded(worthH, 4),
      fixes: fixes.map(({ fix, bike, hazard, fasteners }) => ({
        fix,
        bike,
        hazard,
        turns: fasteners.map(({ id }) => id),
      })),
    }),
  )
  return { verdicts, counts, massG, savedH, netH, expectedH, emptyH, rideThrough, missing }
}
