import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { doublesOf, laidOutG, pinSchema, thingSchema } from '../../core/bench'
import { handSuccess, successBySkill, type Skill } from '../../core/crew'
import { checkAgainst, Faults, pathInWords } from '../../core/fault'
import {
  isHelp,
  knownFroms,
  parcelArrives,
  readClass,
  serviceSchema,
  stockChance,
  stopSchema,
  type KnownFrom,
  type Stop,
} from '../../core/supply'
import { catalogue } from '../../catalogue'
import {
  readMeasure,
  wordsForChance,
  wordsForClimb,
  wordsForGrams,
  wordsForHours,
  wordsForKm,
  wordsForStretch,
  customary,
  amountInWords,
  inUnit,
  rangeInWords,
  spreadInWords,
} from '../../core/units'

describe('hands', () => {
  const technique = (difficulty: 'easy' | 'medium' | 'hard') => ({ id: 't', name: 't', difficulty })
  it('get better with every level, and worse with every difficulty', () => {
    for (const row of Object.values(successBySkill)) expect([...row]).toEqual([...row].sort((a, b) => a - b))
    for (const level of [0, 1, 2, 3] as const) {
      expect(successBySkill.easy[level]).toBeGreaterThan(successBySkill.medium[level])
      expect(successBySkill.medium[level]).toBeGreaterThan(successBySkill.hard[level])
    }
  })
  it('of a passer-by help those who know less, and nobody else', () => {
    // 0.3 of the way from 0.10 (watched) to 0.60 (done at home).
    expect(handSuccess(1, technique('hard'), 0.3)).toBeCloseTo(0.25, 12)
    expect(handSuccess(3, technique('hard'), 1)).toBe(successBySkill.hard[3])
    expect(handSuccess(0, technique('easy'), 0)).toBe(successBySkill.easy[0])
  })
  it('never do worse for help', () => {
    fc.assert(
      fc.property(fc.constantFrom<Skill>(0, 1, 2, 3), fc.double({ min: 0, max: 1, noNaN: true }), (level, helper) => {
        const alone = handSuccess(level, technique('medium'), 0)
        const helped = handSuccess(level, technique('medium'), helper)
        expect(helped).toBeGreaterThanOrEqual(alone)
        expect(helped).toBeLessThanOrEqual(1)
      }),
    )
  })
})

describe('what places stock', () => {
  const { services, families } = catalogue
  const stop = (kind: string, stocks: Record<string, number> = {}) =>
    stopSchema.parse({ id: 's', name: 's', roadKm: 1, services: [{ kind, stocks }] })
  const chance = (place: Stop, classId: string) => stockChance(place.services[0]!, classId, services, families)

  it('what is known of a place outweighs what is usual, either way', () => {
    const known = stop('supermarket', { 'hanger-k9': 1 })
    expect(chance(known, 'hanger-k9')).toBe(1)
    expect(chance(stop('bike-shop', { 'tube-622': 0 }), 'tube-622')).toBe(0)
  })
  it('one’s own parcel outweighs both', () => {
    const post = stopSchema.parse({ id: 's', name: 's', roadKm: 1, services: [{ kind: 'post', parcel: { chain: 1 } }] })
    expect(chance(post, 'chain')).toBe(parcelArrives)
  })
  it('what is only said to be there is believed less', () => {
    const from = (knownFrom: KnownFrom) =>
      stockChance(serviceSchema.parse({ kind: 'bike-shop', knownFrom }), 'tube-622', services, families)
    expect(knownFroms.map(from)).toEqual([...knownFroms.map(from)].sort((a, b) => b - a))
    expect(from('hearsay')).toBeCloseTo(from('asked') * 0.6, 12)
  })
  it('a bicycle shop has a usual tube sooner than an odd one', () => {
    const service = stop('bike-shop').services[0]!
    const usual = stockChance(service, 'tube-622', services, families)
    const odd = stockChance(service, 'tube-349', services, families)
    expect(usual).toBeGreaterThan(odd)
    expect(odd).toBeGreaterThan(0)
  })
  it('a kind of place nobody has heard of stocks nothing and mends nothing', () => {
    expect(chance(stop('observatory'), 'tube-622')).toBe(0)
    expect(isHelp(stop('observatory'), services)).toBe(false)
  })
  it('an exit is help though nothing is sold there', () => {
    expect(isHelp(stopSchema.parse({ id: 'q', name: 'quay', roadKm: 3, exit: 'ferry' }), services)).toBe(true)
  })
  it('classes are read by family and size, and by nothing else', () => {
    expect(readClass('tube-622', families)).toMatchObject({ family: { id: 'tube' }, variant: '622' })
    for (const bad of ['tube', 'tube-62', 'tube-6222', 'tube-622-x', 'Tube-622', '', 'no-such-622']) {
      expect(readClass(bad, families)).toBeUndefined()
    }
  })
  it('no chance is above one or below nothing', () => {
    for (const kind of services) {
      for (const family of families) {
        const variants = ['', '622', '12', 'a1', '290', 'cable', ...Object.keys(family.commonness)]
        for (const variant of variants) {
          const classId = variant ? `${family.id}-${variant}` : family.id
          const chance = stockChance(serviceSchema.parse({ kind: kind.id }), classId, services, families)
          expect(chance).toBeGreaterThanOrEqual(0)
          expect(chance).toBeLessThanOrEqual(1)
        }
      }
    }
  })
})

describe('things on the bench', () => {
  const thing = (id: string, provides: string[], massG = 50) => thingSchema.parse({ id, name: id, massG, provides })
  it('double one another when one does all the other does', () => {
    const keys = thing('keys', ['hex-4', 'hex-5'])
    const folding = thing('folding', ['hex-4', 'hex-5', 'slot'])
    const driver = thing('driver', ['slot'])
    expect(doublesOf(keys, [keys, folding, driver]).map(({ id }) => id)).toEqual(['folding'])
    expect(doublesOf(folding, [keys, folding, driver])).toEqual([])
    expect(doublesOf(thing('rag', []), [keys])).toEqual([])
  })
  it('weigh what all their pieces weigh', () => {
    expect(laidOutG([{ ...thing('a', []), count: 3 }, thing('b', [], 7)])).toBe(157)
    expect(laidOutG([])).toBe(0)
  })
  it('have pins whose least is not above their most', () => {
    expect(pinSchema.safeParse({ min: 1, max: 1 }).success).toBe(true)
    expect(pinSchema.safeParse({ min: 2, max: 1 }).success).toBe(false)
  })
})

describe('faults', () => {
  const schema = z.object({ bench: z.array(z.object({ massG: z.number().gt(0), kind: z.enum(['tool', 'spare']) })) })
  it('say where, what and what was expected, one line each', () => {
    const check = () =>
      checkAgainst(schema, {
        bench: [
          { massG: -3, kind: 'toy' },
          { massG: 'heavy', kind: 'tool' },
        ],
      })
    expect(check).toThrow(Faults)
    try {
      check()
    } catch (error) {
      expect((error as Faults).faults.map(({ message }) => message)).toEqual([
        'bench[0].massG: -3; expected more than 0',
        'bench[0].kind: "toy"; expected one of "tool", "spare"',
        'bench[1].massG: "heavy"; expected a value of type number',
      ])
    }
  })
  it('cut what was found when it is long', () => {
    const check = () => checkAgainst(z.object({ a: z.number() }), { a: 'x'.repeat(500) })
    expect(check).toThrow(/^a: "x{56}…; expected a value of type number$/)
  })
  it('of the whole document say so', () => {
    expect(() => checkAgainst(schema, null)).toThrow(/^the document: null; expected/)
    expect(pathInWords(['road', 'points', 3, 0])).toBe('road.points[3][0]')
  })
  it('stop at twenty', () => {
    const check = () =>
      checkAgainst(
        z.array(z.number()),
        Array.from({ length: 500 }, () => 'x'),
      )
    try {
      check()
      expect.unreachable()
    } catch (error) {
      expect((error as Faults).faults).toHaveLength(20)
    }
  })
})

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
    for (const [hours, words] of cases) expect(wordsForHours(hours)).toBe(words)
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
    expect(wordsForGrams(1184, 'metric')).toBe('1\u202f184 g')
    expect(wordsForGrams(2.5, 'metric')).toBe('2.5 g')
    expect(wordsForGrams(40, 'imperial')).toBe('1.4 oz')
    expect(wordsForGrams(1184, 'imperial')).toBe('2.6 lb')
  })
  it('distances and climbs', () => {
    expect(wordsForKm(212.4, 'metric')).toBe('212 km')
    expect(wordsForKm(3.21, 'metric')).toBe('3.2 km')
    expect(wordsForKm(212, 'imperial')).toBe('132 mi')
    expect(wordsForStretch(71, 311, 'metric')).toBe('km 71–311')
    expect(wordsForStretch(71, 311, 'imperial')).toBe('mi 44–193')
    expect(wordsForClimb(9410, 'imperial')).toBe('30\u202f873 ft')
  })
  it('chances keep clear of never and always', () => {
    expect(wordsForChance(0)).toBe('0\u202f%')
    expect(wordsForChance(0.0004)).toBe('< 0.1\u202f%')
    expect(wordsForChance(0.9995)).toBe('> 99.9\u202f%')
    expect(wordsForChance(1)).toBe('100\u202f%')
    expect(wordsForChance(0.614)).toBe('61\u202f%')
  })
})

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
