import { cutTo, text } from '#core/validation'
import { SaxesParser } from 'saxes'
import { describe, expect, it } from 'vitest'

const isText = (value: string) => text(1000).safeParse(value).success

/** Whether a strict reader of XML 1.0 takes a document with this character written as it is. */
function isXml(character: string): boolean {
  let fine = true
  const parser = new SaxesParser()
  parser.on('error', () => (fine = false))
  parser.write(`<a>${character}</a>`).close()
  return fine
}

describe('a text', () => {
  it('may have every character that XML 1.0 (§ 2.2, production 2) may have, and no other', () => {
    const ranges: [number, number][] = [
      [0x9, 0xa],
      [0xd, 0xd],
      [0x20, 0xd7ff],
      [0xe000, 0xfffd],
      [0x10000, 0x10ffff],
    ]
    const allowed = (code: number) => ranges.some(([from, to]) => code >= from && code <= to)
    const everywhere = [...Array(0x3000).keys(), ...Array.from({ length: 0x3000 }, (_, i) => 0xd000 + i)]
    const beyond = Array.from({ length: 0x1100 }, (_, i) => 0x10000 + i * 0xff).filter((code) => code <= 0x10ffff)
    const wrong = [...everywhere, ...beyond].filter((code) => isText(String.fromCodePoint(code)) !== allowed(code))
    expect(wrong).toEqual([])
  })

  it('is what a strict reader of XML takes', () => {
    const codes = [...Array(0x80).keys(), 0xd7ff, 0xe000, 0xfffd, 0xfffe, 0xffff, 0x10000, 0x1f600, 0x10ffff]
    for (const code of codes.filter((each) => !'<&'.includes(String.fromCodePoint(each))))
      expect([code, isText(String.fromCodePoint(code))]).toEqual([code, isXml(String.fromCodePoint(code))])
  })

  it('is measured in characters, as the database does, and keeps their halves together', () => {
    expect(text(2).safeParse('😀😀').success).toBe(true)
    expect(text(1).safeParse('😀😀').success).toBe(false)
    expect(isText('😀'.slice(0, 1))).toBe(false)
    expect(isText('😀'.slice(1))).toBe(false)
  })

  it('is cut between characters', () => {
    expect(cutTo('a😀b', 2)).toBe('a😀')
    expect(cutTo('short', 60)).toBe('short')
  })
})
