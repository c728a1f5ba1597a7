import { rideableShare, ridingBarOf, strokesPerMinute, strokesTo, volumeOfTyre } from '../air'
import { CostsOfFailing, type TakenUp } from '../availability'
import { mostPieces, piecesThere, type Thing } from '../bench'
import {
  expandTemplate,
  traitsOf,
  wheelGroups,
  wholeBike,
  type Bike,
  type BikeTrait,
  type Fastener,
  type Tyre,
  type WheelGroup,
} from '../bike'
import { uncheckedFactor } from '../checks'
import { companiesOn, legsRidden, practisedInTime, strongestHandN, type Company } from '../crew'
import { easyGearsLost } from '../chain'
import { failsAgain, slowerByHarderGear, slowerWith, type Fix } from '../fix'
import { appliesTo, bikeFactor, lifeLeft, limpShareOf, type Hazard } from '../hazard'
import { atDeparture } from '../jobs'
import { entry } from '../maths'
import { indexLedger, ledgerFormat, type Ledger, type LedgerEvent, type LedgerFix } from '../ledger'
import { priceKnown, withPlanning, type Reference } from '../reference'
import type { Survey } from '../road'
import { usualGramsPerHour } from '../search'
import type { Trip } from '../trip'
import { nth } from '../validation'
import { BenchSupply, type Draw } from './bench-supply'
import { exposureTo, type Exposure } from './exposure'
import { FastenerDemands } from './fastener-demands'
import { Hands } from './hands'
import { conditionAtDeparture } from './prepared'
import { purchaseOf, type Purchase } from './purchase'
import { TurningNeeds } from './turning-needs'

/** Where an event of a ledger comes from, for people to read. */
export interface EventNote {
  readonly event: string
  readonly hazard: string
  readonly bike: string
  /** Whether nobody of the crew has worked on that bike. */
  readonly isStrange: boolean
  /** The wheel it strikes; null where it strikes the bike. */
  readonly wheel: 'front' | 'rear' | null
  /** The fastener that fails; null where it is none. */
  readonly fastener: string | null
  readonly settledBy: readonly string[]
  /** Failures expected on the whole road. */
  readonly expected: number
  readonly exposure: Exposure
}

/** A fix that this crew would have, were there not a fastener that nothing on the bench turns. */
export interface StuckFix {
  readonly fix: string
  readonly hazard: string
  readonly bike: string
  readonly fasteners: readonly Fastener[]
}

export interface LedgerOfTrip {
  readonly ledger: Ledger
  readonly notes: readonly EventNote[]
  readonly stuck: readonly StuckFix[]
  /** The places of the road that part its legs, km. */
  readonly edges: readonly number[]
}

/** A mark of a fix that is done where a big wrench can be borrowed. */
export const atTheWrench = '@wrench'

/** A mark of a fix for which something turns, and not with ease. */
export const withoutEase = '@awkward'

/** The fix of the catalogue behind a fix of a ledger, which says with what it is done as well. */
export const fixOf = (ledgerFix: string): string => ledgerFix.split('@')[0] ?? ledgerFix

/** What a pump draws in with a stroke where nobody has measured, mL. Planning value. */
const usualStrokeMl = 45

/** Less than this share of what a failure costs is never left over when a fix holds. */
const mostLeft = 0.95

/**
 * Writes the ledger of a trip: for each bike and each hazard it is open to, how often it strikes on each leg, what it costs
 * there when nothing mends it, and every fix that this crew could try with what lies on the bench. Where the trip has no
 * price of a gram yet, it is the usual one of the road; where nothing on the bench spares anything, grams have none.
 *
 * @param survey the measured road of the trip; it must have a length
 * @param costs the same trip's road and stops, where they are there already
 */
export function ledgerOfTrip(
  trip: Trip,
  survey: Survey,
  reference: Reference,
  costs = new CostsOfFailing(trip, survey, reference),
): LedgerOfTrip {
  const written = writeLedger(trip, survey, reference, costs)
  const { ledger } = written
  const gramsPerHour = ledger.gramsPerHour ?? usualGramsPerHour(indexLedger({ ...ledger, pins: {} }))
  return { ...written, ledger: { ...ledger, gramsPerHour } }
}

/**
 * The same with no price of a gram where the trip has none: what the road makes of it takes as long as all the rest.
 *
 * @param fasteners what turns the fasteners of the same bench in the same hands, where that is there already
 */
export function writeLedger(
  trip: Trip & TakenUp,
  survey: Survey,
  reference: Reference,
  costs = new CostsOfFailing(trip, survey, reference),
  fasteners = fastenerDemandsOf(trip),
): LedgerOfTrip {
  const bikes = bikesAtDeparture(trip, reference)
  return new Writer({ ...trip, bikes }, withPlanning(reference, trip.dials.planning), costs, fasteners).write()
}

/** What turns fasteners, with what lies on the bench of a trip and the strongest hand there. */
export const fastenerDemandsOf = (trip: Pick<Trip, 'bench' | 'crew' | 'dials'>): FastenerDemands =>
  new FastenerDemands(trip.bench, strongestHandN(trip))

/** The bikes of a trip as they stand at the start, with the jobs done that are planned. */
export const bikesAtDeparture = ({ bikes, ride }: Pick<Trip, 'bikes' | 'ride'>, { jobs }: Pick<Reference, 'jobs'>) =>
  bikes.map((bike) => atDeparture(bike, ride.start, jobs))

/** A hazard where it strikes: one bike, one of its wheels or neither, one of its fasteners or none. */
interface Strike {
  readonly hazard: Hazard
  readonly bike: Bike
  readonly group: WheelGroup
  readonly wheel: 'front' | 'rear' | null
  readonly failed: Fastener | undefined
  /** Of the hazard's failures on the bike, the share that strikes here. */
  readonly share: number
}

class Writer {
  private readonly purchases: ReadonlyMap<string, Purchase>
  private readonly supply: BenchSupply
  private readonly turning: TurningNeeds
  private readonly companies: readonly Company[]
  private readonly hands: Hands
  private readonly traits = new Map<Bike, Map<Tyre, ReadonlySet<BikeTrait>>>()
  private readonly events: LedgerEvent[] = []
  private readonly notes: EventNote[] = []
  private readonly stuck: StuckFix[] = []

  constructor(
    private readonly trip: Trip & TakenUp,
    private readonly reference: Reference,
    private readonly costs: CostsOfFailing,
    fasteners: FastenerDemands,
  ) {
    this.purchases = new Map(
      trip.bench.flatMap((thing) => {
        const purchase = purchaseOf(thing, trip.stops, costs)
        return purchase ? [[thing.id, purchase]] : []
      }),
    )
    const fromLegs = new Map(Array.from(this.purchases, ([id, { leg }]) => [id, leg]))
    this.supply = new BenchSupply(trip, reference, fromLegs)
    this.turning = new TurningNeeds(fasteners)
    this.companies = companiesOn(practisedInTime(trip.crew, trip.ride.start), trip.stops, costs.edges)
    this.hands = new Hands(this.companies, trip.dials.helper, reference)
  }

  write(): LedgerOfTrip {
    for (const bike of this.trip.bikes) {
      for (const hazard of this.reference.hazards) {
        for (const strike of this.strikesOn(bike, hazard)) this.writeEvent(strike)
      }
    }
    return { ledger: this.assemble(), notes: this.notes, stuck: this.stuck, edges: this.costs.edges }
  }

  /** Where a hazard strikes on a bike; each wheel and each fastener by itself. */
  private strikesOn(bike: Bike, hazard: Hazard): Strike[] {
    const whole = wholeBike(bike)
    const wheels =
      hazard.strikes === 'wheel'
        ? (['front', 'rear'] as const).map((wheel) => ({
            wheel,
            group: { label: wheel, wheels: 1, tyre: bike.tyres[wheel] },
          }))
        : [{ wheel: hazard.wheel ?? null, group: whole }]
    const applies = wheels.filter(({ group }) => appliesTo(hazard.applies, this.traitsOf(bike, group.tyre)))
    const fasteners = hazard.fastener ? bike.fasteners.filter(({ role }) => role === hazard.fastener) : []
    // A bike of which no bolt is written down has what others have; one without just this bolt cannot lose it.
    if (hazard.fastener && fasteners.length === 0 && bike.fasteners.length > 0) return []
    const count = fasteners.reduce((sum, fastener) => sum + fastener.count, 0)
    const failing: { failed: Fastener | undefined; share: number }[] =
      fasteners.length > 0
        ? fasteners.map((failed) => ({ failed, share: failed.count / count }))
        : [{ failed: undefined, share: 1 }]
    return applies.flatMap(({ wheel, group }) => failing.map((each) => ({ hazard, bike, group, wheel, ...each })))
  }

  private traitsOf(bike: Bike, tyre: Tyre): ReadonlySet<BikeTrait> {
    const known = entry(this.traits, bike, () => new Map<Tyre, ReadonlySet<BikeTrait>>())
    return entry(known, tyre, () => traitsOf(bike, tyre))
  }

  private writeEvent(strike: Strike): void {
    const { hazard, bike, group, wheel, failed, share } = strike
    const traits = this.traitsOf(bike, group.tyre)
    const settledBy = [hazard.settledBy, ...hazard.alsoSettledBy].map((id) => expandTemplate(id, bike, group.tyre))
    const limpShare = limpShareOf(hazard, bike)
    const meeting = { stops: hazard.stops, limpShare, pushFactor: bike.pushFactor }
    const exposure = exposureTo(this.costs, hazard, settledBy, meeting)
    const unchecked = uncheckedFactor(bike, hazard.id, this.reference.checks)
    const rate = share * unchecked * bikeFactor(hazard, traits, group.tyre.treadLeft)
    // A bike wears and breaks where it is ridden: not before its rider joins, nor after they have left.
    const riddenKm = this.riddenKm(bike, exposure)
    const lives = riddenKm.map((km) => (hazard.kind === 'wearing' ? (rate * km) / hazard.lifeKm : 0))
    const perLeg = riddenKm.map((km) => (hazard.kind === 'sudden' ? (hazard.per1000km * rate * km) / 1000 : 0))
    // Who is on the way asks of whatever can fail on the bike, however little of the road is left.
    if (rate === 0 || (this.trip.fromKm === undefined && [...lives, ...perLeg].every((value) => value === 0))) return
    const event = [hazard.id, bike.id, ...(wheel ? [wheel] : []), ...(failed ? [failed.id] : [])].join('/')
    const fixes = this.reference.fixes
      .filter((fix) => fix.answers.includes(hazard.id) && appliesTo(fix.applies, traits))
      .flatMap((fix) => this.fixesOf(fix, strike, exposure))
    this.events.push({
      id: event,
      perLeg,
      ...(hazard.kind === 'wearing' && {
        wear: {
          left: lifeLeft(hazard, bike, group.tyre.treadLeft),
          spread: hazard.spread,
          lives,
          freshAtLegs: this.freshAtLegs(settledBy),
        },
      }),
      lossH: exposure.walkH.map((walkH, leg) => walkH + nth(exposure.priceH, leg)),
      walkH: [...exposure.walkH],
      strands: [...exposure.strands],
      fixes,
    })
    this.notes.push({
      event,
      hazard: hazard.id,
      bike: bike.id,
      isStrange: !bike.known,
      wheel,
      fastener: failed?.id ?? null,
      settledBy,
      expected: perLeg.reduce((sum, failures) => sum + failures, 0),
      exposure,
    })
  }

  private riddenKm({ id }: Bike, { weightedKm }: Exposure): number[] {
    const isRidden = legsRidden(this.companies, id)
    return weightedKm.map((km, leg) => (isRidden[leg] === false ? 0 : km))
  }

  /** Whoever passes a place that is trusted to have the part fits a fresh one there when it is due. */
  private freshAtLegs(settledBy: readonly string[]): number[] {
    const { trust } = this.trip.dials
    return this.costs.edges.flatMap((km, leg) => {
      if (leg === 0 || leg >= this.costs.legs) return []
      const here = this.trip.stops.filter(({ roadKm }) => roadKm === km)
      const lacking = here.flatMap((stop) => settledBy.map((id) => 1 - this.costs.refillChance(stop, id)))
      return Math.min(1, ...lacking) <= 1 - trust ? [leg] : []
    })
  }

  /** A fix in all the ways this crew could try it: with each stock that serves, each pump, and a wrench borrowed on the way. */
  private fixesOf(fix: Fix, strike: Strike, exposure: Exposure): LedgerFix[] {
    const { hazard, bike, group, wheel, failed } = strike
    const size = (template: string) => expandTemplate(template, bike, group.tyre)
    const wheels: readonly ('front' | 'rear')[] = wheel ? [wheel] : ['front', 'rear']
    const { needs, withEase, withWrench, stuck } = this.turning.forFailed(fix, bike, wheels, failed)
    if (stuck.length > 0) this.stuck.push({ fix: fix.id, hazard: hazard.id, bike: bike.id, fasteners: stuck })
    const slower = slowerWith(fix.grade, hazard.stops, limpShareOf(hazard, bike))
    const { chainrings, sprockets, frame, chainLinks } = bike
    const path = { chainrings, sprockets, chainstayMm: frame.chainstayMm }
    const harder = slowerByHarderGear * easyGearsLost(path, chainLinks, fix.cutsLinks)
    const failing = (leg: number) => failsAgain(fix, nth(exposure.ridingKm, leg))
    const residual = (costs: readonly number[], share: (leg: number) => number) =>
      costs.map((cost, leg) => Math.min(mostLeft * cost, share(leg) + failing(leg) * cost))
    const lossH = exposure.walkH.map((walkH, leg) => walkH + nth(exposure.priceH, leg))
    const written = {
      technique: fix.technique,
      hands: this.hands.success(fix.technique, { id: bike.id, isStrange: !bike.known }, exposure),
      holds: fix.holds,
      residualH: residual(lossH, (leg) => (slower + harder) * nth(exposure.ridingH, leg)),
      residualWalkH: exposure.walkH.map((walkH, leg) => Math.min(mostLeft, failing(leg)) * walkH),
    }
    const ways = this.supply
      .draws(fix, bike, suppliedAs(bike, group), size)
      .flatMap((draw, i): { id: string; draw: Draw }[] => [
        { id: i === 0 ? fix.id : `${fix.id}@${Object.keys(draw).join('+')}`, draw },
      ])
    const functions = fix.needs.map(size)
    const airs = fix.air === 'pump' ? this.pumpsFor(bike, group, functions) : [{ mark: '', functions, workH: 0 }]
    return ways.flatMap(({ id, draw }) =>
      airs.flatMap((air) => {
        const workH = fix.minutes / 60 + air.workH
        const hardH = ((1 + this.reference.turning.awkward) * fix.minutes) / 60 + air.workH
        const plain = {
          ...this.onceThere(written, draw, exposure),
          id: `${id}${air.mark}`,
          attempt: id,
          uses: { ...draw },
        }
        const borrowed = exposure.toWrenchH
        return [
          ...(withEase ? [{ ...plain, needs: [...air.functions, ...withEase], workH }] : []),
          ...(needs && !isSameList(needs, withEase)
            ? [{ ...plain, id: `${plain.id}${withoutEase}`, needs: [...air.functions, ...needs], workH: hardH }]
            : []),
          ...(withWrench && borrowed
            ? [
                {
                  ...plain,
                  id: `${plain.id}${atTheWrench}`,
                  needs: [...air.functions, ...withWrench],
                  workH: borrowed.map((wayH) => wayH + workH),
                },
              ]
            : []),
        ]
      }),
    )
  }

  /** A fix with what is bought on the way leaves as much as the failure costs before it is there, so that nobody tries it. */
  private onceThere<T extends Pick<LedgerFix, 'residualH' | 'residualWalkH'>>(
    written: T & { readonly residualH: readonly number[]; readonly residualWalkH: readonly number[] },
    draw: Draw,
    { walkH, priceH }: Exposure,
  ): T {
    const from = this.supply.fromLegOf(draw)
    if (from === 0) return written
    return {
      ...written,
      residualH: written.residualH.map((hours, leg) => (leg < from ? nth(walkH, leg) + nth(priceH, leg) : hours)),
      residualWalkH: written.residualWalkH.map((hours, leg) => (leg < from ? nth(walkH, leg) : hours)),
    }
  }

  /** Each pump on the bench by itself, as the strokes it takes decide the minutes. */
  private pumpsFor(
    bike: Bike,
    { tyre }: WheelGroup,
    functions: readonly string[],
  ): { mark: string; functions: readonly string[]; workH: number }[] {
    const pumping = this.pumpingFunctions(bike)
    const others = functions.filter((id) => !pumping.includes(id))
    return this.trip.bench
      .filter(({ provides }) => provides.some((id) => pumping.includes(id)))
      .map((pump) => {
        const strokes = strokesTo(
          ridingBarOf(tyre) * rideableShare,
          volumeOfTyre(tyre),
          pump.measures.strokeMl ?? usualStrokeMl,
        )
        return {
          mark: `@${pump.id}`,
          functions: [...others, ...pumping.map((id) => withPump(id, pump))],
          workH: strokes / strokesPerMinute / 60,
        }
      })
  }

  private pumpingFunctions({ valve }: Bike): string[] {
    return this.reference.functions.filter(({ pumps }) => pumps === valve).map(({ id }) => id)
  }

  /** What a thing's kind costs; what nobody knows the price of counts for nothing. */
  private priceOf({ from }: Thing): number {
    const item = this.reference.items.find(({ id }) => id === from)
    return (item && priceKnown(`items.${item.id}`, item.price, this.trip.dials)) ?? 0
  }

  private assemble(): Ledger {
    const { bench, stops } = this.trip
    const pumping = this.reference.functions.filter(({ pumps }) => pumps).map(({ id }) => id)
    const stocks = new Set(this.supply.classOf.keys())
    for (const { fixes } of this.events)
      for (const { uses } of fixes) for (const id of Object.keys(uses)) stocks.add(id)
    const ledger: WithoutTerms = {
      format: ledgerFormat,
      legs: this.costs.legs,
      items: bench.map((thing) => ({
        id: thing.id,
        // Grams count for as much of the road as they are carried.
        massG: thing.massG * (this.purchases.get(thing.id)?.carried ?? 1),
        max: mostPieces(thing),
        provides: [
          ...thing.provides,
          ...thing.provides.filter((id) => pumping.includes(id)).map((id) => withPump(id, thing)),
          ...this.turning.functionsOf(thing.id),
        ],
        units: this.supply.unitsOf(thing),
        condition: this.purchases.get(thing.id)?.chance ?? conditionAtDeparture(thing, this.reference),
        price: this.priceOf(thing),
        owned: this.purchases.has(thing.id) ? 0 : piecesThere(thing),
      })),
      stocks: [...stocks].sort().map((id) => ({
        id,
        refills: stops.flatMap((stop) => {
          const leg = this.costs.edges.indexOf(stop.roadKm)
          const chance = this.costs.refillChance(stop, this.supply.classOf.get(id) ?? id)
          return leg > 0 && leg < this.costs.legs && chance > 0 ? [{ leg, chance }] : []
        }),
      })),
      events: this.events,
    }
    return onTermsOf(ledger, this.trip)
  }
}

/** A ledger before it is known on what terms kits are chosen. */
type WithoutTerms = Omit<Ledger, 'budgetG' | 'budgetMoney' | 'currency' | 'gramsPerHour' | 'pins'>

/** A ledger on the terms of a trip: its limits, its pins, and its price of a gram, which is null where the road sets it. */
export function onTermsOf(ledger: WithoutTerms, { bench, dials }: Pick<Trip, 'bench' | 'dials'>): Ledger {
  return {
    ...ledger,
    budgetG: dials.budgetG,
    budgetMoney: dials.budgetMoney,
    currency: dials.currency,
    gramsPerHour: dials.gramsPerHour,
    pins: Object.fromEntries(
      bench.flatMap((thing) => (thing.pin && thing.pin.min <= mostPieces(thing) ? [[thing.id, thing.pin]] : [])),
    ),
  }
}

const isSameList = (a: readonly string[], b: readonly string[] | undefined) =>
  a.length === b?.length && a.every((name) => b.includes(name))

/** The function of one pump. */
const withPump = (id: string, { id: thing }: Pick<Thing, 'id'>) => `${id} with ${thing}`

/** Wheels that are alike are supplied as one group. */
function suppliedAs(bike: Bike, group: WheelGroup): WheelGroup {
  if (group.label === '') return group
  return wheelGroups(bike).find(({ label }) => label === group.label) ?? { ...group, label: '' }
}
