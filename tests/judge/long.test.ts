import { demoTrip } from '#catalogue/demo'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { longRoad } from '../bench/long-road'
import { expectNoLongWait, neighbourWaits } from '../server/neighbour'
import { Setting, type Person } from '../server/setting'
import { judged, share } from './judged'

let setting: Setting
let maren: Person
let ansel: Person
beforeAll(async () => {
  setting = await Setting.start()
  maren = await setting.person('maren')
  ansel = await setting.person('ansel')
})
afterAll(() => setting?.stop())

const json = { 'content-type': 'application/json' }

/** Has something done beside a neighbour. @returns a line of what it took, and how long the neighbour waited */
async function beside(what: string, ...work: (() => Promise<{ status: number }>)[]): Promise<string> {
  const begun = performance.now()
  const working = Promise.all(work.map((each) => each()))
  const waited = await neighbourWaits(setting, ansel, working)
  const seconds = ((performance.now() - begun) / 1000).toFixed(1)
  for (const { status } of await working) expect([200, 201], what).toContain(status)
  expectNoLongWait(waited, what)
  return `${what}: ${seconds} s; somebody else waited ${Math.round(waited.ms)} ms at most`
}

/** Downloads, and looks at nothing but how it went: reading megabytes would hold up the neighbour's own clock. */
async function download(path: string): Promise<{ status: number }> {
  const { status, body } = await fetch(`${setting.app.address}${path}`, { headers: { cookie: maren.cookies } })
  await body?.pipeTo(new WritableStream())
  return { status }
}

it('trips as long as they may be are taken in and handed out beside others, who do not wait', async () => {
  const thousands = Math.round(250 * share)
  const trip = JSON.stringify({
    ...demoTrip(),
    road: { name: 'Long', points: longRoad(1000 * thousands), stretches: [] },
    stops: [],
  })
  const lines: string[] = []
  let id = ''
  const create = (document: string) => async () => {
    const answer = await maren.ask('POST', '/api/trips', document, json)
    id = answer.body.id
    return answer
  }
  lines.push(await beside(`a trip of ${thousands} 000 points taken in`, create(trip)))
  lines.push(await beside('read', () => download(`/api/trips/${id}`)))
  lines.push(await beside('read again', () => download(`/api/trips/${id}`)))
  lines.push(await beside('as a document to keep', () => download(`/api/trips/${id}/document`)))
  const ten = Array.from({ length: 10 }, () => () => download(`/api/trips/${id}/document`))
  lines.push(await beside('ten of those at once', ...ten))
  lines.push(await beside('everything of its owner exported', () => download('/api/account/export')))
  lines.push(await beside('its weather asked for', () => maren.ask('POST', `/api/trips/${id}/forecast`)))

  const service = {
    kind: 'bike-shop',
    hours: 'Mo-Fr 09:00-17:00',
    stocks: { 'chain-12': 0.5 },
    parcel: { sealant: 60 },
  }
  const stops = Array.from({ length: Math.round(1000 * share) }, (_, i) => ({
    id: `stop-${i}`,
    name: `Stop ${i}`,
    roadKm: i / 2,
    services: Array.from({ length: 20 }, () => service),
  }))
  lines.push(
    await beside(`${stops.length} stops of 20 services taken in`, create(JSON.stringify({ ...demoTrip(), stops }))),
  )
  lines.push(await beside('read', () => download(`/api/trips/${id}`)))
  const { body } = await maren.read(id)
  expect(body.trip.stops).toMatchObject(stops)
  judged('long', lines)
})
