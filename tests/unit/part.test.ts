import { catalogue } from '#catalogue'
import { divisible, partOf, thingFrom, usuallyAround, type Thing } from '#core/bench'
import { decant, gPerMl } from '#core/consumables'
import { defined, Fault } from '#core/validation'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'

const thing = (id: string, change: Partial<Thing> = {}): Thing => ({
  ...thingFrom(
    defined(
      catalogue.items.find((item) => item.id === id),
      id,
    ),
    id,
  ),
  ...change,
})
const named = { id: 'part', name: 'A part' }

describe('a part of a thing', () => {
  it('can be had of what is one stock and nothing else, and more than a piece', () => {
    const stockOf = (id: string) => divisible(thing(id))
    expect(stockOf('lube-60')).toEqual({ classId: 'lube', amount: 60 })
    expect(stockOf('patch-kit')).toEqual({ classId: 'patch', amount: 6 })
    expect(stockOf('tape')).toEqual({ classId: 'tape', amount: 1.5 })
    // A tool, a tool with its stock, two stocks, a single piece.
    for (const id of ['folding-17', 'plug-kit', 'needle-thread', 'patch-kit-long', 'tube-622', 'boot-sheet', 'gloves'])
      expect(stockOf(id), id).toBeUndefined()
  })
  it('of a bottle weighs its fluid and a dropper: by hand, and as the calculator has it', () => {
    const bottle = thing('lube-60')
    const around = usuallyAround(bottle, defined(divisible(bottle)), 15)
    // 72 g with 60 mL of 0.9 g each: the bottle is 18 g; a dropper for 15 mL is 6 g.
    expect(around).toMatchObject({ wholeG: 18, partG: 6 })
    const part = partOf(bottle, 15, around, named)
    expect(part.massG).toBeCloseTo(15 * 0.9 + 6, 9)
    expect(part.massG).toBeCloseTo(decant(15, gPerMl.lube).massG, 9)
    expect(part).toMatchObject({ id: 'part', name: 'A part', units: { lube: 15 }, count: 1, from: null, shed: null })
  })
  it('of tape or patches weighs its share, and nothing lies around it', () => {
    const tape = thing('tape', { massG: 18, shed: 'mine', pin: { min: 1, max: 1 } })
    const around = usuallyAround(tape, defined(divisible(tape)), 0.5)
    expect(around).toEqual({ wholeG: 0, partG: 0, containers: [] })
    expect(partOf(tape, 0.5, around, named)).toMatchObject({ massG: 6, units: { tape: 0.5 }, shed: null, pin: null })
    // A box that stays at home.
    expect(partOf(thing('patch-kit', { massG: 26 }), 2, { wholeG: 14, partG: 1 }, named).massG).toBe(5)
  })
  it('is never more than the whole, nor lighter than a scale can tell', () => {
    const bottle = thing('sealant-60')
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 59.9, noNaN: true }), (amount) => {
        const around = usuallyAround(bottle, defined(divisible(bottle)), amount)
        const part = partOf(bottle, amount, around, named)
        expect(part.massG).toBeGreaterThanOrEqual(0.1)
        expect(part.massG - around.partG).toBeLessThanOrEqual(bottle.massG - around.wholeG + 0.05)
        expect(part.units).toEqual({ sealant: amount })
      }),
    )
  })
  it.each<[what: string, amount: number, wholeG: number, partG: number, about: RegExp]>([
    ['nothing', 0, 0, 0, /how much/],
    ['all of it', 60, 0, 0, /less than 60/],
    ['no number', NaN, 0, 0, /how much/],
    ['a bottle heavier than the whole', 15, 80, 0, /the empty whole/],
    ['a container lighter than air', 15, 0, -1, /carried in/],
  ])('is none where it is %s', (_, amount, wholeG, partG, about) => {
    const attempt = () => partOf(thing('lube-60'), amount, { wholeG, partG }, named)
    expect(attempt).toThrow(Fault)
    expect(attempt).toThrow(about)
  })
  it('is none of a tool', () => {
    expect(() => partOf(thing('folding-17'), 1, { wholeG: 0, partG: 0 }, named)).toThrow(Fault)
  })
})
