import { catalogue } from '#catalogue'
import { doublings, flips, type Flip } from '#core/flips'
import { indexLedger, type Ledger } from '#core/ledger'
import { PromiseEvaluator } from '#core/promise'
import { surveyRoad } from '#core/road'
import { KitSearch } from '#core/search'
import { withShut } from '#core/stress'
import type { Trip } from '#core/trip'
import { ledgerOfTrip } from '#core/trip-ledger'
import { explainKit, type Verdict } from '#core/verdicts'
import { defined, nth } from '#core/validation'
import { describe, expect, it } from 'vitest'
import { once } from '../once'
import { tripOn } from '../roads/road'

/** A road with a shop each hundred km, and its price of a gram. */
const sketched = tripOn({ lengthKm: 320, shopEveryKm: 100 })
const trip: Trip = { ...sketched, dials: { ...sketched.dials, gramsPerHour: 900 } }
const survey = surveyRoad(trip.road.points)
const ledgerFor = (plan: Trip) => ledgerOfTrip(plan, survey, catalogue).ledger
const ledger = ledgerFor(trip)
const kit = once(() => explainKit(ledger, KitSearch.forLedger(indexLedger(ledger))))
const verdicts = (side: 'take' | 'leave') =>
  kit().verdicts.filter(({ verdict, lostH, pinned }) => verdict === side && lostH > 0.001 && !pinned)
const found = new Map<string, Flip[]>()
function flipsOf(verdict: Verdict): Flip[] {
  const known = found.get(verdict.item) ?? [...flips(trip, survey, catalogue, kit().counts, verdict)]
  found.set(verdict.item, known)
  return known
}
const ofKind = <K extends Flip['kind']>(list: readonly Flip[], kind: K) =>
  list.filter((each): each is Extract<Flip, { kind: K }> => each.kind === kind)

/** Hours by which a thing is worth more than its grams on a ledger: the difference of two promises, each worked out by itself. */
function marginH(on: Ledger, verdict: Verdict): number {
  const promiseWith = (change: (id: string, count: number) => number) =>
    new PromiseEvaluator(indexLedger(on)).evaluate(kit().counts.map((count, i) => change(nth(on.items, i).id, count)))
      .promiseH
  const here = promiseWith((_, count) => count)
  const other =
    verdict.n > 0
      ? promiseWith((id, count) => (id === verdict.item ? 0 : count))
      : promiseWith((id, count) => ([verdict.item, ...verdict.together].includes(id) ? count + 1 : count))
  const priceH = verdict.carriedG / defined(on.gramsPerHour ?? undefined)
  return (verdict.n > 0 ? other - here : here - other) - priceH
}
/** A few of each side, the heaviest first: of light ones nearly everything would have to be otherwise. */
const some = (side: 'take' | 'leave') =>
  [...verdicts(side)].sort((a, b) => Math.abs(a.lostH - a.priceH) - Math.abs(b.lostH - b.priceH)).slice(0, 2)

describe('what would change a verdict', { timeout: 120_000 }, () => {
  it('is looked for on both sides', () => {
    expect(some('take').length).toBe(2)
    expect(some('leave').length).toBe(2)
  })

  it.each(['take', 'leave'] as const)('by rate: just beyond it the thing stands on the other side (%s)', (side) => {
    const rates = some(side).flatMap((verdict) => ofKind(flipsOf(verdict), 'rate').map((flip) => ({ verdict, flip })))
    expect(rates.length).toBeGreaterThan(0)
    for (const { verdict, flip } of rates) {
      const hazard = defined(catalogue.hazards.find(({ id }) => id === flip.hazard))
      const at = (times: number) => {
        const planning: Record<string, number> =
          hazard.kind === 'sudden'
            ? { [`hazards.${hazard.id}.per1000km`]: hazard.per1000km * times }
            : { [`hazards.${hazard.id}.lifeKm`]: hazard.lifeKm / times }
        const dials = { ...trip.dials, planning: { ...trip.dials.planning, ...planning } }
        return marginH({ ...ledgerFor({ ...trip, dials }), gramsPerHour: ledger.gramsPerHour }, verdict)
      }
      expect(flip.times < 1, verdict.item).toBe(side === 'take')
      expect(flip.away).toBeCloseTo(Math.abs(Math.log2(flip.times)), 12)
      const [inside, beyond] = side === 'take' ? [1.05, 0.95] : [0.95, 1.05]
      expect(Math.sign(at(flip.times * inside)), `${verdict.item} ${flip.hazard} before`).toBe(side === 'take' ? 1 : -1)
      expect(Math.sign(at(flip.times * beyond)), `${verdict.item} ${flip.hazard} beyond`).toBe(side === 'take' ? -1 : 1)
    }
  })

  it('by price and by mass: there it is worth just what it costs', () => {
    for (const verdict of [...some('take'), ...some('leave')]) {
      const [dial] = ofKind(flipsOf(verdict), 'dial')
      const [mass] = ofKind(flipsOf(verdict), 'mass')
      expect(marginH({ ...ledger, gramsPerHour: defined(dial).gramsPerHour }, verdict), verdict.item).toBeCloseTo(0, 2)
      if (!mass) continue
      const moreG = Math.max(1, verdict.n) * (mass.massG - verdict.massG)
      const priceH = moreG / defined(ledger.gramsPerHour ?? undefined)
      expect(marginH(ledger, verdict) - priceH, verdict.item).toBeCloseTo(0, 2)
    }
  })

  it('by hands and by places: supposed in the plan itself, they put the thing on the other side', () => {
    let tried = 0
    for (const verdict of [...some('take'), ...some('leave')]) {
      const side = verdict.n > 0 ? -1 : 1
      for (const flip of flipsOf(verdict)) {
        const then = (plan: Trip) =>
          Math.sign(marginH({ ...ledgerFor(plan), gramsPerHour: ledger.gramsPerHour }, verdict))
        if (flip.kind === 'hand') {
          const crew = trip.crew.map((rider) =>
            rider.id === flip.rider
              ? { ...rider, practice: [], skills: { ...rider.skills, [flip.technique]: flip.level } }
              : rider,
          )
          expect(then({ ...trip, crew }), `${verdict.item} ${flip.technique}`).toBe(side)
        } else if (flip.kind === 'shut') {
          expect(then(withShut(trip, flip.stop)), `${verdict.item} ${flip.stop}`).toBe(side)
        } else if (flip.kind === 'surely') {
          const stops = trip.stops.map((stop) => ({
            ...stop,
            services: stop.services.map((service) =>
              stop.id === flip.stop
                ? { ...service, knownFrom: 'asked' as const, stocks: { ...service.stocks, [flip.classId]: 1 } }
                : service,
            ),
          }))
          expect(then({ ...trip, stops }), `${verdict.item} ${flip.stop}`).toBe(side)
        } else continue
        tried++
      }
    }
    expect(tried).toBeGreaterThan(0)
  })

  it('is nothing where the thing stands on the wrong side already, as a pin may put it', () => {
    const idle = defined(kit().verdicts.find(({ verdict, lostH }) => verdict === 'leave' && lostH === 0))
    const pinned: Trip = {
      ...trip,
      bench: trip.bench.map((thing) => (thing.id === idle.item ? { ...thing, pin: { min: 1, max: 1 } } : thing)),
    }
    const other = ledgerFor(pinned)
    const forced = explainKit(other, KitSearch.forLedger(indexLedger(other)))
    const verdict = defined(forced.verdicts.find(({ item }) => item === idle.item))
    expect(verdict.n).toBe(1)
    expect([...flips(pinned, survey, catalogue, forced.counts, verdict)]).toEqual([])
  })

  it('is measured in doublings', () => {
    expect([doublings(100, 200), doublings(100, 50), doublings(100, 100), doublings(100, 800)]).toEqual([1, 1, 0, 3])
  })
})
