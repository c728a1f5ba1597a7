import { indexLedger } from '#core/ledger'
import { bestKit, choiceOf, usualGramsPerHour } from '#core/search'
import { nth } from '#core/validation'
import { describe, expect, it } from 'vitest'
import { workedExample, workedKits } from '../worked-example'

const named = (ledger: { items: readonly { id: string }[] }, counts: readonly number[]) =>
  Object.fromEntries(ledger.items.map(({ id }, i) => [id, nth(counts, i)]).filter(([, count]) => count !== 0))

describe('the best kit of the worked example', () => {
  it.each(workedKits)(
    'at %d g an hour is the one that every kit followed exactly leads to',
    (gramsPerHour, kit, savedH) => {
      const ledger = indexLedger({ ...workedExample(), gramsPerHour })
      const choice = bestKit(ledger)
      expect(named(ledger, choice.counts)).toEqual(kit)
      expect(choice.emptyH).toBeCloseTo(4.7, 6)
      expect(Math.abs(choice.emptyH - choice.promiseH - savedH)).toBeLessThan(0.01 * savedH + 1e-9)
    },
  )

  it('with grams free and 250 g allowed takes what saves most within them', () => {
    const choice = bestKit(indexLedger({ ...workedExample(), gramsPerHour: null, budgetG: 250 }))
    expect(named(workedExample(), choice.counts)).toEqual({ pump: 1, levers: 1, patches: 1, link: 2, breaker: 1 })
    expect(choice.massG).toBe(248)
  })

  it('keeps to pins, and says so where what is pinned is too heavy', () => {
    const pins = { hanger: { min: 1, max: 1 }, patches: { min: 0, max: 0 } }
    const choice = bestKit(indexLedger({ ...workedExample(), gramsPerHour: 300, pins }))
    expect(named(workedExample(), choice.counts)).toMatchObject({ hanger: 1, tube: expect.any(Number) as number })
    expect(named(workedExample(), choice.counts)).not.toHaveProperty('patches')
    const heavy = indexLedger({ ...workedExample(), budgetG: 10 })
    const pinned = { ...heavy, items: heavy.items.map((item) => ({ ...item, min: 1 })) }
    expect(() => bestKit(pinned)).toThrow(/10 g; expected at least the \d+ g of what is pinned/)
  })
})

it('what is told of a kit adds up', () => {
  const ledger = indexLedger({ ...workedExample(), gramsPerHour: 500 })
  const choice = choiceOf(ledger, [1, 1, 1, 0, 0, 0, 0, 0])
  expect(choice.massG).toBe(320)
  expect(choice.netH).toBeCloseTo(choice.emptyH - choice.promiseH - 320 / 500, 12)
})

it('the dial begins where 100 g spare nine thousandths of what all could spare', () => {
  const ledger = indexLedger(workedExample())
  const everything = choiceOf(
    ledger,
    ledger.items.map(({ max }) => max),
  )
  // To two digits: 100 g over 0.009 of the 4.382 h that all of it saves.
  expect(100 / 0.009 / (everything.emptyH - everything.promiseH)).toBeCloseTo(2535.6, 1)
  expect(usualGramsPerHour(ledger)).toBe(2500)
  expect(usualGramsPerHour({ ...ledger, items: [] })).toBeNull()
})
