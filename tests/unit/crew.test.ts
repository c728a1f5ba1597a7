import {
  bestHands,
  commonLevel,
  crewSuccess,
  handSuccess,
  levelAtDeparture,
  nextLevel,
  practised,
  practisedInTime,
  riderSchema,
  strongestHandN,
  successBySkill,
  unpractised,
  type Skill,
} from '#core/crew'
import { isInTime, openTask } from '#core/task'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'

describe('hands', () => {
  const technique = (difficulty: 'easy' | 'medium' | 'hard') => ({
    id: 't',
    name: 't',
    difficulty,
    family: 'tyres' as const,
  })
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

describe('a crew', () => {
  const rider = (id: string, bikeId: string, hands: Skill, more: object = {}) =>
    riderSchema.parse({ id, name: id, bikeId, hands, ...more })
  const chain = { id: 'chain', name: 'join a chain', difficulty: 'medium', family: 'chain' } as const
  const [able, novice] = [rider('a', 'hers', 2), rider('n', 'his', 0)]

  it('brings off together what its best hands can, and apart what those on that bike can', () => {
    expect(crewSuccess([able, novice], 'his', chain, 0, 0)).toBe(successBySkill.medium[2])
    expect(crewSuccess([able, novice], 'his', chain, 0, 1)).toBe(successBySkill.medium[0])
    // A quarter of the riding apart: 0.75 · 0.93 + 0.25 · 0.2.
    expect(crewSuccess([able, novice], 'his', chain, 0, 0.25)).toBeCloseTo(0.7475, 12)
    expect(crewSuccess([able, novice], 'hers', chain, 0, 0.25)).toBeCloseTo(0.93, 12)
  })
  it('of strangers to a bike is as good there as with one level less', () => {
    const strange = (...crew: (typeof able)[]) => crewSuccess(crew, 'his', chain, 0, 0, true)
    expect(strange(able, novice)).toBe(successBySkill.medium[1])
    expect(strange(rider('r', 'his', 3))).toBe(successBySkill.medium[2])
    // Who has never done it is no worse, and a passer-by knows no bike anyway.
    expect(strange(novice)).toBe(successBySkill.medium[0])
    expect(crewSuccess([novice], 'his', chain, 0.5, 0, true)).toBe(crewSuccess([novice], 'his', chain, 0.5, 0))
  })
  it('of one, or with a bike that nobody rides, is never apart', () => {
    expect(crewSuccess([novice], 'his', chain, 0, 0.7)).toBe(successBySkill.medium[0])
    expect(crewSuccess([able, novice], 'led along', chain, 0, 0.7)).toBe(successBySkill.medium[2])
  })
  it('without anybody has the hands of passers-by alone', () => {
    expect(crewSuccess([], 'his', chain, 0, 0)).toBe(successBySkill.medium[0])
    expect(crewSuccess([], 'his', chain, 1, 0)).toBeCloseTo(0.2 + 0.8 * 0.93, 12)
  })
  it('turns what its strongest hand turns', () => {
    const dials = { handMostN: 400 }
    const [strong, weak] = [rider('s', 'b', 2, { handMostN: 520 }), rider('w', 'b', 2, { handMostN: 150 })]
    expect(strongestHandN({ crew: [strong, weak], dials })).toBe(520)
    expect(strongestHandN({ crew: [weak, novice], dials })).toBe(400)
    expect(strongestHandN({ crew: [weak], dials })).toBe(150)
    expect(strongestHandN({ crew: [], dials })).toBe(400)
  })
})

describe('practice', () => {
  const rider = (hands: Skill, skills: Record<string, Skill> = {}) =>
    riderSchema.parse({ id: 'r', name: 'r', bikeId: 'b', hands, skills })

  it('at home makes never and watched into done at home, and then on a ride into done on the road', () => {
    expect([0, 1, 2, 3].map((level) => nextLevel(rider(level as Skill), 'chain'))).toEqual([2, 2, 3, null])
    expect(nextLevel(rider(3, { chain: 0 }), 'chain')).toBe(2)
  })
  it('counts by departure, in that technique alone', () => {
    const once = practised(rider(1), 'chain', '2026-05-30')
    expect(once.practice).toEqual([{ ...openTask, technique: 'chain', level: 2, on: '2026-05-30' }])
    expect([levelAtDeparture(once, 'chain'), levelAtDeparture(once, 'spokes')]).toEqual([2, 1])
    expect(bestHands([rider(1), { ...once, id: 'o' }], 'chain')).toEqual({ level: 2, riderId: 'o' })
    const twice = practised(once, 'chain')
    expect(twice.practice).toEqual([{ ...openTask, technique: 'chain', level: 3 }])
    expect(practised(twice, 'chain')).toBe(twice)
  })
  it('never makes hands worse, and what was planned below what they know by now counts as nothing', () => {
    const learnt = { ...practised(rider(1), 'chain'), hands: 3 as const }
    expect(levelAtDeparture(learnt, 'chain')).toBe(3)
  })
  it('taken back leaves the rider as before', () => {
    const before = practised(rider(1), 'spokes')
    expect(unpractised(practised(before, 'chain'), 'chain')).toEqual(before)
  })
  it('that was left undone counts for nothing, and is begun anew from where one stands', () => {
    const once = practised(rider(1), 'chain')
    const left = { ...once, practice: once.practice.map((each) => ({ ...each, state: 'left' as const })) }
    expect(levelAtDeparture(left, 'chain')).toBe(1)
    expect(practisedInTime([left], null)[0]?.practice).toEqual([])
    expect(practised(left, 'chain').practice).toEqual(once.practice)
    // What was done counts whatever day stands beside it.
    expect(isInTime({ on: '2030-01-01', state: 'done' }, '2026-06-12T08:30')).toBe(true)
  })
  it('counts only before the day on which the ride begins; without a day, or a ride, it does', () => {
    const on = (day: string | null) => ({ ...openTask, technique: 'chain', level: 2 as const, on: day })
    const start = '2026-06-12T08:30'
    expect([null, '2026-06-11', '2026-06-12', '2026-06-13'].map((day) => isInTime(on(day), start))).toEqual([
      true,
      true,
      false,
      false,
    ])
    expect(isInTime(on('2026-06-13'), null)).toBe(true)
    const [late] = practisedInTime([practised(rider(1), 'chain', '2026-06-12')], start)
    expect(late && levelAtDeparture(late, 'chain')).toBe(1)
  })
})

describe('a family of work', () => {
  const rider = riderSchema.parse({ id: 'r', name: 'r', bikeId: 'b', hands: 2, skills: { spokes: 0, rims: 0 } })
  it('has a level where all of it is at that level', () => {
    expect(commonLevel(rider, ['chain', 'cables'])).toBe(2)
    expect(commonLevel(rider, ['spokes', 'rims'])).toBe(0)
    expect(commonLevel(rider, ['chain', 'spokes'])).toBeNull()
    expect(commonLevel(rider, [])).toBeNull()
  })
})
