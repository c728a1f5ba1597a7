import { describe, expect, it } from 'vitest'
import {
  checksum,
  heard,
  InventedScale,
  panBehaviour,
  nothingWeighed,
  readLine,
  rules,
  waited,
  writeLine,
  type Reading,
  type Weighing,
} from '#core/scale'
import { Fault } from '#core/validation'
import { seeded } from '../seeded'

/** What docs/scale-protocol.md says is the source of what is expected here, unless another is named. */

describe('a line of a scale', () => {
  it('is guarded as sentences of NMEA 0183 are: a known one of that standard', () => {
    // From the standard's own example of a position sentence, between $ and *.
    expect(checksum('GPGLL,5300.97914,N,00259.98174,E,125926,A')).toBe('28')
  })
  it('says its state and its weight', () => {
    expect(readLine('S +0093.4 g*0F')).toEqual({ state: 'steady', grams: 93.4 })
    expect(readLine(writeLine('unsteady', -0.2))).toEqual({ state: 'unsteady', grams: -0.2 })
    expect(readLine(writeLine('over', 6000))).toEqual({ state: 'over', grams: null })
    expect(readLine(writeLine('under', 0))).toEqual({ state: 'under', grams: null })
  })
  it.each([
    ['nothing', ''],
    ['another unit', `S +0093.4 lb*${checksum('S +0093.4 lb')}`],
    ['a decimal comma', `S +0093,4 g*${checksum('S +0093,4 g')}`],
    ['no weight where there should be one', `S*${checksum('S')}`],
    ['a weight where there should be none', `H +0093.4 g*${checksum('H +0093.4 g')}`],
    ['an unknown letter', `Q +0093.4 g*${checksum('Q +0093.4 g')}`],
    ['a bit that has tipped over', 'S +0083.4 g*0F'],
    ['no checksum', 'S +0093.4 g'],
    ['a thousand letters', 'S'.repeat(1000)],
  ])('is refused where it is %s, and says what would do', (_, line) => {
    expect(() => readLine(line)).toThrow(Fault)
    expect(() => readLine(line)).toThrow(/^the scale: ".*; expected a line (such as "S \+0093\.4 g|that ends in \*)/)
  })
})

/** Tells a weighing readings, one each tenth of a second. */
function told(readings: readonly Reading[], from: Weighing = nothingWeighed, atMs = 0): Weighing {
  return readings.reduce((weighing, reading, i) => heard(weighing, reading, atMs + (i + 1) * 100), from)
}
const steady = (grams: number, times: number): Reading[] =>
  Array.from({ length: times }, () => ({ state: 'steady', grams }))
const unsteady = (grams: number, times = 1): Reading[] =>
  Array.from({ length: times }, () => ({ state: 'unsteady', grams }))
/** So many readings take as long as the pan must stand still. */
const enough = rules.holdMs / 100 + 1

describe('a weighing', () => {
  it('is done once readings have stood still for long enough, and not one reading earlier', () => {
    expect(told(steady(93.4, enough - 1))).toMatchObject({ phase: 'settling', settledG: null })
    expect(told(steady(93.4, enough))).toMatchObject({ phase: 'settled', settledG: 93.4 })
  })
  it('needs some readings, however long they take', () => {
    const slow = [1, 2, 3, 4].reduce(
      (weighing, i) => heard(weighing, { state: 'steady', grams: 50 }, i * 500),
      nothingWeighed,
    )
    expect(slow.phase).toBe('settling')
    expect(heard(slow, { state: 'steady', grams: 50 }, 2500)).toMatchObject({ phase: 'settled', settledG: 50 })
  })
  it('takes the mean of what stood still, to a tenth of a gram', () => {
    const readings = Array.from({ length: enough + 1 }, (_, i): Reading => ({
      state: 'steady',
      grams: i % 2 ? 93.5 : 93.4,
    }))
    expect(told(readings).settledG).toBeCloseTo(93.4, 1)
    expect(String(told(readings).settledG)).toMatch(/^93\.\d$/)
  })
  it('begins anew at each reading that lies apart or is unsteady', () => {
    expect(told([...steady(93.4, enough - 1), ...steady(93.7, enough - 1)]).phase).toBe('settling')
    expect(told([...steady(93.4, enough - 1), ...unsteady(93.4), ...steady(93.4, enough - 1)]).phase).toBe('settling')
  })
  it('does not take a creeping pan for one that stands still', () => {
    const creeping = Array.from({ length: 40 }, (_, i): Reading => ({ state: 'steady', grams: 50 + i * 0.1 }))
    expect(told(creeping).phase).toBe('settling')
  })
  it('keeps what it has weighed while the scale creeps, and gives it up when something else lies there', () => {
    const weighed = told(steady(93.4, enough))
    const crept = told(steady(94.2, 30), weighed, 5000)
    expect(crept).toMatchObject({ phase: 'settled', settledG: 93.4, grams: 94.2 })
    expect(told(unsteady(120), weighed, 5000)).toMatchObject({ phase: 'settling', settledG: null })
    expect(told(steady(120, enough), weighed, 5000)).toMatchObject({ phase: 'settled', settledG: 120 })
  })
  it('says that the pan is empty, and when it has drifted', () => {
    expect(told(steady(0.1, enough))).toMatchObject({ phase: 'empty', hint: null })
    expect(told(steady(0.5, enough))).toMatchObject({ phase: 'empty', hint: 'drifted' })
    expect(told(steady(-0.5, enough))).toMatchObject({ phase: 'empty', hint: 'drifted' })
    expect(told(steady(-3, enough))).toMatchObject({ phase: 'under', settledG: null })
  })
  it('says that a hand was too early, and not when the thing had been weighed', () => {
    const empty = told(steady(0, enough))
    const tooEarly = told([...unsteady(60, 4), ...steady(0, enough)], empty, 2000)
    expect(tooEarly).toMatchObject({ phase: 'empty', hint: 'lifted too early' })
    const proper = told(
      [...unsteady(60, 4), ...steady(93.4, enough), ...unsteady(40), ...steady(0, enough)],
      empty,
      2000,
    )
    expect(proper).toMatchObject({ phase: 'empty', hint: null })
    // It is said until the next thing lies there.
    expect(told(steady(0, 5), tooEarly, 9000).hint).toBe('lifted too early')
    expect(told(steady(93.4, enough), tooEarly, 9000)).toMatchObject({ phase: 'settled', hint: null })
  })
  it('says when more lies there than can be weighed, and goes on after that', () => {
    const over = told([...unsteady(4000), { state: 'over', grams: null }])
    expect(over).toMatchObject({ phase: 'over', grams: null, settledG: null })
    expect(told(steady(0, enough), over, 1000)).toMatchObject({ phase: 'empty', hint: 'lifted too early' })
    expect(told([{ state: 'under', grams: null }]).phase).toBe('under')
  })
  it('is given up where nothing was heard for a while', () => {
    const weighed = told(steady(93.4, enough))
    const last = enough * 100
    expect(waited(weighed, last + rules.silenceMs - 1)).toBe(weighed)
    expect(waited(weighed, last + rules.silenceMs)).toMatchObject({ phase: 'waiting', hint: 'silent', settledG: null })
    expect(waited(nothingWeighed, 1e6)).toBe(nothingWeighed)
  })
})

describe('the scale that does not exist', () => {
  /** Listens for so many lines; the phases that were gone through, and how it stands. */
  function listen(scale: InventedScale, lines: number, from: Weighing = nothingWeighed, atMs = 0) {
    const phases: string[] = []
    let weighing = from
    for (let i = 1; i <= lines; i++) {
      weighing = heard(weighing, readLine(scale.next()), atMs + i * panBehaviour.lineMs)
      if (phases.at(-1) !== weighing.phase) phases.push(weighing.phase)
    }
    return { weighing, phases }
  }

  it('weighs what is put on it within half a gram, whatever it is and whoever leans on it', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const random = seeded(seed)
      const massG = 2 + 400 * random()
      const scale = new InventedScale(random)
      const empty = listen(scale, 20).weighing
      expect(empty.phase).toBe('empty')
      scale.put(massG)
      const { weighing, phases } = listen(scale, 80, empty, 2000)
      expect(phases).toContain('settling')
      expect(weighing.phase).toBe('settled')
      expect(Math.abs((weighing.settledG ?? 0) - massG)).toBeLessThan(0.5)
    }
  })
  it('weighs nothing of what is lifted too early', () => {
    const scale = new InventedScale(seeded(7))
    const empty = listen(scale, 20).weighing
    scale.put(93)
    const touched = listen(scale, 5, empty, 2000)
    scale.clear()
    const after = listen(scale, 60, touched.weighing, 2500)
    expect([...touched.phases, ...after.phases]).not.toContain('settled')
    expect(after.weighing).toMatchObject({ phase: 'empty', hint: 'lifted too early' })
  })
  it('creeps, until it is tared', () => {
    const scale = new InventedScale(seeded(3))
    const crept = listen(scale, 1200).weighing
    expect(Math.abs(crept.grams ?? 0)).toBeGreaterThan(rules.driftG)
    scale.tare()
    expect(listen(scale, 20, crept, 200_000).weighing).toMatchObject({ phase: 'empty', hint: null })
  })
  it('tares a dish away, and says when that has gone', () => {
    const scale = new InventedScale(seeded(5))
    scale.put(60)
    listen(scale, 60)
    scale.tare()
    scale.put(25)
    const weighed = listen(scale, 80).weighing
    expect(Math.abs((weighed.settledG ?? 0) - 25)).toBeLessThan(0.5)
    scale.clear()
    expect(listen(scale, 80).weighing.phase).toBe('under')
  })
  it('says when more lies there than it can weigh', () => {
    const scale = new InventedScale(seeded(9))
    scale.put(panBehaviour.mostG + 50)
    expect(listen(scale, 60).weighing.phase).toBe('over')
  })
})
