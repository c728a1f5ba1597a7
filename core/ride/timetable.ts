import { nth, numberAt } from '../validation'
import { pointBefore, valueAt, type Road, type Survey } from '../road'
import { nearestTo } from './nights'
import { ridingAlong } from './pace'
import type { Ride } from './schema'
import { midnightBefore, minutesPerDay, parseWallClock, type WallMinutes } from './wall-clock'

/** One day in the saddle. */
export interface RidingDay {
  readonly fromKm: number
  readonly toKm: number
  readonly startsAt: WallMinutes
  readonly endsAt: WallMinutes
  readonly ridingH: number
  readonly climbM: number
}

/** When one is at a place: from when one gets there to when one rides on. */
export interface Stay {
  readonly arrives: WallMinutes
  readonly leaves: WallMinutes
}

/** Nobody rides on sooner than so many hours after a day has ended. */
const leastRestH = 6
/** Nobody stops for the night with so few hours of riding left. */
const lastStretchH = 0.5
/** To a night that is settled, so many times a day's riding is done in one day; farther off, it takes several. */
const longestDay = 1.5
/** So much over a day's riding is no day more. */
const overADay = 0.25

/**
 * The ride by date and clock: which place is reached when. Days end at the
 * nights that are settled; where the next is more than a long day off, the way
 * to it is shared out evenly, and where there is none, a day ends when its
 * hours are ridden.
 */
export class Timetable {
  readonly days: readonly RidingDay[]
  private readonly hours: Float64Array

  /**
   * @param survey the measured road; with a length
   * @param fromKm where the ride starts, or is taken up on the way, before the end; places behind count as if they were passed then
   * @throws RangeError when the ride has no start
   */
  constructor(
    private readonly survey: Survey,
    road: Pick<Road, 'stretches'>,
    private readonly ride: Ride,
    fromKm = 0,
  ) {
    if (ride.start === null) throw new RangeError('a ride without a start has no timetable')
    this.hours = ridingAlong(survey, road.stretches, ride)
    this.days = this.planDays(parseWallClock(ride.start), fromKm)
  }

  /** Hours in the saddle to a place. */
  ridingHoursTo(roadKm: number): number {
    return valueAt(this.survey.km, this.hours, roadKm)
  }

  /** When a place is passed; where a night is spent, when one gets there. */
  clockAt(roadKm: number): WallMinutes {
    const day = this.days.find(({ toKm }) => roadKm <= toKm) ?? nth(this.days, this.days.length - 1)
    const ridden = this.ridingHoursTo(roadKm) - this.ridingHoursTo(day.fromKm)
    return Math.min(day.endsAt, day.startsAt + Math.max(0, ridden) * this.minutesPerRidingHour)
  }

  /** From when to when one is at a place: over night where one sleeps, else just passing. */
  stayAt(roadKm: number): Stay {
    const evening = nearestTo(
      this.days
        .slice(0, -1)
        .map((day, i) => ({ roadKm: day.toKm, endsAt: day.endsAt, morning: nth(this.days, i + 1) })),
      roadKm,
    )
    if (evening) return { arrives: evening.endsAt, leaves: evening.morning.startsAt }
    const passes = this.clockAt(roadKm)
    return { arrives: passes, leaves: passes }
  }

  private get minutesPerRidingHour(): number {
    return 60 * (1 + this.ride.pauseH)
  }

  private planDays(start: WallMinutes, startsKm: number): RidingDay[] {
    const { lengthKm, km, upM } = this.survey
    const settled = [...this.ride.nights].sort((a, b) => a.roadKm - b.roadKm)
    const days: RidingDay[] = []
    let fromKm = startsKm
    let startsAt = start
    while (fromKm < lengthKm) {
      const next = settled.find(({ roadKm }) => roadKm > fromKm && roadKm < lengthKm)
      const daysToNext = next ? (this.ridingHoursTo(next.roadKm) - this.ridingHoursTo(fromKm)) / this.ride.ridingH : 0
      const night = daysToNext <= longestDay ? next : undefined
      const toKm = night?.roadKm ?? this.kmAfterHours(fromKm, this.ride.ridingH * evenShare(daysToNext))
      const ridingH = this.ridingHoursTo(toKm) - this.ridingHoursTo(fromKm)
      const endsAt = startsAt + ridingH * this.minutesPerRidingHour
      const climbM = valueAt(km, upM, toKm) - valueAt(km, upM, fromKm)
      days.push({ fromKm, toKm, startsAt, endsAt, ridingH, climbM })
      startsAt = this.nextMorning(endsAt) + ((night?.nights ?? 1) - 1) * minutesPerDay
      fromKm = toKm
    }
    return days
  }

  /** How far a day's hours reach; to the end of the road where little would be left. */
  private kmAfterHours(fromKm: number, ridingH: number): number {
    const { km, lengthKm } = this.survey
    const until = this.ridingHoursTo(fromKm) + ridingH
    const last = numberAt(this.hours, this.hours.length - 1)
    if (until + lastStretchH >= last) return lengthKm
    // Points are reached in order, so the hours are searched as distances are.
    const i = pointBefore(this.hours, until)
    const step = numberAt(this.hours, i + 1) - numberAt(this.hours, i)
    return numberAt(km, i) + ((until - numberAt(this.hours, i)) / step) * (numberAt(km, i + 1) - numberAt(km, i))
  }

  private nextMorning(evening: WallMinutes): WallMinutes {
    const earliest = evening + leastRestH * 60
    const today = midnightBefore(earliest) + this.ride.dayStartsH * 60
    return today >= earliest ? today : today + minutesPerDay
  }
}

/** Of a way of so many days' riding, what is ridden on the first day, as a share of a day's riding. */
function evenShare(days: number): number {
  return days > 0 ? days / Math.ceil(days - overADay) : 1
}
