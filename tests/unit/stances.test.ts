import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { openTask } from '#core/task'
import { indexLedger } from '#core/ledger'
import { PromiseEvaluator } from '#core/promise'
import { surveyRoad } from '#core/road'
import { bestKit } from '#core/search'
import { leaveStance, standings, stances, takeStance } from '#core/stances'
import { readTripText, type Trip } from '#core/trip'
import { ledgerOfTrip } from '#core/trip-ledger'
import { defined } from '#core/validation'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'

/** With some of it said by hand: pins, planning values, a job. */
function demo(): Trip {
  const trip = demoTrip()
  return {
    ...trip,
    bench: trip.bench.map((thing, i) => (i === 3 ? { ...thing, pin: { min: 1, max: 1 } } : thing)),
    bikes: trip.bikes.map((bike, i) =>
      i === 0 ? { ...bike, jobs: [{ ...openTask, job: 'new-chain', on: '2026-06-01' }] } : bike,
    ),
    dials: { ...trip.dials, planning: { 'works.pump': 0.97, 'hazards.puncture.per1000km': 0.7, 'works.lever': 0.98 } },
  }
}
const trip = demo()
const stanceOf = (id: string) =>
  defined(
    stances.find((stance) => stance.id === id),
    id,
  )
const taking = (plan: Trip, id: string): Trip => ({ ...plan, ...takeStance(plan, stanceOf(id), catalogue) })
const leaving = (plan: Trip, id: string): Trip => ({ ...plan, ...leaveStance(plan, id) })
const ids = stances.map(({ id }) => id)

describe('a stance', () => {
  it.each(ids)(
    '%s makes something other, and leaves the document byte for byte as it was when it is given up',
    (id) => {
      const taken = taking(trip, id)
      const { stances: _, ...dials } = taken.dials
      const { stances: __, ...before } = trip.dials
      expect(JSON.stringify([dials, taken.bikes, taken.bench])).not.toBe(
        JSON.stringify([before, trip.bikes, trip.bench]),
      )
      expect(taken.dials.stances.map((stance) => stance.id)).toEqual([id])
      // A trip that has taken it up is one that can be read.
      expect(readTripText(JSON.stringify(taken), catalogue).dials.stances).toEqual(taken.dials.stances)
      expect(JSON.stringify(leaving(taken, id))).toBe(JSON.stringify(trip))
    },
  )
  it('is taken up once', () => {
    const taken = taking(trip, 'fresh')
    expect(JSON.stringify(taking(taken, 'fresh'))).toBe(JSON.stringify(taken))
    expect(JSON.stringify(leaving(trip, 'fresh'))).toBe(JSON.stringify(trip))
  })
  it('can be mixed with others: given up in any order, all is as it was', () => {
    const mixed = fc.shuffledSubarray(ids, { minLength: 1 })
    fc.assert(
      fc.property(
        mixed.chain((order) => fc.tuple(fc.constant(order), fc.shuffledSubarray(order, { minLength: order.length }))),
        ([order, back]) => {
          const taken = order.reduce(taking, trip)
          expect(JSON.stringify(back.reduce(leaving, taken))).toBe(JSON.stringify(trip))
        },
      ),
      { numRuns: 60 },
    )
  })
  it('holds on to what it wants when an earlier one that wanted it too is given up', () => {
    const both = taking(taking({ ...trip, dials: { ...trip.dials, liftWaitH: 5 } }, 'no-help'), 'lift')
    expect(both.dials.liftWaitH).toBe(2)
    const later = leaving(both, 'no-help')
    expect([later.dials.liftWaitH, later.dials.helper]).toEqual([2, trip.dials.helper])
    expect(leaving(later, 'lift').dials.liftWaitH).toBe(5)
  })
  it('takes nothing back that somebody has changed by hand since', () => {
    const taken = taking(trip, 'fresh')
    const bench = taken.bench.map((thing) => (thing.pin?.max === 0 ? { ...thing, pin: { min: 1, max: 1 } } : thing))
    const dials = { ...taking(trip, 'belt-and-braces').dials, trust: 0.55 }
    expect(leaving({ ...taken, bench }, 'fresh').bench).toEqual(bench)
    expect(leaving({ ...trip, dials }, 'belt-and-braces').dials.trust).toBe(0.55)
  })
  it('leaves pins and jobs alone that somebody has said by hand', () => {
    const taken = taking(trip, 'fresh')
    expect(taken.bench[3]?.pin).toEqual({ min: 1, max: 1 })
    expect(taken.bikes[0]?.jobs[0]).toEqual({ ...openTask, job: 'new-chain', on: '2026-06-01' })
  })
  it('fresh pins at home what is nothing but a spare of what wears, and no tool', () => {
    const pinned = taking(demoTrip(), 'fresh').bench.filter(({ pin }) => pin !== null)
    expect(pinned.map(({ id }) => id).sort()).toEqual(
      ['brake-cable', 'pads-b1', 'pads-b2', 'shift-cable', 'tyre-622'].sort(),
    )
    for (const { pin, provides, heads } of pinned) expect([pin, provides, heads]).toEqual([{ min: 0, max: 0 }, [], []])
  })
})

describe('what stances would pack', () => {
  const { bikes, crew, bench, ...rest } = demoTrip()
  const things = new Set(['mini-pump', 'tube-622', 'patch-kit', 'levers-two', 'pads-b1', 'folding-17', 'boot'])
  const few: Trip = {
    ...rest,
    bikes: bikes.filter(({ id }) => id === 'mule'),
    crew: crew.filter(({ bikeId }) => bikeId === 'mule'),
    bench: bench.filter(({ id }) => things.has(id)),
  }
  const survey = surveyRoad(few.road.points)
  const ledgerOf = (plan: Trip) => indexLedger(ledgerOfTrip(plan, survey, catalogue).ledger)

  it('is the best kit of the plan with each, and what that loses by the beliefs of the plan as it is', () => {
    const rows = [...standings(few, survey, catalogue)]
    expect(rows.map(({ stance }) => stance)).toEqual([null, ...ids])
    const here = new PromiseEvaluator(ledgerOf(few))
    for (const { stance, kit, hereH } of rows) {
      const plan = stance === null ? few : taking(few, stance)
      expect(kit.counts).toEqual(bestKit(ledgerOf(plan)).counts)
      expect(kit.promiseH).toBeCloseTo(new PromiseEvaluator(ledgerOf(plan)).evaluate(kit.counts).promiseH, 12)
      expect(hereH).toBeCloseTo(here.evaluate(kit.counts).promiseH, 12)
    }
    const massOf = (id: string) => defined(rows.find(({ stance }) => stance === id)).kit.massG
    expect(massOf('light')).toBeLessThanOrEqual(massOf('belt-and-braces'))
  })
  it('of one that is taken up stands there given up', () => {
    const row = defined(
      [...standings(taking(few, 'light'), survey, catalogue)].find(({ stance }) => stance === 'light'),
    )
    expect(row.isTaken).toBe(true)
    expect(row.kit.counts).toEqual(bestKit(ledgerOf(few)).counts)
  })
})
