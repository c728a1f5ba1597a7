import { defined, nth, Faults } from '#core/validation'
import { bikeSchema } from '#core/bike'
import { explainKit } from '#core/choose'
import { fixSchema, residualHours } from '#core/fix'
import { hazardSchema } from '#core/hazard'
import { classesOf, Landscape, worstPushOut } from '#core/availability'
import { buildLedger, readLedger } from '#core/trip-ledger'
import type { Reference } from '#core/reference'
import { defaultTraits, surveyRoad, type RoadPoint } from '#core/road'
import { newStop, serviceSchema, supplyFamilySchema } from '#core/supply'
import { tripSchema, type Trip } from '#core/trip'
import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { describe, expect, it } from 'vitest'
import { workedExample } from '../ledgers'

/**
 * A level road of 100 km with one shop at km 40, one bike, one hazard of one in
 * 1000 km, one fix. Everything about it can be worked out by hand.
 */
const kmOfDegree = (Math.PI * 6378.137) / 180
const line: RoadPoint[] = Array.from({ length: 101 }, (_, i) => [0, i / kmOfDegree, 10])
const reference: Reference = {
  families: [supplyFamilySchema.parse({ id: 'tube', name: 'tube', variant: 'bead', commonness: { '622': 1 } })],
  services: [{ id: 'shop', name: 'shop', mends: true, takesParcels: false, stocks: { tube: 0.9 } }],
  functions: [{ id: 'lever', name: 'lever' }],
  techniques: [{ id: 'change', name: 'change a tube', difficulty: 'easy' }],
  hazards: [
    hazardSchema.parse({
      kind: 'sudden',
      id: 'flat',
      name: 'flat',
      settledBy: 'tube-{bead}',
      per1000km: 1,
      severity: 1,
      onRoad: [{ when: 'asphalt', times: 0.5 }],
    }),
  ],
  fixes: [
    fixSchema.parse({
      id: 'swap',
      name: 'swap',
      answers: ['flat'],
      needs: ['lever'],
      uses: { 'tube-{bead}': 1 },
      technique: 'change',
      minutes: 15,
      grade: 'lasting',
    }),
  ],
  items: [],
  bikes: [],
}
function trip(change: Partial<Trip> = {}): Trip {
  const base = tripSchema.parse({
    format: 'rag-tin.trip/3',
    name: 'by hand',
    road: { points: line },
    stops: [{ id: 'town', name: 'Town', roadKm: 40, services: [{ kind: 'shop' }] }],
    bikes: [bikeSchema.parse({ id: 'b', name: 'b', tyres: { front: { size: '45-622' }, rear: { size: '45-622' } } })],
    crew: [{ id: 'r', name: 'r', bikeId: 'b', hands: 2 }],
    bench: [
      { id: 'lever', name: 'lever', massG: 20, provides: ['lever'] },
      { id: 'tube', name: 'tube', massG: 150, count: 2, units: { 'tube-622': 1 }, condition: 0.8 },
    ],
    dials: { nightOutH: 0, helper: 0 },
  })
  return { ...base, ...change }
}
const build = (change?: Partial<Trip>) => buildLedger(trip(change), surveyRoad(line), reference)
const claimOf = (built: ReturnType<typeof build>, id: string) =>
  defined(built.ledger.claims.find((claim) => claim.id === id))

describe('a ledger worked out by hand', () => {
  const built = build()

  it('has the gaps of the class that settles the hazard', () => {
    expect(built.ledger.legs).toBe(2)
    expect(built.ledger.stocks).toEqual([{ id: 'tube-622', gaps: [[0], [1]] }])
    expect(defined(built.notes.find((note) => note.claim === 'flat/b/g2/k1')).gap.km).toBeCloseTo(60, 6)
  })
  it('has the chance of the k-th failure in each', () => {
    // λ = 40/1000 and 60/1000: 1 − e^−λ, then 1 − e^−λ·(1 + λ).
    expect(claimOf(built, 'flat/b/g1/k1').probability).toBeCloseTo(1 - Math.exp(-0.04), 9)
    expect(claimOf(built, 'flat/b/g2/k1').probability).toBeCloseTo(1 - Math.exp(-0.06), 9)
    expect(claimOf(built, 'flat/b/g2/k2').probability).toBeCloseTo(1 - Math.exp(-0.06) * 1.06, 9)
    // The third is worth less than the 18 s that are written down.
    expect(built.ledger.claims.map(({ id }) => id)).not.toContain('flat/b/g2/k3')
  })
  it('has the mean walk to the nearer end of the gap', () => {
    // The mean distance to the nearer end of 40 km is 10 km, of 60 km 15 km; 3 miles an hour; times 1.15.
    expect(claimOf(built, 'flat/b/g1/k1').lossH).toBeCloseTo((1.15 * 10) / 4.828032, 3)
    expect(claimOf(built, 'flat/b/g2/k1').lossH).toBeCloseTo((1.15 * 15) / 4.828032, 3)
  })
  it('has the fix with the rider’s hands and the part’s condition', () => {
    const [fix] = claimOf(built, 'flat/b/g1/k1').fixes
    expect(fix).toMatchObject({ id: 'swap', needs: ['lever'], uses: { 'tube-622': 1 } })
    expect(defined(fix).success).toBeCloseTo(0.92 * 0.8, 9)
    expect(defined(fix).residualH).toBeCloseTo(0.25 + 0.01 * claimOf(built, 'flat/b/g1/k1').lossH, 9)
  })
  it('is a ledger that its own reader takes', () => expect(readLedger(built.ledger)).toEqual(built.ledger))
})

describe('what moves a ledger', () => {
  const lossOf = (change: Partial<Trip>) => claimOf(build(change), 'flat/b/g1/k1').lossH
  const dials = trip().dials

  it('a lift caps the walk', () => expect(lossOf({ dials: { ...dials, liftWaitH: 1 } })).toBeLessThan(1))
  it('nights out make a long walk longer', () => {
    expect(lossOf({ dials: { ...dials, nightOutH: 5 } })).toBeCloseTo(lossOf({}) * 1.5, 9)
  })
  it('a shop that is trusted less closes the gap no more', () => {
    const built = build({ dials: { ...dials, trust: 0.95 } })
    expect(nth(built.ledger.stocks, 0).gaps).toEqual([[0, 1]])
  })
  it('what is known of the very place counts before what is usual', () => {
    const [town] = trip().stops
    const stops = [{ ...defined(town), services: [serviceSchema.parse({ kind: 'shop', stocks: { 'tube-622': 0.1 } })] }]
    expect(nth(build({ stops }).ledger.stocks, 0).gaps).toEqual([[0, 1]])
  })
  it('a smooth road halves the rate where it is smooth', () => {
    const stretches = [{ id: 's', fromKm: 0, toKm: 20, ...defaultTraits, surface: 'asphalt' as const }]
    const built = build({ road: { ...trip().road, stretches } })
    expect(nth(built.notes, 0).expected).toBeCloseTo((0.5 * 20 + 20) / 1000, 6)
  })
  it('a passer-by lends hands', () => {
    const novice = [{ id: 'r', name: 'r', bikeId: 'b', hands: 0 as const, skills: {} }]
    const success = (helper: number) =>
      nth(claimOf(build({ crew: novice, dials: { ...dials, helper } }), 'flat/b/g1/k1').fixes, 0).success
    expect(success(0)).toBeCloseTo(0.25 * 0.8, 9)
    expect(success(0.5)).toBeCloseTo((0.25 + 0.5 * (0.92 - 0.25)) * 0.8, 9)
  })
  it('an exit ends the walk at the price of the ride', () => {
    const exit = { ...newStop('x', 'X', 70), exit: 'bus' as const }
    const long = { ...dials, trust: 0.95, rideOverH: 1 }
    const without = claimOf(build({ dials: long }), 'flat/b/g1/k1').lossH
    const withExit = claimOf(build({ dials: long, stops: [...trip().stops, exit] }), 'flat/b/g1/k1').lossH
    expect(withExit).toBeLessThan(without)
  })
  it('a grade that does not last costs a share of the loss', () => {
    const fix = { ...nth(reference.fixes, 0), grade: 'walking pace' as const, minutes: 30 }
    expect(residualHours(fix, 10)).toBeCloseTo(0.5 + 5.5, 9)
  })
})

describe('the demo', () => {
  const demo = demoTrip()
  const survey = surveyRoad(demo.road.points)
  const built = buildLedger(demo, survey, catalogue)
  const kit = explainKit(built.ledger)

  it('is the trip it says: 620 km, two passes, 240 km without a bike shop', () => {
    expect(survey.lengthKm).toBeGreaterThan(618)
    expect(survey.lengthKm).toBeLessThan(623)
    const landscape = new Landscape(demo, survey, catalogue)
    expect(Math.max(...landscape.gaps('brake-pads-b1').map((gap) => gap.km))).toBeCloseTo(240, 0)
    expect(worstPushOut(landscape, demo).worstH).toBeGreaterThan(10)
    expect(classesOf(demo, catalogue)).toContain('hanger-m7')
  })
  // Common practice, no source: pump, levers and patches come first; a hanger of 20 g comes along; the whole kit of a
  // careful rider weighs under a kilogram; a part special to the bike is settled by no shop on the way.
  it('packs as experienced riders do', () => {
    const n = (id: string) => kit.counts[id] ?? 0
    expect(n('mini-pump') + n('hose-pump')).toBeGreaterThan(0)
    expect(n('lever-strong') + n('levers-two')).toBeGreaterThan(0)
    expect(n('patch-kit') + n('tube-622') + n('tube-622-light')).toBeGreaterThan(0)
    expect(n('hanger-k3')).toBe(1)
    expect(n('link-11')).toBeGreaterThan(0)
    expect(n('tyre-622')).toBe(0)
    expect(kit.massG).toBeLessThan(1000)
    expect(built.notes.filter((note) => note.hazard === 'hanger-sheared').every((note) => note.gap.km > 600)).toBe(true)
  })
  it('is no better off with fewer things', () => {
    const poorer = buildLedger(
      { ...demo, bench: demo.bench.filter(({ id }) => id !== 'mini-pump' && id !== 'hose-pump') },
      survey,
      catalogue,
    )
    expect(explainKit(poorer.ledger).expectedH).toBeGreaterThan(kit.expectedH)
  })
})

describe('reading a ledger document', () => {
  const broken = (change: (ledger: Record<string, unknown>) => void) => {
    const ledger = structuredClone(workedExample(100)) as unknown as Record<string, unknown>
    change(ledger)
    try {
      readLedger(ledger)
    } catch (error) {
      if (error instanceof Faults) return error.message
      throw error
    }
    return 'taken'
  }
  it.each<[string, (ledger: never) => void, RegExp]>([
    [
      'a negative mass',
      (l: { items: { massG: number }[] }) => (nth(l.items, 2).massG = -1),
      /items\[2\]\.massG: -1; expected at least 0/,
    ],
    [
      'a probability of 2',
      (l: { claims: { probability: number }[] }) => (nth(l.claims, 0).probability = 2),
      /claims\[0\]\.probability: 2/,
    ],
    [
      'a stock nobody keeps',
      (l: { items: { units: object }[] }) => (nth(l.items, 0).units = { gold: 1 }),
      /items\[0\]\.units: "gold"/,
    ],
    [
      'a leg beyond the last',
      (l: { claims: { legs: number[] }[] }) => (nth(l.claims, 1).legs = [3]),
      /claims\[1\]\.legs: leg 3/,
    ],
    ['a pin on nothing', (l: { pins: object }) => (l.pins = { ghost: { min: 0, max: 1 } }), /pins\.ghost/],
    [
      'an id used twice',
      (l: { items: { id: string }[] }) => (nth(l.items, 1).id = 'pump'),
      /items\[1\]\.id: "pump" a second time/,
    ],
    ['another format', (l: { format: string }) => (l.format = 'x'), /format: "x"; expected one of "rag-tin.ledger\/1"/],
  ] as never)('%s', (_, change, message) => expect(broken(change as never)).toMatch(message))
})
