import { defined } from '../validation'
import type { Calculator, CalculatorInput, CalculatorResult, CalculatorValues } from './calculator'

/** A result with how far it may be off. */
export interface UncertainResult extends CalculatorResult {
  /** Half the width of what it may be; 0 where every input is exact. */
  readonly off: number
  /** The input that makes most of it. */
  readonly mostly: string | null
}

/**
 * The results of a sum with their uncertainty: each input is moved by what it may be off, and what that does to a
 * result is added up by squares, as for errors that know nothing of one another.
 *
 * @throws Fault as the sum itself does
 * Source: JCGM 100:2008 (GUM), clause 5.1.2, with the differences taken numerically.
 */
export function withUncertainty(sum: Calculator, values: CalculatorValues): UncertainResult[] {
  const { results } = sum.calculate(values)
  const moved = sum.inputs.flatMap((input) => {
    const by = offBy(input, values)
    if (by === 0) return []
    const ends = [-by, by].map((step) => resultsAt(sum, { ...values, [input.id]: within(input, values, step) }))
    return [{ input, ends }]
  })
  return results.map((result) => {
    const shares = moved.map(({ input, ends }) => {
      const [low, high] = ends.map((end) => end.get(result.id) ?? result.value)
      return { label: input.label, by: Math.abs(defined(high) - defined(low)) / 2 }
    })
    const off = Math.sqrt(shares.reduce((total, { by }) => total + by ** 2, 0))
    const largest = shares.reduce<{ label: string; by: number } | null>((a, b) => (b.by > (a?.by ?? 0) ? b : a), null)
    return { ...result, off, mostly: largest?.label ?? null }
  })
}

function offBy(input: CalculatorInput, values: CalculatorValues): number {
  if (input.kind !== 'amount' || !input.off) return 0
  return 'by' in input.off ? input.off.by : Math.abs(values[input.id] as number) * input.off.share
}

function within(input: CalculatorInput, values: CalculatorValues, step: number): number {
  const value = (values[input.id] as number) + step
  return input.kind === 'amount' ? Math.min(input.most, Math.max(input.least, value)) : value
}

const resultsAt = (sum: Calculator, values: CalculatorValues) =>
  new Map(sum.calculate(values).results.map(({ id, value }) => [id, value]))
