import { positionAt, type RoadPoint, type Survey } from '../road'
import { darkH, daylightOn, type Daylight } from './daylight'
import type { Ride } from './schema'
import type { RidingDay } from './timetable'

/** A day's ride with the sun of that day. */
export interface DaylitDay extends RidingDay {
  /** Sunrise where the day begins, sunset where it ends. */
  readonly daylight: Daylight
  /** Hours on the road, riding or standing about, before sunrise or after sunset. */
  readonly darkH: number
}

/** The days of a ride with their daylight. */
export function withDaylight(
  days: readonly RidingDay[],
  points: readonly RoadPoint[],
  survey: Survey,
  ride: Pick<Ride, 'utcOffsetH'>,
): DaylitDay[] {
  return days.map((day) => {
    const sunAt = (km: number) => {
      const { lat, lon } = positionAt(points, survey, km)
      return daylightOn(day.startsAt, lat, lon, ride.utcOffsetH)
    }
    const [morning, evening] = [sunAt(day.fromKm), sunAt(day.toKm)]
    const both = morning.kind === 'rises and sets' && evening.kind === 'rises and sets'
    const daylight = both ? { ...morning, sets: evening.sets } : morning
    return { ...day, daylight, darkH: darkH(day.startsAt, day.endsAt, daylight) }
  })
}
