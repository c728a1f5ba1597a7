import type { ChangeLine, RefusedChange } from '#core/access'
import { formatMoney, planningCurrency } from '#core/money'
import type { Dials, PartName, Trip } from '#core/trip'
import type { Amount, UnitSystem } from '#core/units'
import { amountInWords, gramsInWords, kmInWords } from '#wording'
import { valueAt, type Path } from './changes'
import type { Conflict, Side } from './conflicts'

const parts: Record<PartName, string> = {
  name: 'name of the trip',
  road: 'road',
  ride: 'days and pace',
  forecast: 'weather',
  stops: 'stops',
  bikes: 'bikes',
  crew: 'crew',
  bench: 'bench',
  home: 'list of what is to be done',
  log: 'log',
  dials: 'assumptions',
}

/** "the bench and the stops" */
export function partsInWords(names: readonly PartName[]): string {
  const words = names.map((name) => `the ${parts[name]}`)
  return words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`
}

/** Names of values that say too little, or something else, by themselves. */
const fields: Readonly<Record<string, string>> = {
  roadKm: 'place on the road',
  offRoadM: 'detour',
  massG: 'mass',
  pin: 'how many to carry at least and at most',
  provides: 'what it does',
  units: 'what it is a stock of',
  gramsPerHour: 'what an hour is worth',
  budgetG: 'the most the kit may weigh',
  budgetMoney: 'the most that may be spent',
  moneyPerHour: 'what an hour is worth in money',
  trust: 'chance from which a shop is counted on',
  waitH: 'longest wait for a shop to open',
  walkHoursPerDay: 'walking hours in a day',
  nightOutH: 'what a night out costs besides',
  rideOverH: 'what a ride that ends early costs',
  helper: 'chance that a passer-by can mend it',
  liftWaitH: 'how soon a lift comes',
  handMostN: 'what hands can pull',
  planning: 'planning values',
  reckoning: 'the reckoning it was weighed by',
  bikeId: 'bike',
  loadG: 'all that is taken along',
  carriesMostG: 'the most of the kit to carry',
  carriesMostMl: 'the most of the kit to carry, by volume',
  share: 'share of the kit to carry',
  apart: 'share of riding out of reach of one another',
  points: 'the line',
  from: 'where it comes from',
  start: 'when the ride begins',
  ridingH: 'riding in a day',
  pauseH: 'pauses to each hour',
  dayStartsH: 'when later days begin, after midnight',
  utcOffsetH: 'clocks ahead of UTC',
  climbMPerH: 'climb that takes an hour',
  pace: 'speed in km/h',
  nights: 'nights that are settled',
  owned: 'how many there are already',
  broughtBy: 'who brings it',
  boughtAt: 'where it is bought on the way',
  carriedBy: 'who carries it',
  packedIn: 'where it is packed',
  storageId: 'in',
  handling: 'what is minded in packing',
  shed: 'whose shed it is of',
  on: 'on which day',
  state: 'what became of it',
  by: 'who does it',
  checks: 'what is looked over',
  posting: 'when it is posted',
  buying: 'when it is bought',
  trial: 'when it is tried',
  shop: 'at which shop',
  deliveryDays: 'days until it is delivered',
}

/** Units that names of the document end with. */
const units: Readonly<Record<string, string>> = {
  Km: 'km',
  M: 'm',
  Mm: 'mm',
  MPerH: 'm',
  G: 'g',
  H: 'h',
  KmH: 'km/h',
  C: '°C',
  N: 'N',
  Nm: 'N·m',
  Ml: 'ml',
  Bar: 'bar',
  Deg: '°',
  Wh: 'Wh',
}
/** Those that other people read in other units. */
const amounts: Readonly<Record<string, Amount>> = {
  M: 'height',
  KmH: 'speed',
  N: 'force',
  Ml: 'volume',
  Bar: 'pressure',
  C: 'warmth',
}
const unitAtEnd = new RegExp(`(?<=[a-z])(${Object.keys(units).join('|')})$`)

/** "wheelbaseMm" as "wheelbase": a name of the document, read aloud, without its unit. */
function readAloud(key: string): string {
  return (
    fields[key] ??
    key
      .replace(unitAtEnd, '')
      .replace(/([a-z])([A-Z])/g, '$1 $2')
      .toLowerCase()
  )
}

/** What lies at a place of the document: "Mini pump: mass". */
export function placeInWords(path: Path, document: Trip): string {
  const [part, ...rest] = path
  const words = rest.map((key, i) => {
    if (typeof key === 'string') return readAloud(key)
    const entry = valueAt(document, path.slice(0, i + 2)) as { name?: string } | undefined
    return entry?.name ?? `one of the ${parts[part as PartName]}`
  })
  if (words.length === 0) return `the ${parts[part as PartName]}`
  // What has a name of its own is known by it; a value alone is not.
  return (typeof rest[0] === 'string' ? [parts[part as PartName], ...words] : words).join(': ')
}

/** What a conflict is about. */
export function conflictInWords({ paths, here, there }: Conflict, document: Trip, other: Trip): string {
  const [path] = paths
  if (paths.length > 1 || !path) return 'the line of the road, with all that lies along it'
  // What was removed here is named as it stands there.
  return placeInWords(path, here[0] === undefined && there[0] !== undefined ? other : document)
}

/** What goes by an id in a document, by that: riders, bikes, and the bags of those. */
const namesIn = ({ bikes, crew }: Pick<Trip, 'bikes' | 'crew'>): ReadonlyMap<string, string> =>
  new Map([...crew, ...bikes, ...bikes.flatMap(({ storage }) => storage)].map(({ id, name }) => [id, name]))

/** A value as it is shown beside another one. @param document where what it speaks of has its names */
export function sideInWords(
  conflict: Conflict,
  side: Side,
  system: UnitSystem,
  document: Pick<Trip, 'bikes' | 'crew'>,
  currency = planningCurrency,
): string {
  const [path] = conflict.paths
  if (conflict.paths.length > 1 || !path) {
    const road = conflict[side][0] as Trip['road']
    const stops = conflict[side][1] as Trip['stops']
    return `${road.name || 'a road without a name'}, ${road.points.length} points, ${stops.length} stops`
  }
  return valueInWords(conflict[side][0], path.at(-1), { system, currency, names: namesIn(document) })
}

/** How values are told, and what ids stand for. */
interface Telling {
  readonly system: UnitSystem
  readonly currency: string
  readonly names: ReadonlyMap<string, string>
}

/** Values that are money. */
const money: readonly unknown[] = ['budgetMoney', 'moneyPerHour'] satisfies (keyof Dials)[]

function valueInWords(value: unknown, key: Path[number] | undefined, telling: Telling): string {
  const { system, currency, names } = telling
  if (value === undefined) return 'removed'
  if (value === null) return 'none'
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (typeof value === 'number') {
    if (money.includes(key)) return formatMoney(value, currency)
    const unit = typeof key === 'string' ? unitAtEnd.exec(key)?.[0] : undefined
    if (unit === 'G') return gramsInWords(value, system)
    if (unit === 'Km') return kmInWords(value, system)
    const amount = unit && amounts[unit]
    if (amount) return amountInWords(value, amount, system)
    return unit === undefined ? String(value) : `${value} ${units[unit]}`
  }
  if (typeof value === 'string') return value === '' ? 'empty' : (names.get(value) ?? value)
  if (Array.isArray(value)) {
    if (value.length === 0) return 'none'
    return key === 'packedIn'
      ? value.map((each) => valueInWords(each, undefined, telling)).join('; ')
      : `${value.length} of them`
  }
  const { name, count } = value as { name?: string; count?: number }
  if (name !== undefined) return count === undefined ? name : `${name}, ${count} of it`
  return Object.entries(value)
    .map(([field, entry]) => {
      const said = typeof entry === 'object' ? '…' : (names.get(String(entry)) ?? String(entry))
      return `${names.get(field) ?? readAloud(field)} ${said}`
    })
    .join(', ')
}

/** What somebody changed: "bench · mini pump: mass, count". */
export function changeInWords({ part, name, how, fields }: ChangeLine): string {
  if (part === 'name') return `called the trip ${name}`
  const told = fields.slice(0, fieldsTold).map(readAloud)
  const rest = fields.length > fieldsTold ? [...told, `${fields.length - fieldsTold} more`] : told
  const what = how === 'changed' ? rest.join(', ') : how
  const where = name ? `${parts[part]} · ${name}` : parts[part]
  return what ? `${where}: ${what}` : where
}
/** So many are named. */
const fieldsTold = 4

/** Why something is not somebody's to change: "Ansel: only that rider changes this". */
export const refusedInWords = ({ part, name, why }: RefusedChange) => `${name || `the ${parts[part]}`}: ${why}`
