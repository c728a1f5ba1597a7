import { describe, expect, it } from 'vitest'
import { naismithHours, toblerKmPerHour } from '../../core/road'

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
  // Values of the function itself, reckoned by hand: 6·e^(−3.5·0.15) and, symmetric about −0.05, downhill at −0.2.
  it('slows down the same for equal steps away from −5 %', () => {
    expect(toblerKmPerHour(0.1)).toBeCloseTo(3.549, 3)
    expect(toblerKmPerHour(-0.2)).toBeCloseTo(toblerKmPerHour(0.1), 12)
  })
})
