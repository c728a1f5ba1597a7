import { createHash } from 'node:crypto'
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64'
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'

/** Numbers from 0 to 1 that are always the same for the same words. */
export function seededRandom(...words: string[]): () => number {
  const seed = createHash('sha256').update(words.join('\n')).digest().readInt32LE()
  const generator = xoroshiro128plus(seed)
  return () => uniformFloat64(generator)
}
