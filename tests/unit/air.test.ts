import {
  atmosphereM,
  cartridgesFor,
  defaultBar,
  fillWh,
  gasForGaugeBar,
  gaugeBarAt,
  gaugeBarFromGas,
  pressureLimit,
  pumpsThatHold,
  ridingBarOf,
  standardHPa,
  strainShare,
  strokesTo,
  tyreVolumeMl,
  volumeOfTyre,
} from '#core/air'
import { bikeFrom } from '#catalogue'
import { describe, expect, it } from 'vitest'

describe('air in a tyre', () => {
  it('is what its marking says, and that of a 50-622 where nobody can read it', () => {
    expect(volumeOfTyre({ size: '40-559' })).toBe(tyreVolumeMl({ widthMm: 40, beadMm: 559 }))
    expect(volumeOfTyre({ size: 'unreadable' })).toBe(tyreVolumeMl({ widthMm: 50, beadMm: 622 }))
    // 2π² · (311 + 25) · 25² = 4 145 212 mm³.
    expect(volumeOfTyre({ size: '50-622' })).toBeCloseTo(4145.2, 1)
  })
  it('is ridden at what its rider says, else at the usual for its width, to the hundredth of a bar', () => {
    expect(ridingBarOf({ size: '50-622', rideBar: 1.9 })).toBe(1.9)
    expect(ridingBarOf({ size: '50-622', rideBar: null })).toBe(2.4)
    // 2.4 · 2^1.3
    expect(ridingBarOf({ size: '25-622', rideBar: null })).toBe(5.91)
    expect(ridingBarOf({ size: 'unreadable', rideBar: null })).toBe(2.4)
    expect(defaultBar(100)).toBeCloseTo(2.4 / 2 ** 1.3, 9)
  })
})

describe('a valve', () => {
  it('must stand 15 mm out of the rim for most pumps, 8 mm for a few', () => {
    expect(pumpsThatHold(35, 20)).toBe('most')
    expect(pumpsThatHold(34.9, 20)).toBe('few')
    expect(pumpsThatHold(28, 20)).toBe('few')
    expect(pumpsThatHold(27.9, 20)).toBe('none')
  })
})

describe('gas', () => {
  it('comes in whole cartridges, one at least, and one that is just enough is enough', () => {
    const volumeMl = 4000
    const grams = gasForGaugeBar(2, volumeMl)
    expect(gaugeBarFromGas(grams, volumeMl)).toBeCloseTo(2, 12)
    expect(cartridgesFor(2, grams, volumeMl)).toBe(1)
    expect(cartridgesFor(2, grams / 2, volumeMl)).toBe(2)
    expect(cartridgesFor(2, grams / 2 - 0.01, volumeMl)).toBe(3)
    expect(cartridgesFor(0, 16, volumeMl)).toBe(1)
  })
  it('gives more when it is warm: by the absolute temperature', () => {
    expect(gaugeBarFromGas(16, 4000, 30) / gaugeBarFromGas(16, 4000, 0)).toBeCloseTo(303.15 / 273.15, 12)
  })
})

describe('pumping', () => {
  it('takes strokes by volume and pressure, more where the air is thin', () => {
    expect(strokesTo(2, 4000, 80)).toBe(100)
    expect(strokesTo(2, 4000, 80, 0.5)).toBe(200)
  })
  it('by a compressor takes the work of it, of which a battery gives little', () => {
    // 4 L · (3 · ln 3 − 2) bar = 5.1834 bar L = 518.3 J; ÷ 3600 ÷ 0.15.
    expect(fillWh(2, 4000)).toBeCloseTo(0.95988, 4)
    expect(fillWh(2, 4000, 0.8)).toBeGreaterThan(fillWh(2, 4000) - 1)
  })
})

describe('height', () => {
  it('is good for the standard atmosphere from −2000 m to 20 000 m', () => {
    expect(standardHPa(atmosphereM.least)).toBeGreaterThan(1270)
    expect(standardHPa(atmosphereM.most)).toBeGreaterThan(54)
    for (const heightM of [-2001, 20_001, NaN]) expect(() => standardHPa(heightM)).toThrow('-2000 to 20000 m')
  })
  it('makes a gauge read more by what the air outside has less', () => {
    const less = (standardHPa(0) - standardHPa(2000)) / 1000
    expect(gaugeBarAt(3, 0, 2000)).toBeCloseTo(3 + less, 12)
    expect(gaugeBarAt(3, 2000, 0)).toBeCloseTo(3 - less, 12)
    expect(strainShare(3, 0, 2000)).toBeCloseTo(less / (3 + 1.01325), 9)
  })
})

describe('what a wheel may be pumped to', () => {
  const base = structuredClone(bikeFrom('gravel', 'b'))
  const limit = (tyreBar: number | null, rimBar: number | null, hooked: boolean) => {
    base.tyres.front.mostBar = tyreBar
    base.rims.front = { ...base.rims.front, mostBar: rimBar, hooked }
    return pressureLimit(base, 'front')
  }
  it('is the lowest of what tyre and rim allow, and 5 bar without hooks', () => {
    expect(limit(4, 6, true)).toEqual({ bar: 4, setBy: 'tyre' })
    expect(limit(7, 6, true)).toEqual({ bar: 6, setBy: 'rim' })
    expect(limit(7, 6, false)).toEqual({ bar: 5, setBy: 'hookless rim' })
    expect(limit(null, null, false)).toEqual({ bar: 5, setBy: 'hookless rim' })
    expect(limit(null, null, true)).toBeUndefined()
    expect(limit(4, null, false)).toEqual({ bar: 4, setBy: 'tyre' })
  })
})
