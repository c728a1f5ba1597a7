import { nth } from '#core/validation'
import { counterAnswerSchema, serviceSchema } from '#core/supply'
import { readTrip, type Trip } from '#core/trip'
import { forecastSchema } from '#core/weather'
import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Person, Setting } from './setting'

let setting: Setting
let maren: Person
let ansel: Person
beforeAll(async () => {
  setting = await Setting.start()
  maren = await setting.person('maren')
  ansel = await setting.person('ansel')
})
afterAll(() => setting?.stop())

/** The demo with everything said of a stop that can be said. */
function detailed(): Trip {
  const trip = readTrip(demoTrip(), catalogue)
  const stops = trip.stops.map((stop) =>
    stop.id === 'ferrow'
      ? {
          ...stop,
          exitWaitH: 7.5,
          waitH: 11.25,
          bigWrench: true,
          hint: 'Bike Shop, “poi” 🚲',
          ruledOut: ['water', 'train'],
          services: [
            serviceSchema.parse({ kind: 'post', knownFrom: 'visited', parcel: { 'tube-622': 2, sealant: 60.5 } }),
            serviceSchema.parse({ kind: 'bike-shop', hours: 'off', stocks: { 'chain-12': 0.5 } }),
          ],
        }
      : stop,
  )
  return { ...trip, stops, ride: { ...trip.ride, nights: [{ id: 'n', roadKm: 196, stop: null, nights: 2 }] } }
}

describe('what is said of stops and of the weather', () => {
  it('comes back as it was sent', async () => {
    const trip = detailed()
    const id = await maren.newTrip(trip)
    expect((await maren.ask('GET', `/api/trips/${id}`)).body.trip).toEqual(trip)
  })
  it('is saved as a part of its own, and can be forgotten', async () => {
    const id = await maren.newTrip(detailed())
    const forecast = { from: '', days: [] }
    const saved = await maren.save(id, { part: 'forecast', base: 1, value: forecast })
    expect(saved.body.revisions.forecast.number).toBe(2)
    expect((await maren.ask('GET', `/api/trips/${id}`)).body.trip.forecast).toEqual(forecast)
  })
  it('is refused where it cannot be, with the place named', async () => {
    const id = await maren.newTrip(detailed())
    const day = { date: '2026-06-31', lowC: 5, highC: 3, rainMm: -1, windKmH: 0 }
    const answer = await maren.save(id, { part: 'forecast', base: 1, value: { from: '', days: [day] } })
    expect(answer.status).toBe(422)
    expect(answer.body.data.lines.join('\n')).toMatch(/forecast\.days\[0\]\.date[\s\S]*a date such as/)
    const twice = { ...day, date: '2026-06-30', highC: 9, rainMm: 0 }
    const doubled = await maren.save(id, { part: 'forecast', base: 1, value: { from: '', days: [twice, twice] } })
    expect(doubled.body.data.lines[0]).toMatch(/forecast\.days\[1\]\.id: "2026-06-30" a second time/)
  })
})

describe('a shop that is asked', () => {
  it('answers for a stop of one’s own trip, and the trip stays as it was', async () => {
    const id = await maren.newTrip(detailed())
    const question = { stop: 'low-stannet', kind: 'fuel-station', classId: 'patch' }
    const answer = await maren.ask('POST', `/api/trips/${id}/counter`, question)
    expect(answer.status).toBe(200)
    expect(counterAnswerSchema.parse(answer.body).answer).not.toBe('shut')
    expect((await maren.ask('POST', `/api/trips/${id}/counter`, question)).body).toEqual(answer.body)
    const shut = await maren.ask('POST', `/api/trips/${id}/counter`, { ...question, stop: 'ferrow', kind: 'bike-shop' })
    expect(shut.body).toEqual({ answer: 'shut', opens: null })
    expect((await maren.ask('GET', `/api/trips/${id}`)).body.trip).toEqual(detailed())
  })
  it('must be one that is there', async () => {
    const id = await maren.newTrip(detailed())
    const ask = (body: object) => maren.ask('POST', `/api/trips/${id}/counter`, body)
    const nowhere = await ask({ stop: 'atlantis', kind: 'bike-shop', classId: 'chain-12' })
    expect(nowhere.status).toBe(422)
    expect(nowhere.body.data.lines[0]).toContain('a stop of the trip that has this service')
    expect((await ask({ stop: 'ferrow' })).status).toBe(422)
  })
  it('answers whatever its hours say, and holds nobody up', async () => {
    for (const hours of [' '.repeat(30), `${' '.repeat(40)}Mo-Fr 08:00-17:00`, `${'; '.repeat(40)}x`]) {
      const stops = detailed().stops.map((stop) => ({
        ...stop,
        services: stop.services.map((service) => ({ ...service, hours })),
      }))
      const id = await maren.newTrip({ ...detailed(), stops })
      const question = { stop: 'ferrow', kind: 'bike-shop', classId: 'chain-12' }
      const answer = await maren.ask('POST', `/api/trips/${id}/counter`, question)
      expect(counterAnswerSchema.safeParse(answer.body).success).toBe(true)
    }
  })
})

describe('the weather that is asked for', () => {
  it('is one for each day of the ride, and the same when asked again', async () => {
    const id = await maren.newTrip(detailed())
    const { body } = await maren.ask('POST', `/api/trips/${id}/forecast`)
    const { days } = forecastSchema.parse(body)
    expect(nth(days, 0).date).toBe('2026-06-12')
    expect(days.length).toBeGreaterThan(6)
    expect((await maren.ask('POST', `/api/trips/${id}/forecast`)).body).toEqual(body)
  })
  it('needs a road and a day', async () => {
    const undated = await maren.newTrip({ ...demoTrip(), ride: { ...demoTrip().ride, start: null } })
    expect((await maren.ask('POST', `/api/trips/${undated}/forecast`)).body.data.lines[0]).toContain('ride.start')
  })
})

it('another’s shops and weather are not to be asked', async () => {
  const id = await maren.newTrip(demoTrip())
  const question = { stop: 'low-stannet', kind: 'fuel-station', classId: 'patch' }
  for (const path of ['counter', 'forecast']) {
    expect((await ansel.ask('POST', `/api/trips/${id}/${path}`, question)).status).toBe(404)
    expect((await new Person(setting).ask('POST', `/api/trips/${id}/${path}`, question)).status).toBe(401)
  }
})
