import { catalogue } from '#catalogue'
import { thingFrom, type Thing } from '#core/bench'
import { itemsPrice } from '#core/reference'
import { kitPrice, ownedFrom, tinAsKit, type OwnedThing } from '#core/shed'
import { defined } from '#core/validation'
import { knownPriceInWords } from '#wording'
import { describe, expect, it } from 'vitest'

const item = (id: string) =>
  defined(
    catalogue.items.find((each) => each.id === id),
    id,
  )
const laid = (id: string, change: Partial<Thing> = {}): Thing => ({ ...thingFrom(item(id), id), ...change })
const owned = (id: string, change: Partial<OwnedThing> = {}) =>
  [id, { ...ownedFrom(item(id), id, 'EUR'), ...change }] as const
const ofKind = ({ from }: Thing) => catalogue.items.find(({ id }) => id === from)?.price

describe('what a kit costs', () => {
  const bench = [
    laid('mini-pump', { shed: 'mini-pump' }),
    laid('tube-622', { count: 3 }),
    laid('boot', { shed: 'boot' }),
    laid('wire', { from: null }),
  ]
  it('is what was paid for what is owned, and the price of its kind for all else: by hand', () => {
    const shed = new Map([owned('mini-pump', { price: 2345 }), owned('boot', { price: 100, currency: 'CHF' })])
    const tube = item('tube-622').price
    expect(kitPrice(bench, [1, 2, 1, 4], shed, 'EUR', ofKind)).toEqual({
      price: 2345 + 2 * tube + item('boot').price,
      unknown: 4,
    })
  })
  it('is nothing for nothing, and whole coins always', () => {
    expect(kitPrice(bench, [0, 0, 0, 0], new Map(), 'EUR', ofKind)).toEqual({ price: 0, unknown: 0 })
    expect(Number.isSafeInteger(kitPrice(bench, [1, 3, 1, 0], new Map(), 'EUR', ofKind).price)).toBe(true)
  })
})

describe('a tin as a kit', () => {
  it('has what is packed and lies on the bench, each piece once', () => {
    const shed = [owned('mini-pump', { packed: 1 }), owned('tube-622', { count: 4, packed: 3 })].map(([, each]) => each)
    const bench = [
      laid('tube-622', { count: 2, shed: 'tube-622' }),
      laid('tube-622', { id: 'again', count: 3, shed: 'tube-622' }),
      laid('mini-pump', { shed: 'mini-pump' }),
      laid('boot'),
    ]
    expect(tinAsKit(bench, shed)).toEqual([2, 1, 1, 0])
  })
})

describe('what things of the catalogue cost together', () => {
  const items = [item('boot'), item('boot-cloth'), item('plug-kit')]
  const costing = (currency: string, planning = {}) => itemsPrice(items, { currency, planning })
  it('is a sum in the currency of planning values', () => {
    expect(costing('EUR')).toEqual({ price: item('boot').price + item('plug-kit').price, unknown: 0 })
  })
  it('is of what somebody has said alone in another; what costs nothing costs nothing there, too', () => {
    expect(costing('CHF')).toEqual({ price: 0, unknown: 2 })
    expect(costing('CHF', { 'items.plug-kit.price': 1800 })).toEqual({ price: item('plug-kit').price, unknown: 1 })
  })
  it('is told with what is not known', () => {
    expect(knownPriceInWords({ price: 1250, unknown: 0 }, 'EUR')).toBe('€12.50')
    expect(knownPriceInWords({ price: 1250, unknown: 2 }, 'EUR')).toBe('€12.50 and 2 of no known price')
    expect(knownPriceInWords({ price: 0, unknown: 2 }, 'EUR')).toBe('no known price')
    expect(knownPriceInWords({ price: 0, unknown: 0 }, 'EUR')).toBe('€0.00')
  })
})
