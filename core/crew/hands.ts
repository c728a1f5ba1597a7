import type { Difficulty, Rider, Skill, Technique } from './schema'

/** Chance that somebody can do a fix in the end, with an afternoon to spare, by difficulty and level. */
export type SuccessBySkill = Readonly<Record<Difficulty, readonly [number, number, number, number]>>

/** Planning values, from memory. */
export const successBySkill: SuccessBySkill = {
  easy: [0.5, 0.8, 0.97, 0.995],
  medium: [0.2, 0.5, 0.93, 0.985],
  hard: [0.05, 0.25, 0.8, 0.95],
}

/** How often a rider has done something by departure: what is to be practised till then counts, unless it was left undone. */
export function levelAtDeparture(rider: Rider, techniqueId: string): Skill {
  const practised = rider.practice
    .filter(({ technique, state }) => technique === techniqueId && state !== 'left')
    .map(({ level }) => level)
  return practised.reduce((most, level) => (level > most ? level : most), levelNow(rider, techniqueId))
}

/** How often a rider has done something so far. */
export const levelNow = (rider: Rider, techniqueId: string): Skill => rider.skills[techniqueId] ?? rider.hands

/** The level that a rider has in all of some kinds of work; null where they differ, and where there are none. */
export function commonLevel(rider: Rider, techniqueIds: readonly string[]): Skill | null {
  const [first, ...others] = techniqueIds.map((id) => levelNow(rider, id))
  return first !== undefined && others.every((level) => level === first) ? first : null
}

/** The highest level anyone of some riders has in a technique at departure, of equals the first. */
export function bestHands(riders: readonly Rider[], techniqueId: string): { level: Skill; riderId: string | null } {
  let best: { level: Skill; riderId: string | null } = { level: 0, riderId: null }
  for (const rider of riders) {
    const level = levelAtDeparture(rider, techniqueId)
    if (best.riderId === null || level > best.level) best = { level, riderId: rider.id }
  }
  return best
}

/**
 * Chance that the best hands present bring a fix off.
 *
 * @param helper chance (0 to 1) that a passer-by stops who has done it at home;
 *   0 where outside help is not allowed
 * @param table the planning values in force
 */
export function handSuccess(
  level: Skill,
  technique: Pick<Technique, 'difficulty'>,
  helper: number,
  table: SuccessBySkill = successBySkill,
): number {
  const row = table[technique.difficulty]
  return row[level] + (1 - row[level]) * helper * row[2]
}

/**
 * What a level comes to on a bike that nobody has worked on: a bolt that is seized, an axle that opens the other way, a hose
 * where a cable was. Planning value: one level less. Common practice, no source.
 */
export const onStrangeBike = (level: Skill): Skill => (level === 0 ? 0 : ((level - 1) as Skill))

/**
 * Chance that a crew brings a fix off on one of its bikes: the best hands of all while they are together, and while they are
 * apart those of whoever rides it. A bike that nobody rides is pushed beside another.
 *
 * @param apart the share (0 to 1) of such failures that find the riders out of reach of one another
 * @param isStrange whether nobody of the crew has worked on that bike; whoever passes by has never seen any of them
 */
export function crewSuccess(
  crew: readonly Rider[],
  bikeId: string,
  technique: Technique,
  helper: number,
  apart: number,
  isStrange = false,
  table: SuccessBySkill = successBySkill,
): number {
  const chanceOf = (riders: readonly Rider[]) => {
    const { level } = bestHands(riders, technique.id)
    return handSuccess(isStrange ? onStrangeBike(level) : level, technique, helper, table)
  }
  const together = chanceOf(crew)
  const alone = crew.filter((rider) => rider.bikeId === bikeId)
  return apart === 0 || alone.length === 0 ? together : (1 - apart) * together + apart * chanceOf(alone)
}

/** The strongest hand of a trip, N, which turns what is tight: of riders of whom nobody has said, as the trip says of all. */
export const strongestHandN = ({ crew, dials }: { crew: readonly Rider[]; dials: { handMostN: number } }): number =>
  crew.length === 0 ? dials.handMostN : Math.max(...crew.map(({ handMostN }) => handMostN ?? dials.handMostN))
