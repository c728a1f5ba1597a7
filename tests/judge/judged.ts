import { mkdirSync, writeFileSync } from 'node:fs'

/** `npm run judge` tries everything; `./test` a tenth of it, with the same seeds. */
const isFull = process.env.RAG_TIN_JUDGE === 'full'
export const share = isFull ? 1 : 0.1
export const seed = 20260601

/** A whole number of tries out of so many. */
export const tries = (all: number) => Math.max(1, Math.round(all * share))

/** Random numbers from 0 to 1 that are the same for the same seed. Source: the mulberry32 generator, in the public domain. */
export function seeded(from: number): () => number {
  let state = from >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296
  }
}

/** Leaves a result for docs/judged.md, where everything was tried. */
export function judged(chapter: string, lines: readonly string[]): void {
  if (!isFull) return
  mkdirSync('.data/judge', { recursive: true })
  writeFileSync(`.data/judge/${chapter}.json`, JSON.stringify(lines))
}
