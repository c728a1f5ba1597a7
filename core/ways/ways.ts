import { shutOptions } from '../availability'
import type { Bike } from '../bike'
import { atDeparture, jobsFor, withJob } from '../jobs'
import { practiceWorths } from '../practice'
import type { Reference } from '../reference'
import { sharedOpeningCache, type OpeningCache } from '../ride'
import type { Survey } from '../road'
import { afterAsking, confidence, isPostedTo, mends, readClass, stockChance, type Service, type Stop } from '../supply'
import type { Trip } from '../trip'
import { atTheWrench, classOfStock } from '../trip-ledger'
import { nth } from '../validation'
import { AtStake } from './at-stake'
import { carriedOut, deedKey, isApart, takenBack, withService, withStop, type Change, type Deed } from './deed'
import { costOf, Plans } from './plans'
import { priceOf, type Price } from './price'

/** A deed with what it is worth on this road. */
export interface Way {
  readonly deed: Deed
  /** Whether it is planned, so that the promise has it already. */
  readonly isTaken: boolean
  /** Hours by which the promise of the kit of now is better with it than without. Of a question, which alone changes nothing: 0. */
  readonly savedH: number
  /**
   * The same where the kit is chosen anew, the grams of both in hours: what is done may let something stay at home. Of a
   * question the mean over its answers. Null where nobody has looked.
   */
  readonly anew: { readonly gainH: number; readonly lighterG: number } | null
}

/** What a deed brings: hours that it spares, and grams that it lets stay at home, in hours. */
export const gainOf = ({ savedH, anew }: Way): number => Math.max(savedH, anew?.gainH ?? -Infinity)

/** A way against its price. */
export interface PricedWay {
  readonly way: Way
  readonly price: Price
  /** What it brings; never below nothing, since nobody has to do it. */
  readonly gainH: number
  /** The same less its price. */
  readonly netH: number
}

/** What ways bring beyond their price, the one that brings most first. */
export const againstPrices = (
  found: readonly Way[],
  trip: Pick<Trip, 'bikes' | 'dials'>,
  reference: Reference,
): PricedWay[] =>
  found
    .map((way) => {
      const price = priceOf(way.deed, trip, reference)
      const gainH = Math.max(0, gainOf(way))
      return { way, price, gainH, netH: gainH - price.hours }
    })
    .sort((a, b) => b.netH - a.netH)

/** Ways that were told one after another, each as it was told last. */
export const asToldLast = (told: Iterable<Way>): Way[] => [
  ...new Map(Array.from(told, (way) => [deedKey(way.deed), way])).values(),
]

/** Less than half a minute is not told. */
export const leastToldH = 0.5 / 60

/** So many parcels are weighed, those of the classes first on which most hangs. */
const mostParcels = 24
/** So many purchases on the way are weighed, those first of which most may come. */
const mostPurchases = 8
/** So many questions are weighed, those first on which most hangs: each takes two kits that are chosen anew. */
const mostQuestions = 6
/** Of a part that is as likely as this to be there, or as unlikely, the answer is known. */
const [leastDoubt, mostDoubt] = [0.15, 0.9]

/**
 * Every way to buy down a risk that weighs nothing, each with what it is worth with a kit; as they are found, those that are
 * soon reckoned first; a job comes a second time with the kit chosen anew. What cannot bring half a minute is left out, unless
 * it is planned.
 *
 * @param survey the measured road of the trip; it must have a length
 * @param counts how many of each thing on the bench are carried, in their order
 */
export function* ways(
  trip: Trip,
  survey: Survey,
  reference: Reference,
  counts: ArrayLike<number>,
  book: OpeningCache = sharedOpeningCache,
): Generator<Way> {
  for (const way of allWays(trip, survey, reference, counts, book))
    if (way.isTaken || gainOf(way) >= leastToldH) yield way
}

function* allWays(
  trip: Trip,
  survey: Survey,
  reference: Reference,
  counts: ArrayLike<number>,
  book: OpeningCache,
): Generator<Way> {
  const plans = new Plans(trip, survey, reference, book)
  const { ledger } = plans.laid
  const atStake = new AtStake(plans.laid, counts)
  const nowH = plans.promiseOf(ledger, counts)
  const massG = ledger.items.reduce((sum, item, i) => sum + item.massG * nth(counts, i), 0)
  const nowCostH = costOf(nowH, massG, ledger)
  const beside = { lengthKm: survey.lengthKm, newId: idsOf(trip) }

  const otherwise = (deed: Deed, isTaken: boolean) =>
    plans.ledgerWith(isTaken ? takenBack(trip, deed) : carriedOut(trip, deed, beside))
  /** With the kit as it is. */
  function weighed(deed: Deed, isTaken = false): Way {
    const differenceH = nowH - plans.promiseOf(otherwise(deed, isTaken), counts)
    return { deed, isTaken, savedH: isTaken ? -differenceH : differenceH, anew: null }
  }
  /** And with one that is chosen anew, which takes longer. */
  function weighedAnew(way: Way): Way {
    const best = plans.best(otherwise(way.deed, way.isTaken))
    const sign = way.isTaken ? -1 : 1
    return { ...way, anew: { gainH: sign * (nowCostH - best.costH), lighterG: sign * (massG - best.massG) } }
  }

  const jobs = plannedJobs(trip).map((deed) => weighed(deed, true))
  yield* jobs
  for (const deed of openJobs(trip, reference, atStake)) {
    const way = weighed(deed)
    jobs.push(way)
    yield way
  }
  for (const worth of practiceWorths(plans.laid, trip, reference, counts)) {
    const { riderId, techniqueId, isPlanned, savedH } = worth
    yield { deed: { kind: 'practice', riderId, techniqueId }, isTaken: isPlanned, savedH, anew: null }
  }
  for (const deed of parcelsSent(trip)) yield weighed(deed, true)
  if (isApart(trip)) yield weighed({ kind: 'together' })
  if (asksForWrench(plans)) for (const deed of wrenches(trip, reference)) yield weighed(deed)
  for (const deed of stays(trip, survey, reference, book)) yield weighed(deed)
  const classes = classesAsked(plans)
  for (const deed of parcels(trip, reference, atStake, classes)) yield weighed(deed)
  for (const way of jobs) yield weighedAnew(way)
  for (const deed of purchasesPlanned(trip)) yield weighedAnew(weighed(deed, true))
  for (const deed of purchases(plans, atStake, counts)) yield weighedAnew(weighed(deed))
  for (const { deed, answers } of questions(trip, reference, atStake, classes)) {
    const bests = answers.map(({ chance, change }) => ({ chance, ...plans.best(plans.ledgerWith(change)) }))
    const gainH = nowCostH - bests.reduce((sum, { chance, costH }) => sum + chance * costH, 0)
    const lighterG = massG - bests.reduce((sum, best) => sum + best.chance * best.massG, 0)
    yield { deed, isTaken: false, savedH: 0, anew: { gainH, lighterG } }
  }
}

const plannedJobs = ({ bikes }: Trip): Deed[] =>
  bikes.flatMap((bike) =>
    bike.jobs
      .filter(({ state }) => state !== 'left')
      .map(({ job }): Deed => ({ kind: 'job', bikeId: bike.id, jobId: job })),
  )

function openJobs({ bikes, ride }: Trip, { jobs, hazards }: Reference, atStake: AtStake): Deed[] {
  const departing = (bike: Bike) => atDeparture(bike, ride.start, jobs)
  return bikes.flatMap((bike) =>
    jobsFor(bike, jobs)
      .filter(({ id }) => !bike.jobs.some(({ job, state }) => job === id && state !== 'left'))
      .filter(({ id }) => atStake.onBike(departing(bike), departing(withJob(bike, id)), hazards) >= leastToldH)
      .map(({ id }): Deed => ({ kind: 'job', bikeId: bike.id, jobId: id })),
  )
}

const servicesOf = ({ stops }: Pick<Trip, 'stops'>): { stop: Stop; service: Service }[] =>
  stops.flatMap((stop) => stop.services.map((service) => ({ stop, service })))

const parcelsSent = (trip: Trip): Deed[] =>
  servicesOf(trip).flatMap(({ stop, service }) =>
    Object.keys(service.parcel)
      .filter((classId) => isPostedTo(service, classId))
      .map((classId): Deed => ({ kind: 'parcel', stopId: stop.id, service: service.kind, classId })),
  )

/** What may be posted ahead: to every place that keeps a parcel, the parts on which most hangs. */
function parcels(trip: Trip, { services, families }: Reference, atStake: AtStake, classes: readonly string[]): Deed[] {
  const places = servicesOf(trip).filter(({ service }) =>
    services.some(({ id, takesParcels }) => takesParcels && id === service.kind),
  )
  return classes
    .filter((id) => readClass(id, families)?.family.goesByPost)
    .map((classId) => ({ classId, hours: atStake.onClass(classId) }))
    .filter(({ hours }) => hours >= leastToldH)
    .sort((a, b) => b.hours - a.hours)
    .flatMap(({ classId }) =>
      places
        .filter(({ service }) => !isPostedTo(service, classId))
        .map(({ stop, service }): Deed => ({ kind: 'parcel', stopId: stop.id, service: service.kind, classId })),
    )
    .slice(0, mostParcels)
}

const purchasesPlanned = ({ bench, stops }: Trip): Deed[] =>
  bench.flatMap(({ id: thingId, boughtAt: stopId }): Deed[] =>
    stopId !== null && stops.some(({ id }) => id === stopId) ? [{ kind: 'buy', stopId, thingId }] : [],
  )

/**
 * What may be bought on the way and not be carried until then, that first of which most may come: no more than the grams of
 * what is carried, for as far as it would not be; of what stays at home no more than hangs on it.
 */
function purchases(plans: Plans, atStake: AtStake, counts: ArrayLike<number>): Deed[] {
  const { trip, laid } = plans
  const { gramsPerHour } = laid.ledger
  return trip.bench
    .flatMap((thing, i) => {
      if (thing.boughtAt !== null) return []
      const carriedG = thing.massG * nth(counts, i)
      const hangsOn = Math.max(0, ...Object.keys(thing.units).map((classId) => atStake.onClass(classId)))
      return trip.stops.flatMap(({ id: stopId }) => {
        const purchase = plans.purchaseAt(thing, stopId)
        if (!purchase || purchase.leg === 0 || purchase.leg >= laid.ledger.legs) return []
        const { chance, carried } = purchase
        const most = carriedG > 0 && gramsPerHour !== null ? ((1 - carried) * carriedG) / gramsPerHour : hangsOn
        const deed: Deed = { kind: 'buy', stopId, thingId: thing.id }
        return [{ deed, most: chance * most }]
      })
    })
    .filter(({ most }) => most >= leastToldH)
    .sort((a, b) => b.most - a.most)
    .slice(0, mostPurchases)
    .map(({ deed }) => deed)
}

/** The classes that settle something on the trip, or that a fix draws on. */
function classesAsked({ laid }: Plans): string[] {
  const used = laid.ledger.events.flatMap(({ fixes }) => fixes.flatMap(({ uses }) => Object.keys(uses)))
  const classes = [...laid.notes.flatMap(({ settledBy }) => settledBy), ...used.map(classOfStock)]
  return [...new Set(classes)].sort()
}

/** Whether something cannot be turned with what lies on the bench, or can with a wrench that is borrowed. */
const asksForWrench = ({ laid }: Plans) =>
  laid.stuck.length > 0 || laid.ledger.events.some(({ fixes }) => fixes.some(({ id }) => id.endsWith(atTheWrench)))

/** Places that mend bikes may lend a big wrench. */
const wrenches = ({ stops }: Trip, { services }: Reference): Deed[] =>
  stops
    .filter((stop) => !stop.bigWrench && stop.services.some((service) => mends(service, services)))
    .map(({ id }) => ({ kind: 'borrow', stopId: id }))

/** Where something is shut when one comes by: to wait for it, or to sleep there. */
const stays = (trip: Trip, survey: Survey, reference: Reference, book: OpeningCache): Deed[] =>
  trip.stops.flatMap(({ id: stopId }) =>
    shutOptions(trip, survey, reference, stopId, book)
      .filter(({ isMade }) => !isMade)
      .flatMap(({ choice }): Deed[] => {
        if (choice.kind === 'ride on') return []
        if (choice.kind === 'sleep') return [{ kind: 'sleep', stopId }]
        return [{ kind: 'wait', stopId, service: choice.service, hours: choice.hours }]
      }),
  )

/** A question, and what the plan becomes by each answer. */
interface Question {
  readonly deed: Deed
  readonly answers: readonly { readonly chance: number; readonly change: Change }[]
  /** By how much hangs on it, roughly. */
  readonly rank: number
}

/**
 * Questions to places that mend: whether one known by hearsay is there, and whether another has a part that may be there or
 * not. Whoever asks for a part learns as well whether the place is there at all.
 */
function questions(trip: Trip, reference: Reference, atStake: AtStake, classes: readonly string[]): Question[] {
  const { services, families } = reference
  const places = servicesOf(trip).filter(({ service }) => mends(service, services))
  return places
    .flatMap(({ stop, service }): Question[] => {
      const at = { stopId: stop.id, service: service.kind }
      const isThere = confidence[service.knownFrom]
      const gone = withStop(trip, stop.id, (each) => ({
        ...each,
        services: each.services.filter(({ kind }) => kind !== service.kind),
      }))
      const asked = (classId: string | null, rank: number, ifThere: Question['answers']): Question => ({
        deed: { kind: 'ask', ...at, classId },
        answers: [
          { chance: 1 - isThere, change: gone },
          ...ifThere.map(({ chance, change }) => ({ chance: isThere * chance, change })),
        ].filter(({ chance }) => chance > 0),
        rank,
      })
      if (isThere < mostDoubt) {
        const there = withService(trip, at, (each) => ({ ...each, knownFrom: 'asked' }))
        return [asked(null, Infinity, [{ chance: 1, change: there }])]
      }
      return classes.flatMap((classId): Question[] => {
        if (service.stocks[classId] !== undefined || service.parcel[classId] !== undefined) return []
        const chance = stockChance(service, classId, services, families) / isThere
        if (chance < leastDoubt || chance > mostDoubt) return []
        const known = (answer: 'has' | 'has not') => afterAsking(service, classId, { answer }, null)
        const chanceOf = (answer: 'has' | 'has not') => stockChance(known(answer), classId, services, families)
        const has = (chance - chanceOf('has not')) / (chanceOf('has') - chanceOf('has not'))
        return [
          asked(classId, atStake.onClass(classId) * chance * (1 - chance), [
            { chance: has, change: withService(trip, at, () => known('has')) },
            { chance: 1 - has, change: withService(trip, at, () => known('has not')) },
          ]),
        ]
      })
    })
    .filter(({ rank }) => rank >= leastToldH)
    .sort((a, b) => b.rank - a.rank)
    .slice(0, mostQuestions)
}

/** Ids that no stretch of the road has. */
function idsOf({ road }: Trip): () => string {
  let next = 0
  const used = new Set(road.stretches.map(({ id }) => id))
  return () => {
    while (used.has(`piece-${next}`)) next++
    return `piece-${next++}`
  }
}
