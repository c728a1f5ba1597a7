import type { Thing } from '../bench'
import type { Access } from './schema'

/**
 * A bench as somebody leaves it who laid things down: what a rider lays down they bring, and so does an owner with what is
 * of their own shed. Where nobody has said who of the crew they are, it is everybody's.
 *
 * @param before the bench without those things
 */
export function broughtByLayer({ role, rider }: Access, before: readonly Thing[], after: readonly Thing[]): Thing[] {
  const known = new Set(before.map(({ id }) => id))
  const isTheirs = (thing: Thing) =>
    thing.broughtBy === null && !known.has(thing.id) && (role === 'rider' || thing.shed !== null)
  return after.map((thing) => (rider !== null && isTheirs(thing) ? { ...thing, broughtBy: rider } : thing))
}

/** Whether somebody may be the one to bring a thing: what is nobody's yet is for the owner of the plan to get. */
export function mayBring({ role, rider, people }: Access, { broughtBy }: Pick<Thing, 'broughtBy'>): boolean {
  if (role === 'reader') return false
  if (people === 1) return true
  return (broughtBy === null && role === 'owner') || (broughtBy !== null && broughtBy === rider)
}
