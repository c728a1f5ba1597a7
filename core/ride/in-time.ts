/** Something that is planned for a day before the ride. */
interface Planned {
  /** The day, by the calendar on the wall; null while that is open. */
  readonly on: string | null
}

/**
 * Whether something is done before the ride begins; what has no day yet is.
 *
 * @param start when the ride begins, such as 2026-06-12T08:30; null while nobody knows
 */
export const isInTime = ({ on }: Planned, start: string | null): boolean =>
  on === null || start === null || on < start.slice(0, 10)
