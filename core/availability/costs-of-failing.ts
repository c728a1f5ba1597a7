import { lightLeftH, ridingAlong, sharedOpeningCache, withDaylight, type OpeningCache, type DaylitDay } from '../ride'
import { entry } from '../maths'
import { nearestNode, pushOut, valueAt, type Survey } from '../road'
import type { Reference } from '../reference'
import { isHelp, readClass, type Service, type Stop } from '../supply'
import type { Trip } from '../trip'
import { nth, numberAt } from '../validation'
import { Ground, type RidingAhead } from './ground'
import { Landscape } from './landscape'
import type { TakenUp } from './resupply'
import { nightsOut, usualLight, type LightLeft } from './nights-out'
import { mostWaitAt } from './waits'
import {
  emptyAlong,
  leastAlong,
  leavingAlong,
  wayOnFoot,
  type ChancePlace,
  type FootAndPriceAlong,
  type RoadEnd,
} from './way-on-foot'

/** The chance that a place whose hours nobody knows is open. Planning value. */
export const openIfUnknown = 0.8
/** What being stranded is worth, in hours; less where the walk is shorter than so many hours. Planning values. */
export const stranded = { priceH: 3, fromWalkH: 3 } as const

/** A supply class that is a person: nobody fetches it. */
const person = 'mechanic'

/**
 * What failing costs at every place of the road, by what settles the failure: the way out that costs least of walking, a
 * lift, and a partner who rides for the part; and how far one rides on where the bike still rolls.
 *
 * All places count by their chance; nothing is a cliff.
 */
export class CostsOfFailing extends Landscape {
  private readonly rideH: Float64Array
  private readonly lights: readonly { readonly toKm: number; readonly light: LightLeft }[]
  private readonly nightFactors: Float64Array
  private readonly ends: readonly RoadEnd[]
  /** The places of help to which a lift brings one, by their nodes. */
  private readonly liftsTo: readonly number[]
  private readonly ground: Ground
  private readonly leavingWith = new Map<number, FootAndPriceAlong>()
  private readonly placesOf = new Map<string, readonly ChancePlace[]>()
  private readonly stuckOf = new Map<string, FootAndPriceAlong>()
  private readonly aheadOf = new Map<string, RidingAhead>()
  private readonly wrenchOf = new Map<number, Float64Array | null>()

  /** @param earlier of a plan that may differ in little: what was worked out for it is used again where it holds */
  constructor(
    protected override readonly trip: Pick<Trip, 'road' | 'ride' | 'forecast' | 'stops' | 'dials' | 'bikes'> & TakenUp,
    survey: Survey,
    reference: Reference,
    book: OpeningCache = sharedOpeningCache,
    earlier?: CostsOfFailing,
  ) {
    super(trip, survey, reference, book)
    const days = this.timetable?.days ?? []
    this.nightFactors = this.conditions.nightFactors()
    const hours = ridingAlong(survey, trip.road.stretches, trip.ride)
    this.rideH = this.grid.km.map((km) => valueAt(survey.km, hours, km))
    this.lights = withDaylight(days, trip.road.points, survey, trip.ride).map((day) => ({
      toKm: day.toKm,
      light: lightOf(day),
    }))
    this.ends = [
      ...[0, survey.lengthKm].map((roadKm) => ({ roadKm, offRoadM: 0, priceH: 0 })),
      ...trip.stops
        .filter(({ exit }) => exit !== null)
        .map(({ roadKm, offRoadM, exitWaitH }) => ({ roadKm, offRoadM, priceH: exitWaitH + trip.dials.rideOverH })),
    ]
    const helps = trip.stops
      .filter((stop) => isHelp(stop, reference.services))
      .map(({ roadKm }) => nearestNode(this.grid, roadKm))
    this.liftsTo = [...new Set([0, ...helps, this.grid.km.length - 1])].sort((a, b) => a - b)
    const text = this.groundText()
    this.ground = earlier?.ground.text === text && !earlier.ground.isFull ? earlier.ground : new Ground(text)
  }

  /** All that failing depends on but what may be had at which place. */
  private groundText(): string {
    const { dials, bikes, stops } = this.trip
    const { km, aheadH, backH, method } = this.grid
    return JSON.stringify([
      [km, aheadH, backH, this.rideH].map((row) => Array.from(row)),
      [method, dials.liftWaitH, dials.walkHoursPerDay, dials.nightOutH, bikes.length > 1],
      [this.edges, this.lights, this.ends, this.conditions.text],
      stops.filter(({ bigWrench }) => bigWrench).map(({ roadKm, offRoadM }) => [roadKm, offRoadM]),
    ])
  }

  /** The legs of the road, by number. */
  get legs(): number {
    return this.edges.length - 1
  }

  /**
   * The places where one of some classes may be had.
   *
   * A shop that opens later counts too: what one waits beyond what one would wait anyway is its price.
   */
  placesWith(classes: readonly string[]): readonly ChancePlace[] {
    return entry(this.placesOf, keyOf(classes, 1), () => this.placesFound(classes))
  }

  private placesFound(classes: readonly string[]): ChancePlace[] {
    return this.trip.stops.flatMap((stop) => {
      const mostWaitH = mostWaitAt(stop, this.trip.dials)
      const found = stop.services.map((service) => this.chanceAt(service, classes))
      const waits = [...new Set(found.map((each) => Math.max(0, each.waitH - mostWaitH)))].sort((a, b) => a - b)
      let before = 0
      return waits.flatMap((wait) => {
        const lacking = found
          .filter((each) => Math.max(0, each.waitH - mostWaitH) <= wait)
          .reduce((product, { chance }) => product * (1 - chance), 1)
        // Who waits for the later one has found nothing at the earlier ones.
        const chance = before < 1 ? (1 - lacking - before) / (1 - before) : 0
        before = 1 - lacking
        return chance > 0 ? [{ roadKm: stop.roadKm, offRoadM: stop.offRoadM, chance, waitH: wait }] : []
      })
    })
  }

  /** The chance that a class is had at each stop in passing, without waiting longer than one would anyway. */
  refillChance(stop: Stop, classId: string): number {
    const found = stop.services.map((service) => this.chanceAt(service, [classId]))
    const mostWaitH = mostWaitAt(stop, this.trip.dials)
    return 1 - found.reduce((product, { chance, waitH }) => product * (waitH <= mostWaitH ? 1 - chance : 1), 1)
  }

  private chanceAt(service: Service, classes: readonly string[]): { chance: number; waitH: number } {
    const stocked = Math.max(0, ...classes.map((classId) => this.stocked(service, classId)))
    const visit = this.visitTo(service)
    if (!visit) {
      const undated = this.undatedFinding(service)
      return { chance: undated === 'shut' ? 0 : stocked * (undated === 'uncertain' ? openIfUnknown : 1), waitH: 0 }
    }
    if (visit.waitH === null) return { chance: 0, waitH: 0 }
    return { chance: stocked * (visit.found === 'uncertain' ? openIfUnknown : 1), waitH: visit.waitH }
  }

  /**
   * What a failure costs from each node on a bike that cannot be ridden: the way out that costs least, with its nights out
   * and what being stranded is worth.
   */
  stuck(classes: readonly string[], pushFactor: number): FootAndPriceAlong {
    const key = keyOf(classes, pushFactor)
    const known = this.stuckOf.get(key)
    if (known) return known
    const places = this.placesWith(classes)
    const ridden = this.placesWith(classes.filter((classId) => this.isPart(classId)))
    // Classes that are had alike cost alike.
    const best = this.ground.stuck([pushFactor, places, ridden, this.liftsTo], () => {
      const onFoot = this.ground.onFoot([pushFactor, places], () =>
        wayOnFoot(this.grid, places, this.leaving(pushFactor), pushFactor),
      )
      const ways = [onFoot, this.withLift(onFoot, pushFactor), this.withPartner(onFoot, ridden)]
      return leastAlong(
        ways.flatMap((way) => (way ? [this.priced(way)] : [])),
        this.grid,
      )
    })
    this.stuckOf.set(key, best)
    return best
  }

  private leaving(pushFactor: number): FootAndPriceAlong {
    return entry(this.leavingWith, pushFactor, () => leavingAlong(this.grid, this.ends, pushFactor))
  }

  private isPart(classId: string): boolean {
    return readClass(classId, this.reference.families)?.family.id !== person
  }

  /** How far one rides from each node until what settles a failure is had, or the road ends. */
  ridingUntilSettled(classes: readonly string[]): RidingAhead {
    const key = keyOf(classes, 1)
    const known = this.aheadOf.get(key)
    if (known) return known
    const found = this.placesWith(classes).map(({ roadKm, chance }) => [roadKm, chance] as const)
    const riding = this.ground.riding(found, () => this.ridingTo(found))
    this.aheadOf.set(key, riding)
    return riding
  }

  private ridingTo(places: readonly (readonly [roadKm: number, chance: number])[]): RidingAhead {
    const at = new Map(places.map(([roadKm, chance]) => [nearestNode(this.grid, roadKm), chance]))
    const ahead = (along: Float64Array) => {
      const left = new Float64Array(along.length)
      for (let node = left.length - 2; node >= 0; node--) {
        const failing = 1 - (at.get(node + 1) ?? 0)
        left[node] = numberAt(along, node + 1) - numberAt(along, node) + failing * numberAt(left, node + 1)
      }
      return left
    }
    return { hours: ahead(this.rideH), km: ahead(this.grid.km) }
  }

  /** Hours of walking from each node to the nearest place that lends a big wrench; null where there is none. */
  toWrench(pushFactor: number): Float64Array | null {
    let hours = this.wrenchOf.get(pushFactor)
    if (hours === undefined) {
      const places = this.trip.stops
        .filter(({ bigWrench }) => bigWrench)
        .map(({ roadKm, offRoadM }) => ({ roadKm, offRoadM, extraH: 0 }))
      hours = places.length > 0 ? pushOut(this.grid, places, pushFactor).hours : null
      this.wrenchOf.set(pushFactor, hours)
    }
    return hours
  }

  /** A lift, where one may be called: it brings the rider to the next place of help, which may or may not settle it. */
  private withLift(onFoot: FootAndPriceAlong, pushFactor: number): FootAndPriceAlong | undefined {
    const { liftWaitH } = this.trip.dials
    if (liftWaitH === null) return undefined
    const toCall = this.toCall(pushFactor)
    const nodes = this.liftsTo
    const way = emptyAlong(this.grid)
    let next = 0
    for (let node = 0; node < this.grid.km.length; node++) {
      while (next < nodes.length - 1 && nth(nodes, next) < node) next++
      const [behind, ahead] = [nth(nodes, Math.max(0, next - 1)), nth(nodes, next)]
      const totalAt = (at: number) => numberAt(onFoot.walkH, at) + numberAt(onFoot.priceH, at)
      const to = totalAt(ahead) <= totalAt(behind) ? ahead : behind
      way.walkH[node] = numberAt(toCall, node) + numberAt(onFoot.walkH, to)
      way.priceH[node] = liftWaitH + numberAt(onFoot.priceH, to)
    }
    return way
  }

  /** A partner whose bike rolls rides for the part and back; the hours are waited. */
  private withPartner(onFoot: FootAndPriceAlong, ridden: readonly ChancePlace[]): FootAndPriceAlong | undefined {
    if (this.trip.bikes.length < 2) return undefined
    const places = ridden.map(({ roadKm, chance, waitH }) => ({
      chance,
      waitH,
      thereH: numberAt(this.rideH, nearestNode(this.grid, roadKm)),
    }))
    if (places.length === 0) return undefined
    const way = emptyAlong(this.grid)
    for (let node = 0; node < this.grid.km.length; node++) {
      let least = Infinity
      const [hereH, walkH, priceH] = [
        numberAt(this.rideH, node),
        numberAt(onFoot.walkH, node),
        numberAt(onFoot.priceH, node),
      ]
      for (const { thereH, chance, waitH } of places) {
        const rideH = 2 * Math.abs(thereH - hereH) + waitH
        const cost = rideH + (1 - chance) * (walkH + priceH)
        if (cost >= least) continue
        least = cost
        way.walkH[node] = (1 - chance) * walkH
        way.priceH[node] = rideH + (1 - chance) * priceH
      }
    }
    return way
  }

  /** A way out with its nights, each by the light of that day, and what being stranded is worth. */
  private priced({ walkH, priceH }: FootAndPriceAlong): FootAndPriceAlong {
    const { walkHoursPerDay, nightOutH } = this.trip.dials
    let day = 0
    return {
      walkH,
      priceH: priceH.map((price, node) => {
        while (day < this.lights.length - 1 && numberAt(this.grid.km, node) >= nth(this.lights, day).toKm) day++
        const hours = numberAt(walkH, node)
        const nights = nightsOut(hours, this.lights[day]?.light ?? usualLight, walkHoursPerDay)
        const night = nights * nightOutH * numberAt(this.nightFactors, node)
        return price + night + stranded.priceH * Math.min(1, hours / stranded.fromWalkH)
      }),
    }
  }
}

function lightOf({ startsAt, endsAt, daylight }: DaylitDay): LightLeft {
  const [early, late] = [lightLeftH(startsAt, daylight), lightLeftH(endsAt, daylight)]
  return { leastH: Math.min(early, late), mostH: Math.max(early, late) }
}

const keyOf = (classes: readonly string[], pushFactor: number) => `${pushFactor} ${[...classes].sort().join(' ')}`
