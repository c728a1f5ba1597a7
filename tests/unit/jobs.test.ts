import { openTask } from '#core/task'
import { bikeFrom, catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { traitsOf } from '#core/bike'
import { bikeFactor } from '#core/hazard'
import { atDeparture, jobsFor, leftOf, renewals, renewed, withJob, withoutJob } from '#core/jobs'
import { surveyRoad } from '#core/road'
import { checkReferences, tripSchema } from '#core/trip'
import { bikesAtDeparture, ledgerOfTrip } from '#core/trip-ledger'
import { defined, nth } from '#core/validation'
import { describe, expect, it } from 'vitest'

const { jobs } = catalogue
const start = '2026-06-12T08:30'
const worn = () => {
  const bike = bikeFrom('gravel', 'b')
  const { front, rear } = bike.tyres
  return {
    ...bike,
    tyres: { front: { ...front, treadLeft: 0.5, tubeless: true }, rear: { ...rear, treadLeft: 0.4, tubeless: true } },
    padLeft: 0.3,
    chainLeft: 0.2,
    cablesLeft: 0.6,
    sealantLeft: 0.1,
    known: false,
  }
}

describe('a job at home', () => {
  it.each(renewals)('that renews %s makes that new and nothing else', (what) => {
    const bike = worn()
    const after = renewed(bike, what)
    expect(leftOf(bike, what)).toBeLessThan(1)
    expect(leftOf(after, what)).toBe(1)
    for (const other of renewals.filter((each) => each !== what)) expect(leftOf(after, other)).toBe(leftOf(bike, other))
  })
  it('is one of the catalogue for everything that wears and can be renewed', () => {
    expect(new Set(jobs.map(({ renews }) => renews))).toEqual(new Set(renewals))
    expect(new Set(jobsFor(worn(), jobs).map(({ renews }) => renews))).toEqual(new Set(renewals))
  })
  it('is not for what is new, nor for what a bike has not got', () => {
    const ids = (bike: ReturnType<typeof worn>) => jobsFor(bike, jobs).map(({ id }) => id)
    expect(ids({ ...worn(), padLeft: 1 })).not.toContain('fresh-pads')
    expect(ids({ ...worn(), boltsLocked: true })).not.toContain('bolts')
    expect(ids({ ...worn(), gears: 'hub' })).not.toContain('new-shift-cables')
    const tubed = worn()
    expect(
      ids({ ...tubed, tyres: { front: tubed.tyres.front, rear: { ...tubed.tyres.rear, tubeless: false } } }),
    ).not.toContain('sealant')
  })
  it('is planned once, keeps its place when its day is changed, and is taken back without a trace', () => {
    const bike = worn()
    const twice = withJob(withJob(withJob(bike, 'fresh-pads'), 'bolts'), 'fresh-pads', '2026-06-01')
    expect(twice.jobs).toEqual([
      { ...openTask, job: 'fresh-pads', on: '2026-06-01' },
      { ...openTask, job: 'bolts' },
    ])
    expect(JSON.stringify(withoutJob(withoutJob(twice, 'bolts'), 'fresh-pads'))).toBe(JSON.stringify(bike))
  })
  it('that was left undone is not done, and is planned anew', () => {
    const planned = withJob(worn(), 'fresh-pads')
    const left = { ...planned, jobs: planned.jobs.map((job) => ({ ...job, state: 'left' as const })) }
    expect(atDeparture(left, null, jobs).padLeft).toBe(0.3)
    expect(withJob(left, 'fresh-pads')).toEqual(planned)
    const done = { ...planned, jobs: planned.jobs.map((job) => ({ ...job, state: 'done' as const })) }
    expect(atDeparture(done, null, jobs).padLeft).toBe(1)
    expect(withJob(done, 'fresh-pads', '2026-06-01').jobs[0]).toMatchObject({ state: 'done', on: '2026-06-01' })
  })
  it('counts as done when it is planned for a day before the ride, or for none yet', () => {
    const left = (on: string | null, begins: string | null = start) =>
      atDeparture(withJob(worn(), 'fresh-pads', on), begins, jobs).padLeft
    expect([left(null), left('2026-06-11'), left('2026-06-12'), left('2026-07-01')]).toEqual([1, 1, 0.3, 0.3])
    expect(left('2026-07-01', null)).toBe(1)
  })
  it('that nobody knows, or that is not for the bike, does nothing', () => {
    const hub = { ...worn(), gears: 'hub' as const }
    expect(atDeparture(withJob(hub, 'new-shift-cables'), start, jobs).cablesLeft).toBe(hub.cablesLeft)
    expect(atDeparture(withJob(worn(), 'gold-plating'), start, jobs).padLeft).toBe(0.3)
  })
  it('of a trip is refused where nobody knows it, with where it stands', () => {
    const trip = demoTrip()
    const bikes = trip.bikes.map((bike, i) => (i === 1 ? withJob(bike, 'gold-plating') : bike))
    expect(() => checkReferences({ ...trip, bikes }, 1e6, catalogue)).toThrow(
      /bikes\[1\]\.jobs\[0\]\.job: "gold-plating"/,
    )
    expect(() =>
      tripSchema.parse({ ...trip, bikes: [{ ...trip.bikes[0], jobs: [{ job: 'bolts', on: '2026-02-30' }] }] }),
    ).toThrow()
  })
})

describe('the ledger of a trip with jobs planned', () => {
  const trip = demoTrip()
  const survey = surveyRoad(trip.road.points)
  const mule = defined(trip.bikes.find(({ id }) => id === 'mule'))
  const laidWith = (bike: typeof mule) =>
    ledgerOfTrip({ ...trip, bikes: trip.bikes.map((each) => (each.id === 'mule' ? bike : each)) }, survey, catalogue)
      .ledger

  it('is that of bikes on which the work is done already', () => {
    const planned = withJob(withJob(withJob(mule, 'fresh-pads'), 'bolts', '2026-06-01'), 'rear-tyre', '2030-01-01')
    const done = { ...mule, padLeft: 1, boltsLocked: true }
    expect(laidWith(planned)).toEqual(laidWith(done))
    expect(bikesAtDeparture({ ...trip, bikes: [planned] }, catalogue)[0]).toEqual({ ...done, jobs: planned.jobs })
  })
  it('has bolts come loose as much less often as the catalogue says, and nothing else', () => {
    const [before, after] = [laidWith(mule), laidWith({ ...mule, boltsLocked: true })]
    const locked = new Set(
      catalogue.hazards.filter(({ onBike }) => onBike.some(({ when }) => when === 'locked-bolts')).map(({ id }) => id),
    )
    expect(locked.size).toBeGreaterThan(10)
    let compared = 0
    before.events.forEach((event, i) => {
      const [hazardId, bikeId] = event.id.split('/')
      const hazard = defined(catalogue.hazards.find(({ id }) => id === hazardId))
      const factor = (bike: typeof mule) => bikeFactor(hazard, traitsOf(bike, bike.tyres.rear), 1)
      const times =
        bikeId === 'mule' && locked.has(hazard.id) ? factor({ ...mule, boltsLocked: true }) / factor(mule) : 1
      if (times < 1) compared++
      event.perLeg.forEach((rate, leg) => expect(nth(nth(after.events, i).perLeg, leg)).toBeCloseTo(rate * times, 12))
    })
    expect(compared).toBeGreaterThan(5)
  })
})
