import { nth, defined, Fault } from '#core/validation'
import { chooseBrute, chooseFast, explainKit, breakEvenOf, prove } from '#core/choose'
import { emptyHours, readLedger, type Ledger } from '#core/trip-ledger'
import loadHighs from 'highs'
import { beforeAll, describe, expect, it } from 'vitest'
import { bikeLikeLedger, breaches, randomLedger, tiny, workedExample } from '../ledgers'

let highs: Awaited<ReturnType<typeof loadHighs>>
beforeAll(async () => {
  highs = await loadHighs()
})

// The table of the model, "A worked example", row by row.
describe('the worked example', () => {
  const rows: [gramsPerHour: number, kit: Record<string, number>, savedH: number, massG: number, netH: number][] = [
    [100, { pump: 1, levers: 1, patches: 1 }, 3.4034, 200, 1.4034],
    [300, { pump: 1, levers: 1, patches: 1, tube: 1 }, 3.9512, 340, 2.8179],
    [600, { pump: 1, levers: 1, patches: 1, tube: 1, breaker: 1, link: 1 }, 4.0538, 384, 3.4138],
    [1000, { pump: 1, levers: 1, patches: 1, tube: 2, breaker: 1, link: 1 }, 4.2729, 524, 3.7489],
    [2000, { pump: 1, levers: 1, tube: 3, breaker: 1, link: 1, hanger: 1, keys: 1 }, 4.4052, 754, 4.0282],
  ]
  for (const [name, choose] of [
    ['fast', chooseFast],
    ['brute', chooseBrute],
  ] as const) {
    it.each(rows)(`${name}: %i g an hour`, (gramsPerHour, kit, savedH, massG, netH) => {
      const choice = choose(workedExample(gramsPerHour))
      expect(Object.fromEntries(Object.entries(choice.counts).filter(([, n]) => n > 0))).toEqual(kit)
      expect(choice.savedH).toBeCloseTo(savedH, 4)
      expect(choice.massG).toBe(massG)
      expect(choice.netH).toBeCloseTo(netH, 4)
    })
  }
  it('with grams free and 250 g at most: pump, levers, patches, breaker and a link', () => {
    const choice = chooseFast(workedExample(undefined, 250))
    expect(choice.savedH).toBeCloseTo(3.506, 4)
    expect(choice.massG).toBe(244)
  })
  it('is proved', () => {
    for (const [gramsPerHour, , , , netH] of rows) {
      const ledger = workedExample(gramsPerHour)
      expect(prove(ledger, chooseFast(ledger), highs).boundNetH).toBeCloseTo(netH, 4)
    }
  })
})

describe('random ledgers', () => {
  it('fast, brute force and proof agree on sixty tiny ones, and keep the rules', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const ledger = randomLedger(seed, tiny)
      const fast = chooseFast(ledger)
      const brute = chooseBrute(ledger)
      expect(breaches(ledger, fast), `seed ${seed}`).toEqual([])
      expect(breaches(ledger, brute), `seed ${seed}`).toEqual([])
      expect(fast.netH, `seed ${seed}`).toBeCloseTo(brute.netH, 9)
      const { boundNetH } = prove(ledger, fast, highs)
      expect(boundNetH, `seed ${seed}`).toBeGreaterThanOrEqual(brute.netH)
      expect(boundNetH, `seed ${seed}`).toBeCloseTo(brute.netH, 3)
    }
  }, 120_000)

  it('like those of bikes: the kit keeps the rules and no bound lies below it', () => {
    let gaps = 0
    for (let seed = 1; seed <= 12; seed++) {
      const ledger = readLedger(bikeLikeLedger(seed))
      const fast = chooseFast(ledger)
      expect(breaches(ledger, fast), `seed ${seed}`).toEqual([])
      const { boundNetH, best } = prove(ledger, fast, highs)
      expect(boundNetH).toBeGreaterThanOrEqual(fast.netH)
      expect(best.netH).toBeGreaterThanOrEqual(fast.netH)
      gaps += (boundNetH - fast.netH) / boundNetH
    }
    expect(gaps / 12).toBeLessThan(0.01)
  }, 120_000)

  it('a proof that is stopped still gives a bound above the kit', () => {
    const ledger = bikeLikeLedger(22)
    const fast = chooseFast(ledger)
    const { boundNetH } = prove(ledger, fast, highs, { onProgress: () => true })
    expect(boundNetH).toBeGreaterThanOrEqual(fast.netH)
    expect(boundNetH).toBeLessThanOrEqual(emptyHours(ledger))
  })
})

describe('verdicts', () => {
  const kit = explainKit(workedExample(600))
  const verdictOf = (item: string) => defined(kit.verdicts.find((verdict) => verdict.item === item))

  it('say what staying without would cost, claims answered anew', () => {
    // Without patches the one tube answers the first flat only: 0.24·0.85·4.4 + 0.07·0.85·4.4 h are lost.
    expect(verdictOf('patches').lostH).toBeCloseTo((0.24 + 0.07) * 0.85 * 4.4, 9)
    expect(verdictOf('patches').claims.map(({ claim }) => claim)).toEqual(['flat/k2', 'flat/k3'])
    // Without the tube the patches take over for the first flat.
    const tube = verdictOf('tube')
    expect(tube.lostH).toBeCloseTo(0.6 * (0.99 * 4.7 - 0.85 * 4.4), 9)
    expect(tube.substitutes).toContain('patches')
    expect(nth(tube.claims, 0).instead?.fix).toBe('patch-tube')
    // Without the pump no flat is answered at all.
    expect(verdictOf('pump').claims.every(({ instead }) => instead === null)).toBe(true)
    expect(verdictOf('pump').minutesPer100g).toBeCloseTo((verdictOf('pump').lostH * 60) / 1.5, 9)
  })
  it('say what a thing left at home would need beside it', () => {
    expect(verdictOf('hanger')).toMatchObject({ verdict: 'leave', together: ['keys'] })
    expect(verdictOf('hanger').lostH).toBeCloseTo(0.01 * 0.9 * 7.6, 9)
  })
  it('add up: expected hours are the empty hours less those saved', () => {
    expect(kit.expectedH).toBeCloseTo(emptyHours(workedExample()) - kit.savedH, 9)
    expect(kit.openClaims.map(({ claim }) => claim)).toEqual(['hanger/k1'])
    expect(kit.rideThrough).toBeGreaterThan(0)
    expect(kit.rideThrough).toBeLessThan(1)
  })
  it('flip where the dial says: the breaker comes along at its price', () => {
    const { gramsPerHour } = breakEvenOf(workedExample(100), 'breaker')
    // Breaker and link weigh 44 g and save 0.02·0.9·5.7 h.
    expect(defined(gramsPerHour) / (44 / (0.02 * 0.9 * 5.7))).toBeCloseTo(1, 1)
    expect(defined(breakEvenOf(workedExample(600), 'tube').massG)).toBeGreaterThan(140)
  })
})

describe('pins and budgets', () => {
  it('a pin is kept though it does not pay', () => {
    const ledger = { ...workedExample(100), pins: { keys: { min: 1, max: 1 }, patches: { min: 0, max: 0 } } }
    expect(chooseFast(ledger).counts).toMatchObject({ keys: 1, patches: 0 })
  })
  it('three things of 0.1 g fit into 0.3 g, for every solver', () => {
    const claim = (i: number) => ({
      id: `loose/k${i}`,
      legs: [0],
      probability: 0.5,
      lossH: 5,
      fixes: [{ id: 'tie', needs: [], uses: { tie: 1 }, success: 1, residualH: 0 }],
    })
    const ledger: Ledger = {
      ...workedExample(1000, 0.3),
      items: [{ id: 'tie', massG: 0.1, max: 9, provides: [], units: { tie: 1 } }],
      stocks: [{ id: 'tie', gaps: [[0]] }],
      claims: [1, 2, 3, 4].map(claim),
    }
    // In binary fractions three tenths are more than 0.3.
    expect(0.1 + 0.1 + 0.1).toBeGreaterThan(0.3)
    expect(chooseFast(ledger).counts).toEqual({ tie: 3 })
    expect(chooseBrute(ledger).counts).toEqual({ tie: 3 })
    const pinned = { ...ledger, pins: { tie: { min: 3, max: 3 } } }
    expect(chooseFast(pinned).counts).toEqual({ tie: 3 })
    expect(prove(ledger, chooseFast(ledger), highs, { seconds: 5 }).gap).toBeCloseTo(0, 6)
  })
  it('pins heavier than the budget are refused with the way out', () => {
    const ledger = { ...workedExample(100, 50), pins: { keys: { min: 1, max: 1 } } }
    expect(() => chooseFast(ledger)).toThrow(Fault)
    expect(() => chooseFast(ledger)).toThrow(/90 g that the pins ask for/)
  })
  it('more budget never saves less', () => {
    let last = 0
    for (let budgetG = 0; budgetG <= 800; budgetG += 50) {
      const { savedH } = chooseFast(workedExample(undefined, budgetG))
      expect(savedH).toBeGreaterThanOrEqual(last - 1e-9)
      last = savedH
    }
  })
  it('brute force says when a ledger is too large for it', () => {
    expect(() => chooseBrute(bikeLikeLedger(1))).toThrow(/at most/)
  })
})
