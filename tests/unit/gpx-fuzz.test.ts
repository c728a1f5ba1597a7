import { readGpx, roadPointSchema, surveyRoad } from '#core/road'
import { Fault } from '#core/validation'
import { describe, expect, it } from 'vitest'
import { brokenGpx } from '../broken-gpx'

describe('files that are broken, in two thousand ways', () => {
  it('are read as a road that can be measured, or refused with a reason; nothing else', () => {
    let refused = 0
    for (let case_ = 0; case_ < 2000; case_++) {
      const text = brokenGpx(case_)
      try {
        const { points, waypoints, lines } = readGpx(text)
        expect(points.length).toBeGreaterThanOrEqual(2)
        for (const point of points) roadPointSchema.parse(point)
        expect(lines.flatMap((line) => line.points)).toEqual(points)
        expect(Number.isFinite(surveyRoad(points).lengthKm)).toBe(true)
        for (const { name } of waypoints) expect(name.length).toBeLessThanOrEqual(200)
      } catch (error) {
        if (!(error instanceof Fault)) throw new Error(`case ${case_} was not refused but failed: ${String(error)}`)
        expect(error.message).toMatch(/; expected /)
        refused++
      }
    }
    // Neither all nor none: the breaking breaks, and the reader is not merely strict.
    expect(refused).toBeGreaterThan(800)
    expect(refused).toBeLessThan(1990)
  })
})
