import { formatMoney, minorDigits, moneyAsTyped, mostMoney, readMoney } from '#core/money'
import { Fault } from '#core/validation'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'

describe('money', () => {
  // ISO 4217, list one, column "minor unit": from memory.
  it.each([
    ['EUR', 2],
    ['CHF', 2],
    ['SEK', 2],
    ['JPY', 0],
    ['KRW', 0],
    ['KWD', 3],
    ['TND', 3],
  ])('of %s has %i digits after the point', (currency, digits) => {
    expect(minorDigits(currency)).toBe(digits)
  })

  it.each([
    ['12', 'EUR', 1200],
    ['12.5', 'EUR', 1250],
    ['12,50', 'EUR', 1250],
    ['0.05', 'EUR', 5],
    ['1 250', 'EUR', 125_000],
    ['1.250', 'EUR', 125_000],
    ['1,250.75', 'EUR', 125_075],
    ['1.250,75', 'EUR', 125_075],
    ['1’250.75', 'CHF', 125_075],
    ['12.50 EUR', 'EUR', 1250],
    ['eur 12', 'EUR', 1200],
    ['1500', 'JPY', 1500],
    ['1,500', 'JPY', 1500],
    ['1.2345', 'KWD', null],
    ['1.234', 'KWD', 1234],
    ['1,234.5', 'KWD', 1_234_500],
    ['0.5', 'JPY', null],
    ['12.345,6.7', 'EUR', null],
    ['1,250.755', 'EUR', null],
    ['1,250,75', 'EUR', null],
    ['1.250.000', 'EUR', 125_000_000],
    ['1250,755', 'EUR', null],
    ['1.2345', 'EUR', null],
    ['-3', 'EUR', null],
    ['twelve', 'EUR', null],
    ['', 'EUR', null],
    ['1e3', 'EUR', null],
    ['=1+1', 'EUR', null],
    ['99999999999', 'EUR', null],
  ])('“%s” of %s is read as %s', (text, currency, money) => {
    if (money === null) expect(() => readMoney(text, currency)).toThrow(Fault)
    else expect(readMoney(text, currency)).toBe(money)
  })

  it('is written and read again to the last coin, whatever the currency', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: mostMoney }), fc.constantFrom('EUR', 'JPY', 'KWD'), (money, currency) => {
        const text = String(money).padStart(minorDigits(currency) + 1, '0')
        expect(moneyAsTyped(money, currency).replace('.', '')).toBe(text)
        expect(readMoney(moneyAsTyped(money, currency), currency)).toBe(money)
        expect(formatMoney(money, currency).replaceAll(/\D/g, '')).toBe(text.replace(/^0+(?=\d{4})/, ''))
      }),
    )
  })

  it('is written without a rounding of its parts', () => {
    expect(formatMoney(1250, 'EUR')).toBe('€12.50')
    expect(formatMoney(5, 'EUR')).toBe('€0.05')
    expect(formatMoney(1250, 'JPY')).toBe('¥1,250')
    expect(formatMoney(1_999_999_99, 'EUR', 'de')).toBe('1.999.999,99\u00a0€')
  })
})
