import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { levelAtDeparture, practised, riderSchema, unpractised, type Rider } from '#core/crew'
import { indexLedger } from '#core/ledger'
import { practiceWorths } from '#core/practice'
import { PromiseEvaluator } from '#core/promise'
import { surveyRoad } from '#core/road'
import { bestKit } from '#core/search'
import type { Trip } from '#core/trip'
import { ledgerOfTrip } from '#core/trip-ledger'
import { defined } from '#core/validation'
import { describe, expect, it } from 'vitest'

const trip = demoTrip()
const survey = surveyRoad(trip.road.points)
const laidWith = (crew: readonly Rider[], change: Partial<Trip> = {}) =>
  ledgerOfTrip({ ...trip, ...change, crew: [...crew] }, survey, catalogue)
const promiseOf = (crew: readonly Rider[], counts: readonly number[], change: Partial<Trip> = {}) =>
  new PromiseEvaluator(indexLedger(laidWith(crew, change).ledger)).evaluate(counts).promiseH
const laid = laidWith(trip.crew)
const { counts } = bestKit(indexLedger(laid.ledger))
const riderOf = (id: string) => defined(trip.crew.find((rider) => rider.id === id))
const changed = (id: string, change: (rider: Rider) => Rider) =>
  trip.crew.map((rider) => (rider.id === id ? change(rider) : rider))

describe('what an evening of practice is worth', () => {
  const worths = practiceWorths(laid, trip, catalogue, counts)

  it('is the difference of the promises of two whole ledgers, each written anew', () => {
    for (const { riderId, techniqueId, savedH, from, to } of worths.slice(0, 4)) {
      expect(from).toBe(levelAtDeparture(riderOf(riderId), techniqueId))
      const after = changed(riderId, (rider) => ({ ...rider, skills: { ...rider.skills, [techniqueId]: to } }))
      expect(savedH).toBeCloseTo(promiseOf(trip.crew, counts) - promiseOf(after, counts), 9)
    }
    expect(worths[0]?.savedH).toBeGreaterThan(0.01)
  })
  it('comes with the best first, and once for each rider and each thing that may be learnt', () => {
    expect(worths.map(({ savedH }) => savedH)).toEqual(worths.map(({ savedH }) => savedH).sort((a, b) => b - a))
    expect(new Set(worths.map(({ riderId, techniqueId }) => `${riderId} ${techniqueId}`)).size).toBe(worths.length)
    for (const { riderId, techniqueId, from, to } of worths) {
      expect(to).toBeGreaterThan(from)
      expect(levelAtDeparture(riderOf(riderId), techniqueId)).toBeLessThan(3)
    }
  })
  it('is nothing for whoever stays behind the best, as long as they ride together', () => {
    const [teacher, pupil] = [
      riderSchema.parse({ ...riderOf('maren'), id: 'teacher', hands: 3, skills: {} }),
      riderSchema.parse({ ...riderOf('maren'), id: 'pupil', hands: 0, skills: {} }),
    ]
    const crew = [teacher, pupil]
    const behind = practiceWorths(laidWith(crew), { ...trip, crew }, catalogue, counts)
    expect(behind.length).toBeGreaterThan(10)
    for (const { riderId, savedH } of behind) expect([riderId, savedH]).toEqual(['pupil', 0])
  })
  it('is something for the same rider where they ride apart', () => {
    const [first, second] = trip.bikes.map(({ id }) => id)
    const crew = [
      riderSchema.parse({ id: 'teacher', name: 'A', bikeId: first, hands: 3 }),
      riderSchema.parse({ id: 'pupil', name: 'B', bikeId: second, hands: 0 }),
    ]
    const ride = { ...trip.ride, apart: 0.5 }
    const [best] = practiceWorths(laidWith(crew, { ride }), { ...trip, crew }, catalogue, counts)
    expect(best?.riderId).toBe('pupil')
    expect(best?.savedH).toBeGreaterThan(0.05)
  })
  it('that is planned is held against doing without it', () => {
    const { riderId, techniqueId, savedH } = defined(worths[0])
    const crew = changed(riderId, (rider) => practised(rider, techniqueId, '2026-05-30'))
    const planned = practiceWorths(laidWith(crew), { ...trip, crew }, catalogue, counts)
    const same = planned.find((worth) => worth.riderId === riderId && worth.techniqueId === techniqueId)
    expect(same?.isPlanned).toBe(true)
    expect(same?.savedH).toBeCloseTo(savedH, 9)
    expect(planned.filter(({ isPlanned }) => isPlanned)).toHaveLength(1)
  })
  it('that comes too late is no part of the ledger', () => {
    const crew = changed('maren', (rider) => practised(rider, 'true-wheel', '2026-06-12'))
    expect(trip.ride.start?.slice(0, 10)).toBe('2026-06-12')
    expect(laidWith(crew).ledger).toEqual(laid.ledger)
  })
  it('leaves the ledger as it was once it is taken back', () => {
    const crew = changed('maren', (rider) => unpractised(practised(rider, 'true-wheel'), 'true-wheel'))
    expect(laidWith(crew).ledger).toEqual(laid.ledger)
  })
  it('never makes the best kit worse by more than half a percent of what bare hands would lose', () => {
    const price = { gramsPerHour: laid.ledger.gramsPerHour }
    const now = bestKit(indexLedger(laid.ledger))
    for (const { riderId, techniqueId } of [...worths.slice(0, 3), ...worths.slice(-3)]) {
      const crew = changed(riderId, (rider) => practised(rider, techniqueId))
      const { netH, emptyH } = bestKit(indexLedger({ ...laidWith(crew).ledger, ...price }))
      // Net of what bare hands would lose before, for practised bare hands lose less.
      expect(netH + (now.emptyH - emptyH)).toBeGreaterThan(now.netH - 0.005 * now.emptyH)
    }
  })
})
