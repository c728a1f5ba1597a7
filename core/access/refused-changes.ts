import type { Thing } from '../bench'
import type { Rider } from '../crew'
import type { PartName, Trip } from '../trip'
import { changedEntries } from './changed-entries'
import type { Access } from './schema'

/** The parts in which something may be one rider's own. */
type OwnedParts = Pick<Trip, 'bikes' | 'crew' | 'bench'>

const mend = 'Suppose it instead, or ask the owner of the plan.'

/**
 * What of a change is not for somebody to make. A rider changes what is said of themselves, the bike that they ride, and
 * things that they bring; a reader nothing.
 *
 * @param before the plan as it is
 * @param after as it would be
 * @param parts those that would be changed
 * @returns a line for each thing that they may not change; none where all is theirs
 */
export function refusedChanges(
  access: Pick<Access, 'role' | 'rider'>,
  before: OwnedParts,
  after: OwnedParts,
  parts: readonly PartName[],
): string[] {
  if (access.role === 'owner' || parts.length === 0) return []
  if (access.role === 'reader') return [`${parts.join(', ')}: you read this plan, and change nothing of it. ${mend}`]
  const me = before.crew.find(({ id }) => id === access.rider)
  if (!me) return [`${parts.join(', ')}: nobody of the crew is you yet. The owner of the plan says who you are.`]
  return parts.flatMap((part): string[] => {
    if (part === 'crew') return ofCrew(me, before, after)
    if (part === 'bikes') return ofBikes(me, before, after)
    if (part === 'bench') return ofBench(me, before, after)
    return [`${part}: the owner of the plan changes that. ${mend}`]
  })
}

const othersRide = ({ crew }: OwnedParts, me: Rider, bikeId: string) =>
  crew.some((rider) => rider.id !== me.id && rider.bikeId === bikeId)

function ofCrew(me: Rider, before: OwnedParts, after: OwnedParts): string[] {
  const changed = changedEntries(before.crew, after.crew)
  const others = changed.filter(({ id }) => id !== me.id)
  const lines = others.map(({ at, name }) => `crew[${at}] (${name}): only that rider changes this. ${mend}`)
  const next = after.crew.find(({ id }) => id === me.id)
  if (!next) return [...lines, `crew (${me.name}): a rider leaves a plan, and does not take themselves out. ${mend}`]
  if (next.bikeId !== me.bikeId && othersRide(before, me, next.bikeId)) {
    const at = after.crew.indexOf(next)
    return [...lines, `crew[${at}].bikeId: somebody else rides that bike. Choose one that nobody rides, or add one.`]
  }
  return lines
}

function ofBikes(me: Rider, before: OwnedParts, after: OwnedParts): string[] {
  const next = after.crew.find(({ id }) => id === me.id)?.bikeId ?? me.bikeId
  const isMine = (id: string) => id === me.bikeId || (id === next && !othersRide(before, me, id))
  return changedEntries(before.bikes, after.bikes)
    .filter(({ id }) => !isMine(id))
    .map(({ at, name }) => `bikes[${at}] (${name}): only who rides it changes it. ${mend}`)
}

function ofBench(me: Rider, before: OwnedParts, after: OwnedParts): string[] {
  const mine = new Set(before.bench.filter(({ broughtBy }) => broughtBy === me.id).map(({ id }) => id))
  const isMine = (thing: Thing & { before: boolean }) => (thing.before ? mine.has(thing.id) : thing.broughtBy === me.id)
  const others = changedEntries(before.bench, after.bench).filter((thing) => !isMine(thing))
  const given = after.bench.filter(({ id, broughtBy }) => mine.has(id) && broughtBy !== me.id)
  return [
    ...others.map(({ at, name }) => `bench[${at}] (${name}): only who brings it changes it. ${mend}`),
    ...given.map(({ name }) => `bench (${name}): what you bring you take away; you do not give it to others. ${mend}`),
  ]
}
