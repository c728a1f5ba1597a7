import { conditionOn, yearsBetween, type OwnedThing } from '#core/shed'
import type { SupplyFamily } from '#core/supply'

/** A length of time as people say it: "3 weeks", "14 months", "6 years". */
export function ageInWords(years: number): string {
  // Months and years are not all as long as one another: a day short of one is one.
  const months = Math.floor(years * 12 + 0.1)
  const weeks = Math.floor((years * 365.2425) / 7)
  if (weeks < 1) return 'this week'
  const [count, word] =
    months < 2
      ? ([weeks, 'week'] as const)
      : months < 24
        ? ([months, 'month'] as const)
        : ([Math.floor(months / 12), 'year'] as const)
  return `${count} ${word}${count === 1 ? '' : 's'} ago`
}

/** What is known of the age of a thing, and how far it can be trusted: "opened 14 months ago, trusted to 45 %". */
export function conditionInWords(thing: OwnedThing, today: string, families: readonly SupplyFamily[]): string {
  const said = [
    ['tested', thing.tested],
    ['opened', thing.opened],
    ['bought', thing.bought],
  ] as const
  // What is said last of it counts most; once opened or tested, when it was bought matters less.
  const known = said
    .filter(([, day]) => day !== null && day <= today)
    .slice(0, 2)
    .map(([word, day]) => `${word} ${ageInWords(yearsBetween(day ?? today, today))}`)
  const share = Math.round(100 * conditionOn(thing, today, families))
  const trust = share < 100 ? [`trusted to ${share} %`] : []
  return [...known, ...trust].join(', ')
}
