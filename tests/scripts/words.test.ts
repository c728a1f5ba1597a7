import { readFileSync } from 'node:fs'
import { plainWords, shortWords, tradeWords } from '#wording'
import { describe, expect, it } from 'vitest'
import { screenTexts } from '../../scripts/screen-texts'
import { screenWords, wordsFile, writeWords } from '../../scripts/words'

describe('the words on screen', () => {
  it('are gathered from templates, labels and what is told, and from nothing that only programs read', () => {
    const texts = [...screenTexts().values()].flat().map((text) => text.trim())
    expect(texts).toContain('Below the waterline: stays at home')
    expect(texts).toContain('hexalobular, T')
    expect(texts.filter((text) => /(^|\s)(flex|bg-\S+|px-\d)(\s|$)/.test(text))).toEqual([])
    expect(texts.filter((text) => text.startsWith('/api/'))).toEqual([])
  })

  it('are those of the page', async () => {
    expect(readFileSync(wordsFile, 'utf8'), 'write it anew: npm run words').toBe(await writeWords())
  })

  it('are everyday words, of the trade, or short for something', () => {
    expect(screenWords().unknown, 'say it plainly, explain it, or add it to wording/trade-words.ts').toEqual([])
  })

  it('are on a screen, if they are listed by hand', () => {
    const { everyday, trade, short } = screenWords()
    const listed = [...plainWords, ...tradeWords, ...shortWords]
    expect(listed.filter((word) => ![...everyday, ...trade, ...short].includes(word))).toEqual([])
  })
})
