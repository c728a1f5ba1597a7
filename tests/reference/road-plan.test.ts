import { defined, numberAt } from '#core/validation'
import { onPlan, projectPlan, surveyRoad, type RoadPoint } from '#core/road'
import { freest, planDrawing, planHeight, scaleBarKm } from '../../app/drawing/road-plan'
import fc from 'fast-check'
import geodesic from 'geographiclib-geodesic'
import { describe, expect, it } from 'vitest'

const plan = (points: RoadPoint[]) => projectPlan(points, surveyRoad(points))
const at = (lat: number, lon: number): RoadPoint => [lat, lon, null]

describe('the road from above', () => {
  it('has north up and east to the right', () => {
    const { eastKm, northKm } = plan([at(50, 10), at(50.1, 10), at(50.1, 10.2)])
    expect(numberAt(northKm, 1)).toBeGreaterThan(numberAt(northKm, 0))
    expect(numberAt(eastKm, 2)).toBeGreaterThan(numberAt(eastKm, 1))
    expect(Math.abs(numberAt(eastKm, 1) - numberAt(eastKm, 0))).toBeLessThan(0.05)
  })
  // The azimuthal equidistant projection: true distances from its middle. The ellipsoid's by the reference library.
  it('is to scale, within the half per cent by which the earth is no sphere', () => {
    const pair = fc.record({
      lat: fc.double({ min: -80, max: 80, noNaN: true }),
      lon: fc.double({ min: -180, max: 180, noNaN: true }),
      azimuth: fc.double({ min: 0, max: 360, noNaN: true }),
      km: fc.double({ min: 1, max: 500, noNaN: true }),
    })
    fc.assert(
      fc.property(pair, ({ lat, lon, azimuth, km }) => {
        const far = geodesic.Geodesic.WGS84.Direct(lat, lon, azimuth, km * 1000)
        const { eastKm, northKm } = plan([at(lat, lon), at(defined(far.lat2), ((defined(far.lon2) + 540) % 360) - 180)])
        const drawn = Math.hypot(numberAt(eastKm, 1) - numberAt(eastKm, 0), numberAt(northKm, 1) - numberAt(northKm, 0))
        expect(Math.abs(drawn / km - 1)).toBeLessThan(0.006)
      }),
    )
  })
  it('wants a box as high as it fills at that width, within limits', () => {
    // One degree north and two east at the equator: half as high as broad, within the margins of 36.
    const slanting = plan([at(0, 0), at(1, 2)])
    const height = planHeight(slanting, 472, 100, 400)
    expect(Math.abs(height - (72 + 400 / 2))).toBeLessThanOrEqual(2)
    const { at: drawnAt } = planDrawing(slanting, 472, height)
    const [start, end] = [drawnAt(0), drawnAt(Infinity)]
    expect([start.x, end.x].map(Math.round)).toEqual([36, 436])
    expect(Math.abs(start.y - (height - 36))).toBeLessThan(2)
    expect(planHeight(plan([at(0, 0), at(0, 2)]), 472, 100, 400)).toBe(100)
    expect(planHeight(plan([at(0, 0), at(2, 0)]), 472, 100, 400)).toBe(400)
  })
  it('has its sign of north where there is most room', () => {
    const corners = [
      { x: 100, y: 0 },
      { x: 100, y: 50 },
    ] as const
    expect(freest([...corners], [{ x: 80, y: 10 }])).toBe(corners[1])
    expect(freest([...corners], [{ x: 80, y: 40 }])).toBe(corners[0])
    expect(freest([...corners], [])).toBe(corners[0])
  })
  it('does not tear at the 180° meridian, nor at a pole', () => {
    const across = plan([at(-17, 179.5), at(-17, 179.9), at(-17, -179.9), at(-17, -179.5)])
    expect(numberAt(across.eastKm, 3) - numberAt(across.eastKm, 0)).toBeCloseTo(106.3, 0)
    const overThePole = plan([at(89.9, 0), at(89.9, 180)])
    const long = Math.hypot(
      numberAt(overThePole.eastKm, 1) - numberAt(overThePole.eastKm, 0),
      numberAt(overThePole.northKm, 1) - numberAt(overThePole.northKm, 0),
    )
    expect(long).toBeCloseTo(22.24, 1)
  })
  it('keeps both ends, and few enough points to draw', () => {
    const points = Array.from({ length: 50_001 }, (_, i) => at(50, i / 10_000))
    const drawn = plan(points)
    expect(drawn.km.length).toBeLessThan(2100)
    expect(drawn.km[0]).toBe(0)
    expect(drawn.km.at(-1)).toBeCloseTo(surveyRoad(points).lengthKm, 9)
    expect(onPlan(drawn, 0).eastKm).toBeCloseTo(-onPlan(drawn, 1e9).eastKm, 0)
  })
  it('has a scale bar of a round number', () => {
    expect([0.7, 1, 1.9, 4, 9.9, 37, 149].map(scaleBarKm)).toEqual([0.5, 1, 1, 2, 5, 20, 100])
  })
})
