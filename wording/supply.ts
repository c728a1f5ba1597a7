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
