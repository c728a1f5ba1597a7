import { wornOutAtLeast } from '#core/maths'
import { nth, numberAt } from '#core/validation'
import { describe, expect, it } from 'vitest'
import { WearLaw } from '../../core/promise/wear-law'

/** The chances of none, one, two … that an addition of counts comes to, leg after leg. */
function countsAfter(law: WearLaw, legs: number): number[] {
  let chances = [1]
  for (let leg = 0; leg < legs; leg++) {
    const next: number[] = []
    chances.forEach((chance, count) =>
      law
        .moreOn(leg, count)
        .forEach((share, more) => (next[count + more] = (next[count + more] ?? 0) + chance * share)),
    )
    chances = next
  }
  return chances
}

describe('how often a part wears out', () => {
  const wear = { left: 0.4, spread: 0.5, lives: [0.5, 0.9, 0.7], freshAtLegs: [] as number[] }
  const atLeast = (count: number, lives: number) => wornOutAtLeast(count, lives, 0.4, 0.5)

  it('is in the mean what the Gamma law says, leg by leg', () => {
    const law = new WearLaw(wear, 3)
    const meanAt = (lives: number) =>
      Array.from({ length: 30 }, (_, k) => atLeast(k + 1, lives)).reduce((a, b) => a + b, 0)
    expect(numberAt(law.expected, 0)).toBeCloseTo(meanAt(0.5), 6)
    expect(numberAt(law.expected, 1)).toBeCloseTo(meanAt(1.4) - meanAt(0.5), 6)
    expect(numberAt(law.expected, 2)).toBeCloseTo(meanAt(2.1) - meanAt(1.4), 6)
  })
  it('comes on the first leg as the law says, and after more of them nearly so', () => {
    const law = new WearLaw(wear, 3)
    const first = countsAfter(law, 1)
    const chanceOf = (chances: readonly number[], k: number) =>
      chances.slice(k).reduce((sum, chance) => sum + chance, 0)
    for (const k of [1, 2, 3]) expect(chanceOf(first, k)).toBeCloseTo(atLeast(k, 0.5), 6)
    for (const k of [1, 2, 3, 4])
      expect(Math.abs(chanceOf(countsAfter(law, 2), k) - atLeast(k, 1.4))).toBeLessThan(0.01)
    for (const k of [1, 2, 3, 4])
      expect(Math.abs(chanceOf(countsAfter(law, 3), k) - atLeast(k, 2.1))).toBeLessThan(0.02)
    for (const legs of [1, 2, 3]) expect(chanceOf(countsAfter(law, legs), 0)).toBeCloseTo(1, 6)
  })
  it('begins anew where a new one is fitted', () => {
    const law = new WearLaw({ ...wear, freshAtLegs: [1] }, 3)
    expect([0, 1, 2].map((leg) => law.isFresh(leg))).toEqual([false, true, false])
    const meanOfNew = (lives: number) =>
      Array.from({ length: 30 }, (_, k) => wornOutAtLeast(k + 1, lives, 1, 0.5)).reduce((a, b) => a + b, 0)
    expect(numberAt(law.expected, 0)).toBeCloseTo(numberAt(new WearLaw(wear, 3).expected, 0), 12)
    expect(numberAt(law.expected, 1)).toBeCloseTo(meanOfNew(0.9), 6)
    expect(numberAt(law.expected, 2)).toBeCloseTo(meanOfNew(1.6) - meanOfNew(0.9), 6)
  })
  it('is a matter of counting where it wears evenly', () => {
    const even = new WearLaw({ left: 0.4, spread: 0, lives: [0.5, 1.2, 0.2], freshAtLegs: [] }, 3)
    // Worn by 0.5, 1.7 and 1.9 lives: past 0.4 once, past 1.4 a second time, past 2.4 not yet.
    expect([...even.expected]).toEqual([1, 1, 0])
    expect(even.moreOn(0, 0)).toEqual([0, 1])
    expect(even.moreOn(1, 1)).toEqual([0, 1])
    expect(even.moreOn(2, 2)).toEqual([1])
    // It cannot have been worn out any other number of times.
    expect(nth(even.moreOn(1, 3), 0)).toBe(1)
  })
  it('is never where nothing wears it', () => {
    const still = new WearLaw({ left: 0.5, spread: 0.4, lives: [0, 0.3], freshAtLegs: [] }, 2)
    expect(numberAt(still.expected, 0)).toBe(0)
    expect(still.moreOn(0, 0)).toEqual([1])
    expect(numberAt(still.expected, 1)).toBeGreaterThan(0)
  })
})
