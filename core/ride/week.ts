import type { Opening } from './opening'
import { midnightBefore, minutesPerDay, type WallMinutes } from './wall-clock'

/** Days of the week as the opening-hours syntax writes them. */
export const weekdayCodes = ['Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa', 'Su'] as const
export type WeekdayCode = (typeof weekdayCodes)[number]

/** From when to when something is open. */
export interface OpenSpan {
  readonly from: WallMinutes
  readonly to: WallMinutes
  /** Whether that is certain. */
  readonly sure: boolean
}

/** One day as an opening has it; no span where it is shut. */
export interface OpenDay {
  readonly day: WallMinutes
  readonly spans: readonly OpenSpan[]
}

const stepMin = 15

/** What some opening hours come to on the seven days from a moment on, read off every quarter of an hour. */
export function weekOf(opening: Opening, from: WallMinutes): OpenDay[] {
  const first = midnightBefore(from)
  return Array.from({ length: 7 }, (_, i) => {
    const day = first + i * minutesPerDay
    return { day, spans: spansOf(opening, day) }
  })
}

function spansOf(opening: Opening, day: WallMinutes): OpenSpan[] {
  const spans: OpenSpan[] = []
  let begun: { from: WallMinutes; sure: boolean } | undefined
  for (let at = day; at <= day + minutesPerDay; at += stepMin) {
    const state = at < day + minutesPerDay ? opening.at(at) : 'closed'
    if (state !== 'closed' && !begun) begun = { from: at, sure: state === 'open' }
    if (state === 'closed' && begun) {
      spans.push({ ...begun, to: at })
      begun = undefined
    }
  }
  return spans
}
