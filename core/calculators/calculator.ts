import type { Amount } from '../units'

/** Something a calculation starts from. */
export type CalculatorInput =
  | {
      readonly kind: 'amount'
      readonly id: string
      readonly label: string
      readonly amount: Amount
      readonly least: number
      readonly most: number
      /** Where nothing is known. */
      readonly default: number
      /** Counted in whole ones. */
      readonly whole?: boolean
      /** What it may be off by either way: a length, or a share of itself. */
      readonly off?: { readonly by: number } | { readonly share: number }
    }
  /** A tyre marking. */
  | { readonly kind: 'tyre'; readonly id: string; readonly label: string; readonly default: string }
  /** Numbers of teeth. */
  | { readonly kind: 'teeth'; readonly id: string; readonly label: string; readonly default: readonly number[] }

/** What was put in, by input. */
export type CalculatorValues = Readonly<Record<string, number | string | readonly number[]>>

/** What comes out. */
export interface CalculatorResult {
  readonly id: string
  readonly label: string
  readonly value: number
  readonly amount: Amount
  /** Whether it is counted in whole ones and must not fall short. */
  readonly whole?: boolean
  readonly note?: string
}

export interface Curve {
  readonly label: string
  readonly points: readonly (readonly [number, number])[]
  /** Drawn as the edge of a band. */
  readonly faint?: boolean
}

/** A picture of how one amount hangs on another. */
export interface Chart {
  readonly x: { readonly label: string; readonly amount: Amount }
  readonly y: { readonly label: string; readonly amount: Amount }
  readonly curves: readonly Curve[]
  /** Levels that must not be passed, or that are meant. */
  readonly levels: readonly { readonly label: string; readonly at: number }[]
}

/** Something said: words, or an amount that whoever shows it puts into the reader's units. */
export type Phrase = string | { readonly value: number; readonly amount: Amount }

export interface Table {
  readonly headings: readonly string[]
  readonly rows: readonly (readonly Phrase[])[]
}

export interface CalculatorOutput {
  readonly results: readonly CalculatorResult[]
  readonly warnings?: readonly (readonly Phrase[])[]
  readonly chart?: Chart
  readonly table?: Table
}

/** A calculation by itself: what it asks, what it starts from, by which formula, and from where that is. */
export interface Calculator {
  readonly id: string
  readonly name: string
  readonly asks: string
  readonly formula: string
  readonly source: string
  readonly inputs: readonly CalculatorInput[]
  /** @throws Fault where the inputs make no sense together */
  readonly calculate: (values: CalculatorValues) => CalculatorOutput
}

/** The inputs as a sum reads them. */
export const inputReader = (values: CalculatorValues) => ({
  number: (id: string) => values[id] as number,
  text: (id: string) => values[id] as string,
  teeth: (id: string) => values[id] as readonly number[],
})

/** What every input is where nothing is known. */
export function defaultValues(sum: Calculator): CalculatorValues {
  return Object.fromEntries(sum.inputs.map(({ id, default: value }) => [id, value]))
}
