import {
  afterCutting,
  easyGearsLost,
  beltLinks,
  chainSwapsAlong,
  gearInches,
  linksForLargest,
  lostGears,
  singleSpeeds,
} from '#core/chain'
import { nth } from '#core/validation'
import { describe, expect, it } from 'vitest'

describe('the length of a chain', () => {
  it('by the usual formula: 100 pitches between the axles, 40 and 20 teeth, worked by hand', () => {
    // 2 · 100 + 30 + (20 / 2π)² / 100 = 230.1013
    expect(beltLinks(1270, 40, 20)).toBeCloseTo(230.1013, 4)
    expect(beltLinks(1270, 20, 40)).toBeCloseTo(230.1013, 4)
    expect(beltLinks(1270, 30, 30)).toBeCloseTo(230, 9)
    // Worn by a hundredth it is longer, so fewer links go round: 200 / 1.01 + 30 + (20 / 2π)² · 1.01 / 100.
    expect(beltLinks(1270, 40, 20, 0.01)).toBeCloseTo(228.1221, 4)
  })
  it('for the largest gear is an even number of links, an inch more than tight', () => {
    // Tight: exactly 2 · 30 + 40 = 100; with an inch 102.
    expect(linksForLargest(381, 40, 40)).toBe(102)
    // Tight a little above 100.05: 103 and a bit, so 104.
    expect(linksForLargest(382, 40, 40)).toBe(104)
  })
  it.each([
    ['chainstay', 299, 40, 40, '300 to 700 mm'],
    ['chainstay', 701, 40, 40, '300 to 700 mm'],
    ['chainring', 435, 5, 40, '6 to 70 teeth'],
    ['chainring', 435, 71, 40, '6 to 70 teeth'],
    ['sprocket', 435, 40, 5, '6 to 70 teeth'],
    ['sprocket', 435, 40, 71, '6 to 70 teeth'],
    ['chainstay', NaN, 40, 40, '300 to 700 mm'],
  ])('with a %s of none that there is, is refused (%f mm, %i and %i teeth)', (what, stay, ring, sprocket, range) => {
    expect(() => linksForLargest(stay, ring, sprocket)).toThrow(`${what}: `)
    expect(() => linksForLargest(stay, ring, sprocket)).toThrow(range)
  })
  it('takes the ends of the ranges', () => {
    for (const stay of [300, 700])
      for (const teeth of [6, 70]) expect(linksForLargest(stay, teeth, teeth)).toBeGreaterThan(0)
  })
})

describe('a chain that is cut', () => {
  // Tight round 40 and 40 over 381 mm: exactly 100 links, 102 with an inch; round 40 and 20 a good 90.
  const path = { chainstayMm: 381, chainrings: [40], sprockets: [20, 30, 40] }
  it('reaches no gear that wants more links than it has left', () => {
    expect(lostGears(path, 102)).toEqual([])
    expect(lostGears(path, 101.9)).toEqual([{ chainring: 40, sprocket: 40 }])
    expect(lostGears(path, 90).map(({ sprocket }) => sprocket)).toEqual([20, 30, 40])
  })
  it('loses gears, which a piece as long as needed brings back', () => {
    expect(afterCutting(path, 102, 2)).toEqual({
      links: 100,
      lost: [{ chainring: 40, sprocket: 40 }],
      pieceLinks: 2,
    })
    expect(afterCutting(path, 104, 4)).toEqual({
      links: 100,
      lost: [{ chainring: 40, sprocket: 40 }],
      pieceLinks: 2,
    })
    expect(afterCutting(path, 110, 4)).toEqual({ links: 106, lost: [], pieceLinks: 0 })
    // What was out of reach before stays so, and no piece is asked for it.
    expect(afterCutting(path, 100, 2).pieceLinks).toBe(0)
    expect(afterCutting(path, 102, 0)).toEqual({ links: 102, lost: [], pieceLinks: 0 })
    // The easiest gear is 40:40, then 40:30: a third harder; uncounted, the chain is as long as 40:40 needs.
    expect(easyGearsLost(path, 102, 0)).toBe(0)
    expect(easyGearsLost(path, 104, 2)).toBe(0)
    expect(easyGearsLost(path, 102, 2)).toBeCloseTo(1 / 3, 12)
    expect(easyGearsLost(path, null, 2)).toBeCloseTo(1 / 3, 12)
    // With a small ring the easiest gear stays when the largest ring loses its own.
    expect(easyGearsLost({ ...path, chainrings: [40, 26] }, 102, 2)).toBe(0)
    expect(easyGearsLost(path, 90, 10)).toBe(1)
    expect(easyGearsLost(path, 60, 60)).toBe(1)
  })
  it('is cut by pairs of links, and not wholly', () => {
    for (const cutOut of [1, -2, 0.5]) expect(() => afterCutting(path, 102, cutOut)).toThrow('links cut out')
    expect(() => afterCutting(path, 4, 4)).toThrow('fewer than the chain has')
    expect(() => afterCutting(path, 2, 4)).toThrow('fewer than the chain has')
  })
})

describe('a bike made a single speed', () => {
  // Round 40 and 20 over 381 mm a good 90.3 links: 92, and 1.66 links too much; round 38 and 22 as good as 90.
  const path = { chainstayMm: 381, chainrings: [40], sprockets: [16, 18, 20] }
  const speeds = (links = 120, wheelMm = 700) => singleSpeeds(path, wheelMm, links)
  it('has each gear once, with whole pairs of links round it and the slack that is left', () => {
    expect(
      speeds()
        .map(({ sprocket }) => sprocket)
        .sort(),
    ).toEqual([16, 18, 20])
    for (const { links, slackMm, chainring, sprocket } of speeds()) {
      const tight = beltLinks(path.chainstayMm, chainring, sprocket)
      expect(links % 2).toBe(0)
      expect(links - tight).toBeGreaterThanOrEqual(-1e-9)
      expect(links - tight).toBeLessThan(2)
      expect(slackMm).toBeCloseTo((links - tight) * 12.7, 9)
    }
  })
  it('runs so far out of line as its sprocket lies from the ring, the smallest outermost', () => {
    const outOfLine = Object.fromEntries(speeds().map(({ sprocket, outOfLineMm }) => [sprocket, outOfLineMm]))
    // Three sprockets, 4 mm apart for want of a better number, about 45 mm; the ring at 48 mm.
    expect(outOfLine).toEqual({ 16: 1, 18: 3, 20: 7 })
    const two = singleSpeeds({ ...path, chainrings: [30, 40], sprockets: [18] }, 700, 120)
    // Two rings, 7 mm apart about 48 mm; the smaller is the inner one.
    expect(Object.fromEntries(two.map((each) => [each.chainring, each.outOfLineMm]))).toEqual({ 30: 0.5, 40: 6.5 })
    const eleven = singleSpeeds({ ...path, sprockets: [11, 13, 15, 17, 19, 21, 24, 28, 32, 37, 42] }, 700, 120)
    const middle = eleven.find(({ sprocket }) => sprocket === 21)
    const next = eleven.find(({ sprocket }) => sprocket === 19)
    expect(nth([middle], 0)?.outOfLineMm).toBeCloseTo(3, 9)
    expect(next?.outOfLineMm).toBeCloseTo(0.7, 9)
  })
  it('rolls so far with a turn, and goes at sixty a minute', () => {
    const [gear] = singleSpeeds({ ...path, sprockets: [20] }, 700, 120)
    // 2 · π · 0.7 m = 4.398 m; sixty times sixty of them an hour.
    expect(gear?.developmentM).toBeCloseTo(4.3982, 4)
    expect(gear?.kmPerH).toBeCloseTo(15.8336, 3)
    expect(gearInches({ chainring: 40, sprocket: 20 }, 700)).toBeCloseTo(55.118, 3)
  })
  it('holds where it is straight and tight, and the chain long enough; the best comes first', () => {
    for (const each of speeds(120)) {
      expect(each.holds).toBe(each.slackMm <= 8 && each.outOfLineMm <= 7)
    }
    for (const each of speeds(88))
      expect(each.holds).toBe(each.slackMm <= 8 && each.outOfLineMm <= 7 && each.links <= 88)
    const badness = ({ slackMm, outOfLineMm }: (typeof found)[number]) => slackMm / 8 + outOfLineMm / 7
    const found = singleSpeeds({ ...path, sprockets: [11, 13, 15, 17, 19, 21, 24, 28, 32, 37, 42] }, 700, 120)
    const firstBad = found.findIndex(({ holds }) => !holds)
    expect(firstBad).toBeGreaterThan(0)
    expect(found.slice(firstBad).every(({ holds }) => !holds)).toBe(true)
    for (const part of [found.slice(0, firstBad), found.slice(firstBad)]) {
      expect(part.map(badness)).toEqual(part.map(badness).sort((a, b) => a - b))
    }
  })
  it('of exactly whole links has no slack, and wants no pair more', () => {
    const [gear] = singleSpeeds({ chainstayMm: 381, chainrings: [40], sprockets: [40] }, 700, 100)
    expect(gear).toMatchObject({ links: 100, holds: true })
    expect(gear?.slackMm).toBeCloseTo(0, 9)
    expect(singleSpeeds({ chainstayMm: 381, chainrings: [40], sprockets: [40] }, 700, 98)[0]?.holds).toBe(false)
  })
})

describe('chains to swap along a road', () => {
  it('are due when what is left is used up, and then after each whole life', () => {
    expect(chainSwapsAlong(0.5, 1000, 2600)).toEqual([500, 1500, 2500])
    expect(chainSwapsAlong(1, 1000, 1000)).toEqual([])
    expect(chainSwapsAlong(0, 1000, 900)).toEqual([0])
  })
})
