import type { Thing } from '#core/bench'
import type { Reference } from '#core/reference'
import { readClass } from '#core/supply'
import { classInWords } from './supply'
import { headsInWords } from './tools'

/** Units of what is not counted in pieces. */
const measured = new Set(['mL', 'm', 'Wh'])

/** What a thing does and is a stock of, in words. */
export function capabilitiesInWords(
  thing: Pick<Thing, 'provides' | 'heads' | 'units'>,
  reference: Reference,
): string[] {
  const functions = thing.provides.map((id) => reference.functions.find((known) => known.id === id)?.name ?? id)
  const stocks = Object.entries(thing.units).map(([classId, amount]) => {
    const words = classInWords(classId, reference.families)
    const unit = readClass(classId, reference.families)?.family.unit ?? ''
    if (measured.has(unit)) return `${amount} ${unit} ${words}`
    return amount === 1 ? words : `${amount} × ${words}`
  })
  return [...stocks, ...functions, ...headsInWords(thing.heads)]
}
