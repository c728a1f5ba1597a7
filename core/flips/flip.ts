import type { Skill } from '../crew'

/** Something that would have to be otherwise for a verdict to change sides, the rest of the kit as it is. */
export type Flip =
  /** An hour worth so many grams. */
  (
    | { readonly kind: 'dial'; readonly gramsPerHour: number }
    /** One that weighs so much. */
    | { readonly kind: 'mass'; readonly massG: number }
    /** A hazard that comes so many times as often. */
    | { readonly kind: 'rate'; readonly hazard: string; readonly times: number }
    /** A rider who had come so far with a technique. */
    | { readonly kind: 'hand'; readonly rider: string; readonly technique: string; readonly level: Skill }
    /** A place that had nothing for one. */
    | { readonly kind: 'shut'; readonly stop: string }
    /** A place that surely had a part. */
    | { readonly kind: 'surely'; readonly stop: string; readonly classId: string }
  ) & {
    /** How far that is off: 1 for twice or half as much, for one level of a hand, or for one place. Planning values. */
    readonly away: number
  }

/** Doublings from one amount to another. */
export const doublings = (from: number, to: number): number => Math.abs(Math.log2(to / from))
