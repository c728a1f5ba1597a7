import { catalogue } from '../catalogue'
import { Fault } from '../core/fault'
import { Landscape, rideView } from '../core/ledger'
import { dateOf, timeOf, weekdayOf, writeWallClock, type LitDay } from '../core/ride'
import { tripFrom } from './trip'

/** The ride day by day: where each begins and ends, by which clock, in which light; and how each stop is found. */
export function road(words: string[]): unknown {
  const { trip, survey } = tripFrom(words)
  const view = rideView(new Landscape(trip, survey, catalogue), trip, survey)
  if (!view) throw new Fault('ride.start', 'null', 'a date and a time such as "2026-06-12T08:00"')
  const round = (value: number, digits: number) => Number(value.toFixed(digits))
  return {
    days: view.days.map((day) => ({
      date: dateOf(day.startsAt),
      weekday: weekdayOf(day.startsAt),
      fromKm: round(day.fromKm, 2),
      toKm: round(day.toKm, 2),
      starts: timeOf(day.startsAt),
      ends: writeWallClock(day.endsAt),
      ridingH: round(day.ridingH, 2),
      climbM: Math.round(day.climbM),
      daylight: sunInWords(day),
      darkH: round(day.darkH, 2),
    })),
    stops: view.stops.map(({ stop, stay, visits }, i) => ({
      stop,
      arrives: writeWallClock(stay.arrives),
      leaves: writeWallClock(stay.leaves),
      services: visits.map(({ found, waitH }, s) => ({
        kind: trip.stops[i]!.services[s]!.kind,
        found,
        waitH: waitH === null ? null : round(waitH, 2),
      })),
    })),
  }
}

function sunInWords({ daylight }: LitDay): unknown {
  if (daylight.kind !== 'rises and sets') return daylight.kind
  return { rises: timeOf(daylight.rises), sets: timeOf(daylight.sets) }
}
