import { BAR_PER_PSI, customary, inUnit, readMeasure } from '#core/units'
import { gramsInWords, hoursInWords, kmInWords } from '#wording'
import { describe, expect, it } from 'vitest'

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
    ['12 345 g', 'mass', 'g', 12_345],
    ['123 456,5', 'mass', 'g', 123_456.5],
    ['1 234 567', 'mass', 'g', 1_234_567],
    ['1.234.567,5', 'mass', 'g', 1_234_567.5],
    ['12.345,6', 'mass', 'g', 12_345.6],
    ['1,234,567', 'mass', 'g', 1_234_567],
    ['123,456', 'mass', 'g', 123_456],
    ['-1,200 g', 'mass', 'g', -1200],
    // A decimal comma stays one: before one or two figures, and after a nought.
    ['1,20 kg', 'mass', 'g', 1200],
    ['0,125', 'mass', 'g', 0.125],
    ['1.200 kg', 'mass', 'g', 1200],
    ['20 s', 'time', 'h', 20 / 3600],
    ['3 kg', 'mass', 'g', 3000],
    ['2 lbs', 'mass', 'g', 907.18474],
    ['300 m', 'distance', 'km', 0.3],
    ['2 d', 'time', 'h', 48],
    ['10 mph', 'speed', 'km/h', 16.09344],
    ['20 km/h', 'speed', 'km/h', 20],
    ['100 ft', 'height', 'm', 30.48],
    ['250 kPa', 'pressure', 'bar', 2.5],
    ['4 cm', 'length', 'mm', 40],
    ['1.5 m', 'length', 'mm', 1500],
    ['20 C', 'temperature', '°C', 20],
    // 1 lbf = 4.448 222 N, 1 lbf·ft = 1.355 818 N·m (B.8); a US fluid ounce is 29.573 53 mL, a week 12/52 of a year's months.
    ['5 nm', 'torque', 'n·m', 5],
    ['10 lbf·ft', 'torque', 'n·m', 13.55818],
    ['10 ft·lb', 'torque', 'n·m', 13.55818],
    ['10 lbf', 'force', 'n', 44.48222],
    ['36 kJ', 'energy', 'wh', 10],
    ['30 deg', 'angle', '°', 30],
    ['26 weeks', 'months', 'months', 6],
    ['2 fl oz', 'volume', 'ml', 59.14706],
    ['2 L', 'volume', 'ml', 2000],
    ['12', 'number', '', 12],
    ['  .5 ', 'mass', 'g', 0.5],
    ['5 KG  ', 'mass', 'g', 5000],
    ['+3', 'mass', 'g', 3],
  ] as const)('%s', (text, quantity, unit, expected) => expect(value(text, quantity, unit)).toBeCloseTo(expected, 5))

  it('reads back what the app itself writes, to the figures that are shown', () => {
    for (const system of ['metric', 'imperial'] as const) {
      for (const grams of [0.3, 7, 99.6, 1184, 12_345, 1_234_567]) {
        const read = readMeasure(gramsInWords(grams, system), 'mass', 'g')
        expect('value' in read ? read.value : read.error).toSatisfy(
          (back: number) => Math.abs(back - grams) <= 1.5 + grams * 0.05,
        )
      }
      for (const km of [0.4, 9.9, 212, 1184, 12_345]) {
        const read = readMeasure(kmInWords(km, system), 'distance', 'km')
        expect('value' in read ? read.value : read.error).toSatisfy((back: number) => Math.abs(back - km) <= 0.9)
      }
    }
    for (const hours of [0.001, 0.4, 5.2, 1184]) {
      const read = readMeasure(hoursInWords(hours), 'time', 'h')
      expect('value' in read ? read.value : read.error).toSatisfy((back: number) => Math.abs(back - hours) <= 0.5)
    }
    expect(readMeasure(gramsInWords(1184, 'metric'), 'mass', 'g')).toEqual({ value: 1184 })
  })

  it('takes shares of a hundred for what they are', () => {
    for (let share = 0; share <= 100; share++) expect(value(`${share} %`, 'share', '%')).toBe(share / 100)
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
  it('that are no units of what is measured are refused with those that are', () => {
    expect(value('3 stone', 'mass', 'g')).toBe('“stone” is not a unit of mass; use g, kg, oz, lb, lbs')
    expect(value(' 3 g ', 'number', '')).toBe('“3 g” is not a plain number')
    expect(value('x', 'number', '')).toBe('“x” is not a number; try “12”')
    expect(value(' x ', 'mass', 'oz')).toBe('“x” is not a number; try “12 oz”')
  })
})

describe('amounts in customary units', () => {
  it('are rounded as they are shown, and never minus nothing', () => {
    expect(inUnit(1234.56, customary.mass.metric)).toBe(1234.6)
    expect(inUnit(28.349523125, customary.mass.imperial)).toBe(1)
    expect(inUnit(100, customary.warmth.imperial)).toBe(212)
    expect(inUnit(0, customary.warmth.imperial)).toBe(32)
    expect(Object.is(inUnit(-0.01, customary.mass.metric), 0)).toBe(true)
    expect(inUnit(0.5, customary.share.metric)).toBe(50)
  })
  it('are read back as they are shown, in every unit there is', () => {
    for (const amount of Object.values(customary)) {
      for (const shown of [amount.metric, amount.imperial]) {
        const read = readMeasure(`12.5 ${shown.unit}`, amount.quantity, shown.unit)
        if (!('value' in read)) throw new Error(read.error)
        expect(inUnit(read.value, { ...shown, decimals: 6 })).toBeCloseTo(12.5, 6)
      }
    }
  })
})
