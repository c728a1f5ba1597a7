import { usualConditions, usualPacking } from '#core/bench'
import { usualTurning } from '#core/fix'
import { successBySkill, usualSharing } from '#core/crew'
import { nth } from '#core/validation'
import { availabilityOf, Landscape, placeReportAt } from '#core/availability'
import { usualErrands } from '#core/jobs'
import type { Reference } from '#core/reference'
import { surveyRoad, type RoadPoint } from '#core/road'
import { stopSchema, supplyFamilySchema } from '#core/supply'
import { tripSchema } from '#core/trip'
import { describe, expect, it } from 'vitest'
import { once } from '../once'

/**
 * A road of ten points worked out by hand.
 *
 * Nine steps of 10 km due east on the equator, where a degree of longitude is
 * 2π · 6378.137 km / 360 (WGS 84, its semi-major axis). Heights are such that
 * no rise is lost to smoothing: long steady ramps between level parts.
 *
 *   km      0    10    20    30    40    50    60    70    80    90
 *   m       0     0     0     0     0     0     0     0     0     0
 *   stops         A at 20           B at 50, 2 km off the road   C at 80
 *
 * A mends bicycles and has tubes; B is a bus stop only; C has tubes only.
 *
 * Naismith walks 3 miles (4.828032 km) in an hour, and pushing a loaded bike
 * takes 1.5 times as long here: 3.218688 km/h.
 *
 * Gaps of tubes: 0–20, 20–80, 80–90 (the start has everything; the last gap
 * ends with the road).
 *
 * Push-out to help of any kind (the start, A, B, the end):
 *   km 10   to the start or A, 10 km                  10 / 3.218688 = 3.106856 h
 *   km 35   to A 15 km; to B 15 + 2 = 17 km           15 / 3.218688 = 4.660284 h
 *   km 40   to A 20 km; to B 10 + 2 = 12 km           12 / 3.218688 = 3.728227 h
 *   km 70   to B 20 + 2 = 22 km; to the end 20 km     20 / 3.218688 = 6.213712 h
 * The farthest points lie where ahead and back are equal:
 *   between A and B    x − 20 = 50 − x + 2,  x = 36,  16 km   4.970969 h
 *   between B and the end  x − 50 + 2 = 90 − x, x = 69, 21 km   6.524397 h  ← the worst
 *
 * Walk to a tube in the gap 20–80 (A at one end, C at the other): at most
 * 30 km at km 50, 9.320568 h; rising and falling evenly, so half of that on
 * average, 4.660284 h. In the last gap, 80–90: at most 5 km at km 85,
 * 1.553428 h, and 0.776714 h on average.
 */
const kmOfDegree = (Math.PI * 6378.137) / 180
const points: RoadPoint[] = Array.from({ length: 10 }, (_, i) => [0, (i * 10) / kmOfDegree, 0])
const survey = once(() => surveyRoad(points))
const reference: Reference = {
  families: [supplyFamilySchema.parse({ id: 'tube', name: 'tube', variant: 'none' })],
  services: [
    { id: 'shop', name: 'shop', mends: true, takesParcels: false, stocks: { tube: 0.95 } },
    { id: 'store', name: 'store', mends: false, takesParcels: false, stocks: { tube: 0.95 } },
  ],
  functions: [],
  techniques: [],
  hazards: [],
  fixes: [],
  hands: successBySkill,
  works: usualConditions,
  turning: usualTurning,
  sharing: usualSharing,
  packing: usualPacking,
  containers: [],
  jobs: [],
  errands: usualErrands,
  checks: [],
  trials: [],
  items: [],
  bikes: [],
}
const trip = tripSchema.parse({
  format: 'rag-tin.trip/6',
  name: 'ten points',
  road: { points },
  stops: [
    { id: 'a', name: 'A', roadKm: 20, services: [{ kind: 'shop', knownFrom: 'asked' }] },
    { id: 'b', name: 'B', roadKm: 50, offRoadM: 2000, exit: 'bus', exitWaitH: 1.5 },
    { id: 'c', name: 'C', roadKm: 80, services: [{ kind: 'store', knownFrom: 'asked' }] },
  ],
  bikes: [
    { id: 'x', name: 'X', tyres: { front: { size: '40-622' }, rear: { size: '40-622' } }, speeds: 11, pushFactor: 1.5 },
  ],
})
const landscape = once(() => new Landscape(trip, survey(), reference))
const availability = once(() => availabilityOf(landscape(), trip, 'tube'))
const read = (roadKm: number) => placeReportAt(landscape(), trip, survey(), roadKm)

describe('ten points, three stops', () => {
  it('is 90 km long', () => expect(survey().lengthKm).toBeCloseTo(90, 9))

  it('has three gaps of tubes', () => {
    expect(
      availability().gaps.map(({ fromKm, toKm }) => [Math.round(fromKm * 1e6) / 1e6, Math.round(toKm * 1e6) / 1e6]),
    ).toEqual([
      [0, 20],
      [20, 80],
      [80, 90],
    ])
    expect(availability().longest).toBe(1)
  })
  it.each([
    [10, 3.106856],
    [35, 4.660284],
    [40, 3.728227],
    [70, 6.213712],
    [36, 4.970969],
    [69, 6.524397],
    [20, 0],
    [50, 2 / 3.218688],
    [90, 0],
  ])('from km %d it is %d h to the nearest help', (km, hours) => {
    expect(read(km).nearest.walkH).toBeCloseTo(hours, 5)
  })
  it('knows both ways, and the bus with its wait', () => {
    const at40 = read(40)
    expect(at40.back).toMatchObject({ place: 'A', way: 'back' })
    expect(at40.back.walkH).toBeCloseTo(20 / 3.218688, 6)
    expect(at40.ahead).toMatchObject({ place: 'B', way: 'ahead' })
    expect(at40.exit).toMatchObject({ place: 'B', exit: 'bus', waitH: 1.5 })
    expect(read(90).ahead.walkH).toBe(0)
    expect(read(0).back).toMatchObject({ place: 'the start', walkH: 0 })
  })
  it('at a place of help has it both ahead and behind; an exit is waited for, and of two the sooner out is named', () => {
    expect([read(20).ahead, read(20).back]).toMatchObject([
      { place: 'A', walkH: 0 },
      { place: 'A', walkH: 0 },
    ])
    const exitAt = (roadKm: number, exitWaitH: number) => {
      const second = stopSchema.parse({ id: 'd', name: 'D', roadKm: 35, exit: 'train', exitWaitH })
      const both = { ...trip, stops: [...trip.stops, second] }
      return placeReportAt(new Landscape(both, survey(), reference), both, survey(), roadKm).exit
    }
    // From km 40 to B: 12 km, 3.73 h and 1.5 h of waiting; back to D: 5 km, 1.55 h.
    expect(exitAt(40, 3)).toMatchObject({ place: 'D', exit: 'train', waitH: 3 })
    expect(exitAt(40, 4)).toMatchObject({ place: 'B' })
    expect(read(40).liftH).toBeNull()
  })
  it('is farthest from help at km 69', () => {
    const { hours } = landscape().pushOutToHelp(1.5)
    const worst = hours.indexOf(Math.max(...hours))
    expect(landscape().grid.km[worst]).toBeCloseTo(69, 0)
    expect(hours[worst]).toBeCloseTo(6.524397, 1)
  })
  it('is walked out of in these hours, gap by gap', () => {
    expect(nth(availability().gaps, 1).worstWalkH).toBeCloseTo(9.320568, 2)
    expect(nth(availability().gaps, 1).meanWalkH).toBeCloseTo(4.660284, 2)
    expect(nth(availability().gaps, 2).worstWalkH).toBeCloseTo(1.553428, 1)
    expect(nth(availability().gaps, 2).meanWalkH).toBeCloseTo(0.776714, 2)
  })
})
