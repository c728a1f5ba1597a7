import { bulkOf, type Thing } from '../bench'
import type { Storage } from '../bike'
import { entry } from '../maths'
import { indexLedger } from '../ledger'
import { withPlanning, type Reference } from '../reference'
import { kitProblem } from '../search'
import { worksWith, type SplitPlan, type Work } from '../split'
import type { Trip } from '../trip'
import type { LedgerOfTrip } from '../trip-ledger'
import { nth } from '../validation'
import type { PackPiece, PackProblem, PackWork } from './problem'

/** What is to be packed on a bike that somebody rides. */
export interface PackOfBike {
  readonly bikeId: string
  readonly problem: PackProblem
}

/** What is done on a trip with what all carry. */
export interface UsesOfKit {
  readonly works: readonly Work[]
  readonly hoursPerGram: number
}

const riddenBikes = ({ bikes, crew }: Pick<Trip, 'bikes' | 'crew'>) =>
  bikes.filter(({ id }) => crew.some(({ bikeId }) => bikeId === id))

/**
 * What is used how often, from the ledger of a trip; the bike of a work is its number among those that are ridden.
 *
 * @param counts how many of each thing of the bench all carry
 * @param problem the failures of the ledger, where they are worked out already
 */
export function usesOfKit(
  trip: Pick<Trip, 'bikes' | 'crew'>,
  { ledger, notes }: LedgerOfTrip,
  counts: readonly number[],
  problem = kitProblem(indexLedger(ledger)),
): UsesOfKit {
  const ridden = riddenBikes(trip)
  const bikeOf = notes.map(({ bike }) => {
    const at = ridden.findIndex(({ id }) => id === bike)
    return at < 0 ? null : at
  })
  const always = Array.from({ length: ledger.legs }, () => 1)
  const together = { problem, bikeOf, shares: ledger.events.map(() => always) }
  return { works: worksWith(together, counts), hoursPerGram: problem.ledger.hoursPerGram }
}

/**
 * What each bike of a trip carries, to be put into its bags. Whoever mends a bike takes what is carried on it, and what it has
 * not from the first of the crew who has.
 *
 * @param uses what is used how often
 * @param split who carries what
 */
export function packOfTrip(
  trip: Trip,
  reference: Reference,
  { works, hoursPerGram }: UsesOfKit,
  split: Pick<SplitPlan, 'riders'>,
): PackOfBike[] {
  const { bench, crew } = trip
  const ridden = riddenBikes(trip)
  const carried = ridden.map(({ id }) =>
    bench.map((_, item) =>
      split.riders.reduce((sum, { counts }, r) => (nth(crew, r).bikeId === id ? sum + nth(counts, item) : sum), 0),
    ),
  )
  const { packing } = withPlanning(reference, trip.dials.planning)
  return ridden.map(({ id, storage }, b) => {
    const pieces = bench.flatMap((thing, item) =>
      piecesOf(thing, item, nth(nth(carried, b), item), id, storage, reference),
    )
    const piecesByThing = new Map<number, number[]>()
    pieces.forEach(({ thing }, piece) => entry(piecesByThing, thing, () => []).push(piece))
    const own: PackWork[] = works.flatMap(({ bike, times, wants }) => {
      const here = wants.flatMap((items) => {
        const holder =
          bike !== null && holds(nth(carried, bike), items) ? bike : carried.findIndex((on) => holds(on, items))
        return holder === b ? [items.flatMap((item) => piecesByThing.get(item) ?? [])] : []
      })
      return here.length > 0 ? [{ times, wants: here }] : []
    })
    return { bikeId: id, problem: { pieces, places: storage, works: sameOnce(own), hoursPerGram, packing } }
  })
}

const holds = (counts: readonly number[], items: readonly number[]) => items.some((item) => nth(counts, item) > 0)

/** Work that wants the same, once, as often as all of it comes. */
function sameOnce(works: readonly PackWork[]): PackWork[] {
  const known = new Map<string, PackWork>()
  for (const work of works) {
    const key = JSON.stringify(work.wants)
    known.set(key, { ...work, times: work.times + (known.get(key)?.times ?? 0) })
  }
  return [...known.values()]
}

/** The pieces of a thing on a bike; as many of them stay somewhere as somebody has said. */
function piecesOf(
  thing: Thing,
  item: number,
  count: number,
  bikeId: string,
  storage: readonly Storage[],
  { items }: Reference,
): PackPiece[] {
  const { volumeMl, longestMm, boreMm, handling } = bulkOf(thing, items)
  const kept = thing.packedIn
    .filter((pin) => pin.bikeId === bikeId)
    .flatMap((pin) => {
      const place = storage.findIndex(({ id }) => id === pin.storageId)
      return place < 0 ? [] : Array.from({ length: pin.count }, () => place)
    })
  const takes = takenBy(thing)
  return Array.from({ length: count }, (_, n) => ({
    thing: item,
    massG: thing.massG,
    volumeMl,
    longestMm,
    boreMm,
    handling,
    takes,
    stays: kept[n] ?? null,
  }))
}

/** Tape is wound on pumps and levers; what is small and flat goes into the box of a patch kit. */
function takenBy({ provides, units }: Pick<Thing, 'provides' | 'units'>): PackPiece['takes'] {
  if (provides.some((name) => name === 'lever' || name.startsWith('inflate-'))) return 'winds'
  return 'patch' in units ? 'tucks' : null
}
