import { checkAgainst, cutTo, defined, Faults, formatPath, nth, numberAt } from '#core/validation'
import { describe, expect, it } from 'vitest'
import { z } from 'zod'

describe('faults', () => {
  const schema = z.object({ bench: z.array(z.object({ massG: z.number().gt(0), kind: z.enum(['tool', 'spare']) })) })
  it('say where, what and what was expected, one line each', () => {
    const check = () =>
      checkAgainst(schema, {
        bench: [
          { massG: -3, kind: 'toy' },
          { massG: 'heavy', kind: 'tool' },
        ],
      })
    expect(check).toThrow(Faults)
    try {
      check()
    } catch (error) {
      expect((error as Faults).faults.map(({ message }) => message)).toEqual([
        'bench[0].massG: -3; expected more than 0',
        'bench[0].kind: "toy"; expected one of "tool", "spare"',
        'bench[1].massG: "heavy"; expected a value of type number',
      ])
    }
  })
  it.each([
    [z.number().min(3), 2, 'at least 3'],
    [z.number().gt(3), 3, 'more than 3'],
    [z.number().max(3), 4, 'at most 3'],
    [z.number().lt(3), 3, 'less than 3'],
    [z.string().min(3), 'ab', 'a text of at least 3'],
    [z.string().max(3), 'abcd', 'a text of at most 3'],
    [z.array(z.number()).min(2), [1], 'a list of at least 2'],
    [z.array(z.number()).max(1), [1, 2], 'a list of at most 1'],
    [z.tuple([z.number(), z.number()]), 'x', 'a list of fixed length'],
    [z.boolean(), 1, 'a value of type boolean'],
    [z.literal('a'), 'b', 'one of "a"'],
    [z.string().refine(() => false, 'something else'), 'b', 'something else'],
  ])('%# say what would do', (schema, value, expected) => {
    try {
      checkAgainst(schema as z.ZodType, value)
      expect.unreachable()
    } catch (error) {
      expect((error as Faults).faults.map((fault) => fault.expected)).toEqual([expected])
    }
  })
  it('keep what was found to themselves where it may be a password', () => {
    const check = () => checkAgainst(z.object({ password: z.string().min(9) }), { password: 'geheim' }, 'where')
    expect(check).toThrow('password: expected a text of at least 9')
    expect(check).not.toThrow('geheim')
  })
  it('say what there is of things that are not there, or cannot be written', () => {
    const found = (input: unknown) => () => checkAgainst(z.object({ a: z.object({ b: z.number() }) }), input)
    expect(found({ a: {} })).toThrow('a.b: nothing; expected a value of type number')
    expect(found({ a: { b: () => 1 } })).toThrow('a.b: a function; expected a value of type number')
    expect(found({})).toThrow('a: nothing')
  })
  it('hand back what is in order, with what was left out filled in', () => {
    expect(checkAgainst(z.object({ a: z.number().default(7) }), {})).toEqual({ a: 7 })
  })
  it('cut what was found when it is long', () => {
    const check = () => checkAgainst(z.object({ a: z.number() }), { a: 'x'.repeat(500) })
    expect(check).toThrow(/^a: "x{56}…; expected a value of type number$/)
  })
  it('of the whole document say so', () => {
    expect(() => checkAgainst(schema, null)).toThrow(/^the document: null; expected/)
    expect(formatPath(['road', 'points', 3, 0])).toBe('road.points[3][0]')
  })
  it('stop at twenty', () => {
    const check = () =>
      checkAgainst(
        z.array(z.number()),
        Array.from({ length: 500 }, () => 'x'),
      )
    try {
      check()
      expect.unreachable()
    } catch (error) {
      expect((error as Faults).faults).toHaveLength(20)
    }
  })
})

describe('what a program knows to be there', () => {
  it('is there, or is named as what is missing', () => {
    expect(defined(0)).toBe(0)
    expect(() => defined(undefined, 'the hub')).toThrow('the hub is missing')
    expect(() => defined(null)).toThrow('a value is missing')
    expect(nth(['a', 'b'], 1)).toBe('b')
    expect(() => nth(['a'], 1)).toThrow('place 1 lies outside a list of 1')
    expect(numberAt(Float64Array.of(4, 5), 1)).toBe(5)
    expect(() => numberAt(Float64Array.of(4), -1)).toThrow('place -1 lies outside a row of 1')
  })
  it('a text cut short has no half of a character', () => {
    expect(cutTo('a🚲b', 2)).toBe('a🚲')
    expect(cutTo('ab', 9)).toBe('ab')
  })
})
