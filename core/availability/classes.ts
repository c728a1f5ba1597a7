import { expandTemplate, traitsOf, wheelGroups } from '../bike'
import { appliesTo } from '../hazard'
import type { Reference } from '../reference'
import type { Trip } from '../trip'
import { nth, numberAt } from '../validation'
import type { Landscape } from './landscape'

/** The supply classes a trip has to do with: what settles its bikes' hazards, and what lies on the bench. */
export function classesOf(trip: Pick<Trip, 'bikes' | 'bench'>, reference: Reference): string[] {
  const classes = new Set<string>()
  for (const bike of trip.bikes) {
    for (const { tyre } of wheelGroups(bike)) {
      const traits = traitsOf(bike, tyre)
      for (const hazard of reference.hazards) {
        if (appliesTo(hazard.applies, traits)) classes.add(expandTemplate(hazard.settledBy, bike, tyre))
      }
    }
  }
  for (const thing of trip.bench) for (const classId of Object.keys(thing.units)) classes.add(classId)
  return [...classes].sort()
}

export interface WorstPushOut {
  /** Hours to help, on foot and waiting. */
  readonly worstH: number
  /** The part of them that one waits until it opens, beyond what one would wait anyway. */
  readonly waitH: number
  readonly atKm: number
  /** The help that is nearest from there. */
  readonly to: string
}

/** The factor for pushing the heaviest-going bike of the crew. */
export function heaviestPush(trip: Pick<Trip, 'bikes'>): number {
  return Math.max(1.15, ...trip.bikes.map((bike) => bike.pushFactor))
}

/** The point of the road from which it is longest to any help. */
export function worstPushOut(landscape: Landscape, trip: Pick<Trip, 'bikes'>): WorstPushOut {
  const { hours, to } = landscape.pushOutToHelp(heaviestPush(trip))
  let worst = 0
  hours.forEach((value, node) => {
    if (value > numberAt(hours, worst)) worst = node
  })
  const help = landscape.helps()[nth(to, worst)]
  return {
    worstH: numberAt(hours, worst),
    waitH: help?.extraH ?? 0,
    atKm: numberAt(landscape.grid.km, worst),
    to: help?.name ?? '',
  }
}
