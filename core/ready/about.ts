/** What is to be done before a ride, by what it is about. */
export type TaskAbout =
  /** A job on a bike at home. */
  | { readonly kind: 'job'; readonly bikeId: string; readonly jobId: string }
  /** Something of a bike that is looked over. */
  | { readonly kind: 'check'; readonly bikeId: string; readonly checkId: string }
  /** An evening of practice. */
  | { readonly kind: 'practice'; readonly riderId: string; readonly techniqueId: string }
  /** A parcel brought to the post, with all that is sent to one place. */
  | { readonly kind: 'parcel'; readonly stopId: string; readonly service: string }
  /** Pieces of a thing that the kit takes and nobody has. */
  | { readonly kind: 'buy'; readonly thingId: string }
  /** A thing of the kit that is tried. */
  | { readonly kind: 'try'; readonly thingId: string }
  /** The papers to carry. */
  | { readonly kind: 'papers' }
  /** Something of one's own. */
  | { readonly kind: 'own'; readonly taskId: string }

/** A task by its name: no two of a plan have the same. */
export const taskKey = (about: TaskAbout): string => Object.values(about).join(' ')
