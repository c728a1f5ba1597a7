import { ExactEvaluator } from '#core/exact'
import { indexLedger } from '#core/ledger'
import { addingUp } from '#core/maths'
import { KitSearch } from '#core/search'
import { bareHanded, explainKit, type Kit } from '#core/verdicts'
import { defined, nth } from '#core/validation'
import { surveyRoad } from '#core/road'
import { ledgerOfTrip } from '#core/trip-ledger'
import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { describe, expect, it } from 'vitest'
import { once } from '../once'
import { workedExample } from '../worked-example'

const explained = (ledger = { ...workedExample(), gramsPerHour: 600 as number | null }) => ({
  ledger,
  kit: explainKit(ledger, KitSearch.forLedger(indexLedger(ledger))),
})
const verdictOn = (kit: Kit, id: string) => defined(kit.verdicts.find(({ item }) => item === id))

describe('verdicts', () => {
  const example = once(() => explained())
  const exact = once(() => new ExactEvaluator(indexLedger(example().ledger)))
  const without = (item: number, by: number) =>
    example().kit.counts.map((count, i) => (i === item ? count + by : count))

  it('say what is lost without a thing, near what follows from every way a trip can go', () => {
    const { ledger, kit } = example()
    ledger.items.forEach(({ id }, item) => {
      const n = nth(kit.counts, item)
      if (n === 0) return
      const { lostH, lastOneH, n: said } = verdictOn(kit, id)
      expect(said).toBe(n)
      const here = exact().evaluate(kit.counts).promiseH
      expect(lostH, id).toBeCloseTo(exact().evaluate(without(item, -n)).promiseH - here, 2)
      if (n > 1) expect(lastOneH, id).toBeCloseTo(exact().evaluate(without(item, -1)).promiseH - here, 2)
      else expect(lastOneH).toBeNull()
    })
  })

  it('are made of what they lose failure by failure', () => {
    for (const { answers, lostH } of example().kit.verdicts) {
      expect(answers.reduce((sum, answer) => sum + answer.lostH, 0)).toBeCloseTo(lostH, 4)
    }
  })

  it('name the fix that is lost, and what takes its place with the things of the kit', () => {
    const { kit } = example()
    const [flat] = verdictOn(kit, 'tube').answers
    expect(flat).toMatchObject({ event: 'flat', fix: 'tube', instead: { fix: 'patch' } })
    expect([...defined(defined(flat).instead).items].sort()).toEqual(['levers', 'patches', 'pump'])
    expect(verdictOn(kit, 'pump').answers[0]?.instead).toBeNull()
  })

  it('of what stays at home say what it would spare, and with what beside it', () => {
    const { kit } = example()
    // A hanger is nothing without keys, and keys are nothing without a hanger but for single speed.
    const hanger = verdictOn(kit, 'hanger')
    expect(hanger).toMatchObject({ verdict: 'leave', n: 0, together: ['keys'], carriedG: 110 })
    expect(hanger.lostH).toBeCloseTo(
      exact().evaluate(kit.counts).promiseH - exact().evaluate(without(6, 1).map((n, i) => (i === 7 ? 1 : n))).promiseH,
      2,
    )
  })

  it('flip where grams and hours weigh the same', () => {
    for (const { verdict, carriedG, lostH, flip, massG, n } of example().kit.verdicts) {
      if (flip.gramsPerHour === null) continue
      expect(carriedG / flip.gramsPerHour).toBeCloseTo(lostH, 9)
      // At that mass of one, the price at the dial is what it spares.
      if (flip.massG !== null && verdict === 'take') expect((n * flip.massG) / 600).toBeCloseTo(lostH, 9)
      if (verdict === 'take') expect(defined(flip.massG ?? undefined)).toBeGreaterThan(massG)
    }
  })

  it('of what a pin keeps at home are reckoned as if it could come, and what is idle for want of it says so', () => {
    const { kit: pinned } = explained({ ...workedExample(), gramsPerHour: 600, pins: { pump: { min: 0, max: 0 } } })
    const pump = verdictOn(pinned, 'pump')
    expect(pump).toMatchObject({ verdict: 'leave', pinned: true })
    expect(pump.lostH).toBeGreaterThan(3)
    const patches = verdictOn(pinned, 'patches')
    expect(patches.together).toContain('pump')
    expect(patches.keptHome).toEqual(['pump'])
  })

  it('say how far beyond a limit the kit would be with what is worth its grams, and nothing of what is not', () => {
    const items = workedExample().items.map((item) => ({ ...item, price: 700, owned: 0 }))
    const plain = { ...workedExample(), items, gramsPerHour: 600 }
    const { kit: free } = explained(plain)
    expect(free.verdicts.map(({ beyond }) => beyond)).toEqual(items.map(() => ({ massG: 0, money: 0 })))
    const limits = [{ budgetMoney: 1400 }, { budgetG: 200 }]
    const [dear, heavy] = limits.map((limit) => explained({ ...plain, ...limit }).kit)
    for (const { kit, limited, limit } of [
      { kit: defined(dear), limited: 'money' as const, limit: 1400 },
      { kit: defined(heavy), limited: 'massG' as const, limit: 200 },
    ]) {
      const kept = kit.verdicts.filter(({ beyond }) => beyond[limited] > 0)
      expect(kept.length).toBeGreaterThan(0)
      for (const { item, verdict, lostH, priceH, beyond, together } of kept) {
        expect(verdict).toBe('leave')
        expect(lostH).toBeGreaterThan(priceH)
        const added = items.filter(({ id }) => id === item || together.includes(id))
        const more = limited === 'money' ? 700 * added.length : added.reduce((sum, { massG }) => sum + massG, 0)
        expect(beyond[limited]).toBeCloseTo(kit[limited] + more - limit, 9)
      }
      for (const { lostH, priceH, beyond } of kit.verdicts) if (lostH <= priceH) expect(beyond[limited]).toBe(0)
    }
  })
})

describe('the balance', () => {
  const demoLedger = () => {
    const demo = demoTrip()
    return ledgerOfTrip(demo, surveyRoad(demo.road.points), catalogue).ledger
  }
  it.each([
    ['the worked example', workedExample],
    ['the demo', demoLedger],
  ])('adds up: what nothing mends, less what things spare, is what is lost; of %s', (_, ledgerOf) => {
    const { kit } = explained({ ...ledgerOf(), gramsPerHour: 600 })
    const { bare, things, open, failed, workH, residual, kept, events } = kit.balance
    const spared = things.reduce((sum, { hours }) => sum + hours, 0)
    const sparedWalk = things.reduce((sum, { walkH }) => sum + walkH, 0)
    expect(bare.hours - spared).toBeCloseTo(open.hours + failed.hours, 9)
    expect(bare.walkH - sparedWalk).toBeCloseTo(open.walkH + failed.walkH, 9)
    expect(open.hours + failed.hours + workH + residual.hours).toBeCloseTo(kit.promiseH, 4)
    expect(open.walkH + failed.walkH + residual.walkH).toBeCloseTo(kit.walkH, 4)
    expect(kept.hours).toBe(kit.promiseH)
    expect(events.reduce((sum, event) => sum + event.kept.hours, 0)).toBeCloseTo(kit.promiseH, 4)
    for (const event of events) {
      expect(event.mended.reduce((sum, { times }) => sum + times, 0)).toBeLessThanOrEqual(event.expected + 1e-6)
    }
  })

  it('without a kit loses all that it could', () => {
    const { kit } = explained({ ...workedExample(), gramsPerHour: 50 })
    expect(kit.massG).toBe(0)
    // .9 · 5 + .02 · 6 + .01 · 8, worked out by hand.
    expect(kit.balance.bare.hours).toBeCloseTo(4.7, 9)
    expect(kit.balance.open.hours).toBeCloseTo(4.7, 9)
    expect(kit.balance.things).toEqual([])
  })

  it('gives to bare hands what is mended without anything', () => {
    const ledger = workedExample()
    const [flat] = ledger.events
    const blown = { ...defined(flat), fixes: [{ ...nth(defined(flat).fixes, 0), id: 'by mouth', needs: [], uses: {} }] }
    const { kit } = explained({ ...ledger, events: [blown], gramsPerHour: 600 })
    expect(kit.balance.things.map(({ item }) => item)).toEqual([bareHanded])
  })
})

it('numbers are rounded so that they add up to the last digit', () => {
  expect(addingUp([0.4, 0.4, 0.4])).toEqual([1, 0, 0])
  expect(addingUp([2.5, 3.5, 1])).toEqual([3, 3, 1])
  expect(addingUp([1.2, 1.2], 4)).toEqual([2, 2])
  expect(addingUp([1.2, 1.2], 0)).toEqual([0, 0])
  expect(addingUp([-0.6, 1.6])).toEqual([-1, 2])
  expect(addingUp([])).toEqual([])
})
