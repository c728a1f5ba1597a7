import { readClass, type CounterAnswer, type SupplyFamily } from '#core/supply'

/** A class in words: "tube, 622", "quick link, 12-speed". */
export function classInWords(id: string, families: readonly SupplyFamily[]): string {
  const found = readClass(id, families)
  if (!found) return id
  const { family, variant } = found
  switch (family.variant) {
    case 'none':
      return family.name
    case 'speeds':
      return `${family.name}, ${variant}-speed`
    case 'length':
      return `${family.name}, ${variant} mm`
    case 'shape':
      return `${family.name}, shape ${variant.toUpperCase()}`
    default:
      return `${family.name}, ${variant}`
  }
}

/** What is measured and not counted. */
const measures: readonly string[] = ['mL', 'm', 'Wh', 'hour', 'drop']

/** So much of a class: "2", "15 mL". */
export function amountOfClassInWords(amount: number, id: string, families: readonly SupplyFamily[]): string {
  const unit = readClass(id, families)?.family.unit ?? ''
  const much = String(Number(amount.toPrecision(3)))
  return measures.includes(unit) ? `${much} ${unit}` : much
}

/** So much of what: "2 × glued patch", "15 mL chain lube". */
export function stockInWords(amount: number, id: string, families: readonly SupplyFamily[]): string {
  const much = amountOfClassInWords(amount, id, families)
  return `${much}${Number.isFinite(Number(much)) ? ' ×' : ''} ${classInWords(id, families)}`
}

/** An answer as one would tell it. */
export function counterAnswerInWords(answer: CounterAnswer): string {
  switch (answer.answer) {
    case 'has':
      return 'They have it.'
    case 'orders':
      return `They would order it; ${answer.days} days.`
    case 'has not':
      return 'They have not got it.'
    case 'will not say':
      return `They will not say: ${answer.because}.`
    case 'shut':
      return answer.opens === null
        ? 'Nobody answers.'
        : `Nobody answers; they open ${answer.opens.replace('T', ' at ')}.`
  }
}
