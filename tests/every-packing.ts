import type { PackProblem } from '#core/pack'
import { nth } from '#core/validation'

/*
 * What a packing costs, worked out anew and slowly from the definition, and the least of all there are. It shares no line with
 * the core but the problem's schema.
 */

const heights: Readonly<Record<string, number>> = {
  'under the saddle': 0.85,
  'in the frame': 0.5,
  'in a bottle cage': 0.3,
  'on the top tube, in front': 0.9,
}
const lies = { narrow: 1, wide: 0.3, 'rolls out': 0 }

/** Where a piece lies: its place, and how many pieces by themselves lie above it. */
interface Lying {
  readonly place: number
  readonly above: number
  readonly alone: number
  readonly wrapped: boolean
}

/**
 * Hours that a packing costs; nothing where it is over the room of a place, or a piece does not go where it is.
 *
 * @param packing for each place its pieces from the opening downwards
 */
export function costOfPacking(problem: PackProblem, packing: readonly (readonly number[])[]): number | undefined {
  const { pieces, places, works, packing: values, hoursPerGram } = problem
  const lying = new Map<number, Lying>()
  let grams = 0
  for (const [c, within] of packing.entries()) {
    const { volumeMl, fill, otherMl, longestMm, boreMm, massG, upright, keepsDry, place } = nth(places, c)
    const flags = (piece: number) => nth(pieces, piece).handling
    const hostOf = (piece: number) =>
      [...within]
        .sort((a, b) => a - b)
        .find((other) => {
          const { takes } = nth(pieces, other)
          return takes !== null && nth(pieces, piece).takes === null && flags(piece).includes(takes)
        })
    const alone = within.filter((piece) => hostOf(piece) === undefined)
    const used = alone.reduce((sum, piece) => sum + nth(pieces, piece).volumeMl, 0)
    const room = Math.max(0, fill * volumeMl - otherMl)
    if (used > room + 1e-6) return undefined
    if (within.length > 0) grams += massG
    for (const piece of within) {
      const { longestMm: long, boreMm: bore, stays, volumeMl: bulk } = nth(pieces, piece)
      if (long > longestMm || (stays !== null && stays !== c) || bulk > room + 1e-6) return undefined
      if (boreMm !== null && (bore === null || bore > boreMm)) return undefined
      grams += values.high * (heights[place] ?? NaN) * nth(pieces, piece).massG
    }
    const sharp = within.some((piece) => flags(piece).includes('sharp'))
    alone.forEach((piece, above) => {
      const tape = sharp && flags(piece).includes('soft')
      const bag = (flags(piece).includes('leaks') && !upright) || (flags(piece).includes('keep dry') && !keepsDry)
      grams += (tape ? values.tapeG : 0) + (bag ? values.bagG : 0)
      lying.set(piece, { place: c, above, alone: piece, wrapped: tape || bag })
    })
    for (const piece of within) {
      const host = hostOf(piece)
      if (host !== undefined) lying.set(piece, lying.get(host) as Lying)
    }
  }
  const digMin = (c: number) => (lies[nth(places, c).opening] * values.dig) / 60
  const minutesTo = ({ place, above, wrapped }: Lying) =>
    nth(places, place).reachMin + digMin(place) * above + (wrapped ? values.unwrap : 0)
  let hours = grams * hoursPerGram
  for (const { times, wants } of works) {
    const taken = new Map<number, Lying>()
    for (const any of wants) {
      const there = any.flatMap((piece) => lying.get(piece) ?? [])
      const nearest = there.reduce<Lying | undefined>((a, b) => (a && minutesTo(a) <= minutesTo(b) ? a : b), undefined)
      if (nearest) taken.set(nearest.alone, nearest)
    }
    let minutes = 0
    for (let c = 0; c < places.length; c++) {
      const here = [...taken.values()].filter(({ place }) => place === c)
      if (here.length === 0) continue
      const deepest = Math.max(...here.map(({ above }) => above))
      const between = deepest + 1 - here.length
      minutes += nth(places, c).reachMin + digMin(c) * between
      minutes += values.unwrap * here.filter(({ wrapped }) => wrapped).length
    }
    const isHurried = wants.some(([first]) => first !== undefined && nth(pieces, first).handling.includes('in a hurry'))
    hours += (times * minutes * (isHurried ? values.hurry : 1)) / 60
  }
  pieces.forEach((_, piece) => {
    if (lying.has(piece)) return
    const wanted = works.reduce((sum, { times, wants }) => {
      const isHurried = wants.some(
        ([first]) => first !== undefined && nth(pieces, first).handling.includes('in a hurry'),
      )
      return sum + times * (isHurried ? values.hurry : 1) * wants.filter((any) => any.includes(piece)).length
    }, 0)
    hours += 100 + wanted
  })
  return hours
}

/** The least that any packing costs: every piece in every place and out of all, in every order. */
export function everyPacking(problem: PackProblem): { costH: number; tried: number } {
  let [least, tried] = [Infinity, 0]
  const places: number[][] = problem.places.map(() => [])
  const walk = (piece: number) => {
    if (piece === problem.pieces.length) {
      const cost = costOfPacking(problem, places)
      tried++
      if (cost !== undefined && cost < least) least = cost
      return
    }
    walk(piece + 1)
    for (const within of places)
      for (let rank = 0; rank <= within.length; rank++) {
        within.splice(rank, 0, piece)
        walk(piece + 1)
        within.splice(rank, 1)
      }
  }
  walk(0)
  return { costH: least, tried }
}
