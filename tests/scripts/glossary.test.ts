import { readFileSync } from 'node:fs'
import { glossary } from '#wording'
import { expect, it } from 'vitest'
import { glossaryFile, writeGlossary } from '../../scripts/glossary'

it('the page of words is that of the list, which the screens show', async () => {
  expect(readFileSync(glossaryFile, 'utf8'), 'write it anew: npm run glossary').toBe(await writeGlossary())
})

it('each word is explained in a sentence or two that fit beside it', () => {
  for (const [word, meaning] of Object.entries(glossary)) {
    expect(meaning.length, word).toBeLessThan(160)
    expect(meaning, word).toMatch(/^[A-Z].*\.$/)
  }
})
