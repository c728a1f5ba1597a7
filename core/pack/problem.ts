import type { Packing, Handling } from '../bench'
import type { Storage } from '../bike'

/** One piece that has to go somewhere on a bike. */
export interface PackPiece {
  /** Its thing, by the number on the bench. */
  readonly thing: number
  readonly massG: number
  readonly volumeMl: number
  readonly longestMm: number
  /** The narrowest round hollow that it goes into, mm; null where it goes into none. */
  readonly boreMm: number | null
  readonly handling: readonly Handling[]
  /** What may be wound on it, or goes into it, takes no room and is reached with it. */
  readonly takes: 'winds' | 'tucks' | null
  /** The place where it stays, by its number; null where it may go anywhere. */
  readonly stays: number | null
}

/** Work for which pieces are taken out. */
export interface PackWork {
  /** How often it is done on the trip, in the mean. */
  readonly times: number
  /** For each piece that it wants, the pieces of which any one will do. */
  readonly wants: readonly (readonly number[])[]
}

/** What is carried on one bike, to be put into its bags. */
export interface PackProblem {
  readonly pieces: readonly PackPiece[]
  readonly places: readonly Storage[]
  readonly works: readonly PackWork[]
  readonly hoursPerGram: number
  readonly packing: Packing
}
