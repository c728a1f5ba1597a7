import type { Access } from '#core/access'
import { partNames, sameRevision, type PartName, type Revisions, type Trip } from '#core/trip'
import { isOrder, type Change } from './changes'

/** An edit as it is offered to the server: made once, known by an id. */
export interface Step {
  readonly id: string
  readonly changes: readonly Change[]
}

/** A step with its place in the order of all steps on this device. */
export interface PlacedStep extends Step {
  readonly place: number
}

/** A save that is on its way: it is offered again under the same name, with the same steps, until it is answered. */
export interface Sending {
  readonly save: string
  readonly upTo: number
}

export type Parts = Partial<Omit<Trip, 'format'>>

/** A trip as this device has it: what the server last said of it, and the steps that it does not have yet. */
export interface KeptTrip {
  readonly revisions: Revisions
  /** The parts as the server has them; those only that the asker does not know in this revision. */
  readonly parts: Parts
  readonly steps: readonly PlacedStep[]
  /** Steps up to this place have reached the server, or have been taken in by it. */
  readonly settledUpTo: number
  readonly sending: Sending | undefined
  /** How the person stands to it, as the server last said; undefined where it never did. */
  readonly access: Access | undefined
}

/** What somebody knows of a trip who asks for it again. */
export interface Known {
  readonly revisions: Revisions
  readonly steps: readonly Step[]
}

/** A trip of which something waits on this device. */
export interface Waiting {
  readonly trip: string
  readonly name: string
  readonly steps: number
}

/** A trip that lies on this device. */
export interface KeptLine {
  readonly trip: string
  readonly name: string
  /** When the server last said how it stands, in ms since 1970. */
  readonly asOf: number
  /** Whether it stays there however many others are opened. */
  readonly isTakenAlong: boolean
}

/**
 * What one person's device holds, whatever happens to its windows: trips as the server has them and the steps that
 * wait for it. All windows of the person share one. What is put in is on the device when the promise is kept; it is
 * handed over at the call itself, so that a window that is closed in the next moment does not take it along.
 */
export interface Outbox {
  /** Whether it outlives this window. */
  readonly lasts: boolean
  /** @param known what the asker has: parts in these revisions are left out, and these steps come back as they are */
  read(trip: string, known?: Known): Promise<KeptTrip | undefined>
  /** Keeps a trip as the server sent it, where none is kept yet; steps that were left behind stay. */
  keep(trip: string, document: Trip, revisions: Revisions): Promise<void>
  /** Keeps how the person stands to a trip that is kept. */
  grant(trip: string, access: Access): Promise<void>
  /** The server has just said how a trip stands, and it is so here. */
  heard(trip: string): Promise<void>
  /** Whether a trip that is kept stays here however many others are opened. */
  takeAlong(trip: string, isTakenAlong: boolean): Promise<void>
  /** @returns the place of the step */
  append(trip: string, step: Step): Promise<number>
  /** What is to be sent now: the save that was not answered yet, else all steps that are there; undefined where there are none. */
  begin(trip: string, save: string): Promise<Sending | undefined>
  /** The server has these steps: the parts they touched are now the server's. */
  settle(trip: string, sending: Sending, parts: Parts, revisions: Partial<Revisions>): Promise<void>
  /** The save has certainly not been done and never will; its steps wait for another. */
  abandon(trip: string): Promise<void>
  /**
   * Takes in what the server has, under the steps that wait.
   *
   * @param seen ids of the steps it was compared with
   * @param step one more that follows from it
   * @returns false, and nothing is done, where other steps have come meanwhile
   */
  rebase(
    trip: string,
    parts: Parts,
    revisions: Revisions,
    seen: ReadonlySet<string>,
    step: Step | undefined,
  ): Promise<boolean>
  /** Trips of which steps wait. */
  waiting(): Promise<Waiting[]>
  /** All trips that are kept, the one of which the server was asked last first. */
  kept(): Promise<KeptLine[]>
  /** Forgets a trip and whatever waits of it. */
  forget(trip: string): Promise<void>
  /** Forgets everything. */
  wipe(): Promise<void>
  /** Lets go of what it holds open. */
  close(): void
}

/** What a trip is called on this device: as the steps that wait last called it. */
export function nameWithSteps(name: unknown, steps: readonly Pick<Step, 'changes'>[]): string {
  const names = steps.flatMap(({ changes }) =>
    changes.flatMap((change) =>
      change.path.length === 1 && change.path[0] === 'name' && !isOrder(change) ? [change.after] : [],
    ),
  )
  const last = names.at(-1) ?? name
  return typeof last === 'string' ? last : ''
}

/** Parts that some revisions say otherwise than others. */
export function partsThatDiffer(a: Revisions, b: Revisions): PartName[] {
  return partNames.filter((part) => !sameRevision(a[part], b[part]))
}
