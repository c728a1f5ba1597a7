import { roomMl } from '../bike'
import { Stream } from '../simulate'
import { nth, numberAt } from '../validation'
import { anneal, type OutCosts } from './anneal'
import { fill } from './fill'
import { PackState } from './pack-state'
import type { PackProblem } from './problem'

/** Costs that differ by less are the same. */
const noticedH = 1e-9
/** Steps for the root of all that could be done with one piece, and so often at most. */
const stepsEach = 400
const runs = 12
/** After so many that have found nothing better it is left as it is. */
const vainRuns = 4
/** Two ways to look, in turns: with pieces lightly taken out, where all fits but tightly, and hardly ever. */
const outCosts: readonly OutCosts[] = [
  { first: 0.1, last: 3 },
  { first: 1, last: 6 },
]
/** The same numbers always. */
const key = 20260612

/**
 * The packing of a bike that costs least: everything is put somewhere, improved piece by piece and pair by pair until no change
 * spares anything, annealed, and improved again.
 *
 * @param before a packing to begin with: for each place its pieces; what is found never costs more where it still fits
 */
export function bestPacking(problem: PackProblem, before?: readonly (readonly number[])[]): PackState {
  const state = new PackState(problem)
  const byRoom = problem.places
    .map((place, number) => ({ number, room: roomMl(place) }))
    .sort((a, b) => a.room - b.room)
    .map(({ number }) => number)
  const starts = [
    () => putNearest(state),
    () => fill(state, byRoom),
    () => fill(state, byRoom.toReversed()),
    ...(before ? [() => putAsBefore(state, before)] : []),
  ]
  let [best, least] = [state.kept(), Infinity]
  const keep = () => {
    const cost = improve(state)
    if (cost < least - noticedH) [best, least] = [state.kept(), cost]
  }
  for (const start of starts) {
    state.restore(problem.places.map(() => []))
    start()
    keep()
  }
  const numbers = new Stream(key)
  const steps = stepsEach * Math.sqrt(problem.pieces.length * problem.places.length)
  const mostRuns = problem.places.length > 1 && problem.pieces.length > 1 ? runs : 0
  for (let run = 0, inVain = 0; run < mostRuns && inVain < vainRuns; run++) {
    const before = least
    if (run % 2 === 0) state.restore(best)
    else {
      state.restore(problem.places.map(() => []))
      putNearest(state)
    }
    anneal(state, numbers, steps, nth(outCosts, (run >> 1) % outCosts.length))
    keep()
    inVain = least < before - noticedH ? 0 : inVain + 1
  }
  state.restore(best)
  return state
}

/** What is wanted most goes first, each piece where it costs least as things lie. */
function putNearest(state: PackState): void {
  const { pieces } = state.problem
  const order = [...pieces.keys()].sort(
    (a, b) =>
      Number(nth(pieces, b).stays !== null) - Number(nth(pieces, a).stays !== null) ||
      numberAt(state.wantedTimes, b) - numberAt(state.wantedTimes, a) ||
      nth(pieces, b).volumeMl - nth(pieces, a).volumeMl,
  )
  for (const piece of order) relocate(state, piece, state.costH)
}

/** As it was before, as far as it still fits. */
function putAsBefore(state: PackState, before: readonly (readonly number[])[]): void {
  before.slice(0, state.problem.places.length).forEach((within, place) => {
    const fits = within.filter((piece) => piece < state.problem.pieces.length && state.goesIn(piece, place))
    fits.forEach((piece, rank) => state.put(piece, place, rank))
    for (const piece of fits.toReversed()) if (!state.hasRoom(place)) state.take(piece)
  })
}

/** Moves a piece to a place where it fits. @returns whether it did */
function shift(state: PackState, piece: number, to: number): boolean {
  const from = numberAt(state.placeOf, piece)
  if (from === to || !state.goesIn(piece, to)) return false
  const rank = state.rankOf(piece)
  state.put(piece, to, state.rankFor(piece, to))
  if (state.hasRoom(to) && (from < 0 || state.hasRoom(from))) return true
  state.put(piece, from, rank)
  return false
}

/** Two pieces change places, where both fit and that costs less than now. @returns what the packing then costs, h */
function swap(state: PackState, a: number, b: number, now: number): number {
  const [placeA, placeB] = [numberAt(state.placeOf, a), numberAt(state.placeOf, b)]
  if (placeA === placeB) return now
  if ((placeB >= 0 && !state.goesIn(a, placeB)) || (placeA >= 0 && !state.goesIn(b, placeA))) return now
  const [rankA, rankB] = [state.rankOf(a), state.rankOf(b)]
  state.take(a)
  state.take(b)
  if (placeB >= 0) state.put(a, placeB, state.rankFor(a, placeB))
  if (placeA >= 0) state.put(b, placeA, state.rankFor(b, placeA))
  if ((placeA < 0 || state.hasRoom(placeA)) && (placeB < 0 || state.hasRoom(placeB))) {
    const after = state.costH
    if (after < now - noticedH) return after
  }
  state.take(a)
  state.take(b)
  if (placeA >= 0) state.put(a, placeA, rankA)
  if (placeB >= 0) state.put(b, placeB, rankB)
  return now
}

/** Changes whatever spares something, until nothing does. @returns what the packing then costs, h */
function improve(state: PackState): number {
  const { pieces, places } = state.problem
  let cost = state.costH
  for (let isBetter = true; isBetter;) {
    const before = cost
    for (let piece = 0; piece < pieces.length; piece++) cost = relocate(state, piece, cost)
    for (let a = 0; a < pieces.length; a++)
      for (let b = a + 1; b < pieces.length; b++)
        if (nth(pieces, a).thing !== nth(pieces, b).thing) cost = swap(state, a, b, cost)
    for (const group of state.together)
      for (let place = 0; place < places.length; place++) cost = gather(state, group, place, cost)
    for (let piece = 0; piece < pieces.length; piece++)
      if (numberAt(state.placeOf, piece) < 0) cost = makeRoom(state, piece, cost)
    for (let place = 0; place < places.length; place++) {
      if (nth(places, place).massG > 0) cost = clear(state, place, cost)
      cost = reorder(state, place, cost)
    }
    isBetter = cost < before - noticedH
  }
  return cost
}

/** Puts a piece into the place where it costs least. */
function relocate(state: PackState, piece: number, now: number): number {
  const from = numberAt(state.placeOf, piece)
  const rank = state.rankOf(piece)
  let [best, least] = [from, now]
  state.mark()
  for (let to = 0; to < state.problem.places.length; to++) {
    if (!shift(state, piece, to)) continue
    const cost = state.costH
    if (cost < least - noticedH) [best, least] = [to, cost]
    state.put(piece, from, rank)
    state.back()
  }
  if (best !== from) shift(state, piece, best)
  return least
}

/** Puts pieces that go together into one place, where that costs less. */
function gather(state: PackState, group: readonly number[], place: number, now: number): number {
  const moved = group.filter((piece) => numberAt(state.placeOf, piece) !== place)
  if (moved.length < 2 || !moved.every((piece) => state.goesIn(piece, place))) return now
  const kept = state.kept()
  for (const piece of moved) state.put(piece, place, state.rankFor(piece, place))
  // What others were wound on may have gone, and they take room by themselves then.
  if (state.problem.places.every((_, each) => state.hasRoom(each))) {
    const cost = state.costH
    if (cost < now - noticedH) return cost
  }
  state.restore(kept)
  return now
}

/** Puts a piece that is out somewhere by moving another from there elsewhere. */
function makeRoom(state: PackState, piece: number, now: number): number {
  const { places } = state.problem
  for (let place = 0; place < places.length; place++) {
    if (!state.goesIn(piece, place)) continue
    for (const other of [...nth(state.inPlaces, place)])
      for (let to = 0; to < places.length; to++) {
        const kept = state.kept()
        if (!shift(state, other, to)) continue
        if (shift(state, piece, place)) {
          const cost = state.costH
          if (cost < now - noticedH) return cost
        }
        state.restore(kept)
      }
  }
  return now
}

/** Leaves a bag that weighs something at home, where all that is in it goes elsewhere and that costs less. */
function clear(state: PackState, place: number, now: number): number {
  const { pieces, places } = state.problem
  const kept = state.kept()
  const moved = [...nth(state.inPlaces, place)].sort((a, b) => nth(pieces, b).volumeMl - nth(pieces, a).volumeMl)
  for (const piece of moved) {
    let [best, least] = [-1, Infinity]
    for (let to = 0; to < places.length; to++) {
      if (to === place || (nth(state.inPlaces, to).length === 0 && nth(places, to).massG > 0)) continue
      const rank = state.rankOf(piece)
      if (!shift(state, piece, to)) continue
      const cost = state.costH
      if (cost < least) [best, least] = [to, cost]
      state.put(piece, place, rank)
    }
    if (best < 0) {
      state.restore(kept)
      return now
    }
    shift(state, piece, best)
  }
  const cost = state.costH
  if (moved.length > 0 && cost < now - noticedH) return cost
  state.restore(kept)
  return now
}

/** Lays the pieces of one place in another order. */
function reorder(state: PackState, place: number, now: number): number {
  let cost = now
  for (const piece of [...nth(state.inPlaces, place)]) {
    const from = state.rankOf(piece)
    let best = from
    for (let to = 0; to < nth(state.inPlaces, place).length; to++) {
      if (to === from) continue
      state.put(piece, place, to)
      const after = state.costH
      if (after < cost - noticedH) [best, cost] = [to, after]
    }
    state.put(piece, place, best)
  }
  return cost
}
