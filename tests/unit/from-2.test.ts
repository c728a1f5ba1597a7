import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { readTrip } from '#core/trip'
import { expect, it } from 'vitest'

it('a night of the second format comes to lie at the stop it was spent at, the nearest within a kilometre', () => {
  const { stops, ride, ...trip } = demoTrip()
  const [, inn] = stops
  if (!inn) throw new Error('the demo has stops')
  const nights = [
    { id: 'near', roadKm: inn.roadKm + 0.6, nights: 2 },
    { id: 'far', roadKm: inn.roadKm + 5, nights: 1 },
  ]
  const read = readTrip({ ...trip, stops, ride: { ...ride, nights }, format: 'rag-tin.trip/2' }, catalogue)
  expect(read.ride.nights).toEqual([
    { id: 'near', roadKm: inn.roadKm, stop: inn.id, nights: 2 },
    { id: 'far', roadKm: inn.roadKm + 5, stop: null, nights: 1 },
  ])
})

it('what makes no sense in the second format is refused where it stands', () => {
  const trip = { ...demoTrip(), format: 'rag-tin.trip/2' }
  expect(() => readTrip({ ...trip, ride: { nights: 'none' } }, catalogue)).toThrow(/ride\.nights: "none"/)
  expect(() => readTrip({ ...trip, ride: { nights: [{ id: 'n', roadKm: 'x' }] } }, catalogue)).toThrow(
    /ride\.nights\[0\]\.roadKm: "x"/,
  )
  expect(() => readTrip({ ...trip, stops: 'none' }, catalogue)).toThrow(/stops: "none"/)
})

it('a night of the second format stays as it is where it has a stop already, and a document without nights too', () => {
  const { stops, ride, ...trip } = demoTrip()
  const [first] = stops
  const said = { id: 'said', roadKm: first?.roadKm ?? 0, stop: null, nights: 1 }
  const read = (nights: unknown) =>
    readTrip({ ...trip, stops, ride: { ...ride, nights }, format: 'rag-tin.trip/2' }, catalogue).ride.nights
  expect(read([said])).toEqual([said])
  expect(read(undefined)).toEqual([])
  expect(readTrip({ format: 'rag-tin.trip/2', name: 'short' }, catalogue).ride.nights).toEqual([])
})
