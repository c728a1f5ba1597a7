import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { openTask } from '#core/task'
import { withJob } from '#core/jobs'
import { indexLedger } from '#core/ledger'
import { PromiseEvaluator } from '#core/promise'
import { surveyRoad } from '#core/road'
import { bestKit } from '#core/search'
import { checkReferences, withoutRider, type Trip } from '#core/trip'
import { ledgerOfTrip } from '#core/trip-ledger'
import { ways, type Way } from '#core/ways'
import { nth } from '#core/validation'
import { describe, expect, it } from 'vitest'

const trip = demoTrip()
const survey = surveyRoad(trip.road.points)
const strangers: Trip = { ...trip, bikes: trip.bikes.map((bike) => ({ ...bike, known: false })) }
const ledgerOf = (plan: Trip) => ledgerOfTrip(plan, survey, catalogue).ledger
const kit = bestKit(indexLedger(ledgerOf(trip)))
const promiseH = (plan: Trip) => new PromiseEvaluator(indexLedger(ledgerOf(plan))).evaluate(kit.counts).promiseH

describe('a crew of strangers to their bikes', () => {
  it('loses more with the same kit, and as much with hands that have never done anything', () => {
    expect(promiseH(strangers)).toBeGreaterThan(promiseH(trip) * 1.1)
    const handless = (plan: Trip): Trip => ({
      ...plan,
      crew: plan.crew.map((rider) => ({ ...rider, hands: 0, skills: {} })),
    })
    expect(ledgerOf(handless(strangers))).toEqual(ledgerOf(handless(trip)))
  })
  it('is none any more after an evening with each', () => {
    const bikes = strangers.bikes.map((bike) => withJob(bike, 'get-to-know'))
    expect(ledgerOf({ ...strangers, bikes })).toEqual(ledgerOf(trip))
  })
  it('is told what that evening is worth: the difference of two promises', () => {
    const told = new Map<string, Way>()
    // What is soon reckoned is told first; all the rest is not waited for.
    for (const way of ways(strangers, survey, catalogue, kit.counts)) {
      if (way.deed.kind === 'job' && way.deed.jobId === 'get-to-know') told.set(way.deed.bikeId, way)
      if (told.size === trip.bikes.length) break
    }
    expect([...told.keys()].sort()).toEqual(trip.bikes.map(({ id }) => id).sort())
    for (const [bikeId, { savedH }] of told) {
      const bikes = strangers.bikes.map((bike) => (bike.id === bikeId ? withJob(bike, 'get-to-know') : bike))
      expect(savedH).toBeCloseTo(promiseH(strangers) - promiseH({ ...strangers, bikes }), 9)
      expect(savedH).toBeGreaterThan(0.05)
    }
  })
})

describe('a rider who stays at home', () => {
  it('leaves nothing that points at them, whatever they carried, rode, could do and brought', () => {
    const gone = nth(trip.crew, 0)
    const full: Trip = {
      ...trip,
      crew: trip.crew.map((rider) => ({
        ...rider,
        carriesMostG: 500,
        practice: [{ ...openTask, technique: nth(catalogue.techniques, 0).id, level: 2 as const }],
      })),
      bench: trip.bench.map((thing, i) => ({
        ...thing,
        broughtBy: nth(trip.crew, i % trip.crew.length).id,
        buying: { ...thing.buying, by: gone.id },
        trial: { ...thing.trial, by: gone.id },
      })),
      bikes: trip.bikes.map((bike) => ({
        ...bike,
        jobs: [{ ...openTask, job: 'bolts', by: gone.id }],
        checks: [{ ...openTask, check: 'tyres', by: gone.id, state: 'done' as const }],
      })),
      stops: trip.stops.map((stop) => ({
        ...stop,
        services: stop.services.map((service) => ({ ...service, posting: { ...openTask, by: gone.id } })),
      })),
      home: {
        ...trip.home,
        tasks: [{ ...openTask, id: 'cat', name: 'The cat', minutes: 5, note: '', by: gone.id }],
        papers: { ...openTask, by: gone.id },
      },
    }
    const left: Trip = { ...full, ...withoutRider(full, gone.id) }
    expect(JSON.stringify(left)).not.toContain(`"${gone.id}"`)
    // What was done stays done.
    expect(left.bikes.map(({ checks }) => checks[0]?.state)).toEqual(left.bikes.map(() => 'done'))
    // Of a trip that does not speak of them every other part stays the very same.
    const { crew: _, ...same } = withoutRider(trip, 'nobody')
    for (const [part, value] of Object.entries(same)) expect(value, part).toBe(trip[part as keyof typeof same])
    expect(() => checkReferences(left, survey.lengthKm, catalogue)).not.toThrow()
    expect(bestKit(indexLedger(ledgerOf(left))).promiseH).toBeGreaterThan(0)
  })
})
