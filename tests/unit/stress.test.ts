import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { indexLedger, readLedger, type Ledger } from '#core/ledger'
import { PromiseEvaluator } from '#core/promise'
import { surveyRoad } from '#core/road'
import { bestKit } from '#core/search'
import { Simulation } from '#core/simulate'
import { isHelp, mostFlats, repeated, stress, withShut, type StressFinding } from '#core/stress'
import { ledgerOfTrip, type LedgerOfTrip } from '#core/trip-ledger'
import { defined, nth } from '#core/validation'
import { describe, expect, it } from 'vitest'
import { once } from '../once'
import { tripOn } from '../roads/road'
import { workedExample } from '../worked-example'

describe('a failure that comes again and again on one day', () => {
  /** Of one bike; what strands does so nine times in ten. */
  function built(change: Partial<Ledger> = {}): LedgerOfTrip {
    const ledger = workedExample(change)
    const [flat, ...others] = ledger.events
    const events = [{ ...defined(flat), strands: 0.9 }, ...others]
    const note = (event: string, expected: number) => ({
      event,
      hazard: event,
      bike: 'mule',
      wheel: null,
      fastener: null,
      settledBy: [],
      expected,
      exposure: {
        walkH: [5],
        priceH: [0],
        strands: [0.9],
        ridingKm: [10],
        ridingH: [1],
        weightedKm: [100],
        toWrenchH: null,
      },
    })
    return {
      ledger: { ...ledger, events },
      notes: [note('flat', 0.9), note('chain', 0.02)] as unknown as LedgerOfTrip['notes'],
      stuck: [],
      edges: [0, 100],
    }
  }
  const kit = (counts: Readonly<Record<string, number>>) => workedExample().items.map(({ id }) => counts[id] ?? 0)
  const flatsWith = (counts: number[], most = mostFlats) => nth(repeated(built(), ['flat'], counts, most), 0)

  it('costs with one tube what it does by hand: the first is mended or not, each further one is a walk', () => {
    const { often, bike, hazard, fromKm, toKm } = flatsWith(kit({ pump: 1, levers: 1, tube: 1 }), 3)
    expect({ bike, hazard, fromKm, toKm }).toEqual({ bike: 'mule', hazard: 'flat', fromKm: 0, toKm: 100 })
    // Hands .99, holds .98, a quarter of an hour of work, .05 h lost even so; else 5 h, and stranded nine times in ten.
    const mends = 0.99 * 0.98
    const first = 0.25 + mends * 0.05 + (1 - mends) * 5
    ;[first, first + 5, first + 10].forEach((hours, i) => expect(nth(often, i).hours).toBeCloseTo(hours, 6))
    ;[mends, 0, 0].forEach((chance, i) => expect(nth(often, i).mended).toBeCloseTo(chance, 9))
    const stays = (times: number) => 1 - (1 - (1 - mends) * 0.9) * 0.1 ** (times - 1)
    ;[1, 2, 3].forEach((times, i) => expect(nth(often, i).stranded).toBeCloseTo(stays(times), 6))
  })
  it('costs with nothing the whole loss each time, and the chance of being stranded goes on growing', () => {
    const { often } = flatsWith(kit({}))
    often.forEach(({ times, hours, stranded }) => {
      expect(hours).toBeCloseTo(5 * times, 9)
      expect(stranded).toBeCloseTo(1 - 0.1 ** times, 9)
    })
  })
  it('costs with tubes and patches what drawn trips lose on which it comes so often', () => {
    const counts = kit({ pump: 1, levers: 1, tube: 2, patches: 1 })
    for (const { times, hours, stranded } of flatsWith(counts).often) {
      const { ledger } = built()
      const [flat] = ledger.events
      // So many lives of a part that wears without a spread: it fails so many times.
      const wear = { left: 0.5, spread: 0, lives: [times] }
      const day = readLedger({ ...ledger, events: [{ ...defined(flat), perLeg: [0], wear }] })
      const drawn = new Simulation(indexLedger(day), counts, 7)
      drawn.run(20_000)
      const { meanH, seH, stranded: often, strandedSe } = drawn.report()
      expect(Math.abs(hours - meanH), `${times} flats`).toBeLessThan(4 * seH)
      expect(Math.abs(stranded - often), `${times} flats`).toBeLessThan(4 * strandedSe + 1e-9)
    }
  })
  it('is one of a bike that it may strike, and none where it strikes no bike', () => {
    expect(repeated(built(), ['chain', 'flat'], kit({}), 2).map(({ hazard }) => hazard)).toEqual(['flat'])
    expect(repeated(built(), ['hail'], kit({}), 2)).toEqual([])
  })
  it('comes where it would cost most', () => {
    const { ledger, ...rest } = built()
    const events = ledger.events.map((event) => ({ ...event, perLeg: [0.1, 0.1, 0, 0.1], lossH: [5, 7, 20, 6] }))
    const found = repeated(
      { ...rest, ledger: { ...ledger, legs: 4, events }, edges: [0, 10, 30, 70, 100] },
      ['flat'],
      kit({}),
      1,
    )
    expect(nth(found, 0)).toMatchObject({ fromKm: 10, toKm: 30, often: [{ times: 1 }] })
    expect(nth(nth(found, 0).often, 0).hours).toBeCloseTo(7, 9)
  })
})

describe('a place that is shut', () => {
  const trip = demoTrip()
  const survey = surveyRoad(trip.road.points)
  const { ledger } = ledgerOfTrip(trip, survey, catalogue)
  const { counts } = bestKit(indexLedger(ledger))
  const text = JSON.stringify(trip)
  const findings = once(() => [...stress(trip, survey, catalogue, counts)])
  const ofKind = <K extends StressFinding['kind']>(kind: K) =>
    findings().filter((each): each is Extract<StressFinding, { kind: K }> => each.kind === kind)

  it('is each that helps, and never makes the same kit promise fewer hours', () => {
    const [now] = ofKind('now')
    expect(defined(now).promiseH).toBe(new PromiseEvaluator(indexLedger(ledger)).evaluate(counts).promiseH)
    const shut = ofKind('shut')
    expect(shut.map(({ stop }) => stop)).toEqual(
      trip.stops.filter((stop) => isHelp(stop, catalogue)).map(({ id }) => id),
    )
    expect(shut.length).toBeGreaterThan(3)
    for (const place of shut) expect(place.promiseH, place.stop).toBeGreaterThan(defined(now).promiseH - 0.01)
    expect(Math.max(...shut.map(({ promiseH }) => promiseH))).toBeGreaterThan(defined(now).promiseH + 0.05)
  })
  it('is the same as one that was never there', () => {
    const place = defined(ofKind('shut')[1])
    const without = withShut(trip, place.stop)
    const there = ledgerOfTrip(without, survey, catalogue).ledger
    expect(new PromiseEvaluator(indexLedger(there)).evaluate(counts).promiseH).toBe(place.promiseH)
  })
  it('known beforehand, the worst of them is packed for: never at more hours and grams than the kit as it is', () => {
    const knowing = defined(ofKind('knowing')[0])
    const worst = ofKind('shut').reduce((a, b) => (b.promiseH > a.promiseH ? b : a))
    expect(knowing.stop).toBe(worst.stop)
    const massG = ledger.items.reduce((sum, item, i) => sum + item.massG * nth(counts, i), 0)
    const hoursOfGram = 1 / defined(ledger.gramsPerHour ?? undefined)
    expect(knowing.kit.promiseH + knowing.kit.massG * hoursOfGram).toBeLessThanOrEqual(
      worst.promiseH + massG * hoursOfGram + 1e-6,
    )
  })
  it('is supposed, and leaves the trip as it was', () => {
    expect(findings().length).toBeGreaterThan(5)
    expect(JSON.stringify(trip)).toBe(text)
  })
  it('is none on a road without help', () => {
    const lonely = tripOn({ lengthKm: 150, shopEveryKm: null, foodEveryKm: 150 })
    const road = surveyRoad(lonely.road.points)
    const kinds = [
      ...stress(
        lonely,
        road,
        catalogue,
        lonely.bench.map(() => 0),
      ),
    ].map(({ kind }) => kind)
    expect(kinds).toEqual(['now', 'flats'])
  })
})
