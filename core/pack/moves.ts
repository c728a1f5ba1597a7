import { nth } from '../validation'
import type { PackState } from './pack-state'

/** What it would cost to have a piece in another place instead, everything else staying where it is. */
export interface MoveCost {
  readonly storageId: string
  /** Hours more than now; null where it does not go in as things lie. */
  readonly hours: number | null
}

/**
 * What each other place would cost for a piece of a thing.
 *
 * @param thing by its number on the bench
 * @param from the place where it is; null where it is out
 */
export function movesOf(state: PackState, thing: number, from: string | null): MoveCost[] {
  const { pieces, places } = state.problem
  const home = from === null ? -1 : places.findIndex(({ id }) => id === from)
  const piece = pieces.findIndex((each, p) => each.thing === thing && nth(state.placeOf, p) === home)
  if (piece < 0) return []
  const [now, kept] = [state.costH, state.kept()]
  return places.flatMap(({ id }, to): MoveCost[] => {
    if (to === home) return []
    if (!state.fits(piece, to)) return [{ storageId: id, hours: null }]
    state.put(piece, to, state.rankFor(piece, to))
    const hasRoom = places.every((_, each) => state.hasRoom(each))
    const hours = state.costH - now
    state.restore(kept)
    return [{ storageId: id, hours: hasRoom ? hours : null }]
  })
}
