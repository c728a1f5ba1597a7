import { thingSchema } from '#core/bench'
import { defaultHandN, doublesOf, fitView } from '#core/fit'
import { describe, expect, it } from 'vitest'
import { aFastener, aHead } from '../fixtures'

describe('things', () => {
  const thing = (id: string, provides: string[], massG = 50) => thingSchema.parse({ id, name: id, massG, provides })
  const ended = (id: string, heads: object[], provides: string[] = []) =>
    thingSchema.parse({ id, name: id, massG: 50, heads, provides })
  it('double one another when one does all the other does', () => {
    const keys = thing('keys', ['hex-4', 'hex-5'])
    const folding = thing('folding', ['hex-4', 'hex-5', 'slot'])
    const driver = thing('driver', ['slot'])
    expect(doublesOf(keys, [keys, folding, driver], []).map(({ id }) => id)).toEqual(['folding'])
    expect(doublesOf(folding, [keys, folding, driver], [])).toEqual([])
    expect(doublesOf(thing('rag', []), [keys], [])).toEqual([])
  })
  it('double one another by their ends, too, each of its own size', () => {
    const five = ended('five', [{ profile: 'hex', size: 5 }])
    const both = ended('both', [{ profile: 'hex', size: 5 }, { profile: 'chain-pin' }])
    const pin = ended('pin', [{ profile: 'chain-pin' }])
    const six = ended('six', [{ profile: 'hex', size: 6 }], ['cut'])
    expect(doublesOf(five, [five, both, pin, six], []).map(({ id }) => id)).toEqual(['both'])
    expect(doublesOf(pin, [five, both, pin, six], []).map(({ id }) => id)).toEqual(['both'])
    expect(doublesOf(six, [five, both, pin, six], [])).toEqual([])
    // As many functions as ends are not none at all.
    const even = ended('even', [{ profile: 'hex', size: 5 }], ['cut'])
    const more = ended(
      'more',
      [
        { profile: 'hex', size: 5 },
        { profile: 'hex', size: 6 },
      ],
      ['cut'],
    )
    expect(doublesOf(even, [even, more], []).map(({ id }) => id)).toEqual(['more'])
  })

  describe('on the bench of a bike', () => {
    const hex = (size: number, leverMm: number) => aHead({ profile: 'hex', size, leverMm, reachMm: 40 })
    const [long, stub, keys] = [
      ended('long', [hex(8, 180)]),
      ended('stub', [hex(8, 65)]),
      ended('keys', [hex(5, 100), hex(8, 120)]),
    ]
    const doubles = (nm: number, ...bench: ReturnType<typeof ended>[]) => {
      const bike = { id: 'b', fasteners: [aFastener({ profile: 'hex', size: 8 }, nm)] }
      const { fasteners } = fitView([bike], bench, [], defaultHandN)
      return bench.map((each) => [each.id, doublesOf(each, bench, fasteners).map(({ id }) => id)])
    }
    it('double one another only where they turn what the other turns, for all its torque', () => {
      // 38 Nm at the ends of 180, 65 and 120 mm: 211, 585 and 317 N; a hand gives 400 N, and 250 N with ease.
      expect(doubles(38, long, stub)).toEqual([
        ['long', []],
        ['stub', ['long']],
      ])
      expect(doubles(38, long, stub, keys)).toEqual([
        ['long', []],
        ['stub', ['long', 'keys']],
        ['keys', []],
      ])
    })
    it('double one another where what there is turns easily with either', () => {
      expect(doubles(5, long, stub)).toEqual([
        ['long', ['stub']],
        ['stub', ['long']],
      ])
    })
    it('do not double what holds a nut while another turns', () => {
      const nut = aFastener({ profile: 'flats', size: 10 }, 5)
      const held = aFastener({ profile: 'hex', size: 5 }, 5, {
        id: 'held',
        counterhold: { profile: 'flats', size: 10 },
      })
      const spanner = ended('spanner', [aHead({ profile: 'open-end', size: 10, leverMm: 100 })])
      const socket = ended('socket', [aHead({ profile: 'socket', size: 10, leverMm: 100, reachMm: 40 })])
      const bench = [spanner, socket, ended('key', [hex(5, 100)])]
      const ofSpanner = (...fasteners: ReturnType<typeof aFastener>[]) =>
        doublesOf(spanner, bench, fitView([{ id: 'b', fasteners }], bench, [], defaultHandN).fasteners)
      expect(ofSpanner(nut).map(({ id }) => id)).toEqual(['socket'])
      expect(ofSpanner(nut, held)).toEqual([])
    })
  })
})
