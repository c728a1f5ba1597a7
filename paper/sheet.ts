import type { Papers } from '#core/papers'
import { calendarDayInWords, kmInWords } from '#wording'
import type { UnitSystem } from '#core/units'
import { html, type Html } from './html'

/** How somebody reads amounts. */
export interface Reading {
  readonly system: UnitSystem
}

/** When the ride begins and how long it is, in a line. */
export function rideInWords({ start, lengthKm }: Pick<Papers, 'start' | 'lengthKm'>, { system }: Reading): string {
  const begins =
    start === null ? '' : `, from ${calendarDayInWords(start.slice(0, 10))} ${start.slice(0, 4)}, ${start.slice(11)}`
  return `${kmInWords(lengthKm, system)}${begins}`
}

/** A sheet that begins on a page of its own: what it is, of which ride, and what is on it. */
export const sheet = (papers: Papers, title: string, body: Html, reading: Reading, beside: Html | null = null): Html =>
  html` <section class="sheet">
    <header class="head">
      <div>
        <h1>${title}</h1>
        <div>${papers.name}, ${rideInWords(papers, reading)}</div>
      </div>
      ${beside}
    </header>
    ${body}
  </section>`
