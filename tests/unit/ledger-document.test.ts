import { ledgerFormat, readLedger } from '#core/ledger'
import { Faults } from '#core/validation'
import { describe, expect, it } from 'vitest'

const item = { id: 'tube', massG: 100, max: 2, units: { tube: 1 } }
const fix = { id: 'swap', uses: { tube: 1 }, hands: 1 }
const event = { id: 'flat', perLeg: [0.1, 0.2], lossH: 4, fixes: [fix] }
const document = {
  format: ledgerFormat,
  legs: 2,
  items: [item, { id: 'levers', massG: 40, max: 1, provides: ['lever'] }],
  stocks: [{ id: 'tube', refills: [{ leg: 1, chance: 0.5 }] }],
  events: [event],
  gramsPerHour: 400,
}

function faultsOf(change: object): string[] {
  try {
    readLedger({ ...document, ...change })
    return []
  } catch (error) {
    if (error instanceof Faults) return error.faults.map(({ message }) => message)
    throw error
  }
}

describe('a ledger document', () => {
  it('is read where all that it names is there', () => {
    expect(faultsOf({})).toEqual([])
    expect(faultsOf({ pins: { tube: { min: 2, max: 2 }, levers: { min: 1, max: 1 } }, budgetG: 240 })).toEqual([])
    expect(faultsOf({ pins: { tube: { min: 0, max: 0 } }, budgetG: 0 })).toEqual([])
    const { stocks, pins, budgetG } = readLedger({ format: ledgerFormat, legs: 1, items: [], events: [] })
    expect({ stocks, pins, budgetG }).toEqual({ stocks: [], pins: {}, budgetG: null })
  })

  it.each([
    [
      'a pin whose most is less than its least',
      { pins: { tube: { min: 2, max: 1 } } },
      ['pins.tube.max: 1; expected a pin whose max is not below its min'],
    ],
    ['an item twice', { items: [item, item] }, ['items[1].id: "tube" a second time; expected an id used once']],
    [
      'a stock twice',
      { stocks: [{ id: 'tube' }, { id: 'tube' }] },
      ['stocks[1].id: "tube" a second time; expected an id used once'],
    ],
    [
      'an event and a fix twice',
      { events: [event, { ...event, fixes: [fix, fix] }] },
      [
        'events[1].id: "flat" a second time; expected an id used once',
        'events[1].fixes[1].id: "swap" a second time; expected an id used once',
      ],
    ],
    [
      'stocks that are not there',
      {
        items: [{ ...item, units: { tube: 1, glue: 2 } }],
        events: [{ ...event, fixes: [{ ...fix, uses: { tape: 1 } }] }],
      },
      [
        'items[0].units: "glue"; expected the id of one of the stocks',
        'events[0].fixes[0].uses: "tape"; expected the id of one of the stocks',
      ],
    ],
    [
      'a refill beyond the last leg',
      { stocks: [{ id: 'tube', refills: [{ leg: 2, chance: 1 }] }] },
      ['stocks[0].refills[0].leg: leg 2; expected a leg from 0 to 1'],
    ],
    [
      'a part fitted anew beyond the last leg',
      { events: [{ ...event, wear: { left: 1, spread: 0, lives: [0.1, 0.1], freshAtLegs: [1, 5] } }] },
      ['events[0].wear.freshAtLegs[1]: leg 5; expected a leg from 0 to 1'],
    ],
    [
      'lists of the wrong length',
      {
        events: [
          {
            ...event,
            perLeg: [1],
            lossH: [4, 4, 4],
            walkH: [1],
            strands: [1],
            wear: { left: 1, spread: 0, lives: [1] },
            fixes: [{ ...fix, workH: [1], residualH: [1], residualWalkH: [1] }],
          },
        ],
      },
      [
        'events[0].perLeg: 1 numbers; expected one for each of the 2 legs',
        'events[0].lossH: 3 numbers; expected one for each of the 2 legs',
        'events[0].walkH: 1 numbers; expected one for each of the 2 legs',
        'events[0].strands: 1 numbers; expected one for each of the 2 legs',
        'events[0].wear.lives: 1 numbers; expected one for each of the 2 legs',
        'events[0].fixes[0].workH: 1 numbers; expected one for each of the 2 legs',
        'events[0].fixes[0].residualH: 1 numbers; expected one for each of the 2 legs',
        'events[0].fixes[0].residualWalkH: 1 numbers; expected one for each of the 2 legs',
      ],
    ],
    [
      'more hours on foot than are lost',
      {
        events: [
          { ...event, lossH: [4, 4], walkH: [4, 4.5], fixes: [{ ...fix, residualH: [1, 2], residualWalkH: [1, 2.5] }] },
        ],
      },
      [
        'events[0].walkH: 4.5 on leg 1; expected at most its lossH',
        'events[0].fixes[0].residualWalkH: 2.5 on leg 1; expected at most its residualH',
      ],
    ],
    [
      'a pin of nothing, and one of more than there are',
      { pins: { pump: { min: 1, max: 1 }, tube: { min: 3, max: 3 } } },
      ['pins.pump: "pump"; expected the id of one of the items', 'pins.tube.min: 3; expected at most the 2 there are'],
    ],
    [
      'pins above the budget',
      { pins: { tube: { min: 2, max: 2 }, levers: { min: 0, max: 1 } }, budgetG: 199 },
      ['budgetG: 199 g; expected at least the 200 g of what is pinned: "tube"'],
    ],
  ])('is refused with %s', (_, change, lines) => expect(faultsOf(change)).toEqual(lines))
})
