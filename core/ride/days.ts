import { positionAt, type RoadPoint, type Survey } from '../road'
import { daylightOn, type Daylight } from './daylight'
import type { Ride } from './schema'
import type { RidingDay } from './timetable'

/** A day's ride with the sun of that day. */
export interface LitDay extends RidingDay {
  /** Sunrise where the day begins, sunset where it ends. */
  readonly daylight: Daylight
  /** Hours on the road, riding or standing about, before sunrise or after sunset. */
  readonly darkH: number
}

/** The days of a ride with their daylight. */
export function litDays(
  days: readonly RidingDay[],
  points: readonly RoadPoint[],
  survey: Survey,
  ride: Pick<Ride, 'utcOffsetH'>,
): LitDay[] {
  return days.map((day) => {
    const sunAt = (km: number) => {
      const { lat, lon } = positionAt(points, survey, km)
      return daylightOn(day.startsAt, lat, lon, ride.utcOffsetH)
    }
    const [morning, evening] = [sunAt(day.fromKm), sunAt(day.toKm)]
    if (morning.kind !== 'rises and sets' || evening.kind !== 'rises and sets') {
      const darkH = morning.kind === 'never rises' ? (day.endsAt - day.startsAt) / 60 : 0
      return { ...day, daylight: morning, darkH }
    }
    const daylight = { ...morning, sets: evening.sets }
    const early = Math.min(day.endsAt, daylight.rises) - day.startsAt
    const late = day.endsAt - Math.max(day.startsAt, daylight.sets)
    return { ...day, daylight, darkH: (Math.max(0, early) + Math.max(0, late)) / 60 }
  })
}
