import type { Reference } from '../reference'
import { classInWords } from '../supply'
import { headInWords, headsInWords } from './head'
import type { Thing } from './schema'

/** What a thing does and is a stock of, in words. */
export function deedsInWords(thing: Pick<Thing, 'provides' | 'heads' | 'units'>, reference: Reference): string[] {
  const functions = thing.provides.map((id) => reference.functions.find((known) => known.id === id)?.name ?? id)
  const stocks = Object.entries(thing.units).map(([classId, amount]) => {
    const words = classInWords(classId, reference.families)
    return amount === 1 ? words : `${amount} × ${words}`
  })
  return [...stocks, ...functions, ...headsInWords(thing.heads)]
}

/** Things on the bench that do all that another one does: doubles, or a better tool. */
export function doublesOf(thing: Thing, bench: readonly Thing[]): Thing[] {
  if (thing.provides.length + thing.heads.length === 0) return []
  const deeds = toolDeeds(thing)
  return bench.filter((other) => {
    if (other.id === thing.id) return false
    const others = new Set(toolDeeds(other))
    return deeds.every((deed) => others.has(deed))
  })
}

const toolDeeds = ({ provides, heads }: Pick<Thing, 'provides' | 'heads'>) => [...provides, ...heads.map(headInWords)]

/** Mass of everything laid out. */
export function laidOutG(bench: readonly Thing[]): number {
  return bench.reduce((sum, thing) => sum + thing.massG * thing.count, 0)
}
