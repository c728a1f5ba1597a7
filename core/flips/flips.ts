import { companiesOn, levelAtDeparture, practisedInTime, skillWords, type Skill } from '../crew'
import { indexLedger, type Ledger } from '../ledger'
import { PromiseEvaluator, settlingRounds, type Change } from '../promise'
import { withPlanning, type Reference } from '../reference'
import { sharedOpeningCache, type OpeningCache } from '../ride'
import type { Survey } from '../road'
import { isHelp, ledgerBy, withShut } from '../stress'
import type { Trip } from '../trip'
import { Hands, withHands, type LedgerOfTrip } from '../trip-ledger'
import { nth } from '../validation'
import type { Verdict } from '../verdicts'
import { doublings, type Flip } from './flip'

/** Nothing comes more than so many times as often, or as seldom, as one thinks. */
const mostTimes = 64
/** Halvings of the span in which a rate is looked for. */
const halvings = 12
/** So many of the hazards, techniques and parts that a thing bears on most are looked at. */
const mostLookedAt = 3

/**
 * What would change a verdict, as it is found: the price of an hour and the mass of one, how often what it answers comes, what
 * hands have done, what places have. Each by itself, the rest of the plan and of the kit as it is.
 *
 * @param survey the measured road of the trip; it must have a length
 * @param counts how many of each thing of the bench are carried, in their order
 * @param verdict on one thing of that kit
 */
export function* flips(
  trip: Trip,
  survey: Survey,
  reference: Reference,
  counts: readonly number[],
  verdict: Verdict,
  book: OpeningCache = sharedOpeningCache,
): Generator<Flip> {
  const builtFor = (plan: Trip) => ledgerBy(plan, survey, reference, book)
  const built = builtFor(trip)
  const turns = new Turning(built.ledger, counts, verdict)
  if (turns.isTurned(built.ledger)) return
  yield* byPrice(built.ledger, verdict)
  const { hazards, techniques, classes } = borneOn(built, verdict)
  for (const hazard of hazards) yield* byRate(built, hazard, turns)
  for (const technique of techniques) yield* byHand(trip, reference, built, technique, turns)
  for (const stop of trip.stops.filter((each) => isHelp(each, reference))) {
    // What stays at home may be missed where a place is shut; what comes along may be had where it surely is.
    if (!turns.isTaken && turns.isTurned(builtFor(withShut(trip, stop.id)).ledger)) {
      yield { kind: 'shut', stop: stop.id, away: 1 }
    }
    for (const classId of turns.isTaken ? classes : []) {
      if (!turns.isTurned(builtFor(withPart(trip, stop.id, classId)).ledger)) continue
      yield { kind: 'surely', stop: stop.id, classId, away: 1 }
    }
  }
}

/** On which side a verdict stands on one ledger or another. */
class Turning {
  readonly isTaken: boolean
  private readonly changes: readonly Change[]

  constructor(
    ledger: Ledger,
    private readonly counts: readonly number[],
    private readonly verdict: Verdict,
  ) {
    const at = (id: string) => ledger.items.findIndex((item) => item.id === id)
    this.isTaken = verdict.n > 0
    this.changes = this.isTaken
      ? [{ item: at(verdict.item), by: -verdict.n }]
      : [verdict.item, ...verdict.together].map((id) => ({ item: at(id), by: 1 }))
  }

  /** Whether the thing would stand on the other side there. */
  isTurned(ledger: Ledger): boolean {
    const promise = new PromiseEvaluator(indexLedger(ledger)).settled(this.counts)
    const now = promise.promiseH
    const after = promise.tryOut(this.changes, () => {
      promise.settle(settlingRounds)
      return promise.promiseH
    })
    const priceH = ledger.gramsPerHour === null ? 0 : this.verdict.carriedG / ledger.gramsPerHour
    return this.isTaken ? after - now < priceH : now - after > priceH
  }
}

function* byPrice({ gramsPerHour: dial }: Ledger, { flip, massG }: Verdict): Generator<Flip> {
  const { gramsPerHour, massG: otherG } = flip
  if (gramsPerHour !== null && dial !== null) yield { kind: 'dial', gramsPerHour, away: doublings(dial, gramsPerHour) }
  if (otherG !== null) yield { kind: 'mass', massG: otherG, away: doublings(massG, otherG) }
}

/** What a thing bears on most: hazards, the techniques of its fixes, the parts that would settle the matter instead. */
function borneOn({ ledger, notes }: LedgerOfTrip, { answers }: Verdict) {
  const most = <T>(list: readonly T[]) => [...new Set(list)].slice(0, mostLookedAt)
  const found = answers.flatMap((answer) => {
    const at = ledger.events.findIndex(({ id }) => id === answer.event)
    return answer.lostH > 0 && at >= 0 ? [{ answer, event: nth(ledger.events, at), note: nth(notes, at) }] : []
  })
  return {
    hazards: most(found.map(({ note }) => note.hazard)),
    techniques: most(
      found.flatMap(({ answer, event }) => event.fixes.find(({ id }) => id === answer.fix)?.technique ?? []),
    ),
    classes: most(found.flatMap(({ note }) => note.settledBy)),
  }
}

/** By how often a hazard comes: more seldom for what is taken, oftener for what stays; the turning point is halved down to. */
function* byRate(built: LedgerOfTrip, hazard: string, turns: Turning): Generator<Flip> {
  const isTurnedAt = (times: number) => turns.isTurned(soOften(built, hazard, times))
  let [stays, turned] = [1, turns.isTaken ? 1 / mostTimes : mostTimes]
  if (!isTurnedAt(turned)) return
  for (let i = 0; i < halvings; i++) {
    const between = Math.sqrt(stays * turned)
    if (isTurnedAt(between)) turned = between
    else stays = between
  }
  yield { kind: 'rate', hazard, times: turned, away: doublings(1, turned) }
}

/** A ledger on which one hazard comes so many times as often. */
function soOften({ ledger, notes }: LedgerOfTrip, hazard: string, times: number): Ledger {
  const events = ledger.events.map((event, i) => {
    if (nth(notes, i).hazard !== hazard) return event
    const { wear } = event
    return {
      ...event,
      perLeg: event.perLeg.map((expected) => expected * times),
      ...(wear && { wear: { ...wear, lives: wear.lives.map((lives) => lives * times) } }),
    }
  })
  return { ...ledger, events }
}

/** By what a rider has done, the nearest level that turns it. */
function* byHand(
  { crew, stops, ride, dials }: Trip,
  reference: Reference,
  built: LedgerOfTrip,
  technique: string,
  turns: Turning,
): Generator<Flip> {
  const { techniques, hands } = withPlanning(reference, dials.planning)
  const riders = practisedInTime(crew, ride.start)
  for (const rider of riders) {
    const now = levelAtDeparture(rider, technique)
    const others = skillWords.map((_, level) => level as Skill).filter((level) => level !== now)
    const nearest = others.sort((a, b) => Math.abs(a - now) - Math.abs(b - now))
    const level = nearest.find((candidate) => {
      const practice = rider.practice.filter((each) => each.technique !== technique)
      const other = { ...rider, practice, skills: { ...rider.skills, [technique]: candidate } }
      const crewThen = riders.map((each) => (each === rider ? other : each))
      return turns.isTurned(
        withHands(built, new Hands(companiesOn(crewThen, stops, built.edges), dials.helper, { techniques, hands })),
      )
    })
    if (level !== undefined) yield { kind: 'hand', rider: rider.id, technique, level, away: Math.abs(level - now) }
  }
}

/** The same trip, with a part surely at a place. */
const withPart = (trip: Trip, stop: string, classId: string): Trip => ({
  ...trip,
  stops: trip.stops.map((each) =>
    each.id === stop
      ? {
          ...each,
          services: each.services.map((service) => ({
            ...service,
            knownFrom: 'asked',
            stocks: { ...service.stocks, [classId]: 1 },
          })),
        }
      : each,
  ),
})
