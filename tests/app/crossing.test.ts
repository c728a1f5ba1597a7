import type { RoadPoint } from '#core/road'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { jsonBlob } from '../../app/http/json-blob'
import { packLine, unpackLine } from '../../app/workers/packed-line'

/** What crosses from the page to a worker or to the server arrives as it left. */
describe('a line', () => {
  it('is the same when it is unpacked, heights unknown included', () => {
    const height = fc.option(fc.double({ min: -500, max: 9000, noNaN: true }), { nil: null })
    const degrees = (most: number) => fc.double({ min: -most, max: most, noNaN: true })
    const line = fc.array(fc.tuple(degrees(90), degrees(180), height))
    fc.assert(
      fc.property(line, (points) => {
        expect(unpackLine(packLine(points))).toEqual(points)
      }),
    )
  })
})

describe('JSON written in pieces', () => {
  const written = async (value: object) => JSON.parse(await (await jsonBlob(value)).text()) as unknown

  it('is what JSON.stringify writes', async () => {
    const anything = fc.oneof(fc.dictionary(fc.string(), fc.jsonValue()), fc.array(fc.jsonValue()))
    await fc.assert(
      fc.asyncProperty(anything, async (value) => {
        expect(await (await jsonBlob(value)).text()).toBe(JSON.stringify(value))
      }),
    )
  })

  it('leaves out what is undefined, as JSON.stringify does', async () => {
    const value = { a: undefined, b: [undefined, 1], c: { d: undefined } }
    expect(await written(value)).toEqual(JSON.parse(JSON.stringify(value)))
  })

  it.each([4999, 5000, 5001, 10_000, 12_345])('holds a list of %i points whole', async (count) => {
    const points = Array.from({ length: count }, (_, i): RoadPoint => [i / 1000, 1 - i / 1000, i % 3 ? i : null])
    expect(await written({ changes: [{ part: 'road', value: { name: 'Long', points } }] })).toEqual({
      changes: [{ part: 'road', value: { name: 'Long', points } }],
    })
  })

  it('lets others have their turn in between', async () => {
    const turns: string[] = []
    const written = jsonBlob({ points: Array.from({ length: 50_000 }, (_, i) => i) }).then(() => turns.push('written'))
    setTimeout(() => turns.push('another'))
    await written
    expect(turns).toEqual(['another', 'written'])
  })
})
