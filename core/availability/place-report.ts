import { lightLeftH, withDaylight, outBy, type DaylitDay, type OutBy, type WallMinutes } from '../ride'
import { levelHours, valueAt, type Survey } from '../road'
import type { Stop } from '../supply'
import type { Trip } from '../trip'
import { defined } from '../validation'
import { heaviestPush } from './classes'
import type { Landscape } from './landscape'

/** A way out on foot. */
export interface WayOut {
  readonly place: string
  readonly km: number
  /** Hours on foot, pushing the heaviest-going bike. */
  readonly walkH: number
  /** Hours one waits there: until it opens, beyond what one would wait anyway, or until the way out of the ride goes. */
  readonly waitH: number
  /** Which way along the road. */
  readonly way: 'ahead' | 'back'
}

/** A way to leave the ride. */
export interface ExitOut extends WayOut {
  readonly exit: NonNullable<Stop['exit']>
}

/** What a breakdown at some hour of the day comes to. */
export interface Breakdown {
  readonly at: WallMinutes
  readonly out: OutBy
}

/** All that is to be said of one place on the road. */
export interface PlaceReport {
  readonly roadKm: number
  /** The nearest help of any kind ahead, and behind; the ends of the road count. */
  readonly ahead: WayOut
  readonly back: WayOut
  readonly nearest: WayOut
  readonly exit: ExitOut | null
  /** Hours until a lift has come, the walk to a signal included; null where no lift may be called. */
  readonly liftH: number | null
  readonly day: {
    readonly passes: WallMinutes
    readonly lightLeftH: number
    /** Breaking down when one comes by. */
    readonly then: OutBy
    /** Breaking down here at the worst hour of that day’s riding; null where all hours are much alike. */
    readonly worst: Breakdown | null
  } | null
}

/**
 * Reads off one place on the road.
 *
 * @param roadKm a place on the road, from 0 to its length
 */
export function placeReportAt(
  landscape: Landscape,
  trip: Pick<Trip, 'road' | 'ride' | 'stops' | 'bikes' | 'dials'>,
  survey: Survey,
  roadKm: number,
): PlaceReport {
  const { grid, lengthKm, timetable } = landscape
  const pushFactor = heaviestPush(trip)
  const along = (values: Float64Array, km: number) => valueAt(grid.km, values, km)

  const wayTo = (place: string, km: number, offRoadM: number, waitH = 0): WayOut => {
    const way = km >= roadKm ? 'ahead' : 'back'
    const walked = way === 'ahead' ? grid.aheadH : grid.backH
    const plainH = Math.abs(along(walked, km) - along(walked, roadKm)) + levelHours(offRoadM / 1000, grid.method)
    return { place, km, walkH: plainH * pushFactor, waitH, way }
  }
  const start = wayTo('the start', 0, 0)
  const end = wayTo('the end', lengthKm, 0)
  // The ends last, as they come: where a place of help lies at one of them, it is the place that is named.
  const helps = landscape.helps().map(({ name, roadKm: at, offRoadM, extraH }) => wayTo(name, at, offRoadM, extraH))
  const exits = trip.stops.flatMap((stop): ExitOut[] =>
    stop.exit === null ? [] : [{ ...wayTo(stop.name, stop.roadKm, stop.offRoadM, stop.exitWaitH), exit: stop.exit }],
  )
  const hoursOf = ({ walkH, waitH }: WayOut) => walkH + waitH
  const nearest = defined(least(helps, hoursOf))
  const lift = landscape.liftAlong(pushFactor)
  const today = timetable && dayOf(roadKm, withDaylight(timetable.days, trip.road.points, survey, trip.ride))
  return {
    roadKm,
    // At the start itself nothing lies behind but the start, and so at the end.
    ahead:
      least(
        helps.filter(({ km }) => km >= roadKm),
        hoursOf,
      ) ?? end,
    back:
      least(
        helps.filter(({ km }) => km <= roadKm),
        hoursOf,
      ) ?? start,
    nearest,
    exit: least(exits, hoursOf) ?? null,
    liftH: lift ? along(lift, roadKm) : null,
    day: today ? dayHere(timetable.clockAt(roadKm), today, nearest.walkH, trip.dials.walkHoursPerDay) : null,
  }
}

/** Hours of a day that differ by no more than this are not told apart. */
const muchAlikeH = 0.5

function dayHere(
  passes: WallMinutes,
  day: DaylitDay,
  walkH: number,
  walkHoursPerDay: number,
): NonNullable<PlaceReport['day']> {
  const broken = (at: WallMinutes): Breakdown => ({ at, out: outBy(at, walkH, day.daylight, walkHoursPerDay) })
  const hours = Math.floor((day.endsAt - day.startsAt) / 60)
  const tried = Array.from({ length: hours + 1 }, (_, hour) => broken(day.startsAt + hour * 60))
  const best = defined(least(tried, ({ out }) => out.hours))
  const worst = defined(least(tried, ({ out }) => -out.hours))
  return {
    passes,
    lightLeftH: lightLeftH(passes, day.daylight),
    then: broken(passes).out,
    worst: worst.out.hours - best.out.hours > muchAlikeH ? worst : null,
  }
}

const dayOf = (roadKm: number, days: readonly DaylitDay[]) => days.find(({ toKm }) => roadKm <= toKm) ?? days.at(-1)

function least<T>(list: readonly T[], value: (entry: T) => number): T | undefined {
  return list.reduce<T | undefined>(
    (best, entry) => (best !== undefined && value(best) <= value(entry) ? best : entry),
    undefined,
  )
}
