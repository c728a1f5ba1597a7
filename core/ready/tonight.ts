import { defined, nth } from '../validation'
import { standingOn, type ReadyTask } from './task-list'

/** A task, and the hours on the road that hang on it. */
export interface WeighedTask extends Pick<
  ReadyTask,
  'key' | 'who' | 'minutes' | 'deadline' | 'state' | 'on' | 'lastDay' | 'firstDay'
> {
  readonly undoneH: number
}

/** Tasks by the hours that hang on a minute of each, those on which most hang first. */
export const byWorthAMinute = <T extends Pick<WeighedTask, 'undoneH' | 'minutes'>>(tasks: readonly T[]): T[] => {
  const worth = ({ undoneH, minutes }: T) => undoneH / Math.max(1, minutes)
  return [...tasks].sort((a, b) => worth(b) - worth(a))
}

/** Whether something that is still open can be done on a day: it is neither too late for it nor too soon. */
const canBeDone = (task: WeighedTask, today: string): boolean =>
  task.state === 'open' &&
  standingOn({ ...task, on: null }, today) !== 'too late' &&
  (task.firstDay === null || task.firstDay <= today)

/** What each rider could do on an evening. */
export interface RiderEvening {
  readonly who: string
  readonly keys: readonly string[]
  readonly minutes: number
}

/**
 * What can still be done on an evening: for each rider first what is of no use later, then all else, each time as much as saves
 * most on the road in the minutes that are left: a 0/1 knapsack of minutes, solved exactly (Bellman 1957, as in any textbook).
 * What nobody in particular does is the first rider's; what is settled, or too late or too soon on that day, is left out.
 *
 * @param minutes how long the evening is
 * @param today such as 2026-05-30
 */
export function evening(
  tasks: readonly WeighedTask[],
  riders: readonly string[],
  minutes: number,
  today: string,
): RiderEvening[] {
  const possible = tasks.filter((task) => canBeDone(task, today))
  return riders.map((who) => {
    const own = possible.filter((task) => (task.who ?? riders[0]) === who)
    const isLastChance = ({ deadline }: WeighedTask) => deadline !== null && deadline <= today
    const now = bestWithin(own.filter(isLastChance), minutes)
    const spent = minutesOf(now)
    const then = bestWithin(
      own.filter((task) => !isLastChance(task)),
      minutes - spent,
    )
    const chosen = [...now, ...then]
    return { who, keys: chosen.map(({ key }) => key), minutes: minutesOf(chosen) }
  })
}

const minutesOf = (tasks: readonly Pick<WeighedTask, 'minutes'>[]) => tasks.reduce((sum, task) => sum + task.minutes, 0)

/** What nothing hangs on by hours still wants doing: a ticket, the papers. It counts for this much where there is time. */
const leastWorthH = 1e-6

/** The tasks that together are worth most and take no longer; each minute begun counts whole. */
export function bestWithin<T extends Pick<WeighedTask, 'minutes' | 'undoneH'>>(
  tasks: readonly T[],
  minutes: number,
): T[] {
  const most = Math.max(0, Math.floor(minutes))
  const sizes = tasks.map((task) => Math.ceil(task.minutes))
  const worths = tasks.map(({ undoneH }) => Math.max(leastWorthH, undoneH))
  /** By how many tasks may be taken and how many minutes there are: the most that they are worth. */
  const best = [new Float64Array(most + 1)]
  tasks.forEach((_, i) => {
    const before = nth(best, i)
    const [size, worth] = [nth(sizes, i), nth(worths, i)]
    best.push(before.map((without, m) => (m < size ? without : Math.max(without, worth + defined(before[m - size])))))
  })
  const taken: T[] = []
  let left = most
  for (let i = tasks.length; i > 0; i--) {
    if (defined(nth(best, i)[left]) === defined(nth(best, i - 1)[left])) continue
    taken.unshift(nth(tasks, i - 1))
    left -= nth(sizes, i - 1)
  }
  return taken
}
