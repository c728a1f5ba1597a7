import { ledgerFormat, readLedger, type Ledger } from '#core/ledger'
import { nth } from '#core/validation'
import { seeded } from './seeded'

/**
 * A ledger as long as that of a trip: 6 to 18 legs, 55 items, 60 kinds of failure, some of them wearing; things that many
 * failures share beside spares for one.
 */
export function tripSizeLedger(seed: number): Ledger {
  const random = seeded(seed)
  const between = (least: number, most: number) => least + random() * (most - least)
  const logBetween = (least: number, most: number) => Math.exp(between(Math.log(least), Math.log(most)))
  const whole = (least: number, most: number) => Math.floor(between(least, most + 1))
  const pick = <T>(list: readonly T[]): T => nth(list, Math.floor(random() * list.length))
  const chance = (share: number) => random() < share

  const legs = whole(6, 18)
  const onLegs = (value: () => number) => Array.from({ length: legs }, value)
  const functions = Array.from({ length: 24 }, (_, i) => `function ${i}`)
  const shared = ['tube', 'patch', 'plug', 'tie', 'tape', 'gas']
  const own = Array.from({ length: 19 }, (_, i) => `spare ${i}`)
  const stocks = [...shared, ...own]
  const draws: Readonly<Record<string, readonly number[]>> = { patch: [1], tie: [1, 2, 6], tape: [0.4, 1], gas: [1, 2] }
  const refills = () =>
    Array.from({ length: legs - 1 }, (_, i) => i + 1)
      .filter(() => chance(0.25))
      .map((leg) => ({ leg, chance: pick([1, 0.9, 0.6, 0.2]) }))

  const fix = (id: string, spare: string | undefined) => ({
    id,
    needs: Array.from({ length: whole(0, 2) }, () => pick(functions)),
    uses: spare === undefined ? {} : { [spare]: pick(draws[spare] ?? [1]), ...(chance(0.1) && { tie: 1 }) },
    ...(chance(0.3) && { technique: pick(['swap', 'glue', 'lash']) }),
    hands: between(0.6, 1),
    holds: between(0.6, 1),
    workH: between(0.05, 0.8),
    residualH: onLegs(() => between(0, 1.5)),
  })
  const weights = Array.from({ length: 60 }, () => logBetween(0.01, 1))
  const scale = between(3, 9) / weights.reduce((sum, weight) => sum + weight, 0)
  const items = [
    ...Array.from({ length: 30 }, (_, i) => ({
      id: `tool ${i}`,
      massG: whole(5, 180),
      max: 1,
      provides: Array.from({ length: pick([1, 1, 2, 5]) }, () => pick(functions)),
      condition: pick([0.995, 0.99, 0.98, 0.95]),
    })),
    ...stocks.map((stock) => ({
      id: `${stock} pack`,
      massG: whole(2, 200),
      max: whole(1, 4),
      units: { [stock]: stock === 'patch' ? 6 : stock === 'tie' ? pick([4, 6]) : 1 },
      condition: chance(0.2) ? between(0.7, 1) : 1,
    })),
  ]
  return readLedger({
    format: ledgerFormat,
    legs,
    items,
    stocks: stocks.map((id) => ({ id, refills: refills() })),
    events: weights.map((weight, e) => {
      const lossH = onLegs(() => between(1, 20))
      const wears = chance(0.12)
      return {
        id: `event ${e}`,
        perLeg: onLegs(() => (wears ? 0 : (weight * scale * between(0.3, 1.7)) / legs)),
        ...(wears && {
          wear: {
            left: between(0.2, 1),
            spread: pick([0.3, 0.45, 0.6]),
            lives: onLegs(() => between(0, 1.2 / legs)),
            freshAtLegs: chance(0.3) ? [whole(1, legs - 1)] : [],
          },
        }),
        lossH,
        walkH: lossH.map((hours) => hours * between(0.4, 1)),
        strands: onLegs(() => between(0, 0.4)),
        fixes: Array.from({ length: whole(1, 4) }, (_, f) =>
          fix(`fix ${f}`, chance(0.15) ? undefined : chance(0.55) ? pick(shared) : pick(own)),
        ),
      }
    }),
    gramsPerHour: logBetween(100, 2000),
  })
}
