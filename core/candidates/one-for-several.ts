import type { Thing } from '../bench'
import { crewFit, toolsOn } from '../fit'
import type { Bike } from '../bike'
import { nth } from '../validation'
import { candidateFit, type CandidateFit } from './compare'

/** A job that is harder with one tool than with those that it stands for. */
export interface HarderJob {
  readonly with: CandidateFit
  readonly instead: CandidateFit
}

/** One tool in the place of several: all that they turn on these bikes still turns. */
export interface OneForSeveral {
  readonly tool: Thing
  /** What may stay at home for it, the heaviest first. */
  readonly instead: readonly Thing[]
  /** Grams that are carried less; more than nothing. */
  readonly savedG: number
  readonly harder: readonly HarderJob[]
}

/** So much more force is told where neither way is easy; less nobody feels. */
const feltShare = 1.2

/**
 * Tools each of which could stand for several that are carried, what saves most grams first. Of what it could stand for, the
 * heaviest is tried first; whatever no tool of the rest does besides, such as holding a tyre open, stays.
 *
 * @param carried all that is carried, each thing once
 * @param tools those that are tried; one that is carried already costs no grams
 * @param handMostN the most a hand gives, N
 */
export function oneForSeveral(
  bikes: readonly Bike[],
  carried: readonly Thing[],
  tools: readonly Thing[],
  handMostN: number,
): OneForSeveral[] {
  const fitsWith = (things: readonly Thing[]) => crewFit(bikes, toolsOn(things), handMostN).fasteners
  const before = fitsWith(carried)
  /** Whether nothing that turned has ceased to. */
  const isWhole = (things: readonly Thing[]) =>
    fitsWith(things).every(({ coverage }, i) => coverage === nth(before, i).coverage || coverage === 'turned')

  const found = tools.flatMap((tool): OneForSeveral[] => {
    const others = carried.filter(({ id }) => id !== tool.id)
    let kept: readonly Thing[] = [...others, tool]
    const byMass = others
      .filter(({ heads, units }) => heads.length > 0 && Object.keys(units).length === 0)
      .sort((a, b) => b.massG - a.massG)
    const instead = byMass.filter((thing) => {
      const without = kept.filter((each) => each !== thing)
      const isMissed = thing.provides.some((name) => !without.some(({ provides }) => provides.includes(name)))
      // What a torque is set with is not done by feel: brakes, steering and carbon depend on it.
      const isTorqueLost = setsTorque(thing) && !without.some(setsTorque)
      if (isMissed || isTorqueLost || !isWhole(without)) return false
      kept = without
      return true
    })
    const isCarried = others.length < carried.length
    const savedG = instead.reduce((sum, { massG }) => sum + massG, 0) - (isCarried ? 0 : tool.massG)
    if (instead.length < 2 || savedG <= 0) return []
    const harder = fitsWith(kept).flatMap((fit, i): HarderJob[] => {
      const [now, then] = [candidateFit(nth(before, i), handMostN), candidateFit(fit, handMostN)]
      return isHarder(now, then) ? [{ instead: now, with: then }] : []
    })
    return [{ tool, instead, savedG, harder }]
  })
  return found.sort((a, b) => b.savedG - a.savedG)
}

const setsTorque = ({ heads }: Thing) => heads.some((head) => 'setNm' in head && head.setNm !== null)

function isHarder(before: CandidateFit, after: CandidateFit): boolean {
  if (after.isEasy || before.coverage !== 'turned') return false
  if (before.isEasy) return true
  const isAwkward = ({ best }: CandidateFit) => best?.verdict === 'awkward'
  if (isAwkward(after) !== isAwkward(before)) return isAwkward(after)
  return (after.best?.handN ?? 0) >= feltShare * (before.best?.handN ?? Infinity)
}
