import { nth, defined } from '#core/validation'
import { thingSchema } from '#core/bench'
import { chooseFast, missingTools, fixOfAnswer } from '#core/choose'
import { Landscape } from '#core/availability'
import { buildLedger } from '#core/trip-ledger'
import { surveyRoad } from '#core/road'
import { fixInWords } from '#wording'
import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { describe, expect, it } from 'vitest'

const demo = demoTrip()
const survey = surveyRoad(demo.road.points)
const trip = { ...demo, bench: demo.bench.filter(({ id }) => !['folding-17', 'folding-9', 'torque-key'].includes(id)) }
const landscape = new Landscape(trip, survey, catalogue)
const built = buildLedger(trip, survey, catalogue, landscape)

describe('a missing tool', () => {
  const found = missingTools(trip, survey, catalogue, landscape, built)
  it('is named with what it unlocks, the one worth most first', () => {
    expect(found.length).toBeGreaterThan(2)
    expect(found.map(({ worthH }) => worthH)).toEqual([...found.map(({ worthH }) => worthH)].sort((a, b) => b - a))
    expect(nth(found, 0).worthH).toBeGreaterThan(0.1)
    expect(found.some(({ fixes }) => fixes.some(({ fix }) => fix === 'change-hanger'))).toBe(true)
  })
  it('is worth what the kit gains when it lies on the bench', () => {
    const best = nth(found, 0)
    const { id, source: _, group: __, ...rest } = defined(catalogue.items.find((item) => item.id === best.item))
    const bench = [...trip.bench, thingSchema.parse({ ...rest, id: 'bought', from: id })]
    const after = chooseFast(buildLedger({ ...trip, bench }, survey, catalogue).ledger)
    expect(best.worthH).toBeCloseTo(after.netH - chooseFast(built.ledger).netH, 6)
  })
  it('is none where everything turns that a fix asks for', () => {
    const whole = buildLedger(demo, survey, catalogue)
    const all = missingTools(demo, survey, catalogue, new Landscape(demo, survey, catalogue), { ...whole, stuck: [] })
    expect(all).toEqual([])
  })
})

describe('answers of a ledger', () => {
  it('say which fix they are a way of, and that a wrench is borrowed', () => {
    expect(fixOfAnswer('swap-tube@tube-622/light')).toBe('swap-tube')
    expect(fixInWords('swap-tube@tube-622/light', catalogue)).toBe('fit the spare tube, pump')
    expect(fixInWords('tighten-headset-nut@wrench', catalogue)).toMatch(/, with a borrowed wrench$/)
  })
})
