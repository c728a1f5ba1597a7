import { readMeasure, customary, inUnit } from '#core/units'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'

describe('numbers as people type them', () => {
  it('what is written out is read back, whatever the unit', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1e5, noNaN: true }),
        fc.constantFrom('g', 'kg', 'oz', 'lb'),
        (value, unit) => {
          // Three figures behind a comma are thousands.
          const shown = value.toFixed(2)
          const read = readMeasure(`${shown} ${unit}`, 'mass', 'g')
          const plain = readMeasure(shown, 'mass', unit)
          expect(read).toEqual(plain)
          expect(readMeasure(`${shown.replace('.', ',')}${unit.toUpperCase()}`, 'mass', 'g')).toEqual(read)
        },
      ),
    )
  })
  it('every amount is read back in the unit it is shown in', () => {
    for (const { quantity, ...systems } of Object.values(customary)) {
      for (const customaryUnit of Object.values(systems)) {
        const { unit } = customaryUnit
        const shown = String(inUnit(37, customaryUnit))
        expect(readMeasure(shown, quantity, unit)).toEqual(readMeasure(`${shown} ${unit}`, quantity, unit))
        const read = readMeasure(shown, quantity, unit)
        if (!('value' in read)) throw new Error(read.error)
        // To half of the last digit shown.
        expect(Math.abs(read.value - 37)).toBeLessThanOrEqual(
          (customaryUnit.per / 2) * 10 ** -customaryUnit.decimals + 1e-9,
        )
      }
    }
  })
  it('what cannot be read is refused in words, never guessed at', () => {
    for (const bad of ['', 'heavy', '1.2.3', '12 stone', '1e3', '0x10', '- 4', '٣']) {
      expect(readMeasure(bad, 'mass', 'g')).toHaveProperty('error')
    }
    expect(readMeasure('12 psi', 'mass', 'g')).toEqual({ error: '“psi” is not a unit of mass; use g, kg, oz, lb, lbs' })
  })
})
