import type { AvailabilityGap, PlanChange, ShutChoice, StopAvailability, WayOut } from '#core/availability'
import { hoursInWords } from './amounts'
import { timeOf } from '#core/ride'
import { dayInWords, momentInWords } from './moments'

/** Names of kinds of services, for sentences. */
export type KindNames = (kind: string) => string

/** Why a place does not end a gap, or with what reserve it does; empty where it is simply there. */
export function stopAvailabilityInWords(place: StopAvailability, nameOf: KindNames): string {
  const what = place.parcel ? 'your parcel' : `the ${nameOf(place.kind)}`
  switch (place.finding) {
    case 'had':
      return ''
    case 'uncertain':
      return `${what} at ${place.name} counts as open, as nobody knows its hours`
    case 'waited':
      return `${what} at ${place.name} opens ${(place.waitH ?? 0).toFixed(1)} h after you come by`
    case 'shut':
      return `${what} at ${place.name} is shut when you come by${arrival(place)}${opening(place)}`
    case 'doubtful':
      return `${what} at ${place.name} has it with ${Math.round(place.chance * 100)} %, less than you trust`
  }
}

function arrival({ arrives }: StopAvailability): string {
  return arrives === null ? '' : ` on ${dayInWords(arrives)} at ${timeOf(arrives)}`
}

function opening({ opens }: StopAvailability): string {
  return opens === null ? ' and does not open within a year' : `; it opens ${momentInWords(opens)}`
}

/** What makes a gap as long as it is, one sentence for each place in it. */
export function gapReasonsInWords(gap: AvailabilityGap, nameOf: KindNames): string[] {
  if (gap.passed.length === 0) return ['no place in it stocks it']
  return gap.passed.map((place) => stopAvailabilityInWords(place, nameOf))
}

/** A way out in few words: "4.8 h on foot to Ferrow, back"; "at Ferrow" for where one is. */
export function wayOutInWords({ place, walkH, way }: Pick<WayOut, 'place' | 'walkH' | 'way'>): string {
  const isThere = walkH < 1 / 60
  return isThere ? `at ${place}` : `${hoursInWords(walkH)} on foot to ${place}, ${way}`
}

/** The way to help: "3 h on foot to Ferrow", "3 h on foot to Ferrow, and 9 h until it opens". */
export function wayToHelpInWords(inAllH: number, waitH: number, place?: string): string {
  const onFoot = `${hoursInWords(inAllH - waitH)} on foot${place ? ` to ${place}` : ''}`
  return waitH > 0 ? `${onFoot}, and ${hoursInWords(waitH)} until it opens` : onFoot
}

/** What to do where something is shut: "ride on", "wait 2.5 h for the supermarket", "sleep there". */
export function shutChoiceInWords(choice: ShutChoice, nameOf: KindNames): string {
  switch (choice.kind) {
    case 'ride on':
      return 'ride on'
    case 'wait':
      return `wait ${choice.hours} h for the ${nameOf(choice.service)}`
    case 'sleep':
      return 'sleep there'
  }
}

/** What to do, as an imperative: "leave 2 days later", "post one to Ferrow". */
export function planChangeInWords(change: PlanChange, nameOfStop: (stop: string) => string, nameOf: KindNames): string {
  switch (change.kind) {
    case 'leave': {
      const days = Math.abs(change.days)
      return `leave ${days === 1 ? 'a day' : `${days} days`} ${change.days < 0 ? 'sooner' : 'later'}`
    }
    case 'wait':
      return `wait ${change.hours} h at ${nameOfStop(change.stop)}`
    case 'sleep':
      return `spend a night at ${nameOfStop(change.stop)}`
    case 'post':
      return `post a parcel to ${nameOfStop(change.stop)}`
    case 'ask':
      return `make sure that the ${nameOf(change.service)} at ${nameOfStop(change.stop)} has it`
  }
}
