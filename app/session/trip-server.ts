import type { Access } from '#core/access'
import type { PartName, Revision, Revisions, Trip } from '#core/trip'

/** One part as it shall be, and the revision it was made from. */
export interface PartChange {
  readonly part: PartName
  readonly base: Revision
  readonly value: unknown
}

/** Why something did not come about, where trying the same again later may do. */
export type Unreached =
  | { readonly kind: 'signed out' }
  /** There is no such trip for this person, or not any more. */
  | { readonly kind: 'gone' }
  /** No answer, or none that says whether it was done. */
  | { readonly kind: 'away'; readonly lines: readonly string[] }

/** How a trip stands on the server, and how this person stands to it. */
interface Standing {
  readonly revisions: Revisions
  readonly access: Access
}
export type Known = ({ readonly kind: 'known' } & Standing) | Unreached
export type Loaded = ({ readonly kind: 'loaded'; readonly trip: Trip } & Standing) | Unreached

export type Saved =
  /** Done, now or before: the revisions that this save made of its parts, and all revisions as they are now. */
  | ({ readonly kind: 'saved'; readonly made: Partial<Revisions> } & Standing)
  /** A part has been saved by somebody else since; nothing was done. */
  | { readonly kind: 'stale' }
  /** Nothing was done, and the same would be refused again. */
  | { readonly kind: 'refused'; readonly lines: readonly string[] }
  | Unreached

/** The server as a trip's session sees it. It never throws: whatever happens is an answer. */
export interface TripServer {
  load(trip: string): Promise<Loaded>
  revisions(trip: string): Promise<Known>
  /**
   * Saves some parts, all or none.
   *
   * @param save the name of this save: offered twice under one name, it is done once
   */
  save(trip: string, save: string, changes: readonly PartChange[]): Promise<Saved>
}
