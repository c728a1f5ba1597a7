import { catalogue } from '#catalogue'
import { lessonsOf, nextKit, riddenTrip, type Estimate } from '#core/learn'
import { readTripText } from '#core/trip'
import { defined, Fault } from '#core/validation'
import { fixInWords } from '#wording'
import { rounded, table } from './text'
import { fileText, parsedArgs } from './usage'

/** What was believed and what is after trips that were ridden: rates, lives, hands, fixes, shops, things, and the next kit. */
export function learn(args: string[]): unknown {
  const { positionals, values } = parsedArgs(args, { text: { type: 'boolean' } } as const)
  const trips = positionals.map((path) => readTripText(fileText([path]), catalogue))
  const ridden = trips.flatMap((trip) => riddenTrip(trip, catalogue) ?? [])
  const last = ridden.at(-1)
  if (!last)
    throw new Fault('the trips', 'none that was set off on', 'a trip whose log says so: {"kind": "set off", …}')
  const { rates, lives, hands, fixes, shops, values: learned, kits } = lessonsOf(ridden, catalogue)
  const next = nextKit(last.trip, last.survey, catalogue, learned)
  const inUse = defined(kits.at(-1))
  const nameOf = (thing: string) => defined(last.trip.bench.find(({ id }) => id === thing)).name
  if (!values.text) {
    return {
      riddenKm: ridden.map(({ trip, riddenKm }) => ({ trip: trip.name, km: rounded(riddenKm, 3) })),
      rates: rates.map(({ before, after, bySurface, thousandKm, kmWithoutClaim, ...rate }) => ({
        ...rate,
        thousandKm: rounded(thousandKm, 6),
        kmWithoutClaim: rounded(kmWithoutClaim, 3),
        before: inJson(before),
        after: inJson(after),
        bySurface: bySurface.map((surface) => ({
          ...surface,
          thousandKm: rounded(surface.thousandKm, 6),
          after: inJson(surface.after),
        })),
      })),
      lives: lives.map(({ before, after, ...life }) => ({ ...life, before: inJson(before), after: inJson(after) })),
      hands: hands.map(({ before, after, ...hand }) => ({ ...hand, before: inJson(before), after: inJson(after) })),
      fixes: fixes.map(({ before, after, minutesAfter, ...fix }) => ({
        ...fix,
        minutesAfter: rounded(minutesAfter, 3),
        before: inJson(before),
        after: inJson(after),
      })),
      shops,
      things: inUse,
      next: {
        promiseBeforeH: rounded(next.promiseBeforeH, 4),
        promiseAfterH: rounded(next.promiseAfterH, 4),
        things: next.things,
      },
    }
  }
  const hazardName = (id: string) => catalogue.hazards.find((hazard) => hazard.id === id)?.name ?? id
  const came = rates.filter(({ failures }) => failures > 0)
  const quiet = rates.filter(({ failures }) => failures === 0)
  return [
    table(
      ['came', 'on', 'believed', 'now', 'what fails'],
      came.map(({ hazard, failures, thousandKm, before, after }) => [
        `${failures}`,
        `${Math.round(1000 * thousandKm)} km`,
        inText(before, 1000),
        inText(after, 1000),
        hazardName(hazard),
      ]),
      [0, 1],
    ),
    table(
      ['km without', 'believed', 'now', 'what never failed'],
      quiet.map(({ hazard, kmWithoutClaim, before, after }) => [
        `${Math.round(kmWithoutClaim)}`,
        inText(before, 1000),
        inText(after, 1000),
        hazardName(hazard),
      ]),
      [0],
    ),
    table(
      ['could', 'believed', 'now', 'who', 'what'],
      hands.map(({ rider, technique, tries, could, before, after }) => [
        `${could} of ${tries}`,
        inText(before, 100),
        inText(after, 100),
        rider,
        catalogue.techniques.find(({ id }) => id === technique)?.name ?? technique,
      ]),
    ),
    table(
      ['held', 'believed', 'now', 'minutes', 'fix'],
      fixes.map(({ fix, done, held, before, after, minutesBefore, minutesAfter }) => [
        `${held} of ${done}`,
        inText(before, 100),
        inText(after, 100),
        `${Math.round(minutesBefore)} → ${Math.round(minutesAfter)}`,
        fixInWords(fix, catalogue),
      ]),
    ),
    `Used: ${inUse.used.map(({ name, times }) => `${name} ${times} ×`).join(', ') || 'nothing'}`,
    `Never touched: ${inUse.neverTouched.map(({ name }) => name).join(', ') || 'nothing'}`,
    `Missed: ${inUse.missed.map((each) => (each.kind === 'got' ? each.name : hazardName(each.hazard))).join(', ') || 'nothing'}`,
    next.things.length === 0
      ? 'The next kit for the same road is the same.'
      : `The next kit for the same road: ${next.things.map(({ thing, before, after }) => `${nameOf(thing)} ${before} → ${after}`).join(', ')}`,
  ].join('\n')
}

const inJson = ({ mean, low, high }: Estimate) => ({
  mean: rounded(mean, 6),
  low: rounded(low, 6),
  high: rounded(high, 6),
})
/** Of rates per thousand km the km between two; of chances per cent. */
function inText({ mean, low, high }: Estimate, times: 1000 | 100): string {
  const said = (value: number) => (times === 1000 ? Number(value.toPrecision(2)) : Math.round(value * times))
  return `${said(mean)} (${said(low)}–${said(high)})${times === 100 ? ' %' : ''}`
}
