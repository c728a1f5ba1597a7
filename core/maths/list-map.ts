interface Entry<V> {
  readonly list: readonly number[]
  readonly value: V
  readonly next: Entry<V> | undefined
}

/** Values by lists of whole numbers; no more than so many are kept. */
export class ListMap<V> {
  private entries: Map<number, Entry<V>> | undefined
  private size = 0

  /** @param most once there are so many, all are forgotten */
  constructor(private readonly most = Infinity) {}

  /**
   * The value of a list, worked out where it is not known.
   *
   * @param list may be changed afterwards: what is kept is a copy
   */
  value(list: readonly number[], workOut: () => V): V {
    const hash = hashOf(list)
    const known = this.entryOf(hash, list)
    if (known) return known.value
    const kept = list.slice()
    const value = workOut()
    if (this.size >= this.most) {
      this.entries = undefined
      this.size = 0
    }
    this.entries ??= new Map()
    this.entries.set(hash, { list: kept, value, next: this.entries.get(hash) })
    this.size++
    return value
  }

  /** The value of a list that is known already: for those who ask so often that saying how to work it out takes too long. */
  known(list: readonly number[]): V | undefined {
    return this.entryOf(hashOf(list), list)?.value
  }

  private entryOf(hash: number, list: readonly number[]): Entry<V> | undefined {
    for (let entry = this.entries?.get(hash); entry; entry = entry.next) {
      if (areEqual(entry.list, list)) return entry
    }
    return undefined
  }
}

/** A whole number of 30 bits that lists seldom share (multiplicative hashing; D. E. Knuth, The Art of Computer Programming 6.4). */
function hashOf(list: readonly number[]): number {
  let hash = list.length
  for (const entry of list) {
    hash = Math.imul(hash ^ entry, 0x9e3779b1)
    hash ^= hash >>> 15
  }
  return hash & 0x3fffffff
}

function areEqual(a: readonly number[], b: readonly number[]): boolean {
  if (a.length !== b.length) return false
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return false
  return true
}
