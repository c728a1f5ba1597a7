import { roomMl } from '../bike'
import { defined, nth } from '../validation'
import { roundingMl } from './goes-in'
import type { PackState } from './pack-state'

/** Looked at for one place; after so many the fullest filling so far is taken. */
const mostTried = 20_000

/**
 * Puts pieces into one place after another so that each is as full as can be, the largest that is left first: what matters
 * while room is scarce.
 *
 * Minimum bin slack: J. N. D. Gupta and J. C. Ho, Production Planning & Control 10 (1999), p. 598, with the largest piece
 * fixed as in K. Fleszar and K. S. Hindi, Computers & Operations Research 29 (2002), p. 821.
 *
 * @param order of the places, by their numbers
 */
export function fill(state: PackState, order: readonly number[]): void {
  const { pieces, places } = state.problem
  const left = new Set(pieces.keys())
  const put = (piece: number, place: number) => {
    state.put(piece, place, state.rankFor(piece, place))
    left.delete(piece)
  }
  pieces.forEach(({ stays }, piece) => {
    if (stays === null || !state.goesIn(piece, stays)) return
    put(piece, stays)
    // More is to stay there than goes in.
    if (!state.hasRoom(stays)) state.take(piece)
  })
  for (const place of order) {
    const room = roomMl(nth(places, place)) - state.usedMl(place)
    const candidates = [...left]
      .filter((piece) => state.goesIn(piece, place))
      .map((piece) => ({ piece, volumeMl: nth(pieces, piece).volumeMl }))
      .sort((a, b) => b.volumeMl - a.volumeMl)
    for (const { piece } of fullest(candidates, room)) put(piece, place)
  }
}

interface Candidate {
  readonly piece: number
  readonly volumeMl: number
}

/** Of pieces with the largest first, those that fill a room best, the largest that fits among them. */
function fullest(candidates: readonly Candidate[], room: number): readonly Candidate[] {
  const first = candidates.findIndex(({ volumeMl }) => volumeMl <= room + roundingMl)
  if (first < 0) return []
  const largest = defined(candidates[first])
  const others = candidates.slice(first + 1)
  /** What all from a place in the list on fill together. */
  const ahead = [0]
  for (let i = others.length - 1; i >= 0; i--) ahead.unshift(nth(ahead, 0) + nth(others, i).volumeMl)
  let tried = 0
  let [best, least] = [[largest], room - largest.volumeMl]
  const chosen = [largest]
  const look = (from: number, slack: number): void => {
    if (slack < least - roundingMl) [best, least] = [[...chosen], slack]
    for (let i = from; i < others.length && least > roundingMl && tried < mostTried; i++) {
      // Not even all that is left fills it better.
      if (slack - nth(ahead, i) >= least) return
      const other = nth(others, i)
      if (other.volumeMl > slack + roundingMl) continue
      tried++
      chosen.push(other)
      look(i + 1, slack - other.volumeMl)
      chosen.pop()
    }
  }
  look(0, room - largest.volumeMl)
  return best
}
