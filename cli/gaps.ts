import { catalogue } from '../catalogue'
import { classesOf, Landscape, lanesOf, reasonsFor, worstPushOut, type Lane, type LaneGap } from '../core/ledger'
import { classInWords } from '../core/supply'
import { wordsForHours } from '../core/units'
import { rounded, table } from './text'
import { tripFrom } from './trip'

const kindName = (kind: string) => catalogue.services.find(({ id }) => id === kind)?.name ?? kind

/** The gaps of every class that the trip's bikes and bench bring up: how long, why, and how far to walk; and the worst walk out. */
export function gaps(words: string[]): unknown {
  const { trip, survey, text } = tripFrom(words)
  const landscape = new Landscape(trip, survey, catalogue)
  const lanes = lanesOf(landscape, trip, classesOf(trip, catalogue))
  const pushOut = worstPushOut(landscape, trip)
  if (!text) return { gaps: Object.fromEntries(lanes.map((lane) => [lane.classId, gapsOf(lane)])), pushOut }
  const rows = lanes.flatMap((lane) => {
    const name = classInWords(lane.classId, catalogue.families)
    return lane.gaps.map((gap, i) => row(i === 0 ? name : '', gap))
  })
  const worst = `farthest from help: ${wordsForHours(pushOut.worstH)} on foot to ${pushOut.to}, from km ${pushOut.atKm.toFixed(1)}\n`
  return table(['without', 'from km', 'to km', 'km', 'days', 'worst walk', 'why'], rows, [1, 2, 3, 4, 5]) + worst
}

function row(name: string, gap: LaneGap): string[] {
  const km = [gap.fromKm, gap.toKm, gap.km].map((value) => value.toFixed(0))
  const days = gap.days === null ? '' : gap.days.toFixed(1)
  return [name, ...km, days, wordsForHours(gap.worstWalkH), reasonsFor(gap, kindName).join('; ')]
}

function gapsOf(lane: Lane): unknown[] {
  return lane.gaps.map((gap) => ({
    fromKm: gap.fromKm,
    toKm: gap.toKm,
    km: gap.km,
    ridingH: gap.ridingH === null ? null : rounded(gap.ridingH, 2),
    days: gap.days === null ? null : rounded(gap.days, 2),
    why: reasonsFor(gap, kindName),
    openOnArrival: lane.places.find(({ roadKm }) => roadKm === gap.toKm)?.finding ?? null,
    pushOut: {
      meanH: rounded(gap.meanWalkH, 2),
      worstH: rounded(gap.worstWalkH, 2),
      atKm: rounded(gap.worstAtKm, 2),
    },
  }))
}
