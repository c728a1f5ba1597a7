import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { bikeFrom, catalogue } from '../../catalogue'
import { bikeKinds } from '../../core/bike'
import { decant, leftAlong, sealantMl, sealantWet, tapeM, tapeTurns, threadM } from '../../core/stuff'
import {
  knownInputs,
  plainValues,
  sums,
  withUncertainty,
  type Sum,
  type SumInput,
  type SumValues,
} from '../../core/sums'
import { customary } from '../../core/units'

const all = sums.flatMap((group) => group.sums)
const byId = (id: string) => all.find((sum) => sum.id === id)!
const resultOf = (sum: Sum, values: SumValues, id: string) =>
  sum.reckon(values).results.find((result) => result.id === id)!.value

/** Any value an input takes. */
function valueOf(input: SumInput): fc.Arbitrary<SumValues[string]> {
  switch (input.kind) {
    case 'amount':
      return input.whole
        ? fc.integer({ min: Math.ceil(input.least), max: Math.floor(input.most) })
        : fc.double({ min: input.least, max: input.most, noNaN: true })
    case 'tyre':
      return fc.constantFrom('28-622', '50-622', '40-406', '100-559')
    case 'teeth':
      return fc
        .uniqueArray(fc.integer({ min: 9, max: 52 }), { minLength: 1, maxLength: 12 })
        .map((teeth) => teeth.sort((a, b) => a - b))
  }
}

describe('every sum', () => {
  it.each(all.map((sum) => [sum.id, sum] as const))('%s: has a formula, a source, inputs with units', (_, sum) => {
    expect(sum.formula.length).toBeGreaterThan(5)
    expect(sum.source.length).toBeGreaterThan(5)
    for (const input of sum.inputs) if (input.kind === 'amount') expect(customary[input.amount]).toBeDefined()
    const answers = withUncertainty(sum, plainValues(sum))
    for (const { value, off } of answers) {
      expect(Number.isFinite(value)).toBe(true)
      expect(off).toBeGreaterThanOrEqual(0)
    }
  })
  it.each(all.map((sum) => [sum.id, sum] as const))(
    '%s: answers with finite numbers, or a fault that says what is wrong',
    (_, sum) => {
      const values = fc.record(Object.fromEntries(sum.inputs.map((input) => [input.id, valueOf(input)])))
      fc.assert(
        fc.property(values, (given) => {
          try {
            const { results, chart } = sum.reckon(given)
            for (const { value, id } of results) expect(Number.isFinite(value), id).toBe(true)
            for (const { points } of chart?.curves ?? [])
              for (const [x, y] of points) expect(Number.isFinite(x) && Number.isFinite(y)).toBe(true)
          } catch (error) {
            expect((error as Error).name).toBe('Fault')
          }
        }),
        { numRuns: 200 },
      )
    },
  )
})

describe('uncertainty', () => {
  it('of a sum of one uncertain input is its derivative times what it is off by', () => {
    const force = byId('force')
    const [hand] = withUncertainty(force, { torqueNm: 48, leverMm: 100 })
    expect(hand!.value).toBeCloseTo(480, 9)
    expect(hand!.off).toBeCloseTo(0.2 * 480, 9)
    expect(hand!.mostly).toBe('Torque')
  })
  it('adds up by squares', () => {
    const sum = byId('lube')
    const values: SumValues = { ...plainValues(sum), wet: 0 }
    const [amount] = withUncertainty(sum, values)
    const alone = (id: string, by: number) => {
      const at = (step: number) =>
        resultOf(sum, { ...values, [id]: Math.max(0, (values[id] as number) + step) }, 'amount')
      return (at(by) - at(-by)) / 2
    }
    const squares = [alone('intervalKm', 66), alone('wet', 0.15), alone('eachMl', 0.6)].map((value) => value ** 2)
    expect(amount!.off).toBeCloseTo(Math.sqrt(squares.reduce((a, b) => a + b)), 9)
  })
})

describe('what the trip knows', () => {
  it.each(bikeKinds)('of a %s fills in what its sums start from', (kind) => {
    const known = knownInputs({ bike: bikeFrom(kind, kind), bikes: 1, bench: catalogue.items, roadKm: 600 })
    for (const sum of all) {
      const values = Object.fromEntries(sum.inputs.map(({ id, plain }) => [id, known[id]?.value ?? plain]))
      expect(() => sum.reckon(values), sum.id).not.toThrow()
    }
    expect(known.tyre!.value).toBe(bikeFrom(kind, kind).tyres.rear.size)
    expect(known.gasG).toEqual({ value: 16, from: 'CO2 cartridge, 16 g, on the bench' })
    expect(known.roadKm!.from).toBe('the road of this trip')
  })
  it('is nothing without one', () => expect(knownInputs({ bikes: 0, bench: [], roadKm: null })).toEqual({}))
})

describe('stuff that runs out', () => {
  it('a 50-622 wants 60 mL of sealant, a fat tyre more and not in proportion', () => {
    expect(sealantMl(4145)).toBeCloseTo(60, 9)
    expect(sealantMl(16_260)).toBeGreaterThan(120)
    expect(sealantMl(16_260)).toBeLessThan((60 * 16_260) / 4145)
  })
  it('dries by halves, faster in the warm', () => {
    expect(sealantWet(0)).toBe(1)
    expect(sealantWet(3)).toBeCloseTo(0.5, 9)
    expect(sealantWet(3, 25)).toBeCloseTo(0.25, 9)
  })
  // Common practice, no source: 1.2 to 1.5 m on a pump, a dozen turns and more.
  it('1.5 m of tape goes round a pump a dozen times or more; turns and length belong together', () => {
    expect(tapeTurns(1.5, 24)).toBeGreaterThan(12)
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 20, noNaN: true }),
        fc.double({ min: 5, max: 80, noNaN: true }),
        (m, mm) => Math.abs(tapeM(tapeTurns(m, mm), mm) - m) < 1e-6,
      ),
    )
  })
  it('a seam of 60 mm takes half a metre of thread, worked by hand', () =>
    expect(threadM(60)).toBeCloseTo((2 * 15 * 7) / 1000 + 0.3, 9))
  it('is decanted into the lightest container that holds it', () => {
    expect(decant(12, 0.9).containers.map(({ holdsMl }) => holdsMl)).toEqual([15])
    expect(decant(12, 0.9).massG).toBeCloseTo(6 + 10.8, 9)
    expect(decant(150, 1).containers.map(({ holdsMl }) => holdsMl)).toEqual([120, 30])
    expect(decant(0, 1)).toMatchObject({ containers: [], massG: 0 })
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 600, noNaN: true }), (ml) => {
        const held = decant(ml, 1).containers.reduce((sum, { holdsMl }) => sum + holdsMl, 0)
        expect(held).toBeGreaterThanOrEqual(ml - 1e-9)
      }),
    )
  })
  // Common practice, no source: a 15 mL dropper outlasts a 500 km race.
  it('15 mL of lube outlasts 500 km', () => {
    const sum = byId('lube')
    expect(resultOf(sum, { ...plainValues(sum), roadKm: 500 }, 'amount')).toBeLessThan(15)
  })
  it('pads wear down the mean line, within what is left', () => {
    const along = leftAlong(
      0.8,
      [0, 500, 1000, 4000].map((km) => ({ roadKm: km, lives: km / 2500 })),
      0.45,
    )
    expect(along.map(({ mean }) => Number(mean.toFixed(9)))).toEqual([0.8, 0.6, 0.4, 0])
    for (const { mean, low, high } of along) {
      expect(low).toBeLessThanOrEqual(mean)
      expect(high).toBeGreaterThanOrEqual(mean)
    }
  })
})
