import type { Hazard } from '../hazard'
import { roadFactor, roadTraitsOf } from '../hazard'
import type { Reference } from '../reference'
import {
  gapsBetween,
  legEdges,
  legsOfGap,
  pointBefore,
  positionAt,
  pushOut,
  walkGrid,
  type Gap,
  type Help,
  type PushOut,
  type Survey,
  type WalkGrid,
} from '../road'
import { isHelp, offers, type Service, type Stop } from '../supply'
import { OpeningBook, Timetable, visitDuring, type Locality, type Visit } from '../ride'
import type { Trip } from '../trip'

/** A gap with what matters of it: its legs, how much of it counts for a hazard, and the hours lost in it. */
export interface Exposure {
  readonly gap: Gap
  readonly legs: number[]
  /** Kilometres, each counted by how hard the road is there. */
  readonly weightedKm: number
  /** Hours of walking lost by a failure in it, the mean weighted the same way. */
  readonly lossH: number
}

/** The road with its stops, ready to be asked about any class: what it costs to fail where. */
export class Landscape {
  readonly grid: WalkGrid
  readonly edges: number[]
  readonly lengthKm: number
  /** The ride by date and clock; undefined while its start is unknown. */
  readonly timetable: Timetable | undefined
  private readonly visits = new Map<Service, Visit>()
  private readonly gapsOf = new Map<string, Gap[]>()
  private readonly factorsOf = new Map<string, Float64Array>()
  private readonly offeringOf = new Map<string, Stop[]>()
  private readonly lossOf = new Map<string, Float64Array>()
  private readonly exposuresOf = new Map<string, Exposure[]>()

  constructor(
    private readonly trip: Pick<Trip, 'road' | 'ride' | 'stops' | 'dials'>,
    survey: Survey,
    private readonly reference: Reference,
    book = new OpeningBook(),
  ) {
    this.lengthKm = survey.lengthKm
    const stopsAt = trip.stops.map((stop) => stop.roadKm)
    const stretchEdges = trip.road.stretches.flatMap((stretch) => [stretch.fromKm, stretch.toKm])
    this.grid = walkGrid(survey, [...stopsAt, ...stretchEdges], trip.dials.walking)
    this.edges = legEdges(stopsAt, survey.lengthKm)
    if (trip.ride.start !== null) {
      this.timetable = new Timetable(survey, trip.road, trip.ride)
      this.planVisits(this.timetable, survey, book)
    }
  }

  private planVisits(timetable: Timetable, survey: Survey, book: OpeningBook): void {
    const { road, ride, stops } = this.trip
    for (const stop of stops) {
      const stay = timetable.stayAt(stop.roadKm)
      const locality: Locality = { ...positionAt(road.points, survey, stop.roadKm), country: ride.country }
      for (const service of stop.services) {
        this.visits.set(service, visitDuring(stay, book.find(service.hours, locality)))
      }
    }
  }

  /** How a service is found on the day one comes by; undefined while nobody knows which day that is. */
  visitTo(service: Service): Visit | undefined {
    return this.visits.get(service)
  }

  /** Whether a service can be waited for; one whose day or hours are unknown is taken to be open. */
  private serves(service: Service): boolean {
    const visit = this.visits.get(service)
    return !visit || (visit.waitH !== null && visit.waitH <= this.trip.dials.waitH)
  }

  /** Stops where a class can be had with at least the trusted chance, when one comes by. */
  offering(classId: string): Stop[] {
    let offering = this.offeringOf.get(classId)
    if (!offering) {
      const { services, families } = this.reference
      offering = this.trip.stops.filter((stop) => {
        const found = { ...stop, services: stop.services.filter((service) => this.serves(service)) }
        return offers(found, classId, this.trip.dials.trust, services, families)
      })
      this.offeringOf.set(classId, offering)
    }
    return offering
  }

  gaps(classId: string): Gap[] {
    let gaps = this.gapsOf.get(classId)
    if (!gaps) {
      gaps = gapsBetween(
        this.offering(classId).map((stop) => stop.roadKm),
        this.lengthKm,
      )
      this.gapsOf.set(classId, gaps)
    }
    return gaps
  }

  /**
   * Walking hours along the grid to the nearest place that settles the lack of
   * a class: where it can be had, where the ride can be left (which ends it,
   * at its own price), and both ends of the road.
   */
  pushOutFor(classId: string, pushFactor: number): PushOut {
    const ends = [0, this.lengthKm].map((roadKm) => ({ roadKm, offRoadM: 0, extraH: 0 }))
    const shops = this.offering(classId).map(({ roadKm, offRoadM }) => ({ roadKm, offRoadM, extraH: 0 }))
    const exits = this.trip.stops
      .filter((stop) => stop.exit !== null)
      .map(({ roadKm, offRoadM }) => ({ roadKm, offRoadM, extraH: this.trip.dials.rideOverH }))
    return pushOut(this.grid, [...ends, ...shops, ...exits], pushFactor)
  }

  /** The places of general help, in the order of `pushOutToHelp`'s answer: both ends, then the stops that mend or let one leave. */
  helps(): (Help & { name: string })[] {
    const help = (name: string, roadKm: number, offRoadM: number) => ({ name, roadKm, offRoadM, extraH: 0 })
    const stops = this.trip.stops.filter((stop) => isHelp(stop, this.reference.services))
    return [
      help('the start', 0, 0),
      help('the end', this.lengthKm, 0),
      ...stops.map((stop) => help(stop.name, stop.roadKm, stop.offRoadM)),
    ]
  }

  /** Walking hours along the grid to the nearest help of any kind. */
  pushOutToHelp(pushFactor: number): PushOut {
    return pushOut(this.grid, this.helps(), pushFactor)
  }

  /** What failing costs in each gap of the class that settles a hazard. */
  exposures(hazard: Hazard, settledBy: string, pushFactor: number): Exposure[] {
    const key = `${settledBy}|${pushFactor}|${JSON.stringify(hazard.onRoad)}`
    let exposures = this.exposuresOf.get(key)
    if (!exposures) {
      const lossH = this.lossAlong(settledBy, pushFactor)
      const factors = this.factorsAlong(hazard)
      exposures = this.gaps(settledBy).map((gap) => this.exposure(gap, lossH, factors))
      this.exposuresOf.set(key, exposures)
    }
    return exposures
  }

  /**
   * Hours lost at each node: the push-out, with a night out for each day's
   * walking it takes (a breakdown comes at any hour of the day alike, so
   * nights = walk ÷ hours one can walk a day), or the wait for a lift if that
   * is shorter.
   */
  private lossAlong(classId: string, pushFactor: number): Float64Array {
    // Classes that the same stops offer are lost at the same cost.
    const offering = this.offering(classId).map((stop) => stop.id)
    const key = JSON.stringify([pushFactor, ...offering])
    let lossH = this.lossOf.get(key)
    if (!lossH) {
      const { walkHoursPerDay, nightOutH, liftWaitH } = this.trip.dials
      const withNights = 1 + nightOutH / walkHoursPerDay
      const most = liftWaitH ?? Infinity
      lossH = this.pushOutFor(classId, pushFactor).hours.map((hours) => Math.min(hours * withNights, most))
      this.lossOf.set(key, lossH)
    }
    return lossH
  }

  /** The road's factor on a hazard over each step of the grid. */
  private factorsAlong(hazard: Hazard): Float64Array {
    const key = JSON.stringify(hazard.onRoad)
    let factors = this.factorsOf.get(key)
    if (!factors) {
      const { km } = this.grid
      factors = new Float64Array(km.length - 1).fill(roadFactor(hazard, roadTraitsOf(undefined)))
      for (const stretch of this.trip.road.stretches) {
        const factor = roadFactor(hazard, roadTraitsOf(stretch))
        // Stretches begin and end on nodes of the grid.
        for (let i = pointBefore(km, stretch.fromKm); i < factors.length && km[i]! < stretch.toKm; i++)
          factors[i] = factor
      }
      this.factorsOf.set(key, factors)
    }
    return factors
  }

  private exposure(gap: Gap, lossH: Float64Array, factors: Float64Array): Exposure {
    const { km } = this.grid
    let weightedKm = 0
    let lost = 0
    for (let i = pointBefore(km, gap.fromKm); i < factors.length && km[i + 1]! <= gap.toKm; i++) {
      const weight = (km[i + 1]! - km[i]!) * factors[i]!
      weightedKm += weight
      lost += (weight * (lossH[i]! + lossH[i + 1]!)) / 2
    }
    return { gap, legs: legsOfGap(gap, this.edges), weightedKm, lossH: weightedKm > 0 ? lost / weightedKm : 0 }
  }
}
