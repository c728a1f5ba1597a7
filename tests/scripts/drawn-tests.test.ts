import { describe, expect, it } from 'vitest'
import { drawnTests, testsListed } from '../../scripts/drawn-tests'

const tests = Array.from({ length: 1000 }, (_, i) => `  road.spec.ts:${i}:3 › by touch › what is done is done, ${i}`)
const kept = '  rider.spec.ts:5:1 › from a file to a kit'

describe('tests that are drawn', () => {
  it('are one in twelve, and those that are always tried', () => {
    const drawn = drawnTests([...tests, kept], [kept], 'a')
    expect(drawn.length).toBeGreaterThan(55)
    expect(drawn.length).toBeLessThan(115)
    expect(drawn).toContain(kept)
  })
  it('are the same by the same seed, wherever they stand in their files and whatever else there is', () => {
    const moved = tests.map((test) => test.replace(/:\d+:/, ':77:'))
    const numbers = (lines: readonly string[]) => lines.map((line) => line.split(', ')[1])
    expect(numbers(drawnTests(moved, [], 'a'))).toEqual(numbers(drawnTests(tests, [], 'a')))
    expect(drawnTests(tests.slice(500), [], 'a')).toEqual(
      drawnTests(tests, [], 'a').filter((test) => tests.indexOf(test) >= 500),
    )
  })
  it('are others by other seeds, until all have been', () => {
    const seeds = Array.from({ length: 250 }, (_, i) => `seed ${i}`)
    const tried = new Set(seeds.flatMap((seed) => drawnTests(tests, [], seed)))
    expect(tried.size).toBe(tests.length)
  })
})

it('the list of tests is read without what is said around it', () =>
  expect(testsListed(`Listing tests:\n${tests.slice(0, 2).join('\n')}\nTotal: 2 tests in 1 file\n`)).toEqual(
    tests.slice(0, 2),
  ))
