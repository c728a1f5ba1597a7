import { nth, Fault } from '#core/validation'
import { Landscape, rideView, type RideView } from '#core/availability'
import { dateOf, timeOf, weekdayOf, formatWallClock, type DaylitDay } from '#core/ride'
import type { Trip } from '#core/trip'
import { dayInWords, daylightInWords, momentInWords, visitInWords } from '#wording'
import { catalogue } from '#catalogue'
import { rounded, table } from './text'
import { tripFrom } from './trip'

/** The ride day by day: where each begins and ends, by which clock, in which light; and how each stop is found. */
export function road(args: string[]): unknown {
  const { trip, survey, text } = tripFrom(args)
  const view = rideView(new Landscape(trip, survey, catalogue), trip, survey)
  if (!view) throw new Fault('ride.start', 'null', 'a date and a time such as "2026-06-12T08:00"')
  if (text) return dayTable(view) + stopTable(view, trip)
  return {
    days: view.days.map((day) => ({
      date: dateOf(day.startsAt),
      weekday: weekdayOf(day.startsAt),
      fromKm: rounded(day.fromKm, 2),
      toKm: rounded(day.toKm, 2),
      starts: timeOf(day.startsAt),
      ends: formatWallClock(day.endsAt),
      ridingH: rounded(day.ridingH, 2),
      climbM: Math.round(day.climbM),
      daylight: sunInWords(day),
      darkH: rounded(day.darkH, 2),
    })),
    stops: view.stops.map(({ stop, stay, visits }, i) => ({
      stop,
      arrives: formatWallClock(stay.arrives),
      leaves: formatWallClock(stay.leaves),
      services: visits.map(({ found, waitH }, s) => ({
        kind: nth(nth(trip.stops, i).services, s).kind,
        found,
        waitH: waitH === null ? null : rounded(waitH, 2),
      })),
    })),
  }
}

function dayTable({ days }: RideView): string {
  const rows = days.map((day) => [
    dayInWords(day.startsAt),
    day.fromKm.toFixed(0),
    day.toKm.toFixed(0),
    day.climbM.toFixed(0),
    `${timeOf(day.startsAt)}–${timeOf(day.endsAt)}`,
    daylightInWords(day),
    day.darkH > 0.05 ? day.darkH.toFixed(1) : '',
  ])
  return table(['day', 'from km', 'to km', 'm up', 'on the road', 'daylight', 'h in the dark'], rows, [1, 2, 3, 6])
}

function stopTable({ stops }: RideView, trip: Trip): string {
  const rows = stops.map(({ stay, visits }, i) => {
    const { name, roadKm, services } = nth(trip.stops, i)
    const found = services.map(({ kind }, s) => `${kind}: ${visits[s] ? visitInWords(visits[s]) : 'open'}`)
    return [name, roadKm.toFixed(0), momentInWords(stay.arrives), found.join('; ')]
  })
  return `\n${table(['stop', 'km', 'there', 'how it is found'], rows, [1])}`
}

function sunInWords({ daylight }: DaylitDay): unknown {
  if (daylight.kind !== 'rises and sets') return daylight.kind
  return { rises: timeOf(daylight.rises), sets: timeOf(daylight.sets) }
}
