import { trialOf } from '#core/checks'
import { dueDay, type CalendarEntry, type ReadyTask, type Standing, type TaskAbout } from '#core/ready'
import type { Reference } from '#core/reference'
import { parseWallClock } from '#core/ride'
import { daysBetween } from '#core/task'
import type { Trip } from '#core/trip'
import { dayInWords } from './moments'
import { classInWords } from './supply'

type Plan = Pick<Trip, 'bikes' | 'crew' | 'stops' | 'bench' | 'home'>

const nameIn = (list: readonly { readonly id: string; readonly name: string }[], id: string): string =>
  list.find((entry) => entry.id === id)?.name ?? id

/** What is to be done, as one would write it on a list: "Mule: spokes and rims", "Post to Brannock: a tyre, 622". */
export function taskInWords(
  { about, pieces }: Pick<ReadyTask, 'about' | 'pieces'>,
  plan: Plan,
  reference: Reference,
): string {
  const { bikes, crew, stops, bench, home } = plan
  switch (about.kind) {
    case 'job':
      return `${nameIn(bikes, about.bikeId)}: ${nameIn(reference.jobs, about.jobId)}`
    case 'check':
      return `${nameIn(bikes, about.bikeId)}: ${nameIn(reference.checks, about.checkId)}`
    case 'practice':
      return `${nameIn(crew, about.riderId)} practises: ${nameIn(reference.techniques, about.techniqueId)}`
    case 'parcel': {
      const service = stops.find(({ id }) => id === about.stopId)?.services.find(({ kind }) => kind === about.service)
      const classes = Object.keys(service?.parcel ?? {}).map((id) => classInWords(id, reference.families))
      return `Post to ${nameIn(stops, about.stopId)}: ${classes.join('; ')}`
    }
    case 'buy':
      return `Buy ${pieces !== null && pieces > 1 ? `${pieces} × ` : ''}${nameIn(bench, about.thingId)}`
    case 'try': {
      const thing = bench.find(({ id }) => id === about.thingId)
      const trial = thing && trialOf(thing, reference.trials, reference.families)
      return `${thing?.name ?? about.thingId}: ${trial?.name ?? 'tried'}`
    }
    case 'papers':
      return 'Papers to carry: printed'
    case 'own':
      return nameIn(home.tasks, about.taskId)
  }
}

/** What one minds in doing it, sentence by sentence. */
export interface TaskAdvice {
  /** What one looks at or does. */
  readonly look: string
  /** What is not for one's own hands. */
  readonly mechanic: string
  readonly caution: string
}

/** What is to be minded in doing something; empty where there is nothing to say. */
export function taskAdvice(about: TaskAbout, { bench, home }: Plan, reference: Reference): TaskAdvice {
  const nothing = { look: '', mechanic: '', caution: '' }
  switch (about.kind) {
    case 'job':
      return { ...nothing, ...pick(reference.jobs.find(({ id }) => id === about.jobId)) }
    case 'check':
      return { ...nothing, ...pick(reference.checks.find(({ id }) => id === about.checkId)) }
    case 'try': {
      const thing = bench.find(({ id }) => id === about.thingId)
      return { ...nothing, ...pick(thing && trialOf(thing, reference.trials, reference.families)) }
    }
    case 'practice':
      return { ...nothing, look: 'Do it once from end to end, with the tools that come along and nothing else.' }
    case 'parcel':
      return { ...nothing, look: 'Write your name and the day on which you come by on it, and take its number along.' }
    case 'own':
      return { ...nothing, look: home.tasks.find(({ id }) => id === about.taskId)?.note ?? '' }
    default:
      return nothing
  }
}

const pick = (entry: { readonly look?: string; readonly mechanic: string; readonly caution: string } | undefined) =>
  entry && { look: entry.look ?? '', mechanic: entry.mechanic, caution: entry.caution }

/** How a task stands, in a word or two. */
export const standingWords: Readonly<Record<Standing, string>> = {
  done: 'done',
  left: 'left undone',
  'too late': 'too late',
  overdue: 'overdue',
  due: 'today',
  ahead: '',
}

/** A day of the calendar as riders name it: "Fri 12 June". */
export const calendarDayInWords = (day: string): string => dayInWords(parseWallClock(`${day}T00:00`))

/** How far off a day is: "today", "in 3 days", "yesterday". */
export function daysOffInWords(day: string, today: string): string {
  const days = daysBetween(today, day)
  if (days === 0) return 'today'
  if (Math.abs(days) === 1) return days > 0 ? 'tomorrow' : 'yesterday'
  return days > 0 ? `in ${days} days` : `${-days} days ago`
}

/** What a calendar is told: all that is still open and has a day, on that. */
export const calendarEntries = (tasks: readonly ReadyTask[], plan: Plan, reference: Reference): CalendarEntry[] =>
  tasks.flatMap((task) => {
    const day = dueDay(task)
    if (task.state !== 'open' || day === null) return []
    const { look, mechanic, caution } = taskAdvice(task.about, plan, reference)
    const text = [look, mechanic, caution].filter(Boolean).join('\n')
    return [{ key: task.key, day, title: taskInWords(task, plan, reference), text }]
  })
