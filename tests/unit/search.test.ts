import { indexLedger, ledgerFormat, loadOf, massOf, readLedger, type IndexedLedger, type Ledger } from '#core/ledger'
import { bestKit, KitSearch, kitProblem } from '#core/search'
import { nth, numberAt } from '#core/validation'
import { describe, expect, it } from 'vitest'
import { condense } from '../../core/search/condense'
import { areFew, bestOfAll } from '../../core/search/every-kit'
import { KitState } from '../../core/search/kit-state'
import { once } from '../once'
import { randomKit, tinyLedger } from '../tiny-ledgers'
import { tripSizeLedger } from '../trip-size-ledgers'

/** A tiny ledger with a rival for some of its things: heavier and with twice as much in it, or lighter and worse. */
function withRivals(seed: number): Ledger {
  const document = tinyLedger(seed)
  const rivals = document.items.slice(-2).map((item, i) => ({
    ...item,
    id: `${item.id}, another`,
    massG: item.massG * (i === 0 ? 1.7 : 0.6),
    max: 2,
    condition: i === 0 ? item.condition : item.condition * 0.8,
    units: Object.fromEntries(
      Object.entries(item.units).map(([stock, amount]) => [stock, i === 0 ? 2 * amount : amount]),
    ),
  }))
  return { ...document, items: [...document.items, ...rivals] }
}

const kitsOf = ({ items }: IndexedLedger) => items.reduce((product, { min, max }) => product * (max - min + 1), 1)
/** Ledgers with more kits than are all tried, and not so many that trying them all takes long. */
const ledgers = once(() =>
  Array.from({ length: 200 }, (_, seed) => withRivals(seed))
    .filter((document) => {
      const kits = kitsOf(indexLedger(document))
      return kits > 1500 && kits < 4500
    })
    .slice(0, 4),
)

const sum = (values: Iterable<number>) => [...values].reduce((all, value) => all + value, 0)

describe('a search by moves', () => {
  const shortOf = (document: Ledger) => {
    const ledger = indexLedger(document)
    expect(areFew(kitProblem(ledger))).toBe(false)
    const search = KitSearch.forLedger(ledger)
    const [found, best] = [search.best(), search.choice(bestOfAll(kitProblem(ledger)).counts)]
    for (const { massG, money } of [found, best]) {
      expect(massG).toBeLessThanOrEqual(ledger.budgetG)
      expect(money).toBeLessThanOrEqual(ledger.budgetMoney)
    }
    ledger.items.forEach(({ min, max }, item) => {
      expect(nth(found.counts, item)).toBeGreaterThanOrEqual(min)
      expect(nth(found.counts, item)).toBeLessThanOrEqual(max)
    })
    return (best.netH - found.netH) / found.emptyH
  }
  it.each([0, 2])('finds the best of all kits, with a budget and pins too (ledger %i)', { timeout: 60_000 }, (i) => {
    const document = nth(ledgers(), i)
    expect(shortOf(document)).toBeLessThan(0.002)
    const ledger = indexLedger(document)
    const allG = massOf(
      ledger,
      ledger.items.map(({ max }) => max),
    )
    expect(shortOf({ ...document, budgetG: 0.35 * allG })).toBeLessThan(0.01)
  })
  it.each([0, 3])(
    'finds the best of all kits within a sum of money, and within that and grams (ledger %i)',
    { timeout: 60_000 },
    (i) => {
      const plain = nth(ledgers(), i)
      // A piece of some is there; of the rest, what weighs least costs most.
      const items = plain.items.map((item, n) => ({
        ...item,
        price: Math.round(100_000 / (item.massG + 20)),
        owned: n % 3 === 0 ? 1 : 0,
      }))
      const priced = indexLedger({ ...plain, items })
      const free = loadOf(priced, bestOfAll(kitProblem(priced)).counts)
      expect(free.money, 'a lower sum binds').toBeGreaterThan(0)
      for (const share of [0.3, 0.6, 0.8]) {
        const budgetMoney = Math.round(share * free.money)
        expect(shortOf({ ...plain, items, budgetMoney })).toBeLessThan(0.002)
        expect(shortOf({ ...plain, items, budgetMoney, budgetG: 0.7 * free.massG })).toBeLessThan(0.002)
      }
    },
  )
  it('takes what costs nothing where nothing may be spent, and says where what is pinned costs more', () => {
    const plain = nth(ledgers(), 0)
    const items = plain.items.map((item, n) => ({ ...item, price: 1, owned: n % 2 }))
    const { counts, money } = bestKit(indexLedger({ ...plain, items, budgetMoney: 0 }))
    expect(money).toBe(0)
    items.forEach(({ owned }, item) => expect(counts[item]).toBeLessThanOrEqual(owned))
    expect(sum(counts)).toBeGreaterThan(0)
    const id = nth(items, 0).id
    expect(() => bestKit(indexLedger({ ...plain, items, budgetMoney: 0, pins: { [id]: { min: 1, max: 1 } } }))).toThrow(
      `budgetMoney: €0.00; expected at least the €0.01 of what is pinned: "${id}"`,
    )
  })
  it('takes of what weighs nothing the best that may be paid, where nothing may be weighed', () => {
    // More kits than are all tried: whether what weighs nothing comes along hangs on what it takes of either limit.
    const plain = nth(ledgers(), 0)
    const items = plain.items.map((item, n) => ({ ...item, massG: n % 2 ? 0 : item.massG, price: 100 }))
    const limited = { ...plain, items, budgetG: 0, budgetMoney: 300 }
    expect(shortOf(limited)).toBeLessThan(0.002)
    const empty = new KitState(
      kitProblem(indexLedger(limited)),
      items.map(() => 0),
    )
    const loads = items.map((_, item) => empty.loadOf([{ item, by: 1 }]))
    expect(loads.every((load) => Number.isFinite(load) && load > 0)).toBe(true)
  })
  it('holds what is pinned, whether it pays or not', () => {
    const document = nth(ledgers(), 0)
    const pins = Object.fromEntries(document.items.slice(0, 3).map(({ id, max }) => [id, { min: max, max }]))
    const { counts } = bestKit(indexLedger({ ...document, pins, gramsPerHour: 1 }))
    document.items.forEach(({ id, max }, item) => expect(counts[item]).toBe(pins[id] ? max : 0))
  })
})

describe('a condensed ledger', () => {
  const both = once(() => {
    const whole = indexLedger(tripSizeLedger(3))
    return { whole, few: condense(whole, 6) }
  })
  it('has fewer legs, and all the failures', () => {
    const { whole, few } = both()
    expect(whole.legs).toBeGreaterThan(6)
    expect(few.legs).toBe(6)
    const failuresOf = ({ events }: IndexedLedger) => sum(events.flatMap(({ perLeg }) => [...perLeg]))
    const livesOf = ({ events }: IndexedLedger) => sum(events.flatMap(({ wear }) => [...(wear?.lives ?? [])]))
    expect(failuresOf(few)).toBeCloseTo(failuresOf(whole), 9)
    expect(livesOf(few)).toBeCloseTo(livesOf(whole), 9)
  })
  it('loses with nothing carried what the whole loses', () => {
    const { whole, few } = both()
    const lostH = ({ events }: IndexedLedger) =>
      sum(events.flatMap(({ perLeg, lossH }) => [...perLeg].map((failures, leg) => failures * numberAt(lossH, leg))))
    expect(lostH(few)).toBeCloseTo(lostH(whole), 9)
  })
  it('begins legs where most is refilled or fitted anew, and drops the refills in between', () => {
    const refills = [0.2, 0.9, 0.3, 0.1, 0.5, 0.4]
    const wear = { left: 1, spread: 0.3, lives: [1, 2, 3, 4, 5, 6, 7] }
    const whole = indexLedger(
      readLedger({
        format: ledgerFormat,
        legs: 7,
        items: [{ id: 'tube', massG: 100, max: 2, units: { tube: 1 } }],
        stocks: [{ id: 'tube', refills: refills.map((chance, i) => ({ leg: i + 1, chance })) }, { id: 'pads' }],
        events: [
          { id: 'flat', perLeg: [1, 2, 3, 4, 5, 6, 7], lossH: 1, fixes: [] },
          { id: 'pads', perLeg: [0, 0, 0, 0, 0, 0, 0], wear: { ...wear, freshAtLegs: [4] }, lossH: 1, fixes: [] },
          { id: 'chain', perLeg: [0, 0, 0, 0, 0, 0, 0], wear, lossH: 1, fixes: [] },
        ],
      }),
    )
    // Pads are fitted anew at the fourth leg, where two stocks would be refilled for sure; then the likeliest refills.
    const few = condense(whole, 4)
    expect(few.legs).toBe(4)
    const chances = [...nth(few.refillChance, 0)].map((chance) => chance.toFixed(9))
    expect(chances.map(Number)).toEqual([0, 0.9, 0.1, 0.5])
    expect([...nth(few.refillChance, 1)]).toEqual([0, 0, 0, 0])
    expect([...nth(few.events, 0).perLeg]).toEqual([1 + 2, 3 + 4, 5, 6 + 7])
    expect(few.events.map(({ wear: worn }) => worn?.lives)).toEqual([undefined, [3, 7, 5, 13], [3, 7, 5, 13]])
    expect(few.events.map(({ wear: worn }) => worn?.freshAtLegs)).toEqual([undefined, [2], []])
  })
  it('has tools that always work, and pieces as good as they were', () => {
    const { whole, few } = both()
    few.items.forEach(({ provides, condition }, item) =>
      expect(condition).toBe(provides.length > 0 ? 1 : nth(whole.items, item).condition),
    )
  })
  it('has failures as one that are mended in the same ways: they add up, hours are means by the failures', () => {
    const alike = (id: string, perLeg: number[], lossH: number[], workH: number, holds = 0.9) => ({
      id,
      perLeg,
      lossH,
      walkH: lossH.map((hours) => hours / 2),
      strands: lossH.map((hours) => hours / 100),
      fixes: [
        { id: `mend ${id}`, needs: ['turn'], hands: 0.8, holds, workH, residualH: workH / 2, residualWalkH: workH / 4 },
      ],
    })
    const ledger = indexLedger(
      readLedger({
        format: ledgerFormat,
        legs: 3,
        items: [{ id: 'key', massG: 20, max: 1, provides: ['turn'] }],
        stocks: [],
        events: [
          alike('one', [0.1, 0.3, 0], [2, 4, 6], 0.4),
          alike('other', [0.3, 0.1, 0], [6, 8, 2], 0.8),
          alike('third', [0.1, 0.1, 0.1], [1, 1, 1], 0.1, 0.5),
        ],
        gramsPerHour: 500,
      }),
    )
    const { events } = condense(ledger, 2)
    expect(events.map(({ id }) => id)).toEqual(['one', 'third'])
    const [pooled, third] = [nth(events, 0), nth(events, 1)]
    // Nothing is refilled, so that the first legs end where they may; failures of legs that are joined add up.
    expect([...pooled.perLeg].reduce((sum, failures) => sum + failures, 0)).toBeCloseTo(0.8, 12)
    const costs = (each: IndexedLedger['events'][number], hours: Float64Array) =>
      each.perLeg.reduce((sum, failures, leg) => sum + failures * numberAt(hours, leg), 0)
    expect(costs(pooled, pooled.lossH)).toBeCloseTo(0.1 * 2 + 0.3 * 4 + 0.3 * 6 + 0.1 * 8, 12)
    expect(costs(pooled, pooled.walkH)).toBeCloseTo(4 / 2, 12)
    expect(costs(pooled, pooled.strands)).toBeCloseTo(4 / 100, 12)
    const fix = nth(pooled.fixes, 0)
    expect(costs(pooled, fix.workH)).toBeCloseTo(0.4 * 0.4 + 0.4 * 0.8, 12)
    expect(costs(pooled, fix.residualH)).toBeCloseTo(0.48 / 2, 12)
    expect(costs(pooled, fix.residualWalkH)).toBeCloseTo(0.48 / 4, 12)
    expect(costs(third, third.lossH)).toBeCloseTo(0.3, 12)
    // Where none of them fails, hours are those of the first.
    for (const [leg, failures] of [...pooled.perLeg].entries()) {
      if (failures === 0) expect(numberAt(pooled.lossH, leg)).toBe(6)
      else expect(numberAt(pooled.lossH, leg)).toBeGreaterThan(2)
    }
  })
  it('is the same where it has few legs', () => {
    const { whole } = both()
    expect(condense(whole, whole.legs)).toBe(whole)
  })
  it('promises nearly the same for any kit', () => {
    const { whole, few } = both()
    const [promiseOf, nearly] = [whole, few].map((ledger) => KitSearch.forLedger(ledger)) as [KitSearch, KitSearch]
    for (let seed = 1; seed <= 4; seed++) {
      const counts = randomKit(tripSizeLedger(3), seed)
      const { promiseH, emptyH } = promiseOf.choice(counts)
      expect(Math.abs(nearly.choice(counts).promiseH - promiseH) / emptyH).toBeLessThan(0.03)
    }
  })
})
