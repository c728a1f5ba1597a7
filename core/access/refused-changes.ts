import type { Thing } from '../bench'
import type { Rider } from '../crew'
import type { PartName, Trip } from '../trip'
import { changedEntries, fieldsThatDiffer } from './changed-entries'
import type { Access } from './schema'

/** The parts in which something may be one rider's own. */
type OwnedParts = Pick<Trip, 'bikes' | 'crew' | 'bench' | 'home' | 'log'>

/** Something of a change that is not for whoever makes it. */
export interface RefusedChange {
  readonly part: PartName
  /** Where it stands: "crew[1]". */
  readonly where: string
  /** What it is called; empty where the part as a whole is meant. */
  readonly name: string
  readonly why: string
  /** What to do about it. */
  readonly mend: string
}

/** A refused change as a line: where, what, and what would do. */
export const refusedLine = ({ where, name, why, mend }: RefusedChange) =>
  `${where}${name ? ` (${name})` : ''}: ${why}. ${mend}`

const supposeIt = 'Suppose it instead, or ask the owner of the plan.'

/**
 * What of a change is not for somebody to make. A rider changes what is said of themselves, the bike that they ride, things
 * that they bring, what they do themselves before the ride, and what they wrote in the log; a reader nothing.
 *
 * @param before the plan as it is
 * @param after as it would be
 * @param parts those that would be changed
 * @returns an entry for each thing that they may not change; none where all is theirs
 */
export function refusedChanges(
  access: Pick<Access, 'role' | 'rider'>,
  before: OwnedParts,
  after: OwnedParts,
  parts: readonly PartName[],
): RefusedChange[] {
  if (access.role === 'owner') return []
  const whole = (why: string, mend: string) => parts.map((part) => ({ part, where: part, name: '', why, mend }))
  if (access.role === 'reader') return whole('you read this plan, and change nothing of it', supposeIt)
  const me = before.crew.find(({ id }) => id === access.rider)
  if (!me) return whole('nobody of the crew is you yet', 'The owner of the plan says who you are.')
  return parts.flatMap((part) => {
    if (part === 'crew') return ofCrew(me, before, after)
    if (part === 'bikes') return ofBikes(me, before, after)
    if (part === 'bench') return ofBench(me, before, after)
    if (part === 'home') return ofHome(me, before, after)
    if (part === 'log') return ofLog(me, before, after)
    return [{ part, where: part, name: '', why: 'only the owner of the plan changes that', mend: supposeIt }]
  })
}

const refused =
  (part: 'crew' | 'bikes' | 'bench' | 'home' | 'log', why: string, mend = supposeIt) =>
  ({ at, name }: { readonly at: number; readonly name: string }): RefusedChange => ({
    part,
    where: part === 'home' ? `home.tasks[${at}]` : `${part}[${at}]`,
    name,
    why,
    mend,
  })

const othersRide = ({ crew }: OwnedParts, me: Rider, bikeId: string) =>
  crew.some((rider) => rider.id !== me.id && rider.bikeId === bikeId)

function ofCrew(me: Rider, before: OwnedParts, after: OwnedParts): RefusedChange[] {
  const others = changedEntries(before.crew, after.crew)
    .filter(({ id }) => id !== me.id)
    .map(refused('crew', 'only that rider changes this'))
  const at = after.crew.findIndex(({ id }) => id === me.id)
  const next = after.crew[at]
  if (!next) {
    const leave = refused('crew', 'a rider does not take themselves out of the crew')
    return [...others, leave({ at: before.crew.indexOf(me), name: me.name })]
  }
  if (next.bikeId === me.bikeId || !othersRide(before, me, next.bikeId)) return others
  const takeAnother = refused('crew', 'somebody else rides that bike', 'Choose one that nobody rides, or add one.')
  return [...others, takeAnother({ at, name: me.name })]
}

function ofBikes(me: Rider, before: OwnedParts, after: OwnedParts): RefusedChange[] {
  const next = after.crew.find(({ id }) => id === me.id)?.bikeId ?? me.bikeId
  const isMine = (id: string) => id === me.bikeId || (id === next && !othersRide(before, me, id))
  return changedEntries(before.bikes, after.bikes)
    .filter(({ id }) => !isMine(id))
    .map(refused('bikes', 'only who rides it changes it'))
}

function ofBench(me: Rider, before: OwnedParts, after: OwnedParts): RefusedChange[] {
  const mine = new Set(before.bench.filter(({ broughtBy }) => broughtBy === me.id).map(({ id }) => id))
  const isMine = (thing: Thing & { before: boolean }) => (thing.before ? mine.has(thing.id) : thing.broughtBy === me.id)
  const others = changedEntries(before.bench, after.bench).filter((thing) => !isMine(thing))
  const given = after.bench
    .map((thing, at) => ({ ...thing, at }))
    .filter(({ id, broughtBy }) => mine.has(id) && broughtBy !== me.id)
  return [
    ...others.map(refused('bench', 'only who brings it changes it')),
    ...given.map(refused('bench', 'what you bring you can take away, and not give to others')),
  ]
}

/** Of the list of what is to be done, a rider changes what they do themselves; the shops at home and the papers are the owner's. */
function ofHome(me: Rider, before: OwnedParts, after: OwnedParts): RefusedChange[] {
  const isMine = (tasks: Trip['home']['tasks'], id: string) => tasks.find((own) => own.id === id)?.by === me.id
  const others = changedEntries(before.home.tasks, after.home.tasks)
    .filter(
      (own) => (own.before && !isMine(before.home.tasks, own.id)) || (own.after && !isMine(after.home.tasks, own.id)),
    )
    .map(refused('home', 'only who does it changes it'))
  const rest = fieldsThatDiffer({ ...before.home, tasks: [] }, { ...after.home, tasks: [] })
  const why = 'only the owner of the plan changes that'
  return [
    ...others,
    ...rest.map((field) => ({ part: 'home' as const, where: `home.${field}`, name: '', why, mend: supposeIt })),
  ]
}

/** In a log everybody writes, and changes what they wrote themselves. */
function ofLog(me: Rider, before: OwnedParts, after: OwnedParts): RefusedChange[] {
  const by = (log: Trip['log'], id: string) => log.find((entry) => entry.id === id)?.by
  return changedEntries(before.log, after.log)
    .filter(
      (entry) =>
        (entry.before && by(before.log, entry.id) !== me.id) || (entry.after && by(after.log, entry.id) !== me.id),
    )
    .map(({ at, kind }) => refused('log', 'only who wrote it changes it')({ at, name: kind }))
}
