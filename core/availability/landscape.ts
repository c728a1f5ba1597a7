import type { Reference } from '../reference'
import { sharedOpeningCache, type OpeningCache } from '../ride'
import { legEdges, pushOut, walkGrid, type Help, type PushOut, type Survey, type WalkGrid } from '../road'
import type { Stop } from '../supply'
import type { Trip } from '../trip'
import { numberAt } from '../validation'
import { Conditions, descentAlong } from './conditions'
import { Resupply, type TakenUp } from './resupply'

/** A place of general help. */
export interface HelpPlace extends Help {
  readonly name: string
  /** How the ride can be left from there; null where something is mended, and at both ends. */
  readonly exit: Stop['exit']
}

/** The road with its stops, ready to be asked about any class: where it can be had, what it costs to fail where. */
export class Landscape extends Resupply {
  readonly grid: WalkGrid
  /** The places that part the road into legs. */
  readonly edges: readonly number[]
  readonly conditions: Conditions
  private readonly walkOf = new Map<string, Float64Array>()
  private readonly callOf = new Map<number, Float64Array>()

  constructor(
    protected readonly trip: Pick<Trip, 'road' | 'ride' | 'forecast' | 'stops' | 'dials'> & TakenUp,
    survey: Survey,
    reference: Reference,
    book: OpeningCache = sharedOpeningCache,
  ) {
    super(trip, survey, reference, book)
    const days = this.timetable?.days ?? []
    const stopsAt = trip.stops.map((stop) => stop.roadKm)
    const stretchEdges = trip.road.stretches.flatMap((stretch) => [stretch.fromKm, stretch.toKm])
    const nights = days.map((day) => day.toKm)
    this.edges =
      trip.fromKm === undefined ? legEdges(stopsAt, survey.lengthKm) : edgesFrom(trip.fromKm, stopsAt, survey)
    this.grid = walkGrid(survey, [...stopsAt, ...stretchEdges, ...nights, ...this.edges], trip.dials.walking)
    this.conditions = new Conditions(
      this.grid.km,
      descentAlong(this.grid, survey),
      trip.road.stretches,
      days,
      trip.forecast,
      trip.ride.apart,
    )
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
   * The places of general help, in the order of `pushOutToHelp`'s answer: the stops that mend, at the cost of waiting where
   * they are shut, or let one leave, and then both ends, so that where a stop lies at an end it is the stop that is named.
   */
  helps(): HelpPlace[] {
    const end = (name: string, roadKm: number): HelpPlace => ({ name, roadKm, offRoadM: 0, extraH: 0, exit: null })
    const stops = this.trip.stops.flatMap((stop) => {
      const extraH = this.helpWaitH(stop)
      return Number.isFinite(extraH) ? [{ ...stop, extraH }] : []
    })
    return [
      ...stops.map(({ name, roadKm, offRoadM, extraH, exit }) => ({ name, roadKm, offRoadM, extraH, exit })),
      end('the start', 0),
      end('the end', this.lengthKm),
    ]
  }

  /** Hours along the grid, on foot and waiting, to the nearest help of any kind. */
  pushOutToHelp(pushFactor: number): PushOut {
    return pushOut(this.grid, this.helps(), pushFactor)
  }

  /**
   * Hours until a lift has come, from each node: the wait where a call gets
   * through, and the walk to such a place before it elsewhere. Undefined where
   * no lift may be called.
   */
  liftAlong(pushFactor: number): Float64Array | undefined {
    const { liftWaitH } = this.trip.dials
    if (liftWaitH === null) return undefined
    return this.toCall(pushFactor).map((hours) => hours + liftWaitH)
  }

  /** Hours of walking to where a call gets through. */
  protected toCall(pushFactor: number): Float64Array {
    const known = this.callOf.get(pushFactor)
    if (known) return known
    const calls = this.conditions
      .signal()
      .flatMap((signal, node) => (signal ? [{ roadKm: numberAt(this.grid.km, node), offRoadM: 0, extraH: 0 }] : []))
    const { hours } = pushOut(this.grid, calls, pushFactor)
    this.callOf.set(pushFactor, hours)
    return hours
  }
}

/** What lies so near counts as here, km. */
export const hereKm = 0.05

/** The places that part the rest of a road into legs, of which the first is as good as the place itself. */
function edgesFrom(fromKm: number, stopsAtKm: readonly number[], { lengthKm }: Survey): number[] {
  const ahead = legEdges(stopsAtKm, lengthKm).filter((km) => km > fromKm + hereKm)
  return [fromKm, fromKm + hereKm, ...ahead]
}
