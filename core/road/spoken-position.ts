/** A position as one says it to somebody who writes it down. */
export interface SpokenPosition {
  /** "57.1230 north, 33.4560 west". */
  readonly degrees: string
  /** "57 degrees 7.38 minutes north, 33 degrees 27.36 minutes west". */
  readonly minutes: string
  /** The first, figure by figure: "five seven point one two three zero north, …". */
  readonly words: string
}

const figures = ['zero', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine'] as const

/**
 * A position to be read out loud.
 *
 * @param lat degrees on WGS 84, −90 to 90
 * @param lon the same, −180 to 180
 * @returns to about 10 m
 */
export function spokenPosition(lat: number, lon: number): SpokenPosition {
  const parts = [
    { value: Math.abs(lat), side: lat < 0 ? 'south' : 'north' },
    { value: Math.abs(lon), side: lon < 0 ? 'west' : 'east' },
  ]
  const decimal = (value: number) => value.toFixed(4)
  return {
    degrees: parts.map(({ value, side }) => `${decimal(value)} ${side}`).join(', '),
    minutes: parts.map(({ value, side }) => `${inMinutes(value)} ${side}`).join(', '),
    words: parts.map(({ value, side }) => `${figureByFigure(decimal(value))} ${side}`).join(', '),
  }
}

function inMinutes(value: number): string {
  const hundredths = Math.round(value * 6000)
  const degrees = Math.floor(hundredths / 6000)
  return `${degrees} degrees ${((hundredths - degrees * 6000) / 100).toFixed(2)} minutes`
}

const figureByFigure = (number: string) =>
  Array.from(number, (sign) => (sign === '.' ? 'point' : (figures[Number(sign)] ?? sign))).join(' ')
