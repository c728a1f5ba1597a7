import { nextTask } from '../timing/next-task'

/** So many entries of a list are written at a time: a few milliseconds' work. */
const entriesAtOnce = 5000

/** JSON of a value in which lists may be very long, written a piece at a time so that the page can draw in between. */
export async function jsonBlob(value: object): Promise<Blob> {
  const pieces: string[] = []
  for (const piece of piecesOf(value)) {
    pieces.push(piece)
    if (piece.length > entriesAtOnce) await nextTask()
  }
  return new Blob(pieces, { type: 'application/json' })
}

function* piecesOf(value: unknown): Generator<string> {
  if (Array.isArray(value) && value.length > entriesAtOnce) {
    for (let from = 0; from < value.length; from += entriesAtOnce) {
      yield (from === 0 ? '[' : ',') + JSON.stringify(value.slice(from, from + entriesAtOnce)).slice(1, -1)
    }
    yield ']'
  } else if (Array.isArray(value)) {
    yield '['
    for (const [i, entry] of value.entries()) {
      if (i > 0) yield ','
      yield* piecesOf(entry)
    }
    yield ']'
  } else if (value !== null && typeof value === 'object') {
    let first = true
    for (const [key, entry] of Object.entries(value)) {
      if (entry === undefined) continue
      yield `${first ? '{' : ','}${JSON.stringify(key)}:`
      yield* piecesOf(entry)
      first = false
    }
    yield first ? '{}' : '}'
  } else {
    yield value === undefined ? 'null' : JSON.stringify(value)
  }
}
