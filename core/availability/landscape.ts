import type { Hazard } from '../hazard'
import type { Reference } from '../reference'
import { sharedOpeningCache, type OpeningCache } from '../ride'
import {
  legEdges,
  legsOfGap,
  pointBefore,
  pushOut,
  walkGrid,
  type Gap,
  type Help,
  type PushOut,
  type Survey,
  type WalkGrid,
} from '../road'
import { isHelp, type Stop } from '../supply'
import type { Trip } from '../trip'
import { Conditions } from './conditions'
import { Resupply } from './resupply'

/** A gap with what matters of it: its legs, how much of it counts for a hazard, and the hours lost in it. */
export interface Exposure {
  readonly gap: Gap
  readonly legs: number[]
  /** Kilometres, each counted by how hard the road is there. */
  readonly weightedKm: number
  /** Hours of walking lost by a failure in it, the mean weighted the same way. */
  readonly lossH: number
  /** How many come by, against a quiet road, the mean weighted the same way. */
  readonly passersBy: number
  /**
   * Hours of walking to where a big wrench can be borrowed, or to what settles it where that is nearer, the mean weighted
   * the same way; null where none can be.
   */
  readonly wrenchH: number | null
}

/** A place of general help. */
export interface HelpPlace extends Help {
  readonly name: string
  /** How the ride can be left from there; null where something is mended, and at both ends. */
  readonly exit: Stop['exit']
}

/** The road with its stops, ready to be asked about any class: where it can be had, what it costs to fail where. */
export class Landscape extends Resupply {
  readonly grid: WalkGrid
  readonly edges: number[]
  private readonly conditions: Conditions
  private readonly passersBy: Float64Array
  private readonly nightFactors: Float64Array
  private readonly factorsOf = new Map<string, Float64Array>()
  private readonly lossOf = new Map<string, Float64Array>()
  private readonly walkOf = new Map<string, Float64Array>()
  private readonly liftOf = new Map<number, Float64Array>()
  private readonly wrenchOf = new Map<number, Float64Array | null>()
  private readonly exposuresOf = new Map<string, Exposure[]>()

  constructor(
    private readonly trip: Pick<Trip, 'road' | 'ride' | 'forecast' | 'stops' | 'dials'>,
    survey: Survey,
    reference: Reference,
    book: OpeningCache = sharedOpeningCache,
  ) {
    super(trip, survey, reference, book)
    const days = this.timetable?.days ?? []
    const stopsAt = trip.stops.map((stop) => stop.roadKm)
    const stretchEdges = trip.road.stretches.flatMap((stretch) => [stretch.fromKm, stretch.toKm])
    const nights = days.map((day) => day.toKm)
    this.grid = walkGrid(survey, [...stopsAt, ...stretchEdges, ...nights], trip.dials.walking)
    this.edges = legEdges(stopsAt, survey.lengthKm)
    this.conditions = new Conditions(this.grid.km, trip.road.stretches, days, trip.forecast)
    this.passersBy = this.conditions.passersBy()
    this.nightFactors = this.conditions.nightFactors()
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
      .map(({ roadKm, offRoadM, exitWaitH }) => ({
        roadKm,
        offRoadM,
        extraH: exitWaitH + this.trip.dials.rideOverH,
      }))
    return pushOut(this.grid, [...ends, ...shops, ...exits], pushFactor)
  }

  /** Walking hours along the grid to where a class can be had, or to an end of the road; without prices. */
  walkTo(classId: string, pushFactor: number): Float64Array {
    // Classes that the same stops offer are walked to alike.
    const offering = this.offering(classId)
    const key = JSON.stringify([pushFactor, ...offering.map((stop) => stop.id)])
    let hours = this.walkOf.get(key)
    if (!hours) {
      const ends = [0, this.lengthKm].map((roadKm) => ({ roadKm, offRoadM: 0, extraH: 0 }))
      const shops = offering.map(({ roadKm, offRoadM }) => ({ roadKm, offRoadM, extraH: 0 }))
      hours = pushOut(this.grid, [...ends, ...shops], pushFactor).hours
      this.walkOf.set(key, hours)
    }
    return hours
  }

  /**
   * The places of general help, in the order of `pushOutToHelp`'s answer: the stops that mend or let one leave, and then
   * both ends, so that where a stop lies at an end it is the stop that is named.
   */
  helps(): HelpPlace[] {
    const end = (name: string, roadKm: number): HelpPlace => ({ name, roadKm, offRoadM: 0, extraH: 0, exit: null })
    const stops = this.trip.stops.filter((stop) => isHelp(stop, this.reference.services))
    return [
      ...stops.map(({ name, roadKm, offRoadM, exit }) => ({ name, roadKm, offRoadM, extraH: 0, exit })),
      end('the start', 0),
      end('the end', this.lengthKm),
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
      const wrenchH = this.wrenchAlong(pushFactor)
      exposures = this.gaps(settledBy).map((gap) => this.exposure(gap, lossH, factors, wrenchH))
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
      const lift = this.liftAlong(pushFactor)
      const walked = this.withNights(this.pushOutFor(classId, pushFactor).hours)
      lossH = walked.map((hours, node) => Math.min(hours, lift?.[node] ?? Infinity))
      this.lossOf.set(key, lossH)
    }
    return lossH
  }

  /** Hours of walking with the price of the nights out that they take. */
  private withNights(hours: Float64Array): Float64Array {
    const { walkHoursPerDay, nightOutH } = this.trip.dials
    return hours.map((walk, node) => walk * (1 + (nightOutH * this.nightFactors[node]!) / walkHoursPerDay))
  }

  /**
   * Hours until a lift has come, from each node: the wait where a call gets
   * through, and the walk to such a place before it elsewhere. Undefined where
   * no lift may be called.
   */
  liftAlong(pushFactor: number): Float64Array | undefined {
    const { liftWaitH } = this.trip.dials
    if (liftWaitH === null) return undefined
    let lift = this.liftOf.get(pushFactor)
    if (!lift) {
      const { km } = this.grid
      const calls = this.conditions
        .signal()
        .flatMap((signal, node) => (signal ? [{ roadKm: km[node]!, offRoadM: 0, extraH: 0 }] : []))
      lift = this.withNights(pushOut(this.grid, calls, pushFactor).hours).map((hours) => hours + liftWaitH)
      this.liftOf.set(pushFactor, lift)
    }
    return lift
  }

  /** Hours of walking to the nearest place that lends a big wrench; null where there is none. */
  private wrenchAlong(pushFactor: number): Float64Array | null {
    let hours = this.wrenchOf.get(pushFactor)
    if (hours === undefined) {
      const lenders = this.trip.stops.filter(({ bigWrench }) => bigWrench)
      const places = lenders.map(({ roadKm, offRoadM }) => ({ roadKm, offRoadM, extraH: 0 }))
      hours = places.length > 0 ? this.withNights(pushOut(this.grid, places, pushFactor).hours) : null
      this.wrenchOf.set(pushFactor, hours)
    }
    return hours
  }

  private factorsAlong(hazard: Hazard): Float64Array {
    const key = JSON.stringify(hazard.onRoad)
    let factors = this.factorsOf.get(key)
    if (!factors) {
      factors = this.conditions.factorsOn(hazard)
      this.factorsOf.set(key, factors)
    }
    return factors
  }

  private exposure(gap: Gap, lossH: Float64Array, factors: Float64Array, wrenchH: Float64Array | null): Exposure {
    const { km } = this.grid
    let weightedKm = 0
    let lost = 0
    let passing = 0
    let toWrench = 0
    for (let i = pointBefore(km, gap.fromKm); i < factors.length && km[i + 1]! <= gap.toKm; i++) {
      const weight = (km[i + 1]! - km[i]!) * factors[i]!
      weightedKm += weight
      lost += (weight * (lossH[i]! + lossH[i + 1]!)) / 2
      passing += weight * this.passersBy[i]!
      if (wrenchH) {
        const ways = Math.min(wrenchH[i]!, lossH[i]!) + Math.min(wrenchH[i + 1]!, lossH[i + 1]!)
        toWrench += (weight * ways) / 2
      }
    }
    const mean = (sum: number) => (weightedKm > 0 ? sum / weightedKm : 0)
    return {
      gap,
      legs: legsOfGap(gap, this.edges),
      weightedKm,
      lossH: mean(lost),
      passersBy: mean(passing),
      wrenchH: wrenchH && mean(toWrench),
    }
  }
}
