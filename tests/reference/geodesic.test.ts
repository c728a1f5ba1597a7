import { geodesicM, stepM } from '#core/road'
import LatLon from 'geodesy/latlon-ellipsoidal-vincenty.js'
import { describe, expect, it } from 'vitest'
import { seeded } from '../seeded'

const degrees = (d: number, m: number, s: number) => Math.sign(d) * (Math.abs(d) + m / 60 + s / 3600)

describe('geodesic distance', () => {
  // Geocentric Datum of Australia Technical Manual (ICSM), worked example of Vincenty's inverse formula on GRS80:
  // ellipsoidal distance Flinders Peak to Buninyong 54 972.271 m. GRS80 and WGS 84 differ there by less than 0.1 mm.
  it('gives the published length of the line from Flinders Peak to Buninyong', () => {
    const flindersPeak = [degrees(-37, 57, 3.7203), degrees(144, 25, 29.5244)] as const
    const buninyong = [degrees(-37, 39, 10.1561), degrees(143, 55, 35.3839)] as const
    expect(geodesicM(...flindersPeak, ...buninyong)).toBeCloseTo(54972.271, 3)
  })

  // Reference library: geodesy (npm), T. Vincenty's inverse solution, Survey Review 23 (1975).
  it('agrees with an independent library on 1000 random pairs to a millimetre', () => {
    const random = seeded(7)
    for (let i = 0; i < 1000; i++) {
      const lat = -80 + 160 * random()
      const lon = -180 + 360 * random()
      const latB = Math.min(89, Math.max(-89, lat + (random() - 0.5) * 20))
      const lonB = lon + (random() - 0.5) * 40
      const other = new LatLon(lat, lon).distanceTo(new LatLon(latB, lonB))
      expect(Math.abs(geodesicM(lat, lon, latB, lonB) - other)).toBeLessThan(0.0011)
    }
  })

  // Both the geodesic and the independent library; the poles, and steps just longer than the short way serves, included.
  it('steps of a road are within 0.2 mm a kilometre of the geodesic, on 5000 random ones', () => {
    const random = seeded(11)
    for (let i = 0; i < 5000; i++) {
      const lat = -89.9 + 179.8 * random()
      const lon = -180 + 360 * random()
      // From centimetres to three kilometres.
      const reach = 0.025 * 10 ** (-5 * random())
      const latB = lat + (2 * random() - 1) * reach
      const lonB = lon + (2 * random() - 1) * reach
      const exact = geodesicM(lat, lon, latB, lonB)
      expect(Math.abs(stepM(lat, lon, latB, lonB) - exact)).toBeLessThan(2e-7 * exact + 1e-8)
      const other = new LatLon(lat, lon).distanceTo(new LatLon(latB, lonB))
      expect(Math.abs(stepM(lat, lon, latB, lonB) - other)).toBeLessThan(0.0011)
    }
  })

  it('takes the short way across the 180° meridian', () => {
    expect(geodesicM(0, 179.5, 0, -179.5)).toBeCloseTo(111319.491, 2) // 1° of the equator on WGS 84: π·a/180
    expect(stepM(0, 179.995, 0, -179.995)).toBeCloseTo(1113.19491, 4)
  })
})
