import { formatMoney, type KnownPrice } from '#core/money'
import type { Reference } from '#core/reference'
import type { Trip } from '#core/trip'
import type { Deed, DeedKind, Price } from '#core/ways'
import { hoursInWords } from './amounts'
import { classInWords } from './supply'

/** What kind of thing one does, as a verdict. */
export const deedKindWords: Readonly<Record<DeedKind, string>> = {
  job: 'do at home',
  practice: 'practise',
  parcel: 'post ahead',
  buy: 'buy there',
  ask: 'ask',
  wait: 'wait',
  sleep: 'sleep there',
  borrow: 'borrow',
  together: 'ride together',
}

/** A deed as one would say what to do: "Mule: fresh brake pads", "Post a tyre, 622 to Brannock". */
export function deedInWords(
  deed: Deed,
  { bikes, crew, stops, bench }: Pick<Trip, 'bikes' | 'crew' | 'stops' | 'bench'>,
  { jobs, techniques, services, families }: Pick<Reference, 'jobs' | 'techniques' | 'services' | 'families'>,
): string {
  const stop = (id: string) => nameIn(stops, id)
  const service = (id: string) => nameIn(services, id)
  switch (deed.kind) {
    case 'job':
      return `${nameIn(bikes, deed.bikeId)}: ${nameIn(jobs, deed.jobId)}`
    case 'practice':
      return `${nameIn(crew, deed.riderId)} practises: ${nameIn(techniques, deed.techniqueId)}`
    case 'parcel':
      return `Post ${classInWords(deed.classId, families)}, to ${stop(deed.stopId)}`
    case 'buy':
      return `Buy at ${stop(deed.stopId)}, not before: ${nameIn(bench, deed.thingId)}`
    case 'ask':
      return deed.classId === null
        ? `Ask whether the ${service(deed.service)} at ${stop(deed.stopId)} is there`
        : `Ask the ${service(deed.service)} at ${stop(deed.stopId)} for ${classInWords(deed.classId, families)}`
    case 'wait':
      return `At need, wait ${hoursInWords(deed.hours)} for the ${service(deed.service)} at ${stop(deed.stopId)}`
    case 'sleep':
      return `Sleep at ${stop(deed.stopId)}, where something is shut when you come by`
    case 'borrow':
      return `A big wrench to borrow at ${stop(deed.stopId)}, if they lend one`
    case 'together':
      return 'Ride within reach of one another'
  }
}

const nameIn = (list: readonly { readonly id: string; readonly name: string }[], id: string): string =>
  list.find((entry) => entry.id === id)?.name ?? id

/** What several pieces cost, with how many of them nobody knows the price of: "€25.00 and 2 of no known price". */
export function knownPriceInWords({ price, unknown }: KnownPrice, currency: string, locale?: string): string {
  if (unknown === 0) return formatMoney(price, currency, locale)
  return price === 0 ? 'no known price' : `${formatMoney(price, currency, locale)} and ${unknown} of no known price`
}

/** Money in few letters, where there is any: "€25.00"; a mark where nobody has said how much. */
export const moneyInWords = (money: number | null, currency: string): string =>
  money === null ? `? ${currency}` : money > 0 ? formatMoney(money, currency) : ''

/** What a deed costs: "45 min at home and €5.00", "free". */
export function priceInWords({ minutes, money, share }: Price, currency: string): string {
  const said = [
    ...(minutes > 0 ? [`${hoursInWords(minutes / 60)} at home`] : []),
    ...(money === null ? [`money, nobody has said how much in ${currency}`] : []),
    ...(money !== null && money > 0 ? [formatMoney(money, currency)] : []),
  ]
  if (said.length === 0) return 'nothing'
  return said.join(' and ') + (share < 1 ? `, of which ${Math.round(100 * share)} % counts` : '')
}
