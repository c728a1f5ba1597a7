import { writeFileSync } from 'node:fs'
import { glossary } from '#wording'
import { format, resolveConfig } from 'prettier'

/** The list that is written: npm run glossary. */
export const glossaryFile = 'docs/glossary.md'

/** The words of the interface and what they mean, as a page. */
export async function writeGlossary(): Promise<string> {
  const words = Object.entries(glossary).sort(([a], [b]) => a.localeCompare(b, 'en'))
  const page = [
    '# Words',
    '',
    'Written from `wording/glossary.ts` by `npm run glossary`; a test holds it to that. The menu of every screen lists',
    'them, and those that one meets first are explained where they stand.',
    '',
    ...words.map(([word, meaning]) => `- **${word}** — ${meaning}`),
    '',
  ].join('\n')
  return format(page, { ...(await resolveConfig(glossaryFile)), parser: 'markdown' })
}

if (process.argv[1]?.endsWith('glossary.ts')) writeFileSync(glossaryFile, await writeGlossary())
