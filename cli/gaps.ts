import { catalogue } from '#catalogue'
import {
  classesOf,
  Landscape,
  availabilitiesOf,
  worstPushOut,
  type ClassAvailability,
  type AvailabilityGap,
} from '#core/availability'
import { gapReasonsInWords, classInWords, hoursInWords, wayToHelpInWords } from '#wording'
import { rounded, table } from './text'
import { tripFrom } from './trip'

const kindName = (kind: string) => catalogue.services.find(({ id }) => id === kind)?.name ?? kind

/** The gaps of every class that the trip's bikes and bench bring up: how long, why, and how far to walk; and the worst walk out. */
export function gaps(args: string[]): unknown {
  const { trip, survey, text } = tripFrom(args)
  const landscape = new Landscape(trip, survey, catalogue)
  const availabilities = availabilitiesOf(landscape, trip, classesOf(trip, catalogue))
  const pushOut = worstPushOut(landscape, trip)
  if (!text)
    return {
      gaps: Object.fromEntries(availabilities.map((availability) => [availability.classId, gapsOf(availability)])),
      pushOut,
    }
  const rows = availabilities.flatMap((availability) => {
    const name = classInWords(availability.classId, catalogue.families)
    return availability.gaps.map((gap, i) => row(i === 0 ? name : '', gap))
  })
  const worst = `farthest from help: ${wayToHelpInWords(pushOut.worstH, pushOut.waitH, pushOut.to)}, from km ${pushOut.atKm.toFixed(1)}\n`
  return table(['without', 'from km', 'to km', 'km', 'days', 'worst walk', 'why'], rows, [1, 2, 3, 4, 5]) + worst
}

function row(name: string, gap: AvailabilityGap): string[] {
  const km = [gap.fromKm, gap.toKm, gap.km].map((value) => value.toFixed(0))
  const days = gap.days === null ? '' : gap.days.toFixed(1)
  return [name, ...km, days, hoursInWords(gap.worstWalkH), gapReasonsInWords(gap, kindName).join('; ')]
}

function gapsOf(availability: ClassAvailability): unknown[] {
  return availability.gaps.map((gap) => ({
    fromKm: gap.fromKm,
    toKm: gap.toKm,
    km: gap.km,
    ridingH: gap.ridingH === null ? null : rounded(gap.ridingH, 2),
    days: gap.days === null ? null : rounded(gap.days, 2),
    why: gapReasonsInWords(gap, kindName),
    openOnArrival: availability.places.find(({ roadKm }) => roadKm === gap.toKm)?.finding ?? null,
    pushOut: {
      meanH: rounded(gap.meanWalkH, 2),
      worstH: rounded(gap.worstWalkH, 2),
      atKm: rounded(gap.worstAtKm, 2),
    },
  }))
}
