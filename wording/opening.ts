import { timeOf, weekdayOf, type OpenDay } from '#core/ride'

/** A day of opening hours: "09:00–12:00, 14:00–17:00"; "shut"; with "?" where it is uncertain. */
export function openDayInWords({ day, spans }: OpenDay): string {
  // A day that is open to its end ends at 24:00, not at the next one's 00:00.
  const endOf = (to: number) => (to > day && timeOf(to) === '00:00' ? '24:00' : timeOf(to))
  return spans.map(({ from, to, sure }) => `${timeOf(from)}–${endOf(to)}${sure ? '' : ' ?'}`).join(', ') || 'shut'
}

/** Days in a row that are kept alike, as one says them, from Monday on: "Tue–Fri" "10:00–18:00", "Sat" …, "Sun–Mon" "shut". */
export function weekInRuns(week: readonly OpenDay[]): { days: string; words: string }[] {
  const monday = week.findIndex(({ day }) => weekdayOf(day) === 'Monday')
  const runs: { first: string; last: string; words: string }[] = []
  for (const openDay of [...week.slice(monday), ...week.slice(0, monday)]) {
    const name = weekdayOf(openDay.day).slice(0, 3)
    const words = openDayInWords(openDay)
    const run = runs.at(-1)
    if (run?.words === words) run.last = name
    else runs.push({ first: name, last: name, words })
  }
  const [first] = runs
  const last = runs.at(-1)
  // Sunday goes on into Monday.
  if (first && last && first !== last && first.words === last.words) {
    runs.shift()
    last.last = first.last
  }
  return runs.map(({ first, last, words }) => ({ days: first === last ? first : `${first}–${last}`, words }))
}
