import { atTheWrench, fixOf, withoutEase, type EventNote } from '#core/trip-ledger'
import type { Bike } from '#core/bike'
import type { Grade } from '#core/fix'
import type { Reference } from '#core/reference'

/** "rear flat: thorn, glass or pinch"; "a lost bolt: rack bolts": a kind of failure as people would say it. */
export function failureInWords(
  note: Pick<EventNote, 'hazard' | 'bike' | 'wheel' | 'fastener'>,
  reference: Pick<Reference, 'hazards'>,
  bikes: readonly Bike[],
): string {
  const hazard = reference.hazards.find(({ id }) => id === note.hazard)
  const name = hazard?.name ?? note.hazard
  // What strikes one wheel only says so in its name.
  const wheel = hazard?.strikes === 'wheel' && note.wheel ? `${note.wheel} ` : ''
  const fastener = bikes
    .find(({ id }) => id === note.bike)
    ?.fasteners.find(({ id }) => id === note.fastener)
    ?.name.toLowerCase()
  return `${wheel}${name}${fastener ? `: ${fastener}` : ''}`
}

/** "glue a patch, pump"; "tighten the headset's nut, with a borrowed wrench"; "tighten the crank, awkwardly". */
export function fixInWords(ledgerFix: string, reference: Pick<Reference, 'fixes'>): string {
  const name = reference.fixes.find((fix) => fix.id === fixOf(ledgerFix))?.name ?? ledgerFix
  if (ledgerFix.endsWith(atTheWrench)) return `${name}, with a borrowed wrench`
  return ledgerFix.endsWith(withoutEase) ? `${name}, awkwardly` : name
}

/** How long a fix holds: "for good", "to the next shop", "at walking pace". */
export const gradeWords: Readonly<Record<Grade, string>> = {
  lasting: 'for good',
  'to the next shop': 'to the next shop',
  'walking pace': 'at walking pace',
}

/** How often something comes on a trip: "0.31 times", "2.4 times", "once in 90 trips". */
export function timesInWords(expected: number): string {
  if (expected === 0) return 'never'
  if (expected >= 0.095) return `${expected >= 9.95 ? Math.round(expected) : Number(expected.toPrecision(2))} a trip`
  const trips = 1 / expected
  return `once in ${trips < 9950 ? Number(trips.toPrecision(2)) : 'over 10 000'} trips`
}
