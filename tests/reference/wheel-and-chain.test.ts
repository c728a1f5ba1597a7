import { nth } from '#core/validation'
import { mostCrossings, spokeLengthMm } from '#core/bike'
import {
  afterCutting,
  beltLinks,
  derailleurLinks,
  gearInches,
  linksForLargest,
  lostGears,
  pitchMm,
  singleSpeeds,
} from '#core/chain'
import { minimumWeightCover } from '#core/maths'
import { fewestLengths, spokeServes, spokeTolerance } from '#core/spares'
import { uniformInt } from 'pure-rand/distribution/uniformInt'
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { describe, expect, it } from 'vitest'

const random = xoroshiro128plus(20260612)
const between = (from: number, to: number) => uniformInt(random, from * 100, to * 100) / 100
const whole = (from: number, to: number) => uniformInt(random, from, to)

/**
 * The same spoke in space: a hole on the flange at its angle, the nipple's seat at the angle of the rim hole that so
 * many crossings lead to, counted from hole to hole; nothing of the closed formula is used.
 */
function spokeInSpace(erd: number, flange: number, offset: number, crossings: number, holes: number, hole: number) {
  const perSide = holes / 2
  const hubAngle = 0
  // Spokes of one side that lean one way start at every other hole; a crossing is passed for each hole of the other kind.
  const betweenHubHoles = (2 * Math.PI) / perSide
  const rimAngle = hubAngle + crossings * betweenHubHoles
  const hub = [(flange / 2) * Math.cos(hubAngle), (flange / 2) * Math.sin(hubAngle), offset] as const
  const rim = [(erd / 2) * Math.cos(rimAngle), (erd / 2) * Math.sin(rimAngle), 0] as const
  return Math.hypot(hub[0] - rim[0], hub[1] - rim[1], hub[2] - rim[2]) - hole / 2
}

describe('spokes', () => {
  it('500 wheels agree with their geometry in space', () => {
    for (let i = 0; i < 500; i++) {
      const holes = 2 * whole(8, 24)
      const crossings = whole(0, mostCrossings(holes))
      const [erd, flange, offset, hole] = [between(250, 640), between(30, 110), between(0, 45), between(2, 3)]
      const length = spokeLengthMm({
        erdMm: erd,
        flangeMm: flange,
        offsetMm: offset,
        crossings,
        holes,
        spokeHoleMm: hole,
      })
      expect(length).toBeCloseTo(spokeInSpace(erd, flange, offset, crossings, holes, hole), 9)
    }
  })
  it('a radial one is the plain hypotenuse', () => {
    const length = spokeLengthMm({ erdMm: 600, flangeMm: 60, offsetMm: 36, crossings: 0, holes: 32, spokeHoleMm: 2.6 })
    expect(length).toBeCloseTo(Math.hypot(270, 36) - 1.3, 9)
  })
  it.each([
    [16, 1],
    [20, 2],
    [24, 2],
    [28, 3],
    [32, 3],
    [36, 4],
    [40, 4],
    [48, 5],
  ])('a wheel of %d holes takes %d crossings at most', (holes, crossings) =>
    expect(mostCrossings(holes)).toBe(crossings),
  )
  it('refuses what cannot be laced', () => {
    const wheel = { erdMm: 600, flangeMm: 58, offsetMm: 35, crossings: 3, holes: 32, spokeHoleMm: 2.6 }
    expect(() => spokeLengthMm({ ...wheel, holes: 40, crossings: 5 })).toThrow(/crossings: 5 on a wheel of 40/)
    expect(() => spokeLengthMm({ ...wheel, holes: 31 })).toThrow(/spokes: 31/)
    expect(() => spokeLengthMm({ ...wheel, flangeMm: 700 })).toThrow(/flange/)
  })
})

describe('the fewest lengths', () => {
  const wanted = (...lengths: number[]) => lengths.map((lengthMm, i) => ({ id: `side ${i}`, lengthMm }))
  it('serve every side, and as few as trying every set shows', () => {
    for (let i = 0; i < 60; i++) {
      const sides = wanted(...Array.from({ length: whole(1, 8) }, () => between(270, 285)))
      const carried = fewestLengths(sides)
      for (const side of sides) {
        const own = carried.filter(({ serves }) => serves.includes(side.id))
        expect(own.length).toBeGreaterThan(0)
        expect(own.every(({ lengthMm }) => spokeServes(lengthMm, side.lengthMm))).toBe(true)
      }
      expect(carried.length).toBe(fewestByTrying(sides.map(({ lengthMm }) => lengthMm)))
    }
  })
  it('of as few lie the closest: 289 and 290 are served by one of them, not by 288', () => {
    expect(fewestLengths(wanted(289, 290)).map(({ lengthMm }) => lengthMm)[0]).toBeGreaterThanOrEqual(289)
    expect(fewestLengths(wanted())).toEqual([])
  })
})

/** Intervals stabbed from the left are stabbed by the fewest points; an independent, greedy argument for lengths on a line. */
function fewestByTrying(lengths: number[]): number {
  const { shorterMm, longerMm } = spokeTolerance
  const intervals = lengths
    .map((mm) => [Math.ceil(mm - shorterMm - 1e-9), Math.floor(mm + longerMm + 1e-9)] as const)
    .sort((a, b) => a[1] - b[1])
  let [count, last] = [0, -Infinity]
  for (const [from, to] of intervals) {
    if (from <= last) continue
    last = to
    count++
  }
  return count
}

describe('an exact cover', () => {
  it('is as light as the lightest of all sets', () => {
    for (let i = 0; i < 80; i++) {
      const size = whole(1, 7)
      const candidates = Array.from({ length: whole(1, 9) }, () => ({
        covers: Array.from({ length: size }, (_, e) => e).filter(() => whole(0, 2) === 0),
        weight: whole(1, 20),
      }))
      let lightest = Infinity
      for (let set = 0; set < 2 ** candidates.length; set++) {
        const picked = candidates.filter((_, c) => set & (1 << c))
        const covered = new Set(picked.flatMap(({ covers }) => covers))
        if (covered.size === size)
          lightest = Math.min(
            lightest,
            picked.reduce((sum, { weight }) => sum + weight, 0),
          )
      }
      const cover = minimumWeightCover(size, candidates)
      const weight = cover?.reduce((sum, c) => sum + nth(candidates, c).weight, 0) ?? Infinity
      expect(weight).toBe(lightest)
    }
  })
})

/** Half the pitch of ISO 606 times 1/sin: the radius of the pitch circle of so many teeth. */
const pitchRadius = (teeth: number) => pitchMm / 2 / Math.sin(Math.PI / teeth)

/** An open belt round two pitch circles whose circumferences are so many pitches: two straight runs and two arcs, in links. */
function exactBelt(chainstayMm: number, ring: number, cog: number): number {
  const [large, small] = [Math.max(ring, cog), Math.min(ring, cog)]
  // A chain wraps as many pitches as the arc holds teeth: smooth circles of z·p circumference.
  const radius = (teeth: number) => (teeth * pitchMm) / (2 * Math.PI)
  const lean = Math.asin((radius(large) - radius(small)) / chainstayMm)
  const straight = 2 * chainstayMm * Math.cos(lean)
  const arcs = radius(large) * (Math.PI + 2 * lean) + radius(small) * (Math.PI - 2 * lean)
  return (straight + arcs) / pitchMm
}

describe('chains', () => {
  // ISO 606: the pitch of chain 081 and of every bicycle chain is 12.7 mm.
  it('have a pitch of half an inch', () => expect(pitchMm).toBe(25.4 / 2))
  it('are as long as an exact belt to a hundredth of a link, and true pitch circles change little', () => {
    for (let i = 0; i < 500; i++) {
      const [stay, ring, cog] = [between(390, 480), whole(22, 54), whole(9, 52)]
      expect(Math.abs(beltLinks(stay, ring, cog) - exactBelt(stay, ring, cog))).toBeLessThan(0.01)
    }
    expect(pitchRadius(40) / ((40 * pitchMm) / (2 * Math.PI))).toBeCloseTo(1, 2)
  })
  it('435 mm, 40 and 44 teeth: 110.5 links drawn tight, 114 with an inch more, worked by hand', () => {
    expect(beltLinks(435, 40, 44)).toBeCloseTo(870 / 12.7 + 42 + (4 / (2 * Math.PI)) ** 2 * (12.7 / 435), 9)
    expect(linksForLargest(435, 40, 44)).toBe(114)
  })
  it('lose the largest gears first when cut, and a piece of as many links brings them back', () => {
    const path = { chainstayMm: 435, chainrings: [40], sprockets: [10, 12, 14, 16, 18, 21, 24, 28, 32, 36, 40, 44] }
    const cut = afterCutting(path, 114, 4)
    expect(cut.lost.map(({ sprocket }) => sprocket)).toEqual(
      [40, 44].filter((cog) => beltLinks(435, 40, cog) + derailleurLinks > 110),
    )
    expect(cut.pieceLinks).toBeGreaterThan(0)
    expect(lostGears(path, cut.links + cut.pieceLinks)).toEqual([])
    expect(afterCutting(path, 116, 0)).toEqual({ links: 116, lost: [], pieceLinks: 0 })
    expect(() => afterCutting(path, 114, 3)).toThrow(/an even number/)
    expect(() => afterCutting(path, 2, 4)).toThrow(/4 of 2/)
  })
  it('as a single speed run round the axles as they stand: whole pairs of links, never too short', () => {
    const path = { chainstayMm: 430, chainrings: [40], sprockets: [10, 11, 13, 15, 17, 19, 21, 24, 28, 32, 38, 44] }
    const found = singleSpeeds(path, 712, 114)
    expect(found).toHaveLength(12)
    for (const { links, slackMm, sprocket } of found) {
      expect(links % 2).toBe(0)
      expect(slackMm).toBeGreaterThanOrEqual(-1e-9)
      expect(slackMm).toBeLessThan(2 * pitchMm)
      expect((links * pitchMm - slackMm) / pitchMm).toBeCloseTo(beltLinks(430, 40, sprocket), 9)
    }
    expect(found.findIndex(({ holds }) => !holds)).toBe(found.filter(({ holds }) => holds).length)
    // Worked by hand: 40 over 20 teeth on a wheel of 700 mm is 55.1 gear inches.
    expect(gearInches({ chainring: 40, sprocket: 20 }, 700)).toBeCloseTo(55.12, 2)
  })
})
