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
export function hoursInSyntax(rows: readonly HoursRow[]): string {
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
    const follows = run && weekdayCodes.indexOf(run.at(-1)!) === weekdayCodes.indexOf(code) - 1
    if (follows) run.push(code)
    else runs.push([code])
  }
  return runs.map((run) => (run.length > 2 ? `${run[0]}-${run.at(-1)}` : run.join(','))).join(',')
}
