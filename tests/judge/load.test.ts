import { demoTrip } from '#catalogue/demo'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { smallTrip } from '../fake-world'
import { Setting } from '../server/setting'
import { isFull, judged, tries } from './judged'
import { keepDoing, Latencies } from './latency'

let setting: Setting
beforeAll(async () => {
  setting = await Setting.start()
})
afterAll(() => setting?.stop())

const seconds = tries(60)
const lines: string[] = []
afterAll(() => judged('load', lines))

it('many who save and look at the same time each find what they saved', async () => {
  const crowd = 24
  const [saves, looks] = [new Latencies(), new Latencies()]
  const people = await Promise.all(
    Array.from({ length: crowd }, async (_, i) => {
      const person = await setting.person(`load-${i}`)
      return { person, trip: await person.newTrip(smallTrip(`Load ${i}`)), saved: 1 }
    }),
  )
  const { dials } = smallTrip('any')
  const perSecond = await keepDoing(crowd, seconds, async (who) => {
    const each = people[who]
    if (!each) throw new Error('nobody')
    const value = { ...dials, gramsPerHour: 100 + each.saved }
    const saved = await saves.time(() => each.person.save(each.trip, { part: 'dials', base: each.saved, value }))
    expect(saved.status, JSON.stringify(saved.body)).toBe(200)
    each.saved++
    const seen = await looks.time(() => each.person.ask('GET', `/api/trips/${each.trip}/revisions`))
    expect(seen.body.revisions.dials.number).toBe(each.saved)
  })
  for (const { person, trip, saved } of people) {
    const { body } = await person.read(trip)
    expect(body.trip.dials.gramsPerHour).toBe(100 + saved - 1)
    expect(body.revisions.dials.number).toBe(saved)
  }
  if (isFull) expect(perSecond).toBeGreaterThan(60)
  lines.push(
    `${crowd} people for ${seconds} seconds, server, database and people on one machine: ${Math.round(perSecond)} saves a second (${saves.inWords()}), each looked at afterwards (${looks.inWords()}); each found what they had saved.`,
  )
})

it('twenty who read a long trip at the same time do not wait for each other', async () => {
  const readers = 20
  const reads = new Latencies()
  const person = await setting.person('reader')
  // Each another trip, of which one in ten reads finds something new.
  const trips = await Promise.all(Array.from({ length: readers }, () => person.newTrip(demoTrip())))
  const { dials } = demoTrip()
  const perSecond = await keepDoing(readers, seconds, async (who, round) => {
    const id = trips[who] ?? ''
    if (round % 10 === 9) {
      const base = 1 + Math.floor(round / 10)
      const saved = await person.save(id, { part: 'dials', base, value: { ...dials, gramsPerHour: 100 + round } })
      expect(saved.status, JSON.stringify(saved.body)).toBe(200)
    }
    const text = await reads.time(async () => {
      const answer = await fetch(`${setting.app.address}/api/trips/${id}`, { headers: { cookie: person.cookies } })
      expect(answer.status).toBe(200)
      return answer.text()
    })
    expect(text.length).toBeGreaterThan(200_000)
  })
  if (isFull) {
    expect(perSecond).toBeGreaterThan(60)
    expect(reads.quantile(0.99)).toBeLessThan(500)
  }
  lines.push(
    `${readers} readers of trips of 230 kB for ${seconds} seconds: ${Math.round(perSecond)} reads a second, ${reads.inWords()}.`,
  )
})
