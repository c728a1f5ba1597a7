import type { Change } from '../promise'
import { nth } from '../validation'
import type { KitProblem } from './problem'
import { lackingParts, type WayToMend } from './way-to-mend'

/** A way to mend, with what it lacked of the counts that were last seen. */
interface SeenWay {
  readonly way: WayToMend
  /** The items that it rests on. */
  readonly items: readonly number[]
  readonly counts: Int32Array
  lacking: readonly Addition[]
}

interface Addition {
  readonly key: string
  readonly changes: Change[]
}

/** Everything that may be added to a kit at once: a piece, or what a way to mend lacks, for no use more, for one, for two. */
export class Additions {
  private readonly pieces: readonly Addition[]
  private readonly ways: readonly SeenWay[]

  /** @param most how many there may be of each item */
  constructor(
    private readonly problem: KitProblem,
    private readonly most: ArrayLike<number> = problem.ledger.items.map(({ max }) => max),
  ) {
    const { ledger, providers, demand, ways } = problem
    this.pieces = ledger.items.map((_, item) => addition([{ item, by: 1 }]))
    this.ways = ways.map((way) => {
      const suppliers = way.uses.flatMap(({ stock }) => nth(demand.ofStock, stock).suppliers.map(({ item }) => item))
      const items = [...new Set([...way.needs.flatMap((name) => nth(providers, name)), ...suppliers])]
      return { way, items, counts: new Int32Array(items.length).fill(-1), lacking: [] }
    })
  }

  /** Those to a kit of so many of each item, each once. */
  to(counts: Int32Array): Change[][] {
    const found = new Map<string, Change[]>()
    const consider = ({ key, changes }: Addition) => void found.set(key, changes)
    this.pieces.forEach((piece, item) => {
      if (nth(counts, item) < nth(this.most, item)) consider(piece)
    })
    for (const seen of this.ways) {
      this.look(seen, counts)
      seen.lacking.forEach(consider)
    }
    return [...found.values()]
  }

  /** What a way lacks is worked out anew where a count that it rests on has changed. */
  private look(seen: SeenWay, counts: Int32Array): void {
    if (seen.items.every((item, i) => seen.counts[i] === counts[item])) return
    seen.items.forEach((item, i) => (seen.counts[i] = nth(counts, item)))
    const usesMore = seen.way.uses.length > 0 ? [0, 1, 2] : [0]
    seen.lacking = usesMore.flatMap((uses) => {
      const changes = lackingParts(this.problem, counts, seen.way, uses, this.most)
      return changes && changes.length > 0 ? [addition(changes)] : []
    })
  }
}

function addition(changes: readonly Change[]): Addition {
  const sorted = [...changes].sort((a, b) => a.item - b.item)
  return { key: sorted.map(({ item, by }) => `${item}:${by}`).join(), changes: sorted }
}
