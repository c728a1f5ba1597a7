import { ListMap } from '#core/maths'
import fc from 'fast-check'
import { expect, it } from 'vitest'

it('values by lists are found by equal lists and by no others, whatever becomes of the list that was asked with', () => {
  const lists = fc.array(fc.array(fc.integer({ min: 0, max: 3 }), { maxLength: 5 }), { maxLength: 60 })
  fc.assert(
    fc.property(lists, (asked) => {
      const [map, plain, scratch] = [new ListMap<number>(), new Map<string, number>(), [] as number[]]
      for (const list of asked) {
        scratch.splice(0, Infinity, ...list)
        const value = plain.get(list.join()) ?? plain.size
        plain.set(list.join(), value)
        expect(map.value(scratch, () => plain.size - 1)).toBe(value)
      }
    }),
  )
})

it('are worked out once, and forgotten when there are too many', () => {
  const map = new ListMap<string>(3)
  let worked = 0
  const ask = (...list: number[]) => map.value(list, () => `${list.join()} ${++worked}`)
  expect([ask(1), ask(1, 2), ask(2, 1), ask(1), ask(1, 2)]).toEqual(['1 1', '1,2 2', '2,1 3', '1 1', '1,2 2'])
  expect(ask()).toBe(' 4')
  expect(ask(1)).toBe('1 5')
  expect(ask()).toBe(' 4')
})
