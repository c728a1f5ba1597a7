import { thingFrom, type Thing } from '../bench'
import { inOrder, type CarriedPieces, type LogEntry, type Spent } from '../log'
import type { Reference } from '../reference'
import type { Trip } from '../trip'

/** What a rider still has of a thing. */
export interface LeftPieces {
  readonly rider: string
  readonly thing: string
  readonly count: number
  /** What is still in them of each stock that they hold. */
  readonly amounts: Readonly<Record<string, number>>
  /** The bags in which they were packed; none where nobody has said. */
  readonly bags: readonly string[]
}

/** What a crew still has along. */
export interface KitLeft {
  /** The bench, and what was come by on the way beside it. */
  readonly things: readonly Thing[]
  readonly left: readonly LeftPieces[]
}

/** Less than this of a stock is nothing: sums of tenths are not exact. */
const leastAmount = 1e-9

/** The id of a thing that came along on the way, by the entry that says so. */
export const idOfGot = ({ id }: Pick<LogEntry, 'id'>): string => `got ${id}`

/**
 * What is left of a kit by a log: what riders set off with, less what was used, broke or was lost, and with what they got.
 * Entries count in the order in which things happened; what was spent of a thing that nobody has any more is passed over.
 *
 * @param planned who carries what while nobody has said what they set off with
 */
export function whatIsLeft(
  { bench, log }: Pick<Trip, 'bench' | 'log'>,
  planned: readonly CarriedPieces[],
  { items }: Pick<Reference, 'items'>,
): KitLeft {
  const things = new Map(bench.map((thing) => [thing.id, thing]))
  let bags = new Bags(planned, things)
  for (const entry of inOrder(log)) {
    if (entry.kind === 'set off') bags = new Bags(entry.carried, things)
    else if (entry.kind === 'failed')
      for (const { spent } of entry.tries) for (const each of spent) bags.spend(each, entry.by)
    if (entry.kind === 'gone') for (const each of entry.spent) bags.spend(each, entry.by)
    // What was borrowed stayed where it was lent.
    if (entry.kind !== 'got' || entry.how === 'borrowed') continue
    const item = items.find(({ id }) => id === entry.item)
    const id = entry.thing !== null && things.has(entry.thing) ? entry.thing : idOfGot(entry)
    if (!things.has(id)) {
      if (!item) continue
      things.set(id, { ...thingFrom(item, id), name: entry.name })
    }
    bags.add({ rider: entry.by ?? bags.firstRider ?? '', thing: id, count: entry.count, bag: '' })
  }
  return { things: [...things.values()], left: bags.left() }
}

interface Pieces {
  count: number
  readonly amounts: Record<string, number>
  readonly bags: Set<string>
}

/** What lies in whose bags while a log is read. */
class Bags {
  private readonly ofRider = new Map<string, Map<string, Pieces>>()

  constructor(
    carried: readonly CarriedPieces[],
    private readonly things: ReadonlyMap<string, Thing>,
  ) {
    for (const pieces of carried) if (things.has(pieces.thing)) this.add(pieces)
  }

  get firstRider(): string | undefined {
    return this.ofRider.keys().next().value
  }

  add({ rider, thing, count, bag: packedIn }: CarriedPieces): void {
    const bag = this.ofRider.get(rider) ?? new Map<string, Pieces>()
    this.ofRider.set(rider, bag)
    const known = bag.get(thing) ?? { count: 0, amounts: {}, bags: new Set() }
    bag.set(thing, known)
    if (packedIn !== '') known.bags.add(packedIn)
    known.count += count
    for (const [stock, each] of this.unitsOf(thing)) known.amounts[stock] = (known.amounts[stock] ?? 0) + count * each
  }

  /** Takes something out of the bags of whoever has it: of whom it is said, then of who wrote it, then of the others. */
  spend({ thing, stock, amount, from }: Spent, by: string | null): void {
    const holders = [...new Set([from, by, ...this.ofRider.keys()])].flatMap((rider) => {
      const pieces = rider === null ? undefined : this.ofRider.get(rider)?.get(thing)
      return pieces ? [pieces] : []
    })
    let rest = amount
    for (const pieces of holders) {
      if (rest <= leastAmount) return
      rest -= stock === null ? this.takePieces(thing, pieces, rest) : this.takeOf(thing, stock, pieces, rest)
    }
  }

  /** @returns how many there were to take */
  private takePieces(thing: string, pieces: Pieces, wanted: number): number {
    const taken = Math.min(pieces.count, Math.ceil(wanted - leastAmount))
    pieces.count -= taken
    for (const [stock, each] of this.unitsOf(thing)) {
      const left = (pieces.amounts[stock] ?? 0) - taken * each
      pieces.amounts[stock] = pieces.count > 0 ? Math.max(0, left) : 0
    }
    return taken
  }

  /** @returns how much there was to take */
  private takeOf(thing: string, stock: string, pieces: Pieces, wanted: number): number {
    const there = pieces.amounts[stock] ?? 0
    const taken = Math.min(there, wanted)
    const left = there - taken
    pieces.amounts[stock] = left > leastAmount ? left : 0
    const { provides = [], heads = [] } = this.things.get(thing) ?? {}
    // What is good for nothing but what it holds goes as it is used up; a tool that holds something stays.
    if (provides.length > 0 || heads.length > 0) return taken
    const needed = this.unitsOf(thing).map(([name, each]) =>
      Math.ceil((pieces.amounts[name] ?? 0) / each - leastAmount),
    )
    pieces.count = Math.min(pieces.count, Math.max(0, ...needed))
    return taken
  }

  private unitsOf(thing: string): [stock: string, each: number][] {
    return Object.entries(this.things.get(thing)?.units ?? {})
  }

  left(): LeftPieces[] {
    return [...this.ofRider].flatMap(([rider, bag]) =>
      [...bag].flatMap(([thing, { count, amounts, bags }]) =>
        count > 0 ? [{ rider, thing, count, amounts, bags: [...bags] }] : [],
      ),
    )
  }
}
