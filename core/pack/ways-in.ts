import { roomMl, type Bike, type Storage } from '../bike'
import { misfitOf, type Misfit } from './goes-in'
import type { PackState } from './pack-state'
import type { PackPiece } from './problem'
import { hasPlaceFor } from './room-for'

/** Why a piece is not in a place, and by how much; what is full lacks so much room as it stands. */
export interface NoRoom {
  readonly storageId: string
  readonly why: Misfit | 'full'
  /** mm where it is too long or too thick, else mL; null where it goes into no hollow at all. */
  readonly by: number | null
}

/** For each place of a bike, why something does not go in. */
export function whyNot(state: PackState, piece: Omit<PackPiece, 'stays'>): NoRoom[] {
  return state.problem.places.flatMap((place, c): NoRoom[] => {
    const room = roomMl(place)
    const why = misfitOf(piece, place, room)
    const by = {
      'too long': piece.longestMm - place.longestMm,
      'too thick': piece.boreMm === null || place.boreMm === null ? null : piece.boreMm - place.boreMm,
      'too large': piece.volumeMl - room,
    }
    if (why) return [{ storageId: place.id, why, by: by[why] }]
    const lacking = state.usedMl(c) + piece.volumeMl - room
    return lacking > 0 ? [{ storageId: place.id, why: 'full', by: lacking }] : []
  })
}

/** Another bag that takes a piece, with what it costs to carry and to open as often as that is wanted, h. */
export interface BagFor {
  readonly bag: Storage
  readonly hours: number
}

/** Bags that a bike has a place for and that take a piece, the cheapest first. */
export function bagsFor(
  state: PackState,
  piece: Omit<PackPiece, 'stays'>,
  times: number,
  bike: Bike,
  containers: readonly Storage[],
): BagFor[] {
  return containers
    .map((bag) => ({ ...bag, otherMl: 0 }))
    .filter((bag) => hasPlaceFor(bike, bag) && misfitOf(piece, bag, roomMl(bag)) === undefined)
    .map((bag) => ({ bag, hours: bag.massG * state.problem.hoursPerGram + (times * bag.reachMin) / 60 }))
    .sort((a, b) => a.hours - b.hours)
}

/** Places of another bike that have room for a piece as it is packed now. */
export const roomOn = (state: PackState, piece: Omit<PackPiece, 'stays'>): Storage[] =>
  state.problem.places.filter((place, c) => {
    const room = roomMl(place)
    return misfitOf(piece, place, room) === undefined && state.usedMl(c) + piece.volumeMl <= room
  })
