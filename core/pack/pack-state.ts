import { roomMl, type Opening } from '../bike'
import { nth, numberAt } from '../validation'
import { cureGrams, curesOf, type Cure } from './cures'
import { misfitOf, roundingMl } from './goes-in'
import { heightOf } from './height'
import type { PackProblem } from './problem'

/** How much of what lies above has to come out, by how a place opens. Planning values. */
const dugFor: Readonly<Record<Opening, number>> = { narrow: 1, wide: 0.3, 'rolls out': 0 }

/** More than any packing costs, h: a piece stays out only where nothing else will do. */
const outH = 100

/** What a packing costs. */
export interface PackCosts {
  /** Hours of a trip, in the mean, to get at what is wanted: reaching for the place, digging and unwrapping. */
  readonly diggingH: number
  /** Grams of tape, of bags, and of what comes along for the kit alone. */
  readonly curesG: number
  readonly bagsG: number
  /** What that weighs, and what is carried high, in hours. */
  readonly carryH: number
  /** Hours that stand for what goes in nowhere. */
  readonly outH: number
}

/** Where each of some rows begins, laid one after another, and where the last ends. */
function begins(lengths: readonly number[]): Float64Array {
  const starts = new Float64Array(lengths.length + 1)
  lengths.forEach((length, i) => (starts[i + 1] = numberAt(starts, i) + length))
  return starts
}

/** Pieces in the places of a bike, each place from its opening downwards. */
export class PackState {
  /** For each place, the pieces in it, the first at its opening. */
  readonly inPlaces: number[][]
  /** For each piece its place; −1 where it is out. */
  readonly placeOf: Float64Array
  private readonly room: Float64Array
  private readonly fitsBy: readonly (readonly boolean[])[]
  private readonly reachH: Float64Array
  private readonly digH: Float64Array
  private readonly unwrapH: number
  /** How many lie above each piece. */
  private readonly rank: Float64Array
  private readonly access: Float64Array
  private readonly isWrapped: Float64Array
  /** For each piece, those that it may be wound on or lie in. */
  private readonly hostsOf: readonly (readonly number[])[]
  /** For each piece and place, the grams that keep it whole there, beside nothing sharp and beside something sharp. */
  private readonly cureG: Float64Array
  /** Whether it has to be unwrapped there, in the same order. */
  private readonly isCured: Float64Array
  private readonly isSharp: Uint8Array
  /** The piece that each rides on; itself where it lies by itself. */
  private readonly rides: Float64Array
  private readonly deepest: Float64Array
  private readonly wantedThere: Float64Array
  /** The last work that each piece was counted for. */
  private readonly wantedBy: Float64Array
  /** Places and works of which something has changed since they were last settled. */
  private readonly isStale: Uint8Array
  private readonly isWorkStale: Uint8Array
  private readonly worksOf: readonly (readonly number[])[]
  /** What each work takes, h; what keeps things whole in each place, g, and what there weighs by its height. */
  private readonly workHours: Float64Array
  private readonly curesIn: Float64Array
  private readonly highIn: Float64Array
  private work = 0
  private readonly timesOf: Float64Array
  /** The pieces that would do for each want, one want after another; where those of each begin, and the wants of each work. */
  private readonly wanted: Float64Array
  private readonly wantBegins: Float64Array
  private readonly workBegins: Float64Array
  /** Pieces that are wanted for the same work, or are wound on another or lie in it, with that. */
  readonly together: readonly (readonly number[])[]
  /** How often each piece would be wanted if it were always the one that is taken. */
  readonly wantedTimes: Float64Array

  constructor(readonly problem: PackProblem) {
    const { pieces, places, works, packing } = problem
    this.inPlaces = places.map(() => [])
    this.placeOf = new Float64Array(pieces.length).fill(-1)
    // Where other things are over the brim already there is no room, and nothing is still not too much.
    this.room = Float64Array.from(places, (place) => Math.max(0, roomMl(place)))
    this.fitsBy = pieces.map((piece) =>
      places.map((place, c) => misfitOf(piece, place, numberAt(this.room, c)) === undefined),
    )
    this.reachH = Float64Array.from(places, ({ reachMin }) => reachMin / 60)
    this.digH = Float64Array.from(places, ({ opening }) => (dugFor[opening] * packing.dig) / 3600)
    this.unwrapH = packing.unwrap / 60
    // What others are wound on or lie in is itself wound on nothing.
    this.hostsOf = pieces.map((piece) =>
      pieces.flatMap(({ takes }, host) =>
        piece.takes === null && takes !== null && piece.handling.includes(takes) ? [host] : [],
      ),
    )
    const gramsOf = (needed: readonly Cure[]) => needed.reduce((sum, cure) => sum + cureGrams(cure, packing), 0)
    const isUndone = (needed: readonly Cure[]) => needed.some((cure) => cure !== 'cap up')
    const each = pieces.flatMap((piece) =>
      places.flatMap((place) => [curesOf(piece, place, false), curesOf(piece, place, true)]),
    )
    this.cureG = Float64Array.from(each, gramsOf)
    this.isCured = Float64Array.from(each, (needed) => Number(isUndone(needed)))
    this.isSharp = Uint8Array.from(pieces, ({ handling }) => Number(handling.includes('sharp')))
    this.rank = new Float64Array(pieces.length)
    this.access = new Float64Array(pieces.length)
    this.isWrapped = new Float64Array(pieces.length)
    this.rides = Float64Array.from(pieces, (_, p) => p)
    this.deepest = new Float64Array(places.length)
    this.wantedThere = new Float64Array(places.length)
    this.wantedBy = new Float64Array(pieces.length).fill(-1)
    this.isStale = new Uint8Array(places.length).fill(1)
    this.isWorkStale = new Uint8Array(works.length).fill(1)
    this.worksOf = pieces.map((_, piece) =>
      works.flatMap(({ wants }, w) => (wants.some((any) => any.includes(piece)) ? [w] : [])),
    )
    this.workHours = new Float64Array(works.length)
    this.curesIn = new Float64Array(places.length)
    this.highIn = new Float64Array(places.length)
    this.timesOf = Float64Array.from(works, ({ times, wants }) =>
      wants.some(([first]) => first !== undefined && nth(pieces, first).handling.includes('in a hurry'))
        ? times * packing.hurry
        : times,
    )
    const wants = works.flatMap((work) => work.wants)
    this.wanted = Float64Array.from(wants.flat())
    this.wantBegins = begins(wants.map(({ length }) => length))
    this.workBegins = begins(works.map((work) => work.wants.length))
    const groups = [
      ...works.map(({ wants }) => wants.flatMap((any) => any.slice(0, 1))),
      ...this.hostsOf.flatMap((hosts, piece) => hosts.map((host) => [piece, host])),
    ].map((group) => [...new Set(group)])
    this.together = [
      ...new Map(groups.filter(({ length }) => length > 1).map((group) => [group.join(), group])).values(),
    ]
    this.wantedTimes = new Float64Array(pieces.length)
    works.forEach(({ wants }, w) => {
      for (const any of wants)
        for (const piece of any) this.wantedTimes[piece] = numberAt(this.wantedTimes, piece) + numberAt(this.timesOf, w)
    })
  }

  /** What lies in a place, or did, is another; so is what is done with a piece. */
  private touch(piece: number, place: number): void {
    this.isStale[place] = 1
    for (const work of nth(this.worksOf, piece)) this.isWorkStale[work] = 1
  }

  /** Puts a piece where it may be by its shape; whether all of it then has room is `hasRoom`. @param rank where from the opening */
  put(piece: number, place: number, rank: number): void {
    this.take(piece)
    if (place < 0) return
    nth(this.inPlaces, place).splice(rank, 0, piece)
    this.placeOf[piece] = place
    this.touch(piece, place)
  }

  /** Takes a piece out. */
  take(piece: number): void {
    const before = numberAt(this.placeOf, piece)
    if (before < 0) return
    const within = nth(this.inPlaces, before)
    within.splice(within.indexOf(piece), 1)
    this.placeOf[piece] = -1
    this.touch(piece, before)
  }

  /** Where a piece lies, counted from the opening. */
  rankOf = (piece: number): number => {
    const place = numberAt(this.placeOf, piece)
    return place < 0 ? 0 : nth(this.inPlaces, place).indexOf(piece)
  }

  /** Where a piece is put among those of a place: before all that are wanted less often. */
  rankFor(piece: number, place: number): number {
    const within = nth(this.inPlaces, place)
    const times = numberAt(this.wantedTimes, piece)
    const at = within.findIndex((other) => numberAt(this.wantedTimes, other) < times)
    return at < 0 ? within.length : at
  }

  /** Whether a piece goes into a place by its shape. */
  fits = (piece: number, place: number): boolean => nth(nth(this.fitsBy, piece), place)

  /** Whether it does, and need not stay elsewhere. */
  goesIn(piece: number, place: number): boolean {
    const { stays } = nth(this.problem.pieces, piece)
    return (stays === null || stays === place) && this.fits(piece, place)
  }

  /** Whether a place holds what is in it. */
  hasRoom(place: number): boolean {
    return this.usedMl(place) <= numberAt(this.room, place) + roundingMl
  }

  usedMl(place: number): number {
    this.settleRides(place)
    let used = 0
    for (const piece of nth(this.inPlaces, place))
      if (numberAt(this.rides, piece) === piece) used += nth(this.problem.pieces, piece).volumeMl
    return used
  }

  /** The piece that another is wound on or lies in; nothing where it lies by itself. */
  ridesOn(piece: number): number | undefined {
    const place = numberAt(this.placeOf, piece)
    if (place < 0) return undefined
    this.settleRides(place)
    const host = numberAt(this.rides, piece)
    return host === piece ? undefined : host
  }

  /** What keeps a piece whole where it is. */
  curesOf(piece: number): Cure[] {
    const place = numberAt(this.placeOf, piece)
    if (place < 0 || this.ridesOn(piece) !== undefined) return []
    const { pieces, places } = this.problem
    return curesOf(nth(pieces, piece), nth(places, place), this.isAnySharpIn(place))
  }

  private readonly isAnySharpIn = (place: number) =>
    nth(this.inPlaces, place).some((piece) => this.isSharp[piece] === 1)

  /** What is wound on something in a place, or lies in it, does so. */
  private settleRides(place: number): void {
    const within = nth(this.inPlaces, place)
    for (const piece of within) {
      const hosts = nth(this.hostsOf, piece)
      if (hosts.length > 0) this.rides[piece] = hosts.find((host) => numberAt(this.placeOf, host) === place) ?? piece
    }
  }

  /** Where everything is, and what it takes to get at each piece, for the places of which something has changed. */
  private settle(): void {
    const { pieces, places } = this.problem
    for (let place = 0; place < places.length; place++) {
      if (this.isStale[place] === 0) continue
      this.isStale[place] = 0
      this.settleRides(place)
      const within = nth(this.inPlaces, place)
      const height = heightOf[nth(places, place).place]
      const beside = Number(this.isAnySharpIn(place))
      let [curesG, highG, above] = [0, 0, 0]
      for (const piece of within) {
        highG += nth(pieces, piece).massG * height
        if (numberAt(this.rides, piece) !== piece) continue
        const at = (piece * places.length + place) * 2 + beside
        curesG += numberAt(this.cureG, at)
        this.isWrapped[piece] = numberAt(this.isCured, at)
        this.rank[piece] = above++
        this.reach(piece, place)
      }
      for (const piece of within) {
        const host = numberAt(this.rides, piece)
        if (host === piece) continue
        this.isWrapped[piece] = numberAt(this.isWrapped, host)
        this.rank[piece] = numberAt(this.rank, host)
        this.reach(piece, place)
      }
      this.curesIn[place] = curesG
      this.highIn[place] = highG
    }
  }

  private reach(piece: number, place: number): void {
    this.access[piece] =
      numberAt(this.reachH, place) +
      numberAt(this.digH, place) * numberAt(this.rank, piece) +
      this.unwrapH * numberAt(this.isWrapped, piece)
    for (const work of nth(this.worksOf, piece)) this.isWorkStale[work] = 1
  }

  /** Of the pieces that would do for a want, the one that is nearest to hand; −1 where all are out. */
  private nearestOf(want: number): number {
    let nearest = -1
    let least = Infinity
    for (let i = numberAt(this.wantBegins, want); i < numberAt(this.wantBegins, want + 1); i++) {
      const piece = numberAt(this.wanted, i)
      const access = numberAt(this.access, piece)
      if (numberAt(this.placeOf, piece) < 0 || access >= least) continue
      nearest = piece
      least = access
    }
    return nearest
  }

  /** To do a work once: each place it wants something of is reached for, and what lies above the deepest of that is taken out. */
  private workH(work: number): number {
    this.deepest.fill(-1)
    this.wantedThere.fill(0)
    this.work++
    let hours = 0
    for (let want = numberAt(this.workBegins, work); want < numberAt(this.workBegins, work + 1); want++) {
      const piece = this.nearestOf(want)
      if (piece < 0) continue
      const host = numberAt(this.rides, piece)
      // The same piece may serve twice, and what is wound on it comes out with it.
      if (numberAt(this.wantedBy, host) === this.work) continue
      this.wantedBy[host] = this.work
      const place = numberAt(this.placeOf, piece)
      hours += this.unwrapH * numberAt(this.isWrapped, piece)
      this.wantedThere[place] = numberAt(this.wantedThere, place) + 1
      this.deepest[place] = Math.max(numberAt(this.deepest, place), numberAt(this.rank, piece))
    }
    for (let place = 0; place < this.deepest.length; place++) {
      const deepest = numberAt(this.deepest, place)
      if (deepest < 0) continue
      const above = deepest + 1 - numberAt(this.wantedThere, place)
      hours += numberAt(this.reachH, place) + numberAt(this.digH, place) * above
    }
    return hours
  }

  /** For each piece, how often it is the one taken, and the hours it takes then to have it in the hand. */
  uses(): { times: number; accessH: number }[] {
    this.settle()
    const times = new Float64Array(this.placeOf.length)
    let want = 0
    for (const { wants, times: often } of this.problem.works)
      for (let i = 0; i < wants.length; i++) {
        const piece = this.nearestOf(want++)
        if (piece >= 0) times[piece] = numberAt(times, piece) + often
      }
    return Array.from(times, (often, piece) => ({ times: often, accessH: numberAt(this.access, piece) }))
  }

  get costs(): PackCosts {
    const { places, works, hoursPerGram, packing } = this.problem
    this.settle()
    let [diggingH, curesG, bagsG, highG, out] = [0, 0, 0, 0, 0]
    for (let w = 0; w < works.length; w++) {
      if (this.isWorkStale[w] === 1) {
        this.isWorkStale[w] = 0
        this.workHours[w] = this.workH(w)
      }
      diggingH += numberAt(this.timesOf, w) * numberAt(this.workHours, w)
    }
    for (let place = 0; place < places.length; place++) {
      if (nth(this.inPlaces, place).length === 0) continue
      curesG += numberAt(this.curesIn, place)
      highG += numberAt(this.highIn, place)
      bagsG += nth(places, place).massG
    }
    for (let piece = 0; piece < this.placeOf.length; piece++)
      if (numberAt(this.placeOf, piece) < 0) out += outH + numberAt(this.wantedTimes, piece)
    return {
      diggingH,
      curesG,
      bagsG,
      carryH: (curesG + bagsG + packing.high * highG) * hoursPerGram,
      outH: out,
    }
  }

  /** How many pieces go in nowhere. */
  get outCount(): number {
    let count = 0
    for (const place of this.placeOf) if (place < 0) count++
    return count
  }

  get costH(): number {
    const { diggingH, carryH, outH: out } = this.costs
    return diggingH + carryH + out
  }

  /** Where everything is, to come back to. */
  kept = (): readonly (readonly number[])[] => this.inPlaces.map((within) => [...within])

  restore(kept: readonly (readonly number[])[]): void {
    this.placeOf.fill(-1)
    this.isStale.fill(1)
    this.isWorkStale.fill(1)
    kept.forEach((within, place) => {
      nth(this.inPlaces, place).splice(0, Infinity, ...within)
      for (const piece of within) this.placeOf[piece] = place
    })
  }
}
