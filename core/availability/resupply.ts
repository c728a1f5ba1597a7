import type { Reference } from '../reference'
import {
  sharedOpeningCache,
  parseWallClock,
  Timetable,
  visitDuring,
  type Locality,
  type OpeningCache,
  type Visit,
} from '../ride'
import { gapsBetween, positionAt, type Gap, type Survey } from '../road'
import { entry } from '../maths'
import { mends, stockChance, type Service, type Stop } from '../supply'
import type { Trip } from '../trip'
import { nth } from '../validation'
import { mostWaitAt } from './waits'

/** How a class is found at a place, the best first. */
export const findings = ['had', 'uncertain', 'waited', 'shut', 'doubtful', 'none'] as const
/**
 * had: it is there and open; uncertain: there, but nobody knows the hours;
 * waited: there, after a wait one would accept; shut: there, but not open in
 * time; doubtful: open, but less likely to have it than one trusts; none: no
 * chance to speak of.
 */
export type Finding = (typeof findings)[number]

/** A class looked for at a stop. */
export interface Found {
  readonly finding: Finding
  /** The service that has it, best first; null where none does. */
  readonly service: Service | null
  /** Its chance to have it. */
  readonly chance: number
  readonly visit: Visit | undefined
}

/** A chance below this is none. */
const doubtfulFrom = 0.1

/**
 * A ride that is on its way: where it is, km, at least `hereKm` before the end. It goes on from there when it starts; nothing
 * where it starts with the road.
 */
export interface TakenUp {
  readonly fromKm?: number
}

/** What the supply of a ride depends on. */
export type Supplied = Pick<Trip, 'road' | 'ride' | 'stops' | 'dials'> & TakenUp

/** Where each class can be had on this very ride, at the hour one comes by. */
export class Resupply {
  readonly lengthKm: number
  /** The ride by date and clock; undefined while its start is unknown. */
  readonly timetable: Timetable | undefined
  private readonly visits = new Map<Service, Visit>()
  /** Without a start: services that never open, and those whose hours cannot be read. */
  private readonly undated = new Map<Service, 'shut' | 'uncertain'>()
  private readonly chancesOf = new Map<string, Map<Service, number>>()
  private readonly foundOf = new Map<string, Found[]>()
  private readonly offeringOf = new Map<string, Stop[]>()
  private readonly gapsOf = new Map<string, Gap[]>()

  constructor(
    protected readonly supplied: Supplied,
    survey: Survey,
    protected readonly reference: Reference,
    book: OpeningCache = sharedOpeningCache,
  ) {
    this.lengthKm = survey.lengthKm
    if (supplied.ride.start !== null) {
      this.timetable = new Timetable(survey, supplied.road, supplied.ride, supplied.fromKm)
      this.planVisits(this.timetable, survey, book)
    } else this.lookForNever(survey, book)
  }

  /** On whichever day one comes by: a service that is shut for good is shut, and of hours nobody can read nobody knows. */
  private lookForNever(survey: Survey, book: OpeningCache): void {
    const { road, ride, stops } = this.supplied
    const anyDay = parseWallClock('2026-01-01T00:00')
    for (const stop of stops) {
      for (const service of stop.services) {
        if (service.hours.trim() === '') continue
        const locality: Locality = { ...positionAt(road.points, survey, stop.roadKm), country: ride.country }
        const opening = book.find(service.hours, locality)
        if (!opening) this.undated.set(service, 'uncertain')
        else if (opening.opensFrom(anyDay) === undefined && opening.at(anyDay) === 'closed')
          this.undated.set(service, 'shut')
      }
    }
  }

  private planVisits(timetable: Timetable, survey: Survey, book: OpeningCache): void {
    const { road, ride, stops } = this.supplied
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

  /**
   * Hours until somebody helps at a stop, beyond what one would wait there anyway; 0 where the ride can be left from there,
   * infinite where nobody helps or nobody ever opens.
   */
  helpWaitH(stop: Stop): number {
    if (stop.exit !== null) return 0
    const mostWaitH = mostWaitAt(stop, this.supplied.dials)
    const waits = stop.services
      .filter((service) => mends(service, this.reference.services))
      .map((service) => {
        const visit = this.visits.get(service)
        if (!visit) return this.undated.get(service) === 'shut' ? Infinity : 0
        return visit.waitH === null ? Infinity : Math.max(0, visit.waitH - mostWaitH)
      })
    return Math.min(Infinity, ...waits)
  }

  /** What is known of a service without a start: that it is shut for good, or that nobody can read its hours. */
  protected undatedFinding(service: Service): 'shut' | 'uncertain' | undefined {
    return this.undated.get(service)
  }

  /** How a class is found at each stop, in their order. */
  found(classId: string): readonly Found[] {
    let found = this.foundOf.get(classId)
    if (!found) {
      found = this.supplied.stops.map((stop) => this.find(stop, classId))
      this.foundOf.set(classId, found)
    }
    return found
  }

  /** The chance that a service has a class, on whichever day. */
  protected stocked(service: Service, classId: string): number {
    const { services, families } = this.reference
    const chances = entry(this.chancesOf, classId, () => new Map<Service, number>())
    return entry(chances, service, () => stockChance(service, classId, services, families))
  }

  /** How a class is found at a stop: by the service there that serves best. */
  private find(stop: Stop, classId: string): Found {
    let best: Found = { finding: 'none', service: null, chance: 0, visit: undefined }
    for (const service of stop.services) {
      const chance = this.stocked(service, classId)
      const visit = this.visits.get(service)
      const finding = this.findingOf(chance, visit, this.undated.get(service), mostWaitAt(stop, this.supplied.dials))
      const order = findings.indexOf(finding) - findings.indexOf(best.finding)
      if (order < 0 || (order === 0 && chance > best.chance)) best = { finding, service, chance, visit }
    }
    return best
  }

  private findingOf(
    chance: number,
    visit: Visit | undefined,
    undated: 'shut' | 'uncertain' | undefined,
    mostWaitH: number,
  ): Finding {
    const { trust } = this.supplied.dials
    if (chance < doubtfulFrom && chance < trust) return 'none'
    const opens = visit ? visit.waitH !== null && visit.waitH <= mostWaitH : undated !== 'shut'
    if (chance < trust) return opens ? 'doubtful' : 'none'
    if (!opens) return 'shut'
    // Without a start every place counts as open that ever is.
    if (!visit) return undated ?? 'had'
    if (visit.found === 'open') return 'had'
    return visit.found === 'uncertain' ? 'uncertain' : 'waited'
  }

  /** Stops where a class can be had with at least the trusted chance, when one comes by. */
  offering(classId: string): Stop[] {
    let offering = this.offeringOf.get(classId)
    if (!offering) {
      const has = new Set<Finding>(['had', 'uncertain', 'waited'])
      const found = this.found(classId)
      offering = this.supplied.stops.filter((_, i) => has.has(nth(found, i).finding))
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
}
