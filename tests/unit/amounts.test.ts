import {
  chanceInWords,
  climbInWords,
  climbRateInWords,
  gramsInWords,
  handfulG,
  massWord,
  hoursInWords,
  kmInWords,
  stretchInWords,
  amountInWords,
  rangeInWords,
  spreadInWords,
} from '#wording'
import { describe, expect, it } from 'vitest'

describe('amounts in words', () => {
  it('hours shrink to minutes and seconds, and never claim more than they know', () => {
    const cases: [number, string][] = [
      [0, '0 min'],
      [0.0001, '0 min'],
      [0.005, '18 s'],
      [0.2, '12 min'],
      [0.999, '1.0 h'],
      [5.23, '5.2 h'],
      [99.9, '99.9 h'],
      [1234.4, '1\u202f234 h'],
      [-0.2, '−12 min'],
      [-3, '−3.0 h'],
    ]
    for (const [hours, words] of cases) expect(hoursInWords(hours)).toBe(words)
  })
  it('amounts, ranges of them and how far they may be off, in this person’s units', () => {
    expect(amountInWords(2.138, 'pressure', 'metric')).toBe('2.14 bar')
    expect(amountInWords(2.138, 'pressure', 'imperial')).toBe('31 psi')
    expect(amountInWords(0.046, 'time', 'metric')).toBe('3 min')
    expect(rangeInWords(4, 6, 'torque', 'metric')).toBe('4–6 N·m')
    expect(rangeInWords(8, 8, 'torque', 'metric')).toBe('8 N·m')
    expect(rangeInWords(12, 14, 'torque', 'imperial')).toBe('12–14 N·m')
    expect(rangeInWords(1, 2, 'pressure', 'imperial')).toBe('14.5–29 psi')
    expect(spreadInWords(30.52, 'number', 'metric')).toBe('± 31')
    expect(spreadInWords(0.21, 'pressure', 'imperial')).toBe('± 3 psi')
    expect(spreadInWords(0.0096, 'time', 'metric')).toBe('± 35 s')
    expect(spreadInWords(10, 'warmth', 'imperial')).toBe('± 18 °F')
    expect(spreadInWords(0.00001, 'pressure', 'metric')).toBe('')
  })
  it('grams and ounces', () => {
    expect(gramsInWords(1184, 'metric')).toBe('1\u202f184 g')
    expect(gramsInWords(2.5, 'metric')).toBe('2.5 g')
    expect(gramsInWords(40, 'imperial')).toBe('1.4 oz')
    // 16 ounces to the pound of 453.59237 g (international yard and pound agreement, 1959).
    expect(gramsInWords(handfulG('imperial'), 'imperial')).toBe('4.0 oz')
    expect(gramsInWords(handfulG('metric'), 'metric')).toBe('100 g')
    expect([massWord('metric'), massWord('imperial')]).toEqual(['grams', 'ounces'])
    expect(gramsInWords(1184, 'imperial')).toBe('2.6 lb')
  })
  it('distances and climbs', () => {
    expect(kmInWords(212.4, 'metric')).toBe('212 km')
    expect(kmInWords(3.21, 'metric')).toBe('3.2 km')
    expect(kmInWords(212, 'imperial')).toBe('132 mi')
    expect(stretchInWords(71, 311, 'metric')).toBe('km 71–311')
    expect(stretchInWords(71, 311, 'imperial')).toBe('mi 44–193')
    expect(climbInWords(9410, 'imperial')).toBe('30\u202f873 ft')
    expect(climbRateInWords(10, 'metric')).toBe('10 m in a kilometre')
    expect(climbRateInWords(10, 'imperial')).toBe('53 ft in a mile')
  })
  it('chances keep clear of never and always', () => {
    expect(chanceInWords(0)).toBe('0\u202f%')
    expect(chanceInWords(0.0004)).toBe('< 0.1\u202f%')
    expect(chanceInWords(0.9995)).toBe('> 99.9\u202f%')
    expect(chanceInWords(1)).toBe('100\u202f%')
    expect(chanceInWords(0.614)).toBe('61\u202f%')
  })
})
