import type { Thing } from './schema'

/** The chance that a tool works on a trip, by what it is: it breaks, it is empty, it is lost. */
export type ToolConditions = Readonly<Record<'pump' | 'compressor' | 'folding' | 'lever' | 'simple', number>>

/** Planning values, from memory. */
export const usualConditions: ToolConditions = {
  pump: 0.985,
  compressor: 0.95,
  folding: 0.99,
  lever: 0.99,
  simple: 0.995,
}

/** The chance that a thing that provides functions works on a trip; for stock alone, how far it can be trusted. */
export function conditionOf(
  { provides, heads, condition }: Pick<Thing, 'provides' | 'heads' | 'condition'>,
  works: ToolConditions,
): number {
  if (provides.length === 0 && heads.length === 0) return condition
  const can = (start: string) => provides.some((name) => name.startsWith(start))
  const kinds = [
    can('inflate-') ? works.pump : 1,
    can('compress-') ? works.compressor : 1,
    can('lever') ? works.lever : 1,
    heads.length > 1 ? works.folding : 1,
  ]
  return condition * Math.min(works.simple, ...kinds)
}
