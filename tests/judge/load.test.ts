import { afterAll, beforeAll, expect, it } from 'vitest'
import { smallTrip } from '../fake-world'
import { Setting } from '../server/setting'
import { judged, tries } from './judged'

let setting: Setting
beforeAll(async () => {
  setting = await Setting.start()
})
afterAll(() => setting?.stop())

const crowd = 24

function quantile(sorted: readonly number[], share: number): string {
  return `${Math.round(sorted[Math.floor(share * (sorted.length - 1))] ?? 0)} ms`
}

it('many who save and look at the same time each find what they saved', async () => {
  const seconds = tries(60)
  const took: { save: number[]; look: number[] } = { save: [], look: [] }
  const timed = async <T>(what: keyof typeof took, work: () => Promise<T>): Promise<T> => {
    const begun = performance.now()
    const done = await work()
    took[what].push(performance.now() - begun)
    return done
  }
  const people = await Promise.all(
    Array.from({ length: crowd }, async (_, i) => {
      const person = await setting.person(`load-${i}`)
      return { person, trip: await person.newTrip(smallTrip(`Load ${i}`)), saved: 1 }
    }),
  )
  const until = Date.now() + seconds * 1000
  await Promise.all(
    people.map(async (each) => {
      const { dials } = smallTrip('any')
      while (Date.now() < until) {
        const value = { ...dials, gramsPerHour: 100 + each.saved }
        const saved = await timed('save', () => each.person.save(each.trip, { part: 'dials', base: each.saved, value }))
        expect(saved.status, JSON.stringify(saved.body)).toBe(200)
        each.saved++
        const seen = await timed('look', () => each.person.ask('GET', `/api/trips/${each.trip}/revisions`))
        expect(seen.body.dials.number).toBe(each.saved)
      }
    }),
  )
  for (const { person, trip, saved } of people) {
    const { body } = await person.read(trip)
    expect(body.trip.dials.gramsPerHour).toBe(100 + saved - 1)
    expect(body.revisions.dials.number).toBe(saved)
  }
  const [saves, looks] = [took.save, took.look].map((list) => [...list].sort((a, b) => a - b))
  judged('load', [
    `${crowd} people for ${seconds} seconds, server, database and people on one machine: ${saves?.length ?? 0} saves (half within ${quantile(saves ?? [], 0.5)}, 95 % within ${quantile(saves ?? [], 0.95)}) and ${looks?.length ?? 0} looks (${quantile(looks ?? [], 0.5)}, ${quantile(looks ?? [], 0.95)}); each found what they had saved.`,
  ])
})
