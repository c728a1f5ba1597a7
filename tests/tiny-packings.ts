import { handlings, usualPacking } from '#core/bench'
import { storageSchema } from '#core/bike'
import type { PackPiece, PackProblem } from '#core/pack'
import { seeded } from './seeded'

const wheres = ['under the saddle', 'in the frame', 'in a bottle cage', 'on the top tube, in front'] as const

/** A random bike with a few bags and a few pieces: some too long, some too many for the room there is. */
export function tinyPacking(seed: number, pieceCount: number, placeCount: number): PackProblem {
  const next = seeded(seed)
  const whole = (below: number) => Math.floor(next() * below)
  const places = Array.from({ length: placeCount }, (_, c) =>
    storageSchema.parse({
      id: `place-${c}`,
      name: `Place ${c}`,
      place: wheres[c % wheres.length],
      volumeMl: 150 + whole(500),
      fill: 0.7 + 0.3 * next(),
      longestMm: 80 + whole(250),
      boreMm: next() < 0.15 ? 20 : null,
      keepsDry: next() < 0.5,
      upright: next() < 0.5,
      reachMin: 4 * next() ** 2,
      opening: (['narrow', 'wide', 'rolls out'] as const)[whole(3)],
      massG: next() < 0.5 ? 0 : whole(100),
      // Now and then over the brim already.
      otherMl: next() < 0.7 ? 0 : whole(400),
    }),
  )
  const pieces = Array.from({ length: pieceCount }, (): PackPiece => {
    const takes = next()
    return {
      thing: whole(100),
      massG: 5 + whole(200),
      volumeMl: 10 + whole(220),
      longestMm: 30 + whole(200),
      boreMm: next() < 0.3 ? 10 + whole(20) : null,
      handling: handlings.filter(() => next() < 0.25),
      takes: takes < 0.15 ? 'winds' : takes < 0.3 ? 'tucks' : null,
      stays: next() < 0.1 ? whole(placeCount) : null,
    }
  })
  const works = Array.from({ length: 2 + whole(4) }, () => ({
    times: 3 * next() ** 3,
    wants: Array.from({ length: 1 + whole(3) }, () => [
      ...new Set(Array.from({ length: 1 + whole(2) }, () => whole(pieceCount))),
    ]),
  }))
  return { pieces, places, works, hoursPerGram: 1 / (200 + whole(2000)), packing: usualPacking }
}
