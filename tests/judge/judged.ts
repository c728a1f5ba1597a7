import { mkdirSync, writeFileSync } from 'node:fs'

/** `npm run judge` tries everything; `./test` a tenth of it, with the same seeds. */
export const isFull = process.env.RAG_TIN_JUDGE === 'full'
export const share = isFull ? 1 : 0.1
export const seed = 20260601

/** A whole number of tries out of so many. */
export const tries = (all: number) => Math.max(1, Math.round(all * share))

/** Leaves a result for docs/judged.md, where everything was tried. */
export function judged(chapter: string, lines: readonly string[]): void {
  if (!isFull) return
  mkdirSync('.data/judge', { recursive: true })
  writeFileSync(`.data/judge/${chapter}.json`, JSON.stringify(lines))
}
