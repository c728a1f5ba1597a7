import { nth } from '#core/validation'
/** A stop's name under the strip: where it goes, or that there is no room for it. */
export interface StripLabel {
  readonly id: string
  readonly text: string
  readonly x: number
  readonly row: 0 | 1
  readonly anchor: 'start' | 'middle' | 'end'
}

interface Named {
  readonly id: string
  readonly name: string
  readonly x: number
  readonly weight: number
}

const letterPx = 6.3
const mostLetters = 24

/** Places names without overlap: the weightiest first, in two rows; what does not fit is left to the pointer. */
export function stripLabels(stops: readonly Named[], width: number): StripLabel[] {
  const taken: [number, number][][] = [[], []]
  const placed: StripLabel[] = []
  for (const stop of [...stops].sort((a, b) => b.weight - a.weight)) {
    const text = stop.name.length > mostLetters ? `${stop.name.slice(0, mostLetters - 1)}…` : stop.name
    const length = text.length * letterPx + 8
    const anchor = stop.x < length / 2 ? 'start' : stop.x > width - length / 2 ? 'end' : 'middle'
    const from = anchor === 'start' ? stop.x : anchor === 'end' ? stop.x - length : stop.x - length / 2
    for (const row of [0, 1] as const) {
      if (nth(taken, row).some(([a, b]) => from < b && from + length > a)) continue
      nth(taken, row).push([from, from + length])
      placed.push({ id: stop.id, text, x: stop.x, row, anchor })
      break
    }
  }
  return placed
}

/** A title over the strip keeps to so much of its width, on the side of what it names; the other side is the read-out's. */
const titleShare = 0.54
const titleLetterPx = 5.8
const besidePx = 9

/**
 * Where a title begins that names a place of the strip: beside it, or as near as it goes in without leaving its side.
 *
 * @returns undefined where it has no room
 */
export function stripTitleX(text: string, x: number, width: number): number | undefined {
  const length = text.length * titleLetterPx
  const from = x < width / 2 ? 0 : width * (1 - titleShare)
  const to = from + width * titleShare
  return length > to - from ? undefined : Math.max(from, Math.min(x + besidePx, to - length))
}
