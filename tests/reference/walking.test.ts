import { levelHours, naismithHours, toblerKmPerHour, walkingAlong, type Survey } from '#core/road'
import { describe, expect, it } from 'vitest'

describe('walking', () => {
  // W. W. Naismith, Scottish Mountaineering Club Journal 2 (1892), p. 136: "an hour for every three miles on the map,
  // with an additional hour for every 2,000 feet of ascent"; his Cruach Ardran day: ten miles, 6300 feet, six and a half hours.
  it('gives an hour for three miles and an hour for 2000 ft', () => {
    expect(naismithHours(3 * 1.609344, 0)).toBeCloseTo(1, 12)
    expect(naismithHours(0, 2000 * 0.3048)).toBeCloseTo(1, 12)
  })
  it('gives the day Naismith wrote the rule about: ten miles and 6300 ft in six and a half hours', () => {
    expect(naismithHours(10 * 1.609344, 6300 * 0.3048)).toBeCloseTo(6.5, 1)
  })

  // W. Tobler, NCGIA Technical Report 93-1 (1993): 6 km/h at a slope of −0.05, about 5 km/h on the level.
  it('gives Tobler’s published speeds', () => {
    expect(toblerKmPerHour(-0.05)).toBeCloseTo(6, 12)
    expect(toblerKmPerHour(0)).toBeCloseTo(5.037, 3)
  })
  // Values of the function itself, worked out by hand: 6·e^(−3.5·0.15) and, symmetric about −0.05, downhill at −0.2.
  it('slows down the same for equal steps away from −5 %', () => {
    expect(toblerKmPerHour(0.1)).toBeCloseTo(3.549, 3)
    expect(toblerKmPerHour(-0.2)).toBeCloseTo(toblerKmPerHour(0.1), 12)
  })
})

describe('walking along a road', () => {
  /** Two kilometres up at a tenth, one level, half a kilometre down at a fifth, a point twice, and a wall. */
  const km = Float64Array.of(0, 2, 3, 3.5, 3.5, 3.6)
  const eleM = Float64Array.of(100, 300, 300, 200, 200, 300)
  const survey: Survey = {
    km,
    eleM,
    upM: Float64Array.of(0, 200, 200, 200, 200, 300),
    downM: Float64Array.of(0, 0, 0, 100, 100, 100),
    lengthKm: 3.6,
    climbM: 300,
  }
  const close = (hours: Float64Array, expected: number[]) => {
    expect(hours).toHaveLength(expected.length)
    expected.forEach((each, i) => expect(hours[i]).toBeCloseTo(each, 12))
  }
  it('by Naismith adds up the way and what is climbed: one way the ascents, the other the descents', () => {
    const { ahead, back } = walkingAlong(survey, 'naismith')
    const hours = (distanceKm: number, climbM: number) => distanceKm / 4.828032 + climbM / 609.6
    close(ahead, [0, hours(2, 200), hours(3, 200), hours(3.5, 200), hours(3.5, 200), hours(3.6, 300)])
    close(back, [0, hours(2, 0), hours(3, 0), hours(3.5, 100), hours(3.5, 100), hours(3.6, 100)])
  })
  it('by Tobler adds up each step at its own slope, turned round on the way back, and never steeper than 60 %', () => {
    const { ahead, back } = walkingAlong(survey, 'tobler')
    const hours = (distanceKm: number, slope: number) => distanceKm / (6 * Math.exp(-3.5 * Math.abs(slope + 0.05)))
    const sum = (steps: number[]) => steps.map((_, i) => steps.slice(0, i + 1).reduce((total, step) => total + step, 0))
    close(ahead, [0, ...sum([hours(2, 0.1), hours(1, 0), hours(0.5, -0.2), 0, hours(0.1, 0.6)])])
    close(back, [0, ...sum([hours(2, -0.1), hours(1, 0), hours(0.5, 0.2), 0, hours(0.1, -0.6)])])
  })
  it('is level where nothing is known of heights, and off the road', () => {
    const { ahead, back } = walkingAlong({ ...survey, eleM: null }, 'tobler')
    expect(ahead[2]).toBeCloseTo(3 / toblerKmPerHour(0), 12)
    expect(back[2]).toBeCloseTo(3 / toblerKmPerHour(0), 12)
    expect(levelHours(3, 'tobler')).toBeCloseTo(3 / 5.0367, 4)
    expect(levelHours(3, 'naismith')).toBeCloseTo(3 / 4.828032, 12)
  })
})
