import { prove } from '#core/bound'
import { indexLedger, ledgerFormat, readLedger, type IndexedLedger } from '#core/ledger'
import { bestKit } from '#core/search'
import loadHighs from 'highs'
import { beforeAll, describe, expect, it } from 'vitest'

/** What fills a knapsack: grams, or coins. */
type Filling = 'grams' | 'coins'

/** A knapsack as a ledger: each thing is a tool for a failure of its own that comes once in the mean, worth its profit in hours. */
function knapsack(filling: Filling, capacity: number, weights: number[], profits: number[]): IndexedLedger {
  // Hours and grams of a ledger have limits; a knapsack has no unit.
  const hours = Math.min(1, 10_000 / Math.max(...profits))
  const grams = Math.min(1, 10_000 / Math.max(...weights))
  return indexLedger(
    readLedger({
      format: ledgerFormat,
      legs: 1,
      items: weights.map((weight, i) => ({
        id: `thing ${i}`,
        massG: filling === 'grams' ? weight * grams : 1,
        price: filling === 'coins' ? weight : 0,
        max: 1,
        provides: [`deed ${i}`],
      })),
      events: profits.map((profit, i) => ({
        id: `failure ${i}`,
        perLeg: [1],
        lossH: profit * hours,
        fixes: [{ id: 'do it', needs: [`deed ${i}`], hands: 1 }],
      })),
      ...(filling === 'grams' ? { budgetG: capacity * grams } : { budgetMoney: capacity }),
    }),
  )
}

/**
 * 0/1 knapsack instances P01 to P08 as collected by J. Burkardt (Florida State University, "KNAPSACK_01"), after
 * S. Martello and P. Toth, Knapsack Problems (1990), and D. Kreher and D. Stinson, Combinatorial Algorithms (1999),
 * with their published optima. From memory.
 */
const instances: [name: string, capacity: number, weights: number[], profits: number[], optimum: number][] = [
  ['P01', 165, [23, 31, 29, 44, 53, 38, 63, 85, 89, 82], [92, 57, 49, 68, 60, 43, 67, 84, 87, 72], 309],
  ['P02', 26, [12, 7, 11, 8, 9], [24, 13, 23, 15, 16], 51],
  ['P03', 190, [56, 59, 80, 64, 75, 17], [50, 50, 64, 46, 50, 5], 150],
  ['P04', 50, [31, 10, 20, 19, 4, 3, 6], [70, 20, 39, 37, 7, 5, 10], 107],
  ['P05', 104, [25, 35, 45, 5, 25, 3, 2, 2], [350, 400, 450, 20, 70, 8, 5, 5], 900],
  ['P06', 170, [41, 50, 49, 59, 55, 57, 60], [442, 525, 511, 593, 546, 564, 617], 1735],
  [
    'P07',
    750,
    [70, 73, 77, 80, 82, 87, 90, 94, 98, 106, 110, 113, 115, 118, 120],
    [135, 139, 149, 150, 156, 163, 173, 184, 192, 201, 210, 214, 221, 229, 240],
    1458,
  ],
  [
    'P08',
    6404180,
    [
      382745, 799601, 909247, 729069, 467902, 44328, 34610, 698150, 823460, 903959, 853665, 551830, 610856, 670702,
      488960, 951111, 323046, 446298, 931161, 31385, 496951, 264724, 224916, 169684,
    ],
    [
      825594, 1677009, 1676628, 1523970, 943972, 97426, 69666, 1296457, 1679693, 1902996, 1844992, 1049289, 1252836,
      1319836, 953277, 2067538, 675367, 853655, 1826027, 65731, 901489, 577243, 466257, 369261,
    ],
    13549094,
  ],
]

describe.each<Filling>(['grams', 'coins'])('knapsacks of the literature, filled with %s', (filling) => {
  let highs: Awaited<ReturnType<typeof loadHighs>>
  beforeAll(async () => {
    highs = await loadHighs()
  })

  it.each(instances)(
    '%s: no bound is below the published optimum, and the kit is near it',
    (_, capacity, weights, profits, optimum) => {
      const scale = Math.min(1, 10_000 / Math.max(...profits))
      const ledger = knapsack(filling, capacity, weights, profits)
      const kit = bestKit(ledger)
      const { boundNetH } = prove(ledger, kit, highs)
      expect(boundNetH / scale / optimum).toBeGreaterThan(1 - 1e-6)
      expect(boundNetH / scale / optimum).toBeCloseTo(1, 2)
      expect(filling === 'grams' ? kit.massG / ledger.budgetG : kit.money / capacity).toBeLessThanOrEqual(1)
      expect(kit.netH / scale / optimum).toBeGreaterThan(0.97)
      expect(kit.netH / scale / optimum).toBeLessThan(1 + 1e-9)
    },
  )

  it.each(instances.filter(([, , weights]) => weights.length <= 10))(
    '%s: where there are few kits, the optimum itself is found',
    (_, capacity, weights, profits, optimum) => {
      expect(bestKit(knapsack(filling, capacity, weights, profits)).netH).toBeCloseTo(optimum, 9)
    },
  )
})

it('filled with grams and coins at once, they come near the best, which another solver finds', async () => {
  const highs = await loadHighs()
  // Draws by the minimal standard generator (S. K. Park and K. W. Miller, Comm. ACM 31, 1988).
  let state = 20260601
  const drawn = (most: number) => ((state = (state * 16_807) % 2_147_483_647), 1 + (state % most))
  for (let instance = 0; instance < 6; instance++) {
    const things = Array.from({ length: 18 }, () => ({ massG: drawn(100), price: drawn(100), profit: 40 + drawn(60) }))
    const share = (what: 'massG' | 'price') => Math.floor(things.reduce((sum, thing) => sum + thing[what], 0) / 2.5)
    const ledger = indexLedger(
      readLedger({
        format: ledgerFormat,
        legs: 1,
        items: things.map(({ massG, price }, i) => ({ id: `${i}`, massG, price, max: 1, provides: [`deed ${i}`] })),
        events: things.map(({ profit }, i) => ({
          id: `failure ${i}`,
          perLeg: [1],
          lossH: profit,
          fixes: [{ id: 'do it', needs: [`deed ${i}`], hands: 1 }],
        })),
        budgetG: share('massG'),
        budgetMoney: share('price'),
      }),
    )
    const kit = bestKit(ledger)
    expect(kit.massG).toBeLessThanOrEqual(ledger.budgetG)
    expect(kit.money).toBeLessThanOrEqual(ledger.budgetMoney)
    const best = highs.withModel(
      {
        numCols: things.length,
        numRows: 2,
        sense: highs.constants.objectiveSense.maximize,
        colCost: Float64Array.from(things, ({ profit }) => profit),
        colLower: new Float64Array(things.length),
        colUpper: new Float64Array(things.length).fill(1),
        rowLower: new Float64Array(2).fill(-Infinity),
        rowUpper: Float64Array.of(ledger.budgetG, ledger.budgetMoney),
        integrality: new Int32Array(things.length).fill(highs.constants.variableType.integer),
        matrix: {
          format: 'csr',
          numRows: 2,
          numCols: things.length,
          starts: Int32Array.of(0, things.length, 2 * things.length),
          indices: Int32Array.from([...things.keys(), ...things.keys()]),
          values: Float64Array.from([...things.map(({ massG }) => massG), ...things.map(({ price }) => price)]),
        },
      },
      (model) => {
        model.options.set({ output_flag: false })
        model.run()
        return Number(model.info.get('objective_function_value'))
      },
    )
    expect(kit.netH / best).toBeLessThan(1 + 1e-9)
    // Of a few large things two may have to be exchanged for two at once, which no move does.
    expect(kit.netH / best, `instance ${instance}`).toBeGreaterThan(0.95)
    expect(prove(ledger, kit, highs).boundNetH).toBeGreaterThan(best - 1e-6)
  }
})
