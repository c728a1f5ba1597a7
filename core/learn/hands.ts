import { levelAtDeparture } from '../crew'
import type { LogEntry } from '../log'
import type { Reference } from '../reference'
import { chanceBelief, chanceEstimate, withTries, type Estimate } from './belief'
import type { RiddenTrip } from './ridden'

/** How surely somebody brings a technique off: what was planned for their hands, and what is believed now. */
export interface LearnedHands {
  /** By name: riders are others in every trip. */
  readonly rider: string
  readonly technique: string
  readonly tries: number
  readonly could: number
  readonly before: Estimate
  readonly after: Estimate
}

/** How a fix did: how often it held once it was done, and how long it took. */
export interface LearnedFix {
  readonly fix: string
  readonly done: number
  readonly held: number
  readonly before: Estimate
  readonly after: Estimate
  /** Minutes: as planned, and drawn towards those that were noted, of which there are so many. */
  readonly timed: number
  readonly minutesBefore: number
  readonly minutesAfter: number
}

/** What is planned stands on so many tries, and so many times that somebody looked at a watch. Planning values. */
const triesBehindPlan = 5
const timesBehindPlan = 3
/** Nothing is so sure, or so hopeless, that no try could teach otherwise. */
const between = (chance: number) => Math.min(0.995, Math.max(0.005, chance))

type Try = Extract<LogEntry, { kind: 'failed' }>['tries'][number]
const triesOf = ({ trip }: RiddenTrip): Try[] =>
  trip.log.flatMap((entry) => (entry.kind === 'failed' ? entry.tries : []))

/** How surely each rider brought off what they tried. */
export function learnHands(
  ridden: readonly RiddenTrip[],
  { techniques, fixes, hands }: Pick<Reference, 'techniques' | 'fixes' | 'hands'>,
): LearnedHands[] {
  const found = new Map<string, LearnedHands & { readonly planned: number }>()
  for (const each of ridden) {
    for (const { fix: fixId, by, could } of triesOf(each)) {
      const rider = each.trip.crew.find(({ id }) => id === by)
      const technique = techniques.find(({ id }) => id === fixes.find((fix) => fix.id === fixId)?.technique)
      if (!rider || !technique) continue
      const key = JSON.stringify([rider.name, technique.id])
      const planned = between(hands[technique.difficulty][levelAtDeparture(rider, technique.id)])
      const known = found.get(key)
      const [tries, well] = [(known?.tries ?? 0) + 1, (known?.could ?? 0) + (could ? 1 : 0)]
      // Of the levels that somebody had on several trips the highest counts: nobody unlearns.
      const mean = Math.max(known?.planned ?? 0, planned)
      const belief = chanceBelief(mean, triesBehindPlan)
      found.set(key, {
        rider: rider.name,
        technique: technique.id,
        tries,
        could: well,
        planned: mean,
        before: chanceEstimate(belief),
        after: chanceEstimate(withTries(belief, well, tries - well)),
      })
    }
  }
  return [...found.values()]
    .map(({ planned: _, ...learned }) => learned)
    .sort((a, b) => a.rider.localeCompare(b.rider) || a.technique.localeCompare(b.technique))
}

/** How each fix that was done held, and how long it took. */
export function learnFixes(ridden: readonly RiddenTrip[], { fixes }: Pick<Reference, 'fixes'>): LearnedFix[] {
  const tries = ridden.flatMap(triesOf)
  return fixes.flatMap((fix): LearnedFix[] => {
    const mine = tries.filter((each) => each.fix === fix.id)
    const done = mine.filter(({ could, held }) => could && held !== null)
    const minutes = mine.flatMap((each) => (each.minutes === null ? [] : [each.minutes]))
    if (done.length === 0 && minutes.length === 0) return []
    const held = done.filter((each) => each.held === true).length
    const belief = chanceBelief(between(fix.holds), triesBehindPlan)
    const inAll = minutes.reduce((sum, each) => sum + each, 0)
    return [
      {
        fix: fix.id,
        done: done.length,
        held,
        before: chanceEstimate(belief),
        after: chanceEstimate(withTries(belief, held, done.length - held)),
        timed: minutes.length,
        minutesBefore: fix.minutes,
        minutesAfter: (timesBehindPlan * fix.minutes + inAll) / (timesBehindPlan + minutes.length),
      },
    ]
  })
}
