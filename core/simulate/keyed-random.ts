/** Scatters the bits of a whole number of 32 bits. Source: the finaliser of MurmurHash3 (A. Appleby), in the public domain. */
function scattered(value: number): number {
  let bits = value | 0
  bits = Math.imul(bits ^ (bits >>> 16), 0x85ebca6b)
  bits = Math.imul(bits ^ (bits >>> 13), 0xc2b2ae35)
  return bits ^ (bits >>> 16)
}

/** A key of its own for each number under a key: for the trip of a seed, the failure of a trip. */
export function keyUnder(key: number, number: number): number {
  return scattered(Math.imul(scattered(key + 0x9e3779b9), 0x85ebca77) ^ Math.imul(number + 1, 0x9e3779b1))
}

/** A number from 0 up to and not including 1 that hangs on a key and a number and nothing else. */
export function uniformUnder(key: number, number: number): number {
  return (keyUnder(key, number) >>> 0) / 0x1_0000_0000
}

/**
 * Numbers from 0 up to 1 one after another. What is drawn for one purpose takes nothing from another: each has a stream of
 * its own, so that two kits meet the same trip.
 */
export class Stream {
  private count = 0
  private second: number | undefined

  constructor(private readonly key: number) {}

  next(): number {
    return uniformUnder(this.key, this.count++)
  }

  /**
   * A number of the normal law with mean 0 and deviation 1; they come in pairs.
   * Source: Annals of Mathematical Statistics 29 (1958), p. 610.
   */
  nextNormal(): number {
    const { second } = this
    this.second = undefined
    if (second !== undefined) return second
    const radius = Math.sqrt(-2 * Math.log(1 - this.next()))
    const angle = 2 * Math.PI * this.next()
    this.second = radius * Math.sin(angle)
    return radius * Math.cos(angle)
  }
}

/**
 * A key for each of some names that hangs on the name alone, so that two plans that share it draw the same under it; names
 * that come to the same get others. Source: FNV-1a, 32 bits (G. Fowler, L. C. Noll and K.-P. Vo).
 */
export function keysOf(names: readonly string[]): number[] {
  const seen = new Set<number>()
  return names.map((name) => {
    let key = 0x811c9dc5
    for (let at = 0; at < name.length; at++) key = Math.imul(key ^ name.charCodeAt(at), 0x01000193)
    while (seen.has(key)) key = keyUnder(key, 0)
    seen.add(key)
    return key
  })
}
