import { Fault } from '../validation'

/** What a scale says of itself at one moment. */
export type ScaleState = 'steady' | 'unsteady' | 'over' | 'under'

export interface Reading {
  readonly state: ScaleState
  /** What lies on the pan less what was tared; null beyond what the scale can weigh. */
  readonly grams: number | null
}

const letters = { S: 'steady', U: 'unsteady', H: 'over', L: 'under' } as const
const form = /^(?<body>(?<letter>[SUHL])(?: (?<grams>[+-]\d{4}\.\d) g)?)\*(?<sum>[0-9A-F]{2})$/

/** The exclusive or of all bytes, in two hexadecimal digits. */
export function checksum(body: string): string {
  const sum = Array.from(body).reduce((all, char) => all ^ char.charCodeAt(0), 0)
  return sum.toString(16).toUpperCase().padStart(2, '0')
}

/**
 * Reads one line of a scale, without its end (docs/scale-protocol.md): "S +0093.4 g*0F".
 *
 * @throws Fault where it is no such line, or its checksum is another
 */
export function readLine(line: string): Reading {
  const refused = (expected: string) => new Fault('the scale', JSON.stringify(line.slice(0, 40)), expected)
  const { body = '', letter = '', grams, sum } = form.exec(line)?.groups ?? {}
  const state = letters[letter as keyof typeof letters] as ScaleState | undefined
  const isWeight = state === 'steady' || state === 'unsteady'
  if (!state || isWeight !== (grams !== undefined)) throw refused('a line such as "S +0093.4 g*0F"')
  if (sum !== checksum(body)) throw refused(`a line that ends in *${checksum(body)}`)
  return { state, grams: grams === undefined ? null : Number(grams) }
}

/** Writes one line as a scale does. @param grams from -9999.9 to 9999.9 */
export function writeLine(state: ScaleState, grams: number): string {
  const letter = { steady: 'S', unsteady: 'U', over: 'H', under: 'L' }[state]
  const sign = grams < 0 ? '-' : '+'
  const weight =
    state === 'steady' || state === 'unsteady' ? ` ${sign}${Math.abs(grams).toFixed(1).padStart(6, '0')} g` : ''
  const body = `${letter}${weight}`
  return `${body}*${checksum(body)}`
}
