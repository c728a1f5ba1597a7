import type { Opening } from './opening'
import { midnightBefore, minutesPerDay, timeOf, weekdayOf, type WallMinutes } from './wall-clock'

/** Days of the week as the opening-hours syntax writes them. */
export const weekdayCodes = ['Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa', 'Su'] as const
export type WeekdayCode = (typeof weekdayCodes)[number]

/** One day as an opening has it. */
export interface OpenDay {
  readonly day: WallMinutes
  /** "09:00–12:00, 14:00–17:00"; "shut"; with "?" where it is uncertain. */
  readonly words: string
}

const stepMin = 15

/** What some opening hours come to on the seven days from a moment on, read off every quarter of an hour. */
export function weekOf(opening: Opening, from: WallMinutes): OpenDay[] {
  const first = midnightBefore(from)
  return Array.from({ length: 7 }, (_, i) => {
    const day = first + i * minutesPerDay
    return { day, words: dayInHours(opening, day) }
  })
}

/** Days in a row that are kept alike, as one says them: "Mon–Sat", "08:00–19:00". */
export function weekInRuns(week: readonly OpenDay[]): { days: string; words: string }[] {
  const runs: { first: string; last: string; words: string }[] = []
  for (const { day, words } of week) {
    const name = weekdayOf(day).slice(0, 3)
    const run = runs.at(-1)
    if (run?.words === words) run.last = name
    else runs.push({ first: name, last: name, words })
  }
  return runs.map(({ first, last, words }) => ({ days: first === last ? first : `${first}–${last}`, words }))
}

function dayInHours(opening: Opening, day: WallMinutes): string {
  const spans: string[] = []
  let begun: { at: WallMinutes; sure: boolean } | undefined
  for (let at = day; at <= day + minutesPerDay; at += stepMin) {
    const state = at < day + minutesPerDay ? opening.at(at) : 'closed'
    if (state !== 'closed' && !begun) begun = { at, sure: state === 'open' }
    if (state === 'closed' && begun) {
      const to = at === day + minutesPerDay ? '24:00' : timeOf(at)
      spans.push(`${timeOf(begun.at)}–${to}${begun.sure ? '' : ' ?'}`)
      begun = undefined
    }
  }
  return spans.join(', ') || 'shut'
}
