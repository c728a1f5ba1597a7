import { dateOf, timeOf, weekdayOf, type DaylitDay, type Visit, type WallMinutes } from '#core/ride'

const months = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
]

/** A day as riders name it: "Fri 12 June". */
export function dayInWords(at: WallMinutes): string {
  const [, month, day] = dateOf(at).split('-').map(Number) as [number, number, number]
  return `${weekdayOf(at).slice(0, 3)} ${day} ${months[month - 1]}`
}

/** The daylight of a day: "05:31–20:54", "the sun never sets". */
export function daylightInWords({ daylight }: Pick<DaylitDay, 'daylight'>): string {
  if (daylight.kind !== 'rises and sets') return `the sun ${daylight.kind}`
  return `${timeOf(daylight.rises)}–${timeOf(daylight.sets)}`
}

/** A moment on the road: "Fri 14:43". */
export function momentInWords(at: WallMinutes): string {
  return `${weekdayOf(at).slice(0, 3)} ${timeOf(at)}`
}

/** How a service is found in a word or two, for a narrow place: "✓", "0.5 h", "shut". */
export function visitMark({ found, waitH }: Visit, mostWaitH: number): { words: string; serves: boolean } {
  if (found !== 'shut') return { words: '✓', serves: true }
  const serves = waitH !== null && waitH <= mostWaitH
  return { words: serves ? `${Math.max(0.1, waitH).toFixed(1)} h` : 'shut', serves }
}

/** A service as one finds it on coming by, in few words: "bike shop", "bike shop from 09:00", "bike shop shut till Tue 10:00", "bed?". */
export function serviceInPassing(name: string, visit: Visit | null): string {
  if (!visit || visit.found === 'uncertain') return `${name}?`
  if (visit.found === 'open') return name
  if (visit.waitH === null) return `${name} shut`
  const opens = visit.stay.leaves + visit.waitH * 60
  return visit.waitH < soonH ? `${name} from ${timeOf(opens)}` : `${name} shut till ${momentInWords(opens)}`
}
/** Nobody rides past what opens sooner than this, h. */
const soonH = 0.5

/** How a service is found: "open", "hours unknown", "shut; opens in 2.5 h", "shut until Tue 10:00". */
export function visitInWords({ found, waitH, stay }: Visit): string {
  if (found === 'open') return 'open'
  if (found === 'uncertain') return 'hours unknown'
  if (waitH === null) return 'shut, and not opening within a year'
  return waitH < 10 ? `shut; opens in ${waitH.toFixed(1)} h` : `shut until ${momentInWords(stay.leaves + waitH * 60)}`
}
