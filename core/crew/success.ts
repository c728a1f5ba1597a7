import type { Difficulty, Rider, Skill, Technique } from './schema'

/** Chance that somebody can do a fix in the end, with an afternoon to spare, by difficulty and level. */
export type SuccessBySkill = Readonly<Record<Difficulty, readonly [number, number, number, number]>>

/** Planning values, from memory. */
export const successBySkill: SuccessBySkill = {
  easy: [0.5, 0.8, 0.97, 0.995],
  medium: [0.2, 0.5, 0.93, 0.985],
  hard: [0.05, 0.25, 0.8, 0.95],
}

/** The highest level anyone in the crew has in a technique. */
export function bestHands(riders: readonly Rider[], techniqueId: string): { level: Skill; riderId: string | null } {
  let best: { level: Skill; riderId: string | null } = { level: 0, riderId: null }
  for (const rider of riders) {
    const level = rider.skills[techniqueId] ?? rider.hands
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
  technique: Technique,
  helper: number,
  table: SuccessBySkill = successBySkill,
): number {
  const row = table[technique.difficulty]
  return row[level] + (1 - row[level]) * helper * row[2]
}
