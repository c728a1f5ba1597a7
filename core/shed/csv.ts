import Papa from 'papaparse'
import type { CatalogueItem } from '../bench'
import { currencySchema, moneyAsTyped, planningCurrency, readMoney } from '../money'
import { Fault, Faults } from '../validation'
import { guarded, unguarded } from '../csv'
import { mostOwned, ownedThingSchema, type OwnedThing } from './schema'
import { packedOf } from './tin'

/** Columns of a shed as a table, in the order in which they are written. */
export const shedColumns = [
  'name',
  'grams',
  'weighed',
  'count',
  'kind',
  'price',
  'currency',
  'bought',
  'opened',
  'tested',
  'uses',
  'packed',
  'trusted to',
  'mL',
  'longest mm',
  'note',
  'build',
  'id',
] as const
type Column = (typeof shedColumns)[number]
const needed = ['name', 'grams'] as const

/** What a kind of the catalogue does; in "build" where a thing does something else. */
const built = ['provides', 'heads', 'comesApart', 'units', 'measures', 'handling'] as const

/** Which column says a field. */
const columnOf: Readonly<Record<string, Column>> = {
  massG: 'grams',
  isWeighed: 'weighed',
  trustedTo: 'trusted to',
  volumeMl: 'mL',
  longestMm: 'longest mm',
  from: 'kind',
}

/** Lines with something wrong that are told; the rest is counted. */
const mostTold = 20
/** Longer than any table of a shed, in characters. */
const mostText = 10_000_000

type KnownKinds = readonly CatalogueItem[]

/** Only what is other than its kind says, and nothing of what is usual. */
function buildOf(thing: OwnedThing, kinds: KnownKinds): string {
  const kind = kinds.find(({ id }) => id === thing.from)
  const usual = ownedThingSchema.parse({ ...kind, id: 'usual', name: 'usual', massG: 1 })
  const other = built.filter((key) => JSON.stringify(thing[key]) !== JSON.stringify(usual[key]))
  return other.length === 0 ? '' : JSON.stringify(Object.fromEntries(other.map((key) => [key, thing[key]])))
}

const orNothing = (value: number | string | null) => (value === null ? '' : String(value))

/**
 * A shed as a table of comma-separated values (RFC 4180), which is read again without loss. No cell of it is a formula to a
 * program for tables.
 */
export function writeShedCsv(shed: readonly OwnedThing[], kinds: KnownKinds): string {
  const rows = shed.map((thing): Record<Column, string> => ({
    name: thing.name,
    grams: String(thing.massG),
    weighed: thing.isWeighed ? 'yes' : '',
    count: String(thing.count),
    kind: thing.from ?? '',
    price: thing.price === null ? '' : moneyAsTyped(thing.price, thing.currency),
    currency: thing.currency,
    bought: orNothing(thing.bought),
    opened: orNothing(thing.opened),
    tested: orNothing(thing.tested),
    uses: String(thing.uses),
    packed: String(packedOf(thing)),
    'trusted to': orNothing(thing.trustedTo),
    mL: orNothing(thing.volumeMl),
    'longest mm': orNothing(thing.longestMm),
    note: thing.note,
    build: buildOf(thing, kinds),
    id: thing.id,
  }))
  const cells = rows.map((row) => shedColumns.map((column) => guarded(row[column])))
  return `${Papa.unparse({ fields: [...shedColumns], data: cells }, { newline: '\r\n' })}\r\n`
}

/** One line of a table, with the number of the line it begins on. */
interface Line {
  readonly number: number
  readonly cells: readonly string[]
}

const delimiters = [',', ';', '\t'] as const

/** What stands between the names of columns: what there is most of in the first line. */
function delimiterOf(text: string): string {
  const head = text.slice(0, text.search(/[\r\n]|$/))
  const counts = delimiters.map((delimiter) => head.split(delimiter).length)
  return delimiters[counts.indexOf(Math.max(...counts))] ?? ','
}

function linesOf(text: string): Line[] {
  const lines: Line[] = []
  let [start, number] = [0, 1]
  Papa.parse<string[]>(text, {
    delimiter: delimiterOf(text),
    step({ data, meta, errors }, parser) {
      const wrong = errors.find(({ type }) => type === 'Quotes')
      if (wrong) {
        const expected = 'a quoted cell that ends with a quote, with each quote inside it written twice'
        throw new Fault(`line ${number}`, 'a quote without an end', expected)
      }
      if (data.some((cell) => cell.includes('\uFFFD')))
        throw new Fault(`line ${number}`, 'characters of another encoding', 'a table in UTF-8')
      if (data.some((cell) => cell.trim() !== '')) lines.push({ number, cells: data })
      for (; start < meta.cursor; start++) if (text[start] === '\n') number++
      if (lines.length > mostOwned + 1) parser.abort()
    },
  })
  return lines
}

/** A number with a point or a comma; three digits behind a comma could be thousands. */
function readNumber(cell: string, where: string): number {
  const found = /^(?<whole>[+-]?\d+)(?:(?<mark>[.,])(?<parts>\d+))?$/.exec(cell.trim())?.groups
  const isClear = found && !(found['mark'] === ',' && found['parts']?.length === 3)
  if (!isClear) {
    throw new Fault(where, `"${cell}"`, 'a number such as 93.4 or 93,4, without marks for thousands')
  }
  return Number(`${found['whole']}.${found['parts'] ?? '0'}`)
}

const words: Readonly<Record<string, boolean>> = {
  yes: true,
  true: true,
  x: true,
  1: true,
  no: false,
  false: false,
  0: false,
}

function readYes(cell: string, where: string): boolean {
  const said = words[cell.trim().toLowerCase()]
  if (said === undefined) throw new Fault(where, `"${cell}"`, 'yes or no')
  return said
}

function readBuild(cell: string, where: string): object {
  try {
    const read: unknown = JSON.parse(cell)
    if (typeof read === 'object' && read !== null && !Array.isArray(read)) {
      return Object.fromEntries(Object.entries(read).filter(([key]) => built.some((known) => known === key)))
    }
  } catch {
    // Told below.
  }
  throw new Fault(where, `"${cell.slice(0, 40)}"`, 'JSON as Rag Tin writes it, or nothing')
}

/** What a table of a shed says. */
export interface ReadShed {
  readonly things: OwnedThing[]
  /** Columns that are not known, and were passed over. */
  readonly passedOver: string[]
}

/**
 * Reads a shed from a table of comma-separated values (RFC 4180), or with semicolons or tabs between them; numbers may have
 * a decimal comma. The first line names the columns, in any order; "name" and "grams" are needed.
 *
 * @param newId makes the id of a thing that has none
 * @throws Faults, each naming the line and the column; nothing of such a table is taken
 */
export function readShedCsv(text: string, kinds: KnownKinds, newId: () => string): ReadShed {
  if (text.length > mostText) {
    throw new Faults([new Fault('the file', `${text.length} characters`, `at most ${mostText}`)])
  }
  const lines = told(() => linesOf(text.replace(/^\uFEFF/, '')))
  const [head, ...rest] = lines
  const names = (head?.cells ?? []).map((cell) => cell.trim().toLowerCase())
  const lacking = needed.filter((column) => !names.includes(column))
  if (lacking.length > 0) {
    const found = names.filter(Boolean).slice(0, 8).join(', ') || 'nothing'
    throw new Faults([
      new Fault(
        'line 1',
        `"${found}"`,
        `the names of columns, among them ${needed.join(' and ')}; others are ${shedColumns.slice(2).join(', ')}`,
      ),
    ])
  }
  if (rest.length > mostOwned) {
    throw new Faults([new Fault('the file', `more than ${mostOwned} lines`, `at most ${mostOwned} things`)])
  }
  const places = new Map(shedColumns.map((column) => [column, names.indexOf(column.toLowerCase())]))
  const faults: Fault[] = []
  const taken = new Set<string>()
  const things = rest.flatMap(({ number, cells }) => {
    const cell = (column: Column) => unguarded(cells[places.get(column) ?? -1]?.trim() ?? '')
    const read = thingOfLine(cell, `line ${number}`, kinds, newId)
    faults.push(...read.faults)
    const { thing } = read
    if (!thing) return []
    if (taken.has(thing.id)) {
      faults.push(new Fault(`line ${number}, id`, `"${thing.id}"`, 'an id that no line above has'))
      return []
    }
    taken.add(thing.id)
    return [thing]
  })
  if (faults.length > 0) throw new Faults(cutShort(faults))
  const passedOver = (head?.cells ?? []).filter(
    (name) => name.trim() !== '' && !shedColumns.some((column) => column.toLowerCase() === name.trim().toLowerCase()),
  )
  return { things, passedOver }
}

function thingOfLine(
  cell: (column: Column) => string,
  line: string,
  kinds: KnownKinds,
  newId: () => string,
): { thing?: OwnedThing; faults: Fault[] } {
  const faults: Fault[] = []
  /** What a cell says, undefined where it is empty or cannot be read. */
  const read = <T>(column: Column, as: (cell: string, where: string) => T): T | undefined => {
    const said = cell(column)
    if (said === '') return undefined
    try {
      return as(said, `${line}, ${column}`)
    } catch (error) {
      if (!(error instanceof Fault)) throw error
      faults.push(new Fault(`${line}, ${column}`, error.found, error.expected))
      return undefined
    }
  }
  const kind = read('kind', (said, where) => {
    const known = kinds.find(({ id }) => id === said)
    if (!known)
      throw new Fault(where, `"${said}"`, 'the id of a kind of the catalogue, such as "mini-pump", or nothing')
    return known
  })
  const currency = cell('currency').toUpperCase() || planningCurrency
  const isCurrency = currencySchema.safeParse(currency).success
  const { provides, heads, comesApart, units, measures, handling } = kind ?? {}
  const said = {
    ...{ provides, heads, comesApart, units, measures, handling },
    ...read('build', readBuild),
    id: cell('id') || newId(),
    name: cell('name'),
    massG: read('grams', readNumber),
    isWeighed: read('weighed', readYes),
    count: read('count', readNumber),
    from: kind?.id,
    price: isCurrency ? read('price', (price) => readMoney(price, currency)) : undefined,
    currency,
    bought: cell('bought') || undefined,
    opened: cell('opened') || undefined,
    tested: cell('tested') || undefined,
    uses: read('uses', readNumber),
    packed: read('packed', readNumber),
    trustedTo: read('trusted to', readNumber),
    volumeMl: read('mL', readNumber),
    longestMm: read('longest mm', readNumber),
    note: cell('note'),
  }
  if (faults.length > 0) return { faults }
  const checked = ownedThingSchema.safeParse(said)
  if (checked.success) return { thing: checked.data, faults }
  return {
    faults: checked.error.issues.map(({ path: [field], message }) => {
      const key = String(field)
      const column = columnOf[key] ?? (built.some((known) => known === key) ? 'build' : (key as Column))
      const expected = message.replace(/^(?:Invalid|Too (?:small|big))[^:]*: (?:expected )?/, '')
      return new Fault(
        `${line}, ${column}`,
        `"${cell(column).slice(0, 40)}"`,
        dayColumns.includes(key) ? aDay : expected,
      )
    }),
  }
}

const dayColumns = ['bought', 'opened', 'tested']
const aDay = 'a day such as 2026-05-30'

function told<T>(read: () => T): T {
  try {
    return read()
  } catch (error) {
    throw error instanceof Fault ? new Faults([error]) : error
  }
}

function cutShort(faults: readonly Fault[]): Fault[] {
  if (faults.length <= mostTold) return [...faults]
  const more = faults.length - mostTold
  return [...faults.slice(0, mostTold), new Fault('further down', `${more} more such`, 'the same of them')]
}
