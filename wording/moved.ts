/** So many pieces of a thing more, or fewer. */
export interface Moved {
  readonly name: string
  readonly by: number
}

/** Pieces that come along, or that stay at home: "2 × Tube · Boot"; empty where there are none. */
export const movedInWords = (moved: readonly Moved[], which: 'comes' | 'stays'): string =>
  moved
    .filter(({ by }) => (which === 'comes' ? by > 0 : by < 0))
    .map(({ name, by }) => (Math.abs(by) > 1 ? `${Math.abs(by)} × ${name}` : name))
    .join(' · ')
