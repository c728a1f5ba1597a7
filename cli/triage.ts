import { catalogue, symptoms } from '#catalogue'
import { cautionsOf } from '#core/fix'
import { isWallClock, formatWallClock, Timetable } from '#core/ride'
import { atThePlace, causesOf, ridersAt, triageAmong, type Failing, type Triage, type WayAtHand } from '#core/trail'
import { fixOf } from '#core/trip-ledger'
import { defined, Fault } from '#core/validation'
import { failureInWords, fixInWords, hoursInWords } from '#wording'
import { kitOnTheRoad, logFile, withEntries } from './kit-on-the-road'
import { rounded, table } from './text'
import { tripOfArgs } from './trip'
import { numberOption, parsedArgs, UsageError } from './usage'

/** What to do about a failure on the road with what is left: the fixes in the order in which they are tried, with hours. */
export function triage(args: string[]): unknown {
  const { positionals, values } = parsedArgs(args, {
    log: { type: 'string' },
    km: { type: 'string' },
    at: { type: 'string' },
    what: { type: 'string' },
    symptom: { type: 'string' },
    bike: { type: 'string' },
    wheel: { type: 'string' },
    away: { type: 'string', multiple: true },
    text: { type: 'boolean' },
  } as const)
  const asked = tripOfArgs(positionals)
  const { survey } = asked
  const trip = values.log === undefined ? asked.trip : withEntries(asked.trip, logFile(values.log))
  if (values.what === undefined && values.symptom === undefined) throw new UsageError('--what or --symptom is needed')
  const symptom = symptoms.find(({ id }) => id === values.symptom)
  if (values.symptom !== undefined && !symptom) {
    throw new Fault('--symptom', `“${values.symptom}”`, `one of ${symptoms.map(({ id }) => id).join(', ')}`)
  }
  const roadKm = numberOption(values.km, 'km', 0, survey.lengthKm)
  const at = values.at ?? passing(roadKm)
  if (!isWallClock(at)) throw new Fault('--at', `“${at}”`, 'a date and a time such as 2026-06-14T15:40')
  const { wheel } = values
  if (wheel !== undefined && wheel !== 'front' && wheel !== 'rear') {
    throw new Fault('--wheel', `“${wheel}”`, 'front or rear')
  }
  const elsewhere = (values.away ?? []).map((text) => {
    const [rider = '', hours] = text.split('=')
    if (!trip.crew.some(({ id }) => id === rider)) {
      throw new Fault('--away', `“${rider}”`, `one of the riders: ${trip.crew.map(({ id }) => id).join(', ')}`)
    }
    return { rider, hoursOff: numberOption(hours, 'away', 0, 1000) }
  })
  const present = ridersAt(trip, survey, roadKm).filter((id) => elsewhere.every(({ rider }) => rider !== id))
  if (present.length === 0) throw new Fault('--away', 'everybody who rides there', 'somebody who is there')
  const bikeId = values.bike ?? defined(trip.crew.find(({ id }) => present.includes(id))).bikeId
  const { laid, kit } = kitOnTheRoad(trip, survey)
  const ride = { trip, survey, laid, kit, position: { roadKm, at } }
  const here = atThePlace(ride, catalogue, present)
  if (values.what === undefined) return causesInWords()
  const failing: Failing = { hazard: values.what, bikeId, wheel: wheel ?? null }
  const found = triageAmong(here, ride, catalogue, failing, elsewhere)
  const nameOf = new Map([...kit.things, ...trip.crew].map(({ id, name }) => [id, name]))
  return values.text ? inText() : inJson()

  /** What it may be, the likeliest first. */
  function causesInWords(): unknown {
    const causes = symptom ? causesOf(here, symptom, bikeId) : []
    if (values.text) {
      const rows = causes.map(({ note, share }) => [
        `${Math.round(100 * share)} %`,
        failureInWords(note, catalogue, trip.bikes),
        `--what ${note.hazard}${note.wheel === null ? '' : ` --wheel ${note.wheel}`}`,
      ])
      return table(['likely', 'what', ''], rows, [0])
    }
    return causes.map(({ note, share }) => ({ hazard: note.hazard, wheel: note.wheel, share: rounded(share, 4) }))
  }

  /** When one comes by, by the plan; its ride's first morning where that has no day. */
  function passing(km: number): string {
    const { ride, road } = asked.trip
    return ride.start === null ? '2026-06-12T08:00' : formatWallClock(new Timetable(survey, road, ride).clockAt(km))
  }

  function inJson() {
    return {
      ...triageInJson(found.now),
      waiting: found.waiting.map(({ then, sparesH, ...rest }) => ({
        ...rest,
        sparesH: rounded(sparesH, 4),
        then: triageInJson(then),
      })),
    }
  }

  function inText(): string {
    const { now, waiting } = found
    const rows = now.ways.map((way) => [
      fixInWords(way.fix, catalogue),
      `${Math.round(way.workH * 60)} min`,
      hoursInWords(way.residualH),
      `${Math.round(100 * way.hands * way.holds)} %`,
      thingsOf(way),
    ])
    const waits = waiting.map(
      ({ rider, hoursOff, sparesH, theirs }) =>
        `Waiting ${hoursInWords(hoursOff)} for ${nameOf.get(rider) ?? rider} spares ${hoursInWords(sparesH)} more${
          theirs.length > 0 ? `: they have ${theirs.map((id) => nameOf.get(id) ?? id).join(', ')}` : ''
        }`,
    )
    const [first] = now.ways
    const how = first && howTo(first)
    return [
      `${failureInWords(now.note, catalogue, trip.bikes)}: ${hoursInWords(now.expectedH)} lost in the mean, ${hoursInWords(now.lossH)} with nothing done`,
      table(['try', 'takes', 'still lost', 'holds', 'with'], rows, [1, 2, 3]),
      ...waits,
      ...(first && how
        ? [
            `To ${fixInWords(first.fix, catalogue)}:`,
            ...how.cautions.map((caution) => `  ! ${caution}`),
            ...how.steps.map((step, i) => `  ${i + 1}. ${step}`),
          ]
        : []),
    ].join('\n')
  }

  function thingsOf({ takes }: WayAtHand): string {
    return takes
      .map(({ thing, amount }) => {
        const bag = kit.left.find((pieces) => pieces.thing === thing)?.bags.join(', ')
        const much = amount !== null && amount !== 1 ? `${rounded(amount, 2)} × ` : ''
        return `${much}${nameOf.get(thing) ?? thing}${bag ? ` (${bag})` : ''}`
      })
      .join(', ')
  }
}

/** What to mind, and then what to do. */
function howTo({ fix }: Pick<WayAtHand, 'fix'>) {
  const known = catalogue.fixes.find(({ id }) => id === fixOf(fix))
  return { cautions: known ? cautionsOf(known) : [], steps: known?.steps ?? [] }
}

const triageInJson = ({ note, ways, ...hours }: Triage) => ({
  event: note.event,
  ...Object.fromEntries(Object.entries<number>(hours).map(([name, value]) => [name, rounded(value, 4)])),
  ways: ways.map(({ fix, technique, takes, ...numbers }) => ({
    fix,
    technique,
    ...howTo({ fix }),
    ...Object.fromEntries(Object.entries<number>(numbers).map(([name, value]) => [name, rounded(value, 4)])),
    takes,
  })),
})
