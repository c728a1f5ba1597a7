import { defined } from '#core/validation'
import { bikeKinds } from '#core/bike'
import {
  defaultValues,
  calculators,
  withUncertainty,
  type Calculator,
  type CalculatorInput,
  type CalculatorValues,
} from '#core/calculators'
import { decant, padsLeftAlong, sealantMl, sealantLeft, tapeM, tapeTurns, threadM } from '#core/consumables'
import { customary } from '#core/units'
import { knownInputs } from '#wording'
import { bikeFrom, catalogue } from '#catalogue'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'

const all = calculators.flatMap((group) => group.calculators)
const byId = (id: string) => defined(all.find((calculator) => calculator.id === id))
const resultOf = (calculator: Calculator, values: CalculatorValues, id: string) =>
  defined(calculator.calculate(values).results.find((result) => result.id === id)).value

/** Any value an input takes. */
function valueOf(input: CalculatorInput): fc.Arbitrary<CalculatorValues[string]> {
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

describe('every calculator', () => {
  it.each(all.map((calculator) => [calculator.id, calculator] as const))(
    '%s: has a formula, a source, inputs with units',
    (_, calculator) => {
      expect(calculator.formula.length).toBeGreaterThan(5)
      expect(calculator.source.length).toBeGreaterThan(5)
      for (const input of calculator.inputs) if (input.kind === 'amount') expect(customary[input.amount]).toBeDefined()
      const answers = withUncertainty(calculator, defaultValues(calculator))
      for (const { value, off } of answers) {
        expect(Number.isFinite(value)).toBe(true)
        expect(off).toBeGreaterThanOrEqual(0)
      }
    },
  )
  it.each(all.map((calculator) => [calculator.id, calculator] as const))(
    '%s: is labelled in words of people, not of the program',
    (_, calculator) => {
      const { results } = calculator.calculate(defaultValues(calculator))
      const labels = [
        calculator.name,
        ...calculator.inputs.map(({ label }) => label),
        ...results.map(({ label }) => label),
      ]
      expect(labels.filter((label) => /[a-z][A-Z]/.test(label))).toEqual([])
    },
  )
  it.each(all.map((calculator) => [calculator.id, calculator] as const))(
    '%s: answers with finite numbers, or a fault that says what is wrong',
    (_, calculator) => {
      const values = fc.record(Object.fromEntries(calculator.inputs.map((input) => [input.id, valueOf(input)])))
      fc.assert(
        fc.property(values, (given) => {
          try {
            const { results, chart } = calculator.calculate(given)
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
  it('of a calculator of one uncertain input is its derivative times what it is off by', () => {
    const force = byId('force')
    const [hand] = withUncertainty(force, { torqueNm: 48, leverMm: 100 })
    expect(defined(hand).value).toBeCloseTo(480, 9)
    expect(defined(hand).off).toBeCloseTo(0.2 * 480, 9)
    expect(defined(hand).mostly).toBe('Torque')
  })
  it('adds up by squares', () => {
    const calculator = byId('lube')
    const values: CalculatorValues = { ...defaultValues(calculator), wet: 0 }
    const [amount] = withUncertainty(calculator, values)
    const alone = (id: string, by: number) => {
      const at = (step: number) =>
        resultOf(calculator, { ...values, [id]: Math.max(0, (values[id] as number) + step) }, 'amount')
      return (at(by) - at(-by)) / 2
    }
    const squares = [alone('intervalKm', 66), alone('wet', 0.15), alone('eachMl', 0.6)].map((value) => value ** 2)
    expect(defined(amount).off).toBeCloseTo(Math.sqrt(squares.reduce((a, b) => a + b)), 9)
  })
})

describe('what the trip knows', () => {
  it.each(bikeKinds)('of a %s fills in what its calculators start from', (kind) => {
    const known = knownInputs({ bike: bikeFrom(kind, kind), bikes: 1, bench: catalogue.items, roadKm: 600 })
    for (const calculator of all) {
      const values = Object.fromEntries(
        calculator.inputs.map(({ id, default: standard }) => [id, known[id]?.value ?? standard]),
      )
      expect(() => calculator.calculate(values), calculator.id).not.toThrow()
    }
    expect(defined(known.tyre).value).toBe(bikeFrom(kind, kind).tyres.rear.size)
    expect(known.gasG).toEqual({ value: 16, from: 'CO2 cartridge, 16 g, on the bench' })
    expect(defined(known.roadKm).from).toBe('the road of this trip')
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
    expect(sealantLeft(0)).toBe(1)
    expect(sealantLeft(3)).toBeCloseTo(0.5, 9)
    expect(sealantLeft(3, 25)).toBeCloseTo(0.25, 9)
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
        const held = decant(ml, 1).containers.reduce((calculator, { holdsMl }) => calculator + holdsMl, 0)
        expect(held).toBeGreaterThanOrEqual(ml - 1e-9)
      }),
    )
  })
  // Common practice, no source: a 15 mL dropper outlasts a 500 km race.
  it('15 mL of lube outlasts 500 km', () => {
    const calculator = byId('lube')
    expect(resultOf(calculator, { ...defaultValues(calculator), roadKm: 500 }, 'amount')).toBeLessThan(15)
  })
  it('pads wear down the mean line, within what is left', () => {
    const along = padsLeftAlong(
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
