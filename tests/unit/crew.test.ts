import { bestHands, handSuccess, riderSchema, successBySkill, type Skill } from '#core/crew'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'

describe('hands', () => {
  const technique = (difficulty: 'easy' | 'medium' | 'hard') => ({ id: 't', name: 't', difficulty })
  it('get better with every level, and worse with every difficulty', () => {
    for (const row of Object.values(successBySkill)) expect([...row]).toEqual([...row].sort((a, b) => a - b))
    for (const level of [0, 1, 2, 3] as const) {
      expect(successBySkill.easy[level]).toBeGreaterThan(successBySkill.medium[level])
      expect(successBySkill.medium[level]).toBeGreaterThan(successBySkill.hard[level])
    }
  })
  it('of a passer-by who has done it at home help where one’s own cannot', () => {
    // 0.25 of those who have watched; of the other 0.75, with 0.3 somebody stops who can in 0.8.
    expect(handSuccess(1, technique('hard'), 0.3)).toBeCloseTo(0.25 + 0.75 * 0.3 * 0.8, 12)
    expect(handSuccess(3, technique('hard'), 1)).toBeCloseTo(0.95 + 0.05 * 0.8, 12)
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
  it('are the best of the crew in each technique, of equals the first', () => {
    const rider = (id: string, hands: Skill, skills: Record<string, Skill> = {}) =>
      riderSchema.parse({ id, name: id, bikeId: 'b', hands, skills })
    const crew = [rider('a', 1, { air: 3 }), rider('b', 2, { air: 3, spokes: 0 }), rider('c', 2)]
    expect(bestHands(crew, 'air')).toEqual({ level: 3, riderId: 'a' })
    expect(bestHands(crew, 'chain')).toEqual({ level: 2, riderId: 'b' })
    expect(bestHands(crew, 'spokes')).toEqual({ level: 2, riderId: 'c' })
    expect(bestHands([rider('d', 0)], 'air')).toEqual({ level: 0, riderId: 'd' })
    expect(bestHands([], 'air')).toEqual({ level: 0, riderId: null })
  })
})
