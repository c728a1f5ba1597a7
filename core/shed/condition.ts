import type { SupplyFamily } from '../supply'
import { readClass } from '../supply'
import { daysBetween } from '../task'
import type { OwnedThing } from './schema'

/** Days of the Gregorian calendar to a year. */
const daysAYear = 365.2425

/** Years from one day to another; none where the other is not later. @param from 2026-05-30 */
export const yearsBetween = (from: string, to: string): number => Math.max(0, daysBetween(from, to) / daysAYear)

const later = (a: string | null, b: string | null): string | null => (a !== null && (b === null || a > b) ? a : b)

/**
 * How far a thing of the shed can be trusted on a day: what its owner says, else by its age. Pieces go bad by chance, as
 * many of those that are left in each year, faster once they were opened (exponential law with two half-lives, planning
 * values of the family). What was tested was as new on that day. Of something that is of several kinds the worst counts.
 *
 * @param on the day, such as 2026-05-30
 * @returns 0 to 1; 1 where nothing is known of its age
 */
export function conditionOn(thing: OwnedThing, on: string, families: readonly SupplyFamily[]): number {
  if (thing.trustedTo !== null) return thing.trustedTo
  const { bought, opened, tested } = thing
  const isOpen = opened !== null && opened <= on
  const since = later(bought, tested)
  const sealedY = since === null ? 0 : yearsBetween(since, isOpen && opened < on ? opened : on)
  const openY = isOpen ? yearsBetween(later(opened, tested) ?? opened, on) : 0
  const left = Object.keys(thing.units).map((id) => {
    const halfLife = readClass(id, families)?.family.halfLife
    return halfLife ? 2 ** -(sealedY / halfLife.sealedY + openY / halfLife.openedY) : 1
  })
  return Math.min(1, ...left)
}

/** Whether age does anything to a thing. */
export const ages = ({ units }: Pick<OwnedThing, 'units'>, families: readonly SupplyFamily[]): boolean =>
  Object.keys(units).some((id) => readClass(id, families)?.family.halfLife != null)
