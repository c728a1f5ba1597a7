import { describe, expect, it } from 'vitest'
import { bikeFrom, catalogue, placeWords } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { bikeKinds } from '#core/bike'
import { hoursHangingOn, nextSteps } from '#core/next-steps'
import { placesSeenOnce, proposalsFor, serviceSchema } from '#core/supply'
import type { Trip } from '#core/trip'
import { defined } from '#core/validation'

const stepsOf = (trip: Trip) => nextSteps(trip, catalogue, proposalsFor(trip.stops, placesSeenOnce(placeWords)))
const kindsOf = (trip: Trip) => stepsOf(trip).map(({ lack }) => lack.kind)
/** The demo with nothing left to say: every service with hours, nothing proposed. */
function whole(): Trip {
  const demo = demoTrip()
  const stops = demo.stops.map((stop, i) => ({
    ...stop,
    name: `Place ${i}`,
    services: stop.services.map((service) => ({ ...service, hours: service.hours || 'Mo-Su 08:00-18:00' })),
  }))
  return { ...demo, stops }
}
const withStop = (trip: Trip, kind: string, hours = ''): Trip => {
  const [first, ...others] = trip.stops
  return { ...trip, stops: [{ ...defined(first), services: [serviceSchema.parse({ kind, hours })] }, ...others] }
}

describe('what a plan lacks', () => {
  it('is nothing where all is said, and nothing to speak of before there is a road', () => {
    expect(stepsOf(whole())).toEqual([])
    const empty = { name: '', points: [], stretches: [] }
    expect(stepsOf({ ...whole(), road: empty, stops: [], bench: [] })).toEqual([])
  })

  it('is which bike it is, while nobody has said so and nothing was laid for it; the other plans have the other kinds', () => {
    const bikes = [bikeFrom('gravel', 'mine'), { ...bikeFrom('gravel', 'hers'), name: 'Hers' }]
    const bare = { ...whole(), bikes, bench: [] }
    const [step] = stepsOf(bare)
    expect(step?.lack).toEqual({ kind: 'assumed bikes', bikes: ['mine'] })
    expect(step?.plans.map((plan) => plan.bikes.map(({ id, kind }) => `${id} ${kind}`))).toEqual(
      bikeKinds.filter((kind) => kind !== 'gravel').map((kind) => [`mine ${kind}`, 'hers gravel']),
    )
    expect(step?.plans.every((plan) => plan.bikes[1] === bikes[1])).toBe(true)
    expect(kindsOf({ ...bare, bikes: [defined(bikes[1])] })).toEqual(['empty bench'])
    expect(kindsOf({ ...bare, bikes: [bikeFrom('tourer', 'mine')] })).toEqual(['empty bench'])
    expect(kindsOf({ ...bare, bench: whole().bench })).toEqual([])
  })

  it('is the hours of shops; the other plan is the one without them', () => {
    const trip = withStop(whole(), 'bike-shop')
    const [step, ...others] = stepsOf(trip)
    expect(others).toEqual([])
    expect(step?.lack).toEqual({ kind: 'no hours', stops: [trip.stops[0]?.id] })
    expect(step?.plans.map(({ stops }) => stops[0]?.services)).toEqual([[]])
    expect(step?.plans[0]?.stops.slice(1)).toEqual(trip.stops.slice(1))
  })

  it('is no hours of what mends nothing and has nothing for a bike', () => {
    expect(stepsOf(withStop(whole(), 'water'))).toEqual([])
  })

  it('is a day of departure before hours, which nobody can heed without it', () => {
    const trip = withStop(whole(), 'bike-shop')
    const [step, ...others] = stepsOf({ ...trip, ride: { ...trip.ride, start: null } })
    expect(others).toEqual([])
    expect(step?.lack.kind).toBe('no start')
    // A Monday and a Saturday, by the calendar.
    expect(step?.plans.map(({ ride }) => new Date(`${defined(ride.start)}Z`).getUTCDay())).toEqual([1, 6])
  })

  it('is what stops seem to have, and where they seem to have nothing, that they have nothing', () => {
    const bare = { ...whole(), stops: whole().stops.map((stop) => ({ ...stop, services: [], exit: null })) }
    expect(kindsOf(bare)).toEqual(['no stops'])
    const named = {
      ...bare,
      stops: bare.stops.map((stop, i) => (i === 0 ? { ...stop, name: 'Bike shop Aldermill' } : stop)),
    }
    const [step] = stepsOf(named)
    expect(step?.lack).toEqual({ kind: 'proposals', count: 1, stops: [named.stops[0]?.id] })
    expect(step?.plans[0]?.stops[0]?.services.map(({ kind }) => kind)).toEqual(['bike-shop'])
  })

  it('is an empty bench', () => {
    expect(kindsOf({ ...whole(), bench: [] })).toEqual(['empty bench'])
  })
})

describe('what hangs on it', () => {
  it('is the most by which another plan differs, either way', () => {
    expect(hoursHangingOn({ lack: { kind: 'no start' } }, 5, [4, 7.5])).toBe(2.5)
    expect(hoursHangingOn({ lack: { kind: 'no hours', stops: ['a'] } }, 5, [2])).toBe(3)
    expect(hoursHangingOn({ lack: { kind: 'no stops' } }, 5, [])).toBe(0)
  })

  it('is of an empty bench all that is lost bare-handed', () => {
    expect(hoursHangingOn({ lack: { kind: 'empty bench' } }, 5, [])).toBe(5)
  })
})
