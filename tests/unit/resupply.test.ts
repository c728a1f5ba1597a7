import { catalogue } from '#catalogue'
import { Resupply } from '#core/availability'
import { OpeningCache } from '#core/ride'
import { surveyRoad, type RoadPoint } from '#core/road'
import { tripSchema } from '#core/trip'
import { nth } from '#core/validation'
import { describe, expect, it } from 'vitest'

/** 100 km on the level at 20 km/h from Friday 12 June 2026, 08:00: km 60 is reached at 11:00. An hour is waited anywhere. */
const kmOfDegree = (Math.PI * 6378.137) / 180
const points: RoadPoint[] = Array.from({ length: 101 }, (_, i) => [0, i / kmOfDegree, 5])
const survey = surveyRoad(points)
const book = new OpeningCache()
const friday = '2026-06-12T08:00'

interface Place {
  readonly services: readonly object[]
  readonly start?: string | null
  readonly trust?: number
  readonly stop?: object
}
function suppliedBy({ services, start = friday, trust = 0.6, stop = {} }: Place) {
  const { stops, ...trip } = tripSchema.parse({
    format: 'rag-tin.trip/6',
    name: 'level',
    road: { points, stretches: [{ id: 'all', fromKm: 0, toKm: survey.lengthKm, surface: 'asphalt' }] },
    ride: { start, pauseH: 0, ridingH: 10 },
    dials: { waitH: 1, trust },
    stops: [{ id: 'town', name: 'Town', roadKm: 60, services, ...stop }],
  })
  return { resupply: new Resupply({ ...trip, stops }, survey, catalogue, book), stop: nth(stops, 0) }
}
const shop = (chance: number, hours: string, kind = 'bike-shop') => ({
  kind,
  knownFrom: 'asked',
  hours,
  stocks: { 'tube-622': chance },
})
const [open, atTwelve, atFour, never] = ['Fr 08:00-18:00', 'Fr 12:00-18:00', 'Fr 16:00-18:00', 'off']

describe('how a class is found at a stop', () => {
  const found = (place: Place) => {
    const { finding, chance, service } = nth(suppliedBy(place).resupply.found('tube-622'), 0)
    return finding === 'none' ? [finding] : [finding, Number(chance.toFixed(6)), service?.hours]
  }
  it.each<[string, Place, ReturnType<typeof found>]>([
    ['there, and open', { services: [shop(0.9, open)] }, ['had', 0.9, open]],
    ['as likely as one trusts', { services: [shop(0.6, open)] }, ['had', 0.6, open]],
    ['there, and nobody knows the hours', { services: [shop(0.9, '')] }, ['uncertain', 0.9, '']],
    ['after an hour', { services: [shop(0.9, atTwelve)] }, ['waited', 0.9, atTwelve]],
    ['after longer than one waits', { services: [shop(0.9, atFour)] }, ['shut', 0.9, atFour]],
    [
      'after as long as was settled for there',
      { services: [shop(0.9, atFour)], stop: { waitH: 5 } },
      ['waited', 0.9, atFour],
    ],
    ['less likely than one trusts', { services: [shop(0.5, open)] }, ['doubtful', 0.5, open]],
    ['less likely than one trusts, and shut', { services: [shop(0.5, atFour)] }, ['none']],
    ['hardly ever', { services: [shop(0.09, open)] }, ['none']],
    ['one time in ten', { services: [shop(0.1, open)] }, ['doubtful', 0.1, open]],
    ['hardly ever, and trusted all the same', { services: [shop(0.09, open)], trust: 0.05 }, ['had', 0.09, open]],
    ['never there', { services: [shop(0, open)] }, ['none']],
    ['at no service', { services: [] }, ['none']],
  ])('%s', (_, place, expected) => {
    expect(found(place)).toEqual(expected)
  })
  it('by the service that serves best, and of two alike by the surer', () => {
    const best = (...services: object[]) => [found({ services }), found({ services: services.toReversed() })]
    for (const each of best(shop(0.7, open), shop(0.9, atTwelve))) expect(each).toEqual(['had', 0.7, open])
    for (const each of best(shop(0.7, open), shop(0.9, 'Fr 07:00-18:00'))) {
      expect(each).toEqual(['had', 0.9, 'Fr 07:00-18:00'])
    }
  })
  it('without a start at whatever hours it ever opens', () => {
    const undated = (...services: object[]) => found({ services, start: null })
    expect(undated(shop(0.9, atFour))).toEqual(['had', 0.9, atFour])
    expect(undated(shop(0.9, ''))).toEqual(['had', 0.9, ''])
    expect(undated(shop(0.9, 'by day'))).toEqual(['uncertain', 0.9, 'by day'])
    expect(undated(shop(0.9, never))).toEqual(['shut', 0.9, never])
    expect(undated(shop(0.5, never))).toEqual(['none'])
    expect(undated(shop(0.5, 'by day'))).toEqual(['doubtful', 0.5, 'by day'])
  })
  it('has a gap to it and from it where it is counted on, and one of the whole road where it is not', () => {
    const gaps = (place: Place) =>
      suppliedBy(place)
        .resupply.gaps('tube-622')
        .map(({ toKm }) => Math.round(toKm))
    for (const hours of [open, '', atTwelve]) expect(gaps({ services: [shop(0.9, hours)] })).toEqual([60, 100])
    for (const services of [[shop(0.9, atFour)], [shop(0.5, open)], []]) expect(gaps({ services })).toEqual([100])
  })
})

describe('hours until somebody helps at a stop', () => {
  const waitH = (place: Place) => {
    const { resupply, stop } = suppliedBy(place)
    return resupply.helpWaitH(stop)
  }
  it('are those until a shop or a workshop opens, beyond what one would wait anyway', () => {
    expect(waitH({ services: [shop(0, open)] })).toBe(0)
    expect(waitH({ services: [shop(0, atTwelve)] })).toBe(0)
    expect(waitH({ services: [shop(0, atFour)] })).toBe(4)
    expect(waitH({ services: [shop(0, atFour, 'workshop')] })).toBe(4)
    expect(waitH({ services: [shop(0, '')] })).toBe(0)
    expect(waitH({ services: [shop(0, atFour)], stop: { waitH: 3 } })).toBe(2)
    expect(waitH({ services: [shop(0, atFour), shop(0, never)] })).toBe(4)
  })
  it('never end where nobody mends or nobody ever opens', () => {
    expect(waitH({ services: [] })).toBe(Infinity)
    expect(waitH({ services: [shop(1, open, 'water')] })).toBe(Infinity)
    expect(waitH({ services: [shop(0, never)] })).toBe(Infinity)
    expect(waitH({ services: [shop(0, never)], start: null })).toBe(Infinity)
    expect(waitH({ services: [shop(0, atFour)], start: null })).toBe(0)
  })
  it('are none where the ride can be left', () => {
    expect(waitH({ services: [shop(0, atFour)], stop: { exit: 'train' } })).toBe(0)
    expect(waitH({ services: [], stop: { exit: 'bus' } })).toBe(0)
  })
})
