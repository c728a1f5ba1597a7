import { writePosition, readPosition } from '#core/road'
import { tripCardSchema, type TripCard, type TripLeg } from '#core/trip'
import { checkAgainst, Fault } from '#core/validation'

/** A leg while it is being written: how far it goes may not be said yet. */
export type DraftLeg = Omit<TripLeg, 'km'> & { km: number | null }

/** A route card while it is being written. */
export interface RouteCardDraft {
  name: string
  begin: TripCard['begin'] & { position: string }
  legs: DraftLeg[]
}

/** Where a road lies of which nobody says where: the light of day is reckoned for there. */
const somewhere = { lat: 45, lon: 0 } as const

const noLeg = { name: '', km: null, bearing: 90, upM: null, downM: null, stopId: null, wasKm: null } as const

/** One leg after another, in the direction of the one before. */
export const nextLeg = (legs: readonly DraftLeg[]): DraftLeg => ({ ...noLeg, bearing: legs.at(-1)?.bearing ?? 90 })

export function draftOf(card: TripCard | undefined): RouteCardDraft {
  if (!card) return { name: '', begin: { name: '', ...somewhere, stopId: null, position: '' }, legs: [{ ...noLeg }] }
  const { lat, lon } = card.begin
  const isSomewhere = lat === somewhere.lat && lon === somewhere.lon
  return { ...card, begin: { ...card.begin, position: isSomewhere ? '' : writePosition(lat, lon) } }
}

/**
 * The card that was written.
 *
 * @throws Fault where something lacks, and says what
 */
export function cardOf({ name, begin, legs }: RouteCardDraft): TripCard {
  const { position, ...known } = begin
  const read = position.trim() === '' ? somewhere : readPosition(position)
  if ('error' in read)
    throw new Fault('Where it begins', `“${position}”`, read.error.replace('no position; write ', ''))
  // A position that was not typed anew stays as exact as it was.
  const where = position === writePosition(known.lat, known.lon) ? known : read
  return checkAgainst(tripCardSchema, {
    name: name.trim(),
    begin: { ...known, lat: where.lat, lon: where.lon },
    legs: legs.map((leg, i) => ({ ...leg, km: kmOf(leg, i) })),
  })
}

function kmOf({ name, km }: DraftLeg, i: number): number {
  if (km !== null && km > 0) return km
  throw new Fault(`Place ${i + 2}${name ? `, ${name}` : ''}`, null, 'how far it is from the place before')
}
