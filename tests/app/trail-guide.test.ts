import { demoTrip } from '#catalogue/demo'
import { logEntrySchema } from '#core/log'
import { fixOf } from '#core/trip-ledger'
import { defined, nth } from '#core/validation'
import { describe, expect, it } from 'vitest'
import { createTrailGuide } from '../../app/workers/trail-guide'
import { packLine } from '../../app/workers/packed-line'

const demo = demoTrip()
const { points, ...road } = demo.road
const rider = nth(demo.crew, 0).id
const carried = demo.bench.map(({ id, count }) => ({ rider, thing: id, count, bag: 'tin' }))
const setOff = logEntrySchema.parse({ id: 'off', at: '2026-06-12T08:30', roadKm: 0, kind: 'set off', carried })
const trip = { ...demo, road, log: [setOff] }
const where = { roadKm: 212, at: '2026-06-14T15:40', away: [] }

describe('the guide on the trail', () => {
  it('asks for the line of the road once, and tells all of a place', { timeout: 60_000 }, () => {
    const guide = createTrailGuide()
    expect(guide.arriveAt(trip, 'line', undefined, where)).toBeUndefined()
    const place = defined(guide.arriveAt(trip, 'line', packLine(points), where))
    // Whoever asks at once hears the same as whoever has looked round first.
    const inHaste = ['chain-broken', 'pads-worn', 'puncture'].map((hazard) => {
      const failing = { hazard, bikeId: 'mule' }
      return { failing, answer: guide.answerTo(failing, where) }
    })
    // What cannot fail on that bike is told so, whether it can on another or not.
    for (const [bikeId, hazard] of [
      ['mule', 'motor-fault'],
      ['fox', 'puncture'],
    ] as const) {
      const hasty = createTrailGuide()
      hasty.arriveAt(trip, 'line', packLine(points), where)
      expect(() => hasty.answerTo({ hazard, bikeId }, where)).toThrow(/something that can fail/)
    }
    const here = guide.lookAround()
    for (const { failing, answer } of inHaste) expect(guide.answerTo(failing, where)).toEqual(answer)
    expect(here).toMatchObject(place)
    expect(here).toMatchObject({ roadKm: 212, at: where.at, present: demo.crew.map(({ id }) => id) })
    expect(here.left.every(({ bags }) => bags.join() === 'tin')).toBe(true)
    expect(here.bikes.map(({ id }) => id)).toEqual(demo.bikes.map(({ id }) => id))
    // Everything that a touch can lead to is told at once, and answered.
    for (const { id, symptoms } of here.bikes) {
      for (const { causes } of symptoms) {
        const { failure } = nth(causes, 0)
        const failing = { hazard: failure.hazard, bikeId: id, wheel: failure.wheel, fastener: failure.fastener }
        const { now } = guide.answerTo(failing, where)
        expect(now.note.event).toBe(failure.event)
        expect(now.expectedH).toBeLessThanOrEqual(now.lossH + 1e-9)
      }
    }
    const { promise, restock } = guide.outlook()
    expect(promise.promiseH).toBeGreaterThan(0)
    expect(restock).toEqual([])
    expect(defined(guide.arriveAt(trip, 'line', undefined, { ...where, roadKm: 9999 })).roadKm).toBeCloseTo(
      here.lengthKm,
      6,
    )
  })

  it('before anybody sets off it goes by the plan: its kit, and when one comes by', { timeout: 60_000 }, () => {
    const guide = createTrailGuide()
    const here = defined(guide.arriveAt({ ...trip, log: [] }, 'line', packLine(points), { ...where, at: null }))
    expect(here.at.slice(0, 10)).toBe('2026-06-14')
    expect(here.left.length).toBeGreaterThan(3)
    expect(here.left.length).toBeLessThan(demo.bench.length)
    const pieces = guide.setOffWith()
    const countOf = (list: readonly { thing: string; count: number }[], thing: string) =>
      list.reduce((sum, each) => (each.thing === thing ? sum + each.count : sum), 0)
    for (const { thing } of here.left) expect(countOf(pieces, thing), thing).toBeGreaterThanOrEqual(1)
  })

  it('whoever is elsewhere has nothing here; nobody at all would be no ride', { timeout: 60_000 }, () => {
    const guide = createTrailGuide()
    const away = [{ rider, hoursOff: 1 }]
    const without = defined(guide.arriveAt(trip, 'line', packLine(points), { ...where, away }))
    expect(without.present).toEqual(demo.crew.slice(1).map(({ id }) => id))
    const nobody = demo.crew.map(({ id }) => ({ rider: id, hoursOff: 1 }))
    expect(defined(guide.arriveAt(trip, 'line', undefined, { ...where, away: nobody })).present).toHaveLength(
      demo.crew.length,
    )
  })

  it('finds a place on the road, of two passes the one that is not behind', () => {
    const guide = createTrailGuide()
    expect(guide.placeOf(0, 0, 0)).toBeUndefined()
    guide.arriveAt(trip, 'line', packLine(points), where)
    const [lat, lon] = nth(points, 40)
    const place = defined(guide.placeOf(lat, lon, 0))
    expect(place.offRoadM).toBeLessThan(5)
    expect(guide.placeOf(lat, lon, place.roadKm)?.roadKm).toBeCloseTo(place.roadKm, 3)
  })
})

describe('a rehearsal', () => {
  it('goes from one breakdown to the next, and keeps nothing', { timeout: 120_000 }, () => {
    const guide = createTrailGuide()
    guide.arriveAt({ ...trip, log: [] }, 'line', packLine(points), { ...where, at: null })
    const many = guide.rehearse(4)
    let played = 0
    const asked = new Set<string>()
    for (let scene = guide.nextScene(); scene; scene = guide.nextScene()) {
      expect(scene).toMatchObject({ number: ++played, inAll: many, tries: [] })
      expect(scene.lossH).toBeGreaterThanOrEqual(0.25)
      while (scene.ways.length > 0) {
        const { fix } = nth(scene.ways, 0)
        scene = guide.decideOn(fix)
        // About each fix one is asked once in a play, and never with a thing that is not along.
        expect(scene.questions.length > 0, fix).toBe(!asked.has(fixOf(fix)))
        asked.add(fixOf(fix))
        for (const { about, options } of scene.questions)
          if (about === 'thing') expect(demo.bench.map(({ id }) => id)).toEqual(expect.arrayContaining([...options]))
      }
      expect(scene.hours).toBeGreaterThan(0)
    }
    expect(played).toBe(many)
    expect(guide.playScores().every(({ right, decisions }) => right <= decisions)).toBe(true)
    expect(guide.rehearse(4)).toBe(many)
  })
})
