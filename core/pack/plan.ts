import { roomMl, type Bike, type Storage } from '../bike'
import { nth } from '../validation'
import type { Cure } from './cures'
import type { PackCosts, PackState } from './pack-state'
import { bagsFor, roomOn, whyNot, type BagFor, type NoRoom } from './ways-in'

/** Pieces of one thing that lie together. */
export interface PackedLayer {
  /** The thing, by its number on the bench, and how many of it. */
  readonly thing: number
  readonly count: number
  /** So many of them stay here, whatever else is packed. */
  readonly stays: number
  readonly cures: readonly Cure[]
  /** The thing that it is wound on, or whose box it lies in. */
  readonly on: number | null
  /** How often it is taken out on the trip, in the mean, and the hours that takes each time. */
  readonly times: number
  readonly accessH: number
}

/** A place of a bike with what lies in it. */
export interface PackedPlace {
  readonly storageId: string
  readonly usedMl: number
  readonly roomMl: number
  readonly massG: number
  /** From its opening downwards. */
  readonly layers: readonly PackedLayer[]
}

/** What goes in nowhere, why, and what would take it. */
export interface LeftOut {
  readonly thing: number
  readonly count: number
  readonly why: readonly NoRoom[]
  /** Bags that this bike has a place for, the cheapest first. */
  readonly bags: readonly BagFor[]
  /** Places of other bikes that have room. */
  readonly elsewhere: readonly { readonly bikeId: string; readonly storageId: string }[]
}

/** A bike with everything in its places. */
export interface PackPlan {
  readonly bikeId: string
  readonly places: readonly PackedPlace[]
  readonly out: readonly LeftOut[]
  readonly costs: PackCosts
}

/** More ways than anybody reads. */
const mostBags = 3

/**
 * What has been packed on bikes, to be shown.
 *
 * @param containers bags to be had
 */
export function plansOf(
  packed: readonly { readonly bike: Bike; readonly state: PackState }[],
  containers: readonly Storage[],
): PackPlan[] {
  return packed.map(({ bike, state }) => ({
    bikeId: bike.id,
    places: placesOf(state),
    out: leftOut(state).map(({ thing, pieces }) => {
      const piece = nth(state.problem.pieces, nth(pieces, 0))
      const times = Math.max(...pieces.map((each) => nth(state.wantedTimes, each)))
      return {
        thing,
        count: pieces.length,
        why: whyNot(state, piece),
        bags: bagsFor(state, piece, times, bike, containers).slice(0, mostBags),
        elsewhere: packed.flatMap(({ bike: other, state: there }) =>
          other.id === bike.id
            ? []
            : roomOn(there, piece).map(({ id: storageId }) => ({ bikeId: other.id, storageId })),
        ),
      }
    }),
    costs: state.costs,
  }))
}

function leftOut(state: PackState): { thing: number; pieces: number[] }[] {
  const out = new Map<number, number[]>()
  state.placeOf.forEach((place, piece) => {
    const { thing } = nth(state.problem.pieces, piece)
    if (place < 0) out.set(thing, [...(out.get(thing) ?? []), piece])
  })
  return [...out].map(([thing, pieces]) => ({ thing, pieces }))
}

function placesOf(state: PackState): PackedPlace[] {
  const { pieces, places } = state.problem
  const uses = state.uses()
  return places.map((place, c) => {
    const layers: PackedLayer[] = []
    for (const piece of nth(state.inPlaces, c)) {
      const { thing, stays } = nth(pieces, piece)
      const host = state.ridesOn(piece)
      const { times, accessH } = nth(uses, piece)
      const last = layers.at(-1)
      const kept = stays === null ? 0 : 1
      // The first of several is the one that is taken.
      if (last?.thing === thing)
        layers[layers.length - 1] = {
          ...last,
          count: last.count + 1,
          stays: last.stays + kept,
          times: last.times + times,
        }
      else
        layers.push({
          thing,
          count: 1,
          stays: kept,
          cures: state.curesOf(piece),
          on: host === undefined ? null : nth(pieces, host).thing,
          times,
          accessH,
        })
    }
    return {
      storageId: place.id,
      usedMl: state.usedMl(c),
      roomMl: roomMl(place),
      massG: nth(state.inPlaces, c).reduce((sum, piece) => sum + nth(pieces, piece).massG, 0),
      layers,
    }
  })
}
