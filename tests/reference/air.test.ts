import { bikeFrom } from '#catalogue'
import {
  cabinM,
  cartridgesFor,
  fillWh,
  gasForGaugeBar,
  gaugeBarAt,
  gaugeBarFromGas,
  hooklessMostBar,
  pressureLimit,
  rideableShare,
  seatingShare,
  standardHPa,
  strainShare,
  strokesTo,
  tyreVolumeMl,
  defaultBar,
} from '#core/air'
import { BAR_PER_PSI } from '#core/units'
import { describe, expect, it } from 'vitest'

const gravel = tyreVolumeMl({ widthMm: 50, beadMm: 622 })
const fat = tyreVolumeMl({ widthMm: 100, beadMm: 559 })

describe('the standard atmosphere', () => {
  // ISO 2533:1975, table of pressures by geopotential height, hPa; the values from memory, which agree with those of the
  // U.S. Standard Atmosphere 1976 below 32 km.
  it.each([
    [-1000, 1139.29],
    [0, 1013.25],
    [500, 954.608],
    [1000, 898.745],
    [2000, 794.952],
    [3000, 701.085],
    [5000, 540.199],
    [8000, 355.998],
    [11_000, 226.32],
    [15_000, 120.445],
    [20_000, 54.7487],
  ])('at %d m: %f hPa', (heightM, hPa) => expect(standardHPa(heightM) / hPa).toBeCloseTo(1, 4))

  it('is 752.6 hPa at 8000 ft', () => expect(standardHPa(cabinM)).toBeCloseTo(752.66, 2))
  it('is hydrostatic: dp/dh = −ρ·g with ρ = p/(R·T)', () => {
    for (const h of [0, 1500, 4000, 9000, 14_000]) {
      const slope = (standardHPa(h + 0.5) - standardHPa(h - 0.5)) * 100
      const kelvin = 288.15 - 0.0065 * Math.min(h, 11_000)
      expect(slope / ((-standardHPa(h) * 100 * 9.80665) / (287.05287 * kelvin))).toBeCloseTo(1, 6)
    }
  })
  it('refuses heights it knows nothing of', () => expect(() => standardHPa(25_000)).toThrow(/height: 25000 m/))
})

describe('a tyre in a hold', () => {
  // Common practice, no source: about 3 % at 100 psi, so letting all air out is not needed by physics.
  it('gains 26 kPa, 3.3 % of its absolute pressure at 100 psi', () => {
    const bar = 100 * BAR_PER_PSI
    expect((gaugeBarAt(bar, 0, cabinM) - bar) * 100).toBeCloseTo(26.06, 1)
    expect(strainShare(bar, 0, cabinM)).toBeCloseTo(0.033, 3)
  })
})

describe('gas', () => {
  // Ideal gas with R of CODATA 2018 and M of IUPAC's atomic weights, worked by hand.
  it('16 g at 20 °C: 2.14 bar in 50-622, 0.54 bar in 100-559; 25 g: 3.34 bar in 50-622', () => {
    expect(gaugeBarFromGas(16, gravel)).toBeCloseTo(2.14, 2)
    expect(gaugeBarFromGas(16, fat)).toBeCloseTo(0.545, 2)
    expect(gaugeBarFromGas(25, gravel)).toBeCloseTo(3.34, 2)
    expect(gasForGaugeBar(gaugeBarFromGas(16, gravel, 5), gravel, 5)).toBeCloseTo(16, 9)
  })
  /**
   * Van der Waals' gas, a and b of carbon dioxide from the CRC Handbook (0.3658 Pa·m⁶/mol², 4.29e-5 m³/mol; from
   * memory): an independent equation of state. At tyre pressures the ideal gas must lie within 3 % of it.
   */
  it('lies within 3 % of a real gas', () => {
    for (const [grams, volumeMl] of [
      [16, gravel],
      [25, gravel],
      [48, fat],
      [16, 2000],
    ] as const) {
      const moles = grams / 44.0095
      const cubicM = volumeMl / 1e6
      const real = (moles * 8.314462618 * 293.15) / (cubicM - moles * 4.29e-5) - 0.3658 * (moles / cubicM) ** 2
      expect(gaugeBarFromGas(grams, volumeMl) / (real / 1e5)).toBeGreaterThan(0.97)
      expect(gaugeBarFromGas(grams, volumeMl) / (real / 1e5)).toBeLessThan(1.03)
    }
  })
  // Common practice, no source.
  it('a fat tyre takes two or three small cartridges, a gravel tyre one to ride and 25 g to seat', () => {
    expect([2, 3]).toContain(cartridgesFor(defaultBar(100) * rideableShare, 16, fat))
    expect(cartridgesFor(defaultBar(50) * rideableShare, 16, gravel)).toBe(1)
    expect(cartridgesFor(defaultBar(50) * seatingShare, 25, gravel)).toBe(1)
    expect(cartridgesFor(defaultBar(50) * seatingShare, 16, gravel)).toBe(2)
  })
})

describe('volumes and pumps', () => {
  // Pappus: volume = section · way of its middle, the section summed numerically in slices.
  it('a tyre is a body of revolution', () => {
    const [width, bead, slices] = [50, 622, 20_000]
    let volume = 0
    for (let i = 0; i < slices; i++) {
      const x = -width / 2 + ((i + 0.5) * width) / slices
      const high = Math.sqrt((width / 2) ** 2 - x ** 2)
      const middle = bead / 2 + width / 2
      volume += Math.PI * ((middle + high) ** 2 - (middle - high) ** 2) * (width / slices)
    }
    expect(tyreVolumeMl({ widthMm: width, beadMm: bead })).toBeCloseTo(volume / 1000, 1)
  })
  it('a pump is counted stroke by stroke', () => {
    let pressure = 1
    let strokes = 0
    while (pressure < 3.4) {
      pressure += 100 / gravel
      strokes++
    }
    expect(Math.abs(strokesTo(2.4, gravel, 100) - strokes)).toBeLessThan(1)
    expect(strokesTo(2.4, gravel, 100, 0.7)).toBeGreaterThan(strokesTo(2.4, gravel, 100))
  })
  it('a compressor takes the work of pressing in small portions', () => {
    const steps = 100_000
    let joules = 0
    const rise = 2.4 / steps
    // Each portion brings the tyre up by `rise`: V·dp of gas, each pressed from 1 bar to what is inside by then.
    for (let i = 0; i < steps; i++) joules += (gravel / 1000) * 100 * rise * Math.log(1 + (i + 0.5) * rise)
    expect(fillWh(2.4, gravel)).toBeCloseTo(joules / 3600 / 0.15, 4)
  })
})

describe('limits', () => {
  // ISO 5775-1: tyres on rims without hooks, 5 bar at most.
  it('rims without hooks end at 5 bar, tyres and rims where their makers say', () => {
    const bike = bikeFrom('gravel', 'g')
    const unknown = { front: { ...bike.rims.front, mostBar: null }, rear: { ...bike.rims.rear, mostBar: null } }
    expect(pressureLimit({ ...bike, rims: unknown }, 'rear')).toEqual({
      bar: hooklessMostBar,
      setBy: 'hookless rim',
    })
    const tyres = { ...bike.tyres, rear: { ...bike.tyres.rear, mostBar: 4 } }
    expect(pressureLimit({ tyres, rims: unknown }, 'rear')).toMatchObject({ bar: 4 })
    expect(pressureLimit(bikeFrom('tourer', 't'), 'rear')).toBeUndefined()
  })
})
