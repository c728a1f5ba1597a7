/** A stop's name on the plan. */
export interface PlanLabel {
  readonly id: string
  readonly text: string
  readonly x: number
  /** Of the letters' foot. */
  readonly y: number
}

interface Marked {
  readonly id: string
  readonly name: string
  readonly x: number
  readonly y: number
  readonly helps: boolean
}
interface Box {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}

const letterPx = 6.1
const linePx = 13
const mostLetters = 26

/** What else is drawn on a plan: points of the line, close together, and what no name may cover. */
interface Beside {
  readonly line: readonly { readonly x: number; readonly y: number }[]
  readonly taken: readonly Box[]
}

/**
 * Places names beside their marks, on whichever side they cover neither
 * another name nor another mark; places of help first. What finds no room is
 * left to the pointer.
 *
 * @param away pixels from a mark's middle to its name
 */
export function planLabels(
  stops: readonly Marked[],
  width: number,
  height: number,
  away: number,
  { line, taken: others }: Beside,
): PlanLabel[] {
  const marks = stops.map((stop): Box => ({ x: stop.x - 2, y: stop.y - 2, width: 4, height: 4 }))
  const taken: Box[] = [...others]
  const placed: PlanLabel[] = []
  for (const [i, stop] of [...stops.entries()].sort(([, a], [, b]) => Number(b.helps) - Number(a.helps))) {
    const text = stop.name.length > mostLetters ? `${stop.name.slice(0, mostLetters - 1)}…` : stop.name
    const size = { width: text.length * letterPx, height: linePx }
    const middle = { x: stop.x - size.width / 2, y: stop.y - linePx / 2 }
    const boxes: Box[] = [
      { ...size, x: stop.x + away, y: middle.y },
      { ...size, x: stop.x - away - size.width, y: middle.y },
      { ...size, x: middle.x, y: stop.y - away - linePx },
      { ...size, x: middle.x, y: stop.y + away },
      // Beside a line that slopes, the corners are free.
      { ...size, x: stop.x + 2, y: stop.y + away },
      { ...size, x: stop.x - 2 - size.width, y: stop.y - away - linePx },
      { ...size, x: stop.x + 2, y: stop.y - away - linePx },
      { ...size, x: stop.x - 2 - size.width, y: stop.y + away },
    ]
    const free = boxes.filter(
      (box) =>
        box.x >= 0 &&
        box.x + box.width <= width &&
        box.y >= 0 &&
        box.y + box.height <= height &&
        !taken.some((other) => meet(box, other)) &&
        !marks.some((mark, j) => j !== i && meet(box, mark)),
    )
    // Best where the line does not run through it.
    const box = free.find((each) => !line.some((spot) => isIn(spot, each))) ?? free[0]
    if (!box) continue
    taken.push(box)
    placed.push({ id: stop.id, text, x: box.x, y: box.y + linePx - 3 })
  }
  return placed
}

const isIn = ({ x, y }: { readonly x: number; readonly y: number }, box: Box) =>
  x > box.x && x < box.x + box.width && y > box.y && y < box.y + box.height

function meet(a: Box, b: Box): boolean {
  return a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height
}
