import { ledgerFormat, readLedger, type Ledger } from '#core/ledger'
import { nth } from '#core/validation'
import { seeded } from './seeded'

/**
 * A ledger so small that every kit can be followed through everything that can come, drawn so that it bites: 0.5 to 6
 * failures a trip, stocks that several failures share, draws of one, two, six or 0.4 of a roll, refills by chance,
 * techniques that fixes share, tools that may fail; in one of three a stock is short in expectation, and in one of four
 * something wears.
 */
export function tinyLedger(seed: number): Ledger {
  const random = seeded(seed)
  const between = (least: number, most: number) => least + random() * (most - least)
  const whole = (least: number, most: number) => Math.floor(between(least, most + 1))
  const pick = <T>(list: readonly T[]): T => nth(list, Math.floor(random() * list.length))
  const chance = (share: number) => random() < share

  const legs = whole(1, 3)
  const onLegs = (value: () => number) => Array.from({ length: legs }, value)
  const functions = ['lever', 'pump'].slice(0, whole(1, 2))
  const stocks = ['tube', 'tape', 'patch'].slice(0, whole(2, 3))
  const failures = Math.exp(between(Math.log(0.5), Math.log(6)))
  const isShort = chance(1 / 3)
  const events = Array.from({ length: whole(2, 4) }, () => Math.exp(between(Math.log(0.05), Math.log(1))))
  const scale = failures / events.reduce((sum, weight) => sum + weight, 0)

  const draws: Record<string, number[]> = { tube: [1, 2], tape: [0.4, 1], patch: [1, 2, 6] }
  const fix = (id: string) => ({
    id,
    needs: functions.filter(() => chance(0.4)),
    uses: Object.fromEntries(stocks.filter(() => chance(0.55)).map((stock) => [stock, pick(draws[stock] ?? [1])])),
    ...(chance(0.5) && { technique: pick(['swap', 'glue']) }),
    hands: between(0.4, 1),
    holds: between(0.5, 1),
    workH: between(0, 0.6),
    residualH: onLegs(() => between(0, 1)),
    residualWalkH: 0,
  })
  return readLedger({
    format: ledgerFormat,
    legs,
    items: [
      ...functions.map((name) => ({
        id: name,
        massG: whole(20, 150),
        max: whole(1, 2),
        provides: [name],
        condition: chance(0.4) ? between(0.7, 0.99) : 1,
      })),
      ...stocks.map((stock) => ({
        id: `${stock} pack`,
        massG: whole(5, 140),
        max: isShort ? 1 : whole(1, 3),
        units: { [stock]: stock === 'patch' ? pick([2, 6]) : 1 },
        condition: chance(0.3) ? between(0.6, 1) : 1,
      })),
    ],
    stocks: stocks.map((id) => ({
      id,
      refills: legs > 1 && chance(0.6) ? [{ leg: whole(1, legs - 1), chance: pick([1, between(0.2, 0.95)]) }] : [],
    })),
    events: events.map((weight, e) => {
      const lossH = onLegs(() => between(1, 15))
      const wears = e === 0 && chance(1 / 4)
      return {
        id: `event ${e}`,
        perLeg: wears ? onLegs(() => 0) : onLegs(() => (weight * scale * between(0.5, 1.5)) / legs),
        ...(wears && {
          wear: {
            left: between(0.1, 1),
            spread: pick([0, 0.3, 0.6]),
            lives: onLegs(() => between(0.1, 0.9)),
            freshAtLegs: legs > 1 && chance(0.3) ? [1] : [],
          },
        }),
        lossH,
        walkH: lossH.map((hours) => hours * between(0.3, 1)),
        strands: onLegs(() => between(0, 0.5)),
        fixes: Array.from({ length: whole(1, 3) }, (_, f) => fix(`fix ${f}`)),
      }
    }),
    gramsPerHour: Math.exp(between(Math.log(50), Math.log(5000))),
  })
}

/** A kit within a ledger's limits, drawn at random. */
export function randomKit({ items }: Ledger, seed: number): number[] {
  const random = seeded(seed)
  return items.map(({ max }) => Math.floor(random() * (max + 1)))
}
