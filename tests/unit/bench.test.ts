import { catalogue } from '#catalogue'
import {
  laidOutG,
  mostOfAThing,
  pinSchema,
  thingFrom,
  thingSchema,
  withCount,
  withOneFewer,
  withOneMore,
} from '#core/bench'
import { defined } from '#core/validation'
import { describe, expect, it } from 'vitest'

describe('things on the bench', () => {
  const thing = (id: string, provides: string[], massG = 50) => thingSchema.parse({ id, name: id, massG, provides })
  it('weigh what all their pieces weigh', () => {
    expect(laidOutG([{ ...thing('a', []), count: 3 }, thing('b', [], 7)])).toBe(157)
    expect(laidOutG([])).toBe(0)
  })
  it('have pins whose least is not above their most', () => {
    expect(pinSchema.safeParse({ min: 1, max: 1 }).success).toBe(true)
    expect(pinSchema.safeParse({ min: 2, max: 1 }).success).toBe(false)
  })
})

describe('how many of a thing', () => {
  const item = defined(catalogue.items[0])
  const laid = (count: number) => thingFrom(item, 'a', count)

  it('takes what is pinned along where there are fewer', () => {
    const pinned = { ...laid(4), pin: { min: 2, max: 4 } }
    expect(withCount(pinned, 3)).toEqual({ ...pinned, count: 3, pin: { min: 2, max: 3 } })
    expect(withCount(pinned, 1).pin).toEqual({ min: 1, max: 1 })
    expect(withCount(pinned, 6).pin).toEqual({ min: 2, max: 4 })
  })

  it('is one more of what lies there, and laid down where nothing does; never more than a bench holds', () => {
    expect(withOneMore([], item, 'new')).toEqual([thingFrom(item, 'new')])
    expect(withOneMore([laid(2)], item, 'new').map(({ id, count }) => [id, count])).toEqual([['a', 3]])
    expect(withOneMore([laid(mostOfAThing)], item, 'new')[0]?.count).toBe(mostOfAThing)
  })

  it('is one fewer of the first that lies there, which goes with its last', () => {
    const twin = thingFrom(item, 'b', 2)
    const other = thingFrom(defined(catalogue.items[1]), 'c')
    expect(withOneFewer([laid(2), twin, other], item).map(({ count }) => count)).toEqual([1, 2, 1])
    expect(withOneFewer([laid(1), twin, other], item)).toEqual([twin, other])
    expect(withOneFewer([other], item)).toEqual([other])
  })
})
