import { roomMl, type Opening } from '../bike'
import { defined, nth, numberAt } from '../validation'
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
  /** What each place weighs by itself, how high it is, and what it takes to open it and to lift one piece there, h. */
  private readonly bagG: Float64Array
  private readonly height: Float64Array
  private readonly reachH: Float64Array
  private readonly digH: Float64Array
  private readonly unwrapH: number
  /** All that follows from where pieces lie, in one row so that it is kept and brought back in one go; and as it was marked. */
  private readonly settled: Float64Array
  private readonly marked: Float64Array
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
  private readonly massG: Float64Array
  private readonly volumeMl: Float64Array
  private readonly isSharp: Uint8Array
  /** The piece that each rides on; itself where it lies by itself. */
  private readonly rides: Float64Array
  /** The places that a work opens, what it wants there, and how deep that lies; used again for the next work. */
  private readonly opened: Float64Array
  private readonly wantedThere: Float64Array
  private readonly deepest: Float64Array
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
    this.bagG = Float64Array.from(places, ({ massG }) => massG)
    this.height = Float64Array.from(places, ({ place }) => heightOf[place])
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
    this.massG = Float64Array.from(pieces, ({ massG }) => massG)
    this.volumeMl = Float64Array.from(pieces, ({ volumeMl }) => volumeMl)
    this.isSharp = Uint8Array.from(pieces, ({ handling }) => Number(handling.includes('sharp')))
    this.settled = new Float64Array(4 * pieces.length + works.length + 2 * places.length)
    this.marked = new Float64Array(this.settled.length)
    let taken = 0
    const row = (length: number) => this.settled.subarray(taken, (taken += length))
    this.rank = row(pieces.length)
    this.access = row(pieces.length)
    this.isWrapped = row(pieces.length)
    this.rides = row(pieces.length)
    pieces.forEach((_, p) => (this.rides[p] = p))
    this.workHours = row(works.length)
    this.curesIn = row(places.length)
    this.highIn = row(places.length)
    this.opened = new Float64Array(places.length)
    this.wantedThere = new Float64Array(places.length)
    this.deepest = new Float64Array(places.length)
    this.wantedBy = new Float64Array(pieces.length).fill(-1)
    this.isStale = new Uint8Array(places.length).fill(1)
    this.isWorkStale = new Uint8Array(works.length).fill(1)
    this.worksOf = pieces.map((_, piece) =>
      works.flatMap(({ wants }, w) => (wants.some((any) => any.includes(piece)) ? [w] : [])),
    )
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

  private within(place: number): number[] {
    return defined(this.inPlaces[place])
  }

  /** What lies in a place, or did, is another; so is what is done with a piece. */
  private touch(piece: number, place: number): void {
    this.isStale[place] = 1
    this.staleWorksOf(piece)
  }

  /** Puts a piece where it may be by its shape; whether all of it then has room is `hasRoom`. @param rank where from the opening */
  put(piece: number, place: number, rank: number): void {
    this.take(piece)
    if (place < 0) return
    this.within(place).splice(rank, 0, piece)
    this.placeOf[piece] = place
    this.touch(piece, place)
  }

  /** Takes a piece out. */
  take(piece: number): void {
    const before = numberAt(this.placeOf, piece)
    if (before < 0) return
    const within = this.within(before)
    within.splice(within.indexOf(piece), 1)
    this.placeOf[piece] = -1
    this.touch(piece, before)
  }

  /** Where a piece lies, counted from the opening. */
  rankOf = (piece: number): number => {
    const place = numberAt(this.placeOf, piece)
    return place < 0 ? 0 : this.within(place).indexOf(piece)
  }

  /** Where a piece is put among those of a place: before all that are wanted less often. */
  rankFor(piece: number, place: number): number {
    const within = this.within(place)
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
    for (const piece of this.within(place)) if (this.rides[piece] === piece) used += numberAt(this.volumeMl, piece)
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

  private readonly isAnySharpIn = (place: number) => this.within(place).some((piece) => this.isSharp[piece] === 1)

  /** What is wound on something in a place, or lies in it, does so. */
  private settleRides(place: number): void {
    for (const piece of this.within(place)) {
      const hosts = defined(this.hostsOf[piece])
      if (hosts.length === 0) continue
      const host = hosts.find((other) => numberAt(this.placeOf, other) === place) ?? piece
      if (this.rides[piece] === host) continue
      this.rides[piece] = host
      this.staleWorksOf(piece)
    }
  }

  /** Where everything is, and what it takes to get at each piece, for the places of which something has changed. */
  private settle(): void {
    const count = this.isStale.length
    for (let place = 0; place < count; place++) {
      if (this.isStale[place] === 0) continue
      this.isStale[place] = 0
      this.settleRides(place)
      const within = this.within(place)
      const beside = Number(this.isAnySharpIn(place))
      let [curesG, massG, above] = [0, 0, 0]
      for (const piece of within) {
        massG += numberAt(this.massG, piece)
        if (numberAt(this.rides, piece) !== piece) continue
        const at = (piece * count + place) * 2 + beside
        curesG += numberAt(this.cureG, at)
        this.lie(piece, place, above++, numberAt(this.isCured, at))
      }
      for (const piece of within) {
        const host = numberAt(this.rides, piece)
        if (host === piece) continue
        this.lie(piece, place, numberAt(this.rank, host), numberAt(this.isWrapped, host))
      }
      this.curesIn[place] = curesG
      this.highIn[place] = massG * numberAt(this.height, place)
    }
  }

  /** A piece lies under so many others, wrapped or not: where that is as before, so is what it takes to get at it. */
  private lie(piece: number, place: number, rank: number, isWrapped: number): void {
    const access = numberAt(this.reachH, place) + numberAt(this.digH, place) * rank + this.unwrapH * isWrapped
    if (this.access[piece] === access && this.rank[piece] === rank && this.isWrapped[piece] === isWrapped) return
    this.access[piece] = access
    this.rank[piece] = rank
    this.isWrapped[piece] = isWrapped
    this.staleWorksOf(piece)
  }

  private staleWorksOf(piece: number): void {
    for (const work of defined(this.worksOf[piece])) this.isWorkStale[work] = 1
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

  /** What works take of which something has changed. */
  private settleWorks(): void {
    for (let work = 0; work < this.isWorkStale.length; work++) {
      if (this.isWorkStale[work] === 0) continue
      this.isWorkStale[work] = 0
      this.workHours[work] = this.workH(work)
    }
  }

  /** To do a work once: each place it wants something of is reached for, and what lies above the deepest of that is taken out. */
  private workH(work: number): number {
    this.work++
    let hours = 0
    let opened = 0
    for (let want = numberAt(this.workBegins, work); want < numberAt(this.workBegins, work + 1); want++) {
      const piece = this.nearestOf(want)
      if (piece < 0) continue
      const host = numberAt(this.rides, piece)
      // The same piece may serve twice, and what is wound on it comes out with it.
      if (numberAt(this.wantedBy, host) === this.work) continue
      this.wantedBy[host] = this.work
      const place = numberAt(this.placeOf, piece)
      hours += this.unwrapH * numberAt(this.isWrapped, piece)
      const rank = numberAt(this.rank, piece)
      let at = 0
      while (at < opened && this.opened[at] !== place) at++
      if (at === opened) {
        this.opened[opened++] = place
        this.wantedThere[at] = 1
        this.deepest[at] = rank
      } else {
        this.wantedThere[at] = numberAt(this.wantedThere, at) + 1
        this.deepest[at] = Math.max(numberAt(this.deepest, at), rank)
      }
    }
    for (let at = 0; at < opened; at++) {
      const place = numberAt(this.opened, at)
      const above = numberAt(this.deepest, at) + 1 - numberAt(this.wantedThere, at)
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
    const { hoursPerGram, packing } = this.problem
    this.settle()
    this.settleWorks()
    let [diggingH, curesG, bagsG, highG, out] = [0, 0, 0, 0, 0]
    for (let w = 0; w < this.timesOf.length; w++) diggingH += numberAt(this.timesOf, w) * numberAt(this.workHours, w)
    for (let place = 0; place < this.inPlaces.length; place++) {
      if (this.within(place).length === 0) continue
      curesG += numberAt(this.curesIn, place)
      highG += numberAt(this.highIn, place)
      bagsG += numberAt(this.bagG, place)
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

  /** Keeps what is worked out of pieces as they lie now. */
  mark(): void {
    this.settle()
    this.settleWorks()
    this.marked.set(this.settled)
  }

  /** Brings that back, for pieces that lie again as they did then. */
  back(): void {
    this.settled.set(this.marked)
    this.isStale.fill(0)
    this.isWorkStale.fill(0)
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
