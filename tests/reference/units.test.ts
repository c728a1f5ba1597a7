import { describe, expect, it } from 'vitest'
import { BAR_PER_PSI, readMeasure, wordsForGrams, wordsForHours, wordsForKm } from '../../core/units'

const value = (text: string, quantity: Parameters<typeof readMeasure>[1], unit: string) => {
  const read = readMeasure(text, quantity, unit)
  return 'value' in read ? read.value : read.error
}

describe('units as people type them', () => {
  // NIST Special Publication 811 (2008), appendix B.8: 1 oz = 28.349 52 g, 1 lb = 453.592 37 g, 1 mi = 1.609 344 km,
  // 1 psi = 6.894 757 kPa, 1 ft = 0.3048 m, 1 in = 25.4 mm.
  it.each([
    ['2 oz', 'mass', 'g', 56.69905],
    ['1.2 lb', 'mass', 'g', 544.31084],
    ['8 mi', 'distance', 'km', 12.874752],
    ['45 psi', 'pressure', 'bar', 3.102641],
    ['6 ft', 'distance', 'km', 0.0018288],
    ['2 in', 'length', 'mm', 50.8],
    ['1,5', 'mass', 'kg', 1500],
    ['140', 'mass', 'g', 140],
    ['90 min', 'time', 'h', 1.5],
    ['60 %', 'share', '%', 0.6],
    ['12,5', 'share', '%', 0.125],
    // SP 811, B.9: t/°C = (t/°F − 32) / 1.8. Both scales meet at 40 below.
    ['32 °F', 'temperature', '°C', 0],
    ['212', 'temperature', '°F', 100],
    ['-40 f', 'temperature', '°C', -40],
    ['−7,5 °C', 'temperature', '°F', -7.5],
    // Thousands as they are set apart: SI brochure (2019) 5.4.4 by spaces, and by commas, points and apostrophes as people do.
    ['1,200 g', 'mass', 'g', 1200],
    ['12,345.6', 'mass', 'g', 12_345.6],
    ['1.234,5', 'mass', 'g', 1234.5],
    ['1 184', 'mass', 'g', 1184],
    ['1’184', 'mass', 'g', 1184],
    ['-1,200 g', 'mass', 'g', -1200],
    // A decimal comma stays one: before one or two figures, and after a nought.
    ['1,20 kg', 'mass', 'g', 1200],
    ['0,125', 'mass', 'g', 0.125],
    ['1.200 kg', 'mass', 'g', 1200],
    ['20 s', 'time', 'h', 20 / 3600],
  ] as const)('%s', (text, quantity, unit, expected) => expect(value(text, quantity, unit)).toBeCloseTo(expected, 5))

  it('reads back what the app itself writes, to the figures that are shown', () => {
    for (const system of ['metric', 'imperial'] as const) {
      for (const grams of [0.3, 7, 99.6, 1184, 12_345, 1_234_567]) {
        const read = readMeasure(wordsForGrams(grams, system), 'mass', 'g')
        expect('value' in read ? read.value : read.error).toSatisfy(
          (back: number) => Math.abs(back - grams) <= 1.5 + grams * 0.05,
        )
      }
      for (const km of [0.4, 9.9, 212, 1184, 12_345]) {
        const read = readMeasure(wordsForKm(km, system), 'distance', 'km')
        expect('value' in read ? read.value : read.error).toSatisfy((back: number) => Math.abs(back - km) <= 0.9)
      }
    }
    for (const hours of [0.001, 0.4, 5.2, 1184]) {
      const read = readMeasure(wordsForHours(hours), 'time', 'h')
      expect('value' in read ? read.value : read.error).toSatisfy((back: number) => Math.abs(back - hours) <= 0.5)
    }
    expect(readMeasure(wordsForGrams(1184, 'metric'), 'mass', 'g')).toEqual({ value: 1184 })
  })

  it('has the pound per square inch of SP 811', () => expect(BAR_PER_PSI * 100).toBeCloseTo(6.894757, 6))

  it.each([
    ['heavy', 'is not a number'],
    ['3 stone', 'is not a unit of mass'],
    ['', 'is not a number'],
    ['1.2.3', 'is not a number'],
    ['1,2,3', 'is not a number'],
    ['1 20 g', 'is not a number'],
  ])('“%s” is refused with a way to mend it', (text, message) => expect(value(text, 'mass', 'g')).toContain(message))
})
