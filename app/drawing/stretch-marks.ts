import type { StretchTraits } from '#core/road'

/** A line along the band of the road's surfaces, where the road is of a kind. */
export interface StretchMark {
  readonly name: string
  readonly holds: (traits: Partial<StretchTraits>) => boolean
  readonly look: string
  readonly dashes: string | undefined
  /** Whether it runs over the band, or under it. */
  readonly isAbove: boolean
}

export const stretchMarks: readonly StretchMark[] = [
  { name: 'wet', holds: ({ wet }) => wet === true, look: 'stroke-petrol', dashes: undefined, isAbove: false },
  { name: 'thorns', holds: ({ thorns }) => thorns === true, look: 'stroke-ink', dashes: '2 3', isAbove: false },
  { name: 'no signal', holds: ({ signal }) => signal === false, look: 'stroke-brass', dashes: '6 3', isAbove: true },
]
