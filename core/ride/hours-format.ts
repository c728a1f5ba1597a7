import { defined } from '../validation'
import { weekdayCodes, type WeekdayCode } from './week'

/** Some days of the week that are kept alike, with one or two openings a day: "09:00", "12:30". */
export interface HoursRow {
  readonly days: readonly WeekdayCode[]
  readonly spans: readonly { readonly from: string; readonly to: string }[]
}

/**
 * Writes hours as people fill them in in the OpenStreetMap syntax:
 * "Mo-Fr 09:00-12:00,14:00-17:00; Sa 09:00-13:00".
 *
 * Rows without days or without a whole span are left out.
 */
export function formatHours(rows: readonly HoursRow[]): string {
  return rows
    .flatMap(({ days, spans }) => {
      const whole = spans.filter(({ from, to }) => from !== '' && to !== '')
      if (days.length === 0 || whole.length === 0) return []
      const times = whole.map(({ from, to }) => `${from}-${to === '00:00' ? '24:00' : to}`).join(',')
      return [`${dayRanges(days)} ${times}`]
    })
    .join('; ')
}

/** "Mo-We,Sa": three or more in a row become a range. */
function dayRanges(days: readonly WeekdayCode[]): string {
  const runs: WeekdayCode[][] = []
  for (const code of weekdayCodes) {
    if (!days.includes(code)) continue
    const run = runs.at(-1)
    const follows = run && weekdayCodes.indexOf(defined(run.at(-1))) === weekdayCodes.indexOf(code) - 1
    if (follows) run.push(code)
    else runs.push([code])
  }
  return runs.map((run) => (run.length > 2 ? `${run[0]}-${run.at(-1)}` : run.join(','))).join(',')
}

const day = 'Mo|Tu|We|Th|Fr|Sa|Su'
const days = `(?:${day})(?:-(?:${day}))?`
const time = String.raw`\d\d:\d\d`
const span = `${time}-${time}`
const rule = new RegExp(`^(?:(${days}(?:,\\s*${days})*) )?(${span}(?:,\\s*${span})?)$`)

/**
 * The rows of a form that say the same as some hours in the syntax; undefined where the form cannot say it: more than
 * days of the week with one or two openings.
 *
 * @param tidy hours as the specification would have them written
 */
export function parseHours(tidy: string): HoursRow[] | undefined {
  const rows: { days: WeekdayCode[]; spans: { from: string; to: string }[] }[] = []
  for (const part of tidy.split(';')) {
    const match = rule.exec(part.trim())
    if (!match) return undefined
    const these = match[1] === undefined ? [...weekdayCodes] : match[1].split(',').flatMap(daysOfRange)
    // What is said later of a day holds.
    for (const row of rows) row.days = row.days.filter((code) => !these.includes(code))
    const spans = (match[2] ?? '').split(',').map((each) => {
      const [from = '', to = ''] = each.trim().split('-')
      return { from, to: to === '24:00' ? '00:00' : to }
    })
    rows.push({ days: these, spans })
  }
  return rows.filter((row) => row.days.length > 0)
}

function daysOfRange(range: string): WeekdayCode[] {
  const [first, last = first] = range.trim().split('-') as WeekdayCode[]
  const from = weekdayCodes.indexOf(first as WeekdayCode)
  const to = weekdayCodes.indexOf(last as WeekdayCode)
  // A range may go round the end of the week: Sa-Mo.
  return weekdayCodes.filter((_, i) => (from <= to ? i >= from && i <= to : i >= from || i <= to))
}
