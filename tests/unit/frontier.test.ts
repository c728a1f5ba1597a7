import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import {
  bestAtPrice,
  frontier,
  gramsPerHourBetween,
  heaviestUpTo,
  lightestAtRisk,
  stepsAlong,
  supported,
  type Traded,
} from '#core/frontier'
import { indexLedger, massOf, type Ledger } from '#core/ledger'
import { PromiseEvaluator } from '#core/promise'
import { surveyRoad } from '#core/road'
import { bestKit } from '#core/search'
import { ledgerOfTrip } from '#core/trip-ledger'
import { nth } from '#core/validation'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { tinyLedger } from '../tiny-ledgers'

const kit = (massG: number, promiseH: number): Traded => ({ massG, promiseH })

describe('the kits that some price makes the best', () => {
  it('leave out those that lose as much, and those that a mixture of two others beats', () => {
    const [nothing, light, dented, heavy, dear, same] = [
      kit(0, 10),
      kit(100, 4),
      kit(150, 3.9),
      kit(200, 2),
      kit(300, 2.5),
      kit(250, 2),
    ]
    expect(supported([dear, heavy, same, nothing, dented, light])).toEqual([nothing, light, heavy])
    expect(supported([])).toEqual([])
  })
  it('are two by two as good at the price in between, and nothing is better at it', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ massG: fc.nat(1000), promiseH: fc.double({ min: 0, max: 50, noNaN: true }) }), {
          minLength: 1,
          maxLength: 30,
        }),
        (kits) => {
          const hull = supported(kits)
          for (let i = 1; i < hull.length; i++) {
            const [lighter, heavier] = [nth(hull, i - 1), nth(hull, i)]
            expect(heavier.promiseH).toBeLessThan(lighter.promiseH)
            const gramsPerHour = gramsPerHourBetween(lighter, heavier)
            expect(lighter.promiseH + lighter.massG / gramsPerHour).toBeCloseTo(
              heavier.promiseH + heavier.massG / gramsPerHour,
              6,
            )
            for (const { massG, promiseH } of kits) {
              const leastH = lighter.promiseH + lighter.massG / gramsPerHour
              expect(promiseH + massG / gramsPerHour).toBeGreaterThan(leastH - 1e-6)
            }
          }
        },
      ),
    )
  })
})

describe('steps along a hull', () => {
  it('say what comes and what goes from each kit to the next', () => {
    const [nothing, some, more] = [{ counts: [0, 0, 0] }, { counts: [2, 1, 0] }, { counts: [0, 1, 1] }]
    expect(stepsAlong([nothing, some, more])).toEqual([
      { kit: nothing, comes: [], goes: [] },
      {
        kit: some,
        comes: [
          { item: 0, count: 2 },
          { item: 1, count: 1 },
        ],
        goes: [],
      },
      { kit: more, comes: [{ item: 2, count: 1 }], goes: [{ item: 0, count: 2 }] },
    ])
  })
})

/** Every kit of a ledger with what it promises. */
function everyKit(ledger: Ledger): Traded[] {
  const indexed = indexLedger({ ...ledger, pins: {}, budgetG: null })
  const evaluator = new PromiseEvaluator(indexed)
  let kits: number[][] = [[]]
  for (const { max } of indexed.items) {
    kits = kits.flatMap((counts) => Array.from({ length: max + 1 }, (_, count) => [...counts, count]))
  }
  return kits.map((counts) => kit(massOf(indexed, counts), evaluator.evaluate(counts).promiseH))
}

describe('the frontier', () => {
  it('of small ledgers is the lower hull of every kit that there is', () => {
    for (let seed = 1; seed <= 12; seed++) {
      const ledger = tinyLedger(seed)
      const expected = supported(everyKit(ledger))
      const found = supported([...frontier(ledger, 60)])
      expect([seed, found.map(({ massG }) => massG)]).toEqual([seed, expected.map(({ massG }) => massG)])
      found.forEach(({ promiseH }, i) => expect(promiseH).toBeCloseTo(nth(expected, i).promiseH, 6))
    }
  })

  const trip = demoTrip()
  const { ledger } = ledgerOfTrip(trip, surveyRoad(trip.road.points), catalogue)
  const found = [...frontier(ledger, 20)]
  const hull = supported(found)

  it('of the demo begins with nothing, never rises with mass, and is found in no more steps than asked for', () => {
    expect(found.length).toBeGreaterThan(10)
    expect(found.length).toBeLessThanOrEqual(20)
    expect([nth(found, 0).massG, nth(hull, 0).massG]).toEqual([0, 0])
    expect(nth(found, 0).promiseH).toBeCloseTo(nth(found, 0).emptyH, 9)
    for (let i = 1; i < hull.length; i++) {
      expect(nth(hull, i).massG).toBeGreaterThan(nth(hull, i - 1).massG)
      expect(nth(hull, i).promiseH).toBeLessThan(nth(hull, i - 1).promiseH)
    }
  })
  it('lies no higher than the kit of the trip by more than a thousandth of what bare hands lose', () => {
    const now = bestKit(indexLedger({ ...ledger, pins: {}, budgetG: null }))
    const costH = ({ promiseH, massG }: Traded) => promiseH + massG / (ledger.gramsPerHour ?? 1)
    // Of 20 kits one lies near the dial, and mixtures of two are no better than it.
    const nearest = Math.min(...hull.map(costH))
    expect(nearest - costH(now)).toBeLessThan(0.01 * now.emptyH)
    expect(costH(now) - nearest).toBeLessThan(0.001 * now.emptyH)
  })
  it('has with each kit the price at which the search finds just that', () => {
    for (const { gramsPerHour, counts } of found.slice(1, 5)) {
      expect(bestKit(indexLedger({ ...ledger, gramsPerHour, pins: {}, budgetG: null })).counts).toEqual(counts)
    }
  })
  it('pays no heed to pins and budget, which are no matter of what could be', () => {
    const pinned = { ...ledger, budgetG: 300, pins: { [nth(ledger.items, 0).id]: { min: 1, max: 1 } } }
    expect([...frontier(pinned, 6)].map(({ massG }) => massG)).toEqual(found.slice(0, 6).map(({ massG }) => massG))
  })
})

describe('a kit of the frontier', () => {
  const kits = [
    { ...kit(0, 10), stranded: 0.1 },
    { ...kit(100, 4), stranded: 0.05 },
    { ...kit(300, 2), stranded: 0.02 },
  ]
  it('is found by grams, by what an hour is worth and by the chance of being stranded: by hand', () => {
    expect([0, 99, 100, 299, 5000].map((massG) => heaviestUpTo(kits, massG))).toEqual([0, 0, 1, 1, 2])
    // Between the first two an hour is worth 100 / 6 g where they are as good, and 100 g between the others.
    expect([0, 16, 17, 99, 101].map((price) => bestAtPrice(kits, price))).toEqual([0, 0, 1, 1, 2])
    expect([0.2, 0.1, 0.05, 0.049, 0.02, 0.01].map((chance) => lightestAtRisk(kits, chance))).toEqual([
      0, 0, 1, 2, 2, -1,
    ])
  })
  it('is none where there is none', () => {
    expect([heaviestUpTo([], 100), bestAtPrice([], 100), lightestAtRisk([], 1)]).toEqual([-1, -1, -1])
  })
})
